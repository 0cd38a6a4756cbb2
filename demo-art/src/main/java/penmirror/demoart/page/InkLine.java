package penmirror.demoart.page;

import java.awt.Shape;
import org.jspecify.annotations.Nullable;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Stroke;

/**
 * A line as it is put on the page.
 *
 * @param colour 0xRRGGBB
 * @param classes per point of the centreline: a contour may be silhouette and form by turns
 * @param clip the outline that cuts it, or null
 * @param seen per point of the centreline, whether nothing later lies over it
 */
record InkLine(
    Stroke stroke, LineClass[] classes, int colour, @Nullable Curve clip, boolean[] seen) {

  Shape shape() {
    return stroke.shape();
  }
}
