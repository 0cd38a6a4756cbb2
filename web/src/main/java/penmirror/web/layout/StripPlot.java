package penmirror.web.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import penmirror.core.measure.Scale;
import penmirror.core.style.Rule;
import penmirror.core.words.Wording;

/**
 * Places of a strip plot on a drawing of {@link #WIDTH} by {@link #HEIGHT}: the band, the middle, a
 * dot a work.
 */
public record StripPlot(
    String bandX, String bandWidth, String middleX, List<Dot> dots, String low, String high) {
  public static final int WIDTH = 290;
  public static final int HEIGHT = 34;
  private static final double MARGIN = 8;
  private static final double DOT_STEP = 5.5;

  /**
   * A work on the strip.
   *
   * @param outside whether it lies outside the band
   */
  public record Dot(String x, String y, boolean outside, String title, String value, String href) {}

  /** A value to be put on the strip. */
  public record Entry(double value, String title, String href) {}

  public static StripPlot of(Rule rule, List<Entry> entries) {
    Scale scale = rule.measure().scale();
    // By how far each lies from the middle: on a circle that is the short way round.
    double low = scale.difference(rule.low(), rule.centre());
    double high = scale.difference(rule.high(), rule.centre());
    double from = low;
    double to = high;
    for (Entry entry : entries) {
      from = Math.min(from, scale.difference(entry.value(), rule.centre()));
      to = Math.max(to, scale.difference(entry.value(), rule.centre()));
    }
    double room = (to - from) * 0.12;
    double start = from - room;
    double extent = to - from + 2 * room;
    DoubleUnaryOperator place = off -> MARGIN + (off - start) / extent * (WIDTH - 2 * MARGIN);
    double bandStart = place.applyAsDouble(low);
    return new StripPlot(
        SvgNumber.of(bandStart),
        SvgNumber.of(place.applyAsDouble(high) - bandStart),
        SvgNumber.of(place.applyAsDouble(0)),
        dots(rule, entries, place),
        told(rule, start),
        told(rule, start + extent));
  }

  private static String told(Rule rule, double off) {
    Scale scale = rule.measure().scale();
    double value = scale.told(scale.fromScale(scale.toScale(rule.centre()) + off));
    return Wording.number(rule.measure().unit(), value);
  }

  /** Dots that would lie on each other step up and down from the axis. */
  private static List<Dot> dots(Rule rule, List<Entry> entries, DoubleUnaryOperator place) {
    List<Double> taken = new ArrayList<>();
    return entries.stream()
        .map(
            entry -> {
              double x =
                  place.applyAsDouble(
                      rule.measure().scale().difference(entry.value(), rule.centre()));
              long near = taken.stream().filter(other -> Math.abs(other - x) < 7).count();
              taken.add(x);
              double step = (near + 1) / 2 * (near % 2 == 0 ? 1 : -1) * DOT_STEP;
              return new Dot(
                  SvgNumber.of(x),
                  SvgNumber.of(HEIGHT / 2.0 + Math.max(-11, Math.min(11, step))),
                  !rule.holds(entry.value()),
                  entry.title(),
                  Wording.number(rule.measure().unit(), entry.value()),
                  entry.href());
            })
        .toList();
  }
}
