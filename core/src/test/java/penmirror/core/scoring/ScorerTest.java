package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.act.Acts;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.colour.Swatch.Role;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.move.Move;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.FixWords;

class ScorerTest {
  private static final List<Landmark> LEFT_EYE =
      List.of(
          Landmark.EYE_L_OUTER,
          Landmark.EYE_L_INNER,
          Landmark.EYE_L_TOP,
          Landmark.EYE_L_BOTTOM,
          Landmark.LASH_L_TOP,
          Landmark.IRIS_L_CENTRE,
          Landmark.IRIS_L_EDGE,
          Landmark.IRIS_L_TOP,
          Landmark.PUPIL_L);
  private static final List<Landmark> RIGHT_EYE =
      LEFT_EYE.stream().map(Landmark::mirrored).toList();

  @Test
  void creditIsFullInsideHalfOneToleranceOutside() {
    assertThat(Scorer.credit(0)).isEqualTo(1);
    assertThat(Scorer.credit(-1)).isEqualTo(1);
    assertThat(Scorer.credit(2)).isEqualTo(0.5);
    assertThat(Scorer.credit(-3)).isEqualTo(1 / 16.0);
  }

  @Test
  void theMiddleOfTheStyleScoresFull() {
    Score score = new Scorer(sheet()).score(evidence(Canon.realistic()));
    assertThat(score.byRules().orElseThrow()).isCloseTo(100, offset(1e-9));
    assertThat(score.nearest().get(0).share()).isCloseTo(1, offset(1e-9));
    assertThat(score.coverage()).isEqualTo(1);
    assertThat(score.fixes()).isEmpty();
    assertThat(score.belongs()).contains(true);
  }

  /** Works that all score full leave no room below, but for what a sum rounds away. */
  @Test
  void roundingPutsNobodyOutsideTheirRange() {
    Score.OwnRange tight = new Score.OwnRange(100, 100, 100, 0);
    assertThat(tight.belongsFrom()).isEqualTo(100);
    assertThat(tight.holds(100 - 1e-12)).isTrue();
    assertThat(tight.holds(99.9)).isFalse();
  }

  /** Rules of line and colour stand unasked as long as no pixels are read. */
  @Test
  void rightPointsAloneDoNotBelong() {
    Marks middle = Canon.realistic();
    Scorer scorer = new Scorer(sheet());
    Score points = scorer.score(new Evidence(middle, Optional.empty()));
    Score whole = scorer.score(evidence(middle));
    assertThat(points.holdsFigure()).isEmpty();
    assertThat(points.belongs()).isNotEqualTo(Optional.of(true));
    assertThat(whole.belongs()).contains(true);
  }

  @Test
  void nothingMeasuredIsNoScore() {
    Score score = new Scorer(sheet()).score(new Evidence(Marks.none(View.FRONT), Optional.empty()));
    assertThat(score.overall()).isEmpty();
    assertThat(score.interval()).isEmpty();
    assertThat(score.coverage()).isZero();
  }

  @Test
  void whatIsHiddenLowersTheCoverageAndNotTheScore() {
    Marks noMouth =
        Canon.realistic()
            .with(Landmark.MOUTH_L, Mark.hidden())
            .with(Landmark.MOUTH_R, Mark.hidden());
    Score score = new Scorer(sheet()).score(evidence(noMouth));
    assertThat(score.byRules().orElseThrow()).isCloseTo(100, offset(1e-9));
    double all = score.acts().stream().mapToDouble(ScorerTest::heaviest).sum();
    double mouth =
        score.acts().stream()
            .filter(act -> act.act().key().equals("mouth"))
            .mapToDouble(ScorerTest::heaviest)
            .sum();
    assertThat(mouth).isPositive();
    assertThat(score.coverage()).isCloseTo(1 - mouth / all, offset(1e-9));
  }

  @Test
  void byRulesItIsTheWeightedMeanOfTheActs() {
    Score score = new Scorer(sheet()).score(evidence(eyesUp(20)));
    double weight = 0;
    double sum = 0;
    for (ActScore act : score.acts()) {
      // Each act: its readings by their weights, and as heavy as the heaviest of them.
      double weights = act.rules().stream().mapToDouble(r -> r.rule().weight()).sum();
      double credits =
          act.rules().stream().mapToDouble(r -> r.rule().weight() * r.credit().orElseThrow()).sum();
      weight += heaviest(act);
      sum += heaviest(act) * credits / weights;
    }
    assertThat(score.byRules().orElseThrow()).isCloseTo(100 * sum / weight, offset(1e-9));
    double near = (score.nearest().get(0).share() + score.nearest().get(1).share()) / 2;
    double points = (100 * sum / weight + 100 * near) / 2;
    assertThat(score.houseColours()).as("no colours were read").isEmpty();
    assertThat(score.overall().orElseThrow()).isCloseTo(points, offset(1e-9));
    Score.Share face = score.groups().get(ActGroup.FACE);
    Score.Share body = score.groups().get(ActGroup.PROPORTION);
    assertThat(face.points() / face.of()).isLessThan(body.points() / body.of());
  }

  private static double heaviest(ActScore act) {
    return act.rules().stream().mapToDouble(r -> r.rule().weight()).max().orElseThrow();
  }

  /** What is shown adds up to the whole, with and without acts that make or break it. */
  @Test
  void groupsAndActsAddUpToTheScore() {
    for (List<Act> few : List.of(List.<Act>of(), List.of(Acts.byKey("eye-height").orElseThrow()))) {
      Score score = new Scorer(sheet().makingOrBreaking(few)).score(evidence(eyesUp(20)));
      double groups = score.groups().values().stream().mapToDouble(Score.Share::points).sum();
      double acts = score.shares().values().stream().mapToDouble(Score.Share::points).sum();
      double of = score.shares().values().stream().mapToDouble(Score.Share::of).sum();
      assertThat(groups).isCloseTo(score.byRules().orElseThrow(), offset(1e-9));
      assertThat(acts).isCloseTo(score.byRules().orElseThrow(), offset(1e-9));
      assertThat(of).isCloseTo(100, offset(1e-9));
    }
  }

  /** What makes or breaks it holds fifty of the hundred, however many other acts there are. */
  @Test
  void theFewShareHalf() {
    Act eyes = Acts.byKey("eye-height").orElseThrow();
    Score score = new Scorer(sheet().makingOrBreaking(List.of(eyes))).score(evidence(eyesUp(20)));
    assertThat(score.shares().get(eyes).of()).isCloseTo(50, offset(1e-9));
    double plain = new Scorer(sheet()).score(evidence(eyesUp(20))).byRules().orElseThrow();
    assertThat(score.byRules().orElseThrow()).isLessThan(plain);
  }

  /** Eyes drawn 20 px too high and 18 % too large come back as just that, in pixels. */
  @Test
  void theFixUndoesTheSlip() {
    Marks slipped = eyesUp(20);
    for (List<Landmark> eye : List.of(LEFT_EYE, RIGHT_EYE)) {
      Point centre =
          slipped
              .point(eye.get(0))
              .orElseThrow()
              .midpointTo(slipped.point(eye.get(1)).orElseThrow());
      slipped = slipped.moved(eye, p -> centre.plus(p.minus(centre).times(1.3)));
    }
    Score score = new Scorer(sheet()).score(evidence(slipped));
    List<Fix> two = score.fixes().subList(0, 2);
    assertThat(two.stream().map(Fix::key))
        .containsExactlyInAnyOrder("eye-height.more", "eye-size.less");
    List<String> words = two.stream().map(FixWords::instruction).toList();
    assertThat(words).anyMatch(text -> text.startsWith("Lower both eyes 20 px"));
    assertThat(words).anyMatch(text -> text.contains("0.77"));
    assertThat(two.stream().map(FixWords::miss)).anyMatch(text -> text.matches("eyes .*high"));
    // Done together they put every point of the eyes back where it was.
    Marks corrected = slipped;
    for (Fix fix : two) {
      assertThat(fix.pointsGained()).isPositive();
      for (Move.Step move : fix.steps()) {
        corrected =
            corrected.moved(
                List.of(move.landmark()), p -> p.plus(new Point(move.dxPixels(), move.dyPixels())));
      }
    }
    for (Landmark landmark : LEFT_EYE) {
      assertThat(corrected.require(landmark).distanceTo(Canon.realistic().require(landmark)))
          .as(landmark.key())
          .isLessThan(0.5);
    }
    assertThat(score.mended().orElseThrow().all()).isCloseTo(100, offset(1.0));
  }

  @Test
  void applyingAFixWinsThePointsItPromises() {
    Marks slipped = eyesUp(25).with(Landmark.SOLE, Mark.placed(300, 1850));
    Scorer scorer = new Scorer(sheet());
    Score before = scorer.score(evidence(slipped));
    assertThat(before.fixes()).hasSizeGreaterThanOrEqualTo(2);
    for (Fix fix : before.fixes()) {
      Marks corrected = slipped;
      for (Move.Step move : fix.steps()) {
        corrected =
            corrected.moved(
                List.of(move.landmark()), p -> p.plus(new Point(move.dxPixels(), move.dyPixels())));
      }
      assertThat(
              scorer.score(evidence(corrected)).byRules().orElseThrow()
                  - before.byRules().orElseThrow())
          .as(fix.key())
          .isCloseTo(fix.pointsGained(), offset(1e-6));
    }
    assertThat(before.fixes())
        .isSortedAccordingTo((a, b) -> Double.compare(b.pointsGained(), a.pointsGained()));
  }

  /** Done together the fixes win what scoring them together says, and never more than there is. */
  @Test
  void whatIsMendedIsScoredAgain() {
    Score score = new Scorer(sheet()).score(evidence(eyesUp(25)));
    Score.Mended mended = score.mended().orElseThrow();
    assertThat(mended.all()).isGreaterThan(score.byRules().orElseThrow()).isLessThanOrEqualTo(100);
    assertThat(mended.firstThree()).isGreaterThan(score.byRules().orElseThrow());
    assertThat(
            new Scorer(sheet())
                .score(new Evidence(Marks.none(View.FRONT), Optional.empty()))
                .mended())
        .isEmpty();
  }

  @Test
  void aThinLineIsTurnedIntoABrushSize() {
    Score score =
        new Scorer(sheet())
            .score(new Evidence(Canon.realistic(), Optional.of(pixels(2.4, Optional.of(0.2)))));
    Fix fix = score.fixes().get(0);
    assertThat(fix.act().key()).isEqualTo("line-weight");
    assertThat(FixWords.instruction(fix)).isEqualTo("Thicken the line to 4.0 px");
  }

  /** A line too thin to be read is known to be too thin for a rule of four pixels. */
  @Test
  void aHairlineIsAMissWhereTheRuleIsWiderAndSaysNothingWhereItIsNot() {
    Score thin = new Scorer(sheet()).score(hairlines(Canon.realistic()));
    RuleScore line = ruleOf(thin, LineMeasures.WIDTH);
    assertThat(line.z().orElseThrow()).isLessThan(-1);
    assertThat(line.credit().orElseThrow()).isLessThan(1);
    assertThat(line.misses()).isTrue();
    assertThat(line.reading()).isEmpty();
    assertThat(FixWords.instruction(thin.fixes().get(0))).isEqualTo("Thicken the line to 4.0 px");

    // On a figure of half the size two pixels are what the rule asks for.
    Marks half = Canon.realistic().moved(List.of(Landmark.values()), p -> p.times(0.45));
    RuleScore small = ruleOf(new Scorer(sheet()).score(hairlines(half)), LineMeasures.WIDTH);
    assertThat(small.credit()).isEmpty();
    assertThat(small.z()).isEmpty();
  }

  private static Evidence hairlines(Marks marks) {
    return new Evidence(
        marks,
        Optional.of(
            new PixelReadings(
                1,
                600,
                1700,
                250_000,
                Map.of(ShadeMeasures.VALUE_RANGE.key(), Estimate.withoutError(0.7)),
                Map.of(LineMeasures.WIDTH.key(), NoReading.Reason.HAIRLINE),
                List.of(),
                List.of(),
                List.of())));
  }

  private static RuleScore ruleOf(Score score, Measure measure) {
    return score.rules().stream()
        .filter(rule -> rule.rule().measure() == measure)
        .findFirst()
        .orElseThrow();
  }

  /** What is not known of a reading is not taken for exact; the interval says of how many. */
  @Test
  void theIntervalTellsHowManyErrorsAreUnknown() {
    Score score =
        new Scorer(sheet())
            .score(new Evidence(Canon.realistic(), Optional.of(pixels(4, Optional.of(0.2)))));
    long unknown =
        score.rules().stream()
            .filter(rule -> rule.rule().isScored())
            .flatMap(rule -> rule.reading().stream())
            .filter(reading -> reading.standardError().isEmpty())
            .count();
    assertThat(unknown).isPositive();
    assertThat(score.interval().orElseThrow().unshaken()).isEqualTo((int) unknown);
  }

  @Test
  void noLineInAStyleOfLinesIsAMissAndNotAGap() {
    Score score =
        new Scorer(sheet())
            .score(new Evidence(Canon.realistic(), Optional.of(pixels(0, Optional.empty()))));
    RuleScore line =
        score.rules().stream()
            .filter(r -> r.rule().measure() == LineMeasures.WIDTH)
            .findFirst()
            .orElseThrow();
    assertThat(line.credit()).contains(0.0);
    assertThat(score.coverage()).isEqualTo(1);
    assertThat(score.overall().orElseThrow()).isLessThan(95);
  }

  @Test
  void theSameRedrawScoresTheSameTwice() {
    Score once = new Scorer(sheet()).score(evidence(eyesUp(18)));
    Score again = new Scorer(sheet()).score(evidence(eyesUp(18)));
    assertThat(again).isEqualTo(once);
    assertThat(once.interval().orElseThrow().low())
        .isLessThanOrEqualTo(once.interval().orElseThrow().high());
  }

  /** What pages show is the whole score; only how sure it is was not worked out. */
  @Test
  void withoutTheIntervalAllElseIsTheSame() {
    Scorer scorer = new Scorer(sheet());
    Score whole = scorer.score(evidence(eyesUp(18)));
    Score judged = scorer.judged(evidence(eyesUp(18)), Map.of(), act -> false);
    assertThat(judged.interval()).isEmpty();
    assertThat(whole.interval()).isPresent();
    assertThat(judged.within(whole.interval().get())).isEqualTo(whole);
  }

  @Test
  void worksScoredAgainstEachOtherReachHigherThanAStranger() {
    Score stranger =
        new Scorer(sheet()).score(evidence(eyesUp(40).with(Landmark.SOLE, Mark.placed(300, 2400))));
    assertThat(stranger.own().orElseThrow().median()).isGreaterThan(85);
    assertThat(stranger.belongs()).contains(false);
  }

  @Test
  void widthsAreOutOfScopeInAnotherView() {
    Score score = new Scorer(sheet()).score(evidence(Canon.realistic().withView(View.SIDE)));
    assertThat(score.rules())
        .noneMatch(r -> r.rule().measure().comparison() == Measure.Comparison.SAME_VIEW);
    assertThat(score.coverage()).isEqualTo(1);
  }

  @Test
  void alignmentOfAMarkedFigureWithItselfLeavesNothing() {
    LandmarkAlignment self =
        LandmarkAlignment.of(Canon.realistic(), Canon.realistic()).orElseThrow();
    assertThat(self.redrawToSource().scale()).isCloseTo(1, offset(1e-12));
    assertThat(self.residuals().get(0).heads()).isLessThan(1e-9);
    assertThat(LandmarkAlignment.of(Canon.realistic(), Marks.none(View.FRONT))).isEmpty();
    LandmarkAlignment off =
        LandmarkAlignment.of(
                Canon.realistic(),
                Canon.realistic().with(Landmark.NOSE_BASE, Mark.placed(340, 246)))
            .orElseThrow();
    assertThat(off.residuals().get(0).landmark()).isEqualTo(Landmark.NOSE_BASE);
  }

  /**
   * Eyes moved up as one: by the eyes they lie on each other, and the rest of the face lies off.
   */
  @Test
  void byTheEyesTheRestOfTheFaceLiesOff() {
    LandmarkAlignment byEyes =
        LandmarkAlignment.of(Canon.realistic(), eyesUp(20), LandmarkAlignment.By.EYES)
            .orElseThrow();
    assertThat(byEyes.redrawToSource().scale()).isCloseTo(1, offset(1e-9));
    double head = Canon.realistic().headFrame().orElseThrow().headPixels();
    for (LandmarkAlignment.Residual residual : byEyes.residuals()) {
      boolean isEye =
          LEFT_EYE.contains(residual.landmark()) || RIGHT_EYE.contains(residual.landmark());
      assertThat(residual.heads())
          .as(residual.landmark().key())
          .isCloseTo(isEye ? 0 : 20 / head, offset(1e-9));
    }
    assertThat(
            LandmarkAlignment.of(
                Canon.realistic(), Marks.none(View.FRONT), LandmarkAlignment.By.HEAD))
        .isEmpty();
  }

  private static Marks eyesUp(double pixels) {
    return Canon.realistic()
        .moved(LEFT_EYE, p -> p.plus(new Point(0, -pixels)))
        .moved(RIGHT_EYE, p -> p.plus(new Point(0, -pixels)));
  }

  private static Evidence evidence(Marks marks) {
    return new Evidence(marks, Optional.of(pixels(4, Optional.of(0.2))));
  }

  private static PixelReadings pixels(double lineWidth, Optional<Double> lightness) {
    Map<String, Estimate> estimates = new HashMap<>();
    Map<String, Reason> absences = new HashMap<>();
    estimates.put(ShadeMeasures.VALUE_RANGE.key(), Estimate.withoutError(0.7));
    if (lightness.isPresent()) {
      estimates.put(LineMeasures.WIDTH.key(), Estimate.of(lineWidth, 0.02));
      estimates.put(LineMeasures.DARKNESS.key(), Estimate.withoutError(lightness.get()));
    } else {
      absences.put(LineMeasures.WIDTH.key(), Reason.NO_LINES);
      absences.put(LineMeasures.DARKNESS.key(), Reason.NO_LINES);
    }
    List<Swatch> swatches = List.of(new Swatch(new OkLab(0.7, 0.02, 0.03), 0.8, Role.UNNAMED));
    return new PixelReadings(
        1, 600, 1700, 250_000, estimates, absences, swatches, List.of(), List.of());
  }

  /** Eight works about the realistic adult, shaken a little in pairs so that the medians stay. */
  private static StyleSheet sheet() {
    Random random = new Random(4);
    List<MeasuredWork> works = new ArrayList<>();
    works.add(MeasuredWork.of("0", "Work 0", "", evidence(Canon.realistic())));
    for (int pair = 0; pair < 4; pair++) {
      double line = 0.02 * random.nextGaussian();
      double mouth = 2 * random.nextGaussian();
      for (int sign : new int[] {1, -1}) {
        Marks marks =
            Canon.realistic()
                .moved(
                    List.of(Landmark.MOUTH_L, Landmark.MOUTH_R),
                    p -> p.plus(new Point(0, sign * mouth)));
        works.add(
            MeasuredWork.of(
                "" + works.size(),
                "Work",
                "",
                new Evidence(
                    marks, Optional.of(pixels(4 * Math.exp(sign * line), Optional.of(0.2))))));
      }
    }
    return StyleSheet.of("The adult", View.FRONT, works);
  }
}
