package penmirror.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Scene;
import penmirror.core.geometry.Point;
import penmirror.core.planning.GuideFeatures.Iris;
import penmirror.core.planning.GuidePlan.Eyes;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;

/**
 * An eye step by step, as the rules build it: only the steps that are ruled.
 *
 * @param eyes with the height of their opening
 * @param build what lies in the iris
 */
public record EyeCard(
    Eyes eyes, Optional<Iris> iris, Optional<Double> lashPixels, IrisBuild build) {

  private static final int SIDE = 200;

  /** Of the side that the widest of it takes. */
  private static final double FILLS = 0.72;

  private static final double IRIS_TINT = 0.35;

  /** How dark a ring stands on it, and how much of the radius it takes; from memory. */
  private static final double RING_TINT = 0.55;

  private static final double RING = 0.14;

  /** Where a glow lies below the middle and a light off it, in radii; from memory. */
  private static final double GLOW_DOWN = 0.62;

  private static final double LIGHT_OUT = 0.48;

  private static final String WHITE = "#FFFFFF";

  /** What is drawn, one after the other. */
  public enum Part {
    OPENING,
    IRIS,
    RING,
    GLOW,
    PUPIL,
    LIGHTS,
    LASH
  }

  /**
   * @param widthPixels on the canvas; for the dark block how high it stands over the opening
   * @param heightPixels empty where it is one number
   */
  public record Step(Part part, double widthPixels, Optional<Double> heightPixels) {}

  /** Empty where the height of an opening is not ruled. */
  public static Optional<EyeCard> of(GuidePlan plan, StyleSheet sheet) {
    return plan.eyes()
        .filter(eyes -> eyes.heightPixels().filter(tall -> tall > 0).isPresent())
        .map(
            eyes ->
                new EyeCard(
                    eyes,
                    plan.features().iris(),
                    plan.features().lashPixels(),
                    IrisBuild.of(sheet)));
  }

  /** In the order they are drawn. */
  public List<Step> steps() {
    List<Step> steps = new ArrayList<>();
    steps.add(new Step(Part.OPENING, eyes.widthPixels(), eyes.heightPixels()));
    iris.ifPresent(
        of -> {
          steps.add(
              new Step(
                  Part.IRIS,
                  of.widthPixels(),
                  Optional.of(of.widthPixels() * of.heightOverWidth())));
          double wide = of.widthPixels();
          if (build.isRinged()) {
            steps.add(new Step(Part.RING, RING * wide / 2, Optional.empty()));
          }
          if (build.isLitFromBelow()) {
            steps.add(new Step(Part.GLOW, wide, Optional.of(wide * of.heightOverWidth() / 3)));
          }
          of.pupilShare()
              .ifPresent(share -> steps.add(new Step(Part.PUPIL, share * wide, Optional.empty())));
          if (build.lights() > 0) {
            steps.add(new Step(Part.LIGHTS, build.lightRadii() * wide, Optional.empty()));
          }
        });
    lashPixels.ifPresent(lash -> steps.add(new Step(Part.LASH, lash, Optional.empty())));
    return steps;
  }

  /**
   * The first steps over each other, the eye of the picture's right, enlarged.
   *
   * @param count 1 to as many as there are
   */
  public Scene drawn(int count) {
    double tall = eyes.heightPixels().orElseThrow();
    double above = tall * GuideDrawing.ABOVE_CORNERS;
    double lash = lashPixels.orElse(0.0);
    double scale = FILLS * SIDE / Math.max(eyes.widthPixels(), tall + lash);
    double half = eyes.widthPixels() / 2 * scale;
    double turn = -eyes.tiltDegrees();
    double peak = half * (2 * eyes.peakShare() - 1);
    double dip = half * (2 * eyes.dipShare() - 1);
    Point centre = new Point(SIDE / 2.0, SIDE / 2.0 + (above + lash - tall / 2) / 2 * scale);
    Point inner = GuideDrawing.placed(centre, turn, 1, -half, 0);
    Point outer = GuideDrawing.placed(centre, turn, 1, half, 0);
    Point top = GuideDrawing.placed(centre, turn, 1, peak, -above * scale);
    Point upper = GuideDrawing.placed(centre, turn, 1, peak, -(above + lash) * scale);
    Point bottom = GuideDrawing.placed(centre, turn, 1, dip, (tall - above) * scale);
    Outline opening = EyeShape.opening(inner, top, outer, bottom);
    Point middle = centre.plus(new Point(0, (tall / 2 - above) * scale));
    List<Item> items = new ArrayList<>();
    for (Step step : steps().subList(0, count)) {
      switch (step.part()) {
        case OPENING -> {
          items.add(new Item.Fill(List.of(opening), WHITE, 1, false));
          items.add(new Item.Stroke(opening, GuideDrawing.BLUE, 2, List.of()));
        }
        case IRIS -> items.add(round(opening, middle, step, scale, IRIS_TINT));
        case PUPIL -> items.add(round(opening, middle, step, scale, 1));
        case RING -> items.add(ring(opening, middle, scale));
        case GLOW -> items.add(glow(opening, middle, scale));
        case LIGHTS -> lights(items, opening, middle, scale);
        case LASH ->
            items.add(
                new Item.Fill(
                    List.of(EyeShape.lash(inner, upper, top, outer)), GuideDrawing.BLUE, 1, false));
      }
    }
    return new Scene(
        SIDE,
        SIDE,
        Wording.text("card.eye"),
        Wording.text("file.caution"),
        List.of(new Scene.Layer("eye", items)));
  }

  private Item round(Outline opening, Point middle, Step step, double scale, double tint) {
    double wide = step.widthPixels() * scale / 2;
    double round = iris.map(Iris::heightOverWidth).orElse(1.0);
    double high = step.heightPixels().map(tall -> tall * scale / 2).orElse(wide * round);
    return new Item.Within(
        List.of(opening),
        0,
        List.of(
            new Item.Fill(
                List.of(Outline.oval(middle, wide, high)), GuideDrawing.BLUE, tint, false)));
  }

  /** Half the iris's size on the drawing. */
  private double[] half(double scale) {
    Iris of = iris.orElseThrow();
    double wide = of.widthPixels() * scale / 2;
    return new double[] {wide, wide * of.heightOverWidth()};
  }

  private Item ring(Outline opening, Point middle, double scale) {
    double[] half = half(scale);
    Outline rim = Outline.oval(middle, half[0], half[1]);
    Outline inner = Outline.oval(middle, half[0] * (1 - RING), half[1] * (1 - RING));
    return new Item.Within(
        List.of(opening),
        0,
        List.of(new Item.Fill(List.of(rim, inner), GuideDrawing.BLUE, RING_TINT, true)));
  }

  private Item glow(Outline opening, Point middle, double scale) {
    double[] half = half(scale);
    Point low = middle.plus(new Point(0, GLOW_DOWN * half[1]));
    return new Item.Within(
        List.of(opening, Outline.oval(middle, half[0] * (1 - RING), half[1] * (1 - RING))),
        0,
        List.of(
            new Item.Fill(
                List.of(Outline.oval(low, half[0] * 0.7, half[1] * 0.3)), WHITE, 0.7, false)));
  }

  /** The largest where the works have it; a second, of half its size, across from it. */
  private void lights(List<Item> items, Outline opening, Point middle, double scale) {
    double[] half = half(scale);
    double angle = Math.toRadians(build.lightDegrees().orElse(0.0));
    for (int i = 0; i < build.lights(); i++) {
      double side = i % 2 == 0 ? 1 : -1;
      double size = build.lightRadii() / (i + 1);
      Point at =
          middle.plus(
              new Point(
                  side * LIGHT_OUT * half[0] * Math.sin(angle),
                  -side * LIGHT_OUT * half[1] * Math.cos(angle)));
      items.add(
          new Item.Within(
              List.of(opening),
              0,
              List.of(
                  new Item.Fill(
                      List.of(Outline.oval(at, half[0] * size, half[1] * size)),
                      WHITE,
                      1,
                      false))));
    }
  }
}
