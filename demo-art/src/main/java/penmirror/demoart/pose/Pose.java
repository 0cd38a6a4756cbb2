package penmirror.demoart.pose;

/**
 * How a body stands. Angles are degrees: out is away from the body's middle, fore is forward, both
 * counted from hanging straight down; tilt is clockwise as seen from the front.
 *
 * @param lean of the trunk, sideways
 * @param fold of the trunk, forward
 * @param left the arm and leg at the left as seen from the front
 */
public record Pose(
    String name,
    double lean,
    double fold,
    double hipTilt,
    double shoulderTilt,
    double headTilt,
    Side left,
    Side right,
    boolean seated) {

  /** One arm and one leg. */
  public record Side(
      double armOut,
      double armFore,
      double forearmOut,
      double forearmFore,
      HandShape hand,
      double legOut,
      double legFore,
      double shinOut,
      double shinFore,
      double footPitch) {}

  private static Side arm(
      double out, double fore, double forearmOut, double forearmFore, HandShape hand) {
    return new Side(out, fore, forearmOut, forearmFore, hand, 4, 1, 3, -2, 0);
  }

  private static Side leg(
      Side side, double out, double fore, double shinOut, double shinFore, double footPitch) {
    return new Side(
        side.armOut,
        side.armFore,
        side.forearmOut,
        side.forearmFore,
        side.hand,
        out,
        fore,
        shinOut,
        shinFore,
        footPitch);
  }

  private static final Side HANGING = arm(11, 0, 5, 14, HandShape.RELAXED);

  public static final Pose STANDING = new Pose("standing", 0, 0, 0, 0, 0, HANGING, HANGING, false);

  public static final Pose WEIGHT_ON_ONE_LEG =
      new Pose(
          "weight on one leg",
          3,
          0,
          5,
          -5,
          4,
          leg(arm(12, 2, 8, 18, HandShape.RELAXED), 1, 0, 2, -1, 0),
          leg(arm(15, -6, 18, 20, HandShape.RELAXED), 11, 12, 8, -10, 0),
          false);

  public static final Pose HANDS_ON_HIPS =
      new Pose(
          "hands on hips",
          0,
          0,
          0,
          0,
          -3,
          leg(arm(46, -12, -58, 26, HandShape.FIST), 7, 1, 5, -2, 0),
          leg(arm(46, -12, -58, 26, HandShape.FIST), 7, 1, 5, -2, 0),
          false);

  public static final Pose WALKING =
      new Pose(
          "walking",
          0,
          5,
          2,
          -3,
          0,
          leg(arm(9, -26, 4, -2, HandShape.RELAXED), 3, 27, 2, 8, -14),
          leg(arm(9, 26, -4, 52, HandShape.RELAXED), 3, -16, 2, -42, 34),
          false);

  public static final Pose ARMS_UP =
      new Pose(
          "arms up",
          0,
          -3,
          -2,
          2,
          -5,
          leg(arm(138, 12, 168, 8, HandShape.OPEN), 9, 3, 6, -2, 0),
          leg(arm(132, 12, 158, 8, HandShape.OPEN), 9, 0, 6, -2, 0),
          false);

  public static final Pose LEANING =
      new Pose(
          "leaning",
          9,
          2,
          4,
          9,
          6,
          leg(arm(12, 4, -6, 30, HandShape.RELAXED), 3, 2, 1, -2, 0),
          leg(arm(40, 12, 62, 22, HandShape.GRIP), 3, 8, -9, 4, 0),
          false);

  public static final Pose SEATED =
      new Pose(
          "seated",
          0,
          4,
          0,
          0,
          3,
          leg(arm(16, 18, 2, 44, HandShape.RELAXED), 20, 74, 6, -4, 0),
          leg(arm(16, 18, 2, 44, HandShape.RELAXED), 20, 74, 6, -4, 0),
          true);

  /** The right arm lifts something to shoulder height. */
  public static final Pose HOLDING_UP =
      new Pose(
          "holding up",
          -1,
          0,
          -2,
          2,
          -2,
          leg(arm(16, -2, 9, 12, HandShape.RELAXED), 5, 1, 4, -2, 0),
          leg(arm(30, 14, 112, 26, HandShape.GRIP), 5, 1, 4, -2, 0),
          false);

  /** Something hangs from the right hand. */
  public static final Pose CARRYING =
      new Pose(
          "carrying",
          -2,
          0,
          2,
          3,
          2,
          leg(arm(20, -4, 14, 10, HandShape.RELAXED), 4, 2, 3, -2, 0),
          leg(arm(14, 6, 8, 34, HandShape.GRIP), 6, 3, 4, -4, 0),
          false);

  public static final Pose POINTING =
      new Pose(
          "pointing",
          2,
          0,
          -2,
          4,
          -4,
          leg(arm(44, -10, -56, 24, HandShape.FIST), 6, 1, 4, -2, 0),
          leg(arm(64, 20, 84, 16, HandShape.POINTING), 8, 4, 5, -3, 0),
          false);
}
