package penmirror.core.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Scene;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.PaletteColour;
import penmirror.core.style.Rule;
import penmirror.core.style.ShadeLaw;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;

/**
 * How a style lights a form, as a ball and a plain head show it.
 *
 * @param fromDegrees where the light comes from, clockwise from straight above
 * @param base a colour in the light
 * @param shadow the same in the shadow
 * @param inShadow share of the form that lies in shadow, 0 to 1
 * @param edge width of the shadow's border in thousandths of a head; 0 for a hard one
 * @param glows whether there are highlights
 */
public record LightCard(
    double fromDegrees, OkLab base, OkLab shadow, double inShadow, double edge, boolean glows) {

  /** Wider than this, in thousandths of a head, a shadow's border is drawn soft. */
  private static final double SOFT_BORDER = 12;

  /** What is drawn of a style that does not say how much lies in shadow; common practice. */
  private static final double A_THIRD = 1 / 3.0;

  /** A shape under this chroma is paper or white cloth rather than skin. */
  private static final double COLOURED = 0.04;

  private static final int WIDE = 520;
  private static final int HIGH = 250;
  private static final double RADIUS = 88;

  /** Of a plain head, over its height. */
  private static final double HEAD_WIDE = 0.76;

  /** Empty where no light is ruled, or nothing is shaded. */
  public static Optional<LightCard> of(StyleSheet sheet) {
    Optional<ShadeLaw> law = ShadeLaw.of(sheet);
    Optional<Double> from = centre(sheet, ShadeMeasures.LIGHT_FROM);
    if (law.isEmpty() || from.isEmpty() || sheet.palette().isEmpty()) {
      return Optional.empty();
    }
    OkLab base = lightest(sheet);
    double border = centre(sheet, ShadeMeasures.EDGE).orElse(0.0);
    return Optional.of(
        new LightCard(
            from.get(),
            base,
            law.get().shadowOf(base),
            Math.max(0, Math.min(1, centre(sheet, ShadeMeasures.COVER).orElse(A_THIRD))),
            border > SOFT_BORDER ? border : 0,
            centre(sheet, ShadeMeasures.HIGHLIGHT)
                .filter(share -> share >= ShadeMeasures.LEAST_HIGHLIGHT)
                .isPresent()));
  }

  /** Of the colours that half of the works share the lightest that is no paper: mostly the skin. */
  private static OkLab lightest(StyleSheet sheet) {
    return sheet.palette().stream()
        .filter(colour -> 2 * colour.workCount() >= sheet.works().size())
        .map(PaletteColour::colour)
        .filter(colour -> colour.chroma() > COLOURED)
        .max(Comparator.comparingDouble(OkLab::lightness))
        .orElse(sheet.palette().get(0).colour());
  }

  private static Optional<Double> centre(StyleSheet sheet, Measure measure) {
    return sheet.rule(measure).filter(Rule::isScored).map(Rule::centre);
  }

  /** One step toward the light, x to the right and y down. */
  public Point toLight() {
    double angle = Math.toRadians(fromDegrees);
    return new Point(Math.sin(angle), -Math.cos(angle));
  }

  /**
   * How far the lit disc lies off a ball of radius 1 toward the light, so that the right share of
   * the ball is in shadow: what two discs of one radius have in common is lit.
   *
   * @return 0 to 2
   */
  public double litShift() {
    double low = 0;
    double high = 2;
    for (int i = 0; i < 50; i++) {
      double middle = (low + high) / 2;
      if (1 - common(middle) < inShadow) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }

  /** Share of a disc of radius 1 that another covers, so far off; the lens of two circles. */
  private static double common(double apart) {
    double half = apart / 2;
    return 2 * (Math.acos(half) - half * Math.sqrt(1 - half * half)) / Math.PI;
  }

  /** A ball and a plain head in this light, with an arrow along it. */
  public Scene drawn() {
    Point ball = new Point(140, HIGH / 2.0);
    Point head = new Point(380, HIGH / 2.0);
    List<Item> forms = new ArrayList<>();
    form(forms, ball, RADIUS, RADIUS);
    form(forms, head, RADIUS * HEAD_WIDE, RADIUS);
    List<Item> arrows = new ArrayList<>();
    for (Point middle : List.of(ball, head)) {
      Point tip = middle.plus(toLight().times(RADIUS + 6));
      Point end = middle.plus(toLight().times(RADIUS + 34));
      arrows.add(arrow(end, tip));
    }
    return new Scene(
        WIDE,
        HIGH,
        Wording.text("card.light"),
        Wording.text("file.caution"),
        List.of(new Scene.Layer("forms", forms), new Scene.Layer("light", arrows)));
  }

  /** A ball in this light. */
  public List<Item> ball(Point middle, double radius) {
    List<Item> items = new ArrayList<>();
    form(items, middle, radius, radius);
    return items;
  }

  private void form(List<Item> items, Point middle, double wide, double high) {
    Outline whole = Outline.oval(middle, wide, high);
    Point shift = toLight().times(litShift());
    Outline lit =
        Outline.oval(middle.plus(new Point(shift.x() * wide, shift.y() * high)), wide, high);
    items.add(new Item.Fill(List.of(whole), hex(shadow), 1, false));
    double soft = edge * 2 * high / 1000 / 2;
    Item light = new Item.Fill(List.of(lit), hex(base), 1, false);
    items.add(
        new Item.Within(List.of(whole), 0, List.of(soft > 0 ? softened(lit, light, soft) : light)));
    if (glows) {
      Point at = middle.plus(new Point(toLight().x() * wide, toLight().y() * high).times(0.55));
      items.add(
          new Item.Fill(
              List.of(Outline.oval(at, 0.14 * wide, 0.1 * high)), "#FFFFFF", 0.75, false));
    }
  }

  /** Blurred over a room that leaves the blur whole. */
  private static Item softened(Outline lit, Item light, double soft) {
    Point from = lit.start();
    Outline room = Outline.oval(from, 6 * RADIUS, 6 * RADIUS);
    return new Item.Within(List.of(room), soft, List.of(light));
  }

  private static Item arrow(Point from, Point to) {
    Point along = to.minus(from).times(1 / to.distanceTo(from));
    Point aside = new Point(-along.y(), along.x());
    Point back = to.minus(along.times(9));
    return new Item.Stroke(
        new Outline(
            from,
            List.of(
                new Outline.Straight(to),
                new Outline.Straight(back.plus(aside.times(6))),
                new Outline.Straight(to),
                new Outline.Straight(back.minus(aside.times(6)))),
            false),
        GuideDrawing.BLUE,
        2,
        List.of());
  }

  private static String hex(OkLab colour) {
    return colour.toEncodedSrgb().hex();
  }
}
