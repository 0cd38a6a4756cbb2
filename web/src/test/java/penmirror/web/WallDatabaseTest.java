package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static penmirror.web.storage.generated.Tables.WORK;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;
import penmirror.core.coverage.Part;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.measure.MeasureGroup;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyKind;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The wall: taking in, tagging, look-alikes, coverage, places. */
class WallDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired WorkStore works;
  @Autowired WallStore places;
  @Autowired MarkingStore markings;
  @Autowired ScopeStore scopes;
  @Autowired SheetMaker sheets;
  @Autowired Intake intake;

  private long study;
  private String base;

  @BeforeEach
  void beginAStudy() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
    base = "/studies/" + study;
  }

  @Test
  void aZipWithOneBadFileTakesInTheRestAndNamesTheBadOne() throws Exception {
    byte[] zip =
        zip(
            "barge/one.png", colour(0x336699),
            "barge/notes.png", "no picture".getBytes(),
            "__MACOSX/barge/._one.png", "system".getBytes(),
            "barge/.hidden", "hidden".getBytes(),
            "barge/two.png", colour(0x993366));
    mvc.perform(upload("works.zip", zip).header("HX-Request", "true"))
        .andExpect(status().isOk())
        .andExpect(
            content()
                .string(containsString("works.zip, notes.png was not taken in. The file is not")))
        .andExpect(content().string(not(containsString("hidden"))));
    assertThat(sources()).extracting(Work::title).containsExactly("one", "two");
  }

  @Test
  void aZipThatEndsTooSoonKeepsWhatCameBefore() throws Exception {
    byte[] zip = zip("one.png", colour(0x336699), "two.png", noise(4));
    mvc.perform(
            upload("works.zip", java.util.Arrays.copyOf(zip, zip.length * 2 / 3))
                .header("HX-Request", "true"))
        .andExpect(content().string(containsString("The zip ends too soon")));
    assertThat(sources()).extracting(Work::title).containsExactly("one");
  }

  @Test
  void aZipOfNothingSaysSo() throws Exception {
    mvc.perform(upload("works.zip", zip("folder/", new byte[0])).header("HX-Request", "true"))
        .andExpect(content().string(containsString("The zip holds no files")));
  }

  @Test
  void aThousandTinyPicturesComeIn() throws Exception {
    List<Object> entries = new ArrayList<>();
    for (int i = 0; i < 1000; i++) {
      entries.add("tiny-" + i + ".png");
      entries.add(dot(i * 7919));
    }
    mvc.perform(upload("many.zip", zip(entries.toArray())).header("HX-Request", "true"))
        .andExpect(status().isOk())
        .andExpect(content().string(not(containsString("fault"))));
    assertThat(database.fetchCount(WORK, WORK.STUDY_ID.eq(study))).isEqualTo(1000);
  }

  /** Eight copies of one upload at once, as a nervous hand would send them. */
  @Test
  void theSameUploadManyTimesAtOnceStoresOne() throws Exception {
    byte[] png = source(1).png();
    ExecutorService hands = Executors.newFixedThreadPool(8);
    try {
      List<Callable<Intake.Outcome>> uploads = new ArrayList<>();
      for (int i = 0; i < 8; i++) {
        uploads.add(() -> intake.take(study, png, Work.Role.SOURCE, "Pell", "by hand", View.FRONT));
      }
      int taken = 0;
      for (var outcome : hands.invokeAll(uploads)) {
        taken += outcome.get() instanceof Intake.Taken ? 1 : 0;
      }
      assertThat(taken).isEqualTo(1);
      assertThat(sources()).hasSize(1);
    } finally {
      hands.shutdownNow();
    }
  }

  @Test
  void aBrokenProfileIsFlaggedAtOnceAndOnTheWall() throws Exception {
    byte[] broken = withBrokenProfile(colour(0x804020));
    mvc.perform(upload("odd.png", broken).header("HX-Request", "true"))
        .andExpect(
            content().string(containsString("odd.png came in. Its colour profile is broken")));
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(containsString("its colours are taken as sRGB")));
  }

  @Test
  void copiesAreMadeInTheSizesThatAreAsked() throws Exception {
    take(source(1).png(), "Pell");
    String sha = sources().get(0).pictureSha256();
    for (int side : new int[] {480, 960}) {
      byte[] copy =
          mvc.perform(get("/pictures/" + sha + "/" + side))
              .andExpect(header().string("Content-Type", "image/jpeg"))
              .andExpect(header().string("Cache-Control", containsString("immutable")))
              .andReturn()
              .getResponse()
              .getContentAsByteArray();
      BufferedImage image = ImageIO.read(new ByteArrayInputStream(copy));
      assertThat(Math.max(image.getWidth(), image.getHeight())).isEqualTo(side);
    }
    mvc.perform(get("/pictures/" + sha + "/777")).andExpect(status().isNotFound());
    byte[] original =
        mvc.perform(get("/pictures/" + sha + "/original"))
            .andExpect(header().string("Content-Disposition", containsString("attachment")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertThat(original).isEqualTo(source(1).png());
  }

  /** Where a picture was taken and with what is nobody's business but the owner's. */
  @Test
  void copiesAndFramedFiguresKeepNoCameraData() throws Exception {
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(source(1).png()));
    ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", jpeg);
    byte[] plain = jpeg.toByteArray();
    byte[] note = "Exif\0\0MM\0*\0\0\0\10\0\0GPS 53.1, 8.2".getBytes(StandardCharsets.ISO_8859_1);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(plain, 0, 2);
    out.write(new byte[] {(byte) 0xFF, (byte) 0xE1, 0, (byte) (note.length + 2)});
    out.write(note);
    out.write(plain, 2, plain.length - 2);
    long id = take(out.toByteArray(), "Pell");
    String sha = works.require(study, id).pictureSha256();
    mvc.perform(
        post(base + "/works/" + id + "/figures")
            .param("x", "50")
            .param("y", "50")
            .param("width", "200")
            .param("height", "200")
            .with(csrf()));
    String framed = sources().get(1).pictureSha256();
    for (String path : List.of("/pictures/" + sha + "/480", "/pictures/" + framed)) {
      byte[] shown = mvc.perform(get(path)).andReturn().getResponse().getContentAsByteArray();
      assertThat(new String(shown, StandardCharsets.ISO_8859_1)).doesNotContain("GPS 53");
    }
    byte[] original =
        mvc.perform(get("/pictures/" + sha + "/original"))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertThat(new String(original, StandardCharsets.ISO_8859_1)).contains("GPS 53");
  }

  /** An SVG could run scripts, so only its pixels are shown. */
  @Test
  void anSvgIsShownAsPixels() throws Exception {
    byte[] svg =
        "<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'><rect width='9' height='9'/></svg>"
            .getBytes();
    take(svg, "square");
    mvc.perform(get("/pictures/" + sources().get(0).pictureSha256()))
        .andExpect(header().string("Content-Type", "image/png"));
  }

  @Test
  void aCopyThatLooksAlikeIsShownForADecisionAndStaysDecided() throws Exception {
    take(source(1).png(), "Pell");
    take(smallerMirrored(source(1).png()), "Pell again");
    take(source(2).png(), "Another");
    long first = sources().get(0).id();
    long second = sources().get(1).id();
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(containsString("look alike, one seen in a mirror")));
    mvc.perform(alike(first, second, "FIRST")).andExpect(status().is3xxRedirection());
    assertThat(sources().get(1).leftOut()).isTrue();
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(not(containsString("look alike"))));
    works.leaveOut(second, false);
    mvc.perform(alike(first, second, "BOTH"));
    assertThat(sources()).noneMatch(Work::leftOut);
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(not(containsString("look alike"))));
  }

  /**
   * Of six pictures that hardly differ five are asked about, two at a time, and no fifteen pairs.
   */
  @Test
  void manyThatLookAlikeAreAskedAboutOneByOne() throws Exception {
    for (int i = 0; i < 6; i++) {
      take(withADot(source(1).png(), i), "Frame " + i);
    }
    assertThat(sources()).hasSize(6);
    String page = mvc.perform(get(base + "/gather")).andReturn().getResponse().getContentAsString();
    assertThat(page.split("<section class=\"alike\"", -1)).hasSize(3);
    assertThat(page).contains("3 more works look like another");
    long first = sources().get(0).id();
    mvc.perform(alike(first, sources().get(1).id(), "BOTH"));
    mvc.perform(alike(first, sources().get(2).id(), "FIRST"));
    String then = mvc.perform(get(base + "/gather")).andReturn().getResponse().getContentAsString();
    assertThat(then.split("<section class=\"alike\"", -1)).hasSize(3);
    assertThat(then).contains("One more work looks like another");
  }

  private static byte[] withADot(byte[] png, int x) throws Exception {
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
    image.setRGB(x, 0, 0xFF123456);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  @Test
  void aWorkIsTaggedAndManyAtOnceKeepWhatWasNotFilledIn() throws Exception {
    long one = take(source(1).png(), "Pell");
    long two = take(source(2).png(), "Tam");
    mvc.perform(
            post(base + "/works/" + one)
                .param("title", "Pell, raised")
                .param("credit", "O. M.")
                .param("view", "FRONT")
                .param("framing", "FULL")
                .param("light", "45")
                .param("weight", "2")
                .param("likeness", "Friendly, round , ")
                .param("notes", "crown under the tuft")
                .param("askedParts", "true")
                .param("parts", "eyes", "prop")
                .with(csrf()))
        .andExpect(redirectedUrlPattern(base + "/gather?work=" + one));
    mvc.perform(
            post(base + "/works/many")
                .param("works", String.valueOf(one), String.valueOf(two))
                .param("turn", "LEFT")
                .param("framing", "")
                .param("credit", "")
                .param("period", "part 2")
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
    Work first = works.require(study, one);
    assertThat(first.title()).isEqualTo("Pell, raised");
    assertThat(first.credit()).isEqualTo("O. M.");
    assertThat(first.tags().framing()).contains(Framing.FULL);
    assertThat(first.tags().turn()).contains(Turn.LEFT);
    assertThat(first.tags().lightDegrees()).hasValue(45);
    assertThat(first.tags().weight()).isEqualTo(2);
    assertThat(first.tags().notes()).isEqualTo("crown under the tuft");
    assertThat(first.tags().words()).containsExactly("friendly", "round");
    assertThat(works.require(study, two).tags().words()).isEmpty();
    assertThat(first.tags().period()).isEqualTo("part 2");
    // Framing brings its parts along; only what was ticked against it is a word of the user's.
    assertThat(works.saidParts(one)).containsEntry("prop", true).doesNotContainKey("hands");
    mvc.perform(get(base + "/gather")).andExpect(content().string(containsString("seen")));
    mvc.perform(
        post(base + "/works/" + one)
            .param("framing", "FULL")
            .param("askedParts", "true")
            .param("parts", "eyes", "prop", "feet")
            .with(csrf()));
    assertThat(works.saidParts(one)).containsEntry("hands", false).doesNotContainKey("feet");
    mvc.perform(
        post(base + "/works/" + one)
            .param("framing", "FACE")
            .param("askedParts", "true")
            .param("parts", "eyes", "prop", "feet")
            .with(csrf()));
    assertThat(works.saidParts(one)).containsEntry("prop", true).doesNotContainKey("feet");
    assertThat(works.require(study, two).tags().period()).isEqualTo("part 2");
    assertThat(works.require(study, two).tags().framing()).isEmpty();
    assertThat(works.require(study, two).title()).isEqualTo("Tam");
  }

  @Test
  void helpersHangOnTheWallAndNeverCount() throws Exception {
    long one = take(source(1).png(), "Pell");
    long photo = take(source(2).png(), "A pose photo");
    markings.save(one, 0, source(1).truth());
    markings.save(photo, 0, source(2).truth());
    Study before = studies.require(study);
    assertThat(sheets.sheetOf(before).works()).hasSize(2);
    mvc.perform(post(base + "/works/" + photo).param("role", "HELPER").with(csrf()));
    assertThat(sheets.sheetOf(before).works()).hasSize(1);
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(containsString("Helpers, never counted")))
        .andExpect(content().string(containsString("1 A pose photo")));
  }

  @Test
  void whatIsLeftOutStaysOnTheWallAndOutOfTheRules() throws Exception {
    long one = take(source(1).png(), "Pell");
    markings.save(one, 0, source(1).truth());
    mvc.perform(post(base + "/works/" + one + "/left-out").param("leftOut", "true").with(csrf()));
    assertThat(sheets.sheetOf(studies.require(study)).rules()).isEmpty();
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(containsString("left out")))
        .andExpect(content().string(containsString("Count again")));
  }

  @Test
  void anEmptyStudySaysWhatTheFirstPictureAnswersAndMissesNothing() throws Exception {
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(containsString("What the first picture answers")))
        .andExpect(content().string(containsString("where the eyes sit, and how large")))
        .andExpect(content().string(not(containsString("class=\"gap\""))))
        .andExpect(content().string(not(containsString("never seen"))));
  }

  @Test
  void aStudyOfFacesSaysNothingOfHands() throws Exception {
    long one = take(source(1).png(), "Pell");
    works.tag(one, tags(Framing.FACE, ""));
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(not(containsString("Hands: never seen."))))
        .andExpect(content().string(containsString("data-part=\"eyes\"")))
        .andExpect(content().string(not(containsString("data-part=\"hands\""))));
  }

  @Test
  void gapsArePlainAndCanBeImprovised() throws Exception {
    long one = take(source(1).png(), "Pell");
    works.tag(one, tags(Framing.FULL, ""));
    works.sayParts(one, Map.of("hands", false));
    works.lookAt(one);
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(containsString("No side view: side rules will be missing.")))
        .andExpect(content().string(containsString("Hands: never seen.")))
        .andExpect(
            content()
                .string(containsString("Eyes: seen once, no spread. 2 more works for a rule.")));
    mvc.perform(
            post(base + "/improvise")
                .param("part", "hands")
                .param("note", "as in my own drawings")
                .param("on", "true")
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(containsString("as in my own drawings")));
    mvc.perform(get(base + "/plan"))
        .andExpect(content().string(containsString("Improvised on purpose")))
        .andExpect(content().string(containsString("as in my own drawings")));
  }

  @Test
  void anImprovisedPartIsOutOfTheScore() throws Exception {
    long one = take(source(1).png(), "Pell");
    markings.save(one, 0, source(1).truth());
    Study before = studies.require(study);
    int all = sheets.scoredSheetOf(before).rules().size();
    places.improvise(study, new WallStore.Improvised("eyes", "", ""));
    assertThat(sheets.scoredSheetOf(before).rules()).hasSizeLessThan(all);
    assertThat(sheets.scoredSheetOf(before).rules())
        .noneMatch(rule -> rule.measure().key().startsWith("eye."));
    assertThat(sheets.sheetOf(before).rules()).hasSize(all);
  }

  /** A score says nothing of what was traced; where all is traced it says how exactly. */
  @Test
  void tracedGroupsAreOutOfTheScore() throws Exception {
    long one = take(source(1).png(), "Pell");
    markings.save(one, 0, source(1).truth());
    Study traced = studies.require(study);
    int all = sheets.scoredSheetOf(traced).rules().size();
    scopes.setGroupKinds(study, Map.of(MeasureGroup.FACE, StudyKind.TRACE));
    assertThat(sheets.scoredSheetOf(traced).rules())
        .hasSizeLessThan(all)
        .noneMatch(rule -> rule.measure().group() == MeasureGroup.FACE);
    long redraw =
        ((Intake.Taken)
                intake.take(study, source(2).png(), Work.Role.REDRAW, "Try", "own", View.FRONT))
            .workId();
    markings.save(redraw, 0, source(2).truth());
    mvc.perform(get(base + "/mirror/" + redraw))
        .andExpect(content().string(containsString("Traced, so left out: Face")));
    scopes.setScope(
        study, new ScopeStore.Scope(StudyKind.TRACE, Optional.empty(), Optional.empty()));
    assertThat(sheets.scoredSheetOf(traced).rules()).hasSize(all);
  }

  @Test
  void aStudyOfOnePartIsScoredByThatPart() throws Exception {
    long one = take(source(1).png(), "Pell");
    markings.save(one, 0, source(1).truth());
    scopes.setScope(
        study, new ScopeStore.Scope(StudyKind.COPY, Optional.of(Part.EYES), Optional.empty()));
    assertThat(sheets.scoredSheetOf(studies.require(study)).rules())
        .isNotEmpty()
        .allMatch(rule -> Part.EYES.concerns(rule.measure()));
  }

  @Test
  void aMixtureIsToldAndCanBeSplitOff() throws Exception {
    long one = take(source(1).png(), "Pell");
    long two = take(source(2).png(), "Tam");
    markings.save(one, 0, source(1).truth());
    works.tag(one, tags(Framing.FULL, "painted"));
    works.tag(two, tags(Framing.FULL, "line-heavy"));
    mvc.perform(get(base + "/gather"))
        .andExpect(content().string(containsString("hangs here: line-heavy, painted")));
    String to =
        mvc.perform(post(base + "/split").param("word", "painted").with(csrf()))
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    long split = Long.parseLong(to.split("/")[2]);
    assertThat(studies.require(split).name()).isEqualTo("The Lantern Barge, painted");
    Work copied = works.inRole(split, Work.Role.SOURCE).get(0);
    assertThat(copied.title()).isEqualTo("Pell");
    assertThat(markings.newest(copied.id(), copied.view()).marks().landmarks()).isNotEmpty();
    assertThat(sources()).hasSize(2);
  }

  @Test
  void placesAndGroupsAreKept() throws Exception {
    long one = take(source(1).png(), "Pell");
    long elsewhere =
        works.copyInto(studies.begin("Other", "Other", "", ""), works.require(study, one));
    mvc.perform(post(base + "/wall").param("free", "true").with(csrf()));
    mvc.perform(
            post(base + "/places")
                .contentType("application/json")
                .content(
                    "[{\"work\":"
                        + one
                        + ",\"x\":120.5,\"y\":-40,\"width\":9,\"group\":3},{\"work\":"
                        + elsewhere
                        + ",\"x\":1,\"y\":1,\"width\":100}]")
                .with(csrf()))
        .andExpect(status().isNoContent());
    assertThat(places.isFree(study)).isTrue();
    WallStore.Place place = places.places(study).get(one);
    assertThat(place.x()).isEqualTo(120.5);
    assertThat(place.y()).isZero();
    assertThat(place.width()).isEqualTo(40);
    assertThat(place.group()).hasValue(3);
    assertThat(works.require(works.require(study, one).studyId(), one)).isNotNull();
    assertThat(places.places(study)).hasSize(1);
  }

  @Test
  void theWallIsSortedByWhatWasSaid() throws Exception {
    long one = take(source(1).png(), "Pell");
    long two = take(source(2).png(), "Tam");
    works.tag(one, tags(Framing.FULL, "zinc"));
    works.tag(two, tags(Framing.FULL, "alum"));
    String page =
        mvc.perform(get(base + "/gather?order=MANNER"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page.indexOf("2 Tam")).isLessThan(page.indexOf("1 Pell"));
    mvc.perform(get(base + "/gather?order=NOTHING")).andExpect(status().isBadRequest());
  }

  private static Work.Tags tags(Framing framing, String manner) {
    return new Work.Tags(
        Optional.of(framing),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        "",
        manner,
        "",
        1,
        "",
        OptionalInt.empty());
  }

  private MockHttpServletRequestBuilder alike(long first, long second, String keep) {
    return post(base + "/alike")
        .param("first", String.valueOf(first))
        .param("second", String.valueOf(second))
        .param("keep", keep)
        .with(csrf());
  }

  private MockMultipartHttpServletRequestBuilder upload(String name, byte[] bytes) {
    MockMultipartHttpServletRequestBuilder request =
        multipart(base + "/works")
            .file(new MockMultipartFile("files", name, "application/octet-stream", bytes));
    request.with(csrf());
    return request;
  }

  private long take(byte[] bytes, String title) {
    return ((Intake.Taken)
            intake.take(study, bytes, Work.Role.SOURCE, title, "by hand", View.FRONT))
        .workId();
  }

  private List<Work> sources() {
    return works.inRole(study, Work.Role.SOURCE);
  }

  private static byte[] zip(Object... namesAndBytes) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (int i = 0; i < namesAndBytes.length; i += 2) {
        zip.putNextEntry(new ZipEntry((String) namesAndBytes[i]));
        zip.write((byte[]) namesAndBytes[i + 1]);
      }
    }
    return out.toByteArray();
  }

  private static byte[] colour(int rgb) throws IOException {
    BufferedImage image = new BufferedImage(60, 80, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setColor(new Color(rgb));
    pen.fillOval(10, 10, 40, 60);
    return png(image);
  }

  private static byte[] dot(int rgb) throws IOException {
    BufferedImage image = new BufferedImage(3, 3, BufferedImage.TYPE_INT_RGB);
    image.setRGB(1, 1, rgb & 0xFFFFFF);
    image.setRGB(0, 0, rgb >> 3 & 0xFFFFFF);
    return png(image);
  }

  private static byte[] noise(int seed) throws IOException {
    BufferedImage image = new BufferedImage(80, 80, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(seed);
    for (int i = 0; i < 6400; i++) {
      image.setRGB(i % 80, i / 80, random.nextInt(0xFFFFFF));
    }
    return png(image);
  }

  private static byte[] smallerMirrored(byte[] png) throws IOException {
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
    int width = image.getWidth() / 2;
    int height = image.getHeight() / 2;
    BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    small.createGraphics().drawImage(image, width, 0, -width, height, null);
    return png(small);
  }

  /** An iCCP chunk that holds no profile, put before the first other chunk. */
  private static byte[] withBrokenProfile(byte[] png) throws IOException {
    ByteArrayOutputStream data = new ByteArrayOutputStream();
    data.write("iCCPodd\0\0".getBytes(StandardCharsets.ISO_8859_1));
    try (var deflated = new DeflaterOutputStream(data)) {
      deflated.write("nothing of use".getBytes());
    }
    byte[] chunk = data.toByteArray();
    CRC32 crc = new CRC32();
    crc.update(chunk);
    ByteBuffer out = ByteBuffer.allocate(png.length + chunk.length + 8);
    out.put(png, 0, 33).putInt(chunk.length - 4).put(chunk).putInt((int) crc.getValue());
    return out.put(png, 33, png.length - 33).array();
  }

  private static byte[] png(BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }
}
