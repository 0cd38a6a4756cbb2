package penmirror.core.format;

import java.util.List;
import java.util.Locale;
import penmirror.core.colour.EncodedSrgb;

/**
 * Writes colours as a {@code .gpl} palette, the plain text that many painting programs read: a
 * first line that says what it is, the palette's name, the number of columns, remarks after #, and
 * a line a colour with its three channels from 0 to 255, a tabulator and its name.
 */
public final class PaletteFile {
  private static final String FIRST_LINE = "GIMP Palette";

  private PaletteFile() {}

  /** A colour under the name it is shown by. */
  public record Named(String name, EncodedSrgb colour) {}

  /**
   * @param columns how many colours stand in a row, 1 to 255
   * @param remarks such as credit and caution, a line each
   */
  public static String gpl(String name, int columns, List<String> remarks, List<Named> colours) {
    if (columns < 1 || columns > 255) {
      throw new IllegalArgumentException("A palette has 1 to 255 columns, got " + columns);
    }
    StringBuilder text = new StringBuilder(FIRST_LINE).append('\n');
    text.append("Name: ").append(line(name)).append('\n');
    text.append("Columns: ").append(columns).append('\n');
    remarks.forEach(remark -> text.append("# ").append(line(remark)).append('\n'));
    text.append("#\n");
    for (Named named : colours) {
      text.append(
          String.format(
              Locale.ROOT,
              "%3d %3d %3d\t%s%n",
              channel(named.colour().red()),
              channel(named.colour().green()),
              channel(named.colour().blue()),
              line(named.name())));
    }
    return text.toString().replace("\r\n", "\n");
  }

  private static long channel(double value) {
    return Math.round(255 * value);
  }

  /** What would end a line is a blank. */
  private static String line(String text) {
    return text.replaceAll("\\s+", " ").strip();
  }
}
