package penmirror.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.awt.image.BufferedImage;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PngWriterTest {

  /** pHYs as the PNG specification lays it out: two big-endian counts a metre, then the unit 1. */
  @ParameterizedTest
  @ValueSource(doubles = {150, 300, 600})
  void theResolutionStandsInTheFileAsPixelsAMetre(double perInch) throws Exception {
    byte[] png = PngWriter.write(picture(), Optional.of(new Resolution(perInch)));
    int at = indexOf(png, "pHYs") + 4;
    ByteBuffer chunk = ByteBuffer.wrap(png);
    assertThat(chunk.getInt(at)).isEqualTo((int) Math.round(perInch * 39.37007874));
    assertThat(chunk.getInt(at + 4)).isEqualTo(chunk.getInt(at));
    assertThat(png[at + 8]).isEqualTo((byte) 1);
    PictureReader.Opened opened = new PictureReader().open(png);
    assertThat(opened.resolution().orElseThrow().pixelsPerInch()).isCloseTo(perInch, offset(0.02));
    assertThat(opened.picture().rgb(3)).isEqualTo(0x204060);
  }

  @Test
  void withoutAResolutionNoneIsStated() throws Exception {
    byte[] png = PngWriter.write(picture(), Optional.empty());
    assertThat(indexOf(png, "pHYs")).isEqualTo(-1);
    assertThat(new PictureReader().open(png).resolution()).isEmpty();
  }

  @Test
  void aResolutionGivesMillimetres() {
    Resolution resolution = new Resolution(300);
    assertThat(resolution.millimetres(300)).isCloseTo(25.4, offset(1e-12));
    assertThat(resolution.pixels(resolution.millimetres(77))).isCloseTo(77, offset(1e-12));
    assertThatThrownBy(() -> new Resolution(0)).hasMessageContaining("30 to 10000");
    assertThatThrownBy(() -> new Resolution(Double.NaN)).hasMessageContaining("got NaN");
  }

  private static BufferedImage picture() {
    BufferedImage image = new BufferedImage(9, 7, BufferedImage.TYPE_INT_RGB);
    image.setRGB(3, 0, 0x204060);
    return image;
  }

  private static int indexOf(byte[] bytes, String word) {
    return new String(bytes, StandardCharsets.ISO_8859_1).indexOf(word);
  }
}
