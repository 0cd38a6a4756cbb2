package penmirror.core.proposal;

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
  double width() {
    return right - left;
  }

  double height() {
    return bottom - top;
  }
}
