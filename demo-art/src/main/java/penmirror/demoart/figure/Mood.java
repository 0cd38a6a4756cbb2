package penmirror.demoart.figure;

import java.util.List;

/**
 * An expression, carried by brows, lids and mouth.
 *
 * @param browLift brows up, heads
 * @param browSlope inner ends down, degrees
 * @param lids share of the eye's opening that stays open
 * @param corners mouth corners over its middle, as a share of the mouth's width
 * @param open how far the mouth opens, as a share of its width
 * @param gaze to the right, as a share of the eye's width
 * @param winks whether the eye on the right is shut
 */
public record Mood(
    String word,
    double browLift,
    double browSlope,
    double lids,
    double corners,
    double open,
    double gaze,
    boolean winks) {
  public static final Mood CALM = new Mood("calm", 0, 0, 0.95, 0.04, 0, 0);
  public static final Mood KEEN = new Mood("keen", 0.012, 4, 1, 0.1, 0, 0.08);
  public static final Mood GLAD = new Mood("glad", 0.02, -4, 0.85, 0.17, 0.42, 0.05);
  public static final Mood CROSS = new Mood("cross", -0.02, 17, 0.72, -0.13, 0, 0.06);
  public static final Mood STARTLED = new Mood("startled", 0.05, -8, 1.18, -0.04, 0.5, 0);
  public static final Mood SAD = new Mood("sad", 0.01, -17, 0.78, -0.14, 0, -0.03);

  /** One eye shut, a closed smile. */
  public static final Mood WINKING = new Mood("winking", 0.01, -2, 0.95, 0.14, 0, 0, true);

  /** The mouth wide open, teeth and tongue to be seen. */
  public static final Mood LAUGHING = new Mood("laughing", 0.03, -6, 0.8, 0.2, 0.62, 0);

  public static final Mood SLY = new Mood("sly", 0.0, 9, 0.7, 0.12, 0, 0.14);

  /** Those that any face may wear. */
  public static final List<Mood> USUAL = List.of(CALM, GLAD, SAD, CROSS, STARTLED, SLY, KEEN);

  private Mood(
      String word,
      double browLift,
      double browSlope,
      double lids,
      double corners,
      double open,
      double gaze) {
    this(word, browLift, browSlope, lids, corners, open, gaze, false);
  }
}
