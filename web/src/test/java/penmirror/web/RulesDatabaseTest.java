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

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.format.StyleFile;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The user's word over rules, their scopes, statements asked of all works, sheets as files. */
class RulesDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired Intake intake;
  @Autowired WorkStore works;

  private long study;
  private String base;
  private final List<Work> taken = new ArrayList<>();

  @BeforeEach
  void hangFourWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    base = "/studies/" + study;
    for (int i = 1; i <= 4; i++) {
      long id = hang(study, Work.Role.SOURCE, source(i), "Work " + i);
      taken.add(works.require(study, id));
    }
  }

  private StyleSheet sheet() throws Exception {
    return StyleFile.parse(text(base + "/rules/style.json")).sheet();
  }

  private Rule eyes() throws Exception {
    return sheet().rule(FaceMeasures.EYE_LINE).orElseThrow();
  }

  private String text(String address) throws Exception {
    return mvc.perform(get(address))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  private ResultActions band(String name, String value) throws Exception {
    return mvc.perform(post(base + "/rules/eye.line/band").param(name, value).with(csrf()));
  }

  @Test
  void aRuleIsPinnedWidenedAndGivenBackToTheWorks() throws Exception {
    Rule works = eyes();
    band("how", "PIN").andExpect(redirectedUrl(base + "/rules?open=eye-height"));
    assertThat(eyes().isSetByHand()).isTrue();
    assertThat(eyes().tolerance()).isCloseTo(works.tolerance(), offset());
    band("how", "WIDER");
    assertThat(eyes().tolerance()).isCloseTo(1.25 * works.tolerance(), offset());
    band("how", "NARROWER");
    assertThat(eyes().tolerance()).isCloseTo(works.tolerance(), offset());
    assertThat(text(base + "/rules")).contains("by hand").contains("Undo the last word");
    assertThat(text(base + "/rules/acts/eye-height")).contains("Set by hand on");
    band("how", "AS_WORKS");
    assertThat(eyes()).isEqualTo(works);
  }

  private static Offset<Double> offset() {
    return Offset.offset(1e-9);
  }

  @Test
  void bothEndsAreTypedAndTheLastWordIsUndone() throws Exception {
    Rule works = eyes();
    mvc.perform(
            post(base + "/rules/eye.line/band")
                .param("low", "0.41")
                .param("high", "0.47")
                .param("mood", "glad")
                .with(csrf()))
        .andExpect(redirectedUrl(base + "/rules?mood=glad&open=eye-height"));
    assertThat(eyes().low()).isCloseTo(0.41, offset());
    assertThat(eyes().high()).isCloseTo(0.47, offset());
    mvc.perform(post(base + "/rules/undo").with(csrf()))
        .andExpect(redirectedUrl(base + "/rules?open=eye-height"));
    assertThat(eyes()).isEqualTo(works);
    // With nothing left to undo nothing happens.
    mvc.perform(post(base + "/rules/undo").with(csrf())).andExpect(redirectedUrl(base + "/rules"));
  }

  @Test
  void aBandThatCannotBeIsRefusedAndNothingChanges() throws Exception {
    Rule works = eyes();
    for (String[] ends : new String[][] {{"0.5", "0.4"}, {"0.5", "0.5"}, {"NaN", "0.5"}}) {
      mvc.perform(
              post(base + "/rules/eye.line/band")
                  .param("low", ends[0])
                  .param("high", ends[1])
                  .with(csrf()))
          .andExpect(status().isBadRequest())
          .andExpect(content().string(containsString("cannot lie there")));
    }
    band("low", "0.3").andExpect(status().isBadRequest());
    mvc.perform(post(base + "/rules/no.such/band").param("how", "PIN").with(csrf()))
        .andExpect(status().isBadRequest());
    band("how", "SIDEWAYS").andExpect(status().isBadRequest());
    assertThat(eyes()).isEqualTo(works);
  }

  @Test
  void aWorkIsLeftOutOfOneRuleWithItsReasonAndTakenBack() throws Exception {
    String part = base + "/rules/eye.line/works/" + taken.get(1).id();
    mvc.perform(
        post(part).param("leftOut", "true").param("reason", "drawn by a guest").with(csrf()));
    assertThat(eyes().readingCount()).isEqualTo(3);
    assertThat(sheet().rule(FaceMeasures.MOUTH_LINE).orElseThrow().readingCount()).isEqualTo(4);
    assertThat(text(base + "/rules/acts/eye-height"))
        .contains("Work 2 is left out")
        .contains("drawn by a guest");
    mvc.perform(post(part).param("leftOut", "false").with(csrf()));
    assertThat(eyes().readingCount()).isEqualTo(4);
  }

  @Test
  void anActIsSaidInTheUsersWords() throws Exception {
    mvc.perform(
        post(base + "/rules/acts/eye-height/words").param("words", "Eyes sunk").with(csrf()));
    assertThat(text(base + "/rules")).contains("Eyes sunk");
    mvc.perform(post(base + "/rules/acts/eye-height/words").param("words", "").with(csrf()));
    assertThat(text(base + "/rules")).doesNotContain("Eyes sunk").contains("Eyes at");
  }

  /** Each trait stands beside its drawing, which the rules make. */
  @Test
  void aTraitIsDrawnByItsRules() throws Exception {
    Matcher drawings =
        Pattern.compile("/rules/acts/([a-z-]+)/drawing.svg").matcher(text(base + "/rules"));
    assertThat(drawings.find()).isTrue();
    assertThat(text(base + "/rules/acts/" + drawings.group(1) + "/drawing.svg")).contains("<svg");
    assertThat(text(base + "/rules/acts/eye-height/drawing.svg")).contains("<path");
    mvc.perform(get(base + "/rules/acts/far-eye/drawing.svg")).andExpect(status().isNotFound());
    mvc.perform(get(base + "/rules/acts/nothing/drawing.svg")).andExpect(status().isNotFound());
  }

  @Test
  void aMovedScopeKeepsItsWorksAndSaysWhatChanges() throws Exception {
    for (Work work : taken.subList(0, 3)) {
      works.tag(work.id(), work.tags().drawn(Optional.of(Mood.KEEN), Optional.empty()));
    }
    works.tag(
        taken.get(3).id(), taken.get(3).tags().drawn(Optional.of(Mood.SAD), Optional.empty()));
    assertThat(text(base + "/rules")).contains("mood=keen").doesNotContain("stay.");
    assertThat(text(base + "/rules?mood=keen")).contains("stay.").contains("back to all works");
    assertThat(text(base + "/rules/acts/eye-shape?mood=keen"))
        .contains("From the works that show just this.");
    assertThat(text(base + "/rules/acts/eye-shape?mood=sad")).contains("brought to it");
    // A word that is none asks for nothing.
    assertThat(text(base + "/rules?mood=smug")).doesNotContain("stay.");
  }

  @Test
  void aStatementIsAskedOfEveryWork() throws Exception {
    assertThat(text(base + "/traits?of=eyes-lash-flicks"))
        .contains("Lashes end in single flicks")
        .contains("nobody said yet");
    for (Work work : taken) {
      mvc.perform(
              post(base + "/traits/eyes-lash-flicks/works/" + work.id())
                  .param("answer", "no")
                  .with(csrf()))
          .andExpect(status().isOk());
    }
    assertThat(text(base + "/traits?of=eyes-lash-flicks")).contains("0 yes, 4 no, of 4 works");
    assertThat(text(base + "/rules")).contains("data-tick=\"eyes-lash-flicks\"");
    mvc.perform(
            post(base + "/traits/eyes-lash-flicks/works/" + taken.get(0).id())
                .param("answer", "perhaps")
                .with(csrf()))
        .andExpect(status().isBadRequest());
    mvc.perform(get(base + "/traits?of=no-such")).andExpect(status().isBadRequest());
    // Answered all, the wall goes on to the next that is open.
    assertThat(text(base + "/traits")).doesNotContain("<h1>Lashes end in single flicks");
  }

  @Test
  void twoStudiesAreHeldSideBySide() throws Exception {
    assertThat(text(base + "/compare?one=all&other=all"))
        .contains("Choose two that are not the same.");
    long other = studies.begin("Another", "Somebody Else", "", "");
    mvc.perform(get(base + "/compare?other=study:" + other)).andExpect(status().isBadRequest());
    mvc.perform(get(base + "/compare?one=everything")).andExpect(status().isBadRequest());
  }

  @Test
  void aSheetFileIsAStudyToPlanAndScoreBy() throws Exception {
    String file = text(base + "/rules/style.json");
    String address =
        mvc.perform(sheetFile(file.getBytes(StandardCharsets.UTF_8)))
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    String copy = address.replace("/rules", "");
    assertThat(StyleFile.parse(text(copy + "/rules/style.json")).sheet().rules())
        .isEqualTo(sheet().rules());
    assertThat(text(copy + "/rules")).contains("This sheet came as a file").contains("Eyes at");
    assertThat(text(copy + "/compare?other=study:" + study)).contains("What both do alike");
    text(copy + "/plan");
    text(copy + "/gather");
    text("/");
    mvc.perform(post(copy + "/rules/eye.line/band").param("how", "PIN").with(csrf()))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("stays as it came")));
    mvc.perform(post(copy + "/rules/headline").param("word", "Mine").with(csrf()))
        .andExpect(status().isBadRequest());
    long copyId = Long.parseLong(copy.replaceAll("\\D", ""));
    assertThat(intake.take(copyId, source(1).png(), Work.Role.SOURCE, "A", "", View.FRONT))
        .isInstanceOf(Intake.Refused.class);
  }

  @Test
  void aSheetFileThatCannotBeReadChangesNothing() throws Exception {
    String file = text(base + "/rules/style.json");
    int before = studies.all().size();
    for (String bad :
        List.of(
            "no json",
            "{}",
            file.replace("\"version\" : 1", "\"version\" : 9"),
            file.substring(0, file.length() / 2))) {
      mvc.perform(sheetFile(bad.getBytes(StandardCharsets.UTF_8)))
          .andExpect(status().isBadRequest())
          .andExpect(content().string(containsString("Nothing was changed")));
    }
    mvc.perform(sheetFile(new byte[] {(byte) 0xff, (byte) 0xfe, 3}))
        .andExpect(status().isBadRequest());
    assertThat(studies.all()).hasSize(before);
    // Measures of a newer version are let be.
    mvc.perform(
            sheetFile(
                file.replace("\"measure\" : \"eye.line\"", "\"measure\" : \"eye.newer\"")
                    .getBytes(StandardCharsets.UTF_8)))
        .andExpect(status().is3xxRedirection());
  }

  private AbstractMockHttpServletRequestBuilder<?> sheetFile(byte[] bytes) {
    return multipart("/studies/sheet-file")
        .file(new MockMultipartFile("file", "a.style.json", "application/json", bytes))
        .with(csrf());
  }

  @Test
  void aRedrawIsHeldAgainstItsMoodAndStage() throws Exception {
    String mirror = mirrorOfTheFirstRedraw();
    long id = Long.parseLong(mirror.substring(mirror.lastIndexOf('/') + 1));
    await()
        .atMost(Duration.ofSeconds(60))
        .untilAsserted(
            () ->
                mvc.perform(get(mirror))
                    .andExpect(
                        content().string(not(containsString("are not asked of a line drawing"))))
                    .andExpect(content().string(containsString("data-act=\"shadow-edge\""))));
    mvc.perform(post(mirror + "/asked").param("mood", "KEEN").param("stage", "LINE").with(csrf()))
        .andExpect(redirectedUrl(mirror));
    mvc.perform(get(mirror))
        .andExpect(content().string(containsString("are not asked of a line drawing")))
        .andExpect(content().string(not(containsString("data-act=\"shadow-edge\""))));
    assertThat(works.require(study, id).tags().mood()).contains(Mood.KEEN);
    mvc.perform(post(mirror + "/asked").param("mood", "SMUG").with(csrf()))
        .andExpect(status().isBadRequest());
  }

  @Test
  void aStatementIsAnsweredOnTheMirrorAndCounts() throws Exception {
    for (Work work : taken) {
      mvc.perform(
          post(base + "/traits/hands-nails/works/" + work.id()).param("answer", "no").with(csrf()));
    }
    String mirror = mirrorOfTheFirstRedraw();
    // What the pixels tell would move the points in between.
    awaitReadings();
    double before = byRules(mirror);

    mvc.perform(post(mirror + "/statements/hands-nails").param("answer", "yes").with(csrf()))
        .andExpect(redirectedUrl(mirror + "#ticks"));

    assertThat(byRules(mirror)).isLessThan(before);
    assertThat(text(mirror)).contains("in none of their works").contains("class=\"tick off\"");
    mvc.perform(post(mirror + "/statements/hands-nails").param("answer", "no").with(csrf()));
    assertThat(byRules(mirror)).isGreaterThan(before);
    mvc.perform(post(mirror + "/statements/hands-nails").param("answer", "").with(csrf()));
    assertThat(byRules(mirror)).isEqualTo(before);
    mvc.perform(post(mirror + "/statements/hands-nails").param("answer", "perhaps").with(csrf()))
        .andExpect(status().isBadRequest());
  }

  /** As an act that is measured: on the sheet with its number, on the mirror kept or broken. */
  @Test
  void aStatementMakesOrBreaksTheStyle() throws Exception {
    for (Work work : taken) {
      mvc.perform(
          post(base + "/traits/hands-nails/works/" + work.id()).param("answer", "no").with(csrf()));
    }
    mvc.perform(post(base + "/rules/signature/act").param("act", "eye-height").with(csrf()));
    mvc.perform(post(base + "/rules/signature/act").param("act", "tick.hands-nails").with(csrf()));
    assertThat(text(base + "/rules"))
        .contains("data-trait=\"tick.hands-nails\"")
        .contains("Never: fingernails are drawn.")
        .contains("Kept in 4 of 4");

    String mirror = mirrorOfTheFirstRedraw();
    assertThat(text(mirror))
        .contains("Never: fingernails are drawn.")
        .contains("data-state=\"unread\"");
    mvc.perform(post(mirror + "/statements/hands-nails").param("answer", "yes").with(csrf()));
    assertThat(text(mirror))
        .contains("it is so here")
        .contains("data-key=\"tick.hands-nails.less\"")
        .contains("Leave it out: fingernails are drawn");
    byRules(mirror);
  }

  private String mirrorOfTheFirstRedraw() throws Exception {
    long id = hang(study, Work.Role.REDRAW, redraw(1), "Try");
    awaitReadings();
    return base + "/mirror/" + id;
  }

  /** The parts of the sum that the page shows, added up. */
  private double byRules(String mirror) throws Exception {
    Matcher parts = Pattern.compile("<td class=\"num\">\\s*<b>([0-9.]+)</b>").matcher(text(mirror));
    double sum = 0;
    while (parts.find()) {
      sum += parts.group(1).contains(".") ? Double.parseDouble(parts.group(1)) : 0;
    }
    assertThat(sum).isPositive();
    return sum;
  }

  @Test
  void aRatioOfOnesOwnIsRuledScoredAndTakenAway() throws Exception {
    String key = "pair.shoulder_l-shoulder_r.crown-chin";
    FreePair pair = FreePair.ofKey(key).orElseThrow();

    own("shoulder_l", "shoulder_r", "crown", "chin")
        .andExpect(redirectedUrl(base + "/rules?open=" + key));

    Rule rule = sheet().rule(pair.measure()).orElseThrow();
    Rule ofTheCatalogue = sheet().rule(ProportionMeasures.SHOULDERS).orElseThrow();
    assertThat(rule.centre()).isCloseTo(ofTheCatalogue.centre(), offset());
    assertThat(rule.readingCount()).isEqualTo(ofTheCatalogue.readingCount());
    assertThat(text(base + "/rules")).contains("Shoulder left to shoulder right ");
    assertThat(text(base + "/rules/acts/" + key)).contains("Take this ratio away");
    assertThat(text(base + "/rules/figures")).contains("Shoulder left to shoulder right, by crown");
    assertThat(text(base + "/plan")).contains("px");

    mvc.perform(post(base + "/rules/" + key + "/band").param("how", "WIDER").with(csrf()));
    assertThat(sheet().rule(pair.measure()).orElseThrow().isSetByHand()).isTrue();

    mvc.perform(post(base + "/rules/own/" + key + "/remove").with(csrf()))
        .andExpect(redirectedUrl(base + "/rules"));
    assertThat(sheet().rule(pair.measure())).isEmpty();
    mvc.perform(post(base + "/rules/undo").with(csrf()));
    assertThat(sheet().rule(pair.measure())).as("undone").isPresent();
  }

  @Test
  void whatIsNoRatioIsRefused() throws Exception {
    own("crown", "chin", "chin", "crown").andExpect(status().isBadRequest());
    own("crown", "crown", "sole", "chin").andExpect(status().isBadRequest());
    own("crown", "elbow", "sole", "chin").andExpect(status().isBadRequest());
    assertThat(sheet().rules()).noneMatch(rule -> FreePair.of(rule.measure()).isPresent());
  }

  private ResultActions own(String from, String to, String byFrom, String byTo) throws Exception {
    return mvc.perform(
        post(base + "/rules/own")
            .param("from", from)
            .param("to", to)
            .param("byFrom", byFrom)
            .param("byTo", byTo)
            .with(csrf()));
  }
}
