package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Graphics2D;
import java.awt.Image;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import penmirror.core.OpenArt;

/** On thirty-six open heads in three manners, some of which share an outline. */
class FingerprintTest {
  private static final List<Picture> HEADS = new ArrayList<>();
  private static final List<Fingerprint> PRINTS = new ArrayList<>();

  @BeforeAll
  static void drawTheHeads() {
    OpenArt.heads().forEach(name -> HEADS.add(OpenArt.draw("heads", name, 600)));
    HEADS.forEach(head -> PRINTS.add(Fingerprint.of(head)));
  }

  @Test
  void everyAlteredCopyIsFound() throws Exception {
    for (Picture head : HEADS) {
      Fingerprint fingerprint = Fingerprint.of(head);
      assertThat(fingerprint.isNear(Fingerprint.of(head))).isTrue();
      assertThat(fingerprint.isNear(Fingerprint.of(resized(head, 0.5)))).isTrue();
      assertThat(fingerprint.isNear(Fingerprint.of(resized(head, 0.13)))).isTrue();
      assertThat(fingerprint.isNear(Fingerprint.of(resized(head, 1.7)))).isTrue();
      assertThat(fingerprint.isNear(Fingerprint.of(recompressed(head, 0.4f)))).isTrue();
      Picture mirrored = mirrored(head);
      assertThat(fingerprint.mirrored().isNear(Fingerprint.of(mirrored))).isTrue();
      assertThat(
              fingerprint
                  .mirrored()
                  .isNear(Fingerprint.of(recompressed(resized(mirrored, 0.4), 0.6f))))
          .isTrue();
    }
  }

  @Test
  void noTwoHeadsAreTakenForOne() {
    for (int i = 0; i < HEADS.size(); i++) {
      for (int j = i + 1; j < HEADS.size(); j++) {
        Fingerprint other = PRINTS.get(j);
        assertThat(PRINTS.get(i).isNear(other))
            .as("%s and %s", OpenArt.heads().get(i), OpenArt.heads().get(j))
            .isFalse();
        assertThat(PRINTS.get(i).mirrored().isNear(other)).isFalse();
      }
    }
  }

  /** Neither test alone would do: one pair of heads has nearly one outline. */
  @Test
  void theCellsTellApartWhatTheFrequenciesDoNot() {
    int alike = 0;
    for (int i = 0; i < HEADS.size(); i++) {
      for (int j = i + 1; j < HEADS.size(); j++) {
        alike += PRINTS.get(i).differentBits(PRINTS.get(j)) <= 36 ? 1 : 0;
      }
    }
    assertThat(alike).isPositive();
  }

  @Test
  void anotherShapeIsAnotherPicture() {
    Picture head = HEADS.get(0);
    BufferedImage wide = new BufferedImage(700, 600, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = wide.createGraphics();
    pen.drawImage(head.toImage(), 0, 0, 700, 600, null);
    assertThat(Fingerprint.of(head).isNear(Fingerprint.of(Picture.from(wide)))).isFalse();
  }

  @Test
  void isKeptAsBytes() {
    Fingerprint fingerprint = PRINTS.get(3);
    Fingerprint back = Fingerprint.ofBytes(fingerprint.toBytes());
    assertThat(back.differentBits(fingerprint)).isZero();
    assertThat(back.differentCell(fingerprint)).isZero();
    assertThat(back.isNear(fingerprint)).isTrue();
    assertThatThrownBy(() -> Fingerprint.ofBytes(new byte[7])).hasMessageContaining("got 7");
  }

  @Test
  void aPictureOfOnePixelHasOneToo() {
    Fingerprint dot = Fingerprint.of(Picture.of(1, 1, new int[] {0x808080}));
    assertThat(dot.isNear(dot)).isTrue();
  }

  private static Picture resized(Picture picture, double scale) {
    int width = (int) Math.round(picture.widthPixels() * scale);
    int height = (int) Math.round(picture.heightPixels() * scale);
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Image small = picture.toImage().getScaledInstance(width, height, Image.SCALE_AREA_AVERAGING);
    image.createGraphics().drawImage(small, 0, 0, null);
    return Picture.from(image);
  }

  private static Picture recompressed(Picture picture, float quality) throws Exception {
    var writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam settings = writer.getDefaultWriteParam();
    settings.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    settings.setCompressionQuality(quality);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (var stream = ImageIO.createImageOutputStream(out)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(picture.toImage(), null, null), settings);
    } finally {
      writer.dispose();
    }
    return Picture.from(ImageIO.read(new ByteArrayInputStream(out.toByteArray())));
  }

  private static Picture mirrored(Picture picture) {
    int width = picture.widthPixels();
    int[] rgb = new int[picture.pixelCount()];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i / width * width + width - 1 - i % width] = picture.rgb(i);
    }
    return Picture.of(width, picture.heightPixels(), rgb);
  }
}
