package penmirror.web.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.style.Rule;

/**
 * A rule drawn with its band always as wide, and everything else by how many bands it lies off: all
 * strips of a page can be read alike.
 *
 * @param dots the works
 * @param own where the user's own hand lies, on the strip
 * @param realistic where a realistic figure lies
 */
public record ActStrip(List<Dot> dots, Optional<Mark> own, Optional<Mark> realistic) {
  public static final double WIDTH = 132;
  public static final double BAND_FROM = 44;
  public static final double BAND_TO = 88;
  private static final double MIDDLE = WIDTH / 2;
  private static final double HALF = (BAND_TO - BAND_FROM) / 2;
  private static final double MARGIN = 5;
  private static final double LEVEL = 12;
  private static final double DOT_STEP = 5;

  /**
   * A work.
   *
   * @param outside whether it lies outside the band
   */
  public record Dot(String x, String y, boolean outside, Entry work) {}

  /**
   * @param beyond -1 or 1 where it lies farther off than is drawn, to that side; else 0
   */
  public record Mark(String x, int beyond) {}

  /**
   * A work's value to be put on the strip.
   *
   * @param id how the owner knows the work
   * @param href where it came from
   */
  public record Entry(double value, String title, String href, String id) {}

  public static ActStrip of(
      Rule rule, List<Entry> works, Optional<Double> own, Optional<Double> realistic) {
    List<Dot> dots = new ArrayList<>();
    List<Double> taken = new ArrayList<>();
    for (Entry entry : works) {
      double x = place(rule, entry.value());
      long near = taken.stream().filter(other -> Math.abs(other - x) < 6).count();
      taken.add(x);
      double step = (near + 1) / 2 * (near % 2 == 0 ? 1 : -1) * DOT_STEP;
      dots.add(
          new Dot(
              SvgNumber.of(x),
              SvgNumber.of(LEVEL + Math.max(-8, Math.min(8, step))),
              !rule.holds(entry.value()),
              entry));
    }
    return new ActStrip(dots, mark(rule, own), mark(rule, realistic));
  }

  private static Optional<Mark> mark(Rule rule, Optional<Double> value) {
    return value.map(
        v -> {
          double free = MIDDLE + rule.apart(v) * HALF;
          double x = place(rule, v);
          return new Mark(SvgNumber.of(x), free == x ? 0 : free < x ? -1 : 1);
        });
  }

  /** Where a value stands, held at the ends. */
  public static double place(Rule rule, double value) {
    return Math.max(MARGIN, Math.min(WIDTH - MARGIN, MIDDLE + rule.apart(value) * HALF));
  }
}
