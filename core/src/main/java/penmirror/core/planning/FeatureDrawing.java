package penmirror.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.geometry.Point;
import penmirror.core.planning.GuideFeatures.Brow;
import penmirror.core.planning.GuideFeatures.Iris;
import penmirror.core.planning.GuideFeatures.Span;
import penmirror.core.planning.GuidePlan.Eyes;
import penmirror.core.planning.GuidePlan.Kind;

/**
 * The features of a guide: lash block, iris and pupil, brows, nose, ears, the mass of the hair,
 * neck, waist and hips, each where its rules have it and thinner than the construction lines.
 */
final class FeatureDrawing {
  /** How far an ear stands out, of its height; common practice. */
  private static final double EAR_OUT = 0.3;

  /** Half the length of the ticks at the nose, of the nose's. */
  private static final double NOSE_TICK = 0.3;

  /** Handles of a curve lie so much higher than the curve itself rises. */
  private static final double HANDLES = 4 / 3.0;

  private final GuidePlan plan;
  private final GuideFeatures features;
  private final double axis;
  private final double hair;

  private FeatureDrawing(GuidePlan plan, double hair) {
    this.plan = plan;
    features = plan.features();
    axis = plan.canvas().widthPixels() / 2.0;
    this.hair = hair;
  }

  /**
   * @param hair width of the finest line, pixels
   */
  static List<Item> of(GuidePlan plan, double hair) {
    return new FeatureDrawing(plan, hair).items();
  }

  private List<Item> items() {
    List<Item> items = new ArrayList<>();
    plan.eyes().ifPresent(eyes -> plan.height(Kind.EYES).ifPresent(y -> eyes(items, eyes, y)));
    features
        .noseLengthPixels()
        .ifPresent(length -> plan.height(Kind.NOSE).ifPresent(y -> nose(items, y - length, y)));
    features
        .ears()
        .ifPresent(ears -> plan.face().ifPresent(face -> ears(items, ears, face.pixels() / 2)));
    hairMass(items);
    features
        .neck()
        .ifPresent(
            neck -> {
              double chin = plan.crownPixels() + plan.headPixels();
              for (int side : new int[] {-1, 1}) {
                double x = axis + side * neck.widthPixels() / 2;
                items.add(fine(Outline.line(x, chin, x, chin + neck.lengthPixels())));
              }
            });
    across(items, features.waistPixels(), GuideFeatures.WAIST_DOWN);
    across(items, features.hipsPixels(), GuideFeatures.HIPS_DOWN);
    return items;
  }

  private void eyes(List<Item> items, Eyes eyes, double y) {
    Optional<Double> opening = eyes.heightPixels();
    if (opening.isEmpty()) {
      return;
    }
    double above = opening.get() * GuideDrawing.ABOVE_CORNERS;
    for (int side : new int[] {-1, 1}) {
      Point centre = new Point(axis + side * (eyes.gapPixels() + eyes.widthPixels()) / 2, y);
      features.lashPixels().ifPresent(lash -> items.add(lash(centre, eyes, side, above, lash)));
      Point middle = centre.plus(new Point(0, opening.get() / 2 - above));
      features.iris().ifPresent(iris -> iris(items, middle, iris));
      features.brow().ifPresent(brow -> items.add(brow(centre, brow, side, above)));
    }
  }

  /** The lash block: from the upper lid of the opening to its own upper edge. */
  private Item lash(Point centre, Eyes eyes, int side, double above, double lash) {
    double half = eyes.widthPixels() / 2;
    double turn = -side * eyes.tiltDegrees();
    double peak = half * (2 * eyes.peakShare() - 1);
    return fine(
        EyeShape.lash(
            GuideDrawing.placed(centre, turn, side, -half, 0),
            GuideDrawing.placed(centre, turn, side, peak, -above - lash),
            GuideDrawing.placed(centre, turn, side, peak, -above),
            GuideDrawing.placed(centre, turn, side, half, 0)));
  }

  private void iris(List<Item> items, Point middle, Iris iris) {
    double wide = iris.widthPixels() / 2;
    double high = wide * iris.heightOverWidth();
    items.add(fine(Outline.oval(middle, wide, high)));
    iris.pupilShare()
        .ifPresent(share -> items.add(fine(Outline.oval(middle, wide * share, high * share))));
  }

  private Item brow(Point eye, Brow brow, int side, double above) {
    double half = brow.lengthPixels() / 2;
    double lower = Math.tan(Math.toRadians(brow.slopeDegrees())) * half;
    double y = eye.y() - above - brow.abovePixels();
    Point inner = new Point(eye.x() - side * half, y + lower);
    Point outer = new Point(eye.x() + side * half, y - lower);
    Point along = outer.minus(inner);
    Point up = new Point(0, -HANDLES * brow.archShare() * brow.lengthPixels());
    return fine(
        bend(
            inner,
            inner.plus(along.times(1 / 3.0)).plus(up),
            outer.minus(along.times(1 / 3.0)).plus(up),
            outer));
  }

  private static Outline bend(Point from, Point first, Point second, Point to) {
    return new Outline(from, List.of(new Outline.Bend(first, second, to)), false);
  }

  /** Its top and its base, as ticks across the axis. */
  private void nose(List<Item> items, double top, double base) {
    double arm = NOSE_TICK * (base - top);
    for (double y : new double[] {top, base}) {
      items.add(fine(Outline.line(axis - arm, y, axis + arm, y)));
    }
  }

  private void ears(List<Item> items, Span ears, double half) {
    double top = plan.crownPixels() + ears.topPixels();
    double base = plan.crownPixels() + ears.basePixels();
    double out = EAR_OUT * (base - top) * HANDLES;
    for (int side : new int[] {-1, 1}) {
      double x = axis + side * half;
      items.add(
          fine(
              bend(
                  new Point(x, top),
                  new Point(x + side * out, top),
                  new Point(x + side * out, base),
                  new Point(x, base))));
    }
  }

  /** From its widest, at the height of the eyes, over its top. */
  private void hairMass(List<Item> items) {
    Optional<Double> top = plan.height(Kind.HAIR);
    Optional<Double> widest = plan.height(Kind.EYES);
    if (top.isEmpty() || widest.isEmpty() || features.hairWidthPixels().isEmpty()) {
      return;
    }
    double half = features.hairWidthPixels().get() / 2;
    double rise = widest.get() - top.get();
    Point left = new Point(axis - half, widest.get());
    Point over = new Point(axis, top.get());
    Point right = new Point(axis + half, widest.get());
    Point up = new Point(0, -Outline.ROUND * rise);
    Point aside = new Point(Outline.ROUND * half, 0);
    items.add(
        dashed(
            new Outline(
                left,
                List.of(
                    new Outline.Bend(left.plus(up), over.minus(aside), over),
                    new Outline.Bend(over.plus(aside), right.plus(up), right)),
                false)));
  }

  /** A width of the trunk, as ticks at its ends. */
  private void across(List<Item> items, Optional<Double> width, double share) {
    Optional<Double> shoulders = plan.height(Kind.SHOULDERS);
    Optional<Double> crotch = plan.height(Kind.CROTCH);
    if (width.isEmpty() || shoulders.isEmpty() || crotch.isEmpty()) {
      return;
    }
    double y = shoulders.get() + share * (crotch.get() - shoulders.get());
    double half = width.get() / 2;
    double arm = 12 * hair;
    items.add(dashed(Outline.line(axis - half, y, axis + half, y)));
    for (int side : new int[] {-1, 1}) {
      double x = axis + side * half;
      items.add(fine(Outline.line(x, y - arm, x, y + arm)));
    }
  }

  private Item fine(Outline outline) {
    return new Item.Stroke(outline, GuideDrawing.BLUE, 1.2 * hair, List.of());
  }

  private Item dashed(Outline outline) {
    return new Item.Stroke(outline, GuideDrawing.BLUE, hair, List.of(5 * hair, 4 * hair));
  }
}
