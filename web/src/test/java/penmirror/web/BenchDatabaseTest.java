package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static penmirror.web.storage.generated.Tables.GUESS;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.format.MarksFile;
import penmirror.core.geometry.Point;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.RepeatStore;
import penmirror.web.evidence.TickStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;

/** What the bench asks of the server besides saving. */
class BenchDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired MarkingStore markings;
  @Autowired RepeatStore repeats;
  @Autowired TickStore ticks;
  @Autowired Intake intake;

  private long study;
  private long pell;
  private String bench;

  @BeforeEach
  void takeAPicture() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
    pell = take(source(1));
    bench = "/studies/" + study + "/works/" + pell;
  }

  @Test
  void whatIsMarkedIsNotProposedAgain() throws Exception {
    Marks sole = Marks.none(View.FRONT).with(Landmark.SOLE, Mark.placed(500, 1000));
    mvc.perform(json(bench + "/proposal", MarksFile.landmarksJson(sole)))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.landmarks.eye_l_outer.state").value("proposed"))
        .andExpect(jsonPath("$.landmarks.eye_l_outer.confidence").isNumber())
        .andExpect(jsonPath("$.landmarks.sole").doesNotExist())
        .andExpect(jsonPath("$.figure.bottom").isNumber());
    assertThat(markings.newest(pell, View.FRONT).version()).isZero();
  }

  @Test
  void thePageSaysHowManyWorksAProposalLearnsFrom() throws Exception {
    mvc.perform(get(bench + "/measure"))
        .andExpect(content().string(containsString("From the pixels alone")));
    markings.save(take(source(2)), 0, source(2).truth());
    mvc.perform(get(bench + "/measure"))
        .andExpect(content().string(containsString("Learns from 1 marked work.")));
  }

  /** As little as a page needs while a point moves, and the same values as the whole block. */
  @Test
  void movingReadingsAreThoseOfTheBlock() throws Exception {
    String marks = MarksFile.landmarksJson(source(1).truth());
    String moving =
        mvc.perform(json(bench + "/readings", marks).accept("application/json"))
            .andExpect(jsonPath("$.head").value(containsString("1 head =")))
            .andReturn()
            .getResponse()
            .getContentAsString();
    String block =
        mvc.perform(json(bench + "/readings", marks).accept("text/html"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    String value = moving.replaceAll(".*\"eye.line\",\"value\":\"([^\"]+)\".*", "$1");
    assertThat(value).matches("0\\.\\d\\d");
    assertThat(block).contains("data-measure=\"eye.line\"").contains("<b>" + value + "</b>");
    assertThat(markings.newest(pell, View.FRONT).version()).isZero();
  }

  @Test
  void doubtsAreSaidInWordsAtTheirPoint() throws Exception {
    Marks upsideDown =
        Marks.none(View.FRONT)
            .with(Landmark.CROWN, Mark.placed(300, 500))
            .with(Landmark.CHIN, Mark.placed(300, 200));
    mvc.perform(json(bench + "/readings", MarksFile.landmarksJson(upsideDown)))
        .andExpect(content().string(containsString("data-landmark=\"crown\"")))
        .andExpect(content().string(containsString("lies below the chin.")));
  }

  @Test
  void versionsCanBeFetchedAndUnknownOnesAreNotThere() throws Exception {
    markings.save(pell, 0, source(1).truth(), "Tilda Ames");
    mvc.perform(get(bench + "/marks/1.json")).andExpect(jsonPath("$.crown.state").value("placed"));
    mvc.perform(get(bench + "/marks/7.json")).andExpect(status().isNotFound());
    assertThat(markings.history(pell, 9)).singleElement();
    assertThat(markings.history(pell, 9).get(0).by()).isEqualTo("Tilda Ames");
  }

  @Test
  void aNameInTheHeaderIsKeptWithTheMarking() throws Exception {
    mvc.perform(
            json(bench + "/marks", MarksFile.landmarksJson(source(1).truth()))
                .header("X-Marks-Version", "0")
                .header("X-Marks-By", "Ren%C3%A9e"))
        .andExpect(status().isOk());
    assertThat(markings.history(pell, 1).get(0).by()).isEqualTo("Renée");
  }

  @Test
  void fromThreeWorksMarkedTwiceTheErrorIsKnown() throws Exception {
    markings.save(pell, 0, source(1).truth());
    Marks truth = source(1).truth();
    for (int i = 1; i <= 3; i++) {
      Point off = new Point(0.5 * i, 0);
      Marks again = truth.moved(truth.landmarks().keySet(), point -> point.plus(off));
      mvc.perform(json(bench + "/repeat", MarksFile.landmarksJson(again)))
          .andExpect(status().isOk());
      assertThat(repeats.technicalError(study).isEnough()).isEqualTo(i == 3);
    }
    mvc.perform(json(bench + "/repeat", "no json")).andExpect(status().isBadRequest());
  }

  @Test
  void aGuessIsKeptWithItsSignedError() throws Exception {
    markings.save(pell, 0, source(1).truth());
    mvc.perform(
            post(bench + "/guesses")
                .param("measure", "stature.heads")
                .param("guessed", "3,5")
                .with(csrf()))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("too low")));
    var kept = database.selectFrom(GUESS).fetchSingle();
    assertThat(kept.getGuessed() - kept.getReadValue()).isNegative();
    mvc.perform(
            post(bench + "/guesses")
                .param("measure", "stature.heads")
                .param("guessed", "about four")
                .with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("about four")));
    assertThat(database.fetchCount(GUESS)).isEqualTo(1);
  }

  @Test
  void statementsAreAnsweredWithdrawnAndCopied() throws Exception {
    String nails = bench + "/statements/hands-nails";
    mvc.perform(post(nails).param("answer", "no").with(csrf())).andExpect(status().isNoContent());
    mvc.perform(post(nails).param("answer", "perhaps").with(csrf()))
        .andExpect(status().isBadRequest());
    mvc.perform(post(bench + "/statements/unheard-of").param("answer", "no").with(csrf()))
        .andExpect(status().isBadRequest());
    mvc.perform(get(bench + "/marks.json"))
        .andExpect(jsonPath("$.statements.hands-nails").value("no"));

    long tam = take(source(2));
    String other = "/studies/" + study + "/works/" + tam;
    mvc.perform(post(other + "/statements/hands-nails").param("answer", "yes").with(csrf()))
        .andExpect(status().isNoContent());
    mvc.perform(post(bench + "/statements/folds-none").param("answer", "unclear").with(csrf()))
        .andExpect(status().isNoContent());
    mvc.perform(post(other + "/statements/copy").param("from", String.valueOf(pell)).with(csrf()))
        .andExpect(redirectedUrl(other + "/statements"));
    // What was answered here stays; the rest comes along.
    assertThat(ticks.answers(tam))
        .containsEntry("hands-nails", "yes")
        .containsEntry("folds-none", "unclear");
    mvc.perform(post(nails).param("answer", "").with(csrf()));
    assertThat(ticks.answers(pell)).doesNotContainKey("hands-nails");
  }

  @Test
  void aPartStudyAsksForItsPartFirst() throws Exception {
    mvc.perform(get(bench + "/measure"))
        .andExpect(content().string(not(containsString("The part this study looks at"))));
    mvc.perform(
        post("/studies/" + study + "/scope")
            .param("name", "Eyes")
            .param("illustrator", "Odile Marrow")
            .param("kind", "COPY")
            .param("part", "eyes")
            .with(csrf()));
    mvc.perform(get(bench + "/measure"))
        .andExpect(content().string(containsString("The part this study looks at")));
  }

  private long take(DrawnWork drawn) {
    return ((Intake.Taken)
            intake.take(
                study, drawn.png(), Work.Role.SOURCE, drawn.fileName(), "by hand", View.FRONT))
        .workId();
  }

  private static MockHttpServletRequestBuilder json(String url, String body) {
    return post(url).contentType("application/json").content(body).with(csrf());
  }
}
