package penmirror.core.format;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/** Marks that are accepted can be measured, ruled from, and written and read again. */
public final class MarksFuzz {
  private MarksFuzz() {}

  /** Loads what the first run needs: that takes longer than any run may. */
  public static void fuzzerInitialize() throws FormatException {
    fuzzerTestOneInput("{}".getBytes(StandardCharsets.UTF_8));
    MeasureCatalogue.all();
  }

  public static void fuzzerTestOneInput(byte[] data) throws FormatException {
    String json = new String(data, StandardCharsets.UTF_8);
    MarksFile.keptLandmarks(View.FRONT, json);
    MarksFile file;
    try {
      file = MarksFile.parse(json);
    } catch (FormatException e) {
      return;
    }
    Evidence evidence = new Evidence(file.marks(), Optional.empty());
    MeasureCatalogue.readAll(evidence);
    StyleSheet.of(
        "fuzz", file.marks().view(), java.util.List.of(MeasuredWork.of("a", "a", "", evidence)));
    if (!MarksFile.parse(file.toJson()).marks().equals(file.marks())) {
      throw new IllegalStateException("Marks changed on the way through a file.");
    }
  }
}
