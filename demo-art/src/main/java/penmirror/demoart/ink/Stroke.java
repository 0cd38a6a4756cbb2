package penmirror.demoart.ink;

import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;
import penmirror.core.geometry.Point;

/**
 * One drawn line: a centreline and the full width at each of its points. It is filled as a shape,
 * so its taper is real.
 *
 * @param centre at least two points
 * @param widths full widths in the unit of the centreline, one per point, ≥ 0
 * @param outward share of the width that lies on the side the normals point to, [0, 1]
 */
public record Stroke(Curve centre, double[] widths, double outward) {
  public Stroke {
    if (widths.length != centre.points().size()) {
      throw new IllegalArgumentException(
          "A stroke needs a width per point, got "
              + widths.length
              + " for "
              + centre.points().size());
    }
  }

  /** The shape to fill, by the even-odd rule for a ring and the non-zero rule for a line. */
  public Path2D shape() {
    List<Point> outer = new ArrayList<>();
    List<Point> inner = new ArrayList<>();
    List<Point> normals = centre.normals();
    for (int i = 0; i < widths.length; i++) {
      Point across = normals.get(i).times(widths[i]);
      outer.add(centre.points().get(i).plus(across.times(outward)));
      inner.add(centre.points().get(i).minus(across.times(1 - outward)));
    }
    if (centre.isClosed()) {
      Path2D ring = Curve.polygon(outer).path();
      ring.append(Curve.polygon(inner).path(), false);
      ring.setWindingRule(Path2D.WIND_EVEN_ODD);
      return ring;
    }
    List<Point> round = new ArrayList<>(outer);
    for (int i = inner.size() - 1; i >= 0; i--) {
      round.add(inner.get(i));
    }
    Path2D ribbon = Curve.polygon(round).path();
    ribbon.setWindingRule(Path2D.WIND_NON_ZERO);
    return ribbon;
  }
}
