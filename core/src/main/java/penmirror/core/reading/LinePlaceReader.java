package penmirror.core.reading;

import java.util.List;
import penmirror.core.figure.Marks;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.line.LinePlaces;
import penmirror.core.measure.line.LineReader;
import penmirror.core.raster.Picture;

/** Reads the line of a picture place by place. */
public final class LinePlaceReader {
  /** Enough to tell where a figure ends. */
  private static final int ABOUT_PIXELS = 400_000;

  private LinePlaceReader() {}

  /**
   * None where the picture has no lines, or no head is marked on it.
   *
   * @param edits corrections of the figure by hand
   */
  public static List<LinePlaces.Seen> read(Picture picture, List<FigureEdit> edits, Marks marks) {
    return marks.headFrame().isEmpty()
        ? List.of()
        : new LineReader()
            .read(picture)
            .map(
                lines ->
                    LinePlaces.of(lines, PixelReader.figure(picture, edits, ABOUT_PIXELS), marks))
            .orElse(List.of());
  }
}
