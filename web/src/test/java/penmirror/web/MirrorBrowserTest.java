package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.LoadState;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.studies.Work;

/** The ways of looking at a redraw beside a work, by keys, each read back from the screen. */
class MirrorBrowserTest extends BrowserTest {

  private long study;

  @BeforeEach
  void openAMirror() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    hang(Work.Role.SOURCE, source(1));
    long redraw = hang(Work.Role.REDRAW, redraw(1));
    page.navigate(url("/studies/" + study + "/mirror/" + redraw));
    // While pixels are read the page comes anew, and a picture of it would be of the one before.
    page.waitForFunction("() => document.querySelector('#asking').dataset.busy === 'false'");
    page.waitForLoadState(LoadState.NETWORKIDLE);
    page.keyboard().press("m");
  }

  private long hang(Work.Role role, DrawnWork drawn) {
    return hang(study, role, drawn, "A figure");
  }

  private BufferedImage seen() throws IOException {
    return ImageIO.read(new ByteArrayInputStream(page.locator("#mirror").screenshot()));
  }

  /** Share of the pixels that have a hue. */
  private static double coloured(BufferedImage image) {
    long coloured = 0;
    for (int i = 0; i < image.getWidth() * image.getHeight(); i++) {
      int rgb = image.getRGB(i % image.getWidth(), i / image.getWidth());
      int most = Math.max(rgb >> 16 & 255, Math.max(rgb >> 8 & 255, rgb & 255));
      int least = Math.min(rgb >> 16 & 255, Math.min(rgb >> 8 & 255, rgb & 255));
      coloured += most - least > 40 ? 1 : 0;
    }
    return coloured / (double) (image.getWidth() * image.getHeight());
  }

  /** How many levels of brightness cover more than a thousandth of it. */
  private static long greys(BufferedImage image) {
    int[] counts = new int[256];
    for (int i = 0; i < image.getWidth() * image.getHeight(); i++) {
      counts[brightness(image, i % image.getWidth(), i / image.getWidth())]++;
    }
    return Arrays.stream(counts)
        .filter(n -> 1000L * n > image.getWidth() * image.getHeight())
        .count();
  }

  private static int brightness(BufferedImage image, int x, int y) {
    int rgb = image.getRGB(x, y);
    return ((rgb >> 16 & 255) + (rgb >> 8 & 255) + (rgb & 255)) / 3;
  }

  /** Share of neighbours across that differ as a drawn line does from what is beside it. */
  private static double edges(BufferedImage image) {
    long edges = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 1; x < image.getWidth(); x++) {
        edges += Math.abs(brightness(image, x, y) - brightness(image, x - 1, y)) > 40 ? 1 : 0;
      }
    }
    return edges / (double) (image.getWidth() * image.getHeight());
  }

  /** Mean difference of brightness, the second one as it is or turned about its middle. */
  private static double apart(BufferedImage one, BufferedImage other, boolean turned) {
    int width = Math.min(one.getWidth(), other.getWidth());
    int height = Math.min(one.getHeight(), other.getHeight());
    long sum = 0;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int at = turned ? other.getWidth() - 1 - x : x;
        sum += Math.abs(brightness(one, x, y) - brightness(other, at, y));
      }
    }
    return sum / (double) (width * height);
  }

  @Test
  void eachWayOfLookingShowsWhatItSays() throws IOException {
    BufferedImage plain = seen();
    page.keyboard().press("g");
    assertThat(coloured(seen())).isLessThan(coloured(plain) / 50);
    page.keyboard().press("g");
    // One work alone has few values; each grey there is one of them, but for what is blended.
    page.keyboard().press("v");
    assertThat(page.locator("#mirror.in-values")).isVisible();
    BufferedImage values = seen();
    assertThat(coloured(values)).isLessThan(coloured(plain) / 50);
    assertThat(greys(values)).isLessThan(greys(plain) / 3);
    page.keyboard().press("v");
    page.keyboard().press("s");
    // The fold and the picture's own edge stay as they are.
    assertThat(edges(seen())).isLessThan(edges(plain) / 3);
    page.keyboard().press("s");

    page.keyboard().press("a");
    assertThat(seen().getWidth()).as("far away").isLessThan(plain.getWidth() / 3);
    page.keyboard().press("a");
    assertThat(complaints).isEmpty();
  }

  /** Yours alone is turned, over a work that stays; how much of it is seen is the slider's. */
  @Test
  void laidOverItIsSeenAsMuchAsIsAskedAndTurnedAlone() throws IOException {
    page.keyboard().press("o");
    assertThat(page.locator("label[for=fold-at]")).hasText("How much of yours");
    page.locator("#fold-at").focus();
    page.keyboard().press("Home");
    BufferedImage work = seen();
    page.keyboard().press("r");
    assertThat(apart(work, seen(), false)).as("the work stays").isLessThan(1);
    page.keyboard().press("r");
    page.keyboard().press("End");
    BufferedImage yours = seen();
    assertThat(apart(work, yours, false)).isGreaterThan(3);
    page.keyboard().press("r");
    BufferedImage turned = seen();
    assertThat(apart(yours, turned, false)).isGreaterThan(3);
    page.keyboard().press("r");
    assertThat(apart(yours, seen(), false)).as("and back").isLessThan(1);
    page.keyboard().press("f");
    BufferedImage flipped = seen();
    assertThat(apart(yours, flipped, true)).isLessThan(apart(yours, flipped, false) / 3);
    assertThat(complaints).isEmpty();
  }

  private double[] laid() {
    String matrix = page.locator("#your-marks").getAttribute("transform");
    return Arrays.stream(matrix.substring(7, matrix.length() - 1).split(" "))
        .mapToDouble(Double::parseDouble)
        .toArray();
  }

  private double number(String script) {
    return ((Number) page.evaluate(script)).doubleValue();
  }

  /** By keys, by dragging and by the wheel; kept over a reload, and put back by one button. */
  @Test
  void laidByHandItStaysWhereItWasPut() throws IOException {
    page.keyboard().press("o");
    page.locator("#fold-at").focus();
    page.keyboard().press("End");
    BufferedImage before = seen();
    page.locator("#mirror").evaluate("() => document.activeElement.blur()");
    page.keyboard().press("h");
    assertThat(page.locator("#hand-laid")).isVisible();
    page.keyboard().press("Shift+ArrowRight");
    page.keyboard().press("Shift+ArrowRight");
    page.keyboard().press("ArrowUp");
    double width = number("() => Number(document.getElementById('mirror').dataset.width)");
    assertThat(laid()[4]).isCloseTo(2 * width / 60, offset(0.01));
    assertThat(laid()[5]).isCloseTo(-width / 600, offset(0.01));

    double perPixel = number("() => 1 / document.getElementById('mirror').getScreenCTM().a");
    BoundingBox box = page.locator("#mirror").boundingBox();
    double x = box.x + box.width / 2;
    double y = box.y + box.height / 2;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + 40, y + 10);
    page.mouse().up();
    assertThat(laid()[4]).isCloseTo(2 * width / 60 + 40 * perPixel, offset(1.0));
    assertThat(laid()[5]).isCloseTo(-width / 600 + 10 * perPixel, offset(1.0));
    page.keyboard().press("Period");
    page.keyboard().press("Period");
    assertThat(Math.toDegrees(Math.atan2(laid()[1], laid()[0]))).isCloseTo(0.5, offset(0.01));
    page.mouse().wheel(0, -200);
    page.waitForFunction(
        "() => document.getElementById('your-marks').transform.baseVal[0].matrix.a > 1.05");
    assertThat(apart(before, seen(), false)).isGreaterThan(3);

    double[] put = laid();
    page.reload();
    page.waitForFunction("() => document.getElementById('your-marks').hasAttribute('transform')");
    assertThat(laid()).containsExactly(put, offset(1e-6));
    page.locator("#hand-laid [data-lays=back]").click();
    assertThat(laid()).containsExactly(new double[] {1, 0, 0, 1, 0, 0}, offset(1e-9));
    assertThat(page.locator("#hand-laid")).isHidden();
    // The arrows are the fold's again.
    page.keyboard().press("ArrowRight");
    assertThat(laid()[4]).isZero();
    assertThat(complaints).isEmpty();
  }
}
