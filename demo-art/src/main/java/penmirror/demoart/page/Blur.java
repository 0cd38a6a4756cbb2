package penmirror.demoart.page;

/** A Gaussian blur by three running means each way, which comes within 3 % of the true one. */
final class Blur {
  private Blur() {}

  /** Blurs 8-bit samples in place; beyond the border the border's value goes on. */
  static void gaussian(byte[] samples, int width, int height, double sigma) {
    float[] from = new float[samples.length];
    for (int i = 0; i < samples.length; i++) {
      from[i] = samples[i] & 255;
    }
    float[] to = new float[samples.length];
    int radius = (int) Math.max(1, Math.round((Math.sqrt(4 * sigma * sigma + 1) - 1) / 2));
    for (int pass = 0; pass < 3; pass++) {
      rows(from, to, width, height, radius);
      columns(to, from, width, height, radius);
    }
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (byte) Math.round(from[i]);
    }
  }

  private static void rows(float[] from, float[] to, int width, int height, int radius) {
    for (int y = 0; y < height; y++) {
      run(from, to, y * width, 1, width, radius);
    }
  }

  private static void columns(float[] from, float[] to, int width, int height, int radius) {
    for (int x = 0; x < width; x++) {
      run(from, to, x, width, height, radius);
    }
  }

  private static void run(float[] from, float[] to, int start, int step, int n, int radius) {
    double sum = 0;
    for (int k = -radius; k <= radius; k++) {
      sum += from[start + step * Math.max(0, Math.min(n - 1, k))];
    }
    for (int i = 0; i < n; i++) {
      to[start + step * i] = (float) (sum / (2 * radius + 1));
      sum +=
          from[start + step * Math.min(n - 1, i + radius + 1)]
              - from[start + step * Math.max(0, i - radius)];
    }
  }
}
