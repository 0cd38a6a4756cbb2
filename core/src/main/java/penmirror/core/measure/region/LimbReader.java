package penmirror.core.measure.region;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigurePixels;
import penmirror.core.measure.Findings;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.region.LimbMeasures.Limb;
import penmirror.core.measure.shade.Materials;
import penmirror.core.statistics.Sample;

/**
 * How thick a limb is across its bone. From several places about the middle of the bone it is
 * walked outward to both sides, over folds, until the figure ends or another thing begins: the
 * border is the middle of the line between the two, or where the colours meet.
 *
 * <p>A limb that lies in a coat or a skirt has no borders of its own. It is told by its sides: one
 * ends far sooner than the other, or the places do not agree; then nothing is said.
 *
 * <p>It is bare where most of the places lie in skin; without a known face nothing is.
 */
public final class LimbReader {
  /** Where it is looked across, as shares of the bone. */
  private static final double FIRST = 0.32;

  private static final double LAST = 0.68;
  private static final int PLACES = 9;

  /** So many of the places must tell something. */
  private static final int LEAST_PLACES = 5;

  /** Half a limb is no broader; twice as much would be a trunk. */
  private static final double WIDEST_HEADS = 0.45;

  /** A bone that looks shorter than this comes out of the picture or goes into it. */
  private static final double SHORTEST_HEADS = 0.25;

  /** Broader than any line beside a limb: a black, in which no border can be told. */
  private static final double WIDEST_LINE_HEADS = 0.12;

  /** The marked bone may lie so far from the middle: one side over the other. */
  private static final double LOPSIDED = 1.5;

  /** The middle half of the places lies within this share of their median. */
  private static final double AGREE = 0.3;

  private final FigurePixels figure;
  private final boolean[] ink;
  private final Materials materials;
  private final Predicate<Point> skin;
  private final Marks marks;
  private final double headPixels;

  private LimbReader(
      FigurePixels figure,
      boolean[] ink,
      Materials materials,
      Predicate<Point> skin,
      Marks marks,
      double headPixels) {
    this.figure = figure;
    this.ink = ink;
    this.materials = materials;
    this.skin = skin;
    this.marks = marks;
    this.headPixels = headPixels;
  }

  /**
   * What was read across one bone.
   *
   * @param pixels of the picture, from border to border
   * @param from a border, pixels of the picture
   * @param to the other
   */
  public record Across(Measure measure, Side side, double pixels, Point from, Point to) {}

  /**
   * Puts the mean of both sides, in pixels.
   *
   * @param parts where the face is; empty where none was found
   * @return what it was read from, both sides each; none without a head's frame
   */
  public static List<Across> find(
      FigurePixels figure,
      boolean[] ink,
      Materials materials,
      FlatPicture flats,
      Optional<FigureParts> parts,
      Marks marks,
      Findings findings) {
    Optional<boolean[]> ofFace = parts.map(found -> found.coloursOfFace().values());
    Predicate<Point> skin =
        at -> ofFace.map(skins -> skins[flats.index(at.x(), at.y())]).orElse(false);
    List<Across> all =
        marks
            .headFrame()
            .map(HeadFrame::headPixels)
            .map(head -> new LimbReader(figure, ink, materials, skin, marks, head).all())
            .orElse(List.of());
    for (Measure measure : LimbMeasures.ALL) {
      OptionalDouble mean =
          all.stream()
              .filter(across -> across.measure() == measure)
              .mapToDouble(Across::pixels)
              .average();
      findings.put(measure, mean, Reason.PART_NOT_FOUND);
    }
    return all;
  }

  private List<Across> all() {
    List<Across> all = new ArrayList<>();
    for (Limb limb : Limb.values()) {
      for (Side side : Side.values()) {
        across(limb, side).ifPresent(all::add);
      }
    }
    return all;
  }

  private Optional<Across> across(Limb limb, Side side) {
    Optional<List<Point>> bone = limb.bone(marks, side);
    if (bone.isEmpty()) {
      return Optional.empty();
    }
    Point from = bone.get().get(0);
    Point to = bone.get().get(1);
    Point along = to.minus(from);
    if (along.length() < SHORTEST_HEADS * headPixels) {
      return Optional.empty();
    }
    Point square = new Point(-along.y(), along.x()).times(1 / along.length());
    List<double[]> sides = new ArrayList<>();
    int bare = 0;
    for (int i = 0; i < PLACES; i++) {
      double share = FIRST + (LAST - FIRST) * i / (PLACES - 1);
      Point middle = from.plus(along.times(share));
      OptionalDouble one = border(middle, square);
      OptionalDouble other = border(middle, square.times(-1));
      if (one.isPresent() && other.isPresent()) {
        sides.add(new double[] {one.getAsDouble(), other.getAsDouble()});
        bare += skin.test(middle) ? 1 : 0;
      }
    }
    if (sides.size() < LEAST_PLACES) {
      return Optional.empty();
    }
    double one = Sample.of(sides.stream().mapToDouble(s -> s[0]).toArray()).median();
    double other = Sample.of(sides.stream().mapToDouble(s -> s[1]).toArray()).median();
    Sample across = Sample.of(sides.stream().mapToDouble(s -> s[0] + s[1]).toArray());
    double spread = across.quantile(0.75) - across.quantile(0.25);
    if (Math.max(one, other) > LOPSIDED * Math.min(one, other)
        || spread > AGREE * across.median()) {
      return Optional.empty();
    }
    Point middle = from.midpointTo(to);
    return Optional.of(
        new Across(
            limb.thickness(2 * bare > sides.size()),
            side,
            across.median(),
            middle.plus(square.times(one)),
            middle.minus(square.times(other))));
  }

  /** How far it is to where the limb ends, pixels; empty where it does not end in time. */
  private OptionalDouble border(Point middle, Point out) {
    double step = figure.factor();
    int own = Integer.MIN_VALUE;
    double line = -1;
    for (double t = 0; t < WIDEST_HEADS * headPixels; t += step) {
      Point at = middle.plus(out.times(t));
      if (!figure.isFigure(at.x(), at.y())) {
        return t == 0 ? OptionalDouble.empty() : OptionalDouble.of(between(line, t, step));
      }
      int index = figure.coarseIndex(at.x(), at.y());
      if (ink[index]) {
        line = line < 0 ? t : line;
        if (t - line > WIDEST_LINE_HEADS * headPixels) {
          return OptionalDouble.empty();
        }
        continue;
      }
      int material = materials.at(index);
      if (material < 0) {
        continue; // A seam between two colours: what follows tells.
      }
      if (own == Integer.MIN_VALUE) {
        own = material;
      } else if (material != own) {
        return OptionalDouble.of(between(line, t, step));
      }
      line = -1;
    }
    return OptionalDouble.empty();
  }

  /**
   * Where one thing ends that was last met a step ago: the middle of the line between both, or half
   * a step back where there is none.
   *
   * @param line where a line was met that reaches to here; below 0 for none
   */
  private static double between(double line, double here, double step) {
    return (line < 0 ? 2 * here - step : line + here - step) / 2;
  }
}
