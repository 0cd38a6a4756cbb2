package penmirror.core.proposal;

import java.util.List;

/**
 * A part of a face that is not skin, in the frame of the eyes: what may be a mouth, a nose, a brow.
 *
 * @param leftV height of its left end
 * @param rightV height of its right end
 * @param footU middle of its lowest rows
 * @param contrast how much it stands out, or what speaks for it
 */
record FacePiece(
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
  /**
   * From a part found in a window of the grid.
   *
   * @param width of the window, in samples
   * @param edge how far its ends reach inwards, in samples
   * @param footU in samples from the window's left side
   */
  static FacePiece of(
      Parts.Part part,
      int fromColumn,
      int fromRow,
      int width,
      double edge,
      double footU,
      double contrast) {
    List<Parts.Part> one = List.of(part);
    return new FacePiece(
        FaceGrid.u(fromColumn + part.middleX()),
        FaceGrid.v(fromRow + part.middleY()),
        FaceGrid.v(fromRow + part.top() - 0.5),
        FaceGrid.v(fromRow + part.bottom() - 0.5),
        FaceGrid.u(fromColumn + part.left() - 0.5),
        FaceGrid.u(fromColumn + part.right() - 0.5),
        FaceGrid.v(fromRow + Parts.meanRow(one, width, 0, part.left() + edge)),
        FaceGrid.v(fromRow + Parts.meanRow(one, width, part.right() - edge, width)),
        FaceGrid.u(fromColumn + footU),
        contrast);
  }

  /** The same with another figure for what speaks for it. */
  FacePiece speaking(double evidence) {
    return new FacePiece(u, v, top, bottom, left, right, leftV, rightV, footU, evidence);
  }

  double width() {
    return right - left;
  }

  double height() {
    return bottom - top;
  }
}
