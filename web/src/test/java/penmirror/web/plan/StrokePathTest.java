package penmirror.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class StrokePathTest {

  /** Upper and lower edge at each place, from the path as a browser would read it. */
  private static double width(StrokePath stroke, int place) {
    List<double[]> points =
        Pattern.compile("[ML]([\\d.-]+) ([\\d.-]+)")
            .matcher(stroke.path())
            .results()
            .map(at -> new double[] {number(at.group(1)), number(at.group(2))})
            .toList();
    assertThat(points).hasSize(50);
    double[] over = points.get(place);
    double[] under = points.get(49 - place);
    assertThat(over[0]).isEqualTo(under[0]);
    return under[1] - over[1];
  }

  private static double number(String text) {
    return Double.parseDouble(text);
  }

  @Test
  void anEvenStrokeIsAsWideEverywhere() {
    StrokePath stroke = StrokePath.of(320, 12, 0, 0);
    for (int place = 0; place <= 24; place++) {
      assertThat(width(stroke, place)).isCloseTo(12, offset(0.11));
    }
    assertThat(stroke.path()).startsWith("M0.0 ").contains("L320.0 ").endsWith("z");
  }

  @Test
  void taperThinsTheEndsAndSwellingFillsTheMiddle() {
    StrokePath stroke = StrokePath.of(320, 20, 0.7, 0);
    assertThat(width(stroke, 0)).isCloseTo(6, offset(0.11));
    assertThat(width(stroke, 24)).isCloseTo(6, offset(0.11));
    assertThat(width(stroke, 12)).isCloseTo(20, offset(0.11));
    StrokePath swelling = StrokePath.of(320, 20, 0, 0.2);
    assertThat(width(swelling, 12)).isGreaterThan(22);
    assertThat(width(swelling, 1)).isLessThan(18);
    // Nothing is cut off by the box.
    assertThat(Double.parseDouble(swelling.heightPixels())).isGreaterThan(20 * 1.2 + 10);
  }
}
