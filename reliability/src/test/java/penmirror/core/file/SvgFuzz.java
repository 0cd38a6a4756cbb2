package penmirror.core.file;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import penmirror.core.reading.MeasureCatalogue;

/**
 * What is asked of a drawing before it is drawn, and now and then the drawing itself in its own
 * process, which may take what it likes: it is ended.
 */
public final class SvgFuzz {
  private static final int DRAWN_EVERY = 40;
  private static final PictureReader READER =
      new PictureReader(
          new PictureLimits(4 << 20, 64_000_000, 16_384, Duration.ofSeconds(1)),
          new DrawingProcess(256));

  private static int runs;

  private SvgFuzz() {}

  /** Loads what the first run needs: that takes longer than any run may. */
  public static void fuzzerInitialize() {
    fuzzerTestOneInput("{}".getBytes(StandardCharsets.UTF_8));
    MeasureCatalogue.all();
  }

  public static void fuzzerTestOneInput(byte[] data) {
    byte[] svg = data;
    if (PictureFormat.sniff(data).isEmpty()) {
      // Most mutations break the frame; inside it they reach farther.
      svg =
          ("<svg xmlns='http://www.w3.org/2000/svg' width='30' height='30'>"
                  + new String(data, StandardCharsets.UTF_8)
                  + "</svg>")
              .getBytes(StandardCharsets.UTF_8);
    }
    try {
      SvgDrawing.requireDrawable(svg, RasterFuzz.LIMITS);
      if (++runs % DRAWN_EVERY == 0) {
        READER.open(svg);
      }
    } catch (UnusablePictureException e) {
      // Told so, and nothing more.
    }
  }
}
