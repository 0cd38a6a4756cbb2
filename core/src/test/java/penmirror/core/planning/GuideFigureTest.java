package penmirror.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Scene;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Facing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.planning.GuideFigure.Stance;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.planning.GuidePlan.Kind;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/** Figures set on a guide: the realistic adult, and heads turned by hand. */
class GuideFigureTest {
  private static final Marks ADULT = Canon.realistic();
  private static final StyleSheet SHEET = sheet(ADULT);
  private static final GuidePlan PLAN = GuidePlan.of(SHEET, new Canvas(2400, 3200));

  private static StyleSheet sheet(Marks marks) {
    MeasuredWork work = MeasuredWork.of("1", "Work", "", new Evidence(marks, Optional.empty()));
    return StyleSheet.of("A hand", View.FRONT, List.of(work, work, work));
  }

  /** Its features moved aside within its bounds. */
  private static Marks turned(View view, double aside) {
    List<Landmark> face =
        List.of(
            Landmark.EYE_L_OUTER,
            Landmark.EYE_L_INNER,
            Landmark.EYE_R_INNER,
            Landmark.EYE_R_OUTER,
            Landmark.NOSE_BASE,
            Landmark.NOSE_TOP,
            Landmark.MOUTH_L,
            Landmark.MOUTH_R);
    return ADULT.withView(view).moved(face, p -> p.plus(new Point(aside, 0)));
  }

  @Test
  void aHeadLooksToWhereItsFeaturesLie() {
    assertThat(Facing.of(ADULT)).contains(Turn.AHEAD);
    assertThat(Facing.of(turned(View.THREE_QUARTER, 20))).contains(Turn.RIGHT);
    assertThat(Facing.of(turned(View.SIDE, -40))).contains(Turn.LEFT);
    assertThat(Facing.of(turned(View.THREE_QUARTER, 0))).isEmpty();
    assertThat(Facing.of(ADULT.withView(View.BACK))).isEmpty();
    assertThat(Facing.of(Marks.none(View.SIDE))).isEmpty();
  }

  @Test
  void mirroredTwiceItIsItself() {
    Marks once = Facing.mirrored(turned(View.THREE_QUARTER, 20), 300);
    assertThat(Facing.of(once)).contains(Turn.LEFT);
    assertThat(Facing.mirrored(once, 300)).isEqualTo(turned(View.THREE_QUARTER, 20));
    assertThat(Facing.mirrored(ADULT, 300)).isEqualTo(ADULT);
  }

  /** Works that look either way tell of one head, and are counted once each. */
  @Test
  void headsAreFoldedToOneSide() {
    Marks right = turned(View.THREE_QUARTER, 20);
    Marks left = Facing.mirrored(turned(View.THREE_QUARTER, 30), 300);
    SeenHead seen =
        SeenHead.of(View.THREE_QUARTER, List.of(right, left, ADULT, Marks.none(View.THREE_QUARTER)))
            .orElseThrow();
    assertThat(seen.works()).isEqualTo(2);
    SeenHead.Zone nose = seen.zones().get(Landmark.NOSE_BASE);
    assertThat(nose.across()).isCloseTo(25 / 200.0, offset(1e-9));
    assertThat(nose.down()).isCloseTo(146 / 200.0, offset(1e-9));
    assertThat(nose.acrossGive()).isBetween(1e-9, 5 / 200.0 + 1e-9);
    assertThat(nose.works()).isEqualTo(2);
    assertThat(seen.zones()).doesNotContainKey(Landmark.KNEE_L);
    assertThat(SeenHead.of(View.SIDE, List.of(right))).isEmpty();
  }

  @Test
  void aHeadFromTheFrontIsEven() {
    Marks crooked = ADULT.with(Landmark.EAR_L_TOP, Mark.placed(200, 190));
    SeenHead seen = SeenHead.of(View.FRONT, List.of(crooked, ADULT, ADULT)).orElseThrow();
    SeenHead.Zone left = seen.zones().get(Landmark.EAR_L_TOP);
    SeenHead.Zone right = seen.zones().get(Landmark.EAR_R_TOP);
    assertThat(left.across()).isCloseTo(-right.across(), offset(1e-9));
    assertThat(left.works()).isEqualTo(3);
  }

  /** A profile shows one side, by whichever name it was marked. */
  @Test
  void aProfileHasOneSide() {
    Map<Landmark, Mark> one =
        Map.of(
            Landmark.CROWN, Mark.placed(0, 0),
            Landmark.CHIN, Mark.placed(0, 100),
            Landmark.NOSE_BASE, Mark.placed(30, 70),
            Landmark.EAR_R_TOP, Mark.placed(-20, 40));
    Map<Landmark, Mark> other =
        Map.of(
            Landmark.CROWN, Mark.placed(0, 0),
            Landmark.CHIN, Mark.placed(0, 100),
            Landmark.NOSE_BASE, Mark.placed(30, 70),
            Landmark.EAR_L_TOP, Mark.placed(-20, 44));
    SeenHead seen =
        SeenHead.of(View.SIDE, List.of(new Marks(View.SIDE, one), new Marks(View.SIDE, other)))
            .orElseThrow();
    assertThat(seen.zones().get(Landmark.EAR_L_TOP).down()).isCloseTo(0.42, offset(1e-9));
    assertThat(seen.zones()).doesNotContainKey(Landmark.EAR_R_TOP);
  }

  @Test
  void aStandingBodyHasTheHeightsOfThePlan() {
    Marks body = GuideFigure.standing(SHEET, PLAN, Optional.empty()).marks();
    assertThat(body.require(Landmark.CROWN).y()).isCloseTo(PLAN.crownPixels(), offset(0.5));
    assertThat(body.require(Landmark.CROTCH).y())
        .isCloseTo(PLAN.height(Kind.CROTCH).orElseThrow(), offset(2.0));
    assertThat(body.require(Landmark.SOLE).y())
        .isCloseTo(PLAN.height(Kind.GROUND).orElseThrow(), offset(2.0));
  }

  /** A turned head keeps the ruled heights, and looks where it is asked to. */
  @Test
  void aTurnedHeadKeepsTheRuledHeights() {
    SeenHead seen =
        SeenHead.of(View.THREE_QUARTER, List.of(turned(View.THREE_QUARTER, 20))).orElseThrow();
    GuideFigure right = GuideFigure.turned(SHEET, PLAN, seen, Turn.RIGHT);
    GuideFigure left = GuideFigure.turned(SHEET, PLAN, seen, Turn.LEFT);
    assertThat(Facing.of(right.marks())).contains(Turn.RIGHT);
    assertThat(Facing.of(left.marks())).contains(Turn.LEFT);
    double ruled = SHEET.rule(FaceMeasures.EYE_LINE).orElseThrow().centre();
    assertThat(FaceMeasures.EYE_LINE.valueOf(right.marks()).orElseThrow())
        .isCloseTo(ruled, offset(0.002));
    assertThat(right.zones()).as("one work says nothing of how far it lets go").isEmpty();
  }

  @Test
  void aPoseStandsOnTheGroundInsideTheCanvas() {
    // One arm straight out, far.
    Marks pose =
        ADULT
            .with(Landmark.ELBOW_L, Mark.placed(-180, 367))
            .with(Landmark.WRIST_L, Mark.placed(-400, 367))
            .with(Landmark.FINGERTIP_L, Mark.placed(-550, 367));
    GuideFigure posed = GuideFigure.posed(SHEET, PLAN, pose).orElseThrow();
    assertThat(posed.stance()).isEqualTo(Stance.POSED);
    List<Point> all =
        posed.marks().landmarks().keySet().stream().map(posed.marks()::require).toList();
    assertThat(all).allMatch(p -> p.x() >= 0 && p.x() <= 2400 && p.y() >= 0 && p.y() <= 3200);
    double lowest = all.stream().mapToDouble(Point::y).max().orElseThrow();
    assertThat(lowest).isCloseTo(PLAN.height(Kind.GROUND).orElseThrow(), offset(1e-6));
    Point elbow = posed.marks().require(Landmark.ELBOW_L);
    Point wrist = posed.marks().require(Landmark.WRIST_L);
    assertThat(elbow.y()).as("still level").isCloseTo(wrist.y(), offset(1.0));
  }

  @Test
  void aPictureWithoutAFigureLendsNoPose() {
    assertThat(GuideFigure.posed(SHEET, PLAN, Marks.none(View.FRONT))).isEmpty();
    Marks face = ADULT.only(List.of(Landmark.CROWN, Landmark.CHIN, Landmark.EYE_L_OUTER));
    assertThat(GuideFigure.posed(SHEET, PLAN, face)).isEmpty();
  }

  /** Each way of showing it is drawn as layers of its own, with nothing outside any number. */
  @Test
  void eachIsDrawn() {
    SeenHead heads = SeenHead.of(View.FRONT, List.of(ADULT, ADULT, ADULT)).orElseThrow();
    GuideFigure standing = GuideFigure.standing(SHEET, PLAN, Optional.of(heads));
    assertThat(layers(standing)).contains("zones", "lines", "face", "features", "body");
    SeenHead side = SeenHead.of(View.SIDE, List.of(turned(View.SIDE, 40))).orElseThrow();
    assertThat(layers(GuideFigure.turned(SHEET, PLAN, side, Turn.LEFT)))
        .contains("lines", "head")
        .doesNotContain("face", "body");
    assertThat(layers(GuideFigure.posed(SHEET, PLAN, ADULT).orElseThrow()))
        .contains("head", "body")
        .doesNotContain("bands", "features");
  }

  /** The lash block is a closed shape that touches the opening along its whole upper edge. */
  @Test
  void theDarkBlockIsClosed() {
    Scene scene = GuideDrawing.of(PLAN);
    List<Item.Stroke> features =
        scene.layers().stream()
            .filter(layer -> layer.name().equals("features"))
            .flatMap(layer -> layer.items().stream())
            .map(Item.Stroke.class::cast)
            .toList();
    assertThat(features.get(0).outline().isClosed()).isTrue();
    assertThat(features.get(0).outline().pieces()).hasSize(4);
  }

  private static List<String> layers(GuideFigure figure) {
    Scene scene = GuideDrawing.of(PLAN, figure, List.of());
    return scene.layers().stream()
        .filter(layer -> !layer.items().isEmpty())
        .map(Scene.Layer::name)
        .toList();
  }
}
