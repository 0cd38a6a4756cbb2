package penmirror.demoart.studio;

import penmirror.core.figure.Marks;

/**
 * A finished picture as it comes from a drawing board.
 *
 * @param png the picture's file
 * @param truth its landmarks as someone who knows the figure would mark them
 * @param lightDegrees where the light comes from as it is seen, clockwise from straight above
 */
public record DrawnWork(
    String fileName, String title, byte[] png, Marks truth, double lightDegrees) {

  public static DrawnWork of(Commission commission) {
    return of(commission, 1);
  }

  /**
   * @param scale on the picture's own size
   */
  public static DrawnWork of(Commission commission, double scale) {
    Illustration drawn = Illustration.of(commission, scale);
    return new DrawnWork(
        commission.fileName(),
        commission.title(),
        drawn.png(),
        drawn.marks(),
        drawn.rendering().lightDegrees());
  }
}
