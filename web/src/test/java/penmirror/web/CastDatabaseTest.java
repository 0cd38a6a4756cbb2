package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static penmirror.web.storage.generated.Tables.WORK;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.studies.Work;

/** A zip of drawings held against the rules of three marked works. */
class CastDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;

  private long study;

  @BeforeEach
  void hangThreeMarkedWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    for (int i = 1; i <= 3; i++) {
      hang(study, Work.Role.SOURCE, source(i), "W" + i, source(i).truth());
    }
  }

  private String address(String what) {
    return "/studies/" + study + "/mirror/cast" + what;
  }

  private String page() throws Exception {
    return mvc.perform(get(address("")))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  private static byte[] zip(DrawnWork... drawings) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (DrawnWork drawing : drawings) {
        zip.putNextEntry(new ZipEntry("cast/" + drawing.fileName()));
        zip.write(drawing.png());
      }
      zip.putNextEntry(new ZipEntry("cast/notes.png"));
      zip.write("no picture".getBytes(StandardCharsets.UTF_8));
    }
    return bytes.toByteArray();
  }

  private void send(byte[] zip) throws Exception {
    mvc.perform(
            multipart(address(""))
                .file(new MockMultipartFile("files", "cast.zip", "application/zip", zip))
                .with(csrf()))
        .andExpect(status().isOk());
  }

  private static List<String> states(String page) {
    return Pattern.compile("<tr data-state=\"(\\w+)\"")
        .matcher(page)
        .results()
        .map((MatchResult found) -> found.group(1))
        .toList();
  }

  /** The one drawn by the hand itself lies within; one with slips is told what is off. */
  @Test
  void everyDrawingOfAZipIsReadAndHeldAgainstTheSheet() throws Exception {
    assertThat(page()).contains("Drop drawings here");
    send(zip(redraw(1), source(4)));
    assertThat(page()).contains("2 drawings");
    // Each is looked at first, and then read.
    await().atMost(Duration.ofSeconds(90)).until(() -> !states(page()).contains("reading"));
    String page = page();
    assertThat(states(page)).hasSize(2).doesNotContain("reading").doesNotContain("failed");
    assertThat(page).doesNotContain("hx-trigger").contains("class=\"miss\"");
    // No attempt came of it.
    assertThat(database.fetchCount(WORK)).isEqualTo(5);
    mvc.perform(get("/studies/" + study + "/mirror"))
        .andExpect(content().string(not(containsString("to-attempts"))));

    String csv =
        mvc.perform(get(address(".csv")))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(csv.split("\r\n")).hasSize(3);
    assertThat(csv).startsWith("picture,sheet,by the rules").contains("Odile Marrow");
  }

  @Test
  void whatIsTakenOffTheTableCanBePutBack() throws Exception {
    send(zip(redraw(1)));
    Matcher work = new Matcher(page());
    mvc.perform(get("/studies/" + study + "/mirror/" + work.id()))
        .andExpect(content().string(containsString("Back to the cast")));
    mvc.perform(post(address("/" + work.id() + "/out")).param("out", "true").with(csrf()))
        .andExpect(redirectedUrl(address("")));
    assertThat(states(page())).isEmpty();
    assertThat(page()).contains("One is taken off the table");
    mvc.perform(post(address("/" + work.id() + "/out")).param("out", "false").with(csrf()));
    assertThat(states(page())).hasSize(1);
    // A work of the wall is none of the table's.
    long work4 = hang(study, Work.Role.SOURCE, source(4), "W4", source(4).truth());
    mvc.perform(post(address("/" + work4 + "/out")).param("out", "true").with(csrf()))
        .andExpect(status().isNotFound());
  }

  /** The first drawing named on a page. */
  private record Matcher(String page) {
    String id() {
      java.util.regex.Matcher found = Pattern.compile("/cast/(\\d+)/out").matcher(page);
      assertThat(found.find()).isTrue();
      return found.group(1);
    }
  }

  @Test
  void whatIsNoPictureIsToldAndTheOthersComeIn() throws Exception {
    mvc.perform(
            multipart(address(""))
                .file(new MockMultipartFile("files", "a.txt", "text/plain", "hello".getBytes()))
                .with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("a.txt")));
    mvc.perform(
            multipart(address(""))
                .file(new MockMultipartFile("files", "b.png", "image/png", redraw(1).png()))
                .with(csrf()))
        .andExpect(redirectedUrl(address("")));
    assertThat(states(page())).hasSize(1);
  }
}
