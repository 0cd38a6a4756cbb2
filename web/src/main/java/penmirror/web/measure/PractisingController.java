package penmirror.web.measure;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.figure.Marks;
import penmirror.core.format.FormatException;
import penmirror.core.measure.Unit;
import penmirror.core.reading.TechnicalError;
import penmirror.core.scoring.Guess;
import penmirror.core.words.Wording;
import penmirror.web.layout.Fault;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Marking twice and guessing first, beside the bench. */
@Controller
class PractisingController {
  private final Marking marking;
  private final Practising practising;
  private final MessageSource messages;

  PractisingController(Marking marking, Practising practising, MessageSource messages) {
    this.marking = marking;
    this.practising = practising;
    this.messages = messages;
  }

  /** Keeps a second marking, and tells how far the two lie apart. */
  @PostMapping("/studies/{studyId}/works/{workId}/repeat")
  String repeat(
      Study study,
      Work work,
      @RequestBody String landmarks,
      Model model,
      HttpServletResponse response) {
    Marks second;
    try {
      second = marking.read(work, landmarks);
    } catch (FormatException e) {
      return Fault.on(model, response, e);
    }
    Practising.Twice twice = practising.repeat(study, work, second);
    model.addAttribute("repeat", twice.rows());
    model.addAttribute("figures", twice.figures());
    model.addAttribute("enough", TechnicalError.ENOUGH_FIGURES);
    return "measure/repeat :: outcome";
  }

  /** Keeps a guess and tells by how much it was off. */
  @PostMapping("/studies/{studyId}/works/{workId}/guesses")
  String guess(
      Study study,
      Work work,
      @RequestParam("measure") String key,
      @RequestParam String guessed,
      Model model,
      HttpServletResponse response) {
    Optional<Practising.Guessed> kept = practising.guess(work, key, guessed);
    if (kept.isEmpty()) {
      return Fault.on(
          model, response, HttpStatus.BAD_REQUEST, text("measure.guess.fault", guessed));
    }
    Guess guess = kept.get().guess();
    Unit unit = kept.get().unit();
    String off = Wording.number(Math.abs(guess.off()), unit.decimals());
    String way = guess.off() < 0 ? "measure.guess.low" : "measure.guess.high";
    boolean isRight = Wording.number(unit, 0).equals(off);
    model.addAttribute(
        "text", text(isRight ? "measure.guess.right" : way, off, Wording.unit(unit)));
    return "measure/repeat :: guess";
  }

  private String text(String key, Object... about) {
    return messages.getMessage(key, about, Locale.ENGLISH);
  }
}
