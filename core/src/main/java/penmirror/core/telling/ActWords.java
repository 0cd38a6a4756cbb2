package penmirror.core.telling;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Unit;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.style.Rule;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** An act of a sheet in one sentence, as somebody who can draw would tell it. */
public final class ActWords {
  /** More than this nobody reads in one breath. */
  private static final int MOST_CLAUSES = 2;

  private ActWords() {}

  public static String name(Act act) {
    return FreePair.ofKey(act.key())
        .map(pair -> Spoken.sentence(Wording.part(pair)))
        .or(() -> act.statement().map(ActWords::shipped))
        .orElseGet(() -> Wording.text("act." + act.key() + ".name"));
  }

  private static String shipped(String statement) {
    String key = "statement." + statement;
    return Wording.has(key) ? Wording.text(key) : statement;
  }

  /** A statement with how the works hold to it, such as "Never: fingernails are drawn." */
  public static String sentence(Ticked ticked) {
    return Wording.text(
        "rule.tick." + ticked.holds().word(), ticked.text(), Spoken.within(ticked.text()));
  }

  /**
   * What the works do, such as "Eyes at six tenths of the head, low." The leading reading makes the
   * sentence; others that the works hold to are added where there is something to say of them.
   * Empty where the works have no rule of it.
   */
  public static Optional<String> sentence(StyleSheet sheet, Act act) {
    if (act.statement().isPresent()) {
      return sheet.statements().stream()
          .filter(ticked -> ticked.key().equals(act.statement().get()))
          .findFirst()
          .map(ActWords::sentence);
    }
    List<Rule> rules = sheet.rules(act);
    if (rules.isEmpty()) {
      return Optional.empty();
    }
    Rule lead = lead(rules);
    List<String> parts = new ArrayList<>();
    parts.add(told(lead));
    rules.stream()
        .filter(rule -> rule != lead && rule.strength() != Strength.FREE)
        .filter(rule -> Wording.has("also." + rule.measure().key()))
        .sorted(Comparator.comparingDouble(ActWords::looseness))
        .map(rule -> said("also." + rule.measure().key(), rule))
        .filter(clause -> !clause.isBlank())
        .limit(MOST_CLAUSES)
        .forEach(parts::add);
    return Optional.of(Spoken.sentence(String.join(", ", parts)) + ".");
  }

  /** The reading an act is told by: the first that the works hold to, else the first there is. */
  public static Rule lead(List<Rule> rules) {
    return rules.stream()
        .filter(rule -> rule.strength() != Strength.FREE)
        .filter(rule -> Wording.has("rule." + rule.measure().key()))
        .findFirst()
        .orElse(
            rules.stream()
                .filter(rule -> Wording.has("rule." + rule.measure().key()))
                .findFirst()
                .orElse(rules.get(0)));
  }

  /** How a reading off to one side looks, without how much. */
  public static String side(Measure measure, boolean high) {
    return Wording.side(measure, high, "").replaceAll(" +", " ").strip();
  }

  /** What comes of a reading off the middle; empty where no word is known for it. */
  public static Optional<String> effect(Measure measure, boolean high) {
    String key = "effect." + measure.key() + (high ? ".high" : ".low");
    return Wording.has(key) ? Optional.of(Wording.text(key)) : Optional.empty();
  }

  /**
   * The sentences of some acts, in the order named; those of which there is nothing to say fall.
   */
  public static List<String> sentences(StyleSheet sheet, String... keys) {
    return Stream.of(keys)
        .flatMap(key -> Acts.byKey(key).stream())
        .flatMap(act -> sentence(sheet, act).stream())
        .toList();
  }

  /** How forms are lit and shaded. */
  public static List<String> ofLight(StyleSheet sheet) {
    return sentences(
        sheet,
        "light",
        "shadow-amount",
        "shadow-depth",
        "shadow-colour",
        "shadow-edge",
        "highlights");
  }

  /** One reading of an act in a sentence of its own; by its name and middle where it has none. */
  public static String sentence(Rule rule) {
    String key = rule.measure().key();
    if (FreePair.of(rule.measure()).isPresent()) {
      return Spoken.sentence(told(rule)) + ".";
    }
    String words =
        Wording.has("rule." + key)
            ? said("rule." + key, rule)
            : Wording.has("also." + key) ? said("also." + key, rule) : "";
    return words.isBlank() ? figure(rule) : Spoken.sentence(words) + ".";
  }

  private static String figure(Rule rule) {
    Measure measure = rule.measure();
    String unit = measure.unit() == Unit.RATIO ? "" : Wording.unit(measure.unit());
    String value = Wording.number(measure.unit(), rule.centre());
    return Wording.name(measure) + " " + (value + " " + unit).strip() + ".";
  }

  private static String told(Rule rule) {
    return FreePair.of(rule.measure())
        .map(
            pair ->
                Wording.text(
                    "rule.pair",
                    Spoken.value(rule.measure(), rule.centre()),
                    Wording.part(pair),
                    Wording.whole(pair),
                    rule.centre()))
        .orElseGet(() -> said("rule." + rule.measure().key(), rule));
  }

  /** {0} is the middle as it is spoken, {1} as a number for the text to choose by. */
  private static String said(String key, Rule rule) {
    return Wording.text(key, Spoken.value(rule.measure(), rule.centre()), rule.centre());
  }

  private static double looseness(Rule rule) {
    return rule.tolerance() / rule.measure().spreadAmongStyles();
  }
}
