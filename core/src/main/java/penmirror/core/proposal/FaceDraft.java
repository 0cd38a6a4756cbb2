package penmirror.core.proposal;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;

/** What was found of a face so far; the readers of its parts add to it one after the other. */
final class FaceDraft {
  private final Map<Landmark, Face.Found> found = new EnumMap<>(Landmark.class);

  /**
   * @param evidence what speaks for it; compares only landmarks of one kind
   * @param generic whether nothing was seen and it stands where it usually does
   */
  void put(Landmark landmark, Point place, double evidence, boolean generic) {
    found.put(landmark, new Face.Found(place, evidence, generic));
  }

  /**
   * @throws NullPointerException for a landmark that was not read yet
   */
  Point place(Landmark landmark) {
    return found(landmark).place();
  }

  /**
   * @throws NullPointerException for a landmark that was not read yet
   */
  Face.Found found(Landmark landmark) {
    return Objects.requireNonNull(found.get(landmark), landmark.key());
  }

  Map<Landmark, Face.Found> found() {
    return found;
  }
}
