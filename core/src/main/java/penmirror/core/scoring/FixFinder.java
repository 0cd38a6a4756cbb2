package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.Reading;
import penmirror.core.measure.Wording;
import penmirror.core.move.Move;
import penmirror.core.move.Move.Amount;
import penmirror.core.move.MoveSolver;
import penmirror.core.move.Moves;
import penmirror.core.move.Solution;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.scoring.Fix.Part;
import penmirror.core.style.Rule;

/**
 * Turns misses into moves: for every part with a rule outside its band, the plain moves that bring
 * its measures to their centres, joined into one fix; what it wins is found by scoring the
 * corrected readings again.
 */
final class FixFinder {
  private final Scorer scorer;
  private final Evidence redraw;
  private final Map<Measure, MeasureResult> results;
  private final List<RuleScore> scores;
  private final Optional<Double> house;
  private final double points;
  private final double headPixels;

  /**
   * @param house points of the house colours, which no fix changes
   */
  FixFinder(
      Scorer scorer,
      Evidence redraw,
      Map<Measure, MeasureResult> results,
      List<RuleScore> scores,
      Optional<Double> house) {
    this.scorer = scorer;
    this.redraw = redraw;
    this.results = results;
    this.scores = scores;
    this.house = house;
    points = scorer.overall(redraw.marks().view(), results, house).orElse(0.0);
    headPixels = redraw.marks().headFrame().map(HeadFrame::headPixels).orElse(0.0);
  }

  /** Best gain first. Fixes that win nothing are left out. */
  List<Fix> fixes() {
    List<Fix> fixes = new ArrayList<>();
    for (Part part : Part.values()) {
      markedFix(part).ifPresent(fixes::add);
    }
    for (RuleScore score : scores) {
      if (score.rule().measure().isFromPixels()) {
        pixelFix(score).ifPresent(fixes::add);
      }
    }
    fixes.removeIf(fix -> fix.pointsGained() <= 0);
    fixes.sort(Comparator.comparingDouble(fix -> -fix.pointsGained()));
    return fixes;
  }

  /** One move on the way: what was done and what it mends. */
  private record Step(Move move, double amount, double edgeAmount, RuleScore score) {}

  private Optional<Fix> markedFix(Part part) {
    Marks marks = redraw.marks();
    List<Step> steps = new ArrayList<>();
    for (Move move : Moves.all()) {
      if (!move.feature().name().equals(part.name())) {
        continue;
      }
      Optional<Step> step = step(move, marks);
      if (step.isPresent()) {
        marks = move.apply(marks, step.get().amount());
        steps.add(step.get());
      }
    }
    if (steps.isEmpty()) {
      return Optional.empty();
    }
    double gained = points(redraw.withMarks(marks)).orElse(points) - points;
    return Optional.of(fix(part, steps, gained, Move.steps(redraw.marks(), marks)));
  }

  private Optional<Step> step(Move move, Marks marks) {
    Optional<RuleScore> found =
        scores.stream()
            .filter(score -> score.rule().measure() == move.measure())
            .filter(score -> score.rule().isScored() && score.reading().isPresent())
            .findFirst();
    OptionalDouble value = move.measure().valueOf(marks);
    if (found.isEmpty() || value.isEmpty()) {
      return Optional.empty();
    }
    Rule rule = found.get().rule();
    double z = rule.z(value.getAsDouble());
    if (Math.abs(z) <= 1) {
      return Optional.empty();
    }
    double centre = move.measure().scale().toScale(rule.centre());
    Solution there = MoveSolver.solve(move, marks, centre);
    Solution atEdge = MoveSolver.solve(move, marks, centre + Math.signum(z) * rule.tolerance());
    if (!(there instanceof Solution.Reached reached)
        || !(atEdge instanceof Solution.Reached edge)) {
      return Optional.empty();
    }
    double farthest =
        Move.steps(marks, move.apply(marks, reached.amount())).stream()
            .mapToDouble(Move.Step::pixels)
            .max()
            .orElse(0);
    // No difference smaller than the marking error counts.
    return farthest < MarkingError.USUAL_HEADS * headPixels
        ? Optional.empty()
        : Optional.of(new Step(move, reached.amount(), edge.amount(), found.get()));
  }

  private Fix fix(Part part, List<Step> steps, double gained, List<Move.Step> moves) {
    List<Step> worstFirst =
        steps.stream()
            .sorted(
                Comparator.comparingDouble((Step step) -> -Math.abs(step.score().z().orElse(0.0))))
            .toList();
    List<String> phrases = worstFirst.stream().map(FixFinder::phrase).toList();
    RuleScore worst = worstFirst.get(0).score();
    String why = why(worst);
    if (steps.size() == 1) {
      why +=
          "; "
              + Wording.text(
                  "fix.edge", spoken(steps.get(0).move().amount(), steps.get(0).edgeAmount()));
    }
    return new Fix(
        part,
        sentence(phrases),
        why,
        Wording.miss(worst.rule().measure(), worst.z().orElse(0.0)),
        gained,
        moves,
        worstFirst.stream().map(step -> step.score().rule()).toList());
  }

  private static String phrase(Step step) {
    String direction = step.amount() > 0 ? ".more" : ".less";
    Amount kind = step.move().amount();
    return Wording.text(
        "fix." + step.move().measure().key() + direction, bare(kind, step.amount()));
  }

  private static String spoken(Amount kind, double amount) {
    String unit =
        switch (kind) {
          case PIXELS -> " px";
          case DEGREES -> "°";
          case FACTOR -> " ×";
        };
    return bare(kind, amount) + unit;
  }

  private static String bare(Amount kind, double amount) {
    return switch (kind) {
      case PIXELS -> Wording.number(Math.abs(amount), Math.abs(amount) < 3 ? 1 : 0);
      case DEGREES -> Wording.number(Math.abs(amount), 1);
      case FACTOR -> Wording.number(Math.exp(amount), 2);
    };
  }

  private static String sentence(List<String> phrases) {
    String joined = String.join(", ", phrases);
    return Character.toUpperCase(joined.charAt(0)) + joined.substring(1);
  }

  private static String why(RuleScore score) {
    Rule rule = score.rule();
    Measure measure = rule.measure();
    return score
        .reading()
        .map(
            reading ->
                Wording.text(
                    "fix.why",
                    Wording.name(measure),
                    Wording.number(measure.unit(), reading.value()),
                    Wording.unit(measure.unit()),
                    Wording.number(measure.unit(), rule.low()),
                    Wording.number(measure.unit(), rule.high())))
        .orElse(Wording.name(measure));
  }

  private Optional<Fix> pixelFix(RuleScore score) {
    Rule rule = score.rule();
    Measure measure = rule.measure();
    // What no hand can take hold of by itself, such as how symmetrical it all is, has no words.
    boolean hasWords = Wording.has("fix." + measure.key() + ".more");
    if (!hasWords || !rule.isScored() || score.z().isEmpty() || !score.misses()) {
      return Optional.empty();
    }
    Map<Measure, MeasureResult> corrected = new LinkedHashMap<>(results);
    corrected.put(
        measure,
        new Reading(measure, rule.centre(), OptionalDouble.empty(), Reading.Method.FROM_PIXELS));
    double gained = scorer.overall(redraw.marks().view(), corrected, house).orElse(points) - points;
    double z = score.z().orElse(0.0);
    String text = Wording.text("fix." + measure.key() + (z < 0 ? ".more" : ".less"), target(rule));
    return Optional.of(
        new Fix(
            part(measure),
            sentence(List.of(text)),
            why(score),
            Wording.miss(measure, z),
            gained,
            List.of(),
            List.of(rule)));
  }

  /** The rule's centre as a hand needs it: a line's weight in pixels of this canvas. */
  private String target(Rule rule) {
    Measure measure = rule.measure();
    OptionalDouble pixels = measure.pixels(rule.centre(), redraw);
    if (pixels.isPresent()) {
      double width = pixels.getAsDouble();
      return Wording.number(width, width < 100 ? 1 : 0);
    }
    return Wording.number(measure.unit(), rule.centre());
  }

  private static Part part(Measure measure) {
    return switch (measure.group()) {
      case LINE -> Part.LINE;
      case COLOUR -> Part.COLOURS;
      case PART -> Part.PARTS;
      case EDGE -> Part.EDGES;
      default -> Part.VALUES;
    };
  }

  private Optional<Double> points(Evidence evidence) {
    return scorer.overall(evidence.marks().view(), MeasureCatalogue.readAll(evidence), house);
  }
}
