package penmirror.web.through;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.context.MessageSource;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import penmirror.core.figure.Framing;
import penmirror.core.figure.View;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FormatException;
import penmirror.web.layout.Choice;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** One page with all works that wait to be looked at. */
@Controller
class ThroughController {
  private final ThroughPage page;
  private final Cards cards;
  private final LookedAt lookedAt;
  private final MessageSource messages;

  ThroughController(ThroughPage page, Cards cards, LookedAt lookedAt, MessageSource messages) {
    this.page = page;
    this.cards = cards;
    this.lookedAt = lookedAt;
    this.messages = messages;
  }

  @GetMapping("/studies/{studyId}/through")
  String page(Study study, Model model) {
    page.addTo(model, study);
    return "through/page";
  }

  /** The cards as they are now: each work that was looked at teaches something of the others. */
  @GetMapping("/studies/{studyId}/through.json")
  @ResponseBody
  List<Card> cards(Study study) {
    return cards.of(study);
  }

  /** A work as it would be asked about, seen from another side or showing more or less. */
  @GetMapping("/studies/{studyId}/works/{workId}/through.json")
  @ResponseBody
  Card card(
      Study study,
      Work work,
      @RequestParam String view,
      @RequestParam(defaultValue = "") String framing)
      throws UnusablePictureException {
    return cards.otherwise(
        study, work, Choice.of(View.class, view), Choice.maybe(Framing.class, framing));
  }

  /** What is still asked of a work, one question after another; no content where nothing is. */
  @GetMapping("/studies/{studyId}/works/{workId}/open.json")
  ResponseEntity<Cards.Open> open(Study study, Work work) {
    return cards
        .open(study, work)
        .map(ResponseEntity::ok)
        .orElseGet(() -> ResponseEntity.noContent().build());
  }

  /** Somebody says that it looks right. */
  @PostMapping(
      path = "/studies/{studyId}/works/{workId}/looked-at",
      produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<Map<String, String>> take(Study study, Work work, @RequestBody LookedAt.Said said)
      throws FormatException {
    if (!lookedAt.take(work, said)) {
      String text = messages.getMessage("through.conflict", new Object[0], Locale.ENGLISH);
      return ResponseEntity.status(HttpStatus.CONFLICT).body(Map.of("fault", text));
    }
    lookedAt.learnFrom(work);
    return ResponseEntity.ok(Map.of());
  }
}
