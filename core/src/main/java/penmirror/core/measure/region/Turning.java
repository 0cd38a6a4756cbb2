package penmirror.core.measure.region;

import penmirror.core.raster.Contour;

/**
 * How one or several outlines turn: sums that can be pooled. Places where the picture's edge cuts
 * an outline off are left out.
 */
final class Turning {
  private static final double WINDOW = 0.04;
  private static final double CORNER = Math.toRadians(30);
  private static final double LEVEL = Math.toRadians(8);

  private double length;
  private double turn;
  private double inward;
  private double corner;
  private double straight;
  private double level;
  private double upright;

  /**
   * @param unit root of the figure's area, pixels
   */
  void add(Contour contour, double unit) {
    add(contour, unit, WINDOW);
  }

  /**
   * @param window over which a corner must turn, of the unit; wider for a smoother outline
   */
  void add(Contour contour, double unit, double window) {
    int n = contour.size();
    if (n == 0) {
      return;
    }
    double[] turns = contour.turns();
    double[] directions = contour.directions();
    int cornerWindow = (int) Math.max(2, Math.min(window * unit, 0.05 * n));
    int straightWindow = (int) Math.max(2, Math.min(0.08 * unit, 0.1 * n));
    double straightBelow = 0.08 * unit > 0.1 * n ? 0.10 : 0.07;
    double inCorner = window(turns, 0, cornerWindow);
    double inStraight = window(turns, 0, straightWindow);
    for (int i = 0; i < n; i++) {
      if (contour.isFree(i, cornerWindow)) {
        double size = Math.abs(turns[i]);
        turn += size;
        inward += turns[i] < 0 ? size : 0;
        corner += Math.abs(inCorner) > CORNER ? size : 0;
        length++;
        straight += Math.abs(inStraight) < straightBelow ? 1 : 0;
        double steep = Math.abs(Math.IEEEremainder(directions[i], Math.PI));
        level += steep < LEVEL ? 1 : 0;
        upright += Math.PI / 2 - steep < LEVEL ? 1 : 0;
      }
      inCorner += turns[(i + 1 + cornerWindow / 2) % n];
      inCorner -= turns[Math.floorMod(i - cornerWindow / 2, n)];
      inStraight += turns[(i + 1 + straightWindow / 2) % n];
      inStraight -= turns[Math.floorMod(i - straightWindow / 2, n)];
    }
  }

  private static double window(double[] turns, int at, int size) {
    double sum = 0;
    for (int k = -(size / 2); k <= size / 2; k++) {
      sum += turns[Math.floorMod(at + k, turns.length)];
    }
    return sum;
  }

  /** Whether there is an outline long enough to speak of. */
  boolean isTold() {
    return length >= 12 && turn > 0;
  }

  double length() {
    return length;
  }

  /** Full turns: 1 for a convex outline. */
  double turnsMade() {
    return turn / (2 * Math.PI);
  }

  double inwardShare() {
    return inward / turn;
  }

  double cornerShare() {
    return corner / turn;
  }

  double straightShare() {
    return straight / length;
  }

  double levelShare() {
    return level / length;
  }

  double uprightShare() {
    return upright / length;
  }
}
