package penmirror.core.reading;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.CancellationException;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.FigurePixels;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.colour.ColourFacts;
import penmirror.core.measure.colour.Palette;
import penmirror.core.measure.colour.PaletteReader;
import penmirror.core.measure.face.IrisReader;
import penmirror.core.measure.line.DrawnLines;
import penmirror.core.measure.line.Hatching;
import penmirror.core.measure.line.InkPainter;
import penmirror.core.measure.line.LashReader;
import penmirror.core.measure.line.LineFacts;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.line.LineReader;
import penmirror.core.measure.line.SpotBlacks;
import penmirror.core.measure.region.FigureParts;
import penmirror.core.measure.region.FlatPicture;
import penmirror.core.measure.region.LimbReader;
import penmirror.core.measure.region.RegionFacts;
import penmirror.core.measure.region.RoleFacts;
import penmirror.core.measure.shade.ShadeFacts;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;
import penmirror.core.raster.Tiles;
import penmirror.core.statistics.Ratio;

/** Reads line, values, colours and shapes off a picture. Same picture and marks, same readings. */
public final class PixelReader {

  /** Raised whenever a reading of the same picture may change. Stored with every reading. */
  public static final int ALGORITHM_VERSION = 10;

  /** The figure and its colours are read on a copy of at most four times this many pixels. */
  private static final int COARSE_PIXELS = 1_000_000;

  /** The stretches of the work, in order. */
  public enum Step {
    FIGURE,
    LINES,
    COLOURS,
    SHADES,
    SHAPES
  }

  /** Told when a step begins. May end the work by throwing {@link CancellationException}. */
  @FunctionalInterface
  public interface Progress {
    void begins(Step step);
  }

  /** The landmarks by which pixels are read: the head's frame, the eyes, the bones. */
  static final Set<Landmark> HEEDED =
      Set.of(
          Landmark.CROWN,
          Landmark.CHIN,
          Landmark.EYE_L_OUTER,
          Landmark.EYE_L_INNER,
          Landmark.EYE_L_TOP,
          Landmark.EYE_L_BOTTOM,
          Landmark.EYE_R_OUTER,
          Landmark.EYE_R_INNER,
          Landmark.EYE_R_TOP,
          Landmark.EYE_R_BOTTOM,
          Landmark.IRIS_L_CENTRE,
          Landmark.IRIS_L_EDGE,
          Landmark.IRIS_L_TOP,
          Landmark.IRIS_R_CENTRE,
          Landmark.IRIS_R_EDGE,
          Landmark.IRIS_R_TOP,
          Landmark.ELBOW_L,
          Landmark.ELBOW_R,
          Landmark.WRIST_L,
          Landmark.WRIST_R,
          Landmark.KNEE_L,
          Landmark.KNEE_R,
          Landmark.ANKLE_L,
          Landmark.ANKLE_R);

  /** Whether two markings of a picture can lead to different readings. */
  public static boolean heedsOtherwise(Marks one, Marks other) {
    return !one.confirmed()
        .only(HEEDED)
        .landmarks()
        .equals(other.confirmed().only(HEEDED).landmarks());
  }

  public PixelReadings read(Picture picture) {
    return read(picture, Marks.none(View.FRONT), step -> {});
  }

  /**
   * @param marks where the head and the eyes are, as far as that is known
   * @throws CancellationException when {@code progress} throws it
   */
  public PixelReadings read(Picture picture, Marks marks, Progress progress) {
    return look(picture, marks, List.of(), progress).readings();
  }

  /**
   * The readings with all that they were read from, for showing where each comes from.
   *
   * @param edits corrections of the figure and its parts by hand, in the order they were made;
   *     those that lie off the picture are passed over
   * @throws CancellationException when {@code progress} throws it, which is told of every step and
   *     every stroke
   */
  public PixelEvidence look(
      Picture picture, Marks marks, List<FigureEdit> edits, Progress progress) {
    Findings findings = new Findings();
    progress.begins(Step.FIGURE);
    List<FigureEdit> meant = on(picture, edits);
    FigurePixels figure = figure(picture, meant, COARSE_PIXELS, progress);

    progress.begins(Step.LINES);
    Optional<DrawnLines> lines = new LineReader().read(picture);
    lines(figure, lines, marks, findings);

    progress.begins(Step.COLOURS);
    Palette palette = PaletteReader.seen().read(figure.colours(), figure.figure());
    List<Swatch> swatches = swatches(palette, lines, findings);
    ColourFacts.find(palette, figure, swatches, findings);

    progress.begins(Step.SHADES);
    int width = figure.figure().width();
    int height = figure.figure().height();
    boolean[] ink =
        lines
            .map(drawn -> InkPainter.paint(drawn, figure.factor(), width, height))
            .orElse(new boolean[width * height]);
    ShadeFacts shade = ShadeFacts.find(palette, figure, ink, findings);

    progress.begins(Step.SHAPES);
    FlatPicture flats = FlatPicture.of(figure, lines);
    Optional<FigureParts> parts =
        RegionFacts.find(flats, lines, marks.headFrame(), meant, findings);
    List<LimbReader.Across> limbs =
        LimbReader.find(figure, ink, shade.materials(), flats, parts, marks, findings);
    List<IrisReader.Iris> irises = IrisReader.find(picture, marks, findings);
    List<RoleTones> roles = RoleFacts.find(parts, flats, shade, figure, findings);
    PixelReadings readings =
        new PixelReadings(
            ALGORITHM_VERSION,
            picture.widthPixels(),
            picture.heightPixels(),
            figure.areaPixels(),
            findings.estimates(),
            findings.absences(),
            swatches,
            flats.palette().swatches(),
            roles);
    return new PixelEvidence(readings, figure, lines, palette, shade, flats, parts, limbs, irises);
  }

  private static List<FigureEdit> on(Picture picture, List<FigureEdit> edits) {
    return edits.stream()
        .filter(edit -> edit.isOn(picture.widthPixels(), picture.heightPixels()))
        .toList();
  }

  /**
   * The figure told from its background, by which all else is read.
   *
   * @param edits as for {@link #look}
   * @param about how many pixels the copy has on which it is told, up to four times as many
   */
  static FigurePixels figure(Picture picture, List<FigureEdit> edits, int about) {
    return figure(picture, on(picture, edits), about, step -> {});
  }

  private static FigurePixels figure(
      Picture picture, List<FigureEdit> edits, int about, Progress progress) {
    int factor = Math.max(1, (int) Math.sqrt(picture.pixelCount() / (double) about));
    Picture coarse = picture.shrunk(factor);
    OkLabPlanes colours = OkLabPlanes.of(coarse.pixelCount(), coarse::rgb);
    int width = coarse.widthPixels();
    int height = coarse.heightPixels();
    Mask found =
        coarse.hasTransparency()
            ? FigureMask.covered(coarse).orElseGet(() -> FigureMask.of(colours, width, height))
            : FigureMask.of(colours, width, height);
    Mask figure =
        edits.stream().allMatch(edit -> edit.kind().isOfParts())
            ? found
            : new FigureSketch(colours, width, height, factor)
                .applied(found, edits, () -> progress.begins(Step.FIGURE));
    OkLab background = FigureMask.borderColour(colours, width, height);
    return new FigurePixels(picture, factor, coarse, colours, figure, background);
  }

  private static void lines(
      FigurePixels figure, Optional<DrawnLines> lines, Marks marks, Findings findings) {
    if (lines.isEmpty()) {
      findings.absent(LineMeasures.ALL, Reason.NO_LINES);
    } else {
      LineFacts.find(lines.get(), figure, findings);
      Hatching.find(lines.get(), figure, findings);
    }
    double width = lines.map(DrawnLines::medianWidthPixels).orElse(0.0);
    findings.put(
        LineMeasures.SPOT_BLACK,
        share(SpotBlacks.of(figure, width), figure.figure()),
        Reason.NO_FIGURE);
    OptionalDouble lash = LashReader.upperToLower(figure.picture(), marks);
    findings.put(LineMeasures.LASH, lash, Reason.EYES_NOT_MARKED);
  }

  /** How much of one mask another covers, tile by tile. */
  private static Ratio share(Mask part, Mask whole) {
    double[] parts = new double[Tiles.COUNT];
    double[] wholes = new double[Tiles.COUNT];
    Tiles tiles = new Tiles(whole.width(), whole.height());
    boolean[] inPart = part.values();
    boolean[] inWhole = whole.values();
    for (int i = 0; i < inWhole.length; i++) {
      if (inPart[i] || inWhole[i]) {
        int tile = tiles.at(i);
        parts[tile] += inPart[i] ? 1 : 0;
        wholes[tile] += inWhole[i] ? 1 : 0;
      }
    }
    return Ratio.of(parts, wholes);
  }

  private static List<Swatch> swatches(
      Palette palette, Optional<DrawnLines> lines, Findings findings) {
    if (lines.isEmpty() || palette.swatches().isEmpty()) {
      return palette.swatches();
    }
    double ink =
        findings.estimates().containsKey(LineMeasures.INK.key())
            ? findings.estimates().get(LineMeasures.INK.key()).value()
            : 0;
    return palette.withLine(LineFacts.colour(lines.get()), ink);
  }
}
