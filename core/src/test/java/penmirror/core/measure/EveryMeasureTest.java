package penmirror.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineReadings;

/** What must hold for every measure of the catalogue, also for those added later. */
class EveryMeasureTest {
  private static final PixelReadings PIXELS =
      new PixelReadings(
          1,
          600,
          1700,
          250_000,
          Optional.of(new LineReadings(4, 2, 6, 0.1, 0.2, 5000)),
          Optional.of(new PixelReadings.ValueRange(0.2, 0.9)),
          List.of());

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
    Marks only = Marks.none(View.FRONT);
    for (Landmark landmark : measure.needs()) {
      only = only.with(landmark, Canon.realistic().landmarks().get(landmark));
    }
    assertThat(read(measure, only).reading().orElseThrow().value())
        .isEqualTo(read(measure, Canon.realistic()).reading().orElseThrow().value());
  }

  @ParameterizedTest
  @MethodSource("marked")
  void namesEachLandmarkThatIsMissing(Measure measure) {
    for (Landmark landmark : measure.needs()) {
      java.util.Map<Landmark, Mark> rest = new java.util.EnumMap<>(Canon.realistic().landmarks());
      rest.remove(landmark);
      NoReading none = none(read(measure, new Marks(View.FRONT, rest)));
      assertThat(none.reason()).isEqualTo(Reason.LANDMARKS_MISSING);
      assertThat(none.missing()).containsExactly(landmark);
    }
  }

  @ParameterizedTest
  @MethodSource("marked")
  void saysWhenALandmarkIsHidden(Measure measure) {
    for (Landmark landmark : measure.needs()) {
      Marks hidden = Canon.realistic().with(landmark, Mark.hidden());
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
    Marks heap = Marks.none(View.FRONT);
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
    Reading small = read(measure, Canon.realistic()).reading().orElseThrow();
    Marks large = Canon.realistic().moved(Canon.realistic().landmarks().keySet(), p -> p.times(10));
    Reading big = read(measure, large).reading().orElseThrow();
    assertThat(small.standardError()).isPositive();
    // The marking error is a share of the head, so size alone changes nothing.
    assertThat(big.standardError())
        .isCloseTo(small.standardError(), org.assertj.core.data.Percentage.withPercentage(2));
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
    PixelReadings empty =
        new PixelReadings(1, 10, 10, 0, Optional.empty(), Optional.empty(), List.of());
    assertThat(none(measure.read(new Evidence(Canon.realistic(), Optional.of(empty)))).reason())
        .isIn(Reason.NO_LINES, Reason.NO_FIGURE);
  }

  @ParameterizedTest
  @MethodSource("all")
  void isHeldNoTighterThanItCanBeRead(Measure measure) {
    assertThat(measure.floorTolerance()).isLessThanOrEqualTo(measure.spreadWithinStyle());
    assertThat(measure.spreadWithinStyle()).isLessThan(measure.spreadAmongStyles());
  }

  /** A line by the head: 4 px on a head of 200 px is 20 thousandths. */
  @org.junit.jupiter.api.Test
  void lineWeightIsInThousandthsOfTheHead() {
    Measure width = MeasureCatalogue.byKey("line.width").orElseThrow();
    Evidence evidence = new Evidence(Canon.realistic(), Optional.of(PIXELS));
    assertThat(width.read(evidence).reading().orElseThrow().value()).isEqualTo(20);
    assertThat(none(width.read(evidence.withMarks(Marks.none(View.FRONT)))).reason())
        .isEqualTo(Reason.HEAD_NOT_MARKED);
  }

  @org.junit.jupiter.api.Test
  void hairlinesAreNotTrusted() {
    PixelReadings thin =
        new PixelReadings(
            1,
            600,
            1700,
            250_000,
            Optional.of(new LineReadings(1.7, 1, 2, 0.1, 0.2, 5000)),
            Optional.empty(),
            List.of());
    Measure width = MeasureCatalogue.byKey("line.width").orElseThrow();
    assertThat(none(width.read(new Evidence(Canon.realistic(), Optional.of(thin)))).reason())
        .isEqualTo(Reason.HAIRLINE);
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
