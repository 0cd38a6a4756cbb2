package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;

/** Reads chin, mouth and nose together: each says where the others can be. */
final class LowerFaceReader {
  private static final int MOST_PARTS = 14;
  private static final double OUTLINE_WEIGHT = 6;
  private static final double NO_MOUTH = -1.6;
  private static final double NO_NOSE = -0.9;

  /** A part that only the outline parts from what lies outside has to be this good a mouth. */
  private static final double CLEAR_MOUTH = -0.3;

  private final FaceGrid grid;
  private final Outline.Prior prior;
  private final FaceReader.Expected expected;
  private final FaceDraft draft;

  LowerFaceReader(
      FaceGrid grid, Outline.Prior prior, FaceReader.Expected expected, FaceDraft draft) {
    this.grid = grid;
    this.prior = prior;
    this.expected = expected;
    this.draft = draft;
  }

  Joint read() {
    Joint joint = sought();
    Point chin = joint.outline().chinPoint();
    draft.put(Landmark.CHIN, chin, joint.outline().score() + skinEndsUnder(chin), false);
    mouth(joint, chin);
    nose(joint, chin);
    return joint;
  }

  private double skinEndsUnder(Point chin) {
    return grid.skinAt(chin.x(), chin.y() - 0.06) - grid.skinAt(chin.x(), chin.y() + 0.05);
  }

  /** The likeliest outline with the mouth and nose that fit it best. */
  record Joint(
      Outline outline,
      Optional<FacePiece> mouth,
      Optional<FacePiece> nose,
      double score,
      double mouthTerm,
      double noseTerm) {}

  private Joint sought() {
    List<Outline> outlines = Outline.find(grid, prior);
    List<FacePiece> all = pieces(Optional.empty());
    Joint whole = joint(outlines, outline -> all);
    // An open mouth may reach down to the chin's line: then only the outline parts them.
    if (whole.mouth().isPresent()) {
      return whole;
    }
    Joint parted = joint(outlines, outline -> pieces(Optional.of(outline)));
    return parted.mouthTerm() > CLEAR_MOUTH ? parted : whole;
  }

  private Joint joint(List<Outline> outlines, Function<Outline, List<FacePiece>> piecesOf) {
    Joint best = null;
    for (Outline outline : outlines) {
      List<FacePiece> pieces = piecesOf.apply(outline);
      for (int m = -1; m < pieces.size(); m++) {
        Optional<FacePiece> mouth = m < 0 ? Optional.empty() : Optional.of(pieces.get(m));
        double mouthTerm = mouth.map(p -> mouthTerm(p, outline)).orElse(NO_MOUTH);
        for (int n = -1; n < pieces.size(); n++) {
          if (n >= 0 && n == m) {
            continue;
          }
          Optional<FacePiece> nose = n < 0 ? Optional.empty() : Optional.of(pieces.get(n));
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
    return Objects.requireNonNull(best);
  }

  private double mouthTerm(FacePiece piece, Outline outline) {
    double du = (piece.u() - expected.mouthX()) / expected.mouthXSpread();
    double dv = (piece.v() / outline.chin() - expected.mouth()) / expected.mouthSpread();
    double dw = Math.log(piece.width() / expected.mouthWidth()) / expected.mouthWidthSpread();
    return -(du * du + dv * dv + dw * dw) / 2
        + 0.9 * Math.min(1, piece.contrast() / 0.25)
        + (piece.width() > 1.3 * piece.height() ? 0.3 : 0)
        - (piece.width() < 0.5 * piece.height() ? 1.5 : 0);
  }

  private double noseTerm(FacePiece piece, Outline outline) {
    double du = (piece.u() - expected.noseX()) / expected.noseXSpread();
    double dv = (piece.bottom() / outline.chin() - expected.nose()) / expected.noseSpread();
    double dw = Math.log(piece.width() / 0.2) / 0.8;
    return -(du * du + dv * dv + dw * dw) / 2 + 0.9 * Math.min(1, piece.contrast() / 0.25);
  }

  /** What is not skin, inside an outline or at all. */
  private List<FacePiece> pieces(Optional<Outline> outline) {
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
    List<FacePiece> pieces = new ArrayList<>();
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
            FacePiece.of(
                part, fromColumn, fromRow, width, edge, foot(part, width), sum / part.area()));
      }
    }
    pieces.sort(
        Comparator.comparingDouble(
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
      double outer = draft.place(side.of(Landmark.EYE_L_OUTER)).x();
      double inner = draft.place(side.of(Landmark.EYE_L_INNER)).x();
      double top = draft.place(side.of(Landmark.LASH_L_TOP)).y();
      double bottom = draft.place(side.of(Landmark.EYE_L_BOTTOM)).y();
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

  private void mouth(Joint joint, Point chin) {
    if (joint.mouth().isPresent()) {
      FacePiece mouth = wholeMouth(joint.mouth().get());
      draft.put(Landmark.MOUTH_L, new Point(mouth.left(), mouth.leftV()), joint.mouthTerm(), false);
      draft.put(
          Landmark.MOUTH_R, new Point(mouth.right(), mouth.rightV()), joint.mouthTerm(), false);
      draft.put(Landmark.MOUTH_TOP, new Point(mouth.u(), mouth.top()), joint.mouthTerm(), false);
      draft.put(
          Landmark.MOUTH_BOTTOM, new Point(mouth.u(), mouth.bottom()), joint.mouthTerm(), false);
    } else {
      double v = 0.66 * chin.y();
      draft.put(Landmark.MOUTH_L, new Point(chin.x() - 0.31, v), NO_MOUTH, true);
      draft.put(Landmark.MOUTH_R, new Point(chin.x() + 0.31, v), NO_MOUTH, true);
    }
  }

  /**
   * The mouth with its thin ends: what is darker than the skin beside it and hangs together with
   * the part that was found. A mouth line tapers to less than what is taken for a part.
   */
  private FacePiece wholeMouth(FacePiece mouth) {
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
        set[row * width + column] = isThinLine(x, y) || grid.holds(x, y) && !grid.isSkin(x, y);
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
    return new FacePiece(
        mouth.u(),
        mouth.v(),
        top <= bottom ? FaceGrid.v(fromRow + top - 0.5) : mouth.top(),
        top <= bottom ? FaceGrid.v(fromRow + bottom + 0.5) : mouth.bottom(),
        Math.min(mouth.left(), FaceGrid.u(fromColumn + best.left() - 0.5)),
        Math.max(mouth.right(), FaceGrid.u(fromColumn + best.right() - 0.5)),
        FaceGrid.v(fromRow + Parts.meanRow(one, width, 0, best.left() + edge)),
        FaceGrid.v(fromRow + Parts.meanRow(one, width, best.right() - edge, width)),
        mouth.footU(),
        mouth.contrast());
  }

  /** Darker than what lies a little above and below; the border of a shadow is not. */
  private boolean isThinLine(int column, int row) {
    if (!grid.holds(column, row)) {
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
      FacePiece nose = joint.nose().get();
      draft.put(
          Landmark.NOSE_BASE,
          new Point(noseMiddle(nose, joint.mouth(), chin), nose.bottom()),
          joint.noseTerm(),
          false);
    } else {
      draft.put(Landmark.NOSE_BASE, new Point(chin.x(), 0.4 * chin.y()), NO_NOSE, true);
    }
  }

  /** On the face's middle line where the nose crosses it: a wing or a wedge leads away from it. */
  private double noseMiddle(FacePiece nose, Optional<FacePiece> mouth, Point chin) {
    double to = mouth.map(FacePiece::u).orElse(chin.x());
    double at = mouth.map(FacePiece::v).orElse(chin.y());
    double middle = to * Math.min(1, nose.bottom() / Math.max(0.2, at));
    double slack = grid.fromFront ? 0.2 : 0.06;
    return middle >= nose.left() - slack && middle <= nose.right() + slack ? middle : nose.footU();
  }
}
