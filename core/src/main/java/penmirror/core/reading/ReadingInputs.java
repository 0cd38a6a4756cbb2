package penmirror.core.reading;

import java.util.List;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.FigureEdit;
import penmirror.core.raster.Picture;

/**
 * All that pixel readings depend on. Equal inputs give equal readings, so what was read from them
 * once holds for every work that has them, and for the page as for the command line.
 *
 * @param pictureSha256 hash of the picture's file, lower-case hex
 * @param heeded the confirmed landmarks that readings heed: the head's frame and the eyes
 * @param strokes corrections of the figure by hand, in the order they were made
 * @param algorithmVersion of the code that reads
 */
public record ReadingInputs(
    String pictureSha256, Marks heeded, List<FigureEdit> strokes, int algorithmVersion) {

  public ReadingInputs {
    strokes = List.copyOf(strokes);
  }

  /** The inputs of a picture as it is marked and corrected now, for the code as it is. */
  public static ReadingInputs of(String pictureSha256, Marks marks, List<FigureEdit> strokes) {
    Marks heeded = marks.confirmed().only(PixelReader.HEEDED).withView(View.FRONT);
    return new ReadingInputs(pictureSha256, heeded, strokes, PixelReader.ALGORITHM_VERSION);
  }

  /**
   * Reads a picture by these inputs, with all that the readings come from.
   *
   * @param picture the one the hash names
   * @throws java.util.concurrent.CancellationException when {@code progress} throws it
   */
  public PixelEvidence look(Picture picture, PixelReader.Progress progress) {
    return new PixelReader().look(picture, heeded, strokes, progress);
  }
}
