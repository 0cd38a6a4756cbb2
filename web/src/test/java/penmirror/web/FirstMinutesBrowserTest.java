package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.FilePayload;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.awaitility.core.ConditionTimeoutException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.gather.Intake;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.sight.FirstLooking;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The first ten minutes: the machine looks first, and somebody looks it over. */
class FirstMinutesBrowserTest extends BrowserTest {
  @Autowired WorkStore works;
  @Autowired MarkingStore markings;
  @Autowired SheetMaker sheets;
  @Autowired Intake intake;
  @Autowired PixelReadingStore readings;
  @Autowired FirstLooking firstLooking;

  @AfterEach
  void nothingWasComplainedOf() {
    assertThat(complaints).isEmpty();
    assertThat(barriers).isEmpty();
  }

  /** From nothing to first answers, and by keyboard alone to rules. */
  @Test
  void droppedPicturesBecomeAnswersAndOnceLookedThroughRules() {
    page.navigate(url("/"));
    page.waitForLoadState();
    requireAccessible("library without a study");
    assertThat(page.locator(".ways")).isVisible();
    drop();
    page.waitForURL("**/gather");
    assertThat(page.locator("h1 + .what")).hasText("lantern barge");
    assertThat(page.locator(".tile")).hasCount(3);
    assertThat(page.locator(".tile .glimpse")).hasCount(3);
    assertThat(page.locator(".sight").last()).containsText("heads tall");
    assertThat(page.locator(".sight").last()).containsText("Eyes at six tenths");
    assertThat(page.locator(".gap")).hasCount(0);
    requireAccessible("wall at first sight");
    Study study = studies.all().get(studies.all().size() - 1);
    assertThat(sheets.sheetOf(study).rules()).as("rules before anybody has looked").isEmpty();

    page.keyboard().press("l");
    page.waitForURL("**/through");
    assertThat(page.locator("#question")).containsText("?");
    requireAccessible("looking through");
    String before = page.locator("#far").textContent();
    assertThat(before).isEqualTo("0 of 3");
    for (int i = 0; i < 60 && page.locator("#none").isHidden(); i++) {
      page.keyboard().press("Enter");
      page.waitForTimeout(150);
    }
    assertThat(page.locator("#none")).isVisible();
    assertThat(page.locator("#done-count")).hasText("3 looked at");
    assertThat(sheets.sheetOf(study).rules()).as("rules once looked at").isNotEmpty();
    for (Work work : works.inRole(study.id(), Work.Role.SOURCE)) {
      Marks marks = markings.newest(work.id(), work.view()).marks();
      assertThat(work.lookedAt()).isTrue();
      assertThat(marks.confirmed().headFrame()).as(work.title()).isPresent();
    }
  }

  /** A point is nudged and taken back, one is not in the picture, a work is left out. */
  @Test
  void whatIsWrongIsPutRightByKeys() {
    Work work = lookedAtByTheMachine();
    page.navigate(url("/studies/" + work.studyId() + "/through"));
    assertThat(page.locator("#question")).containsText("Is this");
    Locator point = page.locator("#face .point.active");
    while (point.count() == 0) {
      page.keyboard().press("Enter");
      page.waitForTimeout(100);
    }
    String key = point.getAttribute("data-key");
    String at = point.getAttribute("transform");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(point).not().hasAttribute("transform", at);
    page.keyboard().press("z");
    assertThat(point).hasAttribute("transform", at);
    page.keyboard().press("n");
    assertThat(page.locator("#face .point[data-key='" + key + "']")).hasCount(0);
    page.keyboard().press("m");
    assertThat(page.locator("[data-turn='mood'] em")).not().hasText("not said");
    page.keyboard().press("x");
    assertThat(page.locator("#none")).isVisible();
    Work now = works.require(work.studyId(), work.id());
    assertThat(now.leftOut()).isTrue();
    assertThat(now.lookedAt()).isFalse();
  }

  /** After a click on a tag Enter says that it looks right; it does not turn the tag on. */
  @Test
  void aClickedTagLeavesTheKeysToThePicture() {
    Work work = lookedAtByTheMachine();
    page.navigate(url("/studies/" + work.studyId() + "/through"));
    page.waitForSelector("#card:visible");
    Locator mood = page.locator("[data-turn='mood'] em");
    String before = mood.textContent();
    page.locator("[data-turn='mood']").click();
    assertThat(mood).not().hasText(before);
    String turned = mood.textContent();
    String asked = page.locator("#doubts").textContent();
    page.keyboard().press("Enter");
    assertThat(page.locator("#doubts")).not().hasText(asked);
    assertThat(mood).hasText(turned);
  }

  @Test
  void aFingerLooksThroughToo() {
    Work work = lookedAtByTheMachine();
    page.context().close();
    context =
        page.context()
            .browser()
            .newContext(
                new Browser.NewContextOptions().setViewportSize(820, 1100).setHasTouch(true));
    page = context.newPage();
    page.navigate(url("/studies/" + work.studyId() + "/through"));
    page.waitForSelector("#card:visible");
    for (int i = 0; i < 30 && page.locator("#none").isHidden(); i++) {
      try {
        page.locator("[data-do='right']").tap(new Locator.TapOptions().setTimeout(1000));
      } catch (TimeoutError e) {
        // The card went while the finger was on its way.
        continue;
      }
      page.waitForTimeout(150);
    }
    assertThat(page.locator("#none")).isVisible();
    assertThat(works.require(work.studyId(), work.id()).lookedAt()).isTrue();
  }

  /** Two windows: what the first says stands, the second is told. */
  @Test
  void aSecondWindowDoesNotSayItAgain() {
    Work work = lookedAtByTheMachine();
    page.navigate(url("/studies/" + work.studyId() + "/through"));
    page.waitForSelector("#card:visible");
    works.describe(work.id(), "Said elsewhere", work.credit(), View.SIDE);
    for (int i = 0; i < 30 && page.locator("#fault").isHidden(); i++) {
      page.keyboard().press("Enter");
      page.waitForTimeout(150);
    }
    assertThat(page.locator("#fault")).containsText("in another window");
    assertThat(works.require(work.studyId(), work.id()).view()).isEqualTo(View.SIDE);
    complaints.removeIf(complaint -> complaint.contains("409"));
  }

  /** The bench opens with what was seen, and keeps nothing of it until a hand confirms it. */
  @Test
  void theBenchOpensWithItsProposals() {
    Work work = lookedAtByTheMachine();
    page.navigate(url("/studies/" + work.studyId() + "/works/" + work.id() + "/measure"));
    assertThat(page.locator("#proposed")).containsText("proposed");
    assertThat(page.locator("#marks .mark").first()).isVisible();
    assertThat(markings.newest(work.id(), work.view()).version()).isZero();
    page.locator("#confirm").click();
    assertThat(page.locator("#kept")).hasText("Kept");
    assertThat(works.require(work.studyId(), work.id()).lookedAt()).isTrue();
  }

  /** A redraw dropped on the plan is a verdict at once, and what is not sure is asked on it. */
  @Test
  void aDroppedRedrawBecomesAVerdict() {
    long study = studies.begin("The Lantern Barge", "Odile Marrow", "", "by hand");
    for (int i = 1; i <= 3; i++) {
      Work work = take(study, i, Work.Role.SOURCE);
      works.describe(work.id(), work.title(), "", source(i).truth().view());
      markings.save(work.id(), 0, source(i).truth());
    }
    page.navigate(url("/studies/" + study + "/plan"));
    page.waitForLoadState();
    page.locator("#redraw-file").setInputFiles(payload(redraw(1)));
    page.waitForURL("**/mirror/*");
    // The three changes stand without a visit to the bench; they settle as the questions are
    // answered.
    assertThat(page.locator(".three li").first()).isVisible();
    Work dropped = works.inRole(study, Work.Role.REDRAW).get(0);
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(dropped.id()).state() == PixelReadingStore.State.READ);
    page.reload();
    assertThat(page.locator("#asking h2")).containsText("?");
    // Nothing is promised while a question is open.
    assertThat(page.locator(".so-far")).isVisible();
    assertThat(page.locator("#mended")).isHidden();
    assertThat(page.locator("#belongs")).isHidden();
    requireAccessible("verdict with a question");
    page.locator("#asking svg").focus();
    page.keyboard().press("Enter");
    await()
        .atMost(Duration.ofSeconds(20))
        .until(() -> markings.newest(dropped.id(), dropped.view()).version() == 1);
    Work redraw = works.inRole(study, Work.Role.REDRAW).get(0);
    Marks marks = markings.newest(redraw.id(), redraw.view()).marks();
    assertThat(marks.confirmed().landmarks()).isNotEmpty();
    assertThat(marks.landmarks()).hasSizeGreaterThan(marks.confirmed().landmarks().size());
    // Once the head is said to lie where it lies, the eyes are too high: so it was drawn.
    for (int i = 0; i < 20 && isAsked(redraw); i++) {
      answer(redraw);
    }
    assertThat(page.locator(".fix", new Page.LocatorOptions().setHasText("ower both eyes")))
        .hasCount(1);
    assertThat(page.locator(".so-far")).isHidden();
    assertThat(page.locator("#mended")).isVisible();
  }

  private boolean isAsked(Work redraw) {
    String open = "/studies/" + redraw.studyId() + "/works/" + redraw.id() + "/open.json";
    return page.request().get(url(open)).status() == 200;
  }

  /** As somebody would who sees where the point belongs. */
  private void answer(Work redraw) {
    int before = markings.newest(redraw.id(), redraw.view()).version();
    try {
      // The question stands once its script has begun, not as soon as the page is there.
      String key =
          page.waitForSelector("#asking[data-point-asked]:visible")
              .getAttribute("data-point-asked");
      if (key == null) {
        return; // The page was made anew just then, and asks again.
      }
      Optional<Point> truth = Landmark.ofKey(key).flatMap(l -> redraw(1).truth().point(l));
      if (truth.isPresent()) {
        page.evaluate(
            "([x, y]) => { const svg = document.querySelector('#asking svg');"
                + " const p = new DOMPoint(x, y).matrixTransform(svg.getScreenCTM());"
                + " svg.dispatchEvent(new PointerEvent('pointerdown',"
                + "   {bubbles: true, clientX: p.x, clientY: p.y, button: 0})); }",
            List.of(truth.get().x(), truth.get().y()));
      }
      boolean isThere = truth.isPresent() || key.isEmpty();
      page.locator("[data-answer='" + (isThere ? "right" : "hidden") + "']").click();
      await()
          .atMost(Duration.ofSeconds(20))
          .until(() -> markings.newest(redraw.id(), redraw.view()).version() > before);
      page.waitForTimeout(300);
    } catch (ConditionTimeoutException e) {
      // The page was made anew under the click: the question is still open and is answered again.
      page.reload();
    } catch (PlaywrightException e) {
      // What the pixels tell came in between, and the page was made anew with it.
      assertThat(e.getMessage()).contains("navigation");
    }
  }

  private Work lookedAtByTheMachine() {
    long study = studies.begin("The Lantern Barge", "Odile Marrow", "", "by hand");
    Work work = take(study, 1, Work.Role.SOURCE);
    assertThat(firstLooking.now(work)).isPresent();
    return works.require(study, work.id());
  }

  private Work take(long study, int number, Work.Role role) {
    Intake.Taken taken =
        (Intake.Taken)
            intake.take(study, source(number).png(), role, source(number).title(), "", View.FRONT);
    return works.require(study, taken.workId());
  }

  private void drop() {
    page.locator("#pictures")
        .setInputFiles(
            List.of(1, 2, 3).stream().map(i -> payload(source(i))).toArray(FilePayload[]::new));
  }
}
