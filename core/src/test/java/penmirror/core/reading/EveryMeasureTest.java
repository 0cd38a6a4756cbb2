package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.geom.Line2D;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.Drawing;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Reading;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;

/** What must hold for every measure of the catalogue, also for those added later. */
class EveryMeasureTest {
  private static final PixelReadings PIXELS = everything(1700);

  /** Readings of which every measure has an estimate. */
  private static PixelReadings everything(int heightPixels) {
    Map<String, Estimate> estimates = new HashMap<>();
    for (Measure measure : MeasureCatalogue.all()) {
      if (measure.isFromPixels()) {
        estimates.put(measure.key(), Estimate.of(0.5, 0.1));
      }
    }
    estimates.put(LineMeasures.WIDTH.key(), Estimate.of(4, 0.1));
    return new PixelReadings(
        1, 600, heightPixels, 250_000, estimates, Map.of(), List.of(), List.of(), List.of());
  }

  static Stream<Measure> all() {
    return MeasureCatalogue.all().stream();
  }

  static Stream<Measure> marked() {
    return all().filter(measure -> !measure.isFromPixels());
  }

  static Stream<Measure> fromPixels() {
    return all().filter(Measure::isFromPixels);
  }

  @ParameterizedTest
  @MethodSource("marked")
  void readsFromItsOwnLandmarksAlone(Measure measure) {
    Marks whole = figure(measure);
    Marks only = Marks.none(whole.view());
    for (Landmark landmark : measure.needs()) {
      only = only.with(landmark, whole.landmarks().get(landmark));
    }
    assertThat(read(measure, only).reading().orElseThrow().value())
        .isEqualTo(read(measure, whole).reading().orElseThrow().value());
  }

  @ParameterizedTest
  @MethodSource("marked")
  void namesEachLandmarkThatIsMissing(Measure measure) {
    for (Landmark landmark : measure.needs()) {
      Map<Landmark, Mark> rest = new EnumMap<>(figure(measure).landmarks());
      rest.remove(landmark);
      NoReading none = none(read(measure, new Marks(figure(measure).view(), rest)));
      assertThat(none.reason()).isEqualTo(Reason.LANDMARKS_MISSING);
      assertThat(none.missing()).containsExactly(landmark);
    }
  }

  @ParameterizedTest
  @MethodSource("marked")
  void saysWhenALandmarkIsHidden(Measure measure) {
    for (Landmark landmark : measure.needs()) {
      Marks hidden = figure(measure).with(landmark, Mark.hidden());
      if (measure.isReadOnEitherSide()) {
        hidden = hidden.with(landmark.mirrored(), Mark.hidden());
      }
      assertThat(none(read(measure, hidden)).reason()).isEqualTo(Reason.LANDMARKS_HIDDEN);
    }
  }

  @ParameterizedTest
  @MethodSource("all")
  void theValueAloneIsThatOfTheReading(Measure measure) {
    Evidence evidence = new Evidence(Canon.realistic(), Optional.of(PIXELS));
    Optional<Double> read = measure.read(evidence).reading().map(Reading::value);
    assertThat(measure.value(evidence).stream().boxed().findFirst()).isEqualTo(read);
    Evidence behind = evidence.withMarks(Canon.realistic().withView(View.BACK));
    assertThat(measure.value(behind).isPresent())
        .isEqualTo(measure.read(behind).reading().isPresent());
  }

  /** The canon is even: one side alone reads as both do. */
  @ParameterizedTest
  @MethodSource("marked")
  void oneSideIsEnoughWhereTheOtherIsHidden(Measure measure) {
    if (measure.isReadOnEitherSide()) {
      Marks turned = Canon.realistic();
      Marks notMarked = Marks.none(View.SIDE);
      for (Landmark landmark : Canon.realistic().landmarks().keySet()) {
        boolean far = landmark.ordinal() > landmark.mirrored().ordinal();
        if (far) {
          turned = turned.with(landmark, Mark.hidden());
        } else {
          notMarked = notMarked.with(landmark, Canon.realistic().landmarks().get(landmark));
        }
      }
      double both = read(measure, Canon.realistic()).reading().orElseThrow().value();
      assertThat(measure.valueOf(turned).isPresent()).isEqualTo(alone(measure));
      if (alone(measure)) {
        assertThat(measure.valueOf(turned).getAsDouble()).isCloseTo(both, offset(1e-9));
        assertThat(measure.valueOf(notMarked).getAsDouble()).isCloseTo(both, offset(1e-9));
      }
    }
  }

  /** Whether nothing but the paired landmarks needs the far side, as a width of the face does. */
  private static boolean alone(Measure measure) {
    return measure != FaceMeasures.JAW_TURN;
  }

  @ParameterizedTest
  @MethodSource("marked")
  void allPointsOnOneSpotGiveNoReadingOrAFiniteOne(Measure measure) {
    Marks heap = Marks.none(figure(measure).view());
    for (Landmark landmark : measure.needs()) {
      heap = heap.with(landmark, Mark.placed(50, 50));
    }
    MeasureResult result = read(measure, heap);
    result.reading().ifPresent(reading -> assertThat(reading.value()).isFinite());
    assertThat(result.fold(reading -> Reason.POINTS_IMPOSSIBLE, NoReading::reason))
        .isEqualTo(Reason.POINTS_IMPOSSIBLE);
  }

  @ParameterizedTest
  @MethodSource("marked")
  void carriesAnErrorThatShrinksWithLargerPictures(Measure measure) {
    Marks whole = figure(measure);
    Reading small = read(measure, whole).reading().orElseThrow();
    Marks large = whole.moved(whole.landmarks().keySet(), p -> p.times(10));
    Reading big = read(measure, large).reading().orElseThrow();
    assertThat(small.standardError().orElseThrow()).isPositive();
    // The marking error is a share of the head, so size alone changes nothing.
    assertThat(big.standardError().orElseThrow())
        .isCloseTo(small.standardError().orElseThrow(), Percentage.withPercentage(2));
    assertThat(small.method()).isEqualTo(Reading.Method.MARKED);
  }

  @ParameterizedTest
  @MethodSource("marked")
  void isOutOfScopeInViewsItDoesNotHoldIn(Measure measure) {
    for (View view : View.values()) {
      MeasureResult result = read(measure, Canon.realistic().withView(view));
      assertThat(result.reading().isPresent())
          .as(view.word())
          .isEqualTo(measure.views().contains(view));
    }
  }

  @ParameterizedTest
  @MethodSource("fromPixels")
  void waitsForThePixels(Measure measure) {
    assertThat(none(read(measure, Canon.realistic())).reason()).isEqualTo(Reason.PIXELS_NOT_READ);
  }

  @ParameterizedTest
  @MethodSource("fromPixels")
  void readsFromPixelsOrSaysWhyNot(Measure measure) {
    MeasureResult result = measure.read(new Evidence(Canon.realistic(), Optional.of(PIXELS)));
    result
        .reading()
        .ifPresent(
            reading -> {
              assertThat(reading.method()).isEqualTo(Reading.Method.FROM_PIXELS);
              assertThat(measure.scale().admits(reading.value())).isTrue();
            });
    assertThat(result.reading()).as("every estimate becomes a reading").isPresent();
    Map<String, Reason> absences = Map.of(estimateOf(measure).key(), Reason.TOO_LITTLE);
    PixelReadings empty =
        new PixelReadings(1, 10, 10, 0, Map.of(), absences, List.of(), List.of(), List.of());
    assertThat(none(measure.read(new Evidence(Canon.realistic(), Optional.of(empty)))).reason())
        .isEqualTo(Reason.TOO_LITTLE);
  }

  /** Every measure says why it is missing in a picture with nothing on it. */
  @ParameterizedTest
  @MethodSource("fromPixels")
  void saysWhyAnEmptySheetHasNone(Measure measure) {
    Evidence empty = new Evidence(Canon.realistic(), Optional.of(EMPTY_SHEET));
    measure
        .read(empty)
        .reading()
        .ifPresent(reading -> assertThat(reading.value()).as(measure.key()).isZero());
    if (EMPTY_SHEET.estimate(estimateOf(measure)).isEmpty()) {
      assertThat(EMPTY_SHEET.absence(estimateOf(measure)))
          .as(measure.key())
          .isNotEqualTo(Reason.PIXELS_NOT_READ);
    }
  }

  private static final PixelReadings EMPTY_SHEET =
      new PixelReader().read(new Drawing(80, 60, 0xF5EDDC).picture());

  private static Measure estimateOf(Measure measure) {
    return measure.standsInFor().orElse(measure);
  }

  @ParameterizedTest
  @MethodSource("all")
  void isHeldNoTighterThanItCanBeRead(Measure measure) {
    assertThat(measure.floorTolerance()).isLessThanOrEqualTo(measure.spreadWithinStyle());
    assertThat(measure.spreadWithinStyle()).isLessThan(measure.spreadAmongStyles());
  }

  /** A line by the head: 4 px on a head of 200 px is 20 thousandths. */
  @Test
  void lineWeightIsInThousandthsOfTheHead() {
    Measure width = MeasureCatalogue.byKey("line.width").orElseThrow();
    Evidence evidence = new Evidence(Canon.realistic(), Optional.of(PIXELS));
    assertThat(width.read(evidence).reading().orElseThrow().value()).isEqualTo(20);
    assertThat(none(width.read(evidence.withMarks(Marks.none(View.FRONT)))).reason())
        .isEqualTo(Reason.HEAD_NOT_MARKED);
  }

  @Test
  void hairlinesAreNotTrusted() {
    Drawing hair = new Drawing(300, 300, 0xFFFFFF);
    for (int i = 1; i < 6; i++) {
      hair.stroke(new Line2D.Double(20, 50 * i, 280, 50 * i + 9), 1, 0);
    }
    PixelReadings thin = new PixelReader().read(hair.picture());
    Measure width = MeasureCatalogue.byKey("line.width").orElseThrow();
    assertThat(none(width.read(new Evidence(Canon.realistic(), Optional.of(thin)))).reason())
        .isEqualTo(Reason.HAIRLINE);
  }

  /** A figure that the measure can be read on: the canon, its head turned where it has to be. */
  private static Marks figure(Measure measure) {
    Marks canon = Canon.realistic();
    return measure.views().contains(View.FRONT)
        ? canon
        : canon
            .withView(View.THREE_QUARTER)
            .moved(List.of(Landmark.CHEEK_L), p -> p.plus(new Point(-40, 0)));
  }

  private static MeasureResult read(Measure measure, Marks marks) {
    return measure.read(new Evidence(marks, Optional.empty()));
  }

  private static NoReading none(MeasureResult result) {
    return result.fold(
        reading -> {
          throw new AssertionError("Expected no reading, got " + reading);
        },
        none -> none);
  }
}
