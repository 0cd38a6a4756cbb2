package penmirror.core.proposal;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.geometry.Point;
import penmirror.core.proposal.net.ConvNet;

/**
 * Small nets, each taught what a square of a face shows: whether it is a face and where its
 * landmarks lie, how the head is turned, which mood it wears. One sees the face, one the whole
 * head, others an eye, a brow, the mouth, the nose. Taught by {@code FaceLessons} (benchmark) on
 * drawn heads alone; docs/proposals.md says on how many and how well it holds on others.
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
        new Square(48, 16, 0.4),
        1,
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
    /** All of a head; the first numbers are log odds of the ways it may be turned. */
    HEAD(
        new Square(48, 10, -0.2),
        Turn.values().length,
        0.25,
        128,
        Landmark.BROW_L_OUTER,
        Landmark.BROW_L_INNER,
        Landmark.BROW_R_INNER,
        Landmark.BROW_R_OUTER,
        Landmark.CHEEK_L,
        Landmark.CHEEK_R,
        Landmark.JAW_L,
        Landmark.JAW_R,
        Landmark.CHIN,
        Landmark.CROWN,
        Landmark.HAIRLINE,
        Landmark.NOSE_TOP,
        Landmark.EAR_L_TOP,
        Landmark.EAR_L_BASE,
        Landmark.EAR_R_TOP,
        Landmark.EAR_R_BASE,
        Landmark.HAIR_L,
        Landmark.HAIR_R),
    /** The eye on the left of the picture; that on the right is turned over first. */
    EYE(
        new Square(32, 28, 0),
        0,
        0.1,
        64,
        Landmark.EYE_L_OUTER,
        Landmark.EYE_L_INNER,
        Landmark.EYE_L_TOP,
        Landmark.EYE_L_BOTTOM),
    /** The brow on the left; that on the right is turned over first. */
    BROW(new Square(32, 24, 0), 0, 0.1, 64, Landmark.BROW_L_OUTER, Landmark.BROW_L_INNER),
    MOUTH(
        new Square(32, 20, 0),
        0,
        0.15,
        64,
        Landmark.MOUTH_L,
        Landmark.MOUTH_R,
        Landmark.MOUTH_TOP,
        Landmark.MOUTH_BOTTOM),
    NOSE(new Square(32, 20, 0), 0, 0.15, 64, Landmark.NOSE_BASE),
    /** A face again; what it gives are log odds of the moods. */
    MOOD(new Square(48, 16, 0.4), Mood.values().length, 1, 96);

    private static final List<Integer> CONVOLUTIONS = List.of(12, 24, 32);

    private final Square square;
    private final int first;
    private final double step;
    private final int hidden;
    private final List<Landmark> landmarks;

    Kind(Square square, int first, double step, int hidden, Landmark... landmarks) {
      this.square = square;
      this.first = first;
      this.step = step;
      this.hidden = hidden;
      this.landmarks = List.of(landmarks);
    }

    public Square square() {
      return square;
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
      return first;
    }

    /** Whether it sees the face or the head as a whole, wherever its parts are. */
    public boolean isWhole() {
      return this == FACE || this == HEAD || this == MOOD;
    }

    /** Whether it sees a part on the left, and that on the right turned over. */
    public boolean isOfOneSide() {
      return this == EYE || this == BROW;
    }

    /** A net of its build that was taught nothing. */
    public ConvNet untaught() {
      return ConvNet.empty(
          square.side(), CHANNELS, CONVOLUTIONS, hidden, first + 2 * landmarks.size());
    }
  }

  /**
   * What a net is shown.
   *
   * @param side numbers across and down
   * @param perUnit numbers to a distance between the eyes
   * @param below how far its middle lies below the eyes, in distances between them; nought for a
   *     part, whose own middle it is
   */
  public record Square(int side, double perUnit, double below) {}

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
   * @param first log odds, as many as its kind gives before the landmarks
   * @param places by landmark, in the frame of the eyes
   */
  record Said(List<Double> first, Map<Landmark, Point> places) {
    /** That it is a face at all. */
    double odds() {
      return first.get(0);
    }

    /** Of each of the ways that exclude each other; they add up to 1. */
    List<Double> chances() {
      double most = Collections.max(first);
      double sum = first.stream().mapToDouble(odds -> Math.exp(odds - most)).sum();
      return first.stream().map(odds -> Math.exp(odds - most) / sum).toList();
    }

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

  /** A face or a head, whose square lies where its kind has it. */
  static Said ask(Kind kind, Ground ground, EyeFrame frame) {
    return ask(kind, ground, frame, new Point(0, kind.square().below()), false);
  }

  /**
   * @param middle of the square, in the frame
   * @param isTurnedOver left to right; then the landmarks are those of the other side
   */
  static Said ask(Kind kind, Ground ground, EyeFrame frame, Point middle, boolean isTurnedOver) {
    float[] given = net(kind).of(square(kind.square(), ground, frame, middle, isTurnedOver));
    Map<Landmark, Point> places = new EnumMap<>(Landmark.class);
    for (int i = 0; i < kind.landmarks().size(); i++) {
      Landmark landmark = kind.landmarks().get(i);
      double u = kind.step() * given[kind.first() + 2 * i];
      double v = kind.step() * given[kind.first() + 2 * i + 1];
      places.put(
          isTurnedOver ? landmark.mirrored() : landmark,
          middle.plus(new Point(isTurnedOver ? -u : u, v)));
    }
    List<Double> first = new ArrayList<>();
    for (int i = 0; i < kind.first(); i++) {
      first.add((double) given[i]);
    }
    return new Said(first, places);
  }

  /** What the net sees: means over what one number covers. */
  private static float[] square(
      Square square, Ground ground, EyeFrame frame, Point middle, boolean isTurnedOver) {
    int side = square.side();
    double half = side / 2.0 / square.perUnit();
    double[] sides = {middle.x() - half, middle.y() - half, middle.x() + half, middle.y() + half};
    CloseUp closeUp = CloseUp.of(ground, frame, sides, square.perUnit());
    Point origin = closeUp.fromWorking(ground, frame.at(middle.x(), middle.y()));
    Point across = closeUp.fromWorking(ground, frame.at(middle.x() + 1, middle.y())).minus(origin);
    Point down = closeUp.fromWorking(ground, frame.at(middle.x(), middle.y() + 1)).minus(origin);
    int samples = samples(across.length() / square.perUnit());
    double[] off = new double[side * samples];
    for (int i = 0; i < off.length; i++) {
      int place = i / samples;
      off[i] = (place - side / 2.0 + (i % samples + 0.5) / samples) / square.perUnit();
    }
    float[][] values = new float[CHANNELS][side * side];
    double[] sum = new double[CHANNELS];
    for (int i = 0; i < side * side; i++) {
      Arrays.fill(sum, 0);
      for (int row = i / side * samples; row < (i / side + 1) * samples; row++) {
        double v = off[row];
        for (int column = i % side * samples; column < (i % side + 1) * samples; column++) {
          double u = isTurnedOver ? -off[column] : off[column];
          closeUp.addTo(
              sum,
              origin.x() + u * across.x() + v * down.x(),
              origin.y() + u * across.y() + v * down.y());
        }
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
