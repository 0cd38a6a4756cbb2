package penmirror.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;
import static org.assertj.core.data.Percentage.withPercentage;

import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.io.StringReader;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.planning.GuidePlan.Kind;
import penmirror.core.planning.GuidePlan.Line;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class GuidePlanTest {
  private final GuidePlan plan = GuidePlan.of(sheet(Canon.realistic()), new Canvas(2400, 3200));

  /** Reading the guide's own lines back gives the rules they came from. */
  @Test
  void theLinesReadBackAsTheRules() {
    double crown = plan.crownPixels();
    double head = plan.headPixels();
    assertThat((line(Kind.GROUND).yPixels() - crown) / head).isCloseTo(7.5, offset(1e-9));
    assertThat((line(Kind.EYES).yPixels() - crown) / head).isCloseTo(0.5, offset(1e-9));
    double legs = line(Kind.GROUND).yPixels() - line(Kind.CROTCH).yPixels();
    assertThat(legs / (line(Kind.GROUND).yPixels() - crown)).isCloseTo(0.5, offset(1e-9));
    assertThat(plan.eyes().orElseThrow().widthPixels()).isCloseTo(0.2 * 0.75 * head, offset(1e-9));
    assertThat(plan.eyes().orElseThrow().gapPixels())
        .isCloseTo(plan.eyes().orElseThrow().widthPixels(), offset(1e-9));
  }

  /** Where the adult that the rules were taken from has them. */
  @Test
  void kneesFingertipsAndHairLieWhereTheFigureHasThem() {
    Marks adult = Canon.realistic();
    double crown = adult.require(Landmark.CROWN).y();
    double head = adult.require(Landmark.CHIN).y() - crown;
    double knee = (adult.require(Landmark.KNEE_L).y() - crown) / head;
    // The rule is taken along the leg, which stands a little aslant.
    assertThat(line(Kind.KNEES).heads()).isCloseTo(knee, offset(0.05));
    double hair = (adult.require(Landmark.HAIR_TOP).y() - crown) / head;
    assertThat(line(Kind.HAIR).heads()).isCloseTo(hair, offset(1e-9));
    assertThat(line(Kind.FINGERTIPS).yPixels())
        .isBetween(line(Kind.CROTCH).yPixels(), line(Kind.KNEES).yPixels());
  }

  /** Every feature read off the drawing is as large as its rule says. */
  @Test
  void theFeaturesReadBackAsTheRules() {
    GuideFeatures features = plan.features();
    StyleSheet sheet = sheet(Canon.realistic());
    double opening = plan.eyes().orElseThrow().heightPixels().orElseThrow();
    double iris = features.iris().orElseThrow().widthPixels();
    assertThat(iris / opening).isCloseTo(centre(sheet, FaceMeasures.IRIS_SIZE), offset(1e-9));
    assertThat(features.noseLengthPixels().orElseThrow() / plan.headPixels())
        .isCloseTo(centre(sheet, FaceMeasures.NOSE_LENGTH), offset(1e-9));
    double waist = features.waistPixels().orElseThrow();
    assertThat(plan.shoulders().orElseThrow().pixels() / waist)
        .isCloseTo(centre(sheet, ProportionMeasures.SHOULDERS_TO_WAIST), offset(1e-9));
    assertThat(features.hipsPixels().orElseThrow() / waist)
        .isCloseTo(centre(sheet, ProportionMeasures.HIPS_TO_WAIST), offset(1e-9));
    List<Rectangle2D> drawn =
        GuideDrawing.of(plan).layers().stream()
            .filter(layer -> layer.name().equals("features"))
            .flatMap(layer -> layer.items().stream())
            .map(item -> path(((Item.Stroke) item).outline()).getBounds2D())
            .toList();
    assertThat(drawn).anyMatch(box -> Math.abs(box.getWidth() - iris) < 0.01 * iris);
    assertThat(drawn).anyMatch(box -> Math.abs(box.getWidth() - waist) < 0.01);
    // Even about the axis: whatever stands on one side stands on the other.
    for (Rectangle2D box : drawn) {
      assertThat(drawn)
          .anyMatch(other -> Math.abs(2400 - other.getCenterX() - box.getCenterX()) < 0.01);
    }
  }

  @Test
  void whatIsNotRuledIsNotDrawn() {
    Marks bare =
        without(
            Canon.realistic(),
            Landmark.IRIS_L_EDGE,
            Landmark.IRIS_R_EDGE,
            Landmark.WAIST_L,
            Landmark.NOSE_TOP);
    GuideFeatures features = GuidePlan.of(sheet(bare), new Canvas(2400, 3200)).features();
    assertThat(features.iris()).isEmpty();
    assertThat(features.waistPixels()).isEmpty();
    assertThat(features.hipsPixels()).isEmpty();
    assertThat(features.noseLengthPixels()).isEmpty();
    assertThat(features.brow()).isPresent();
  }

  private static double centre(StyleSheet sheet, Measure measure) {
    return sheet.rule(measure).orElseThrow().centre();
  }

  /** However a study counts, its figure stands at the same height on the canvas. */
  @Test
  void theGroundIsTheSameHoweverHeadsAreCounted() {
    for (StatureConvention convention :
        new StatureConvention[] {
          StatureConvention.STRAIGHT_FROM_HAIR, StatureConvention.STRAIGHT_FROM_CROWN
        }) {
      MeasuredWork work =
          MeasuredWork.of(
              "1", "t", "", new Evidence(Canon.realistic(), Optional.empty()), convention);
      GuidePlan counted =
          GuidePlan.of(StyleSheet.of("x", View.FRONT, List.of(work, work)), new Canvas(2400, 3200));
      assertThat(counted.heads().orElseThrow()).isCloseTo(7.5, offset(1e-9));
      assertThat(counted.lines()).hasSameSizeAs(plan.lines());
    }
  }

  @Test
  void everythingLiesOnTheCanvasFromTheTopDown() {
    assertThat(plan.lines())
        .isSortedAccordingTo((a, b) -> Double.compare(a.yPixels(), b.yPixels()));
    for (Line line : plan.lines()) {
      assertThat(line.yPixels()).isBetween(0.0, 3200.0);
      assertThat(line.abovePixels()).isGreaterThanOrEqualTo(0);
      assertThat(line.belowPixels()).isGreaterThanOrEqualTo(0);
    }
  }

  @Test
  void aHeadAloneFillsHalfTheCanvas() {
    Marks bust = new Marks(View.FRONT, Canon.realistic().landmarks());
    bust = without(bust, Landmark.SOLE, Landmark.CROTCH);
    GuidePlan head = GuidePlan.of(sheet(bust), new Canvas(1000, 1000));
    assertThat(head.heads()).isEmpty();
    assertThat(head.headPixels()).isEqualTo(500);
    assertThat(head.lines()).extracting(Line::kind).doesNotContain(Kind.GROUND, Kind.CROTCH);
  }

  @Test
  void aNarrowCanvasMakesTheHeadSmaller() {
    GuidePlan narrow = GuidePlan.of(sheet(Canon.realistic()), new Canvas(200, 3200));
    assertThat(narrow.headPixels()).isEqualTo(100);
  }

  @Test
  void aCanvasOutOfRangeNamesSideAndRange() {
    assertThatThrownBy(() -> new Canvas(50, 3200))
        .hasMessageContaining("width")
        .hasMessageContaining("100 to 20000")
        .hasMessageContaining("50");
  }

  @Test
  void anEmptySheetStillMakesAGrid() throws Exception {
    GuidePlan empty = GuidePlan.of(StyleSheet.of("x", View.FRONT, List.of()), new Canvas(800, 800));
    assertThat(
            parse(SvgWriter.write(GuideDrawing.of(empty))).getElementsByTagName("path").getLength())
        .isPositive();
  }

  @Test
  void theSvgIsAsLargeAsTheCanvasAndHasABandPerRule() throws Exception {
    Document svg = parse(SvgWriter.write(GuideDrawing.of(plan)));
    assertThat(svg.getDocumentElement().getAttribute("width")).isEqualTo("2400");
    assertThat(svg.getDocumentElement().getAttribute("viewBox")).isEqualTo("0 0 2400 3200");
    long banded = plan.lines().stream().filter(l -> l.abovePixels() + l.belowPixels() > 0).count();
    assertThat((long) svg.getElementsByTagName("rect").getLength()).isEqualTo(banded);
    assertThat(svg.getElementsByTagName("script").getLength()).isZero();
  }

  /** The eye is as wide, as tall and as high at its place as the rules say. */
  @Test
  void theEyeHasTheRuledShape() {
    GuidePlan.Eyes eyes = plan.eyes().orElseThrow();
    List<Item> face =
        GuideDrawing.of(plan).layers().stream()
            .filter(layer -> layer.name().equals("face"))
            .findFirst()
            .orElseThrow()
            .items();
    // The oval of the face comes first, then the left and the right eye.
    Outline right = ((Item.Stroke) face.get(2)).outline();
    Path2D path = path(right);
    Rectangle2D box = new Area(path).getBounds2D();
    double tilt = Math.toRadians(eyes.tiltDegrees());
    assertThat(box.getWidth()).isCloseTo(eyes.widthPixels() * Math.cos(tilt), withPercentage(3));
    assertThat(box.getHeight()).isCloseTo(eyes.heightPixels().orElseThrow(), withPercentage(12));
    assertThat(box.getMinX()).isCloseTo(1200 + eyes.gapPixels() / 2, offset(3.0));
  }

  /** The corner on the canvas makes the ruled angle with the chin, at the ruled width. */
  @Test
  void theFaceTurnsWhereTheJawIsRuled() {
    StyleSheet sheet = sheet(Canon.realistic());
    GuidePlan.Jaw jaw = plan.jaw().orElseThrow();
    assertThat(jaw.widthPixels() / plan.face().orElseThrow().pixels())
        .isCloseTo(sheet.rule(ProportionMeasures.JAW).orElseThrow().centre(), offset(1e-9));
    double angle = 2 * Math.toDegrees(Math.atan(jaw.widthPixels() / 2 / jaw.aboveChinPixels()));
    assertThat(angle)
        .isCloseTo(sheet.rule(ProportionMeasures.CHIN_ANGLE).orElseThrow().centre(), offset(1e-9));
    Item.Stroke face =
        GuideDrawing.of(plan).layers().stream()
            .filter(layer -> layer.name().equals("face"))
            .flatMap(layer -> layer.items().stream())
            .map(Item.Stroke.class::cast)
            .findFirst()
            .orElseThrow();
    Point corner =
        new Point(
            1200 + jaw.widthPixels() / 2,
            plan.crownPixels() + plan.headPixels() - jaw.aboveChinPixels());
    assertThat(face.outline().pieces())
        .anyMatch(piece -> ((Outline.Bend) piece).to().distanceTo(corner) < 1e-6);
  }

  private static Path2D path(Outline outline) {
    Path2D path = new Path2D.Double();
    path.moveTo(outline.start().x(), outline.start().y());
    for (Outline.Piece piece : outline.pieces()) {
      if (piece instanceof Outline.Bend bend) {
        path.curveTo(
            bend.first().x(), bend.first().y(),
            bend.second().x(), bend.second().y(),
            bend.to().x(), bend.to().y());
      } else if (piece instanceof Outline.Straight straight) {
        path.lineTo(straight.to().x(), straight.to().y());
      }
    }
    return path;
  }

  @Test
  void namesAreEscaped() throws Exception {
    StyleSheet odd = StyleSheet.of("<A & \"B\">", View.FRONT, List.of());
    Document svg = parse(SvgWriter.write(GuideDrawing.of(GuidePlan.of(odd, new Canvas(400, 400)))));
    assertThat(svg.getElementsByTagName("title").item(0).getTextContent()).contains("<A & \"B\">");
  }

  private static Marks without(Marks marks, Landmark... dropped) {
    Map<Landmark, Mark> kept = new EnumMap<>(marks.landmarks());
    List.of(dropped).forEach(kept::remove);
    return new Marks(marks.view(), kept);
  }

  private Line line(Kind kind) {
    return plan.lines().stream().filter(l -> l.kind() == kind).findFirst().orElseThrow();
  }

  private static Document parse(String svg) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(svg)));
  }

  private static StyleSheet sheet(Marks marks) {
    return StyleSheet.of(
        "The adult",
        View.FRONT,
        List.of(MeasuredWork.of("1", "Work", "", new Evidence(marks, Optional.empty()))));
  }
}
