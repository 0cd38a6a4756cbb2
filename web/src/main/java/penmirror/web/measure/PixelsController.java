package penmirror.web.measure;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import penmirror.web.evidence.PixelReading;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/**
 * The block of pixel readings beside the bench, asked for by itself while a reading is under way.
 */
@Controller
class PixelsController {
  private final Bench bench;
  private final Marking marking;
  private final PixelReading pixelReading;

  PixelsController(Bench bench, Marking marking, PixelReading pixelReading) {
    this.bench = bench;
    this.marking = marking;
    this.pixelReading = pixelReading;
  }

  @GetMapping("/studies/{studyId}/works/{workId}/pixels")
  String show(Study study, Work work, Model model) {
    bench.addReadings(model, study, work, marking.newest(work).marks());
    return "measure/readings :: pixels";
  }

  @PostMapping("/studies/{studyId}/works/{workId}/pixels/stop")
  String stop(Study study, Work work, Model model) {
    pixelReading.stop(work);
    return show(study, work, model);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/pixels/again")
  String again(Study study, Work work, Model model) {
    pixelReading.wantAgain(work);
    return show(study, work, model);
  }
}
