package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.web.gather.Intake;
import penmirror.web.studies.ScanStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** From the glass of the simulated scanner into a study, in the browser. */
class TrayBrowserTest extends BrowserTest {
  @Autowired Intake intake;
  @Autowired WorkStore works;
  @Autowired ScanStore scans;

  private long study;

  @BeforeEach
  void beginAStudy() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
    intake.take(
        study, source(1).png(), Work.Role.SOURCE, "Pell", "by hand", source(1).truth().view());
  }

  @Test
  void aScannedPageBecomesAnAttempt() {
    page.navigate(url("/studies/" + study + "/gather"));
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Scan tray")).click();
    page.getByLabel("On the glass").selectOption("Pell");
    page.getByLabel("Drawn in").selectOption("pencil");
    page.getByLabel("px per inch").selectOption("150");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Scan a page")).click();
    // It arrives by itself, without a reload.
    assertThat(page.locator("#pages")).containsText("page-01.png");
    Locator arrived = page.locator("#pages a");
    assertThat(arrived).containsText("150 px per inch");
    arrived.click();
    assertThat(page.locator("#turn")).hasText(java.util.regex.Pattern.compile("clockwise"));
    requireLoaded("#sheets .cleaned");

    String turned = page.locator("#turn").textContent();
    page.getByLabel("not, leave it as it lies").check();
    assertThat(page.locator("#turn")).hasText("not at all");
    page.getByLabel("by a level line").check();
    // The scan is renewed once more: a line begun before that would be drawn on the old one.
    until("() => !document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling')");
    drawLevelLine(turned);
    assertThat(page.locator("#turn")).not().hasText("not at all");
    double drawn = degrees(page.locator("#turn").textContent());
    assertThat(drawn).isCloseTo(degrees(turned), offset(0.4));
    page.getByLabel("Set the paper white").uncheck();

    page.getByLabel("Title").fill("From the sketchbook");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take in")).dblclick();
    page.waitForURL("**/measure");
    List<Work> attempts = works.inRole(study, Work.Role.REDRAW);
    assertThat(attempts).extracting(Work::title).containsExactly("From the sketchbook");
    assertThat(scans.of(attempts.get(0).id()).orElseThrow().whitened()).isFalse();
    page.goBack();
    assertThat(page.locator("#pages")).containsText("Nothing in the tray");
    assertThat(complaints).isEmpty();
  }

  @Test
  void theTrayTellsWhatItCannotUse() throws Exception {
    Files.write(TRAY.resolve("letter.png"), "no picture".getBytes());
    Files.write(TRAY.resolve("coming.tif.part"), new byte[] {'I', 'I', 42, 0});
    page.navigate(url("/tray"));
    assertThat(page.locator("#pages")).containsText("coming.tif.part");
    assertThat(page.locator("#pages")).containsText("Still being written");
    assertThat(page.locator("#pages .bad"))
        .containsText("not a picture of a kind that is read here");
    assertThat(page.locator("#pages a")).hasCount(0);
    requireAccessible("tray");
    assertThat(barriers).isEmpty();
  }

  /** Along the sheet's own slope, as one would draw along a line on the paper. */
  private void drawLevelLine(String turned) {
    BoundingBox box = page.locator("#scan").boundingBox();
    double slope = Math.tan(Math.toRadians(degrees(turned)));
    double left = box.x + 60;
    double right = box.x + box.width - 60;
    double top = box.y + 200;
    page.mouse().move(left, top);
    page.mouse().down();
    page.mouse().move((left + right) / 2, top);
    page.mouse().move(right, top + slope * (right - left));
    page.mouse().up();
  }

  private static double degrees(String text) {
    double size = Double.parseDouble(text.substring(0, text.indexOf('°')));
    return text.contains("anti") ? -size : size;
  }

  private void requireLoaded(String image) {
    until("selector => document.querySelector(selector)?.naturalWidth > 100", image);
  }
}
