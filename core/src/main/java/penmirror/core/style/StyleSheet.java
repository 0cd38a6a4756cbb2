package penmirror.core.style;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.FreePair;

/**
 * The rules of a style over its works, for one view. Heights are ruled over works of every view,
 * widths only over works of this view.
 *
 * @param works every work that was given, in that order
 * @param rules in the catalogue's order; measures that no work has are absent
 * @param markingErrors how far readings differ when the same figure is marked twice, in the scale
 *     of each measure; only where that was measured
 * @param makeOrBreak the acts that share half of a score, first the one that matters most; none
 *     where nobody has said so
 * @param wanted what kind of picture the rules are for
 * @param said what the user says over single rules
 * @param statements what no ruler gives, with how the works hold to it
 */
public record StyleSheet(
    String name,
    View view,
    List<MeasuredWork> works,
    List<Rule> rules,
    List<PaletteColour> palette,
    Map<Measure, Double> markingErrors,
    List<Act> makeOrBreak,
    Portrayal wanted,
    List<Said> said,
    List<Ticked> statements) {

  /** Colours of two works nearer than this in OKLab are one colour of the style. */
  private static final double SAME_COLOUR = 0.04;

  private static final int LARGEST_PALETTE = 12;

  public StyleSheet {
    works = List.copyOf(works);
    rules = List.copyOf(rules);
    palette = List.copyOf(palette);
    markingErrors = Map.copyOf(markingErrors);
    makeOrBreak = List.copyOf(makeOrBreak);
    said = List.copyOf(said);
    statements = List.copyOf(statements);
  }

  /** The sheet over any number of works, none included: then it has no rules. */
  public static StyleSheet of(String name, View view, List<MeasuredWork> works) {
    return of(name, view, works, Map.of());
  }

  /** The same, by a hand whose marking errors are known: no rule is tighter than they. */
  public static StyleSheet of(
      String name, View view, List<MeasuredWork> works, Map<Measure, Double> markingErrors) {
    return new StyleSheet(
        name,
        view,
        works,
        new RuleMaker(view, Portrayal.ANY, markingErrors, List.of()).rules(works),
        palette(works),
        markingErrors,
        List.of(),
        Portrayal.ANY,
        List.of(),
        List.of());
  }

  /**
   * This sheet's rules over other works, for scores that make many sheets: no palette is sought.
   */
  public StyleSheet rulesOver(List<MeasuredWork> others) {
    return new StyleSheet(
        name,
        view,
        others,
        maker(wanted, said).rules(others),
        List.of(),
        markingErrors,
        makeOrBreak,
        wanted,
        said,
        statements);
  }

  /** This sheet with the acts that make or break it. */
  public StyleSheet makingOrBreaking(List<Act> acts) {
    return new StyleSheet(
        name, view, works, rules, palette, markingErrors, acts, wanted, said, statements);
  }

  /** This sheet with what was ticked on its works. */
  public StyleSheet stating(List<Ticked> ticked) {
    return new StyleSheet(
        name, view, works, rules, palette, markingErrors, makeOrBreak, wanted, said, ticked);
  }

  /** The same works' rules for a kind of picture; this sheet where they are for it already. */
  public StyleSheet wantedFor(Portrayal other) {
    return other.equals(wanted) ? this : ruled(other, said);
  }

  /** The same works' rules where the user says something over some of them. */
  public StyleSheet saying(List<Said> words) {
    return words.equals(said) ? this : ruled(wanted, words);
  }

  /** The sheet as if some measures had been read on no work. */
  public StyleSheet without(Predicate<Measure> measures) {
    List<MeasuredWork> fewer = works.stream().map(work -> work.without(measures)).toList();
    return new StyleSheet(
        name,
        view,
        fewer,
        maker(wanted, said).rules(fewer),
        palette,
        markingErrors,
        makeOrBreak,
        wanted,
        said,
        statements);
  }

  private StyleSheet ruled(Portrayal newWanted, List<Said> newSaid) {
    return new StyleSheet(
        name,
        view,
        works,
        maker(newWanted, newSaid).rules(works),
        palette,
        markingErrors,
        makeOrBreak,
        newWanted,
        newSaid,
        statements);
  }

  private RuleMaker maker(Portrayal newWanted, List<Said> newSaid) {
    return new RuleMaker(view, newWanted, markingErrors, newSaid);
  }

  /** Every act there is, and after them those of ratios of the user's own. */
  public List<Act> acts() {
    List<Act> acts = new ArrayList<>(Acts.all());
    rules.stream()
        .filter(rule -> FreePair.of(rule.measure()).isPresent())
        .forEach(rule -> Acts.of(rule.measure()).ifPresent(acts::add));
    return acts;
  }

  /** The rules of one act, in the order of its readings; empty where the works have none. */
  public List<Rule> rules(Act act) {
    return act.readings().stream()
        .filter(measure -> isAsked(act, measure))
        .flatMap(measure -> rule(measure).stream())
        .toList();
  }

  /** Whether works have of it what this reading tells how they do it. */
  public boolean isAsked(Act act, Measure measure) {
    return act.presence()
        .filter(presence -> presence.measure() != measure)
        .flatMap(
            presence -> rule(presence.measure()).map(rule -> rule.centre() >= presence.least()))
        .orElse(true);
  }

  public Optional<Rule> rule(Measure measure) {
    return rules.stream().filter(rule -> rule.measure() == measure).findFirst();
  }

  /** The rule that a drawing seen from there can be held against. */
  public Optional<Rule> ruleFor(Measure measure, View drawing) {
    return measure.compares(view, drawing) ? rule(measure) : Optional.empty();
  }

  /** Titles of the works that carry no credit. */
  public List<String> uncredited() {
    return works.stream().filter(work -> work.credit().isBlank()).map(MeasuredWork::title).toList();
  }

  /** How many of the works that made a rule of this sheet lie inside its band. */
  public int kept(Rule rule) {
    return (int)
        worksRuledOn(rule.measure()).stream()
            .filter(work -> rule.holds(work.value(rule.measure())))
            .count();
  }

  /** The works whose reading went into the rule of a measure. */
  public List<MeasuredWork> worksRuledOn(Measure measure) {
    return maker(wanted, said).read(measure, works);
  }

  /** The view most works have; the first of the enum on a tie, front for none. */
  public static View mostFrequentView(List<MeasuredWork> works) {
    View best = View.FRONT;
    long most = 0;
    for (View candidate : View.values()) {
      long count = works.stream().filter(work -> work.view() == candidate).count();
      if (count > most) {
        most = count;
        best = candidate;
      }
    }
    return best;
  }

  private static List<PaletteColour> palette(List<MeasuredWork> works) {
    record Found(OkLab colour, List<Double> shares) {}
    List<Swatch> all =
        works.stream()
            .flatMap(work -> work.swatches().stream())
            .sorted(Comparator.comparingDouble(swatch -> -swatch.shareOfFigure()))
            .toList();
    List<Found> found = new ArrayList<>();
    for (Swatch swatch : all) {
      if (found.stream().noneMatch(f -> f.colour.distanceTo(swatch.colour()) < SAME_COLOUR)) {
        found.add(new Found(swatch.colour(), new ArrayList<>()));
      }
    }
    for (MeasuredWork work : works) {
      for (Found candidate : found) {
        double share =
            work.swatches().stream()
                .filter(s -> s.colour().distanceTo(candidate.colour) < SAME_COLOUR)
                .mapToDouble(Swatch::shareOfFigure)
                .sum();
        if (share > 0) {
          candidate.shares.add(share);
        }
      }
    }
    return found.stream()
        .map(
            f ->
                new PaletteColour(
                    f.colour,
                    f.shares.stream().mapToDouble(d -> d).average().orElseThrow(),
                    f.shares.size()))
        .sorted(
            Comparator.comparingDouble(colour -> -colour.meanShareOfFigure() * colour.workCount()))
        .limit(LARGEST_PALETTE)
        .toList();
  }
}
