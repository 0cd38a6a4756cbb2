package penmirror.core.measure.line;

import java.util.List;
import java.util.Locale;
import penmirror.core.figure.Landmark;

/**
 * A place of a figure at which its line is looked at, from the top down. Named by the left side of
 * the picture; each is looked at on both sides. Lids, nose, ears, hands and soles are none: beside
 * them lies always another line, and what is read there is as often that one.
 */
public enum Station {
  HAIR(Landmark.HAIR_L),
  CHEEK(Landmark.CHEEK_L),
  JAW(Landmark.JAW_L),
  CHIN(Landmark.CHIN),
  MOUTH(Landmark.MOUTH_TOP),
  NECK(Landmark.NECK_L),
  SHOULDER(Landmark.SHOULDER_L),
  UPPER_ARM(Landmark.SHOULDER_L, Landmark.ELBOW_L),
  FOREARM(Landmark.ELBOW_L, Landmark.WRIST_L),
  WAIST(Landmark.WAIST_L),
  THIGH(Landmark.HIP_L, Landmark.KNEE_L),
  CALF(Landmark.KNEE_L, Landmark.ANKLE_L);

  private final List<Landmark> landmarks;

  Station(Landmark... landmarks) {
    this.landmarks = List.of(landmarks);
  }

  /** One where the line runs through it; two where it is outside the middle between them. */
  public List<Landmark> landmarks() {
    return landmarks;
  }

  boolean isLimb() {
    return landmarks.size() > 1;
  }

  /** Whether it is of the middle line, and looked at once. */
  boolean isMiddle() {
    return landmarks.get(0).mirrored() == landmarks.get(0);
  }

  /** The word in message keys. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
