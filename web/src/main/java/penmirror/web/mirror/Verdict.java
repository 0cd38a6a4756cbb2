package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import org.springframework.context.MessageSource;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.RoleTones;
import penmirror.core.scoring.ActScore;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.RoleScore;
import penmirror.core.scoring.RuleScore;
import penmirror.core.scoring.Score;
import penmirror.core.style.Ticked;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.Checklist;
import penmirror.core.telling.DeskUnit;
import penmirror.core.telling.FixWords;
import penmirror.core.telling.RoleWords;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;
import penmirror.web.evidence.Layer;
import penmirror.web.layout.ReadingStrip;

/**
 * A score as the page tells it: three changes in words first, what makes or breaks the style, two
 * answers on one scale, figures behind.
 *
 * @param headline the changes that matter, one sentence
 * @param first the three changes, largest gain first
 * @param traits what makes or breaks it, kept or broken; none where nothing was accepted
 * @param sums the parts that add up to the points by the rules
 * @param fixes the changes that are told, the first three among them
 * @param smaller how many more there are, worth less
 * @param near acts inside their bands
 * @param unread acts that could not be measured
 * @param roles its colours by what they paint
 * @param ticks statements that the works hold to, those that are not answered yet among them
 */
record Verdict(
    String headline,
    String byRules,
    String glance,
    Optional<ScoreScale> scale,
    String belongs,
    String coverage,
    String nearest,
    List<FixRow> first,
    List<TraitRow> traits,
    List<SumRow> sums,
    List<FixRow> fixes,
    int smaller,
    String smallerPoints,
    String mendedFirst,
    String mendedAll,
    List<String> near,
    List<String> unread,
    List<ActRow> acts,
    List<RoleRow> roles,
    List<TickRow> ticks,
    List<String> traced) {

  private static final int FIRST = 3;
  private static final int MOST_FIXES = 12;

  /** What wins less than this is not worth a line of its own. */
  private static final double LEAST_POINTS = 0.1;

  /**
   * @param isAim whether it can be left out of what the study aims at: not so for a statement
   */
  record FixRow(
      int number,
      String key,
      String act,
      String stage,
      String instruction,
      String miss,
      String effect,
      String why,
      String along,
      String points,
      boolean isAim) {}

  /**
   * @param state kept, broken or unread
   */
  record TraitRow(
      int place, String words, String state, String now, Optional<ReadingStrip> strip) {}

  /** One line of the sum: what was reached of what it holds. */
  record SumRow(String name, String points, String of) {}

  /**
   * A statement, to be answered by one key.
   *
   * @param holds how the works hold to it, a word
   * @param answer yes, no, or empty
   * @param points what breaking it costs; empty where it is kept or not answered
   */
  record TickRow(
      String key, String text, String holds, String answer, boolean isBroken, String points) {}

  /**
   * A colour as it is laid and as the works would lay it.
   *
   * @param shadow empty where it has none
   * @param picker the wanted shadow in a picker's numbers
   * @param x where it lies on the redraw, pixels
   */
  record RoleRow(
      String key,
      String name,
      String base,
      String shadow,
      String wanted,
      String words,
      String picker,
      boolean misses,
      boolean isRight,
      String x,
      String y) {}

  record ActRow(
      String key, String name, String points, String of, boolean misses, List<RuleRow> rules) {}

  /**
   * A rule with its reading against its band.
   *
   * @param layer what shows on the pictures where it comes from; empty for marked measures
   */
  record RuleRow(
      String key,
      String name,
      String value,
      String unit,
      String band,
      String layer,
      boolean misses,
      Optional<ReadingStrip> strip) {}

  /** Whose points lie beside it on the scale. */
  record Beside(Optional<Double> ownHand, Optional<Double> other, String otherName) {}

  static Verdict of(
      Score score,
      List<Ticked> statements,
      List<String> traitWords,
      List<MeasureGroup> traced,
      Beside beside,
      MessageSource messages) {
    return new Maker(
            score,
            statements,
            traitWords,
            traced,
            beside,
            (key, arguments) -> messages.getMessage(key, arguments, Locale.ENGLISH))
        .verdict();
  }

  @FunctionalInterface
  private interface Texts {
    String of(String key, Object... arguments);
  }

  private record Maker(
      Score score,
      List<Ticked> statements,
      List<String> traitWords,
      List<MeasureGroup> traced,
      Beside beside,
      Texts texts) {

    Verdict verdict() {
      List<FixRow> fixes = fixes();
      List<Fix> smaller = score.fixes().subList(fixes.size(), score.fixes().size());
      return new Verdict(
          headline(),
          points(score.byRules()),
          points(score.glance()),
          ScoreScale.of(score, beside),
          belongs(),
          texts.of("mirror.coverage", Wording.number(100 * score.coverage(), 0)),
          nearest(),
          fixes.stream().limit(FIRST).toList(),
          traits(),
          sums(),
          fixes,
          smaller.size(),
          Wording.number(smaller.stream().mapToDouble(Fix::pointsGained).sum(), 1),
          score.mended().map(m -> Wording.number(m.firstThree(), 0)).orElse(""),
          score.mended().map(m -> Wording.number(m.all(), 0)).orElse(""),
          names(act -> act.credit().isPresent() && !act.misses()),
          names(act -> act.credit().isEmpty()),
          score.measured().stream().map(this::act).toList(),
          score.roles().stream().map(Maker::role).toList(),
          ticks(),
          traced.stream().map(group -> texts.of("group." + group.word())).toList());
    }

    private String belongs() {
      if (score.byRules().isEmpty()) {
        return "";
      }
      if (!score.holdsFigure().orElse(true)) {
        return texts.of("mirror.nothing.drawn");
      }
      return score
          .belongs()
          .map(
              belongs ->
                  texts.of(
                      belongs
                          ? "mirror.belongs"
                          : score.keepsRules().orElse(false)
                              ? "mirror.apart.glance"
                              : "mirror.apart"))
          .orElseGet(() -> score.holdsFigure().isEmpty() ? texts.of("mirror.points.alone") : "");
    }

    private static String points(Optional<Double> points) {
      return points.map(p -> Wording.number(p, 0)).orElse("");
    }

    private List<String> names(Predicate<ActScore> which) {
      return score.measured().stream()
          .filter(which)
          .map(act -> ActWords.name(act.act()).toLowerCase(Locale.ENGLISH))
          .toList();
    }

    private String headline() {
      if (score.byRules().isEmpty()) {
        return texts.of("mirror.unmarked");
      }
      if (score.fixes().isEmpty()) {
        return texts.of("mirror.nothing");
      }
      List<Fix> told = told(score);
      if (told.isEmpty()) {
        return texts.of("mirror.little");
      }
      return Spoken.sentence(
              String.join(", ", told.stream().limit(FIRST).map(FixWords::miss).toList()))
          + ".";
    }

    private String nearest() {
      List<String> titles = score.nearest().stream().map(near -> near.work().title()).toList();
      return switch (titles.size()) {
        case 0 -> "";
        case 1 -> texts.of("mirror.nearest.one", titles.get(0));
        default -> texts.of("mirror.nearest", titles.get(0), titles.get(1));
      };
    }

    private List<FixRow> fixes() {
      List<FixRow> rows = new ArrayList<>();
      for (Fix fix : told(score)) {
        String along =
            fix.along().isEmpty()
                ? ""
                : texts.of(
                    "mirror.along",
                    String.join(
                        ", ",
                        fix.along().stream()
                            .map(act -> ActWords.name(act).toLowerCase(Locale.ENGLISH))
                            .toList()));
        rows.add(
            new FixRow(
                rows.size() + 1,
                fix.key(),
                fix.act().key(),
                Checklist.stage(fix.act().group()).word(),
                FixWords.instruction(fix),
                Spoken.sentence(FixWords.miss(fix)),
                FixWords.effect(fix).orElse(""),
                FixWords.why(fix),
                along,
                "+" + Wording.number(fix.pointsGained(), fix.pointsGained() < 0.95 ? 1 : 0),
                fix.act().statement().isEmpty()));
      }
      return rows;
    }

    private List<TraitRow> traits() {
      List<TraitRow> rows = new ArrayList<>();
      for (ActScore act : score.acts()) {
        if (!act.makesOrBreaks()) {
          continue;
        }
        // The one that is off tells it; where none is, the one that leads.
        Optional<RuleScore> telling =
            act.worst().or(() -> act.rules().stream().filter(r -> r.z().isPresent()).findFirst());
        String state = act.credit().isEmpty() ? "unread" : act.misses() ? "broken" : "kept";
        rows.add(
            new TraitRow(
                rows.size() + 1,
                ActWords.name(act.act()),
                state,
                act.misses()
                    ? telling
                        .map(rule -> Wording.miss(rule.rule().measure(), rule.z().orElse(-9.0)))
                        .or(
                            () ->
                                act.tick().map(tick -> texts.of("mirror.trait.tick." + tick.yes())))
                        .orElse("")
                    : "",
                telling.flatMap(
                    rule -> rule.z().map(z -> ReadingStrip.of(rule.rule(), valueAt(rule))))));
      }
      for (int i = 0; i < rows.size() && i < traitWords.size(); i++) {
        TraitRow row = rows.get(i);
        rows.set(
            i, new TraitRow(row.place(), traitWords.get(i), row.state(), row.now(), row.strip()));
      }
      return rows;
    }

    /** The reading, or the limit it is known to lie beyond. */
    private static double valueAt(RuleScore rule) {
      return rule.reading()
          .map(reading -> reading.value())
          .or(() -> rule.result().absence().flatMap(a -> a.limit()).map(limit -> limit.value()))
          .orElse(rule.rule().centre());
    }

    private List<TickRow> ticks() {
      Map<String, ActScore> answered = new HashMap<>();
      score.answered().forEach(act -> answered.put(act.tick().orElseThrow().rule().key(), act));
      List<TickRow> rows = new ArrayList<>();
      for (Ticked ticked : statements) {
        if (ticked.isScored()) {
          Optional<ActScore> act = Optional.ofNullable(answered.get(ticked.key()));
          boolean isBroken = act.filter(ActScore::misses).isPresent();
          rows.add(
              new TickRow(
                  ticked.key(),
                  ticked.text(),
                  ticked.holds().word(),
                  act.flatMap(ActScore::tick).map(t -> t.yes() ? "yes" : "no").orElse(""),
                  isBroken,
                  isBroken ? costs(act.get().act()) : ""));
        }
      }
      return rows;
    }

    /** What a statement that is broken would win back. */
    private String costs(Act act) {
      Score.Share share = score.shares().get(act);
      return share == null ? "" : "+" + Wording.number(share.of(), 1);
    }

    /** What makes or breaks it and all else; without a signature, group by group. */
    private List<SumRow> sums() {
      List<SumRow> rows = new ArrayList<>();
      boolean halved = score.acts().stream().anyMatch(ActScore::makesOrBreaks);
      if (halved) {
        sum(texts.of("mirror.sum.few"), ActScore::makesOrBreaks).ifPresent(rows::add);
        long rest = score.measured().stream().filter(Maker::isOfTheRest).count();
        sum(
                texts.of("mirror.sum.rest", rest),
                act -> isOfTheRest(act) && act.act().group() != ActGroup.TICKS)
            .ifPresent(rows::add);
        sum(
                texts.of("act.group.ticks"),
                act -> isOfTheRest(act) && act.act().group() == ActGroup.TICKS)
            .ifPresent(rows::add);
      } else {
        for (ActGroup group : ActGroup.values()) {
          Score.Share share = score.groups().get(group);
          if (share != null) {
            rows.add(row(texts.of("act.group." + group.word()), share));
          }
        }
      }
      return rows;
    }

    private static boolean isOfTheRest(ActScore act) {
      return !act.makesOrBreaks() && act.credit().isPresent();
    }

    /** Empty where none of them holds anything. */
    private Optional<SumRow> sum(String name, Predicate<ActScore> which) {
      double points = 0;
      double of = 0;
      for (ActScore act : score.acts()) {
        Score.Share share = score.shares().get(act.act());
        if (which.test(act) && share != null) {
          points += share.points();
          of += share.of();
        }
      }
      return of > 0 ? Optional.of(row(name, new Score.Share(points, of))) : Optional.empty();
    }

    private static SumRow row(String name, Score.Share share) {
      return new SumRow(name, Wording.number(share.points(), 1), Wording.number(share.of(), 0));
    }

    private static RoleRow role(RoleScore role) {
      RoleTones tones = role.tones();
      return new RoleRow(
          tones.role().word(),
          RoleWords.name(tones.role()),
          tones.tones().base().toEncodedSrgb().hex(),
          tones.tones().shadow().map(shadow -> shadow.toEncodedSrgb().hex()).orElse(""),
          role.wanted().toEncodedSrgb().hex(),
          RoleWords.miss(role),
          RoleWords.picker(role.wanted()),
          !role.misses().isEmpty(),
          role.misses().isEmpty() && tones.tones().shadow().isPresent(),
          Wording.number(tones.place().x(), 1),
          Wording.number(tones.place().y(), 1));
    }

    private ActRow act(ActScore act) {
      Score.Share share = score.shares().get(act.act());
      return new ActRow(
          act.act().key(),
          ActWords.name(act.act()),
          share == null ? "" : Wording.number(share.points(), 1),
          share == null ? "" : Wording.number(share.of(), 1),
          act.misses(),
          act.rules().stream().map(Maker::rule).toList());
    }

    private static RuleRow rule(RuleScore score) {
      Measure measure = score.rule().measure();
      DeskUnit unit = DeskUnit.of(measure, OptionalDouble.empty());
      return new RuleRow(
          measure.key(),
          Wording.name(measure),
          score.reading().map(r -> unit.number(r.value())).orElse(""),
          unit.word(),
          unit.band(score.rule().low(), score.rule().high()),
          measure.isFromPixels() ? Layer.of(measure).word() : "",
          score.misses(),
          score.z().map(z -> ReadingStrip.of(score.rule(), valueAt(score))));
    }
  }

  /** The fixes that have a line of their own, best gain first. */
  static List<Fix> told(Score score) {
    return score.fixes().stream()
        .filter(fix -> fix.pointsGained() >= LEAST_POINTS)
        .limit(MOST_FIXES)
        .toList();
  }

  /** The acts that are told as traits, in the order in which the page tells them. */
  static List<Act> traitsOf(Score score) {
    return score.acts().stream().filter(ActScore::makesOrBreaks).map(ActScore::act).toList();
  }
}
