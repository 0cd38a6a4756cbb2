package penmirror.core.proposal;

import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;

/** A figure of the study that is marked: what the next proposal learns from. */
public record MarkedFigure(Marks marks, Optional<FacePatch> face) {

  /** The same figure in a mirror, about an upright line through the picture's left edge. */
  MarkedFigure mirrored() {
    Marks turned = Marks.none(marks.view());
    for (Landmark landmark : marks.landmarks().keySet()) {
      Optional<Point> place = marks.point(landmark);
      if (place.isPresent()) {
        turned = turned.with(landmark.mirrored(), Mark.placed(-place.get().x(), place.get().y()));
      }
    }
    return new MarkedFigure(turned, face.map(FacePatch::mirrored));
  }
}
