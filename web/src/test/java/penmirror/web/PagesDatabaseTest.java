package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.mockito.Mockito.doCallRealMethod;
import static org.mockito.Mockito.doThrow;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.PIXEL_READING;
import static penmirror.web.storage.generated.Tables.WORK;

import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.ResultActions;
import penmirror.core.act.Act;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.format.MarksFile;
import penmirror.core.format.StyleFile;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
import penmirror.core.scoring.AttemptScorer;
import penmirror.core.scoring.Score;
import penmirror.core.style.Portrayal;
import penmirror.core.telling.FixWords;
import penmirror.core.words.Wording;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.PixelReading;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

class PagesDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired WorkStore works;
  @Autowired MarkingStore markings;
  @Autowired PixelReading pixelReading;
  @Autowired PixelReadingStore pixelReadings;

  private long study;

  @BeforeEach
  void beginAStudy() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
  }

  /** Asked without a version, the libraries' files are found all the same. */
  @Test
  void linksStandInPagesAsTemplatesWriteThem() throws Exception {
    String file = "/webjars/bootstrap/css/bootstrap.min.css";
    mvc.perform(get("/")).andExpect(content().string(containsString("href=\"" + file + "\"")));
    mvc.perform(get(file))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Bootstrap")));
  }

  @Test
  void beginningAStudyLeadsToItsWall() throws Exception {
    mvc.perform(post("/studies").param("illustrator", "Someone Invented").with(csrf()))
        .andExpect(redirectedUrlPattern("/studies/*/gather"));
    assertThat(studies.all()).hasSize(2);
  }

  @Test
  void aStudyWithoutAnIllustratorIsAskedForOne() throws Exception {
    mvc.perform(post("/studies").param("illustrator", "  ").with(csrf()))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Name the illustrator")));
    assertThat(studies.all()).hasSize(1);
  }

  @Test
  void unknownIdsAreToldInPlainWords() throws Exception {
    mvc.perform(get("/studies/999999/gather"))
        .andExpect(status().isNotFound())
        .andExpect(content().string(containsString("There is no study 999999")));
    mvc.perform(get("/studies/" + study + "/works/77777/measure"))
        .andExpect(status().isNotFound())
        .andExpect(content().string(containsString("no work 77777 in this study")));
    mvc.perform(get("/pictures/abc"))
        .andExpect(status().isNotFound())
        .andExpect(content().string(containsString("no picture abc")));
    mvc.perform(get("/studies/abc/gather")).andExpect(status().isNotFound());
    mvc.perform(get("/no/such/page")).andExpect(status().isNotFound());
  }

  @Test
  void badFilesAreEachToldAndTheGoodOneComesIn() throws Exception {
    byte[] good = source(1).png();
    mvc.perform(
            multipart("/studies/" + study + "/works")
                .file(file("notes.png", "hello".getBytes()))
                .file(file("empty.png", new byte[0]))
                .file(file("short.png", Arrays.copyOf(good, good.length / 2)))
                .file(file("pell-at-the-rail.png", good))
                .file(file("again.png", good))
                .header("HX-Request", "true")
                .with(csrf()))
        .andExpect(status().isOk())
        .andExpect(
            content()
                .string(
                    containsString(
                        "notes.png was not taken in. The file is not a picture of a kind")))
        .andExpect(
            content().string(containsString("empty.png was not taken in. The file is empty")))
        .andExpect(
            content()
                .string(containsString("short.png was not taken in. The picture is cut short")))
        .andExpect(content().string(containsString("again.png is already here as work 1")));
    assertThat(works.inRole(study, Work.Role.SOURCE))
        .singleElement()
        .satisfies(
            work -> {
              assertThat(work.title()).isEqualTo("pell at the rail");
              assertThat(work.credit()).isEqualTo("by hand");
            });
    assertThat(database.fetchCount(PICTURE)).isEqualTo(1);
  }

  @Test
  void theOriginalBytesAreKeptUntouched() throws Exception {
    Work work = take(source(2), Work.Role.SOURCE);
    byte[] served =
        mvc.perform(get("/pictures/" + work.pictureSha256()))
            .andExpect(header().string("Content-Type", "image/png"))
            .andExpect(header().string("Cache-Control", containsString("immutable")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertThat(served).isEqualTo(source(2).png());
  }

  @Test
  void aMarkingIsSavedReadAndShown() throws Exception {
    Work work = take(source(1), Work.Role.SOURCE);
    save(work, 0, source(1).truth())
        .andExpect(status().isOk())
        .andExpect(header().string("X-Marks-Version", "1"))
        .andExpect(content().string(containsString("data-measure=\"eye.line\"")))
        .andExpect(
            content()
                .string(
                    containsString(
                        "1 head = "
                            + Math.round(source(1).truth().headFrame().orElseThrow().headPixels())
                            + " px")));
    assertThat(markings.newest(work.id(), View.FRONT).marks().landmarks().keySet())
        .containsAll(source(1).truth().landmarks().keySet());
  }

  @Test
  void theFirstFourPointsAlreadyAnswerSomething() throws Exception {
    Work work = take(source(1), Work.Role.SOURCE);
    Marks four = Marks.none(View.FRONT);
    for (Landmark landmark : new Landmark[] {Landmark.CROWN, Landmark.CHIN, Landmark.SOLE}) {
      four = four.with(landmark, source(1).truth().landmarks().get(landmark));
    }
    double heads =
        ProportionMeasures.STATURE
            .read(new Evidence(four, Optional.empty()))
            .reading()
            .orElseThrow()
            .value();
    save(work, 0, four)
        .andExpect(
            content()
                .string(
                    containsString(
                        "<b>" + Wording.number(ProportionMeasures.STATURE.unit(), heads) + "</b>")))
        .andExpect(content().string(containsString("tells nose")))
        .andExpect(content().string(containsString("after 4 more points")))
        .andExpect(content().string(not(containsString("place left eye"))));
  }

  /** Two windows on one picture: the second to save is told, and overwrites nothing. */
  @Test
  void aSaveFromAnOlderVersionIsRefusedAndLosesNothing() throws Exception {
    Work work = take(source(1), Work.Role.SOURCE);
    save(work, 0, source(1).truth()).andExpect(status().isOk());
    save(work, 0, Marks.none(View.FRONT))
        .andExpect(status().isConflict())
        .andExpect(header().string("X-Marks-Version", "1"))
        .andExpect(content().string(containsString("marked in another window")));
    assertThat(markings.newest(work.id(), View.FRONT).marks().isEmpty()).isFalse();
    save(work, 1, Marks.none(View.FRONT)).andExpect(header().string("X-Marks-Version", "2"));
  }

  @Test
  void aMarkingThatMakesNoSenseIsRefusedByName() throws Exception {
    Work work = take(source(1), Work.Role.SOURCE);
    mvc.perform(
            post(marksUrl(work))
                .header("X-Marks-Version", 0)
                .content("{\"tail\":{\"x\":1,\"y\":1}}")
                .with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("tail")));
  }

  /** The page and the core, fed with the page's own files, come to the same figure. */
  @Test
  void theMirrorShowsWhatTheCoreComputes() throws Exception {
    for (int i = 1; i <= 4; i++) {
      hang(study, Work.Role.SOURCE, source(i), "Work " + i);
    }
    Work attempt = take(redraw(1), Work.Role.REDRAW);
    markings.save(attempt.id(), 0, redraw(1).truth());
    // Some may have been read before they were marked.
    works.inRole(study, Work.Role.SOURCE).forEach(pixelReading::want);
    pixelReading.want(attempt);
    awaitReadings();

    String page = text("/studies/" + study + "/mirror/" + attempt.id());
    StyleFile style = StyleFile.parse(text("/studies/" + study + "/rules/style.json"));
    MarksFile marks =
        MarksFile.parse(text("/studies/" + study + "/works/" + attempt.id() + "/marks.json"));
    Evidence evidence =
        new Evidence(
            marks.marks(),
            Optional.of(
                new PixelReader()
                    .read(
                        new PictureReader().open(redraw(1).png()).picture(),
                        marks.marks(),
                        step -> {})));
    AttemptScorer scorer = new AttemptScorer(style.sheet());
    Score score = scorer.score(evidence, scorer.asked(evidence, Portrayal.ANY, Optional.empty()));

    assertThat(page)
        .contains("id=\"by-rules\">" + Wording.number(score.byRules().orElseThrow(), 0) + "<")
        .contains("id=\"glance\">" + Wording.number(score.glance().orElseThrow(), 0) + "<")
        .contains(FixWords.instruction(score.fixes().get(0)))
        .contains("data-measure=\"eye.line\"");
    assertThat(page).contains("atrix(").contains("Matched on the landmarks");
  }

  @Test
  void rulesShowADotForEveryWorkThatLinksBack() throws Exception {
    for (int i = 1; i <= 3; i++) {
      hang(study, Work.Role.SOURCE, source(i), "Work " + i);
    }
    String page = text("/studies/" + study + "/rules");
    for (Work work : works.inRole(study, Work.Role.SOURCE)) {
      assertThat(page).contains("href=\"/studies/" + study + "/works/" + work.id() + "/measure\"");
    }
    assertThat(page).contains("data-act=\"heads-tall\"").contains("heads tall.");
    assertThat(text("/studies/" + study + "/rules/figures"))
        .contains("data-measure=\"stature.heads\"")
        .contains("few works");
  }

  /** Half of the score is what the user says makes or breaks it, in their order and their words. */
  @Test
  void whatMakesOrBreaksItIsAcceptedChangedAndScored() throws Exception {
    for (int i = 1; i <= 3; i++) {
      hang(study, Work.Role.SOURCE, source(i), "Work " + i);
    }
    long redraw = hang(study, Work.Role.REDRAW, redraw(1), "Try");
    for (String act : List.of("eye-height", "heads-tall")) {
      send("/rules/signature/act", "act", act);
    }
    send("/rules/signature/raise", "act", "heads-tall");
    mvc.perform(
            post("/studies/" + study + "/rules/signature/words")
                .param("act", "eye-height")
                .param("words", "Eyes sunk deep")
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
    send("/rules/headline", "word", "Carved");
    String rules = text("/studies/" + study + "/rules");
    assertThat(rules).contains("value=\"Carved\"", "Eyes sunk deep", "half of every score");
    assertThat(rules.indexOf("data-trait=\"heads-tall\""))
        .isLessThan(rules.indexOf("data-trait=\"eye-height\""));
    String mirror = text("/studies/" + study + "/mirror/" + redraw);
    assertThat(mirror).contains("Eyes sunk deep", "data-state=\"broken\"", "of 50");
    StyleFile file = StyleFile.parse(text("/studies/" + study + "/rules/style.json"));
    assertThat(file.sheet().makeOrBreak())
        .extracting(Act::key)
        .containsExactly("heads-tall", "eye-height");
    byte[] paper =
        mvc.perform(get("/studies/" + study + "/rules/sheet.pdf"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument document = Loader.loadPDF(paper)) {
      assertThat(new PDFTextStripper().getText(document)).contains("Carved", "Eyes sunk deep");
    }
    send("/rules/signature", "accepted", "false");
    assertThat(text("/studies/" + study + "/rules")).contains("proposed", "value=\"Carved\"");
    mvc.perform(
            post("/studies/" + study + "/rules/signature/act")
                .param("act", "no-such-act")
                .with(csrf()))
        .andExpect(status().isBadRequest());
  }

  private void send(String path, String name, String value) throws Exception {
    mvc.perform(post("/studies/" + study + path).param(name, value).with(csrf()))
        .andExpect(status().is3xxRedirection());
  }

  /** What is ticked is a row of the sheet: how often, and whether that is always or never. */
  @Test
  void whatIsTickedIsARule() throws Exception {
    for (int i = 1; i <= 3; i++) {
      long work = take(source(i), Work.Role.SOURCE).id();
      mvc.perform(
              post("/studies/" + study + "/works/" + work + "/statements/hair-clumps")
                  .param("answer", "no")
                  .with(csrf()))
          .andExpect(status().isNoContent());
    }
    assertThat(text("/studies/" + study + "/rules"))
        .contains("data-tick=\"hair-clumps\"", "Hair falls in clumps", "0 of 3", ">never<");
  }

  @Test
  void theCanvasIsKeptAndAnImpossibleOneIsTold() throws Exception {
    mvc.perform(
            post("/studies/" + study + "/plan")
                .param("width", "1,200")
                .param("height", "1800")
                .with(csrf()))
        .andExpect(redirectedUrlPattern("/studies/*/plan"));
    assertThat(text("/studies/" + study + "/plan/guide.svg")).contains("width=\"1200\"");
    assertThat(text("/studies/" + study + "/plan")).doesNotContain("svgView");
    assertThat(text("/studies/" + study + "/plan?near=head"))
        .contains("guide.svg#svgView(viewBox(");
    byte[] paper =
        mvc.perform(get("/studies/" + study + "/plan/guide.pdf").param("perInch", "150"))
            .andExpect(status().isOk())
            .andExpect(content().contentType("application/pdf"))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument document = Loader.loadPDF(paper)) {
      // Eight inches wide.
      assertThat(document.getPage(0).getMediaBox().getWidth()).isEqualTo(576);
    }
    for (String ending : List.of("png", "ora")) {
      byte[] file =
          mvc.perform(get("/studies/" + study + "/plan/guide." + ending))
              .andExpect(status().isOk())
              .andReturn()
              .getResponse()
              .getContentAsByteArray();
      Picture guide = new PictureReader().open(file).picture();
      assertThat(guide.widthPixels()).isEqualTo(1200);
      assertThat(guide.hasTransparency()).as("to be laid over a drawing").isTrue();
    }
    mvc.perform(get("/studies/" + study + "/plan/guide.pdf").param("perInch", "fine"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("30 to 10,000 px per inch")));
    mvc.perform(
            post("/studies/" + study + "/plan")
                .param("width", "12")
                .param("height", "1800")
                .with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("must be 100 to 20000 px, got 12")));
    mvc.perform(
            post("/studies/" + study + "/plan")
                .param("width", "wide")
                .param("height", "1")
                .with(csrf()))
        .andExpect(content().string(containsString("wide")));
  }

  @Test
  void emptyStagesSayHowToBegin() throws Exception {
    assertThat(text("/studies/" + study + "/rules")).contains("No rules yet");
    assertThat(text("/studies/" + study + "/plan")).contains("Only the head grid");
    assertThat(text("/studies/" + study + "/mirror")).contains("drop it here");
    assertThat(text("/")).contains("Add a picture");
  }

  @Test
  void aRedrawThatIsNoPictureIsToldWhereItHappened() throws Exception {
    mvc.perform(
            multipart("/studies/" + study + "/redraws")
                .file(new MockMultipartFile("file", "notes.jpg", "image/jpeg", "hello".getBytes()))
                .with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("notes.jpg was not taken in")));
    assertThat(database.fetchCount(WORK)).isZero();
  }

  @Test
  void changesNeedATokenAndALoopbackName() throws Exception {
    mvc.perform(post("/studies").param("illustrator", "x")).andExpect(status().isForbidden());
    mvc.perform(
            get("/")
                .with(
                    request -> {
                      request.setServerName("studio.example");
                      return request;
                    }))
        .andExpect(status().is(421))
        .andExpect(content().string(containsString("this machine only")));
  }

  @Test
  void everyPageCarriesTheStrictPolicy() throws Exception {
    mvc.perform(get("/"))
        .andExpect(header().string("Content-Security-Policy", containsString("script-src 'self'")))
        .andExpect(header().string("Content-Security-Policy", not(containsString("unsafe"))))
        .andExpect(header().string("Cache-Control", containsString("no-store")));
  }

  @Test
  void healthAnswers() throws Exception {
    mvc.perform(get("/actuator/health")).andExpect(content().string(containsString("UP")));
  }

  @Test
  void aStoppedDatabaseIsAClearPageThatMendsItself() throws Exception {
    doThrow(new CannotGetJdbcConnectionException("Connection refused")).when(studies).all();
    mvc.perform(get("/"))
        .andExpect(status().isServiceUnavailable())
        .andExpect(content().string(containsString("library does not answer just now")))
        .andExpect(content().string(containsString("nothing could be read or kept")));
    mvc.perform(get("/").header("HX-Request", "true"))
        .andExpect(status().isServiceUnavailable())
        .andExpect(header().string("HX-Retarget", "#faults"));
    doCallRealMethod().when(studies).all();
    mvc.perform(get("/")).andExpect(status().isOk());
  }

  @Test
  void pixelsAreReadInTheBackgroundAndCanBeStoppedAndReadAgain() throws Exception {
    Work work = take(source(1), Work.Role.SOURCE);
    awaitPixels();
    assertThat(text("/studies/" + study + "/works/" + work.id() + "/pixels"))
        .contains("Colours that carry")
        .contains("#7C8450");
    OffsetDateTime before = readAt();
    mvc.perform(post("/studies/" + study + "/works/" + work.id() + "/pixels/again").with(csrf()))
        .andExpect(status().isOk());
    awaitPixels();
    assertThat(readAt()).as("read anew").isAfter(before);
    mvc.perform(post("/studies/" + study + "/works/" + work.id() + "/pixels/stop").with(csrf()))
        .andExpect(status().isOk());
    mvc.perform(post("/studies/" + study + "/works/" + work.id() + "/pixels/again").with(csrf()));
    awaitPixels();
    assertThat(pixelReadings.progress(work.id()).readings()).isPresent();
  }

  private OffsetDateTime readAt() {
    return database
        .select(DSL.max(PIXEL_READING.CHANGED_AT))
        .from(PIXEL_READING)
        .fetchSingle(DSL.max(PIXEL_READING.CHANGED_AT));
  }

  private Work take(DrawnWork drawn, Work.Role role) throws Exception {
    String path = role == Work.Role.SOURCE ? "/works" : "/redraws";
    String part = role == Work.Role.SOURCE ? "files" : "file";
    mvc.perform(
            multipart("/studies/" + study + path)
                .file(new MockMultipartFile(part, drawn.fileName(), "image/png", drawn.png()))
                .with(csrf()))
        .andReturn();
    return works.inRole(study, role).stream().reduce((first, last) -> last).orElseThrow();
  }

  private ResultActions save(Work work, int version, Marks marks) throws Exception {
    return mvc.perform(
        post(marksUrl(work))
            .header("X-Marks-Version", version)
            .content(MarksFile.landmarksJson(marks))
            .with(csrf()));
  }

  private String marksUrl(Work work) {
    return String.format(Locale.ROOT, "/studies/%d/works/%d/marks", study, work.id());
  }

  private String text(String path) throws Exception {
    MvcResult result = mvc.perform(get(path)).andExpect(status().isOk()).andReturn();
    return result.getResponse().getContentAsString(StandardCharsets.UTF_8);
  }

  private static MockMultipartFile file(String name, byte[] bytes) {
    return new MockMultipartFile("files", name, "image/png", bytes);
  }

  private void awaitPixels() throws InterruptedException {
    for (int i = 0; i < 600; i++) {
      boolean busy =
          Stream.of(Work.Role.values())
              .flatMap(role -> works.inRole(study, role).stream())
              .anyMatch(work -> pixelReadings.progress(work.id()).isUnderWay());
      if (!busy) {
        return;
      }
      Thread.sleep(100);
    }
    throw new AssertionError("The pixels were not read within a minute");
  }
}
