package penmirror.core.drawing;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;

/** How much room words take on a page, in the letters in which a PDF is written. */
public final class Lettering {
  private static final PDType1Font FONT = new PDType1Font(Standard14Fonts.FontName.HELVETICA);

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

  /** Without the letters that the font does not have; other blanks are plain ones. */
  static String writable(String text) {
    StringBuilder held = new StringBuilder();
    text.codePoints()
        .forEach(
            c -> {
              String one = Character.toString(c);
              try {
                FONT.encode(one);
                held.append(one);
              } catch (IOException | IllegalArgumentException e) {
                held.append(Character.isWhitespace(c) ? " " : "");
              }
            });
    return held.toString();
  }

  /**
   * The outlines of one line of words, beginning at 0, the line the letters stand on at 0, y down.
   * What the font does not have is left out.
   */
  static Shape letters(String text, double sizePixels) {
    Path2D letters = new Path2D.Double();
    double at = 0;
    for (int i = 0; i < text.length(); i++) {
      AffineTransform place = AffineTransform.getTranslateInstance(at, 0);
      place.scale(sizePixels, -sizePixels);
      letters.append(place.createTransformedShape(letter(text.charAt(i))), false);
      at += width(text.charAt(i)) * sizePixels;
    }
    return letters;
  }

  /** In a square of one, y up. */
  private static Shape letter(char letter) {
    try {
      byte[] code = FONT.encode(String.valueOf(letter));
      String name = FONT.getEncoding().getName(code[0] & 255);
      return FONT.getFontMatrix()
          .createAffineTransform()
          .createTransformedShape(FONT.getPath(name));
    } catch (IllegalArgumentException | IOException e) {
      return new Path2D.Double();
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
