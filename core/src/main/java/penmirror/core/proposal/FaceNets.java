package penmirror.core.proposal;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;
import penmirror.core.proposal.net.ConvNet;

/**
 * Four small nets, each taught where a few landmarks lie in a square of a face: one sees all of it,
 * the others an eye, the mouth, the nose. Taught by {@code FaceLessons} (benchmark) on drawn heads
 * alone; docs/proposals.md says on how many and how well it holds on others.
 */
public final class FaceNets {
  /** Lightness spreads that are smaller count as this: paper is not made a face. */
  private static final double LEAST_SPREAD = 0.04;

  /** OKLab a and b are brought to about one by this. */
  private static final double COLOUR = 10;

  /** Samples to a side of one number of the square, at most. */
  private static final int MOST_SAMPLES = 6;

  /** Working pixels to a sample that lose nothing. */
  private static final double FINE = 1.3;

  private static final int CHANNELS = 3;

  /** What is looked at. */
  public enum Kind {
    /** A face round two eyes; the first number it gives is the log odds that it is one. */
    FACE(
        48,
        16,
        0.25,
        96,
        Landmark.EYE_L_OUTER,
        Landmark.EYE_L_INNER,
        Landmark.EYE_R_INNER,
        Landmark.EYE_R_OUTER,
        Landmark.MOUTH_L,
        Landmark.MOUTH_R,
        Landmark.NOSE_BASE,
        Landmark.CHIN),
    /** The eye on the left of the picture; that on the right is turned over first. */
    EYE(
        32,
        28,
        0.1,
        64,
        Landmark.EYE_L_OUTER,
        Landmark.EYE_L_INNER,
        Landmark.EYE_L_TOP,
        Landmark.EYE_L_BOTTOM),
    MOUTH(
        32,
        20,
        0.15,
        64,
        Landmark.MOUTH_L,
        Landmark.MOUTH_R,
        Landmark.MOUTH_TOP,
        Landmark.MOUTH_BOTTOM),
    NOSE(32, 20, 0.15, 64, Landmark.NOSE_BASE);

    private static final List<Integer> CONVOLUTIONS = List.of(12, 24, 32);

    private final int side;
    private final double perUnit;
    private final double step;
    private final int hidden;
    private final List<Landmark> landmarks;

    Kind(int side, double perUnit, double step, int hidden, Landmark... landmarks) {
      this.side = side;
      this.perUnit = perUnit;
      this.step = step;
      this.hidden = hidden;
      this.landmarks = List.of(landmarks);
    }

    /** Numbers across and down. */
    public int side() {
      return side;
    }

    /** Numbers to a distance between the eyes. */
    public double perUnit() {
      return perUnit;
    }

    /** Distance between the eyes that one stands for in what the net gives. */
    public double step() {
      return step;
    }

    /** Where the landmarks it gives stand, two numbers each, in this order. */
    public List<Landmark> landmarks() {
      return landmarks;
    }

    /** Numbers before those of the landmarks. */
    public int first() {
      return this == FACE ? 1 : 0;
    }

    /** A net of its build that was taught nothing. */
    public ConvNet untaught() {
      return ConvNet.empty(side, CHANNELS, CONVOLUTIONS, hidden, first() + 2 * landmarks.size());
    }
  }

  /** The middle of a face below its eyes, in distances between them. */
  public static final double FACE_MIDDLE = 0.4;

  private FaceNets() {}

  /** Read when first asked for: whoever teaches them needs the rest without them. */
  private static final class Taught {
    static final Map<Kind, ConvNet> NETS = new EnumMap<>(Kind.class);

    static {
      for (Kind kind : Kind.values()) {
        NETS.put(kind, read(kind));
      }
    }

    private static ConvNet read(Kind kind) {
      String name = kind.name().toLowerCase(Locale.ROOT) + ".net";
      try (InputStream in = FaceNets.class.getResourceAsStream(name)) {
        if (in == null) {
          throw new IllegalStateException("What the net of the " + kind + " was taught is missing");
        }
        return kind.untaught().read(new BufferedInputStream(in));
      } catch (IOException e) {
        throw new UncheckedIOException("What the net of the " + kind + " was taught is cut", e);
      }
    }
  }

  /**
   * What a net says.
   *
   * @param odds log odds that this is a face; nought for a part of one
   * @param places by landmark, in the frame of the eyes
   */
  record Said(double odds, Map<Landmark, Point> places) {
    Point place(Landmark landmark) {
      return places.getOrDefault(landmark, new Point(0, 0));
    }
  }

  /** As it was taught. */
  public static ConvNet net(Kind kind) {
    ConvNet net = Taught.NETS.get(kind);
    if (net == null) {
      throw new IllegalStateException("No net for " + kind);
    }
    return net;
  }

  /**
   * @param middle of the square, in the frame
   * @param isTurnedOver left to right; then the landmarks are those of the other side
   */
  static Said ask(Kind kind, Ground ground, EyeFrame frame, Point middle, boolean isTurnedOver) {
    float[] given = net(kind).of(square(kind, ground, frame, middle, isTurnedOver));
    Map<Landmark, Point> places = new EnumMap<>(Landmark.class);
    for (int i = 0; i < kind.landmarks().size(); i++) {
      Landmark landmark = kind.landmarks().get(i);
      double u = kind.step() * given[kind.first() + 2 * i];
      double v = kind.step() * given[kind.first() + 2 * i + 1];
      places.put(
          isTurnedOver ? landmark.mirrored() : landmark,
          middle.plus(new Point(isTurnedOver ? -u : u, v)));
    }
    return new Said(kind.first() == 1 ? given[0] : 0, places);
  }

  /** What the net sees: means over what one number covers. */
  private static float[] square(
      Kind kind, Ground ground, EyeFrame frame, Point middle, boolean isTurnedOver) {
    int side = kind.side();
    double half = side / 2.0 / kind.perUnit();
    double[] sides = {middle.x() - half, middle.y() - half, middle.x() + half, middle.y() + half};
    CloseUp closeUp = CloseUp.of(ground, frame, sides, kind.perUnit());
    Point origin = closeUp.fromWorking(ground, frame.at(middle.x(), middle.y()));
    Point across = closeUp.fromWorking(ground, frame.at(middle.x() + 1, middle.y())).minus(origin);
    Point down = closeUp.fromWorking(ground, frame.at(middle.x(), middle.y() + 1)).minus(origin);
    int samples = samples(across.length() / kind.perUnit());
    float[][] values = new float[CHANNELS][side * side];
    for (int i = 0; i < side * side; i++) {
      double[] sum = new double[CHANNELS];
      for (int s = 0; s < samples * samples; s++) {
        double u = (i % side - side / 2.0 + (s % samples + 0.5) / samples) / kind.perUnit();
        double v = (i / side - side / 2.0 + (s / samples + 0.5) / samples) / kind.perUnit();
        double turned = isTurnedOver ? -u : u;
        double x = origin.x() + turned * across.x() + v * down.x();
        double y = origin.y() + turned * across.y() + v * down.y();
        sum[0] += closeUp.lightness().at(x, y);
        sum[1] += closeUp.a().at(x, y);
        sum[2] += closeUp.b().at(x, y);
      }
      for (int c = 0; c < CHANNELS; c++) {
        values[c][i] = (float) (sum[c] / (samples * samples));
      }
    }
    return evened(values);
  }

  /**
   * Samples across one number of a square that lose nothing.
   *
   * @param pixels that it covers across
   */
  static int samples(double pixels) {
    return (int) Math.max(1, Math.min(MOST_SAMPLES, Math.ceil(pixels / FINE)));
  }

  /**
   * As a net is given it: lightness by its mean and spread, colour by its mean, so that neither a
   * dark skin nor a coloured light makes another face.
   *
   * @param values lightness, a and b, each by row and column
   */
  public static float[] evened(float[][] values) {
    int count = values[0].length;
    float[] evened = new float[CHANNELS * count];
    for (int c = 0; c < CHANNELS; c++) {
      double mean = 0;
      for (float value : values[c]) {
        mean += value / count;
      }
      double squares = 0;
      for (float value : values[c]) {
        squares += (value - mean) * (value - mean) / count;
      }
      double by = c == 0 ? 1 / Math.max(LEAST_SPREAD, Math.sqrt(squares)) : COLOUR;
      for (int i = 0; i < count; i++) {
        evened[c * count + i] = (float) (by * (values[c][i] - mean));
      }
    }
    return evened;
  }
}
