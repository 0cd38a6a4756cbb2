package penmirror.web.through;

import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.format.MarksFile;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.FirstAnswers;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** What stands on the page beside the works themselves. */
@Component
class ThroughPage {
  private final SheetMaker sheets;
  private final Rail rail;

  ThroughPage(SheetMaker sheets, Rail rail) {
    this.sheets = sheets;
    this.rail = rail;
  }

  void addTo(Model model, Study study) {
    Loaded loaded = sheets.load(study);
    rail.addTo(model, study, Stage.GATHER);
    long counting =
        loaded.inRole(Work.Role.SOURCE).stream().filter(work -> !work.leftOut()).count();
    model.addAttribute("works", counting);
    model.addAttribute("waits", loaded.notLookedAt().size());
    model.addAttribute("answers", FirstAnswers.all(loaded));
    model.addAttribute("landmarks", Landmark.values());
    model.addAttribute("views", View.values());
    model.addAttribute("framings", Framing.values());
    model.addAttribute("moods", Mood.values());
    model.addAttribute("lights", new int[] {0, 45, 90, 135, 180, 225, 270, 315});
    model.addAttribute("canon", MarksFile.landmarksJson(Canon.realistic()));
  }
}
