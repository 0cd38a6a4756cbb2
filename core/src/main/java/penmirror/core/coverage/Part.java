package penmirror.core.coverage;

import static penmirror.core.figure.Framing.BUST;
import static penmirror.core.figure.Framing.FACE;
import static penmirror.core.figure.Framing.FULL;
import static penmirror.core.figure.Landmark.*;
import static penmirror.core.figure.View.BACK;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;

/** What a study looks at in pictures. */
public enum Part {
  FACE_SHAPE(true, EnumSet.of(FULL, BUST, FACE), Feature.FACE),
  EYES(true, EnumSet.of(FULL, BUST, FACE), Feature.EYES),
  BROWS(true, EnumSet.of(FULL, BUST, FACE), Feature.BROWS),
  NOSE(true, EnumSet.of(FULL, BUST, FACE), Feature.NOSE),
  MOUTH(true, EnumSet.of(FULL, BUST, FACE), Feature.MOUTH),
  EARS(false, EnumSet.noneOf(Framing.class), Feature.EARS),
  HAIR(false, EnumSet.of(FULL, BUST, FACE), Feature.HAIR),
  NECK(false, EnumSet.of(FULL, BUST), Feature.NECK),
  HANDS(false, EnumSet.of(FULL), Feature.HANDS),
  FEET(false, EnumSet.of(FULL), Feature.FEET),
  BODY(false, EnumSet.of(FULL), Feature.BODY),
  FOLDS(false, EnumSet.of(FULL)),
  SHOES(false, EnumSet.of(FULL)),
  PROP(false, EnumSet.noneOf(Framing.class)),
  BACKGROUND(false, EnumSet.noneOf(Framing.class)),
  LIGHT(false, EnumSet.noneOf(Framing.class));

  private final boolean onlyInFaces;
  private final Set<Framing> framings;
  private final Set<Landmark> landmarks;

  Part(boolean onlyInFaces, Set<Framing> framings, Feature... features) {
    this.onlyInFaces = onlyInFaces;
    this.framings = framings;
    EnumSet<Landmark> points = EnumSet.noneOf(Landmark.class);
    for (Feature feature : features) {
      points.addAll(feature.landmarks());
    }
    landmarks = Collections.unmodifiableSet(points);
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

  /** Whether this is the closest framing that usually shows it. */
  boolean isUsualFrom(Framing framing) {
    return framings.contains(framing)
        && framings.stream().noneMatch(closer -> closer.compareTo(framing) > 0);
  }

  /** Whether no framing says that it is there: an ear may lie under hair in each. */
  boolean isOfNoFraming() {
    return framings.isEmpty();
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
