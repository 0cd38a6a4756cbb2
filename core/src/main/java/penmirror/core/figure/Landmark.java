package penmirror.core.figure;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The points of a figure that measures are read from, in marking order from the top. Left and right
 * are as seen in the picture. Keys are stored in files: never rename or reuse one.
 */
public enum Landmark {
  CROWN(Set.QUICK),
  CHIN(Set.QUICK),
  EYE_L_OUTER(Set.QUICK),
  EYE_L_INNER(Set.QUICK),
  EYE_R_INNER(Set.QUICK),
  EYE_R_OUTER(Set.QUICK),
  NOSE_BASE(Set.QUICK),
  MOUTH_L(Set.QUICK),
  MOUTH_R(Set.QUICK),
  SHOULDER_L(Set.QUICK),
  SHOULDER_R(Set.QUICK),
  CROTCH(Set.QUICK),
  SOLE(Set.QUICK),
  HAIR_TOP(Set.QUICK),

  CHEEK_L(Set.HEAD),
  CHEEK_R(Set.HEAD),
  HAIRLINE(Set.HEAD),
  BROW_L_OUTER(Set.HEAD),
  BROW_L_PEAK(Set.HEAD),
  BROW_L_INNER(Set.HEAD),
  BROW_R_INNER(Set.HEAD),
  BROW_R_PEAK(Set.HEAD),
  BROW_R_OUTER(Set.HEAD),
  LASH_L_TOP(Set.HEAD),
  LASH_R_TOP(Set.HEAD),
  EYE_L_TOP(Set.HEAD),
  EYE_L_BOTTOM(Set.HEAD),
  EYE_R_TOP(Set.HEAD),
  EYE_R_BOTTOM(Set.HEAD),
  IRIS_L_CENTRE(Set.HEAD),
  IRIS_L_EDGE(Set.HEAD),
  IRIS_L_TOP(Set.HEAD),
  IRIS_R_CENTRE(Set.HEAD),
  IRIS_R_EDGE(Set.HEAD),
  IRIS_R_TOP(Set.HEAD),
  PUPIL_L(Set.HEAD),
  PUPIL_R(Set.HEAD),
  NOSE_TOP(Set.HEAD),
  MOUTH_TOP(Set.HEAD),
  MOUTH_BOTTOM(Set.HEAD),
  JAW_L(Set.HEAD),
  JAW_R(Set.HEAD),
  EAR_L_TOP(Set.HEAD),
  EAR_L_BASE(Set.HEAD),
  EAR_R_TOP(Set.HEAD),
  EAR_R_BASE(Set.HEAD),
  HAIR_L(Set.HEAD),
  HAIR_R(Set.HEAD),

  NECK_L(Set.FULL),
  NECK_R(Set.FULL),
  NECK_BASE(Set.FULL),
  WAIST_L(Set.FULL),
  WAIST_R(Set.FULL),
  HIP_L(Set.FULL),
  HIP_R(Set.FULL),
  ELBOW_L(Set.FULL),
  ELBOW_R(Set.FULL),
  WRIST_L(Set.FULL),
  WRIST_R(Set.FULL),
  FINGERTIP_L(Set.FULL),
  FINGERTIP_R(Set.FULL),
  KNEE_L(Set.FULL),
  KNEE_R(Set.FULL),
  ANKLE_L(Set.FULL),
  ANKLE_R(Set.FULL),
  HEEL_L(Set.FULL),
  HEEL_R(Set.FULL),
  TOE_L(Set.FULL),
  TOE_R(Set.FULL);

  /** How much one has to mark before this point is asked for. */
  public enum Set {
    QUICK,
    HEAD,
    FULL
  }

  private final Set set;
  private final String key = name().toLowerCase(Locale.ROOT);

  Landmark(Set set) {
    this.set = set;
  }

  public Set set() {
    return set;
  }

  /** The name in files, such as eye_l_outer. */
  public String key() {
    return key;
  }

  /** The same landmark on the other side; itself on the middle line. */
  public Landmark mirrored() {
    return MIRRORED.getOrDefault(this, this);
  }

  private static final Map<Landmark, Landmark> MIRRORED = new EnumMap<>(Landmark.class);
  private static final Map<String, Landmark> BY_KEY = new HashMap<>();

  static {
    for (Landmark landmark : values()) {
      BY_KEY.put(landmark.key, landmark);
      // Underscores round the letter: IRIS_L_TOP, PUPIL_L, and not the L of EYE_L's neighbours.
      String name = landmark.name() + "_";
      String other = name.contains("_L_") ? name.replace("_L_", "_R_") : name.replace("_R_", "_L_");
      MIRRORED.put(landmark, valueOf(other.substring(0, other.length() - 1)));
    }
  }

  public static Optional<Landmark> ofKey(String key) {
    return Optional.ofNullable(BY_KEY.get(key));
  }
}
