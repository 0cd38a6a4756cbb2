package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Acts;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Fix.Direction;
import penmirror.core.scoring.Score;
import penmirror.core.style.Rule;
import penmirror.core.telling.FixWords;
import penmirror.demoart.studio.Commission;

/**
 * Attempts with three slips each, drawn at random over twenty kinds: what is said first must be
 * what was spoilt, in the right direction. Nothing was settled on these pictures. The limits are
 * what so few as are tried in every run can tell of the figures in docs/scoring.md.
 */
class RandomAttemptsTest {
  /** Sixty in all with {@code -Dattempts=60}; fewer in every run, as each is drawn and read. */
  private static final int ATTEMPTS = Integer.getInteger("attempts", 8);

  private static final int FIRST = 5;
  private static final long SEED = 7_771;

  /**
   * What came of one slip.
   *
   * @param isRead whether an act it belongs to can be read at all in that pose: a hand on the hip
   *     has no length
   */
  private record Found(String slip, boolean isRead, int place, boolean rightWay) {
    boolean isAmongFirst() {
      return place >= 0 && place < FIRST;
    }
  }

  @Test
  void whatWasSpoiltIsAmongWhatIsSaidFirst() {
    List<RandomSlips.Attempt> attempts = RandomSlips.attempts(ATTEMPTS, SEED);
    List<Found> all =
        attempts.parallelStream().flatMap(attempt -> found(attempt).stream()).toList();
    List<Found> found = all.stream().filter(Found::isRead).toList();
    long among = found.stream().filter(Found::isAmongFirst).count();
    long right = found.stream().filter(f -> f.isAmongFirst() && f.rightWay()).count();
    System.out.printf(
        "slips: %d of %d among the first %d, %d in the right direction; %d not to be read%n",
        among, found.size(), FIRST, right, all.size() - found.size());
    found.stream()
        .filter(f -> !f.isAmongFirst() || !f.rightWay())
        .forEach(f -> System.out.printf("  missed: %s, place %d%n", f.slip(), f.place() + 1));
    assertThat(among / (double) found.size()).isGreaterThanOrEqualTo(0.7);
    assertThat(right / (double) among).isGreaterThanOrEqualTo(0.95);
  }

  @Test
  void withoutASlipThereIsLittleToSay() {
    List<RandomSlips.Attempt> attempts = RandomSlips.attempts(ATTEMPTS, SEED);
    attempts = attempts.subList(0, Math.max(4, attempts.size() / 2));
    int inside = 0;
    int most = 0;
    for (RandomSlips.Attempt attempt : attempts) {
      Commission plain = RandomSlips.drawnWith(attempt.commission(), List.of());
      Score score = RandomSlips.score(attempt.hand(), plain);
      inside += score.belongs().orElse(false) ? 1 : 0;
      long large = score.fixes().stream().filter(fix -> fix.pointsGained() > 1.5).count();
      most = Math.max(most, (int) large);
      if (large > 1 || !score.belongs().orElse(false)) {
        System.out.printf(
            "  %s %s: %.1f, from %.1f%n",
            attempt.hand().name(),
            plain.title(),
            score.byRules().orElseThrow(),
            score.ownByRules().orElseThrow().belongsFrom());
        score.fixes().stream()
            .limit(3)
            .forEach(
                fix ->
                    System.out.printf(
                        "    %s +%.1f %s%n", fix.key(), fix.pointsGained(), FixWords.miss(fix)));
      }
    }
    System.out.printf(
        "without slips: %d of %d inside the own range, at most %d fixes over 1.5 points%n",
        inside, attempts.size(), most);
    assertThat(inside / (double) attempts.size()).isGreaterThanOrEqualTo(0.9);
  }

  private static List<Found> found(RandomSlips.Attempt attempt) {
    Score score = RandomSlips.score(attempt.hand(), attempt.commission());
    List<Fix> fixes = score.fixes();
    List<Found> found = new ArrayList<>();
    for (RandomSlips.Planted planted : attempt.planted()) {
      Set<String> acts = Set.of(planted.kind().acts());
      boolean isRead =
          score.measured().stream()
              .anyMatch(act -> acts.contains(act.act().key()) && act.credit().isPresent());
      int place = -1;
      boolean right = false;
      for (int i = 0; i < fixes.size() && place < 0; i++) {
        boolean goesAlong = fixes.get(i).along().stream().anyMatch(act -> acts.contains(act.key()));
        if (goesAlong) {
          place = i;
          right = runsRight(fixes.get(i), planted);
        } else if (acts.contains(fixes.get(i).act().key())) {
          place = i;
          boolean isTurned =
              fixes.get(i).rules().stream()
                  .findFirst()
                  .filter(RandomAttemptsTest::isTurned)
                  .isPresent();
          // An act that tells the same by another reading may run the other way.
          right =
              !fixes.get(i).act().key().equals(planted.kind().acts()[0])
                  || (fixes.get(i).direction() == wanted(planted)) != isTurned;
        }
      }
      String first =
          fixes.stream().limit(FIRST).map(Fix::key).reduce((a, b) -> a + " " + b).orElse("none");
      found.add(
          new Found(
              attempt.hand().name()
                  + " "
                  + attempt.commission().fileName()
                  + " "
                  + planted.slip().words()
                  + " (said: "
                  + first
                  + ")",
              isRead,
              place,
              right));
    }
    return found;
  }

  /**
   * What is done in one go with another thing has a way of its own; what comes right by the other's
   * moves has none.
   */
  private static boolean runsRight(Fix fix, RandomSlips.Planted planted) {
    String lead = planted.kind().acts()[0];
    return fix.measured().stream()
        .filter(
            change ->
                Acts.of(change.score().rule().measure())
                    .filter(act -> act.key().equals(lead))
                    .isPresent())
        .findFirst()
        .map(change -> change.direction() == wanted(planted))
        .orElse(true);
  }

  private static Direction wanted(RandomSlips.Planted planted) {
    return planted.raised() == (planted.kind().raised() == Direction.LESS)
        ? Direction.LESS
        : Direction.MORE;
  }

  /** An ear whose top sinks is told as too small: that reading runs against the parameter. */
  private static boolean isTurned(Rule rule) {
    return rule.measure() == FaceMeasures.EAR_SIZE;
  }
}
