package penmirror.core.style;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import penmirror.core.figure.Mood;
import penmirror.core.measure.Measure;
import penmirror.core.reading.MeasureCatalogue;

/**
 * How far a mood carries a reading away from the same face when calm. Fitted on drawn figures; the
 * table says when, on what and by which program.
 */
public final class MoodShifts {
  private static final String TABLE = "mood-shifts.csv";
  private static final Map<Measure, Map<Mood, Shift>> ALL = read();

  private MoodShifts() {}

  /**
   * @param middle in the measure's scale; 0 for calm
   * @param spread how much it differs from face to face, standard deviation in the measure's scale
   */
  public record Shift(double middle, double spread) {
    static final Shift NONE = new Shift(0, 0);
  }

  /** Whether a mood moves it. */
  public static boolean follows(Measure measure) {
    return ALL.containsKey(measure);
  }

  /** Everything a mood moves, in the catalogue's order. */
  public static Set<Measure> measures() {
    return ALL.keySet();
  }

  /** No way at all for what no mood moves. */
  public static Shift of(Measure measure, Mood mood) {
    return ALL.getOrDefault(measure, Map.of()).getOrDefault(mood, Shift.NONE);
  }

  private static Map<Measure, Map<Mood, Shift>> read() {
    Map<String, Map<Mood, Shift>> found = new LinkedHashMap<>();
    try (InputStream in = MoodShifts.class.getResourceAsStream(TABLE);
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (!line.startsWith("#")) {
          String[] cells = line.split(",");
          found
              .computeIfAbsent(cells[0], key -> new EnumMap<>(Mood.class))
              .put(
                  Mood.ofWord(cells[1]).orElseThrow(),
                  new Shift(Double.parseDouble(cells[2]), Double.parseDouble(cells[3])));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("The table of moods cannot be read.", e);
    }
    Map<Measure, Map<Mood, Shift>> all = new LinkedHashMap<>();
    for (Measure measure : MeasureCatalogue.all()) {
      Map<Mood, Shift> shifts = found.remove(measure.key());
      if (shifts != null) {
        all.put(measure, shifts);
      }
    }
    if (!found.isEmpty()) {
      throw new IllegalStateException(
          "The table of moods knows what is no measure: " + found.keySet());
    }
    return all;
  }
}
