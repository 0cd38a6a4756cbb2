package penmirror.core.measure.line;

import java.util.Arrays;

/**
 * One traced piece of line between two junctions or ends, with a point about every pixel. All in
 * pixels of the copy the lines were traced on.
 *
 * @param xs columns of the line's middle, the centre of the first pixel is 0
 * @param widths NaN where no width could be read or where it is a shape rather than a line
 * @param normalXs unit step square to the line, to the right of walking
 * @param steps length that each point stands for
 * @param junctionDistances along the path to the nearest junction; infinite without one
 * @param startsFree whether the line ends there rather than running into another
 * @param closed whether it runs back into itself
 */
public record Stroke(
    double[] xs,
    double[] ys,
    double[] widths,
    double[] normalXs,
    double[] normalYs,
    double[] steps,
    double[] junctionDistances,
    boolean startsFree,
    boolean endsFree,
    boolean closed) {

  /** Points nearer to a junction than this many widths are left out: the lines bulge there. */
  private static final double JUNCTION_CLEARANCE = 0.75;

  public int size() {
    return xs.length;
  }

  /** Whether the point has a width. */
  public boolean isRead(int i) {
    return !Double.isNaN(widths[i]);
  }

  /** Whether the point's width is that of one line alone. */
  public boolean isClear(int i) {
    return isRead(i) && junctionDistances[i] > JUNCTION_CLEARANCE * widths[i];
  }

  public double clearLength() {
    double sum = 0;
    for (int i = 0; i < size(); i++) {
      if (isClear(i)) {
        sum += steps[i];
      }
    }
    return sum;
  }

  /** Length of all points that have a width, pixels. */
  public double length() {
    double sum = 0;
    for (int i = 0; i < size(); i++) {
      if (isRead(i)) {
        sum += steps[i];
      }
    }
    return sum;
  }

  /** NaN when no point has a width. */
  public double medianWidth() {
    double[] read = Arrays.stream(widths).filter(w -> !Double.isNaN(w)).sorted().toArray();
    return read.length == 0 ? Double.NaN : read[read.length / 2];
  }

  /** The same stroke without widths above the given one. */
  Stroke withoutWider(double widest) {
    double[] kept = widths.clone();
    for (int i = 0; i < kept.length; i++) {
      if (kept[i] > widest) {
        kept[i] = Double.NaN;
      }
    }
    return new Stroke(
        xs, ys, kept, normalXs, normalYs, steps, junctionDistances, startsFree, endsFree, closed);
  }
}
