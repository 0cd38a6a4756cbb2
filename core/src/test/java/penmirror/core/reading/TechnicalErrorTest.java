package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.reading.TechnicalError.Pair;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

class TechnicalErrorTest {

  /**
   * The handbooks' formula on differences of 2, 0, 4 and 2 px of a head of 200 px: √(24 / 8) px.
   * See for instance Ulijaszek and Kerr, Anthropometric measurement error, 1999, from memory.
   */
  @Test
  void theFormulaOfTheHandbooks() {
    List<Pair> pairs = new ArrayList<>();
    for (double off : new double[] {2, 0, -4, 2}) {
      pairs.add(new Pair(Canon.realistic(), mouthMoved(off)));
    }
    TechnicalError error = TechnicalError.of(pairs);
    assertThat(error.figures()).isEqualTo(4);
    assertThat(error.heads().get(Landmark.MOUTH_L)).isCloseTo(Math.sqrt(3) / 200, offset(1e-12));
    assertThat(error.heads().get(Landmark.CHIN)).isZero();
    assertThat(error.scaled().get(FaceMeasures.MOUTH_LINE))
        .isCloseTo(Math.sqrt(3) / 200, offset(1e-12));
    assertThat(error.scaled().get(FaceMeasures.EYE_LINE)).isZero();
  }

  /** For two equally good markings the technical error is the spread of one of them. */
  @Test
  void itIsTheSpreadOfOneMarking() {
    Random random = new Random(5);
    List<Pair> pairs = new ArrayList<>();
    double spreadPixels = 3;
    for (int i = 0; i < 2000; i++) {
      pairs.add(new Pair(shaken(random, spreadPixels), shaken(random, spreadPixels)));
    }
    double along =
        TechnicalError.of(pairs).markingError().of(Landmark.NOSE_BASE, Mark.State.PLACED);
    // 2000 pairs know a spread to about 1.6 %; the head's length shakes too.
    assertThat(along).isCloseTo(spreadPixels / 200, offset(0.05 * spreadPixels / 200));
  }

  @Test
  void fewFiguresChangeNothing() {
    TechnicalError two =
        TechnicalError.of(
            List.of(
                new Pair(Canon.realistic(), mouthMoved(9)),
                new Pair(Canon.realistic(), mouthMoved(9))));
    assertThat(two.isEnough()).isFalse();
    assertThat(two.markingError()).isEqualTo(MarkingError.SHIPPED);
  }

  @Test
  void figuresWithoutAHeadAndNoneAtAllSayNothing() {
    Marks headless = Marks.none(View.FRONT).with(Landmark.SOLE, Mark.placed(1, 1));
    assertThat(TechnicalError.of(List.of(new Pair(headless, headless))).heads()).isEmpty();
    assertThat(TechnicalError.of(List.of()).scaled()).isEmpty();
  }

  /** No rule is tighter than one can mark. */
  @Test
  void itIsAFloorOfTolerance() {
    MeasuredWork work =
        MeasuredWork.of("1", "The adult", "", new Evidence(Canon.realistic(), Optional.empty()));
    List<MeasuredWork> works = List.of(work, work, work);
    List<Pair> pairs = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      pairs.add(new Pair(Canon.realistic(), mouthMoved(20)));
    }
    TechnicalError error = TechnicalError.of(pairs);
    Rule plain = StyleSheet.of("x", View.FRONT, works).rule(FaceMeasures.MOUTH_LINE).orElseThrow();
    StyleSheet sheet = StyleSheet.of("x", View.FRONT, works, error.scaled());
    double floor = error.scaled().get(FaceMeasures.MOUTH_LINE);
    assertThat(plain.tolerance()).isLessThan(floor);
    assertThat(sheet.rule(FaceMeasures.MOUTH_LINE).orElseThrow().tolerance()).isEqualTo(floor);
    assertThat(sheet.rule(ProportionMeasures.STATURE).orElseThrow().tolerance())
        .isEqualTo(
            StyleSheet.of("x", View.FRONT, works)
                .rule(ProportionMeasures.STATURE)
                .orElseThrow()
                .tolerance());
    assertThat(sheet.rulesOver(works).rules()).isEqualTo(sheet.rules());
  }

  @Test
  void aMarkingErrorLiesAboveNothing() {
    Assertions.assertThatThrownBy(() -> new MarkingError(Map.of(Landmark.CHIN, 0.0)))
        .hasMessageContaining("above 0");
  }

  private static Marks mouthMoved(double pixels) {
    return Canon.realistic()
        .moved(List.of(Landmark.MOUTH_L, Landmark.MOUTH_R), p -> p.plus(new Point(0, pixels)));
  }

  private static Marks shaken(Random random, double pixels) {
    return Canon.realistic()
        .moved(
            List.of(Landmark.NOSE_BASE),
            p -> p.plus(new Point(pixels * random.nextGaussian(), pixels * random.nextGaussian())));
  }
}
