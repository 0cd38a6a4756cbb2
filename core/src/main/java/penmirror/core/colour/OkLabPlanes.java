package penmirror.core.colour;

import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;

/** OKLab of many pixels at once, one array an axis, in the order of the pixels given. */
public final class OkLabPlanes {
  private static final double[] LINEAR = new double[256];

  static {
    for (int i = 0; i < 256; i++) {
      LINEAR[i] = EncodedSrgb.toLinear(i / 255.0);
    }
  }

  private final float[] lightness;
  private final float[] a;
  private final float[] b;

  private OkLabPlanes(int count) {
    lightness = new float[count];
    a = new float[count];
    b = new float[count];
  }

  /**
   * @param count number of pixels
   * @param rgb 0xRRGGBB by pixel number; called from several threads
   */
  public static OkLabPlanes of(int count, IntUnaryOperator rgb) {
    OkLabPlanes planes = new OkLabPlanes(count);
    int chunks = Math.min(64, count);
    IntStream.range(0, chunks)
        .parallel()
        .forEach(
            chunk ->
                planes.fill(
                    (int) ((long) chunk * count / chunks),
                    (int) ((long) (chunk + 1) * count / chunks),
                    rgb));
    return planes;
  }

  private void fill(int from, int to, IntUnaryOperator rgb) {
    int before = -1;
    for (int i = from; i < to; i++) {
      int colour = rgb.applyAsInt(i);
      if (colour == before) {
        // Drawings are mostly flat: the neighbour's answer is worth keeping.
        lightness[i] = lightness[i - 1];
        a[i] = a[i - 1];
        b[i] = b[i - 1];
        continue;
      }
      before = colour;
      OkLab lab =
          OkLab.fromLinear(
              LINEAR[(colour >> 16) & 255], LINEAR[(colour >> 8) & 255], LINEAR[colour & 255]);
      lightness[i] = (float) lab.lightness();
      a[i] = (float) lab.a();
      b[i] = (float) lab.b();
    }
  }

  public int size() {
    return lightness.length;
  }

  public float lightness(int pixel) {
    return lightness[pixel];
  }

  public float a(int pixel) {
    return a[pixel];
  }

  public float b(int pixel) {
    return b[pixel];
  }

  public OkLab at(int pixel) {
    return new OkLab(lightness[pixel], a[pixel], b[pixel]);
  }

  /** Straight distance in OKLab between two pixels. */
  public float distance(int pixel, int other) {
    float dl = lightness[pixel] - lightness[other];
    float da = a[pixel] - a[other];
    float db = b[pixel] - b[other];
    return (float) Math.sqrt(dl * dl + da * da + db * db);
  }

  /** Straight distance in OKLab from a pixel to a colour. */
  public double distance(int pixel, OkLab colour) {
    double dl = lightness[pixel] - colour.lightness();
    double da = a[pixel] - colour.a();
    double db = b[pixel] - colour.b();
    return Math.sqrt(dl * dl + da * da + db * db);
  }
}
