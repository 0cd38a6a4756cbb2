package penmirror.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.measure.Measure;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

/**
 * The brushes of a style on a canvas: how wide each sort of line is drawn, and how it runs.
 *
 * @param lines from the outline inward; none where the line's weight is not known
 * @param run what is told of how strokes run
 */
public record BrushTable(List<Line> lines, Run run) {

  /** Thinner, a line breaks up when the picture is made smaller, and cannot be read back. */
  public static final double THINNEST_PIXELS = PixelReadings.HAIRLINE_PIXELS;

  /** Relations nearer to one than this are no two brushes. */
  private static final double SAME_BRUSH = 0.08;

  public BrushTable {
    lines = List.copyOf(lines);
  }

  /** A sort of line. */
  public enum Sort {
    OUTLINE,
    INNER,
    FACE,
    /** Where outline and inner lines are one. */
    ALL;

    /** The word used in message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * How wide one sort of line is drawn, in the middle of its strokes.
   *
   * @param lowPixels as thin as the works draw it, where they stray
   * @param highPixels as thick
   */
  public record Line(Sort sort, double lowPixels, double pixels, double highPixels) {
    /** Whether this canvas is too small for it. */
    public boolean isTooThin() {
      return pixels < THINNEST_PIXELS;
    }
  }

  /**
   * How strokes run; each empty where it is not known.
   *
   * @param taper how much of its width a stroke loses toward a free end, [0, 1]
   * @param swell deviation of the width along a stroke over its mean
   * @param leastPressure the thinnest of a stroke over its thickest, as its swelling has it
   * @param strokePixels usual length of a stroke
   * @param wobble trembling of its middle over its width
   * @param hatching empty where next to none is hatched
   */
  public record Run(
      Optional<Double> taper,
      Optional<Double> swell,
      Optional<Double> leastPressure,
      Optional<Double> strokePixels,
      Optional<Double> wobble,
      Optional<Hatching> hatching) {}

  /**
   * @param pitchPixels from the middle of a line to that of the next
   * @param angleDegrees against level, rising to the right positive
   */
  public record Hatching(double pitchPixels, Optional<Double> angleDegrees) {}

  /**
   * As the works draw.
   *
   * @param headPixels crown to chin on the canvas, over 0
   */
  public static BrushTable of(StyleSheet sheet, double headPixels) {
    Optional<Rule> width = sheet.rule(LineMeasures.WIDTH);
    return of(
        measure -> sheet.rule(measure).map(Rule::centre),
        headPixels,
        width.map(rule -> rule.low() / rule.centre()).orElse(1.0),
        width.map(rule -> rule.high() / rule.centre()).orElse(1.0));
  }

  /** As one picture is drawn, were it as large as the canvas; it strays nowhere. */
  public static BrushTable of(MeasuredWork picture, double headPixels) {
    return of(measure -> Optional.ofNullable(picture.values().get(measure)), headPixels, 1, 1);
  }

  private static BrushTable of(
      Function<Measure, Optional<Double>> read, double headPixels, double low, double high) {
    if (!(headPixels > 0)) {
      throw new IllegalArgumentException("A head is over 0 px tall, got " + headPixels);
    }
    List<Line> lines = new ArrayList<>();
    read.apply(LineMeasures.WIDTH)
        .map(thousandths -> thousandths * headPixels / 1000)
        .ifPresent(
            midway ->
                widths(read, midway)
                    .forEach(
                        of ->
                            lines.add(
                                new Line(of.sort, of.pixels * low, of.pixels, of.pixels * high))));
    return new BrushTable(
        lines,
        new Run(
            read.apply(LineMeasures.TAPER),
            read.apply(LineMeasures.STROKE_VARIATION),
            read.apply(LineMeasures.STROKE_VARIATION).map(BrushTable::thinnestOverThickest),
            read.apply(LineMeasures.STROKE).map(heads -> heads * headPixels),
            read.apply(LineMeasures.WOBBLE),
            hatching(read, headPixels)));
  }

  /** A width that swings evenly about its mean goes by √2 of its deviation to either side. */
  private static double thinnestOverThickest(double deviation) {
    double swing = Math.min(1, Math.sqrt(2) * deviation);
    return (1 - swing) / (1 + swing);
  }

  private record Width(Sort sort, double pixels) {}

  /** What is read lies midway, on a log scale, between the outline and what lies inside. */
  private static List<Width> widths(Function<Measure, Optional<Double>> read, double midway) {
    List<Width> widths = new ArrayList<>();
    read.apply(LineMeasures.OUTLINE_INNER)
        .filter(ratio -> Math.abs(Math.log(ratio)) > SAME_BRUSH)
        .ifPresentOrElse(
            ratio -> {
              widths.add(new Width(Sort.OUTLINE, midway * Math.sqrt(ratio)));
              widths.add(new Width(Sort.INNER, midway / Math.sqrt(ratio)));
            },
            () -> widths.add(new Width(Sort.ALL, midway)));
    read.apply(LineMeasures.FACE_BODY)
        .filter(ratio -> Math.abs(Math.log(ratio)) > SAME_BRUSH)
        .ifPresent(ratio -> widths.add(new Width(Sort.FACE, midway * ratio)));
    return widths;
  }

  private static Optional<Hatching> hatching(
      Function<Measure, Optional<Double>> read, double headPixels) {
    return Acts.of(LineMeasures.HATCH_PITCH)
        .flatMap(Act::presence)
        .filter(some -> read.apply(some.measure()).filter(of -> of >= some.least()).isPresent())
        .flatMap(some -> read.apply(LineMeasures.HATCH_PITCH))
        .map(
            pitch -> new Hatching(pitch * headPixels / 1000, read.apply(LineMeasures.HATCH_ANGLE)));
  }
}
