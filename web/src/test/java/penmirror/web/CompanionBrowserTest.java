package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;
import static penmirror.web.storage.generated.Tables.COMPANION;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import penmirror.web.studies.Work;

/** A redraw set into a work's picture: by pointer, by keys, and as it was left. */
class CompanionBrowserTest extends BrowserTest {

  @Test
  void itIsDraggedSizedAndFoundAgain() {
    long study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    hang(study, Work.Role.SOURCE, source(1), "Pell");
    long redraw = hang(study, Work.Role.REDRAW, redraw(1), "Bastian");
    page.navigate(url("/studies/" + study + "/mirror/" + redraw + "/line-up"));
    page.locator("#to-companion").click();
    Locator guest = page.locator("#companion .guest");
    assertThat(guest).hasCount(1);
    Locator told = page.locator(".told");
    assertThat(told).containsText("Its head is as high as theirs.");
    requireAccessible("companion");

    // Dragged up, it stands farther back and yet is as large.
    BoundingBox before = guest.boundingBox();
    page.mouse().move(before.x + before.width / 2, before.y + before.height / 2);
    page.mouse().down();
    page.mouse().move(before.x + before.width / 2 - 40, before.y + before.height / 2 - 60);
    page.mouse().up();
    assertThat(told).containsText("so it is farther back: draw it smaller");
    BoundingBox dragged = guest.boundingBox();
    assertThat(dragged.x - before.x).isCloseTo(-40, within(2.0));
    assertThat(dragged.y - before.y).isCloseTo(-60, within(2.0));

    // Smaller by keys, until it fits so far back; its feet stay.
    for (int i = 0; i < 12; i++) {
      page.keyboard().press("-");
    }
    assertThat(told).containsText("It stands farther back, and its head is smaller");
    BoundingBox smaller = guest.boundingBox();
    assertThat(smaller.height).isLessThan(dragged.height * 0.85);

    page.keyboard().press("f");
    assertThat(page.locator("input[name=mirrored]")).isChecked();
    page.keyboard().press("b");
    assertThat(page.locator("#companion .theirs")).hasClass("theirs before");
    assertThat(guest).isFocused();

    // The page tells the server once the figure rests.
    await()
        .atMost(Duration.ofSeconds(20))
        .until(
            () ->
                database.fetchCount(
                        COMPANION, COMPANION.MIRRORED.isTrue(), COMPANION.BEHIND.isTrue())
                    == 1);
    page.reload();
    assertThat(page.locator("input[name=mirrored]")).isChecked();
    assertThat(page.locator("#companion .theirs")).hasClass("theirs before");
    BoundingBox again = guest.boundingBox();
    assertThat(again.x).isCloseTo(smaller.x, within(3.0));
    assertThat(again.height).isCloseTo(smaller.height, within(2.0));

    page.getByText("Head and ground as theirs").click();
    assertThat(told).containsText("Its head is as high as theirs.");
    assertThat(barriers).isEmpty();
    assertThat(complaints).isEmpty();
  }
}
