package penmirror.demoart.studio;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.file.PngWriter;

/** Many pictures on one neutral sheet, to look over a hand's work at once. */
public final class ContactSheet {
  private static final Color SURROUND = new Color(0x767676);
  private static final int GAP_PIXELS = 8;

  private ContactSheet() {}

  /**
   * @param columns how many pictures stand in a row, at least 1
   * @param cellPixels width and height of the place for each; pictures fit inside, feet on one line
   */
  public static BufferedImage of(List<Commission> pictures, int columns, int cellPixels) {
    int rows = (pictures.size() + columns - 1) / columns;
    int step = cellPixels + GAP_PIXELS;
    BufferedImage sheet =
        new BufferedImage(
            columns * step + GAP_PIXELS, rows * step + GAP_PIXELS, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = sheet.createGraphics();
    pen.setColor(SURROUND);
    pen.fillRect(0, 0, sheet.getWidth(), sheet.getHeight());
    pen.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    for (int i = 0; i < pictures.size(); i++) {
      BufferedImage picture = fitting(pictures.get(i), cellPixels);
      pen.drawImage(
          picture,
          GAP_PIXELS + i % columns * step + (cellPixels - picture.getWidth()) / 2,
          GAP_PIXELS + i / columns * step + cellPixels - picture.getHeight(),
          null);
    }
    pen.dispose();
    return sheet;
  }

  private static BufferedImage fitting(Commission commission, int cellPixels) {
    double longer = Illustration.longerSidePixels(commission.cut());
    return Illustration.of(commission, cellPixels / longer).image();
  }

  /** Writes the demo studio's four sheets as PNG. Arguments: the folder. */
  public static void main(String[] arguments) throws IOException {
    Path folder = Files.createDirectories(Path.of(arguments[0]));
    write(folder, "sheet-odile-marrow", DemoStudio.odileMarrow());
    write(folder, "sheet-casimir-thole", DemoStudio.casimirThole());
    write(folder, "sheet-ines-vantour", DemoStudio.inesVantour());
    List<Commission> own = new ArrayList<>(DemoStudio.ownHand());
    own.addAll(DemoStudio.character());
    write(folder, "sheet-own-hand", own);
  }

  private static void write(Path folder, String name, DemoStudio.Folder hand) throws IOException {
    List<Commission> pictures = new ArrayList<>(hand.sources());
    pictures.addAll(hand.redraws());
    pictures.add(hand.traced());
    pictures.add(hand.copied());
    write(folder, name, pictures);
  }

  private static void write(Path folder, String name, List<Commission> pictures)
      throws IOException {
    Files.write(
        folder.resolve(name + ".png"), PngWriter.write(of(pictures, 6, 210), Optional.empty()));
  }
}
