package penmirror.web;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import penmirror.core.geometry.Point;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.sight.ProposingOnce;

/**
 * A test in Debian's headless Chromium, with nothing fetched from elsewhere. Its shell without
 * windows of its own takes less than half the processor time that the whole browser takes.
 */
abstract class BrowserTest extends DatabaseTest {
  private static Playwright playwright;
  private static Browser browser;

  @LocalServerPort int port;
  @Autowired private ProposingOnce proposing;

  BrowserContext context;
  Page page;
  final List<String> barriers = new ArrayList<>();
  final List<String> complaints = new ArrayList<>();

  @BeforeAll
  static void openTheBrowser() {
    PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
    playwright = startPlaywright();
    browser = launch(playwright);
  }

  static Playwright startPlaywright() {
    return Playwright.create(
        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
  }

  static Browser launch(Playwright playwright) {
    return playwright
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                .setArgs(
                    List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
  }

  @AfterAll
  static void closeTheBrowser() {
    playwright.close();
  }

  @BeforeEach
  void openAPage() {
    proposing.once(true);
    context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
    page = context.newPage();
    page.setDefaultTimeout(30_000);
    page.onConsoleMessage(
        message -> {
          if (message.type().equals("error")) {
            complaints.add(message.text());
          }
        });
    page.onPageError(complaints::add);
  }

  @AfterEach
  void closeThePage() {
    context.close();
    proposing.once(false);
  }

  String url(String path) {
    return "http://127.0.0.1:" + port + path;
  }

  /** Where a point of the picture lies in the window just now. */
  double[] onScreen(Point picture) {
    @SuppressWarnings("unchecked")
    List<Number> at =
        (List<Number>)
            page.evaluate(
                "([x, y]) => { const p = new DOMPoint(x, y)"
                    + ".matrixTransform(document.getElementById('art').getScreenCTM());"
                    + " return [p.x, p.y]; }",
                List.of(picture.x(), picture.y()));
    return new double[] {at.get(0).doubleValue(), at.get(1).doubleValue()};
  }

  /** Notes what WCAG 2.2 AA finds wrong with the page as it stands. */
  void requireAccessible(String where) {
    var result =
        new AxeBuilder(page)
            .withTags(List.of("wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"))
            .analyze();
    result
        .getViolations()
        .forEach(
            violation ->
                violation
                    .getNodes()
                    .forEach(
                        node ->
                            barriers.add(
                                where + ", " + violation.getId() + ": " + node.getHtml())));
  }

  /**
   * Waits until an expression is true in the page. Asked from here again and again: the page's own
   * content policy forbids what the browser driver would do to ask by itself.
   */
  void until(String expression, Object... argument) {
    long end = System.nanoTime() + 30_000_000_000L;
    while (!Boolean.TRUE.equals(
        argument.length == 0
            ? page.evaluate(expression)
            : page.evaluate(expression, argument[0]))) {
      if (System.nanoTime() > end) {
        throw new AssertionError("Not true within 30 s: " + expression);
      }
      page.waitForTimeout(50);
    }
  }

  static FilePayload payload(DrawnWork work) {
    return new FilePayload(work.fileName(), "image/png", work.png());
  }
}
