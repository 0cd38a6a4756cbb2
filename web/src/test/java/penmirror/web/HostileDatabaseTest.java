package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static penmirror.web.storage.generated.Tables.MARKING;
import static penmirror.web.storage.generated.Tables.PICK;
import static penmirror.web.storage.generated.Tables.PROCESS_NOTE;
import static penmirror.web.storage.generated.Tables.REPEAT_MARKING;
import static penmirror.web.storage.generated.Tables.STATEMENT;
import static penmirror.web.storage.generated.Tables.STUDY;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.xml.parsers.DocumentBuilderFactory;
import org.jooq.JSONB;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;
import penmirror.core.figure.View;
import penmirror.core.file.HostileFiles;
import penmirror.core.format.MarksFile;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What somebody sends who means harm, or whose program is broken, or who clicks twice. */
class HostileDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired WorkStore works;
  @Autowired MarkingStore markings;
  @Autowired Intake intake;

  private long study;
  private long pell;
  private String base;
  private String work;

  @BeforeEach
  void hangAWork() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
    base = "/studies/" + study;
    pell =
        ((Intake.Taken)
                intake.take(
                    study, source(1).png(), Work.Role.SOURCE, "Pell", "by hand", View.FRONT))
            .workId();
    work = base + "/works/" + pell;
  }

  @AfterEach
  void takeAwayWhatWasLaidDown() {
    database.execute("drop trigger if exists full_disk on work");
    database.execute("drop function if exists full_disk()");
    database.deleteFrom(STATEMENT).where(STATEMENT.OWN).execute();
  }

  private Work pell() {
    return works.require(study, pell);
  }

  private MockHttpServletRequestBuilder describe(String field, String value) {
    return post(work).param(field, value).with(csrf());
  }

  // ---------- files

  /** A file that held up the others for good would end it; how long it takes is in figures.md. */
  @Test
  @Timeout(120)
  void ofAllHostileFilesBetweenTwoGoodOnesBothGoodOnesComeInAndEveryBadOneIsNamed()
      throws Exception {
    Map<String, byte[]> bad = HostileFiles.all();
    MockMultipartHttpServletRequestBuilder upload = multipart(base + "/works");
    upload.file(new MockMultipartFile("files", "first.png", "", source(2).png()));
    bad.forEach((name, bytes) -> upload.file(new MockMultipartFile("files", name, "", bytes)));
    upload.file(new MockMultipartFile("files", "last.png", "", source(3).png()));
    String told =
        mvc.perform(upload.with(csrf()).header("HX-Request", "true"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(bad.keySet()).allSatisfy(name -> assertThat(told).contains(name + " was not taken"));
    assertThat(works.inRole(study, Work.Role.SOURCE))
        .extracting(Work::title)
        .containsExactly("Pell", "first", "last");
    assertThat(intake.take(study, source(4).png(), Work.Role.SOURCE, "next", "", View.FRONT))
        .isInstanceOf(Intake.Taken.class);
  }

  // ---------- numbers

  private MockHttpServletRequestBuilder save(String landmarks) {
    return post(work + "/marks")
        .header("X-Version", 0)
        .contentType("application/json")
        .content(landmarks)
        .with(csrf());
  }

  @ParameterizedTest
  @ValueSource(strings = {"1e308", "-1e155", "65537", "9000"})
  void aPointThatLiesNowhereIsRefusedBeforeItIsKept(String x) throws Exception {
    String landmarks = "{\"crown\":{\"x\":" + x + ",\"y\":3,\"state\":\"placed\"}}";
    mvc.perform(save(landmarks)).andExpect(status().isBadRequest());
    for (String path : List.of("/repeat", "/proposal")) {
      mvc.perform(post(work + path).contentType("application/json").content(landmarks).with(csrf()))
          .andExpect(status().isBadRequest());
    }
    mvc.perform(
            post(work + "/readings")
                .header("Accept", "application/json")
                .contentType("application/json")
                .content(landmarks)
                .with(csrf()))
        .andExpect(status().isBadRequest());
    assertThat(database.fetchCount(MARKING)).isZero();
  }

  /** Kept by an earlier version, one such point took down every page of the study for good. */
  @Test
  void aStoredPointThatLiesNowhereIsLeftOutAndSaidAndEveryPageStands() throws Exception {
    database
        .insertInto(MARKING)
        .set(MARKING.WORK_ID, pell)
        .set(MARKING.VERSION, 1)
        .set(
            MARKING.LANDMARKS,
            JSONB.valueOf(
                "{\"crown\":{\"x\":1e155,\"y\":1e155,\"state\":\"placed\"},"
                    + "\"chin\":{\"x\":-1e155,\"y\":1e160,\"state\":\"placed\"},"
                    + "\"sole\":{\"x\":300,\"y\":900,\"state\":\"placed\"}}"))
        .set(MARKING.SAVED_AT, OffsetDateTime.now())
        .execute();
    for (String page :
        List.of(
            "/",
            base + "/gather",
            base + "/rules",
            base + "/plan",
            base + "/scope",
            work + "/origin",
            work + "/look",
            base + "/rules/style.json")) {
      mvc.perform(get(page)).andExpect(status().isOk());
    }
    mvc.perform(get(work + "/measure"))
        .andExpect(status().isOk())
        .andExpect(
            content().string(containsString("2 kept points of this work could not be used")));
    assertThat(markings.newest(pell, View.FRONT).marks().landmarks()).hasSize(1);
  }

  @ParameterizedTest
  @ValueSource(strings = {"NaN", "Infinity", "1e300"})
  void aBoxThatIsNoneIsRefused(String x) throws Exception {
    for (String path : List.of("/picks", "/figures")) {
      mvc.perform(
              post(work + path)
                  .param("part", "EYES")
                  .param("x", x)
                  .param("y", "10")
                  .param("width", "100")
                  .param("height", "100")
                  .with(csrf()))
          .andExpect(status().isBadRequest());
    }
    mvc.perform(get("/tray/cleaned").param("page", "a").param("x1", x))
        .andExpect(status().is4xxClientError());
    assertThat(database.fetchCount(PICK)).isZero();
  }

  @Test
  void aPlaceOnTheWallIsHeldOnIt() throws Exception {
    mvc.perform(
            post(base + "/places")
                .contentType("application/json")
                .content(
                    "[{\"work\":" + pell + ",\"x\":1e300,\"y\":0,\"width\":200,\"group\":null}]")
                .with(csrf()))
        .andExpect(status().isBadRequest());
    mvc.perform(post(base + "/places").contentType("application/json").content("{").with(csrf()))
        .andExpect(status().isBadRequest());
  }

  // ---------- words

  @ParameterizedTest
  @CsvSource({
    "view, SIDEWAYS",
    "weight, 3",
    "weight, NaN",
    "light, noon",
    "framing, whole",
    "kind, ghost",
    "role, VILLAIN"
  })
  void aWordThatIsNoChoiceIsToldAsAPageAndAsAFragment(String field, String word) throws Exception {
    mvc.perform(describe(field, word))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("is not one of the choices here")));
    mvc.perform(describe(field, word).header("HX-Request", "true"))
        .andExpect(status().isBadRequest())
        .andExpect(
            content()
                .string(allOf(containsString("role=\"alert\""), not(containsString("<html")))));
  }

  @Test
  void elsewhereTooUnknownWordsAndMissingFieldsAreNoFaultOfOurs() throws Exception {
    mvc.perform(post(base + "/scope").param("name", "a").with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("could not be understood")));
    for (String[] form :
        new String[][] {
          {"/scope", "kind", "COPY", "counted", "on-fingers"},
          {"/scope", "kind", "COPY", "kind.LINE", "GUESS"},
          {"/scope/ways", "trait", "WINGS", "way", "INVENT"},
          {"/improvise", "part", "tail", "on", "true"},
          {"/works/" + pell + "/statements", "part", "EYES", "stage", "later"}
        }) {
      mvc.perform(
              post(base + form[0])
                  .param(form[1], form[2])
                  .param(form[3], form[4])
                  .param("name", "a")
                  .param("illustrator", "b")
                  .param("text", "c")
                  .with(csrf())
                  .header("HX-Request", "true"))
          .andExpect(status().isBadRequest())
          .andExpect(content().string(containsString("role=\"alert\"")));
    }
  }

  @Test
  void aNullCharacterATextTooLongAndAFullDiskEachHaveTheirSentence() throws Exception {
    mvc.perform(describe("credit", "by\u0000hand"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("a character that cannot be kept")));
    mvc.perform(describe("credit", "long ".repeat(400))).andExpect(status().is3xxRedirection());
    assertThat(pell().credit()).hasSizeLessThanOrEqualTo(500);
    database.execute(
        """
        create function full_disk() returns trigger language plpgsql as $$
        begin raise exception 'could not extend file' using errcode = '53100'; end $$
        """);
    database.execute(
        "create trigger full_disk before update on work for each row execute function full_disk()");
    mvc.perform(describe("title", "New"))
        .andExpect(status().is(507))
        .andExpect(content().string(containsString("disk that holds the library is full")));
    assertThat(pell().title()).isEqualTo("Pell");
  }

  @Test
  void anEmojiAtTheLimitStaysWhole() throws Exception {
    mvc.perform(describe("title", "x".repeat(199) + "\uD83D\uDE00" + "y"))
        .andExpect(status().is3xxRedirection());
    assertThat(pell().title()).isEqualTo("x".repeat(199) + "\uD83D\uDE00");
  }

  @Test
  void statementsInAnyScriptAreToldApartAndTheSameOneIsOne() throws Exception {
    for (String text : List.of("指の爪がない", "目の端が開いている", "指の爪がない", "!!", "??")) {
      mvc.perform(
              post(work + "/statements")
                  .param("text", text)
                  .param("part", "HANDS")
                  .param("stage", "line")
                  .with(csrf()))
          .andExpect(status().is3xxRedirection());
    }
    assertThat(database.selectFrom(STATEMENT).where(STATEMENT.OWN).fetch(STATEMENT.TEXT))
        .containsExactlyInAnyOrder("指の爪がない", "目の端が開いている", "!!", "??");
  }

  @Test
  void controlCharactersMakeAGuideThatEveryReaderOpens() throws Exception {
    mvc.perform(
            post(base + "/scope/process")
                .param("text", "line\u0001 first \uD83D\uDE00 <b> & \uFFFF")
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
    markings.save(pell, 0, source(1).truth());
    String svg =
        mvc.perform(get(base + "/plan/guide.svg"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString(StandardCharsets.UTF_8);
    var document =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
    assertThat(document.getDocumentElement().getTextContent()).contains("first \uD83D\uDE00 <b> &");
  }

  // ---------- all or nothing

  @Test
  void aFormThatCannotBeTakenWholeIsNotTakenInPart() throws Exception {
    intake.take(study, source(1).png(), Work.Role.HELPER, "The same", "", View.FRONT);
    mvc.perform(
            post(work)
                .param("title", "Another title")
                .param("manner", "painted")
                .param("role", "HELPER")
                .with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("already has the same picture as a helper")));
    assertThat(pell().title()).isEqualTo("Pell");
    assertThat(pell().tags().manner()).isEmpty();
    assertThat(pell().role()).isEqualTo(Work.Role.SOURCE);
  }

  @Test
  void ofManyWorksAllAreDescribedOrNone() throws Exception {
    mvc.perform(
            post(base + "/works/many")
                .param("works", String.valueOf(pell), "987654321")
                .param("manner", "painted")
                .with(csrf()))
        .andExpect(status().isNotFound());
    assertThat(pell().tags().manner()).isEmpty();
  }

  // ---------- two windows

  @Test
  void twoWindowsOnOneWorkAreShownBothAndTheUserChooses() throws Exception {
    int version = pell().version();
    mvc.perform(describe("notes", "theirs").param("version", String.valueOf(version)))
        .andExpect(status().is3xxRedirection());
    mvc.perform(describe("notes", "mine").param("version", String.valueOf(version)))
        .andExpect(status().isConflict())
        .andExpect(content().string(containsString("Kept in another window meanwhile")))
        .andExpect(content().string(allOf(containsString("theirs"), containsString("mine"))));
    assertThat(pell().tags().notes()).isEqualTo("theirs");
    mvc.perform(describe("notes", "mine").param("version", String.valueOf(pell().version())))
        .andExpect(status().is3xxRedirection());
    assertThat(pell().tags().notes()).isEqualTo("mine");
    // What says the same is no conflict.
    mvc.perform(describe("notes", "mine").param("version", String.valueOf(version)))
        .andExpect(status().is3xxRedirection());
  }

  private MockHttpServletRequestBuilder scope(String reason, String version) {
    return post(base + "/scope")
        .param("name", "n")
        .param("illustrator", "i")
        .param("kind", "COPY")
        .param("reason", reason)
        .param("version", version)
        .with(csrf());
  }

  @Test
  void twoWindowsOnOneStudyAndOnWhatItsFiguresAreLike() throws Exception {
    mvc.perform(scope("to learn hands", "1")).andExpect(status().is3xxRedirection());
    mvc.perform(scope("to learn light", "1"))
        .andExpect(status().isConflict())
        .andExpect(
            content().string(allOf(containsString("learn hands"), containsString("learn light"))));
    assertThat(studies.require(study).reason()).isEqualTo("to learn hands");
    MockHttpServletRequestBuilder first =
        post(base + "/scope/traits")
            .param("work", String.valueOf(pell))
            .param("hair-colour", "red");
    mvc.perform(first.param("version", "1").with(csrf())).andExpect(status().is3xxRedirection());
    mvc.perform(
            post(base + "/scope/traits")
                .param("work", String.valueOf(pell))
                .param("hair-colour", "blue")
                .param("version", "1")
                .with(csrf()))
        .andExpect(status().isConflict())
        .andExpect(content().string(allOf(containsString("red"), containsString("blue"))));
  }

  @Test
  void traitsSaidByEightHandsAtOnceFindTheirOrder() throws Exception {
    List<Integer> answers =
        atOnce(
            hand ->
                mvc.perform(
                        post(base + "/scope/traits")
                            .param("work", String.valueOf(pell))
                            .param("hair-colour", "red " + hand)
                            .param("build", "broad")
                            .with(csrf()))
                    .andReturn()
                    .getResponse()
                    .getStatus());
    assertThat(answers).containsOnly(302);
  }

  // ---------- twice

  private interface Hand {
    int send(int number) throws Exception;
  }

  private static List<Integer> atOnce(Hand hand) throws Exception {
    ExecutorService hands = Executors.newFixedThreadPool(8);
    try {
      List<Callable<Integer>> all = new ArrayList<>();
      for (int i = 0; i < 8; i++) {
        int number = i;
        all.add(() -> hand.send(number));
      }
      List<Integer> answers = new ArrayList<>();
      for (Future<Integer> answer : hands.invokeAll(all)) {
        answers.add(answer.get());
      }
      return answers;
    } finally {
      hands.shutdownNow();
    }
  }

  private int statusOf(MockHttpServletRequestBuilder request) throws Exception {
    return mvc.perform(request.with(csrf())).andReturn().getResponse().getStatus();
  }

  @Test
  void aStudySentEightTimesIsBegunOnceAndWithOtherWordsAgain() throws Exception {
    int before = database.fetchCount(STUDY);
    assertThat(
            atOnce(
                hand ->
                    statusOf(
                        post("/studies").param("illustrator", "Vee").param("once", "a-token"))))
        .containsOnly(302);
    assertThat(database.fetchCount(STUDY)).isEqualTo(before + 1);
    statusOf(post("/studies").param("illustrator", "Wim").param("once", "a-token"));
    assertThat(database.fetchCount(STUDY)).isEqualTo(before + 2);
  }

  @Test
  void splitsPicksNotesAndRepeatsSentTwiceAreOne() throws Exception {
    statusOf(describe("manner", "painted"));
    int before = database.fetchCount(STUDY);
    atOnce(
        hand -> statusOf(post(base + "/split").param("word", "painted").param("once", "b-token")));
    assertThat(database.fetchCount(STUDY)).isEqualTo(before + 1);
    atOnce(
        hand ->
            statusOf(
                post(work + "/picks")
                    .param("part", "EYES")
                    .param("x", "10")
                    .param("y", "10")
                    .param("width", "60")
                    .param("height", "40")));
    assertThat(database.fetchCount(PICK, PICK.WORK_ID.eq(pell))).isEqualTo(1);
    atOnce(hand -> statusOf(post(base + "/scope/process").param("text", "line last")));
    assertThat(database.fetchCount(PROCESS_NOTE)).isEqualTo(1);
    markings.save(pell, 0, source(1).truth());
    atOnce(
        hand ->
            statusOf(
                post(work + "/repeat")
                    .contentType("application/json")
                    .content(MarksFile.landmarksJson(source(1).truth()))));
    assertThat(database.fetchCount(REPEAT_MARKING)).isEqualTo(1);
  }

  // ---------- names and health

  @Test
  void theMachinesOwnNameMayBeWrittenInCapitals() throws Exception {
    mvc.perform(get("/").with(request -> named(request, "LOCALHOST"))).andExpect(status().isOk());
    mvc.perform(get("/").with(request -> named(request, "elsewhere.example")))
        .andExpect(status().is(421));
  }

  private static MockHttpServletRequest named(MockHttpServletRequest request, String name) {
    request.setServerName(name);
    return request;
  }

  /** By itself and within half a minute, however busy the machine is. */
  private void awaitReady() throws Exception {
    long end = System.nanoTime() + 30_000_000_000L;
    while (mvc.perform(get("/actuator/health/readiness")).andReturn().getResponse().getStatus()
            != 200
        && System.nanoTime() < end) {
      Thread.sleep(100);
    }
    mvc.perform(get("/actuator/health/readiness")).andExpect(status().isOk());
  }

  @Test
  void withoutItsDatabaseTheApplicationSaysItIsNotReadyAndComesBackByItself() throws Exception {
    TestDatabase.shared().stopServer();
    try {
      mvc.perform(get("/actuator/health/readiness")).andExpect(status().isServiceUnavailable());
      mvc.perform(get(base + "/gather"))
          .andExpect(status().isServiceUnavailable())
          .andExpect(content().string(containsString("as soon as PostgreSQL runs again")));
    } finally {
      TestDatabase.shared().startServer();
    }
    awaitReady();
    mvc.perform(get(base + "/gather")).andExpect(status().isOk());
  }
}
