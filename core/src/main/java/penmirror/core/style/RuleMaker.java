package penmirror.core.style;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.style.Rule.Grounds;

/**
 * Makes the rules of works for one view and for what a picture shows. Where enough works show just
 * that, the rule is theirs; else it is made over all, and no longer as tight.
 *
 * @param wanted what the rules are for; each part left empty asks for nothing
 * @param said what the user says over single rules
 */
record RuleMaker(View view, Portrayal wanted, Map<Measure, Double> markingErrors, List<Said> said) {
  /** From so many works on that show what is asked for, a rule is made of them alone. */
  static final int ENOUGH = 3;

  /** How much wider a rule becomes over works that show something else; from memory. */
  private static final double WIDER = 1.25;

  /** The works that a rule stands on, and of how many that could have had a reading. */
  private record Basis(List<MeasuredWork> read, int inScope, Grounds grounds) {}

  List<Rule> rules(List<MeasuredWork> works) {
    List<Rule> rules = new ArrayList<>();
    Set<Measure> known = new LinkedHashSet<>();
    works.forEach(work -> known.addAll(work.values().keySet()));
    for (Measure measure : MeasureCatalogue.with(known)) {
      Basis basis = basis(measure, works);
      if (!basis.read().isEmpty()) {
        rules.add(rule(measure, basis));
      }
    }
    dropStandIns(rules);
    return balanced(rules);
  }

  /** The works whose reading goes into the rule of a measure. */
  List<MeasuredWork> read(Measure measure, List<MeasuredWork> works) {
    return basis(measure, works).read();
  }

  private Basis basis(Measure measure, List<MeasuredWork> works) {
    List<String> leftOut =
        said.isEmpty() ? List.of() : said(measure).map(Said::leftOut).orElse(List.of());
    List<MeasuredWork> scope = new ArrayList<>(works.size());
    for (MeasuredWork work : works) {
      if (inScope(measure, work) && !leftOut.contains(work.id())) {
        scope.add(work);
      }
    }
    leaveOutUnseen(measure, scope);
    if (wanted.equals(Portrayal.ANY)) {
      return new Basis(withReading(measure, scope), scope.size(), Grounds.ALL);
    }
    Predicate<MeasuredWork> shows = work -> shows(measure, work);
    Basis narrowed = narrowed(measure, scope, shows, Grounds.WIDER);
    if (wanted.mood().isEmpty() || !MoodShifts.follows(measure)) {
      return narrowed;
    }
    List<MeasuredWork> among =
        narrowed.grounds() == Grounds.SAME ? scope.stream().filter(shows).toList() : scope;
    Basis ofMood =
        narrowed(
            measure, among, work -> work.shows().mood().equals(wanted.mood()), Grounds.BROUGHT);
    return ofMood.grounds() == Grounds.ALL ? narrowed : ofMood;
  }

  /**
   * An ear under hair says nothing of ears, as a portrait says nothing of legs. Where hardly any
   * work shows one, that it is hardly ever seen counts against a rule.
   */
  private static void leaveOutUnseen(Measure measure, List<MeasuredWork> scope) {
    if (withReading(measure, scope).size() >= ENOUGH) {
      scope.removeIf(work -> work.outOfSight().contains(measure));
    }
  }

  /** Those of the works that fit where enough of them have a reading, else all. */
  private static Basis narrowed(
      Measure measure, List<MeasuredWork> scope, Predicate<MeasuredWork> fits, Grounds tooFew) {
    List<MeasuredWork> read = withReading(measure, scope);
    List<MeasuredWork> fitting = scope.stream().filter(fits).toList();
    List<MeasuredWork> fittingRead = withReading(measure, fitting);
    if (fittingRead.size() == read.size()) {
      return new Basis(read, scope.size(), Grounds.ALL);
    }
    return fittingRead.size() >= ENOUGH
        ? new Basis(fittingRead, fitting.size(), Grounds.SAME)
        : new Basis(read, scope.size(), tooFew);
  }

  private static List<MeasuredWork> withReading(Measure measure, List<MeasuredWork> works) {
    List<MeasuredWork> read = new ArrayList<>(works.size());
    for (MeasuredWork work : works) {
      if (work.values().containsKey(measure)) {
        read.add(work);
      }
    }
    return read;
  }

  private Rule rule(Measure measure, Basis basis) {
    double[] values = new double[basis.read().size()];
    double[] weights = new double[values.length];
    for (int i = 0; i < values.length; i++) {
      MeasuredWork work = basis.read().get(i);
      double value = work.value(measure);
      values[i] = basis.grounds() == Grounds.BROUGHT ? brought(measure, work, value) : value;
      weights[i] = work.weight();
    }
    double loose =
        switch (basis.grounds()) {
          case BROUGHT ->
              wanted.mood().map(mood -> MoodShifts.of(measure, mood).spread()).orElse(0.0);
          default -> 0;
        };
    Rule rule =
        Rule.over(
            measure,
            values,
            weights,
            basis.inScope(),
            new Rule.Looseness(
                markingErrors.getOrDefault(measure, 0.0),
                basis.grounds() == Grounds.WIDER ? WIDER : 1,
                loose),
            basis.grounds());
    return said(measure).flatMap(Said::band).map(rule::saidToLie).orElse(rule);
  }

  /** A reading as it would be in the mood that is asked for; as it is where its own is unknown. */
  private double brought(Measure measure, MeasuredWork work, double value) {
    Optional<Mood> its = work.shows().mood();
    if (its.isEmpty() || wanted.mood().isEmpty()) {
      return value;
    }
    double shift =
        MoodShifts.of(measure, wanted.mood().get()).middle()
            - MoodShifts.of(measure, its.get()).middle();
    double moved = measure.scale().fromScale(measure.scale().toScale(value) + shift);
    return measure.scale().admits(moved) ? moved : value;
  }

  private Optional<Said> said(Measure measure) {
    return said.stream().filter(s -> s.measure() == measure).findFirst();
  }

  /** How much is shown matters to what is read from pixels: a face is drawn at another size. */
  private boolean shows(Measure measure, MeasuredWork work) {
    return fits(
            measure.isFromPixels() ? wanted.framing() : Optional.empty(), work.shows().framing())
        && fits(wanted.kind(), work.shows().kind())
        && (wanted.manner().isEmpty() || wanted.manner().equals(work.shows().manner()));
  }

  private static <T> boolean fits(Optional<T> asked, Optional<T> shown) {
    return asked.isEmpty() || asked.equals(shown);
  }

  private boolean inScope(Measure measure, MeasuredWork work) {
    return measure.compares(view, work.view()) && canShow(measure, work);
  }

  /** A portrait says nothing of legs, neither for a rule nor against it. */
  private static boolean canShow(Measure measure, MeasuredWork work) {
    return work.values().containsKey(measure)
        || work.shows().framing().map(measure::isShownBy).orElse(true);
  }

  /** What stands in for a length by the head gives way where the head is marked often enough. */
  private static void dropStandIns(List<Rule> rules) {
    List<Measure> byHead = rules.stream().filter(Rule::isScored).map(Rule::measure).toList();
    rules.removeIf(rule -> rule.measure().standsInFor().map(byHead::contains).orElse(false));
  }

  /**
   * Ten like measures count as about three: weights are divided by the root of their group's sum.
   */
  private static List<Rule> balanced(List<Rule> rules) {
    Map<MeasureGroup, Double> sums = new EnumMap<>(MeasureGroup.class);
    for (Rule rule : rules) {
      sums.merge(rule.measure().group(), rule.weight(), Double::sum);
    }
    return rules.stream()
        .map(
            rule ->
                rule.isScored()
                    ? rule.withWeight(rule.weight() / Math.sqrt(sums.get(rule.measure().group())))
                    : rule)
        .toList();
  }
}
