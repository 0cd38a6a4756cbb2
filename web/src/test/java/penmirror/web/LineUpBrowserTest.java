package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.LoadState;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.studies.Work;

/** A redraw on one ground line with the works, by keys alone. */
class LineUpBrowserTest extends BrowserTest {

  private long study;

  private long hang(Work.Role role, DrawnWork drawn, String title) {
    return hang(study, role, drawn, title);
  }

  /** How many pixels of the figures are neither black nor grey, of those that are seen. */
  private long coloured() throws IOException {
    BufferedImage seen =
        ImageIO.read(new ByteArrayInputStream(page.locator("#line-up").screenshot()));
    long coloured = 0;
    for (int i = 0; i < seen.getWidth() * seen.getHeight(); i++) {
      int rgb = seen.getRGB(i % seen.getWidth(), i / seen.getWidth());
      int most = Math.max(rgb >> 16 & 255, Math.max(rgb >> 8 & 255, rgb & 255));
      int least = Math.min(rgb >> 16 & 255, Math.min(rgb >> 8 & 255, rgb & 255));
      coloured += most - least > 40 ? 1 : 0;
    }
    return coloured;
  }

  @Test
  void itIsSeenInGreyAsSilhouettesAndShuffled() throws IOException {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    hang(Work.Role.SOURCE, source(1), "Pell");
    hang(Work.Role.SOURCE, source(2), "Tam");
    long redraw = hang(Work.Role.REDRAW, redraw(1), "Bastian");
    page.navigate(url("/studies/" + study + "/mirror/" + redraw));
    page.locator("#to-line-up").click();
    assertThat(page.locator("#line-up .who")).hasCount(3);

    // A verdict that has new readings while the link is being followed does not call it off.
    page.goBack();
    page.evaluate(
        "async () => { const { renew } = await import('/layout/renewed.js');"
            + " setTimeout(() => document.getElementById('to-line-up').click(), 10);"
            + " const ask = setInterval(() => { if (renew()) clearInterval(ask); }, 25); }");
    assertThat(page.locator("#line-up .who")).hasCount(3);
    until(
        "() => [...document.querySelectorAll('#line-up image')].every((i) => i.getBBox().width > 0)");
    page.waitForLoadState(LoadState.NETWORKIDLE);
    requireAccessible("line-up");

    long drawn = coloured();
    page.keyboard().press("g");
    assertThat(coloured()).as("grey of %d", drawn).isLessThan(drawn / 50);
    page.keyboard().press("b");
    assertThat(coloured()).as("silhouettes of %d", drawn).isLessThan(drawn / 50);
    page.keyboard().press("b");
    assertThat(coloured()).isGreaterThan(drawn * 9 / 10);

    page.keyboard().press("h");
    assertThat(page.locator("[data-alike=height]")).hasAttribute("aria-current", "true");
    page.keyboard().press("s");
    assertThat(page.locator(".question")).containsText("not theirs");
    String own =
        page.locator("#line-up .who[data-work='" + redraw + "']").getAttribute("data-number");
    page.keyboard().press(own);
    assertThat(page.locator(".question")).containsText("that one is yours");
    assertThat(page.locator("#tally")).containsText("Looked at once");

    // Hit twice, it is still one look.
    page.keyboard().press("s");
    page.locator(".names button").first().dblclick();
    assertThat(page.locator("#tally")).containsText("Looked at 2 times");
    assertThat(barriers).isEmpty();
    assertThat(complaints).isEmpty();
  }
}
