package penmirror.web.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.coverage.Part;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.file.Resolution;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.telling.FirstWords;
import penmirror.core.words.Wording;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.FirstAnswers;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Scan;
import penmirror.web.studies.ScanStore;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;

/** What stands on the wall's page. */
@Component
class WallPage {
  private static final int ANSWERS_OF_A_WORK = 5;

  private final WallStore places;
  private final ScanStore scans;
  private final EvidenceFinder evidence;
  private final Wall wall;
  private final LookAlikes lookAlikes;
  private final CoverageTable coverage;
  private final ScopeStore scopes;
  private final SheetMaker sheets;
  private final Rail rail;
  private final MessageSource messages;

  WallPage(
      WallStore places,
      ScanStore scans,
      EvidenceFinder evidence,
      Wall wall,
      LookAlikes lookAlikes,
      CoverageTable coverage,
      ScopeStore scopes,
      SheetMaker sheets,
      Rail rail,
      MessageSource messages) {
    this.places = places;
    this.scans = scans;
    this.evidence = evidence;
    this.wall = wall;
    this.lookAlikes = lookAlikes;
    this.coverage = coverage;
    this.scopes = scopes;
    this.sheets = sheets;
    this.rail = rail;
    this.messages = messages;
  }

  /**
   * @param chosen the work that is shown large; the first one where it is empty
   * @param faults what could not be done just now
   */
  void addTo(
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
    LookAlikes.Undecided undecided =
        lookAlikes.undecided(study.id(), tiles.stream().map(Wall.Tile::work).toList());
    model.addAttribute("alike", undecided.pairs());
    model.addAttribute("moreAlike", undecided.more());
    model.addAttribute(
        "missingCredit", sources.stream().filter(t -> t.work().credit().isBlank()).count());
    model.addAttribute(
        "busy", tiles.stream().anyMatch(t -> t.isWaiting() || t.pixels().isUnderWay()));
    model.addAttribute("waiting", tiles.stream().filter(Wall.Tile::isWaiting).count());
    model.addAttribute("mixed", mixed(sources));
    Wall.Tile shown =
        tiles.stream()
            .filter(tile -> chosen.isPresent() && tile.work().id() == chosen.get())
            .findFirst()
            .orElse(tiles.isEmpty() ? null : tiles.get(0));
    model.addAttribute("chosen", shown);
    Loaded loaded = sheets.load(study);
    model.addAttribute("fromFile", loaded.isFromFile());
    model.addAttribute(
        "chosenMood", shown == null ? null : loaded.guessedMood(shown.work()).orElse(null));
    model.addAttribute("notLookedAt", loaded.isFromFile() ? 0 : loaded.notLookedAt().size());
    model.addAttribute(
        "glimpse",
        shown == null || !shown.isGlimpsed() || shown.work().role() != Work.Role.SOURCE
            ? List.of()
            : FirstWords.of(loaded.glimpsed(shown.work()), ANSWERS_OF_A_WORK));
    model.addAttribute("answers", FirstAnswers.of(loaded));
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
    if (tile.isGlimpsed()) {
      return sayings; // Sentences tell it; figures come once somebody has looked.
    }
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
