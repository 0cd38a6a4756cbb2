package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PngWriter;
import penmirror.core.geometry.Point;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Fierce figures have their eyes far lower: the plan asks once which the user's own is. */
class FigureWordsDatabaseTest extends DatabaseTest {
  private static final int OF_EACH = 6;
  private static final double SMALL = 0.4;
  private static final int WIDTH = (int) (SMALL * 980);
  private static final int HEIGHT = (int) (SMALL * 1386);

  @Autowired MockMvc mvc;
  @Autowired Intake intake;
  @Autowired MarkingStore markings;
  @Autowired WorkStore works;

  private String plan;

  @BeforeEach
  void hangFierceAndFriendlyWorks() {
    long study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    plan = "/studies/" + study + "/plan";
    Marks large = source(1).truth();
    Marks plain = large.moved(large.landmarks().keySet(), p -> p.times(SMALL));
    double head = plain.headFrame().orElseThrow().headPixels();
    for (int i = 0; i < 2 * OF_EACH; i++) {
      boolean fierce = i < OF_EACH;
      double down = (fierce ? 0.12 : 0) + 0.002 * (i % OF_EACH);
      Marks marks = plain.moved(Feature.EYES.landmarks(), p -> p.plus(new Point(0, down * head)));
      Intake.Taken taken =
          (Intake.Taken)
              intake.take(study, page(i), Work.Role.SOURCE, "Work " + (i + 1), "", View.FRONT);
      markings.save(taken.workId(), 0, marks);
      works.tag(taken.workId(), like(fierce ? "fierce" : "friendly"));
    }
  }

  /** No drawing is needed: it is marked. */
  private static byte[] page(int number) {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setColor(Color.WHITE);
    pen.fillRect(0, 0, WIDTH, HEIGHT);
    pen.setColor(Color.DARK_GRAY);
    pen.fillRect(40 + 16 * number, 40 + 24 * number, 60, 40);
    pen.dispose();
    return PngWriter.write(image, Optional.empty());
  }

  private static Work.Tags like(String word) {
    return new Work.Tags(
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        "",
        "",
        word,
        1,
        "",
        OptionalInt.empty());
  }

  private String page() throws Exception {
    return mvc.perform(get(plan))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  /** Of the head, as the plan's table has it. */
  private double eyeLine() throws Exception {
    Matcher row =
        Pattern.compile("Eye line</t[dh]>.*?(0\\.\\d\\d)</td>", Pattern.DOTALL).matcher(page());
    assertThat(row.find()).isTrue();
    return Double.parseDouble(row.group(1));
  }

  private void say(String word, String answer) throws Exception {
    mvc.perform(post(plan + "/figure-is").param("word", word).param("answer", answer).with(csrf()))
        .andExpect(redirectedUrl(plan + "#figure-is"));
  }

  @Test
  void theGuideGoesByTheWorksThatAreLikeIt() throws Exception {
    assertThat(page())
        .contains("Which is yours?", "Mine is fierce", "On fierce ones eyes")
        .doesNotContain("Mine is friendly");
    double usual = eyeLine();
    say("fierce", "YES");
    double fierce = eyeLine();
    say("fierce", "NO");
    double friendly = eyeLine();
    assertThat(fierce).isGreaterThan(friendly + 0.1);
    assertThat(usual).isBetween(friendly, fierce);
    say("fierce", "EITHER");
    assertThat(eyeLine()).isEqualTo(usual);
  }

  @Test
  void aWordThatPartsNothingIsRefused() throws Exception {
    mvc.perform(post(plan + "/figure-is").param("word", "tall").param("answer", "YES").with(csrf()))
        .andExpect(status().isBadRequest());
    mvc.perform(
            post(plan + "/figure-is").param("word", "fierce").param("answer", "MAYBE").with(csrf()))
        .andExpect(status().isBadRequest());
  }
}
