package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import penmirror.core.coverage.CharacterGaps;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.Trait;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Turn;
import penmirror.core.measure.NoReading;
import penmirror.core.reading.PixelReader;
import penmirror.core.words.Wording;
import penmirror.web.gather.Wall;

class MessagesTest {
  private static final Path RESOURCES = Path.of("src/main/resources");
  private static final Pattern KEY = Pattern.compile("#\\{([a-z][A-Za-z0-9._]*)[}(]");
  private static final Path JAVA = Path.of("src/main/java");
  private static final Pattern SOURCE = Pattern.compile("\\.(java|html|js)$");

  /** What keys begin with that are put together: "part." and a word. */
  private static final Pattern BEGINNING =
      Pattern.compile("(?:[\"']|\\|)([a-z][A-Za-z.-]*\\.)(?:[\"']|\\$\\{)");

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
      assertThat(Wording.has("landmark." + landmark.key())).as(landmark.key()).isTrue();
      if (landmark.set() == Landmark.Set.QUICK) {
        assertThat(messages).containsKey("landmark." + landmark.key() + ".help");
      }
    }
    for (NoReading.Reason reason : NoReading.Reason.values()) {
      assertThat(messages).containsKey("reason." + reason.name());
    }
    for (PixelReader.Step step : PixelReader.Step.values()) {
      assertThat(messages).containsKey("measure.step." + step.name());
    }
  }

  @Test
  void everyWordThatCanBeChosenHasItsText() throws IOException {
    Properties messages = messages();
    for (Part part : Part.values()) {
      assertThat(messages).containsKey("part." + part.word());
    }
    for (Trait trait : Trait.values()) {
      assertThat(messages).containsKey("trait." + trait.word());
    }
    for (Framing framing : Framing.values()) {
      assertThat(messages).containsKey("framing." + framing.word());
    }
    for (Turn turn : Turn.values()) {
      assertThat(messages).containsKey("turn." + turn.word());
    }
    for (Kind kind : Kind.values()) {
      assertThat(messages).containsKey("kind." + kind.word());
    }
    for (Wall.Order order : Wall.Order.values()) {
      assertThat(messages).containsKey("gather.order." + order.word());
    }
    for (CharacterGaps.Way way : CharacterGaps.Way.values()) {
      String word = way.name().toLowerCase(Locale.ROOT).replace('_', '-');
      assertThat(messages).containsKeys("scope.way." + way.name(), "way." + word);
    }
    for (CharacterGaps.Tally tally : CharacterGaps.Tally.values()) {
      assertThat(messages).containsKey("scope.tally." + tally.name());
    }
    for (int degrees = 0; degrees < 360; degrees += 45) {
      assertThat(messages).containsKey("light." + degrees);
    }
  }

  /** A text nobody shows is a promise nobody keeps. */
  @Test
  void everyTextIsShownSomewhere() throws IOException {
    StringBuilder all = new StringBuilder();
    for (Path root : List.of(RESOURCES.resolve("templates"), RESOURCES.resolve("static"), JAVA)) {
      try (Stream<Path> files = Files.walk(root)) {
        for (Path file : files.filter(f -> SOURCE.matcher(f.toString()).find()).toList()) {
          all.append(Files.readString(file)).append('\n');
        }
      }
    }
    String sources = all.toString();
    TreeSet<String> beginnings = new TreeSet<>();
    Matcher matcher = BEGINNING.matcher(sources);
    while (matcher.find()) {
      beginnings.add(matcher.group(1));
    }
    assertThat(messages().stringPropertyNames())
        .filteredOn(key -> !sources.contains(key))
        .filteredOn(key -> beginnings.stream().noneMatch(key::startsWith))
        .isEmpty();
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
