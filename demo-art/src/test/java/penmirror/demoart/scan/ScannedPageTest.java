package penmirror.demoart.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.Marks;
import penmirror.core.file.PictureReader;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Scale;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.raster.Picture;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.reading.PixelReader;
import penmirror.core.scan.ScanCleaner;
import penmirror.core.scan.ScanCleaner.Cleaned;
import penmirror.core.scan.ScanCleaner.Wishes;
import penmirror.demoart.manner.Role;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** What the scanner spoils, cleaning mends: measures agree with those of the clean picture. */
class ScannedPageTest {
  private static final int PER_INCH = 300;

  /** A drawing on white paper, at the size at which it will lie on the sheet. */
  private static Illustration clean;

  private static PixelReadings cleanReadings;

  @BeforeAll
  static void drawAPicture() {
    clean = onWhite(DemoStudio.odileMarrow().redraws().get(2), 1.16);
    cleanReadings = new PixelReader().read(Picture.from(clean.image()));
  }

  private static Illustration onWhite(Commission commission, double scale) {
    return Illustration.of(
        commission.onPaper(commission.palette().with("paper FFFFFF").of(Role.PAPER)), scale);
  }

  @ParameterizedTest
  @CsvSource({"-3, PNG, 1", "1.7, TIFF, 2", "0.4, PNG, 3"})
  void measuresOnACleanedScanAgreeWithThoseOnTheCleanPicture(
      double turn, ScanFile.Format format, long seed) throws Exception {
    Settings settings =
        new Settings(Settings.Medium.INK, PER_INCH, turn, 0.18, 0.012, 0.3, 60, 0xF1E7D6, seed);
    Scanner.Page page = Scanner.scan(clean.image(), settings);
    PictureReader.Opened opened =
        new PictureReader().open(ScanFile.write(page.image(), PER_INCH, format));
    assertThat(opened.resolution().orElseThrow().pixelsPerInch()).isCloseTo(300, offset(0.05));

    Cleaned cleaned = new ScanCleaner().clean(opened.picture(), Wishes.ALL);
    assertThat(cleaned.sheetFound()).isTrue();
    assertThat(cleaned.turnDegrees()).isCloseTo(turn, offset(0.05));
    assertThat(cleaned.unevenness()).isGreaterThan(0.15);

    // Ratios, from the landmarks as they come through scanner and cleaner.
    Marks marks =
        clean.marks().moved(clean.marks().landmarks().keySet(), p -> through(page, cleaned, p));
    PixelReadings readings = new PixelReader().read(cleaned.picture());
    for (Measure measure : MeasureCatalogue.all()) {
      if (measure.isFromPixels() || measure.unit().name().contains("DEGREE")) {
        continue;
      }
      Optional<Double> before = value(measure, clean.marks(), cleanReadings);
      Optional<Double> after = value(measure, marks, readings);
      assertThat(after.isPresent()).isEqualTo(before.isPresent());
      before.ifPresent(
          b ->
              assertThat(measure.scale().toScale(after.orElseThrow()))
                  .as(measure.key())
                  .isCloseTo(measure.scale().toScale(b), offset(tolerance(measure))));
    }

    // Line width, in heads of its own picture.
    double head = marks.headFrame().orElseThrow().headPixels();
    double cleanHead = clean.marks().headFrame().orElseThrow().headPixels();
    double width = LineMeasures.widthPixels(readings).orElseThrow() / head;
    double cleanWidth = LineMeasures.widthPixels(cleanReadings).orElseThrow() / cleanHead;
    assertThat(width / cleanWidth).as("line width").isCloseTo(1, offset(0.06));

    // Every colour that carries the figure is found again.
    for (Swatch swatch : cleanReadings.swatches()) {
      if (swatch.shareOfFigure() > 0.03) {
        double nearest =
            readings.swatches().stream()
                .mapToDouble(other -> lab(swatch).ciede2000(lab(other)))
                .min()
                .orElseThrow();
        assertThat(nearest).as(swatch.colour().toEncodedSrgb().hex()).isLessThan(3);
      }
    }
  }

  /** The drawing lies where the transforms say: the same pixels are found through them. */
  @Test
  void placesComeThroughScannerAndCleaner() {
    Settings settings =
        new Settings(Settings.Medium.INK, PER_INCH, 2.2, 0.1, 0, 0.1, 0, 0xFFFFFF, 9);
    Scanner.Page page = Scanner.scan(clean.image(), settings);
    Cleaned cleaned = new ScanCleaner().clean(Picture.from(page.image()), Wishes.ALL);
    BufferedImage before = clean.image();
    int checked = 0;
    int off = 0;
    for (int y = 40; y < before.getHeight() - 40; y += 23) {
      for (int x = 40; x < before.getWidth() - 40; x += 23) {
        Point at = through(page, cleaned, new Point(x + 0.5, y + 0.5));
        int index = (int) at.y() * cleaned.picture().widthPixels() + (int) at.x();
        int seen = cleaned.picture().rgb(index);
        int was = before.getRGB(x, y);
        checked++;
        if (Math.abs((seen >> 8 & 255) - (was >> 8 & 255)) > 24) {
          off++;
        }
      }
    }
    assertThat(off / (double) checked).isLessThan(0.01);
  }

  @Test
  void anUnevenSheetComesOutEvenlyWhite() {
    Settings settings =
        new Settings(Settings.Medium.PENCIL, 150, -1.2, 0.3, 0.01, 0.5, 0, 0xEFE3CC, 4);
    Scanner.Page page = Scanner.scan(clean.image(), settings);
    Cleaned cleaned = new ScanCleaner().clean(Picture.from(page.image()), Wishes.ALL);
    Cleaned untouched =
        new ScanCleaner()
            .clean(
                Picture.from(page.image()), new Wishes(new ScanCleaner.ByThePaper(), false, false));
    assertThat(spread(untouched.picture())).isGreaterThan(40);
    assertThat(spread(cleaned.picture())).isLessThan(9);
    assertThat(new EncodedSrgb(0, 0, 0)).isNotEqualTo(cleaned.paper());
    assertThat(cleaned.paper().red()).isGreaterThan(cleaned.paper().blue());
  }

  /** Lightest minus darkest of nine patches of bare paper, 8-bit levels. */
  private static double spread(Picture sheet) {
    double least = 255;
    double most = 0;
    for (double v : new double[] {0.03, 0.5, 0.97}) {
      for (double u : new double[] {0.03, 0.1, 0.97}) {
        double sum = 0;
        for (int k = 0; k < 400; k++) {
          int x = (int) (u * sheet.widthPixels()) + k % 20 - 10;
          int y = (int) (v * sheet.heightPixels()) + k / 20 - 10;
          sum += sheet.rgb(y * sheet.widthPixels() + x) >> 8 & 255;
        }
        least = Math.min(least, sum / 400);
        most = Math.max(most, sum / 400);
      }
    }
    return most - least;
  }

  @Test
  void aLevelLineTurnsAPageWhosePaperDoesNotShow() {
    Settings settings = new Settings(Settings.Medium.INK, 150, 2.5, 0, 0, 0, 0, 0xFFFFFF, 5);
    BufferedImage scan = Scanner.scan(clean.image(), settings).image();
    // Cut well inside the sheet: no edge is left.
    BufferedImage inside =
        scan.getSubimage(110, 110, scan.getWidth() - 220, scan.getHeight() - 220);
    double slope = Math.tan(Math.toRadians(2.5));
    Cleaned cleaned =
        new ScanCleaner()
            .clean(
                Picture.from(inside),
                new Wishes(
                    new ScanCleaner.ByALevelLine(
                        new Point(500, 300 + 400 * slope), new Point(100, 300)),
                    true,
                    true));
    assertThat(cleaned.sheetFound()).isFalse();
    assertThat(cleaned.turnDegrees()).isCloseTo(2.5, offset(1e-6));
    assertThatThrownBy(() -> new ScanCleaner.ByALevelLine(new Point(5, 5), new Point(9, 5)))
        .hasMessageContaining("at least 20 px apart, got 4 px");
  }

  @Test
  void theScannerNamesWhatItCannotDo() {
    assertThatThrownBy(() -> new Settings(Settings.Medium.INK, 200, 0, 0, 0, 0, 0, 0xFFFFFF, 1))
        .hasMessageContaining("150, 300 and 600 px per inch, got 200");
    assertThatThrownBy(() -> new Settings(Settings.Medium.INK, 300, 4, 0, 0, 0, 0, 0xFFFFFF, 1))
        .hasMessageContaining("turn in degrees is 4.0")
        .hasMessageContaining("-3.0 to 3.0");
  }

  @Test
  void sameSeedSameScan() {
    Settings settings = Settings.usual(Settings.Medium.PENCIL, 150, 8);
    byte[] once =
        ScanFile.write(Scanner.scan(clean.image(), settings).image(), 150, ScanFile.Format.PNG);
    byte[] again =
        ScanFile.write(Scanner.scan(clean.image(), settings).image(), 150, ScanFile.Format.PNG);
    assertThat(again).isEqualTo(once);
  }

  private static Lab lab(Swatch swatch) {
    return Lab.from(swatch.colour().toEncodedSrgb());
  }

  private static Point through(Scanner.Page page, Cleaned cleaned, Point drawn) {
    Point2D on = page.drawingToPage().transform(new Point2D.Double(drawn.x(), drawn.y()), null);
    return cleaned.place(new Point(on.getX(), on.getY()));
  }

  /** One per cent of a ratio; of heights and shares half of what a rule could hold them to. */
  private static double tolerance(Measure measure) {
    return measure.scale() == Scale.LOG ? 0.01 : 0.5 * measure.floorTolerance();
  }

  private static Optional<Double> value(Measure measure, Marks marks, PixelReadings readings) {
    return measure
        .read(new Evidence(marks, Optional.of(readings)))
        .reading()
        .map(reading -> reading.value());
  }
}
