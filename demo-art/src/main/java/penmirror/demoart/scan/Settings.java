package penmirror.demoart.scan;

import java.util.Locale;
import java.util.Random;

/**
 * How a page lies on the simulated scanner and how badly the scanner sees it.
 *
 * @param pixelsPerInch 150, 300 or 600
 * @param turnDegrees how far the sheet lies turned, clockwise, [−3, 3]
 * @param unevenness how much the lamp falls off over the page, [0, 0.3]
 * @param grain deviation of the paper's grain in linear light, [0, 0.05]
 * @param edgeShadow how dark the lifted edge gets, [0, 0.5]
 * @param dust specks on the glass, [0, 400]
 * @param paper colour of the sheet, 0xRRGGBB
 */
public record Settings(
    Medium medium,
    int pixelsPerInch,
    double turnDegrees,
    double unevenness,
    double grain,
    double edgeShadow,
    int dust,
    int paper,
    long seed) {

  /** What the drawing was made with. */
  public enum Medium {
    /** Ink and colour as they are. */
    INK,
    /** Graphite: greys that never get quite dark, rougher on the paper's grain. */
    PENCIL
  }

  public Settings {
    if (pixelsPerInch != 150 && pixelsPerInch != 300 && pixelsPerInch != 600) {
      throw new IllegalArgumentException(
          "The scanner knows 150, 300 and 600 px per inch, got " + pixelsPerInch + ".");
    }
    require("turn in degrees", turnDegrees, -3, 3);
    require("unevenness", unevenness, 0, 0.3);
    require("grain", grain, 0, 0.05);
    require("edge shadow", edgeShadow, 0, 0.5);
    require("dust", dust, 0, 400);
  }

  /** A scan as it usually comes out: a little turned, warm paper, a lifted edge, some dust. */
  public static Settings usual(Medium medium, int pixelsPerInch, long seed) {
    Random random = new Random(seed);
    double turn = -3 + 6 * random.nextDouble();
    return new Settings(medium, pixelsPerInch, turn, 0.16, 0.012, 0.3, 60, 0xF3EBDD, seed);
  }

  private static void require(String name, double value, double least, double most) {
    if (!(value >= least && value <= most)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "The scanner's %s is %s; it takes %s to %s. Set it inside that range.",
              name,
              value,
              least,
              most));
    }
  }
}
