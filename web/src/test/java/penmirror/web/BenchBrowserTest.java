package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;

/** The bench by hand: pointing, dragging, keys, two windows, a lost connection. */
class BenchBrowserTest extends BrowserTest {
  @Autowired Intake intake;
  @Autowired MarkingStore markings;

  private long study;
  private long work;

  @BeforeEach
  void openTheBench() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "by hand");
    work =
        ((Intake.Taken)
                intake.take(
                    study, source(1).png(), Work.Role.SOURCE, "Pell", "by hand", View.FRONT))
            .workId();
    openBench(page);
  }

  @Test
  void aClickPlacesThePointAndGoesOnToTheNext() {
    click(new Point(620, 180));
    assertThat(page.locator("#roll li.now .name")).hasText("Chin");
    Point crown = kept(Landmark.CROWN);
    assertThat(crown.distanceTo(new Point(620, 180))).isLessThan(2);
  }

  @Test
  void fourPointsGiveTheFirstReading() {
    click(new Point(632, 184));
    click(new Point(644, 416));
    page.locator("[data-landmark='sole']").click();
    click(new Point(624, 1160));
    assertThat(page.locator(".rd[data-measure='stature.heads'] b")).hasText("4.20");
    assertThat(page.locator(".rd[data-measure='stature.heads'] b")).isVisible();
    assertThat(page.locator(".rd[data-measure='eye.line'] .waits-for")).containsText("more points");
    assertThat(page.locator("#head-note")).containsText("1 head = 232 px");
  }

  @Test
  void draggingMovesThePointAndTheReadingFollows() {
    click(new Point(632, 184));
    click(new Point(632, 416));
    page.locator("[data-landmark='sole']").click();
    click(new Point(632, 1112));
    assertThat(page.locator(".rd[data-measure='stature.heads'] b")).hasText("4.00");
    double[] from = onScreen(new Point(632, 1112));
    double[] to = onScreen(new Point(632, 1228));
    page.mouse().move(from[0], from[1]);
    page.mouse().down();
    page.mouse().move(to[0], to[1], new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
    assertThat(page.locator(".rd[data-measure='stature.heads'] b")).hasText("4.50");
    page.mouse().up();
    assertThat(page.locator("#kept")).hasText("Kept");
    assertThat(kept(Landmark.SOLE).y()).isCloseTo(1228, offset(3.0));
  }

  @Test
  void keysAloneMarkNudgeHideAndTakeBack() {
    page.locator("#bench").focus();
    page.keyboard().press("Enter");
    assertThat(page.locator("#roll li.now .name")).hasText("Chin");
    page.keyboard().press("Shift+Tab");
    Point before = kept(Landmark.CROWN);
    page.keyboard().press("ArrowRight");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(page.locator("#say"))
        .containsText(text(before.x() + 1) + ", " + text(before.y() + 10));
    page.keyboard().press("u");
    assertThat(page.locator("#roll li.now em")).hasText("unsure");
    page.keyboard().press("z");
    page.keyboard().press("z");
    page.keyboard().press("z");
    assertThat(page.locator("#roll li.now em")).hasText("");
    page.keyboard().press("n");
    assertThat(page.locator("#roll li").first().locator("em")).hasText("not seen");
    assertThat(page.locator("#kept")).hasText("Kept");
    assertThat(markings.newest(work, View.FRONT).marks().isHidden(Landmark.CROWN)).isTrue();
  }

  @Test
  void zoomGoesToThePointAndFitComesBack() {
    String whole = page.locator("#art").getAttribute("viewBox");
    double[] eye = onScreen(new Point(556, 386));
    page.mouse().move(eye[0], eye[1]);
    page.mouse().wheel(0, -900);
    until("whole => document.getElementById('art').getAttribute('viewBox') !== whole", whole);
    double[] still = onScreen(new Point(556, 386));
    // The wheel tells whole pixels of the window; six times closer a pixel is six.
    assertThat(still[0]).isCloseTo(eye[0], offset(6.5));
    assertThat(still[1]).isCloseTo(eye[1], offset(6.5));
    page.keyboard().press("0");
    assertThat(page.locator("#art")).hasAttribute("viewBox", whole);
  }

  @Test
  void theLoupeShowsWhatLiesUnderThePointer() {
    double[] at = onScreen(new Point(700, 400));
    page.mouse().move(at[0], at[1]);
    assertThat(page.locator("#loupe-place"))
        .hasText(Pattern.compile("(699|700|701), (399|400|401)"));
  }

  /** Two windows on one picture: the second is told, its points stay, and either may win. */
  @Test
  void aSecondWindowIsToldAndLosesNothing() {
    Page other = context.newPage();
    openBench(other);
    click(new Point(632, 184));
    assertThat(page.locator("#kept")).hasText("Kept");

    other.locator("#bench").focus();
    other.keyboard().press("Enter");
    assertThat(other.locator("#faults")).containsText("marked in another window");
    assertThat(other.locator("#conflict")).isVisible();
    assertThat(kept(Landmark.CROWN).distanceTo(new Point(632, 184))).isLessThan(2);

    other.locator("[data-conflict='mine']").click();
    assertThat(other.locator("#kept")).hasText("Kept");
    assertThat(markings.newest(work, View.FRONT).version()).isEqualTo(2);
  }

  @Test
  void theOtherMarkingCanBeShownInstead() {
    Page other = context.newPage();
    openBench(other);
    click(new Point(632, 184));
    assertThat(page.locator("#kept")).hasText("Kept");
    other.locator("#bench").focus();
    other.keyboard().press("Enter");
    other.locator("[data-conflict='theirs']").click();
    assertThat(other.locator("#placed")).hasText("1 of 16");
    assertThat(other.locator("#conflict")).isHidden();
    assertThat(markings.newest(work, View.FRONT).version()).isEqualTo(1);
  }

  /** The connection is gone while marking: points stay in the page and go out when it is back. */
  @Test
  void aLostConnectionLosesNoPoint() {
    page.route("**/marks", Route::abort);
    click(new Point(632, 184));
    click(new Point(644, 516));
    assertThat(page.locator("#kept")).containsText("Not kept yet");
    assertThat(markings.newest(work, View.FRONT).version()).isZero();
    page.unroute("**/marks");
    assertThat(page.locator("#kept")).hasText("Kept");
    assertThat(kept(Landmark.CHIN).distanceTo(new Point(644, 516))).isLessThan(2);
  }

  @Test
  void pointsThatNeverLeftThePageComeBackAfterAReload() {
    page.route("**/marks", Route::abort);
    click(new Point(632, 184));
    assertThat(page.locator("#kept")).containsText("Not kept yet");
    page.unroute("**/marks");
    page.reload();
    assertThat(page.locator("#placed")).hasText("1 of 16");
    assertThat(page.locator("#kept")).hasText("Kept");
    assertThat(kept(Landmark.CROWN).distanceTo(new Point(632, 184))).isLessThan(2);
  }

  @Test
  void aSmallWindowStillHasPictureRollAndReadings() {
    page.setViewportSize(600, 900);
    assertThat(page.locator("#art")).isVisible();
    assertThat(page.locator("#roll")).isVisible();
    assertThat(page.locator("#readings")).isVisible();
    click(new Point(632, 184));
    assertThat(page.locator("#kept")).hasText("Kept");
    assertThat(kept(Landmark.CROWN).distanceTo(new Point(632, 184))).isLessThan(4);
  }

  @Test
  void marksThatAreThereAreShownAgain() {
    Marks marks = Marks.none(View.FRONT).with(Landmark.CROWN, Mark.placed(600.25, 150));
    markings.save(work, 0, marks);
    page.reload();
    assertThat(page.locator("#placed")).hasText("1 of 16");
    assertThat(page.locator("#marks [data-landmark='crown']"))
        .hasAttribute("transform", java.util.regex.Pattern.compile("translate\\(600.25 150\\).*"));
  }

  private void openBench(Page window) {
    window.addInitScript("localStorage.setItem('pen-mirror-proposals', 'off')");
    window.navigate(url("/studies/" + study + "/works/" + work + "/measure"));
    window.waitForLoadState();
    window.waitForSelector("#roll li.now");
  }

  private void click(Point picture) {
    double[] at = onScreen(picture);
    page.mouse().click(at[0], at[1]);
  }

  /** Where the landmark is kept, once the page says so. */
  private Point kept(Landmark landmark) {
    assertThat(page.locator("#kept")).hasText("Kept");
    return markings.newest(work, View.FRONT).marks().point(landmark).orElseThrow();
  }

  private static String text(double value) {
    return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
  }
}
