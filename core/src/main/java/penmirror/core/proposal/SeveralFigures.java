package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Regions;

/**
 * Tells the figures of a picture apart that stand free of each other: a sheet of poses, a row of
 * people. Those that touch or overlap are one here; a person parts them.
 */
final class SeveralFigures {
  /** Of the largest: what covers less, or is not so high, is a thing or a speck. */
  private static final double LEAST_AREA = 0.3;

  private static final double LEAST_HEIGHT = 0.5;

  /** Of the picture's height: on a page of small studies nothing is large. */
  private static final double LEAST_OF_PICTURE = 0.12;

  /** More would be a pattern. */
  private static final int MOST = 24;

  private SeveralFigures() {}

  /** From left to right, pixels of the picture; none where there is one figure, or nothing. */
  static List<Proposal.Box> of(Ground ground) {
    Mask figure = ground.figure;
    Regions pieces = Regions.of(figure.values(), ground.width, ground.height);
    int[][] boxes = pieces.boxes();
    int largest = 0;
    for (int p = 1; p < pieces.count(); p++) {
      largest = pieces.area(p) > pieces.area(largest) ? p : largest;
    }
    List<int[]> alike = new ArrayList<>();
    for (int p = 0; p < pieces.count(); p++) {
      double high = boxes[p][3] - boxes[p][1];
      if (pieces.area(p) >= LEAST_AREA * pieces.area(largest)
          && high >= LEAST_HEIGHT * (boxes[largest][3] - boxes[largest][1])
          && high >= LEAST_OF_PICTURE * ground.height) {
        alike.add(boxes[p]);
      }
    }
    if (alike.size() < 2 || alike.size() > MOST) {
      return List.of();
    }
    alike.sort(Comparator.comparingInt(box -> box[0]));
    return alike.stream()
        .map(
            box -> {
              Point from = new Point(box[0], box[1]).times(1 / ground.scale);
              Point to = new Point(box[2], box[3]).times(1 / ground.scale);
              return new Proposal.Box(from.x(), from.y(), to.x(), to.y());
            })
        .toList();
  }
}
