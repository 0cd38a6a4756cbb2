package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static penmirror.web.storage.generated.Tables.DRAWN_NOTE;
import static penmirror.web.storage.generated.Tables.PICK;

import java.awt.Image;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Looking closer at a work, the desk view, and what a study is about. */
class LookDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired WorkStore works;
  @Autowired MarkingStore markings;
  @Autowired Intake intake;

  private long study;
  private String base;
  private long pell;

  @BeforeEach
  void beginAStudy() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
    base = "/studies/" + study;
    pell = take(source(1), Work.Role.SOURCE);
  }

  @Test
  void aBoxIsPickedForAPartAndCutToThePicture() throws Exception {
    works.tag(pell, tags(Turn.AHEAD, 45));
    mvc.perform(pick(pell, "HANDS", -20, 40, 120, 90))
        .andExpect(redirectedUrl(base + "/works/" + pell + "/look?part=HANDS"));
    mvc.perform(get(base + "/works/" + pell + "/look?part=HANDS"))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("viewBox=\"0.0 40.0 100.0 90.0\"")))
        .andExpect(content().string(containsString("above right")));
    mvc.perform(pick(pell, "HANDS", 5, 5, 2, 2));
    assertThat(database.fetchCount(PICK)).isEqualTo(1);
    long id = database.selectFrom(PICK).fetchSingle().getId();
    mvc.perform(
        post(base + "/works/" + pell + "/picks/" + id + "/remove")
            .param("part", "HANDS")
            .with(csrf()));
    assertThat(database.fetchCount(PICK)).isZero();
  }

  @Test
  void picksWhoseLightDiffersAreMarked() throws Exception {
    long tam = take(source(2), Work.Role.SOURCE);
    works.tag(pell, tags(Turn.AHEAD, 45));
    works.tag(tam, tags(Turn.AHEAD, 90));
    mvc.perform(pick(pell, "EYES", 10, 10, 80, 80));
    mvc.perform(pick(tam, "EYES", 10, 10, 80, 80));
    mvc.perform(get(base + "/works/" + pell + "/look"))
        .andExpect(content().string(containsString("light differs by more than 30°")));
    works.tag(tam, tags(Turn.AHEAD, 45));
    mvc.perform(get(base + "/works/" + pell + "/look"))
        .andExpect(content().string(not(containsString("light differs by more than 30°"))));
  }

  @Test
  void suggestionsAreClosestToTheCharacter() throws Exception {
    long tam = take(source(2), Work.Role.SOURCE);
    long own = take(redraw(1), Work.Role.CHARACTER);
    works.tag(pell, tags(Turn.RIGHT, 315));
    works.tag(tam, tags(Turn.LEFT, 45));
    works.tag(own, tags(Turn.LEFT, 45));
    String page =
        mvc.perform(get(base + "/works/" + pell + "/look?part=EYES"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    String suggested = page.substring(page.indexOf("class=\"suggested\""));
    assertThat(suggested.indexOf(works.require(study, tam).title()))
        .isLessThan(suggested.indexOf(works.require(study, pell).title()))
        .isPositive();
    assertThat(suggested).contains("a mirrored copy fits");
    assertThat(page).contains("name=\"mirrored\" value=\"true\"");
  }

  @Test
  void aFramedFigureIsAWorkOfItsOwnAndThePictureNoLongerCounts() throws Exception {
    works.tag(pell, tags(Turn.AHEAD, 45));
    mvc.perform(
            post(base + "/works/" + pell + "/figures")
                .param("x", "100")
                .param("y", "60")
                .param("width", "300")
                .param("height", "400")
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
    Work figure = works.inRole(study, Work.Role.SOURCE).get(1);
    assertThat(figure.widthPixels()).isEqualTo(300);
    assertThat(figure.heightPixels()).isEqualTo(400);
    assertThat(figure.title()).endsWith(", one figure");
    assertThat(figure.credit()).isEqualTo(works.require(study, pell).credit());
    assertThat(figure.tags().lightDegrees()).hasValue(45);
    assertThat(works.require(study, pell).leftOut()).isTrue();
  }

  @Test
  void drawnNotesAreKeptAndOlderOnesToo() throws Exception {
    String notes =
        "[{\"kind\":\"line\",\"points\":[1,2,30,40],\"text\":\"\"},"
            + "{\"kind\":\"words\",\"points\":[5,6],\"text\":\"tuft is not skull\"}]";
    mvc.perform(notes(0, notes)).andExpect(status().isNoContent());
    mvc.perform(notes(1, "[]")).andExpect(status().isNoContent());
    mvc.perform(notes(2, notes)).andExpect(header().string("X-Version", "3"));
    assertThat(database.fetchCount(DRAWN_NOTE)).isEqualTo(3);
    mvc.perform(get(base + "/works/" + pell + "/look"))
        .andExpect(content().string(containsString("tuft is not skull")));
  }

  @Test
  void whatIsNoDrawnNoteIsRefused() throws Exception {
    for (String bad :
        new String[] {
          "no json",
          "{}",
          "[{\"kind\":\"script\",\"points\":[1,2]}]",
          "[{\"kind\":\"line\",\"points\":[1,2,3]}]",
          "[{\"kind\":\"words\",\"text\":\"no place\"}]"
        }) {
      mvc.perform(notes(0, bad)).andExpect(status().isBadRequest());
    }
    assertThat(database.fetchCount(DRAWN_NOTE)).isZero();
  }

  @Test
  void theDeskShowsUpToThreeWorksWithAGridInHeads() throws Exception {
    markings.save(pell, 0, source(1).truth());
    long tam = take(source(2), Work.Role.SOURCE);
    String page =
        mvc.perform(get(base + "/desk").param("works", pell + "," + tam))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page.split("<figure", -1)).hasSize(3);
    double head = source(1).truth().headFrame().orElseThrow().headPixels();
    double crown = source(1).truth().headFrame().orElseThrow().crown().y();
    assertThat(page)
        .contains(String.format(Locale.ROOT, "M0 %.1fH", crown))
        .contains(String.format(Locale.ROOT, "M0 %.1fH", crown + head))
        .doesNotContain("class=\"rail\"");
    mvc.perform(get(base + "/desk").param("works", String.valueOf(pell)).param("box", "1,2,30,40"))
        .andExpect(content().string(containsString("viewBox=\"1.0 2.0 30.0 40.0\"")));
    mvc.perform(get(base + "/desk").param("works", "987654")).andExpect(status().isNotFound());
  }

  @Test
  void theStudysKindAndPathAreKept() throws Exception {
    long copy = studies.begin("The copy", "Odile Marrow", "", "");
    mvc.perform(
            post("/studies/" + copy + "/scope")
                .param("name", "The copy, eyes only")
                .param("illustrator", "Odile Marrow")
                .param("kind", "COPY")
                .param("kind.LINE", "TRACE")
                .param("part", "eyes")
                .param("follows", String.valueOf(study))
                .with(csrf()))
        .andExpect(redirectedUrl("/studies/" + copy + "/scope"));
    String page =
        mvc.perform(get("/studies/" + copy + "/scope"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page)
        .contains("The copy, eyes only")
        .contains("The path so far")
        .containsPattern("value=\"TRACE\" selected=\"selected\"")
        .containsPattern("value=\"eyes\" selected=\"selected\"")
        .contains("Trains the eye");
    // What is seen is counted inside the part.
    long figure =
        ((Intake.Taken)
                intake.take(copy, source(2).png(), Work.Role.SOURCE, "Tam", "by hand", View.FRONT))
            .workId();
    works.tag(figure, tags(Turn.AHEAD, 45));
    works.sayParts(figure, Map.of("eyes", true, "hands", true));
    String wall =
        mvc.perform(get("/studies/" + copy + "/gather"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(wall).contains("data-part=\"eyes\"").doesNotContain("data-part=\"hands\"");
  }

  @Test
  void theMostTypicalWorkIsSuggestedForACopy() throws Exception {
    markings.save(pell, 0, source(1).truth());
    mvc.perform(get(base + "/scope"))
        .andExpect(content().string(containsString("A work to copy")))
        .andExpect(content().string(containsString("1 " + source(1).title())));
  }

  @Test
  void whatTheCharacterAsksIsLookedUpAndTheWayOutGoesToThePlan() throws Exception {
    long own = take(redraw(1), Work.Role.CHARACTER);
    mvc.perform(traits(own, "beard", "moustache"));
    mvc.perform(traits(pell, "beard", "none"));
    mvc.perform(get(base + "/scope"))
        .andExpect(content().string(containsString(">never<")))
        .andExpect(content().string(containsString("by the closest work, " + source(1).title())));
    mvc.perform(
        post(base + "/scope/ways")
            .param("trait", "BEARD")
            .param("way", "INVENT")
            .param("note", "two brush strokes")
            .with(csrf()));
    mvc.perform(get(base + "/plan"))
        .andExpect(content().string(containsString("invented")))
        .andExpect(content().string(containsString("two brush strokes")));
    mvc.perform(traits(pell, "beard", "Moustache"));
    mvc.perform(get(base + "/scope")).andExpect(content().string(containsString(">once<")));
  }

  @Test
  void processNotesStandInOrder() throws Exception {
    mvc.perform(process("12", "line", "outline in one go"));
    mvc.perform(process("3", "rough", "two circles first"));
    mvc.perform(process("", "", "   "));
    String page = mvc.perform(get(base + "/scope")).andReturn().getResponse().getContentAsString();
    assertThat(page.indexOf("two circles first"))
        .isPositive()
        .isLessThan(page.indexOf("outline in one go"));
    mvc.perform(process("20", "shade-blend", "one multiply layer"));
    String plan = mvc.perform(get(base + "/plan")).andReturn().getResponse().getContentAsString();
    assertThat(plan.replaceAll("<[^>]+>", "").replaceAll("\\s+", " "))
        .contains("Order seen rough → line → shading by a blend layer");
    mvc.perform(get(base + "/plan/guide.svg"))
        .andExpect(content().string(containsString(">one multiply layer</text>")))
        .andExpect(content().string(containsString("A study, made to learn from")));
  }

  /** A proposal that nobody looked at is read on the bench and never becomes a rule. */
  @Test
  void proposedPointsMakeNoRules() throws Exception {
    Marks proposed = Marks.none(View.FRONT);
    for (Landmark landmark : source(1).truth().landmarks().keySet()) {
      Optional<Point> place = source(1).truth().point(landmark);
      if (place.isPresent()) {
        proposed = proposed.with(landmark, Mark.at(place.get(), Mark.State.PROPOSED));
      }
    }
    markings.save(pell, 0, proposed);
    mvc.perform(get(base + "/works/" + pell + "/measure"))
        .andExpect(content().string(containsString("data-measure=\"eye.line\"")));
    mvc.perform(get(base + "/rules"))
        .andExpect(content().string(not(containsString("data-measure=\"eye.line\""))))
        .andExpect(content().string(containsString("0 of 1 marked")));
  }

  /** The same picture at another size: its marks are scaled, in a mirror turned over. */
  @Test
  void marksAreCopiedFromATwinOfAnotherSize() throws Exception {
    markings.save(pell, 0, source(1).truth());
    BufferedImage whole = ImageIO.read(new ByteArrayInputStream(source(1).png()));
    int width = whole.getWidth() / 2;
    int height = whole.getHeight() / 2;
    BufferedImage half = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    half.createGraphics()
        .drawImage(whole.getScaledInstance(width, height, Image.SCALE_AREA_AVERAGING), 0, 0, null);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(half, "png", bytes);
    long small =
        ((Intake.Taken)
                intake.take(
                    study, bytes.toByteArray(), Work.Role.SOURCE, "Pell, small", "", View.FRONT))
            .workId();
    mvc.perform(get(base + "/works/" + small + "/measure"))
        .andExpect(content().string(containsString("points from")));
    mvc.perform(
            post(base + "/works/" + small + "/marks/copy")
                .param("from", String.valueOf(pell))
                .with(csrf()))
        .andExpect(redirectedUrl(base + "/works/" + small + "/measure"));
    Point there = markings.newest(pell, View.FRONT).marks().require(Landmark.CHIN);
    Point here = markings.newest(small, View.FRONT).marks().require(Landmark.CHIN);
    assertThat(here.distanceTo(there.times(0.5))).isLessThan(1);
  }

  /** A figure framed in a picture that was marked: its marks are those, from the new corner. */
  @Test
  void marksAreCopiedIntoAFramedFigure() throws Exception {
    markings.save(pell, 0, source(1).truth());
    Point chin = source(1).truth().require(Landmark.CHIN);
    mvc.perform(
        post(base + "/works/" + pell + "/figures")
            .param("x", String.valueOf((int) chin.x() - 150))
            .param("y", String.valueOf((int) chin.y() - 200))
            .param("width", "300")
            .param("height", "280")
            .with(csrf()));
    Work figure = works.inRole(study, Work.Role.SOURCE).get(1);
    mvc.perform(
            post(base + "/works/" + figure.id() + "/marks/copy")
                .param("from", String.valueOf(pell))
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
    Marks copied = markings.newest(figure.id(), View.FRONT).marks();
    assertThat(copied.require(Landmark.CHIN).x()).isBetween(149.5, 151.5);
    assertThat(copied.require(Landmark.CHIN).y()).isBetween(199.5, 201.5);
    assertThat(copied.point(Landmark.SOLE)).isEmpty();
  }

  /** All ways of counting are read from the same marks: nothing is marked anew. */
  @Test
  void headsAreCountedTheStudysWay() throws Exception {
    markings.save(pell, 0, source(1).truth());
    String before =
        mvc.perform(get(base + "/rules/acts/heads-tall"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(before).contains("stature.heads").doesNotContain("stature.axis");
    mvc.perform(
            post(base + "/scope")
                .param("name", "The Lantern Barge")
                .param("illustrator", "Odile Marrow")
                .param("kind", "COPY")
                .param("counted", "along-from-crown")
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
    String after =
        mvc.perform(get(base + "/rules/acts/heads-tall"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(after).contains("stature.axis").doesNotContain("stature.heads");
    mvc.perform(get(base + "/works/" + pell + "/measure"))
        .andExpect(content().string(containsString("data-measure=\"stature.axis\"")));
  }

  private MockHttpServletRequestBuilder pick(
      long work, String part, double x, double y, double width, double height) {
    return post(base + "/works/" + work + "/picks")
        .param("part", part)
        .param("x", String.valueOf(x))
        .param("y", String.valueOf(y))
        .param("width", String.valueOf(width))
        .param("height", String.valueOf(height))
        .with(csrf());
  }

  /** Two windows draw from the same notes: the second is shown the first's, and neither is lost. */
  @Test
  void notesDrawnInTwoWindowsMeet() throws Exception {
    String mine = "[{\"kind\":\"line\",\"points\":[1,2,30,40],\"text\":\"\"}]";
    String theirs = "[{\"kind\":\"words\",\"points\":[5,6],\"text\":\"first\"}]";
    mvc.perform(notes(0, theirs)).andExpect(status().isNoContent());
    mvc.perform(notes(0, mine))
        .andExpect(status().isConflict())
        .andExpect(header().string("X-Version", "1"))
        .andExpect(content().string(containsString("first")));
    // The same sent again by a page that never heard the answer is no conflict.
    mvc.perform(notes(0, theirs)).andExpect(status().isNoContent());
    assertThat(database.fetchCount(DRAWN_NOTE)).isEqualTo(1);
  }

  private MockHttpServletRequestBuilder notes(int version, String json) {
    return post(base + "/works/" + pell + "/notes")
        .header("X-Version", version)
        .contentType("application/json")
        .content(json)
        .with(csrf());
  }

  private MockHttpServletRequestBuilder traits(long work, String trait, String value) {
    return post(base + "/scope/traits")
        .param("work", String.valueOf(work))
        .param(trait, value)
        .with(csrf());
  }

  private MockHttpServletRequestBuilder process(String minute, String stage, String text) {
    return post(base + "/scope/process")
        .param("minute", minute)
        .param("stage", stage)
        .param("text", text)
        .with(csrf());
  }

  private static Work.Tags tags(Turn turn, int light) {
    return new Work.Tags(
        Optional.of(Framing.FULL),
        Optional.of(turn),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        "",
        "",
        "",
        1,
        "",
        OptionalInt.of(light));
  }

  private long take(DrawnWork drawn, Work.Role role) {
    return ((Intake.Taken)
            intake.take(study, drawn.png(), role, drawn.title(), "by hand", View.FRONT))
        .workId();
  }
}
