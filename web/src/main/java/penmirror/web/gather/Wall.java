package penmirror.web.gather;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.Sight;
import penmirror.core.figure.Marks;
import penmirror.core.measure.PixelReadings;
import penmirror.core.proposal.FirstSight;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.evidence.SightStore;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What hangs on a study's wall, and in which order. */
@Component
public class Wall {
  static final List<Work.Role> ROLES =
      List.of(Work.Role.SOURCE, Work.Role.HELPER, Work.Role.PROCESS, Work.Role.CHARACTER);

  private final WorkStore works;
  private final WallStore places;
  private final EvidenceFinder evidence;
  private final MarkingStore markings;
  private final PixelReadingStore pixelReadings;
  private final SightStore sights;

  Wall(
      WorkStore works,
      WallStore places,
      EvidenceFinder evidence,
      MarkingStore markings,
      PixelReadingStore pixelReadings,
      SightStore sights) {
    this.sights = sights;
    this.works = works;
    this.places = places;
    this.evidence = evidence;
    this.markings = markings;
    this.pixelReadings = pixelReadings;
  }

  /** By what the wall is sorted. */
  public enum Order {
    NUMBER,
    VIEW,
    KIND,
    PERIOD,
    MANNER,
    COLOUR,
    VALUE;

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * A work on the wall with how far it is.
   *
   * @param parts what it is told to show
   * @param sight what is seen in it at first sight; empty once it is marked or before it was seen
   */
  public record Tile(
      Work work,
      int markCount,
      Optional<SightStore.Sight> sight,
      PixelReadingStore.Progress pixels,
      Set<Part> parts,
      Optional<WallStore.Place> place,
      boolean isAnchor) {

    /** Width of the tile before the script lays the rows, pixels. */
    public long widthPixels() {
      return Math.round(196.0 * work.widthPixels() / work.heightPixels());
    }

    /** Whether what stands of it is what the machine thinks and nobody has looked at. */
    public boolean isGlimpsed() {
      return !work.lookedAt() && sight.isPresent();
    }

    /** Whether the machine has yet to look at it. */
    public boolean isWaiting() {
      return !work.lookedAt() && sight.isEmpty() && markCount == 0;
    }

    /** Whether side or framing are more of a guess than most. */
    public boolean isDoubtful() {
      return sight
          .filter(
              seen ->
                  seen.seen().view().filter(FirstSight.Seen::isSure).isEmpty()
                      || seen.seen().framing().filter(FirstSight.Seen::isSure).isEmpty())
          .isPresent();
    }

    /** Width over height. */
    public double ratio() {
      return work.widthPixels() / (double) work.heightPixels();
    }

    /** The words of its parts, with commas. */
    public String partWords() {
      return parts.stream().map(Part::word).collect(Collectors.joining(","));
    }

    /** Seen in any list of works as a number and a title. */
    public String caption() {
      return work.number() + " " + work.title();
    }
  }

  /** Tiles of one role. */
  public record Row(Work.Role role, List<Tile> tiles) {}

  public List<Row> rows(long studyId, Order order) {
    // Asked for once and not once a work: a wall may hold hundreds.
    Known known =
        new Known(
            markings.newestOf(studyId),
            sights.ofStudy(studyId),
            pixelReadings.progressOf(studyId),
            works.saidPartsOf(studyId),
            places.places(studyId),
            places.anchor(studyId));
    List<Row> rows = new ArrayList<>();
    for (Work.Role role : ROLES) {
      List<Tile> tiles =
          works.inRole(studyId, role).stream()
              .map(work -> tile(work, known))
              .sorted(comparator(order))
              .toList();
      if (!tiles.isEmpty()) {
        rows.add(new Row(role, tiles));
      }
    }
    return rows;
  }

  /** What is known of a study's works, each by its id. */
  private record Known(
      Map<Long, Marks> marks,
      Map<Long, SightStore.Sight> sights,
      Map<Long, PixelReadingStore.Progress> pixels,
      Map<Long, Map<String, Boolean>> saidParts,
      Map<Long, WallStore.Place> places,
      Optional<Long> anchor) {}

  private static Tile tile(Work work, Known known) {
    Marks marks = known.marks().getOrDefault(work.id(), Marks.none(work.view()));
    Optional<SightStore.Sight> sight =
        marks.isEmpty() ? Optional.ofNullable(known.sights().get(work.id())) : Optional.empty();
    Marks seen = sight.map(SightStore.Sight::marks).orElse(marks);
    return new Tile(
        work,
        marks.landmarks().size(),
        sight,
        known.pixels().getOrDefault(work.id(), PixelReadingStore.NOT_BEGUN),
        sight(work, seen, parts(known.saidParts().getOrDefault(work.id(), Map.of()))).parts(),
        Optional.ofNullable(known.places().get(work.id())),
        known.anchor().filter(id -> id == work.id()).isPresent());
  }

  /** What a work shows by itself, before anybody said more. */
  Sight sightBeforeWords(Work work) {
    return sight(work, evidence.of(work).marks(), Map.of());
  }

  /** What the wall counts a work to show. */
  Sight sight(Work work) {
    return sight(work, evidence.of(work).marks(), parts(works.saidParts(work.id())));
  }

  private static Sight sight(Work work, Marks marks, Map<Part, Boolean> said) {
    return Sight.of(
        work.view(), work.tags().framing(), work.tags().lightDegrees().isPresent(), marks, said);
  }

  private static Map<Part, Boolean> parts(Map<String, Boolean> words) {
    Map<Part, Boolean> said = new EnumMap<>(Part.class);
    words.forEach((word, shown) -> Part.ofWord(word).ifPresent(part -> said.put(part, shown)));
    return said;
  }

  /** Equal works keep their numbers' order; what was not said or read comes last. */
  private static Comparator<Tile> comparator(Order order) {
    Comparator<Tile> byNumber = Comparator.comparingInt(tile -> tile.work().number());
    Comparator<Tile> first =
        switch (order) {
          case NUMBER -> byNumber;
          case VIEW -> Comparator.comparing(tile -> tile.work().view());
          case KIND ->
              Comparator.comparing(
                  tile -> tile.work().tags().kind().map(Enum::ordinal).orElse(Integer.MAX_VALUE));
          case PERIOD -> Comparator.comparing(tile -> last(tile.work().tags().period()));
          case MANNER -> Comparator.comparing(tile -> last(tile.work().tags().manner()));
          case COLOUR -> Comparator.comparingDouble(Wall::hue);
          case VALUE -> Comparator.comparingDouble(Wall::lightness);
        };
    return first.thenComparing(byNumber);
  }

  private static String last(String text) {
    return text.isEmpty() ? "\uFFFF" : text.toLowerCase(Locale.ROOT);
  }

  /** Hue of what carries most colour, degrees; greys stand behind. */
  private static double hue(Tile tile) {
    return swatches(tile).stream()
        .max(Comparator.comparingDouble(s -> s.shareOfFigure() * chroma(s.colour())))
        .filter(s -> chroma(s.colour()) > 0.02)
        .map(s -> (Math.toDegrees(Math.atan2(s.colour().b(), s.colour().a())) + 360) % 360)
        .orElse(Double.MAX_VALUE);
  }

  private static double chroma(OkLab colour) {
    return Math.hypot(colour.a(), colour.b());
  }

  /** Mean lightness of the figure, dark first. */
  private static double lightness(Tile tile) {
    List<Swatch> swatches = swatches(tile);
    double share = swatches.stream().mapToDouble(Swatch::shareOfFigure).sum();
    return share == 0
        ? Double.MAX_VALUE
        : swatches.stream().mapToDouble(s -> s.shareOfFigure() * s.colour().lightness()).sum()
            / share;
  }

  private static List<Swatch> swatches(Tile tile) {
    return tile.pixels().readings().map(PixelReadings::swatches).orElse(List.of());
  }
}
