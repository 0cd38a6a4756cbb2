package penmirror.demoart.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.statistics.Sample;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;
import penmirror.demoart.studio.Hands;

/** Turn and far eye of heads whose turn is known, by their marks. */
class TurnTruthTest {
  private static final double[] TURNS = {18, 24, 31, 38, 44};

  private static DrawnWork drawn(Manner manner, double turn, double farEye) {
    Commission base =
        DemoStudio.odileMarrow().sources().stream()
            .filter(work -> work.view() == View.THREE_QUARTER)
            .findFirst()
            .orElseThrow();
    Manner turned =
        manner.with(manner.name(), Map.of(Parameter.TURN, turn, Parameter.FAR_EYE, farEye));
    return DrawnWork.of(
        new Commission(
            "turned.png",
            "Turned",
            new Manner(
                turned.name(),
                turned.centre(),
                Map.of(),
                turned.shading(),
                turned.hatching(),
                turned.habits()),
            base.subject(),
            base.palette(),
            base.pose(),
            View.THREE_QUARTER,
            base.cut(),
            base.mood(),
            false,
            base.seed(),
            List.of()),
        0.4);
  }

  @Test
  void theTurnIsReadWithinSixDegrees() {
    List<Double> errors = new ArrayList<>();
    int within = 0;
    for (Manner hand : List.of(Hands.ODILE, Hands.CASIMIR, Hands.INES, Hands.OWN)) {
      StringBuilder line = new StringBuilder(hand.name() + ":");
      double before = 0;
      for (double turn : TURNS) {
        double read = TurnMeasures.TURN.valueOf(drawn(hand, turn, 1).truth()).orElseThrow();
        line.append(String.format(" %.0f read %.1f,", turn, read));
        errors.add(read - turn);
        within += Math.abs(read - turn) <= 6 ? 1 : 0;
        assertThat(read).as("%s turned %s", hand.name(), turn).isGreaterThan(before);
        before = read;
      }
      System.out.println(line);
    }
    double[] all = errors.stream().mapToDouble(e -> e).toArray();
    System.out.printf(
        "turn: %d of %d within 6 degrees, median error %.1f%n",
        within, all.length, Sample.of(all).median());
    assertThat(within / (double) all.length).isGreaterThanOrEqualTo(0.5);
  }

  /** Drawn half as wide again, it reads half as wide again, and no other way round. */
  @Test
  void aFarEyeDrawnWiderReadsWider() {
    for (Manner hand : List.of(Hands.ODILE, Hands.CASIMIR, Hands.INES)) {
      double narrow = farEye(drawn(hand, 31, 0.8));
      double wide = farEye(drawn(hand, 31, 1.2));
      assertThat(wide / narrow).as(hand.name()).isBetween(1.4, 1.6);
    }
  }

  private static double farEye(DrawnWork work) {
    return TurnMeasures.FAR_WIDTH.valueOf(work.truth()).orElseThrow();
  }
}
