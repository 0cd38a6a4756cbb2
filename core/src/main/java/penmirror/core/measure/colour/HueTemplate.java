package penmirror.core.measure.colour;

import java.util.List;
import java.util.Objects;

/**
 * Sectors of the hue circle that are said to go together, and how far a palette lies from them.
 *
 * <p>Source: Cohen-Or, Sorkine, Gal, Leyvand and Xu, Color Harmonization, ACM Transactions on
 * Graphics 25 (2006), after Matsuda; the sector widths are from memory. Hues here are those of
 * OKLCh, which the source did not use.
 */
public enum HueTemplate {
  ONE_HUE(new Sector(0, 18)),
  NEIGHBOURS(new Sector(0, 93.6)),
  CORNER(new Sector(0, 79.2), new Sector(90, 18)),
  OPPOSITES(new Sector(0, 18), new Sector(180, 18)),
  HALF(new Sector(0, 180)),
  SPLIT(new Sector(0, 93.6), new Sector(180, 18)),
  TWO_FAMILIES(new Sector(0, 93.6), new Sector(180, 93.6));

  /**
   * A wider template must fit better by this share of its width to be preferred, as it always can.
   */
  private static final double PRICE_OF_WIDTH = 0.12;

  private static final int STEP_DEGREES = 3;

  /**
   * @param middle degrees from the template's own zero
   * @param width degrees
   */
  private record Sector(double middle, double width) {
    double distance(double hue, double turn) {
      double off = Math.abs(Math.IEEEremainder(hue - middle - turn, 360));
      return Math.max(0, off - width / 2);
    }
  }

  private final List<Sector> sectors;

  HueTemplate(Sector... sectors) {
    this.sectors = List.of(sectors);
  }

  /**
   * @param turnDegrees hue of the template's first sector
   * @param offDegrees mean distance of the hues from the template
   */
  public record Fit(HueTemplate template, double turnDegrees, double offDegrees) {}

  /**
   * The template that fits best at its best turn.
   *
   * @param weights above 0, one for each hue; at least one
   */
  public static Fit best(double[] hues, double[] weights) {
    Fit best = null;
    double least = Double.MAX_VALUE;
    for (HueTemplate template : values()) {
      double width = template.sectors.stream().mapToDouble(Sector::width).sum();
      for (int turn = 0; turn < 360; turn += STEP_DEGREES) {
        double off = template.off(hues, weights, turn);
        double price = off + PRICE_OF_WIDTH * width;
        if (price < least) {
          least = price;
          best = new Fit(template, turn, off);
        }
      }
    }
    return Objects.requireNonNull(best);
  }

  /** Told of one sector, degrees. */
  @FunctionalInterface
  public interface SectorVisitor {
    void sector(double middleDegrees, double widthDegrees);
  }

  /** The sectors, from the template's own zero. */
  public void eachSector(SectorVisitor visitor) {
    sectors.forEach(sector -> visitor.sector(sector.middle, sector.width));
  }

  private double off(double[] hues, double[] weights, double turn) {
    double sum = 0;
    double total = 0;
    for (int i = 0; i < hues.length; i++) {
      double nearest = 360;
      for (Sector sector : sectors) {
        nearest = Math.min(nearest, sector.distance(hues[i], turn));
      }
      sum += weights[i] * nearest;
      total += weights[i];
    }
    return sum / total;
  }
}
