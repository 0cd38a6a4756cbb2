package penmirror.demoart;

import java.awt.image.BufferedImage;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;

/** A drawn person: body, head, and what hangs over both, in one palette and build. */
abstract class Figure {
  static final double CROTCH = 560;
  static final double GROUND_LINE = 789;
  private static final double CHIN_LINE = 262;
  private static final double AXIS = 314;

  private final Palette palette;
  private final Build build;

  Figure(Palette palette, Build build) {
    this.palette = palette;
    this.build = build;
  }

  protected abstract void drawBody(Pen pen);

  protected abstract void drawHead(Pen pen);

  /** What lies over body and head, such as a scarf. */
  protected abstract void drawOver(Pen pen);

  protected abstract Map<Landmark, Point> headLandmarks();

  protected abstract Map<Landmark, Point> bodyLandmarks();

  protected List<Landmark> hidden() {
    return List.of();
  }

  protected Palette palette() {
    return palette;
  }

  protected Build build() {
    return build;
  }

  protected int c(Palette.Role role) {
    return palette.of(role);
  }

  /** Draws something lower by a step of the model's units. */
  protected void lowered(Pen pen, double down, Runnable drawing) {
    Warp before = pen.warp();
    pen.bendBy(Warp.shift(0, down).then(before));
    drawing.run();
    pen.bendBy(before);
  }

  protected static void eyeCorners(Map<Landmark, Point> points, Eye left, Eye right) {
    points.put(Landmark.EYE_L_OUTER, new Point(left.leftCornerX(), left.leftCornerY()));
    points.put(Landmark.EYE_L_INNER, new Point(left.rightCornerX(), left.rightCornerY()));
    points.put(Landmark.EYE_R_INNER, new Point(right.leftCornerX(), right.leftCornerY()));
    points.put(Landmark.EYE_R_OUTER, new Point(right.rightCornerX(), right.rightCornerY()));
  }

  protected static void corners(
      Map<Landmark, Point> points, double leftX, double leftY, double rightX, double rightY) {
    points.put(Landmark.MOUTH_L, new Point(leftX, leftY));
    points.put(Landmark.MOUTH_R, new Point(rightX, rightY));
  }

  /** Body proportions by the build, before the pose. */
  private Warp proportions() {
    return Warp.stretchBelow(CROTCH, build.legs())
        .then(Warp.stretchBelow(CHIN_LINE, build.torso()))
        .then(Warp.widenBelow(CHIN_LINE, AXIS, build.shoulders()));
  }

  /**
   * Draws the figure.
   *
   * @param headTurn degrees by which the head leans, clockwise as seen
   * @param bend laid over the whole figure last
   */
  void draw(BufferedImage image, double scale, double headTurn, Warp bend) {
    Pen pen = new Pen(image, scale, palette.of(Palette.Role.INK), build.lineWeight());
    pen.bendBy(proportions().then(bend));
    drawBody(pen);
    pen.bendBy(lean(headTurn).then(bend));
    drawHead(pen);
    pen.bendBy(proportions().then(bend));
    drawOver(pen);
  }

  /** Where the landmarks truly are, in pixels of the drawn picture. */
  Marks truth(double scale, double headTurn, Warp bend) {
    Map<Landmark, Mark> marks = new EnumMap<>(Landmark.class);
    Warp head = lean(headTurn).then(bend);
    Warp body = proportions().then(bend);
    headLandmarks().forEach((landmark, p) -> marks.put(landmark, mark(head.apply(p), scale)));
    bodyLandmarks().forEach((landmark, p) -> marks.put(landmark, mark(body.apply(p), scale)));
    hidden().forEach(landmark -> marks.put(landmark, Mark.hidden()));
    return new Marks(View.FRONT, marks);
  }

  private static Warp lean(double degrees) {
    return Warp.turn(new Point(AXIS, CHIN_LINE + 10), degrees);
  }

  private static Mark mark(Point p, double scale) {
    return Mark.placed(p.x() * scale, p.y() * scale);
  }
}
