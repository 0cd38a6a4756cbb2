package penmirror.demoart.manner;

import java.util.Locale;

/**
 * One number of a drawing manner, with the range the figure model can draw. Lengths are heads
 * unless the comment says otherwise; heights on the face count down from the crown.
 */
public enum Parameter {
  /** Figure height, crown to ground, standing straight. */
  STATURE(2.5, 10),
  /** Crotch to sole as a share of the figure's height. */
  LEGS(0.3, 0.6),
  SHOULDERS(0.6, 2.6),
  WAIST(0.4, 2),
  HIPS(0.5, 2.2),
  /** Neck width as a share of the cheek width. */
  NECK(0.15, 0.9),
  /** Chin to the pit of the neck. */
  NECK_LENGTH(0.05, 0.6),
  /** Shoulder to fingertip as a share of the figure's height. */
  ARM(0.3, 0.55),
  HAND(0.25, 1),
  FOOT(0.3, 1.4),
  /** Half width of the upper arm; the other limbs follow. */
  LIMB(0.05, 0.3),
  /** Cheek width as a share of the head's height. */
  HEAD_ASPECT(0.5, 1.2),
  /** Jaw width as a share of the cheek width. */
  JAW(0.4, 1),
  /** Height at which the outline turns from cheek to chin. */
  JAW_LINE(0.65, 0.93),
  /** Width of the chin as a share of the cheek width. */
  CHIN(0.1, 0.7),
  /** 0 for a round outline, 1 for one of corners. */
  ANGULAR(0, 1),
  HAIR_LIFT(0, 0.6),
  /** How far the hair stands out on either side. */
  HAIR_SIDE(0, 0.5),
  EYE_LINE(0.3, 0.75),
  /** Opening, corner to corner, as a share of the cheek width. */
  EYE_WIDTH(0.08, 0.42),
  /** Opening, height over width. */
  EYE_ASPECT(0.15, 1.6),
  /** Inner corner to inner corner, in eye widths. */
  EYE_SPACING(0.4, 2.4),
  /** Degrees, outer corner up positive. */
  EYE_TILT(-20, 25),
  /** Iris diameter as a share of the opening's height. */
  IRIS(0.4, 1.6),
  /** Pupil as a share of the iris. */
  PUPIL(0.2, 1),
  BROW_GAP(0.01, 0.25),
  /** Degrees, inner end low positive. */
  BROW_SLOPE(-30, 35),
  BROW_WEIGHT(0.005, 0.1),
  NOSE_BASE(0.5, 0.9),
  NOSE_LENGTH(0.05, 0.5),
  MOUTH_LINE(0.6, 0.95),
  /** As a share of the distance between the eyes' centres. */
  MOUTH_WIDTH(0.2, 1.6),
  HAIRLINE(0.05, 0.45),
  EAR_TOP(0.3, 0.75),
  EAR_BASE(0.5, 0.95),
  /** Width of inner lines, thousandths of a head. */
  LINE_WIDTH(2, 40),
  /** Silhouette width over inner width. */
  OUTLINE(0.5, 4),
  /** Upper lash line over inner width. */
  LASH(0.5, 8),
  /** How much a line thins toward its ends, 0 none, 1 to a point. */
  TAPER(0, 1),
  /** How much a contour swells away from the light, as a share of its width. */
  SWELL(0, 2),
  /** Sideways waver of a line, as a share of its width. */
  WOBBLE(0, 1),
  /** Length of one stroke before the pen lifts. */
  STROKE_LENGTH(0.1, 20),
  /** Share of the silhouette that carries a line. */
  CLOSED(0.2, 1),
  /** OKLab lightness of the line. */
  LINE_LIGHTNESS(0, 0.7),
  /** 0 for ink, 1 for lines in their neighbour's hue. */
  LINE_TINT(0, 1),
  /** Local colours darker than this OKLab lightness are laid in solid black. */
  BLACK(0, 0.7),
  /** Gap between hatch lines, thousandths of a head; 0 for none. */
  HATCH_PITCH(0, 120),
  /** Degrees, 0 level, clockwise as seen. */
  HATCH_ANGLE(-90, 90),
  /** How far the shadow reaches into a form, as a share of its thickness. */
  SHADE_REACH(0, 1),
  /** Shadow minus lit, OKLab lightness. */
  SHADE_STEP(-0.4, 0),
  /** Shadow chroma over lit chroma. */
  SHADE_CHROMA(0.3, 2),
  /** Hue turn of the shadow in degrees, signed toward blue. */
  SHADE_TURN(-60, 60),
  /** 10 to 90 % width of the shadow's border, thousandths of a head; 0 for a hard edge. */
  SHADE_EDGE(0, 200),
  /** Chroma of the strip along the shadow's border over the mean of both sides. */
  SHADE_RIM(1, 3),
  /** Share of a form taken by its highlight; 0 for none. */
  LIGHT_REACH(0, 0.5),
  /** Where the light comes from, degrees clockwise from straight above. */
  LIGHT_ANGLE(-180, 180),
  /** How many lights lie in an iris; whole numbers. */
  EYE_LIGHTS(0, 3),
  /** Radius of the largest of them over that of the iris. */
  EYE_LIGHT_SIZE(0.05, 0.5),
  /** How strongly a ringed iris glows below, 0 for not at all. */
  IRIS_GLOW(0, 1),
  /** Width of the dark ring of a ringed iris over its radius. */
  IRIS_RING(0, 0.4),
  /** How far a three-quarter head is turned, degrees. */
  TURN(15, 50),
  /** Width of the eye on the far side of a turned head, over what its turn leaves of it. */
  FAR_EYE(0.5, 1.5);

  private final double least;
  private final double most;

  Parameter(double least, double most) {
    this.least = least;
    this.most = most;
  }

  public double least() {
    return least;
  }

  public double most() {
    return most;
  }

  /** Such as eye-line. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
