package penmirror.demoart.scan;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.QuadCurve2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.Random;
import penmirror.core.colour.EncodedSrgb;

/**
 * Scans a drawing that lies on an A5 sheet. The drawing's own background becomes the sheet's paper;
 * round the sheet the dark lid shows.
 */
public final class Scanner {
  private static final double SHEET_WIDTH_MM = 148;
  private static final double SHEET_HEIGHT_MM = 210;

  /** Bare paper round the drawing. */
  private static final double MARGIN_MM = 7;

  /** How far the scanned area goes beyond the sheet. */
  private static final double LID_MM = 8;

  private static final double LID_LIGHT = 0.02;

  /** How fast the shadow of a lifted edge fades. */
  private static final double SHADOW_FADE_MM = 9;

  private static final double GRAPHITE = 0.86;
  private static final int CODES = 4096;

  private static final double[] LINEAR = new double[256];
  private static final int[] ENCODED = new int[CODES + 1];

  static {
    for (int i = 0; i < 256; i++) {
      LINEAR[i] = EncodedSrgb.toLinear(i / 255.0);
    }
    for (int i = 0; i <= CODES; i++) {
      double root = i / (double) CODES;
      ENCODED[i] = (int) Math.round(255 * EncodedSrgb.fromLinear(root * root));
    }
  }

  private Scanner() {}

  /**
   * A scanned page.
   *
   * @param drawingToPage from pixels of the drawing to pixels of the scan
   */
  public record Page(BufferedImage image, int pixelsPerInch, AffineTransform drawingToPage) {}

  /**
   * @param drawing upright, on a plain background; its upper left pixel tells the background
   */
  public static Page scan(BufferedImage drawing, Settings settings) {
    double perMm = settings.pixelsPerInch() / 25.4;
    int width = (int) Math.round((SHEET_WIDTH_MM + 2 * LID_MM) * perMm);
    int height = (int) Math.round((SHEET_HEIGHT_MM + 2 * LID_MM) * perMm);
    AffineTransform sheetToPage = new AffineTransform();
    sheetToPage.translate(width / 2.0, height / 2.0);
    sheetToPage.rotate(Math.toRadians(settings.turnDegrees()));
    sheetToPage.translate(-SHEET_WIDTH_MM * perMm / 2, -SHEET_HEIGHT_MM * perMm / 2);
    AffineTransform drawingToPage = new AffineTransform(sheetToPage);
    drawingToPage.concatenate(onSheet(drawing, perMm));

    // What lies on the glass: the background is cut out, so that paper shows in its place.
    BufferedImage ink = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = ink.createGraphics();
    pen.setColor(Color.WHITE);
    pen.fillRect(0, 0, width, height);
    pen.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    pen.drawImage(onWhite(drawing), drawingToPage, null);
    pen.dispose();
    dust(ink, settings, perMm);
    light(ink, settings, sheetToPage, perMm);
    return new Page(ink, settings.pixelsPerInch(), drawingToPage);
  }

  private static AffineTransform onSheet(BufferedImage drawing, double perMm) {
    double room = (SHEET_WIDTH_MM - 2 * MARGIN_MM) * perMm;
    double tall = (SHEET_HEIGHT_MM - 2 * MARGIN_MM) * perMm;
    double scale = Math.min(room / drawing.getWidth(), tall / drawing.getHeight());
    AffineTransform place = new AffineTransform();
    place.translate(
        SHEET_WIDTH_MM * perMm / 2 - drawing.getWidth() * scale / 2,
        SHEET_HEIGHT_MM * perMm / 2 - drawing.getHeight() * scale / 2);
    place.scale(scale, scale);
    return place;
  }

  /** Colours as they would look on white paper instead of the drawing's own background. */
  private static BufferedImage onWhite(BufferedImage drawing) {
    int background = drawing.getRGB(0, 0);
    double[][] gain = new double[3][256];
    for (int c = 0; c < 3; c++) {
      double paper = Math.max(0.05, LINEAR[(background >> (16 - 8 * c)) & 255]);
      for (int i = 0; i < 256; i++) {
        gain[c][i] = 255 * EncodedSrgb.fromLinear(Math.min(1, LINEAR[i] / paper));
      }
    }
    BufferedImage result =
        new BufferedImage(drawing.getWidth(), drawing.getHeight(), BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < drawing.getHeight(); y++) {
      for (int x = 0; x < drawing.getWidth(); x++) {
        int rgb = drawing.getRGB(x, y);
        result.setRGB(
            x,
            y,
            (int) Math.round(gain[0][(rgb >> 16) & 255]) << 16
                | (int) Math.round(gain[1][(rgb >> 8) & 255]) << 8
                | (int) Math.round(gain[2][rgb & 255]));
      }
    }
    return result;
  }

  private static void dust(BufferedImage ink, Settings settings, double perMm) {
    Random random = new Random(settings.seed() + 17);
    Graphics2D pen = ink.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    for (int i = 0; i < settings.dust(); i++) {
      double x = random.nextDouble() * ink.getWidth();
      double y = random.nextDouble() * ink.getHeight();
      double size = (0.04 + 0.1 * random.nextDouble()) * perMm;
      int grey = 120 + random.nextInt(90);
      pen.setColor(new Color(grey, grey, grey));
      if (i % 9 == 0) {
        pen.setStroke(new BasicStroke((float) (0.03 * perMm)));
        double reach = (0.6 + random.nextDouble()) * perMm;
        pen.draw(
            new QuadCurve2D.Double(
                x, y, x + reach * 0.7, y - reach * 0.5, x + reach, y + reach * 0.3));
      } else {
        pen.fill(new Ellipse2D.Double(x, y, size, size * (0.6 + 0.4 * random.nextDouble())));
      }
    }
    pen.dispose();
  }

  /** Turns ink on white into what the sensor sees. */
  private static void light(
      BufferedImage ink, Settings settings, AffineTransform sheetToPage, double perMm) {
    int width = ink.getWidth();
    int height = ink.getHeight();
    int[] rgb = ((DataBufferInt) ink.getRaster().getDataBuffer()).getData();
    AffineTransform toSheet;
    try {
      toSheet = sheetToPage.createInverse();
    } catch (NoninvertibleTransformException e) {
      throw new IllegalStateException("A turned sheet can be turned back", e);
    }
    double[] paper = {
      LINEAR[(settings.paper() >> 16) & 255],
      LINEAR[(settings.paper() >> 8) & 255],
      LINEAR[settings.paper() & 255]
    };
    double sheetWidth = SHEET_WIDTH_MM * perMm;
    double sheetHeight = SHEET_HEIGHT_MM * perMm;
    Random random = new Random(settings.seed());
    double lampMiddle = 0.3 + 0.3 * random.nextDouble();
    float[] tooth = tooth(width, random);
    double[] at = new double[2];
    for (int y = 0; y < height; y++) {
      double drift = 1 - settings.unevenness() * 0.45 * y / height;
      for (int x = 0; x < width; x++) {
        at[0] = x + 0.5;
        at[1] = y + 0.5;
        toSheet.transform(at, 0, at, 0, 1);
        double inside =
            Math.min(Math.min(at[0], sheetWidth - at[0]), Math.min(at[1], sheetHeight - at[1]));
        double sheet = Math.max(0, Math.min(1, inside + 0.5));
        double lamp = 1 - settings.unevenness() * 2.2 * square(x / (double) width - lampMiddle);
        double lifted =
            1 - settings.edgeShadow() * Math.exp(-Math.max(0, at[0]) / (SHADOW_FADE_MM * perMm));
        double grain =
            1
                + settings.grain()
                    * (0.7 * random.nextGaussian()
                        + 0.7 * tooth[(x + 7919 * (y / 2)) % tooth.length]);
        int i = y * width + x;
        int before = rgb[i];
        int after = 0;
        for (int c = 0; c < 3; c++) {
          double drawn = LINEAR[(before >> (16 - 8 * c)) & 255];
          if (settings.medium() == Settings.Medium.PENCIL) {
            drawn = graphite(before, grain);
          }
          double light = drift * lamp * lifted * grain * paper[c] * drawn;
          light = sheet * light + (1 - sheet) * LID_LIGHT * drift * lamp;
          int code = (int) (Math.sqrt(Math.max(0, Math.min(1, light))) * CODES + 0.5);
          after = after << 8 | ENCODED[code];
        }
        rgb[i] = after;
      }
    }
  }

  private static double graphite(int rgb, double grain) {
    double y =
        0.2126 * LINEAR[(rgb >> 16) & 255]
            + 0.7152 * LINEAR[(rgb >> 8) & 255]
            + 0.0722 * LINEAR[rgb & 255];
    double dark = (1 - y) * GRAPHITE;
    return 1 - dark * Math.min(1, 0.94 + 4 * (1 - grain));
  }

  /** The paper's tooth: noise with a width of its own, over which the pencil skips. */
  private static float[] tooth(int width, Random random) {
    float[] rough = new float[width * 3 + 1];
    float before = 0;
    for (int i = 0; i < rough.length; i++) {
      before = (float) (0.6 * before + 0.8 * random.nextGaussian());
      rough[i] = before;
    }
    return rough;
  }

  private static double square(double value) {
    return value * value;
  }
}
