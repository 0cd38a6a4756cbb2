package penmirror.core.colour;

/**
 * A colour in the numbers of a painter's colour picker.
 *
 * @param hueDegrees [0, 360); 0 for greys
 * @param saturationPercent [0, 100]
 * @param brightnessPercent [0, 100]
 */
public record PickerColour(double hueDegrees, double saturationPercent, double brightnessPercent) {

  /** By the hexcone of Smith 1978, on encoded sRGB, as pickers count. */
  public static PickerColour of(EncodedSrgb colour) {
    double most = Math.max(colour.red(), Math.max(colour.green(), colour.blue()));
    double least = Math.min(colour.red(), Math.min(colour.green(), colour.blue()));
    double span = most - least;
    double sector;
    if (span == 0) {
      sector = 0;
    } else if (most == colour.red()) {
      sector = (colour.green() - colour.blue()) / span;
    } else if (most == colour.green()) {
      sector = 2 + (colour.blue() - colour.red()) / span;
    } else {
      sector = 4 + (colour.red() - colour.green()) / span;
    }
    double hue = (60 * sector + 360) % 360;
    return new PickerColour(hue, most == 0 ? 0 : 100 * span / most, 100 * most);
  }

  /** Back again, by the same source. */
  public EncodedSrgb toEncodedSrgb() {
    double brightness = brightnessPercent / 100;
    double span = brightness * saturationPercent / 100;
    return new EncodedSrgb(
        channel(brightness, span, 5), channel(brightness, span, 3), channel(brightness, span, 1));
  }

  private double channel(double brightness, double span, int offset) {
    double k = (offset + hueDegrees / 60) % 6;
    return brightness - span * Math.max(0, Math.min(Math.min(k, 4 - k), 1));
  }
}
