package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.View;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The cards of a study, by keys alone. */
class CardsBrowserTest extends BrowserTest {
  @Autowired private WorkStore works;

  private long study;

  private void hangThreeWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    for (int number = 1; number <= 3; number++) {
      DrawnWork drawn = source(number);
      hang(study, Work.Role.SOURCE, drawn, drawn.title(), drawn.truth());
    }
    awaitReadings();
    // What is read by the points just kept may be asked for a moment later than what was seen
    // first.
    await()
        .atMost(Duration.ofSeconds(60))
        .until(
            () ->
                page.request()
                    .get(url("/studies/" + study + "/rules/cards"))
                    .text()
                    .contains("card-shadow"));
  }

  /** Once the page listens: a key pressed while it still comes is nobody's. */
  private void press(String key) {
    page.waitForLoadState();
    page.keyboard().press(key);
  }

  @Test
  void cardsAreDrawnOpenedLeftByKeysAndPrinted() {
    hangThreeWorks();
    page.navigate(url("/studies/" + study + "/rules"));
    page.locator(".modes a", new Page.LocatorOptions().setHasText("Cards")).click();
    page.waitForURL("**/rules/cards");
    // Its pictures are opened after the page has come.
    page.waitForFunction("() => !document.querySelector('#cards [hx-trigger]')");
    assertThat(page.locator("#card-values .says")).containsText("values: ");
    assertThat(page.locator("#card-real .says")).containsText("realistic adult as tall: head 1.");
    page.waitForFunction(
        "() => [...document.querySelectorAll('.card img')].every((i) => i.naturalWidth > 0)");
    assertThat(page.locator(".card img").count()).isGreaterThanOrEqualTo(6);

    press("ArrowRight");
    assertThat(page.locator("#card-eye a")).isFocused();
    press("ArrowRight");
    press("Enter");
    assertThat(page.locator("h1")).hasText("Line");
    assertThat(page.locator(".line p").first()).not().isEmpty();
    assertThat(page.locator(".line .crops svg").count()).isGreaterThanOrEqualTo(2);
    press("ArrowLeft");
    assertThat(page.locator("h1")).hasText("Eye");

    // An eye of one work has its own card; keys go from work to work, and back to all.
    page.locator(".line .crops a").first().click();
    assertThat(page.locator(".top .what")).containsText("alone, ");
    assertThat(page.locator(".line p").first()).not().isEmpty();
    page.waitForFunction("() => document.querySelector('.drawn img').naturalWidth > 0");
    String one = page.locator(".top .what").textContent();
    press(page.locator("#after").count() > 0 ? "ArrowRight" : "ArrowLeft");
    assertThat(page.locator(".top .what")).not().hasText(one);
    assertThat(page.locator(".top .what")).containsText("alone, ");
    press("Escape");
    assertThat(page.locator(".top .what")).not().containsText("alone, ");
    assertThat(page.locator("h1")).hasText("Eye");
    press("Escape");
    assertThat(page.locator("#cards")).isVisible();
    page.goBack();
    assertThat(page.locator("h1")).hasText("Eye");
    assertThat(complaints).isEmpty();

    APIResponse printed = page.request().get(url("/studies/" + study + "/rules/cards.pdf"));
    assertThat(printed.status()).isEqualTo(200);
    assertThat(new String(printed.body(), 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
  }

  @Test
  void turnedHeadsHaveACardWithPiecesOfTheWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    DemoStudio.odileMarrow().sources().stream()
        .filter(work -> work.view() == View.THREE_QUARTER)
        .limit(3)
        .map(work -> DrawnWork.of(work, 0.4))
        .forEach(
            drawn -> {
              long work = hang(study, Work.Role.SOURCE, drawn, drawn.title(), drawn.truth());
              works.describe(work, drawn.title(), "", View.THREE_QUARTER);
            });
    page.navigate(url("/studies/" + study + "/rules/cards/turn"));
    assertThat(page.locator("h1")).hasText("Turned head");
    assertThat(page.locator(".line p").first()).containsText("of the way out to the far cheek");
    assertThat(page.locator(".line").nth(1)).containsText("Far eye");
    assertThat(page.locator(".line .crops svg").count()).isEqualTo(4);
    APIResponse drawing =
        page.request().get(url("/studies/" + study + "/rules/cards/turn/drawing.svg"));
    assertThat(drawing.text()).contains(">three-quarter<").doesNotContain(">front<");
    page.locator(".line .crops a").first().click();
    assertThat(page.locator(".top .what")).containsText("alone, ");
    assertThat(page.locator(".line p").first()).containsText("of the way out to the far cheek");
    page.waitForFunction("() => document.querySelector('.drawn img').naturalWidth > 0");
    assertThat(complaints).isEmpty();
  }

  /** The first attempt's line is far too thin: it is said where, and looped on the picture. */
  @Test
  void redrawIsToldWhereItsLineIsOff() {
    hangThreeWorks();
    long redraw = hang(study, Work.Role.REDRAW, redraw(1), "Bastian", redraw(1).truth());
    awaitReadings();
    page.navigate(url("/studies/" + study + "/mirror/" + redraw));
    // While pixels are read the page comes anew, and what was opened is closed.
    page.waitForFunction("() => document.querySelector('#asking').dataset.busy === 'false'");
    page.waitForLoadState(LoadState.NETWORKIDLE);
    assertThat(page.locator("#line-marks circle")).hasCount(0);
    page.locator("#line-places summary").click();
    Locator row = page.locator("#line-off li").first();
    assertThat(row).hasText(Pattern.compile("(Thin|Open) at the .* px.*"));
    assertThat(page.locator("#line-marks .loop").count()).isGreaterThan(1);
    row.hover();
    assertThat(page.locator("#line-marks .loop.now").first()).isVisible();
    page.locator("#line-places summary").click();
    assertThat(page.locator("#line-marks .loop").first()).isHidden();
    assertThat(complaints).isEmpty();
  }

  @Test
  void studyWithoutRulesSaysWhereCardsComeFrom() {
    long empty = studies.begin("Nothing yet", "Odile Marrow", "", "");
    page.navigate(url("/studies/" + empty + "/rules/cards"));
    assertThat(page.locator("#work")).containsText("rules come from works that somebody");
    assertThat(page.navigate(url("/studies/" + empty + "/rules/cards/eye")).status())
        .isEqualTo(404);
    assertThat(page.navigate(url("/studies/" + empty + "/rules/cards/boot")).status())
        .isEqualTo(404);
    APIResponse nothing = page.request().get(url("/studies/" + empty + "/rules/cards.pdf"));
    assertThat(nothing.status()).isBetween(400, 499);
    assertThat(nothing.text()).contains("No cards yet");
  }
}
