package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;

/** Reads eyes, brows, nose, mouth and the lower outline of a face whose pair of eyes is known. */
final class FaceReader {
  private static final int MOST_PARTS = 14;
  private static final double OUTLINE_WEIGHT = 6;
  private static final double NO_MOUTH = -1.6;
  private static final double NO_NOSE = -0.9;

  /** A part that only the outline parts from what lies outside has to be this good a mouth. */
  private static final double CLEAR_MOUTH = -0.3;

  /** Half the window in which an eye is sought, in eye distances; a larger one if it is cut. */
  private static final double[][] EYE_WINDOWS = {{0.47, 0.6}, {0.62, 0.8}};

  /** Half the width of what is cut off, in samples of the grid, from nothing on. */
  private static final int[] EYE_CUTS = {0, 1, 2, 3, 5, 7};

  /** Samples across, below which an iris is not told from a lash. */
  private static final int LEAST_IRIS = 5;

  /** The face is widest just below the eyes: share of the way to the chin. */
  private static final double CHEEK_LEVEL = 0.06;

  /** Eye distances above the eyes between which the top of the head is sought. */
  private static final double MASS_STARTS = 0.8;

  private static final double MASS_ENDS = 3.5;

  /** Share of the face's width below which what stands up is no longer the head. */
  private static final double NECKED = 0.7;

  /** What lies above that width on a round head, in half widths: 1 − √(1 − 0.7²). */
  private static final double ROUND_CAP = 0.29;

  private static final int[] BROW_CUTS = {0, 1, 2, 3};

  private static final double FAINTEST_BROW = -2;

  /** Of a brow whose other end lies under hair. */
  private static final double FAINTEST_HALF_BROW = -4.6;

  /** In samples of the grid: a thicker run is hair. */
  private static final int THICKEST_BROW = 16;

  private static final int SKIN_ABOVE_BROW = 3;

  /** Samples a brow may rise from one column to the next. */
  private static final double STEEPEST_BROW = 2.5;

  /** Where mouth and nose are expected, shares of the way to the chin. */
  record Expected(
      double mouthX,
      double mouthXSpread,
      double mouth,
      double mouthSpread,
      double mouthWidth,
      double mouthWidthSpread,
      double noseX,
      double noseXSpread,
      double nose,
      double noseSpread) {
    static final Expected ANY = new Expected(0, 0.28, 0.66, 0.13, 0.62, 0.65, 0, 0.2, 0.4, 0.12);
  }

  private final Ground ground;
  private final EyePair eyes;
  private final Outline.Prior prior;
  private final Expected expected;
  private final FaceGrid grid;
  private final Map<Landmark, Face.Found> found = new EnumMap<>(Landmark.class);

  private FaceReader(
      Ground ground, EyePair eyes, FaceGrid grid, Outline.Prior prior, Expected expected) {
    this.ground = ground;
    this.eyes = eyes;
    this.grid = grid;
    this.prior = prior;
    this.expected = expected;
  }

  /**
   * @param grid the face sampled in the frame of these eyes
   */
  static Face read(
      Ground ground, EyePair eyes, FaceGrid grid, Outline.Prior prior, Expected expected) {
    return new FaceReader(ground, eyes, grid, prior, expected).read();
  }

  private Face read() {
    eyes();
    Joint joint = joint();
    Outline outline = joint.outline();
    Point chin = outline.chinPoint();
    put(Landmark.CHIN, chin, outline.score() + skinEndsUnder(chin), false);
    mouth(joint, chin);
    nose(joint, chin);
    brows();
    cheeksAndJaw(outline);
    hairAndCrown(outline);
    return new Face(eyes, found, outline, joint.score());
  }

  private void put(Landmark landmark, Point place, double evidence, boolean generic) {
    found.put(landmark, new Face.Found(place, evidence, generic));
  }

  // ---- eyes
  // --------------------------------------------------------------------------------------

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

  private void eyes() {
    Box left = eyeBox(eyes.leftEye());
    Box right = eyeBox(eyes.rightEye());
    double ratio = left.width() * left.height() / (right.width() * right.height());
    if (ratio > 1.6 * 1.6 && right.clean() && !left.clean()) {
      left = right.mirrored();
    } else if (ratio < 1 / (1.6 * 1.6) && left.clean() && !right.clean()) {
      right = left.mirrored();
    }
    double clean = ((left.clean() ? 1 : 0) + (right.clean() ? 1 : 0)) / 2.0;
    eye(Side.LEFT, left, clean);
    eye(Side.RIGHT, right, clean);
  }

  private void eye(Side side, Box box, double clean) {
    Point leftCorner = new Point(box.left(), box.leftY());
    Point rightCorner = new Point(box.right(), box.rightY());
    boolean isLeft = side == Side.LEFT;
    put(side.of(Landmark.EYE_L_OUTER), isLeft ? leftCorner : rightCorner, clean, false);
    put(side.of(Landmark.EYE_L_INNER), isLeft ? rightCorner : leftCorner, clean, false);
    double middle = (box.left() + box.right()) / 2;
    Opening opening = opening(box, middle);
    put(side.of(Landmark.EYE_L_TOP), new Point(middle, opening.top()), clean, false);
    put(side.of(Landmark.EYE_L_BOTTOM), new Point(middle, opening.bottom()), clean, false);
    put(side.of(Landmark.LASH_L_TOP), new Point(middle, box.top()), clean, false);
    irisBetweenWhites(box, opening)
        .or(() -> iris(box))
        .ifPresentOrElse(
            iris -> {
              Point centre = new Point((iris.left + iris.right) / 2, iris.middle);
              put(side.of(Landmark.IRIS_L_CENTRE), centre, clean, false);
              double edge = isLeft ? iris.left : iris.right;
              put(side.of(Landmark.IRIS_L_EDGE), new Point(edge, centre.y()), clean, false);
              put(side.of(Landmark.IRIS_L_TOP), new Point(centre.x(), iris.top), clean, false);
            },
            () ->
                put(
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
        if (inside(column, row)) {
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
            inside(x, y) && grid.lightness[y * grid.width + x] < dark && !grid.isSkin(x, y);
      }
    }
    return Parts.of(new Mask(width, height, set)).stream()
        .max(java.util.Comparator.comparingInt(Parts.Part::area))
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

  private boolean inside(int column, int row) {
    return column >= 0 && row >= 0 && column < grid.width && row < grid.height;
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
    for (Parts.Part part : otherParts(fromColumn, fromRow, width, height, cut)) {
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
    double leftY = meanRow(chosen, width, 0, boxLeft + edge);
    double rightY = meanRow(chosen, width, boxRight - edge, width);
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

  /** Parts of what is not skin inside a window of the grid, in the window's own places. */
  private List<Parts.Part> otherParts(int fromColumn, int fromRow, int width, int height) {
    return otherParts(fromColumn, fromRow, width, height, 0);
  }

  /**
   * @param cut what is at most twice as wide, in samples, does not join parts
   */
  private List<Parts.Part> otherParts(int fromColumn, int fromRow, int width, int height, int cut) {
    boolean[] set = new boolean[width * height];
    for (int row = 0; row < height; row++) {
      for (int column = 0; column < width; column++) {
        set[row * width + column] = grid.other.at(fromColumn + column, fromRow + row);
      }
    }
    return Parts.cut(new Mask(width, height, set), cut);
  }

  private static double meanRow(List<Parts.Part> parts, int width, double from, double to) {
    double sum = 0;
    int count = 0;
    for (Parts.Part part : parts) {
      for (int pixel : part.pixels()) {
        if (pixel % width >= from && pixel % width < to) {
          sum += pixel / width;
          count++;
        }
      }
    }
    return count == 0 ? 0 : sum / count;
  }

  // ---- mouth, nose and outline together
  // ----------------------------------------------------------

  /** A part of the lower face in the frame. */
  private record Piece(
      double u,
      double v,
      double top,
      double bottom,
      double left,
      double right,
      double leftV,
      double rightV,
      double footU,
      double contrast) {
    double width() {
      return right - left;
    }

    double height() {
      return bottom - top;
    }
  }

  private record Joint(
      Outline outline,
      Optional<Piece> mouth,
      Optional<Piece> nose,
      double score,
      double mouthTerm,
      double noseTerm) {}

  private Joint joint() {
    List<Outline> outlines = Outline.find(grid, prior);
    List<Piece> all = pieces(Optional.empty());
    Joint whole = joint(outlines, outline -> all);
    // An open mouth may reach down to the chin's line: then only the outline parts them.
    if (whole.mouth().isPresent()) {
      return whole;
    }
    Joint parted = joint(outlines, outline -> pieces(Optional.of(outline)));
    return parted.mouthTerm() > CLEAR_MOUTH ? parted : whole;
  }

  private Joint joint(List<Outline> outlines, Function<Outline, List<Piece>> piecesOf) {
    Joint best = null;
    for (Outline outline : outlines) {
      List<Piece> pieces = piecesOf.apply(outline);
      for (int m = -1; m < pieces.size(); m++) {
        Optional<Piece> mouth = m < 0 ? Optional.empty() : Optional.of(pieces.get(m));
        double mouthTerm = mouth.map(p -> mouthTerm(p, outline)).orElse(NO_MOUTH);
        for (int n = -1; n < pieces.size(); n++) {
          if (n >= 0 && n == m) {
            continue;
          }
          Optional<Piece> nose = n < 0 ? Optional.empty() : Optional.of(pieces.get(n));
          double noseTerm = nose.map(p -> noseTerm(p, outline)).orElse(NO_NOSE);
          double order = 0;
          if (mouth.isPresent() && nose.isPresent()) {
            double short_ = 0.12 - (mouth.get().v() - nose.get().bottom());
            order = short_ > 0 ? 20 * short_ : 0;
          }
          double score = OUTLINE_WEIGHT * outline.score() + mouthTerm + noseTerm - order;
          if (best == null || score > best.score()) {
            best = new Joint(outline, mouth, nose, score, mouthTerm, noseTerm);
          }
        }
      }
    }
    return java.util.Objects.requireNonNull(best);
  }

  private double mouthTerm(Piece piece, Outline outline) {
    double du = (piece.u() - expected.mouthX()) / expected.mouthXSpread();
    double dv = (piece.v() / outline.chin() - expected.mouth()) / expected.mouthSpread();
    double dw = Math.log(piece.width() / expected.mouthWidth()) / expected.mouthWidthSpread();
    return -(du * du + dv * dv + dw * dw) / 2
        + 0.9 * Math.min(1, piece.contrast() / 0.25)
        + (piece.width() > 1.3 * piece.height() ? 0.3 : 0)
        - (piece.width() < 0.5 * piece.height() ? 1.5 : 0);
  }

  private double noseTerm(Piece piece, Outline outline) {
    double du = (piece.u() - expected.noseX()) / expected.noseXSpread();
    double dv = (piece.bottom() / outline.chin() - expected.nose()) / expected.noseSpread();
    double dw = Math.log(piece.width() / 0.2) / 0.8;
    return -(du * du + dv * dv + dw * dw) / 2 + 0.9 * Math.min(1, piece.contrast() / 0.25);
  }

  /** What is not skin, inside an outline or at all. */
  private List<Piece> pieces(Optional<Outline> outline) {
    int fromColumn = FaceGrid.column(-0.95);
    int toColumn = FaceGrid.column(0.95);
    int fromRow = FaceGrid.row(-0.3);
    int toRow = FaceGrid.row(3.0);
    int width = toColumn - fromColumn + 1;
    int height = toRow - fromRow + 1;
    boolean[] set = new boolean[width * height];
    for (int row = 0; row < height; row++) {
      double v = FaceGrid.v(fromRow + row);
      for (int column = 0; column < width; column++) {
        set[row * width + column] =
            (grid.other.at(fromColumn + column, fromRow + row)
                    || isThinLine(fromColumn + column, fromRow + row))
                && (outline.isEmpty() || outline.get().holds(FaceGrid.u(fromColumn + column), v));
      }
    }
    List<Piece> pieces = new ArrayList<>();
    for (Parts.Part part : Parts.of(new Mask(width, height, set))) {
      boolean touches = part.left() == 0 || part.right() == width || part.bottom() == height;
      boolean isEye =
          part.top() == 0
              || FaceGrid.v(fromRow + part.bottom()) < 0.12
              || liesInAnEye(fromColumn, fromRow, part);
      if (!touches && !isEye && part.area() >= 12) {
        double sum = 0;
        for (int pixel : part.pixels()) {
          int i = (fromRow + pixel / width) * grid.width + fromColumn + pixel % width;
          sum +=
              Math.abs(grid.lightness[i] - grid.skinLightness())
                  + Math.hypot(grid.a[i], grid.b[i]) * 0.3;
        }
        double edge = Math.max(1, 0.1 * part.width());
        pieces.add(
            new Piece(
                FaceGrid.u(fromColumn + part.middleX()),
                FaceGrid.v(fromRow + part.middleY()),
                FaceGrid.v(fromRow + part.top() - 0.5),
                FaceGrid.v(fromRow + part.bottom() - 0.5),
                FaceGrid.u(fromColumn + part.left() - 0.5),
                FaceGrid.u(fromColumn + part.right() - 0.5),
                FaceGrid.v(fromRow + meanRow(List.of(part), width, 0, part.left() + edge)),
                FaceGrid.v(fromRow + meanRow(List.of(part), width, part.right() - edge, width)),
                FaceGrid.u(fromColumn + foot(part, width)),
                sum / part.area()));
      }
    }
    pieces.sort(
        java.util.Comparator.comparingDouble(
            piece -> -piece.contrast() * Math.sqrt(piece.width() * piece.height())));
    return pieces.subList(0, Math.min(MOST_PARTS, pieces.size()));
  }

  /** Middle of its lowest rows. */
  private static double foot(Parts.Part part, int width) {
    double from = part.bottom() - Math.max(2, 0.08 * part.height());
    double sum = 0;
    int count = 0;
    for (int pixel : part.pixels()) {
      if (pixel / width >= from) {
        sum += pixel % width;
        count++;
      }
    }
    return sum / count;
  }

  private boolean liesInAnEye(int fromColumn, int fromRow, Parts.Part part) {
    for (Side side : Side.values()) {
      double outer = found.get(side.of(Landmark.EYE_L_OUTER)).place().x();
      double inner = found.get(side.of(Landmark.EYE_L_INNER)).place().x();
      double top = found.get(side.of(Landmark.LASH_L_TOP)).place().y();
      double bottom = found.get(side.of(Landmark.EYE_L_BOTTOM)).place().y();
      double x = FaceGrid.u(fromColumn + part.middleX());
      double y = FaceGrid.v(fromRow + part.middleY());
      if (x >= Math.min(outer, inner)
          && x <= Math.max(outer, inner)
          && y >= top - 0.05
          && y <= bottom + 0.05) {
        return true;
      }
    }
    return false;
  }

  private double skinEndsUnder(Point chin) {
    return grid.skinAt(chin.x(), chin.y() - 0.06) - grid.skinAt(chin.x(), chin.y() + 0.05);
  }

  private void mouth(Joint joint, Point chin) {
    if (joint.mouth().isPresent()) {
      Piece mouth = wholeMouth(joint.mouth().get());
      put(Landmark.MOUTH_L, new Point(mouth.left(), mouth.leftV()), joint.mouthTerm(), false);
      put(Landmark.MOUTH_R, new Point(mouth.right(), mouth.rightV()), joint.mouthTerm(), false);
      put(Landmark.MOUTH_TOP, new Point(mouth.u(), mouth.top()), joint.mouthTerm(), false);
      put(Landmark.MOUTH_BOTTOM, new Point(mouth.u(), mouth.bottom()), joint.mouthTerm(), false);
    } else {
      double v = 0.66 * chin.y();
      put(Landmark.MOUTH_L, new Point(chin.x() - 0.31, v), NO_MOUTH, true);
      put(Landmark.MOUTH_R, new Point(chin.x() + 0.31, v), NO_MOUTH, true);
    }
  }

  /**
   * The mouth with its thin ends: what is darker than the skin beside it and hangs together with
   * the part that was found. A mouth line tapers to less than what is taken for a part.
   */
  private Piece wholeMouth(Piece mouth) {
    int fromColumn = FaceGrid.column(mouth.left() - 0.5);
    int toColumn = FaceGrid.column(mouth.right() + 0.5);
    int fromRow = FaceGrid.row(mouth.top() - 0.25);
    int toRow = FaceGrid.row(mouth.bottom() + 0.15);
    int width = toColumn - fromColumn + 1;
    int height = toRow - fromRow + 1;
    boolean[] set = new boolean[width * height];
    for (int row = 0; row < height; row++) {
      for (int column = 0; column < width; column++) {
        int x = fromColumn + column;
        int y = fromRow + row;
        set[row * width + column] = isThinLine(x, y) || inside(x, y) && !grid.isSkin(x, y);
      }
    }
    double found = 0;
    Parts.Part best = null;
    for (Parts.Part part : Parts.of(new Mask(width, height, set))) {
      int inside = 0;
      for (int pixel : part.pixels()) {
        double u = FaceGrid.u(fromColumn + pixel % width);
        double v = FaceGrid.v(fromRow + pixel / width);
        if (u >= mouth.left() && u <= mouth.right() && v >= mouth.top() && v <= mouth.bottom()) {
          inside++;
        }
      }
      if (inside > found) {
        found = inside;
        best = part;
      }
    }
    // Running on to the window's edge it is the outline of the face or a beard, not the mouth.
    if (best == null || best.left() == 0 || best.right() == width) {
      return mouth;
    }
    double edge = Math.max(1, 0.05 * best.width());
    List<Parts.Part> one = List.of(best);
    // Top and bottom are those of the middle: a laughing mouth is highest at its corners.
    int middle = (int) Math.round(best.middleX());
    int reach = Math.max(1, best.width() / 12);
    int top = best.bottom();
    int bottom = best.top();
    for (int pixel : best.pixels()) {
      if (Math.abs(pixel % width - middle) <= reach) {
        top = Math.min(top, pixel / width);
        bottom = Math.max(bottom, pixel / width);
      }
    }
    return new Piece(
        mouth.u(),
        mouth.v(),
        top <= bottom ? FaceGrid.v(fromRow + top - 0.5) : mouth.top(),
        top <= bottom ? FaceGrid.v(fromRow + bottom + 0.5) : mouth.bottom(),
        Math.min(mouth.left(), FaceGrid.u(fromColumn + best.left() - 0.5)),
        Math.max(mouth.right(), FaceGrid.u(fromColumn + best.right() - 0.5)),
        FaceGrid.v(fromRow + meanRow(one, width, 0, best.left() + edge)),
        FaceGrid.v(fromRow + meanRow(one, width, best.right() - edge, width)),
        mouth.footU(),
        mouth.contrast());
  }

  /** Darker than what lies a little above and below; the border of a shadow is not. */
  private boolean isThinLine(int column, int row) {
    if (!inside(column, row)) {
      return false;
    }
    float here = grid.lightness[row * grid.width + column];
    float beside = 1;
    for (int away : new int[] {-6, 6}) {
      int other = Math.max(0, Math.min(grid.height - 1, row + away));
      beside = Math.min(beside, grid.lightness[other * grid.width + column]);
    }
    return beside - here > 0.04;
  }

  private void nose(Joint joint, Point chin) {
    if (joint.nose().isPresent()) {
      Piece nose = joint.nose().get();
      put(
          Landmark.NOSE_BASE,
          new Point(noseMiddle(nose, joint.mouth(), chin), nose.bottom()),
          joint.noseTerm(),
          false);
    } else {
      put(Landmark.NOSE_BASE, new Point(chin.x(), 0.4 * chin.y()), NO_NOSE, true);
    }
  }

  /** On the face's middle line where the nose crosses it: a wing or a wedge leads away from it. */
  private double noseMiddle(Piece nose, Optional<Piece> mouth, Point chin) {
    double to = mouth.map(Piece::u).orElse(chin.x());
    double at = mouth.map(Piece::v).orElse(chin.y());
    double middle = to * Math.min(1, nose.bottom() / Math.max(0.2, at));
    double slack = grid.fromFront ? 0.2 : 0.06;
    return middle >= nose.left() - slack && middle <= nose.right() + slack ? middle : nose.footU();
  }

  // ---- brows, sides, hair
  // ------------------------------------------------------------------------

  private void brows() {
    Optional<Piece> left = brow(Side.LEFT);
    Optional<Piece> right = brow(Side.RIGHT);
    if (left.isEmpty() && right.isPresent()) {
      left = right.map(FaceReader::mirrored);
    } else if (right.isEmpty() && left.isPresent()) {
      right = left.map(FaceReader::mirrored);
    }
    left.ifPresent(piece -> putBrow(Side.LEFT, piece));
    right.ifPresent(piece -> putBrow(Side.RIGHT, piece));
  }

  private void putBrow(Side side, Piece piece) {
    Point leftEnd = new Point(piece.left(), piece.leftV());
    Point rightEnd = new Point(piece.right(), piece.rightV());
    boolean isLeft = side == Side.LEFT;
    double evidence = piece.contrast();
    put(side.of(Landmark.BROW_L_OUTER), isLeft ? leftEnd : rightEnd, evidence, false);
    put(side.of(Landmark.BROW_L_INNER), isLeft ? rightEnd : leftEnd, evidence, false);
  }

  private static Piece mirrored(Piece piece) {
    return new Piece(
        -piece.u(),
        piece.v(),
        piece.top(),
        piece.bottom(),
        -piece.right(),
        -piece.left(),
        piece.rightV(),
        piece.leftV(),
        -piece.footU(),
        piece.contrast() - 1);
  }

  /** Above the eye, wider than tall, about as wide as the eye; its contrast is the evidence. */
  private Optional<Piece> brow(Side side) {
    Point outer = found.get(side.of(Landmark.EYE_L_OUTER)).place();
    Point inner = found.get(side.of(Landmark.EYE_L_INNER)).place();
    double eyeTop = found.get(side.of(Landmark.LASH_L_TOP)).place().y();
    double u = (outer.x() + inner.x()) / 2;
    int fromColumn = FaceGrid.column(side == Side.LEFT ? -1.25 : 0.02);
    int toColumn = FaceGrid.column(side == Side.LEFT ? -0.02 : 1.25);
    int fromRow = FaceGrid.row(eyeTop - 1.1);
    int toRow = FaceGrid.row(eyeTop) - 1;
    int width = toColumn - fromColumn + 1;
    int height = toRow - fromRow + 1;
    if (width < 3 || height < 3 || fromRow < 0) {
      return Optional.empty();
    }
    for (int cut : BROW_CUTS) {
      Optional<Piece> brow =
          otherParts(fromColumn, fromRow, width, height, cut).stream()
              .filter(part -> part.left() > 0 && part.right() < width && part.top() > 0)
              .filter(part -> part.area() >= 10)
              .map(part -> browPiece(part, fromColumn, fromRow, width, cut, u, eyeTop))
              .filter(piece -> piece.contrast() > FAINTEST_BROW)
              .max(java.util.Comparator.comparingDouble(Piece::contrast));
      if (brow.isPresent()) {
        return brow;
      }
    }
    return browBelowHair(fromColumn, fromRow, width, height, u, eyeTop);
  }

  /**
   * A brow that runs into the hair or a line of it: in each column the first dark run above the eye
   * that has skin above it; the longest smooth chain of such runs.
   */
  private Optional<Piece> browBelowHair(
      int fromColumn, int fromRow, int width, int height, double u, double eyeTop) {
    int[] tops = new int[width];
    int[] bottoms = new int[width];
    for (int column = 0; column < width; column++) {
      int row = height - 1;
      while (row > 0 && grid.other.at(fromColumn + column, fromRow + row)) {
        row--;
      }
      while (row > 0 && !grid.other.at(fromColumn + column, fromRow + row)) {
        row--;
      }
      int bottom = row;
      while (row > 0 && grid.other.at(fromColumn + column, fromRow + row)) {
        row--;
      }
      boolean thin = bottom - row <= THICKEST_BROW && row > SKIN_ABOVE_BROW;
      for (int above = 0; thin && above < SKIN_ABOVE_BROW; above++) {
        thin = grid.isSkin(fromColumn + column, fromRow + row - above);
      }
      tops[column] = thin ? row + 1 : -1;
      bottoms[column] = thin ? bottom : -1;
    }
    Piece best = null;
    int start = 0;
    for (int column = 1; column <= width; column++) {
      boolean goesOn =
          column < width
              && tops[column] >= 0
              && tops[column - 1] >= 0
              && Math.abs(tops[column] + bottoms[column] - tops[column - 1] - bottoms[column - 1])
                  <= 2 * STEEPEST_BROW;
      if (!goesOn) {
        if (tops[start] >= 0) {
          Piece piece = chain(start, column, tops, bottoms, fromColumn, fromRow, u, eyeTop);
          if (piece.contrast() > FAINTEST_HALF_BROW
              && (best == null || piece.contrast() > best.contrast())) {
            best = piece;
          }
        }
        start = column;
      }
    }
    return Optional.ofNullable(best);
  }

  private static Piece chain(
      int from,
      int to,
      int[] tops,
      int[] bottoms,
      int fromColumn,
      int fromRow,
      double u,
      double eyeTop) {
    int top = Integer.MAX_VALUE;
    int bottom = 0;
    for (int column = from; column < to; column++) {
      top = Math.min(top, tops[column]);
      bottom = Math.max(bottom, bottoms[column]);
    }
    double left = FaceGrid.u(fromColumn + from - 0.5);
    double right = FaceGrid.u(fromColumn + to - 0.5);
    double high = FaceGrid.v(fromRow + top - 0.5);
    double low = FaceGrid.v(fromRow + bottom + 0.5);
    return new Piece(
        (left + right) / 2,
        (high + low) / 2,
        high,
        low,
        left,
        right,
        FaceGrid.v(fromRow + (tops[from] + bottoms[from]) / 2.0),
        FaceGrid.v(fromRow + (tops[to - 1] + bottoms[to - 1]) / 2.0),
        (left + right) / 2,
        browTerm(left, right, high, low, u, eyeTop));
  }

  /** Above the eye, wider than tall, about as wide as the eye. */
  private static double browTerm(
      double left, double right, double top, double bottom, double u, double eyeTop) {
    double du = ((left + right) / 2 - u) / 0.2;
    double dv = (eyeTop - bottom - 0.2) / 0.17;
    double dw = Math.log((right - left) / 0.6) / 0.5;
    return -(du * du + dv * dv + dw * dw) / 2 - (bottom - top > 0.8 * (right - left) ? 1.5 : 0) + 1;
  }

  private static Piece browPiece(
      Parts.Part part, int fromColumn, int fromRow, int width, int cut, double u, double eyeTop) {
    double edge = Math.max(1, 0.1 * part.width()) + cut;
    return new Piece(
        FaceGrid.u(fromColumn + part.middleX()),
        FaceGrid.v(fromRow + part.middleY()),
        FaceGrid.v(fromRow + part.top() - 0.5),
        FaceGrid.v(fromRow + part.bottom() - 0.5),
        FaceGrid.u(fromColumn + part.left() - 0.5),
        FaceGrid.u(fromColumn + part.right() - 0.5),
        FaceGrid.v(fromRow + meanRow(List.of(part), width, 0, part.left() + edge)),
        FaceGrid.v(fromRow + meanRow(List.of(part), width, part.right() - edge, width)),
        FaceGrid.u(fromColumn + part.middleX()),
        browTerm(
            FaceGrid.u(fromColumn + part.left() - 0.5),
            FaceGrid.u(fromColumn + part.right() - 0.5),
            FaceGrid.v(fromRow + part.top() - 0.5),
            FaceGrid.v(fromRow + part.bottom() - 0.5),
            u,
            eyeTop));
  }

  private void cheeksAndJaw(Outline outline) {
    double cheekV = CHEEK_LEVEL * outline.chin();
    for (Side side : Side.values()) {
      double[] reaches = new double[24];
      for (int i = 0; i < reaches.length; i++) {
        double v = 0.35 * outline.chin() * i / (reaches.length - 1);
        double reach = 0.8 * outline.half();
        while (reach < 1.3 * outline.half()
            && grid.skinAt(outline.shift() + side.outward() * reach, v) > 0.5) {
          reach += 0.015;
        }
        reaches[i] = reach;
      }
      java.util.Arrays.sort(reaches);
      double cheek = reaches[(int) (0.75 * (reaches.length - 1))];
      Point at = new Point(outline.shift() + side.outward() * cheek, cheekV);
      put(side.of(Landmark.CHEEK_L), at, outline.score(), false);
      put(side.of(Landmark.JAW_L), corner(outline, side, at), outline.score(), false);
    }
  }

  /** Farthest from the chord between cheek and chin. */
  private static Point corner(Outline outline, Side side, Point cheek) {
    Point to = outline.chinPoint();
    Point chord = to.minus(cheek);
    Point best = cheek.midpointTo(to);
    double farthest = 0;
    for (int i = 1; i < 40; i++) {
      Point at = outline.at(side.outward() * Math.PI / 2 * i / 40);
      Point off = at.minus(cheek);
      double away = Math.abs(off.x() * chord.y() - off.y() * chord.x()) / chord.length();
      if (away > farthest) {
        farthest = away;
        best = at;
      }
    }
    return best;
  }

  /**
   * How far above the eyes the head itself ends: a bun or a tuft is narrower than it. Seen from the
   * middle line outwards in the silhouette; never below the brows.
   */
  private double massTop(Outline outline) {
    for (double above = MASS_STARTS; above < MASS_ENDS; above += 0.03) {
      double wide = 0;
      for (Side side : Side.values()) {
        double reach = 0;
        while (reach < 2 * outline.half()
            && isFigure(outline.shift() + side.outward() * reach, -above)) {
          reach += 0.04;
        }
        wide += reach;
      }
      if (wide < NECKED * 2 * outline.half()) {
        // A round skull is this wide a little below its top.
        return above + ROUND_CAP * outline.half();
      }
    }
    return MASS_ENDS;
  }

  /** Of the silhouette half way up to the crown: a turned skull lies behind the face. */
  private double middleOfHead(double crown) {
    double sum = 0;
    for (Side side : Side.values()) {
      double reach = 0;
      while (reach < 3 && isFigure(side.outward() * reach, -crown / 2)) {
        reach += 0.04;
      }
      sum += side.outward() * reach;
    }
    return sum / 2;
  }

  private boolean isFigure(double u, double v) {
    Point at = eyes.at(u, v);
    return ground.figure.at((int) Math.round(at.x()), (int) Math.round(at.y()));
  }

  private void hairAndCrown(Outline outline) {
    double reach = 1.05 * outline.half() * eyes.distance();
    Point middle = eyes.at(outline.shift(), 0);
    int topRow = Integer.MAX_VALUE;
    double topX = middle.x();
    for (int x = (int) (middle.x() - reach); x <= middle.x() + reach; x++) {
      int row = ground.topOver(x, x);
      if (row < topRow && row >= ground.top) {
        topRow = row;
        topX = x;
      }
    }
    Point hair = eyes.inFrame(topX, topRow - 0.5);
    put(Landmark.HAIR_TOP, hair, 1, false);
    double above = Math.min(-hair.y(), massTop(outline));
    double crown =
        grid.skinAt(outline.shift(), hair.y() + 0.12) > 0.5 ? above - 0.02 : 0.25 + 0.69 * above;
    double u = grid.fromFront ? outline.shift() : (outline.shift() + middleOfHead(crown)) / 2;
    put(Landmark.CROWN, new Point(u, -crown), 0, false);
  }
}
