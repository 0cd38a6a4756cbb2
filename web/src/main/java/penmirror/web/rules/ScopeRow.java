package penmirror.web.rules;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Portrayal;
import penmirror.core.style.StyleSheet;

/**
 * What the sentences are for: one switch each for how much is shown, for whom, in what mood and
 * manner, as far as the works differ there.
 *
 * @param moved whether any switch stands elsewhere than at any
 * @param query of an address that keeps the switches; empty where none is moved
 * @param changed acts that read otherwise than over all works
 */
record ScopeRow(List<Switch> switches, boolean moved, String query, int changed, int same) {

  /**
   * @param key what it is of: framing, kind, mood or manner
   * @param value where it stands; empty for any
   */
  record Switch(String key, String value, List<Position> positions) {}

  /**
   * @param value as an address has it; empty for any
   * @param works that show it
   * @param query of the address that moves the switch there
   */
  record Position(String value, int works, boolean current, String query) {}

  /** What the works do not differ in has no switch. */
  static ScopeRow of(StyleSheet sheet, Portrayal wanted, int changed, int same) {
    List<Switch> switches = new ArrayList<>();
    add(switches, sheet, wanted, "framing", words(Framing.values(), Framing::word));
    add(switches, sheet, wanted, "kind", words(Kind.values(), Kind::word));
    add(switches, sheet, wanted, "mood", words(Mood.values(), Mood::word));
    List<String> manners =
        sheet.works().stream()
            .map(work -> work.shows().manner())
            .filter(manner -> !manner.isEmpty())
            .distinct()
            .sorted()
            .toList();
    add(switches, sheet, wanted, "manner", manners);
    return new ScopeRow(
        switches, !wanted.equals(Portrayal.ANY), query(wanted, "", ""), changed, same);
  }

  /** What an address asks for; a word that is none asks for nothing. */
  static Portrayal wanted(String framing, String kind, String mood, String manner) {
    return new Portrayal(
        Framing.ofWord(framing), Kind.ofWord(kind), Mood.ofWord(mood), manner.strip());
  }

  private static <E> List<String> words(E[] values, Function<E, String> word) {
    return Arrays.stream(values).map(word).toList();
  }

  private static void add(
      List<Switch> switches, StyleSheet sheet, Portrayal wanted, String key, List<String> values) {
    List<Position> positions = new ArrayList<>();
    positions.add(
        new Position(
            "", sheet.works().size(), value(wanted, key).isEmpty(), query(wanted, key, "")));
    for (String value : values) {
      int works = (int) sheet.works().stream().filter(work -> shows(work, key, value)).count();
      boolean current = value.equals(value(wanted, key));
      if (works > 0 || current) {
        positions.add(new Position(value, works, current, query(wanted, key, value)));
      }
    }
    if (positions.size() > 2 || !value(wanted, key).isEmpty()) {
      switches.add(new Switch(key, value(wanted, key), positions));
    }
  }

  private static boolean shows(MeasuredWork work, String key, String value) {
    return value(work.shows(), key).equals(value);
  }

  private static String value(Portrayal shown, String key) {
    return switch (key) {
      case "framing" -> shown.framing().map(Framing::word).orElse("");
      case "kind" -> shown.kind().map(Kind::word).orElse("");
      case "mood" -> shown.mood().map(Mood::word).orElse("");
      default -> shown.manner();
    };
  }

  /** The switches as they stand, one of them moved. */
  private static String query(Portrayal wanted, String moved, String to) {
    List<String> parts = new ArrayList<>();
    for (String key : List.of("framing", "kind", "mood", "manner")) {
      String value = key.equals(moved) ? to : value(wanted, key);
      Optional.of(value)
          .filter(v -> !v.isEmpty())
          .ifPresent(v -> parts.add(key + "=" + URLEncoder.encode(v, StandardCharsets.UTF_8)));
    }
    return String.join("&", parts);
  }
}
