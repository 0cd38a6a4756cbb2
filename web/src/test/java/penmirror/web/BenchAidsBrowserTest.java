package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;

/** What makes marking fast and exact: proposals, questions, the other side, snapping, rulers. */
class BenchAidsBrowserTest extends BrowserTest {
  @Autowired Intake intake;
  @Autowired MarkingStore markings;

  private long study;
  private long work;

  @BeforeEach
  void openTheBench() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "by hand");
    work = take(source(1));
    open(page);
  }

  @Test
  void pointsAreProposedConfirmedAndTakenBack() {
    page.locator("#propose").click();
    assertThat(page.locator("#proposed")).containsText("doubtful");
    Marks proposed = marks();
    assertThat(proposed.landmarks().get(Landmark.EYE_L_OUTER).state())
        .isEqualTo(Mark.State.PROPOSED);
    double head = source(1).truth().headFrame().orElseThrow().headPixels();
    for (Landmark landmark : List.of(Landmark.EYE_L_OUTER, Landmark.EYE_R_OUTER, Landmark.SOLE)) {
      double off =
          landmark == Landmark.SOLE
              ? proposed.require(landmark).y() - source(1).truth().require(landmark).y()
              : proposed.require(landmark).distanceTo(source(1).truth().require(landmark));
      assertThat(Math.abs(off)).as(landmark.key()).isLessThan(0.05 * head);
    }

    page.locator("#confirm").click();
    assertThat(page.locator("#confirm")).isHidden();
    assertThat(marks().landmarks().values()).allMatch(mark -> mark.state() == Mark.State.PLACED);
    page.locator("[data-tool='undo']").click();
    assertThat(page.locator("#confirm")).isVisible();
    page.locator("[data-tool='redo']").click();
    assertThat(page.locator("#confirm")).isHidden();
  }

  /** By keyboard alone: ask, go through the doubtful ones, confirm the rest. */
  @Test
  void proposalsByKeyboardAlone() {
    page.locator("#bench").focus();
    page.keyboard().press("p");
    assertThat(page.locator("#proposed")).containsText("doubtful");
    page.keyboard().press("d");
    String doubtful = page.locator("#roll li.now button").getAttribute("data-landmark");
    page.keyboard().press("ArrowLeft");
    Landmark moved = Landmark.ofKey(doubtful).orElseThrow();
    assertThat(marks().landmarks().get(moved).state()).isEqualTo(Mark.State.PLACED);
    page.keyboard().press("d");
    page.keyboard().press("Enter");
    page.keyboard().press("a");
    assertThat(page.locator("#confirm")).isHidden();
    assertThat(marks().landmarks().values()).noneMatch(mark -> mark.state() == Mark.State.PROPOSED);
  }

  /**
   * Marking in full from proposals, three works of the study being marked: asking, confirming, and
   * one action for each point that lies off or is missing. Counted, and held against the truth.
   */
  @Test
  void aFullSetTakesFewActions() {
    List<DrawnWork> works = List.of(source(2), source(3), source(4));
    for (DrawnWork marked : works) {
      long id = take(marked);
      markings.save(id, 0, marked.truth());
    }
    open(page);
    page.locator("#ask").selectOption("full");
    int actions = 1;
    page.locator("#propose").click();
    actions++;
    assertThat(page.locator("#proposed")).containsText("doubtful");
    Marks truth = source(1).truth();
    double near = 0.04 * truth.headFrame().orElseThrow().headPixels();
    for (Landmark landmark : truth.landmarks().keySet()) {
      if (truth.point(landmark).isEmpty()) {
        continue;
      }
      Mark before = marks().landmarks().get(landmark);
      if (before == null) {
        page.locator("#roll [data-landmark='" + landmark.key() + "']").click();
        click(truth.require(landmark));
        actions += 2;
      } else if (before.point().orElseThrow().distanceTo(truth.require(landmark)) > near) {
        page.locator("#roll [data-landmark='" + landmark.key() + "']").click();
        drag(before.point().orElseThrow(), truth.require(landmark));
        actions++;
      }
      if (actions > 80) {
        break;
      }
    }
    page.locator("#confirm").click();
    actions++;
    Marks done = marks();
    for (Landmark landmark : truth.landmarks().keySet()) {
      truth
          .point(landmark)
          .ifPresent(
              place ->
                  assertThat(done.point(landmark).orElseThrow().distanceTo(place))
                      .as(landmark.key())
                      .isLessThan(near + 3));
    }
    // This figure raises its arm, which no other does; the median over the studio is lower.
    System.out.println("Actions for a full set from proposals: " + actions);
    assertThat(actions).isLessThanOrEqualTo(60);
  }

  @Test
  void aQuestionAsksForItsPointsOnlyAndIsAnswered() {
    page.locator("#ask").selectOption("eye.spacing");
    assertThat(page.locator("#roll li:visible")).hasCount(4);
    assertThat(page.locator("#placed")).hasText("0 of 4");
    for (double x : new double[] {500, 560, 640, 700}) {
      click(new Point(x, 380));
    }
    Locator answer = page.locator(".rd[data-measure='eye.spacing'] b");
    assertThat(answer).hasText("1.33");
    assertThat(answer).isVisible();
    page.reload();
    assertThat(page.locator("#ask")).hasValue("eye.spacing");
  }

  @Test
  void theOrderIsTheUsers() {
    page.locator("#sequence").selectOption("eyes");
    assertThat(page.locator("#roll li:visible").first().locator(".name"))
        .hasText("Left eye, outer");
    page.locator("#sequence").selectOption("jaw");
    assertThat(page.locator("#roll li:visible").nth(2).locator(".name")).hasText("Cheek, left");
  }

  @Test
  void theOtherSideIsMirroredAboutTheHeadsAxis() {
    click(new Point(600, 180));
    click(new Point(640, 420));
    page.locator("#roll [data-landmark='cheek_l']").click();
    click(new Point(500, 340));
    page.locator("#roll [data-landmark='cheek_l']").click();
    page.locator("#bench").focus();
    page.keyboard().press("m");
    Marks marks = marks();
    Point middle = marks.require(Landmark.CHEEK_L).midpointTo(marks.require(Landmark.CHEEK_R));
    assertThat(marks.headFrame().orElseThrow().sideways(middle)).isCloseTo(0, offset(0.003));
    assertThat(marks.headFrame().orElseThrow().height(marks.require(Landmark.CHEEK_R)))
        .isCloseTo(
            marks.headFrame().orElseThrow().height(marks.require(Landmark.CHEEK_L)), offset(0.003));

    page.keyboard().press("b");
    page.locator("#roll [data-landmark='cheek_l']").click();
    page.keyboard().press("Shift+ArrowLeft");
    Point moved = marks().require(Landmark.CHEEK_L).midpointTo(marks().require(Landmark.CHEEK_R));
    assertThat(marks().headFrame().orElseThrow().sideways(moved)).isCloseTo(0, offset(0.003));
  }

  /** The coat's outline runs down near here: with snapping the point lands on dark. */
  @Test
  void snappingPutsAPointOnTheLine() {
    page.locator("[data-switch='snap']").click();
    page.locator("[data-zoom='in']").click();
    page.locator("[data-zoom='in']").click();
    Point chin = source(1).truth().require(Landmark.CHIN);
    page.waitForTimeout(300);
    click(chin.plus(new Point(0, -4)));
    assertThat(page.locator("#say")).not().hasText("");
    Point placed = marks().require(Landmark.CROWN);
    assertThat(placed.distanceTo(chin)).isLessThan(25);
    assertThat(placed).isNotEqualTo(chin.plus(new Point(0, -4)));
  }

  @Test
  void aRulerTellsLengthAndAngle() {
    click(new Point(600, 200));
    click(new Point(600, 400));
    page.keyboard().press("r");
    click(new Point(500, 500));
    click(new Point(600, 500));
    assertThat(page.locator("#measured")).containsText("0.5");
    click(new Point(600, 600));
    assertThat(page.locator("#measured")).containsText(Pattern.compile("(89|90)\\.\\d°"));
    page.keyboard().press("r");
    assertThat(page.locator("#measured")).isHidden();
    assertThat(page.locator("#placed")).hasText("2 of 16");
  }

  @Test
  void anIrisByThreePointsOfItsRim() {
    page.locator("#ask").selectOption("full");
    page.locator("[data-landmark='iris_l_centre']").click();
    page.locator("[data-tool='circle']").click();
    for (int degrees : new int[] {0, 100, 200}) {
      double angle = Math.toRadians(degrees);
      click(new Point(560 + 40 * Math.cos(angle), 380 + 40 * Math.sin(angle)));
    }
    Marks marks = marks();
    assertThat(marks.require(Landmark.IRIS_L_CENTRE).distanceTo(new Point(560, 380))).isLessThan(3);
    assertThat(marks.distance(Landmark.IRIS_L_CENTRE, Landmark.IRIS_L_EDGE))
        .isCloseTo(40, offset(3.0));
  }

  /** Said at once, at the point, in words. */
  @Test
  void pointsThatCannotLieSoAreSaidAtThePoint() {
    click(new Point(600, 420));
    click(new Point(600, 200));
    assertThat(page.locator(".doubts li")).containsText("lies below the chin");
    page.locator("#roll [data-landmark='crown']").click();
    assertThat(page.locator("#about-doubt")).containsText("lies below the chin");
    assertThat(page.locator("#marks [data-landmark='crown'] .doubted")).hasCount(1);
    page.keyboard().press("z");
    page.keyboard().press("z");
    assertThat(page.locator(".doubts li")).hasCount(0);
  }

  @Test
  void aGuessIsTakenBeforeTheReadingIsShown() {
    click(new Point(632, 184));
    click(new Point(632, 416));
    page.locator("[data-landmark='sole']").click();
    click(new Point(632, 1112));
    Locator row = page.locator(".rd[data-measure='stature.heads']");
    assertThat(row.locator("b")).hasText("4.00");
    page.locator("#guess").check();
    assertThat(row.locator("b")).isHidden();
    row.locator("input").fill("4,5");
    row.locator("input").press("Enter");
    assertThat(row.locator(".guessed")).hasText("0.50 heads too high");
    assertThat(row.locator("b")).isVisible();
    page.locator("#guess").uncheck();
  }

  @Test
  void markingTwiceHidesTheFirstAndTellsHowFarApart() {
    click(new Point(600, 200));
    click(new Point(600, 400));
    assertThat(page.locator("#kept")).hasText("Kept");
    page.locator("details.more summary").click();
    page.locator("#repeat").click();
    assertThat(page.locator("#placed")).hasText("0 of 16");
    click(new Point(600, 210));
    click(new Point(600, 400));
    page.locator("#repeat").click();
    assertThat(page.locator("#repeat-outcome")).containsText("1 work is marked twice");
    assertThat(page.locator("#repeat-outcome tbody tr").first()).containsText("Crown");
    assertThat(page.locator("#placed")).hasText("2 of 16");
    assertThat(marks().require(Landmark.CROWN).distanceTo(new Point(600, 200))).isLessThan(3);
  }

  /**
   * Redo once brought the first marking back into the second, and a reload saved the second as it.
   */
  @Test
  void theSecondMarkingSeesNothingOfTheFirstAndNeverTakesItsPlace() {
    click(new Point(600, 200));
    click(new Point(600, 400));
    assertThat(page.locator("#kept")).hasText("Kept");
    page.keyboard().press("Control+z");
    assertThat(page.locator("#kept")).hasText("Kept");
    page.reload();
    page.locator("details.more summary").click();
    page.locator("#repeat").click();
    assertThat(page.locator(".history button").first()).isDisabled();
    page.locator("#bench").focus();
    page.keyboard().press("Control+Shift+Z");
    page.keyboard().press("Control+z");
    assertThat(page.locator("#placed")).hasText("0 of 16");
    click(new Point(640, 260));
    page.reload();
    page.locator("#bench").focus();
    assertThat(page.locator("#placed")).hasText("1 of 16");
    page.keyboard().press("Control+Shift+Z");
    assertThat(page.locator("#placed")).hasText("2 of 16");
    assertThat(page.locator("#kept")).hasText("Kept");
    assertThat(marks().require(Landmark.CROWN).distanceTo(new Point(600, 200))).isLessThan(3);
    assertThat(marks().require(Landmark.CHIN).distanceTo(new Point(600, 400))).isLessThan(3);
  }

  @Test
  void earlierMarkingsStandWithTheirMakerAndCanBeLaidUnder() {
    page.locator("details.more summary").click();
    page.locator("#by").fill("Tilda Ames");
    page.locator("#by").blur();
    click(new Point(600, 200));
    assertThat(page.locator("#kept")).hasText("Kept");
    page.keyboard().press("Shift+Tab");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(page.locator("#kept")).hasText("Kept");
    page.reload();
    page.locator("details.more summary").click();
    assertThat(page.locator(".history li")).hasCount(2);
    assertThat(page.locator(".history li").first()).containsText("Tilda Ames");
    page.locator(".history button").nth(1).click();
    assertThat(page.locator("#compared")).containsText("1 point lies elsewhere");
    assertThat(page.locator("#earlier circle")).hasCount(1);
  }

  /** On a tablet: no hover, no keys; tap to place, press and pull to move. */
  @Test
  void byTouchAlone() {
    try (var tablet =
        page.context()
            .browser()
            .newContext(
                new Browser.NewContextOptions()
                    .setViewportSize(820, 1180)
                    .setHasTouch(true)
                    .setIsMobile(true))) {
      Page touch = tablet.newPage();
      page = touch;
      open(touch);
      touch.locator("#propose").tap();
      assertThat(touch.locator("#proposed")).containsText("doubtful");
      touch.locator("#confirm").tap();
      assertThat(touch.locator("#confirm")).isHidden();
      // Each tap is told to the page later than the test goes on.
      Locator sole = touch.locator("#roll li:has([data-landmark='sole'])");
      sole.locator("button").tap();
      assertThat(sole).hasClass(Pattern.compile("\\bnow\\b"));
      String before = touch.locator("#placed").textContent();
      touch.locator("[data-tool='remove']").tap();
      assertThat(touch.locator("#placed")).not().hasText(before);
      touch.locator("#art").scrollIntoViewIfNeeded();
      double[] at = onScreen(new Point(600, 900));
      touch.touchscreen().tap(at[0], at[1]);
      assertThat(touch.locator("#placed")).hasText(before);
      assertThat(marks().require(Landmark.SOLE).distanceTo(new Point(600, 900))).isLessThan(4);
      for (String target : List.of("#propose", "[data-tool='undo']", "[data-switch='snap']")) {
        assertThat(touch.locator(target).boundingBox().height)
            .as(target)
            .isGreaterThanOrEqualTo(44);
      }
    }
  }

  @Test
  void statementsAreTickedByKeyboard() {
    page.navigate(url("/studies/" + study + "/works/" + work + "/statements"));
    page.keyboard().press("ArrowDown");
    page.keyboard().press("y");
    page.keyboard().press("n");
    assertThat(page.locator("#ticked")).hasText("Kept");
    page.reload();
    assertThat(page.locator("tr[data-answer='yes']")).hasCount(1);
    assertThat(page.locator("tr[data-answer='no']")).hasCount(1);
    page.locator("#text").fill("Freckles");
    page.getByText("Add to the list").click();
    assertThat(page.locator("#statements")).containsText("Freckles");
    requireAccessible("statements");
    assertThat(barriers).isEmpty();
  }

  @Test
  void theBenchIsAccessible() {
    requireAccessible("bench");
    assertThat(barriers).isEmpty();
    assertThat(complaints).isEmpty();
  }

  private long take(DrawnWork drawn) {
    return ((Intake.Taken)
            intake.take(
                study, drawn.png(), Work.Role.SOURCE, drawn.fileName(), "by hand", View.FRONT))
        .workId();
  }

  private void open(Page window) {
    // Points are placed by hand here; that the bench opens with its proposals is tried elsewhere.
    window.addInitScript("localStorage.setItem('pen-mirror-proposals', 'off')");
    window.navigate(url("/studies/" + study + "/works/" + work + "/measure"));
    window.waitForSelector("#roll li.now");
  }

  private void click(Point picture) {
    double[] at = onScreen(picture);
    page.mouse().click(at[0], at[1]);
  }

  private void drag(Point from, Point to) {
    double[] start = onScreen(from);
    double[] end = onScreen(to);
    page.mouse().move(start[0], start[1]);
    page.mouse().down();
    page.mouse().move(end[0], end[1]);
    page.mouse().up();
  }

  /** As kept, once the page says so. */
  private Marks marks() {
    assertThat(page.locator("#kept")).hasText("Kept");
    return markings.newest(work, View.FRONT).marks();
  }
}
