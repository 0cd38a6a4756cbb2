package penmirror.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Scene;
import penmirror.core.reading.CutOut;
import penmirror.core.words.Wording;

/** Figures set into a work's picture, to be sent on with whom to credit. */
public final class CompanionScene {
  private static final String PAPER = "#F2F0EA";
  private static final String GRAPHITE = "#5C6065";

  /** Of the strip under the picture, by the picture's height. */
  private static final double STRIP = 0.03;

  private CompanionScene() {}

  /**
   * A figure cut out of the work's own picture.
   *
   * @param place where it lies on that
   */
  public record Figure(byte[] png, CutOut.Place place) {}

  /**
   * A figure that is set in.
   *
   * @param png its cut-out as it stands, turned about where it stands so
   */
  public record Guest(byte[] png, Companion companion) {}

  /**
   * @param picture of the work, as PNG
   * @param paper its colour where it goes on, as CSS has it
   * @param figure stands before those that stand behind it; empty where it is not known
   */
  public static Scene of(
      String title,
      byte[] picture,
      String paper,
      Companion.Host host,
      Optional<Figure> figure,
      List<Guest> guests,
      String credit) {
    double left = host.room().left();
    double width = left + host.widthPixels() + host.room().right();
    int height = host.heightPixels();
    List<Item> items = new ArrayList<>();
    items.add(new Item.Field(0, 0, width, height, paper, "paper"));
    items.add(new Item.Shown(picture, "image/png", left, 0, host.widthPixels(), height));
    guests.stream()
        .filter(one -> one.companion().stand().behind())
        .forEach(one -> add(items, one, left));
    figure
        .filter(own -> guests.stream().anyMatch(one -> one.companion().stand().behind()))
        .ifPresent(
            own ->
                items.add(
                    new Item.Shown(
                        own.png(),
                        "image/png",
                        left + own.place().left(),
                        own.place().top(),
                        own.place().width(),
                        own.place().height())));
    guests.stream()
        .filter(one -> !one.companion().stand().behind())
        .forEach(one -> add(items, one, left));
    double strip = Math.max(16, STRIP * height);
    String told = Wording.text("lineup.credit", credit.replaceAll("\\.$", ""));
    items.add(new Item.Field(0, height, width, strip, PAPER, "strip"));
    items.add(
        new Item.Words(
            strip / 3, height + 0.7 * strip, told, strip / 2, GRAPHITE, Anchor.START, 0));
    return new Scene(
        (int) Math.ceil(width),
        (int) Math.ceil(height + strip),
        title,
        told + " " + Wording.text("file.caution"),
        List.of(new Scene.Layer("companion", items)));
  }

  private static void add(List<Item> items, Guest guest, double left) {
    LineUp.Place at = guest.companion().place();
    items.add(
        new Item.Shown(
            guest.png(), "image/png", left + at.left(), at.top(), at.width(), at.height()));
  }
}
