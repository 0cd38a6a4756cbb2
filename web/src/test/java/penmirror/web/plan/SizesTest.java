package penmirror.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.region.LimbMeasures;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class SizesTest {
  private static final Canvas CANVAS = new Canvas(2400, 3200);

  /** The realistic adult: a face three quarters as wide as high, eyes a fifth of the face. */
  @Test
  void sizesAreThoseOfTheRulesInPixels() {
    StyleSheet adult =
        StyleSheet.of(
            "The adult",
            View.FRONT,
            List.of(
                MeasuredWork.of(
                    "1", "Work", "", new Evidence(Canon.realistic(), Optional.empty()))));
    GuidePlan plan = GuidePlan.of(adult, CANVAS);
    List<Sizes.Size> sizes = Sizes.of(plan);
    double face = 0.75 * plan.headPixels();
    assertThat(sizes)
        .contains(new Sizes.Size("face", rounded(face), rounded(face / 2)))
        // Five eyes across the face: the gap is an eye wide.
        .contains(
            new Sizes.Size(
                "eye", rounded(0.2 * face), rounded(0.1 * face) + "\u2013" + rounded(0.3 * face)))
        .filteredOn(size -> size.name().equals("brow"))
        .extracting(Sizes.Size::fromMiddle)
        .containsExactly("");
    assertThat(sizes)
        .extracting(Sizes.Size::name)
        .containsSubsequence("hair", "face", "brow", "eye", "nose", "mouth", "shoulders", "hips");
    ResourceBundle messages = ResourceBundle.getBundle("messages");
    for (Sizes.Size size : sizes) {
      assertThat(messages.containsKey("plan.size." + size.name())).as(size.name()).isTrue();
    }
  }

  /** Limbs are as thick on the canvas as they are ruled in heads. */
  @Test
  void limbsStandAcross() {
    MeasuredWork adult =
        MeasuredWork.of("1", "Work", "", new Evidence(Canon.realistic(), Optional.empty()));
    Map<Measure, Double> values = new LinkedHashMap<>(adult.values());
    values.put(LimbMeasures.FOREARM, 0.25);
    values.put(LimbMeasures.CALF, 0.4);
    MeasuredWork thick = new MeasuredWork("1", "Work", "", View.FRONT, values, List.of());
    StyleSheet sheet = StyleSheet.of("Thick", View.FRONT, List.of(thick, thick, thick));
    GuidePlan plan = GuidePlan.of(sheet, CANVAS);
    assertThat(Sizes.of(plan))
        .contains(
            new Sizes.Size("forearm", rounded(0.25 * plan.headPixels()), ""),
            new Sizes.Size("calf", rounded(0.4 * plan.headPixels()), ""));
  }

  private static String rounded(double pixels) {
    return Long.toString(Math.round(pixels));
  }

  @Test
  void whatIsNotRuledHasNoRow() {
    StyleSheet empty = StyleSheet.of("Nothing", View.FRONT, List.of());
    assertThat(Sizes.of(GuidePlan.of(empty, CANVAS))).isEmpty();
  }
}
