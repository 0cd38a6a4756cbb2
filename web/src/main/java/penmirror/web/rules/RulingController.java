package penmirror.web.rules;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.web.layout.Choice;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** An act opened, and the user's word over its rules. */
@Controller
class RulingController {
  private final Ruling ruling;
  private final Sheets sheets;

  RulingController(Ruling ruling, Sheets sheets) {
    this.ruling = ruling;
    this.sheets = sheets;
  }

  /** What lies folded under an act's sentence. */
  @GetMapping("/studies/{studyId}/rules/acts/{act}")
  String open(Study study, @PathVariable String act, Asked asked, Model model) {
    model.addAttribute("study", study);
    model.addAttribute("act", sheets.act(study, Ruling.act(act), asked.wanted()));
    model.addAttribute("accepted", sheets.isAccepted(study));
    model.addAttribute("readOnly", sheets.isReadOnly(study));
    return "rules/act";
  }

  @PostMapping("/studies/{studyId}/rules/{measure}/band")
  String band(
      Study study,
      @PathVariable String measure,
      @RequestParam Optional<String> how,
      @RequestParam Optional<Double> low,
      @RequestParam Optional<Double> high,
      Asked asked) {
    if (how.isPresent()) {
      ruling.set(study, measure, Choice.of(Ruling.How.class, how.get()));
    } else {
      ruling.set(study, measure, low.orElse(Double.NaN), high.orElse(Double.NaN));
    }
    return back(study, asked, ofMeasure(measure));
  }

  @PostMapping("/studies/{studyId}/rules/{measure}/works/{workId}")
  String part(
      Study study,
      Work work,
      @PathVariable String measure,
      @RequestParam boolean leftOut,
      @RequestParam(defaultValue = "") String reason,
      Asked asked) {
    if (leftOut) {
      ruling.leaveOut(study, measure, work, reason);
    } else {
      ruling.takeBack(study, measure, work);
    }
    return back(study, asked, ofMeasure(measure));
  }

  @PostMapping("/studies/{studyId}/rules/acts/{act}/words")
  String words(Study study, @PathVariable String act, @RequestParam String words, Asked asked) {
    ruling.word(study, act, words);
    return back(study, asked, Acts.byKey(act));
  }

  /** A ratio of the user's own: one distance by another. */
  @PostMapping("/studies/{studyId}/rules/own")
  String add(
      Study study,
      @RequestParam String from,
      @RequestParam String to,
      @RequestParam String byFrom,
      @RequestParam String byTo,
      Asked asked) {
    FreePair pair =
        FreePair.ofKey("pair." + from + "-" + to + "." + byFrom + "-" + byTo)
            .orElseThrow(() -> new RefusedException("rules.own.cannot"));
    return back(study, asked, Optional.of(ruling.pair(study, pair, true)));
  }

  @PostMapping("/studies/{studyId}/rules/own/{act}/remove")
  String remove(Study study, @PathVariable String act, Asked asked) {
    FreePair pair =
        FreePair.ofKey(act)
            .orElseThrow(() -> new RefusedException("fault.form.word", Texts.cut(act, 40)));
    ruling.pair(study, pair, false);
    return back(study, asked, Optional.empty());
  }

  @PostMapping("/studies/{studyId}/rules/undo")
  String undo(Study study, Asked asked) {
    return back(study, asked, ruling.undo(study));
  }

  private static Optional<Act> ofMeasure(String key) {
    return MeasureCatalogue.byKey(key).flatMap(Acts::of);
  }

  /** To where the user was, with the act open that was spoken of. */
  private static String back(Study study, Asked asked, Optional<Act> act) {
    return "redirect:/studies/" + study.id() + "/rules" + asked.query(act.map(Act::key));
  }
}
