package penmirror.core.proposal;

/**
 * A part of the picture darker or brighter than what lies around it: an eye, a brow, a mouth, a
 * button, in working pixels.
 *
 * @param contrast mean difference to its surroundings, luma
 * @param bright whether it is brighter than what lies around it
 * @param ring median colour round it: lightness, a, b
 * @param plainness share of what lies round it that has that colour, 0 to 1
 */
record Spot(
    int left,
    int top,
    int right,
    int bottom,
    int area,
    double contrast,
    boolean bright,
    double[] ring,
    double plainness) {

  double width() {
    return right - left;
  }

  double height() {
    return bottom - top;
  }

  double longer() {
    return Math.max(width(), height());
  }

  double x() {
    return (left + right - 1) / 2.0;
  }

  double y() {
    return (top + bottom - 1) / 2.0;
  }

  /** How much it looks like a feature. */
  double rank() {
    return Math.sqrt(contrast) * (0.2 + plainness) * Math.min(1, Math.sqrt(area) / 6);
  }

  /** Of a place that somebody pointed at; what lies round it is read from the picture. */
  static Spot at(Ground ground, double left, double top, double right, double bottom) {
    double margin = Math.max(2, 0.4 * (right - left));
    double[] ring = new double[3];
    double[][] around = {
      {left - margin, (top + bottom) / 2},
      {right + margin, (top + bottom) / 2},
      {(left + right) / 2, bottom + margin}
    };
    for (double[] place : around) {
      ring[0] += ground.lightness.at(place[0], place[1]) / around.length;
      ring[1] += ground.a.at(place[0], place[1]) / around.length;
      ring[2] += ground.b.at(place[0], place[1]) / around.length;
    }
    return new Spot(
        (int) Math.floor(left),
        (int) Math.floor(top),
        (int) Math.ceil(right),
        (int) Math.ceil(bottom),
        (int) ((right - left) * (bottom - top)),
        0.3,
        false,
        ring,
        1);
  }
}
