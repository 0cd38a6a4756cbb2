package penmirror.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Lettering;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Scene;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.reading.CutOut;
import penmirror.core.words.Wording;

/**
 * Figures on one ground line, side by side, as they come. All lengths in pixels of the line-up's
 * own canvas.
 *
 * @param places in the order of the figures
 * @param widthPixels of the canvas
 * @param levels of the ground line and of every head above it; the ground alone where heads differ
 */
public record LineUp(List<Place> places, double widthPixels, List<Double> levels) {
  /** From crown to ground, of the tallest. */
  private static final double TALLEST = 440;

  private static final double GROUND = 520;
  private static final double GAP = 34;
  private static final double MARGIN = 40;
  private static final double NAME_SIZE = 13;
  private static final double CREDIT_SIZE = 11;

  /** On a page so wide letters are as large as elsewhere on it. */
  private static final double PAGE_WIDTH = 1120;

  private static final String INK = "#222326";
  private static final String GRAPHITE = "#5C6065";
  private static final String BLUE = "#2A80A6";

  /** What is alike on all of them. */
  public enum Alike {
    /** Every head is as high: who is tall stands tall. */
    HEAD,
    /** Every figure is as high. */
    HEIGHT;

    /** The word used in addresses and message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * A figure that can stand: its head and its sole are marked.
   *
   * @param cut where its cut-out lies on its picture
   * @param crownY pixels of its picture, as are {@code soleY} and {@code headPixels}
   */
  public record Standing(
      String name, CutOut.Place cut, double crownY, double soleY, double headPixels) {

    /** Empty for one that cannot stand. */
    public static Optional<Standing> of(String name, Marks marks, CutOut.Place cut) {
      return marks
          .headFrame()
          .filter(head -> canStand(marks))
          .map(
              head ->
                  new Standing(
                      name,
                      cut,
                      head.crown().y(),
                      marks.require(Landmark.SOLE).y(),
                      head.headPixels()));
    }

    /** Not so without head or sole, or for one that stands on its head. */
    public static boolean canStand(Marks marks) {
      return marks.headFrame().stream()
          .anyMatch(
              head ->
                  marks.point(Landmark.SOLE).stream()
                      .anyMatch(sole -> sole.y() > head.crown().y()));
    }

    public double headsTall() {
      return (soleY - crownY) / headPixels;
    }
  }

  /** Where the cut-out of one figure is drawn. */
  public record Place(double left, double top, double width, double height) {
    public double middle() {
      return left + width / 2;
    }
  }

  public LineUp {
    places = List.copyOf(places);
    levels = List.copyOf(levels);
  }

  public static LineUp of(List<Standing> figures, Alike alike) {
    double mostHeads = figures.stream().mapToDouble(Standing::headsTall).max().orElse(1);
    double head = TALLEST / mostHeads;
    List<Place> places = new ArrayList<>();
    double x = MARGIN;
    for (Standing figure : figures) {
      double scale =
          alike == Alike.HEAD
              ? head / figure.headPixels()
              : TALLEST / (figure.soleY() - figure.crownY());
      CutOut.Place cut = figure.cut();
      double width = cut.width() * scale;
      places.add(
          new Place(x, GROUND - (figure.soleY() - cut.top()) * scale, width, cut.height() * scale));
      x += width + GAP;
    }
    List<Double> levels = new ArrayList<>(List.of(GROUND));
    for (int i = 1; alike == Alike.HEAD && i <= Math.ceil(mostHeads); i++) {
      levels.add(GROUND - i * head);
    }
    return new LineUp(places, x - GAP + MARGIN, levels);
  }

  /** How many times larger letters are written, so that they can be read on a wide line-up. */
  public double unit() {
    return Math.max(1, widthPixels / PAGE_WIDTH);
  }

  /** Height of the canvas, with room for two rows of words under the ground line. */
  public double heightPixels() {
    return GROUND + 38 * unit();
  }

  /** The line the letters of a row stand on, the first under the ground line being 1. */
  public double row(int number) {
    return GROUND + 16 * number * unit();
  }

  /**
   * To be sent on: the figures with their names and whom to credit.
   *
   * @param pngs the cut-outs, in the order of the figures
   * @param names as many
   * @param credits of what is not one's own
   */
  public Scene scene(String title, List<byte[]> pngs, List<String> names, List<String> credits) {
    List<Item> items = new ArrayList<>();
    items.add(new Item.Field(0, 0, widthPixels, heightPixels(), "#F2F0EA", "paper"));
    for (double level : levels) {
      boolean isGround = level == GROUND;
      items.add(
          new Item.Stroke(
              Outline.line(0, level, widthPixels, level),
              isGround ? INK : BLUE,
              isGround ? 2 : 1,
              isGround ? List.of() : List.of(2.0, 5.0)));
    }
    for (int i = 0; i < places.size(); i++) {
      Place at = places.get(i);
      items.add(
          new Item.Shown(pngs.get(i), "image/png", at.left(), at.top(), at.width(), at.height()));
      items.add(
          words(at.middle() - Lettering.width(names.get(i), NAME_SIZE * unit()) / 2, names.get(i)));
    }
    String credit =
        credits.isEmpty()
            ? ""
            : Wording.text(
                "lineup.credit",
                String.join(
                    ", ",
                    credits.stream().map(of -> of.replaceAll("\\.$", "")).distinct().toList()));
    items.add(
        new Item.Words(MARGIN, row(2), credit, CREDIT_SIZE * unit(), GRAPHITE, Anchor.START, 0));
    return new Scene(
        (int) Math.ceil(widthPixels),
        (int) Math.ceil(heightPixels()),
        title,
        (credit + " " + Wording.text("file.caution")).strip(),
        List.of(new Scene.Layer("line-up", items)));
  }

  private Item.Words words(double x, String text) {
    return new Item.Words(x, row(1), text, NAME_SIZE * unit(), INK, Anchor.START, 0);
  }
}
