package penmirror.core.figure;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** How much of the figure a picture shows. */
public enum Framing {
  FULL,
  BUST,
  FACE,
  DETAIL;

  private static final Set<Landmark> BELOW_THE_SHOULDERS =
      EnumSet.of(
          Landmark.CROTCH,
          Landmark.SOLE,
          Landmark.KNEE_L,
          Landmark.KNEE_R,
          Landmark.ANKLE_L,
          Landmark.ANKLE_R);

  /** Empty for a word that is none of them, such as one of a newer file. */
  public static Optional<Framing> ofWord(String word) {
    return Arrays.stream(values()).filter(framing -> framing.word().equals(word)).findFirst();
  }

  /** How much the placed points show; empty where nothing is marked. */
  public static Optional<Framing> shownBy(Marks marks) {
    if (BELOW_THE_SHOULDERS.stream().anyMatch(l -> marks.point(l).isPresent())) {
      return Optional.of(FULL);
    }
    if (marks.point(Landmark.SHOULDER_L).isPresent()
        || marks.point(Landmark.SHOULDER_R).isPresent()) {
      return Optional.of(BUST);
    }
    return marks.headFrame().map(head -> FACE);
  }

  /** Whether pictures of this framing have a place for a landmark, if nothing hides it. */
  public boolean canShow(Landmark landmark) {
    return switch (this) {
      case FULL, DETAIL -> true;
      case BUST -> isOfTheHead(landmark) || isOfTheBust(landmark);
      case FACE -> isOfTheHead(landmark);
    };
  }

  private static boolean isOfTheHead(Landmark landmark) {
    return landmark.set() != Landmark.Set.FULL
        && landmark != Landmark.SHOULDER_L
        && landmark != Landmark.SHOULDER_R
        && landmark != Landmark.CROTCH
        && landmark != Landmark.SOLE;
  }

  private static boolean isOfTheBust(Landmark landmark) {
    return Feature.SHOULDERS.landmarks().contains(landmark)
        || Feature.NECK.landmarks().contains(landmark);
  }

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
