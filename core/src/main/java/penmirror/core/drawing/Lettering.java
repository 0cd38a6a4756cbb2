package penmirror.core.drawing;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;

/** How much room words take on a page, in the letters in which a PDF is written. */
public final class Lettering {
  private static final PDFont FONT = new PDType1Font(Standard14Fonts.FontName.HELVETICA);

  /** Letters a font does not have are taken as wide as most are. */
  private static final double USUAL_WIDTH = 0.55;

  private Lettering() {}

  /** Width of one line of words, pixels. */
  public static double width(String text, double sizePixels) {
    double width = 0;
    for (int i = 0; i < text.length(); i++) {
      width += width(text.charAt(i));
    }
    return width * sizePixels;
  }

  private static double width(char letter) {
    try {
      return FONT.getStringWidth(String.valueOf(letter)) / 1000;
    } catch (IllegalArgumentException | IOException e) {
      return USUAL_WIDTH;
    }
  }

  /** Words broken into lines no wider than so many pixels; a word that is wider stands alone. */
  public static List<String> lines(String text, double sizePixels, double widthPixels) {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : text.strip().split("\\s+")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && width(longer, sizePixels) > widthPixels) {
        lines.add(line.toString());
        line = new StringBuilder(word);
      } else {
        line = new StringBuilder(longer);
      }
    }
    if (!line.isEmpty()) {
      lines.add(line.toString());
    }
    return lines;
  }
}
