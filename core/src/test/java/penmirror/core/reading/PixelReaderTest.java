package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import penmirror.core.OpenArt;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.raster.Picture;

class PixelReaderTest {

  /** Two flat colours on paper: the paper is no colour of the figure, the shares are the areas. */
  @Test
  void sharesAreTheAreasDrawn() {
    Picture picture = twoColours(600);
    PixelReadings readings = new PixelReader().read(picture);
    assertThat(readings.figureAreaPixels()).isCloseTo(300L * 400, offset(1500L));
    assertThat(readings.swatches()).extracting(Swatch::hex).containsExactly("#7C8450", "#E3A93F");
    assertThat(readings.swatches().get(0).shareOfFigure()).isCloseTo(0.75, offset(0.005));
    assertThat(readings.estimate(ColourMeasures.PALETTE_SIZE).orElseThrow().value()).isEqualTo(2);
  }

  @Test
  void valueRangeRunsFromTheDarkToTheLightFlat() {
    PixelReadings readings = new PixelReader().read(twoColours(600));
    double dark = OkLab.from(EncodedSrgb.fromHex("#7C8450")).lightness();
    double light = OkLab.from(EncodedSrgb.fromHex("#E3A93F")).lightness();
    assertThat(readings.estimate(ShadeMeasures.VALUE_RANGE).orElseThrow().value())
        .isCloseTo(light - dark, offset(0.005));
  }

  /** The vector source of these heads names every fill: the largest swatches must be among them. */
  @Test
  void openHeadsReadTheFillsOfTheirSource() {
    PixelReadings readings = new PixelReader().read(OpenArt.draw("heads", "openPeeps-00", 768));
    assertThat(readings.swatches())
        .extracting(Swatch::hex)
        .contains("#694D3D", "#000000", "#FFCF77");
  }

  @Test
  void anEmptySheetHasNoFigureNoLineAndNoColour() {
    BufferedImage image = new BufferedImage(90, 60, BufferedImage.TYPE_INT_RGB);
    PixelReadings readings = new PixelReader().read(Picture.from(image));
    assertThat(readings.figureAreaPixels()).isZero();
    assertThat(readings.absence(LineMeasures.WIDTH)).isEqualTo(Reason.NO_LINES);
    assertThat(readings.absence(ShadeMeasures.VALUE_RANGE)).isEqualTo(Reason.NO_FIGURE);
    assertThat(readings.swatches()).isEmpty();
  }

  @Test
  void onePixelIsEnoughToSayNothing() {
    BufferedImage image = new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB);
    assertThat(new PixelReader().read(Picture.from(image)).figureAreaPixels()).isZero();
  }

  @Test
  void doubleSizeReadsTheSameColoursAndDoubleLines() {
    PixelReadings small = new PixelReader().read(OpenArt.draw("heads", "openPeeps-04", 600));
    PixelReadings large = new PixelReader().read(OpenArt.draw("heads", "openPeeps-04", 1200));
    assertThat(large.swatches().get(0).hex()).isEqualTo(small.swatches().get(0).hex());
    assertThat(LineMeasures.widthPixels(large).orElseThrow())
        .isCloseTo(2 * LineMeasures.widthPixels(small).orElseThrow(), offset(1.2));
  }

  @Test
  void tellsItsStepsInOrderAndCanBeStopped() {
    List<PixelReader.Step> steps = new ArrayList<>();
    new PixelReader().read(twoColours(200), Marks.none(View.FRONT), steps::add);
    assertThat(steps).containsExactly(PixelReader.Step.values());
    assertThatThrownBy(
            () ->
                new PixelReader()
                    .read(
                        twoColours(200),
                        Marks.none(View.FRONT),
                        step -> {
                          throw new CancellationException();
                        }))
        .isInstanceOf(CancellationException.class);
  }

  /** Only the head and the eyes can change what pixels say; a moved mouth is no reason to read. */
  @Test
  void heedsTheHeadAndTheEyesAlone() {
    Marks none = Marks.none(View.FRONT);
    Marks crown = none.with(Landmark.CROWN, Mark.placed(10, 10));
    assertThat(PixelReader.heedsOtherwise(none, crown)).isTrue();
    assertThat(PixelReader.heedsOtherwise(crown, crown.with(Landmark.MOUTH_L, Mark.placed(3, 3))))
        .isFalse();
    Marks proposed = none.with(Landmark.CROWN, Mark.at(new Point(10, 10), Mark.State.PROPOSED));
    assertThat(PixelReader.heedsOtherwise(none, proposed)).as("not confirmed yet").isFalse();
  }

  /** A disc is averaged in linear light: half black and half white is 188 and not 128. */
  @Test
  void aDiscIsAveragedInLinearLight() {
    BufferedImage image = new BufferedImage(101, 101, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, 50, 101);
    OkLab mean = RoleColours.discMean(Picture.from(image), new Point(50.5, 50.5), 40);
    int grey = (int) Math.round(255 * mean.toEncodedSrgb().red());
    assertThat(grey).isBetween(184, 190);
    OkLab one = RoleColours.discMean(Picture.from(image), new Point(20.2, 7.9), 0);
    assertThat(one.lightness()).isCloseTo(1, offset(1e-6));
  }

  /**
   * A mark is a point, and the middle of the first pixel is half a pixel in: a disc of one pixel
   * round the corner of four takes all four alike.
   */
  @Test
  void aDiscLiesRoundThePointAndNotRoundAPixel() {
    BufferedImage image = new BufferedImage(10, 10, BufferedImage.TYPE_INT_RGB);
    image.setRGB(4, 4, 0xFFFFFF);
    image.setRGB(5, 5, 0xFFFFFF);
    OkLab mean = RoleColours.discMean(Picture.from(image), new Point(5, 5), 0.8);
    int grey = (int) Math.round(255 * mean.toEncodedSrgb().red());
    assertThat(grey).as("two white of four, in linear light").isEqualTo(188);
  }

  private static Picture twoColours(int size) {
    BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(new Color(0xF5EDDC));
    graphics.fillRect(0, 0, size, size);
    graphics.setColor(new Color(0x7C8450));
    graphics.fillRect(size / 4, size / 6, size / 2, size * 4 / 6);
    graphics.setColor(new Color(0xE3A93F));
    graphics.fillRect(size / 4, size / 6, size / 2, size / 6);
    return Picture.from(image);
  }
}
