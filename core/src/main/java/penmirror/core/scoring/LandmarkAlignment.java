package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;

/**
 * A redraw laid over a source: the similarity transform that brings the landmarks both have nearest
 * together, and how far each still is.
 *
 * @param redrawToSource from pixels of the redraw to pixels of the source
 * @param residuals worst first
 */
public record LandmarkAlignment(Similarity redrawToSource, List<Residual> residuals) {

  /**
   * @param heads distance left after alignment, in heads of the source; 0 if its head is not marked
   */
  public record Residual(Landmark landmark, double heads) {}

  /** Mean of what is left, in heads of the source; 0 if its head is not marked. */
  public double meanHeads() {
    return residuals.stream().mapToDouble(Residual::heads).average().orElse(0);
  }

  /** Empty when the two have fewer than two landmarks in common, or only one place. */
  public static Optional<LandmarkAlignment> of(Marks source, Marks redraw) {
    List<Landmark> common = new ArrayList<>();
    List<Point> from = new ArrayList<>();
    List<Point> to = new ArrayList<>();
    for (Landmark landmark : Landmark.values()) {
      if (source.point(landmark).isPresent() && redraw.point(landmark).isPresent()) {
        common.add(landmark);
        from.add(redraw.point(landmark).get());
        to.add(source.point(landmark).get());
      }
    }
    if (from.stream().distinct().count() < 2) {
      return Optional.empty();
    }
    Similarity fit = Similarity.fit(from, to);
    double head = source.headFrame().map(HeadFrame::headPixels).orElse(Double.POSITIVE_INFINITY);
    List<Residual> residuals = new ArrayList<>();
    for (int i = 0; i < common.size(); i++) {
      residuals.add(
          new Residual(common.get(i), fit.apply(from.get(i)).distanceTo(to.get(i)) / head));
    }
    residuals.sort((one, other) -> Double.compare(other.heads(), one.heads()));
    return Optional.of(new LandmarkAlignment(fit, residuals));
  }
}
