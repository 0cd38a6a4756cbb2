package penmirror.core.measure.region;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.measure.FigurePixels;
import penmirror.core.measure.colour.Palette;
import penmirror.core.measure.colour.PaletteReader;
import penmirror.core.measure.line.DrawnLines;
import penmirror.core.measure.line.InkPainter;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;
import penmirror.core.raster.PixelGrid;
import penmirror.core.raster.Regions;

/**
 * A copy of about 512 pixels high, cut into regions of one flat colour.
 *
 * <p>The unit of length is the root of the figure's area: it needs no marks and does not heed how
 * the figure is framed.
 */
public final class FlatPicture {
  private static final int HEIGHT = 512;
  private static final int LARGEST = 1_500_000;

  /** A region that lies in lines by more than this is a line. */
  private static final double LINE_SHARE = 0.6;

  private static final double LEAST_SHARE = 0.0006;
  private static final int LEAST_PIXELS = 12;

  private final int factor;
  private final Picture small;
  private final OkLabPlanes colours;
  private final Mask figure;
  private final boolean[] ink;
  private final Palette palette;
  private final Regions regions;
  private final int figureArea;
  private final boolean[] line;
  private final Map<Long, int[]> contacts = new HashMap<>();
  private final int[] perimeters;
  private final int[] box;
  private final int[][] boxes;
  private final Moments[] moments;

  private FlatPicture(Picture picture, FigurePixels pixels, Optional<DrawnLines> lines) {
    int byHeight = (int) Math.round(picture.heightPixels() / (double) HEIGHT);
    int bySize = (int) Math.ceil(Math.sqrt(picture.pixelCount() / (double) LARGEST));
    factor = Math.max(1, Math.max(byHeight, bySize));
    small = picture.shrunk(factor);
    colours = OkLabPlanes.of(small.pixelCount(), small::rgb);
    int width = small.widthPixels();
    int height = small.heightPixels();
    boolean[] inside = new boolean[width * height];
    int area = 0;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        boolean is = pixels.isFigure(PixelGrid.toLarge(x, factor), PixelGrid.toLarge(y, factor));
        inside[y * width + x] = is;
        area += is ? 1 : 0;
      }
    }
    figure = new Mask(width, height, inside);
    figureArea = area;
    ink =
        lines
            .map(drawn -> InkPainter.paint(drawn, factor, width, height))
            .orElse(new boolean[width * height]);
    palette = PaletteReader.fine().read(colours, figure);
    regions = Regions.of(palette.labels(), width, height);
    line = new boolean[regions.count()];
    perimeters = new int[regions.count()];
    findLines();
    findContacts();
    box = findBox();
    boxes = regions.boxes();
    moments = findMoments();
  }

  public static FlatPicture of(FigurePixels pixels, Optional<DrawnLines> lines) {
    return new FlatPicture(pixels.picture(), pixels, lines);
  }

  private void findLines() {
    int[] inked = new int[regions.count()];
    for (int i = 0; i < ink.length; i++) {
      if (regions.at(i) >= 0 && ink[i]) {
        inked[regions.at(i)]++;
      }
    }
    for (int r = 0; r < line.length; r++) {
      line[r] = inked[r] > LINE_SHARE * regions.area(r);
    }
  }

  private void findContacts() {
    eachContact(
        (pixel, one, other) -> contacts.computeIfAbsent(key(one, other), key -> new int[1])[0]++);
    int width = width();
    for (int i = 0; i < ink.length; i++) {
      int here = regions.at(i);
      if (here < 0) {
        continue;
      }
      int x = i % width;
      boolean edge =
          x == 0
              || x == width - 1
              || i < width
              || i + width >= ink.length
              || regions.at(i - 1) != here
              || regions.at(i + 1) != here
              || regions.at(i - width) != here
              || regions.at(i + width) != here;
      perimeters[here] += edge ? 1 : 0;
    }
  }

  private Moments[] findMoments() {
    Moments[] found = new Moments[regions.count()];
    for (int r = 0; r < found.length; r++) {
      found[r] = new Moments();
    }
    for (int i = 0; i < ink.length; i++) {
      if (regions.at(i) >= 0) {
        found[regions.at(i)].add(i % width(), i / width());
      }
    }
    return found;
  }

  static long key(int one, int other) {
    return (long) Math.min(one, other) << 32 | Math.max(one, other);
  }

  private int[] findBox() {
    int left = width();
    int top = height();
    int right = 0;
    int bottom = 0;
    for (int i = 0; i < ink.length; i++) {
      if (figure.values()[i]) {
        int x = i % width();
        int y = i / width();
        left = Math.min(left, x);
        right = Math.max(right, x + 1);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y + 1);
      }
    }
    return new int[] {left, top, Math.max(left, right), Math.max(top, bottom)};
  }

  /** Told of every pair of neighbouring pixels of different regions, by the left or upper pixel. */
  @FunctionalInterface
  interface ContactVisitor {
    void touch(int pixel, int one, int other);
  }

  void eachContact(ContactVisitor visitor) {
    int width = width();
    int height = height();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        int here = regions.at(i);
        if (here < 0) {
          continue;
        }
        if (x + 1 < width && regions.at(i + 1) >= 0 && regions.at(i + 1) != here) {
          visitor.touch(i, here, regions.at(i + 1));
        }
        if (y + 1 < height && regions.at(i + width) >= 0 && regions.at(i + width) != here) {
          visitor.touch(i, here, regions.at(i + width));
        }
      }
    }
  }

  public int factor() {
    return factor;
  }

  public int width() {
    return small.widthPixels();
  }

  public int height() {
    return small.heightPixels();
  }

  OkLabPlanes colours() {
    return colours;
  }

  Mask figure() {
    return figure;
  }

  boolean isInk(int pixel) {
    return ink[pixel];
  }

  public Palette palette() {
    return palette;
  }

  Regions regions() {
    return regions;
  }

  /** Pixels of the figure on the copy. */
  public int figureArea() {
    return figureArea;
  }

  /** The unit of length on the copy, pixels. */
  double unit() {
    return Math.sqrt(figureArea);
  }

  /** Left, top, right, bottom of the figure; the last two exclusive. */
  int[] box() {
    return box;
  }

  /** Left, top, right, bottom of a region; the last two exclusive. */
  int[] box(int region) {
    return boxes[region];
  }

  /** Centre and axes of a region. */
  Moments moments(int region) {
    return moments[region];
  }

  OkLab colour(int region) {
    return palette.colour(regions.label(region));
  }

  /** Step in OKLab between two regions. */
  double step(int one, int other) {
    return colour(one).distanceTo(colour(other));
  }

  boolean isLine(int region) {
    return line[region];
  }

  /** Whether a region is a shape that is large enough to speak of. */
  boolean isUsable(int region) {
    return !line[region]
        && regions.area(region) >= LEAST_PIXELS
        && regions.area(region) >= LEAST_SHARE * figureArea;
  }

  int perimeter(int region) {
    return perimeters[region];
  }

  /** Numbers of touching pixel pairs by pair of regions, smaller number in the upper half. */
  Map<Long, int[]> contacts() {
    return contacts;
  }

  /** One region as a mask of its box with a margin of two pixels. */
  Mask mask(int region) {
    int[] regionBox = boxes[region];
    int left = Math.max(0, regionBox[0] - 2);
    int top = Math.max(0, regionBox[1] - 2);
    int right = Math.min(width(), regionBox[2] + 2);
    int bottom = Math.min(height(), regionBox[3] + 2);
    boolean[] set = new boolean[(right - left) * (bottom - top)];
    for (int y = top; y < bottom; y++) {
      for (int x = left; x < right; x++) {
        set[(y - top) * (right - left) + x - left] = regions.at(y * width() + x) == region;
      }
    }
    return new Mask(right - left, bottom - top, set);
  }

  /** Pixel of the copy under a place of the picture, held at the edges. */
  public int index(double x, double y) {
    int cx = Math.max(0, Math.min(width() - 1, PixelGrid.cell(x, factor)));
    int cy = Math.max(0, Math.min(height() - 1, PixelGrid.cell(y, factor)));
    return cy * width() + cx;
  }

  /**
   * Where flats touch and how strong the step is: 0 away from borders, 1 below 0.03 in OKLab, and
   * one more for every further 0.03, at most 9.
   */
  public int[] stepClasses() {
    int[] classes = new int[width() * height()];
    eachContact(
        (pixel, one, other) ->
            classes[pixel] =
                Math.max(classes[pixel], 1 + (int) Math.min(8, step(one, other) / 0.03)));
    return classes;
  }
}
