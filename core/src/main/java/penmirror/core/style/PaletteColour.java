package penmirror.core.style;

import penmirror.core.colour.OkLab;

/**
 * A colour of the style.
 *
 * @param meanShareOfFigure over the works that have it, (0, 1]
 * @param workCount works that have it
 */
public record PaletteColour(OkLab colour, double meanShareOfFigure, int workCount) {
  public String hex() {
    return colour.toEncodedSrgb().hex();
  }
}
