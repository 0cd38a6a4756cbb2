package penmirror.web.mirror;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mood;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.scoring.AttemptStage;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.LandmarkAlignment;
import penmirror.core.scoring.Score;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.web.evidence.Layer;
import penmirror.web.gather.Intake;
import penmirror.web.layout.Choice;
import penmirror.web.measure.Statements;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.sheets.SignatureStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** A redraw held against the sheet and laid over a source. */
@Controller
class MirrorController {
  private final Redraws redraws;
  private final SheetMaker sheets;
  private final Comparing comparing;
  private final Statements statements;
  private final Fixing fixing;
  private final Rail rail;
  private final MessageSource messages;

  MirrorController(
      Redraws redraws,
      SheetMaker sheets,
      Comparing comparing,
      Statements statements,
      Fixing fixing,
      Rail rail,
      MessageSource messages) {
    this.redraws = redraws;
    this.sheets = sheets;
    this.comparing = comparing;
    this.fixing = fixing;
    this.statements = statements;
    this.rail = rail;
    this.messages = messages;
  }

  /** The newest redraw, or the way to the first. */
  @GetMapping("/studies/{studyId}/mirror")
  String newest(Study study, Model model) {
    List<Work> all = redraws.of(study);
    if (all.isEmpty()) {
      return empty(model, study, Optional.empty());
    }
    return "redirect:/studies/" + study.id() + "/mirror/" + all.get(all.size() - 1).id();
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}")
  String page(
      Study study,
      Work redraw,
      @RequestParam Optional<Long> source,
      @RequestParam(defaultValue = "ALL") String by,
      Model model) {
    Loaded loaded = sheets.load(study);
    StyleSheet sheet = loaded.sheetAsked(redraw);
    Score score = fixing.score(study, loaded, redraw);
    List<MeasureGroup> traced = redraws.traced(study);
    rail.addTo(model, study, Stage.MIRROR);
    model.addAttribute("redraw", redraw);
    model.addAttribute("kind", redraws.kind(study));
    model.addAttribute("attempts", loaded.inRole(Work.Role.REDRAW));
    model.addAttribute("beside", Overlay.beside(loaded, redraw));
    model.addAttribute("pixels", redraws.progress(redraw));
    model.addAttribute(
        "verdict",
        Verdict.of(
            score,
            sheet.statements(),
            traitWords(loaded, score),
            traced,
            comparing.beside(study, sheet),
            messages));
    model.addAttribute("bases", redraws.bases(study, sheet, loaded.evidence(redraw)));
    model.addAttribute("done", fixing.done(redraw));
    model.addAttribute("meant", fixing.meant(study));
    model.addAttribute("notAimedAt", fixing.notAimedAt(study));
    model.addAttribute("since", fixing.since(study, loaded, redraw));
    model.addAttribute("mendable", Mending.canMend(loaded, redraw, score));
    model.addAttribute("landmarks", Landmark.values());
    model.addAttribute("asked", loaded.asked(redraw));
    model.addAttribute("moods", Mood.values());
    model.addAttribute("stages", AttemptStage.values());
    model.addAttribute("layers", Layer.values());
    model.addAttribute("redrawHead", loaded.headPixels(redraw).orElse(null));
    model.addAttribute("told", comparing.told(study, loaded, redraw));
    model.addAttribute("ways", LandmarkAlignment.By.values());
    LandmarkAlignment.By asked = Choice.of(LandmarkAlignment.By.class, by);
    Evidence own = loaded.evidence(redraw);
    List<Fix> fixes = Verdict.told(score);
    Overlay.source(loaded, redraw, source)
        .ifPresent(
            work -> {
              Evidence theirs = loaded.evidence(work);
              model.addAttribute("source", work);
              model.addAttribute("sourceHead", loaded.headPixels(work).orElse(null));
              model.addAttribute("closeups", Closeup.of(work, theirs, redraw, own, fixes));
              model.addAttribute(
                  "overlay", Overlay.of(work, theirs.marks(), redraw, own.marks(), fixes, asked));
            });
    return "mirror/page";
  }

  /** In what mood a redraw is, and how far it has come: said, or left to be seen in it. */
  @PostMapping("/studies/{studyId}/mirror/{workId}/asked")
  String ask(
      Study study,
      Work redraw,
      @RequestParam(defaultValue = "") String mood,
      @RequestParam(defaultValue = "") String stage) {
    redraws.say(redraw, Choice.maybe(Mood.class, mood), Choice.maybe(AttemptStage.class, stage));
    return "redirect:/studies/" + study.id() + "/mirror/" + redraw.id();
  }

  /** Whether a statement holds of a redraw; an empty answer takes it back. */
  @PostMapping("/studies/{studyId}/mirror/{workId}/statements/{key}")
  String answer(Study study, Work redraw, @PathVariable String key, @RequestParam String answer) {
    statements.answer(redraw, key, answer);
    return "redirect:/studies/" + study.id() + "/mirror/" + redraw.id() + "#ticks";
  }

  @PostMapping("/studies/{studyId}/redraws")
  String take(
      Study study,
      @RequestParam("file") MultipartFile file,
      @RequestParam(defaultValue = "") String title,
      Model model,
      HttpServletResponse response)
      throws IOException {
    Intake.Outcome outcome = redraws.take(study, file.getBytes(), title);
    if (outcome instanceof Intake.Taken taken) {
      return "redirect:/studies/" + study.id() + "/mirror/" + taken.workId();
    }
    if (outcome instanceof Intake.AlreadyHere here) {
      return "redirect:/studies/" + study.id() + "/mirror/" + here.work().id();
    }
    response.setStatus(HttpStatus.BAD_REQUEST.value());
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    String reason = outcome instanceof Intake.Refused refused ? refused.reason() : "";
    return empty(model, study, Optional.of(text("gather.refused", name, reason)));
  }

  private String empty(Model model, Study study, Optional<String> fault) {
    rail.addTo(model, study, Stage.MIRROR);
    model.addAttribute("fault", fault.orElse(null));
    model.addAttribute("attempts", redraws.of(study));
    return "mirror/empty";
  }

  /** In the user's words, else in the sheet's, in the order in which the verdict tells them. */
  private static List<String> traitWords(Loaded loaded, Score score) {
    return Verdict.traitsOf(score).stream()
        .map(
            act ->
                loaded.signature().traits().stream()
                    .filter(trait -> trait.act().equals(act) && !trait.words().isEmpty())
                    .map(SignatureStore.Trait::words)
                    .findFirst()
                    .or(() -> ActWords.sentence(loaded.sheet(), act))
                    .orElseGet(() -> ActWords.name(act)))
        .toList();
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
