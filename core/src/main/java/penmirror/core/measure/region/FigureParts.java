package penmirror.core.measure.region;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.SkinTone;
import penmirror.core.figure.HeadFrame;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;
import penmirror.core.raster.Mask;
import penmirror.core.raster.PixelGrid;
import penmirror.core.raster.Regions;

/**
 * Where face, skin, hair and clothes are, as far as one can tell from flat colours.
 *
 * <p>The face is the large region near the middle that has other things lying on it. A big hat or a
 * white shirt can be taken for it. With a marked head it is sought there. What lies in the face and
 * is not skin are its features; what lies above is hair, below clothes.
 */
public final class FigureParts {
  /** What a pixel of the small copy belongs to. */
  public enum Part {
    NONE,
    FACE,
    FEATURE,
    HAIR,
    CLOTH,
    SKIN
  }

  /** Empty pixels round the face's mask. */
  private static final int RIM = 2;

  /** A brush takes the regions under its middle and this far out to its edge. */
  private static final double OFF_MIDDLE = 0.7;

  private static final double LEAST_FACE = 0.03;
  private static final double LEAST_PART = 0.01;
  private static final double HAIR_DOWN_TO = 0.45;

  /** Hair has its middle above this share of the face, and ends so far below the chin at most. */
  private static final double MIDDLE_OF_HAIR = 0.6;

  private static final double LONGEST_HAIR = 1.5;

  /** A colour of the face covers so much of it; less is a speck. */
  private static final double LEAST_OF_FACE = 0.03;

  /** Colours nearer than this in OKLab are tones of one another. */
  private static final double ALIKE = 0.05;

  /** Of the head's square, so that it is told from a patch of hair on a marked head. */
  private static final double LEAST_OF_HEAD = 0.06;

  private final FlatPicture flats;
  private final byte[] parts;
  private final int skin;
  private final int[] faceBox;
  private final int faceArea;

  private FigureParts(FlatPicture flats, byte[] parts, int skin, int[] faceBox, int faceArea) {
    this.flats = flats;
    this.parts = parts;
    this.skin = skin;
    this.faceBox = faceBox;
    this.faceArea = faceArea;
  }

  /**
   * @param head the marked head in pixels of the picture, if there is one
   * @param edits by hand, in the order they were made; those about the figure as a whole are passed
   *     over. A face drawn by hand is taken for it; later strokes win over earlier ones.
   * @return empty when no region can be a face and none was drawn
   */
  public static Optional<FigureParts> find(
      FlatPicture flats, Optional<HeadFrame> head, List<FigureEdit> edits) {
    List<FigureEdit> strokes = edits.stream().filter(edit -> edit.kind().isOfParts()).toList();
    boolean[] face = new boolean[flats.regions().count()];
    boolean[] something = new boolean[face.length];
    for (FigureEdit stroke : strokes) {
      for (int region : under(flats, stroke)) {
        face[region] = stroke.kind() == FigureEdit.Kind.FACE;
        something[region] = true;
      }
    }
    boolean drawn = false;
    for (boolean one : face) {
      drawn |= one;
    }
    if (!drawn) {
      int found = mostLikeAFace(flats, head, something);
      if (found < 0) {
        return Optional.empty();
      }
      face[found] = true;
    }
    return Optional.of(of(flats, face, strokes));
  }

  /** Flat regions that a stroke runs over; drawn lines only where it touches nothing else. */
  private static Set<Integer> under(FlatPicture flats, FigureEdit stroke) {
    Set<Integer> regions = new TreeSet<>();
    Set<Integer> lines = new TreeSet<>();
    double reach = stroke.radiusPixels() / flats.factor();
    List<Point> points = stroke.points();
    for (int p = 0; p < points.size(); p++) {
      Point from = points.get(Math.max(0, p - 1));
      Point to = points.get(p);
      int steps = 1 + (int) (from.distanceTo(to) / flats.factor());
      for (int step = 0; step <= steps; step++) {
        Point at = from.plus(to.minus(from).times(step / (double) steps));
        double x = PixelGrid.toCopy(PixelGrid.place(at.x()), flats.factor());
        double y = PixelGrid.toCopy(PixelGrid.place(at.y()), flats.factor());
        for (double[] off : new double[][] {{0, 0}, {-1, 0}, {1, 0}, {0, -1}, {0, 1}}) {
          int column = (int) Math.round(x + OFF_MIDDLE * reach * off[0]);
          int row = (int) Math.round(y + OFF_MIDDLE * reach * off[1]);
          if (column >= 0 && row >= 0 && column < flats.width() && row < flats.height()) {
            int region = flats.regions().at(row * flats.width() + column);
            if (region >= 0) {
              (flats.isLine(region) ? lines : regions).add(region);
            }
          }
        }
      }
    }
    return regions.isEmpty() ? lines : regions;
  }

  /**
   * @param spoken regions that a hand said are something else
   */
  private static int mostLikeAFace(FlatPicture flats, Optional<HeadFrame> head, boolean[] spoken) {
    int best = -1;
    double most = 0;
    for (int r = 0; r < flats.regions().count(); r++) {
      double score = spoken[r] ? 0 : score(flats, r, head);
      if (score > most) {
        most = score;
        best = r;
      }
    }
    return best;
  }

  private static double score(FlatPicture flats, int region, Optional<HeadFrame> head) {
    Moments moments = flats.moments(region);
    if (flats.isLine(region)) {
      return 0;
    }
    double place;
    if (head.isPresent()) {
      double size = head.get().headPixels() / flats.factor();
      if (moments.area() < LEAST_OF_HEAD * size * size) {
        return 0;
      }
      double x = PixelGrid.toLarge(moments.centreX(), flats.factor());
      double y = PixelGrid.toLarge(moments.centreY(), flats.factor());
      Point at = PixelGrid.point(x, y);
      double down = head.get().height(at);
      double sideways = head.get().sideways(at);
      place = Math.exp(-Math.pow(sideways / 0.3, 2) - Math.pow((down - 0.62) / 0.28, 2));
    } else {
      if (moments.area() < LEAST_FACE * flats.figureArea()) {
        return 0;
      }
      int[] figure = flats.box();
      double x = (moments.centreX() - figure[0]) / (figure[2] - figure[0]);
      double y = (moments.centreY() - figure[1]) / (figure[3] - figure[1]);
      place = Math.exp(-Math.pow((x - 0.5) / 0.3, 2) - Math.pow((y - 0.48) / 0.28, 2));
    }
    Mask mask = flats.mask(region);
    boolean[] holes = holes(mask);
    int filled = flats.regions().area(region);
    for (boolean hole : holes) {
      filled += hole ? 1 : 0;
    }
    int count = openedCount(holes, mask.width(), mask.height());
    return filled / (double) flats.figureArea() * place * (1 + Math.min(4, count));
  }

  /** Pixels that a mask encloses. */
  private static boolean[] holes(Mask mask) {
    boolean[] outside = new boolean[mask.values().length];
    for (int i = 0; i < outside.length; i++) {
      outside[i] = !mask.values()[i];
    }
    Regions pieces = Regions.of(outside, mask.width(), mask.height());
    int[][] boxes = pieces.boxes();
    boolean[] holes = new boolean[outside.length];
    for (int i = 0; i < holes.length; i++) {
      if (pieces.at(i) >= 0) {
        int[] box = boxes[pieces.at(i)];
        holes[i] = box[0] > 0 && box[1] > 0 && box[2] < mask.width() && box[3] < mask.height();
      }
    }
    return holes;
  }

  /** Pieces that are left when a cross of five pixels must fit in. */
  private static int openedCount(boolean[] holes, int width, int height) {
    int count = 0;
    Regions pieces = Regions.of(holes, width, height);
    boolean[] met = new boolean[pieces.count()];
    for (int y = 1; y < height - 1; y++) {
      for (int x = 1; x < width - 1; x++) {
        int i = y * width + x;
        boolean fits =
            holes[i] && holes[i - 1] && holes[i + 1] && holes[i - width] && holes[i + width];
        if (fits && !met[pieces.at(i)]) {
          met[pieces.at(i)] = true;
          count++;
        }
      }
    }
    return count;
  }

  private static FigureParts of(FlatPicture flats, boolean[] face, List<FigureEdit> strokes) {
    int[] box = {flats.width(), flats.height(), 0, 0};
    int largest = -1;
    for (int region = 0; region < face.length; region++) {
      if (face[region]) {
        int[] own = flats.box(region);
        box[0] = Math.min(box[0], own[0]);
        box[1] = Math.min(box[1], own[1]);
        box[2] = Math.max(box[2], own[2]);
        box[3] = Math.max(box[3], own[3]);
        boolean larger =
            largest < 0 || flats.regions().area(region) > flats.regions().area(largest);
        largest = larger ? region : largest;
      }
    }
    int width = flats.width();
    byte[] parts = new byte[width * flats.height()];
    Mask mask = maskOf(flats, face, box);
    boolean[] holes = holes(mask);
    int area = 0;
    for (int i = 0; i < holes.length; i++) {
      if (mask.values()[i] || holes[i]) {
        parts[onPicture(i, mask, box, width)] =
            (byte) (mask.values()[i] ? Part.FACE : Part.FEATURE).ordinal();
        area++;
      }
    }
    int skin = flats.regions().label(largest);
    double hairEnd = box[1] + HAIR_DOWN_TO * (box[3] - box[1]);
    Part[] ofRegion = new Part[face.length];
    for (int region = 0; region < face.length; region++) {
      ofRegion[region] = flats.isLine(region) ? Part.NONE : partOf(flats, region, skin, box);
    }
    for (int i = 0; i < parts.length; i++) {
      if (parts[i] != Part.NONE.ordinal() || !flats.figure().values()[i]) {
        continue;
      }
      int region = flats.regions().at(i);
      int y = i / width;
      Part part = region < 0 ? Part.NONE : ofRegion[region];
      if (part == Part.NONE) {
        part =
            flats.palette().labels()[i] == skin
                ? Part.SKIN
                : y < hairEnd ? Part.HAIR : y >= box[3] ? Part.CLOTH : Part.NONE;
      }
      parts[i] = (byte) part.ordinal();
    }
    paint(flats, strokes, face, parts);
    return new FigureParts(flats, parts, skin, box, area);
  }

  /**
   * Of a whole flat region: shaded skin within the face's box is face, what else lies wholly in it
   * a feature; what has its middle above and does not hang far below the chin is hair, however far
   * down its ends reach.
   */
  private static Part partOf(FlatPicture flats, int region, int skin, int[] box) {
    Moments moments = flats.moments(region);
    double faceHeight = box[3] - box[1];
    double x = moments.centreX();
    double y = moments.centreY();
    if (flats.regions().label(region) == skin) {
      return Part.SKIN;
    }
    boolean inFace = x > box[0] && x < box[2] && y > box[1] && y < box[3];
    if (inFace && SkinTone.isToneOf(flats.colour(region), flats.palette().colour(skin))) {
      return Part.FACE;
    }
    int[] own = flats.box(region);
    boolean within = own[0] >= box[0] && own[1] >= box[1] && own[2] <= box[2] && own[3] <= box[3];
    if (within) {
      return Part.FEATURE;
    }
    boolean above = y < box[1] + MIDDLE_OF_HAIR * faceHeight;
    if (above && own[3] < box[3] + LONGEST_HAIR * faceHeight) {
      return Part.HAIR;
    }
    return Part.NONE;
  }

  /** The regions of a face in their box, with an empty rim, so that holes are told from outside. */
  private static Mask maskOf(FlatPicture flats, boolean[] face, int[] box) {
    int width = box[2] - box[0] + 2 * RIM;
    int height = box[3] - box[1] + 2 * RIM;
    boolean[] set = new boolean[width * height];
    for (int y = box[1]; y < box[3]; y++) {
      for (int x = box[0]; x < box[2]; x++) {
        int region = flats.regions().at(y * flats.width() + x);
        set[(y - box[1] + RIM) * width + x - box[0] + RIM] = region >= 0 && face[region];
      }
    }
    return new Mask(width, height, set);
  }

  private static int onPicture(int i, Mask mask, int[] box, int width) {
    return (box[1] - RIM + i / mask.width()) * width + box[0] - RIM + i % mask.width();
  }

  /** What a hand said of hair, skin and clothes, but where it said face after that. */
  private static void paint(
      FlatPicture flats, List<FigureEdit> strokes, boolean[] face, byte[] parts) {
    for (FigureEdit stroke : strokes) {
      if (stroke.kind() != FigureEdit.Kind.FACE) {
        Part part = Part.valueOf(stroke.kind().name());
        Set<Integer> regions = under(flats, stroke);
        regions.removeIf(region -> face[region]);
        for (int i = 0; i < parts.length; i++) {
          if (regions.contains(flats.regions().at(i)) && flats.figure().values()[i]) {
            parts[i] = (byte) part.ordinal();
          }
        }
      }
    }
  }

  public Part at(int pixel) {
    return Part.values()[parts[pixel]];
  }

  /**
   * Where the picture has one of the colours of the face, its shadow and its flush included.
   * Nowhere where the skin has no hue: white is no sign of it.
   */
  Mask coloursOfFace() {
    int[] labels = flats.palette().labels();
    int[] ofFace = new int[flats.palette().swatches().size()];
    for (int i = 0; i < parts.length; i++) {
      if (is(i, Part.FACE) && labels[i] >= 0) {
        ofFace[labels[i]]++;
      }
    }
    boolean[] ofSkin = new boolean[ofFace.length];
    boolean isColoured = colour(skin).chroma() >= SkinTone.COLOURED;
    for (int label = 0; label < ofSkin.length; label++) {
      OkLab colour = colour(label);
      ofSkin[label] =
          isColoured
              && IntStream.range(0, ofFace.length)
                  .filter(other -> ofFace[other] >= LEAST_OF_FACE * faceArea)
                  .anyMatch(other -> colour.distanceTo(colour(other)) <= ALIKE);
    }
    boolean[] alike = new boolean[parts.length];
    for (int i = 0; i < parts.length; i++) {
      alike[i] = labels[i] >= 0 && ofSkin[labels[i]];
    }
    return new Mask(flats.width(), flats.height(), alike);
  }

  private OkLab colour(int label) {
    return flats.palette().colour(label);
  }

  boolean is(int pixel, Part part) {
    return parts[pixel] == part.ordinal();
  }

  /** Label of the skin's flat colour. */
  int skin() {
    return skin;
  }

  /** Left, top, right, bottom of the face on the small copy. */
  public int[] faceBox() {
    return faceBox;
  }

  int faceArea() {
    return faceArea;
  }

  int area(Part part) {
    int count = 0;
    for (byte value : parts) {
      count += value == part.ordinal() ? 1 : 0;
    }
    return count;
  }

  /** Whether there is enough of a part to read it. */
  boolean has(Part part) {
    return area(part) >= LEAST_PART * flats.figureArea();
  }

  /**
   * A thing lying in the face.
   *
   * @param right exclusive
   */
  record Feature(int area, double x, double y, int left, int right) {}

  /** Features of the face that are more than specks. */
  List<Feature> features() {
    boolean[] set = new boolean[parts.length];
    for (int i = 0; i < set.length; i++) {
      set[i] = is(i, Part.FEATURE);
    }
    Regions pieces = Regions.of(set, flats.width(), flats.height());
    double[][] sums = new double[pieces.count()][2];
    for (int i = 0; i < set.length; i++) {
      if (pieces.at(i) >= 0) {
        sums[pieces.at(i)][0] += i % flats.width();
        sums[pieces.at(i)][1] += i / flats.width();
      }
    }
    int[][] boxes = pieces.boxes();
    List<Feature> features = new ArrayList<>();
    for (int p = 0; p < pieces.count(); p++) {
      int area = pieces.area(p);
      if (area >= 8 && area >= 0.0008 * faceArea) {
        features.add(
            new Feature(area, sums[p][0] / area, sums[p][1] / area, boxes[p][0], boxes[p][2]));
      }
    }
    return features;
  }
}
