package penmirror.demoart.page;

import static penmirror.demoart.manner.Parameter.CLOSED;
import static penmirror.demoart.manner.Parameter.HATCH_ANGLE;
import static penmirror.demoart.manner.Parameter.HATCH_PITCH;
import static penmirror.demoart.manner.Parameter.LASH;
import static penmirror.demoart.manner.Parameter.LIGHT_ANGLE;
import static penmirror.demoart.manner.Parameter.LINE_WIDTH;
import static penmirror.demoart.manner.Parameter.OUTLINE;
import static penmirror.demoart.manner.Parameter.SHADE_REACH;
import static penmirror.demoart.manner.Parameter.STROKE_LENGTH;
import static penmirror.demoart.manner.Parameter.SWELL;
import static penmirror.demoart.manner.Parameter.TAPER;
import static penmirror.demoart.manner.Parameter.WOBBLE;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Stroke;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Hatching;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.manner.Role;

/** Turns a page's contours and lines into strokes, the way a manner draws them. */
final class Inker {
  /** Distance between points of a stroke's centreline, in heads. */
  private static final double STEP = 0.012;

  /** How far off a contour one looks for a neighbour, in heads. */
  private static final double LOOK = 0.03;

  private final List<Part> parts;
  private final Map<Part, Integer> order = new HashMap<>();
  private final Parameters parameters;
  private final Tones tones;
  private final Hatching hatching;
  private final Random random;
  private final double unit;

  Inker(Page page, Parameters parameters, Tones tones, Hatching hatching, long seed) {
    this.parts = page.parts();
    for (int i = 0; i < parts.size(); i++) {
      order.put(parts.get(i), i);
    }
    this.parameters = parameters;
    this.tones = tones;
    this.hatching = hatching;
    this.random = new Random(seed);
    this.unit = parameters.get(LINE_WIDTH) / 1000;
  }

  static Point towardLight(Parameters parameters) {
    double angle = Math.toRadians(parameters.get(LIGHT_ANGLE));
    return new Point(Math.sin(angle), -Math.cos(angle));
  }

  /** The strokes of a part's contour. */
  List<InkLine> contour(Part part) {
    if (part.contour() == 0) {
      return List.of();
    }
    Curve ring = wavered(part.outline().resampled(STEP));
    int n = ring.points().size();
    int own = Objects.requireNonNull(order.get(part));
    List<Point> normals = ring.normals();
    LineClass[] classes = new LineClass[n];
    boolean[] seen = new boolean[n];
    double[] widths = new double[n];
    Point light = towardLight(parameters);
    for (int i = 0; i < n; i++) {
      Point p = ring.points().get(i);
      Point outside = p.plus(normals.get(i).times(LOOK));
      boolean bare = true;
      seen[i] = true;
      for (int k = 0; k < parts.size(); k++) {
        if (k == own) {
          continue;
        }
        if (bare && parts.get(k).outline().contains(outside)) {
          bare = false;
        }
        if (seen[i] && k > own && parts.get(k).outline().contains(p)) {
          seen[i] = false;
        }
      }
      classes[i] = bare ? LineClass.SILHOUETTE : LineClass.FORM;
      double away = Math.max(0, -normals.get(i).dot(light));
      double weight = bare ? parameters.get(OUTLINE) : 1 + (parameters.get(OUTLINE) - 1) * 0.25;
      widths[i] =
          unit
              * part.contour()
              * weight
              * (1 - 0.35 * parameters.get(SWELL) + parameters.get(SWELL) * away);
    }
    for (int pass = 0; pass < 6; pass++) {
      widths = smoothed(widths);
    }
    int colour = Tones.rgb(tones.isBlack(part.role()) ? tones.ink() : tones.line(part.role()));
    if (parameters.get(CLOSED) >= 1) {
      return List.of(new InkLine(new Stroke(ring, widths, 0.6), classes, colour, null, seen));
    }
    return pieces(ring, widths, classes, seen, normals, light, colour);
  }

  /** A broken contour: strokes that taper, lifted sooner where the light falls. */
  private List<InkLine> pieces(
      Curve ring,
      double[] widths,
      LineClass[] classes,
      boolean[] seen,
      List<Point> normals,
      Point light,
      int colour) {
    List<InkLine> strokes = new ArrayList<>();
    int n = widths.length;
    double open = 1 - parameters.get(CLOSED);
    int i = random.nextInt(n);
    int travelled = 0;
    while (travelled < n) {
      int length = (int) (parameters.get(STROKE_LENGTH) / STEP * (0.6 + 0.8 * random.nextDouble()));
      length = Math.max(4, Math.min(length, n - travelled));
      double lit = Math.max(0, normals.get((i + length) % n).dot(light));
      int gap = (int) (length * open / (1 - open) * (0.35 + 1.5 * lit));
      if (length < 0.6 * parameters.get(STROKE_LENGTH) / STEP) {
        gap = 0;
      }
      strokes.add(piece(ring, widths, classes, seen, i, length, colour));
      i = (i + length + gap) % n;
      travelled += length + gap;
    }
    return strokes;
  }

  private InkLine piece(
      Curve ring,
      double[] widths,
      LineClass[] classes,
      boolean[] seen,
      int from,
      int length,
      int colour) {
    List<Point> points = new ArrayList<>();
    double[] taken = new double[length];
    LineClass[] kinds = new LineClass[length];
    boolean[] visible = new boolean[length];
    double end = 1 - parameters.get(TAPER);
    Swell swell = new Swell(end, end, 0.5);
    for (int k = 0; k < length; k++) {
      int at = (from + k) % widths.length;
      points.add(ring.points().get(at));
      taken[k] = widths[at] * swell.at(k / (double) (length - 1));
      kinds[k] = classes[at];
      visible[k] = seen[at];
    }
    return new InkLine(new Stroke(Curve.open(points), taken, 0.5), kinds, colour, null, visible);
  }

  InkLine line(Page.Line line, int position) {
    Curve centre = wavered(line.centre().resampled(STEP / 2));
    int n = centre.points().size();
    double[] widths = new double[n];
    boolean[] seen = new boolean[n];
    LineClass[] classes = new LineClass[n];
    Arrays.fill(classes, line.lineClass());
    double base =
        unit * line.weight() * (line.lineClass() == LineClass.LASH ? parameters.get(LASH) : 1);
    Swell swell = line.swell();
    for (int i = 0; i < n; i++) {
      widths[i] = base * swell.at(i / (double) (n - 1));
      seen[i] = !isCovered(centre.points().get(i), position);
      Part on = line.on();
      if (on != null && !on.outline().contains(centre.points().get(i))) {
        seen[i] = false;
      }
    }
    Role under = underneath(centre.points().get(n / 2), position);
    Part on = line.on();
    return new InkLine(
        new Stroke(centre, widths, 0.5),
        classes,
        Tones.rgb(tones.line(under)),
        on == null ? null : on.outline(),
        seen);
  }

  private boolean isCovered(Point p, int position) {
    for (int k = position; k < parts.size(); k++) {
      if (parts.get(k).outline().contains(p)) {
        return true;
      }
    }
    return false;
  }

  private Role underneath(Point p, int position) {
    for (int k = position - 1; k >= 0; k--) {
      if (parts.get(k).outline().contains(p)) {
        return parts.get(k).role();
      }
    }
    return Role.INK;
  }

  /** Hatching along a part's shadow border, toward the light. */
  List<InkLine> hatching(Part part) {
    double pitch = parameters.get(HATCH_PITCH) / 1000;
    if (hatching == Hatching.NONE
        || pitch == 0
        || part.tone() != Part.Tone.FORM
        || tones.isBlack(part.role())
        || part.role() == Role.EYE
        || part.role() == Role.GLOW) {
      return List.of();
    }
    Point light = towardLight(parameters);
    double reach = parameters.get(SHADE_REACH);
    List<InkLine> strokes = new ArrayList<>();
    double angle = parameters.get(HATCH_ANGLE);
    Curve dark = part.lit(light, reach);
    strokes.addAll(band(part, dark, part.lit(light, reach * 2.1), pitch, angle));
    if (hatching == Hatching.CROSS) {
      strokes.addAll(band(part, dark, part.lit(light, reach * 1.6), pitch, angle + 72));
    }
    return strokes;
  }

  /** Lines across what lies inside the part and the dark's lit shape but outside the far one. */
  private List<InkLine> band(Part part, Curve dark, Curve far, double pitch, double angle) {
    Point along = new Point(Math.cos(Math.toRadians(angle)), Math.sin(Math.toRadians(angle)));
    Point across = new Point(-along.y(), along.x());
    Curve outline = part.outline();
    Point middle = outline.centre();
    double radius =
        Math.hypot(outline.right() - outline.left(), outline.bottom() - outline.top()) / 2;
    List<InkLine> strokes = new ArrayList<>();
    int own = Objects.requireNonNull(order.get(part));
    for (double d = -radius; d < radius; d += pitch) {
      Point start = middle.plus(across.times(d + pitch * 0.16 * random.nextGaussian()));
      List<Point> run = new ArrayList<>();
      double[] ofPart = outline.crossings(start, along);
      if (ofPart.length == 0) {
        continue;
      }
      double[] ofDark = dark.crossings(start, along);
      double[] ofFar = far.crossings(start, along);
      for (double t = -radius; t <= radius + STEP; t += STEP) {
        Point p = start.plus(along.times(t));
        boolean inside =
            t <= radius && isWithin(ofPart, t) && isWithin(ofDark, t) && !isWithin(ofFar, t);
        if (inside) {
          run.add(p);
        } else if (!run.isEmpty()) {
          if (run.size() > 3) {
            strokes.add(hatch(run, own));
          }
          run = new ArrayList<>();
        }
      }
    }
    return strokes;
  }

  /** Whether an odd number of crossings lies before a place on the line. */
  private static boolean isWithin(double[] crossings, double t) {
    int before = Arrays.binarySearch(crossings, t);
    return ((before < 0 ? -before - 1 : before) & 1) == 1;
  }

  private InkLine hatch(List<Point> run, int own) {
    Curve centre = Curve.open(run);
    double[] widths = new double[run.size()];
    boolean[] seen = new boolean[run.size()];
    LineClass[] classes = new LineClass[run.size()];
    Arrays.fill(classes, LineClass.HATCH);
    Swell swell = new Swell(0.8, 0.25, 0.3);
    for (int i = 0; i < widths.length; i++) {
      widths[i] = unit * 0.8 * swell.at(i / (double) (widths.length - 1));
      seen[i] = !isCovered(run.get(i), own + 1);
    }
    return new InkLine(
        new Stroke(centre, widths, 0.5), classes, Tones.rgb(tones.ink()), null, seen);
  }

  /** The line's unsteadiness: three slow waves of random phase. */
  private Curve wavered(Curve curve) {
    double amount = parameters.get(WOBBLE) * unit;
    if (amount == 0) {
      return curve;
    }
    int n = curve.points().size();
    double length = curve.length();
    double[] phases = {random.nextDouble(), random.nextDouble(), random.nextDouble()};
    double[] periods = {0.09, 0.15, 0.23};
    List<Point> normals = curve.normals();
    List<Point> moved = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double at = length * i / n;
      double step = 0;
      for (int k = 0; k < 3; k++) {
        // Whole waves round a closed outline, so that it meets its own start.
        double waves = Math.max(1, Math.rint(length / periods[k]));
        step += Math.sin(2 * Math.PI * (waves * at / length + phases[k]));
      }
      moved.add(curve.points().get(i).plus(normals.get(i).times(step / 3 * amount)));
    }
    return curve.isClosed() ? Curve.polygon(moved) : Curve.open(moved);
  }

  private static double[] smoothed(double[] values) {
    int n = values.length;
    double[] result = new double[n];
    for (int i = 0; i < n; i++) {
      result[i] = (values[(i - 1 + n) % n] + 2 * values[i] + values[(i + 1) % n]) / 4;
    }
    return result;
  }
}
