package penmirror.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.util.Base64;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.View;
import penmirror.web.gather.Intake;
import penmirror.web.storage.generated.Tables;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The wall by mouse and by keyboard. */
class WallBrowserTest extends BrowserTest {
  @Autowired WorkStore works;
  @Autowired WallStore places;
  @Autowired Intake intake;

  private long study;

  @BeforeEach
  void beginAStudy() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
  }

  @AfterEach
  void nothingWasComplainedOf() {
    assertThat(complaints).isEmpty();
    assertThat(barriers).isEmpty();
  }

  @Test
  void picturesComeInByDropZipAndPaste() throws Exception {
    openTheWall();
    send("drop", "one.png", source(1).png());
    assertThat(page.locator(".tile")).hasCount(1);
    ByteArrayOutputStream zipped = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(zipped)) {
      zip.putNextEntry(new ZipEntry("two.png"));
      zip.write(source(2).png());
      zip.putNextEntry(new ZipEntry("bad.png"));
      zip.write("no picture".getBytes());
    }
    page.locator("#files")
        .setInputFiles(new FilePayload("more.zip", "application/zip", zipped.toByteArray()));
    assertThat(page.locator(".tile")).hasCount(2);
    assertThat(page.locator("#uploads .fault")).containsText("more.zip, bad.png was not taken in");
    send("paste", "three.png", source(3).png());
    assertThat(page.locator(".tile")).hasCount(3);
  }

  /** Forty notes among the pictures hide no wall, and one button closes what is said of them. */
  @Test
  void whatCameToNothingIsClosedAtOnce() {
    take(1);
    openTheWall();
    FilePayload[] notes = new FilePayload[40];
    for (int i = 0; i < notes.length; i++) {
      notes[i] = new FilePayload("note " + i + ".png", "image/png", ("Note " + i).getBytes());
    }
    page.locator("#files").setInputFiles(notes);
    assertThat(page.locator("#uploads .fault")).hasCount(notes.length);
    assertThat(page.locator("#uploads").boundingBox().height)
        .isLessThan(0.4 * page.viewportSize().height);
    assertThat(page.locator(".tile").first()).isInViewport();
    page.locator("#uploads .all button").click();
    assertThat(page.locator("#uploads li")).hasCount(0);
    complaints.clear(); // Each refusal is one to the browser.
  }

  /** Stopped while it is on its way: the browser drops the line in the middle of the file. */
  @Test
  void anUploadCutOffHalfWayLeavesNothing() {
    openTheWall();
    Object sentBeforeTheCut =
        page.evaluate(
            "async ([base64]) => {"
                + " const bytes = Uint8Array.from(atob(base64), c => c.charCodeAt(0));"
                + " const body = new FormData();"
                + " body.append('files', new Blob([bytes, new Uint8Array(50e6)]), 'long.png');"
                + " const request = new XMLHttpRequest();"
                + " request.open('POST', document.getElementById('take').action);"
                + " const { headers } = await import('/layout/studio.js');"
                + " Object.entries(headers())"
                + "   .forEach(([key, value]) => request.setRequestHeader(key, value));"
                + " return await new Promise(done => {"
                + "   request.upload.onprogress = event => {"
                + "     if (event.loaded > bytes.length) { request.abort(); done(event.loaded); } };"
                + "   request.onload = () => done(-1);"
                + "   request.send(body); }); }",
            List.of(Base64.getEncoder().encodeToString(source(1).png())));
    assertThat(((Number) sentBeforeTheCut).longValue()).isBetween(1L, 49_000_000L);
    page.waitForTimeout(1500);
    assertThat(works.inRole(study, Work.Role.SOURCE)).isEmpty();
    assertThat(database.fetchCount(Tables.PICTURE)).isZero();
  }

  @Test
  void severalWorksAreTaggedAtOnceAndTheTableFills() {
    take(3);
    openTheWall();
    requireAccessible("wall");
    // The machine has looked and nobody else: what it saw is there by itself, and nothing is
    // missed.
    assertThat(cell("eyes", "front")).hasClass("enough glimpsed");
    assertThat(page.locator(".cov .gap")).hasCount(0);
    assertThat(page.locator(".cost")).hasCount(0);
    page.locator(".tile").nth(0).focus();
    page.keyboard().press("Space");
    page.keyboard().press("ArrowRight");
    page.keyboard().press("Space");
    page.keyboard().press("ArrowRight");
    page.keyboard().press("Space");
    assertThat(page.locator("#chosen-title")).hasText("3 works chosen");
    page.locator("#framing").selectOption("FULL");
    page.locator("#manner").fill("painted");
    page.locator("#save").click();
    assertThat(cell("eyes", "front")).hasText("3");
    works.inRole(study, Work.Role.SOURCE).forEach(work -> works.lookAt(work.id()));
    page.reload();
    assertThat(cell("eyes", "front")).hasClass("enough");
    assertThat(works.inRole(study, Work.Role.SOURCE))
        .allMatch(work -> work.tags().manner().equals("painted"))
        .extracting(Work::title)
        .doesNotHaveDuplicates();

    // What a cell counts can be seen; what it does not count steps back.
    cell("hands", "side").click();
    assertThat(page.locator(".tile.dim")).hasCount(3);
    cell("hands", "front").click();
    assertThat(page.locator(".tile.dim")).hasCount(0);

    // A gap is accepted with a note.
    page.locator(".cost summary", new Page.LocatorOptions().setHasText("Background")).click();
    Locator open = page.locator(".cost[open]");
    open.locator("input[name=note]").fill("plain wash");
    open.locator("button").click();
    assertThat(page.locator(".cost.done")).containsText("Background");
  }

  @Test
  void worksArePlacedByMouseAndByKeyboardAndStayThere() {
    take(2);
    openTheWall();
    button("Placed freely").click();
    page.waitForSelector("#work.free");
    Locator first = page.locator(".tile").nth(0);
    BoundingBox before = first.boundingBox();
    page.mouse().move(before.x + 40, before.y + 40);
    page.mouse().down();
    page.mouse().move(before.x + 90, before.y + 70);
    page.mouse().move(before.x + 190, before.y + 120);
    page.mouse().up();
    assertThat(first.boundingBox().x).isCloseTo(before.x + 150, offset(2.0));
    assertThat(page).hasURL(Pattern.compile("/gather$"));

    Locator second = page.locator(".tile").nth(1);
    second.focus();
    BoundingBox still = second.boundingBox();
    page.keyboard().press("Shift+ArrowDown");
    page.keyboard().press("Shift+ArrowDown");
    page.keyboard().press("]");
    assertThat(second.boundingBox().y).isCloseTo(still.y + 20, offset(2.0));
    assertThat(second.boundingBox().width).isCloseTo(still.width * 1.1, offset(2.0));

    // Grouped, they move together.
    first.focus();
    page.keyboard().press("Space");
    second.focus();
    page.keyboard().press("Space");
    assertThat(page.locator(".tile.more")).hasCount(2);
    page.keyboard().press("g");
    assertThat(page.locator(".tile[data-group]")).hasCount(2);
    page.keyboard().press("Escape");
    assertThat(page.locator(".tile.more")).hasCount(0);
    double alone = fromTheLeft(second);
    first.focus();
    page.keyboard().press("Shift+ArrowRight");
    until(
        "left => Math.abs(document.querySelectorAll('.tile')[1].offsetLeft - left) <= 2",
        alone + 10);

    until("() => !document.querySelector('.tile[data-dirty]')");
    BoundingBox kept = first.boundingBox();
    page.reload();
    assertThat(page.locator(".tile").nth(0).boundingBox().x).isCloseTo(kept.x, offset(2.0));
    assertThat(places.places(study)).hasSize(2);
    button("In rows").click();
    assertThat(page.locator("#order")).isEnabled();
  }

  /** On the wall itself: the window over it scrolls to what is focused. */
  private static double fromTheLeft(Locator tile) {
    return ((Number) tile.evaluate("tile => tile.offsetLeft")).doubleValue();
  }

  @Test
  void theWholeWallIsSeenInGreyFlippedAndCloser() {
    take(2);
    openTheWall();
    Locator image = page.locator(".tile img").first();
    double width = image.boundingBox().width;
    button("Greyscale").click();
    assertThat(image).hasCSS("filter", "grayscale(1)");
    button("Values").click();
    assertThat(image).hasCSS("filter", java.util.regex.Pattern.compile("url"));
    button("Flip").click();
    assertThat(image).hasCSS("transform", "matrix(-1, 0, 0, 1, 0, 0)");
    page.locator("#wall").click(new Locator.ClickOptions().setPosition(600, 5));
    page.keyboard().press("+");
    page.keyboard().press("+");
    until(
        "w => document.querySelector('.tile img').getBoundingClientRect().width > w * 1.2", width);
    button("Colour").click();
    assertThat(image).hasCSS("filter", "none");
  }

  @Test
  void aPartIsPickedByDraggingABoxAndSeenOnTheDesk() {
    take(1);
    openTheWall();
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Look closer")).click();
    requireAccessible("look");
    page.locator(".part-list a", new Page.LocatorOptions().setHasText("Hands")).click();
    drag("#picture", 0.4, 0.3, 0.6, 0.5);
    assertThat(page.locator(".picked figure")).hasCount(1);
    button("Line").click();
    drag("#picture", 0.3, 0.2, 0.7, 0.25);
    assertThat(page.locator("#kept")).hasText("Kept");
    button("Words").click();
    BoundingBox box = page.locator("#picture").boundingBox();
    page.mouse().click(box.x + box.width / 2, box.y + box.height / 2);
    page.locator(".words-field").fill("closed outline");
    page.keyboard().press("Enter");
    assertThat(page.locator("#notes text")).hasText("closed outline");
    page.waitForTimeout(800);
    page.reload();
    assertThat(page.locator("#notes text")).hasText("closed outline");

    page.locator(".picked a").click();
    assertThat(page.locator(".desk svg")).isVisible();
    assertThat(page.locator(".rail")).hasCount(0);
    assertThat(page.locator("body")).hasClass(java.util.regex.Pattern.compile("awake"));
    page.keyboard().press("g");
    assertThat(page.locator("body")).hasClass(java.util.regex.Pattern.compile("grey"));
    String part = page.locator(".desk svg").getAttribute("viewBox");
    page.keyboard().press("0");
    assertThat(page.locator(".desk svg")).not().hasAttribute("viewBox", part);
    requireAccessible("desk");
  }

  @Test
  void theStudysPageFitsAndIsAccessible() {
    take(1);
    page.navigate(url("/studies/" + study + "/scope"));
    requireAccessible("scope");
    page.setViewportSize(600, 900);
    assertThat(page.locator("#kind")).isVisible();
  }

  private void openTheWall() {
    page.navigate(url("/studies/" + study + "/gather"));
    page.waitForLoadState();
  }

  private Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private Locator cell(String part, String view) {
    return page.locator(".cov button[data-part='" + part + "'][data-view='" + view + "']");
  }

  private void drag(String selector, double fromX, double fromY, double toX, double toY) {
    BoundingBox box = page.locator(selector).boundingBox();
    page.mouse().move(box.x + box.width * fromX, box.y + box.height * fromY);
    page.mouse().down();
    page.mouse().move(box.x + box.width * (fromX + toX) / 2, box.y + box.height * fromY);
    page.mouse().move(box.x + box.width * toX, box.y + box.height * toY);
    page.mouse().up();
  }

  private void take(int count) {
    for (int i = 1; i <= count; i++) {
      intake.take(
          study, source(i).png(), Work.Role.SOURCE, source(i).title(), "by hand", View.FRONT);
    }
  }

  private void send(String event, String name, byte[] bytes) {
    page.evaluate(
        "([event, name, base64]) => {"
            + " const bytes = Uint8Array.from(atob(base64), c => c.charCodeAt(0));"
            + " const data = new DataTransfer();"
            + " data.items.add(new File([bytes], name, {type: 'image/png'}));"
            + " const made = event === 'drop'"
            + "   ? new DragEvent('drop', {bubbles: true, cancelable: true, dataTransfer: data})"
            + "   : new ClipboardEvent('paste', {bubbles: true, clipboardData: data});"
            + " document.getElementById('work').dispatchEvent(made); }",
        List.of(event, name, Base64.getEncoder().encodeToString(bytes)));
  }
}
