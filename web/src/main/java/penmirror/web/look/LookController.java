package penmirror.web.look;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.PickFinder;
import penmirror.core.coverage.PickFinder.Candidate;
import penmirror.core.coverage.PickFinder.Case;
import penmirror.core.figure.Framing;
import penmirror.core.figure.View;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.geometry.Reach;
import penmirror.core.raster.Picture;
import penmirror.web.gather.Intake;
import penmirror.web.gather.Wall;
import penmirror.web.layout.RefusedException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** One work with everything laid over it, and which works to look at for a part. */
@Controller
class LookController {
  private static final int MOST_SUGGESTED = 6;
  private static final double SMALLEST_BOX = 8;
  private static final String VERSION_HEADER = "X-Version";

  private final StudyStore studies;
  private final WorkStore works;
  private final PictureStore pictures;
  private final LookStore looks;
  private final PictureOpener opener;
  private final Intake intake;
  private final Wall wall;
  private final Rail rail;
  private final MessageSource messages;

  LookController(
      StudyStore studies,
      WorkStore works,
      PictureStore pictures,
      LookStore looks,
      PictureOpener opener,
      Intake intake,
      Wall wall,
      Rail rail,
      MessageSource messages) {
    this.studies = studies;
    this.works = works;
    this.pictures = pictures;
    this.looks = looks;
    this.opener = opener;
    this.intake = intake;
    this.wall = wall;
    this.rail = rail;
    this.messages = messages;
  }

  /** A part in the list, with how many boxes were picked for it. */
  record PartLine(Part part, long picks, boolean chosen) {}

  /**
   * A pick with its work.
   *
   * @param viewBox what of the picture is seen
   * @param lightDiffers whether its light is more than 30° off that of the first pick of the part
   */
  record Picked(LookStore.Pick pick, Work work, String viewBox, boolean lightDiffers) {}

  /** A work to look at for the part. */
  record Suggested(Work work, boolean mirrored, boolean lightDiffers, boolean isAnchor) {}

  @GetMapping("/studies/{studyId}/works/{workId}/look")
  String page(Study study, Work work, @RequestParam(defaultValue = "EYES") Part part, Model model) {

    List<Wall.Tile> tiles = shown(study.id());
    Map<Long, Work> byId =
        tiles.stream().collect(Collectors.toMap(t -> t.work().id(), Wall.Tile::work));
    List<LookStore.Pick> picks = looks.picks(study.id());
    rail.addTo(model, study, Stage.GATHER);
    model.addAttribute("work", work);
    model.addAttribute("part", part);
    model.addAttribute(
        "partLines",
        Arrays.stream(Part.values())
            .map(
                p ->
                    new PartLine(
                        p,
                        picks.stream().filter(pick -> pick.part().equals(p.word())).count(),
                        p == part))
            .toList());
    model.addAttribute("picked", picked(picks, byId, part));
    List<Suggested> suggested = suggested(tiles, part);
    model.addAttribute("suggested", suggested);
    model.addAttribute(
        "mirrored", suggested.stream().anyMatch(s -> s.work().id() == work.id() && s.mirrored()));
    model.addAttribute("boxes", picks.stream().filter(p -> p.workId() == work.id()).toList());
    LookStore.Notes notes = looks.notes(work.id());
    model.addAttribute("notes", notes.shapes());
    model.addAttribute("notesVersion", notes.version());
    return "look/page";
  }

  @PostMapping("/studies/{studyId}/works/{workId}/picks")
  String pick(
      Study study,
      Work work,
      @RequestParam Part part,
      @RequestParam double x,
      @RequestParam double y,
      @RequestParam double width,
      @RequestParam double height,
      @RequestParam(defaultValue = "false") boolean mirrored) {
    box(work, x, y, width, height)
        .ifPresent(box -> looks.pick(work.id(), part.word(), box, mirrored));
    return "redirect:" + here(study.id(), work.id(), part);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/picks/{pickId}/remove")
  String unpick(Study study, Work work, @PathVariable long pickId, @RequestParam Part part) {
    looks.unpick(study.id(), pickId);
    return "redirect:" + here(study.id(), work.id(), part);
  }

  /** Frames one figure of several as a work of its own; the picture itself then stays out. */
  @PostMapping("/studies/{studyId}/works/{workId}/figures")
  String frame(
      Study study,
      Work work,
      @RequestParam double x,
      @RequestParam double y,
      @RequestParam double width,
      @RequestParam double height,
      @RequestParam(defaultValue = "") String title)
      throws UnusablePictureException {

    Optional<LookStore.Box> box = box(work, x, y, width, height);
    if (box.isEmpty()) {
      return "redirect:" + here(study.id(), work.id(), Part.EYES);
    }
    byte[] png =
        opener.open(
            pictures.file(work.pictureSha256()).bytes(),
            opened -> PngWriter.write(cut(opened.picture(), box.get()), Optional.empty()));
    String named = title.isBlank() ? text("look.figure.of", work.title()) : title;
    Intake.Outcome outcome =
        intake.take(
            new Intake.Into(study.id(), work.role(), work.credit(), work.view()),
            png,
            Work.cutTitle(named),
            placed -> {
              if (placed.isNew()) {
                works.tag(placed.work().id(), work.tags());
                looks.noteFraming(placed.work().id(), work.id());
                works.leaveOut(work.id(), true);
              }
            });
    if (outcome instanceof Intake.Taken taken) {
      return "redirect:/studies/" + study.id() + "/gather?work=" + taken.workId();
    }
    if (outcome instanceof Intake.Refused refused) {
      throw new RefusedException("look.figure.refused", refused.reason());
    }
    return outcome instanceof Intake.AlreadyHere here
        ? "redirect:/studies/" + study.id() + "/gather?work=" + here.work().id()
        : "redirect:" + here(study.id(), work.id(), Part.EYES);
  }

  /** Keeps notes drawn from a version; where another save came in between, answers with those. */
  @PostMapping("/studies/{studyId}/works/{workId}/notes")
  ResponseEntity<String> keepNotes(
      Study study,
      Work work,
      @RequestHeader(VERSION_HEADER) int madeFrom,
      @RequestBody String shapes) {
    String checked;
    try {
      checked = DrawnNotes.checked(shapes);
    } catch (IllegalArgumentException e) {
      return ResponseEntity.status(HttpStatus.BAD_REQUEST).body(e.getMessage());
    }
    OptionalInt kept = looks.keepNotes(work.id(), madeFrom, checked);
    if (kept.isPresent()) {
      return ResponseEntity.noContent()
          .header(VERSION_HEADER, Integer.toString(kept.getAsInt()))
          .build();
    }
    LookStore.Notes newest = looks.notes(work.id());
    return ResponseEntity.status(HttpStatus.CONFLICT)
        .header(VERSION_HEADER, Integer.toString(newest.version()))
        .contentType(MediaType.APPLICATION_JSON)
        .body(newest.shapes());
  }

  private static BufferedImage cut(Picture whole, LookStore.Box box) {
    return whole
        .cropped(
            (int) Math.round(box.x()),
            (int) Math.round(box.y()),
            (int) Math.round(box.width()),
            (int) Math.round(box.height()))
        .toImage();
  }

  private List<Wall.Tile> shown(long studyId) {
    return wall.rows(studyId, Wall.Order.NUMBER).stream()
        .flatMap(row -> row.tiles().stream())
        .toList();
  }

  private static List<Picked> picked(List<LookStore.Pick> picks, Map<Long, Work> byId, Part part) {
    List<Picked> chosen = new ArrayList<>();
    for (LookStore.Pick pick : picks) {
      Work work = byId.get(pick.workId());
      if (work == null || !pick.part().equals(part.word())) {
        continue;
      }
      boolean differs =
          !chosen.isEmpty()
              && PickFinder.lightDiffers(
                  chosen.get(0).work().tags().lightDegrees(), work.tags().lightDegrees());
      LookStore.Box box = pick.box();
      chosen.add(
          new Picked(
              pick,
              work,
              String.format(
                  Locale.ROOT, "%.1f %.1f %.1f %.1f", box.x(), box.y(), box.width(), box.height()),
              differs));
    }
    return chosen;
  }

  /** Closest to the character as it is tagged, or to a plain front figure before there is one. */
  private static List<Suggested> suggested(List<Wall.Tile> tiles, Part part) {
    Case inHand =
        tiles.stream()
            .filter(tile -> tile.work().role() == Work.Role.CHARACTER)
            .map(tile -> caseOf(tile.work()))
            .findFirst()
            .orElse(
                new Case(
                    View.FRONT,
                    Optional.empty(),
                    java.util.OptionalInt.empty(),
                    Optional.of(Framing.FULL)));
    Map<Long, Wall.Tile> candidates =
        tiles.stream()
            .filter(tile -> tile.work().role() != Work.Role.CHARACTER && !tile.work().leftOut())
            .collect(Collectors.toMap(tile -> tile.work().id(), tile -> tile));
    return PickFinder.nearest(
            inHand,
            candidates.values().stream()
                .map(t -> new Candidate(t.work().id(), caseOf(t.work()), t.isAnchor()))
                .toList(),
            candidate ->
                Optional.ofNullable(candidates.get(candidate.id()))
                    .filter(tile -> tile.parts().contains(part))
                    .isPresent())
        .stream()
        .limit(MOST_SUGGESTED)
        .flatMap(
            pick ->
                Optional.ofNullable(candidates.get(pick.id())).stream()
                    .map(
                        tile ->
                            new Suggested(
                                tile.work(),
                                pick.mirrored(),
                                pick.lightDiffers(),
                                tile.isAnchor())))
        .toList();
  }

  private static Case caseOf(Work work) {
    return new Case(
        work.view(), work.tags().turn(), work.tags().lightDegrees(), work.tags().framing());
  }

  /** Cut to the picture; empty for one too small to be meant. */
  private static Optional<LookStore.Box> box(
      Work work, double x, double y, double width, double height) {
    if (!Reach.holds(x) || !Reach.holds(y) || !Reach.holds(width) || !Reach.holds(height)) {
      throw new RefusedException("fault.form.unreadable");
    }
    double left = Math.max(0, Math.min(work.widthPixels(), x));
    double top = Math.max(0, Math.min(work.heightPixels(), y));
    double right = Math.max(left, Math.min(work.widthPixels(), x + width));
    double bottom = Math.max(top, Math.min(work.heightPixels(), y + height));
    return right - left < SMALLEST_BOX || bottom - top < SMALLEST_BOX
        ? Optional.empty()
        : Optional.of(new LookStore.Box(left, top, right - left, bottom - top));
  }

  private static String here(long studyId, long workId, Part part) {
    return "/studies/" + studyId + "/works/" + workId + "/look?part=" + part.name();
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
