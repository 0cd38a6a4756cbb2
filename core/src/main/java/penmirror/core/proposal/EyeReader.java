package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;

/** Reads corners, lids and iris of both eyes from what is not skin round the pair. */
final class EyeReader {
  /** Half the window in which an eye is sought, in eye distances; a larger one if it is cut. */
  private static final double[][] EYE_WINDOWS = {{0.47, 0.6}, {0.62, 0.8}};

  /** Half the width of what is cut off, in samples of the grid, from nothing on. */
  private static final int[] EYE_CUTS = {0, 1, 2, 3, 5, 7};

  /** Corners so near those that the net sees are the same, in eye distances. */
  private static final double ALIKE = 0.1;

  /** Samples across, below which an iris is not told from a lash. */
  private static final int LEAST_IRIS = 5;

  private final FaceGrid grid;
  private final EyePair eyes;
  private final TaughtFace taught;
  private final FaceDraft draft;

  EyeReader(FaceGrid grid, EyePair eyes, TaughtFace taught, FaceDraft draft) {
    this.grid = grid;
    this.eyes = eyes;
    this.taught = taught;
    this.draft = draft;
  }

  /** An eye's box in the frame, and whether its outline was seen whole. */
  private record Box(
      double left,
      double top,
      double right,
      double bottom,
      double leftY,
      double rightY,
      boolean clean) {
    double width() {
      return right - left;
    }

    double height() {
      return bottom - top;
    }

    Box mirrored() {
      return new Box(-right, top, -left, bottom, rightY, leftY, false);
    }
  }

  /** Both eyes; where only one is seen whole, the other is its mirror image. */
  void read() {
    Box left = eyeBox(eyes.leftEye());
    Box right = eyeBox(eyes.rightEye());
    double ratio = left.width() * left.height() / (right.width() * right.height());
    if (ratio > 1.6 * 1.6 && right.clean() && !left.clean()) {
      left = right.mirrored();
    } else if (ratio < 1 / (1.6 * 1.6) && left.clean() && !right.clean()) {
      right = left.mirrored();
    }
    double clean = ((left.clean() ? 1 : 0) + (right.clean() ? 1 : 0)) / 2.0;
    for (Side side : Side.values()) {
      Box read = side == Side.LEFT ? left : right;
      Box eye = asTaught(side, read);
      eye(side, eye, eye == read ? (1 + clean) / 2 : 0);
    }
  }

  /** What was read where the net sees an eye there too; else the eye that the net sees. */
  private Box asTaught(Side side, Box read) {
    Point outer = taught.place(side.of(Landmark.EYE_L_OUTER));
    Point inner = taught.place(side.of(Landmark.EYE_L_INNER));
    Point left = side == Side.LEFT ? outer : inner;
    Point right = side == Side.LEFT ? inner : outer;
    boolean isThere =
        new Point(read.left(), read.leftY()).distanceTo(left) <= ALIKE
            && new Point(read.right(), read.rightY()).distanceTo(right) <= ALIKE;
    return isThere
        ? read
        : new Box(
            left.x(),
            taught.place(side.of(Landmark.EYE_L_TOP)).y(),
            right.x(),
            taught.place(side.of(Landmark.EYE_L_BOTTOM)).y(),
            left.y(),
            right.y(),
            false);
  }

  private void eye(Side side, Box box, double clean) {
    Point leftCorner = new Point(box.left(), box.leftY());
    Point rightCorner = new Point(box.right(), box.rightY());
    boolean isLeft = side == Side.LEFT;
    draft.put(side.of(Landmark.EYE_L_OUTER), isLeft ? leftCorner : rightCorner, clean, false);
    draft.put(side.of(Landmark.EYE_L_INNER), isLeft ? rightCorner : leftCorner, clean, false);
    double middle = (box.left() + box.right()) / 2;
    Opening opening = opening(box, middle);
    draft.put(side.of(Landmark.EYE_L_TOP), new Point(middle, opening.top()), clean, false);
    draft.put(side.of(Landmark.EYE_L_BOTTOM), new Point(middle, opening.bottom()), clean, false);
    draft.put(side.of(Landmark.LASH_L_TOP), new Point(middle, box.top()), clean, false);
    irisBetweenWhites(box, opening)
        .or(() -> iris(box))
        .ifPresentOrElse(
            iris -> {
              Point centre = new Point((iris.left + iris.right) / 2, iris.middle);
              draft.put(side.of(Landmark.IRIS_L_CENTRE), centre, clean, false);
              double edge = isLeft ? iris.left : iris.right;
              draft.put(side.of(Landmark.IRIS_L_EDGE), new Point(edge, centre.y()), clean, false);
              draft.put(
                  side.of(Landmark.IRIS_L_TOP), new Point(centre.x(), iris.top), clean, false);
            },
            () ->
                draft.put(
                    side.of(Landmark.IRIS_L_CENTRE),
                    new Point(middle, (box.top() + box.bottom()) / 2),
                    clean / 2,
                    true));
  }

  private record Opening(double top, double bottom) {}

  /** Inside the lash, where the eye shows white; the whole part where it is one dark shape. */
  private Opening opening(Box box, double middle) {
    int column = FaceGrid.column(middle);
    int top = FaceGrid.row(box.top());
    int bottom = FaceGrid.row(box.bottom());
    int reach = Math.max(1, (int) (0.12 * box.width() * FaceGrid.PER_UNIT));
    int first = Integer.MAX_VALUE;
    int last = -1;
    for (int row = top; row <= bottom; row++) {
      for (int x = column - 2 * reach; x <= column + 2 * reach; x++) {
        if (isWhite(x, row)) {
          first = Math.min(first, row);
          last = Math.max(last, row);
        }
      }
    }
    if (last - first < 0.3 * (bottom - top)) {
      return new Opening(box.top(), box.bottom());
    }
    return new Opening(FaceGrid.v(first - 0.5), FaceGrid.v(last + 0.5));
  }

  private boolean isWhite(int column, int row) {
    if (column < 0 || row < 0 || column >= grid.width || row >= grid.height) {
      return false;
    }
    int i = row * grid.width + column;
    return grid.lightness[i] > 0.75
        && Math.hypot(grid.a[i], grid.b[i]) < 0.06
        && !grid.isSkin(column, row);
  }

  private record Iris(double left, double top, double right, double bottom, double middle) {}

  /**
   * From the rows of the opening in which white shows on both sides: as wide as the widest of them,
   * its middle as high as these. A light in the iris is part of it.
   */
  private Optional<Iris> irisBetweenWhites(Box box, Opening opening) {
    int from = FaceGrid.row(opening.top());
    int to = FaceGrid.row(opening.bottom());
    int left = FaceGrid.column(box.left());
    int right = FaceGrid.column(box.right());
    int[] first = new int[Math.max(0, to - from + 1)];
    int[] last = new int[first.length];
    int widest = 0;
    for (int row = from; row <= to; row++) {
      int start = left;
      int end = right;
      while (start <= right && !isWhite(start, row)) {
        start++;
      }
      while (start <= right && isWhite(start, row)) {
        start++;
      }
      while (end >= left && !isWhite(end, row)) {
        end--;
      }
      while (end >= left && isWhite(end, row)) {
        end--;
      }
      first[row - from] = start;
      last[row - from] = end;
      widest = Math.max(widest, end - start + 1);
    }
    if (widest < LEAST_IRIS || widest > 0.9 * (right - left)) {
      return Optional.empty();
    }
    double sumLeft = 0;
    double sumRight = 0;
    double sumRow = 0;
    int count = 0;
    for (int i = 0; i < first.length; i++) {
      if (last[i] - first[i] + 1 >= 0.93 * widest) {
        sumLeft += first[i];
        sumRight += last[i];
        sumRow += from + i;
        count++;
      }
    }
    double u0 = FaceGrid.u(sumLeft / count - 0.5);
    double u1 = FaceGrid.u(sumRight / count + 0.5);
    double v = FaceGrid.v(sumRow / count);
    double radius = (u1 - u0) / 2;
    return Optional.of(new Iris(u0, Math.max(v - radius, opening.top()), u1, v + radius, v));
  }

  /** The largest dark part of an eye that shows white. */
  private Optional<Iris> iris(Box box) {
    int left = FaceGrid.column(box.left());
    int right = FaceGrid.column(box.right());
    int top = FaceGrid.row(box.top());
    int bottom = FaceGrid.row(box.bottom());
    int inset = Math.max(2, (int) (0.06 * (right - left)));
    int white = 0;
    float darkest = 1;
    float lightest = 0;
    for (int row = top; row <= bottom; row++) {
      for (int column = left; column <= right; column++) {
        if (isWhite(column, row)) {
          white++;
        }
        if (grid.holds(column, row)) {
          float value = grid.lightness[row * grid.width + column];
          darkest = Math.min(darkest, value);
          lightest = Math.max(lightest, value);
        }
      }
    }
    if (white <= 0.12 * (right - left + 1) * (bottom - top + 1)) {
      return Optional.empty();
    }
    double dark = darkest + 0.55 * (lightest - darkest);
    int width = right - left - 2 * inset + 1;
    int height = bottom - top - 2 * inset + 1;
    if (width < 3 || height < 3) {
      return Optional.empty();
    }
    boolean[] set = new boolean[width * height];
    for (int row = 0; row < height; row++) {
      for (int column = 0; column < width; column++) {
        int x = left + inset + column;
        int y = top + inset + row;
        set[row * width + column] =
            grid.holds(x, y) && grid.lightness[y * grid.width + x] < dark && !grid.isSkin(x, y);
      }
    }
    return Parts.of(new Mask(width, height, set)).stream()
        .max(Comparator.comparingInt(Parts.Part::area))
        .filter(part -> part.area() > 8)
        .map(
            part ->
                new Iris(
                    FaceGrid.u(left + inset + part.left() - 0.5),
                    FaceGrid.v(top + inset + part.top() - 0.5),
                    FaceGrid.u(left + inset + part.right() - 0.5),
                    FaceGrid.v(top + inset + part.bottom() - 0.5),
                    FaceGrid.v(top + inset + (part.top() + part.bottom() - 1) / 2.0)));
  }

  /**
   * The part that is not skin round a candidate, whole inside its window. Where a lash runs into
   * hair or the outline of the face, it is cut off first.
   */
  private Box eyeBox(Spot spot) {
    Point from = eyes.inFrame(spot.left() - 0.5, spot.top() - 0.5);
    Point to = eyes.inFrame(spot.right() - 0.5, spot.bottom() - 0.5);
    double left = Math.min(from.x(), to.x());
    double right = Math.max(from.x(), to.x());
    double top = Math.min(from.y(), to.y());
    double bottom = Math.max(from.y(), to.y());
    double u = (left + right) / 2;
    double v = (top + bottom) / 2;
    for (int cut : EYE_CUTS) {
      for (double[] window : EYE_WINDOWS) {
        Optional<Box> box = boxIn(u, v, window, left, top, right, bottom, cut);
        if (box.isPresent()) {
          return box.get();
        }
      }
    }
    return new Box(left, top, right, bottom, v, v, false);
  }

  private Optional<Box> boxIn(
      double u,
      double v,
      double[] window,
      double left,
      double top,
      double right,
      double bottom,
      int cut) {
    int fromColumn = FaceGrid.column(u - window[0]);
    int toColumn = FaceGrid.column(u + window[0]);
    // Never over the middle line: the eyes of big-eyed figures nearly touch.
    if (u < 0) {
      toColumn = Math.min(toColumn, FaceGrid.column(0) - 1);
    } else {
      fromColumn = Math.max(fromColumn, FaceGrid.column(0) + 1);
    }
    int fromRow = FaceGrid.row(v - window[1]);
    int toRow = FaceGrid.row(v + window[1]);
    int width = toColumn - fromColumn + 1;
    int height = toRow - fromRow + 1;
    if (width < 3 || height < 3) {
      return Optional.empty();
    }
    int boxLeft = Integer.MAX_VALUE;
    int boxTop = Integer.MAX_VALUE;
    int boxRight = -1;
    int boxBottom = -1;
    List<Parts.Part> chosen = new ArrayList<>();
    for (Parts.Part part : grid.otherParts(fromColumn, fromRow, width, height, cut)) {
      boolean touches =
          part.left() <= 0 || part.top() <= 0 || part.right() >= width || part.bottom() >= height;
      if (touches || part.area() < 6) {
        continue;
      }
      double pl = FaceGrid.u(fromColumn + part.left() - 0.5);
      double pr = FaceGrid.u(fromColumn + part.right() - 0.5);
      double pt = FaceGrid.v(fromRow + part.top() - 0.5);
      double pb = FaceGrid.v(fromRow + part.bottom() - 0.5);
      double sideways = Math.max(0, Math.min(pr, right) - Math.max(pl, left));
      double upright = Math.max(0, Math.min(pb, bottom) - Math.max(pt, top));
      double overlap = sideways * upright / ((right - left) * (bottom - top));
      boolean encloses = pl <= left && pr >= right && pt <= top && pb >= bottom;
      double apart = Math.max(0, Math.max(pt - bottom, top - pb));
      boolean beside =
          sideways >= 0.5 * Math.min(pr - pl, right - left)
              && apart <= 0.3 * (bottom - top)
              && pr - pl < 2.6 * (right - left)
              // A flat wide part above is a brow.
              && !(pb < top && pr - pl > 1.8 * (pb - pt));
      if (overlap >= 0.25 || encloses || beside) {
        chosen.add(part);
        boxLeft = Math.min(boxLeft, part.left());
        boxTop = Math.min(boxTop, part.top());
        boxRight = Math.max(boxRight, part.right());
        boxBottom = Math.max(boxBottom, part.bottom());
      }
    }
    if (boxRight < 0) {
      return Optional.empty();
    }
    double edge = Math.max(1, 0.1 * (boxRight - boxLeft)) + cut;
    double leftY = Parts.meanRow(chosen, width, 0, boxLeft + edge);
    double rightY = Parts.meanRow(chosen, width, boxRight - edge, width);
    return Optional.of(
        new Box(
            FaceGrid.u(fromColumn + boxLeft - 0.5),
            FaceGrid.v(fromRow + boxTop - 0.5),
            FaceGrid.u(fromColumn + boxRight - 0.5),
            FaceGrid.v(fromRow + boxBottom - 0.5),
            FaceGrid.v(fromRow + leftY),
            FaceGrid.v(fromRow + rightY),
            cut == 0));
  }
}
