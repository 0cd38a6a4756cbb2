package penmirror.core.proposal;

import java.util.Comparator;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;

/** Reads the brows above eyes that are known. */
final class BrowReader {
  /** Half the width of what may join a brow to the hair, in samples of the grid. */
  private static final int[] BROW_CUTS = {0, 1, 2, 3};

  private static final double FAINTEST_BROW = -2;

  /** Of a brow whose other end lies under hair. */
  private static final double FAINTEST_HALF_BROW = -4.6;

  /** In samples of the grid: a thicker run is hair. */
  private static final int THICKEST_BROW = 16;

  private static final int SKIN_ABOVE_BROW = 3;

  /** Samples a brow may rise from one column to the next. */
  private static final double STEEPEST_BROW = 2.5;

  private final FaceGrid grid;
  private final FaceDraft draft;

  BrowReader(FaceGrid grid, FaceDraft draft) {
    this.grid = grid;
    this.draft = draft;
  }

  /** Both brows; one that is not seen is the mirror image of the other. */
  void read() {
    Optional<FacePiece> left = brow(Side.LEFT);
    Optional<FacePiece> right = brow(Side.RIGHT);
    if (left.isEmpty() && right.isPresent()) {
      left = right.map(BrowReader::mirrored);
    } else if (right.isEmpty() && left.isPresent()) {
      right = left.map(BrowReader::mirrored);
    }
    left.ifPresent(piece -> putBrow(Side.LEFT, piece));
    right.ifPresent(piece -> putBrow(Side.RIGHT, piece));
  }

  private void putBrow(Side side, FacePiece piece) {
    Point leftEnd = new Point(piece.left(), piece.leftV());
    Point rightEnd = new Point(piece.right(), piece.rightV());
    boolean isLeft = side == Side.LEFT;
    double evidence = piece.contrast();
    draft.put(side.of(Landmark.BROW_L_OUTER), isLeft ? leftEnd : rightEnd, evidence, false);
    draft.put(side.of(Landmark.BROW_L_INNER), isLeft ? rightEnd : leftEnd, evidence, false);
  }

  private static FacePiece mirrored(FacePiece piece) {
    return new FacePiece(
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
  private Optional<FacePiece> brow(Side side) {
    Point outer = draft.place(side.of(Landmark.EYE_L_OUTER));
    Point inner = draft.place(side.of(Landmark.EYE_L_INNER));
    double eyeTop = draft.place(side.of(Landmark.LASH_L_TOP)).y();
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
      Optional<FacePiece> brow =
          grid.otherParts(fromColumn, fromRow, width, height, cut).stream()
              .filter(part -> part.left() > 0 && part.right() < width && part.top() > 0)
              .filter(part -> part.area() >= 10)
              .map(part -> browPiece(part, fromColumn, fromRow, width, cut, u, eyeTop))
              .filter(piece -> piece.contrast() > FAINTEST_BROW)
              .max(Comparator.comparingDouble(FacePiece::contrast));
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
  private Optional<FacePiece> browBelowHair(
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
    FacePiece best = null;
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
          FacePiece piece = chain(start, column, tops, bottoms, fromColumn, fromRow, u, eyeTop);
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

  private static FacePiece chain(
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
    return new FacePiece(
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

  private static FacePiece browPiece(
      Parts.Part part, int fromColumn, int fromRow, int width, int cut, double u, double eyeTop) {
    double edge = Math.max(1, 0.1 * part.width()) + cut;
    FacePiece piece = FacePiece.of(part, fromColumn, fromRow, width, edge, part.middleX(), 0);
    return piece.speaking(
        browTerm(piece.left(), piece.right(), piece.top(), piece.bottom(), u, eyeTop));
  }
}
