package penmirror.core.file;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferInt;
import java.awt.image.DirectColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import penmirror.core.raster.Picture;

/** Brings pixels from the colour space of a file's profile to sRGB. */
final class ToSrgb {
  private static final int[] MASKS = {0xFF0000, 0xFF00, 0xFF};

  /** Rows converted at once; the converter needs working memory of its own. */
  private static final int BAND = 256;

  private ToSrgb() {}

  /** The same samples, read as if they were sRGB, whatever space the decoder gave them. */
  static BufferedImage asItStands(BufferedImage image) {
    ColorModel model = image.getColorModel();
    if (model.getColorSpace().isCS_sRGB() || !(model instanceof ComponentColorModel)) {
      return image;
    }
    ColorModel srgb =
        new ComponentColorModel(
            ColorSpace.getInstance(ColorSpace.CS_sRGB),
            model.hasAlpha(),
            model.isAlphaPremultiplied(),
            model.getTransparency(),
            model.getTransferType());
    return new BufferedImage(srgb, image.getRaster(), model.isAlphaPremultiplied(), null);
  }

  /** Colours of the given space brought to sRGB, 8 bits a channel. */
  static Picture converted(Picture picture, ICC_ColorSpace space) {
    ColorSpace srgb = ColorSpace.getInstance(ColorSpace.CS_sRGB);
    ColorModel from = model(space);
    ColorModel to = model(srgb);
    ColorConvertOp conversion = new ColorConvertOp(space, srgb, null);
    int width = picture.widthPixels();
    int[] result = new int[picture.pixelCount()];
    for (int top = 0; top < picture.heightPixels(); top += BAND) {
      int rows = Math.min(BAND, picture.heightPixels() - top);
      int[] band = new int[width * rows];
      for (int i = 0; i < band.length; i++) {
        band[i] = picture.rgb(top * width + i);
      }
      BufferedImage before = new BufferedImage(from, raster(band, width, rows), false, null);
      int[] after = new int[band.length];
      conversion.filter(before, new BufferedImage(to, raster(after, width, rows), false, null));
      for (int i = 0; i < after.length; i++) {
        result[top * width + i] = after[i] & 0xFFFFFF;
      }
    }
    return Picture.of(width, picture.heightPixels(), result);
  }

  private static ColorModel model(ColorSpace space) {
    return new DirectColorModel(
        space, 24, MASKS[0], MASKS[1], MASKS[2], 0, false, DataBuffer.TYPE_INT);
  }

  private static WritableRaster raster(int[] pixels, int width, int height) {
    return Raster.createPackedRaster(
        new DataBufferInt(pixels, pixels.length), width, height, width, MASKS, null);
  }
}
