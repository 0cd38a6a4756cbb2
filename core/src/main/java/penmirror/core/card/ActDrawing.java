package penmirror.core.card;

import static java.util.Map.entry;
import static penmirror.core.figure.Landmark.*;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.act.Act;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Scene;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.planning.EyeCard;
import penmirror.core.planning.FigureOutline;
import penmirror.core.planning.GuideFigure;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.LightCard;
import penmirror.core.planning.Limbs;
import penmirror.core.style.PaletteColour;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;

/**
 * A small drawing of one act as a style does it: a plain figure, a plain head, a ball or the
 * colours, made from the rules, with what the act is about in blue.
 */
public final class ActDrawing {
  private static final int SIDE = 88;
  private static final double AIR = 6;
  private static final double BLUE_LINE = 2;
  private static final double END = 3;
  private static final double FINE = 0.8;
  private static final double THINNEST = 0.6;
  private static final double THICKEST = 9;

  private static final int MOST_COLOURS = 8;
  private static final String INK = "#222326";
  private static final String BLUE = "#2A80A6";

  /** How much of the figure is drawn. */
  private enum Seen {
    WHOLE(0),
    TRUNK(0.02, HAIR_TOP, CROWN, SHOULDER_L, SHOULDER_R, WAIST_L, WAIST_R, CROTCH),
    NECK(0.1, MOUTH_L, CHIN, SHOULDER_L, SHOULDER_R),
    HAND(0.4, WRIST_L, FINGERTIP_L),
    FEET(0.3, HEEL_L, HEEL_R, TOE_L, TOE_R, ANKLE_L, ANKLE_R),
    HEAD(0),
    EYES(0.1, BROW_L_OUTER, BROW_R_OUTER, EYE_L_BOTTOM, EYE_R_BOTTOM);

    /** Room round it, of its longer side. */
    private final double round;

    private final List<Landmark> around;

    Seen(double round, Landmark... around) {
      this.round = round;
      this.around = List.of(around);
    }
  }

  /**
   * @param from what the act measures, to the landmark beside it in {@code to}
   */
  private record Look(Seen seen, List<Landmark> from, List<Landmark> to) {
    static Look of(Seen seen, Landmark... pairs) {
      List<Landmark> from = new ArrayList<>();
      List<Landmark> to = new ArrayList<>();
      for (int i = 0; i + 1 < pairs.length; i += 2) {
        from.add(pairs[i]);
        to.add(pairs[i + 1]);
      }
      return new Look(seen, from, to);
    }
  }

  private static final Map<String, Look> LOOKS =
      Map.ofEntries(
          entry("legs", Look.of(Seen.WHOLE, CROTCH, SOLE)),
          entry("arms", Look.of(Seen.WHOLE, SHOULDER_L, FINGERTIP_L)),
          entry("feet", Look.of(Seen.FEET, ANKLE_L, TOE_L, ANKLE_R, TOE_R)),
          entry("shoulders", Look.of(Seen.TRUNK, SHOULDER_L, SHOULDER_R)),
          entry("waist", Look.of(Seen.TRUNK, SHOULDER_L, SHOULDER_R, WAIST_L, WAIST_R)),
          entry("hands", Look.of(Seen.HAND, WRIST_L, FINGERTIP_L)),
          entry("neck", Look.of(Seen.NECK, NECK_L, NECK_R)),
          entry("face-shape", Look.of(Seen.HEAD, CHEEK_L, CHEEK_R, JAW_L, JAW_R)),
          entry("hair-mass", Look.of(Seen.HEAD, HAIR_L, HAIR_R, HAIR_TOP, CROWN)),
          entry("eye-size", Look.of(Seen.HEAD, EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER)),
          entry("eye-gap", Look.of(Seen.HEAD, EYE_L_INNER, EYE_R_INNER)),
          entry(
              "eye-shape",
              Look.of(
                  Seen.EYES,
                  EYE_L_OUTER,
                  EYE_L_INNER,
                  EYE_L_TOP,
                  EYE_L_BOTTOM,
                  EYE_R_INNER,
                  EYE_R_OUTER,
                  EYE_R_TOP,
                  EYE_R_BOTTOM)),
          entry(
              "brows", Look.of(Seen.EYES, BROW_L_OUTER, BROW_L_INNER, BROW_R_INNER, BROW_R_OUTER)),
          entry("nose", Look.of(Seen.HEAD, NOSE_TOP, NOSE_BASE)),
          entry("mouth", Look.of(Seen.HEAD, MOUTH_L, MOUTH_R)),
          entry("ears", Look.of(Seen.HEAD, EAR_L_TOP, EAR_L_BASE, EAR_R_TOP, EAR_R_BASE)));

  /** Drawn as the card of the eye has it. */
  private static final List<String> EYE = List.of("iris", "lash", "eye-lights", "iris-tones");

  private final StyleSheet sheet;
  private final GuidePlan plan;
  private final Marks figure;

  private ActDrawing(StyleSheet sheet) {
    this.sheet = sheet;
    plan = GuidePlan.of(sheet, Card.CANVAS);
    figure = GuideFigure.standing(sheet, plan, Optional.empty()).marks();
  }

  /** Empty for an act that is better shown by a work, and where the rules are too few. */
  public static Optional<Scene> of(Act act, StyleSheet sheet) {
    ActDrawing drawing = new ActDrawing(sheet);
    return EYE.contains(act.key())
        ? EyeCard.of(drawing.plan, sheet).map(eye -> eye.drawn(eye.steps().size()))
        : drawing.items(act).filter(items -> !items.isEmpty()).map(items -> scene(act, items));
  }

  /** Of what makes or breaks the style, as far as it is drawn. */
  public static Map<Act, Scene> ofTraits(StyleSheet sheet) {
    Map<Act, Scene> drawings = new HashMap<>();
    sheet.makeOrBreak().forEach(act -> of(act, sheet).ifPresent(d -> drawings.put(act, d)));
    return drawings;
  }

  private Optional<List<Item>> items(Act act) {
    return switch (act.key()) {
      case "heads-tall" -> plan.heads().map(this::counted);
      case "eye-height" -> Optional.of(levels(middleOfEyes()));
      case "thirds" -> Optional.of(levels(heights(HAIRLINE, BROW_L_INNER, NOSE_BASE, CHIN)));
      case "line-weight" -> inked(1);
      case "outline" -> centre().flatMap(this::inked);
      case "values", "shadow-amount", "shadow-depth", "shadow-colour", "shadow-edge" -> ball();
      case "highlights", "light" -> ball();
      case "colour-count", "colour-strength", "warmth", "harmony", "accent" ->
          Optional.of(colours());
      default -> Optional.ofNullable(LOOKS.get(act.key())).map(this::measured);
    };
  }

  private Optional<Double> centre() {
    return sheet.rule(LineMeasures.OUTLINE_INNER).filter(Rule::isScored).map(Rule::centre);
  }

  /** With a tick for each head. */
  private List<Item> counted(double heads) {
    Marks marks = seen(Seen.WHOLE);
    HeadFrame head = marks.headFrame().orElseThrow();
    List<Item> items = inInk(PlainFigure.drawn(marks, Limbs.of(sheet)));
    double top = head.crown().y();
    double x = AIR + END;
    items.add(blue(new Point(x, top), new Point(x, top + heads * head.headPixels()), FINE));
    for (int i = 0; i <= Math.floor(heads); i++) {
      double y = top + i * head.headPixels();
      items.add(blue(new Point(x - END, y), new Point(x + END, y), BLUE_LINE));
    }
    return items;
  }

  private List<Item> measured(Look look) {
    Marks marks = seen(look.seen());
    boolean isOfTheHead = look.seen() == Seen.HEAD || look.seen() == Seen.EYES;
    List<Item> items =
        inInk(
            isOfTheHead
                ? FigureOutline.head(marks, PlainFigure.HAIR)
                : PlainFigure.drawn(marks, Limbs.of(sheet)));
    for (int i = 0; i < look.from().size(); i++) {
      Optional<Point> from = marks.point(look.from().get(i));
      Optional<Point> to = marks.point(look.to().get(i));
      if (from.isPresent() && to.isPresent()) {
        span(items, from.get(), to.get());
      }
    }
    return items;
  }

  /** To be added to. */
  private static List<Item> inInk(List<Item> items) {
    List<Item> inked = new ArrayList<>();
    items.forEach(item -> inked.add(PlainFigure.redrawn(item, INK, PlainFigure.HAIR)));
    return inked;
  }

  /** A line with its two ends. */
  private static void span(List<Item> items, Point from, Point to) {
    double length = from.distanceTo(to);
    if (length > 0) {
      Point along = to.minus(from).times(END / length);
      Point aside = new Point(-along.y(), along.x());
      items.add(blue(from, to, BLUE_LINE));
      items.add(blue(from.minus(aside), from.plus(aside), BLUE_LINE));
      items.add(blue(to.minus(aside), to.plus(aside), BLUE_LINE));
    }
  }

  /** A head with level lines across it. */
  private List<Item> levels(List<Double> shares) {
    Marks marks = seen(Seen.HEAD);
    HeadFrame head = marks.headFrame().orElseThrow();
    List<Item> items = inInk(FigureOutline.head(marks, PlainFigure.HAIR));
    for (double share : shares) {
      double y = head.crown().y() + share * head.headPixels();
      items.add(blue(new Point(AIR, y), new Point(SIDE - AIR, y), BLUE_LINE));
    }
    return items;
  }

  private List<Double> middleOfEyes() {
    List<Double> all = heights(EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER);
    double mean = all.stream().mapToDouble(Double::doubleValue).average().orElse(0);
    return all.isEmpty() ? List.of() : List.of(mean);
  }

  /** Below the crown, of a head. */
  private List<Double> heights(Landmark... landmarks) {
    HeadFrame head = figure.headFrame().orElseThrow();
    return Arrays.stream(landmarks)
        .flatMap(landmark -> figure.point(landmark).stream())
        .map(point -> (point.y() - head.crown().y()) / head.headPixels())
        .toList();
  }

  /**
   * A head as heavy as the works draw their lines.
   *
   * @param ratio of its outline to its inner lines
   */
  private Optional<List<Item>> inked(double ratio) {
    return sheet
        .rule(LineMeasures.WIDTH)
        .map(Rule::centre)
        .map(
            width -> {
              Marks marks = seen(Seen.HEAD);
              double pixels = width * marks.headFrame().orElseThrow().headPixels() / 1000;
              double inner = Math.max(THINNEST, pixels / Math.sqrt(ratio));
              List<Item> head = FigureOutline.head(marks, 1);
              List<Item> items = new ArrayList<>();
              for (int i = 0; i < head.size(); i++) {
                boolean isLimit =
                    head.get(i) instanceof Item.Stroke stroke && !stroke.dashPixels().isEmpty();
                if (!isLimit) {
                  items.add(
                      PlainFigure.redrawn(
                          head.get(i), INK, i == 0 ? Math.min(THICKEST, inner * ratio) : inner));
                }
              }
              return items;
            });
  }

  private Optional<List<Item>> ball() {
    return LightCard.of(sheet)
        .map(card -> card.ball(new Point(SIDE / 2.0, SIDE / 2.0), SIDE / 2.0 - AIR));
  }

  /** As wide as works show each. */
  private List<Item> colours() {
    List<PaletteColour> palette = sheet.palette().stream().limit(MOST_COLOURS).toList();
    double all = palette.stream().mapToDouble(PaletteColour::workCount).sum();
    List<Item> items = new ArrayList<>();
    double y = AIR;
    for (PaletteColour colour : palette) {
      double high = colour.workCount() / all * (SIDE - 2 * AIR);
      items.add(new Item.Field(AIR, y, SIDE - 2 * AIR, high, colour.hex(), "colour"));
      y += high;
    }
    return items;
  }

  /** The figure so that what is to be seen fills the drawing. */
  private Marks seen(Seen seen) {
    PlainFigure.Box room = new PlainFigure.Box(AIR, AIR, SIDE - 2 * AIR, SIDE - 2 * AIR);
    if (seen == Seen.HEAD) {
      Marks head = PlainFigure.headOf(figure);
      return PlainFigure.fitted(head, head.headFrame().orElseThrow(), room);
    }
    Marks of = seen == Seen.WHOLE ? figure : figure.only(seen.around);
    double left = PlainFigure.least(of, Point::x);
    double top = PlainFigure.least(of, Point::y);
    double width = PlainFigure.width(of);
    double height = PlainFigure.most(of, Point::y) - top;
    double round = seen.round * Math.max(width, height);
    return PlainFigure.laid(
        figure,
        new PlainFigure.Box(left - round, top - round, width + 2 * round, height + 2 * round),
        room);
  }

  private static Item blue(Point from, Point to, double width) {
    return new Item.Stroke(
        Outline.line(from.x(), from.y(), to.x(), to.y()), BLUE, width, List.of());
  }

  private static Scene scene(Act act, List<Item> items) {
    return new Scene(
        SIDE, SIDE, ActWords.name(act), "", List.of(new Scene.Layer(act.key(), items)));
  }
}
