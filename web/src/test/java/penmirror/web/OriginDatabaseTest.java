package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static penmirror.web.storage.generated.Tables.FIGURE_STROKE;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import org.jooq.JSONB;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import penmirror.core.colour.Role;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.FigureEditStore;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What the page about origins asks the server, and what it refuses. */
class OriginDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired Intake intake;
  @Autowired WorkStore works;
  @Autowired FigureEditStore edits;
  @Autowired PixelReadingStore readings;
  @Autowired EvidenceFinder evidence;

  private String work;
  private long study;
  private long id;

  @BeforeEach
  void takeAPicture() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
    id =
        ((Intake.Taken)
                intake.take(study, source(1).png(), Work.Role.SOURCE, "Pell", "", View.FRONT))
            .workId();
    work = "/studies/" + study + "/works/" + id;
  }

  private MockHttpServletRequestBuilder figure(String json) {
    return figure(0, json);
  }

  private MockHttpServletRequestBuilder figure(int version, String json) {
    return post(work + "/figure")
        .header("X-Version", version)
        .with(csrf())
        .contentType(MediaType.APPLICATION_JSON)
        .content(json);
  }

  @Test
  void layersAreReadFromThePictureAtHand() throws Exception {
    mvc.perform(get(work + "/origin.json"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.strokes.length()").value(greaterThan(20)))
        .andExpect(jsonPath("$.lineWidth").value(greaterThan(1.0)))
        .andExpect(jsonPath("$.swatches[0].hex").value(containsString("#")))
        .andExpect(jsonPath("$.maps.figure[0]").value(0));
  }

  /** Runs of every map cover the grid exactly. */
  @Test
  void mapsCoverTheGrid() throws Exception {
    String json =
        mvc.perform(get(work + "/origin.json")).andReturn().getResponse().getContentAsString();
    var tree = tools.jackson.databind.json.JsonMapper.builder().build().readTree(json);
    int cells = tree.path("grid").path("width").asInt() * tree.path("grid").path("height").asInt();
    for (var map : tree.path("maps").properties()) {
      int sum = 0;
      for (int i = 1; i < map.getValue().size(); i += 2) {
        sum += map.getValue().path(i).asInt();
      }
      assertThat(sum).as(map.getKey()).isEqualTo(cells);
    }
  }

  @Test
  void strokesAreKeptAndThePictureIsReadAnew() throws Exception {
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(id).state() == PixelReadingStore.State.READ);
    long before = readings.progress(id).readings().orElseThrow().figureAreaPixels();
    mvc.perform(
            figure(
                "{\"edits\":[{\"kind\":\"drop\",\"radius\":90,\"points\":[[600,700],[640,900]]}]}"))
        .andExpect(status().isNoContent());
    assertThat(edits.of(id)).hasSize(1);
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(id).readings().orElseThrow().figureAreaPixels() < before);
  }

  @Test
  void strokesThatMakeNoSenseAreRefusedInWords() throws Exception {
    mvc.perform(figure("{\"edits\":[{\"kind\":\"melt\",\"radius\":4,\"points\":[[1,2]]}]}"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("loop, keep, drop, face")));
    mvc.perform(figure("{\"edits\":[{\"kind\":\"keep\",\"radius\":4,\"points\":[[1]]}]}"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("two numbers")));
    mvc.perform(figure("not json")).andExpect(status().isBadRequest());
    mvc.perform(figure("{\"edits\":[{\"kind\":\"keep\",\"radius\":1e9,\"points\":[[1,1]]}]}"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("where no picture is")));
    mvc.perform(figure("{\"edits\":[{\"kind\":\"keep\",\"radius\":9,\"points\":[[60000,1]]}]}"))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("far off the picture")));
    assertThat(edits.of(id)).isEmpty();
  }

  /** Once the last marks of any work of the picture moved the readings of all of them. */
  @Test
  void whatIsMarkedOrMendedInOneStudyMovesNoOther() throws Exception {
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(id).state() == PixelReadingStore.State.READ);
    long otherStudy = studies.begin("Another", "Somebody else", "", "");
    long twin =
        ((Intake.Taken)
                intake.take(otherStudy, source(1).png(), Work.Role.SOURCE, "Pell", "", View.FRONT))
            .workId();
    // Equal inputs: what the first was read from holds for the second, once that is looked at.
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(twin).state() == PixelReadingStore.State.READ);
    assertThat(readings.progress(twin).readings()).isEqualTo(readings.progress(id).readings());
    var before = readings.progress(twin).readings();
    mvc.perform(
            figure(
                "{\"edits\":[{\"kind\":\"drop\",\"radius\":90,\"points\":[[600,700],[640,900]]}]}"))
        .andExpect(status().isNoContent());
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(id).state() == PixelReadingStore.State.READ);
    assertThat(readings.progress(id).readings()).isNotEqualTo(before);
    assertThat(readings.progress(twin).readings()).isEqualTo(before);
    assertThat(edits.of(twin)).isEmpty();
  }

  private static String stroke(String kind, int x) {
    return "{\"edits\":[{\"kind\":\"" + kind + "\",\"radius\":4.0,\"points\":[[" + x + ",9.0]]}]}";
  }

  /** Strokes of an hour were lost to a second window, and to a body that held none. */
  @Test
  void strokesOfTwoWindowsMeetAndNoneIsEverLost() throws Exception {
    mvc.perform(figure(0, stroke("keep", 11)))
        .andExpect(status().isNoContent())
        .andExpect(header().string("X-Version", "1"));
    mvc.perform(figure(0, stroke("drop", 22)))
        .andExpect(status().isConflict())
        .andExpect(header().string("X-Version", "1"))
        .andExpect(jsonPath("$.edits[0].points[0][0]").value(11.0));
    mvc.perform(figure(1, "{}")).andExpect(status().isBadRequest());
    assertThat(edits.of(id)).hasSize(1);
    mvc.perform(figure(1, stroke("drop", 22))).andExpect(header().string("X-Version", "2"));
    assertThat(database.fetchCount(FIGURE_STROKE)).isEqualTo(2);
  }

  @Test
  void storedReadingsThatCannotBeUsedAreSaidAndReadAnew() throws Exception {
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(id).state() == PixelReadingStore.State.READ);
    database.execute("update pixel_reading set readings = '{\"estimates\":{\"line.width\":[1]}}'");
    parsedAnew();
    mvc.perform(get(work + "/measure"))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("readings cannot be used")));
    mvc.perform(post(work + "/pixels/again").with(csrf())).andExpect(status().isOk());
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(id).readings().isPresent());
  }

  /** What was parsed once is kept under its hash: another hash is parsed. */
  private void parsedAnew() {
    database.execute("update pixel_reading set inputs_hash = 'another'");
    database.execute("update work set wanted_reading = 'another', shown_reading = 'another'");
  }

  /** What an earlier version kept is passed over and said, and every page stands. */
  @Test
  void aStoredStrokeThatCannotBeUsedIsLeftOutAndSaid() throws Exception {
    database
        .insertInto(FIGURE_STROKE)
        .set(FIGURE_STROKE.WORK_ID, id)
        .set(FIGURE_STROKE.VERSION, 1)
        .set(
            FIGURE_STROKE.EDITS,
            JSONB.valueOf("{\"edits\":[{\"kind\":\"keep\",\"radius\":1e9,\"points\":[[1,1]]}]}"))
        .set(FIGURE_STROKE.SAVED_AT, OffsetDateTime.now())
        .execute();
    mvc.perform(get(work + "/origin"))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("One kept stroke could not be used")));
    mvc.perform(get(work + "/origin.json")).andExpect(status().isOk());
  }

  private MockHttpServletRequestBuilder pick(String role, double x, double y) {
    return post(work + "/roles")
        .with(csrf())
        .param("role", role)
        .param("tone", "BASE")
        .param("x", Double.toString(x))
        .param("y", Double.toString(y));
  }

  @Test
  void aRoleNeedsANameAndAPlaceOnThePicture() throws Exception {
    mvc.perform(pick(" ", 10, 10)).andExpect(status().isBadRequest());
    mvc.perform(pick("skin", -3, 10))
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("Name the role")));
    mvc.perform(pick("skin", 1e7, 10)).andExpect(status().isBadRequest());
    mvc.perform(pick("x".repeat(41), 10, 10)).andExpect(status().isBadRequest());
  }

  /** The upper left corner is paper: picked as such, without a shadow. */
  @Test
  void paperHasAColourAndNoShadow() throws Exception {
    mvc.perform(pick("background", 5, 5))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("background")))
        .andExpect(content().string(containsString(">–<")));
    mvc.perform(post(work + "/roles/forget").with(csrf()).param("role", "background"))
        .andExpect(content().string(containsString("None found")));
  }

  /** Paper called skin is what the rules have of the skin, until the name is taken back. */
  @Test
  void whatIsNamedSkinCountsBeforeWhatWasFound() throws Exception {
    await()
        .atMost(Duration.ofSeconds(60))
        .until(() -> readings.progress(id).state() == PixelReadingStore.State.READ);
    List<RoleTones> found = pixels().roles();
    assertThat(found).extracting(RoleTones::role).contains(Role.SKIN);
    double step = pixels().estimate(RoleMeasures.SKIN.lightness()).orElseThrow().value();
    mvc.perform(pick("Skin", 5, 5)).andExpect(content().string(containsString("counts before")));
    RoleTones named = pixels().roles().get(0);
    assertThat(named.role()).isEqualTo(Role.SKIN);
    assertThat(named.tones().base().lightness()).isGreaterThan(0.9);
    assertThat(named.tones().base().chroma()).isLessThan(0.03);
    assertThat(named.place()).isEqualTo(new Point(5, 5));
    // Paper has no shadow: the skin has no step any more.
    assertThat(pixels().estimate(RoleMeasures.SKIN.lightness())).isEmpty();
    assertThat(evidence.ofStudy(study, List.of(works.require(study, id))).get(id).pixels())
        .contains(pixels());
    mvc.perform(post(work + "/roles/forget").with(csrf()).param("role", "Skin"));
    assertThat(pixels().roles()).isEqualTo(found);
    assertThat(pixels().estimate(RoleMeasures.SKIN.lightness()).orElseThrow().value())
        .isEqualTo(step);
  }

  private PixelReadings pixels() {
    return evidence.of(works.require(study, id)).pixels().orElseThrow();
  }

  @Test
  void workOfAnotherStudyIsNotThere() throws Exception {
    mvc.perform(get(work.replaceFirst("works/.*", "works/999999") + "/origin"))
        .andExpect(status().isNotFound());
    mvc.perform(get(work + "/origin").param("show", "no.such")).andExpect(status().isOk());
  }
}
