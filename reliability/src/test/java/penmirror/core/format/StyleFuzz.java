package penmirror.core.format;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.figure.Marks;
import penmirror.core.measure.Evidence;
import penmirror.core.planning.GuideDrawing;
import penmirror.core.planning.GuidePlan;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;

/** A sheet that is accepted can score and plan, and a score is a number from 0 to 100. */
public final class StyleFuzz {
  private StyleFuzz() {}

  /** Loads what the first run needs: that takes longer than any run may. */
  public static void fuzzerInitialize() throws FormatException {
    fuzzerTestOneInput("{}".getBytes(StandardCharsets.UTF_8));
    MeasureCatalogue.all();
  }

  public static void fuzzerTestOneInput(byte[] data) throws FormatException {
    StyleFile file;
    try {
      file = StyleFile.parse(new String(data, StandardCharsets.UTF_8));
    } catch (FormatException e) {
      return;
    }
    if (file.sheet().works().size() > 6) {
      return; // Scoring draws works anew a hundred times; a few are enough here.
    }
    Score score =
        new Scorer(file.sheet())
            .score(new Evidence(Marks.none(file.sheet().view()), Optional.empty()));
    score
        .overall()
        .ifPresent(
            points -> {
              if (!(points >= 0 && points <= 100)) {
                throw new IllegalStateException("A score of " + points);
              }
            });
    SvgWriter.write(GuideDrawing.of(GuidePlan.of(file.sheet(), new GuidePlan.Canvas(800, 1000))));
    StyleFile.parse(file.toJson());
  }
}
