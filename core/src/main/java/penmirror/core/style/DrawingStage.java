package penmirror.core.style;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The stages of a drawing, in the order in which most illustrators go through them. */
public enum DrawingStage {
  SKETCH,
  LINE,
  FLATS,
  SHADE,
  EFFECTS;

  /** The word used in files and message keys. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<DrawingStage> ofWord(String word) {
    return Arrays.stream(values()).filter(stage -> stage.word().equals(word)).findFirst();
  }
}
