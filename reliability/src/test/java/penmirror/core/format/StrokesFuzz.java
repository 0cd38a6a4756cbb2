package penmirror.core.format;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.FigureEdit;
import penmirror.core.raster.Picture;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.reading.PixelReader;

/** Strokes that are accepted can be read by, and none takes longer than a picture is large. */
public final class StrokesFuzz {
  private static final Picture PICTURE = picture();

  private StrokesFuzz() {}

  /** Loads what the first run needs: that takes longer than any run may. */
  public static void fuzzerInitialize() {
    fuzzerTestOneInput("{}".getBytes(StandardCharsets.UTF_8));
    MeasureCatalogue.all();
  }

  public static void fuzzerTestOneInput(byte[] data) {
    String json = new String(data, StandardCharsets.UTF_8);
    FigureEditsJson.kept(json);
    List<FigureEdit> edits;
    try {
      edits = FigureEditsJson.read(json);
    } catch (FormatException e) {
      return;
    }
    new PixelReader().look(PICTURE, Marks.none(View.FRONT), edits, step -> {});
  }

  /** A disc on speckled paper. */
  private static Picture picture() {
    Random random = new Random(3);
    int[] rgb = new int[120 * 90];
    for (int i = 0; i < rgb.length; i++) {
      boolean inside = Math.hypot(i % 120 - 60, i / 120 - 45) < 30;
      rgb[i] = inside ? 0xC06040 : 0xF0F0F0 - 0x010101 * random.nextInt(12);
    }
    return Picture.of(120, 90, rgb);
  }
}
