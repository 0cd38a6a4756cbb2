package penmirror.core.telling;

import penmirror.core.measure.Measure;
import penmirror.core.style.Contrast;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** How one hand differs from another, in a few words. */
public final class ContrastWords {
  private ContrastWords() {}

  /**
   * Both sides in one sentence, such as "On fierce ones eyes low, on the others eyes high."
   *
   * @param word that the other side of the difference carries
   */
  public static String sides(String word, Contrast.Difference difference) {
    Measure measure = difference.one().measure();
    boolean high = difference.distance() > 0;
    return Wording.text(
        "contrast.sides", word, ActWords.side(measure, high), ActWords.side(measure, !high));
  }

  /** The other as seen from the one, such as "Figure shorter, by two heads". */
  public static String of(Contrast.Difference difference) {
    Measure measure = difference.one().measure();
    boolean high = difference.distance() > 0;
    double apart = Math.abs(difference.other().centre() - difference.one().centre());
    String told = Spoken.sentence(Wording.more(measure, high));
    return switch (measure.unit()) {
      case HEADS, OF_THE_HEAD -> Wording.text("contrast", told, Spoken.heads(apart));
      default -> told;
    };
  }
}
