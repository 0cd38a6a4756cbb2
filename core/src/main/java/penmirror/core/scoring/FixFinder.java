package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.Reading;
import penmirror.core.move.Move;
import penmirror.core.move.MoveSolver;
import penmirror.core.move.Moves;
import penmirror.core.move.Solution;
import penmirror.core.scoring.Fix.Change;
import penmirror.core.style.Rule;

/**
 * Turns misses into what a hand can do: for every act with a reading outside its band, the plain
 * moves that bring its marked readings to their middles and the new values of those from pixels.
 * What it wins is found by scoring the corrected readings again, by the rules.
 */
final class FixFinder {
  private static final int FIRST = 3;

  /** A reading is told first that is at least this far off, of the worst of its act. */
  private static final double NEARLY_WORST = 0.8;

  private final Scorer scorer;
  private final Evidence redraw;
  private final Map<Measure, MeasureResult> results;
  private final List<ActScore> acts;
  private final List<TickScore> ticks;
  private final double points;
  private final double headPixels;

  FixFinder(
      Scorer scorer,
      Evidence redraw,
      Map<Measure, MeasureResult> results,
      ByActs byActs,
      List<TickScore> ticks) {
    this.scorer = scorer;
    this.redraw = redraw;
    this.results = results;
    this.ticks = ticks;
    acts = byActs.acts();
    points = byActs.points().orElse(0.0);
    headPixels = redraw.marks().headFrame().map(HeadFrame::headPixels).orElse(0.0);
  }

  /** An act brought right: the marks after it, and the readings from pixels as they should be. */
  private record Correction(Marks marks, List<Change> changes, double points) {}

  /** Best gain first. Fixes that win nothing are left out. */
  List<Fix> fixes() {
    List<Fix> fixes = new ArrayList<>();
    for (ActScore act : acts) {
      if (act.tick().isPresent()) {
        act.tick().filter(TickScore::misses).ifPresent(tick -> fixes.add(fix(act, tick)));
      } else if (act.misses()) {
        correction(act).ifPresent(correction -> fixes.add(fix(act, correction)));
      }
    }
    fixes.removeIf(fix -> fix.pointsGained() <= 0);
    List<Fix> inOneGo = inOneGo(fixes);
    inOneGo.sort(Comparator.comparingDouble(fix -> -fix.pointsGained()));
    return joined(inOneGo);
  }

  /** What a hand does in one go is one fix, told by what is worth more of it. */
  private List<Fix> inOneGo(List<Fix> fixes) {
    List<Fix> left = new ArrayList<>(fixes);
    left.sort(Comparator.comparingDouble(fix -> -fix.pointsGained()));
    List<Fix> merged = new ArrayList<>();
    while (!left.isEmpty()) {
      Fix first = left.remove(0);
      List<Fix> with = left.stream().filter(other -> areDoneInOneGo(first, other)).toList();
      left.removeAll(with);
      merged.add(with.isEmpty() ? first : merged(first, with));
    }
    return merged;
  }

  private static boolean areDoneInOneGo(Fix one, Fix other) {
    return !one.measured().isEmpty()
        && !other.measured().isEmpty()
        && Acts.areDoneInOneGo(one.rules().get(0).measure(), other.rules().get(0).measure());
  }

  private Fix merged(Fix first, List<Fix> with) {
    List<Change> changes = new ArrayList<>(first.changes());
    List<Act> along = new ArrayList<>();
    for (Fix fix : with) {
      changes.addAll(fix.changes());
      along.add(fix.act());
    }
    double after = pointsOf(redraw.marks(), changes).orElse(points);
    return new Fix(first.act(), first.direction(), changes, along, after - points, List.of());
  }

  /** Nothing moves: the statement is answered as the works do it, and all is scored again. */
  private Fix fix(ActScore act, TickScore tick) {
    Change change = new Change.Stated(tick);
    List<Change> changes = List.of(change);
    double after = pointsOf(redraw.marks(), changes).orElse(points);
    return new Fix(act.act(), change.direction(), changes, List.of(), after - points, List.of());
  }

  /** What the rules give once fixes are done together. */
  Score.Mended mended(List<Fix> fixes) {
    return new Score.Mended(
        together(fixes.subList(0, Math.min(FIRST, fixes.size()))), together(fixes));
  }

  /** Points by the rules once fixes are done together. */
  double together(List<Fix> fixes) {
    Map<Landmark, Point> ways = new LinkedHashMap<>();
    List<Change> changes = new ArrayList<>();
    for (Fix fix : fixes) {
      for (Move.Step step : fix.steps()) {
        ways.merge(step.landmark(), new Point(step.dxPixels(), step.dyPixels()), Point::plus);
      }
      changes.addAll(fix.changes());
    }
    Marks marks = redraw.marks();
    for (Map.Entry<Landmark, Point> way : ways.entrySet()) {
      marks = marks.moved(List.of(way.getKey()), p -> p.plus(way.getValue()));
    }
    return pointsOf(marks, changes).orElse(points);
  }

  /** The plain moves, or the same with what hangs on them, whichever comes closer. */
  private Optional<Correction> correction(ActScore act) {
    Optional<Correction> plain = correction(act, Moves.all());
    boolean carries =
        Moves.carrying().stream()
            .anyMatch(
                move ->
                    !Moves.all().contains(move) && act.act().readings().contains(move.measure()));
    Optional<Correction> carried = carries ? correction(act, Moves.carrying()) : Optional.empty();
    if (plain.isPresent() && carried.isPresent()) {
      return carried.get().points() > plain.get().points() ? carried : plain;
    }
    return plain.or(() -> carried);
  }

  private Optional<Correction> correction(ActScore act, List<Move> moves) {
    Marks marks = redraw.marks();
    List<Change> changes = new ArrayList<>();
    for (Move move : moves) {
      Optional<RuleScore> score =
          act.rules().stream().filter(rule -> rule.rule().measure() == move.measure()).findFirst();
      if (score.isPresent()) {
        Optional<Change.Moved> change = moved(score.get(), move, marks);
        if (change.isPresent()) {
          marks = move.apply(marks, change.get().amount());
          changes.add(change.get());
        }
      }
    }
    for (RuleScore score : act.rules()) {
      Measure measure = score.rule().measure();
      if (measure.isFromPixels() && score.misses()) {
        changes.add(new Change.Redrawn(score, measure.pixels(1, redraw)));
      }
    }
    if (changes.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(new Correction(marks, changes, pointsOf(marks, changes).orElse(points)));
  }

  private Optional<Change.Moved> moved(RuleScore score, Move move, Marks marks) {
    OptionalDouble value = move.measure().valueOf(marks);
    if (score.reading().isEmpty() || value.isEmpty()) {
      return Optional.empty();
    }
    Rule rule = score.rule();
    double z = rule.z(value.getAsDouble());
    if (Math.abs(z) <= 1) {
      return Optional.empty();
    }
    double centre = move.measure().scale().toScale(rule.centre());
    Solution there = MoveSolver.solve(move, marks, centre);
    double edge = Math.copySign(rule.reach(z < 0), z);
    Solution atEdge = MoveSolver.solve(move, marks, centre + edge);
    if (!(there instanceof Solution.Reached reached)
        || !(atEdge instanceof Solution.Reached least)) {
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
        : Optional.of(new Change.Moved(score, move, reached.amount(), least.amount()));
  }

  private Fix fix(ActScore act, Correction correction) {
    List<Change> inOrder = new ArrayList<>();
    correction.changes().stream()
        .filter(Change.Moved.class::isInstance)
        .sorted(Comparator.comparingDouble(change -> -distance(change)))
        .forEach(inOrder::add);
    inOrder.addAll(
        tellingFirst(
            correction.changes().stream().filter(Change.Redrawn.class::isInstance).toList()));
    return new Fix(
        act.act(),
        inOrder.get(0).direction(),
        inOrder,
        List.of(),
        correction.points() - points,
        Move.steps(redraw.marks(), correction.marks()));
  }

  /**
   * In the order in which the act is told, but that the first is one of those that are at least
   * half as far off as the worst: what hardly misses is not what is said.
   */
  private static List<Change> tellingFirst(List<Change> changes) {
    double worst = changes.stream().mapToDouble(FixFinder::distance).max().orElse(0);
    List<Change> ordered = new ArrayList<>(changes);
    changes.stream()
        .filter(change -> distance(change) >= NEARLY_WORST * worst)
        .findFirst()
        .ifPresent(
            first -> {
              ordered.remove(first);
              ordered.add(0, first);
            });
    return ordered;
  }

  private static double distance(Change change) {
    return change instanceof Change.Measured measured
        ? measured.score().z().map(Math::abs).orElse(Double.MAX_VALUE)
        : 0;
  }

  /**
   * An act that comes right by the moves of another is not asked for by itself: raising the eyes
   * mends the thirds of the face too.
   */
  private List<Fix> joined(List<Fix> fixes) {
    List<Fix> joined = new ArrayList<>();
    Set<Act> taken = new HashSet<>();
    for (Fix fix : fixes) {
      if (taken.contains(fix.act())) {
        continue;
      }
      List<Act> along = new ArrayList<>(fix.along());
      if (!fix.steps().isEmpty()) {
        Map<Measure, MeasureResult> after = corrected(moved(fix.steps()), fix.changes());
        for (Fix other : fixes) {
          boolean measured = !other.rules().isEmpty();
          if (measured && other != fix && !taken.contains(other.act()) && isRight(other, after)) {
            along.add(other.act());
          }
        }
      }
      taken.add(fix.act());
      taken.addAll(along);
      joined.add(
          new Fix(
              fix.act(), fix.direction(), fix.changes(), along, fix.pointsGained(), fix.steps()));
    }
    return joined;
  }

  private Marks moved(List<Move.Step> steps) {
    Marks marks = redraw.marks();
    for (Move.Step step : steps) {
      marks =
          marks.moved(
              List.of(step.landmark()), p -> p.plus(new Point(step.dxPixels(), step.dyPixels())));
    }
    return marks;
  }

  private static boolean isRight(Fix fix, Map<Measure, MeasureResult> after) {
    return fix.rules().stream()
        .allMatch(
            rule ->
                Optional.ofNullable(after.get(rule.measure()))
                    .flatMap(MeasureResult::reading)
                    .filter(reading -> Math.abs(rule.z(reading.value())) <= 1)
                    .isPresent());
  }

  private Optional<Double> pointsOf(Marks marks, List<Change> changes) {
    List<TickScore> answered =
        ticks.stream()
            .map(
                tick ->
                    changes.stream().anyMatch(change -> change.score().equals(tick))
                        ? tick.mended()
                        : tick)
            .toList();
    return scorer.byRules(marks.view(), corrected(marks, changes), answered);
  }

  /** All readings as they are after a correction. */
  private Map<Measure, MeasureResult> corrected(Marks marks, List<Change> changes) {
    Map<Measure, MeasureResult> corrected = new LinkedHashMap<>(results);
    if (!marks.equals(redraw.marks())) {
      results.forEach(
          (measure, before) -> {
            if (!measure.isFromPixels() && before.reading().isPresent()) {
              OptionalDouble value = measure.valueOf(marks);
              corrected.put(
                  measure,
                  value.isPresent()
                      ? new Reading(
                          measure,
                          value.getAsDouble(),
                          OptionalDouble.empty(),
                          Reading.Method.MARKED)
                      : NoReading.because(NoReading.Reason.POINTS_IMPOSSIBLE));
            }
          });
    }
    for (Change change : changes) {
      if (change instanceof Change.Redrawn redrawn) {
        Rule rule = redrawn.score().rule();
        corrected.put(
            rule.measure(),
            new Reading(
                rule.measure(), rule.centre(), OptionalDouble.empty(), Reading.Method.FROM_PIXELS));
      }
    }
    return corrected;
  }
}
