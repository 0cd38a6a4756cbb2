package penmirror.core.measure.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigurePixels;
import penmirror.core.statistics.WeightedSample;

/**
 * How wide the line is at the stations of a figure, and where it is left open.
 *
 * <p>At a landmark that a line runs through it is the line whose middle lies nearest, within {@link
 * #REACH_HEADS} and half its width. Beside a limb it is the outline that is met first, square to
 * the bone, where the figure ends. Where a line is there but joins another, or is too broad to be a
 * line, nothing is said.
 */
public final class LinePlaces {
  /** Landmarks are marked within about a hundredth; more would find the neighbour's line. */
  private static final double REACH_HEADS = 0.03;

  /** No limb is broader to one side. */
  private static final double LIMB_HEADS = 0.6;

  /** More is no line but a black, in which no line can be told. */
  private static final double MOST_DARK = 0.6;

  /** OKLab lightness; what is so little lighter than the line hides it. */
  private static final double HARDLY_LIGHTER = 0.15;

  /** So much of the line to both sides of a station makes its width. */
  private static final double ALONG_HEADS = 0.05;

  private final DrawnLines lines;

  /** How heavy the line is, pixels of the copy. */
  private final double usual;

  private final FigurePixels figure;
  private final Marks marks;
  private final double headPixels;
  private final double lineLightness;

  private LinePlaces(DrawnLines lines, FigurePixels figure, Marks marks, double headPixels) {
    this.lines = lines;
    this.figure = figure;
    this.marks = marks;
    this.headPixels = headPixels;
    this.lineLightness = lightness(lines);
    this.usual = LineFacts.weight(lines, figure);
  }

  /**
   * The line at one place.
   *
   * @param onRight whether it is on the right side of the picture; false on the middle line
   * @param place where it was met, or where none was, pixels of the picture
   * @param overUsual width over how heavy the line is all in all, above 0; empty where the line is
   *     left open
   */
  public record Seen(Station station, boolean onRight, Point place, OptionalDouble overUsual) {}

  /** Every station that can be told, both sides each; none without a head's frame. */
  public static List<Seen> of(DrawnLines lines, FigurePixels figure, Marks marks) {
    return marks
        .headFrame()
        .map(head -> new LinePlaces(lines, figure, marks, head.headPixels()).seen())
        .orElse(List.of());
  }

  private List<Seen> seen() {
    List<Seen> all = new ArrayList<>();
    for (Station station : Station.values()) {
      place(station, false).flatMap(at -> look(station, false, at)).ifPresent(all::add);
      if (!station.isMiddle()) {
        place(station, true).flatMap(at -> look(station, true, at)).ifPresent(all::add);
      }
    }
    return all;
  }

  private Optional<Point> place(Station station, boolean otherSide) {
    List<Point> points = new ArrayList<>();
    for (Landmark landmark : station.landmarks()) {
      Optional<Point> seen = marks.seen(otherSide ? landmark.mirrored() : landmark);
      if (seen.isEmpty()) {
        return Optional.empty(); // What is covered has no line to look at.
      }
      points.add(seen.get());
    }
    return station.isLimb() ? edge(points.get(0), points.get(1)) : Optional.of(points.get(0));
  }

  /** Where the figure ends beside the middle of a bone, away from the figure's axis. */
  private Optional<Point> edge(Point from, Point to) {
    Point middle = from.midpointTo(to);
    Point along = to.minus(from);
    if (along.length() < 1) {
      return Optional.empty();
    }
    Point across = new Point(-along.y(), along.x()).times(1 / along.length());
    double axis = marks.require(Landmark.CROWN).x();
    Point out = (middle.x() < axis) == (across.x() < 0) ? across : across.times(-1);
    for (double t = 0; t < LIMB_HEADS * headPixels; t += figure.factor()) {
      Point at = middle.plus(out.times(t));
      if (!figure.isFigure(at.x(), at.y())) {
        return t == 0 ? Optional.empty() : Optional.of(at);
      }
    }
    return Optional.empty(); // It lies on the body, or leaves the picture.
  }

  /** A point of a stroke. */
  private record Near(Stroke stroke, int index, double apart) {}

  private Optional<Seen> look(Station station, boolean onRight, Point place) {
    double reach = REACH_HEADS * headPixels;
    double dark = darkShare(place, reach);
    if (dark > MOST_DARK) {
      return Optional.empty();
    }
    Near nearest = null;
    double unclear = Double.POSITIVE_INFINITY;
    for (Stroke stroke : lines.strokes()) {
      for (int i = 0; i < stroke.size(); i++) {
        double apart =
            Math.hypot(
                lines.toPicture(stroke.xs()[i]) - place.x(),
                lines.toPicture(stroke.ys()[i]) - place.y());
        double half = stroke.isRead(i) ? stroke.widths()[i] * lines.factor() / 2 : reach;
        if (apart <= reach + half) {
          if (!stroke.isClear(i)) {
            unclear = Math.min(unclear, apart);
          } else if (nearest == null || apart < nearest.apart()) {
            nearest = new Near(stroke, i, apart);
          }
        }
      }
    }
    // A line that cannot be read hides the one behind it.
    if (nearest != null && nearest.apart() <= unclear + lines.medianWidthPixels() / 2) {
      return Optional.of(
          new Seen(station, onRight, place, OptionalDouble.of(widthAbout(nearest) / usual)));
    }
    return nearest != null || unclear < Double.POSITIVE_INFINITY || dark > 0
        ? Optional.empty()
        : Optional.of(new Seen(station, onRight, place, OptionalDouble.empty()));
  }

  /** How much of what lies about a place is about as dark as the line: [0, 1]. */
  private double darkShare(Point place, double reach) {
    double step = figure.factor();
    int dark = 0;
    int all = 0;
    for (double dy = -reach; dy <= reach; dy += step) {
      for (double dx = -reach; dx <= reach; dx += step) {
        int index = figure.coarseIndex(place.x() + dx, place.y() + dy);
        dark += figure.colours().lightness(index) < lineLightness + HARDLY_LIGHTER ? 1 : 0;
        all++;
      }
    }
    return dark / (double) all;
  }

  /** Median over the length of all lines, OKLab. */
  private static double lightness(DrawnLines lines) {
    WeightedSample.Builder sample = WeightedSample.builder();
    int width = lines.working().widthPixels();
    for (Stroke stroke : lines.strokes()) {
      for (int i = 0; i < stroke.size(); i++) {
        if (stroke.isClear(i)) {
          int x = Math.max(0, Math.min(width - 1, (int) Math.round(stroke.xs()[i])));
          int y =
              Math.max(
                  0,
                  Math.min(lines.working().heightPixels() - 1, (int) Math.round(stroke.ys()[i])));
          int rgb = lines.working().rgb(y * width + x);
          sample.add(OkLab.from(EncodedSrgb.fromRgb(rgb)).lightness(), stroke.steps()[i]);
        }
      }
    }
    return sample.build().median();
  }

  /** Mean along the line, pixels of the copy. */
  private double widthAbout(Near near) {
    double along = ALONG_HEADS * headPixels / lines.factor();
    double sum = 0;
    double length = 0;
    for (int step : new int[] {-1, 1}) {
      double gone = 0;
      for (int i = step < 0 ? near.index() : near.index() + 1;
          i >= 0 && i < near.stroke().size() && gone <= along;
          i += step) {
        gone += near.stroke().steps()[i];
        if (near.stroke().isClear(i)) {
          sum += near.stroke().widths()[i] * near.stroke().steps()[i];
          length += near.stroke().steps()[i];
        }
      }
    }
    return length > 0 ? sum / length : near.stroke().widths()[near.index()];
  }
}
