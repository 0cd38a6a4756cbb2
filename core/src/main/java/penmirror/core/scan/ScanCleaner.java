package penmirror.core.scan;

import java.util.Optional;
import java.util.stream.IntStream;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/**
 * Makes a scanned page fit to be measured: straightens it, takes out uneven light, and sets the
 * paper white. Every step can be left out. The scan itself is never changed.
 */
public final class ScanCleaner {
  /** Cut off inside the sheet's edge, where paper curls and casts a shadow; of the shorter side. */
  private static final double TRIM_SHARE = 0.004;

  /** Steps of the gain table across and down the sheet. */
  private static final int GRID = 96;

  private static final int CODES = 4096;
  private static final double[] LINEAR = new double[256];
  private static final byte[] ENCODED = new byte[CODES + 1];

  static {
    for (int i = 0; i < 256; i++) {
      LINEAR[i] = EncodedSrgb.toLinear(i / 255.0);
    }
    for (int i = 0; i <= CODES; i++) {
      // Codes lie closer in the dark, where the eye and the curve are steep.
      double root = i / (double) CODES;
      ENCODED[i] = (byte) Math.round(255 * EncodedSrgb.fromLinear(root * root));
    }
  }

  /** How the page is brought upright. */
  public sealed interface Straighten permits AsItLies, ByThePaper, ByALevelLine {}

  /** Left as it was scanned. */
  public record AsItLies() implements Straighten {}

  /** By the edges of the sheet; as it lies if none show. */
  public record ByThePaper() implements Straighten {}

  /**
   * By a line that should be level.
   *
   * @param from one end, pixels of the scan
   * @param to the other, at least 20 px away
   */
  public record ByALevelLine(Point from, Point to) implements Straighten {
    public ByALevelLine {
      if (from.distanceTo(to) < 20) {
        throw new IllegalArgumentException(
            "A level line needs two ends at least 20 px apart, got "
                + Math.round(from.distanceTo(to))
                + " px. Draw a longer one.");
      }
    }

    double turnDegrees() {
      Point along = to.minus(from);
      double angle = Math.toDegrees(Math.atan2(along.y(), along.x()));
      // The line may have been drawn from right to left.
      return angle > 90 ? angle - 180 : angle < -90 ? angle + 180 : angle;
    }
  }

  /** What is to be done. */
  public record Wishes(Straighten straighten, boolean flattenLight, boolean setWhite) {
    public static final Wishes ALL = new Wishes(new ByThePaper(), true, true);
  }

  /**
   * A cleaned page and what was found on the way.
   *
   * @param turnDegrees by which it was turned back, clockwise positive
   * @param sheetFound whether the paper's edges were seen
   * @param unevenness how much darker the darkest bare paper was than the lightest, [0, 1)
   * @param paper colour of the bare paper on average, before it was set white
   * @param from where the upper left corner of the picture lies on the scan, pixels
   */
  public record Cleaned(
      Picture picture,
      double turnDegrees,
      boolean sheetFound,
      double unevenness,
      EncodedSrgb paper,
      Point from) {

    /** Where a place of the scan lies on the cleaned picture. */
    public Point place(Point onScan) {
      return onScan.minus(from).turnedAbout(new Point(0, 0), -turnDegrees);
    }

    /** Where a place of the cleaned picture lay on the scan. */
    public Point placeOnScan(Point onCleaned) {
      return onCleaned.turnedAbout(new Point(0, 0), turnDegrees).plus(from);
    }
  }

  public Cleaned clean(Picture scan, Wishes wishes) {
    Optional<Sheet> sheet = Sheet.find(scan);
    double turn = 0;
    if (wishes.straighten() instanceof ByThePaper && sheet.isPresent()) {
      turn = sheet.get().turnDegrees();
    } else if (wishes.straighten() instanceof ByALevelLine line) {
      turn = line.turnDegrees();
    }
    Point from = new Point(0, 0);
    int width = scan.widthPixels();
    int height = scan.heightPixels();
    if (sheet.isPresent()) {
      double[] box = box(sheet.get(), turn);
      double trim = TRIM_SHARE * Math.min(box[2] - box[0], box[3] - box[1]);
      width = Math.max(1, (int) Math.floor(box[2] - box[0] - 2 * trim));
      height = Math.max(1, (int) Math.floor(box[3] - box[1] - 2 * trim));
      from = new Point(box[0] + trim, box[1] + trim).turnedAbout(new Point(0, 0), turn);
    } else if (turn != 0) {
      // About the middle, and the size stays.
      Point middle = new Point(width / 2.0, height / 2.0);
      from = new Point(0, 0).turnedAbout(middle, turn);
    }
    Picture upright = Straightener.straighten(scan, turn, from, width, height);
    Lighting lighting = Lighting.of(upright);
    EncodedSrgb paper =
        new EncodedSrgb(encoded(lighting, 0), encoded(lighting, 1), encoded(lighting, 2));
    return new Cleaned(
        lit(upright, lighting, wishes),
        turn,
        sheet.isPresent(),
        lighting.unevenness(),
        paper,
        from);
  }

  /** Left, top, right, bottom that fit inside the sheet once it has been turned back. */
  private static double[] box(Sheet sheet, double turn) {
    Point[] c =
        sheet.corners().stream()
            .map(p -> p.turnedAbout(new Point(0, 0), -turn))
            .toArray(Point[]::new);
    return new double[] {
      Math.max(c[0].x(), c[3].x()),
      Math.max(c[0].y(), c[1].y()),
      Math.min(c[1].x(), c[2].x()),
      Math.min(c[2].y(), c[3].y())
    };
  }

  private static double encoded(Lighting lighting, int channel) {
    return EncodedSrgb.fromLinear(Math.min(1, Math.exp(lighting.meanLog(channel))));
  }

  private static Picture lit(Picture sheet, Lighting lighting, Wishes wishes) {
    if (!wishes.flattenLight() && !wishes.setWhite()) {
      return sheet;
    }
    double[][] gains = new double[3][(GRID + 1) * (GRID + 1)];
    for (int c = 0; c < 3; c++) {
      double mean = lighting.meanLog(c);
      for (int j = 0; j <= GRID; j++) {
        for (int i = 0; i <= GRID; i++) {
          double here =
              wishes.flattenLight() ? lighting.log(c, i / (double) GRID, j / (double) GRID) : mean;
          gains[c][j * (GRID + 1) + i] = Math.exp((wishes.setWhite() ? 0 : mean) - here);
        }
      }
    }
    int width = sheet.widthPixels();
    int height = sheet.heightPixels();
    int[] rgb = new int[width * height];
    IntStream.range(0, height)
        .parallel()
        .forEach(
            y -> {
              double v = (y + 0.5) / height * GRID;
              int j = (int) Math.min(GRID - 1.0, v);
              for (int x = 0; x < width; x++) {
                double u = (x + 0.5) / width * GRID;
                int i = (int) Math.min(GRID - 1.0, u);
                int before = sheet.rgb(y * width + x);
                int after = 0;
                for (int c = 0; c < 3; c++) {
                  double gain = between(gains[c], i, j, u - i, v - j);
                  double light = LINEAR[(before >> (16 - 8 * c)) & 255] * gain;
                  int code = (int) (Math.sqrt(Math.min(1, light)) * CODES + 0.5);
                  after = after << 8 | (ENCODED[code] & 255);
                }
                rgb[y * width + x] = after;
              }
            });
    return Picture.of(width, height, rgb);
  }

  private static double between(double[] grid, int i, int j, double u, double v) {
    int at = j * (GRID + 1) + i;
    double upper = grid[at] * (1 - u) + grid[at + 1] * u;
    double lower = grid[at + GRID + 1] * (1 - u) + grid[at + GRID + 2] * u;
    return upper * (1 - v) + lower * v;
  }
}
