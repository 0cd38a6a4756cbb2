package penmirror.core.measure;

import java.util.Optional;
import penmirror.core.figure.Marks;

/**
 * All that is known of one picture.
 *
 * @param pixels empty until the pixels have been read
 * @param markingError how far its marks lie from where they belong
 */
public record Evidence(Marks marks, Optional<PixelReadings> pixels, MarkingError markingError) {

  /** With the shipped marking errors. */
  public Evidence(Marks marks, Optional<PixelReadings> pixels) {
    this(marks, pixels, MarkingError.SHIPPED);
  }

  public Evidence withMarks(Marks newMarks) {
    return new Evidence(newMarks, pixels, markingError);
  }
}
