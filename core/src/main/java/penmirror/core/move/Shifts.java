package penmirror.core.move;

import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHIN;
import static penmirror.core.figure.Landmark.CROTCH;
import static penmirror.core.figure.Landmark.ELBOW_L;
import static penmirror.core.figure.Landmark.EYE_L_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_L_TOP;
import static penmirror.core.figure.Landmark.FINGERTIP_L;
import static penmirror.core.figure.Landmark.IRIS_L_CENTRE;
import static penmirror.core.figure.Landmark.IRIS_L_EDGE;
import static penmirror.core.figure.Landmark.IRIS_L_TOP;
import static penmirror.core.figure.Landmark.LASH_L_TOP;
import static penmirror.core.figure.Landmark.PUPIL_L;
import static penmirror.core.figure.Landmark.SHOULDER_L;
import static penmirror.core.figure.Landmark.SHOULDER_R;
import static penmirror.core.figure.Landmark.SOLE;
import static penmirror.core.figure.Landmark.WRIST_L;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import penmirror.core.figure.Feature;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.move.Move.Shift;

/**
 * The ways in which landmarks go, of which {@link Moves} is put together. Landmarks are given by
 * their names on the left and mean both sides; a side on which a point is missing that the way
 * hangs on stays as it is.
 */
final class Shifts {
  private static final Set<Landmark> BELOW_CHIN = belowChin();
  private static final Set<Landmark> OF_THE_FACE = ofTheFace();

  private static final Landmark[] ARM = {ELBOW_L, WRIST_L, FINGERTIP_L};

  private Shifts() {}

  private static Set<Landmark> ofTheFace() {
    Set<Landmark> all = EnumSet.noneOf(Landmark.class);
    for (Feature feature :
        List.of(
            Feature.FACE,
            Feature.EYES,
            Feature.BROWS,
            Feature.NOSE,
            Feature.MOUTH,
            Feature.EARS,
            Feature.HAIR)) {
      all.addAll(feature.landmarks());
    }
    return all;
  }

  /** How a point of an eye goes: the middle between the corners, the side, the amount. */
  @FunctionalInterface
  interface EyeWay {
    Point of(Point point, Point centre, Side side, double amount);
  }

  /** All points of each eye, about the middle between its corners. */
  static Shift eachEye(EyeWay way) {
    return (marks, amount) ->
        eachSide(
            marks,
            (m, side) -> {
              Point centre = middle(m, side.of(EYE_L_OUTER), side.of(EYE_L_INNER));
              return m.moved(Feature.EYES.landmarks(side), p -> way.of(p, centre, side, amount));
            },
            EYE_L_OUTER,
            EYE_L_INNER);
  }

  /** The eye on the far side of a turned head wider, its inner corner where it is. */
  static Shift farEyeWider() {
    return farEye(HeadFrame::across, (marks, side) -> marks.require(side.of(EYE_L_INNER)));
  }

  /** The eye on the far side of a turned head opened about the middle between its corners. */
  static Shift farEyeOpened() {
    return farEye(
        HeadFrame::down,
        (marks, side) -> middle(marks, side.of(EYE_L_OUTER), side.of(EYE_L_INNER)));
  }

  private static Shift farEye(
      Function<HeadFrame, Point> along, BiFunction<Marks, Side, Point> fixed) {
    return (marks, amount) -> {
      Side side = TurnMeasures.far(marks);
      if (marks.headFrame().isEmpty()
          || marks.point(side.of(EYE_L_OUTER)).isEmpty()
          || marks.point(side.of(EYE_L_INNER)).isEmpty()) {
        return marks;
      }
      Point way = along.apply(marks.headFrame().get());
      Point centre = fixed.apply(marks, side);
      double more = Math.exp(amount) - 1;
      return marks.moved(
          Feature.EYES.landmarks(side),
          p -> p.plus(way.times(more * p.minus(centre).dot(way) / way.dot(way))));
    };
  }

  /** Both eyes down along the head's axis, each with all its points. */
  static Shift eyesDown() {
    return (marks, amount) -> {
      Point step = marks.headFrame().map(HeadFrame::down).orElse(new Point(0, 1)).times(amount);
      return eachEye((p, centre, side, by) -> p.plus(step)).by(marks, amount);
    };
  }

  /** The same, with the brows over them. */
  static Shift eyesAndBrowsDown() {
    Shift eyes = eyesDown();
    Shift brows = down(Feature.BROWS.landmarks(Side.LEFT).toArray(Landmark[]::new));
    return (marks, amount) -> brows.by(eyes.by(marks, amount), amount);
  }

  /** The face wider by the amount at each cheek, with all that lies in it. */
  static Shift faceWider() {
    return (marks, amount) -> {
      if (marks.headFrame().isEmpty()
          || marks.point(CHEEK_L).isEmpty()
          || marks.point(CHEEK_L.mirrored()).isEmpty()) {
        return marks;
      }
      HeadFrame head = marks.headFrame().get();
      double half = marks.distance(CHEEK_L, CHEEK_L.mirrored()) / 2;
      double share = amount / half;
      return marks.moved(
          OF_THE_FACE,
          p -> p.plus(head.across().times(head.sideways(p) * head.headPixels() * share)));
    };
  }

  /** The lids opened, the iris grown with them, and the brows kept as far above. */
  static Shift openedWithIrisAndBrows() {
    Shift lids = opened(EYE_L_TOP, EYE_L_BOTTOM, LASH_L_TOP);
    Shift iris = scaledFrom(IRIS_L_CENTRE, IRIS_L_EDGE, IRIS_L_TOP, PUPIL_L);
    return (marks, amount) -> {
      Marks moved = iris.by(lids.by(marks, amount), amount);
      for (Side side : Side.values()) {
        Landmark top = side.of(EYE_L_TOP);
        if (marks.point(top).isPresent() && moved.point(top).isPresent()) {
          Point way = moved.require(top).minus(marks.require(top));
          moved = moved.moved(Feature.BROWS.landmarks(side), p -> p.plus(way));
        }
      }
      return moved;
    };
  }

  /** Both eyes away from each other, along the head's level. */
  static Shift eyesApart() {
    return (marks, amount) -> {
      Point across = marks.headFrame().map(HeadFrame::across).orElse(new Point(1, 0));
      return eachEye((p, centre, side, by) -> p.plus(across.times(side.outward() * by)))
          .by(marks, amount);
    };
  }

  /** Down along the head's axis. */
  static Shift down(Landmark... left) {
    Set<Landmark> both = bothSides(left);
    return (marks, amount) -> {
      Point step = marks.headFrame().map(HeadFrame::down).orElse(new Point(0, 1)).times(amount);
      return marks.moved(both, p -> p.plus(step));
    };
  }

  /** Up along the head's axis. */
  static Shift up(Landmark... left) {
    Shift down = down(left);
    return (marks, amount) -> down.by(marks, -amount);
  }

  /** Straight down the picture, whatever the head's slant. */
  static Shift downThePicture(Landmark... left) {
    Set<Landmark> both = bothSides(left);
    return (marks, amount) -> marks.moved(both, p -> p.plus(new Point(0, amount)));
  }

  static Shift upThePicture(Landmark... left) {
    Shift down = downThePicture(left);
    return (marks, amount) -> down.by(marks, -amount);
  }

  /** A pair away from each other, each by the amount. */
  static Shift apart(Landmark left) {
    return (marks, amount) -> {
      Landmark right = left.mirrored();
      if (marks.point(left).isEmpty() || marks.point(right).isEmpty()) {
        return marks;
      }
      Point line = marks.require(right).minus(marks.require(left));
      Point step =
          (line.length() == 0 ? new Point(1, 0) : line.times(1 / line.length())).times(amount);
      return marks
          .moved(List.of(left), p -> p.minus(step))
          .moved(List.of(right), p -> p.plus(step));
    };
  }

  /** A pair toward each other. */
  static Shift together(Landmark left) {
    Shift apart = apart(left);
    return (marks, amount) -> apart.by(marks, -amount);
  }

  /** Larger about a landmark, on each side. */
  static Shift scaledFrom(Landmark centre, Landmark... moved) {
    return (marks, amount) ->
        eachSide(
            marks,
            (m, side) -> {
              Point fixed = m.require(side.of(centre));
              return m.moved(ofSide(side, moved), p -> scaled(p, fixed, amount));
            },
            centre);
  }

  /** Larger about the middle of a pair that lies on both sides of the head. */
  static Shift scaledAboutMiddle(Landmark pair, Landmark... moved) {
    return (marks, amount) -> {
      if (marks.point(pair).isEmpty() || marks.point(pair.mirrored()).isEmpty()) {
        return marks;
      }
      Point centre = middle(marks, pair, pair.mirrored());
      return marks.moved(bothSides(moved), p -> scaled(p, centre, amount));
    };
  }

  /**
   * Two landmarks of a side about the middle between them; a third goes with the first as it is.
   */
  static Shift opened(Landmark top, Landmark bottom, Landmark withTop) {
    return (marks, amount) ->
        eachSide(
            marks,
            (m, side) -> {
              Point centre = middle(m, side.of(top), side.of(bottom));
              Point now = m.require(side.of(top));
              Point step = scaled(now, centre, amount).minus(now);
              return m.moved(ofSide(side, top, withTop), p -> p.plus(step))
                  .moved(ofSide(side, bottom), p -> scaled(p, centre, amount));
            },
            top,
            bottom);
  }

  /** Turned about the middle of two of its points, the outer end up. */
  static Shift turnedUp(Landmark inner, Landmark outer, Landmark... moved) {
    return (marks, amount) ->
        eachSide(
            marks,
            (m, side) -> {
              Point centre = middle(m, side.of(inner), side.of(outer));
              return m.moved(
                  ofSide(side, moved), p -> p.turnedAbout(centre, -side.outward() * amount));
            },
            inner,
            outer);
  }

  /** Along the line from one landmark to another of the same side. */
  static Shift along(Landmark from, Landmark to, Landmark... moved) {
    return (marks, amount) ->
        eachSide(
            marks,
            (m, side) -> {
              Point step = toward(m, side.of(from), side.of(to)).times(amount);
              return m.moved(new LinkedHashSet<>(ofSide(side, moved)), p -> p.plus(step));
            },
            from,
            to);
  }

  /** Straight away from a landmark that stays. */
  static Shift away(Landmark fixed, Landmark moved) {
    return along(fixed, moved, moved);
  }

  /** A limb drawn out from its root; its end goes along at its own size. */
  static Shift drawnOut(Landmark root, Landmark joint, Landmark end, Landmark beyond) {
    return (marks, amount) ->
        eachSide(
            marks,
            (m, side) -> {
              Point fixed = m.require(side.of(root));
              Point now = m.require(side.of(end));
              Point step = scaled(now, fixed, amount).minus(now);
              return m.moved(ofSide(side, joint), p -> scaled(p, fixed, amount))
                  .moved(ofSide(side, end, beyond), p -> p.plus(step));
            },
            root,
            end);
  }

  /** All of the body below the chin, in height. */
  static Shift bodyLonger() {
    return (marks, amount) -> {
      if (marks.point(CHIN).isEmpty()) {
        return marks;
      }
      double chin = marks.require(CHIN).y();
      double factor = Math.exp(amount);
      return marks.moved(BELOW_CHIN, p -> new Point(p.x(), chin + (p.y() - chin) * factor));
    };
  }

  /** All of the body below the chin, as it stands, about the chin. */
  static Shift bodyLarger() {
    return (marks, amount) ->
        marks
            .point(CHIN)
            .map(chin -> marks.moved(BELOW_CHIN, p -> scaled(p, chin, amount)))
            .orElse(marks);
  }

  /** A limb with all its joints, about its root. */
  static Shift limbLarger(Landmark root, Landmark... rest) {
    return (marks, amount) -> {
      if (root.mirrored() == root) {
        return marks
            .point(root)
            .map(fixed -> marks.moved(bothSides(rest), p -> scaled(p, fixed, amount)))
            .orElse(marks);
      }
      return eachSide(
          marks,
          (m, side) -> {
            Point fixed = m.require(side.of(root));
            return m.moved(ofSide(side, rest), p -> scaled(p, fixed, amount));
          },
          root);
    };
  }

  /**
   * The upper part of a limb longer by the logarithm of a factor and the lower shorter by the same,
   * each in its own direction; what comes after the end goes along.
   */
  static Shift halved(Landmark root, Landmark joint, Landmark end, Landmark... beyond) {
    return (marks, amount) -> {
      Marks moved = marks;
      for (Side side : Side.values()) {
        Landmark from = side.of(root);
        Landmark bend = side.of(joint);
        Landmark to = side.of(end);
        if (marks.point(from).isEmpty()
            || marks.point(bend).isEmpty()
            || marks.point(to).isEmpty()) {
          continue;
        }
        Point upper = marks.require(bend).minus(marks.require(from)).times(Math.exp(amount));
        Point lower = marks.require(to).minus(marks.require(bend)).times(Math.exp(-amount));
        Point newBend = marks.require(from).plus(upper);
        Point step = newBend.plus(lower).minus(marks.require(to));
        moved = moved.moved(List.of(bend), p -> newBend).moved(List.of(to), p -> p.plus(step));
        for (Landmark after : beyond) {
          // What lies in the middle goes half with either side.
          double share = after.mirrored() == after ? 0.5 : 1;
          moved = moved.moved(List.of(side.of(after)), p -> p.plus(step.times(share)));
        }
      }
      return moved;
    };
  }

  /** Both arms away from each other, each with its hand. */
  static Shift armsAcross() {
    Shift apart = apart(SHOULDER_L);
    return (marks, amount) -> withArms(marks, apart.by(marks, amount));
  }

  /** Both arms down the picture, each with its hand. */
  static Shift armsDown() {
    Shift down = downThePicture(SHOULDER_L);
    return (marks, amount) -> withArms(marks, down.by(marks, amount));
  }

  private static Marks withArms(Marks before, Marks after) {
    Marks moved = after;
    for (Side side : Side.values()) {
      Landmark shoulder = side.of(SHOULDER_L);
      if (before.point(shoulder).isPresent()) {
        Point step = after.require(shoulder).minus(before.require(shoulder));
        moved = moved.moved(ofSide(side, ARM), p -> p.plus(step));
      }
    }
    return moved;
  }

  @FunctionalInterface
  private interface SideMove {
    Marks move(Marks marks, Side side);
  }

  /** Moves the sides on which the landmarks have a place; what lies in the middle only once. */
  private static Marks eachSide(Marks marks, SideMove move, Landmark... left) {
    boolean inTheMiddle = Arrays.stream(left).allMatch(l -> l.mirrored() == l);
    Marks moved = marks;
    for (Side side : inTheMiddle ? List.of(Side.LEFT) : List.of(Side.values())) {
      if (Arrays.stream(left).allMatch(l -> marks.point(side.of(l)).isPresent())) {
        moved = move.move(moved, side);
      }
    }
    return moved;
  }

  private static List<Landmark> ofSide(Side side, Landmark... left) {
    return Arrays.stream(left).map(side::of).toList();
  }

  private static Set<Landmark> bothSides(Landmark... left) {
    Set<Landmark> both = new LinkedHashSet<>();
    for (Landmark landmark : left) {
      both.add(landmark);
      both.add(landmark.mirrored());
    }
    return both;
  }

  /** Unit step from one landmark to another; down where they are one. */
  private static Point toward(Marks marks, Landmark from, Landmark to) {
    Point line = marks.require(to).minus(marks.require(from));
    return line.length() == 0 ? new Point(0, 1) : line.times(1 / line.length());
  }

  private static Point middle(Marks marks, Landmark one, Landmark other) {
    return marks.require(one).midpointTo(marks.require(other));
  }

  private static Point scaled(Point p, Point centre, double logFactor) {
    return centre.plus(p.minus(centre).times(Math.exp(logFactor)));
  }

  /** A point of an eye about its middle, by the logarithm of a factor. */
  static Point eyeScaled(Point p, Point centre, Side side, double logFactor) {
    return scaled(p, centre, logFactor);
  }

  private static Set<Landmark> belowChin() {
    List<Landmark> body = new ArrayList<>(List.of(SHOULDER_L, SHOULDER_R, CROTCH, SOLE));
    for (Landmark landmark : Landmark.values()) {
      if (landmark.set() == Landmark.Set.FULL) {
        body.add(landmark);
      }
    }
    return new LinkedHashSet<>(body);
  }
}
