package penmirror.core.figure;

import java.util.Locale;

/** The side from which the figure is drawn. */
public enum View {
  FRONT,
  THREE_QUARTER,
  SIDE,
  BACK;

  /** The word used in files: front, three-quarter, side, back. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * @throws IllegalArgumentException on another word, naming the four that are known
   */
  public static View ofWord(String word) {
    for (View view : values()) {
      if (view.word().equals(word)) {
        return view;
      }
    }
    throw new IllegalArgumentException(
        "View \"" + word + "\" is not known. Use front, three-quarter, side or back.");
  }
}
