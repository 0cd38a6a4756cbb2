package penmirror.demoart.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.measure.Findings;
import penmirror.core.measure.face.IrisReader;
import penmirror.core.raster.Picture;
import penmirror.demoart.manner.Habits;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** What is read in irises against what was drawn there. */
class IrisTruthTest {
  private static final double SCALE = 0.7;

  /** OKLab lightness by which a ring stands out. */
  private static final double RINGED = 0.1;

  /** An iris that was read, and what was drawn. */
  private record Both(IrisReader.Iris read, Illustration drawn) {
    double drawn(Parameter parameter) {
      return drawn.parameters().get(parameter);
    }

    boolean isRinged() {
      return drawn.commission().manner().habits().eyes() == Habits.Eyes.RINGED;
    }
  }

  /** Every work of three hands, drawn by turns with one of several builds of the iris. */
  private static List<Both> irises() {
    List<Map<Parameter, Double>> builds =
        List.of(
            Map.of(Parameter.EYE_LIGHTS, 0.0, Parameter.IRIS_RING, 0.0),
            Map.of(Parameter.EYE_LIGHTS, 1.0, Parameter.EYE_LIGHT_SIZE, 0.2),
            Map.of(Parameter.EYE_LIGHTS, 2.0, Parameter.EYE_LIGHT_SIZE, 0.3),
            Map.of(Parameter.IRIS_GLOW, 0.9, Parameter.IRIS_RING, 0.3),
            Map.of(Parameter.IRIS_GLOW, 0.0, Parameter.IRIS_RING, 0.2));
    List<Both> all = new ArrayList<>();
    int turn = 0;
    for (DemoStudio.Folder hand :
        List.of(DemoStudio.odileMarrow(), DemoStudio.casimirThole(), DemoStudio.inesVantour())) {
      for (Commission work : hand.sources()) {
        Map<Parameter, Double> build = builds.get(turn++ % builds.size());
        Illustration drawn =
            Illustration.of(work.drawnBy(work.manner().with(work.manner().name(), build)), SCALE);
        for (IrisReader.Iris read :
            IrisReader.find(Picture.from(drawn.image()), drawn.marks(), new Findings())) {
          all.add(new Both(read, drawn));
        }
      }
    }
    return all;
  }

  @Test
  void irisesAreReadAsTheyWereDrawn() {
    List<Both> all = irises();
    assertThat(all).hasSizeGreaterThan(20);
    int counted = 0;
    int sized = 0;
    int sizes = 0;
    int rims = 0;
    int rimsSeen = 0;
    for (Both both : all) {
      int lights = both.read().lights().size();
      counted += lights == Math.round(both.drawn(Parameter.EYE_LIGHTS)) ? 1 : 0;
      if (lights > 0 && both.drawn(Parameter.EYE_LIGHTS) > 0) {
        double over = both.read().lights().get(0).radii() / both.drawn(Parameter.EYE_LIGHT_SIZE);
        sizes++;
        sized += Math.abs(over - 1) <= 0.2 ? 1 : 0;
      }
      if (both.isRinged() && both.read().ring().isPresent()) {
        rimsSeen++;
        boolean isRinged = both.read().ring().getAsDouble() > RINGED;
        rims += isRinged == both.drawn(Parameter.IRIS_RING) > 0.1 ? 1 : 0;
      }
    }
    System.out.printf(
        "irises: lights counted right in %d of %d, %d of %d as large within a fifth%n",
        counted, all.size(), sized, sizes);
    System.out.printf("rims: %d of %d told%n", rims, rimsSeen);
    assertThat(counted).isGreaterThanOrEqualTo((int) (0.9 * all.size()));
    assertThat(sized).isGreaterThanOrEqualTo((int) (0.9 * sizes));
    assertThat(rims).isGreaterThanOrEqualTo((int) (0.9 * rimsSeen));
  }

  /** The same eyes with more glow are read as lighter below. */
  @Test
  void glowIsReadWhereItWasDrawn() {
    for (Commission work : DemoStudio.inesVantour().sources()) {
      if (work.cut() == Cut.FACE) {
        double dull = glow(work, 0);
        double some = glow(work, 0.4);
        double much = glow(work, 0.9);
        assertThat(some).as(work.title()).isGreaterThan(dull + 0.01);
        assertThat(much).as(work.title()).isGreaterThan(some + 0.01);
      }
    }
  }

  private static double glow(Commission work, double strength) {
    Manner manner = work.manner().with(work.manner().name(), Map.of(Parameter.IRIS_GLOW, strength));
    Illustration drawn = Illustration.of(work.drawnBy(manner), SCALE);
    return IrisReader.find(Picture.from(drawn.image()), drawn.marks(), new Findings()).stream()
        .mapToDouble(iris -> iris.glow().orElseThrow())
        .average()
        .orElseThrow();
  }
}
