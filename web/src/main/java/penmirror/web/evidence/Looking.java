package penmirror.web.evidence;

import org.springframework.stereotype.Component;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelEvidence;
import penmirror.core.reading.PixelReader;
import penmirror.core.reading.ReadingInputs;

/** Reads pictures: seconds of work for every megapixel. */
@Component
public class Looking {

  /**
   * @throws java.util.concurrent.CancellationException when {@code progress} throws it
   */
  public PixelReadings readings(
      ReadingInputs inputs, Picture picture, PixelReader.Progress progress) {
    return evidence(inputs, picture, progress).readings();
  }

  /** With all that the readings come from. */
  public PixelEvidence evidence(
      ReadingInputs inputs, Picture picture, PixelReader.Progress progress) {
    return inputs.look(picture, progress);
  }
}
