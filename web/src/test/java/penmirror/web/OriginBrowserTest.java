package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.line.LineMeasures;
import penmirror.web.evidence.FigureEditStore;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Where readings come from: layers by mouse and by keys, the figure mended, colours picked. */
class OriginBrowserTest extends BrowserTest {
  @Autowired WorkStore works;
  @Autowired PixelReadingStore readings;
  @Autowired FigureEditStore edits;

  private long workId;

  @BeforeEach
  void openThePage() {
    long study = studies.begin("The Lantern Barge", "Odile Marrow", "", "by hand");
    workId = hang(study, Work.Role.SOURCE, source(1), "Pell");
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(workId).state() == PixelReadingStore.State.READ);
    page.navigate(url("/studies/" + study + "/works/" + workId + "/origin"));
    assertThat(page.locator("#state")).isHidden();
  }

  private PixelReadings read() {
    return readings.progress(workId).readings().orElseThrow();
  }

  @Test
  void everyNumberShowsWhereItComesFrom() {
    assertThat(page.locator("[data-layer='weight'].bare:not(.reading)"))
        .hasAttribute("aria-pressed", "true");
    Locator width = page.locator(".reading[data-key='line.width'] b");
    double px = read().estimate(LineMeasures.WIDTH).orElseThrow().value();
    double head = source(1).truth().headFrame().orElseThrow().headPixels();
    assertThat(width).hasText(String.format(Locale.ROOT, "%.1f", 1000 * px / head));
    assertThat(page.locator("#legend text").first()).containsText("px");

    for (Locator tab : page.locator(".tabs button").all()) {
      tab.click();
      Locator row = page.locator(".reading:visible").last();
      row.click();
      assertThat(row).hasAttribute("aria-pressed", "true");
      assertThat(shownByNone()).as(tab.textContent()).isEmpty();
    }
    requireAccessible("where readings come from");
    assertThat(barriers).isEmpty();
    assertThat(complaints).isEmpty();
  }

  /** Readings of the tab that, once chosen, say nothing or show nothing over the picture. */
  @SuppressWarnings("unchecked")
  private List<String> shownByNone() {
    return (List<String>)
        page.evaluate(
            "() => [...document.querySelectorAll('.reading:not([hidden])')].filter((row) => {"
                + " row.click();"
                + " const layer = document.querySelector("
                + "`[data-layer='${row.dataset.layer}'].bare:not(.reading)`);"
                + " const over = document.querySelector('#pane svg.art > g');"
                + " return row.getAttribute('aria-pressed') !== 'true'"
                + " || layer.getAttribute('aria-pressed') !== 'true'"
                + " || !document.getElementById('how-formula').textContent.trim()"
                + " || over.childElementCount === 0; }).map((row) => row.dataset.key)");
  }

  @Test
  void keysGoThroughLayersAndReadings() {
    page.locator("#pane").focus();
    page.keyboard().press("ArrowRight");
    assertThat(page.locator("[data-layer='outline'].bare:not(.reading)"))
        .hasAttribute("aria-pressed", "true");
    page.keyboard().press("ArrowDown");
    assertThat(page.locator(".reading[data-key='line.ink']")).hasAttribute("aria-pressed", "true");
    page.keyboard().press("b");
    assertThat(page.locator("[data-zoom='bare']")).hasAttribute("aria-pressed", "true");
    Locator over = page.locator("#pane svg.art > g").first().locator("> *");
    assertThat(over).hasCount(0);
    String whole = page.locator("#pane svg.art").getAttribute("viewBox");
    page.keyboard().press("+");
    assertThat(page.locator("#pane svg.art").getAttribute("viewBox")).isNotEqualTo(whole);
    page.keyboard().press("0");
    assertThat(page.locator("#pane svg.art")).hasAttribute("viewBox", whole);
  }

  @Test
  void aStrokeMendsTheFigureAndCanBeTakenBack() {
    long before = read().figureAreaPixels();
    page.locator("[data-layer='figure'].bare:not(.reading)").click();
    page.locator("[data-brush='drop']").click();
    Point sole = source(1).truth().point(Landmark.SOLE).orElseThrow();
    Point chin = source(1).truth().point(Landmark.CHIN).orElseThrow();
    stroke(chin.plus(new Point(0, 150)), sole);
    assertThat(page.locator("#figure-state")).containsText("read again");
    assertThat(edits.of(workId)).singleElement();
    assertThat(edits.of(workId).get(0).kind()).isEqualTo(FigureEdit.Kind.DROP);
    assertThat(read().figureAreaPixels()).isLessThan(before - 10_000);
    page.locator("#undo-stroke").click();
    until("() => document.getElementById('figure-state').textContent.includes('read again')");
    assertThat(edits.of(workId)).isEmpty();
    await().atMost(Duration.ofSeconds(20)).until(() -> read().figureAreaPixels() == before);
    page.reload();
    assertThat(page.locator("#state")).isHidden();
    assertThat(complaints).isEmpty();
  }

  /** A stroke over the scarf says that it is hair; the readings of the hair follow. */
  @Test
  void aStrokeSaysWhichPartSomethingIs() {
    page.locator("[data-layer='parts'].bare:not(.reading)").click();
    assertThat(page.locator("[data-brush='drop']")).isHidden();
    page.locator("[data-brush='hair']").click();
    Point chin = source(1).truth().point(Landmark.CHIN).orElseThrow();
    stroke(chin.plus(new Point(-60, 120)), chin.plus(new Point(60, 130)));
    assertThat(page.locator("#figure-state")).containsText("read again");
    assertThat(edits.of(workId)).singleElement();
    assertThat(edits.of(workId).get(0).kind()).isEqualTo(FigureEdit.Kind.HAIR);
    page.locator("[data-layer='figure'].bare:not(.reading)").click();
    assertThat(page.locator("[data-brush='hair']")).isHidden();
    // What was said of the parts is not taken back from the figure's side.
    page.locator("#undo-stroke").click();
    assertThat(edits.of(workId)).hasSize(1);
    page.locator("[data-layer='parts'].bare:not(.reading)").click();
    page.locator("#as-found").click();
    until("() => document.getElementById('figure-state').textContent.includes('read again')");
    assertThat(edits.of(workId)).isEmpty();
    assertThat(complaints).isEmpty();
  }

  private void stroke(Point from, Point to) {
    double[] start = at(from);
    double[] end = at(to);
    page.mouse().move(start[0], start[1]);
    page.mouse().down();
    page.mouse().move(end[0], end[1], new Mouse.MoveOptions().setSteps(8));
    page.mouse().up();
  }

  private double[] at(Point picture) {
    @SuppressWarnings("unchecked")
    List<Number> place =
        (List<Number>)
            page.evaluate(
                "([x, y]) => { const p = new DOMPoint(x, y).matrixTransform("
                    + "document.querySelector('#pane svg.art').getScreenCTM()); return [p.x, p.y]; }",
                List.of(picture.x(), picture.y()));
    return new double[] {place.get(0).doubleValue(), place.get(1).doubleValue()};
  }

  /** The cheek is flat skin: its colour comes back with the shadow that the face has. */
  @Test
  void aPickedRoleBringsItsShadowAlong() {
    page.locator("[data-layer='colours'].bare:not(.reading)").click();
    page.locator("#role").fill("skin");
    page.locator("#pick").click();
    Point nose = source(1).truth().point(Landmark.NOSE_BASE).orElseThrow();
    Point cheek = source(1).truth().point(Landmark.CHEEK_L).orElseThrow();
    double[] place = at(nose.plus(cheek.minus(nose).times(0.55)).plus(new Point(0, 12)));
    page.mouse().click(place[0], place[1]);
    // Named now, and no more what was found by itself.
    assertThat(page.locator("[data-forget='skin']")).hasCount(1);
    Locator skin = page.locator("#roles tbody").first();
    assertThat(skin.locator("th")).hasText("skin");
    assertThat(skin.locator(".tone small").nth(0)).containsText("#");
    assertThat(skin.locator(".tone small").nth(1)).containsText("#");
    // A tone picked by hand stays what it was picked to be.
    skin.locator(".tone").nth(3).click();
    page.mouse().click(place[0], place[1]);
    assertThat(page.locator("#roles .tone small").nth(3))
        .hasText(page.locator("#roles .tone small").nth(0).textContent());
    // What was found by itself comes back once it is forgotten.
    page.locator("[data-forget='skin']").click();
    assertThat(page.locator("#roles [data-forget]")).hasCount(0);
    assertThat(page.locator("#roles tr th").first()).hasText("skin");
    assertThat(page.locator("#roles .tone small").first()).containsText("#");
    assertThat(complaints).isEmpty();
  }

  @Test
  void aSwatchLightsItsPixels() {
    page.locator("[data-layer='colours'].bare:not(.reading)").click();
    Locator swatch = page.locator("#swatches button").first();
    swatch.hover();
    String lit = page.locator("#pane image.map").getAttribute("href");
    page.locator("#swatches button").nth(1).hover();
    assertThat(page.locator("#pane image.map").getAttribute("href")).isNotEqualTo(lit);
    assertThat(page.locator("#legend circle").count()).isGreaterThan(4);
  }

  @Test
  void aSmallWindowHasEverythingInReach() {
    page.setViewportSize(820, 1100);
    assertThat(page.locator("#pane")).isVisible();
    Locator row = page.locator(".reading:visible").first();
    row.scrollIntoViewIfNeeded();
    assertThat(row.boundingBox().height).isGreaterThanOrEqualTo(44);
    assertThat((Boolean) page.evaluate("() => document.body.scrollWidth <= innerWidth")).isTrue();
  }

  /** The bench and the mirror lead here. */
  @Test
  void theBenchLeadsHere() {
    page.locator("header.top a.btn").first().click();
    Locator row = page.locator("a.from-pixels").first();
    String name = row.locator(".name").textContent();
    row.click();
    assertThat(page.locator("#how-name")).hasText(name);
    page.goBack(new Page.GoBackOptions());
    assertThat(page.locator("#bench")).isVisible();
  }
}
