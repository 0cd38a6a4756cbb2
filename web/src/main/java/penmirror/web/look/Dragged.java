package penmirror.web.look;

import java.util.Optional;
import penmirror.core.geometry.Reach;
import penmirror.web.layout.RefusedException;
import penmirror.web.studies.Work;

/** A box as it was dragged over a work, in the picture's pixels; it may reach beyond the edges. */
record Dragged(double x, double y, double width, double height) {
  private static final double SMALLEST_BOX = 8;

  /** Cut to the picture; empty for one too small to be meant. */
  Optional<LookStore.Box> on(Work work) {
    if (!Reach.holds(x) || !Reach.holds(y) || !Reach.holds(width) || !Reach.holds(height)) {
      throw new RefusedException("fault.form.unreadable");
    }
    double left = Math.max(0, Math.min(work.widthPixels(), x));
    double top = Math.max(0, Math.min(work.heightPixels(), y));
    double right = Math.max(left, Math.min(work.widthPixels(), x + width));
    double bottom = Math.max(top, Math.min(work.heightPixels(), y + height));
    return right - left < SMALLEST_BOX || bottom - top < SMALLEST_BOX
        ? Optional.empty()
        : Optional.of(new LookStore.Box(left, top, right - left, bottom - top));
  }
}
