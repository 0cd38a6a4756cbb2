package penmirror.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.face.IrisMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.region.EdgeMeasures;
import penmirror.core.measure.region.LimbMeasures;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.reading.PixelReader;

class PartFrameTest {
  private static final Marks MARKS = Canon.realistic();
  private static final double HEAD_PIXELS = MARKS.headFrame().orElseThrow().headPixels();

  @ParameterizedTest
  @EnumSource(Part.class)
  void everyPointOfThePartLiesInside(Part part) {
    PartFrame.of(part, MARKS, 4000, 8000)
        .ifPresent(
            frame ->
                assertThat(part.landmarks())
                    .allSatisfy(
                        landmark ->
                            MARKS
                                .point(landmark)
                                .ifPresent(p -> assertThat(holds(frame, p)).isTrue())));
  }

  private static boolean holds(PartFrame frame, Point point) {
    return point.x() >= frame.x()
        && point.x() <= frame.x() + frame.width()
        && point.y() >= frame.y()
        && point.y() <= frame.y() + frame.height();
  }

  @Test
  void eyesAreAPieceOfTheFaceAndNotTheFigure() {
    PartFrame eyes = PartFrame.of(Part.EYES, MARKS, 4000, 8000).orElseThrow();
    double head = MARKS.headFrame().orElseThrow().headPixels();
    assertThat(eyes.width()).isBetween(0.5 * head, 1.3 * head);
    assertThat(eyes.height()).isBetween(0.2 * head, 0.8 * head);
  }

  @Test
  void itNeverReachesBeyondThePicture() {
    PartFrame feet = PartFrame.of(Part.FEET, MARKS, 500, 1200).orElseThrow();
    assertThat(feet.x()).isBetween(0.0, 500.0);
    assertThat(feet.x() + feet.width()).isLessThanOrEqualTo(500);
    assertThat(feet.y() + feet.height()).isLessThanOrEqualTo(1200);
  }

  @Test
  void withoutPointsOrHeadThereIsNone() {
    assertThat(PartFrame.of(Part.LIGHT, MARKS, 4000, 8000)).isEmpty();
    assertThat(PartFrame.of(Part.EYES, Marks.none(View.FRONT), 4000, 8000)).isEmpty();
    Marks alone = Marks.none(View.FRONT).with(Landmark.EYE_L_INNER, Mark.placed(10, 10));
    assertThat(PartFrame.of(Part.EYES, alone, 4000, 8000)).isEmpty();
  }

  @Test
  void aReadingIsShownWithThePointsItIsReadFrom() {
    PartFrame tall = seen(ProportionMeasures.STATURE, MARKS).orElseThrow();
    PartFrame gap = seen(FaceMeasures.EYE_SPACING, MARKS).orElseThrow();

    assertThat(ProportionMeasures.STATURE.needs())
        .allSatisfy(l -> assertThat(holds(tall, MARKS.point(l).orElseThrow())).isTrue());
    assertThat(gap.height()).isLessThan(tall.height() / 4);
  }

  @Test
  void coloursAreShownByTheHead() {
    PartFrame colours = seen(ColourMeasures.PALETTE_SIZE, MARKS).orElseThrow();

    for (Landmark landmark : new Landmark[] {Landmark.CROWN, Landmark.CHIN, Landmark.CHEEK_L}) {
      assertThat(holds(colours, MARKS.point(landmark).orElseThrow())).isTrue();
    }
    assertThat(seen(ColourMeasures.PALETTE_SIZE, Marks.none(View.FRONT))).isEmpty();
  }

  @Test
  void aLineIsShownAtACheekAndALashAtOneEye() {
    PartFrame line = seen(LineMeasures.WIDTH, MARKS).orElseThrow();
    assertThat(line.width()).isLessThan(0.4 * HEAD_PIXELS);
    assertThat(holds(line, MARKS.require(Landmark.CHEEK_L))).isTrue();

    assertThat(seen(EdgeMeasures.RIM, MARKS)).contains(line);

    PartFrame lash = seen(LineMeasures.LASH, MARKS).orElseThrow();
    assertThat(holds(lash, MARKS.require(Landmark.EYE_L_TOP))).isTrue();
    assertThat(holds(lash, MARKS.require(Landmark.EYE_R_TOP))).isFalse();
    PartFrame glow = seen(IrisMeasures.GLOW, MARKS).orElseThrow();
    assertThat(holds(glow, MARKS.require(Landmark.EYE_L_BOTTOM))).isTrue();
    assertThat(holds(glow, MARKS.require(Landmark.EYE_R_OUTER))).isFalse();
  }

  /** Of two arms one of which is covered, the one that is seen. */
  @Test
  void aLimbIsShownOnTheSideOnWhichItIsSeen() {
    Marks covered =
        MARKS
            .with(Landmark.ELBOW_L, estimated(Landmark.ELBOW_L))
            .with(Landmark.WRIST_L, estimated(Landmark.WRIST_L));
    PartFrame arm = seen(LimbMeasures.FOREARM, covered).orElseThrow();
    assertThat(holds(arm, MARKS.require(Landmark.ELBOW_R))).isTrue();
    assertThat(holds(arm, MARKS.require(Landmark.ELBOW_L))).isFalse();
  }

  private static Mark estimated(Landmark landmark) {
    return Mark.at(MARKS.require(landmark), Mark.State.ESTIMATED);
  }

  /** What has a shadow shows it; where nothing has, the head shows that. */
  @Test
  void valuesAreShownWhereTheShadowLies() {
    Point onSkin = new Point(620, 900);
    Point onCloth = new Point(700, 3000);
    Evidence evidence =
        new Evidence(
            MARKS, Optional.of(readings(tones(Role.SKIN, onSkin), tones(Role.CLOTH, onCloth))));
    PartFrame edge = PartFrame.of(ShadeMeasures.EDGE, evidence, 4000, 8000).orElseThrow();
    PartFrame cloth =
        PartFrame.of(RoleMeasures.CLOTH.lightness(), evidence, 4000, 8000).orElseThrow();
    assertThat(holds(edge, onSkin)).isTrue();
    assertThat(edge.width()).isLessThan(0.6 * HEAD_PIXELS);
    assertThat(holds(cloth, onCloth)).isTrue();
    assertThat(holds(cloth, onSkin)).isFalse();
    assertThat(PartFrame.of(LineMeasures.HATCH, evidence, 4000, 8000)).contains(edge);
    assertThat(seen(ShadeMeasures.EDGE, MARKS)).isEqualTo(seen(ColourMeasures.PALETTE_SIZE, MARKS));
  }

  private static RoleTones tones(Role role, Point place) {
    OkLab light = new OkLab(0.8, 0.02, 0.04);
    Tones tones =
        new Tones(
            light, Optional.of(new OkLab(0.6, 0.02, 0.02)), Optional.empty(), Optional.empty());
    return new RoleTones(role, tones, 0.2, place);
  }

  private static PixelReadings readings(RoleTones... roles) {
    return new PixelReadings(
        PixelReader.ALGORITHM_VERSION,
        4000,
        8000,
        1_000_000,
        Map.of(),
        Map.of(),
        List.of(),
        List.of(),
        List.of(roles));
  }

  private static Optional<PartFrame> seen(Measure measure, Marks marks) {
    return PartFrame.of(measure, new Evidence(marks, Optional.empty()), 4000, 8000);
  }

  @Test
  void aFrameIsNamedInPlainDigitsWhereverTheMachineStands() {
    assertThat(new PartFrame(1.4, 20.6, 300, 4000).viewBox()).isEqualTo("1 21 300 4000");
  }
}
