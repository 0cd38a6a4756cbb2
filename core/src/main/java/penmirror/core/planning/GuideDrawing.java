package penmirror.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.Scene.Layer;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.planning.GuideFigure.Stance;
import penmirror.core.planning.GuidePlan.Eyes;
import penmirror.core.planning.GuidePlan.Jaw;
import penmirror.core.planning.GuidePlan.Kind;
import penmirror.core.planning.GuidePlan.Line;
import penmirror.core.words.Wording;

/**
 * A construction guide of the canvas's own size, to lay under a drawing: head grid, axis, feature
 * lines with their bands, the oval of the face, eye openings, mouth and shoulder marks.
 */
public final class GuideDrawing {
  static final String BLUE = "#2A80A6";
  private static final String BLUE_TEXT = "#155A78";
  private static final String BAND = "#DBEDF4";

  /** A small head on a large sheet takes finer lines, of the head's height. */
  private static final double FINEST = 0.004;

  /** How dark a zone is: several over each other must leave the lines seen. */
  private static final double ZONE = 0.16;

  /** How much of an opening lies above the line of its corners; common practice. */
  static final double ABOVE_CORNERS = 0.55;

  private final GuidePlan plan;
  private final Optional<GuideFigure> figure;
  private final double axis;
  private final double hair;
  private final double textPixels;

  private GuideDrawing(GuidePlan plan, Optional<GuideFigure> figure) {
    this.plan = plan;
    this.figure = figure;
    axis = plan.canvas().widthPixels() / 2.0;
    // Fine at any canvas size: a thousandth of the longer side, never under a pixel.
    hair =
        Math.max(1, Math.max(plan.canvas().widthPixels(), plan.canvas().heightPixels()) / 1000.0);
    textPixels = 17 * hair;
  }

  /**
   * Something looked at beside the guide, such as a photo of a pose.
   *
   * @param words title and credit
   * @param picture a small copy
   */
  public record Beside(String words, Optional<SmallCopy> picture) {

    /** A helper with its credit, which is asked for where there is none. */
    public static Beside helper(String title, String credit, SmallCopy picture) {
      String shown = credit.isBlank() ? Wording.text("file.credit.missing") : credit;
      return new Beside(title + ". " + shown, Optional.of(picture));
    }

    public static Beside note(String words) {
      return new Beside(words, Optional.empty());
    }
  }

  /** The bytes of a small picture, which stand inside the file: a guide links to nothing. */
  public record SmallCopy(byte[] bytes, String mediaType, int widthPixels, int heightPixels) {}

  /** The lines and the head alone. */
  public static Scene of(GuidePlan plan) {
    return new GuideDrawing(plan, Optional.empty()).scene(List.of());
  }

  /**
   * @param beside is drawn along the left edge, upward from the ground
   */
  public static Scene of(GuidePlan plan, GuideFigure figure, List<Beside> beside) {
    return new GuideDrawing(plan, Optional.of(figure)).scene(beside);
  }

  private Scene scene(List<Beside> beside) {
    List<Layer> layers = new ArrayList<>();
    int height = plan.canvas().heightPixels();
    if (figure.filter(f -> f.stance() == Stance.POSED).isPresent()) {
      pose(layers, figure.get().marks(), figure.get().limbs());
    } else {
      layers.add(new Layer("bands", bands()));
      layers.add(new Layer("zones", zones()));
      layers.add(new Layer("head-grid", grid(plan.crownPixels(), plan.headPixels())));
      layers.add(new Layer("axis", List.of(line(axis, 0, axis, height, BLUE, hair))));
      layers.add(new Layer("lines", featureLines(plan.lines())));
      head(layers);
    }
    if (!beside.isEmpty()) {
      layers.add(new Layer("beside", beside(beside)));
    }
    String caution = Wording.text("file.caution");
    if (!plan.uncredited().isEmpty()) {
      caution += "\n" + Wording.text("file.uncredited", String.join("; ", plan.uncredited()));
    }
    return new Scene(
        plan.canvas().widthPixels(),
        height,
        Wording.text("guide.title", plan.styleName()),
        caution,
        layers);
  }

  /** By the rules as seen from the front, or as the works turn it. */
  private void head(List<Layer> layers) {
    if (figure.filter(f -> f.stance() == Stance.TURNED).isPresent()) {
      layers.add(new Layer("head", FigureOutline.head(figure.get().marks(), fine())));
      return;
    }
    layers.add(new Layer("face", face()));
    layers.add(new Layer("features", FeatureDrawing.of(plan, fine())));
    if (figure.isPresent() && plan.heads().isPresent()) {
      layers.add(
          new Layer(
              "body", FigureOutline.body(figure.get().marks(), fine(), figure.get().limbs())));
    }
  }

  /** Heads are counted from its crown; of the lines only the ground is level in any pose. */
  private void pose(List<Layer> layers, Marks marks, Limbs limbs) {
    HeadFrame head = marks.headFrame().orElseThrow();
    layers.add(new Layer("head-grid", grid(head.crown().y(), head.headPixels())));
    layers.add(
        new Layer(
            "lines",
            featureLines(plan.lines().stream().filter(l -> l.kind() == Kind.GROUND).toList())));
    Point up = head.at(0, -0.1);
    Point down = head.at(0, 1.1);
    layers.add(new Layer("axis", List.of(line(up.x(), up.y(), down.x(), down.y(), BLUE, fine()))));
    layers.add(new Layer("head", FigureOutline.head(marks, fine())));
    layers.add(new Layer("body", FigureOutline.body(marks, fine(), limbs)));
  }

  /** Where the works have each landmark of the head: the smaller, the surer. */
  private List<Item> zones() {
    double least = 2 * fine();
    return figure.stream()
        .flatMap(f -> f.zones().stream())
        .<Item>map(
            zone ->
                new Item.Fill(
                    List.of(
                        Outline.oval(
                            zone.middle(),
                            Math.max(least, zone.rightPixels()),
                            Math.max(least, zone.downPixels()))),
                    BLUE,
                    ZONE,
                    false))
        .toList();
  }

  private List<Item> bands() {
    List<Item> bands = new ArrayList<>();
    for (Line line : plan.lines()) {
      double tall = line.abovePixels() + line.belowPixels();
      if (tall > 0) {
        bands.add(
            new Item.Field(
                0,
                line.yPixels() - line.abovePixels(),
                plan.canvas().widthPixels(),
                tall,
                BAND,
                line.kind().word()));
      }
    }
    return bands;
  }

  private List<Item> grid(double crown, double headPixels) {
    List<Item> grid = new ArrayList<>();
    double bottom = plan.canvas().heightPixels();
    for (int head = 0; crown + head * headPixels < bottom; head++) {
      double y = crown + head * headPixels;
      Outline across = Outline.line(0, y, plan.canvas().widthPixels(), y);
      grid.add(new Item.Stroke(across, BLUE, hair * 0.8, List.of(hair, 4 * hair)));
      grid.add(words(4 * hair, y - 3 * hair, Integer.toString(head), Anchor.START));
    }
    return grid;
  }

  private List<Item> featureLines(List<Line> lines) {
    List<Item> items = new ArrayList<>();
    double lowestText = Double.NEGATIVE_INFINITY;
    for (Line line : lines) {
      boolean solid =
          line.kind() == Kind.CROWN || line.kind() == Kind.CHIN || line.kind() == Kind.GROUND;
      items.add(
          new Item.Stroke(
              Outline.line(0, line.yPixels(), plan.canvas().widthPixels(), line.yPixels()),
              BLUE,
              hair * 1.4,
              solid ? List.of() : List.of(9 * hair, 4 * hair)));
      // Names step aside downward when lines lie close.
      lowestText = Math.max(line.yPixels() - 3 * hair, lowestText + 1.1 * textPixels);
      items.add(
          words(
              plan.canvas().widthPixels() - 4 * hair,
              lowestText,
              Wording.text("guide." + line.kind().word()),
              Anchor.END));
    }
    return items;
  }

  private List<Item> face() {
    List<Item> items = new ArrayList<>();
    plan.face().ifPresent(width -> items.add(stroke(egg(width.pixels() / 2), 1.6 * hair)));
    Optional<Double> eyeLine = plan.height(Kind.EYES);
    if (plan.eyes().isPresent() && eyeLine.isPresent()) {
      for (int side : new int[] {-1, 1}) {
        items.add(stroke(eye(plan.eyes().get(), eyeLine.get(), side), 1.8 * fine()));
      }
    }
    Optional<Double> mouthLine = plan.height(Kind.MOUTH);
    if (plan.mouth().isPresent() && mouthLine.isPresent()) {
      double half = plan.mouth().get().pixels() / 2;
      double y = mouthLine.get();
      items.add(line(axis - half, y, axis + half, y, BLUE_TEXT, 2.4 * hair));
    }
    Optional<Double> shoulderLine = plan.height(Kind.SHOULDERS);
    if (plan.shoulders().isPresent() && shoulderLine.isPresent()) {
      double half = plan.shoulders().get().pixels() / 2;
      items.addAll(cross(axis - half, shoulderLine.get()));
      items.addAll(cross(axis + half, shoulderLine.get()));
    }
    return items;
  }

  /**
   * Skull above, jaw below: widest at the cheeks, a little under half way down. Where the jaw is
   * ruled the face turns at its corners and runs straight to the chin.
   */
  private Outline egg(double half) {
    double head = plan.headPixels();
    double top = plan.crownPixels();
    double wide = top + 0.5 * head;
    List<Point> right = new ArrayList<>();
    right.add(new Point(axis + 0.62 * half, top));
    right.add(new Point(axis + half, top + 0.24 * head));
    right.add(new Point(axis + half, wide));
    right.addAll(lowerFace(half, wide, top + head));
    List<Point> all = new ArrayList<>(right);
    for (int i = right.size() - 2; i >= 0; i--) {
      all.add(new Point(2 * axis - right.get(i).x(), right.get(i).y()));
    }
    Point crown = new Point(axis, top);
    all.add(crown);
    return Outline.bends(crown, all.toArray(Point[]::new));
  }

  /**
   * From the cheek on the right to the chin: two points that bend and one that is reached, again.
   */
  private List<Point> lowerFace(double half, double wide, double chin) {
    Point end = new Point(axis, chin);
    Optional<Jaw> ruled =
        plan.jaw().filter(jaw -> chin - jaw.aboveChinPixels() > wide && jaw.aboveChinPixels() > 0);
    if (ruled.isEmpty()) {
      double reach = 0.52 * (chin - wide);
      return List.of(
          new Point(axis + half, wide + reach), new Point(axis + 0.46 * half, chin), end);
    }
    double x = axis + ruled.get().widthPixels() / 2;
    Point corner = new Point(x, chin - ruled.get().aboveChinPixels());
    Point toChin = end.minus(corner);
    return List.of(
        new Point(axis + half, wide + 0.5 * (corner.y() - wide)),
        corner.minus(toChin.times(0.25)),
        corner,
        corner.plus(toChin.times(0.3)),
        corner.plus(toChin.times(0.8)),
        end);
  }

  /**
   * The opening, from corner to corner over its highest to its lowest place; level where its height
   * is not ruled, since then only its width says something.
   *
   * @param side -1 for the left of the picture, 1 for the right
   */
  private Outline eye(Eyes eyes, double y, int side) {
    double half = eyes.widthPixels() / 2;
    Point centre = new Point(axis + side * (eyes.gapPixels() / 2 + half), y);
    double turn = -side * eyes.tiltDegrees();
    double above = eyes.heightPixels().map(tall -> tall * ABOVE_CORNERS).orElse(0.0);
    double below = eyes.heightPixels().map(tall -> tall * (1 - ABOVE_CORNERS)).orElse(0.0);
    // From the inner (0) to the outer corner (1), so outward from the axis.
    double peak = half * (2 * eyes.peakShare() - 1);
    double dip = half * (2 * eyes.dipShare() - 1);
    return EyeShape.opening(
        placed(centre, turn, side, -half, 0),
        placed(centre, turn, side, dip, below),
        placed(centre, turn, side, half, 0),
        placed(centre, turn, side, peak, -above));
  }

  /** A point beside an eye's middle, outward from the axis, with the eye's tilt. */
  static Point placed(Point centre, double turn, int side, double outward, double down) {
    return centre.plus(new Point(side * outward, down)).turnedAbout(centre, turn);
  }

  private List<Item> cross(double x, double y) {
    double arm = 8 * hair;
    return List.of(
        line(x - arm, y, x + arm, y, BLUE_TEXT, 2.2 * hair),
        line(x, y - arm, x, y + arm, BLUE_TEXT, 2.2 * hair));
  }

  private List<Item> beside(List<Beside> beside) {
    List<Item> items = new ArrayList<>();
    double left = 4 * hair;
    double widest = 0.2 * plan.canvas().widthPixels();
    double tallest = 0.09 * plan.canvas().heightPixels();
    double bottom = plan.canvas().heightPixels() - 6 * hair;
    for (Beside item : beside) {
      items.add(words(left, bottom, item.words(), Anchor.START));
      bottom -= 1.2 * textPixels;
      if (item.picture().isPresent()) {
        SmallCopy copy = item.picture().get();
        double scale = Math.min(widest / copy.widthPixels(), tallest / copy.heightPixels());
        double tall = copy.heightPixels() * scale;
        items.add(
            new Item.Shown(
                copy.bytes(),
                copy.mediaType(),
                left,
                bottom - tall,
                copy.widthPixels() * scale,
                tall));
        bottom -= tall + textPixels;
      }
    }
    return items;
  }

  private double fine() {
    return Math.min(hair, plan.headPixels() * FINEST);
  }

  private static Item stroke(Outline outline, double widthPixels) {
    return new Item.Stroke(outline, BLUE, widthPixels, List.of());
  }

  private static Item line(
      double x1, double y1, double x2, double y2, String colour, double widthPixels) {
    return new Item.Stroke(Outline.line(x1, y1, x2, y2), colour, widthPixels, List.of());
  }

  private Item words(double x, double y, String text, Anchor anchor) {
    return new Item.Words(x, y, text, textPixels, BLUE_TEXT, anchor, 4 * hair);
  }
}
