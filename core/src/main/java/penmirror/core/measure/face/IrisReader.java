package penmirror.core.measure.face;

import static penmirror.core.figure.Landmark.EYE_L_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_L_TOP;
import static penmirror.core.figure.Landmark.IRIS_L_CENTRE;
import static penmirror.core.figure.Landmark.IRIS_L_EDGE;
import static penmirror.core.figure.Landmark.IRIS_L_TOP;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.raster.Picture;
import penmirror.core.raster.PixelGrid;
import penmirror.core.raster.Regions;
import penmirror.core.statistics.Sample;

/**
 * Reads what lies in an iris, in its own coordinates, as far as the opening of the eye shows it:
 * its lights, whether it is lit from below, and whether its rim is darker.
 */
public final class IrisReader {
  /** A smaller iris holds too few pixels to tell what is in it. */
  public static final double LEAST_DIAMETER_PIXELS = 24;

  /** So much of the iris must be seen. */
  private static final double LEAST_SEEN = 0.35;

  /** The lids' own line lies so far into the opening, of its height. */
  private static final double LID = 0.05;

  /** OKLab lightness: a light is at least so light, and so much lighter than the iris. */
  private static final double LIGHT = 0.75;

  private static final double LIGHTER = 0.2;

  /** A light is nearly white; what is light and coloured is the glow of the iris. */
  private static final double COLOURED = 0.07;

  /** Beyond this share of the radius a light cannot be told from the white of the eye. */
  private static final double WITHIN = 0.9;

  /** A smaller light is a speck: of the iris's area, and in pixels. */
  private static final double LEAST_LIGHT = 0.008;

  private static final int LEAST_LIGHT_PIXELS = 5;

  /** Upper and lower third, by the height over the radius. */
  private static final double THIRD = 1 / 3.0;

  /** Between these shares of the radius lies what is held against the rim. */
  private static final double MIDDLE_FROM = 0.55;

  private static final double MIDDLE_TO = 0.78;

  /** The rim; beyond it begins the white. */
  private static final double RIM_FROM = 0.9;

  private static final double RIM_TO = 0.97;

  private IrisReader() {}

  /**
   * A light in an iris.
   *
   * @param at its middle, pixels of the picture
   * @param radii radius of a disc as large over that of the iris, (0, 1)
   * @param clockDegrees where it lies, clockwise from straight above the iris's centre
   */
  public record Light(Point at, double radii, double clockDegrees) {}

  /**
   * An iris that was read.
   *
   * @param radiusPixels to its side
   * @param lights the largest first
   * @param base what is neither light nor dark in it; empty where it is dark all over
   * @param glow lightness of the lower third less the upper; empty where one of them is not seen
   * @param ring lightness inside less that of the rim; empty where the rim is not seen
   */
  public record Iris(
      Side side,
      Point centre,
      double radiusPixels,
      List<Light> lights,
      Optional<OkLab> base,
      OptionalDouble glow,
      OptionalDouble ring) {
    public Iris {
      lights = List.copyOf(lights);
    }
  }

  /**
   * Puts the mean of both eyes.
   *
   * @return what it was read from
   */
  public static List<Iris> find(Picture picture, Marks marks, Findings findings) {
    List<Iris> irises = new ArrayList<>();
    boolean isSmall = false;
    for (Side side : Side.values()) {
      Optional<Eye> eye = Eye.of(marks, side);
      isSmall |= eye.filter(of -> !of.isLarge()).isPresent();
      eye.filter(Eye::isLarge).flatMap(of -> read(picture, of)).ifPresent(irises::add);
    }
    if (irises.isEmpty()) {
      findings.absent(IrisMeasures.ALL, isSmall ? Reason.TOO_LITTLE : Reason.EYES_NOT_MARKED);
      return irises;
    }
    findings.put(
        IrisMeasures.LIGHTS,
        irises.stream().mapToInt(iris -> iris.lights().size()).average(),
        Reason.TOO_LITTLE);
    findings.put(
        IrisMeasures.LIGHT_SIZE,
        irises.stream()
            .flatMap(iris -> iris.lights().stream().limit(1))
            .mapToDouble(Light::radii)
            .average(),
        Reason.NO_HIGHLIGHT);
    findings.put(IrisMeasures.LIGHT_PLACE, place(irises), Reason.NO_HIGHLIGHT);
    findings.put(IrisMeasures.GLOW, mean(irises, Iris::glow), Reason.TOO_LITTLE);
    findings.put(IrisMeasures.RING, mean(irises, Iris::ring), Reason.TOO_LITTLE);
    return irises;
  }

  /** The mean direction of the largest light of each. */
  private static OptionalDouble place(List<Iris> irises) {
    Point sum = new Point(0, 0);
    for (Iris iris : irises) {
      if (!iris.lights().isEmpty()) {
        double angle = Math.toRadians(iris.lights().get(0).clockDegrees());
        sum = sum.plus(new Point(Math.sin(angle), Math.cos(angle)));
      }
    }
    return sum.length() == 0
        ? OptionalDouble.empty()
        : OptionalDouble.of((Math.toDegrees(Math.atan2(sum.x(), sum.y())) + 360) % 360);
  }

  private static OptionalDouble mean(List<Iris> irises, Function<Iris, OptionalDouble> of) {
    return irises.stream()
        .map(of)
        .filter(OptionalDouble::isPresent)
        .mapToDouble(OptionalDouble::getAsDouble)
        .average();
  }

  /** An iris in its opening; {@code down} leads from the upper lid to the lower. */
  private record Eye(
      Side side,
      Point centre,
      double across,
      double high,
      Point outer,
      Point level,
      Point down,
      double width,
      double top,
      double bottom) {

    static Optional<Eye> of(Marks marks, Side side) {
      List<Point> at =
          Stream.of(IRIS_L_CENTRE, IRIS_L_EDGE, EYE_L_OUTER, EYE_L_INNER, EYE_L_TOP, EYE_L_BOTTOM)
              .flatMap(landmark -> marks.seen(side.of(landmark)).stream())
              .toList();
      if (at.size() < 6) {
        return Optional.empty();
      }
      Point along = at.get(3).minus(at.get(2));
      double width = along.length();
      double across = at.get(0).distanceTo(at.get(1));
      if (width == 0 || across == 0) {
        return Optional.empty();
      }
      Point level = along.times(1 / width);
      Point square = new Point(-level.y(), level.x());
      Point down = square.y() < 0 ? square.times(-1) : square;
      double high = marks.seen(side.of(IRIS_L_TOP)).map(at.get(0)::distanceTo).orElse(across);
      return Optional.of(
          new Eye(
              side,
              at.get(0),
              across,
              high,
              at.get(2),
              level,
              down,
              width,
              at.get(4).minus(at.get(2)).dot(down),
              at.get(5).minus(at.get(2)).dot(down)));
    }

    boolean isLarge() {
      return 2 * Math.min(across, high) >= LEAST_DIAMETER_PIXELS;
    }

    /** Whether the lids leave it free: they bulge, and come nearer toward the corners. */
    boolean isOpen(Point at) {
      double share = at.minus(outer).dot(level) / width;
      double bulge = 1 - Math.pow(2 * share - 1, 2);
      double lid = LID * (bottom - top);
      double y = at.minus(outer).dot(down);
      return bulge > 0 && y > top * bulge + lid && y < bottom * bulge - lid;
    }

    /** From the centre in radii. */
    Point inRadii(Point at) {
      return new Point((at.x() - centre.x()) / across, (at.y() - centre.y()) / high);
    }
  }

  private static Optional<Iris> read(Picture picture, Eye eye) {
    int left = (int) Math.max(0, Math.floor(eye.centre().x() - eye.across()));
    int top = (int) Math.max(0, Math.floor(eye.centre().y() - eye.high()));
    int right = (int) Math.min(picture.widthPixels(), Math.ceil(eye.centre().x() + eye.across()));
    int bottom = (int) Math.min(picture.heightPixels(), Math.ceil(eye.centre().y() + eye.high()));
    int wide = right - left;
    int high = bottom - top;
    if (wide <= 0 || high <= 0) {
      return Optional.empty();
    }
    OkLab[] colours = new OkLab[wide * high];
    List<Double> lightness = new ArrayList<>();
    for (int i = 0; i < colours.length; i++) {
      Point at = PixelGrid.point(left + i % wide, top + i / wide);
      if (eye.inRadii(at).length() <= 1 && eye.isOpen(at)) {
        int rgb = picture.rgb((top + i / wide) * picture.widthPixels() + left + i % wide);
        colours[i] = OkLab.from(EncodedSrgb.fromRgb(rgb));
        lightness.add(colours[i].lightness());
      }
    }
    double disc = Math.PI * eye.across() * eye.high();
    if (lightness.size() < LEAST_SEEN * disc) {
      return Optional.empty();
    }
    double middle = Sample.of(lightness.stream().mapToDouble(l -> l).toArray()).median();
    boolean[] light = new boolean[colours.length];
    for (int i = 0; i < colours.length; i++) {
      light[i] =
          colours[i] != null
              && colours[i].lightness() >= Math.max(LIGHT, middle + LIGHTER)
              && colours[i].chroma() <= COLOURED
              && eye.inRadii(PixelGrid.point(left + i % wide, top + i / wide)).length() <= WITHIN;
    }
    Tally all = new Tally();
    Tally upper = new Tally();
    Tally lower = new Tally();
    Tally inside = new Tally();
    Tally rim = new Tally();
    for (int i = 0; i < colours.length; i++) {
      if (colours[i] == null || light[i]) {
        continue;
      }
      Point at = eye.inRadii(PixelGrid.point(left + i % wide, top + i / wide));
      double out = at.length();
      if (out <= WITHIN) {
        all.add(colours[i]);
        (at.y() < -THIRD ? upper : at.y() > THIRD ? lower : new Tally()).add(colours[i]);
      }
      if (out >= MIDDLE_FROM && out <= MIDDLE_TO) {
        inside.add(colours[i]);
      } else if (out >= RIM_FROM && out <= RIM_TO) {
        rim.add(colours[i]);
      }
    }
    return Optional.of(
        new Iris(
            eye.side(),
            eye.centre(),
            eye.across(),
            lights(eye, light, left, top, wide, high),
            all.base(),
            lower.over(upper),
            inside.over(rim)));
  }

  private static List<Light> lights(
      Eye eye, boolean[] light, int left, int top, int wide, int high) {
    Regions pieces = Regions.of(light, wide, high);
    double disc = Math.PI * eye.across() * eye.high();
    List<Light> lights = new ArrayList<>();
    for (int p = 0; p < pieces.count(); p++) {
      int area = pieces.area(p);
      if (area < LEAST_LIGHT_PIXELS || area < LEAST_LIGHT * disc) {
        continue;
      }
      Point sum = new Point(0, 0);
      for (int i = 0; i < light.length; i++) {
        if (pieces.at(i) == p) {
          sum = sum.plus(PixelGrid.point(left + i % wide, top + i / wide));
        }
      }
      Point at = sum.times(1.0 / area);
      Point from = eye.inRadii(at);
      lights.add(
          new Light(at, Math.sqrt(area / disc), Math.toDegrees(Math.atan2(from.x(), -from.y()))));
    }
    lights.sort(Comparator.comparingDouble(one -> -one.radii()));
    return lights;
  }

  /** Colours of one part of an iris. */
  private static final class Tally {
    /** Darker than this an iris has no colour of its own. */
    private static final double DARK = 0.35;

    /** So much of the iris must have a colour that it counts as its base. */
    private static final double LEAST_BASE = 0.15;

    /** Fewer pixels say nothing. */
    private static final int LEAST_PIXELS = 6;

    private final List<OkLab> colours = new ArrayList<>();

    void add(OkLab colour) {
      colours.add(colour);
    }

    OptionalDouble over(Tally other) {
      return colours.size() < LEAST_PIXELS || other.colours.size() < LEAST_PIXELS
          ? OptionalDouble.empty()
          : OptionalDouble.of(lightness() - other.lightness());
    }

    private double lightness() {
      return colours.stream().mapToDouble(OkLab::lightness).average().orElseThrow();
    }

    Optional<OkLab> base() {
      List<OkLab> coloured = colours.stream().filter(colour -> colour.lightness() > DARK).toList();
      if (coloured.size() < LEAST_BASE * colours.size() || coloured.size() < LEAST_PIXELS) {
        return Optional.empty();
      }
      return Optional.of(
          new OkLab(
              median(coloured, OkLab::lightness),
              median(coloured, OkLab::a),
              median(coloured, OkLab::b)));
    }

    private static double median(List<OkLab> of, Function<OkLab, Double> component) {
      return Sample.of(of.stream().mapToDouble(component::apply).toArray()).median();
    }
  }
}
