package penmirror.core.reading;

import java.util.Optional;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Tones;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.core.raster.PixelGrid;

/**
 * The colours of one role of a picture, such as its skin: what was picked, and how the local colour
 * under the pick is laid in light and shadow.
 *
 * @param picked mean of a small disc, in linear light
 * @param tones of the local colour; empty where it is too small to tell
 */
public record RoleColours(OkLab picked, Optional<Tones> tones) {

  /**
   * @param at pixels of the picture
   * @param radiusPixels of the disc that is averaged, 0 or more
   */
  public static RoleColours at(PixelEvidence evidence, Point at, double radiusPixels) {
    OkLab picked = discMean(evidence.figure().picture(), at, radiusPixels);
    int pixel = evidence.figure().coarseIndex(PixelGrid.place(at.x()), PixelGrid.place(at.y()));
    return new RoleColours(picked, evidence.shade().tonesUnder(pixel));
  }

  /**
   * Mean colour of a disc, taken in linear light as a lens would blur it; at least one pixel.
   *
   * @param at pixels, held inside the picture
   */
  public static OkLab discMean(Picture picture, Point at, double radiusPixels) {
    int cx = (int) Math.max(0, Math.min(picture.widthPixels() - 1, Math.floor(at.x())));
    int cy = (int) Math.max(0, Math.min(picture.heightPixels() - 1, Math.floor(at.y())));
    int reach = (int) Math.ceil(radiusPixels);
    double[] sums = new double[3];
    int count = 0;
    for (int y = Math.max(0, cy - reach);
        y <= Math.min(picture.heightPixels() - 1, cy + reach);
        y++) {
      for (int x = Math.max(0, cx - reach);
          x <= Math.min(picture.widthPixels() - 1, cx + reach);
          x++) {
        if (PixelGrid.point(x, y).distanceTo(at) <= radiusPixels || x == cx && y == cy) {
          int rgb = picture.rgb(y * picture.widthPixels() + x);
          sums[0] += EncodedSrgb.toLinear(((rgb >> 16) & 255) / 255.0);
          sums[1] += EncodedSrgb.toLinear(((rgb >> 8) & 255) / 255.0);
          sums[2] += EncodedSrgb.toLinear((rgb & 255) / 255.0);
          count++;
        }
      }
    }
    return OkLab.from(
        new EncodedSrgb(
            EncodedSrgb.fromLinear(sums[0] / count),
            EncodedSrgb.fromLinear(sums[1] / count),
            EncodedSrgb.fromLinear(sums[2] / count)));
  }
}
