package penmirror.demoart.pose;

import static penmirror.demoart.manner.Parameter.ARM;
import static penmirror.demoart.manner.Parameter.FOOT;
import static penmirror.demoart.manner.Parameter.HAND;
import static penmirror.demoart.manner.Parameter.HIPS;
import static penmirror.demoart.manner.Parameter.LEGS;
import static penmirror.demoart.manner.Parameter.NECK_LENGTH;
import static penmirror.demoart.manner.Parameter.SHOULDERS;
import static penmirror.demoart.manner.Parameter.STATURE;

import penmirror.core.geometry.Point;
import penmirror.demoart.manner.Parameters;

/**
 * The joints of a posed, turned body on the page, in heads, standing on the line y = stature. Left
 * and right are as seen from the front; a body turned to the right shows its left side.
 *
 * @param crotch where the legs part
 * @param up unit step along the trunk, from the hips to the shoulders
 */
public record Skeleton(
    Point neckBase,
    Point chin,
    double headTilt,
    Point chest,
    Point pelvis,
    Point crotch,
    Point up,
    Limb left,
    Limb right,
    double turn) {

  /** One side's joints; depth is toward the viewer. */
  public record Limb(
      Point shoulder,
      Point elbow,
      Point wrist,
      double armDepth,
      Point hip,
      Point knee,
      Point ankle,
      double legDepth,
      double footPitch,
      HandShape hand) {

    Limb shifted(Point step) {
      return new Limb(
          shoulder.plus(step),
          elbow.plus(step),
          wrist.plus(step),
          armDepth,
          hip.plus(step),
          knee.plus(step),
          ankle.plus(step),
          legDepth,
          footPitch,
          hand);
    }
  }

  /** Height of the ankle over the ground, in heads. */
  public static double ankleHeight(Parameters parameters) {
    return 0.24 * parameters.get(FOOT);
  }

  /**
   * @param turn degrees from facing the viewer, toward the right edge of the picture, [0, 90]
   */
  public static Skeleton of(Parameters p, Pose pose, double turn) {
    double stature = p.get(STATURE);
    double crotchY = stature * (1 - p.get(LEGS));
    double hipY = crotchY - 0.1 * p.get(HIPS);
    double shoulderY = 1 + p.get(NECK_LENGTH) + 0.07;
    double trunk = hipY - shoulderY;
    Joint up =
        new Joint(
            Math.sin(Math.toRadians(pose.lean())),
            -Math.cos(Math.toRadians(pose.lean())) * Math.cos(Math.toRadians(pose.fold())),
            Math.sin(Math.toRadians(pose.fold())));
    Joint pelvis = new Joint(0, hipY, 0);
    Joint chest = pelvis.plus(up.times(trunk));
    Joint neck = chest.plus(up.times(0.07));
    Joint chin = neck.plus(up.times(p.get(NECK_LENGTH)));
    Joint crotch = pelvis.plus(new Joint(0, crotchY - hipY, 0));

    Limb left = limb(p, pose, pose.left(), -1, chest, pelvis, turn);
    Limb right = limb(p, pose, pose.right(), 1, chest, pelvis, turn);

    // The lower foot stands on the ground.
    double lowest = Math.max(lowest(left, p), lowest(right, p));
    Point drop = new Point(0, stature - lowest);
    Point chestOnPage = chest.turned(turn).onPage();
    Point pelvisOnPage = pelvis.turned(turn).onPage();
    Point along = chestOnPage.minus(pelvisOnPage);
    return new Skeleton(
        neck.turned(turn).onPage().plus(drop),
        chin.turned(turn).onPage().plus(drop),
        pose.headTilt(),
        chestOnPage.plus(drop),
        pelvisOnPage.plus(drop),
        crotch.turned(turn).onPage().plus(drop),
        along.times(1 / along.length()),
        left.shifted(drop),
        right.shifted(drop),
        turn);
  }

  private static double lowest(Limb limb, Parameters p) {
    double pitch = Math.toRadians(limb.footPitch());
    double height = ankleHeight(p);
    double toe = 0.68 * p.get(FOOT);
    double heel = 0.28 * p.get(FOOT);
    double reach = height * Math.cos(pitch);
    double down = pitch > 0 ? toe * Math.sin(pitch) : heel * Math.sin(-pitch);
    return limb.ankle().y() + reach + down;
  }

  private static Limb limb(
      Parameters p, Pose pose, Pose.Side side, int sign, Joint chest, Joint pelvis, double turn) {
    double stature = p.get(STATURE);
    double arm = p.get(ARM) * stature - p.get(HAND);
    double leg = stature * p.get(LEGS) + 0.1 * p.get(HIPS) - ankleHeight(p);
    double tilt = Math.toRadians(pose.shoulderTilt());
    double half = p.get(SHOULDERS) / 2 - 0.04;
    Joint shoulder =
        chest.plus(new Joint(sign * half * Math.cos(tilt), 0.04 + sign * half * Math.sin(tilt), 0));
    Joint elbow =
        shoulder.plus(Joint.direction(sign, side.armOut(), side.armFore()).times(arm * 0.52));
    Joint wrist =
        elbow.plus(Joint.direction(sign, side.forearmOut(), side.forearmFore()).times(arm * 0.48));
    double hipTilt = Math.toRadians(pose.hipTilt());
    double hipHalf = p.get(HIPS) * 0.27;
    Joint hip =
        pelvis.plus(
            new Joint(sign * hipHalf * Math.cos(hipTilt), sign * hipHalf * Math.sin(hipTilt), 0));
    Joint knee = hip.plus(Joint.direction(sign, side.legOut(), side.legFore()).times(leg * 0.51));
    Joint ankle =
        knee.plus(Joint.direction(sign, side.shinOut(), side.shinFore()).times(leg * 0.49));
    return new Limb(
        shoulder.turned(turn).onPage(),
        elbow.turned(turn).onPage(),
        wrist.turned(turn).onPage(),
        wrist.turned(turn).z(),
        hip.turned(turn).onPage(),
        knee.turned(turn).onPage(),
        ankle.turned(turn).onPage(),
        knee.turned(turn).z(),
        side.footPitch() * Math.sin(Math.toRadians(turn)),
        side.hand());
  }
}
