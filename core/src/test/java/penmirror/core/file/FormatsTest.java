package penmirror.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.github.ajalt.colormath.model.RGB;
import com.github.ajalt.colormath.model.RGBColorSpaces;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;
import penmirror.core.colour.Swatch;
import penmirror.core.file.PictureReader.Opened;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.file.UnusablePictureException.Reason;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;

/**
 * One drawing in every format, made by ImageMagick 6.9, libwebp 1.2 and Little CMS; see the README
 * beside them.
 */
class FormatsTest {
  private final PictureReader reader = new PictureReader();

  @ParameterizedTest
  @CsvSource({
    "srgb.png, PNG, 0, 0",
    "srgb-16bit.png, PNG, 0, 0.01",
    "palette.png, PNG, 2.5, 10",
    "srgb.jpg, JPEG, 2, 8",
    "lossy.webp, WEBP, 2.5, 12",
    "lossless.webp, WEBP, 0, 0.01",
    "srgb.tif, TIFF, 0, 0.01",
    "srgb-16bit.tif, TIFF, 0, 0.01",
    "srgb.gif, GIF, 2.5, 10",
    "srgb.bmp, BMP, 0, 0.01",
    "cmyk.jpg, JPEG, 2, 8"
  })
  void everyFormatShowsTheSameDrawing(String name, PictureFormat format, double mean, double usual)
      throws Exception {
    Opened opened = reader.open(bytes(name));
    assertThat(opened.format()).isEqualTo(format);
    assertThat(opened.profile()).isEqualTo(Profile.NONE);
    double[] off = differences(reader.open(bytes("srgb.png")).picture(), opened.picture());
    assertThat(off[0]).as("mean CIEDE2000").isLessThanOrEqualTo(mean);
    assertThat(off[2]).as("99 of 100 pixels").isLessThanOrEqualTo(usual);
  }

  /** The wide-gamut twins went from sRGB into the larger space and must come back. */
  @ParameterizedTest
  @ValueSource(strings = {"wide.png", "wide.tif", "wide.webp", "wide.jpg"})
  void aWideGamutPictureHasTheColoursOfItsTwin(String name) throws Exception {
    Opened opened = reader.open(bytes(name));
    assertThat(opened.profile()).isEqualTo(Profile.CONVERTED);
    double[] off = differences(reader.open(bytes("srgb.png")).picture(), opened.picture());
    boolean lossy = name.endsWith("jpg");
    assertThat(off[0]).isLessThan(lossy ? 1 : 0.4);
    if (!lossy) {
      assertThat(off[2]).as("99 of 100 pixels").isLessThan(1);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"wide.png", "wide.tif", "wide.webp", "wide.jpg"})
  void aWideGamutPictureHasTheSwatchesOfItsTwin(String name) throws Exception {
    List<Swatch> twin = new PixelReader().read(reader.open(bytes("srgb.png")).picture()).swatches();
    List<Swatch> wide = new PixelReader().read(reader.open(bytes(name)).picture()).swatches();
    assertThat(twin).hasSizeGreaterThan(3);
    for (Swatch swatch : twin) {
      if (swatch.shareOfFigure() > 0.03) {
        double nearest =
            wide.stream()
                .mapToDouble(other -> lab(swatch).ciede2000(lab(other)))
                .min()
                .orElseThrow();
        assertThat(nearest).as(swatch.hex()).isLessThan(1);
      }
    }
  }

  /** What the raw numbers of the wide file mean, told by colormath instead of Little CMS. */
  @Test
  void conversionAgreesWithAnotherLibrary() throws Exception {
    Picture converted = reader.open(bytes("wide.png")).picture();
    Picture raw = reader.open(bytes("broken-profile.png")).picture();
    double worst = 0;
    for (int i = 0; i < raw.pixelCount(); i += 97) {
      int rgb = raw.rgb(i);
      RGB expected =
          RGBColorSpaces.INSTANCE
              .getAdobeRGB()
              .invoke((rgb >> 16 & 255) / 255f, (rgb >> 8 & 255) / 255f, (rgb & 255) / 255f, 1f)
              .toSRGB();
      Lab lab =
          Lab.from(
              new EncodedSrgb(
                  clamp(expected.getR()), clamp(expected.getG()), clamp(expected.getB())));
      worst = Math.max(worst, lab.ciede2000(lab(converted.rgb(i))));
    }
    assertThat(worst).isLessThan(1);
  }

  @Test
  void aBrokenProfileIsFlaggedAndTheNumbersTakenAsSrgb() throws Exception {
    Opened opened = reader.open(bytes("broken-profile.png"));
    assertThat(opened.profile()).isEqualTo(Profile.BROKEN);
    // Numbers of the larger space read as sRGB look duller, so they must differ from the twin.
    double[] off = differences(reader.open(bytes("srgb.png")).picture(), opened.picture());
    assertThat(off[1]).isGreaterThan(3);
  }

  @ParameterizedTest
  @ValueSource(strings = {"srgb.png", "srgb.jpg", "lossy.webp", "srgb.tif", "srgb.gif", "srgb.bmp"})
  void aFileCutShortIsToldSo(String name) throws Exception {
    byte[] whole = bytes(name);
    UnusablePictureException refusal =
        catchThrowableOfType(
            UnusablePictureException.class,
            () -> reader.open(Arrays.copyOf(whole, whole.length * 2 / 3)));
    assertThat(refusal).isNotNull();
    assertThat(refusal.reason()).isIn(Reason.TRUNCATED, Reason.UNREADABLE);
  }

  @Test
  void svgIsDrawn() throws Exception {
    Opened opened = reader.open(svg("<circle cx='10' cy='5' r='4' fill='#C03020'/>"));
    assertThat(opened.format()).isEqualTo(PictureFormat.SVG);
    assertThat(opened.picture().widthPixels()).isEqualTo(2400);
    assertThat(opened.picture().heightPixels()).isEqualTo(1200);
    assertThat(opened.picture().rgb(600 * 2400 + 1200)).isEqualTo(0xC03020);
    assertThat(opened.picture().rgb(600 * 2400 + 300)).isEqualTo(0xFFFFFF);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "<script>alert(1)</script> | holds a script",
        "<rect width='9' height='9' onclick='go()'/> | holds a script in onclick",
        "<image href='http://elsewhere.example/a.png' width='9' height='9'/> | outside itself",
        "<use href='other.svg#a'/> | outside itself",
        "<rect width='9' height='9' style='fill:url(http://elsewhere.example/)'/> | outside itself",
        "<style>@import 'x.css';</style> | imports a style",
        "<foreignObject width='9' height='9'/> | holds a foreignobject",
        "<g id='a'><use href='#a'/></g> | uses itself"
      })
  void anSvgThatDoesMoreThanDrawIsRefused(String inside, String why) {
    UnusablePictureException refusal =
        catchThrowableOfType(UnusablePictureException.class, () -> reader.open(svg(inside)));
    assertThat(refusal.reason()).isEqualTo(Reason.UNREADABLE);
    assertThat(refusal).hasMessageContaining(why);
  }

  @Test
  void entitiesAreRefusedAndAPlainDocumentTypeIsNot() throws Exception {
    String shape = "<rect width='20' height='10' fill='#204060'/>";
    String plain = new String(svg(shape), StandardCharsets.UTF_8);
    byte[] typed =
        ("<!DOCTYPE svg PUBLIC \"-//W3C//DTD SVG 1.1//EN\" \"svg11.dtd\">" + plain).getBytes();
    assertThat(reader.open(typed).picture().rgb(0)).isEqualTo(0x204060);
    byte[] entity =
        ("<!DOCTYPE svg [<!ENTITY a SYSTEM \"file:///etc/hostname\">]>"
                + plain.replace("/></svg>", "/><text>&a;</text></svg>"))
            .getBytes();
    assertThat(catchThrowableOfType(UnusablePictureException.class, () -> reader.open(entity)))
        .hasMessageContaining("declares entities");
  }

  /** Ten levels of ten uses each are ten thousand million elements from a kilobyte. */
  @Test
  void anSvgThatRepeatsItselfWithoutEndIsRefused() {
    StringBuilder levels = new StringBuilder("<rect id='l0' width='1' height='1'/>");
    for (int level = 1; level <= 10; level++) {
      levels.append("<g id='l").append(level).append("'>");
      levels.append(("<use href='#l" + (level - 1) + "'/>").repeat(10)).append("</g>");
    }
    assertThat(
            catchThrowableOfType(
                UnusablePictureException.class, () -> reader.open(svg(levels.toString()))))
        .hasMessageContaining("repeats its parts");
  }

  @Test
  void ofOpenRasterTheFlattenedPictureIsTaken() throws Exception {
    Opened opened = reader.open(bytes("layers.ora"));
    assertThat(opened.format()).isEqualTo(PictureFormat.OPENRASTER);
    double[] off = differences(reader.open(bytes("srgb.png")).picture(), opened.picture());
    assertThat(off[1]).isZero();
    assertThat(
            catchThrowableOfType(
                UnusablePictureException.class,
                () -> reader.open(openRaster("data/layer0.png", bytes("srgb.png")))))
        .hasMessageContaining("mergedimage.png");
  }

  @Test
  void aFileThatLiesAboutItsTypeIsReadAsWhatItIs() throws Exception {
    // The name plays no part; the beginning does.
    assertThat(reader.open(bytes("srgb.gif")).format()).isEqualTo(PictureFormat.GIF);
    byte[] html = "<html><body>not found</body></html>".getBytes(StandardCharsets.UTF_8);
    assertThat(
            catchThrowableOfType(UnusablePictureException.class, () -> reader.open(html)).reason())
        .isEqualTo(Reason.NOT_A_PICTURE);
  }

  private static byte[] svg(String inside) {
    return ("<svg xmlns='http://www.w3.org/2000/svg' width='20' height='10' viewBox='0 0 20 10'>"
            + inside
            + "</svg>")
        .getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] openRaster(String entry, byte[] png) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      byte[] type = "image/openraster".getBytes(StandardCharsets.US_ASCII);
      ZipEntry first = new ZipEntry("mimetype");
      first.setMethod(ZipEntry.STORED);
      first.setSize(type.length);
      CRC32 crc = new CRC32();
      crc.update(type);
      first.setCrc(crc.getValue());
      zip.putNextEntry(first);
      zip.write(type);
      zip.putNextEntry(new ZipEntry(entry));
      zip.write(png);
    }
    return out.toByteArray();
  }

  /** Mean, worst, and what 99 of 100 pixels stay under, CIEDE2000. */
  private static double[] differences(Picture one, Picture other) {
    assertThat(other.widthPixels()).isEqualTo(one.widthPixels());
    assertThat(other.heightPixels()).isEqualTo(one.heightPixels());
    double[] off = new double[one.pixelCount()];
    for (int i = 0; i < off.length; i++) {
      off[i] = one.rgb(i) == other.rgb(i) ? 0 : lab(one.rgb(i)).ciede2000(lab(other.rgb(i)));
    }
    Arrays.sort(off);
    return new double[] {
      Arrays.stream(off).average().orElse(0), off[off.length - 1], off[off.length * 99 / 100]
    };
  }

  private static Lab lab(Swatch swatch) {
    return Lab.from(swatch.colour().toEncodedSrgb());
  }

  private static Lab lab(int rgb) {
    return Lab.from(
        new EncodedSrgb((rgb >> 16 & 255) / 255.0, (rgb >> 8 & 255) / 255.0, (rgb & 255) / 255.0));
  }

  private static double clamp(float value) {
    return Math.max(0, Math.min(1, value));
  }

  private static byte[] bytes(String name) throws IOException {
    try (InputStream stream = FormatsTest.class.getResourceAsStream("/formats/" + name)) {
      return stream.readAllBytes();
    }
  }
}
