package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.raster.Picture;

/** Pictures that no figure is in, or hardly one: nothing is made up, and nothing goes wrong. */
class FirstSightTest {

  @ParameterizedTest
  @CsvSource({"1, 1", "3, 400", "400, 3", "640, 480"})
  void anEmptyPictureShowsNothing(int width, int height) {
    FirstSight sight = look(blank(width, height));
    assertThat(sight.view()).isEmpty();
    assertThat(sight.turn()).isEmpty();
    assertThat(sight.proposal().points().values())
        .allMatch(point -> point.place().x() <= width && point.place().y() <= height);
  }

  /** A wide view of sky, hills and a lake fills the picture and is no figure. */
  @Test
  void aLandscapeIsNotSaidToBeAFigureAsSure() {
    BufferedImage image = blank(900, 500);
    Graphics2D pen = image.createGraphics();
    pen.setColor(new Color(0x9CC7E8));
    pen.fillRect(0, 0, 900, 260);
    pen.setColor(new Color(0x5E8A4B));
    pen.fillPolygon(
        new int[] {0, 250, 520, 900, 900, 0}, new int[] {240, 120, 260, 90, 380, 380}, 6);
    pen.setColor(new Color(0x3C6E8F));
    pen.fillRect(0, 370, 900, 130);
    pen.dispose();
    FirstSight sight = look(image);
    ToAsk ask = ToAsk.of(sight, sight.proposal().view(), framing(sight));
    assertThat(ask.isSure()).as("somebody is asked").isFalse();
    assertThat(ask.taken()).doesNotContain(Landmark.EYE_L_INNER, Landmark.MOUTH_L, Landmark.CHIN);
  }

  @Test
  void noiseIsNoFace() {
    BufferedImage image = blank(300, 300);
    Random random = new Random(5);
    for (int y = 0; y < 300; y++) {
      for (int x = 0; x < 300; x++) {
        image.setRGB(x, y, random.nextInt(0x1000000));
      }
    }
    FirstSight sight = look(image);
    ToAsk ask = ToAsk.of(sight, sight.proposal().view(), framing(sight));
    assertThat(ask.isSure()).isFalse();
    assertThat(ask.taken()).doesNotContain(Landmark.EYE_L_INNER, Landmark.MOUTH_L);
  }

  /** The same picture is always seen the same. */
  @Test
  void aLookIsRepeatable() {
    BufferedImage image = blank(400, 500);
    Graphics2D pen = image.createGraphics();
    pen.setColor(new Color(0xE0B090));
    pen.fillOval(120, 80, 160, 200);
    pen.setColor(Color.BLACK);
    pen.fillOval(160, 160, 20, 12);
    pen.fillOval(220, 160, 20, 12);
    pen.fillRect(175, 235, 50, 5);
    pen.dispose();
    FirstSight one = look(image);
    FirstSight other = look(image);
    assertThat(other.view()).isEqualTo(one.view());
    assertThat(other.framing()).isEqualTo(one.framing());
    assertThat(other.proposal()).isEqualTo(one.proposal());
  }

  private static Optional<Framing> framing(FirstSight sight) {
    return sight.framing().map(FirstSight.Seen::what);
  }

  private static FirstSight look(BufferedImage image) {
    return new Proposer(List.of()).look(Picture.from(image));
  }

  private static BufferedImage blank(int width, int height) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setColor(Color.WHITE);
    pen.fillRect(0, 0, width, height);
    pen.dispose();
    return image;
  }
}
