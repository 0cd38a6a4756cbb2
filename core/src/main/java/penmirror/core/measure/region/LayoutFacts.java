package penmirror.core.measure.region;

import java.util.List;
import java.util.Optional;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.region.FigureParts.Feature;
import penmirror.core.measure.region.FigureParts.Part;

/** Fills {@link LayoutMeasures}. */
final class LayoutFacts {
  private static final double DIFFERENT = 0.06;

  private final FlatPicture flats;
  private final Findings findings;
  private final int left;
  private final int top;
  private final int boxWidth;
  private final int boxHeight;

  private LayoutFacts(FlatPicture flats, Findings findings) {
    this.flats = flats;
    this.findings = findings;
    left = flats.box()[0];
    top = flats.box()[1];
    boxWidth = flats.box()[2] - left;
    boxHeight = flats.box()[3] - top;
  }

  static void find(FlatPicture flats, Optional<FigureParts> parts, Findings findings) {
    LayoutFacts facts = new LayoutFacts(flats, findings);
    facts.widths();
    facts.centres();
    facts.symmetry();
    if (parts.isPresent()) {
      facts.face(parts.get());
    } else {
      findings.absent(LayoutMeasures.OF_FACE, Reason.PART_NOT_FOUND);
      findings.absent(LayoutMeasures.CLOTH_AREA, Reason.PART_NOT_FOUND);
    }
  }

  private boolean isFigure(int x, int y) {
    return flats.figure().values()[y * flats.width() + x];
  }

  private void widths() {
    double[] rows = new double[boxHeight];
    for (int y = 0; y < boxHeight; y++) {
      for (int x = 0; x < boxWidth; x++) {
        rows[y] += isFigure(left + x, top + y) ? 1.0 / boxWidth : 0;
      }
    }
    boolean reachesEdge = top + boxHeight == flats.height();
    findings.put(LayoutMeasures.CUT, reachesEdge ? rows[boxHeight - 1] : 0);
    findings.put(LayoutMeasures.ASPECT, boxWidth / (double) boxHeight);
    findings.put(LayoutMeasures.WIDTH_MIDDLE, mean(rows, 3));
    findings.put(LayoutMeasures.WIDTH_BELOW, mean(rows, 4));
    findings.put(LayoutMeasures.WIDTH_LOW, mean(rows, 6));
    int reach = Math.max(1, boxHeight / 50);
    double narrowest = Double.MAX_VALUE;
    int at = 0;
    for (int y = (int) (0.35 * boxHeight); y < 0.92 * boxHeight; y++) {
      double sum = 0;
      int count = 0;
      for (int k = Math.max(0, y - reach); k <= Math.min(boxHeight - 1, y + reach); k++) {
        sum += rows[k];
        count++;
      }
      if (sum / count < narrowest) {
        narrowest = sum / count;
        at = y;
      }
    }
    double widest = 0;
    for (int y = 0; y <= at; y++) {
      widest = Math.max(widest, rows[y]);
    }
    findings.put(LayoutMeasures.NECK_HEIGHT, at / (double) boxHeight);
    findings.put(LayoutMeasures.NECK_WIDTH, widest > 0 ? narrowest / widest : 1);
  }

  private static double mean(double[] rows, int eighth) {
    int from = rows.length * eighth / 8;
    int to = Math.max(from + 1, rows.length * (eighth + 1) / 8);
    double sum = 0;
    for (int y = from; y < Math.min(to, rows.length); y++) {
      sum += rows[y];
    }
    return sum / (to - from);
  }

  /** Detail is the size of the step at every contact; darkness is what lightness lacks to 1. */
  private void centres() {
    double[] sums = new double[4];
    flats.eachContact(
        (pixel, one, other) -> {
          double step = flats.step(one, other);
          double x = (pixel % flats.width() - left) / (double) boxWidth;
          double y = (pixel / flats.width() - top) / (double) boxHeight;
          sums[0] += step;
          sums[1] += step * x;
          sums[2] += step * y;
          sums[3] += step * y * y;
        });
    if (sums[0] > 0) {
      double y = sums[2] / sums[0];
      findings.put(LayoutMeasures.DETAIL_MIDDLE, Math.abs(sums[1] / sums[0] - 0.5));
      findings.put(LayoutMeasures.DETAIL_HEIGHT, y);
      findings.put(LayoutMeasures.DETAIL_SPREAD, Math.sqrt(Math.max(0, sums[3] / sums[0] - y * y)));
    } else {
      findings.absent(
          List.of(
              LayoutMeasures.DETAIL_MIDDLE,
              LayoutMeasures.DETAIL_HEIGHT,
              LayoutMeasures.DETAIL_SPREAD),
          Reason.TOO_LITTLE);
    }
    double dark = 0;
    double darkX = 0;
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      if (flats.figure().values()[i]) {
        double weight = Math.max(0, 1 - flats.colours().lightness(i));
        dark += weight;
        darkX += weight * (i % flats.width() - left) / boxWidth;
      }
    }
    if (dark > 0) {
      findings.put(LayoutMeasures.DARK_MIDDLE, Math.abs(darkX / dark - 0.5));
    } else {
      findings.absent(LayoutMeasures.DARK_MIDDLE, Reason.TOO_LITTLE);
    }
  }

  private void symmetry() {
    Moments moments = new Moments();
    for (int i = 0; i < flats.width() * flats.height(); i++) {
      if (flats.figure().values()[i]) {
        moments.add(i % flats.width(), i / flats.width());
      }
    }
    double least = 1;
    double most = 0;
    int reach = (int) Math.round(0.06 * boxWidth);
    // Some of the pixels tell as much as all of them.
    int stride = Math.max(1, boxHeight / 160);
    int step = Math.max(1, boxWidth / 240);
    for (int shift = -reach; shift <= reach; shift += Math.max(1, reach / 8)) {
      int twice = (int) Math.round(2 * (moments.centreX() + shift));
      int both = 0;
      int either = 0;
      int different = 0;
      for (int y = top; y < top + boxHeight; y += stride) {
        for (int x = left; x < left + boxWidth; x += step) {
          int mirrored = twice - x;
          boolean here = isFigure(x, y);
          boolean there = mirrored >= 0 && mirrored < flats.width() && isFigure(mirrored, y);
          either += here || there ? 1 : 0;
          if (here && there) {
            both++;
            float apart =
                flats.colours().distance(y * flats.width() + x, y * flats.width() + mirrored);
            different += apart > DIFFERENT ? 1 : 0;
          }
        }
      }
      if (both > 0) {
        least = Math.min(least, different / (double) both);
        most = Math.max(most, both / (double) either);
      }
    }
    findings.put(LayoutMeasures.ASYMMETRY, least);
    findings.put(LayoutMeasures.SILHOUETTE_SYMMETRY, most);
  }

  private void face(FigureParts parts) {
    int[] box = parts.faceBox();
    double width = box[2] - box[0];
    double height = box[3] - box[1];
    double middle = (box[0] + box[2]) / 2.0;
    findings.put(LayoutMeasures.FACE_MIDDLE, Math.abs((middle - left) / boxWidth - 0.5));
    findings.put(LayoutMeasures.FACE_WIDTH, width / boxWidth);
    findings.put(LayoutMeasures.FACE_ASPECT, width / height);
    findings.put(LayoutMeasures.CLOTH_AREA, parts.area(Part.CLOTH) / (double) flats.figureArea());
    List<Feature> features = parts.features();
    Feature[] eyes = eyes(features, width, height);
    if (eyes.length == 0) {
      findings.absent(
          List.of(
              LayoutMeasures.EYES_MIDDLE, LayoutMeasures.EYES_APART, LayoutMeasures.MOUTH_HEIGHT),
          Reason.PART_NOT_FOUND);
      return;
    }
    double eyesX = (eyes[0].x() + eyes[1].x()) / 2;
    double eyesY = (eyes[0].y() + eyes[1].y()) / 2;
    findings.put(LayoutMeasures.EYES_MIDDLE, Math.abs(eyesX - middle) / width);
    findings.put(LayoutMeasures.EYES_APART, Math.abs(eyes[0].x() - eyes[1].x()) / width);
    Feature mouth = null;
    for (Feature feature : features) {
      boolean below = feature.y() > eyesY + 0.08 * height;
      boolean central = Math.abs(feature.x() - eyesX) < 0.25 * width;
      if (below && central && (mouth == null || feature.area() > mouth.area())) {
        mouth = feature;
      }
    }
    if (mouth == null) {
      findings.absent(LayoutMeasures.MOUTH_HEIGHT, Reason.PART_NOT_FOUND);
    } else {
      findings.put(LayoutMeasures.MOUTH_HEIGHT, (mouth.y() - box[1]) / height);
    }
  }

  /** The most alike two things side by side; none when there are no such two. */
  private static Feature[] eyes(List<Feature> features, double width, double height) {
    Feature[] best = new Feature[0];
    double most = 0;
    for (int i = 0; i < features.size(); i++) {
      for (int j = i + 1; j < features.size(); j++) {
        Feature one = features.get(i);
        Feature other = features.get(j);
        double dy = Math.abs(one.y() - other.y()) / height;
        double dx = Math.abs(one.x() - other.x()) / width;
        double smaller = Math.min(one.area(), other.area());
        double ratio = smaller / Math.max(one.area(), other.area());
        if (dy < 0.06 && dx > 0.12 && ratio > 0.4) {
          double score = Math.sqrt(ratio * smaller) * (1 - dy / 0.08);
          if (score > most) {
            most = score;
            best = new Feature[] {one, other};
          }
        }
      }
    }
    return best;
  }
}
