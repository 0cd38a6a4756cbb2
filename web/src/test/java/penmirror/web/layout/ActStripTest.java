package penmirror.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

class ActStripTest {
  private static final Rule RULE = rule();

  private static Rule rule() {
    List<MeasuredWork> works = new ArrayList<>();
    for (double eyes : new double[] {0.60, 0.61, 0.60, 0.62, 0.61}) {
      works.add(
          new MeasuredWork(
              "" + eyes, "", "", View.FRONT, Map.of(FaceMeasures.EYE_LINE, eyes), List.of()));
    }
    return StyleSheet.of("A hand", View.FRONT, works).rule(FaceMeasures.EYE_LINE).orElseThrow();
  }

  private static ActStrip.Entry at(double tolerances) {
    return new ActStrip.Entry(RULE.centre() + tolerances * RULE.tolerance(), "Work", "/work", "1");
  }

  /** The band is always as wide: one tolerance to its edge, whatever the measure. */
  @Test
  void theEdgeOfTheBandIsOneToleranceOff() {
    ActStrip strip =
        ActStrip.of(RULE, List.of(at(0), at(1), at(-1)), Optional.empty(), Optional.empty());
    assertThat(strip.dots()).extracting(ActStrip.Dot::x).containsExactly("66.0", "88.0", "44.0");
    assertThat(strip.dots()).noneMatch(ActStrip.Dot::outside);
  }

  @Test
  void whatLiesFarOffIsHeldAtTheEndAndMarkedOutside() {
    ActStrip strip =
        ActStrip.of(
            RULE,
            List.of(at(40), at(-1.5)),
            Optional.of(RULE.centre() - 40 * RULE.tolerance()),
            Optional.of(RULE.centre()));
    assertThat(strip.dots().get(0).x()).isEqualTo("127.0");
    assertThat(strip.dots()).allMatch(ActStrip.Dot::outside);
    assertThat(strip.own().orElseThrow().beyond()).isEqualTo(-1);
    assertThat(strip.realistic().orElseThrow().beyond()).isZero();
    assertThat(strip.realistic().orElseThrow().x()).isEqualTo("66.0");
  }

  /** Works that read alike stand over each other and not on each other. */
  @Test
  void equalWorksStepAside() {
    ActStrip strip =
        ActStrip.of(RULE, List.of(at(0), at(0), at(0)), Optional.empty(), Optional.empty());
    assertThat(strip.dots().stream().map(ActStrip.Dot::y).distinct()).hasSize(3);
  }
}
