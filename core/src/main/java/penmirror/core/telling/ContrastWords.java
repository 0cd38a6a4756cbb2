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

  /** The other as seen from the one, such as "Figure short, by two heads". */
  public static String of(Contrast.Difference difference) {
    Measure measure = difference.one().measure();
    boolean high = difference.distance() > 0;
    String side = ActWords.side(measure, high);
    double apart = Math.abs(difference.other().centre() - difference.one().centre());
    String told = Spoken.sentence(side);
    return switch (measure.unit()) {
      case HEADS ->
          apart < 1
              ? ofAHead(told, apart)
              : Wording.text("contrast.heads", told, Spoken.mixed(apart));
      case OF_THE_HEAD -> ofAHead(told, apart);
      default -> told;
    };
  }

  private static String ofAHead(String told, double apart) {
    String part = Spoken.part(apart);
    return Wording.text(part.equals("half") ? "contrast.half" : "contrast.head", told, part);
  }
}
