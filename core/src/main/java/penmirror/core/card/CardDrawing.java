package penmirror.core.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.colour.OkLab;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Scene;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.line.Station;
import penmirror.core.planning.FigureOutline;
import penmirror.core.planning.GuideFigure;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.Limbs;
import penmirror.core.planning.SeenHead;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;

/** The drawings of cards: plain heads and figures on which a style's way is drawn. */
final class CardDrawing {
  static final int WIDTH = 320;
  static final int HEIGHT = 300;
  private static final double AIR = 16;

  /** Over the crown of a standing figure. */
  private static final double HAIR_ROOM = 14;

  private static final double LETTERS = 13;

  /** Pieces of a bend. */
  private static final int STEPS = 12;

  private static final String INK = "#222326";
  private static final String GRAPHITE = "#5C6065";
  private static final String BLUE = "#2A80A6";
  private static final String DOTTED = "#868276";

  private CardDrawing() {}

  private static final PlainFigure.Box WHOLE =
      new PlainFigure.Box(AIR, AIR, WIDTH - 2 * AIR, HEIGHT - 2 * AIR);

  /** The plain head that the rules give. */
  static Optional<Scene> face(StyleSheet sheet, GuidePlan plan) {
    Marks marks = GuideFigure.standing(sheet, plan, Optional.empty()).marks();
    return marks
        .headFrame()
        .map(
            frame ->
                scene(
                    Question.FACE,
                    FigureOutline.head(
                        PlainFigure.fitted(PlainFigure.headOf(marks), frame, WHOLE),
                        PlainFigure.HAIR)));
  }

  /** The plain figure that the rules give, with its heads counted beside. */
  static Optional<Scene> body(StyleSheet sheet, GuidePlan plan) {
    if (plan.heads().isEmpty()) {
      return Optional.empty();
    }
    Marks marks =
        standing(GuideFigure.standing(sheet, plan, Optional.empty()).marks(), WIDTH / 2.0);
    HeadFrame head = marks.headFrame().orElseThrow();
    List<Item> items = new ArrayList<>(PlainFigure.drawn(marks, Limbs.of(sheet)));
    double heads = plan.heads().get();
    for (int i = 0; i <= Math.floor(heads); i++) {
      double y = head.crown().y() + i * head.headPixels();
      items.add(
          new Item.Stroke(Outline.line(AIR, y, WIDTH - AIR, y), DOTTED, 0.8, List.of(2.0, 4.0)));
      if (i > 0) {
        items.add(words(WIDTH - AIR, y - 3, Integer.toString(i), Anchor.END));
      }
    }
    return Optional.of(scene(Question.BODY, items));
  }

  /**
   * A plain head whose outline and inner lines are as heavy as the works draw them; where they are
   * known place by place, its outline swells by them, and each place stands beside with its line.
   */
  static Optional<Scene> line(StyleSheet sheet, GuidePlan plan, Optional<LinesByPlace> lines) {
    Optional<Double> width = centre(sheet, LineMeasures.WIDTH);
    Marks marks = GuideFigure.standing(sheet, plan, Optional.empty()).marks();
    Optional<HeadFrame> frame = marks.headFrame();
    if (width.isEmpty() || frame.isEmpty()) {
      return Optional.empty();
    }
    PlainFigure.Box box =
        lines.isPresent() ? new PlainFigure.Box(AIR, AIR, 176, HEIGHT - 2 * AIR) : WHOLE;
    Marks fitted = PlainFigure.fitted(PlainFigure.headOf(marks), frame.get(), box);
    double pixels = width.get() * fitted.headFrame().orElseThrow().headPixels() / 1000;
    double ratio = Math.sqrt(centre(sheet, LineMeasures.OUTLINE_INNER).orElse(1.0));
    List<Item> head = FigureOutline.head(fitted, 1);
    List<Item> items = new ArrayList<>();
    for (int i = 0; i < head.size(); i++) {
      boolean isOutline = i == 0;
      if (isOutline && lines.isPresent() && head.get(i) instanceof Item.Stroke stroke) {
        items.add(swelling(stroke.outline(), fitted, lines.get(), pixels, pixels * ratio));
      } else if (!(head.get(i) instanceof Item.Stroke stroke) || stroke.dashPixels().isEmpty()) {
        // The mass of the hair is a limit and no line.
        items.add(
            PlainFigure.redrawn(head.get(i), INK, isOutline ? pixels * ratio : pixels / ratio));
      }
    }
    lines.ifPresent(of -> beside(items, of, pixels));
    return Optional.of(scene(Question.LINE, items));
  }

  /** Each place with a piece of its line. */
  private static void beside(List<Item> items, LinesByPlace lines, double pixels) {
    double high = Math.min(24, (HEIGHT - 2 * AIR) / lines.places().size());
    double y = AIR + high / 2;
    for (LinesByPlace.Placed placed : lines.places()) {
      if (placed.isOpen() || placed.overUsual().isEmpty()) {
        items.add(new Item.Stroke(Outline.line(200, y - 4, 200, y + 4), BLUE, 1, List.of()));
        items.add(new Item.Stroke(Outline.line(224, y - 4, 224, y + 4), BLUE, 1, List.of()));
      } else {
        items.add(
            new Item.Stroke(
                Outline.line(198, y, 226, y),
                INK,
                pixels * placed.overUsual().getAsDouble(),
                List.of()));
      }
      items.add(new Item.Words(231, y + 4, CardWords.label(placed), 11.5, INK, Anchor.START, 0));
      y += high;
    }
  }

  /** An outline as a ribbon: as wide at each of its corners as the works have it there. */
  private static Item swelling(
      Outline outline, Marks marks, LinesByPlace lines, double pixels, double usual) {
    List<Point> points = new ArrayList<>();
    List<Double> widths = new ArrayList<>();
    Point from = outline.start();
    double wide = width(from, marks, lines, pixels, usual);
    for (Outline.Piece piece : outline.pieces()) {
      double next = width(piece.to(), marks, lines, pixels, usual);
      for (int step = 0; step < STEPS; step++) {
        double t = step / (double) STEPS;
        points.add(at(from, piece, t));
        widths.add(wide + t * (next - wide));
      }
      from = piece.to();
      wide = next;
    }
    List<Point> outer = new ArrayList<>();
    List<Point> inner = new ArrayList<>();
    int count = points.size();
    for (int i = 0; i < count; i++) {
      Point along = points.get((i + 1) % count).minus(points.get((i + count - 1) % count));
      Point aside =
          new Point(-along.y(), along.x())
              .times(widths.get(i) / 2 / Math.max(1e-9, along.length()));
      outer.add(points.get(i).plus(aside));
      inner.add(points.get(i).minus(aside));
    }
    return new Item.Fill(List.of(Outline.closed(outer), Outline.closed(inner)), INK, 1, true);
  }

  private static Point at(Point from, Outline.Piece piece, double t) {
    if (piece instanceof Outline.Bend bend) {
      double s = 1 - t;
      return from.times(s * s * s)
          .plus(bend.first().times(3 * s * s * t))
          .plus(bend.second().times(3 * s * t * t))
          .plus(bend.to().times(t * t * t));
    }
    return from.plus(piece.to().minus(from).times(t));
  }

  /** At a corner of the outline: the place's whose landmark lies there, else the usual. */
  private static double width(
      Point corner, Marks marks, LinesByPlace lines, double pixels, double usual) {
    for (Station station : List.of(Station.CHEEK, Station.JAW, Station.CHIN)) {
      Landmark landmark = station.landmarks().get(0);
      for (Landmark one : List.of(landmark, landmark.mirrored())) {
        if (marks.point(one).filter(point -> point.distanceTo(corner) < 1).isPresent()) {
          OptionalDouble over = lines.at(station);
          return over.isPresent() ? pixels * over.getAsDouble() : usual;
        }
      }
    }
    return usual;
  }

  /** Each value as a chip with how much of the figure it covers, and the face among them. */
  static Scene values(Values values) {
    List<ValueCuts.Level> levels = values.cuts().levels();
    List<Item> items = new ArrayList<>();

    Point middle = new Point(100, 92);
    Outline shoulders =
        new Outline(
            new Point(40, 236),
            List.of(
                new Outline.Bend(new Point(44, 176), new Point(70, 166), new Point(100, 166)),
                new Outline.Bend(new Point(130, 166), new Point(156, 176), new Point(160, 236))),
            true);
    Outline face = Outline.oval(middle, 46, 60);
    values
        .parts()
        .ifPresent(
            parts -> {
              items.add(filled(shoulders, values.cuts().of(parts.rest())));
              items.add(filled(face, values.cuts().of(parts.face())));
            });
    for (Outline outline : List.of(shoulders, face)) {
      items.add(new Item.Stroke(outline, GRAPHITE, PlainFigure.HAIR, List.of()));
    }
    double high = 220.0 / levels.size();
    for (int i = 0; i < levels.size(); i++) {
      ValueCuts.Level level = levels.get(levels.size() - 1 - i);
      double top = AIR + i * high;
      items.add(new Item.Field(196, top, 34, high - 4, grey(level), "value"));
      items.add(
          words(238, top + 16, CardWords.name(levels.size() - 1 - i, levels.size()), Anchor.START));
      items.add(
          words(
              238,
              top + 32,
              Wording.text("card.percent", Wording.number(100 * level.share(), 0)),
              Anchor.START));
    }
    double left = AIR;
    for (int i = levels.size() - 1; i >= 0; i--) {
      double wide = levels.get(i).share() * (WIDTH - 2 * AIR);
      items.add(new Item.Field(left, 254, wide, 26, grey(levels.get(i)), "area"));
      left += wide;
    }
    return scene(Question.VALUES, items);
  }

  /** Life in graphite and the style in blue, as tall, with what is at one height joined. */
  static Scene real(RealAndDrawn beside) {
    List<Item> items = new ArrayList<>();
    Marks life;
    Marks style;
    if (beside.hasBody()) {
      life = standing(beside.real(), 82);
      style = standing(beside.drawn(), 232);
      items.addAll(coloured(PlainFigure.drawn(life, Limbs.UNKNOWN), GRAPHITE));
      items.addAll(PlainFigure.drawn(style, beside.limbs()));
    } else {
      PlainFigure.Box left = new PlainFigure.Box(AIR, 60, 138, 180);
      life =
          PlainFigure.fitted(
              PlainFigure.headOf(beside.real()), beside.real().headFrame().orElseThrow(), left);
      style =
          PlainFigure.fitted(
              PlainFigure.headOf(beside.drawn()),
              beside.drawn().headFrame().orElseThrow(),
              new PlainFigure.Box(166, 60, 138, 180));
      items.addAll(coloured(FigureOutline.head(life, PlainFigure.HAIR), GRAPHITE));
      items.addAll(FigureOutline.head(style, PlainFigure.HAIR));
    }
    for (Landmark level :
        List.of(Landmark.CROWN, Landmark.CHIN, Landmark.CROTCH, Landmark.KNEE_R, Landmark.SOLE)) {
      Optional<Point> from = life.point(level);
      Optional<Point> to = style.point(level);
      if (from.isPresent() && to.isPresent()) {
        double y = from.get().y();
        double end = to.get().y();
        items.add(dotted(AIR, y, 118, y));
        items.add(dotted(118, y, 196, end));
        items.add(dotted(196, end, WIDTH - AIR, end));
      }
    }
    return scene(Question.REAL, items);
  }

  /** The head as the works have it from each side, at one size and on one eye level. */
  static Optional<Scene> turned(Turned turned) {
    List<Marks> heads = turned.heads().stream().map(SeenHead::upright).toList();
    if (heads.isEmpty()) {
      return Optional.empty();
    }
    double wide = (WIDTH - 2 * AIR) / heads.size();
    double above =
        heads.stream().mapToDouble(head -> -PlainFigure.least(head, Point::y)).max().orElseThrow();
    double below =
        heads.stream().mapToDouble(head -> PlainFigure.most(head, Point::y)).max().orElseThrow();
    double broadest = heads.stream().mapToDouble(PlainFigure::width).max().orElseThrow();
    double high = HEIGHT - 2 * AIR - 2 * LETTERS;
    double scale = Math.min(0.92 * wide / broadest, high / (above + below));
    double top = AIR + (high - scale * (above + below)) / 2 + scale * above;
    List<Item> items = new ArrayList<>();
    for (int i = 0; i < heads.size(); i++) {
      Marks head = heads.get(i);
      double left = AIR + i * wide + (wide - scale * PlainFigure.width(head)) / 2;
      double first = PlainFigure.least(head, Point::x);
      items.addAll(
          FigureOutline.head(
              PlainFigure.moved(
                  head, p -> new Point(left + scale * (p.x() - first), top + scale * p.y())),
              PlainFigure.HAIR));
      items.add(
          words(
              left,
              top + scale * below + 1.6 * LETTERS,
              CardWords.seenFrom(head.view()),
              Anchor.START));
    }
    return Optional.of(scene(Question.TURN, items));
  }

  private static Item dotted(double x1, double y1, double x2, double y2) {
    return new Item.Stroke(Outline.line(x1, y1, x2, y2), DOTTED, 0.8, List.of(2.0, 4.0));
  }

  private static List<Item> coloured(List<Item> items, String colour) {
    return items.stream().map(item -> PlainFigure.redrawn(item, colour, PlainFigure.HAIR)).toList();
  }

  /** Crown to sole over the whole height, its axis at a place. */
  private static Marks standing(Marks marks, double axis) {
    HeadFrame head = marks.headFrame().orElseThrow();
    double top = head.crown().y();
    double base = marks.point(Landmark.SOLE).orElseThrow().y();
    double scale = (HEIGHT - 2 * AIR - HAIR_ROOM) / (base - top);
    return PlainFigure.moved(
        marks,
        p ->
            new Point(
                axis + scale * (p.x() - head.crown().x()),
                AIR + HAIR_ROOM + scale * (p.y() - top)));
  }

  private static Item filled(Outline outline, ValueCuts.Level level) {
    return new Item.Fill(List.of(outline), grey(level), 1, false);
  }

  private static String grey(ValueCuts.Level level) {
    return new OkLab(level.lightness(), 0, 0).toEncodedSrgb().hex();
  }

  private static Optional<Double> centre(StyleSheet sheet, Measure measure) {
    return sheet.rule(measure).map(Rule::centre);
  }

  private static Item words(double x, double y, String text, Anchor anchor) {
    return new Item.Words(x, y, text, LETTERS, INK, anchor, 0);
  }

  private static Scene scene(Question question, List<Item> items) {
    return new Scene(
        WIDTH,
        HEIGHT,
        Wording.text("card." + question.word() + ".name"),
        Wording.text("file.caution"),
        List.of(new Scene.Layer(question.word(), items)));
  }
}
