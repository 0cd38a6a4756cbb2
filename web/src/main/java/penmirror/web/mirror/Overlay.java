package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;
import penmirror.core.move.Move;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.LandmarkAlignment;
import penmirror.core.words.Wording;
import penmirror.web.layout.SvgNumber;
import penmirror.web.sheets.Loaded;
import penmirror.web.studies.Work;

/**
 * The redraw laid over a source, in pixels of the source.
 *
 * @param matrix the redraw's transform, as SVG writes it
 * @param foldX where the fold stands at first: the axis of the source's head
 * @param by which landmarks brought them together; empty where they are scaled to one height
 * @param off points that lie elsewhere than on the source, the farthest first
 * @param unit a length that looks alike on pictures of any size, for marks
 */
record Overlay(
    int widthPixels,
    int heightPixels,
    String matrix,
    String foldX,
    Optional<LandmarkAlignment.By> by,
    String turned,
    String unit,
    List<Dot> dots,
    List<Miss> misses,
    List<Pin> pins,
    List<String> headLevels,
    List<Off> off) {
  /** So many points are named. */
  private static final int MOST_OFF = 6;

  /** Nearer than a hand marks the same point twice, in heads. */
  private static final double LEAST_OFF = 0.02;

  /**
   * A point of the redraw that lies elsewhere than on the work once both are laid over each other.
   *
   * @param percent of a head
   */
  record Off(String landmark, String percent) {}

  /** A landmark of the redraw. */
  record Dot(String x, String y, String key) {}

  /** From where a landmark is to where the fix puts it. */
  record Miss(String x, String y, String targetX, String targetY) {}

  /** A fix's number beside the place it mends. */
  record Pin(int number, String x, String y, String placeX, String placeY) {}

  /**
   * What a redraw can be laid over: the works, the own drawings it came from, and the attempts
   * before it.
   */
  static List<Work> beside(Loaded loaded, Work redraw) {
    List<Work> all = new ArrayList<>(loaded.inRole(Work.Role.SOURCE));
    all.addAll(loaded.inRole(Work.Role.CHARACTER));
    loaded.inRole(Work.Role.REDRAW).stream()
        .filter(work -> work.number() < redraw.number())
        .forEach(all::add);
    return all;
  }

  /** The one asked for, else the first work that has landmarks to align on, else the first. */
  static Optional<Work> source(Loaded loaded, Work redraw, Optional<Long> asked) {
    List<Work> sources = loaded.inRole(Work.Role.SOURCE);
    return beside(loaded, redraw).stream()
        .filter(work -> asked.isPresent() && work.id() == asked.get())
        .findFirst()
        .or(
            () ->
                sources.stream()
                    .filter(work -> loaded.evidence(work).marks().landmarks().size() > 3)
                    .findFirst())
        .or(() -> sources.stream().findFirst());
  }

  /**
   * @param asked by which landmarks; where one of the two has none of them, by all
   */
  static Overlay of(
      Work source,
      Marks sourceMarks,
      Work redraw,
      Marks redrawMarks,
      List<Fix> fixes,
      LandmarkAlignment.By asked) {
    Optional<LandmarkAlignment> some = LandmarkAlignment.of(sourceMarks, redrawMarks, asked);
    Optional<LandmarkAlignment> alignment =
        some.or(() -> LandmarkAlignment.of(sourceMarks, redrawMarks));
    double scale = source.heightPixels() / (double) redraw.heightPixels();
    Similarity transform =
        alignment.map(LandmarkAlignment::redrawToSource).orElse(new Similarity(scale, 0, 0, 0));
    double unit = Math.max(source.widthPixels(), source.heightPixels()) / 700.0;
    List<Miss> misses = new ArrayList<>();
    List<Pin> pins = new ArrayList<>();
    int number = 0;
    for (Fix fix : fixes) {
      number++;
      for (Move.Step move : fix.steps()) {
        Point from = redrawMarks.point(move.landmark()).orElseThrow();
        Point to = from.plus(new Point(move.dxPixels(), move.dyPixels()));
        misses.add(miss(transform.apply(from), transform.apply(to)));
      }
      pin(number, fix, redrawMarks, transform, source, unit).ifPresent(pins::add);
    }
    return new Overlay(
        source.widthPixels(),
        source.heightPixels(),
        String.format(
            Locale.ROOT,
            "matrix(%.6f %.6f %.6f %.6f %.3f %.3f)",
            transform.a(),
            transform.b(),
            -transform.b(),
            transform.a(),
            transform.shiftX(),
            transform.shiftY()),
        SvgNumber.of(
            sourceMarks
                .headFrame()
                .map(frame -> frame.crown().midpointTo(frame.chin()).x())
                .orElse(source.widthPixels() / 2.0)),
        alignment.map(found -> some.isPresent() ? asked : LandmarkAlignment.By.ALL),
        SvgNumber.of(Math.abs(transform.turnDegrees())),
        SvgNumber.of(unit),
        dots(redrawMarks, transform),
        misses,
        spread(pins, unit),
        levels(sourceMarks),
        alignment.map(Overlay::off).orElse(List.of()));
  }

  /** The farthest first. */
  private static List<Off> off(LandmarkAlignment alignment) {
    return alignment.residuals().stream()
        .filter(residual -> residual.heads() >= LEAST_OFF)
        .limit(MOST_OFF)
        .map(
            residual ->
                new Off(residual.landmark().key(), Wording.number(100 * residual.heads(), 0)))
        .toList();
  }

  private static Miss miss(Point from, Point to) {
    return new Miss(
        SvgNumber.of(from.x()), SvgNumber.of(from.y()), SvgNumber.of(to.x()), SvgNumber.of(to.y()));
  }

  /** At the right edge, at the height of what it mends. Empty for line, values and colours. */
  private static Optional<Pin> pin(
      int number, Fix fix, Marks marks, Similarity transform, Work source, double unit) {
    if (fix.steps().isEmpty()) {
      return Optional.empty();
    }
    Move.Step rightmost = fix.steps().get(0);
    for (Move.Step move : fix.steps()) {
      if (marks.point(move.landmark()).orElseThrow().x()
          > marks.point(rightmost.landmark()).orElseThrow().x()) {
        rightmost = move;
      }
    }
    Point place = transform.apply(marks.point(rightmost.landmark()).orElseThrow());
    double x = Math.min(source.widthPixels() - 16 * unit, place.x() + 120 * unit);
    return Optional.of(
        new Pin(
            number,
            SvgNumber.of(x),
            SvgNumber.of(place.y() - 20 * unit),
            SvgNumber.of(place.x()),
            SvgNumber.of(place.y())));
  }

  /** Pushes pins apart so that no two numbers lie on each other. */
  private static List<Pin> spread(List<Pin> pins, double unit) {
    List<Pin> sorted = new ArrayList<>(pins);
    sorted.sort((a, b) -> Double.compare(Double.parseDouble(a.y()), Double.parseDouble(b.y())));
    List<Pin> placed = new ArrayList<>();
    double lowest = 14 * unit;
    for (Pin pin : sorted) {
      double y = Math.max(Double.parseDouble(pin.y()), lowest);
      lowest = y + 30 * unit;
      placed.add(new Pin(pin.number(), pin.x(), SvgNumber.of(y), pin.placeX(), pin.placeY()));
    }
    return placed;
  }

  private static List<Dot> dots(Marks marks, Similarity transform) {
    List<Dot> dots = new ArrayList<>();
    for (Map.Entry<Landmark, Mark> entry : marks.landmarks().entrySet()) {
      entry
          .getValue()
          .point()
          .map(transform::apply)
          .ifPresent(
              p ->
                  dots.add(
                      new Dot(SvgNumber.of(p.x()), SvgNumber.of(p.y()), entry.getKey().key())));
    }
    return dots;
  }

  private static List<String> levels(Marks marks) {
    List<String> levels = new ArrayList<>();
    Optional<HeadFrame> frame = marks.headFrame();
    Optional<Point> sole = marks.point(Landmark.SOLE);
    if (frame.isPresent()) {
      double crown = frame.get().crown().y();
      double end = sole.map(Point::y).orElse(crown + frame.get().headPixels());
      for (int i = 0; crown + i * frame.get().headPixels() <= end + 1 && i < 30; i++) {
        levels.add(SvgNumber.of(crown + i * frame.get().headPixels()));
      }
    }
    return levels;
  }
}
