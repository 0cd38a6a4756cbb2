package penmirror.core.card;

import java.util.ArrayList;
import java.util.List;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Lettering;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Placing;
import penmirror.core.drawing.Scene;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.Credits;
import penmirror.core.words.Wording;

/** The cards on paper, two a page of A4, each with its drawing and all it says. */
public final class Booklet {
  /** A4 at 150 px per inch. */
  public static final double PIXELS_PER_INCH = 150;

  private static final int WIDTH = 1240;
  private static final int HEIGHT = 1754;
  private static final double MARGIN = 70;
  private static final double TOP = 96;
  private static final double FOOT = 150;
  private static final double CARD = (HEIGHT - TOP - FOOT) / 2;
  private static final double DRAWING = 560;
  private static final double SENTENCE = 19;
  private static final double ROW = 25;
  private static final double SMALL = 13;

  private static final String INK = "#222326";
  private static final String GRAPHITE = "#55585C";
  private static final String BLUE = "#155A78";
  private static final String HAIR = "#B9B5A8";

  private Booklet() {}

  /** Its pages; none without cards. */
  public static List<Scene> of(StyleSheet sheet, List<Card> cards) {
    List<Scene> pages = new ArrayList<>();
    for (int first = 0; first < cards.size(); first += 2) {
      List<Item> items = new ArrayList<>();
      items.add(words(MARGIN, 66, sheet.name(), 26, INK, Anchor.START));
      items.add(
          words(
              WIDTH - MARGIN,
              66,
              Wording.text("cards.from", sheet.works().size()),
              SMALL,
              GRAPHITE,
              Anchor.END));
      for (int i = first; i < Math.min(first + 2, cards.size()); i++) {
        card(items, cards.get(i), TOP + (i - first) * CARD);
      }
      foot(items, sheet);
      pages.add(
          new Scene(
              WIDTH,
              HEIGHT,
              Wording.text("cards.booklet", sheet.name()),
              Credits.described(sheet),
              List.of(new Scene.Layer("cards", items))));
    }
    return pages;
  }

  private static void card(List<Item> items, Card card, double top) {
    items.add(line(top));
    items.add(
        words(
            MARGIN,
            top + 34,
            Wording.text("card." + card.asks().word() + ".name"),
            24,
            BLUE,
            Anchor.START));
    double left = MARGIN;
    if (card.drawing().isPresent()) {
      Scene drawing = card.drawing().get();
      items.addAll(Placing.within(drawing, MARGIN, top + 52, DRAWING, CARD - 80).items(drawing));
      left += DRAWING + 30;
    }
    double y = top + 74;
    for (Card.Told told : card.told()) {
      List<String> rows = Lettering.lines(told.sentence(), SENTENCE, WIDTH - MARGIN - left);
      if (y + rows.size() * ROW > top + CARD - 20) {
        break; // What comes last matters least.
      }
      for (String row : rows) {
        items.add(words(left, y, row, SENTENCE, INK, Anchor.START));
        y += ROW;
      }
      y += 9;
    }
  }

  private static void foot(List<Item> items, StyleSheet sheet) {
    double y = HEIGHT - FOOT + 50;
    items.add(line(y - 20));
    for (String row : Credits.rows(sheet, SMALL, WIDTH - 2 * MARGIN)) {
      items.add(words(MARGIN, y, row, SMALL, GRAPHITE, Anchor.START));
      y += 17;
    }
  }

  private static Item line(double y) {
    return new Item.Stroke(Outline.line(MARGIN, y, WIDTH - MARGIN, y), HAIR, 1, List.of());
  }

  private static Item words(
      double x, double y, String text, double size, String colour, Anchor anchor) {
    return new Item.Words(x, y, text, size, colour, anchor, 0);
  }
}
