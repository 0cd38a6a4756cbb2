package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.KeyboardModifier;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.Mood;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Rules, trait wall and compare, by mouse and by keyboard. */
class RulesBrowserTest extends BrowserTest {
  @Autowired WorkStore works;

  private long study;

  @BeforeEach
  void hangFourWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
    for (int i = 1; i <= 4; i++) {
      long id = hang(study, Work.Role.SOURCE, source(i), "Work " + i);
      Work work = works.require(study, id);
      works.tag(id, work.tags().drawn(Optional.of(i < 4 ? Mood.KEEN : Mood.SAD), Optional.empty()));
    }
  }

  @AfterEach
  void nothingWasComplainedOf() {
    assertThat(complaints).isEmpty();
    assertThat(barriers).isEmpty();
  }

  private Locator act(String key) {
    return page.locator(".act[data-act=" + key + "]");
  }

  @Test
  void anActIsOpenedSetAndUndoneByKeys() {
    page.navigate(url("/studies/" + study + "/rules"));
    act("eye-height").locator(".sentence").focus();
    page.keyboard().press("Space");
    Locator reading = act("eye-height").locator(".reading").first();
    assertThat(reading).containsText("Eye line");
    page.keyboard().press("]");
    assertThat(page).hasURL(Pattern.compile("open=eye-height"));
    assertThat(reading).containsText("Set by hand on");
    requireAccessible("rules with an act open");
    page.keyboard().press("u");
    assertThat(reading).not().containsText("Set by hand on");

    // Both ends typed; the way there is a button beside the band.
    reading.locator("[data-types]").click();
    reading.locator("input[name=low]").fill("0.5");
    reading.locator("input[name=high]").fill("0.4");
    reading.locator("input[name=high]").press("Enter");
    assertThat(page.locator("body")).containsText("cannot lie there");
    complaints.clear(); // The browser's own word on a form that was refused.
    page.goBack();
    assertThat(reading).containsText("Eye line");

    act("eye-height").locator(".sentence").focus();
    page.keyboard().press("e");
    act("eye-height").locator("textarea").fill("Eyes sunk deep");
    act("eye-height").locator(".reword button").first().click();
    assertThat(act("eye-height").locator(".said")).hasText("Eyes sunk deep");
  }

  @Test
  void aWorkIsSeenUnderThePointerAndLeftOutWithShift() {
    page.navigate(url("/studies/" + study + "/rules?open=eye-height"));
    Locator reading = act("eye-height").locator(".reading").first();
    Locator dot = reading.locator("a[data-work]").first();
    dot.hover();
    assertThat(page.locator("#peek")).isVisible();
    assertThat(page.locator("#peek figcaption")).hasText("Work 1");
    dot.click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
    page.locator("#leave-out-reason").fill("a guest drew it");
    requireAccessible("leaving a work out");
    page.locator("#leave-out .btn-ink").click();
    assertThat(reading).containsText("Work 1 is left out");
    assertThat(reading).containsText("a guest drew it");
    reading.locator(".outs button").click();
    assertThat(reading).not().containsText("left out since");
  }

  @Test
  void aScopeIsMovedAndEscapeMovesItBack() {
    page.navigate(url("/studies/" + study + "/rules"));
    page.locator(".scope summary").last().click();
    page.locator(
            ".positions a", new com.microsoft.playwright.Page.LocatorOptions().setHasText("keen"))
        .click();
    assertThat(page).hasURL(Pattern.compile("mood=keen$"));
    assertThat(page.locator(".scopes")).containsText("stay.");
    requireAccessible("rules of one mood");
    page.keyboard().press("Escape");
    assertThat(page).hasURL(Pattern.compile("/rules$"));
    page.locator("#find").fill("eyes");
    assertThat(act("heads-tall")).isHidden();
    page.locator("#find").fill("");
    page.locator(
            ".groups button", new com.microsoft.playwright.Page.LocatorOptions().setHasText("Face"))
        .click();
    assertThat(act("heads-tall")).isHidden();
    assertThat(act("eye-height")).isVisible();
  }

  @Test
  void aStatementIsAnsweredForAllWorksByKeysAlone() {
    page.navigate(url("/studies/" + study + "/traits?of=eyes-lash-flicks"));
    assertThat(page.locator(".crop")).hasCount(4);
    for (String key : List.of("n", "n", "t", "n")) {
      page.keyboard().press(key);
    }
    assertThat(page.locator("#tally")).containsText("never");
    assertThat(page.locator("#tally")).containsText("0 yes, 3 no, of 4 works");
    requireAccessible("trait wall");
    page.reload();
    assertThat(page.locator(".crop[data-answer=unclear]")).hasCount(1);
    // The same answer again takes it away.
    page.locator(".crop").first().focus();
    page.keyboard().press("n");
    assertThat(page.locator("#tally")).containsText("0 yes, 2 no");
  }

  @Test
  void twoKindsOfPicturesAreHeldSideBySide() {
    page.navigate(url("/studies/" + study + "/rules"));
    page.getByText("Compare", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
        .click();
    assertThat(page.locator("h1")).hasText("Held side by side");
    page.locator(".left section").last().locator("a").last().click();
    assertThat(page).hasURL(Pattern.compile("other=mood"));
    assertThat(page.locator(".right")).containsText("What both do alike");
    requireAccessible("compare");
  }
}
