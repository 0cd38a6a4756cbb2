package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;

/** The guide from several sides and in several poses, over works marked by hand. */
class GuideDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired Intake intake;
  @Autowired MarkingStore markings;

  private long study;
  private String base;
  private long standing;

  @BeforeEach
  void hangMarkedWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    base = "/studies/" + study + "/plan";
    standing = hang("Ahead", View.FRONT, 1, Canon.realistic());
    hang("Ahead too", View.FRONT, 2, Canon.realistic());
    hang("Turned", View.THREE_QUARTER, 3, turnedLeft());
  }

  private static Marks turnedLeft() {
    Marks marks = Canon.realistic().withView(View.THREE_QUARTER);
    for (Feature feature : new Feature[] {Feature.EYES, Feature.NOSE, Feature.MOUTH}) {
      marks = marks.moved(feature.landmarks(), p -> p.minus(new Point(25, 0)));
    }
    return marks;
  }

  private long hang(String title, View view, int picture, Marks marks) {
    Intake.Taken taken =
        (Intake.Taken) intake.take(study, source(picture).png(), Work.Role.SOURCE, title, "", view);
    markings.save(taken.workId(), 0, marks);
    return taken.workId();
  }

  private String text(String address) throws Exception {
    return mvc.perform(get(address))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  @Test
  void itIsSeenFromTheSidesThatTheWorksShow() throws Exception {
    String page = text(base);
    assertThat(page).contains(">Three-quarter<").doesNotContain(">Side<");
    assertThat(text(base + "/guide.svg")).contains("id=\"face\"", "id=\"body\"");
    String turned = text(base + "?view=three-quarter");
    assertThat(turned).contains(">Turn it round<", "guide.svg?view=three-quarter");
    // As its one work looks, to the left; and the other way when asked.
    String left = text(base + "/guide.svg?view=three-quarter");
    String right = text(base + "/guide.svg?view=three-quarter&facing=right");
    assertThat(left)
        .contains("id=\"head\"")
        .doesNotContain("id=\"body\"")
        .isEqualTo(text(base + "/guide.svg?view=three-quarter&facing=left"))
        .isNotEqualTo(right);
    mvc.perform(get(base + "/guide.png?view=three-quarter"))
        .andExpect(
            header()
                .string(
                    "Content-Disposition",
                    "attachment; filename=\"guide-three-quarter-" + study + ".png\""));
    // What no work shows, and what is no side at all, is drawn from the front.
    assertThat(text(base + "/guide.svg?view=side")).isEqualTo(text(base + "/guide.svg"));
    assertThat(text(base + "/guide.svg?view=upside")).isEqualTo(text(base + "/guide.svg"));
  }

  @Test
  void aWorkLendsItsPose() throws Exception {
    assertThat(text(base + "?pose=" + standing))
        .contains("In the pose of Ahead", "as it stands straight");
    assertThat(text(base + "/guide.svg?pose=" + standing))
        .contains("id=\"body\"")
        .doesNotContain("id=\"bands\"");
    assertThat(text(base + "?pose=999999")).doesNotContain("In the pose of");
    mvc.perform(get(base + "?pose=two")).andExpect(status().isBadRequest());
  }

  private String send(String to, String... parameters) throws Exception {
    MockHttpServletRequestBuilder request = post(base + to).with(csrf());
    for (int i = 0; i < parameters.length; i += 2) {
      request.param(parameters[i], parameters[i + 1]);
    }
    return mvc.perform(request)
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  /** The character goes toward one work where that is said; a stranger's work is refused. */
  @Test
  void aCharacterIsCarriedTowardAnAnchor() throws Exception {
    long own = hang(study, Work.Role.CHARACTER, redraw(1), "Bastian");
    Marks lower = Canon.realistic().moved(Feature.EYES.landmarks(), p -> p.plus(new Point(0, 30)));
    long anchor = hang("Low eyes", View.FRONT, 4, lower);
    String middle = version(text(base + "/figure"));
    String toward = send("/figure/toward", "anchor", Long.toString(anchor));
    assertThat(toward).contains("selected=\"selected\">Low eyes<");
    assertThat(version(toward)).isNotEqualTo(middle);
    assertThat(version(text(base + "/figure"))).isEqualTo(version(toward));
    assertThat(version(send("/figure/toward", "anchor", ""))).isEqualTo(middle);
    mvc.perform(post(base + "/figure/toward").param("anchor", "" + own).with(csrf()))
        .andExpect(status().isBadRequest());
  }

  /** Of the ghost, which changes with every target. */
  private static String version(String page) {
    Matcher found = Pattern.compile("height=1000&amp;v=(\\w+)").matcher(page);
    assertThat(found.find()).isTrue();
    return found.group(1);
  }

  @Test
  void whatMustStayIsKeptInWordsAndComesBackAtTheBoard() throws Exception {
    assertThat(send("/figure/must-keeps", "words", "  the gap tooth ")).contains("the gap tooth");
    send("/figure/must-keeps", "words", "the gap tooth");
    assertThat(text("/studies/" + study + "/draw")).contains("Keep: the gap tooth");
    assertThat(send("/figure/must-keeps", "words", "the gap tooth", "kept", "false"))
        .doesNotContain(">the gap tooth<");
    mvc.perform(post(base + "/figure/must-keeps").param("words", " ").with(csrf()))
        .andExpect(status().isBadRequest());
  }

  /** What is known of light and eye: each step of an eye is a picture, and no light is said so. */
  @Test
  void lightAndEyeShowWhatIsKnown() throws Exception {
    String page = text(base + "/light");
    assertThat(page).contains("Build of the eye", "eye.svg?steps=3", "The works share no light");
    assertThat(text(base + "/eye.svg?steps=1"))
        .contains("<svg")
        .isNotEqualTo(text(base + "/eye.svg"));
    assertThat(text(base + "/eye.svg?steps=-4")).isEqualTo(text(base + "/eye.svg?steps=1"));
    mvc.perform(get(base + "/light.svg")).andExpect(status().isNotFound());
    long empty = studies.begin("Empty", "", "", "");
    assertThat(text("/studies/" + empty + "/plan/light")).contains("No opening is ruled yet");
    mvc.perform(get("/studies/" + empty + "/plan/eye.svg")).andExpect(status().isNotFound());
  }

  /** A photo nobody has marked is asked for its joints; what is no picture is refused. */
  @Test
  void aPhotoIsTakenForItsPose() throws Exception {
    MockMultipartFile photo =
        new MockMultipartFile("file", "arms-wide.png", "image/png", redraw(2).png());
    String to =
        mvc.perform(multipart(base + "/pose").file(photo).with(csrf()))
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    Matcher id = Pattern.compile("pose=(\\d+)").matcher(String.valueOf(to));
    assertThat(id.find()).isTrue();
    String page = text(String.valueOf(to));
    assertThat(page).contains("arms wide", "(helper)", "/measure/" + id.group(1));
    // The same photo again is the same helper.
    mvc.perform(multipart(base + "/pose").file(photo).with(csrf()))
        .andExpect(header().string("Location", String.valueOf(to)));
    markings.save(Long.parseLong(id.group(1)), 0, Canon.realistic());
    assertThat(text(base + "/guide.svg?pose=" + id.group(1))).doesNotContain("id=\"bands\"");
    MockMultipartFile text =
        new MockMultipartFile("file", "notes.txt", "text/plain", "x".getBytes());
    mvc.perform(multipart(base + "/pose").file(text).with(csrf()))
        .andExpect(status().isBadRequest());
  }
}
