package penmirror.core.measure;

import java.util.Optional;
import penmirror.core.figure.Marks;

/**
 * All that is known of one picture.
 *
 * @param pixels empty until the pixels have been read
 */
public record Evidence(Marks marks, Optional<PixelReadings> pixels) {

  public Evidence withMarks(Marks newMarks) {
    return new Evidence(newMarks, pixels);
  }
}
