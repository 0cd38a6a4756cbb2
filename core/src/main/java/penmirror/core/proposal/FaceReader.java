package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  /** Half the window in which an eye is sought, in eye distances; a larger one if it is cut. */
  private static final double[][] EYE_WINDOWS = {{0.47, 0.6}, {0.62, 0.8}};

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
    iris(box)
        .ifPresentOrElse(
            iris -> {
              Point centre = new Point((iris.left + iris.right) / 2, (iris.top + iris.bottom) / 2);
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

  private record Iris(double left, double top, double right, double bottom) {}

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
                    FaceGrid.v(top + inset + part.bottom() - 0.5)));
  }

  private boolean inside(int column, int row) {
    return column >= 0 && row >= 0 && column < grid.width && row < grid.height;
  }

  /** The part that is not skin round a candidate, whole inside its window. */
  private Box eyeBox(Spot spot) {
    Point from = eyes.inFrame(spot.left() - 0.5, spot.top() - 0.5);
    Point to = eyes.inFrame(spot.right() - 0.5, spot.bottom() - 0.5);
    double left = Math.min(from.x(), to.x());
    double right = Math.max(from.x(), to.x());
    double top = Math.min(from.y(), to.y());
    double bottom = Math.max(from.y(), to.y());
    double u = (left + right) / 2;
    double v = (top + bottom) / 2;
    for (double[] window : EYE_WINDOWS) {
      Optional<Box> box = boxIn(u, v, window, left, top, right, bottom);
      if (box.isPresent()) {
        return box.get();
      }
    }
    return new Box(left, top, right, bottom, v, v, false);
  }

  private Optional<Box> boxIn(
      double u, double v, double[] window, double left, double top, double right, double bottom) {
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
    for (Parts.Part part : otherParts(fromColumn, fromRow, width, height)) {
      boolean touches =
          part.left() == 0 || part.top() == 0 || part.right() == width || part.bottom() == height;
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
    double edge = Math.max(1, 0.1 * (boxRight - boxLeft));
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
            true));
  }

  /** Parts of what is not skin inside a window of the grid, in the window's own places. */
  private List<Parts.Part> otherParts(int fromColumn, int fromRow, int width, int height) {
    boolean[] set = new boolean[width * height];
    for (int row = 0; row < height; row++) {
      for (int column = 0; column < width; column++) {
        set[row * width + column] = grid.other.at(fromColumn + column, fromRow + row);
      }
    }
    return Parts.of(new Mask(width, height, set));
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
    List<Piece> pieces = pieces();
    Joint best = null;
    for (Outline outline : Outline.find(grid, prior)) {
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

  private List<Piece> pieces() {
    int fromColumn = FaceGrid.column(-0.95);
    int toColumn = FaceGrid.column(0.95);
    int fromRow = FaceGrid.row(-0.3);
    int toRow = FaceGrid.row(3.0);
    int width = toColumn - fromColumn + 1;
    int height = toRow - fromRow + 1;
    List<Piece> pieces = new ArrayList<>();
    for (Parts.Part part : otherParts(fromColumn, fromRow, width, height)) {
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
        set[row * width + column] = isDarkLine(fromColumn + column, fromRow + row);
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
    return new Piece(
        mouth.u(),
        mouth.v(),
        mouth.top(),
        mouth.bottom(),
        Math.min(mouth.left(), FaceGrid.u(fromColumn + best.left() - 0.5)),
        Math.max(mouth.right(), FaceGrid.u(fromColumn + best.right() - 0.5)),
        FaceGrid.v(fromRow + meanRow(one, width, 0, best.left() + edge)),
        FaceGrid.v(fromRow + meanRow(one, width, best.right() - edge, width)),
        mouth.footU(),
        mouth.contrast());
  }

  /** Darker than the skin a little above or below. */
  private boolean isDarkLine(int column, int row) {
    if (!inside(column, row)) {
      return false;
    }
    float here = grid.lightness[row * grid.width + column];
    float beside = 0;
    for (int away : new int[] {-6, 6}) {
      int other = Math.max(0, Math.min(grid.height - 1, row + away));
      beside = Math.max(beside, grid.lightness[other * grid.width + column]);
    }
    return beside - here > 0.05 || !grid.isSkin(column, row);
  }

  private void nose(Joint joint, Point chin) {
    if (joint.nose().isPresent()) {
      Piece nose = joint.nose().get();
      put(Landmark.NOSE_BASE, new Point(nose.footU(), nose.bottom()), joint.noseTerm(), false);
    } else {
      put(Landmark.NOSE_BASE, new Point(chin.x(), 0.4 * chin.y()), NO_NOSE, true);
    }
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
    Piece best = null;
    double most = -4.6;
    for (Parts.Part part : otherParts(fromColumn, fromRow, width, height)) {
      boolean touches = part.left() == 0 || part.right() == width || part.top() == 0;
      if (touches || part.area() < 10) {
        continue;
      }
      double edge = Math.max(1, 0.1 * part.width());
      double pieceWidth = part.width() / (double) FaceGrid.PER_UNIT;
      double pieceHeight = part.height() / (double) FaceGrid.PER_UNIT;
      double gap = eyeTop - FaceGrid.v(fromRow + part.bottom() - 0.5);
      double du = (FaceGrid.u(fromColumn + part.middleX()) - u) / 0.2;
      double dv = (gap - 0.2) / 0.17;
      double dw = Math.log(pieceWidth / 0.6) / 0.5;
      double term =
          -(du * du + dv * dv + dw * dw) / 2 - (pieceHeight > 0.8 * pieceWidth ? 1.5 : 0) + 1;
      if (term > most) {
        most = term;
        best =
            new Piece(
                FaceGrid.u(fromColumn + part.middleX()),
                FaceGrid.v(fromRow + part.middleY()),
                FaceGrid.v(fromRow + part.top() - 0.5),
                FaceGrid.v(fromRow + part.bottom() - 0.5),
                FaceGrid.u(fromColumn + part.left() - 0.5),
                FaceGrid.u(fromColumn + part.right() - 0.5),
                FaceGrid.v(fromRow + meanRow(List.of(part), width, 0, part.left() + edge)),
                FaceGrid.v(fromRow + meanRow(List.of(part), width, part.right() - edge, width)),
                FaceGrid.u(fromColumn + part.middleX()),
                term);
      }
    }
    return Optional.ofNullable(best);
  }

  private void cheeksAndJaw(Outline outline) {
    for (Side side : Side.values()) {
      double[] reaches = new double[24];
      int n = 0;
      for (int i = 0; i < 24; i++) {
        double v = 0.1 + 0.6 * outline.chin() * i / 23;
        double reach = 0.8 * outline.half();
        while (reach < 1.3 * outline.half()
            && grid.skinAt(outline.shift() + side.outward() * reach, v) > 0.5) {
          reach += 0.015;
        }
        reaches[n++] = reach;
      }
      java.util.Arrays.sort(reaches);
      double cheek = reaches[(int) (0.75 * (n - 1))];
      put(
          side.of(Landmark.CHEEK_L),
          new Point(outline.shift() + side.outward() * cheek, 0.2 * outline.chin()),
          outline.score(),
          false);
      put(side.of(Landmark.JAW_L), corner(outline, side), outline.score(), false);
    }
  }

  /** Farthest from the chord between cheek and chin. */
  private static Point corner(Outline outline, Side side) {
    Point from = outline.at(side.outward() * Math.PI / 2);
    Point to = outline.chinPoint();
    Point chord = to.minus(from);
    Point best = from.midpointTo(to);
    double farthest = 0;
    for (int i = 1; i < 40; i++) {
      Point at = outline.at(side.outward() * Math.PI / 2 * i / 40);
      Point off = at.minus(from);
      double away = Math.abs(off.x() * chord.y() - off.y() * chord.x()) / chord.length();
      if (away > farthest) {
        farthest = away;
        best = at;
      }
    }
    return best;
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
    double above = -hair.y();
    double crown =
        grid.skinAt(outline.shift(), hair.y() + 0.12) > 0.5 ? above - 0.02 : 0.25 + 0.69 * above;
    put(Landmark.CROWN, new Point(outline.shift(), -crown), 0, false);
  }
}
