package penmirror.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.assertj.core.data.Percentage.withPercentage;

import java.awt.image.BufferedImage;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.drawing.SceneImage;
import penmirror.core.figure.Canon;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.face.IrisMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.planning.EyeCard.Part;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;

/** The light on a form and the build of an eye, read back from their drawings. */
class CardsTest {
  private static final OkLab SKIN = OkLab.from(EncodedSrgb.fromHex("#F0CBA6"));

  private static LightCard lit(double from, double cover, double edge) {
    return new LightCard(
        from, SKIN, OkLab.from(EncodedSrgb.fromHex("#A06040")), cover, edge, false);
  }

  /** So much of the ball lies in shadow as is said, counted in the drawing. */
  @ParameterizedTest
  @ValueSource(doubles = {0.05, 0.2, 0.35, 0.6})
  void theBallHasTheRuledShareInShadow(double cover) {
    BufferedImage image = SceneImage.of(lit(45, cover, 0).drawn());
    int shadow = 0;
    int light = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth() / 2; x++) {
        int rgb = image.getRGB(x, y);
        if (rgb == 0xFFA06040) {
          shadow++;
        } else if (rgb == 0xFFF0CBA6) {
          light++;
        }
      }
    }
    assertThat(shadow / (double) (shadow + light)).isCloseTo(cover, offset(0.015));
  }

  /** Light from the right leaves the left in shadow, and from above the lower part. */
  @Test
  void theShadowLiesAwayFromTheLight() {
    BufferedImage right = SceneImage.of(lit(90, 0.3, 0).drawn());
    assertThat(right.getRGB(60, 125)).isEqualTo(0xFFA06040);
    assertThat(right.getRGB(215, 125)).isEqualTo(0xFFF0CBA6);
    BufferedImage above = SceneImage.of(lit(0, 0.3, 0).drawn());
    assertThat(above.getRGB(140, 205)).isEqualTo(0xFFA06040);
    assertThat(above.getRGB(140, 50)).isEqualTo(0xFFF0CBA6);
  }

  @Test
  void aSoftBorderIsDrawnSoft() {
    assertThat(tones(lit(90, 0.4, 120))).isGreaterThan(3 * tones(lit(90, 0.4, 0)));
  }

  private static long tones(LightCard card) {
    BufferedImage image = SceneImage.of(card.drawn());
    return IntStream.range(52, 228).map(x -> image.getRGB(x, 125)).distinct().count();
  }

  @Test
  void aStyleWithoutLightHasNoCard() {
    Map<Measure, Double> values = new LinkedHashMap<>();
    values.put(ShadeMeasures.COVER, 0.2);
    values.put(ShadeMeasures.LIGHTNESS_STEP, -0.12);
    assertThat(LightCard.of(sheet(values))).isEmpty();
    values.put(ShadeMeasures.LIGHT_FROM, 315.0);
    LightCard card = LightCard.of(sheet(values)).orElseThrow();
    assertThat(card.fromDegrees()).isCloseTo(315, offset(1e-6));
    assertThat(card.inShadow()).isCloseTo(0.2, offset(1e-9));
    assertThat(card.toLight().x()).isNegative();
  }

  private static StyleSheet sheet(Map<Measure, Double> values) {
    MeasuredWork work =
        new MeasuredWork(
            "1", "", "", View.FRONT, values, List.of(new Swatch(SKIN, 0.4, Swatch.Role.UNNAMED)));
    return StyleSheet.of("A hand", View.FRONT, List.of(work, work, work, work));
  }

  /** Words and drawing tell of one light: clockwise from straight above. */
  @ParameterizedTest
  @CsvSource({
    "0, above",
    "45, the upper right",
    "90, the right",
    "135, the lower right",
    "180, below",
    "225, the lower left",
    "270, the left",
    "315, the upper left",
    "350, above"
  })
  void theLightIsNamedWhereItIsDrawn(double from, String words) {
    Map<Measure, Double> values = new LinkedHashMap<>();
    values.put(ShadeMeasures.COVER, 0.2);
    values.put(ShadeMeasures.LIGHTNESS_STEP, -0.12);
    values.put(ShadeMeasures.LIGHT_FROM, from);
    StyleSheet sheet = sheet(values);
    assertThat(ActWords.sentences(sheet, "light")).containsExactly("Light from " + words + ".");
    Point toward = LightCard.of(sheet).orElseThrow().toLight();
    assertThat(words.contains("right")).isEqualTo(toward.x() > 0.3);
    assertThat(words.contains("left")).isEqualTo(toward.x() < -0.3);
    assertThat(words.contains("above") || words.contains("upper")).isEqualTo(toward.y() < -0.3);
  }

  /** As large on the canvas as the rules say, and drawn only as far as they say something. */
  @Test
  void anEyeIsBuiltAsItIsRuled() {
    MeasuredWork adult =
        MeasuredWork.of("1", "", "", new Evidence(Canon.realistic(), Optional.empty()));
    StyleSheet sheet = StyleSheet.of("A hand", View.FRONT, List.of(adult, adult, adult));
    GuidePlan plan = GuidePlan.of(sheet, new Canvas(2400, 3200));
    EyeCard card = EyeCard.of(plan, sheet).orElseThrow();
    assertThat(card.steps())
        .extracting(EyeCard.Step::part)
        .containsExactly(Part.OPENING, Part.IRIS, Part.PUPIL, Part.LASH);
    EyeCard.Step opening = card.steps().get(0);
    assertThat(opening.heightPixels().orElseThrow() / opening.widthPixels())
        .isCloseTo(sheet.rule(FaceMeasures.EYE_ASPECT).orElseThrow().centre(), offset(1e-9));
    long before = inked(card, 1);
    long iris = inked(card, 2);
    assertThat(iris).isGreaterThan(before);
    assertThat(inked(card, 4)).isGreaterThan(iris);
    StyleSheet bare = StyleSheet.of("Bare", View.FRONT, List.of());
    assertThat(EyeCard.of(GuidePlan.of(bare, new Canvas(800, 800)), bare)).isEmpty();
  }

  /** Ring, glow and lights come after the iris they lie in, and only where they are ruled. */
  @Test
  void anIrisIsBuiltAsItIsRuled() {
    Map<Measure, Double> inside = new LinkedHashMap<>();
    inside.put(IrisMeasures.LIGHTS, 2.0);
    inside.put(IrisMeasures.LIGHT_SIZE, 0.3);
    inside.put(IrisMeasures.LIGHT_PLACE, 45.0);
    inside.put(IrisMeasures.RING, 0.2);
    inside.put(IrisMeasures.GLOW, 0.1);
    MeasuredWork adult =
        MeasuredWork.of("1", "", "", new Evidence(Canon.realistic(), Optional.empty()));
    MeasuredWork eyes = with(adult, inside);
    StyleSheet sheet = StyleSheet.of("A hand", View.FRONT, List.of(eyes, eyes, eyes));
    EyeCard card = EyeCard.of(GuidePlan.of(sheet, new Canvas(2400, 3200)), sheet).orElseThrow();
    assertThat(card.steps())
        .extracting(EyeCard.Step::part)
        .containsExactly(
            Part.OPENING, Part.IRIS, Part.RING, Part.GLOW, Part.PUPIL, Part.LIGHTS, Part.LASH);
    // The ring darkens what is there already, but for the softness of its edge.
    assertThat((double) inked(card, 3)).isCloseTo(inked(card, 2), withPercentage(2));
    assertThat(inked(card, 6)).isLessThan(inked(card, 5)); // Lights are white.
    assertThat(ActWords.sentences(sheet, "eye-lights", "iris-tones"))
        .containsExactly(
            "Two lights in each eye, at the upper right.",
            "Irises lit from below, ringed in dark.");
    inside.put(IrisMeasures.LIGHTS, 0.0);
    inside.keySet().removeAll(List.of(IrisMeasures.LIGHT_SIZE, IrisMeasures.LIGHT_PLACE));
    inside.put(IrisMeasures.RING, 0.0);
    inside.put(IrisMeasures.GLOW, -0.02);
    MeasuredWork dull = with(adult, inside);
    StyleSheet flat = StyleSheet.of("A hand", View.FRONT, List.of(dull, dull, dull));
    assertThat(EyeCard.of(GuidePlan.of(flat, new Canvas(2400, 3200)), flat).orElseThrow().steps())
        .extracting(EyeCard.Step::part)
        .containsExactly(Part.OPENING, Part.IRIS, Part.PUPIL, Part.LASH);
  }

  private static MeasuredWork with(MeasuredWork work, Map<Measure, Double> more) {
    Map<Measure, Double> values = new LinkedHashMap<>(work.values());
    values.putAll(more);
    return new MeasuredWork("1", "", "", View.FRONT, values, List.of());
  }

  /** Pixels that are neither see-through nor white. */
  private static long inked(EyeCard card, int steps) {
    BufferedImage image = SceneImage.of(card.drawn(steps));
    long inked = 0;
    for (int i = 0; i < image.getWidth() * image.getHeight(); i++) {
      int rgb = image.getRGB(i % image.getWidth(), i / image.getWidth());
      inked += rgb >>> 24 > 0 && (rgb & 0xFFFFFF) != 0xFFFFFF ? 1 : 0;
    }
    return inked;
  }
}
