package penmirror.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Facing;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.style.StyleSheet;

/**
 * A figure set out on a guide's canvas, by a sheet's rules.
 *
 * @param marks in pixels of the canvas
 * @param limbs how thick the works draw them
 * @param zones where the works have the landmarks of such a head; none for a pose
 */
public record GuideFigure(Stance stance, Marks marks, List<Zone> zones, Limbs limbs) {

  /** What of it the guide draws. */
  public enum Stance {
    /** A body from the front, under the head that the rules give. */
    STANDING,
    /** A head turned as the works turn it. */
    TURNED,
    /** A whole figure in the pose of a picture. */
    POSED
  }

  /**
   * @param rightPixels half of what it may lie off to the right or left
   */
  public record Zone(Point middle, double rightPixels, double downPixels) {}

  public GuideFigure {
    zones = List.copyOf(zones);
  }

  /**
   * A realistic adult brought under the rules: what nothing rules stays where it is on one.
   *
   * @param heads where the works have the landmarks of a head from the front
   */
  public static GuideFigure standing(StyleSheet sheet, GuidePlan plan, Optional<SeenHead> heads) {
    Marks carried = carried(sheet, Canon.realistic());
    return new GuideFigure(
        Stance.STANDING,
        placed(carried, plan, plan.headPixels()),
        heads.map(seen -> zones(seen, seen.on(upright(plan)), plan)).orElse(List.of()),
        Limbs.of(sheet));
  }

  /**
   * @param heads of the view that is drawn
   * @param facing right unless it is left
   */
  public static GuideFigure turned(StyleSheet sheet, GuidePlan plan, SeenHead heads, Turn facing) {
    Marks carried =
        levelled(placed(carried(sheet, heads.on(upright(plan))), plan, plan.headPixels()));
    GuideFigure right =
        new GuideFigure(Stance.TURNED, carried, zones(heads, carried, plan), Limbs.of(sheet));
    return facing == Turn.LEFT ? right.mirrored(plan.canvas().widthPixels() / 2.0) : right;
  }

  /**
   * The pose of a figure, with the proportions of the sheet, on the plan's ground line and in the
   * middle of the canvas; as large as the plan's figure, smaller where the pose is too wide.
   *
   * @return empty where no head is marked, or nothing but a head
   */
  public static Optional<GuideFigure> posed(StyleSheet sheet, GuidePlan plan, Marks pose) {
    if (pose.headFrame().isEmpty() || pose.point(Landmark.CROTCH).isEmpty()) {
      return Optional.empty();
    }
    Marks carried = carried(sheet, pose);
    List<Point> all =
        carried.landmarks().keySet().stream().flatMap(l -> carried.point(l).stream()).toList();
    double left = all.stream().mapToDouble(Point::x).min().orElseThrow();
    double right = all.stream().mapToDouble(Point::x).max().orElseThrow();
    double top = all.stream().mapToDouble(Point::y).min().orElseThrow();
    double base = all.stream().mapToDouble(Point::y).max().orElseThrow();
    double ground =
        plan.height(GuidePlan.Kind.GROUND).orElse(plan.canvas().heightPixels() * LOWEST);
    double scale =
        Math.min(
            plan.headPixels() / carried.headFrame().orElseThrow().headPixels(),
            Math.min(
                WIDEST * plan.canvas().widthPixels() / (right - left),
                TALLEST * ground / (base - top)));
    double middle = (left + right) / 2;
    double axis = plan.canvas().widthPixels() / 2.0;
    Marks on =
        carried.moved(
            carried.landmarks().keySet(),
            p -> new Point(axis + scale * (p.x() - middle), ground + scale * (p.y() - base)));
    return Optional.of(new GuideFigure(Stance.POSED, on, List.of(), Limbs.of(sheet)));
  }

  /** Of the canvas's width, height over the ground, and height. */
  private static final double WIDEST = 0.92;

  private static final double TALLEST = 0.94;
  private static final double LOWEST = 0.93;

  private static Marks carried(StyleSheet sheet, Marks own) {
    Marks carried = CarriedFigure.of(sheet, own, measure -> 0).targets();
    // Rules that contradict each other must not leave a figure without a head.
    return carried.headFrame().isPresent() ? carried : own;
  }

  private static HeadFrame upright(GuidePlan plan) {
    double axis = plan.canvas().widthPixels() / 2.0;
    return new HeadFrame(
        new Point(axis, plan.crownPixels()),
        new Point(axis, plan.crownPixels() + plan.headPixels()));
  }

  /** With its eyes level: the crown of a turned head lies off the middle between them. */
  private static Marks levelled(Marks marks) {
    Optional<Point> left = middle(marks, Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER);
    Optional<Point> right = middle(marks, Landmark.EYE_R_OUTER, Landmark.EYE_R_INNER);
    if (left.isEmpty() || right.isEmpty()) {
      return marks;
    }
    Point across = right.get().minus(left.get());
    double off = Math.toDegrees(Math.atan2(across.y(), across.x()));
    Point between = left.get().plus(across.times(0.5));
    return marks.moved(marks.landmarks().keySet(), p -> p.turnedAbout(between, -off));
  }

  private static Optional<Point> middle(Marks marks, Landmark one, Landmark other) {
    return marks
        .point(one)
        .flatMap(a -> marks.point(other).map(b -> a.plus(b.minus(a).times(0.5))));
  }

  /** Crown on the plan's, on its axis. */
  private static Marks placed(Marks marks, GuidePlan plan, double headPixels) {
    HeadFrame head = marks.headFrame().orElseThrow();
    double scale = headPixels / head.headPixels();
    Point crown = upright(plan).crown();
    return marks.moved(
        marks.landmarks().keySet(), p -> crown.plus(p.minus(head.crown()).times(scale)));
  }

  /** As large as the works let a landmark move, round the place it has here. */
  private static List<Zone> zones(SeenHead seen, Marks marks, GuidePlan plan) {
    List<Zone> zones = new ArrayList<>();
    for (Map.Entry<Landmark, SeenHead.Zone> each : seen.zones().entrySet()) {
      SeenHead.Zone zone = each.getValue();
      if (zone.isKnown()) {
        zones.add(
            new Zone(
                marks.require(each.getKey()),
                zone.acrossGive() * plan.headPixels(),
                zone.downGive() * plan.headPixels()));
      }
    }
    return zones;
  }

  private GuideFigure mirrored(double aboutX) {
    return new GuideFigure(
        stance,
        Facing.mirrored(marks, aboutX),
        zones.stream()
            .map(
                zone ->
                    new Zone(
                        new Point(2 * aboutX - zone.middle().x(), zone.middle().y()),
                        zone.rightPixels(),
                        zone.downPixels()))
            .toList(),
        limbs);
  }

  /** From which side it is seen. */
  public View view() {
    return marks.view();
  }
}
