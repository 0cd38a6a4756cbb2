package penmirror.core.drawing;

import java.util.List;
import penmirror.core.geometry.Point;

/**
 * Puts a drawing somewhere on another.
 *
 * @param left where its left edge comes to lie, pixels of the other
 * @param scale on its lengths, above 0
 */
public record Placing(double left, double top, double scale) {

  /** As large as fits a box, in its middle. */
  public static Placing within(Scene scene, double left, double top, double width, double height) {
    double scale = Math.min(width / scene.widthPixels(), height / scene.heightPixels());
    return new Placing(
        left + (width - scale * scene.widthPixels()) / 2,
        top + (height - scale * scene.heightPixels()) / 2,
        scale);
  }

  /** All that a scene shows, where it comes to lie. */
  public List<Item> items(Scene scene) {
    return scene.layers().stream()
        .flatMap(layer -> layer.items().stream())
        .map(this::item)
        .toList();
  }

  private Item item(Item item) {
    if (item instanceof Item.Stroke stroke) {
      return new Item.Stroke(
          outline(stroke.outline()),
          stroke.colour(),
          stroke.widthPixels() * scale,
          stroke.dashPixels().stream().map(dash -> dash * scale).toList());
    } else if (item instanceof Item.Fill fill) {
      return new Item.Fill(
          fill.outlines().stream().map(this::outline).toList(),
          fill.colour(),
          fill.opacity(),
          fill.evenOdd());
    } else if (item instanceof Item.Within within) {
      return new Item.Within(
          within.outlines().stream().map(this::outline).toList(),
          within.softPixels() * scale,
          within.items().stream().map(this::item).toList());
    } else if (item instanceof Item.Field field) {
      return new Item.Field(
          x(field.left()),
          y(field.top()),
          field.width() * scale,
          field.height() * scale,
          field.colour(),
          field.of());
    } else if (item instanceof Item.Words words) {
      return new Item.Words(
          x(words.x()),
          y(words.y()),
          words.text(),
          words.sizePixels() * scale,
          words.colour(),
          words.anchor(),
          words.haloPixels() * scale);
    }
    Item.Shown shown = (Item.Shown) item;
    return new Item.Shown(
        shown.file(),
        shown.mediaType(),
        x(shown.left()),
        y(shown.top()),
        shown.width() * scale,
        shown.height() * scale);
  }

  private Outline outline(Outline outline) {
    return new Outline(
        point(outline.start()),
        outline.pieces().stream().map(this::piece).toList(),
        outline.isClosed());
  }

  private Outline.Piece piece(Outline.Piece piece) {
    return piece instanceof Outline.Bend bend
        ? new Outline.Bend(point(bend.first()), point(bend.second()), point(bend.to()))
        : new Outline.Straight(point(piece.to()));
  }

  private Point point(Point point) {
    return new Point(x(point.x()), y(point.y()));
  }

  private double x(double x) {
    return left + scale * x;
  }

  private double y(double y) {
    return top + scale * y;
  }
}
