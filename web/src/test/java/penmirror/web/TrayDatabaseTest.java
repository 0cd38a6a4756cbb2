package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import penmirror.core.file.PictureReader;
import penmirror.demoart.scan.ScanFile;
import penmirror.demoart.scan.Scanner;
import penmirror.demoart.scan.Settings;
import penmirror.web.gather.Intake;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Scan;
import penmirror.web.studies.ScanStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Pages from the tray into a study. */
class TrayDatabaseTest extends DatabaseTest {
  private static final double TURN = 1.6;

  @Autowired MockMvc mvc;
  @Autowired WorkStore works;
  @Autowired PictureStore pictures;
  @Autowired ScanStore scans;
  @Autowired Intake intake;

  private long study;

  @BeforeEach
  void beginAStudy() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
  }

  @Test
  void aPageIsShownCleanedAndTakenInWithItsScanKept() throws Exception {
    byte[] raw = put("attempt.png", scan(ScanFile.Format.PNG));
    mvc.perform(get("/tray"))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("attempt.png")))
        .andExpect(content().string(containsString("150 px per inch")))
        .andExpect(content().string(containsString("°, lay clockwise")));
    byte[] cleaned =
        mvc.perform(get("/tray/cleaned").param("page", "attempt.png"))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertThat(ImageIO.read(new ByteArrayInputStream(cleaned)).getWidth()).isGreaterThan(700);

    mvc.perform(take("attempt.png").param("role", "REDRAW").param("flatten", "true"))
        .andExpect(redirectedUrlPattern("/studies/" + study + "/works/*/measure"));
    Work work = works.inRole(study, Work.Role.REDRAW).get(0);
    assertThat(work.title()).isEqualTo("Attempt 1");
    Scan scan = scans.of(work.id()).orElseThrow();
    assertThat(scan.turnDegrees()).isCloseTo(TURN, offset(0.1));
    assertThat(scan.flattened()).isTrue();
    assertThat(scan.whitened()).isFalse();
    assertThat(scan.resolution().orElseThrow().pixelsPerInch()).isCloseTo(150, offset(0.05));
    assertThat(pictures.file(scan.rawSha256()).bytes()).isEqualTo(raw);
    // The cleaned picture states the resolution too, and the page has left the tray.
    PictureReader.Opened kept =
        new PictureReader().open(pictures.file(work.pictureSha256()).bytes());
    assertThat(kept.resolution().orElseThrow().pixelsPerInch()).isCloseTo(150, offset(0.05));
    assertThat(TRAY.resolve("attempt.png")).doesNotExist();
    assertThat(TRAY.resolve("taken")).isNotEmptyDirectory();

    mvc.perform(take("attempt.png").param("role", "REDRAW"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("attempt.png is not in the tray as it was")));
    assertThat(works.inRole(study, Work.Role.REDRAW)).hasSize(1);
  }

  @Test
  void aSourceFromATiffSaysItsLineWidthInMillimetres() throws Exception {
    put("barge-front.tif", scan(ScanFile.Format.TIFF));
    mvc.perform(take("barge-front.tif").param("role", "SOURCE").param("white", "true"))
        .andExpect(redirectedUrlPattern("/studies/" + study + "/gather?work=*"));
    Work work = works.inRole(study, Work.Role.SOURCE).get(0);
    assertThat(work.title()).isEqualTo("barge front");
    assertThat(work.credit()).isEqualTo("by hand");
    String wall = "/studies/" + study + "/gather?work=" + work.id();
    await()
        .atMost(Duration.ofSeconds(40))
        .untilAsserted(
            () ->
                mvc.perform(get(wall))
                    .andExpect(content().string(containsString("Line width on paper")))
                    .andExpect(content().string(containsString(" mm</span>")))
                    .andExpect(content().string(containsString("From a scan, 150 px per inch"))));
  }

  @Test
  void aResolutionTheFileDoesNotStateCanBeGiven() throws Exception {
    put("from-a-phone.png", plain());
    mvc.perform(get("/tray").param("page", "from-a-phone.png"))
        .andExpect(content().string(containsString("resolution not stated")))
        .andExpect(content().string(containsString("name=\"resolution\" inputmode")));
    mvc.perform(take("from-a-phone.png").param("role", "SOURCE").param("resolution", "many"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("The resolution is many; it must be")));
    mvc.perform(take("from-a-phone.png").param("role", "SOURCE").param("resolution", "240"));
    Work work = works.inRole(study, Work.Role.SOURCE).get(0);
    assertThat(scans.of(work.id()).orElseThrow().resolution().orElseThrow().pixelsPerInch())
        .isEqualTo(240);
  }

  @Test
  void withoutAResolutionNoneIsMadeUp() throws Exception {
    put("from-a-phone.png", plain());
    mvc.perform(take("from-a-phone.png").param("role", "SOURCE"));
    Work work = works.inRole(study, Work.Role.SOURCE).get(0);
    assertThat(scans.of(work.id()).orElseThrow().resolution()).isEmpty();
    mvc.perform(get("/studies/" + study + "/gather"))
        .andExpect(content().string(containsString("From a scan")))
        .andExpect(content().string(not(containsString("on paper"))));
  }

  @Test
  void aLevelLineThatWasNotDrawnIsAskedFor() throws Exception {
    put("page.png", scan(ScanFile.Format.PNG));
    mvc.perform(
            post("/tray/take")
                .param("page", "page.png")
                .param("study", String.valueOf(study))
                .param("role", "REDRAW")
                .param("view", "FRONT")
                .param("straighten", "LINE")
                .with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("No level line is drawn yet")));
    assertThat(TRAY.resolve("page.png")).exists();
  }

  @Test
  void anUnreadableFileIsShownAsSuchAndLeftAlone() throws Exception {
    put("holiday.png", "not a picture".getBytes());
    mvc.perform(get("/tray/pages"))
        .andExpect(content().string(containsString("holiday.png")))
        .andExpect(
            content().string(containsString("is not a picture of a kind that is read here")));
    mvc.perform(get("/tray/picture").param("page", "holiday.png"))
        .andExpect(status().isNotFound())
        .andExpect(content().string(containsString("no page holiday.png ready")));
    mvc.perform(take("holiday.png").param("role", "SOURCE")).andExpect(status().isBadRequest());
    assertThat(TRAY.resolve("holiday.png")).exists();
  }

  @Test
  void theStandInDeliversWhatLiesOnItsGlass() throws Exception {
    intake.take(
        study, source(1).png(), Work.Role.SOURCE, "Pell", "by hand", source(1).truth().view());
    String picture = works.inRole(study, Work.Role.SOURCE).get(0).pictureSha256();
    mvc.perform(
            post("/tray/scan")
                .param("picture", picture)
                .param("medium", "PENCIL")
                .param("resolution", "150")
                .param("format", "TIFF")
                .with(csrf()))
        .andExpect(redirectedUrl("/tray"));
    Path page = TRAY.resolve("page-01.tif");
    await().atMost(Duration.ofSeconds(30)).until(() -> Files.exists(page));
    PictureReader.Opened opened = new PictureReader().open(Files.readAllBytes(page));
    assertThat(opened.resolution().orElseThrow().pixelsPerInch()).isEqualTo(150);
    mvc.perform(
            post("/tray/scan")
                .param("picture", picture)
                .param("medium", "INK")
                .param("resolution", "200")
                .param("format", "PNG")
                .with(csrf()))
        .andExpect(status().isNotFound())
        .andExpect(content().string(containsString("150, 300 and 600 px per inch, not 200")));
  }

  private MockHttpServletRequestBuilder take(String page) {
    return post("/tray/take")
        .param("page", page)
        .param("study", String.valueOf(study))
        .param("view", "FRONT")
        .param("straighten", "PAPER")
        .param("set", "true")
        .with(csrf());
  }

  private static byte[] put(String name, byte[] bytes) throws Exception {
    Path file = Files.write(TRAY.resolve(name), bytes);
    Files.setLastModifiedTime(file, FileTime.from(Instant.now().minusSeconds(60)));
    return bytes;
  }

  private static byte[] plain() {
    return source(2).png();
  }

  private static byte[] scan(ScanFile.Format format) throws Exception {
    Settings settings =
        new Settings(Settings.Medium.INK, 150, TURN, 0.15, 0.01, 0.2, 20, 0xF1E7D6, 3);
    return ScanFile.write(
        Scanner.scan(ImageIO.read(new ByteArrayInputStream(redraw(1).png())), settings).image(),
        150,
        format);
  }
}
