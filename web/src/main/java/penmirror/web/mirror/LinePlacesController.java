package penmirror.web.mirror;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import penmirror.web.cards.Opened;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Where the line of a redraw is too thin, too heavy, open or closed. */
@Controller
class LinePlacesController {
  private final SheetMaker sheets;
  private final Opened opened;

  LinePlacesController(SheetMaker sheets, Opened opened) {
    this.sheets = sheets;
    this.opened = opened;
  }

  /** A piece of the verdict, as pictures must be opened for it. */
  @GetMapping("/studies/{studyId}/mirror/{workId}/line-places")
  String places(Study study, Work redraw, Model model) {
    Loaded loaded = sheets.load(study);
    model.addAttribute(
        "page",
        LinePlacesPage.of(
            opened.usualLine(loaded),
            opened.places(loaded),
            opened.lines(loaded, redraw),
            loaded.headPixels(redraw)));
    return "mirror/line-places";
  }
}
