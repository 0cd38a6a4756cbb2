package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicContainer;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * Runs the tests of the scripts, each file of {@code src/test/scripts} in a page of its own. No
 * application runs: modules that know no page are tried as they are.
 */
class ScriptsTest {
  private static final Path TESTS = Path.of("src/test/scripts");
  private static final Path SCRIPTS = Path.of("src/main/resources/static");

  private static HttpServer server;
  private static Playwright playwright;
  private static Browser browser;

  @BeforeAll
  static void openTheBrowser() throws IOException {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.createContext("/", ScriptsTest::answer);
    server.start();
    playwright = BrowserTest.startPlaywright();
    browser = BrowserTest.launch(playwright);
  }

  @AfterAll
  static void closeTheBrowser() {
    playwright.close();
    server.stop(0);
  }

  /** Tests lie beside the scripts they try, so that both are reached by the same path. */
  private static void answer(HttpExchange exchange) throws IOException {
    String path = exchange.getRequestURI().getPath().substring(1);
    boolean isPage = path.isEmpty();
    Path file = Files.exists(TESTS.resolve(path)) ? TESTS.resolve(path) : SCRIPTS.resolve(path);
    byte[] body =
        isPage
            ? "<!doctype html><title>Scripts</title>".getBytes(StandardCharsets.UTF_8)
            : Files.isRegularFile(file) ? Files.readAllBytes(file) : new byte[0];
    exchange.getResponseHeaders().add("Content-Type", isPage ? "text/html" : "text/javascript");
    exchange.sendResponseHeaders(body.length == 0 ? 404 : 200, body.length == 0 ? -1 : body.length);
    exchange.getResponseBody().write(body);
    exchange.close();
  }

  @TestFactory
  Stream<DynamicContainer> scriptsDoWhatTheirTestsSay() throws IOException {
    try (Stream<Path> files = Files.walk(TESTS)) {
      List<Path> tests =
          files.filter(file -> file.toString().endsWith(".test.js")).sorted().toList();
      assertThat(tests).isNotEmpty();
      return tests.stream().map(ScriptsTest::testsIn).toList().stream();
    }
  }

  @SuppressWarnings("unchecked")
  private static DynamicContainer testsIn(Path file) {
    String module = TESTS.relativize(file).toString();
    try (Page page = browser.newPage()) {
      page.navigate("http://127.0.0.1:" + server.getAddress().getPort() + "/");
      List<Map<String, String>> outcomes =
          (List<Map<String, String>>)
              page.evaluate(
                  "async (module) => { await import('/' + module);"
                      + " return (await import('/checks.js')).run(); }",
                  module);
      return DynamicContainer.dynamicContainer(
          module,
          outcomes.stream()
              .map(
                  outcome ->
                      DynamicTest.dynamicTest(
                          outcome.get("name"), () -> assertThat(outcome.get("fault")).isEmpty())));
    }
  }
}
