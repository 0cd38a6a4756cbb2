package penmirror.core.measure.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.Drawing;
import penmirror.core.OpenArt;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.colour.Swatch;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;

class PaletteReaderTest {

  /** Blended pixels along an edge make colours that nobody chose: none of them may come out. */
  @Test
  void edgesMakeNoColoursOfTheirOwn() {
    Drawing drawing = new Drawing(300, 300, 0x4D4566);
    for (int i = 0; i < 6; i++) {
      drawing.fill(new Ellipse2D.Double(10 + 47 * i, 20 + 40 * i, 44, 44), 0xE3A93F);
    }
    List<Swatch> swatches = read(drawing.picture());
    assertThat(swatches).extracting(Swatch::hex).containsExactly("#4D4566", "#E3A93F");
    double circles = 6 * Math.PI * 22 * 22 / 90_000;
    assertThat(swatches.get(1).shareOfFigure()).isCloseTo(circles, offset(0.005));
  }

  @Test
  void aLightAndItsShadowAreTwoColours() {
    List<Swatch> swatches =
        read(
            new Drawing(200, 200, 0xF0CBA6)
                .fill(new Rectangle2D.Double(0, 0, 60, 200), 0xDCA580)
                .picture());
    assertThat(swatches).extracting(Swatch::hex).containsExactly("#F0CBA6", "#DCA580");
    assertThat(swatches.get(1).shareOfFigure()).isCloseTo(0.3, offset(0.01));
  }

  @Test
  void coloursTooNearToTellApartAreOne() {
    List<Swatch> swatches =
        read(
            new Drawing(200, 200, 0x808080)
                .fill(new Rectangle2D.Double(0, 0, 100, 200), 0x848484)
                .picture());
    assertThat(swatches).hasSize(1);
  }

  @Test
  void theLineIsNamedByItsValue() {
    Picture picture =
        new Drawing(200, 200, 0xF0CBA6)
            .stroke(new Ellipse2D.Double(40, 40, 120, 120), 14, 0x241F20)
            .picture();
    OkLab ink = OkLab.from(EncodedSrgb.fromHex("#241F20"));
    List<Swatch> named = palette(picture).withLine(ink, 0.1);
    assertThat(named.get(1).role()).isEqualTo(Swatch.Role.LINE);
    assertThat(named.get(0).role()).isEqualTo(Swatch.Role.UNNAMED);
    assertThat(read(picture)).allMatch(swatch -> swatch.role() == Swatch.Role.UNNAMED);
  }

  @Test
  void grainDoesNotBreakAFlatIntoMany() {
    List<Swatch> swatches =
        read(
            new Drawing(300, 300, 0x7C8450)
                .fill(new Rectangle2D.Double(0, 0, 150, 300), 0xE3A93F)
                .grain(2)
                .picture());
    assertThat(swatches).hasSize(2);
    for (String chosen : List.of("#7C8450", "#E3A93F")) {
      Lab truth = Lab.from(EncodedSrgb.fromHex(chosen));
      assertThat(swatches).anyMatch(s -> Lab.from(s.colour().toEncodedSrgb()).ciede2000(truth) < 1);
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.75, 0.9, 1.0})
  void jpegKeepsTheColoursWithinOneStep(double quality) {
    Drawing drawing =
        new Drawing(320, 320, 0x7C8450)
            .fill(new Rectangle2D.Double(0, 0, 160, 320), 0xE3A93F)
            .fill(new Ellipse2D.Double(90, 90, 140, 140), 0x4D4566);
    List<Swatch> swatches = read(drawing.asJpeg(quality));
    for (String chosen : List.of("#7C8450", "#E3A93F", "#4D4566")) {
      Lab truth = Lab.from(EncodedSrgb.fromHex(chosen));
      assertThat(swatches.subList(0, 3))
          .as("%s at quality %s", chosen, quality)
          .anyMatch(s -> Lab.from(s.colour().toEncodedSrgb()).ciede2000(truth) < 1.5);
    }
  }

  /**
   * Against counting: on open heads, whose vector source paints in flats, the share of each large
   * colour is the share of its exact value among all pixels, to what antialiasing hides.
   */
  @ParameterizedTest
  @ValueSource(strings = {"openPeeps-00", "openPeeps-02", "openPeeps-05", "openPeeps-09"})
  void sharesOfOpenHeadsAreTheirPixelCounts(String head) {
    Picture picture = OpenArt.draw("heads", head, 768);
    Map<Integer, Integer> counts = new HashMap<>();
    for (int i = 0; i < picture.pixelCount(); i++) {
      counts.merge(picture.rgb(i), 1, Integer::sum);
    }
    for (Swatch swatch : read(picture)) {
      if (swatch.shareOfFigure() < 0.02) {
        continue;
      }
      int rgb = Integer.parseInt(swatch.hex().substring(1), 16);
      double exact = counts.getOrDefault(rgb, 0) / (double) picture.pixelCount();
      assertThat(swatch.shareOfFigure()).as(swatch.hex()).isBetween(exact * 0.999, exact + 0.02);
    }
  }

  @Test
  void sharesAddUpToTheFigure() {
    Picture picture = OpenArt.draw("heads", "openPeeps-03", 500);
    double sum = read(picture).stream().mapToDouble(Swatch::shareOfFigure).sum();
    assertThat(sum).isBetween(0.99, 1.0000001);
  }

  @Test
  void anEmptyFigureHasNoColours() {
    Picture picture = new Drawing(40, 40, 0xFFFFFF).picture();
    Mask nothing = new Mask(40, 40, new boolean[1600]);
    assertThat(PaletteReader.seen().read(planes(picture), nothing).swatches()).isEmpty();
  }

  @Test
  void theSamePictureReadsTheSameTwice() {
    Picture picture = OpenArt.draw("heads", "notionists-03", 400);
    assertThat(read(picture)).isEqualTo(read(picture));
  }

  private static List<Swatch> read(Picture picture) {
    return palette(picture).swatches();
  }

  private static Palette palette(Picture picture) {
    return PaletteReader.seen().read(planes(picture), all(picture));
  }

  private static OkLabPlanes planes(Picture picture) {
    return OkLabPlanes.of(picture.pixelCount(), picture::rgb);
  }

  private static Mask all(Picture picture) {
    boolean[] set = new boolean[picture.pixelCount()];
    Arrays.fill(set, true);
    return new Mask(picture.widthPixels(), picture.heightPixels(), set);
  }
}
