package penmirror.core.measure.line;

import java.util.OptionalDouble;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.core.statistics.WeightedSample;

/**
 * Compares the dark above an eye's opening with the dark below it: upper lid and lashes against the
 * lower lid. Needs the four corners and the opening's top and bottom.
 */
public final class LashReader {
  /** Darker than the skin beside the eye by this much, on encoded luma, is lash or lid. */
  private static final double DARKER = 0.15;

  /** Columns across the middle of the eye. */
  private static final int COLUMNS = 21;

  /** The lash reaches at most this share of the eye's width up or down. */
  private static final double FURTHEST = 0.6;

  private static final double STEP = 0.25;

  private LashReader() {}

  /** Mean ratio over the eyes that can be read; empty for none. */
  public static OptionalDouble upperToLower(Picture picture, Marks marks) {
    double sum = 0;
    int count = 0;
    for (Side side : Side.values()) {
      OptionalDouble ratio = ratio(picture, marks, side);
      if (ratio.isPresent()) {
        sum += Math.log(ratio.getAsDouble());
        count++;
      }
    }
    return count == 0 ? OptionalDouble.empty() : OptionalDouble.of(Math.exp(sum / count));
  }

  private static OptionalDouble ratio(Picture picture, Marks marks, Side side) {
    Landmark[] needed = {
      side.of(Landmark.EYE_L_OUTER),
      side.of(Landmark.EYE_L_INNER),
      side.of(Landmark.EYE_L_TOP),
      side.of(Landmark.EYE_L_BOTTOM)
    };
    for (Landmark landmark : needed) {
      if (marks.point(landmark).isEmpty()) {
        return OptionalDouble.empty();
      }
    }
    Point outer = marks.point(needed[0]).orElseThrow();
    Point inner = marks.point(needed[1]).orElseThrow();
    Point along = inner.minus(outer);
    double width = along.length();
    if (width < 12) {
      return OptionalDouble.empty();
    }
    Point level = along.times(1 / width);
    Point down = new Point(-level.y(), level.x());
    if (down.dot(marks.point(needed[3]).orElseThrow().minus(marks.point(needed[2]).orElseThrow()))
        < 0) {
      down = down.times(-1);
    }
    double top = marks.point(needed[2]).orElseThrow().minus(outer).dot(down);
    double bottom = marks.point(needed[3]).orElseThrow().minus(outer).dot(down);
    double skin = skin(picture, outer, level, down, width, top, bottom);
    WeightedSample.Builder above = WeightedSample.builder();
    WeightedSample.Builder below = WeightedSample.builder();
    for (int c = 0; c < COLUMNS; c++) {
      double share = 0.3 + 0.4 * c / (COLUMNS - 1);
      // The opening bulges: toward its corners both lids come nearer to the line between them.
      double bulge = 1 - Math.pow(2 * share - 1, 2);
      Point at = outer.plus(level.times(share * width));
      above.add(run(picture, at.plus(down.times(top * bulge)), down.times(-1), skin, width), 1);
      below.add(run(picture, at.plus(down.times(bottom * bulge)), down, skin, width), 1);
    }
    double upper = above.build().median();
    double lower = below.build().median();
    return upper > 0.5 && lower > 0.5 ? OptionalDouble.of(upper / lower) : OptionalDouble.empty();
  }

  /** Luma of the skin beside the eye: the lightest quarter of a ring around it. */
  private static double skin(
      Picture picture,
      Point outer,
      Point level,
      Point down,
      double width,
      double top,
      double bottom) {
    WeightedSample.Builder ring = WeightedSample.builder();
    Point middle = outer.plus(level.times(width / 2)).plus(down.times((top + bottom) / 2));
    for (int k = 0; k < 72; k++) {
      double angle = Math.toRadians(5 * k);
      Point at =
          middle
              .plus(level.times(0.9 * width * Math.cos(angle)))
              .plus(down.times((0.6 * width + (bottom - top) / 2) * Math.sin(angle)));
      ring.add(luma(picture, at), 1);
    }
    return ring.build().quantile(0.75);
  }

  /** How far it stays dark from the opening's edge outward, pixels. */
  private static double run(Picture picture, Point from, Point step, double skin, double width) {
    double furthest = FURTHEST * width;
    // The edge as marked may lie a little inside or outside of the dark.
    double start = Double.NaN;
    for (double t = -0.06 * width; t <= 0.1 * width; t += STEP) {
      if (luma(picture, from.plus(step.times(t))) < skin - DARKER) {
        start = t;
        break;
      }
    }
    if (Double.isNaN(start)) {
      return 0;
    }
    double t = start;
    while (t < furthest && luma(picture, from.plus(step.times(t))) < skin - DARKER) {
      t += STEP;
    }
    return t - Math.max(start, 0);
  }

  /** Marks count from the picture's corner, so the centre of the first pixel lies at a half. */
  private static double luma(Picture picture, Point at) {
    double x = Math.max(0, Math.min(picture.widthPixels() - 1, at.x() - 0.5));
    double y = Math.max(0, Math.min(picture.heightPixels() - 1, at.y() - 0.5));
    int x0 = (int) x;
    int y0 = (int) y;
    int x1 = Math.min(x0 + 1, picture.widthPixels() - 1);
    int y1 = Math.min(y0 + 1, picture.heightPixels() - 1);
    double top = luma(picture, x0, y0) * (1 - x + x0) + luma(picture, x1, y0) * (x - x0);
    double bottom = luma(picture, x0, y1) * (1 - x + x0) + luma(picture, x1, y1) * (x - x0);
    return top * (1 - y + y0) + bottom * (y - y0);
  }

  private static double luma(Picture picture, int x, int y) {
    return picture.luma(y * picture.widthPixels() + x);
  }
}
