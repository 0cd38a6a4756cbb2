package penmirror.core.drawing;

import java.util.List;

/** Something drawn, in pixels of the canvas, y down. Colours are written #RRGGBB. */
public sealed interface Item {

  /**
   * A line along an outline.
   *
   * @param dashPixels drawn and open stretches in turn; empty for a whole line
   */
  record Stroke(Outline outline, String colour, double widthPixels, List<Double> dashPixels)
      implements Item {
    public Stroke {
      dashPixels = List.copyOf(dashPixels);
    }
  }

  /**
   * A filled shape.
   *
   * @param outlines closed ones; where two lie over each other the inner is a hole when {@code
   *     evenOdd} holds
   * @param opacity 0 to 1
   */
  record Fill(List<Outline> outlines, String colour, double opacity, boolean evenOdd)
      implements Item {
    public Fill {
      outlines = List.copyOf(outlines);
      if (!(opacity >= 0 && opacity <= 1)) {
        throw new IllegalArgumentException("Opacity is 0 to 1, got " + opacity + ".");
      }
    }
  }

  /**
   * Items of which only what lies inside a shape is seen.
   *
   * @param softPixels standard deviation of the blur that their edges have, 0 for hard ones; a PDF
   *     knows no blur and draws them hard
   */
  record Within(List<Outline> outlines, double softPixels, List<Item> items) implements Item {
    public Within {
      outlines = List.copyOf(outlines);
      items = List.copyOf(items);
      if (!(softPixels >= 0)) {
        throw new IllegalArgumentException("A blur is not below 0, got " + softPixels + ".");
      }
    }
  }

  /**
   * A filled rectangle.
   *
   * @param of what it stands for, a word
   */
  record Field(double left, double top, double width, double height, String colour, String of)
      implements Item {}

  /** On which side of its place a text stands. */
  enum Anchor {
    /** It begins there. */
    START,
    /** It ends there. */
    END
  }

  /**
   * One line of words.
   *
   * @param y of the line the letters stand on
   * @param haloPixels width of the white around the letters
   */
  record Words(
      double x,
      double y,
      String text,
      double sizePixels,
      String colour,
      Anchor anchor,
      double haloPixels)
      implements Item {}

  /**
   * A picture file, drawn out to a rectangle.
   *
   * @param mediaType image/png or image/jpeg
   */
  record Shown(byte[] file, String mediaType, double left, double top, double width, double height)
      implements Item {}
}
