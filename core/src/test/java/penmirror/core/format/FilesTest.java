package penmirror.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.OpenArt;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.planning.GuideDrawing;
import penmirror.core.planning.GuideFigure;
import penmirror.core.planning.GuidePlan;
import penmirror.core.reading.PixelReader;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class FilesTest {
  private static final PixelReadings PIXELS =
      new PixelReader().read(OpenArt.draw("heads", "openPeeps-00", 400));

  @Test
  void marksGoThereAndBack() throws FormatException {
    Marks marks =
        Canon.realistic().with(Landmark.HAIR_TOP, Mark.hidden()).withView(View.THREE_QUARTER);
    assertThat(MarksFile.parse(MarksFile.of(marks).toJson()).marks()).isEqualTo(marks);
  }

  @Test
  void marksRememberThePictureTheyWereMadeOn() throws FormatException {
    MarksFile.MarkedImage image = new MarksFile.MarkedImage("pell.png", "ab12", 1240, 1760);
    MarksFile file = MarksFile.parse(MarksFile.of(Canon.realistic()).about(image).toJson());
    assertThat(file.image()).contains(image);
    assertThat(MarksFile.of(Canon.realistic()).image()).isEmpty();
  }

  @Test
  void statementsGoAlongWithTheMarks() throws FormatException {
    Map<String, String> ticks = Map.of("hands-nails", "no");
    String json = MarksFile.of(Canon.realistic()).ticked(ticks).toJson();
    assertThat(MarksFile.parse(json).statements()).isEqualTo(ticks);
    assertThat(MarksFile.of(Canon.realistic()).statements()).isEmpty();
  }

  @Test
  void unknownFieldsOfMarksSurvive() throws FormatException {
    String json =
        "{\"format\":\"pen-mirror/marks\",\"version\":1,\"by\":\"me\",\"later\":{\"x\":[1]},"
            + "\"landmarks\":{\"crown\":{\"x\":1.5,\"y\":2}}}";
    MarksFile file = MarksFile.parse(json);
    assertThat(file.marks().view()).isEqualTo(View.FRONT);
    assertThat(file.toJson()).contains("\"later\"").contains("\"by\" : \"me\"");
  }

  @Test
  void marksThatDoNotFitAreRefusedByName() {
    assertThatThrownBy(() -> MarksFile.parse("[]")).hasMessageContaining("object");
    assertThatThrownBy(() -> MarksFile.parse("{\"format\":")).hasMessageContaining("JSON");
    assertThatThrownBy(() -> MarksFile.parse("{\"format\":\"other\"}"))
        .hasMessageContaining("pen-mirror/marks")
        .hasMessageContaining("other");
    assertThatThrownBy(() -> marks("\"version\":9,\"landmarks\":{}"))
        .hasMessageContaining("newer Pen Mirror");
    assertThatThrownBy(() -> marks("\"version\":1,\"landmarks\":{\"tail\":{\"x\":1,\"y\":1}}"))
        .hasMessageContaining("tail");
    assertThatThrownBy(() -> marks("\"version\":1,\"landmarks\":{\"chin\":{\"x\":\"a\",\"y\":1}}"))
        .hasMessageContaining("chin")
        .hasMessageContaining("\"x\"");
    assertThatThrownBy(() -> marks("\"version\":1,\"view\":\"above\",\"landmarks\":{}"))
        .hasMessageContaining("above");
  }

  @Test
  void pixelReadingsGoThereAndBackExactly() throws FormatException {
    assertThat(PixelReadingsJson.read(PixelReadingsJson.write(PIXELS))).isEqualTo(PIXELS);
  }

  private static PixelReadings painted() {
    OkLab light = new OkLab(0.8, 0.03, 0.05);
    RoleTones skin =
        new RoleTones(
            Role.SKIN,
            new Tones(
                light,
                Optional.of(new OkLab(0.7, 0.04, 0.05)),
                Optional.empty(),
                Optional.of(new OkLab(0.9, 0.01, 0.02))),
            0.2,
            new Point(40.5, 60.5));
    RoleTones coat =
        new RoleTones(
            Role.CLOTH_TWO,
            new Tones(light, Optional.empty(), Optional.empty(), Optional.empty()),
            0.1,
            new Point(1.5, 2.5));
    return new PixelReadings(
        1, 9, 9, 9, Map.of(), Map.of(), List.of(), List.of(), List.of(skin, coat));
  }

  @Test
  void coloursByRoleGoThereAndBackExactly() throws FormatException {
    PixelReadings painted = painted();
    assertThat(PixelReadingsJson.read(PixelReadingsJson.write(painted))).isEqualTo(painted);
  }

  @Test
  void aRoleThatIsNoneIsRefusedByItsWord() {
    String json = PixelReadingsJson.write(painted()).replace("cloth-two", "antlers");
    assertThatThrownBy(() -> PixelReadingsJson.read(json))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("antlers")
        .hasMessageContaining("skin, hair, cloth");
  }

  @Test
  void readingsFromBeforeThereWereRolesHaveNone() throws FormatException {
    String json =
        "{\"algorithmVersion\":5,\"widthPixels\":9,\"heightPixels\":9,\"figureAreaPixels\":9}";
    assertThat(PixelReadingsJson.read(json).roles()).isEmpty();
  }

  @Test
  void aSheetScoresTheSameAfterItsFile() throws FormatException {
    StyleSheet sheet = sheet();
    StyleSheet again = StyleFile.parse(StyleFile.of(sheet).toJson()).sheet();
    Evidence redraw =
        new Evidence(
            Canon.realistic().with(Landmark.NOSE_BASE, Mark.placed(300, 256)), Optional.of(PIXELS));
    assertThat(again.rules()).isEqualTo(sheet.rules());
    assertThat(ScoreJson.write("r.png", new Scorer(again).score(redraw)))
        .isEqualTo(ScoreJson.write("r.png", new Scorer(sheet).score(redraw)))
        .contains("\"overall\":")
        .contains("\"z\":");
  }

  @Test
  void unknownFieldsOfASheetSurviveAndANewerOneIsRefused() throws FormatException {
    String json = StyleFile.of(sheet()).toJson().replaceFirst("\\{", "{\"moods\":[\"calm\"],");
    assertThat(StyleFile.parse(json).toJson()).contains("moods");
    assertThatThrownBy(() -> StyleFile.parse(json.replace("\"version\" : 1", "\"version\" : 2")))
        .hasMessageContaining("newer");
    assertThatThrownBy(
            () ->
                StyleFile.parse(
                    json.replaceFirst("\"tolerance\" : [0-9.E-]+", "\"tolerance\" : 0")))
        .hasMessageContaining("tolerance");
  }

  @Test
  void whatIsPassedOnNamesTheWorksWithoutACredit() {
    assertThat(StyleFile.of(sheet()).toJson()).doesNotContain("uncredited");
    StyleSheet sheet =
        StyleSheet.of(
            "Someone",
            View.FRONT,
            List.of(
                MeasuredWork.of(
                    "1", "Pell", " ", new Evidence(Canon.realistic(), Optional.empty()))));
    assertThat(StyleFile.of(sheet).toJson()).contains("Without a credit: Pell.");
    String guide =
        SvgWriter.write(GuideDrawing.of(GuidePlan.of(sheet, new GuidePlan.Canvas(600, 800))));
    assertThat(guide).contains("Without a credit: Pell.").doesNotContain("id=\"beside\"");
  }

  /** Helpers stand in the guide itself, drawn, with their own credit, and link to nothing. */
  @Test
  void helpersAreDrawnIntoTheGuide() {
    GuidePlan plan = GuidePlan.of(sheet(), new GuidePlan.Canvas(600, 800));
    GuideDrawing.SmallCopy copy =
        new GuideDrawing.SmallCopy(new byte[] {1, 2, 3}, "image/jpeg", 200, 100);
    String guide =
        SvgWriter.write(
            GuideDrawing.of(
                plan,
                GuideFigure.standing(sheet(), plan, Optional.empty()),
                List.of(
                    GuideDrawing.Beside.helper("Arm pose", "own photo", copy),
                    GuideDrawing.Beside.helper("Brass", "", copy),
                    GuideDrawing.Beside.note("outline in one go"))));
    assertThat(guide)
        .contains("id=\"beside\"", ">Arm pose. own photo<", ">Brass. no credit yet<")
        .contains(">outline in one go<", "href=\"data:image/jpeg;base64,AQID\"")
        // A fifth of the canvas at the most, at the picture's own shape.
        .contains("width=\"120.00\" height=\"60.00\"");
    int helper = guide.indexOf("Arm pose");
    assertThat(helper).isGreaterThan(guide.indexOf("id=\"face\""));
  }

  @Test
  void measurePrintsPixelsAlwaysAndHeadsWhereKnown() {
    Evidence bare = new Evidence(Marks.none(View.FRONT), Optional.of(PIXELS));
    String none = MeasureJson.write("a.png", bare, MeasureJson.HeadSource.NONE, 0);
    assertThat(none)
        .contains("\"from\":\"none\"")
        .contains("\"unit\":\"px\"")
        .doesNotContain("head/1000");
    assertThat(MeasureJson.write("a.png", bare, MeasureJson.HeadSource.GIVEN, 200))
        .contains("\"px\":200.0")
        .contains("head/1000");
    assertThat(
            MeasureJson.write(
                "a.png",
                new Evidence(Canon.realistic(), Optional.of(PIXELS)),
                MeasureJson.HeadSource.MARKS,
                0))
        .contains("\"measure\":\"stature.heads\",\"value\":7.5");
  }

  private static MarksFile marks(String fields) throws FormatException {
    return MarksFile.parse("{\"format\":\"pen-mirror/marks\"," + fields + "}");
  }

  private static StyleSheet sheet() {
    return StyleSheet.of(
        "Someone",
        View.FRONT,
        List.of(
            MeasuredWork.of(
                "1", "One", "by hand", new Evidence(Canon.realistic(), Optional.of(PIXELS))),
            MeasuredWork.of(
                "2",
                "Two",
                "by hand",
                new Evidence(
                    Canon.realistic().with(Landmark.NOSE_BASE, Mark.placed(300, 244)),
                    Optional.of(PIXELS)))));
  }

  @Test
  void aLandmarkWhereNoPictureIsIsRefusedAndOfWhatWasKeptLeftOut() {
    String json =
        "{\"crown\":{\"x\":1e155,\"y\":3,\"state\":\"placed\"},"
            + "\"chin\":{\"x\":40,\"y\":60,\"state\":\"placed\"},"
            + "\"antler\":{\"x\":1,\"y\":1,\"state\":\"placed\"}}";
    assertThatThrownBy(() -> MarksFile.ofLandmarksJson(View.FRONT, json))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("where no picture is");
    MarksFile.Kept kept = MarksFile.keptLandmarks(View.FRONT, json);
    assertThat(kept.leftOut()).containsExactly("crown", "antler");
    assertThat(kept.marks().point(Landmark.CHIN)).contains(new Point(40, 60));
    assertThat(MarksFile.keptLandmarks(View.FRONT, "[1").leftOut()).isNotEmpty();
  }

  /** Found by fuzzing: a number too large for one is read as infinite. */
  @Test
  void storedReadingsWithAnEndlessErrorAreRefused() {
    String json =
        "{\"algorithmVersion\":1,\"widthPixels\":9,\"heightPixels\":9,\"figureAreaPixels\":9,"
            + "\"estimates\":{\"line.width\":[4.5,1e999]}}";
    assertThatThrownBy(() -> PixelReadingsJson.read(json)).isInstanceOf(FormatException.class);
  }
}
