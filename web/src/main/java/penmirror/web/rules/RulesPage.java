package penmirror.web.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.act.Acts;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Nature;
import penmirror.core.style.BaseLine;
import penmirror.core.style.Rule;
import penmirror.core.style.Signature;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.DeskUnit;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;
import penmirror.web.layout.ActStrip;
import penmirror.web.sheets.SignatureStore;

/**
 * The sheet as sentences: what makes or breaks it, and every act with its works.
 *
 * @param traits the acts that make or break it, as accepted or as proposed
 * @param accepted whether the user has said so; until then they share no half of a score
 * @param base what they were held against to be found
 * @param subject what the characters bring, shown and never asked for
 */
record RulesPage(
    String headline,
    List<TraitCard> traits,
    boolean accepted,
    BaseLine.From base,
    List<Group> groups,
    int actCount,
    List<TickRow> ticks,
    List<SubjectRow> subject) {

  /**
   * @param words the user's own, else the sheet's
   * @param theirs what the base line does there, in words; empty where it is not known
   */
  record TraitCard(
      int place,
      String key,
      String name,
      String words,
      String effect,
      int kept,
      int works,
      String theirs,
      ActStrip strip) {}

  record Group(String word, List<ActRow> rows) {}

  /**
   * @param place among what makes or breaks the style; 0 where it is none of that
   * @param kept works inside the band of the leading reading
   */
  record ActRow(
      String key,
      int place,
      String sentence,
      String low,
      String high,
      ActStrip strip,
      String strength,
      int kept,
      int works,
      List<ReadingRow> readings) {}

  record ReadingRow(String key, String name, String band, String middle, ActStrip strip) {}

  record SubjectRow(String name, String band) {}

  /**
   * A statement as the works answer it.
   *
   * @param yesWidth on a bar of 124
   */
  record TickRow(String key, String text, String holds, int yes, int answered, String yesWidth) {

    static TickRow of(Ticked ticked) {
      return new TickRow(
          ticked.key(),
          ticked.text(),
          ticked.holds().word(),
          ticked.yes(),
          ticked.answered(),
          ActStrip.number(124 * ticked.share()));
    }
  }

  static RulesPage of(
      long studyId, StyleSheet sheet, BaseLine base, SignatureStore.Kept kept, List<Ticked> ticks) {
    Maker maker = new Maker(studyId, sheet, base, BaseLine.realistic().values());
    Signature proposed = Signature.of(sheet, base, Signature.USUAL);
    boolean accepted = !kept.traits().isEmpty();
    List<SignatureStore.Trait> traits =
        accepted
            ? kept.traits()
            : proposed.acts().stream().map(act -> new SignatureStore.Trait(act, "")).toList();
    List<Act> acts = traits.stream().map(SignatureStore.Trait::act).toList();
    List<Group> groups = new ArrayList<>();
    int count = 0;
    for (ActGroup group : ActGroup.values()) {
      List<ActRow> rows = new ArrayList<>();
      for (Act act : Acts.all()) {
        if (act.group() == group) {
          maker.row(act, acts.indexOf(act) + 1).ifPresent(rows::add);
        }
      }
      // What the works leave free comes last: it asks for nothing.
      rows.sort((a, b) -> Boolean.compare(isFree(a), isFree(b)));
      if (!rows.isEmpty()) {
        groups.add(new Group(group.word(), rows));
        count += rows.size();
      }
    }
    List<TraitCard> cards = new ArrayList<>();
    for (SignatureStore.Trait trait : traits) {
      maker.card(trait, cards.size() + 1).ifPresent(cards::add);
    }
    return new RulesPage(
        kept.headline(),
        cards,
        accepted,
        base.from(),
        groups,
        count,
        ticks.stream().map(TickRow::of).toList(),
        subject(sheet));
  }

  private static boolean isFree(ActRow row) {
    return row.strength().equals(Strength.FREE.word());
  }

  private static List<SubjectRow> subject(StyleSheet sheet) {
    return sheet.rules().stream()
        .filter(rule -> rule.measure().nature() == Nature.SUBJECT)
        .map(rule -> new SubjectRow(Wording.name(rule.measure()), band(rule)))
        .toList();
  }

  private static String band(Rule rule) {
    DeskUnit unit = DeskUnit.of(rule.measure(), OptionalDouble.empty());
    return unit.band(rule.low(), rule.high()) + " " + unit.word();
  }

  /** How a reading off to one side looks, without how much. */
  static String side(Measure measure, boolean high) {
    return Wording.text("measure." + measure.key() + (high ? ".high" : ".low"), "")
        .replaceAll(" +", " ")
        .strip();
  }

  private record Maker(
      long studyId, StyleSheet sheet, BaseLine base, Map<Measure, Double> realistic) {

    Optional<ActRow> row(Act act, int place) {
      return ActWords.sentence(sheet, act)
          .map(
              sentence -> {
                List<Rule> rules = sheet.rules(act);
                Rule lead = ActWords.lead(rules);
                return new ActRow(
                    act.key(),
                    place,
                    sentence,
                    side(lead.measure(), false),
                    side(lead.measure(), true),
                    strip(lead),
                    told(lead),
                    kept(lead),
                    lead.readingCount(),
                    rules.stream().map(this::reading).toList());
              });
    }

    Optional<TraitCard> card(SignatureStore.Trait trait, int place) {
      Optional<String> sentence = ActWords.sentence(sheet, trait.act());
      if (sentence.isEmpty()) {
        return Optional.empty();
      }
      Rule lead = tellsMost(sheet.rules(trait.act()));
      Optional<Double> distance = base.distance(lead);
      return Optional.of(
          new TraitCard(
              place,
              trait.act().key(),
              ActWords.name(trait.act()),
              trait.words().isEmpty() ? sentence.get() : trait.words(),
              distance
                  .flatMap(d -> ActWords.effect(lead.measure(), d > 0))
                  .map(Spoken::sentence)
                  .orElse(""),
              kept(lead),
              lead.readingCount(),
              Optional.ofNullable(base.values().get(lead.measure()))
                  .map(value -> Spoken.value(lead.measure(), value))
                  .orElse(""),
              strip(lead)));
    }

    /** The reading that sets the act apart from the base line. */
    private Rule tellsMost(List<Rule> rules) {
      return rules.stream()
          .filter(Rule::isScored)
          .max(
              (a, b) ->
                  Double.compare(
                      Math.abs(base.distance(a).orElse(0.0)),
                      Math.abs(base.distance(b).orElse(0.0))))
          .orElseGet(() -> ActWords.lead(rules));
    }

    private ReadingRow reading(Rule rule) {
      return new ReadingRow(
          rule.measure().key(),
          Wording.name(rule.measure()),
          band(rule),
          DeskUnit.of(rule.measure(), OptionalDouble.empty()).number(rule.centre()),
          strip(rule));
    }

    /** A rule with a work outside its band is not always so, however tight it is. */
    private String told(Rule rule) {
      boolean isBroken = kept(rule) < rule.readingCount();
      return (rule.strength() == Strength.ALWAYS && isBroken ? Strength.USUALLY : rule.strength())
          .word();
    }

    private int kept(Rule rule) {
      return (int)
          sheet.worksRuledOn(rule.measure()).stream()
              .filter(work -> Math.abs(rule.z(work.values().get(rule.measure()))) <= 1)
              .count();
    }

    private ActStrip strip(Rule rule) {
      Measure measure = rule.measure();
      List<ActStrip.Entry> entries =
          sheet.worksRuledOn(measure).stream()
              .map(
                  work ->
                      new ActStrip.Entry(
                          work.values().get(measure),
                          work.title(),
                          WorkLink.of(studyId, work, measure)))
              .toList();
      Optional<Double> own =
          base.from() == BaseLine.From.OWN_HAND
              ? Optional.ofNullable(base.values().get(measure))
              : Optional.empty();
      return ActStrip.of(rule, entries, own, Optional.ofNullable(realistic.get(measure)));
    }
  }
}
