package penmirror.core.measure.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.Drawing;
import penmirror.core.OpenArt;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;

class ColourFactsTest {

  /** Four stripes of known colour and share. */
  private static Drawing stripes(int... colours) {
    Drawing drawing = new Drawing(480, 480, 0xFFFFFF);
    for (int k = 0; k < colours.length; k++) {
      drawing.fill(
          new Rectangle2D.Double(40, 40 + 400.0 * k / colours.length, 400, 400.0 / colours.length),
          colours[k]);
    }
    return drawing;
  }

  @Test
  void meansAreThoseOfTheColoursDrawn() {
    int[] colours = {0xC0552E, 0x4D4566, 0xE3A93F, 0x808080};
    PixelReadings readings = read(stripes(colours));
    double chroma = 0;
    double light = 0;
    for (int rgb : colours) {
      OkLab lab = OkLab.from(EncodedSrgb.fromRgb(rgb));
      chroma += lab.chroma() / 4;
      light += lab.lightness() / 4;
    }
    assertThat(value(readings, ColourMeasures.CHROMA)).isCloseTo(chroma, offset(0.002));
    assertThat(value(readings, ColourMeasures.LIGHT)).isCloseTo(light, offset(0.004));
    assertThat(value(readings, ColourMeasures.GREY)).isCloseTo(0.25, offset(0.01));
    assertThat(value(readings, ColourMeasures.VARIETY)).isCloseTo(4, offset(0.05));
    assertThat(value(readings, ColourMeasures.PALETTE_SIZE)).isEqualTo(4);
    // Warm are the red and the yellow of three that have a hue.
    assertThat(value(readings, ColourMeasures.WARM)).isCloseTo(2 / 3.0, offset(0.02));
  }

  @Test
  void oneHueLeansAllOneWay() {
    PixelReadings readings = read(stripes(0xC0552E, 0xD98A6A, 0x8A3A20));
    assertThat(value(readings, ColourMeasures.LEAN)).isGreaterThan(0.98);
    OkLab red = OkLab.from(EncodedSrgb.fromRgb(0xC0552E));
    assertThat(value(readings, ColourMeasures.HUE)).isCloseTo(red.hueDegrees(), offset(8.0));
    assertThat(value(readings, ColourMeasures.HARMONY)).isLessThan(3);
  }

  @Test
  void greysHaveAnUndertoneAndNoHue() {
    PixelReadings readings = read(stripes(0x7A7F86, 0x565B62));
    assertThat(readings.absence(ColourMeasures.HUE)).isEqualTo(Reason.NO_HUE);
    double b =
        (Lab.from(EncodedSrgb.fromRgb(0x7A7F86)).b() + Lab.from(EncodedSrgb.fromRgb(0x565B62)).b())
            / 2;
    assertThat(value(readings, ColourMeasures.UNDERTONE_B)).isCloseTo(b, offset(0.2));
  }

  /** Three red spots on a figure in greens: an accent in three places. */
  @Test
  void accentsAreCountedByTheirPlaces() {
    Drawing drawing = stripes(0x5D7A4E, 0x7C9A6A, 0x3F5A3A);
    for (int k = 0; k < 3; k++) {
      drawing.fill(new Ellipse2D.Double(90 + 120 * k, 200, 40, 40), 0xD0342C);
    }
    PixelReadings readings = read(drawing);
    assertThat(value(readings, ColourMeasures.ACCENT_PLACES)).isEqualTo(3);
    assertThat(value(readings, ColourMeasures.ACCENT))
        .isCloseTo(3 * Math.PI * 400 / 160_000, offset(0.003));
    assertThat(value(read(stripes(0x5D7A4E, 0x7C9A6A)), ColourMeasures.ACCENT)).isZero();
  }

  @Test
  void theBestTemplateIsTheNarrowestThatFits() {
    double[] even = {1, 1};
    assertThat(HueTemplate.best(new double[] {30, 34}, even).template())
        .isEqualTo(HueTemplate.ONE_HUE);
    assertThat(HueTemplate.best(new double[] {30, 212}, even).template())
        .isEqualTo(HueTemplate.OPPOSITES);
    assertThat(HueTemplate.best(new double[] {30, 60, 90}, new double[] {1, 1, 1}).template())
        .isEqualTo(HueTemplate.NEIGHBOURS);
  }

  /**
   * Against counting: an open head drawn without antialiasing has exactly the colours of its
   * source, so their number and shares can be counted pixel by pixel.
   */
  @Test
  void openHeadsReadTheColoursOfTheirSource() {
    int heads = 0;
    int exact = 0;
    List<String> far = new ArrayList<>();
    for (String head : OpenArt.heads()) {
      Map<Integer, Integer> counts = new HashMap<>();
      Picture hard = OpenArt.drawHard("heads", head, OpenArt.READ_PIXELS);
      for (int i = 0; i < hard.pixelCount(); i++) {
        counts.merge(hard.rgb(i), 1, Integer::sum);
      }
      counts.remove(0xFFFFFF); // Paper and white shirts: what is figure of it is not known.
      double total = counts.values().stream().mapToInt(n -> n).sum();
      List<Integer> all =
          counts.entrySet().stream()
              .sorted((one, other) -> other.getValue() - one.getValue())
              .map(Map.Entry::getKey)
              .toList();
      int carry = 0;
      for (double sum = 0; sum < 0.95 * total; sum += counts.get(all.get(carry++))) {}
      List<Swatch> read =
          OpenArt.readings(head).swatches().stream()
              .filter(s -> !s.hex().equals("#FFFFFF"))
              .toList();
      double readTotal = read.stream().mapToDouble(Swatch::shareOfFigure).sum();
      int readCarry = 0;
      for (double sum = 0; sum < 0.95 * readTotal; sum += read.get(readCarry++).shareOfFigure()) {}
      heads++;
      exact += readCarry == carry ? 1 : 0;
      for (int rgb : all.subList(0, carry)) {
        Lab truth = Lab.from(EncodedSrgb.fromRgb(rgb));
        Swatch nearest =
            read.stream()
                .min(
                    Comparator.comparingDouble(
                        s -> Lab.from(s.colour().toEncodedSrgb()).ciede2000(truth)))
                .orElseThrow();
        double difference = Lab.from(nearest.colour().toEncodedSrgb()).ciede2000(truth);
        double share = nearest.shareOfFigure() / readTotal - counts.get(rgb) / total;
        if (difference > 1 || Math.abs(share) > 0.01) {
          far.add(head + " " + Integer.toHexString(rgb) + " " + difference + " " + share);
        }
      }
    }
    assertThat(heads).isEqualTo(36);
    assertThat(exact / (double) heads).as("number of colours exact").isGreaterThanOrEqualTo(0.9);
    assertThat(far).as("colours off by more than 1 CIEDE2000 or 1 point of area").isEmpty();
  }

  private static PixelReadings read(Drawing drawing) {
    return new PixelReader().read(drawing.picture());
  }

  private static double value(PixelReadings readings, Measure measure) {
    return readings.estimate(measure).orElseThrow().value();
  }
}
