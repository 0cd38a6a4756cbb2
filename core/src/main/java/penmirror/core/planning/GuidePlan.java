package penmirror.core.planning;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.style.PaletteColour;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

/**
 * A sheet's rules set out on a canvas: where the lines go, how large the eyes are, how thick the
 * brush is. All places in pixels of the canvas.
 *
 * @param headPixels crown to chin on this canvas
 * @param crownPixels height of the crown from the upper edge
 * @param heads figure height in heads; empty when no rule tells it, then the plan is of a head
 *     alone
 * @param lines from the top down
 * @param uncredited titles of the works behind it that carry no credit
 */
public record GuidePlan(
    String styleName,
    Canvas canvas,
    double headPixels,
    double crownPixels,
    Optional<Double> heads,
    List<Line> lines,
    Optional<Eyes> eyes,
    Optional<Width> mouth,
    Optional<Width> shoulders,
    Optional<Width> face,
    Optional<Jaw> jaw,
    GuideFeatures features,
    Optional<Brush> brush,
    List<PaletteColour> swatches,
    List<String> uncredited) {

  /** Free canvas above the crown, for hair and hats, of the height. */
  private static final double MARGIN_ABOVE = 0.11;

  /** Free canvas under the ground line, of the height. */
  private static final double MARGIN_BELOW = 0.07;

  /** A head alone takes this share of the canvas height. */
  private static final double HEAD_ALONE = 0.5;

  /** A head is never wider than this share of the canvas, so that arms find room. */
  private static final double WIDEST_HEAD = 0.5;

  /** The drawing surface. */
  public record Canvas(int widthPixels, int heightPixels) {
    public static final int LARGEST_SIDE_PIXELS = 20_000;
    public static final int SMALLEST_SIDE_PIXELS = 100;

    public Canvas {
      requireSide("width", widthPixels);
      requireSide("height", heightPixels);
    }

    private static void requireSide(String name, int pixels) {
      if (pixels < SMALLEST_SIDE_PIXELS || pixels > LARGEST_SIDE_PIXELS) {
        throw new IllegalArgumentException(
            "The canvas "
                + name
                + " must be "
                + SMALLEST_SIDE_PIXELS
                + " to "
                + LARGEST_SIDE_PIXELS
                + " px, got "
                + pixels
                + ".");
      }
    }
  }

  /** What a line of the guide marks. */
  public enum Kind {
    HAIR,
    CROWN,
    EYES,
    NOSE,
    MOUTH,
    CHIN,
    SHOULDERS,
    CROTCH,
    /** Of arms that hang. */
    FINGERTIPS,
    KNEES,
    GROUND;

    /** The word used in message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * One level line.
   *
   * @param yPixels from the upper edge
   * @param abovePixels how much higher it may lie
   * @param belowPixels how much lower it may lie
   * @param heads below the crown
   */
  public record Line(
      Kind kind, double yPixels, double abovePixels, double belowPixels, double heads) {}

  /**
   * Both eye openings, level, even about the axis.
   *
   * @param gapPixels between the inner corners
   * @param tiltDegrees outer corner up positive
   * @param heightPixels of the opening; empty where that is not ruled
   * @param peakShare where it is highest, from the inner (0) to the outer corner (1)
   * @param dipShare where it is lowest, the same way
   */
  public record Eyes(
      double widthPixels,
      double gapPixels,
      double tiltDegrees,
      Optional<Double> heightPixels,
      double peakShare,
      double dipShare) {}

  /**
   * Where the jaw turns toward the chin.
   *
   * @param widthPixels from corner to corner
   * @param aboveChinPixels how much higher than the chin both corners lie
   */
  public record Jaw(double widthPixels, double aboveChinPixels) {}

  /** A width with its band. */
  public record Width(double pixels, double lowPixels, double highPixels) {}

  /** Line weight on this canvas. */
  public record Brush(double pixels, double thinnestPixels, double thickestPixels) {}

  /** Height of a line on the canvas; empty where it is not ruled. */
  public Optional<Double> height(Kind kind) {
    return lines.stream().filter(line -> line.kind() == kind).map(Line::yPixels).findFirst();
  }

  public static GuidePlan of(StyleSheet sheet, Canvas canvas) {
    return new Builder(sheet, canvas).build();
  }

  /** Where nothing is ruled of the highest and lowest place of an opening. */
  private static final double MIDDLE = 0.5;

  private static final class Builder {
    private final StyleSheet sheet;
    private final Canvas canvas;
    private final Optional<Double> heads;
    private final double head;
    private final double crown;

    Builder(StyleSheet sheet, Canvas canvas) {
      this.sheet = sheet;
      this.canvas = canvas;
      heads = stature().map(rule -> fromCrown(rule, rule.centre()));
      double room = canvas.heightPixels() * (1 - MARGIN_ABOVE - MARGIN_BELOW);
      double wanted = heads.map(h -> room / h).orElse(HEAD_ALONE * canvas.heightPixels());
      head = Math.min(wanted, WIDEST_HEAD * canvas.widthPixels());
      crown =
          heads
              .map(h -> canvas.heightPixels() * (1 - MARGIN_BELOW) - h * head)
              .orElse((canvas.heightPixels() - head) / 2);
    }

    GuidePlan build() {
      Optional<Double> faceWidth = centre(ProportionMeasures.HEAD_ASPECT).map(a -> a * head);
      Optional<Eyes> eyes = faceWidth.flatMap(this::eyes);
      Optional<Width> shoulders = width(ProportionMeasures.SHOULDERS, head);
      return new GuidePlan(
          sheet.name(),
          canvas,
          head,
          crown,
          heads,
          lines(),
          eyes,
          eyes.flatMap(e -> width(FaceMeasures.MOUTH_WIDTH, e.gapPixels() + e.widthPixels())),
          shoulders,
          width(ProportionMeasures.HEAD_ASPECT, head),
          faceWidth.flatMap(this::jaw),
          GuideFeatures.of(sheet, head, faceWidth, eyes, shoulders.map(Width::pixels)),
          sheet.rule(LineMeasures.WIDTH).map(this::brush),
          sheet.palette(),
          sheet.uncredited());
    }

    private List<Line> lines() {
      List<Line> lines = new ArrayList<>();
      lines.add(new Line(Kind.CROWN, crown, 0, 0, 0));
      lines.add(new Line(Kind.CHIN, crown + head, 0, 0, 1));
      headLine(Kind.EYES, FaceMeasures.EYE_LINE).ifPresent(lines::add);
      headLine(Kind.NOSE, FaceMeasures.NOSE_BASE_HEIGHT).ifPresent(lines::add);
      headLine(Kind.MOUTH, FaceMeasures.MOUTH_LINE).ifPresent(lines::add);
      headLine(Kind.SHOULDERS, ProportionMeasures.SHOULDER_DROP).ifPresent(lines::add);
      Optional<Rule> stature = stature();
      stature.ifPresent(
          rule ->
              lines.add(
                  line(
                      Kind.GROUND,
                      fromCrown(rule, rule.centre()),
                      fromCrown(rule, rule.low()),
                      fromCrown(rule, rule.high()))));
      if (stature.isPresent()) {
        legs(lines, fromCrown(stature.get(), stature.get().centre()));
      }
      sheet
          .rule(ProportionMeasures.HAIR_LIFT)
          .map(rule -> line(Kind.HAIR, -rule.centre(), -rule.high(), -rule.low()))
          .filter(line -> line.yPixels() >= 0)
          .ifPresent(lines::add);
      lines.sort(Comparator.comparingDouble(Line::yPixels));
      return lines;
    }

    /**
     * What is ruled as a share of the figure's height: crotch, knees, and the fingertips of arms
     * that hang from the shoulder line.
     *
     * @param height in heads
     */
    private void legs(List<Line> lines, double height) {
      sheet
          .rule(ProportionMeasures.LEGS)
          .ifPresent(
              rule ->
                  lines.add(
                      line(
                          Kind.CROTCH,
                          height * (1 - rule.centre()),
                          height * (1 - rule.high()),
                          height * (1 - rule.low()))));
      Optional<Double> leg = centre(ProportionMeasures.LEGS).map(share -> share * height);
      if (leg.isPresent()) {
        double thighAndShin = leg.get() * GuideFeatures.ANKLE_DOWN;
        sheet
            .rule(ProportionMeasures.LEG_HALVES)
            .ifPresent(
                rule ->
                    lines.add(
                        line(
                            Kind.KNEES,
                            height - leg.get() + thighAndShin * firstPart(rule.centre()),
                            height - leg.get() + thighAndShin * firstPart(rule.low()),
                            height - leg.get() + thighAndShin * firstPart(rule.high()))));
      }
      Optional<Double> shoulder = centre(ProportionMeasures.SHOULDER_DROP);
      if (shoulder.isPresent()) {
        sheet
            .rule(ProportionMeasures.ARMS)
            .ifPresent(
                rule ->
                    lines.add(
                        line(
                            Kind.FINGERTIPS,
                            shoulder.get() + height * rule.centre(),
                            shoulder.get() + height * rule.low(),
                            shoulder.get() + height * rule.high())));
      }
    }

    /** Share of the whole that the first of two parts takes, by their ratio. */
    private static double firstPart(double ratio) {
      return ratio / (1 + ratio);
    }

    /** Figure height in the way the sheet counts it. */
    private Optional<Rule> stature() {
      return Arrays.stream(StatureConvention.values())
          .flatMap(convention -> sheet.rule(convention.measure()).stream())
          .findFirst();
    }

    /**
     * A height counted as the rule counts, in heads from crown to chin below the crown: where the
     * hair was counted in, what it adds above the crown is taken off again.
     */
    private double fromCrown(Rule rule, double counted) {
      boolean withHair =
          Arrays.stream(StatureConvention.values())
              .anyMatch(c -> c.measure() == rule.measure() && c.countsTheHair());
      double hair = withHair ? centre(ProportionMeasures.HAIR_LIFT).orElse(0.0) : 0;
      return counted * (1 + hair) - hair;
    }

    private Optional<Line> headLine(Kind kind, Measure measure) {
      return sheet.rule(measure).map(rule -> line(kind, rule));
    }

    private Line line(Kind kind, Rule rule) {
      return line(kind, rule.centre(), rule.low(), rule.high());
    }

    /** All three counted in heads below the crown. */
    private Line line(Kind kind, double centre, double highest, double lowest) {
      return new Line(
          kind, crown + centre * head, (centre - highest) * head, (lowest - centre) * head, centre);
    }

    private Optional<Eyes> eyes(double faceWidth) {
      Optional<Double> width = centre(FaceMeasures.EYE_WIDTH).map(w -> w * faceWidth);
      Optional<Double> spacing = centre(FaceMeasures.EYE_SPACING);
      if (width.isEmpty() || spacing.isEmpty()) {
        return Optional.empty();
      }
      return Optional.of(
          new Eyes(
              width.get(),
              spacing.get() * width.get(),
              centre(FaceMeasures.EYE_TILT).orElse(0.0),
              centre(FaceMeasures.EYE_ASPECT).map(aspect -> aspect * width.get()),
              centre(FaceMeasures.EYE_PEAK).orElse(MIDDLE),
              centre(FaceMeasures.EYE_DIP).orElse(MIDDLE)));
    }

    /**
     * From the ruled width and the ruled angle at the chin, which together say how high it lies.
     */
    private Optional<Jaw> jaw(double faceWidth) {
      Optional<Double> width = centre(ProportionMeasures.JAW).map(jaw -> jaw * faceWidth);
      Optional<Double> angle = centre(ProportionMeasures.CHIN_ANGLE).filter(a -> a > 0 && a < 180);
      if (width.isEmpty() || angle.isEmpty()) {
        return Optional.empty();
      }
      return Optional.of(
          new Jaw(width.get(), width.get() / 2 / Math.tan(Math.toRadians(angle.get() / 2))));
    }

    private Optional<Width> width(Measure measure, double unitPixels) {
      return sheet
          .rule(measure)
          .map(
              rule ->
                  new Width(
                      rule.centre() * unitPixels,
                      rule.low() * unitPixels,
                      rule.high() * unitPixels));
    }

    private Brush brush(Rule rule) {
      double perThousandth = head / 1000;
      return new Brush(
          rule.centre() * perThousandth, rule.low() * perThousandth, rule.high() * perThousandth);
    }

    private Optional<Double> centre(Measure measure) {
      return sheet.rule(measure).map(Rule::centre);
    }
  }
}
