package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.mixing.BlendMode;
import penmirror.core.mixing.LayerAnswer;

/** Layers as Chromium's own canvas mixes them, pixel by pixel. */
class BlendCanvasTest {
  private static final int PIXELS = 400;

  /** Paints one pixel of each pair under a layer, and reads it back. */
  private static final String PAINT =
      """
      ({mode, pairs}) => {
        const canvas = document.createElement('canvas');
        canvas.width = pairs.length;
        canvas.height = 1;
        const brush = canvas.getContext('2d', {willReadFrequently: true});
        pairs.forEach(([base, layer, opacity], at) => {
          brush.globalCompositeOperation = 'source-over';
          brush.globalAlpha = 1;
          brush.fillStyle = base;
          brush.fillRect(at, 0, 1, 1);
          brush.globalCompositeOperation = mode;
          brush.globalAlpha = opacity;
          brush.fillStyle = layer;
          brush.fillRect(at, 0, 1, 1);
        });
        return Array.from(brush.getImageData(0, 0, pairs.length, 1).data);
      }""";

  private record Pair(EncodedSrgb base, EncodedSrgb layer, int percent) {
    List<Object> painted() {
      return List.of(base.hex(), layer.hex(), percent / 100.0);
    }
  }

  @ParameterizedTest
  @EnumSource
  void everyModeMixesAsTheCanvasDoes(BlendMode mode) {
    Random random = new Random(31);
    List<Pair> pairs = new ArrayList<>();
    for (int i = 0; i < PIXELS; i++) {
      pairs.add(
          new Pair(
              EncodedSrgb.fromRgb(random.nextInt()),
              EncodedSrgb.fromRgb(random.nextInt()),
              1 + random.nextInt(100)));
    }
    int[] seen = painted(mode, pairs);
    for (int i = 0; i < PIXELS; i++) {
      Pair pair = pairs.get(i);
      EncodedSrgb ours = mode.over(pair.base(), pair.layer(), pair.percent() / 100.0);
      assertThat(farthest(ours, seen, i)).as("%s %s", mode, pair).isLessThanOrEqualTo(2);
    }
  }

  /** What is answered, laid in the canvas, gives the shadow that was asked for. */
  @ParameterizedTest
  @EnumSource(names = {"MULTIPLY", "OVERLAY", "SOFT_LIGHT", "HARD_LIGHT", "COLOR_BURN"})
  void theAnsweredLayerGivesTheShadow(BlendMode mode) {
    Random random = new Random(77);
    List<Pair> pairs = new ArrayList<>();
    List<EncodedSrgb> targets = new ArrayList<>();
    while (pairs.size() < 60) {
      EncodedSrgb base = EncodedSrgb.fromRgb(random.nextInt());
      EncodedSrgb target = darker(base, 0.7 + 0.3 * random.nextDouble());
      int percent = 40 + random.nextInt(61);
      LayerAnswer answer = LayerAnswer.of(mode, base, target, percent / 100.0);
      answer
          .colour()
          .ifPresent(
              layer -> {
                pairs.add(new Pair(base, layer, percent));
                targets.add(target);
              });
    }
    int[] seen = painted(mode, pairs);
    for (int i = 0; i < pairs.size(); i++) {
      assertThat(farthest(targets.get(i), seen, i)).as("%s", pairs.get(i)).isLessThanOrEqualTo(3);
    }
  }

  private static EncodedSrgb darker(EncodedSrgb base, double factor) {
    return new EncodedSrgb(base.red() * factor, base.green() * factor, base.blue() * factor);
  }

  /** The largest difference in a channel, in 8-bit steps. */
  private static double farthest(EncodedSrgb ours, int[] seen, int at) {
    return Math.max(
        Math.abs(255 * ours.red() - seen[4 * at]),
        Math.max(
            Math.abs(255 * ours.green() - seen[4 * at + 1]),
            Math.abs(255 * ours.blue() - seen[4 * at + 2])));
  }

  private static Playwright playwright;
  private static Browser browser;

  @BeforeAll
  static void openTheBrowser() {
    playwright = BrowserTest.startPlaywright();
    browser = BrowserTest.launch(playwright);
  }

  @AfterAll
  static void closeTheBrowser() {
    playwright.close();
  }

  private static int[] painted(BlendMode mode, List<Pair> pairs) {
    try (Page page = browser.newPage()) {
      Object data =
          page.evaluate(
              PAINT,
              Map.of("mode", mode.word(), "pairs", pairs.stream().map(Pair::painted).toList()));
      return ((List<?>) data).stream().mapToInt(value -> ((Number) value).intValue()).toArray();
    }
  }
}
