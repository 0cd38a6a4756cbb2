package penmirror.core.measure;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import penmirror.core.colour.Swatch;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.reading.PixelReader;

/**
 * What the pixels of one picture tell, so that it can be kept with the picture and computed again.
 * Lengths are in pixels: they become heads when the head is known.
 *
 * @param algorithmVersion {@link PixelReader#ALGORITHM_VERSION} of the reader that made them
 * @param figureAreaPixels pixels that are not background; 0 when nothing stands out
 * @param estimates by the key of the measure
 * @param absences why a measure has no estimate, by its key
 * @param swatches colours of the figure as one sees them, largest first
 * @param flats colours told apart more finely, largest first; by them works are compared
 * @param roles the colours of skin, hair and clothes, as far as they were found
 */
public record PixelReadings(
    int algorithmVersion,
    int widthPixels,
    int heightPixels,
    long figureAreaPixels,
    Map<String, Estimate> estimates,
    Map<String, Reason> absences,
    List<Swatch> swatches,
    List<Swatch> flats,
    List<RoleTones> roles) {

  /** Below this a line covers no pixel fully and reads too wide: it counts as a hairline. */
  public static final double HAIRLINE_PIXELS = 2;

  public PixelReadings {
    estimates = new TreeMap<>(estimates);
    absences = new TreeMap<>(absences);
    swatches = List.copyOf(swatches);
    flats = List.copyOf(flats);
    roles = List.copyOf(roles);
  }

  public Optional<Estimate> estimate(Measure measure) {
    return Optional.ofNullable(estimates.get(measure.key()));
  }

  /** Why there is no estimate; a measure that this version never sought was not read. */
  public Reason absence(Measure measure) {
    return absences.getOrDefault(measure.key(), Reason.PIXELS_NOT_READ);
  }
}
