package penmirror.core.figure;

import static penmirror.core.figure.Landmark.ANKLE_L;
import static penmirror.core.figure.Landmark.BROW_L_INNER;
import static penmirror.core.figure.Landmark.BROW_L_OUTER;
import static penmirror.core.figure.Landmark.BROW_L_PEAK;
import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CROTCH;
import static penmirror.core.figure.Landmark.EAR_L_BASE;
import static penmirror.core.figure.Landmark.EAR_L_TOP;
import static penmirror.core.figure.Landmark.ELBOW_L;
import static penmirror.core.figure.Landmark.EYE_L_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_L_TOP;
import static penmirror.core.figure.Landmark.FINGERTIP_L;
import static penmirror.core.figure.Landmark.HAIRLINE;
import static penmirror.core.figure.Landmark.HAIR_L;
import static penmirror.core.figure.Landmark.HAIR_TOP;
import static penmirror.core.figure.Landmark.HEEL_L;
import static penmirror.core.figure.Landmark.HIP_L;
import static penmirror.core.figure.Landmark.IRIS_L_CENTRE;
import static penmirror.core.figure.Landmark.IRIS_L_EDGE;
import static penmirror.core.figure.Landmark.IRIS_L_TOP;
import static penmirror.core.figure.Landmark.JAW_L;
import static penmirror.core.figure.Landmark.KNEE_L;
import static penmirror.core.figure.Landmark.LASH_L_TOP;
import static penmirror.core.figure.Landmark.MOUTH_BOTTOM;
import static penmirror.core.figure.Landmark.MOUTH_L;
import static penmirror.core.figure.Landmark.MOUTH_TOP;
import static penmirror.core.figure.Landmark.NECK_BASE;
import static penmirror.core.figure.Landmark.NECK_L;
import static penmirror.core.figure.Landmark.NOSE_BASE;
import static penmirror.core.figure.Landmark.NOSE_TOP;
import static penmirror.core.figure.Landmark.PUPIL_L;
import static penmirror.core.figure.Landmark.SHOULDER_L;
import static penmirror.core.figure.Landmark.SOLE;
import static penmirror.core.figure.Landmark.TOE_L;
import static penmirror.core.figure.Landmark.WAIST_L;
import static penmirror.core.figure.Landmark.WRIST_L;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** What a face and a body have, each with the points that tell where it is. */
public enum Feature {
  FACE(CHEEK_L, JAW_L),
  EYES(
      EYE_L_OUTER,
      EYE_L_INNER,
      EYE_L_TOP,
      EYE_L_BOTTOM,
      LASH_L_TOP,
      IRIS_L_CENTRE,
      IRIS_L_EDGE,
      IRIS_L_TOP,
      PUPIL_L),
  BROWS(BROW_L_OUTER, BROW_L_PEAK, BROW_L_INNER),
  NOSE(NOSE_BASE, NOSE_TOP),
  MOUTH(MOUTH_L, MOUTH_TOP, MOUTH_BOTTOM),
  EARS(EAR_L_TOP, EAR_L_BASE),
  HAIR(HAIR_TOP, HAIR_L, HAIRLINE),
  NECK(NECK_L, NECK_BASE),
  SHOULDERS(SHOULDER_L),
  WAIST(WAIST_L, HIP_L),
  ARMS(ELBOW_L, WRIST_L),
  HANDS(FINGERTIP_L),
  LEGS(KNEE_L, ANKLE_L),
  FEET(HEEL_L, TOE_L, SOLE),
  BODY(CROTCH);

  private final List<Landmark> left;
  private final Set<Landmark> landmarks;

  Feature(Landmark... left) {
    this.left = List.of(left);
    EnumSet<Landmark> both = EnumSet.noneOf(Landmark.class);
    for (Landmark landmark : left) {
      both.add(landmark);
      both.add(landmark.mirrored());
    }
    landmarks = Collections.unmodifiableSet(both);
  }

  /** Its points on both sides and in the middle. */
  public Set<Landmark> landmarks() {
    return landmarks;
  }

  /** Its points on one side; those of the middle belong to both. */
  public List<Landmark> landmarks(Side side) {
    List<Landmark> ofSide = new ArrayList<>();
    left.forEach(landmark -> ofSide.add(side.of(landmark)));
    return ofSide;
  }
}
