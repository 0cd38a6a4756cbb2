package penmirror.core.scoring;

import static penmirror.core.figure.Landmark.ANKLE_L;
import static penmirror.core.figure.Landmark.BROW_L_INNER;
import static penmirror.core.figure.Landmark.BROW_L_OUTER;
import static penmirror.core.figure.Landmark.BROW_L_PEAK;
import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHEEK_R;
import static penmirror.core.figure.Landmark.CHIN;
import static penmirror.core.figure.Landmark.CROTCH;
import static penmirror.core.figure.Landmark.EAR_L_BASE;
import static penmirror.core.figure.Landmark.EAR_L_TOP;
import static penmirror.core.figure.Landmark.ELBOW_L;
import static penmirror.core.figure.Landmark.EYE_L_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_L_TOP;
import static penmirror.core.figure.Landmark.FINGERTIP_L;
import static penmirror.core.figure.Landmark.HAIRLINE;
import static penmirror.core.figure.Landmark.HAIR_L;
import static penmirror.core.figure.Landmark.HAIR_R;
import static penmirror.core.figure.Landmark.HAIR_TOP;
import static penmirror.core.figure.Landmark.HEEL_L;
import static penmirror.core.figure.Landmark.HIP_L;
import static penmirror.core.figure.Landmark.HIP_R;
import static penmirror.core.figure.Landmark.IRIS_L_CENTRE;
import static penmirror.core.figure.Landmark.IRIS_L_EDGE;
import static penmirror.core.figure.Landmark.IRIS_L_TOP;
import static penmirror.core.figure.Landmark.JAW_L;
import static penmirror.core.figure.Landmark.JAW_R;
import static penmirror.core.figure.Landmark.KNEE_L;
import static penmirror.core.figure.Landmark.LASH_L_TOP;
import static penmirror.core.figure.Landmark.MOUTH_BOTTOM;
import static penmirror.core.figure.Landmark.MOUTH_L;
import static penmirror.core.figure.Landmark.MOUTH_R;
import static penmirror.core.figure.Landmark.MOUTH_TOP;
import static penmirror.core.figure.Landmark.NECK_BASE;
import static penmirror.core.figure.Landmark.NECK_L;
import static penmirror.core.figure.Landmark.NECK_R;
import static penmirror.core.figure.Landmark.NOSE_BASE;
import static penmirror.core.figure.Landmark.NOSE_TOP;
import static penmirror.core.figure.Landmark.PUPIL_L;
import static penmirror.core.figure.Landmark.SHOULDER_L;
import static penmirror.core.figure.Landmark.SHOULDER_R;
import static penmirror.core.figure.Landmark.SOLE;
import static penmirror.core.figure.Landmark.TOE_L;
import static penmirror.core.figure.Landmark.WAIST_L;
import static penmirror.core.figure.Landmark.WAIST_R;
import static penmirror.core.figure.Landmark.WRIST_L;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.scoring.Fix.Part;

/**
 * The plain move that changes one measure: how landmarks go for a given amount, and how a hand
 * would say the amount. Amount 0 leaves everything as it is. Listed in the order in which the moves
 * of one part are done: size before turn, turn before place.
 */
enum Adjustment {
  EYE_SIZE(Part.EYES, FaceMeasures.EYE_WIDTH, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachEye(marks, (p, centre, side) -> scaled(p, centre, amount));
    }
  },
  EYE_TURN(Part.EYES, FaceMeasures.EYE_TILT, Amount.DEGREES) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachEye(marks, (p, centre, side) -> p.turnedAbout(centre, -side * amount));
    }
  },
  EYE_GAP(Part.EYES, FaceMeasures.EYE_SPACING, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point across = across(marks);
      return eachEye(marks, (p, centre, side) -> p.plus(across.times(side * amount)));
    }
  },
  EYE_HEIGHT(Part.EYES, FaceMeasures.EYE_LINE, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(amount);
      return eachEye(marks, (p, centre, side) -> p.plus(step));
    }
  },
  EYE_OPENING(Part.EYES, FaceMeasures.EYE_ASPECT, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachSide(
          marks,
          (m, side) -> {
            Point centre = middle(m, side.of(EYE_L_TOP), side.of(EYE_L_BOTTOM));
            Point top = scaled(m.require(side.of(EYE_L_TOP)), centre, amount);
            Point step = top.minus(m.require(side.of(EYE_L_TOP)));
            return m.moved(List.of(side.of(EYE_L_TOP), side.of(LASH_L_TOP)), p -> p.plus(step))
                .moved(List.of(side.of(EYE_L_BOTTOM)), p -> scaled(p, centre, amount));
          },
          EYE_L_TOP,
          EYE_L_BOTTOM);
    }
  },
  EYE_TOP(Part.EYES, FaceMeasures.EYE_PEAK, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return alongTheEye(marks, EYE_L_TOP, LASH_L_TOP, amount);
    }
  },
  EYE_FOOT(Part.EYES, FaceMeasures.EYE_DIP, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return alongTheEye(marks, EYE_L_BOTTOM, EYE_L_BOTTOM, amount);
    }
  },
  LASH_HEIGHT(Part.EYES, FaceMeasures.LASH, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachSide(
          marks, (m, side) -> away(m, side.of(EYE_L_TOP), side.of(LASH_L_TOP), amount), LASH_L_TOP);
    }
  },
  IRIS(Part.EYES, FaceMeasures.IRIS_SIZE, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachSide(
          marks,
          (m, side) -> {
            Point centre = m.require(side.of(IRIS_L_CENTRE));
            return m.moved(
                List.of(side.of(IRIS_L_EDGE), side.of(IRIS_L_TOP), side.of(PUPIL_L)),
                p -> scaled(p, centre, amount));
          },
          IRIS_L_CENTRE);
    }
  },
  IRIS_SHAPE(Part.EYES, FaceMeasures.IRIS_ASPECT, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachSide(
          marks,
          (m, side) -> away(m, side.of(IRIS_L_CENTRE), side.of(IRIS_L_TOP), amount),
          IRIS_L_CENTRE,
          IRIS_L_TOP);
    }
  },
  PUPIL_SIZE(Part.EYES, FaceMeasures.PUPIL, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return scaledFrom(marks, IRIS_L_CENTRE, amount, PUPIL_L);
    }
  },
  BROW_TURN(Part.BROWS, FaceMeasures.BROW_SLOPE, Amount.DEGREES) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachSide(
          marks,
          (m, side) -> {
            Point centre = middle(m, side.of(BROW_L_INNER), side.of(BROW_L_OUTER));
            return m.moved(brow(side), p -> p.turnedAbout(centre, -side.outward() * amount));
          },
          BROW_L_INNER,
          BROW_L_OUTER);
    }
  },
  BROW_PEAK(Part.BROWS, FaceMeasures.BROW_ARCH, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(-amount);
      return eachSide(
          marks, (m, side) -> m.moved(List.of(side.of(BROW_L_PEAK)), p -> p.plus(step)));
    }
  },
  BROW_HEIGHT(Part.BROWS, FaceMeasures.BROW_GAP, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(-amount);
      return eachSide(marks, (m, side) -> m.moved(brow(side), p -> p.plus(step)));
    }
  },
  NOSE_HEIGHT(Part.NOSE, FaceMeasures.NOSE_BASE_HEIGHT, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(amount);
      return marks.moved(List.of(NOSE_BASE), p -> p.plus(step));
    }
  },
  NOSE_LENGTH(Part.NOSE, FaceMeasures.NOSE_LENGTH, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(-amount);
      return marks.moved(List.of(NOSE_TOP), p -> p.plus(step));
    }
  },
  MOUTH_SIZE(Part.MOUTH, FaceMeasures.MOUTH_WIDTH, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point centre = middle(marks, MOUTH_L, MOUTH_R);
      return marks.moved(MOUTH, p -> scaled(p, centre, amount));
    }
  },
  MOUTH_HEIGHT(Part.MOUTH, FaceMeasures.MOUTH_LINE, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(amount);
      return marks.moved(MOUTH, p -> p.plus(step));
    }
  },
  FACE_SIZE(Part.FACE, ProportionMeasures.HEAD_ASPECT, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return apart(marks, CHEEK_L, CHEEK_R, amount);
    }
  },
  JAW_SIZE(Part.FACE, ProportionMeasures.JAW, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return apart(marks, JAW_L, JAW_R, amount);
    }
  },
  JAW_HEIGHT(Part.FACE, ProportionMeasures.CHIN_ANGLE, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(amount);
      return marks.moved(List.of(JAW_L, JAW_R), p -> p.plus(step));
    }
  },
  EAR_HEIGHT(Part.EARS, FaceMeasures.EAR_TOP, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(amount);
      return eachSide(
          marks,
          (m, side) ->
              m.moved(List.of(side.of(EAR_L_TOP), side.of(EAR_L_BASE)), p -> p.plus(step)));
    }
  },
  EAR_LENGTH(Part.EARS, FaceMeasures.EAR_SIZE, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return scaledFrom(marks, EAR_L_TOP, amount, EAR_L_BASE);
    }
  },
  HAIR_HEIGHT(Part.HAIR, ProportionMeasures.HAIR_LIFT, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(-amount);
      return marks.moved(List.of(HAIR_TOP), p -> p.plus(step));
    }
  },
  HAIR_SIZE(Part.HAIR, ProportionMeasures.HAIR_WIDTH, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return apart(marks, HAIR_L, HAIR_R, amount);
    }
  },
  HAIRLINE_HEIGHT(Part.HAIR, FaceMeasures.UPPER_THIRD, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(-amount);
      return marks.moved(List.of(HAIRLINE), p -> p.plus(step));
    }
  },
  NECK_SIZE(Part.NECK, ProportionMeasures.NECK_WIDTH, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return apart(marks, NECK_L, NECK_R, amount);
    }
  },
  NECK_REACH(Part.NECK, ProportionMeasures.NECK_LENGTH, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return away(marks, CHIN, NECK_BASE, amount);
    }
  },
  SHOULDER_SIZE(Part.SHOULDERS, ProportionMeasures.SHOULDERS, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return apart(marks, SHOULDER_L, SHOULDER_R, amount);
    }
  },
  SHOULDER_HEIGHT(Part.SHOULDERS, ProportionMeasures.SHOULDER_DROP, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return marks.moved(List.of(SHOULDER_L, SHOULDER_R), p -> p.plus(new Point(0, amount)));
    }
  },
  WAIST_SIZE(Part.WAIST, ProportionMeasures.SHOULDERS_TO_WAIST, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return apart(marks, WAIST_L, WAIST_R, -amount);
    }
  },
  HIP_SIZE(Part.WAIST, ProportionMeasures.HIPS_TO_WAIST, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return apart(marks, HIP_L, HIP_R, amount);
    }
  },
  HAND_SIZE(Part.ARMS, ProportionMeasures.HAND, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return scaledFrom(marks, WRIST_L, amount, FINGERTIP_L);
    }
  },
  ELBOW_PLACE(Part.ARMS, ProportionMeasures.ARM_HALVES, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachSide(
          marks,
          (m, side) -> {
            Point step = toward(m, side.of(SHOULDER_L), side.of(WRIST_L)).times(amount);
            return m.moved(List.of(side.of(ELBOW_L)), p -> p.plus(step));
          },
          SHOULDER_L,
          WRIST_L);
    }
  },
  ARM_LENGTH(Part.ARMS, ProportionMeasures.ARMS, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachSide(
          marks,
          (m, side) -> {
            Point shoulder = m.require(side.of(SHOULDER_L));
            Point wrist = m.require(side.of(WRIST_L));
            // The hand goes along at its own size.
            Point step = scaled(wrist, shoulder, amount).minus(wrist);
            return m.moved(List.of(side.of(ELBOW_L)), p -> scaled(p, shoulder, amount))
                .moved(List.of(side.of(WRIST_L), side.of(FINGERTIP_L)), p -> p.plus(step));
          },
          SHOULDER_L,
          WRIST_L);
    }
  },
  CROTCH_HEIGHT(Part.LEGS, ProportionMeasures.LEGS, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return marks.moved(List.of(CROTCH), p -> p.minus(new Point(0, amount)));
    }
  },
  KNEE_HEIGHT(Part.LEGS, ProportionMeasures.LEG_HALVES, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return eachSide(
          marks,
          (m, side) -> {
            Point step = toward(m, CROTCH, side.of(ANKLE_L)).times(amount);
            return m.moved(List.of(side.of(KNEE_L)), p -> p.plus(step));
          },
          CROTCH,
          ANKLE_L);
    }
  },
  FOOT_LENGTH(Part.FEET, ProportionMeasures.FOOT, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return scaledFrom(marks, HEEL_L, amount, TOE_L);
    }
  },
  // One move for each way of counting; a study scores only one of them.
  BODY_LENGTH(Part.BODY, ProportionMeasures.STATURE, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return longerBody(marks, amount);
    }
  },
  BODY_LENGTH_WITH_HAIR(Part.BODY, ProportionMeasures.STATURE_WITH_HAIR, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return longerBody(marks, amount);
    }
  },
  BODY_LENGTH_ALONG(Part.BODY, ProportionMeasures.STATURE_ALONG_AXIS, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return longerBody(marks, amount);
    }
  },
  BODY_LENGTH_ALONG_WITH_HAIR(
      Part.BODY, ProportionMeasures.STATURE_ALONG_AXIS_WITH_HAIR, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      return longerBody(marks, amount);
    }
  };

  /** How a hand would say the amount. */
  enum Amount {
    PIXELS,
    DEGREES,
    /** The logarithm of a factor. */
    FACTOR
  }

  private static final List<Landmark> EYE =
      List.of(
          EYE_L_OUTER,
          EYE_L_INNER,
          EYE_L_TOP,
          EYE_L_BOTTOM,
          LASH_L_TOP,
          IRIS_L_CENTRE,
          IRIS_L_EDGE,
          IRIS_L_TOP,
          PUPIL_L);
  private static final List<Landmark> MOUTH = List.of(MOUTH_L, MOUTH_R, MOUTH_TOP, MOUTH_BOTTOM);

  private final Part part;
  private final Measure measure;
  private final Amount amount;

  Adjustment(Part part, Measure measure, Amount amount) {
    this.part = part;
    this.measure = measure;
    this.amount = amount;
  }

  abstract Marks apply(Marks marks, double amount);

  Part part() {
    return part;
  }

  Measure measure() {
    return measure;
  }

  Amount amount() {
    return amount;
  }

  /**
   * The amount that brings the measure to a value, found by secants on the measure itself, so that
   * whatever else moves along is counted in. Empty when the value is out of reach of this move.
   */
  OptionalDouble amountFor(Marks marks, double targetScaled) {
    double before = 0;
    double missBefore = miss(marks, before, targetScaled);
    double here = amount == Amount.FACTOR ? 0.05 : 1;
    for (int i = 0; i < 60; i++) {
      double missHere = miss(marks, here, targetScaled);
      if (Double.isNaN(missHere) || Double.isNaN(missBefore)) {
        return OptionalDouble.empty();
      }
      if (Math.abs(missHere) < 1e-9) {
        return OptionalDouble.of(here);
      }
      if (missHere == missBefore) {
        return OptionalDouble.empty();
      }
      double next = here - missHere * (here - before) / (missHere - missBefore);
      before = here;
      missBefore = missHere;
      here = next;
    }
    return OptionalDouble.empty();
  }

  private double miss(Marks marks, double amount, double targetScaled) {
    if (!Double.isFinite(amount) || Math.abs(amount) > 1e6) {
      return Double.NaN;
    }
    OptionalDouble value = measure.valueOf(apply(marks, amount));
    return value.isPresent()
        ? measure.scale().toScale(value.getAsDouble()) - targetScaled
        : Double.NaN;
  }

  @FunctionalInterface
  private interface EyeMove {
    /**
     * @param side −1 for the left eye, 1 for the right
     */
    Point move(Point point, Point centre, int side);
  }

  private static Marks eachEye(Marks marks, EyeMove move) {
    return eachSide(
        marks,
        (m, side) -> {
          Point centre = middle(m, side.of(EYE_L_OUTER), side.of(EYE_L_INNER));
          List<Landmark> eye = EYE.stream().map(side::of).toList();
          return m.moved(eye, p -> move.move(p, centre, side.outward()));
        },
        EYE_L_OUTER,
        EYE_L_INNER);
  }

  @FunctionalInterface
  private interface SideMove {
    Marks move(Marks marks, Side side);
  }

  /** Moves the sides on which the landmarks, given by their names on the left, have a place. */
  private static Marks eachSide(Marks marks, SideMove move, Landmark... left) {
    Marks moved = marks;
    for (Side side : Side.values()) {
      if (Arrays.stream(left).allMatch(l -> marks.point(side.of(l)).isPresent())) {
        moved = move.move(moved, side);
      }
    }
    return moved;
  }

  private static Marks scaledFrom(Marks marks, Landmark centre, double amount, Landmark moved) {
    return eachSide(
        marks,
        (m, side) -> {
          Point fixed = m.require(side.of(centre));
          return m.moved(List.of(side.of(moved)), p -> scaled(p, fixed, amount));
        },
        centre);
  }

  /** Along the line between the eye's corners, outward. */
  private static Marks alongTheEye(Marks marks, Landmark one, Landmark other, double amount) {
    return eachSide(
        marks,
        (m, side) -> {
          Point step = toward(m, side.of(EYE_L_INNER), side.of(EYE_L_OUTER)).times(amount);
          return m.moved(
              new LinkedHashSet<>(List.of(side.of(one), side.of(other))), p -> p.plus(step));
        },
        EYE_L_INNER,
        EYE_L_OUTER);
  }

  /** Straight away from a fixed landmark. */
  private static Marks away(Marks marks, Landmark fixed, Landmark moved, double amount) {
    if (marks.point(fixed).isEmpty() || marks.point(moved).isEmpty()) {
      return marks;
    }
    Point step = toward(marks, fixed, moved).times(amount);
    return marks.moved(List.of(moved), p -> p.plus(step));
  }

  /** Unit step from one landmark to another; down where they are one. */
  private static Point toward(Marks marks, Landmark from, Landmark to) {
    Point line = marks.require(to).minus(marks.require(from));
    return line.length() == 0 ? new Point(0, 1) : line.times(1 / line.length());
  }

  private static List<Landmark> brow(Side side) {
    return List.of(side.of(BROW_L_INNER), side.of(BROW_L_PEAK), side.of(BROW_L_OUTER));
  }

  private static Marks longerBody(Marks marks, double logFactor) {
    double chin = marks.require(CHIN).y();
    double factor = Math.exp(logFactor);
    return marks.moved(belowChin(), p -> new Point(p.x(), chin + (p.y() - chin) * factor));
  }

  private static Marks apart(Marks marks, Landmark left, Landmark right, double amount) {
    Point line = marks.point(right).orElseThrow().minus(marks.point(left).orElseThrow());
    Point step = line.length() == 0 ? new Point(1, 0) : line.times(1 / line.length());
    return marks
        .moved(List.of(left), p -> p.minus(step.times(amount)))
        .moved(List.of(right), p -> p.plus(step.times(amount)));
  }

  private static List<Landmark> belowChin() {
    List<Landmark> body = new ArrayList<>(List.of(SHOULDER_L, SHOULDER_R, CROTCH, SOLE));
    for (Landmark landmark : Landmark.values()) {
      if (landmark.set() == Landmark.Set.FULL) {
        body.add(landmark);
      }
    }
    return body;
  }

  private static Point middle(Marks marks, Landmark one, Landmark other) {
    Optional<Point> first = marks.point(one);
    return first.orElseThrow().midpointTo(marks.point(other).orElseThrow());
  }

  private static Point scaled(Point p, Point centre, double logFactor) {
    return centre.plus(p.minus(centre).times(Math.exp(logFactor)));
  }

  private static Point down(Marks marks) {
    return marks.headFrame().map(HeadFrame::down).orElse(new Point(0, 1));
  }

  private static Point across(Marks marks) {
    return marks.headFrame().map(HeadFrame::across).orElse(new Point(1, 0));
  }
}
