package penmirror.web.gather;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import penmirror.web.sending.Sent;
import penmirror.web.sending.Submissions;
import penmirror.web.studies.Study;

/** Begins a study with the pictures that were dropped, pasted or chosen on the first page. */
@Controller
class DroppedController {
  private final Dropping dropping;
  private final WallPage page;
  private final Submissions submissions;

  DroppedController(Dropping dropping, WallPage page, Submissions submissions) {
    this.dropping = dropping;
    this.page = page;
    this.submissions = submissions;
  }

  /** The study alone; the page that holds the pictures sends them to its wall one by one. */
  @PostMapping(path = "/studies/dropped", produces = MediaType.APPLICATION_JSON_VALUE)
  @ResponseBody
  Map<String, String> begin(@RequestParam(defaultValue = "") String name, Sent sent) {
    return Map.of(
        "wall", submissions.once(sent, () -> "/studies/" + dropping.begin(name).id() + "/gather"));
  }

  /** The study with its pictures, from a page without a script. */
  @PostMapping(path = "/studies/dropped", produces = MediaType.TEXT_HTML_VALUE)
  String beginWith(@RequestParam("files") List<MultipartFile> files, Model model)
      throws IOException {
    String first =
        files.isEmpty() ? "" : Optional.ofNullable(files.get(0).getOriginalFilename()).orElse("");
    Study study = dropping.begin(first);
    Uploads.Taken taken = dropping.take(study, files);
    page.addTo(model, study, taken.newest(), Wall.Order.NUMBER, taken.faults());
    return "gather/page";
  }
}
