package penmirror.core.proposal;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;

/**
 * What was found of a face, in the frame of its eyes.
 *
 * @param outline of the lower face
 * @param joint how well outline, mouth and nose fit together
 */
record Face(EyePair eyes, Map<Landmark, Found> found, Outline outline, double joint) {

  /**
   * One landmark.
   *
   * @param evidence what speaks for it; compares only landmarks of one kind
   * @param generic whether nothing was seen and it stands where it usually does
   */
  record Found(Point place, double evidence, boolean generic) {}

  Face {
    found = new EnumMap<>(found);
  }

  Optional<Point> place(Landmark landmark) {
    return Optional.ofNullable(found.get(landmark)).map(Found::place);
  }
}
