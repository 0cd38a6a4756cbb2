package penmirror.core.card;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.geometry.Point;
import penmirror.core.measure.line.LinePlaces;
import penmirror.core.measure.line.Station;
import penmirror.core.statistics.Sample;

/**
 * How heavy the works' line is at each place of a figure.
 *
 * @param places that enough works tell, from the top down
 * @param awayFromLight width on the side away from the light over that toward it, median over the
 *     works with a light from aside; empty where too few have one
 * @param works that told a place
 */
public record LinesByPlace(List<Placed> places, OptionalDouble awayFromLight, int works) {
  /** Fewer works make no rule of a place. */
  private static final int LEAST_WORKS = 3;

  /** A line off by more than this share is seen beside the other. */
  private static final double SEEN = 0.2;

  /** A light from straight above has no side away from it; sine of its angle. */
  private static final double FROM_ASIDE = 0.3;

  public LinesByPlace {
    places = List.copyOf(places);
  }

  /**
   * One place over the works.
   *
   * @param overUsual width over the usual line of its work, median over works; empty where all
   *     leave it open
   * @param open works that leave it open on every side that can be told
   */
  public record Placed(Station station, OptionalDouble overUsual, int open, int works) {
    /** Whether more works leave it open than not. */
    public boolean isOpen() {
      return 2 * open > works;
    }
  }

  /**
   * One work.
   *
   * @param lightDegrees where its light comes from, clockwise from straight above
   */
  public record Work(List<LinePlaces.Seen> seen, OptionalDouble lightDegrees) {
    public Work {
      seen = List.copyOf(seen);
    }
  }

  /**
   * One drawing to be held against the works.
   *
   * @param usualThousandths width of its lines over its head
   */
  public record Drawing(List<LinePlaces.Seen> seen, double usualThousandths) {
    public Drawing {
      seen = List.copyOf(seen);
    }
  }

  /**
   * A place of a drawing beside the same place of the works; widths in thousandths of a head.
   *
   * @param theirs empty where the works leave it open
   * @param own empty where the drawing leaves it open, or where it is not told
   * @param at where it was looked at, on both sides, pixels of the drawing; none where it is not
   *     told
   */
  public record Compared(
      Station station, OptionalDouble theirs, OptionalDouble own, List<Point> at) {
    public Compared {
      at = List.copyOf(at);
    }

    /** Whether somebody would see the difference. */
    public boolean isOff() {
      if (at.isEmpty()) {
        return false;
      }
      return theirs.isPresent() && own.isPresent()
          ? Math.abs(own.getAsDouble() / theirs.getAsDouble() - 1) > SEEN
          : theirs.isPresent() != own.isPresent();
    }
  }

  /**
   * Every place that the works tell, from the top down.
   *
   * @param usualThousandths width of the works' lines over their heads
   */
  public List<Compared> compared(double usualThousandths, Optional<Drawing> drawing) {
    return places.stream()
        .map(
            placed -> {
              List<LinePlaces.Seen> here =
                  drawing.map(Drawing::seen).orElse(List.of()).stream()
                      .filter(seen -> seen.station() == placed.station())
                      .toList();
              return new Compared(
                  placed.station(),
                  placed.isOpen()
                      ? OptionalDouble.empty()
                      : scaled(placed.overUsual(), usualThousandths),
                  scaled(
                      at(placed.station(), here),
                      drawing.map(Drawing::usualThousandths).orElse(0.0)),
                  here.stream().map(LinePlaces.Seen::place).toList());
            })
        .toList();
  }

  private static OptionalDouble scaled(OptionalDouble overUsual, double usual) {
    return overUsual.isPresent()
        ? OptionalDouble.of(overUsual.getAsDouble() * usual)
        : OptionalDouble.empty();
  }

  /** Empty where no place is told by enough works. */
  public static Optional<LinesByPlace> of(List<Work> works) {
    List<Placed> places = new ArrayList<>();
    for (Station station : Station.values()) {
      placed(station, works).ifPresent(places::add);
    }
    return places.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new LinesByPlace(
                places,
                awayFromLight(works),
                (int) works.stream().filter(work -> !work.seen().isEmpty()).count()));
  }

  private static Optional<Placed> placed(Station station, List<Work> works) {
    List<Double> widths = new ArrayList<>();
    int open = 0;
    int told = 0;
    for (Work work : works) {
      List<LinePlaces.Seen> here =
          work.seen().stream().filter(seen -> seen.station() == station).toList();
      if (!here.isEmpty()) {
        told++;
        OptionalDouble width = at(station, here);
        if (width.isPresent()) {
          widths.add(width.getAsDouble());
        } else {
          open++;
        }
      }
    }
    return told < LEAST_WORKS
        ? Optional.empty()
        : Optional.of(new Placed(station, median(widths), open, told));
  }

  private static OptionalDouble median(List<Double> values) {
    return values.isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(Sample.of(values.stream().mapToDouble(d -> d).toArray()).median());
  }

  private static OptionalDouble awayFromLight(List<Work> works) {
    List<Double> ratios = new ArrayList<>();
    for (Work work : works) {
      double aside = Math.sin(Math.toRadians(work.lightDegrees().orElse(0)));
      if (Math.abs(aside) >= FROM_ASIDE) {
        boolean awayIsRight = aside < 0;
        List<Double> ofWork = new ArrayList<>();
        sides(work)
            .values()
            .forEach(
                side -> {
                  double left = side[0];
                  double right = side[1];
                  if (left > 0 && right > 0) {
                    ofWork.add(awayIsRight ? right / left : left / right);
                  }
                });
        median(ofWork).ifPresent(ratios::add);
      }
    }
    return ratios.size() < LEAST_WORKS ? OptionalDouble.empty() : median(ratios);
  }

  /** Widths on the left and the right of each place; 0 where nothing is told. */
  private static Map<Station, double[]> sides(Work work) {
    Map<Station, double[]> sides = new EnumMap<>(Station.class);
    for (LinePlaces.Seen seen : work.seen()) {
      seen.overUsual()
          .ifPresent(
              width ->
                  sides
                          .computeIfAbsent(seen.station(), key -> new double[2])[
                          seen.onRight() ? 1 : 0] =
                      width);
    }
    return sides;
  }

  /**
   * How heavy one drawing's line is at a place, both sides together; empty where it is open there
   * or not told.
   */
  private static OptionalDouble at(Station station, List<LinePlaces.Seen> drawing) {
    return drawing.stream()
        .filter(seen -> seen.station() == station && seen.overUsual().isPresent())
        .mapToDouble(seen -> seen.overUsual().getAsDouble())
        .average();
  }

  /** Width at a place over the usual line; empty where it is open or not told. */
  OptionalDouble at(Station station) {
    return places.stream()
        .filter(placed -> placed.station() == station && !placed.isOpen())
        .map(Placed::overUsual)
        .findFirst()
        .orElse(OptionalDouble.empty());
  }
}
