package penmirror.core.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.Drawing;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.core.scan.ScanCleaner.AsItLies;
import penmirror.core.scan.ScanCleaner.ByThePaper;
import penmirror.core.scan.ScanCleaner.Cleaned;
import penmirror.core.scan.ScanCleaner.Wishes;

/** Sheets drawn by Java2D, whose place, turn and tint are known. */
class ScanCleanerTest {
  private static final int WIDTH = 700;
  private static final int HEIGHT = 900;
  private static final int LID = 0x262626;
  private static final int PAPER = 0xE9DEC8;
  private static final int INK = 0x30343C;

  /** A light sheet with a black bar, turned about the middle of a dark lid. */
  private static Picture scan(double turnDegrees) {
    AffineTransform turn =
        AffineTransform.getRotateInstance(Math.toRadians(turnDegrees), WIDTH / 2.0, HEIGHT / 2.0);
    return new Drawing(WIDTH, HEIGHT, LID)
        .fill(turn.createTransformedShape(new Rectangle2D.Double(80, 70, 540, 760)), PAPER)
        .fill(turn.createTransformedShape(new Rectangle2D.Double(200, 300, 300, 40)), INK)
        .picture();
  }

  @ParameterizedTest
  @ValueSource(doubles = {-3, -0.7, 0, 1.4, 3})
  void theSheetIsFoundWhereItLies(double turn) {
    Sheet sheet = Sheet.find(scan(turn)).orElseThrow();
    assertThat(sheet.turnDegrees()).isCloseTo(turn, offset(0.03));
    AffineTransform drawn =
        AffineTransform.getRotateInstance(Math.toRadians(turn), WIDTH / 2.0, HEIGHT / 2.0);
    double[] corners = {80, 70, 620, 70, 620, 830, 80, 830};
    drawn.transform(corners, 0, corners, 0, 4);
    for (int i = 0; i < 4; i++) {
      Point corner = sheet.corners().get(i);
      assertThat(corner.distanceTo(new Point(corners[2 * i], corners[2 * i + 1]))).isLessThan(1);
    }
  }

  @Test
  void withoutALidThereIsNoSheetAndThePageStaysWhole() {
    Picture bare =
        new Drawing(WIDTH, HEIGHT, PAPER)
            .fill(new Rectangle2D.Double(200, 300, 300, 40), INK)
            .picture();
    assertThat(Sheet.find(bare)).isEmpty();
    Cleaned cleaned = new ScanCleaner().clean(bare, Wishes.ALL);
    assertThat(cleaned.sheetFound()).isFalse();
    assertThat(cleaned.turnDegrees()).isZero();
    assertThat(cleaned.picture().widthPixels()).isEqualTo(WIDTH);
    assertThat(cleaned.picture().heightPixels()).isEqualTo(HEIGHT);
  }

  @Test
  void aDrawingOnAFilledPageIsNotTakenForASheet() {
    Path2D blob = new Path2D.Double();
    blob.moveTo(100, 450);
    blob.curveTo(120, 60, 600, 40, 610, 460);
    blob.curveTo(560, 880, 160, 840, 100, 450);
    Picture picture = new Drawing(WIDTH, HEIGHT, LID).fill(blob, PAPER).picture();
    assertThat(Sheet.find(picture)).isEmpty();
  }

  @Test
  void straightenedTheBarLiesLevelAndThePaperIsWhite() {
    Cleaned cleaned = new ScanCleaner().clean(scan(2.3), Wishes.ALL);
    Picture page = cleaned.picture();
    assertThat(barTop(page, page.widthPixels() / 3))
        .isCloseTo(barTop(page, page.widthPixels() * 2 / 3), offset(0.3));
    int corner = page.rgb(page.widthPixels() * 10 + 10);
    for (int shift : new int[] {0, 8, 16}) {
      assertThat(corner >> shift & 255).isGreaterThanOrEqualTo(252);
    }
    assertThat(cleaned.paper().red() * 255).isCloseTo(0xE9, offset(2.0));
    assertThat(cleaned.paper().blue() * 255).isCloseTo(0xC8, offset(2.0));
  }

  @Test
  void whatIsNotWishedForIsLeftAlone() {
    Picture scan = scan(2.3);
    Cleaned turned = new ScanCleaner().clean(scan, new Wishes(new ByThePaper(), false, false));
    int corner = turned.picture().rgb(turned.picture().widthPixels() * 10 + 10);
    assertThat(corner).isEqualTo(PAPER);
    Cleaned lying = new ScanCleaner().clean(scan, new Wishes(new AsItLies(), false, false));
    assertThat(lying.turnDegrees()).isZero();
    Picture page = lying.picture();
    double slope =
        (barTop(page, page.widthPixels() * 3 / 5) - barTop(page, page.widthPixels() * 2 / 5))
            / (page.widthPixels() / 5.0);
    assertThat(Math.toDegrees(Math.atan(slope))).isCloseTo(2.3, offset(0.2));
  }

  @Test
  void placesGoThereAndBack() {
    Cleaned cleaned = new ScanCleaner().clean(scan(-1.9), Wishes.ALL);
    Point place = new Point(123.4, 567.8);
    assertThat(cleaned.place(cleaned.placeOnScan(place)).distanceTo(place)).isLessThan(1e-9);
    // The middle of the bar's upper edge, found on the cleaned page by counting.
    AffineTransform turn =
        AffineTransform.getRotateInstance(Math.toRadians(-1.9), WIDTH / 2.0, HEIGHT / 2.0);
    double[] corner = {350, 300};
    turn.transform(corner, 0, corner, 0, 1);
    Point expected = cleaned.place(new Point(corner[0], corner[1]));
    assertThat(barTop(cleaned.picture(), (int) expected.x())).isCloseTo(expected.y(), offset(0.6));
  }

  /** A lamp that falls off to one side by a known share is taken out. */
  @Test
  void aFallingLampIsFlattened() {
    Drawing drawing = new Drawing(WIDTH, HEIGHT, LID);
    for (int x = 80; x < 620; x++) {
      double light = 1 - 0.3 * (x - 80) / 540.0;
      int grey = (int) Math.round(255 * encoded(0.8 * light));
      drawing.fill(new Rectangle2D.Double(x, 70, 1, 760), grey << 16 | grey << 8 | grey);
    }
    Cleaned cleaned = new ScanCleaner().clean(drawing.picture(), Wishes.ALL);
    assertThat(cleaned.unevenness()).isCloseTo(0.3, offset(0.04));
    Picture page = cleaned.picture();
    int middle = page.widthPixels() * (page.heightPixels() / 2);
    for (int x = 5; x < page.widthPixels() - 5; x += 25) {
      assertThat(page.rgb(middle + x) & 255).as("at %d", x).isGreaterThanOrEqualTo(250);
    }
  }

  /** IEC 61966-2-1. */
  private static double encoded(double linear) {
    return linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
  }

  /** Where a column first falls under half, between pixels. */
  private static double barTop(Picture page, int x) {
    int before = page.rgb(x) & 255;
    double level = before / 2.0 + 20;
    for (int y = 1; y < page.heightPixels(); y++) {
      int now = page.rgb(y * page.widthPixels() + x) & 255;
      if (now < level) {
        return y + (before - level) / (before - now) - 0.5;
      }
      before = now;
    }
    throw new AssertionError("No bar in column " + x);
  }
}
