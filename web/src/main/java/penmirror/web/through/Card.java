package penmirror.web.through;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * One work as it is looked over.
 *
 * @param version of the work, so that two windows do not say of it at once
 * @param view its name
 * @param framing its name; null where none is known
 * @param mood its name; null where none is known
 * @param light where the light comes from, degrees clockwise from above; null where not known
 * @param figure left, top, right and bottom of the figure, pixels
 * @param points places by key, with what chance they are right
 * @param taken keys of points that count once it is said that it looks right
 * @param doubts keys of points that are asked about, in order
 * @param figures how many stand free of each other in it; 0 where there is one or none
 * @param asks whether view or framing are asked about too: their words
 */
record Card(
    long id,
    int number,
    String title,
    String picture,
    int width,
    int height,
    int version,
    String view,
    @Nullable String framing,
    @Nullable String mood,
    @Nullable Integer light,
    List<Double> figure,
    Map<String, At> points,
    List<String> taken,
    List<String> doubts,
    List<String> asks,
    int figures) {

  /** The same where only these points are asked about, and nothing else. */
  Card asking(List<String> only) {
    return new Card(
        id, number, title, picture, width, height, version, view, framing, mood, light, figure,
        points, taken, only, List.of(), figures);
  }

  /**
   * A place on the picture.
   *
   * @param chance that it lies right, 0 to 1
   */
  record At(double x, double y, double chance) {}
}
