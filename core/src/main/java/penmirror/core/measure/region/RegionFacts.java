package penmirror.core.measure.region;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import penmirror.core.figure.HeadFrame;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.Findings;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.line.DrawnLines;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.line.Stroke;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.raster.PixelGrid;
import penmirror.core.statistics.WeightedSample;

/** All that the flat regions say. */
public final class RegionFacts {
  /** A figure of fewer pixels on the small copy is a speck. */
  private static final int LEAST_FIGURE = 64;

  private RegionFacts() {}

  /** Every measure that is found here. */
  public static List<Measure> all() {
    return Stream.of(EdgeMeasures.ALL, ShapeMeasures.ALL, PartMeasures.ALL, LayoutMeasures.ALL)
        .flatMap(List::stream)
        .toList();
  }

  /**
   * @param head the marked head in pixels of the picture, if there is one
   * @param edits by hand; those about the parts are heeded
   * @return the parts that were found
   */
  public static Optional<FigureParts> find(
      FlatPicture flats,
      Optional<DrawnLines> lines,
      Optional<HeadFrame> head,
      List<FigureEdit> edits,
      Findings findings) {
    if (flats.figureArea() < LEAST_FIGURE || flats.palette().swatches().isEmpty()) {
      findings.absent(all(), Reason.NO_FIGURE);
      findings.absent(
          List.of(
              LineMeasures.STEP,
              LineMeasures.FACE_BODY,
              ShadeMeasures.PAIRS,
              ShadeMeasures.PAIRS_LIT,
              ShadeMeasures.ELONGATION),
          Reason.NO_FIGURE);
      PartFacts.absent(findings);
      return Optional.empty();
    }
    EdgeFacts.find(flats, findings);
    ShapeFacts.find(flats, findings);
    lines.ifPresent(drawn -> lineStep(flats, drawn, findings));
    Optional<FigureParts> parts = FigureParts.find(flats, head, edits);
    if (parts.isPresent()) {
      PartFacts.find(flats, parts.get(), findings);
      lines.ifPresent(drawn -> lineInFace(flats, parts.get(), drawn, findings));
    } else {
      PartFacts.absent(findings);
      findings.absent(LineMeasures.FACE_BODY, Reason.PART_NOT_FOUND);
    }
    LayoutFacts.find(flats, parts, findings);
    return parts;
  }

  /** Width of the lines that lie in the face against that of all others. */
  private static void lineInFace(
      FlatPicture flats, FigureParts parts, DrawnLines lines, Findings findings) {
    int[] box = parts.faceBox();
    WeightedSample.Builder face = WeightedSample.builder();
    WeightedSample.Builder body = WeightedSample.builder();
    // For the error one value a stroke: points of one stroke are no readings of their own.
    WeightedSample.Builder faceStrokes = WeightedSample.builder();
    WeightedSample.Builder bodyStrokes = WeightedSample.builder();
    for (Stroke stroke : lines.strokes()) {
      double lengthInFace = 0;
      for (int i = 0; i < stroke.size(); i++) {
        int x = PixelGrid.cell(lines.toPicture(stroke.xs()[i]), flats.factor());
        int y = PixelGrid.cell(lines.toPicture(stroke.ys()[i]), flats.factor());
        boolean inBox = x > box[0] && x < box[2] - 1 && y > box[1] && y < box[3] - 1;
        boolean inside = inBox && parts.at(y * flats.width() + x) == FigureParts.Part.FEATURE;
        if (stroke.isClear(i)) {
          (inside ? face : body).add(stroke.widths()[i], stroke.steps()[i]);
          lengthInFace += inside ? stroke.steps()[i] : 0;
        }
      }
      faceStrokes.add(stroke.medianWidth(), lengthInFace);
      bodyStrokes.add(stroke.medianWidth(), stroke.clearLength() - lengthInFace);
    }
    WeightedSample inFace = face.build();
    WeightedSample elsewhere = body.build();
    double least = 0.05 * flats.unit() * flats.factor() / lines.factor();
    if (inFace.weight() > least && elsewhere.weight() > least) {
      double ratio = inFace.median() / elsewhere.median();
      double relative =
          Math.hypot(
              faceStrokes.build().medianError() / inFace.median(),
              bodyStrokes.build().medianError() / elsewhere.median());
      findings.put(LineMeasures.FACE_BODY, ratio, relative * ratio);
    } else {
      findings.absent(LineMeasures.FACE_BODY, Reason.TOO_LITTLE);
    }
  }

  /** Darkness of the line against what it lies on. */
  private static void lineStep(FlatPicture flats, DrawnLines lines, Findings findings) {
    WeightedSample.Builder steps = WeightedSample.builder();
    int last = -1;
    for (Stroke stroke : lines.strokes()) {
      for (int i = 0; i < stroke.size(); i++) {
        int x = PixelGrid.cell(lines.toPicture(stroke.xs()[i]), flats.factor());
        int y = PixelGrid.cell(lines.toPicture(stroke.ys()[i]), flats.factor());
        int at = y * flats.width() + x;
        boolean inside = x >= 0 && y >= 0 && x < flats.width() && y < flats.height();
        if (stroke.isRead(i) && inside && at != last) {
          last = at;
          steps.add(extreme(flats, x, y, 3, 1) - extreme(flats, x, y, 2, -1), 1);
        }
      }
    }
    WeightedSample sample = steps.build();
    if (sample.size() == 0) {
      findings.absent(LineMeasures.STEP, Reason.NO_LINES);
    } else {
      findings.put(LineMeasures.STEP, sample.median(), sample.medianError());
    }
  }

  /** Lightest (sign 1) or darkest (−1) of a square around a pixel. */
  private static double extreme(FlatPicture flats, int x, int y, int reach, int sign) {
    double best = -Double.MAX_VALUE;
    for (int py = Math.max(0, y - reach); py <= Math.min(flats.height() - 1, y + reach); py++) {
      for (int px = Math.max(0, x - reach); px <= Math.min(flats.width() - 1, x + reach); px++) {
        best = Math.max(best, sign * flats.colours().lightness(py * flats.width() + px));
      }
    }
    return sign * best;
  }
}
