package penmirror.web.gather;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.multipart.MultipartFile;
import penmirror.core.coverage.Part;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.file.PictureFormat;
import penmirror.core.file.PictureLimits;
import penmirror.core.file.Resolution;
import penmirror.core.geometry.Reach;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.words.Wording;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.layout.Conflict;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sending.Sent;
import penmirror.web.sending.Submissions;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Scan;
import penmirror.web.studies.ScanStore;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The wall of works, and the door through which pictures come in. */
@Controller
class GatherController {
  private static final int LONGEST_NOTE = 500;

  private final StudyStore studies;
  private final WorkStore works;
  private final WallStore places;
  private final ScanStore scans;
  private final Intake intake;
  private final Describing describing;
  private final Splitting splitting;
  private final Submissions submissions;
  private final EvidenceFinder evidence;
  private final Wall wall;
  private final LookAlikes lookAlikes;
  private final CoverageTable coverage;
  private final ScopeStore scopes;
  private final SheetMaker sheets;
  private final Rail rail;
  private final MessageSource messages;

  GatherController(
      StudyStore studies,
      WorkStore works,
      WallStore places,
      ScanStore scans,
      Intake intake,
      Describing describing,
      Splitting splitting,
      Submissions submissions,
      EvidenceFinder evidence,
      Wall wall,
      LookAlikes lookAlikes,
      CoverageTable coverage,
      ScopeStore scopes,
      SheetMaker sheets,
      Rail rail,
      MessageSource messages) {
    this.studies = studies;
    this.works = works;
    this.places = places;
    this.scans = scans;
    this.intake = intake;
    this.describing = describing;
    this.splitting = splitting;
    this.submissions = submissions;
    this.evidence = evidence;
    this.wall = wall;
    this.lookAlikes = lookAlikes;
    this.coverage = coverage;
    this.scopes = scopes;
    this.sheets = sheets;
    this.rail = rail;
    this.messages = messages;
  }

  @GetMapping("/studies/{studyId}/gather")
  String page(
      Study study,
      @RequestParam Optional<Long> work,
      @RequestParam(defaultValue = "NUMBER") Wall.Order order,
      Model model) {
    fill(model, study, work, order, List.of());
    return "gather/page";
  }

  /** Takes any number of files; each that cannot be used is told, the others come in. */
  @PostMapping("/studies/{studyId}/works")
  String take(
      Study study,
      @RequestParam("files") List<MultipartFile> files,
      @RequestParam(defaultValue = "") String credit,
      @RequestHeader(name = "HX-Request", defaultValue = "false") boolean partial,
      Model model)
      throws IOException {
    Intake.Into into =
        new Intake.Into(
            study.id(),
            Work.Role.SOURCE,
            credit.isBlank() ? study.credit() : credit.strip(),
            View.FRONT);
    List<String> faults = new ArrayList<>();
    Optional<Long> newest = Optional.empty();
    for (MultipartFile file : files) {
      for (Intake.Named named : takeOne(file, into)) {
        if (named.outcome() instanceof Intake.Taken taken) {
          newest = Optional.of(taken.workId());
        }
        fault(named).ifPresent(faults::add);
      }
    }
    if (partial) {
      model.addAttribute("faults", faults);
      return "gather/outcome";
    }
    fill(model, study, newest, Wall.Order.NUMBER, faults);
    return "gather/page";
  }

  private List<Intake.Named> takeOne(MultipartFile file, Intake.Into into) throws IOException {
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    if (name.isEmpty() && file.isEmpty()) {
      return List.of(new Intake.Named("", new Intake.Refused(text("gather.none"))));
    }
    if (isZip(file)) {
      try (InputStream zipped = file.getInputStream()) {
        return intake.takeZip(zipped, into).stream()
            .map(
                n ->
                    new Intake.Named(
                        n.name().isEmpty() ? name : name + ", " + n.name(), n.outcome()))
            .toList();
      }
    }
    long limit = PictureLimits.DEFAULTS.fileBytes();
    if (file.getSize() > limit) {
      // Not even read into memory.
      String megabytes = Wording.number(file.getSize() / 1048576.0, 1);
      return List.of(
          new Intake.Named(
              "", new Intake.Refused(text("gather.large", name, megabytes, limit / 1048576))));
    }
    return List.of(
        new Intake.Named(name, intake.take(into, file.getBytes(), Intake.titleOf(name))));
  }

  /** An OpenRaster picture is a zip too, and not meant. */
  private static boolean isZip(MultipartFile file) throws IOException {
    try (InputStream start = file.getInputStream()) {
      byte[] bytes = start.readNBytes(64);
      return PictureFormat.isZip(bytes)
          && !new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1)
              .contains("mimetypeimage/openraster");
    }
  }

  private Optional<String> fault(Intake.Named named) {
    if (named.outcome() instanceof Intake.AlreadyHere here) {
      return Optional.of(
          text("gather.already", named.name(), here.work().number(), here.work().title()));
    }
    if (named.outcome() instanceof Intake.Refused refused) {
      return Optional.of(
          named.name().isEmpty()
              ? refused.reason()
              : text("gather.refused", named.name(), refused.reason()));
    }
    return named.outcome() instanceof Intake.Taken taken && taken.profileBroken()
        ? Optional.of(text("gather.profile.broken", named.name()))
        : Optional.empty();
  }

  @PostMapping("/studies/{studyId}/works/{workId}")
  String describe(
      Study study,
      @PathVariable long workId,
      WorkForm form,
      @RequestParam(defaultValue = "NUMBER") Wall.Order order,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    if (describing.describe(study.id(), workId, form) instanceof Describing.Outdated outdated) {
      response.setStatus(HttpStatus.CONFLICT.value());
      fill(model, study, Optional.of(workId), order, List.of());
      model.addAttribute(
          "conflict",
          Conflict.between(
              outdated.theirs(),
              outdated.mine(),
              request.getRequestURI(),
              request.getParameterMap(),
              outdated.now().version()));
      return "gather/page";
    }
    return "redirect:" + wallOf(study.id(), workId, order);
  }

  /** The same for many works; what the form leaves empty stays as it is in each. */
  @PostMapping("/studies/{studyId}/works/many")
  String describeMany(
      Study study,
      @RequestParam("works") List<Long> chosen,
      WorkForm form,
      @RequestParam(defaultValue = "NUMBER") Wall.Order order) {
    if (chosen.isEmpty()) {
      throw new RefusedException("gather.many.none");
    }
    describing.describeMany(study.id(), chosen, form);
    return "redirect:" + wallOf(study.id(), chosen.get(0), order);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/left-out")
  String leaveOut(Study study, Work work, @RequestParam boolean leftOut) {
    works.leaveOut(work.id(), leftOut);
    return "redirect:" + wallOf(study.id(), work.id(), Wall.Order.NUMBER);
  }

  @PostMapping("/studies/{studyId}/anchor")
  String anchor(@PathVariable long studyId, @RequestParam long work, @RequestParam boolean on) {
    Work chosen = works.require(studyId, work);
    places.setAnchor(studyId, on ? Optional.of(chosen.id()) : Optional.empty());
    return "redirect:" + wallOf(studyId, work, Wall.Order.NUMBER);
  }

  /** What is to become of two works that look alike. */
  enum Alike {
    BOTH,
    FIRST,
    SECOND
  }

  @PostMapping("/studies/{studyId}/alike")
  String decide(
      @PathVariable long studyId,
      @RequestParam long first,
      @RequestParam long second,
      @RequestParam Alike keep) {
    Work one = works.require(studyId, first);
    Work other = works.require(studyId, second);
    switch (keep) {
      case BOTH -> works.tellApart(one.id(), other.id());
      case FIRST -> works.leaveOut(other.id(), true);
      case SECOND -> works.leaveOut(one.id(), true);
    }
    return "redirect:" + wallOf(studyId, keep == Alike.SECOND ? second : first, Wall.Order.NUMBER);
  }

  @PostMapping("/studies/{studyId}/wall")
  String arrange(Study study, @RequestParam boolean free) {
    places.arrange(study.id(), free);
    return "redirect:/studies/" + study.id() + "/gather";
  }

  /** Where works were moved to. */
  record Moved(long work, double x, double y, double width, @Nullable Integer group) {}

  @PostMapping("/studies/{studyId}/places")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void move(Study study, @RequestBody List<Moved> moved) {
    Map<Long, WallStore.Place> newPlaces = new LinkedHashMap<>();
    for (Moved one : moved) {
      if (!Reach.holds(one.x()) || !Reach.holds(one.y()) || !Reach.holds(one.width())) {
        throw new RefusedException("fault.form.unreadable");
      }
      newPlaces.put(
          one.work(),
          new WallStore.Place(
              Math.max(0, Math.min(20_000, one.x())),
              Math.max(0, Math.min(20_000, one.y())),
              Math.max(40, Math.min(4000, one.width())),
              one.group() == null ? OptionalInt.empty() : OptionalInt.of(one.group())));
    }
    places.place(study.id(), newPlaces);
  }

  @PostMapping("/studies/{studyId}/improvise")
  String improvise(
      Study study,
      @RequestParam(defaultValue = "") String part,
      @RequestParam(defaultValue = "") String view,
      @RequestParam(defaultValue = "") String note,
      @RequestParam boolean on) {
    if (on) {
      places.improvise(
          study.id(),
          new WallStore.Improvised(
              known(part, Part.ofWord(part).isPresent()),
              known(view, Arrays.stream(View.values()).anyMatch(v -> v.word().equals(view))),
              Texts.cut(note, LONGEST_NOTE)));
    } else {
      places.reopen(study.id(), part, view);
    }
    return "redirect:/studies/" + study.id() + "/gather";
  }

  /** A word that is one of those that are known, or empty for all of them. */
  private static String known(String word, boolean isKnown) {
    if (!isKnown && !word.isEmpty()) {
      throw new RefusedException("fault.form.word", Texts.cut(word, 40));
    }
    return word;
  }

  /** A study of its own for one manner or one period; this one keeps all its works. */
  @PostMapping("/studies/{studyId}/split")
  String split(Study study, @RequestParam String word, Sent sent) {
    return submissions.once(
        sent,
        () -> "redirect:/studies/" + splitting.split(study, word).orElse(study.id()) + "/gather");
  }

  private static String wallOf(long studyId, long workId, Wall.Order order) {
    return "/studies/"
        + studyId
        + "/gather?work="
        + workId
        + (order == Wall.Order.NUMBER ? "" : "&order=" + order.name());
  }

  private void fill(
      Model model, Study study, Optional<Long> chosen, Wall.Order order, List<String> faults) {
    List<Wall.Row> rows = wall.rows(study.id(), order);
    List<Wall.Tile> tiles = rows.stream().flatMap(row -> row.tiles().stream()).toList();
    List<Wall.Tile> sources =
        tiles.stream().filter(tile -> tile.work().role() == Work.Role.SOURCE).toList();
    rail.addTo(model, study, Stage.GATHER);
    model.addAttribute("rows", rows);
    model.addAttribute("tiles", tiles);
    model.addAttribute("sourceCount", sources.size());
    model.addAttribute("faults", faults);
    model.addAttribute("views", View.values());
    model.addAttribute("framings", Framing.values());
    model.addAttribute("turns", Turn.values());
    model.addAttribute("kinds", Kind.values());
    model.addAttribute("moods", Mood.values());
    model.addAttribute("roles", Wall.ROLES);
    model.addAttribute("parts", Part.values());
    model.addAttribute("lights", List.of(0, 45, 90, 135, 180, 225, 270, 315));
    model.addAttribute("orders", Wall.Order.values());
    model.addAttribute("order", order);
    model.addAttribute("free", places.isFree(study.id()));
    model.addAttribute("coverage", coverage.of(study.id(), sources, scopes.part(study.id())));
    model.addAttribute(
        "alike", lookAlikes.undecided(study.id(), tiles.stream().map(Wall.Tile::work).toList()));
    model.addAttribute(
        "missingCredit", sources.stream().filter(t -> t.work().credit().isBlank()).count());
    model.addAttribute("reading", tiles.stream().anyMatch(t -> t.pixels().isUnderWay()));
    model.addAttribute("mixed", mixed(sources));
    Wall.Tile shown =
        tiles.stream()
            .filter(tile -> chosen.isPresent() && tile.work().id() == chosen.get())
            .findFirst()
            .orElse(tiles.isEmpty() ? null : tiles.get(0));
    model.addAttribute("chosen", shown);
    model.addAttribute("fromFile", sheets.load(study).isFromFile());
    model.addAttribute(
        "chosenMood",
        shown == null ? null : sheets.load(study).guessedMood(shown.work()).orElse(null));
    Optional<Scan> scan = shown == null ? Optional.empty() : scans.of(shown.work().id());
    model.addAttribute("scan", scan.orElse(null));
    model.addAttribute(
        "says", shown == null ? List.of() : says(shown, scan.flatMap(Scan::resolution)));
  }

  /** The manners and periods among the sources, where there is more than one. */
  private static List<String> mixed(List<Wall.Tile> sources) {
    List<String> mixed = new ArrayList<>();
    for (boolean manner : new boolean[] {true, false}) {
      List<String> kinds =
          sources.stream()
              .filter(tile -> !tile.work().leftOut())
              .map(t -> manner ? t.work().tags().manner() : t.work().tags().period())
              .filter(word -> !word.isEmpty())
              .distinct()
              .sorted()
              .toList();
      if (kinds.size() > 1) {
        mixed.addAll(kinds);
      }
    }
    return mixed;
  }

  /** A reading of the chosen work in words. */
  record Saying(String name, String value) {}

  private List<Saying> says(Wall.Tile tile, Optional<Resolution> resolution) {
    List<Saying> sayings = new ArrayList<>();
    resolution
        .flatMap(
            r ->
                tile.pixels()
                    .readings()
                    .flatMap(p -> p.estimate(LineMeasures.WIDTH))
                    .map(width -> r.millimetres(width.value())))
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
                    .filter(
                        reading ->
                            !measure.isFromPixels()
                                || MeasureCatalogue.toldFirst().contains(measure))
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

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
