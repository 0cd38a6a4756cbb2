package penmirror.core.measure.line;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.FigurePixels;
import penmirror.core.measure.Findings;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.statistics.Bootstrap;
import penmirror.core.statistics.Ratio;
import penmirror.core.statistics.WeightedSample;

/**
 * What the traced lines say: weight, swelling, tapering, where they run and how dark they are.
 *
 * <p>Every error is that of drawing the strokes again. Lengths are given in pixels of the picture.
 */
public final class LineFacts {
  /** Free ends that make a taper worth telling. */
  private static final int LEAST_ENDS = 4;

  /** Of a stroke's length at its free end, and around its middle. */
  private static final double END_SHARE = 0.12;

  private static final double MIDDLE_FROM = 0.3;
  private static final double MIDDLE_TO = 0.7;

  /** Under this chroma a line has no hue of its own. */
  private static final double GREY_CHROMA = 0.03;

  /** A line this near in hue to what it lies on is tinted with it, degrees. */
  private static final double SAME_HUE = 40;

  /** Less line than this many figure units is too little to speak of its parts. */
  private static final double LEAST_PART_UNITS = 0.05;

  /** What is thinner or thicker than the other four fifths of the line says nothing of it. */
  private static final double OUTER_FIFTH = 0.2;

  private final DrawnLines lines;
  private final FigurePixels figure;
  private final List<Stroke> strokes;
  private final double unit;
  private final double width;

  /** Which points of which strokes are outline. */
  private final boolean[][] outline;

  private LineFacts(DrawnLines lines, FigurePixels figure) {
    this.lines = lines;
    this.figure = figure;
    strokes = lines.strokes();
    unit = Math.max(1, figure.unitPixels() / lines.factor());
    width = lines.medianWidth();
    outline = new boolean[strokes.size()][];
    for (int s = 0; s < outline.length; s++) {
      Stroke stroke = strokes.get(s);
      outline[s] = new boolean[stroke.size()];
      for (int i = 0; i < stroke.size(); i++) {
        outline[s][i] = stroke.isRead(i) && isOutline(stroke, i);
      }
    }
  }

  public static void find(DrawnLines lines, FigurePixels figure, Findings findings) {
    LineFacts facts = new LineFacts(lines, figure);
    facts.colour(findings);
    facts.amount(findings);
    facts.directions(findings);
    if (lines.medianWidthPixels() < PixelReadings.HAIRLINE_PIXELS) {
      findings.absent(LineMeasures.OF_WIDTH, Reason.HAIRLINE);
      return;
    }
    Optional<Brushes> brushes = facts.brushes();
    double relative = brushes.map(facts::relativeError).orElse(0.0);
    facts.widths(brushes, relative, findings);
    facts.outline(brushes, relative, findings);
    facts.tapers(findings);
    facts.wobble(findings);
  }

  /** The colour most of the line has: median of each axis along the lines' middles. */
  public static OkLab colour(DrawnLines lines) {
    WeightedSample.Builder lightness = WeightedSample.builder();
    WeightedSample.Builder a = WeightedSample.builder();
    WeightedSample.Builder b = WeightedSample.builder();
    for (Stroke stroke : lines.strokes()) {
      for (int i = 0; i < stroke.size(); i += 2) {
        if (stroke.isRead(i)) {
          OkLab colour = colour(lines, stroke, i, 0);
          lightness.add(colour.lightness(), 1);
          a.add(colour.a(), 1);
          b.add(colour.b(), 1);
        }
      }
    }
    return new OkLab(lightness.build().median(), a.build().median(), b.build().median());
  }

  private void widths(Optional<Brushes> brushes, double betweenBrushes, Findings findings) {
    WeightedSample all = clearWidths(strokes);
    WeightedSample byStroke = perStroke(strokes, Stroke::medianWidth);
    double weight = weight(brushes);
    double relative =
        brushes.isPresent()
            ? betweenBrushes / 2
            : perStroke(strokes, of -> Math.log(of.medianWidth())).meanError();
    findings.put(LineMeasures.WIDTH, lines.factor() * weight, lines.factor() * weight * relative);
    double thin = all.quantile(0.1);
    double thick = all.quantile(0.9);
    double spread = (all.quantile(0.75) - all.quantile(0.25)) / 1.349;
    findings.put(LineMeasures.THIN, thin / width, byStroke.quantileError(0.1) / width);
    findings.put(LineMeasures.THICK, thick / width, byStroke.quantileError(0.9) / width);
    findings.put(
        LineMeasures.VARIATION,
        spread / width,
        Math.hypot(byStroke.quantileError(0.75), byStroke.quantileError(0.25)) / 1.349 / width);
    WeightedSample.Builder within = WeightedSample.builder();
    for (Stroke stroke : strokes) {
      double length = stroke.clearLength();
      if (length >= 5 * width) {
        within.add(variation(stroke), length);
      }
    }
    putMedian(findings, LineMeasures.STROKE_VARIATION, within.build(), 1);
  }

  /** How heavy the line of a drawing is, pixels of the copy, above 0. */
  static double weight(DrawnLines lines, FigurePixels figure) {
    LineFacts facts = new LineFacts(lines, figure);
    return facts.weight(facts.brushes());
  }

  /**
   * Midway, on a log scale, between the outline and what lies inside: how much there is of each
   * hangs on pose and clothes, and no hand decides it. Where one of both is missing it is the mean
   * over all by length, on a log scale, without the outer fifths; where no point lies clear of a
   * junction, the median that the lines were found by.
   */
  private double weight(Optional<Brushes> brushes) {
    return brushes
        .map(two -> Math.sqrt(two.outline() * two.inner()))
        .orElseGet(
            () -> {
              WeightedSample logs = clearWidths(strokes).mapped(Math::log);
              return logs.size() == 0
                  ? width
                  : Math.exp(logs.middleMean(OUTER_FIFTH, 1 - OUTER_FIFTH));
            });
  }

  /**
   * What a drawing is drawn with.
   *
   * @param outline median width, pixels of the copy, above 0
   * @param inner the same of all other lines
   */
  private record Brushes(double outline, double inner) {}

  /** Empty where there is too little of one of them. */
  private Optional<Brushes> brushes() {
    WeightedSample outer = widths(true);
    WeightedSample inner = widths(false);
    return Math.min(outer.weight(), inner.weight()) < LEAST_PART_UNITS * unit
        ? Optional.empty()
        : Optional.of(new Brushes(outer.median(), inner.median()));
  }

  /** Of one over the other, as other strokes would have it. */
  private double relativeError(Brushes two) {
    return Math.hypot(
        perStroke(with(true), Stroke::medianWidth).medianError() / two.outline(),
        perStroke(with(false), Stroke::medianWidth).medianError() / two.inner());
  }

  /** The strokes that are outline somewhere, or somewhere not. */
  private List<Stroke> with(boolean isOutline) {
    List<Stroke> with = new ArrayList<>();
    for (int s = 0; s < outline.length; s++) {
      Stroke stroke = strokes.get(s);
      boolean[] of = outline[s];
      if (IntStream.range(0, of.length).anyMatch(i -> stroke.isRead(i) && of[i] == isOutline)) {
        with.add(stroke);
      }
    }
    return with;
  }

  /** Deviation of the widths along a stroke over their mean, after a mean over three points. */
  private static double variation(Stroke stroke) {
    double sum = 0;
    double squares = 0;
    int n = 0;
    for (int i = 1; i + 1 < stroke.size(); i++) {
      if (stroke.isClear(i - 1) && stroke.isClear(i) && stroke.isClear(i + 1)) {
        double mean = (stroke.widths()[i - 1] + stroke.widths()[i] + stroke.widths()[i + 1]) / 3;
        sum += mean;
        squares += mean * mean;
        n++;
      }
    }
    if (n < 2) {
      return 0;
    }
    double mean = sum / n;
    return Math.sqrt(Math.max(0, squares / n - mean * mean)) / mean;
  }

  private void outline(Optional<Brushes> brushes, double relative, Findings findings) {
    Ratio share = new Ratio();
    for (int s = 0; s < outline.length; s++) {
      Stroke stroke = strokes.get(s);
      double outside = 0;
      double all = 0;
      for (int i = 0; i < stroke.size(); i++) {
        if (stroke.isRead(i)) {
          outside += outline[s][i] ? stroke.steps()[i] : 0;
          all += stroke.steps()[i];
        }
      }
      share.add(outside, all);
    }
    findings.put(LineMeasures.OUTLINE_SHARE, share, Reason.TOO_LITTLE);
    brushes.ifPresentOrElse(
        two -> {
          double ratio = two.outline() / two.inner();
          findings.put(LineMeasures.OUTLINE_INNER, ratio, relative * ratio);
        },
        () -> findings.absent(LineMeasures.OUTLINE_INNER, Reason.TOO_LITTLE));
    findings.put(LineMeasures.CLOSED, OutlineCover.share(lines, figure), Reason.NO_FIGURE);
  }

  private WeightedSample widths(boolean isOutline) {
    WeightedSample.Builder sample = WeightedSample.builder();
    for (int s = 0; s < outline.length; s++) {
      Stroke stroke = strokes.get(s);
      for (int i = 0; i < stroke.size(); i++) {
        if (stroke.isClear(i) && outline[s][i] == isOutline) {
          sample.add(stroke.widths()[i], stroke.steps()[i]);
        }
      }
    }
    return sample.build();
  }

  /** Widths of all clear points, each weighing the length it stands for. */
  static WeightedSample clearWidths(List<Stroke> strokes) {
    WeightedSample.Builder sample = WeightedSample.builder();
    for (Stroke stroke : strokes) {
      for (int i = 0; i < stroke.size(); i++) {
        if (stroke.isClear(i)) {
          sample.add(stroke.widths()[i], stroke.steps()[i]);
        }
      }
    }
    return sample.build();
  }

  /** Which points of which strokes are outline, for drawing them. */
  public static boolean[][] outline(DrawnLines lines, FigurePixels figure) {
    return new LineFacts(lines, figure).outline;
  }

  /** Whether exactly one side of the line, a little beyond its edge, is background. */
  private boolean isOutline(Stroke stroke, int i) {
    double reach = stroke.widths()[i] / 2 + 2.5 + 0.0035 * unit;
    boolean right = isFigure(stroke, i, reach);
    boolean left = isFigure(stroke, i, -reach);
    return right != left;
  }

  private boolean isFigure(Stroke stroke, int i, double reach) {
    return figure.isFigure(
        lines.toPicture(stroke.xs()[i] + reach * stroke.normalXs()[i]),
        lines.toPicture(stroke.ys()[i] + reach * stroke.normalYs()[i]));
  }

  private void tapers(Findings findings) {
    WeightedSample.Builder tapers = WeightedSample.builder();
    for (Stroke stroke : strokes) {
      int n = stroke.size();
      double middle = meanWidth(stroke, (int) (MIDDLE_FROM * n), (int) (MIDDLE_TO * n));
      if (n < 8 || !(middle > 0) || stroke.length() < 3 * middle) {
        continue;
      }
      int end = Math.max(2, (int) (END_SHARE * n));
      if (stroke.startsFree()) {
        addTaper(tapers, meanWidth(stroke, 0, end), middle, stroke.length());
      }
      if (stroke.endsFree()) {
        addTaper(tapers, meanWidth(stroke, n - end, n), middle, stroke.length());
      }
    }
    putMedian(findings, LineMeasures.TAPER, tapers.build(), LEAST_ENDS);
  }

  private static void addTaper(
      WeightedSample.Builder tapers, double end, double middle, double length) {
    if (end > 0) {
      tapers.add(1 - end / middle, length);
    }
  }

  /** Mean of the widths that were read; NaN without one. */
  private static double meanWidth(Stroke stroke, int from, int to) {
    double sum = 0;
    int n = 0;
    for (int i = from; i < to; i++) {
      if (stroke.isRead(i)) {
        sum += stroke.widths()[i];
        n++;
      }
    }
    return n == 0 ? Double.NaN : sum / n;
  }

  private void wobble(Findings findings) {
    double sigma = Math.max(4, 0.012 * unit);
    WeightedSample.Builder residuals = WeightedSample.builder();
    for (Stroke stroke : strokes) {
      residuals.add(Wobble.of(stroke, sigma, 2 * width) / width, stroke.length());
    }
    putMedian(findings, LineMeasures.WOBBLE, residuals.build(), 3);
  }

  private void amount(Findings findings) {
    double length = lines.lengthPixels();
    double area = figure.areaPixels();
    if (area == 0) {
      findings.absent(List.of(LineMeasures.DENSITY, LineMeasures.INK), Reason.NO_FIGURE);
    } else {
      double square = (double) lines.factor() * lines.factor();
      findings.put(
          LineMeasures.DENSITY, length / area, lines.factor() * errorOfSum(Stroke::length) / area);
      double ink = strokes.stream().mapToDouble(LineFacts::ink).sum();
      findings.put(
          LineMeasures.INK, square * ink / area, square * errorOfSum(LineFacts::ink) / area);
    }
    WeightedSample.Builder joined = WeightedSample.builder();
    for (double joinedLength : new StrokeJoiner(strokes, width).lengths()) {
      joined.add(joinedLength * lines.factor(), joinedLength);
    }
    putMedian(findings, LineMeasures.STROKE, joined.build(), 1);
  }

  /** Area that a stroke covers, square pixels of the working copy. */
  private static double ink(Stroke stroke) {
    double ink = 0;
    for (int i = 0; i < stroke.size(); i++) {
      ink += stroke.isRead(i) ? stroke.widths()[i] * stroke.steps()[i] : 0;
    }
    return ink;
  }

  private double errorOfSum(ToDoubleFunction<Stroke> value) {
    double[] values = strokes.stream().mapToDouble(value).toArray();
    return Bootstrap.error(
        values.length, drawn -> Arrays.stream(drawn).mapToDouble(i -> values[i]).sum());
  }

  /** Line running level and upright, and how much of its turning lies in corners. */
  private void directions(Findings findings) {
    Ratio level = new Ratio();
    Ratio upright = new Ratio();
    Ratio corner = new Ratio();
    double nearly = Math.sin(Math.toRadians(10));
    int window = (int) Math.max(4, 0.04 * unit);
    for (Stroke stroke : strokes) {
      int n = stroke.size();
      double length = 0;
      double levelLength = 0;
      double uprightLength = 0;
      double turn = 0;
      double cornerTurn = 0;
      for (int i = 0; i < n; i++) {
        if (!stroke.isRead(i)) {
          continue;
        }
        double step = stroke.steps()[i];
        length += step;
        levelLength += Math.abs(stroke.normalXs()[i]) < nearly ? step : 0;
        uprightLength += Math.abs(stroke.normalYs()[i]) < nearly ? step : 0;
        if (i > 0) {
          double here = Math.abs(turn(stroke, i - 1, i));
          turn += here;
          int from = Math.max(0, i - window / 2);
          int to = Math.min(n - 1, i + window / 2);
          cornerTurn += Math.abs(turn(stroke, from, to)) > Math.toRadians(30) ? here : 0;
        }
      }
      level.add(levelLength, length);
      upright.add(uprightLength, length);
      corner.add(cornerTurn, turn);
    }
    findings.put(LineMeasures.LEVEL, level, Reason.TOO_LITTLE);
    findings.put(LineMeasures.UPRIGHT, upright, Reason.TOO_LITTLE);
    if (corner.whole() > Math.PI) {
      findings.put(LineMeasures.CORNER, corner, Reason.TOO_LITTLE);
    } else {
      findings.absent(LineMeasures.CORNER, Reason.TOO_LITTLE);
    }
  }

  /** From the normal at one point to that at another, radians. */
  private static double turn(Stroke stroke, int from, int to) {
    double ax = stroke.normalXs()[from];
    double ay = stroke.normalYs()[from];
    double bx = stroke.normalXs()[to];
    double by = stroke.normalYs()[to];
    return Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
  }

  private void colour(Findings findings) {
    WeightedSample.Builder lightness = WeightedSample.builder();
    WeightedSample.Builder chroma = WeightedSample.builder();
    Ratio black = new Ratio();
    Ratio tinted = new Ratio();
    double[] box = box();
    Ratio low = new Ratio();
    for (Stroke stroke : strokes) {
      double length = 0;
      double blackLength = 0;
      double beside = 0;
      double tintedLength = 0;
      double heights = 0;
      for (int i = 0; i < stroke.size(); i++) {
        if (!stroke.isRead(i)) {
          continue;
        }
        OkLab colour = colour(stroke, i, 0);
        double step = stroke.steps()[i];
        lightness.add(colour.lightness(), step);
        chroma.add(colour.chroma(), step);
        length += step;
        heights += step * (lines.toPicture(stroke.ys()[i]) - box[0]);
        blackLength += colour.isBlack() ? step : 0;
        double reach = stroke.widths()[i] / 2 + 2.5;
        OkLab right = colour(stroke, i, reach);
        OkLab left = colour(stroke, i, -reach);
        OkLab fill = right.chroma() > left.chroma() ? right : left;
        if (fill.chroma() > GREY_CHROMA) {
          beside += step;
          boolean hasHue = colour.chroma() > GREY_CHROMA;
          tintedLength += hasHue && colour.hueApart(fill) < SAME_HUE ? step : 0;
        }
      }
      black.add(blackLength, length);
      tinted.add(tintedLength, beside);
      low.add(heights, length * (box[1] - box[0]));
    }
    findings.put(
        LineMeasures.DARKNESS,
        lightness.build().median(),
        perStroke(strokes, stroke -> medianColour(stroke, OkLab::lightness)).medianError());
    findings.put(
        LineMeasures.CHROMA,
        chroma.build().median(),
        perStroke(strokes, stroke -> medianColour(stroke, OkLab::chroma)).medianError());
    findings.put(LineMeasures.BLACK, black, Reason.TOO_LITTLE);
    if (tinted.whole() > LEAST_PART_UNITS * unit) {
      findings.put(LineMeasures.TINT, tinted, Reason.NO_HUE);
    } else {
      findings.absent(LineMeasures.TINT, Reason.NO_HUE);
    }
    findings.put(LineMeasures.HEIGHT, low, Reason.NO_FIGURE);
  }

  private double medianColour(Stroke stroke, ToDoubleFunction<OkLab> axis) {
    double[] values = new double[stroke.size()];
    int n = 0;
    for (int i = 0; i < stroke.size(); i++) {
      if (stroke.isRead(i)) {
        values[n++] = axis.applyAsDouble(colour(stroke, i, 0));
      }
    }
    double[] read = Arrays.copyOf(values, n);
    Arrays.sort(read);
    return n == 0 ? Double.NaN : read[n / 2];
  }

  /** First and last row of the figure, pixels of the picture. */
  private double[] box() {
    int width = figure.figure().width();
    boolean[] inside = figure.figure().values();
    int first = -1;
    int last = -1;
    for (int i = 0; i < inside.length; i++) {
      if (inside[i]) {
        first = first < 0 ? i : first;
        last = i;
      }
    }
    return first < 0
        ? new double[] {0, 0}
        : new double[] {
          (double) (first / width) * figure.factor(), (last / width + 1.0) * figure.factor()
        };
  }

  /** Colour of the copy at a point, moved along the normal. */
  private OkLab colour(Stroke stroke, int i, double reach) {
    return colour(lines, stroke, i, reach);
  }

  private static OkLab colour(DrawnLines lines, Stroke stroke, int i, double reach) {
    int x = (int) Math.round(stroke.xs()[i] + reach * stroke.normalXs()[i]);
    int y = (int) Math.round(stroke.ys()[i] + reach * stroke.normalYs()[i]);
    x = Math.max(0, Math.min(lines.working().widthPixels() - 1, x));
    y = Math.max(0, Math.min(lines.working().heightPixels() - 1, y));
    return OkLab.from(
        EncodedSrgb.fromRgb(lines.working().rgb(y * lines.working().widthPixels() + x)));
  }

  /** Median of values by weight with its error, or too little of it. */
  private static void putMedian(
      Findings findings, Measure measure, WeightedSample sample, int least) {
    if (sample.size() < least) {
      findings.absent(measure, Reason.TOO_LITTLE);
    } else {
      findings.put(measure, sample.median(), sample.medianError());
    }
  }

  /** One value a stroke, so that an error is that of drawing strokes again and not points. */
  private static WeightedSample perStroke(List<Stroke> strokes, ToDoubleFunction<Stroke> value) {
    WeightedSample.Builder sample = WeightedSample.builder();
    strokes.forEach(stroke -> sample.add(value.applyAsDouble(stroke), stroke.length()));
    return sample.build();
  }
}
