package penmirror.core.planning;

import static penmirror.core.figure.Landmark.*;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;

/**
 * A figure drawn plainly from its landmarks: what is not marked is not drawn. Shapes that no
 * landmark tells, such as how round a skull or how broad a hand is, are common practice.
 */
public final class FigureOutline {
  /** Half a hand's width, of its length; a thumb stands no farther out. */
  private static final double HAND = 0.18;

  /** How far an ear stands out, of its height. */
  private static final double EAR = 0.32;

  /** Round a bone: along it, and to the side in halves of the limb's thickness. */
  private static final double[][] LIMB = {
    {-0.06, 0}, {0, 0.85}, {0.5, 1}, {1, 0.85}, {1.06, 0}, {1, -0.85}, {0.5, -1}, {0, -0.85}
  };

  /** Radius of a joint, of a head. */
  private static final double JOINT = 0.035;

  /** A forehead stands upright at this share of the way down to the nose's top. */
  private static final double FOREHEAD = 0.7;

  /** How far the mouth of a profile reaches, of how far the base of its nose does. */
  private static final double MOUTH_BACK = 0.95;

  /** A foot seen from before: half its width at the ankle and at the toes, of its height. */
  private static final double ANKLE = 0.3;

  private static final double TOES = 0.75;

  private final Marks marks;
  private final HeadFrame frame;
  private final double hair;
  private final List<Item> items = new ArrayList<>();

  private FigureOutline(Marks marks, HeadFrame frame, double hair) {
    this.marks = marks;
    this.frame = frame;
    this.hair = hair;
  }

  /**
   * @param marks with a head's frame
   * @param hair width of the finest line, pixels
   */
  public static List<Item> head(Marks marks, double hair) {
    FigureOutline of = new FigureOutline(marks, marks.headFrame().orElseThrow(), hair);
    of.face();
    for (Side side : Side.values()) {
      of.eye(side);
      of.line(BROW_L_OUTER, BROW_L_PEAK, BROW_L_INNER, side);
      of.ear(side);
      of.neck(side);
    }
    of.nose();
    of.mouth();
    of.hairMass();
    return of.items;
  }

  /**
   * What is under the head.
   *
   * @param limbs as thick as they are ruled; bones alone where they are not
   */
  public static List<Item> body(Marks marks, double hair, Limbs limbs) {
    FigureOutline of = new FigureOutline(marks, marks.headFrame().orElseThrow(), hair);
    of.trunk();
    for (Side side : Side.values()) {
      of.limb(side, SHOULDER_L, ELBOW_L, WRIST_L);
      of.limb(side, HIP_L, KNEE_L, ANKLE_L);
      limbs.forearmHeads().ifPresent(heads -> of.across(side, ELBOW_L, WRIST_L, heads));
      limbs.calfHeads().ifPresent(heads -> of.across(side, KNEE_L, ANKLE_L, heads));
      of.hand(side);
      of.foot(side);
    }
    return of.items;
  }

  private void face() {
    Optional<Point> left = marks.point(CHEEK_L);
    Optional<Point> right = marks.point(CHEEK_R);
    if (marks.view() == View.SIDE) {
      profile();
      return;
    }
    if (left.isEmpty() || right.isEmpty()) {
      through(JAW_L, CHIN, JAW_R);
      return;
    }
    List<Point> below = new ArrayList<>();
    below.add(left.get());
    marks.point(JAW_L).ifPresent(below::add);
    below.add(frame.chin());
    marks.point(JAW_R).ifPresent(below::add);
    below.add(right.get());
    below.add(temple(right.get()));
    below.add(frame.crown());
    below.add(temple(left.get()));
    items.add(fine(Outline.round(below)));
  }

  /** Half round from the side of a head to its crown. */
  private Point temple(Point side) {
    return frame.at(
        Math.sqrt(0.5) * frame.sideways(side), (1 - Math.sqrt(0.5)) * frame.height(side));
  }

  /** A quarter of an ellipse in the head's frame: upright at the side, level at the top. */
  private Outline quarter(Point side, Point top) {
    double out = frame.sideways(side) - frame.sideways(top);
    double down = frame.height(side) - frame.height(top);
    Point up = frame.down().times(-Outline.ROUND * down * frame.headPixels());
    Point across = frame.across().times(Outline.ROUND * out * frame.headPixels());
    return new Outline(
        side, List.of(new Outline.Bend(side.plus(up), top.plus(across), top)), false);
  }

  /** The line of the face seen from the side, the jaw back to the ear, and the skull. */
  private void profile() {
    List<Point> front = new ArrayList<>();
    Optional<Point> forehead =
        marks
            .point(NOSE_TOP)
            .map(top -> frame.at(frame.sideways(top), FOREHEAD * frame.height(top)));
    forehead.ifPresent(front::add);
    forehead.ifPresent(at -> items.add(fine(quarter(at, frame.crown()))));
    marks.point(NOSE_TOP).ifPresent(front::add);
    marks.point(NOSE_BASE).ifPresent(front::add);
    foremostOfMouth().ifPresent(front::add);
    front.add(frame.chin());
    if (front.size() > 1) {
      items.add(fine(Outline.through(front)));
    }
    for (Side side : Side.values()) {
      List<Point> jaw = new ArrayList<>();
      marks.point(side.of(EAR_L_BASE)).ifPresent(jaw::add);
      marks.point(side.of(JAW_L)).ifPresent(jaw::add);
      if (!jaw.isEmpty()) {
        jaw.add(frame.chin());
        items.add(fine(Outline.through(jaw)));
      }
      marks
          .point(side.of(CHEEK_L))
          .ifPresent(
              back -> {
                items.add(fine(quarter(back, frame.crown())));
                nape(back).ifPresent(items::add);
              });
    }
  }

  /** From the back of the head down to the neck's side that is nearer to it. */
  private Optional<Item> nape(Point back) {
    return Stream.of(NECK_L, NECK_R)
        .flatMap(neck -> marks.point(neck).stream())
        .min(Comparator.comparingDouble(neck -> neck.distanceTo(back)))
        .map(
            neck -> {
              Point down = frame.down().times(0.4 * back.distanceTo(neck));
              return fine(
                  new Outline(
                      back,
                      List.of(new Outline.Bend(back.plus(down), neck.minus(down.times(0.5)), neck)),
                      false));
            });
  }

  /** Where a mouth seen from the side begins: under the base of the nose, a little back. */
  private Optional<Point> foremostOfMouth() {
    Optional<Point> nose = marks.point(NOSE_BASE);
    return marks
        .point(MOUTH_L)
        .or(() -> marks.point(MOUTH_R))
        .flatMap(
            corner ->
                nose.map(
                    base -> frame.at(MOUTH_BACK * frame.sideways(base), frame.height(corner))));
  }

  private void eye(Side side) {
    Optional<Point> outer = marks.point(side.of(EYE_L_OUTER));
    Optional<Point> inner = marks.point(side.of(EYE_L_INNER));
    Optional<Point> top = marks.point(side.of(EYE_L_TOP));
    Optional<Point> bottom = marks.point(side.of(EYE_L_BOTTOM));
    if (outer.isEmpty() || inner.isEmpty()) {
      return;
    }
    if (top.isEmpty() || bottom.isEmpty()) {
      items.add(fine(Outline.through(List.of(outer.get(), inner.get()))));
      return;
    }
    items.add(
        new Item.Stroke(
            EyeShape.opening(outer.get(), top.get(), inner.get(), bottom.get()),
            GuideDrawing.BLUE,
            1.8 * hair,
            List.of()));
    marks
        .point(side.of(LASH_L_TOP))
        .ifPresent(
            lash -> items.add(fine(EyeShape.lash(outer.get(), lash, top.get(), inner.get()))));
    List<Item> iris = iris(side);
    if (!iris.isEmpty()) {
      Outline opening = EyeShape.opening(outer.get(), top.get(), inner.get(), bottom.get());
      items.add(new Item.Within(List.of(opening), 0, iris));
    }
  }

  private List<Item> iris(Side side) {
    Optional<Point> centre = marks.point(side.of(IRIS_L_CENTRE));
    Optional<Point> edge = marks.point(side.of(IRIS_L_EDGE));
    if (centre.isEmpty() || edge.isEmpty()) {
      return List.of();
    }
    double wide = centre.get().distanceTo(edge.get());
    double high = marks.point(side.of(IRIS_L_TOP)).map(centre.get()::distanceTo).orElse(wide);
    if (!(wide > 0 && high > 0)) {
      return List.of();
    }
    double pupil = marks.point(side.of(PUPIL_L)).map(centre.get()::distanceTo).orElse(0.0);
    Item rim = fine(Outline.oval(centre.get(), wide, high));
    return pupil > 0
        ? List.of(rim, fine(Outline.oval(centre.get(), pupil, pupil * high / wide)))
        : List.of(rim);
  }

  /** Outward from the head, from its top to its base. */
  private void ear(Side side) {
    Optional<Point> top = marks.point(side.of(EAR_L_TOP));
    Optional<Point> base = marks.point(side.of(EAR_L_BASE));
    if (top.isEmpty() || base.isEmpty()) {
      return;
    }
    Point down = base.get().minus(top.get());
    double away = side.outward();
    if (marks.view() == View.SIDE) {
      // It lies on the head, and bends to the back of it.
      away = marks.point(NOSE_BASE).map(frame::sideways).orElse(0.0) > 0 ? -1 : 1;
    }
    Point out = frame.across().times(away * EAR * down.length() * 4 / 3);
    items.add(
        fine(
            new Outline(
                top.get(),
                List.of(new Outline.Bend(top.get().plus(out), base.get().plus(out), base.get())),
                false)));
  }

  private void neck(Side side) {
    Optional<Point> neck = marks.point(side.of(NECK_L));
    Optional<Point> pit = marks.point(NECK_BASE);
    if (neck.isEmpty()) {
      return;
    }
    double down = pit.map(frame::height).orElse(frame.height(neck.get()) + 0.15);
    Point end = frame.at(frame.sideways(neck.get()), down);
    items.add(fine(Outline.through(List.of(neck.get(), end))));
  }

  private void nose() {
    if (marks.view() != View.SIDE) {
      through(NOSE_TOP, NOSE_BASE);
    }
    marks
        .point(NOSE_BASE)
        .ifPresent(
            base -> {
              Point arm = frame.across().times(0.035 * frame.headPixels());
              items.add(fine(Outline.through(List.of(base.minus(arm), base.plus(arm)))));
            });
  }

  private void mouth() {
    List<Point> line = new ArrayList<>();
    marks.point(MOUTH_L).ifPresent(line::add);
    Optional<Point> top = marks.point(MOUTH_TOP);
    Optional<Point> bottom = marks.point(MOUTH_BOTTOM);
    marks.point(MOUTH_R).ifPresent(line::add);
    if (line.size() == 2 && top.isPresent() && bottom.isPresent()) {
      items.add(fine(EyeShape.opening(line.get(0), top.get(), line.get(1), bottom.get())));
    } else if (line.size() == 2) {
      items.add(fine(Outline.through(line)));
    } else if (line.size() == 1) {
      foremostOfMouth()
          .ifPresent(front -> items.add(fine(Outline.through(List.of(line.get(0), front)))));
    }
  }

  private void hairMass() {
    Optional<Point> left = marks.point(HAIR_L);
    Optional<Point> right = marks.point(HAIR_R);
    Optional<Point> top = marks.point(HAIR_TOP);
    if (top.isEmpty() || left.isEmpty() && right.isEmpty()) {
      return;
    }
    List<Point> over = new ArrayList<>();
    left.ifPresent(
        l -> {
          over.add(l);
          over.add(shoulderOf(l, top.get()));
        });
    over.add(top.get());
    right.ifPresent(
        r -> {
          over.add(shoulderOf(r, top.get()));
          over.add(r);
        });
    items.add(dashed(Outline.through(over)));
  }

  /** Where the mass turns from a side to its top. */
  private Point shoulderOf(Point side, Point top) {
    double down = frame.height(top) + 0.3 * (frame.height(side) - frame.height(top));
    double out = frame.sideways(top) + 0.72 * (frame.sideways(side) - frame.sideways(top));
    return frame.at(out, down);
  }

  private void trunk() {
    for (Side side : Side.values()) {
      through(side.of(SHOULDER_L), side.of(WAIST_L), side.of(HIP_L), CROTCH);
    }
    through(SHOULDER_L, NECK_BASE, SHOULDER_R);
  }

  private void limb(Side side, Landmark root, Landmark joint, Landmark end) {
    List<Point> bones = new ArrayList<>();
    for (Landmark landmark : List.of(root, joint, end)) {
      marks.point(side.of(landmark)).ifPresent(bones::add);
    }
    for (int i = 1; i < bones.size(); i++) {
      items.add(dashed(Outline.through(bones.subList(i - 1, i + 1))));
    }
    double joints = JOINT * frame.headPixels();
    bones.forEach(at -> items.add(fine(Outline.oval(at, joints, joints))));
  }

  /** The lower half of a limb, as thick as it is ruled across its middle. */
  private void across(Side side, Landmark from, Landmark to, double heads) {
    Optional<Point> start = marks.point(side.of(from));
    Optional<Point> end = marks.point(side.of(to));
    if (start.isEmpty() || end.isEmpty() || start.get().distanceTo(end.get()) < hair) {
      return;
    }
    Point along = end.get().minus(start.get());
    Point out =
        new Point(-along.y(), along.x()).times(heads * frame.headPixels() / 2 / along.length());
    List<Point> round = new ArrayList<>();
    for (double[] at : LIMB) {
      round.add(start.get().plus(along.times(at[0])).plus(out.times(at[1])));
    }
    items.add(fine(Outline.round(round)));
  }

  private void hand(Side side) {
    Optional<Point> wrist = marks.point(side.of(WRIST_L));
    Optional<Point> tip = marks.point(side.of(FINGERTIP_L));
    if (wrist.isEmpty() || tip.isEmpty() || wrist.get().distanceTo(tip.get()) < hair) {
      return;
    }
    Point along = tip.get().minus(wrist.get());
    Point out = new Point(-along.y(), along.x());
    List<Point> round = new ArrayList<>();
    double[][] shape = {{0, -0.13}, {0.4, -HAND}, {0.75, -0.17}, {1, 0}, {0.75, 0.17}};
    for (double[] at : shape) {
      round.add(wrist.get().plus(along.times(at[0])).plus(out.times(at[1])));
    }
    round.add(wrist.get().plus(along.times(0.4)).plus(out.times(HAND)));
    round.add(wrist.get().plus(out.times(0.13)));
    items.add(fine(Outline.round(round)));
  }

  private void foot(Side side) {
    Optional<Point> ankle = marks.point(side.of(ANKLE_L));
    Optional<Point> heel = marks.point(side.of(HEEL_L));
    Optional<Point> toe = marks.point(side.of(TOE_L));
    if (ankle.isEmpty() || heel.isEmpty() || toe.isEmpty()) {
      return;
    }
    boolean isFromBefore = marks.view() == View.FRONT;
    if (isFromBefore) {
      // How long it is, nothing shows then.
      double low = frame.height(marks.point(SOLE).orElse(heel.get()));
      double high = frame.height(ankle.get());
      double middle = frame.sideways(ankle.get());
      double tall = low - high;
      items.add(
          fine(
              Outline.round(
                  List.of(
                      frame.at(middle - ANKLE * tall, high),
                      frame.at(middle - TOES * tall, low),
                      frame.at(middle + TOES * tall, low),
                      frame.at(middle + ANKLE * tall, high)))));
      return;
    }
    Point instep = ankle.get().plus(toe.get().minus(ankle.get()).times(0.5));
    items.add(fine(Outline.round(List.of(ankle.get(), heel.get(), toe.get(), instep))));
  }

  private void line(Landmark one, Landmark two, Landmark three, Side side) {
    through(side.of(one), side.of(two), side.of(three));
  }

  /** As far as they are marked. */
  private void through(Landmark... landmarks) {
    List<Point> points = new ArrayList<>();
    for (Landmark landmark : landmarks) {
      marks.point(landmark).ifPresent(points::add);
    }
    if (points.size() > 1) {
      items.add(fine(Outline.through(points)));
    }
  }

  private Item fine(Outline outline) {
    return new Item.Stroke(outline, GuideDrawing.BLUE, 1.2 * hair, List.of());
  }

  private Item dashed(Outline outline) {
    return new Item.Stroke(outline, GuideDrawing.BLUE, hair, List.of(5 * hair, 4 * hair));
  }
}
