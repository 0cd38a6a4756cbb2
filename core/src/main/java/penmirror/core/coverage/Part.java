package penmirror.core.coverage;

import static penmirror.core.figure.Framing.BUST;
import static penmirror.core.figure.Framing.FACE;
import static penmirror.core.figure.Framing.FULL;
import static penmirror.core.figure.Landmark.*;
import static penmirror.core.figure.View.BACK;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;

/** What a study looks at in pictures. */
public enum Part {
  FACE_SHAPE(true, EnumSet.of(FULL, BUST, FACE), EnumSet.of(CHEEK_L, CHEEK_R, JAW_L, JAW_R)),
  EYES(
      true,
      EnumSet.of(FULL, BUST, FACE),
      bothSides(
          EYE_L_OUTER,
          EYE_L_INNER,
          EYE_L_TOP,
          EYE_L_BOTTOM,
          LASH_L_TOP,
          IRIS_L_CENTRE,
          IRIS_L_EDGE,
          IRIS_L_TOP,
          PUPIL_L)),
  BROWS(true, EnumSet.of(FULL, BUST, FACE), bothSides(BROW_L_OUTER, BROW_L_PEAK, BROW_L_INNER)),
  NOSE(true, EnumSet.of(FULL, BUST, FACE), EnumSet.of(NOSE_BASE, NOSE_TOP)),
  MOUTH(true, EnumSet.of(FULL, BUST, FACE), EnumSet.of(MOUTH_L, MOUTH_R, MOUTH_TOP, MOUTH_BOTTOM)),
  EARS(false, EnumSet.noneOf(Framing.class), bothSides(EAR_L_TOP, EAR_L_BASE)),
  HAIR(false, EnumSet.of(FULL, BUST, FACE), EnumSet.of(HAIR_TOP, HAIR_L, HAIR_R, HAIRLINE)),
  NECK(false, EnumSet.of(FULL, BUST), EnumSet.of(NECK_L, NECK_R, NECK_BASE)),
  HANDS(false, EnumSet.of(FULL), EnumSet.of(FINGERTIP_L, FINGERTIP_R)),
  FEET(false, EnumSet.of(FULL), EnumSet.of(TOE_L, TOE_R, HEEL_L, HEEL_R, SOLE)),
  BODY(false, EnumSet.of(FULL), EnumSet.of(CROTCH)),
  FOLDS(false, EnumSet.of(FULL), EnumSet.noneOf(Landmark.class)),
  SHOES(false, EnumSet.of(FULL), EnumSet.noneOf(Landmark.class)),
  PROP(false, EnumSet.noneOf(Framing.class), EnumSet.noneOf(Landmark.class)),
  BACKGROUND(false, EnumSet.noneOf(Framing.class), EnumSet.noneOf(Landmark.class)),
  LIGHT(false, EnumSet.noneOf(Framing.class), EnumSet.noneOf(Landmark.class));

  private final boolean onlyInFaces;
  private final Set<Framing> framings;
  private final Set<Landmark> landmarks;

  Part(boolean onlyInFaces, Set<Framing> framings, Set<Landmark> landmarks) {
    this.onlyInFaces = onlyInFaces;
    this.framings = framings;
    this.landmarks = landmarks;
  }

  private static Set<Landmark> bothSides(Landmark... left) {
    EnumSet<Landmark> both = EnumSet.noneOf(Landmark.class);
    for (Landmark landmark : left) {
      both.add(landmark);
      both.add(landmark.mirrored());
    }
    return both;
  }

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Whether a view can show it at all: nobody sees a mouth from behind. */
  public boolean canBeSeenFrom(View view) {
    return !(onlyInFaces && view == BACK);
  }

  /** Whether one picture from any side will do: a prop is a prop. */
  boolean isTheSameFromEverySide() {
    return this == FOLDS || this == PROP || this == BACKGROUND || this == LIGHT;
  }

  /** Whether a measure is read from points of this part. */
  public boolean concerns(Measure measure) {
    return measure.needs().stream().anyMatch(landmarks::contains);
  }

  /** Whether pictures of this framing usually show it. */
  boolean isUsualIn(Framing framing) {
    return framings.contains(framing);
  }

  public static Optional<Part> ofWord(String word) {
    for (Part part : values()) {
      if (part.word().equals(word)) {
        return Optional.of(part);
      }
    }
    return Optional.empty();
  }

  /** Points of which one that is marked shows that the part is there. */
  public Set<Landmark> landmarks() {
    return landmarks;
  }
}
