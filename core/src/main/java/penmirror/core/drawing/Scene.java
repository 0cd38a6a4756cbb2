package penmirror.core.drawing;

import java.util.List;

/**
 * A drawing before it is written to a file.
 *
 * @param widthPixels of the canvas, above 0
 * @param heightPixels of the canvas, above 0
 * @param title what it is
 * @param description what whoever opens it should know, such as whom to credit
 * @param layers the lowest first
 */
public record Scene(
    int widthPixels, int heightPixels, String title, String description, List<Layer> layers) {

  public Scene {
    if (widthPixels <= 0 || heightPixels <= 0) {
      throw new IllegalArgumentException(
          "A scene has a width and a height, got " + widthPixels + " x " + heightPixels + ".");
    }
    layers = List.copyOf(layers);
  }

  /**
   * @param name a word, kept by writers that have layers
   * @param items the lowest first
   */
  public record Layer(String name, List<Item> items) {
    public Layer {
      items = List.copyOf(items);
    }
  }
}
