package penmirror.web.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.act.Acts;
import penmirror.core.card.ActDrawing;
import penmirror.core.measure.Nature;
import penmirror.core.style.BaseLine;
import penmirror.core.style.Likeness;
import penmirror.core.style.Rule;
import penmirror.core.style.Signature;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.ContrastWords;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;
import penmirror.web.layout.ActStrip;
import penmirror.web.layout.SvgNumber;
import penmirror.web.sheets.Sample;
import penmirror.web.sheets.Sayings;
import penmirror.web.sheets.SignatureStore;

/**
 * The sheet as sentences: what makes or breaks it, and every act with its works.
 *
 * @param traits the acts that make or break it, as accepted or as proposed
 * @param accepted whether the user has said so; until then they share no half of a score
 * @param base what they were held against to be found
 * @param scopes what the sentences are for, and what that changes
 * @param anythingSaid whether the user set a rule by hand, which can be undone
 * @param likenesses what changes with what the figure is like
 * @param subject what the characters bring, shown and never asked for
 * @param pictures small ones, by the works' ids
 */
record RulesPage(
    ScopeRow scopes,
    boolean anythingSaid,
    String headline,
    List<TraitCard> traits,
    boolean accepted,
    BaseLine.From base,
    List<Group> groups,
    int actCount,
    List<TickRow> ticks,
    List<LikenessRow> likenesses,
    List<SubjectRow> subject,
    Map<Long, String> pictures) {

  /**
   * @param words the user's own, else the sheet's
   * @param theirs what the base line does there, in words; empty where it is not known
   * @param drawn whether the rules are enough to draw it
   * @param sample of the work that lies nearest to the middle of the rule
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
      boolean drawn,
      Optional<Sample> sample) {}

  record Group(String word, List<ActRow> rows) {}

  /**
   * @param place among what makes or breaks the style; 0 where it is none of that
   * @param moved its sentence in the scope that is looked at; empty where it stays the same
   * @param byHand whether the user set one of its readings
   * @param kept works inside the band of the leading reading
   */
  record ActRow(
      String key,
      int place,
      String sentence,
      String moved,
      boolean byHand,
      String low,
      String high,
      ActStrip strip,
      String strength,
      int kept,
      int works) {}

  record SubjectRow(String name, String band) {}

  /**
   * @param works that carry the word
   * @param of works that carry any
   * @param sentences the strongest three
   */
  record LikenessRow(String word, int works, int of, List<String> sentences) {
    private static final int MOST = 3;

    static LikenessRow of(Likeness likeness) {
      return new LikenessRow(
          likeness.word(),
          likeness.works(),
          likeness.works() + likeness.others(),
          likeness.differ().stream()
              .limit(MOST)
              .map(difference -> ContrastWords.sides(likeness.word(), difference))
              .toList());
    }
  }

  /**
   * A statement as the works answer it.
   *
   * @param act as what makes or breaks the style names it
   * @param place among that; 0 where it is none of it
   * @param canTurn whether it says enough to be one of it
   * @param yesWidth on a bar of 124
   */
  record TickRow(
      String key,
      String act,
      int place,
      boolean canTurn,
      String text,
      String holds,
      int yes,
      int answered,
      String yesWidth) {

    static TickRow of(Ticked ticked, List<Act> makeOrBreak) {
      Act act = Acts.ofStatement(ticked.key());
      return new TickRow(
          ticked.key(),
          act.key(),
          makeOrBreak.indexOf(act) + 1,
          ticked.isScored(),
          ticked.text(),
          ticked.holds().word(),
          ticked.yes(),
          ticked.answered(),
          SvgNumber.of(124 * ticked.share()));
    }
  }

  /**
   * What the page is made of.
   *
   * @param sheet over every work
   * @param moved the same for the scope that is looked at
   */
  record Sources(
      StyleSheet sheet,
      StyleSheet moved,
      Strips strips,
      SignatureStore.Kept kept,
      Sayings sayings,
      List<Ticked> ticks,
      List<Likeness> likenesses,
      Map<Long, String> pictures,
      Function<Rule, Optional<Sample>> samples) {}

  static RulesPage of(Sources sources) {
    StyleSheet sheet = sources.sheet();
    BaseLine base = sources.strips().base();
    Maker maker = new Maker(sources);
    SignatureStore.Kept kept = sources.kept();
    boolean accepted = !kept.traits().isEmpty();
    List<SignatureStore.Trait> traits =
        accepted
            ? kept.traits()
            : Signature.of(sheet, base, Signature.USUAL).acts().stream()
                .map(act -> new SignatureStore.Trait(act, ""))
                .toList();
    List<Act> acts = traits.stream().map(SignatureStore.Trait::act).toList();
    List<Group> groups = new ArrayList<>();
    int count = 0;
    int changed = 0;
    for (ActGroup group : ActGroup.values()) {
      List<ActRow> rows = new ArrayList<>();
      for (Act act : sheet.acts()) {
        if (act.group() == group) {
          maker.row(act, acts.indexOf(act) + 1).ifPresent(rows::add);
        }
      }
      // What the works leave free comes last: it asks for nothing.
      rows.sort((a, b) -> Boolean.compare(isFree(a), isFree(b)));
      if (!rows.isEmpty()) {
        groups.add(new Group(group.word(), rows));
        count += rows.size();
        changed += (int) rows.stream().filter(row -> !row.moved().isEmpty()).count();
      }
    }
    List<TraitCard> cards = new ArrayList<>();
    for (SignatureStore.Trait trait : traits) {
      maker.card(trait, cards.size() + 1).ifPresent(cards::add);
    }
    return new RulesPage(
        ScopeRow.of(sheet, sources.moved().wanted(), changed, count - changed),
        sources.sayings().isAnythingSaid(),
        kept.headline(),
        cards,
        accepted,
        base.from(),
        groups,
        count,
        sources.ticks().stream().map(ticked -> TickRow.of(ticked, acts)).toList(),
        sources.likenesses().stream().map(LikenessRow::of).toList(),
        subject(sheet),
        sources.pictures());
  }

  private static boolean isFree(ActRow row) {
    return row.strength().equals(Strength.FREE.word());
  }

  private static List<SubjectRow> subject(StyleSheet sheet) {
    return sheet.rules().stream()
        .filter(rule -> rule.measure().nature() == Nature.SUBJECT)
        .map(rule -> new SubjectRow(Wording.name(rule.measure()), Strips.band(rule)))
        .toList();
  }

  private record Maker(Sources sources) {

    Optional<ActRow> row(Act act, int place) {
      StyleSheet moved = sources.moved();
      return ActWords.sentence(moved, act)
          .map(
              sentence -> {
                List<Rule> rules = moved.rules(act);
                Rule lead = ActWords.lead(rules);
                String usual = ActWords.sentence(sources.sheet(), act).orElse("");
                return new ActRow(
                    act.key(),
                    place,
                    sources.sayings().words(act).orElse(usual.isEmpty() ? sentence : usual),
                    sentence.equals(usual) ? "" : sentence,
                    rules.stream().anyMatch(Rule::isSetByHand),
                    ActWords.side(lead.measure(), false),
                    ActWords.side(lead.measure(), true),
                    strip(moved, lead),
                    told(moved, lead),
                    moved.kept(lead),
                    lead.readingCount());
              });
    }

    Optional<TraitCard> card(SignatureStore.Trait trait, int place) {
      StyleSheet sheet = sources.sheet();
      if (trait.act().statement().isPresent()) {
        return statement(trait, place);
      }
      BaseLine base = sources.strips().base();
      Optional<String> sentence =
          sources.sayings().words(trait.act()).or(() -> ActWords.sentence(sheet, trait.act()));
      if (sheet.rules(trait.act()).isEmpty()) {
        return Optional.empty();
      }
      Rule lead = tellsMost(sheet.rules(trait.act()));
      Optional<Double> distance = base.distance(lead);
      return Optional.of(
          new TraitCard(
              place,
              trait.act().key(),
              ActWords.name(trait.act()),
              trait.words().isEmpty() ? sentence.orElse("") : trait.words(),
              distance
                  .flatMap(d -> ActWords.effect(lead.measure(), d > 0))
                  .map(Spoken::sentence)
                  .orElse(""),
              sheet.kept(lead),
              lead.readingCount(),
              Optional.ofNullable(base.values().get(lead.measure()))
                  .map(value -> Spoken.value(lead.measure(), value))
                  .orElse(""),
              ActDrawing.of(trait.act(), sheet).isPresent(),
              sources.samples().apply(lead)));
    }

    private Optional<TraitCard> statement(SignatureStore.Trait trait, int place) {
      return sources.ticks().stream()
          .filter(ticked -> trait.act().statement().filter(ticked.key()::equals).isPresent())
          .findFirst()
          .map(
              ticked ->
                  new TraitCard(
                      place,
                      trait.act().key(),
                      ticked.text(),
                      trait.words().isEmpty() ? ActWords.sentence(ticked) : trait.words(),
                      "",
                      Math.max(ticked.yes(), ticked.no()),
                      ticked.answered(),
                      "",
                      false,
                      Optional.empty()));
    }

    /** The reading that sets the act apart from the base line. */
    private Rule tellsMost(List<Rule> rules) {
      BaseLine base = sources.strips().base();
      return rules.stream()
          .filter(Rule::isScored)
          .max(
              (a, b) ->
                  Double.compare(
                      Math.abs(base.distance(a).orElse(0.0)),
                      Math.abs(base.distance(b).orElse(0.0))))
          .orElseGet(() -> ActWords.lead(rules));
    }

    /** A rule with a work outside its band is not always so, however tight it is. */
    private static String told(StyleSheet sheet, Rule rule) {
      boolean isBroken = sheet.kept(rule) < rule.readingCount();
      return (rule.strength() == Strength.ALWAYS && isBroken ? Strength.USUALLY : rule.strength())
          .word();
    }

    private ActStrip strip(StyleSheet sheet, Rule rule) {
      return sources.strips().of(sheet, rule);
    }
  }
}
