package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import penmirror.web.studies.Work;

/** A sitting beside the board, on a page as large as a tablet, and the plan's sections by keys. */
class DrawBrowserTest extends BrowserTest {

  private long study;

  @BeforeEach
  void hangThreeWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    for (int i = 1; i <= 3; i++) {
      hang(study, Work.Role.SOURCE, source(i), "Work " + i);
    }
    page.setViewportSize(1024, 768);
  }

  @AfterEach
  void nothingWasComplainedOf() {
    assertThat(barriers).isEmpty();
    assertThat(complaints).isEmpty();
  }

  private static Locator tick(Page window, String words) {
    return window.locator("[data-tick]", new Page.LocatorOptions().setHasText(words));
  }

  private static void assertTicked(Locator tick, boolean ticked) {
    assertThat(tick).hasAttribute("aria-pressed", String.valueOf(ticked));
  }

  @Test
  void aSittingGoesOnOverAReloadAndALostNetwork() {
    page.navigate(url("/studies/" + study + "/draw"));
    requireAccessible("draw");
    tick(page, "Eye line at").click();
    assertTicked(tick(page, "Eye line at"), true);
    page.reload();
    assertTicked(tick(page, "Eye line at"), true);

    // The network goes: what is ticked and noted stays, and is told.
    context.setOffline(true);
    tick(page, "Eye line at").click();
    tick(page, "Crown at").click();
    page.locator("#note-text").fill("Left hand came easier.");
    page.locator("#note-text").press("Enter");
    assertThat(page.locator("#owing")).containsText("3 kept here");
    assertTicked(tick(page, "Eye line at"), false);
    assertTicked(tick(page, "Crown at"), true);
    // Another part cannot be fetched, and the page stays.
    page.keyboard().press("Escape");
    page.locator(".parts a", new Page.LocatorOptions().setHasText("Mouth")).click();
    page.waitForTimeout(300);
    assertThat(tick(page, "Crown at")).isVisible();
    complaints.clear(); // The browser's own word on a network that is away.

    context.setOffline(false);
    assertThat(page.locator("#owing")).isEmpty();
    Page other = context.newPage();
    other.navigate(url("/studies/" + study + "/draw"));
    assertTicked(tick(other, "Crown at"), true);
    assertTicked(tick(other, "Eye line at"), false);
    assertThat(other.locator("#notes")).containsText("Left hand came easier.");

    // What one window ticks the other sees by itself.
    tick(other, "Stands on").click();
    page.bringToFront();
    assertTicked(tick(page, "Stands on"), true);
    page.locator("[data-forget]").click();
    assertThat(page.locator("#notes")).not().containsText("Left hand");
    complaints.clear();
  }

  @Test
  void keysTickAndTurnToAnotherPartAndThingsComeBackInTheirStage() {
    page.navigate(url("/studies/" + study + "/draw"));
    page.keyboard().press("t");
    page.keyboard().press("2");
    assertTicked(page.locator("[data-tick]").nth(1), true);
    assertThat(page.locator(".stages [aria-current] small")).containsText("1 of ");
    assertThat(page).hasURL(Pattern.compile("/draw"));
    page.keyboard().press("ArrowRight");
    assertThat(page.locator(".parts [aria-current]")).hasText("Brows");
    assertThat(page.locator(".figures")).containsText("brow above the eye");
    // Still the same list, as it was ticked.
    assertTicked(page.locator("[data-tick]").nth(1), true);
    page.keyboard().press("n");
    page.keyboard().type("Apron knot lower");
    page.locator("#note-stage").selectOption("line");
    page.locator("#note .btn").click();
    assertThat(page.locator("#notes")).containsText("Apron knot lower: comes back at Line");
    page.locator(".stages a", new Page.LocatorOptions().setHasText("Line")).click();
    assertThat(tick(page, "Apron knot lower")).isVisible();
    tick(page, "Apron knot lower").click();
    assertThat(page.locator(".stages [aria-current]")).containsText("Line");
    page.goBack();
    assertThat(page.locator(".parts [aria-current]")).isVisible();
    // Upright as a tablet is held, everything is there and nothing runs off to the side.
    page.setViewportSize(768, 1024);
    page.navigate(url("/studies/" + study + "/draw?stage=line"));
    requireAccessible("draw, upright");
    assertThat(
            page.evaluate(
                "document.documentElement.scrollWidth <= document.documentElement.clientWidth"))
        .isEqualTo(true);
    assertThat(tick(page, "Apron knot lower")).isVisible();
  }

  /** Started, it goes on over a reload; stopped, the minute begun is kept with its stage. */
  @Test
  void theClockIsOffUntilStarted() {
    page.navigate(url("/studies/" + study + "/draw"));
    Locator clock = page.locator("#clock");
    assertThat(clock).hasText("Start the clock");
    assertThat(page.locator("#clock-says")).isEmpty();
    clock.click();
    assertThat(page.locator("#clock-says")).hasText("0 min running");
    page.reload();
    assertThat(clock).hasText("Stop the clock");
    clock.click();
    assertThat(page.locator("#minutes")).hasValue("1");
    assertThat(clock).hasText("Start the clock");
    page.locator(".order summary").click();
    page.locator(".order button[aria-label='Line later']").click();
    assertThat(page.locator(".stages a b").nth(1)).hasText("Flats");
    page.locator(".order summary").click();
    requireAccessible("draw with the order open");
    page.locator("a[href$=drill]").click();
    assertThat(page.locator("h1")).hasText("Colour by eye");
    requireAccessible("drill without colours");
  }

  @Test
  void theSectionsOfThePlanAreAKeyAway() {
    page.setViewportSize(1280, 800);
    page.navigate(url("/studies/" + study + "/plan"));
    page.keyboard().press("Shift+Digit4");
    assertThat(page.locator("h1")).hasText("Colours");
    requireAccessible("colours, empty");
    page.locator("#colour-name").fill("Scarf");
    page.locator("#colour-hex").fill("6F8A7A");
    page.locator("#colour-hex").press("Enter");
    assertThat(page.locator(".mix tbody th")).containsText("Scarf");
    requireAccessible("colours");
    page.locator("#opacity").fill("40");
    assertThat(page.locator("#mixing")).containsText("40%");
    page.reload();
    assertThat(page.locator("#opacity")).hasValue("40");
    page.keyboard().press("Shift+Digit3");
    assertThat(page.locator("h1")).hasText("Brushes");
    requireAccessible("brushes");
    page.keyboard().press("5");
    assertThat(page.locator("h1")).hasText("Draw");
  }
}
