package penmirror.core.measure.region;

import java.util.List;
import java.util.OptionalDouble;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Findings;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.region.FigureParts.Part;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.raster.Contour;
import penmirror.core.statistics.CircularSample;
import penmirror.core.statistics.WeightedSample;

/** Fills {@link PartMeasures}, and what the other groups say of the face. */
final class PartFacts {
  private static final double DARK = 0.35;

  private final FlatPicture flats;
  private final FigureParts parts;
  private final Findings findings;

  private PartFacts(FlatPicture flats, FigureParts parts, Findings findings) {
    this.flats = flats;
    this.parts = parts;
    this.findings = findings;
  }

  static void absent(Findings findings) {
    findings.absent(PartMeasures.ALL, Reason.PART_NOT_FOUND);
    findings.absent(List.of(ShadeMeasures.SKIN_HUES, ColourMeasures.FOCUS), Reason.PART_NOT_FOUND);
  }

  static void find(FlatPicture flats, FigureParts parts, Findings findings) {
    PartFacts facts = new PartFacts(flats, parts, findings);
    facts.face();
    facts.features();
    facts.skin();
    facts.focus();
    if (parts.has(Part.HAIR)) {
      facts.hair();
    } else {
      findings.absent(PartMeasures.OF_HAIR, Reason.PART_NOT_FOUND);
    }
    if (parts.has(Part.CLOTH)) {
      facts.cloth();
    } else {
      findings.absent(PartMeasures.OF_CLOTH, Reason.PART_NOT_FOUND);
    }
  }

  private boolean inFace(int pixel) {
    return parts.is(pixel, Part.FACE) || parts.is(pixel, Part.FEATURE);
  }

  private void face() {
    WeightedSample.Builder steps = WeightedSample.builder();
    flats.eachContact(
        (pixel, one, other) -> {
          if (inFace(pixel)) {
            steps.add(flats.step(one, other), 1);
          }
        });
    put(PartMeasures.FACE_STEP, steps.build());
    double[] light = new double[3];
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      if (inFace(i)) {
        addLightness(light, i);
      }
    }
    findings.put(PartMeasures.FACE_CONTRAST, deviation(light));
  }

  private void addLightness(double[] sums, int pixel) {
    double lightness = flats.colours().lightness(pixel);
    sums[0]++;
    sums[1] += lightness;
    sums[2] += lightness * lightness;
  }

  private static double deviation(double[] sums) {
    double mean = sums[1] / sums[0];
    return Math.sqrt(Math.max(0, sums[2] / sums[0] - mean * mean));
  }

  private void put(Measure measure, WeightedSample sample) {
    findings.put(
        measure,
        sample.size() == 0 ? OptionalDouble.empty() : OptionalDouble.of(sample.median()),
        Reason.TOO_LITTLE);
  }

  private void features() {
    OkLab skin = flats.palette().colour(parts.skin());
    WeightedSample.Builder steps = WeightedSample.builder();
    double red = 0;
    double dark = 0;
    double count = 0;
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      int label = flats.palette().labels()[i];
      if (parts.is(i, Part.FEATURE) && label >= 0) {
        OkLab colour = flats.palette().colour(label);
        steps.add(colour.distanceTo(skin), 1);
        red +=
            colour.chroma() > 0.09
                    && Math.abs(Math.IEEEremainder(colour.hueDegrees() - 10, 360)) < 40
                ? 1
                : 0;
        dark += colour.lightness() < DARK ? 1 : 0;
        count++;
      }
    }
    put(PartMeasures.FEATURE_CONTRAST, steps.build());
    if (count > 0) {
      findings.put(PartMeasures.FEATURE_RED, red / count);
      findings.put(PartMeasures.FEATURE_DARK, dark / count);
    } else {
      findings.absent(
          List.of(PartMeasures.FEATURE_RED, PartMeasures.FEATURE_DARK), Reason.PART_NOT_FOUND);
    }
  }

  private void skin() {
    OkLab skin = flats.palette().colour(parts.skin());
    findings.put(PartMeasures.SKIN_CHROMA, skin.chroma());
    if (skin.chroma() <= 0.02) {
      findings.absent(List.of(PartMeasures.SKIN_HUE, ShadeMeasures.SKIN_HUES), Reason.NO_HUE);
      return;
    }
    findings.put(PartMeasures.SKIN_HUE, skin.hueDegrees());
    double east = 0;
    double north = 0;
    double weight = 0;
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      boolean skinLike =
          inFace(i)
              && flats.palette().flat()[i]
              && flats.colours().distance(i, skin) < 0.2
              && Math.hypot(flats.colours().a(i), flats.colours().b(i)) > 0.02;
      if (skinLike) {
        east += flats.colours().a(i);
        north += flats.colours().b(i);
        weight += Math.hypot(flats.colours().a(i), flats.colours().b(i));
      }
    }
    if (weight > 0) {
      findings.put(
          ShadeMeasures.SKIN_HUES, CircularSample.ofSums(east, north, weight).deviationDegrees());
    } else {
      findings.absent(ShadeMeasures.SKIN_HUES, Reason.TOO_LITTLE);
    }
  }

  /** The face against what lies around it, in the picture's own contrast. */
  private void focus() {
    int[] box = parts.faceBox();
    double size = Math.max(box[2] - box[0], box[3] - box[1]);
    double[] face = new double[3];
    double[] around = new double[3];
    double[] figure = new double[3];
    double cx = (box[0] + box[2]) / 2.0;
    double cy = (box[1] + box[3]) / 2.0;
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      if (flats.figure().values()[i]) {
        addLightness(figure, i);
      }
      if (inFace(i)) {
        addLightness(face, i);
      } else {
        double dx = i % flats.width() - cx;
        double dy = i / flats.width() - cy;
        if (dx * dx + dy * dy < size * size) {
          addLightness(around, i);
        }
      }
    }
    double contrast = deviation(figure);
    if (around[0] > 0 && contrast > 0.005) {
      findings.put(
          ColourMeasures.FOCUS, Math.abs(face[1] / face[0] - around[1] / around[0]) / contrast);
    } else {
      findings.absent(ColourMeasures.FOCUS, Reason.TOO_LITTLE);
    }
  }

  private void hair() {
    double[] sums = sums(Part.HAIR);
    findings.put(PartMeasures.HAIR_INK, sums[3] / sums[0]);
    findings.put(PartMeasures.HAIR_BLACK, sums[4] / sums[0]);
    findings.put(PartMeasures.HAIR_CONTRAST, deviation(sums));
    int largest = largestFlat(Part.HAIR);
    findings.put(PartMeasures.HAIR_CHROMA, flats.palette().colour(largest).chroma());
    WeightedSample steps = steps(Part.HAIR);
    put(PartMeasures.HAIR_STEP, steps);
    findings.put(PartMeasures.HAIR_DETAIL, steps.size() / Math.sqrt(sums[0]));
    Turning turning = outline(Part.HAIR);
    if (turning.isTold()) {
      findings.put(PartMeasures.HAIR_STRAIGHT, turning.straightShare());
    } else {
      findings.absent(PartMeasures.HAIR_STRAIGHT, Reason.TOO_LITTLE);
    }
  }

  private void cloth() {
    double[] sums = sums(Part.CLOTH);
    findings.put(PartMeasures.CLOTH_INK, sums[3] / sums[0]);
    findings.put(PartMeasures.CLOTH_BLACK, sums[4] / sums[0]);
    findings.put(PartMeasures.CLOTH_CONTRAST, deviation(sums));
    OkLab largest = flats.palette().colour(largestFlat(Part.CLOTH));
    findings.put(PartMeasures.CLOTH_LIGHT, largest.lightness());
    findings.put(PartMeasures.CLOTH_CHROMA, largest.chroma());
    WeightedSample steps = steps(Part.CLOTH);
    put(PartMeasures.CLOTH_STEP, steps);
    findings.put(PartMeasures.CLOTH_DETAIL, steps.size() / Math.sqrt(sums[0]));
    Turning turning = outline(Part.CLOTH);
    if (turning.isTold()) {
      findings.put(PartMeasures.CLOTH_STRAIGHT, turning.straightShare());
      findings.put(PartMeasures.CLOTH_CORNER, turning.cornerShare());
    } else {
      findings.absent(
          List.of(PartMeasures.CLOTH_STRAIGHT, PartMeasures.CLOTH_CORNER), Reason.TOO_LITTLE);
    }
  }

  /** Pixels, lightness, its square, line pixels, dark pixels. */
  private double[] sums(Part part) {
    double[] sums = new double[5];
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      if (parts.is(i, part)) {
        addLightness(sums, i);
        sums[3] += flats.isInk(i) ? 1 : 0;
        sums[4] += flats.colours().lightness(i) < DARK ? 1 : 0;
      }
    }
    return sums;
  }

  private int largestFlat(Part part) {
    int[] counts = new int[flats.palette().swatches().size()];
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      if (parts.is(i, part) && flats.palette().labels()[i] >= 0) {
        counts[flats.palette().labels()[i]]++;
      }
    }
    int best = 0;
    for (int c = 0; c < counts.length; c++) {
      best = counts[c] > counts[best] ? c : best;
    }
    return best;
  }

  private WeightedSample steps(Part part) {
    WeightedSample.Builder steps = WeightedSample.builder();
    flats.eachContact(
        (pixel, one, other) -> {
          if (parts.is(pixel, part)) {
            steps.add(flats.step(one, other), 1);
          }
        });
    return steps.build();
  }

  /** The outline of the largest region that lies mostly in the part. */
  private Turning outline(Part part) {
    int[] inPart = new int[flats.regions().count()];
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      if (parts.is(i, part) && flats.regions().at(i) >= 0) {
        inPart[flats.regions().at(i)]++;
      }
    }
    int best = -1;
    for (int r = 0; r < inPart.length; r++) {
      boolean mostly = 2 * inPart[r] > flats.regions().area(r);
      if (mostly && flats.isUsable(r) && (best < 0 || inPart[r] > inPart[best])) {
        best = r;
      }
    }
    Turning turning = new Turning();
    if (best >= 0) {
      turning.add(Contour.of(flats.mask(best), Math.max(1.5, 0.005 * flats.unit())), flats.unit());
    }
    return turning;
  }
}
