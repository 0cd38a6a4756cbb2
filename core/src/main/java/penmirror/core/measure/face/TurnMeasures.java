package penmirror.core.measure.face;

import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHEEK_R;
import static penmirror.core.figure.Landmark.CHIN;
import static penmirror.core.figure.Landmark.CROWN;
import static penmirror.core.figure.Landmark.EYE_L_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_L_TOP;
import static penmirror.core.figure.Landmark.EYE_R_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_R_INNER;
import static penmirror.core.figure.Landmark.EYE_R_OUTER;
import static penmirror.core.figure.Landmark.EYE_R_TOP;

import java.util.List;
import java.util.OptionalDouble;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Measure.Comparison;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** How far a head is turned away, and what that does to the eye on the far side. */
public final class TurnMeasures {
  /**
   * Degrees, [0, 90]. On a round head the face's middle line lies the sine of the turn off the
   * middle of the outline; a flatter face reads some degrees short of its turn. Points as one of a
   * head that looks straight ahead give 0.
   */
  public static final Measure TURN =
      turned("head.turn", Unit.DEGREES)
          .formula(
              "arc sine of (near − far) / (near + far), from between the inner eye corners to the widest face, along the head's level",
              TurnMeasures::turnDegrees)
          .needs(CROWN, CHIN, CHEEK_L, CHEEK_R, EYE_L_INNER, EYE_R_INNER)
          .spreads(3, 6, 12)
          .ofSubject()
          .notScored()
          .source("plane geometry: a circle turned about its axis")
          .build();

  public static final Measure FAR_WIDTH =
      turned("eye.far.width", Unit.RATIO)
          .formula(
              "width of the far eye / width of the near one",
              marks -> Measure.ratio(width(marks, far(marks)), width(marks, near(marks))))
          .needs(CROWN, CHIN, CHEEK_L, CHEEK_R, EYE_L_INNER, EYE_R_INNER, EYE_L_OUTER, EYE_R_OUTER)
          .spreads(0.04, 0.10, 0.22)
          .source("common practice: narrower, as it turns away")
          .build();

  public static final Measure FAR_HEIGHT =
      turned("eye.far.height", Unit.RATIO)
          .formula(
              "opening of the far eye along the axis / that of the near one",
              marks -> Measure.ratio(height(marks, far(marks)), height(marks, near(marks))))
          .needs(
              CROWN,
              CHIN,
              CHEEK_L,
              CHEEK_R,
              EYE_L_INNER,
              EYE_R_INNER,
              EYE_L_TOP,
              EYE_R_TOP,
              EYE_L_BOTTOM,
              EYE_R_BOTTOM)
          .spreads(0.04, 0.08, 0.16)
          .source("common practice: as high as the near one")
          .build();

  public static final List<Measure> ALL = List.of(TURN, FAR_WIDTH, FAR_HEIGHT);

  private TurnMeasures() {}

  private static Measure.Builder turned(String key, Unit unit) {
    return Measure.of(key, MeasureGroup.FACE, unit)
        .validIn(View.THREE_QUARTER)
        .comparedBy(unit == Unit.RATIO ? Scale.LOG : Scale.LINEAR, Comparison.SAME_VIEW);
  }

  /** The side toward which the face is turned; the right one where it looks straight ahead. */
  public static Side far(Marks marks) {
    return offMiddle(marks).orElse(0) < 0 ? Side.LEFT : Side.RIGHT;
  }

  private static Side near(Marks marks) {
    return far(marks) == Side.LEFT ? Side.RIGHT : Side.LEFT;
  }

  private static OptionalDouble turnDegrees(Marks marks) {
    OptionalDouble off = offMiddle(marks);
    return off.isPresent() && Math.abs(off.getAsDouble()) <= 1
        ? OptionalDouble.of(Math.toDegrees(Math.asin(Math.abs(off.getAsDouble()))))
        : OptionalDouble.empty();
  }

  /**
   * How far the face's middle line lies from the middle of the outline, over half its width:
   * positive toward the right of the picture; empty without a head or a width.
   */
  private static OptionalDouble offMiddle(Marks marks) {
    if (marks.headFrame().isEmpty()
        || List.of(CHEEK_L, CHEEK_R, EYE_L_INNER, EYE_R_INNER).stream()
            .anyMatch(landmark -> marks.point(landmark).isEmpty())) {
      return OptionalDouble.empty();
    }
    HeadFrame head = marks.headFrame().get();
    double left = head.sideways(marks.require(CHEEK_L));
    double right = head.sideways(marks.require(CHEEK_R));
    Point between = marks.require(EYE_L_INNER).midpointTo(marks.require(EYE_R_INNER));
    double half = (right - left) / 2;
    return half > 0
        ? OptionalDouble.of((head.sideways(between) - (left + right) / 2) / half)
        : OptionalDouble.empty();
  }

  private static double width(Marks marks, Side side) {
    return marks.distance(side.of(EYE_L_OUTER), side.of(EYE_L_INNER));
  }

  private static double height(Marks marks, Side side) {
    return height(marks, side.of(EYE_L_BOTTOM)) - height(marks, side.of(EYE_L_TOP));
  }

  private static double height(Marks marks, Landmark landmark) {
    return marks.headFrame().map(frame -> frame.height(marks.require(landmark))).orElse(Double.NaN);
  }
}
