package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.file.PictureReader;
import penmirror.core.format.MarksFile;
import penmirror.core.format.StyleFile;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.reading.PixelReader;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.words.Wording;
import penmirror.demoart.studio.DrawnWork;

/** The whole job in a browser, by mouse and by keyboard, with files uploaded through the page. */
class JourneyBrowserTest extends BrowserTest {
  private static final int SOURCES = 3;

  @Test
  void fromSourcePicturesToAScoredRedraw() throws Exception {
    try {
      wholeJob();
    } catch (Exception | AssertionError e) {
      page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("target/journey-failure.png")));
      throw e;
    }
  }

  private void wholeJob() throws Exception {
    begin();
    gather();
    for (int i = 1; i <= SOURCES; i++) {
      mark(source(i), i % 2 == 0);
    }
    rules();
    plan();
    long redrawId = mirror();
    recompute(redrawId);
    assertThat(complaints).as("what the browser complained of").isEmpty();
    assertThat(barriers).as("accessibility, WCAG 2.2 AA").isEmpty();
  }

  private void begin() {
    // By hand from the first point on; what the machine offers is tried elsewhere.
    page.addInitScript("localStorage.setItem('pen-mirror-proposals', 'off')");
    page.navigate(url("/"));
    requireAccessible("library");
    page.keyboard().press("b");
    page.getByLabel("Illustrator").fill("Odile Marrow");
    page.getByLabel("Name of the study").fill("The Lantern Barge");
    page.getByLabel("Credit line").fill("Odile Marrow, The Lantern Barge. Studied for practice.");
    requireAccessible("new study");
    page.keyboard().press("Enter");
    assertThat(page.locator("h1")).hasText("Reference wall");
  }

  /** By the file chooser, a wrong file among them; then one dropped. */
  private void gather() {
    List<FilePayload> files = new ArrayList<>();
    for (int i = 1; i < SOURCES; i++) {
      files.add(payload(source(i)));
    }
    page.waitForLoadState();
    files.add(new FilePayload("notes.png", "image/png", "not a picture".getBytes()));
    page.locator("#files").setInputFiles(files.toArray(FilePayload[]::new));
    assertThat(page.locator(".tile")).hasCount(SOURCES - 1);
    assertThat(page.locator("#uploads .fault")).containsText("notes.png was not taken in");
    drop(source(SOURCES));
    assertThat(page.locator(".tile")).hasCount(SOURCES);
    requireAccessible("gather");
    page.locator(".tile").first().click();
    if (page.locator(".saying.later > summary").count() > 0) {
      page.locator(".saying.later > summary").click();
    }
    page.getByLabel("Title").fill("Pell, lantern raised");
    page.getByRole(
            com.microsoft.playwright.options.AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName("Save"))
        .click();
    assertThat(page.locator(".tile.sel .cap")).containsText("Pell, lantern raised");
    page.keyboard().press("2");
    page.waitForSelector("#roll li.now");
  }

  private void drop(DrawnWork work) {
    page.evaluate(
        "async ([name, base64]) => {"
            + " const bytes = Uint8Array.from(atob(base64), c => c.charCodeAt(0));"
            + " const data = new DataTransfer();"
            + " data.items.add(new File([bytes], name, {type: 'image/png'}));"
            + " document.getElementById('work').dispatchEvent("
            + "   new DragEvent('drop', {bubbles: true, cancelable: true, dataTransfer: data})); }",
        List.of(work.fileName(), Base64.getEncoder().encodeToString(work.png())));
  }

  /** Every point of the roll in marking order: by click, or by pointing and the space bar. */
  private void mark(DrawnWork work, boolean byKeyboard) {
    page.waitForSelector("#roll li.now");
    Marks truth = work.truth();
    for (Locator entry : page.locator("#roll li:visible button").all()) {
      Landmark landmark = Landmark.ofKey(entry.getAttribute("data-landmark")).orElseThrow();
      assertThat(entry).hasAttribute("aria-current", "true");
      Optional<Point> place = truth.point(landmark);
      if (place.isEmpty()) {
        page.keyboard().press("n");
        continue;
      }
      double[] at = onScreen(place.get());
      page.mouse().move(at[0], at[1]);
      if (byKeyboard) {
        page.keyboard().press("Space");
      } else {
        page.mouse().click(at[0], at[1]);
      }
    }
    assertThat(page.locator("#placed")).hasText("16 of 16");
    assertThat(page.locator("#kept")).hasText("Kept");
    assertThat(page.locator(".rd[data-measure='stature.heads'] b")).isVisible();
    nudgeAndUndo();
    page.waitForSelector("#pixels .swatches", new Page.WaitForSelectorOptions().setTimeout(60_000));
    if (work == source(1)) {
      requireAccessible("measure");
    }
    Locator next = page.locator(".top a", new Page.LocatorOptions().setHasText("Next"));
    if (next.count() > 0) {
      next.click();
      page.waitForURL("**/measure");
      assertThat(page.locator("#placed")).not().hasText("16 of 16");
    }
  }

  /** Arrow keys move the active point by one and ten pixels; Z takes it back. */
  private void nudgeAndUndo() {
    page.locator("#roll button").first().click();
    String before = landmark("crown");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(page.locator("#say"))
        .containsText(String.valueOf(number(before, "y") + 11).replaceAll("\\.0$", ""));
    page.keyboard().press("z");
    page.keyboard().press("z");
    assertThat(page.locator("#marks [data-landmark='crown']")).hasAttribute("transform", before);
    assertThat(page.locator("#kept")).hasText("Kept");
  }

  private String landmark(String key) {
    return page.locator("#marks [data-landmark='" + key + "']").getAttribute("transform");
  }

  private static double number(String transform, String axis) {
    String[] numbers = transform.replaceFirst("translate\\(([^)]*)\\).*", "$1").split(" ");
    return Double.parseDouble(numbers[axis.equals("x") ? 0 : 1]);
  }

  private void rules() {
    page.keyboard().press("Escape");
    page.keyboard().press("3");
    page.waitForSelector(".act");
    String eyes = ".act[data-act='eye-height'] .row-of-act";
    assertThat(page.locator(eyes + " .dot")).hasCount(SOURCES);
    assertThat(page.locator(eyes + " .said")).containsText("Eyes at");
    page.locator(eyes + " .said").click();
    assertThat(page.locator(".act[data-act='eye-height'] .reading").first()).isVisible();
    requireAccessible("rules");
    page.locator(eyes + " a").first().click();
    page.waitForSelector("#roll li.now");
    page.goBack();
    page.waitForSelector(".act");
    page.locator("#find").fill("outline");
    assertThat(page.locator(eyes)).isHidden();
    page.locator("#find").fill("");
    page.locator(".modes a", new Page.LocatorOptions().setHasText("Figures")).click();
    page.waitForSelector(".strips table");
    assertThat(page.locator("tr[data-measure='eye.line'] .dot")).hasCount(SOURCES);
    requireAccessible("rules in figures");
  }

  private void plan() {
    page.keyboard().press("4");
    page.waitForSelector(".guide");
    page.getByLabel("Width, px").fill("1240");
    page.getByLabel("Height, px").fill("1760");
    page.keyboard().press("Enter");
    assertThat(page.locator(".guide img")).hasAttribute("width", "1240");
    until("document.querySelector('.guide img').naturalWidth === 1240");
    requireAccessible("plan");
  }

  private long mirror() {
    page.keyboard().press("6");
    page.waitForSelector(".start");
    page.waitForLoadState();
    requireAccessible("mirror, empty");
    page.locator("#file").setInputFiles(payload(redraw(1)));
    page.waitForSelector("#asking:visible");
    page.locator(".top a[href$='/measure']").click();
    page.waitForSelector("#roll li.now");
    markRedraw(redraw(1));
    page.locator(".top a", new Page.LocatorOptions().setHasText("See the mirror")).click();
    page.waitForSelector("#mirror");
    assertThat(page.locator("#headline")).containsText("high");
    assertThat(page.locator(".fix", new Page.LocatorOptions().setHasText("ower both eyes")))
        .hasCount(1);
    assertThat(page.locator(".three li")).hasCount(3);
    requireAccessible("mirror");
    layersOverTheFold();
    coloursByRole();
    for (String key : List.of("f", "g", "s", "o")) {
      page.keyboard().press(key);
    }
    assertThat(page.locator("#mirror")).hasClass("grey squint");
    assertThat(page.locator("[data-mode='over']")).hasAttribute("aria-pressed", "true");
    assertThat(page.locator("#redraw-side")).hasAttribute("opacity", Pattern.compile("0\\.\\d+"));
    page.keyboard().press("j");
    assertThat(page.locator(".fix").first()).hasClass("fix now");
    return Long.parseLong(page.url().replaceFirst(".*/mirror/(\\d+).*", "$1"));
  }

  /** Each colour shows where on the redraw it was read, for as long as it is looked at. */
  private void coloursByRole() {
    Locator skin = page.locator(".laid[data-role='skin']");
    assertThat(skin).containsText("hadow");
    assertThat(page.locator("[data-loop='skin']")).isHidden();
    skin.focus();
    assertThat(page.locator("[data-loop='skin']")).isVisible();
    page.locator("#headline").click();
    assertThat(page.locator("[data-loop='skin']")).isHidden();
  }

  /** A number is clicked: both halves show where it comes from, pins and dots make room. */
  private void layersOverTheFold() {
    page.locator(".every > summary").click();
    page.locator(".one[data-act='line-weight'] summary").click();
    page.locator(".rr[data-measure='line.width'] .from").click();
    assertThat(page.locator("#layer")).hasValue("weight");
    assertThat(page.locator("#layer-state")).isEmpty();
    assertThat(page.locator("#source-side .layer-over path").first()).isAttached();
    assertThat(page.locator("#redraw-side .layer-over path").first()).isAttached();
    assertThat(page.locator("#legend text").first()).containsText("px");
    assertThat(page.locator("#mirror")).hasClass("no-marks");
    page.locator("#layer").selectOption("values");
    assertThat(page.locator("#redraw-side .layer-over image.map")).hasCount(1);
    page.locator("#layer").selectOption("");
    assertThat(page.locator("#redraw-side .layer-over image.map")).hasCount(0);
    assertThat(page.locator("#mirror")).hasClass("");
    assertThat(page.locator("#layer-legend")).isHidden();
  }

  private void markRedraw(DrawnWork work) {
    for (Locator entry : page.locator("#roll li:visible button").all()) {
      Landmark landmark = Landmark.ofKey(entry.getAttribute("data-landmark")).orElseThrow();
      Optional<Point> place = work.truth().point(landmark);
      if (place.isEmpty()) {
        page.keyboard().press("n");
      } else {
        double[] at = onScreen(place.get());
        page.mouse().click(at[0], at[1]);
      }
    }
    assertThat(page.locator("#kept")).hasText("Kept");
    page.waitForSelector(
        "#pixels .swatches",
        new Page.WaitForSelectorOptions()
            .setTimeout(60_000)
            .setState(WaitForSelectorState.VISIBLE));
  }

  /** The score on the page is what the core makes of the page's own sheet, marks and picture. */
  private void recompute(long redrawId) throws Exception {
    awaitReadings();
    page.reload();
    String shown = page.locator("#by-rules").textContent();
    String base = page.url().replaceFirst("(.*/studies/\\d+)/.*", "$1");
    StyleFile style = StyleFile.parse(page.request().get(base + "/rules/style.json").text());
    MarksFile marks =
        MarksFile.parse(page.request().get(base + "/works/" + redrawId + "/marks.json").text());
    Score score =
        new Scorer(style.sheet())
            .score(
                new Evidence(
                    marks.marks(),
                    Optional.of(
                        new PixelReader()
                            .read(
                                new PictureReader().open(redraw(1).png()).picture(),
                                marks.marks(),
                                step -> {}))));
    assertThat(shown).isEqualTo(Wording.number(score.byRules().orElseThrow(), 0));
    // Marked by hand through the page, the points lie where the drawing's truth has them.
    Point crown = marks.marks().point(Landmark.CROWN).orElseThrow();
    assertThat(crown.distanceTo(redraw(1).truth().point(Landmark.CROWN).orElseThrow()))
        .isLessThan(3);
  }
}
