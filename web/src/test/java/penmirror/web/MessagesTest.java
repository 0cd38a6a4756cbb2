package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Properties;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.PixelReader;

class MessagesTest {
  private static final Path RESOURCES = Path.of("src/main/resources");
  private static final Pattern KEY = Pattern.compile("#\\{([a-z][A-Za-z0-9._]*)[}(]");
  private static final Pattern CALLED = Pattern.compile("messages\\.msg\\('([^']+)'");

  @Test
  void everyKeyInATemplateHasItsText() throws IOException {
    Properties messages = messages();
    TreeSet<String> missing = new TreeSet<>();
    try (Stream<Path> files = Files.walk(RESOURCES.resolve("templates"))) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        for (Pattern pattern : List.of(KEY, CALLED)) {
          Matcher matcher = pattern.matcher(Files.readString(file));
          while (matcher.find()) {
            if (!messages.containsKey(matcher.group(1))) {
              missing.add(matcher.group(1));
            }
          }
        }
      }
    }
    assertThat(missing).isEmpty();
  }

  @Test
  void everyLandmarkReasonAndStepHasItsText() throws IOException {
    Properties messages = messages();
    for (Landmark landmark : Landmark.values()) {
      if (landmark.set() == Landmark.Set.QUICK) {
        assertThat(messages)
            .containsKeys("landmark." + landmark.key(), "landmark." + landmark.key() + ".help");
      }
    }
    for (NoReading.Reason reason : NoReading.Reason.values()) {
      assertThat(messages).containsKey("reason." + reason.name());
    }
    for (PixelReader.Step step : PixelReader.Step.values()) {
      assertThat(messages).containsKey("measure.step." + step.name());
    }
  }

  /** The content policy forbids them; a page with one would silently lose it. */
  @Test
  void noTemplateHasInlineStylesOrScripts() throws IOException {
    try (Stream<Path> files = Files.walk(RESOURCES.resolve("templates"))) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        String text = Files.readString(file);
        assertThat(text)
            .as(file.toString())
            .doesNotContainPattern("\\sstyle=")
            .doesNotContain("<style")
            .doesNotContainPattern("<script(?![^>]*src)")
            .doesNotContainPattern("\\son[a-z]+=");
      }
    }
  }

  private static Properties messages() throws IOException {
    Properties messages = new Properties();
    try (var reader = Files.newBufferedReader(RESOURCES.resolve("messages.properties"))) {
      messages.load(reader);
    }
    return messages;
  }
}
