package penmirror.core.telling;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Lettering;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Placing;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.Scene.Layer;
import penmirror.core.geometry.Point;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.PaletteColour;
import penmirror.core.style.Rule;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;

/**
 * The style sheet on one page of A4, to be pinned beside the drawing board: what makes or breaks
 * the style, drawn small, every act that asks for something, the palette, credit and caution.
 * Readable in grey: the band is a box, works are ticks, what is always so is a full square.
 */
public final class SheetDrawing {
  /** A4 at 150 px per inch. */
  public static final double PIXELS_PER_INCH = 150;

  private static final int WIDTH = 1240;
  private static final int HEIGHT = 1754;
  private static final double MARGIN = 70;
  private static final double GUTTER = 40;
  private static final double COLUMN = (WIDTH - 2 * MARGIN - GUTTER) / 2;
  private static final double STRIP = 120;
  private static final double ROW = 39;

  /** Side of the drawing of what makes or breaks the style. */
  private static final double DRAWN = 62;

  private static final double BOTTOM = HEIGHT - 190;

  private static final String INK = "#222326";
  private static final String GRAPHITE = "#55585C";
  private static final String BLUE = "#155A78";
  private static final String BAND = "#DBEDF4";
  private static final String HAIR = "#B9B5A8";

  private final StyleSheet sheet;
  private final List<Item> items = new ArrayList<>();

  private SheetDrawing(StyleSheet sheet) {
    this.sheet = sheet;
  }

  /**
   * @param headline the user's word over the style; empty where there is none
   * @param words the user's own sentences, by act; the sheet's stand for all others
   * @param drawings of acts that make or break the style, as far as they are drawn
   */
  public static Scene of(
      StyleSheet sheet, String headline, Map<Act, String> words, Map<Act, Scene> drawings) {
    return new SheetDrawing(sheet).scene(headline, new HashMap<>(words), new HashMap<>(drawings));
  }

  private Scene scene(String headline, Map<Act, String> own, Map<Act, Scene> drawings) {
    title(headline);
    double y = makeOrBreak(own, drawings);
    acts(y + 14);
    palette();
    foot();
    return new Scene(
        WIDTH,
        HEIGHT,
        Wording.text("sheet.title", sheet.name()),
        Credits.described(sheet),
        List.of(new Layer("sheet", items)));
  }

  private void title(String headline) {
    words(MARGIN, 108, sheet.name(), 40, INK, Anchor.START);
    if (!headline.isBlank()) {
      words(WIDTH - MARGIN, 108, headline, 40, BLUE, Anchor.END);
    }
    words(
        MARGIN, 136, Wording.text("sheet.from", sheet.works().size()), 16, GRAPHITE, Anchor.START);
    line(MARGIN, 150, WIDTH - MARGIN, 150, INK, 2.4);
  }

  /** Each with its number; returns how far down it reaches. */
  private double makeOrBreak(Map<Act, String> own, Map<Act, Scene> drawings) {
    double y = 150;
    int place = 0;
    for (Act act : sheet.makeOrBreak()) {
      Optional<String> sentence =
          Optional.ofNullable(own.get(act))
              .filter(text -> !text.isBlank())
              .or(() -> ActWords.sentence(sheet, act));
      if (sentence.isEmpty()) {
        continue;
      }
      place++;
      double top = y + 12;
      items.add(new Item.Field(MARGIN, top, 30, 30, BLUE, "place"));
      words(MARGIN + 10, top + 22, Integer.toString(place), 20, "#FFFFFF", Anchor.START);
      double text = top + 22;
      double left = MARGIN + 44;
      double least = top + 34;
      Scene drawing = drawings.get(act);
      if (drawing != null) {
        drawn(drawing, left, top);
        left += DRAWN + 14;
        least = top + DRAWN;
      }
      for (String row : Lettering.lines(sentence.get(), 23, WIDTH - MARGIN - left - STRIP - 40)) {
        words(left, text, row, 23, INK, Anchor.START);
        text += 29;
      }
      if (act.statement().isEmpty()) {
        strip(ActWords.lead(sheet.rules(act)), WIDTH - MARGIN - STRIP, top + 15);
      }
      y = Math.max(text - 10, least);
    }
    if (place > 0) {
      y += 10;
      line(MARGIN, y, WIDTH - MARGIN, y, INK, 1.2);
    }
    return y;
  }

  /** What reaches beyond its box is cut off there. */
  private void drawn(Scene drawing, double left, double top) {
    items.add(
        new Item.Within(
            List.of(box(left, top, DRAWN, DRAWN)),
            0,
            Placing.within(drawing, left, top, DRAWN, DRAWN).items(drawing)));
  }

  /** In two columns, group by group; what the works leave free is named at the end. */
  private void acts(double top) {
    double x = MARGIN;
    double y = top;
    List<String> free = new ArrayList<>();
    List<String> beyond = new ArrayList<>();
    for (ActGroup group : ActGroup.values()) {
      // The body and the face on one side, how it is drawn on the other.
      if (group == ActGroup.LINE) {
        x = MARGIN + COLUMN + GUTTER;
        y = top;
      }
      boolean named = false;
      for (Act act : sheet.acts()) {
        List<Rule> rules = sheet.rules(act);
        if (act.group() != group || rules.isEmpty()) {
          continue;
        }
        Rule lead = ActWords.lead(rules);
        String sentence = ActWords.sentence(sheet, act).orElse("");
        if (lead.strength() == Strength.FREE || sheet.makeOrBreak().contains(act)) {
          if (lead.strength() == Strength.FREE) {
            free.add(ActWords.name(act).toLowerCase(Locale.ENGLISH));
          }
          continue;
        }
        List<String> rows = Lettering.lines(sentence, 15.5, COLUMN - STRIP - 36);
        double tall = Math.max(ROW, rows.size() * 19 + 12) + (named ? 0 : 26);
        if (y + tall > BOTTOM) {
          beyond.add(ActWords.name(act).toLowerCase(Locale.ENGLISH));
          continue;
        }
        if (!named) {
          named = true;
          y += 22;
          words(x, y, Wording.text("sheet.group." + group.word()), 16, BLUE, Anchor.START);
          line(x, y + 5, x + COLUMN, y + 5, HAIR, 1);
          y += 4;
        }
        double text = y + 20;
        for (String row : rows) {
          words(x + 22, text, row, 15.5, INK, Anchor.START);
          text += 19;
        }
        strength(lead, x, y + 8);
        strip(lead, x + COLUMN - STRIP, y + 14);
        y += Math.max(ROW, rows.size() * 19 + 12);
      }
    }
    y += 22;
    for (String row : named("sheet.free", free)) {
      words(x, y, row, 13.5, GRAPHITE, Anchor.START);
      y += 17;
    }
    for (String row : named("sheet.beyond", beyond)) {
      words(x, y, row, 13.5, GRAPHITE, Anchor.START);
      y += 17;
    }
  }

  private static List<String> named(String key, List<String> names) {
    return names.isEmpty()
        ? List.of()
        : Lettering.lines(Wording.text(key, String.join(", ", names)), 13.5, COLUMN);
  }

  /** A full square where it is always so, half of one where it usually is. */
  private void strength(Rule rule, double x, double y) {
    boolean always =
        rule.strength() == Strength.ALWAYS
            && sheet.worksRuledOn(rule.measure()).stream()
                .allMatch(work -> rule.holds(work.value(rule.measure())));
    items.add(new Item.Field(x, y, always ? 13 : 6.5, 13, BLUE, always ? "always" : "usually"));
    items.add(new Item.Stroke(box(x, y, 13, 13), BLUE, 1.2, List.of()));
  }

  private void strip(Rule rule, double x, double y) {
    double middle = x + STRIP / 2;
    double half = STRIP / 6;
    line(x, y, x + STRIP, y, HAIR, 1);
    items.add(new Item.Field(middle - half, y - 8, 2 * half, 16, BAND, rule.measure().key()));
    items.add(new Item.Stroke(box(middle - half, y - 8, 2 * half, 16), BLUE, 0.9, List.of()));
    for (MeasuredWork work : sheet.worksRuledOn(rule.measure())) {
      double apart = rule.apart(work.value(rule.measure()));
      double at = Math.max(x, Math.min(x + STRIP, middle + apart * half));
      line(at, y - 5, at, y + 5, INK, 1.5);
    }
    line(middle, y - 10, middle, y + 10, BLUE, 2);
    String band = band(rule);
    words(x + STRIP, y + 19, band, 10, GRAPHITE, Anchor.END);
  }

  private static String band(Rule rule) {
    DeskUnit unit = DeskUnit.of(rule.measure(), OptionalDouble.empty());
    String figures = unit.band(rule.low(), rule.high());
    return figures.length() > 14 ? "" : figures + " " + shortWord(unit.word());
  }

  /** Where there is room for a word of two letters only. */
  private static String shortWord(String word) {
    return word.length() > 12 ? "" : word;
  }

  private void palette() {
    double x = MARGIN;
    double top = BOTTOM + 36;
    for (PaletteColour colour : sheet.palette()) {
      items.add(new Item.Field(x, top, 76, 30, colour.hex(), "palette"));
      items.add(new Item.Stroke(box(x, top, 76, 30), GRAPHITE, 0.8, List.of()));
      words(x, top + 45, colour.hex(), 12.5, INK, Anchor.START);
      x += 92;
    }
  }

  private void foot() {
    double y = HEIGHT - 78;
    line(MARGIN, y - 16, WIDTH - MARGIN, y - 16, HAIR, 1);
    for (String row : Credits.rows(sheet, 12.5, WIDTH - 2 * MARGIN)) {
      words(MARGIN, y, row, 12.5, GRAPHITE, Anchor.START);
      y += 16;
    }
  }

  private static Outline box(double x, double y, double width, double height) {
    return Outline.closed(
        List.of(
            new Point(x, y),
            new Point(x + width, y),
            new Point(x + width, y + height),
            new Point(x, y + height)));
  }

  private void line(double x1, double y1, double x2, double y2, String colour, double width) {
    items.add(new Item.Stroke(Outline.line(x1, y1, x2, y2), colour, width, List.of()));
  }

  private void words(double x, double y, String text, double size, String colour, Anchor anchor) {
    items.add(new Item.Words(x, y, text, size, colour, anchor, 0));
  }
}
