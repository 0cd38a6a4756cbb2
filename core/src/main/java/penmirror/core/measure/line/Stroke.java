package penmirror.core.measure.line;

import java.util.Arrays;

/** One traced piece of line: its width at every pixel of its length, and where its middle runs. */
final class Stroke {
  private final double[] widthsPixels;
  private final int[] centrePixels;
  private final double medianWidthPixels;

  /**
   * @param widthsPixels at least one, away from junctions
   * @param centrePixels row-major index of the pixel under each centre
   */
  Stroke(double[] widthsPixels, int[] centrePixels) {
    this.widthsPixels = widthsPixels;
    this.centrePixels = centrePixels;
    double[] sorted = widthsPixels.clone();
    Arrays.sort(sorted);
    medianWidthPixels = sorted[sorted.length / 2];
  }

  double[] widthsPixels() {
    return widthsPixels;
  }

  int[] centrePixels() {
    return centrePixels;
  }

  double lengthPixels() {
    return widthsPixels.length;
  }

  double medianWidthPixels() {
    return medianWidthPixels;
  }
}
