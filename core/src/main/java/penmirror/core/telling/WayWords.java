package penmirror.core.telling;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import penmirror.core.scoring.Way;
import penmirror.core.words.Wording;

/** How far a redraw has come from the own drawing, in a few words. */
public final class WayWords {
  private static final int MOST_NAMES = 4;

  /** So near to the band that it counts as arrived. */
  private static final double ARRIVED = 0.9;

  private static final double BEGUN = 0.15;

  private WayWords() {}

  /**
   * Such as "Half the way from your own drawing to the rules. There: eye height, heads tall. Not
   * yet: line weight." Empty where nothing was off on the own drawing.
   */
  public static Optional<String> sentences(List<Way> ways) {
    OptionalDouble whole = Way.whole(ways);
    if (whole.isEmpty()) {
      return Optional.empty();
    }
    String there = names(ways, way -> way.share() >= ARRIVED);
    String not = names(ways, way -> way.share() < BEGUN);
    return Optional.of(
        Wording.text("way.whole." + step(whole.getAsDouble()))
            + (there.isEmpty() ? "" : " " + Wording.text("way.there", there))
            + (not.isEmpty() ? "" : " " + Wording.text("way.not", not)));
  }

  /** A word for a share of the way, such as "half". */
  static String step(double share) {
    if (share >= ARRIVED) {
      return "all";
    } else if (share >= 0.7) {
      return "most";
    } else if (share >= 0.4) {
      return "half";
    } else if (share >= BEGUN) {
      return "some";
    }
    return share >= -BEGUN ? "none" : "away";
  }

  private static String names(List<Way> ways, Predicate<Way> which) {
    return ways.stream()
        .filter(which)
        .limit(MOST_NAMES)
        .map(way -> ActWords.name(way.act()).toLowerCase(Locale.ENGLISH))
        .collect(Collectors.joining(", "));
  }
}
