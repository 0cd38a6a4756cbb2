package penmirror.core.scoring;

import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHEEK_R;
import static penmirror.core.figure.Landmark.CROTCH;
import static penmirror.core.figure.Landmark.EYE_L_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_L_TOP;
import static penmirror.core.figure.Landmark.EYE_R_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_R_INNER;
import static penmirror.core.figure.Landmark.EYE_R_OUTER;
import static penmirror.core.figure.Landmark.EYE_R_TOP;
import static penmirror.core.figure.Landmark.IRIS_L_CENTRE;
import static penmirror.core.figure.Landmark.IRIS_L_EDGE;
import static penmirror.core.figure.Landmark.IRIS_R_CENTRE;
import static penmirror.core.figure.Landmark.IRIS_R_EDGE;
import static penmirror.core.figure.Landmark.MOUTH_BOTTOM;
import static penmirror.core.figure.Landmark.MOUTH_L;
import static penmirror.core.figure.Landmark.MOUTH_R;
import static penmirror.core.figure.Landmark.MOUTH_TOP;
import static penmirror.core.figure.Landmark.NOSE_BASE;
import static penmirror.core.figure.Landmark.PUPIL_L;
import static penmirror.core.figure.Landmark.PUPIL_R;
import static penmirror.core.figure.Landmark.SHOULDER_L;
import static penmirror.core.figure.Landmark.SHOULDER_R;
import static penmirror.core.figure.Landmark.SOLE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
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
  NOSE_HEIGHT(Part.NOSE, FaceMeasures.NOSE_BASE_HEIGHT, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      Point step = down(marks).times(amount);
      return marks.moved(List.of(NOSE_BASE), p -> p.plus(step));
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
  CROTCH_HEIGHT(Part.LEGS, ProportionMeasures.LEGS, Amount.PIXELS) {
    @Override
    Marks apply(Marks marks, double amount) {
      return marks.moved(List.of(CROTCH), p -> p.minus(new Point(0, amount)));
    }
  },
  BODY_LENGTH(Part.BODY, ProportionMeasures.STATURE, Amount.FACTOR) {
    @Override
    Marks apply(Marks marks, double amount) {
      double chin = marks.point(Landmark.CHIN).orElseThrow().y();
      double factor = Math.exp(amount);
      return marks.moved(belowChin(), p -> new Point(p.x(), chin + (p.y() - chin) * factor));
    }
  };

  /** How a hand would say the amount. */
  enum Amount {
    PIXELS,
    DEGREES,
    /** The logarithm of a factor. */
    FACTOR
  }

  private static final List<Landmark> LEFT_EYE =
      List.of(
          EYE_L_OUTER, EYE_L_INNER, EYE_L_TOP, EYE_L_BOTTOM, IRIS_L_CENTRE, IRIS_L_EDGE, PUPIL_L);
  private static final List<Landmark> RIGHT_EYE =
      List.of(
          EYE_R_OUTER, EYE_R_INNER, EYE_R_TOP, EYE_R_BOTTOM, IRIS_R_CENTRE, IRIS_R_EDGE, PUPIL_R);
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
    Point left = middle(marks, EYE_L_OUTER, EYE_L_INNER);
    Point right = middle(marks, EYE_R_INNER, EYE_R_OUTER);
    return marks
        .moved(LEFT_EYE, p -> move.move(p, left, -1))
        .moved(RIGHT_EYE, p -> move.move(p, right, 1));
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
