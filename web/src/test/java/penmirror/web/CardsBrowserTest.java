package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.studies.Work;

/** The cards of a study, by keys alone. */
class CardsBrowserTest extends BrowserTest {
  private long study;

  @BeforeEach
  void hangThreeWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    for (int number = 1; number <= 3; number++) {
      DrawnWork drawn = source(number);
      hang(study, Work.Role.SOURCE, drawn, drawn.title(), drawn.truth());
    }
    awaitReadings();
  }

  @Test
  void cardsAreDrawnOpenedAndLeftByKeys() {
    page.navigate(url("/studies/" + study + "/rules"));
    page.locator(".modes a", new Page.LocatorOptions().setHasText("Cards")).click();
    // Its pictures are opened after the page has come.
    assertThat(page.locator("#card-values .says")).containsText("values: ");
    assertThat(page.locator("#card-real .says")).containsText("realistic adult as tall: head 1.");
    page.waitForFunction(
        "() => [...document.querySelectorAll('.card img')].every((i) => i.naturalWidth > 0)");
    assertThat(page.locator(".card img").count()).isGreaterThanOrEqualTo(6);

    page.keyboard().press("ArrowRight");
    assertThat(page.locator("#card-eye a")).isFocused();
    page.keyboard().press("ArrowRight");
    page.keyboard().press("Enter");
    assertThat(page.locator("h1")).hasText("Line");
    assertThat(page.locator(".line p").first()).not().isEmpty();
    assertThat(page.locator(".line .crops svg").count()).isGreaterThanOrEqualTo(2);
    page.keyboard().press("ArrowLeft");
    assertThat(page.locator("h1")).hasText("Eye");
    page.keyboard().press("Escape");
    assertThat(page.locator("#cards")).isVisible();
    page.goBack();
    assertThat(page.locator("h1")).hasText("Eye");
    assertThat(complaints).isEmpty();
  }

  @Test
  void bookletIsPrintedOfWhatThereIs() {
    APIResponse printed = page.request().get(url("/studies/" + study + "/rules/cards.pdf"));
    assertThat(printed.status()).isEqualTo(200);
    assertThat(new String(printed.body(), 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
    long empty = studies.begin("Nothing yet", "Odile Marrow", "", "");
    APIResponse nothing = page.request().get(url("/studies/" + empty + "/rules/cards.pdf"));
    assertThat(nothing.status()).isBetween(400, 499);
    assertThat(nothing.text()).contains("No cards yet");
  }

  @Test
  void studyWithoutRulesSaysWhereCardsComeFrom() {
    long empty = studies.begin("Nothing yet", "Odile Marrow", "", "");
    page.navigate(url("/studies/" + empty + "/rules/cards"));
    assertThat(page.locator("#work")).containsText("rules come from works that somebody");
    assertThat(page.navigate(url("/studies/" + empty + "/rules/cards/eye")).status())
        .isEqualTo(404);
    assertThat(page.navigate(url("/studies/" + study + "/rules/cards/boot")).status())
        .isEqualTo(404);
  }
}
