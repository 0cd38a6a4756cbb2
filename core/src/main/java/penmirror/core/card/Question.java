package penmirror.core.card;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import penmirror.core.coverage.Part;

/** What a card answers, in the order in which cards lie. */
public enum Question {
  EYE("eye-height", "eye-size", "eye-gap", "eye-shape", "lash", "iris"),
  LINE(
      "line-weight",
      "outline",
      "line-evenness",
      "face-line",
      "line-colour",
      "line-character",
      "line-count",
      "hatching"),
  SHADOW(
      "shadow-edge",
      "values",
      "shadow-amount",
      "shadow-colour",
      "shadow-depth",
      "light",
      "highlights",
      "texture"),
  FACE("face-shape", "thirds", "brows", "nose", "mouth", "ears", "hair-mass"),
  BODY("heads-tall", "legs", "shoulders", "waist", "arms", "hands", "feet", "neck"),
  VALUES("value-range", "blacks", "focus"),
  TURN("far-eye"),
  REAL();

  private final List<String> acts;

  Question(String... acts) {
    this.acts = List.of(acts);
  }

  /** The acts whose sentences it carries, by their keys. */
  public List<String> acts() {
    return acts;
  }

  /** The word in addresses and message keys. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The card that an act is told on; empty where none does. */
  public static Optional<Question> ofAct(String key) {
    return Arrays.stream(values()).filter(question -> question.acts.contains(key)).findFirst();
  }

  /** Which card says most of a part; empty where none does. */
  public static Optional<Question> of(Part part) {
    return switch (part) {
      case EYES -> Optional.of(EYE);
      case FACE_SHAPE, BROWS, NOSE, MOUTH, EARS, HAIR -> Optional.of(FACE);
      case NECK, HANDS, FEET, BODY -> Optional.of(BODY);
      case LIGHT, FOLDS -> Optional.of(SHADOW);
      case SHOES, PROP, BACKGROUND -> Optional.empty();
    };
  }

  public static Optional<Question> ofWord(String word) {
    for (Question question : values()) {
      if (question.word().equals(word)) {
        return Optional.of(question);
      }
    }
    return Optional.empty();
  }
}
