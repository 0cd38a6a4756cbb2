package penmirror.core.colour;

/**
 * One flat colour of a figure with the share of the figure it covers.
 *
 * @param colour mean of the colour
 * @param shareOfFigure (0, 1]
 * @param role what it paints, where that is known
 */
public record Swatch(OkLab colour, double shareOfFigure, Role role) {

  /** What a swatch paints. Only the line can be told from the picture alone. */
  public enum Role {
    UNNAMED,
    LINE
  }

  public String hex() {
    return colour.toEncodedSrgb().hex();
  }
}
