package penmirror.core.raster;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A decoded picture, upright, 8 bits a channel, encoded sRGB. Immutable once made.
 *
 * <p>Transparent pixels are laid on white, since a drawing is read as ink on paper; where the paper
 * shows through is remembered, since it tells the figure exactly.
 */
public final class Picture {
  private final int widthPixels;
  private final int heightPixels;
  private final int[] rgb;

  /** Coverage of each pixel, 0 to 255; null where the picture covers everything. */
  private final byte @Nullable [] alpha;

  /**
   * @param rgb row-major 0xRRGGBB, one per pixel; taken over, not copied
   */
  Picture(int widthPixels, int heightPixels, int[] rgb) {
    this(widthPixels, heightPixels, rgb, null);
  }

  private Picture(int widthPixels, int heightPixels, int[] rgb, byte @Nullable [] alpha) {
    if (widthPixels <= 0 || heightPixels <= 0 || rgb.length != widthPixels * heightPixels) {
      throw new IllegalArgumentException(
          "A picture of " + widthPixels + " x " + heightPixels + " got " + rgb.length + " pixels");
    }
    this.widthPixels = widthPixels;
    this.heightPixels = heightPixels;
    this.rgb = rgb;
    this.alpha = alpha;
  }

  public static Picture from(BufferedImage image) {
    int width = image.getWidth();
    int height = image.getHeight();
    int[] rgb = Pixels.of(image);
    byte[] alpha = null;
    for (int i = 0; i < rgb.length; i++) {
      int coverage = rgb[i] >>> 24;
      if (coverage < 255 && alpha == null) {
        alpha = new byte[rgb.length];
        Arrays.fill(alpha, 0, i, (byte) 255);
      }
      if (alpha != null) {
        alpha[i] = (byte) coverage;
      }
      rgb[i] = onWhite(rgb[i]);
    }
    return new Picture(width, height, rgb, alpha);
  }

  /**
   * @param rgb row-major 0xRRGGBB, one per pixel; taken over, not copied
   */
  public static Picture of(int widthPixels, int heightPixels, int[] rgb) {
    return new Picture(widthPixels, heightPixels, rgb);
  }

  /**
   * The same pixels with another account of where they are drawn on.
   *
   * @param coverage 0 to 255, one a pixel; taken over, not copied
   */
  public Picture withCoverage(byte[] coverage) {
    if (coverage.length != rgb.length) {
      throw new IllegalArgumentException(
          "A picture of " + rgb.length + " pixels got coverage for " + coverage.length);
    }
    return new Picture(widthPixels, heightPixels, rgb, coverage);
  }

  /** Whether paper shows through somewhere. */
  public boolean hasTransparency() {
    return alpha != null;
  }

  /** Share of a pixel that is covered, [0, 1]; 1 everywhere in a picture without transparency. */
  public double coverage(int index) {
    return alpha == null ? 1 : (alpha[index] & 255) / 255.0;
  }

  public int widthPixels() {
    return widthPixels;
  }

  public int heightPixels() {
    return heightPixels;
  }

  public int pixelCount() {
    return rgb.length;
  }

  /** 0xRRGGBB at a row-major index. */
  public int rgb(int index) {
    return rgb[index];
  }

  /** Encoded luma at a row-major index, [0, 1]: the weights of ITU-R BT.601 on encoded values. */
  public float luma(int index) {
    int colour = rgb[index];
    return (0.299f * ((colour >> 16) & 255)
            + 0.587f * ((colour >> 8) & 255)
            + 0.114f * (colour & 255))
        / 255f;
  }

  /**
   * Every pixel is the mean of a block of {@code factor} × {@code factor} of these, taken on the
   * encoded values; blocks cut by the right or lower edge are means of what is there.
   */
  public Picture shrunk(int factor) {
    if (factor == 1) {
      return this;
    }
    int width = (widthPixels + factor - 1) / factor;
    int height = (heightPixels + factor - 1) / factor;
    int[] small = new int[width * height];
    byte[] coverage = alpha == null ? null : new byte[width * height];
    IntStream.range(0, height)
        .parallel()
        .forEach(
            y -> {
              for (int x = 0; x < width; x++) {
                small[y * width + x] = blockMean(x * factor, y * factor, factor);
                if (coverage != null && alpha != null) {
                  int cx = Math.min(widthPixels - 1, x * factor + factor / 2);
                  int cy = Math.min(heightPixels - 1, y * factor + factor / 2);
                  coverage[y * width + x] = alpha[cy * widthPixels + cx];
                }
              }
            });
    return new Picture(width, height, small, coverage);
  }

  /**
   * A part of this picture.
   *
   * @throws IllegalArgumentException when the part does not lie inside
   */
  public Picture cropped(int left, int top, int width, int height) {
    int w = Math.min(width, widthPixels - left);
    int h = Math.min(height, heightPixels - top);
    if (left < 0 || top < 0 || w <= 0 || h <= 0) {
      throw new IllegalArgumentException(
          "The part "
              + width
              + " x "
              + height
              + " at "
              + left
              + ", "
              + top
              + " does not lie inside a picture of "
              + widthPixels
              + " x "
              + heightPixels);
    }
    int[] part = new int[w * h];
    byte[] coverage = alpha == null ? null : new byte[w * h];
    for (int y = 0; y < h; y++) {
      System.arraycopy(rgb, (top + y) * widthPixels + left, part, y * w, w);
      if (alpha != null && coverage != null) {
        System.arraycopy(alpha, (top + y) * widthPixels + left, coverage, y * w, w);
      }
    }
    return new Picture(w, h, part, coverage);
  }

  public BufferedImage toImage() {
    BufferedImage image = new BufferedImage(widthPixels, heightPixels, BufferedImage.TYPE_INT_RGB);
    // Straight into the image: asking its colour model for every pixel takes ten times as long.
    image.getRaster().setDataElements(0, 0, widthPixels, heightPixels, rgb);
    return image;
  }

  private int blockMean(int left, int top, int factor) {
    int right = Math.min(widthPixels, left + factor);
    int bottom = Math.min(heightPixels, top + factor);
    int red = 0;
    int green = 0;
    int blue = 0;
    for (int y = top; y < bottom; y++) {
      for (int x = left; x < right; x++) {
        int colour = rgb[y * widthPixels + x];
        red += (colour >> 16) & 255;
        green += (colour >> 8) & 255;
        blue += colour & 255;
      }
    }
    int count = (right - left) * (bottom - top);
    int half = count / 2;
    return ((red + half) / count) << 16 | ((green + half) / count) << 8 | ((blue + half) / count);
  }

  private static int onWhite(int argb) {
    int alpha = argb >>> 24;
    if (alpha == 255) {
      return argb & 0xFFFFFF;
    }
    int red = blend((argb >> 16) & 255, alpha);
    int green = blend((argb >> 8) & 255, alpha);
    int blue = blend(argb & 255, alpha);
    return red << 16 | green << 8 | blue;
  }

  private static int blend(int channel, int alpha) {
    return (channel * alpha + 255 * (255 - alpha) + 127) / 255;
  }
}
