package penmirror.web.gather;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import penmirror.core.figure.View;
import penmirror.core.file.Resolution;
import penmirror.core.measure.MeasureCatalogue;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Wording;
import penmirror.core.measure.line.LineMeasures;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Scan;
import penmirror.web.studies.ScanStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The wall of works, and the door through which pictures come in. */
@Controller
class GatherController {
  private final StudyStore studies;
  private final WorkStore works;
  private final ScanStore scans;
  private final Intake intake;
  private final EvidenceFinder evidence;
  private final PixelReadingStore pixelReadings;
  private final Rail rail;
  private final MessageSource messages;

  GatherController(
      StudyStore studies,
      WorkStore works,
      ScanStore scans,
      Intake intake,
      EvidenceFinder evidence,
      PixelReadingStore pixelReadings,
      Rail rail,
      MessageSource messages) {
    this.studies = studies;
    this.works = works;
    this.scans = scans;
    this.intake = intake;
    this.evidence = evidence;
    this.pixelReadings = pixelReadings;
    this.rail = rail;
    this.messages = messages;
  }

  /** A work on the wall with how far it is. */
  record Tile(Work work, int markCount, PixelReadingStore.Progress pixels, long widthAtHeight) {
    static final int HEIGHT_PIXELS = 196;
  }

  /** How many works show a view. */
  record ViewCount(View view, long count) {}

  @GetMapping("/studies/{studyId}/gather")
  String page(@PathVariable long studyId, @RequestParam Optional<Long> work, Model model) {
    Study study = studies.require(studyId);
    fill(model, study, work, List.of());
    return "gather/page";
  }

  /** Takes any number of files; each that cannot be used is told, the others come in. */
  @PostMapping("/studies/{studyId}/works")
  String take(
      @PathVariable long studyId,
      @RequestParam("files") List<MultipartFile> files,
      @RequestParam(defaultValue = "") String credit,
      @RequestHeader(name = "HX-Request", defaultValue = "false") boolean partial,
      Model model)
      throws IOException {
    Study study = studies.require(studyId);
    List<String> faults = new ArrayList<>();
    Optional<Long> newest = Optional.empty();
    for (MultipartFile file : files) {
      String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
      if (name.isEmpty() && file.isEmpty()) {
        faults.add(text("gather.none"));
        continue;
      }
      Intake.Outcome outcome =
          intake.take(
              studyId,
              file.getBytes(),
              Work.Role.SOURCE,
              Intake.titleOf(name),
              credit.isBlank() ? study.credit() : credit.strip(),
              View.FRONT);
      if (outcome instanceof Intake.Taken taken) {
        newest = Optional.of(taken.workId());
      } else if (outcome instanceof Intake.AlreadyHere here) {
        faults.add(text("gather.already", name, here.work().number(), here.work().title()));
      } else if (outcome instanceof Intake.Refused refused) {
        faults.add(text("gather.refused", name, refused.reason()));
      }
    }
    fill(model, study, newest, faults);
    return partial ? "gather/page :: gather" : "gather/page";
  }

  @PostMapping("/studies/{studyId}/works/{workId}")
  String describe(
      @PathVariable long studyId,
      @PathVariable long workId,
      @RequestParam String title,
      @RequestParam(defaultValue = "") String credit,
      @RequestParam View view) {
    Work work = works.require(studyId, workId);
    String newTitle = title.isBlank() ? work.title() : Work.cutTitle(title.strip());
    works.describe(workId, newTitle, cut(credit.strip(), 500), view);
    return "redirect:/studies/" + studyId + "/gather?work=" + workId;
  }

  @GetMapping("/pictures/{sha256}")
  ResponseEntity<byte[]> picture(@PathVariable String sha256) {
    WorkStore.PictureFile file = works.file(sha256);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(file.mediaType()))
        .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
        .header(HttpHeaders.ETAG, "\"" + sha256 + "\"")
        .body(file.bytes());
  }

  private void fill(Model model, Study study, Optional<Long> chosen, List<String> faults) {
    List<Tile> tiles = works.inRole(study.id(), Work.Role.SOURCE).stream().map(this::tile).toList();
    rail.addTo(model, study, Stage.GATHER);
    model.addAttribute("tiles", tiles);
    model.addAttribute("faults", faults);
    model.addAttribute("views", View.values());
    model.addAttribute(
        "viewCounts",
        java.util.Arrays.stream(View.values())
            .map(
                view ->
                    new ViewCount(
                        view, tiles.stream().filter(t -> t.work().view() == view).count()))
            .toList());
    model.addAttribute(
        "missingCredit", tiles.stream().filter(t -> t.work().credit().isBlank()).count());
    model.addAttribute("reading", tiles.stream().anyMatch(t -> t.pixels().isUnderWay()));
    Tile shown =
        tiles.stream()
            .filter(tile -> chosen.isPresent() && tile.work().id() == chosen.get())
            .findFirst()
            .orElse(tiles.isEmpty() ? null : tiles.get(0));
    model.addAttribute("chosen", shown);
    Optional<Scan> scan = shown == null ? Optional.empty() : scans.of(shown.work().id());
    model.addAttribute("scan", scan.orElse(null));
    model.addAttribute(
        "says", shown == null ? List.of() : says(shown, scan.flatMap(Scan::resolution)));
  }

  /** A reading of the chosen work in words. */
  record Saying(String name, String value) {}

  private List<Saying> says(Tile tile, Optional<Resolution> resolution) {
    List<Saying> sayings = new ArrayList<>();
    resolution
        .flatMap(
            r ->
                tile.pixels()
                    .readings()
                    .flatMap(PixelReadings::line)
                    .map(line -> r.millimetres(line.medianWidthPixels())))
        .ifPresent(
            width ->
                sayings.add(
                    new Saying(
                        text("gather.scan.width"),
                        text("gather.scan.millimetres", Wording.number(width, 2)))));
    MeasureCatalogue.readAll(evidence.of(tile.work()))
        .forEach(
            (measure, result) ->
                result
                    .reading()
                    .filter(reading -> measure != LineMeasures.WIDTH_BY_FIGURE)
                    .ifPresent(
                        reading ->
                            sayings.add(
                                new Saying(
                                    Wording.name(measure),
                                    Wording.number(measure.unit(), reading.value())
                                        + " "
                                        + Wording.unit(measure.unit())))));
    return sayings;
  }

  private Tile tile(Work work) {
    int marks = evidence.of(work).marks().landmarks().size();
    long width = Math.round(Tile.HEIGHT_PIXELS * work.widthPixels() / (double) work.heightPixels());
    return new Tile(work, marks, pixelReadings.progress(work.pictureSha256()), width);
  }

  private static String cut(String text, int longest) {
    return text.length() <= longest ? text : text.substring(0, longest);
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
