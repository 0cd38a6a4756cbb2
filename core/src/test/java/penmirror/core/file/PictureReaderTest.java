package penmirror.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Random;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import penmirror.core.file.UnusablePictureException.Reason;
import penmirror.core.raster.Picture;

class PictureReaderTest {
  private final PictureReader reader = new PictureReader();

  @Test
  void pngAndJpegAreToldByContent() throws Exception {
    PictureReader.Opened png = reader.open(encode(picture(), "png"));
    PictureReader.Opened jpeg = reader.open(encode(picture(), "jpg"));
    assertThat(png.format()).isEqualTo(PictureFormat.PNG);
    assertThat(jpeg.format()).isEqualTo(PictureFormat.JPEG);
    assertThat(png.picture().widthPixels()).isEqualTo(40);
    assertThat(png.picture().rgb(0)).isEqualTo(0x336699);
  }

  @Test
  void transparencyIsLaidOnWhite() throws Exception {
    BufferedImage image = new BufferedImage(2, 1, BufferedImage.TYPE_INT_ARGB);
    image.setRGB(0, 0, 0x00000000);
    image.setRGB(1, 0, 0x80000000);
    Picture picture = reader.open(encode(image, "png")).picture();
    assertThat(picture.rgb(0)).isEqualTo(0xFFFFFF);
    assertThat(picture.rgb(1)).isEqualTo(0x7F7F7F);
  }

  @Test
  void greyFilesKeepTheirEncodedValues() throws Exception {
    BufferedImage image = new BufferedImage(4, 4, BufferedImage.TYPE_BYTE_GRAY);
    for (int i = 0; i < 16; i++) {
      image.getRaster().setSample(i % 4, i / 4, 0, 128);
    }
    assertThat(reader.open(encode(image, "png")).picture().rgb(5)).isEqualTo(0x808080);
  }

  @Test
  void everyCameraOrientationStandsUpright() throws Exception {
    for (int exif = 1; exif <= 8; exif++) {
      BufferedImage stored = storedFor(exif);
      Picture upright = reader.open(withOrientation(encode(stored, "jpg"), exif)).picture();
      assertThat(upright.widthPixels()).as("orientation %d", exif).isEqualTo(48);
      assertThat(upright.heightPixels()).isEqualTo(32);
      assertThat(brightness(upright, 8, 8)).as("upper left of orientation %d", exif).isLessThan(60);
      assertThat(brightness(upright, 40, 8)).isGreaterThan(190);
      assertThat(brightness(upright, 8, 24)).isGreaterThan(190);
    }
  }

  @Test
  void saysWhyAFileCannotBeUsed() throws Exception {
    assertThat(reasonFor(new byte[0])).isEqualTo(Reason.EMPTY);
    assertThat(reasonFor("Dear all, and more".getBytes(StandardCharsets.US_ASCII)))
        .isEqualTo(Reason.NOT_A_PICTURE);
    byte[] png = encode(noise(), "png");
    assertThat(reasonFor(Arrays.copyOf(png, png.length / 2))).isEqualTo(Reason.TRUNCATED);
    byte[] jpeg = encode(noise(), "jpg");
    assertThat(reasonFor(Arrays.copyOf(jpeg, jpeg.length / 2))).isEqualTo(Reason.TRUNCATED);
    byte[] damaged = png.clone();
    Arrays.fill(damaged, 60, 200, (byte) 0);
    assertThat(reasonFor(damaged)).isIn(Reason.UNREADABLE, Reason.TRUNCATED);
  }

  /** A header that claims 60 000 x 60 000 px is refused before a single pixel is unpacked. */
  @Test
  void aDecompressionBombIsRefusedByItsHeader() throws Exception {
    byte[] bomb = encode(picture(), "png");
    ByteBuffer header = ByteBuffer.wrap(bomb);
    header.putInt(16, 60_000).putInt(20, 60_000);
    CRC32 crc = new CRC32();
    crc.update(bomb, 12, 17);
    header.putInt(29, (int) crc.getValue());
    UnusablePictureException refusal =
        catchThrowableOfType(UnusablePictureException.class, () -> reader.open(bomb));
    assertThat(refusal.reason()).isEqualTo(Reason.TOO_MANY_PIXELS);
    assertThat(refusal).hasMessageContaining("60,000 x 60,000 px").hasMessageContaining("limit");
  }

  @Test
  void tooManyBytesAreRefusedWithBothNumbers() {
    PictureReader strict =
        new PictureReader(new PictureLimits(1024 * 1024, 1000, 100, Duration.ofSeconds(2)));
    UnusablePictureException refusal =
        catchThrowableOfType(
            UnusablePictureException.class, () -> strict.open(new byte[2 * 1024 * 1024]));
    assertThat(refusal.reason()).isEqualTo(Reason.TOO_MANY_BYTES);
    assertThat(refusal).hasMessageContaining("2.0 MB").hasMessageContaining("1 MB");
  }

  private Reason reasonFor(byte[] bytes) {
    return catchThrowableOfType(UnusablePictureException.class, () -> reader.open(bytes)).reason();
  }

  private static int brightness(Picture picture, int x, int y) {
    return picture.rgb(y * picture.widthPixels() + x) & 255;
  }

  /**
   * The upright picture is 48 x 32, white with a black upper left quarter; stored as a camera
   * would.
   */
  private static BufferedImage storedFor(int exif) {
    boolean lies = exif >= 5;
    BufferedImage image =
        new BufferedImage(lies ? 32 : 48, lies ? 48 : 32, BufferedImage.TYPE_INT_RGB);
    boolean right = exif == 2 || exif == 3 || exif == 7 || exif == 8;
    boolean below = exif == 3 || exif == 4 || exif == 6 || exif == 7;
    // EXIF 2.3, tag 0x0112: where row 0 and column 0 of the stored picture lie in the upright one.
    boolean[][] corner = {
      {false, false}, {true, false}, {true, true}, {false, true},
      {false, false}, {false, true}, {true, true}, {true, false}
    };
    right = corner[exif - 1][0];
    below = corner[exif - 1][1];
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, 48, 48);
    graphics.setColor(Color.BLACK);
    int w = image.getWidth() / 2;
    int h = image.getHeight() / 2;
    graphics.fillRect(right ? w : 0, below ? h : 0, w, h);
    return image;
  }

  /** Puts an EXIF block with one tag behind the JPEG's first mark. */
  private static byte[] withOrientation(byte[] jpeg, int exif) throws IOException {
    byte[] tiff = {
      'E',
      'x',
      'i',
      'f',
      0,
      0,
      'M',
      'M',
      0,
      42,
      0,
      0,
      0,
      8,
      0,
      1,
      1,
      0x12,
      0,
      3,
      0,
      0,
      0,
      1,
      0,
      (byte) exif,
      0,
      0,
      0,
      0,
      0,
      0
    };
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    out.write(new byte[] {(byte) 0xFF, (byte) 0xE1, 0, (byte) (tiff.length + 2)});
    out.write(tiff);
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }

  private static BufferedImage picture() {
    BufferedImage image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(new Color(0x336699));
    graphics.fillRect(0, 0, 40, 30);
    return image;
  }

  private static BufferedImage noise() {
    BufferedImage image = new BufferedImage(120, 120, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(1);
    for (int i = 0; i < 120 * 120; i++) {
      image.setRGB(i % 120, i / 120, random.nextInt(0xFFFFFF));
    }
    return image;
  }

  private static byte[] encode(BufferedImage image, String format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }
}
