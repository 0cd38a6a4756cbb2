package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Pages and their controllers stay short enough to be read. */
class SourcesTest {
  private static final int LONGEST_LINE = 140;
  private static final int LONGEST_CONTROLLER = 200;

  @Test
  void noLineOfATemplateIsTooLongToRead() throws IOException {
    List<String> tooLong = new ArrayList<>();
    for (Path template : filesUnder("src/main/resources/templates", ".html")) {
      List<String> lines = Files.readAllLines(template);
      for (int i = 0; i < lines.size(); i++) {
        if (lines.get(i).length() > LONGEST_LINE) {
          tooLong.add(template + ":" + (i + 1));
        }
      }
    }

    assertThat(tooLong).isEmpty();
  }

  @Test
  void noControllerDoesMoreThanTakeAndAnswer() throws IOException {
    List<Path> tooLong = new ArrayList<>();
    for (Path controller : filesUnder("src/main/java", "Controller.java")) {
      if (Files.readAllLines(controller).size() > LONGEST_CONTROLLER) {
        tooLong.add(controller);
      }
    }

    assertThat(tooLong).isEmpty();
  }

  private static List<Path> filesUnder(String folder, String ending) throws IOException {
    try (Stream<Path> all = Files.walk(Path.of(folder))) {
      List<Path> found = all.filter(file -> file.toString().endsWith(ending)).toList();
      assertThat(found).isNotEmpty();
      return found;
    }
  }
}
