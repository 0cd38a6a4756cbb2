package penmirror.web.compare;

import java.util.Arrays;
import java.util.List;
import penmirror.core.measure.Scale;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.web.layout.SvgNumber;

/**
 * One reading of two sheets on one axis, in the measure's scale: the one above, the other below.
 */
record PairStrip(Side one, Side other) {
  static final double WIDTH = 300;
  private static final double MARGIN = 10;

  /**
   * @param x left end of the band
   * @param middle where the middle stands
   * @param dots where the works stand
   */
  record Side(String x, String width, String middle, List<String> dots) {}

  static PairStrip of(StyleSheet one, Rule ofOne, StyleSheet other, Rule ofOther) {
    double apart = apart(ofOther.centre(), ofOne);
    double low = Math.min(-ofOne.tolerance(), apart - ofOther.tolerance());
    double high = Math.max(ofOne.tolerance(), apart + ofOther.tolerance());
    for (double value : values(one, ofOne, ofOne)) {
      low = Math.min(low, value);
      high = Math.max(high, value);
    }
    for (double value : values(other, ofOther, ofOne)) {
      low = Math.min(low, value);
      high = Math.max(high, value);
    }
    double perUnit = (WIDTH - 2 * MARGIN) / (high - low);
    return new PairStrip(
        side(0, ofOne.tolerance(), values(one, ofOne, ofOne), low, perUnit),
        side(apart, ofOther.tolerance(), values(other, ofOther, ofOne), low, perUnit));
  }

  private static double apart(double value, Rule from) {
    Scale scale = from.measure().scale();
    return scale.difference(value, from.centre());
  }

  /** Each work's distance from the first sheet's middle. */
  private static double[] values(StyleSheet sheet, Rule rule, Rule from) {
    return sheet.worksRuledOn(rule.measure()).stream()
        .mapToDouble(work -> apart(work.value(rule.measure()), from))
        .toArray();
  }

  private static Side side(
      double middle, double tolerance, double[] works, double low, double perUnit) {
    return new Side(
        x(middle - tolerance, low, perUnit),
        SvgNumber.of(2 * tolerance * perUnit),
        x(middle, low, perUnit),
        Arrays.stream(works).mapToObj(value -> x(value, low, perUnit)).toList());
  }

  private static String x(double value, double low, double perUnit) {
    return SvgNumber.of(MARGIN + (value - low) * perUnit);
  }
}
