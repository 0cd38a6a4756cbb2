package penmirror.core.format;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.reading.MeasureCatalogue;

/** Stored readings that are accepted can be turned into rules' values. */
public final class ReadingsFuzz {
  private ReadingsFuzz() {}

  /** Loads what the first run needs: that takes longer than any run may. */
  public static void fuzzerInitialize() {
    fuzzerTestOneInput("{}".getBytes(StandardCharsets.UTF_8));
    MeasureCatalogue.all();
  }

  public static void fuzzerTestOneInput(byte[] data) {
    try {
      var readings = PixelReadingsJson.read(new String(data, StandardCharsets.UTF_8));
      MeasureCatalogue.readAll(new Evidence(Marks.none(View.FRONT), Optional.of(readings)));
    } catch (FormatException e) {
      // Told so, and nothing more.
    }
  }
}
