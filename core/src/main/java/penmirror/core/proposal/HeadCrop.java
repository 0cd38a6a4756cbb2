package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/**
 * A square of a picture round two eyes, in the frame that they give, small enough to keep
 * thousands: what nets are taught from.
 *
 * @param side numbers across and down
 * @param perUnit numbers to a distance between the eyes
 * @param values lightness, a and b of every place in steps of 1/250, 1/400 and 1/400, by row
 */
public record HeadCrop(int side, double perUnit, byte[] values) {
  private static final int CHANNELS = 3;
  private static final int LIGHT_STEPS = 250;
  private static final int COLOUR_STEPS = 400;

  /** Eyes that lie farther off than this are not these eyes, in their distance. */
  private static final double NOT_THESE = 0.45;

  private static final double SAME = 0.2;

  /** Where a head can be cut out: of the whole, or of the upper figure where it is small. */
  private record From(Ground ground, Optional<UpperFigure> upper) {
    Point toWorking(Point picture) {
      return ground.toWorking(
          upper.map(u -> picture.minus(new Point(u.left(), u.top()))).orElse(picture));
    }
  }

  /**
   * Round eyes that are known.
   *
   * @param left middle of the eye on the left, pixels of the picture
   */
  public static HeadCrop round(Picture picture, Point left, Point right, int side, double perUnit) {
    Ground whole = new Ground(picture);
    boolean isSmall = whole.toWorking(left).distanceTo(whole.toWorking(right)) < perUnit;
    Optional<UpperFigure> upper = isSmall ? Optional.of(UpperFigure.of(whole)) : Optional.empty();
    From from = new From(upper.map(UpperFigure::ground).orElse(whole), upper);
    EyeFrame frame = new EyeFrame(from.toWorking(left), from.toWorking(right));
    return of(from.ground(), frame, side, perUnit);
  }

  /**
   * Round pairs of spots that look like eyes and are not, the likeliest first, each at a place of
   * its own.
   *
   * @param left middle of the true eye on the left, pixels of the picture
   * @param most of them
   */
  public static List<HeadCrop> roundNoEyes(
      Picture picture, Point left, Point right, int most, int side, double perUnit) {
    Ground whole = new Ground(picture);
    Proposer.Sought sought = Proposer.seek(whole, (ground, pairs) -> pairs);
    From from = new From(sought.ground(), sought.upper());
    EyeFrame truth = new EyeFrame(from.toWorking(left), from.toWorking(right));
    List<EyeFrame> frames = new ArrayList<>();
    for (EyePair pair : sought.pairs()) {
      EyeFrame frame = pair.frame();
      if (frames.size() < most
          && truth.offTo(frame) >= NOT_THESE
          && frames.stream().noneMatch(other -> other.offTo(frame) < SAME)) {
        frames.add(frame);
      }
    }
    return frames.stream().map(frame -> of(sought.ground(), frame, side, perUnit)).toList();
  }

  private static HeadCrop of(Ground ground, EyeFrame frame, int side, double perUnit) {
    int samples = FaceNets.samples(frame.distance() / perUnit);
    byte[] values = new byte[CHANNELS * side * side];
    for (int i = 0; i < side * side; i++) {
      double light = 0;
      double a = 0;
      double b = 0;
      for (int s = 0; s < samples * samples; s++) {
        double u = (i % side - side / 2.0 + (s % samples + 0.5) / samples) / perUnit;
        double v = (i / side - side / 2.0 + (s / samples + 0.5) / samples) / perUnit;
        Point at = frame.at(u, v);
        light += ground.lightness.at(at.x(), at.y());
        a += ground.a.at(at.x(), at.y());
        b += ground.b.at(at.x(), at.y());
      }
      int count = samples * samples;
      values[CHANNELS * i] = (byte) Math.round(LIGHT_STEPS * (light / count - 0.5));
      values[CHANNELS * i + 1] = colour(a / count);
      values[CHANNELS * i + 2] = colour(b / count);
    }
    return new HeadCrop(side, perUnit, values);
  }

  private static byte colour(double value) {
    long steps = Math.round(COLOUR_STEPS * value);
    return (byte) Math.max(Byte.MIN_VALUE, Math.min(Byte.MAX_VALUE, steps));
  }

  /**
   * One channel at a place of the frame, held at the edge outside.
   *
   * @param channel 0 lightness, 1 a, 2 b
   */
  public float at(int channel, double u, double v) {
    double x = Math.max(0, Math.min(side - 1.001, u * perUnit + side / 2.0 - 0.5));
    double y = Math.max(0, Math.min(side - 1.001, v * perUnit + side / 2.0 - 0.5));
    int at = CHANNELS * ((int) y * side + (int) x) + channel;
    int under = at + CHANNELS * side;
    double fx = x - (int) x;
    double fy = y - (int) y;
    double upper = values[at] * (1 - fx) + values[at + CHANNELS] * fx;
    double lower = values[under] * (1 - fx) + values[under + CHANNELS] * fx;
    double value = upper * (1 - fy) + lower * fy;
    return (float) (channel == 0 ? value / LIGHT_STEPS + 0.5 : value / COLOUR_STEPS);
  }
}
