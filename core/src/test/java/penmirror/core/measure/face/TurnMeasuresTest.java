package penmirror.core.measure.face;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.figure.Facing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;

/** A ball for a head, with two eyes on its equator, turned about its axis and seen from afar. */
class TurnMeasuresTest {
  private static final double RADIUS = 100;

  /** Where the corners of an eye lie on the ball, degrees from its middle line. */
  private static final double INNER = 12;

  private static final double OUTER = 38;

  private static Marks ball(double turnDegrees) {
    Map<Landmark, Mark> marks = new EnumMap<>(Landmark.class);
    marks.put(Landmark.CROWN, Mark.placed(300, 200));
    marks.put(Landmark.CHIN, Mark.placed(300, 400));
    marks.put(Landmark.CHEEK_L, Mark.placed(300 - RADIUS, 300));
    marks.put(Landmark.CHEEK_R, Mark.placed(300 + RADIUS, 300));
    for (Side side : Side.values()) {
      marks.put(side.of(Landmark.EYE_L_INNER), seen(side.outward() * INNER, turnDegrees, 0));
      marks.put(side.of(Landmark.EYE_L_OUTER), seen(side.outward() * OUTER, turnDegrees, 0));
      double middle = side.outward() * (INNER + OUTER) / 2;
      marks.put(side.of(Landmark.EYE_L_TOP), seen(middle, turnDegrees, -15));
      marks.put(side.of(Landmark.EYE_L_BOTTOM), seen(middle, turnDegrees, 15));
    }
    return new Marks(View.THREE_QUARTER, marks);
  }

  private static Mark seen(double longitude, double turnDegrees, double down) {
    return Mark.placed(300 + RADIUS * sine(longitude + turnDegrees), 300 + down);
  }

  private static double value(Measure measure, Marks marks) {
    return measure.valueOf(marks).orElseThrow();
  }

  /** The eyes' corners lie a little before the ball's middle plane: two degrees at forty-five. */
  @ParameterizedTest
  @ValueSource(doubles = {5, 15, 25, 35, 45})
  void aRoundHeadTellsItsTurn(double turn) {
    assertThat(value(TurnMeasures.TURN, ball(turn))).isCloseTo(turn, offset(2.0));
    Marks other = Facing.mirrored(ball(turn), 300);
    assertThat(value(TurnMeasures.TURN, other))
        .isCloseTo(value(TurnMeasures.TURN, ball(turn)), offset(1e-9));
    assertThat(TurnMeasures.far(ball(turn))).isEqualTo(Side.RIGHT);
    assertThat(TurnMeasures.far(other)).isEqualTo(Side.LEFT);
  }

  /** By the sines of where the corners lie. */
  @ParameterizedTest
  @ValueSource(doubles = {10, 25, 40})
  void theFarEyeNarrowsAsTheBallTurns(double turn) {
    double far = sine(OUTER + turn) - sine(INNER + turn);
    double near = sine(turn - INNER) - sine(turn - OUTER);
    assertThat(value(TurnMeasures.FAR_WIDTH, ball(turn))).isCloseTo(far / near, offset(1e-9));
    assertThat(value(TurnMeasures.FAR_WIDTH, Facing.mirrored(ball(turn), 300)))
        .isCloseTo(far / near, offset(1e-9));
    assertThat(value(TurnMeasures.FAR_HEIGHT, ball(turn))).isCloseTo(1, offset(1e-9));
  }

  private static double sine(double degrees) {
    return Math.sin(Math.toRadians(degrees));
  }
}
