package penmirror.core.coverage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * How often a study shows what the own character is like, and the ways out where it never does.
 *
 * <p>Values are compared as words, without regard to capitals and spaces.
 */
public final class CharacterGaps {
  private CharacterGaps() {}

  /** How often the works show a trait. */
  public enum Tally {
    NEVER,
    ONCE,
    OFTEN
  }

  /** Ways to draw what was never seen, the surest first. */
  public enum Way {
    /** The work whose figure comes nearest. */
    CLOSEST_WORK,
    /** Another study that shows it; its scope is then another illustrator's. */
    NEAR_STUDY,
    /** A helper: a photo, a material, a lesson. */
    HELPER,
    INVENT
  }

  /** A picture with what its figure is like. */
  public record Described(long id, Map<Trait, String> traits) {}

  /** Another study that shows a value so many times. */
  public record Elsewhere(long studyId, int count) {}

  /**
   * A trait of the character.
   *
   * @param closest a work that says something else of the same trait and agrees in most others
   * @param elsewhere studies that show the value, most often first
   * @param helpers helpers that show it
   */
  public record Gap(
      Trait trait,
      String value,
      Tally tally,
      Optional<Long> closest,
      List<Elsewhere> elsewhere,
      List<Long> helpers) {

    /** What can be done, the surest first; inventing is always possible. */
    public List<Way> ways() {
      List<Way> ways = new ArrayList<>();
      if (closest.isPresent()) {
        ways.add(Way.CLOSEST_WORK);
      }
      if (!elsewhere.isEmpty()) {
        ways.add(Way.NEAR_STUDY);
      }
      if (!helpers.isEmpty()) {
        ways.add(Way.HELPER);
      }
      ways.add(Way.INVENT);
      return ways;
    }
  }

  /**
   * @param others sources of other studies, by study
   */
  public static List<Gap> of(
      Map<Trait, String> character,
      List<Described> sources,
      List<Described> helpers,
      Map<Long, List<Described>> others) {
    List<Gap> gaps = new ArrayList<>();
    for (Trait trait : Trait.values()) {
      String value = character.getOrDefault(trait, "");
      if (value.isBlank()) {
        continue;
      }
      int count = count(sources, trait, value);
      gaps.add(
          new Gap(
              trait,
              value,
              count == 0 ? Tally.NEVER : count == 1 ? Tally.ONCE : Tally.OFTEN,
              closest(character, sources, trait),
              elsewhere(others, trait, value),
              helpers.stream()
                  .filter(helper -> shows(helper, trait, value))
                  .map(Described::id)
                  .toList()));
    }
    return gaps;
  }

  private static Optional<Long> closest(
      Map<Trait, String> character, List<Described> sources, Trait trait) {
    return sources.stream()
        .filter(work -> !work.traits().getOrDefault(trait, "").isBlank())
        .max(
            Comparator.comparingInt((Described work) -> agreement(character, work))
                .thenComparing(Described::id, Comparator.reverseOrder()))
        .map(Described::id);
  }

  private static int agreement(Map<Trait, String> character, Described work) {
    int agreed = 0;
    for (Map.Entry<Trait, String> entry : character.entrySet()) {
      agreed += shows(work, entry.getKey(), entry.getValue()) ? 1 : 0;
    }
    return agreed;
  }

  private static List<Elsewhere> elsewhere(
      Map<Long, List<Described>> others, Trait trait, String value) {
    return others.entrySet().stream()
        .map(entry -> new Elsewhere(entry.getKey(), count(entry.getValue(), trait, value)))
        .filter(elsewhere -> elsewhere.count() > 0)
        .sorted(
            Comparator.comparingInt(Elsewhere::count).reversed().thenComparing(Elsewhere::studyId))
        .toList();
  }

  private static int count(List<Described> works, Trait trait, String value) {
    return (int) works.stream().filter(work -> shows(work, trait, value)).count();
  }

  private static boolean shows(Described work, Trait trait, String value) {
    return !value.isBlank() && plain(work.traits().getOrDefault(trait, "")).equals(plain(value));
  }

  private static String plain(String value) {
    return value.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
  }
}
