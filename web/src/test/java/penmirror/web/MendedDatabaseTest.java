package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;

/** A redraw with its fixes carried out, over works marked by hand. */
class MendedDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired Intake intake;

  private long study;

  @BeforeEach
  void hangThreeMarkedWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    for (int i = 1; i <= 3; i++) {
      hang(Work.Role.SOURCE, source(i), source(1).truth());
    }
  }

  private long hang(Work.Role role, DrawnWork drawn, Marks marks) {
    return hang(study, role, drawn, "A work", marks);
  }

  private String address(long redraw, String what) {
    return "/studies/" + study + "/mirror/" + redraw + what;
  }

  private byte[] bytes(String address) throws Exception {
    return mvc.perform(get(address))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsByteArray();
  }

  private String text(String address) throws Exception {
    return new String(bytes(address), StandardCharsets.UTF_8);
  }

  /** Eyes a tenth of a head too high: mended they sit right, and the score says so. */
  @Test
  void theFixesAreCarriedOutAndScored() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), eyesUp(0.1));
    assertThat(text(address(redraw, ""))).contains("data-mends=\"first\"", "mended-told");
    Matcher told =
        Pattern.compile("By the rules (\\d+), mended (\\d+)")
            .matcher(text(address(redraw, "/mended.json?reach=all")));
    assertThat(told.find()).isTrue();
    assertThat(Integer.parseInt(told.group(2))).isGreaterThan(Integer.parseInt(told.group(1)) + 3);
    Picture own = new PictureReader().open(redraw(1).png()).picture();
    Picture mended =
        new PictureReader().open(bytes(address(redraw, "/mended.png?reach=all"))).picture();
    assertThat(mended.widthPixels()).isEqualTo(own.widthPixels());
    assertThat(mended.heightPixels()).isEqualTo(own.heightPixels());
    assertThat(differing(own, mended)).isGreaterThan(500);
    Picture small =
        new PictureReader().open(bytes(address(redraw, "/mended.png?height=200"))).picture();
    assertThat(small.heightPixels()).isEqualTo(200);
    try (ZipInputStream layers =
        new ZipInputStream(new ByteArrayInputStream(bytes(address(redraw, "/mended.ora"))))) {
      StringBuilder names = new StringBuilder();
      for (ZipEntry e = layers.getNextEntry(); e != null; e = layers.getNextEntry()) {
        names.append(e.getName()).append(' ');
      }
      assertThat(names).contains("data/yours.png", "data/mended.png");
    }
    for (String wrong : new String[] {"some", "0", "1,", "1,,2", "100"}) {
      mvc.perform(get(address(redraw, "/mended.png?reach=" + wrong)))
          .andExpect(status().isBadRequest());
    }
  }

  /** The one that moves the eyes, by its number alone, wins; one that is not there does nothing. */
  @Test
  void oneFixAloneCanBeCarriedOut() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), eyesUp(0.1));
    Matcher eyes =
        Pattern.compile("data-fix=\"(\\d+)\" data-key=\"eye-height")
            .matcher(text(address(redraw, "")));
    assertThat(eyes.find()).isTrue();
    int all = pointsOf(redraw, "all");
    int alone = pointsOf(redraw, eyes.group(1));
    int none = pointsOf(redraw, "99");
    assertThat(alone).isGreaterThan(none);
    assertThat(all).isGreaterThanOrEqualTo(alone);
    assertThat(differing(picture(redraw, "99"), picture(redraw, eyes.group(1)))).isGreaterThan(500);
  }

  /** An attempt in a line too thin: carried out, there is more ink, and the score says so. */
  @Test
  void linesAreLaidAsThickAsTheyAreWanted() throws Exception {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    for (int i = 1; i <= 3; i++) {
      hang(Work.Role.SOURCE, source(i), source(i).truth());
    }
    long redraw = hang(Work.Role.REDRAW, redraw(2), redraw(2).truth());
    awaitReadings();
    Pattern fix = Pattern.compile("data-fix=\"(\\d+)\" data-key=\"line-weight.more");
    // The first look may still read a picture whose task found it under way and ended.
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> fix.matcher(text(address(redraw, ""))).find());
    Matcher line = fix.matcher(text(address(redraw, "")));
    assertThat(line.find()).isTrue();
    int own = dark(picture(redraw, "99"));
    int thick = dark(picture(redraw, line.group(1)));
    assertThat(thick / (double) own).isBetween(1.05, 2.0);
    assertThat(pointsOf(redraw, line.group(1))).isGreaterThanOrEqualTo(pointsOf(redraw, "99"));
  }

  private static int dark(Picture of) {
    int dark = 0;
    for (int i = 0; i < of.pixelCount(); i++) {
      dark += of.luma(i) < 0.25 ? 1 : 0;
    }
    return dark;
  }

  /** Without a marked head nothing is carried out, and nothing told of it either. */
  @Test
  void withoutAHeadBothAreRefused() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), Marks.none(View.FRONT));
    for (String what : new String[] {"/mended.png", "/mended.json"}) {
      mvc.perform(get(address(redraw, what))).andExpect(status().isBadRequest());
    }
  }

  private Picture picture(long redraw, String reach) throws Exception {
    return new PictureReader().open(bytes(address(redraw, "/mended.png?reach=" + reach))).picture();
  }

  private int pointsOf(long redraw, String reach) throws Exception {
    Matcher told =
        Pattern.compile("mended (\\d+)")
            .matcher(text(address(redraw, "/mended.json?reach=" + reach)));
    assertThat(told.find()).isTrue();
    return Integer.parseInt(told.group(1));
  }

  /** What the two are brought together by is chosen, and goes along to another work. */
  @Test
  void theTwoAreLaidOnEachOtherByTheEyes() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), eyesUp(0.1));
    String all = text(address(redraw, ""));
    assertThat(all).contains("Matched on the landmarks", "by=EYES");
    String eyes = text(address(redraw, "?by=EYES"));
    assertThat(eyes).contains("Matched on the eyes", "name=\"by\" value=\"EYES\"");
    assertThat(matrix(eyes)).isNotEqualTo(matrix(all));
    assertThat(text(address(redraw, "?by=HEAD"))).contains("Matched on crown and chin");
    mvc.perform(get(address(redraw, "?by=NOSE"))).andExpect(status().isBadRequest());
  }

  private static String matrix(String page) {
    Matcher matrix = Pattern.compile("matrix\\([^)]*\\)").matcher(page);
    assertThat(matrix.find()).isTrue();
    return matrix.group();
  }

  private void say(long redraw, String what, String... parameters) throws Exception {
    MockHttpServletRequestBuilder request = post(address(redraw, what)).with(csrf());
    for (int i = 0; i < parameters.length; i += 2) {
      request.param(parameters[i], parameters[i + 1]);
    }
    mvc.perform(request).andExpect(redirectedUrl(address(redraw, "")));
  }

  /** The eyes of the source, moved up by a share of a head. */
  private static Marks eyesUp(double share) {
    Marks right = source(1).truth();
    double head = right.headFrame().orElseThrow().headPixels();
    return right.moved(Feature.EYES.landmarks(), p -> p.minus(new Point(0, share * head)));
  }

  /** The character's colours are its own until their palette is taken over with the style. */
  @Test
  void thePaletteIsHeldAgainstTheirsOnceItIsTakenOver() throws Exception {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    for (int i = 1; i <= 3; i++) {
      hang(Work.Role.SOURCE, source(i), source(i).truth());
    }
    long redraw = hang(Work.Role.REDRAW, redraw(1), redraw(1).truth());
    awaitReadings();
    assertThat(text(address(redraw, ""))).contains("id=\"roles\"").doesNotContain("id=\"bases\"");
    mvc.perform(post("/studies/" + study + "/plan/colours").param("keep", "0").with(csrf()))
        .andExpect(status().isOk());
    assertThat(text(address(redraw, "")))
        .contains("id=\"bases\"", "data-base=\"skin\"", "A colour of theirs, in 3 works");
    mvc.perform(post("/studies/" + study + "/plan/colours").param("keep", "5").with(csrf()))
        .andExpect(status().isOk());
    assertThat(text(address(redraw, ""))).doesNotContain("id=\"bases\"");
  }

  /** What is off on purpose is never among the changes of any attempt, until it is asked again. */
  @Test
  void whatIsOffOnPurposeIsNotAskedForAgain() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), eyesUp(0.1));
    assertThat(text(address(redraw, ""))).contains("data-key=\"eye-height");
    say(redraw, "/on-purpose", "act", "eye-height", "is", "true");
    String page = text(address(redraw, ""));
    assertThat(page).doesNotContain("data-key=\"eye-height").contains("On purpose, never among");
    long next = hang(Work.Role.REDRAW, redraw(2), eyesUp(0.12));
    assertThat(text(address(next, ""))).doesNotContain("data-key=\"eye-height");
    say(next, "/on-purpose", "act", "eye-height", "is", "false");
    assertThat(text(address(redraw, ""))).contains("data-key=\"eye-height");
    mvc.perform(
            post(address(redraw, "/on-purpose"))
                .param("act", "moonlight")
                .param("is", "true")
                .with(csrf()))
        .andExpect(status().isBadRequest());
  }

  /** A fix is ticked off on its own attempt; the next one says what was mended since. */
  @Test
  void fixesHaveAMemory() throws Exception {
    long first = hang(Work.Role.REDRAW, redraw(1), eyesUp(0.1));
    Matcher key =
        Pattern.compile("data-key=\"(eye-height[^\"]*)\"").matcher(text(address(first, "")));
    assertThat(key.find()).isTrue();
    say(first, "/done", "fix", key.group(1), "is", "true");
    say(first, "/done", "fix", key.group(1), "is", "true");
    assertThat(text(address(first, ""))).contains("class=\"fix done\"");
    say(first, "/done", "fix", key.group(1), "is", "false");
    assertThat(text(address(first, ""))).doesNotContain("class=\"fix done\"");
    long second = hang(Work.Role.REDRAW, redraw(2), source(1).truth());
    assertThat(text(address(second, "")))
        .contains("Mended since attempt")
        .containsPattern("id=\"since\">.*\\s*.*eye height");
    long third = hang(Work.Role.REDRAW, redraw(3), eyesUp(0.1));
    assertThat(text(address(third, ""))).contains("Right before, off now:");
  }

  private static int differing(Picture one, Picture other) {
    int differing = 0;
    for (int i = 0; i < one.widthPixels() * one.heightPixels(); i++) {
      differing += one.rgb(i) != other.rgb(i) ? 1 : 0;
    }
    return differing;
  }

  /** What nobody has marked cannot be moved: the page offers nothing, the address says why. */
  @Test
  void withoutMarksNothingIsMended() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), Marks.none(View.FRONT));
    assertThat(text(address(redraw, ""))).doesNotContain("data-mends=");
    mvc.perform(get(address(redraw, "/mended.png"))).andExpect(status().isBadRequest());
  }

  /** Act by act over two attempts, and how far it has come from the drawing it was begun from. */
  @Test
  void attemptsStandBesideEachOtherAndBesideTheOwnDrawing() throws Exception {
    long own = hang(Work.Role.CHARACTER, redraw(3), eyesUp(0.12));
    long first = hang(Work.Role.REDRAW, redraw(1), eyesUp(0.1));
    long second = hang(Work.Role.REDRAW, redraw(2), source(1).truth());
    String page = text("/studies/" + study + "/mirror/attempts");
    assertThat(page).contains("Eye height", "too high", "near enough", "their own works reach");
    assertThat(page.indexOf("Attempt 1")).isLessThan(page.indexOf("Attempt 2"));

    String mirror = text(address(second, ""));
    assertThat(mirror).contains("to-attempts", "from your own drawing", "There: ");
    assertThat(mirror).contains("Your own: A work", "Before: A work");
    assertThat(text(address(first, ""))).doesNotContain("Before: A work");
    // Laid over the attempt before: its picture stands on the fold, without close-ups of works.
    String over = text(address(second, "?source=" + first));
    assertThat(over).contains("/works/" + first + "/origin.json").doesNotContain("1 theirs");
    assertThat(text(address(second, "?source=" + own))).contains("/works/" + own + "/origin.json");
  }

  /** Beside another hand it is said whose it is nearer to. */
  @Test
  void theNearestOfAllHandsIsSaid() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), eyesUp(0));
    assertThat(text(address(redraw, ""))).doesNotContain("id=\"hands\"");
    long here = study;
    study = studies.begin("Tall ones", "Another Hand", "", "");
    for (int i = 1; i <= 3; i++) {
      hang(Work.Role.SOURCE, source(i), Canon.realistic());
    }
    study = here;
    assertThat(text(address(redraw, "")))
        .contains("Of all hands here it is nearest to Odile Marrow", "then Another Hand");
  }

  @Test
  void withoutAttemptsThereIsNoChain() throws Exception {
    mvc.perform(get("/studies/" + study + "/mirror/attempts"))
        .andExpect(redirectedUrl("/studies/" + study + "/mirror"));
  }

  /** What is not aimed at costs nothing, is named nowhere, and comes back by a word. */
  @Test
  void whatIsNotMyAimIsOutOfTheScoreUntilItIsAgain() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), eyesUp(0.1));
    awaitReadings(); // What the pixels tell changes the points.
    int before = byRules(redraw);
    say(redraw, "/aim", "act", "eye-height", "is", "false");
    assertThat(byRules(redraw)).isGreaterThan(before);
    String page = text(address(redraw, ""));
    assertThat(page).contains("Not your aim here").doesNotContain("data-key=\"eye-height.");
    assertThat(text("/studies/" + study + "/rules")).contains("Not my aim", "eye height");
    assertThat(text("/studies/" + study + "/rules/style.json")).doesNotContain("\"eye.line\"");

    say(redraw, "/aim", "act", "eye-height", "is", "true");
    assertThat(byRules(redraw)).isEqualTo(before);
    mvc.perform(
            post(address(redraw, "/aim")).param("act", "nothing").param("is", "false").with(csrf()))
        .andExpect(status().isBadRequest());
  }

  private int byRules(long redraw) throws Exception {
    Matcher points = Pattern.compile("id=\"by-rules\">(\\d+)").matcher(text(address(redraw, "")));
    assertThat(points.find()).isTrue();
    return Integer.parseInt(points.group(1));
  }

  /** A work handed in as an attempt is told as what it is, also from the other side. */
  @Test
  void aWorkItselfIsToldAsTheWork() throws Exception {
    BufferedImage work = ImageIO.read(new ByteArrayInputStream(source(2).png()));
    BufferedImage turned =
        new BufferedImage(work.getWidth() / 2, work.getHeight() / 2, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = turned.createGraphics();
    pen.drawImage(work, turned.getWidth(), 0, -turned.getWidth(), turned.getHeight(), null);
    pen.dispose();
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(turned, "png", png);
    long mirrored = attempt(png.toByteArray());
    assertThat(text(address(mirrored, "")))
        .contains("is the work “A work” itself, seen in a mirror");
    assertThat(text(address(attempt(source(2).png()), "")))
        .contains("is the work “A work” itself:");
    assertThat(text(address(attempt(redraw(1).png()), ""))).doesNotContain("id=\"itself\"");
  }

  private long attempt(byte[] file) {
    return ((Intake.Taken) intake.take(study, file, Work.Role.REDRAW, "Attempt", "", View.FRONT))
        .workId();
  }
}
