package penmirror.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.act.Acts;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.SceneImage;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;

/** The small drawings against the rules they are made from. */
class ActDrawingTest {
  private static final String BLUE = "#2A80A6";

  private static final Map<Measure, Double> RULES =
      Map.of(
          ProportionMeasures.STATURE, 4.2,
          ProportionMeasures.LEGS, 0.42,
          ProportionMeasures.SHOULDERS, 1.2,
          FaceMeasures.EYE_LINE, 0.62,
          FaceMeasures.EYE_WIDTH, 0.25,
          FaceMeasures.EYE_HEIGHT, 0.13,
          FaceMeasures.EYE_SPACING, 0.8,
          LineMeasures.WIDTH, 20.0,
          LineMeasures.OUTLINE_INNER, 1.8);

  private static Optional<Scene> drawn(String act, Map<Measure, Double> rules) {
    return ActDrawing.of(Acts.byKey(act).orElseThrow(), RealAndDrawnTest.sheet(rules));
  }

  private static List<Item.Stroke> strokes(Scene scene) {
    List<Item.Stroke> strokes = new ArrayList<>();
    for (Item item : scene.layers().get(0).items()) {
      if (item instanceof Item.Stroke stroke) {
        strokes.add(stroke);
      }
    }
    return strokes;
  }

  private static List<Outline> blue(String act) {
    return strokes(drawn(act, RULES).orElseThrow()).stream()
        .filter(stroke -> stroke.colour().equals(BLUE))
        .map(Item.Stroke::outline)
        .toList();
  }

  private static double length(Outline line) {
    return line.start().distanceTo(line.pieces().get(0).to());
  }

  @Test
  void aFigureHasATickForEachOfItsHeads() {
    List<Outline> lines = blue("heads-tall");
    double whole = length(lines.get(0));
    List<Double> heights = lines.stream().skip(1).map(line -> line.start().y()).toList();
    assertThat(heights).hasSize(5);
    for (int i = 1; i < heights.size(); i++) {
      assertThat(heights.get(i) - heights.get(i - 1)).isCloseTo(whole / 4.2, within(0.01));
    }
  }

  /** Between crown and chin, that are the highest and the lowest of a head without hair. */
  @Test
  void theEyesStandAsLowAsTheRuleHasThem() {
    double higher = level(0.5);
    double lower = level(0.62);
    assertThat(lower - higher).isBetween(0.08 * 60, 0.14 * 88);
  }

  private static double level(double share) {
    Map<Measure, Double> rules = new HashMap<>(RULES);
    rules.put(FaceMeasures.EYE_LINE, share);
    Item.Stroke last =
        strokes(drawn("eye-height", rules).orElseThrow()).stream()
            .filter(stroke -> stroke.colour().equals(BLUE))
            .findFirst()
            .orElseThrow();
    return last.outline().start().y();
  }

  /** One gap of 0.8 eyes between two eyes: spans are lines with two ends each. */
  @Test
  void eyesAndTheirGapAreAsWideAsTheRules() {
    double gap = length(blue("eye-gap").get(0));
    List<Outline> eyes = blue("eye-size");
    assertThat(eyes).hasSize(6);
    assertThat(length(eyes.get(0))).isCloseTo(length(eyes.get(3)), within(0.1));
    assertThat(gap / length(eyes.get(0))).isCloseTo(0.8, within(0.05));
  }

  @Test
  void theOutlineIsAsMuchHeavierAsTheRule() {
    List<Item.Stroke> lines = strokes(drawn("outline", RULES).orElseThrow());
    double outline = lines.get(0).widthPixels();
    assertThat(outline / lines.get(lines.size() - 1).widthPixels()).isCloseTo(1.8, within(1e-6));
    List<Item.Stroke> even = strokes(drawn("line-weight", RULES).orElseThrow());
    assertThat(even.get(0).widthPixels()).isEqualTo(even.get(even.size() - 1).widthPixels());
  }

  /** Somewhere it is blue, and nothing blue lies beyond its edge. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "heads-tall",
        "legs",
        "arms",
        "feet",
        "shoulders",
        "waist",
        "hands",
        "neck",
        "face-shape",
        "hair-mass",
        "eye-height",
        "eye-size",
        "eye-gap",
        "eye-shape",
        "brows",
        "nose",
        "mouth",
        "thirds",
        "ears"
      })
  void whatItIsAboutIsBlueAndInside(String act) {
    List<Outline> lines = blue(act);
    assertThat(lines).isNotEmpty();
    for (Outline line : lines) {
      for (Point point : List.of(line.start(), line.pieces().get(0).to())) {
        assertThat(point.x()).isBetween(0.0, 88.0);
        assertThat(point.y()).isBetween(0.0, 88.0);
      }
    }
    assertThat(SceneImage.of(drawn(act, RULES).orElseThrow()).getWidth()).isEqualTo(88);
  }

  @Test
  void whatAWorkShowsBetterIsNotDrawn() {
    assertThat(drawn("far-eye", RULES)).isEmpty();
    assertThat(drawn("roundness", RULES)).isEmpty();
    assertThat(drawn("shadow-edge", RULES)).isEmpty();
    assertThat(drawn("line-weight", Map.of(ProportionMeasures.STATURE, 4.2))).isEmpty();
  }
}
