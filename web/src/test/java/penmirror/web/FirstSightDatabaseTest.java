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
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.file.PngWriter;
import penmirror.core.format.MarksFile;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.SightStore;
import penmirror.web.gather.Intake;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.sight.FirstLooking;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What the machine thinks of a work, what somebody says of it, and what each may change. */
class FirstSightDatabaseTest extends DatabaseTest {
  private static final double SMALL = 0.6;

  @Autowired MockMvc mvc;
  @Autowired Intake intake;
  @Autowired WorkStore works;
  @Autowired MarkingStore markings;
  @Autowired SightStore sights;
  @Autowired EvidenceFinder evidence;
  @Autowired FirstLooking firstLooking;
  @Autowired SheetMaker sheets;

  private long study;

  @BeforeEach
  void begin() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "by hand");
  }

  @Test
  void whatIsSeenStandsUntilSomebodySaysOtherwise() {
    Work work = seen(1);
    assertThat(work.view()).isEqualTo(View.FRONT);
    assertThat(work.tags().framing()).contains(Framing.FULL);
    assertThat(work.lookedAt()).isFalse();
    assertThat(evidence.of(work).marks().landmarks()).containsKey(Landmark.CHIN);
    assertThat(evidence.of(work).marks().confirmed().isEmpty()).isTrue();
    assertThat(markings.newest(work.id(), work.view()).version()).isZero();
  }

  /** Of the only work of a study, whose hand nobody knows yet: by a look at its face. */
  @Test
  void theMoodOfAFaceIsSeen() {
    Work laughing = seen(DrawnWork.of(DemoStudio.odileMarrow().sources().get(4), SMALL));
    Map<Mood, Double> moods = sights.of(laughing.id()).orElseThrow().seen().moods();
    assertThat(moods).containsOnlyKeys(Mood.values());
    assertThat(moods.values().stream().mapToDouble(Double::doubleValue).sum())
        .isBetween(0.99, 1.01);
    assertThat(sights.moodsOf(study)).containsExactly(Map.entry(laughing.id(), moods));
    assertThat(sheets.load(studies.require(study)).guessedMood(laughing)).contains(Mood.GLAD);
  }

  /** A profile that came in as if from the front is taken for what it is. */
  @Test
  void theSideIsTakenFromWhatIsSeen() {
    Work profile = seen(DrawnWork.of(DemoStudio.odileMarrow().sources().get(3), SMALL));
    assertThat(profile.view()).isEqualTo(View.SIDE);
    assertThat(profile.tags().turn()).contains(Turn.RIGHT);
  }

  @Test
  void aWorkThatWasDescribedIsLeftAsItIs() {
    Work work = taken(1);
    works.describe(work.id(), "Pell", "by hand", View.BACK);
    firstLooking.now(works.require(study, work.id()));
    Work now = works.require(study, work.id());
    assertThat(now.view()).isEqualTo(View.BACK);
    assertThat(now.tags().framing()).isEmpty();
  }

  @Test
  void aMarkedWorkIsNotLookedAtAgain() {
    Work work = taken(1);
    markings.save(work.id(), 0, Marks.none(View.FRONT).with(Landmark.CHIN, Mark.placed(300, 400)));
    assertThat(firstLooking.now(works.require(study, work.id()))).isEmpty();
    assertThat(works.require(study, work.id()).lookedAt()).isTrue();
  }

  @Test
  void rulesComeOfWhatSomebodyLookedAtAlone() throws Exception {
    Work work = seen(1);
    Study now = studies.require(study);
    assertThat(sheets.sheetOf(now).rules()).isEmpty();
    assertThat(sheets.load(now).glimpsed().rules()).isNotEmpty();
    mvc.perform(get("/studies/" + study + "/rules"))
        .andExpect(content().string(containsString("One work was not looked at")));

    say(work, work.version(), "FRONT").andExpect(status().isOk());
    assertThat(sheets.sheetOf(now).rules()).isNotEmpty();
    assertThat(works.require(study, work.id()).lookedAt()).isTrue();
    mvc.perform(get("/studies/" + study + "/rules"))
        .andExpect(content().string(not(containsString("not looked at"))));
  }

  @Test
  void whatWasSaidInAnotherWindowStands() throws Exception {
    Work work = seen(1);
    say(work, work.version(), "FRONT").andExpect(status().isOk());
    say(work, work.version(), "SIDE").andExpect(status().isConflict());
    assertThat(works.require(study, work.id()).view()).isEqualTo(View.FRONT);
  }

  @Test
  void pointsOffThePictureAreRefusedAndNothingIsSaid() throws Exception {
    Work work = seen(1);
    mvc.perform(
            post("/studies/" + study + "/works/" + work.id() + "/looked-at")
                .contentType(MediaType.APPLICATION_JSON)
                .accept(MediaType.APPLICATION_JSON)
                .content(
                    "{\"version\":1,\"view\":\"SIDE\",\"landmarks\":"
                        + "\"{\\\"chin\\\":{\\\"x\\\":99999,\\\"y\\\":5,"
                        + "\\\"state\\\":\\\"placed\\\"}}\"}")
                .with(csrf()))
        .andExpect(status().isBadRequest());
    assertThat(works.require(study, work.id()).lookedAt()).isFalse();
    assertThat(works.require(study, work.id()).view()).isEqualTo(View.FRONT);
  }

  /** The most doubtful come first, and a face is not asked for what lies below it. */
  @Test
  void cardsTellWhatIsAsked() throws Exception {
    seen(1);
    Work face = seen(DrawnWork.of(DemoStudio.odileMarrow().sources().get(10), SMALL));
    assertThat(face.tags().framing()).contains(Framing.FACE);
    mvc.perform(get("/studies/" + study + "/through.json"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.length()").value(2))
        .andExpect(jsonPath("$[0].doubts").isNotEmpty())
        .andExpect(jsonPath("$[?(@.framing == 'FACE')].points.sole").isEmpty());
  }

  @Test
  void aWorkSeenFromAnotherSideIsAskedAnew() throws Exception {
    Work work = seen(1);
    mvc.perform(
            get("/studies/" + study + "/works/" + work.id() + "/through.json")
                .param("view", "SIDE")
                .param("framing", "FULL"))
        .andExpect(jsonPath("$.view").value("SIDE"))
        .andExpect(jsonPath("$.asks").isEmpty());
    assertThat(works.require(study, work.id()).view()).as("nothing is kept").isEqualTo(View.FRONT);
  }

  /** What one work taught is seen in the next without being asked. */
  @Test
  void aLookedAtWorkTeachesThoseThatWait() throws Exception {
    Work one = seen(1);
    Work other = seen(2);
    assertThat(sights.of(other.id()).orElseThrow().learnedFrom()).isZero();
    say(one, one.version(), "FRONT").andExpect(status().isOk());
    firstLooking.now(works.require(study, other.id()));
    await()
        .atMost(Duration.ofSeconds(30))
        .until(() -> sights.of(other.id()).orElseThrow().learnedFrom() == 1);
  }

  @Test
  void aStudyBeginsWithItsPicturesAndIsNamedAfterThem() throws Exception {
    mvc.perform(
            multipart("/studies/dropped")
                .file(file("night-market.png", source(1).png()))
                .file(file("notes.txt", "no picture".getBytes()))
                .accept(MediaType.TEXT_HTML)
                .with(csrf()))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("notes.txt was not taken in")));
    Study begun = newest();
    assertThat(begun.name()).isEqualTo("night market");
    assertThat(begun.illustrator()).isEmpty();
    assertThat(begun.hand()).isEqualTo("night market");
    assertThat(works.inRole(begun.id(), Work.Role.SOURCE)).hasSize(1);
  }

  @Test
  void aStudyWithoutAWordIsCalledByWhatItHolds() throws Exception {
    mvc.perform(
            post("/studies/dropped")
                .param("name", "")
                .accept(MediaType.APPLICATION_JSON)
                .with(csrf()))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.wall").value("/studies/" + newest().id() + "/gather"));
    assertThat(newest().name()).isEqualTo("Pictures");
  }

  /** Whose pictures they are can be said later, each by itself; a credit goes where none is. */
  @Test
  void whoseTheyAreIsSaidLater() throws Exception {
    Work bare = taken(1);
    works.give(bare.id(), "");
    Work credited = taken(2);
    mvc.perform(
            post("/studies/" + study + "/named")
                .param("credit", "O. Marrow, studied for practice")
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
    assertThat(studies.require(study).illustrator()).isEqualTo("Odile Marrow");
    assertThat(works.require(study, bare.id()).credit()).startsWith("O. Marrow");
    assertThat(works.require(study, credited.id()).credit()).isEqualTo("by hand");
  }

  private ResultActions say(Work work, int version, String view) throws Exception {
    String landmarks = MarksFile.landmarksJson(source(1).truth()).replace("\"", "\\\"");
    return mvc.perform(
        post("/studies/" + study + "/works/" + work.id() + "/looked-at")
            .contentType(MediaType.APPLICATION_JSON)
            .accept(MediaType.APPLICATION_JSON)
            .content(
                "{\"version\":"
                    + version
                    + ",\"view\":\""
                    + view
                    + "\",\"framing\":\"FULL\",\"mood\":\"KEEN\",\"light\":45,\"landmarks\":\""
                    + landmarks
                    + "\"}")
            .with(csrf()));
  }

  private Study newest() {
    List<Study> all = studies.all();
    return all.get(all.size() - 1);
  }

  private static MockMultipartFile file(String name, byte[] bytes) {
    return new MockMultipartFile("files", name, "image/png", bytes);
  }

  /** Two people on one sheet: it is asked who is meant, and each can become a work of its own. */
  @Test
  void peopleOnOneSheetAreFramedEach() throws Exception {
    Intake.Taken taken =
        (Intake.Taken)
            intake.take(study, sheetOfTwo(), Work.Role.SOURCE, "Two", "by hand", View.FRONT);
    Work sheet = works.require(study, taken.workId());
    assertThat(firstLooking.now(sheet)).isPresent();
    mvc.perform(get("/studies/" + study + "/through.json"))
        .andExpect(jsonPath("$[0].figures").value(2));
    mvc.perform(post("/studies/" + study + "/works/" + sheet.id() + "/figures/each").with(csrf()))
        .andExpect(redirectedUrl("/studies/" + study + "/through"));
    assertThat(works.require(study, sheet.id()).leftOut()).isTrue();
    List<Work> framed =
        works.inRole(study, Work.Role.SOURCE).stream()
            .filter(work -> work.id() != sheet.id())
            .toList();
    assertThat(framed)
        .extracting(Work::title)
        .containsExactly("Two, figure 1 of 2", "Two, figure 2 of 2");
    for (Work work : framed) {
      assertThat(work.widthPixels()).isLessThan(sheet.widthPixels() * 6 / 10);
      firstLooking.now(work);
      assertThat(sights.of(work.id()).orElseThrow().seen().figures()).isEmpty();
    }
  }

  /** Both in full, on the paper of the first. */
  private static byte[] sheetOfTwo() throws IOException {
    BufferedImage one = ImageIO.read(new ByteArrayInputStream(source(1).png()));
    BufferedImage other = ImageIO.read(new ByteArrayInputStream(source(3).png()));
    BufferedImage both =
        new BufferedImage(
            one.getWidth() + other.getWidth(), one.getHeight(), BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = both.createGraphics();
    pen.drawImage(one, 0, 0, null);
    pen.drawImage(other, one.getWidth(), 0, null);
    pen.dispose();
    return PngWriter.write(both, Optional.empty());
  }

  private Work taken(int number) {
    return taken(source(number));
  }

  private Work taken(DrawnWork drawn) {
    Intake.Taken taken =
        (Intake.Taken)
            intake.take(study, drawn.png(), Work.Role.SOURCE, drawn.title(), "by hand", View.FRONT);
    return works.require(study, taken.workId());
  }

  /** Taken in and looked at by the machine. */
  private Work seen(int number) {
    return seen(source(number));
  }

  private Work seen(DrawnWork drawn) {
    Work work = taken(drawn);
    assertThat(firstLooking.now(work)).isPresent();
    return works.require(study, work.id());
  }
}
