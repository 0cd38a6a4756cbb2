package penmirror.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What the browser passes over in silence. */
class StylesTest {
  private static final Path OURS = Path.of("src/main/resources/static");
  private static final Pattern USED = Pattern.compile("var\\((--[\\w-]+)");
  private static final Pattern DEFINED =
      Pattern.compile("(--[\\w-]+)\\s*:|setProperty\\('(--[\\w-]+)'");

  /** A colour under a name that nothing defines is no colour: the line is drawn in none at all. */
  @Test
  void everyNamedValueOfAStyleIsDefined() {
    Set<String> used = new TreeSet<>();
    Set<String> defined = new TreeSet<>();
    for (String text : texts()) {
      USED.matcher(text).results().forEach(found -> used.add(found.group(1)));
      DEFINED
          .matcher(text)
          .results()
          .forEach(found -> defined.add(found.group(1) == null ? found.group(2) : found.group(1)));
    }
    assertThat(used).hasSizeGreaterThan(20);
    used.removeAll(defined);
    assertThat(used).as("used and nowhere defined").isEmpty();
  }

  private static List<String> texts() {
    try (Stream<Path> files = Files.walk(OURS)) {
      return files
          .filter(file -> file.toString().endsWith(".css") || file.toString().endsWith(".js"))
          .map(StylesTest::text)
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String text(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
