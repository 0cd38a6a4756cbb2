package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
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

  /** By which landmarks the two are brought together. */
  public enum By {
    ALL(EnumSet.allOf(Landmark.class)),
    /** Corners of the eyes: what then lies off is where the face is set round them. */
    EYES(
        EnumSet.of(
            Landmark.EYE_L_OUTER,
            Landmark.EYE_L_INNER,
            Landmark.EYE_R_INNER,
            Landmark.EYE_R_OUTER)),
    /** Crown and chin: heads of one length, one on the other. */
    HEAD(EnumSet.of(Landmark.CROWN, Landmark.CHIN));

    private final Collection<Landmark> landmarks;

    By(Collection<Landmark> landmarks) {
      this.landmarks = landmarks;
    }

    /** The word used in message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Mean of what is left, in heads of the source; 0 if its head is not marked. */
  public double meanHeads() {
    return residuals.stream().mapToDouble(Residual::heads).average().orElse(0);
  }

  /** By all landmarks; empty as below. */
  public static Optional<LandmarkAlignment> of(Marks source, Marks redraw) {
    return of(source, redraw, By.ALL);
  }

  /**
   * Brought together by some of the landmarks; how far each is off is told of all.
   *
   * @return empty when the two have fewer than two of them in common, or only one place
   */
  public static Optional<LandmarkAlignment> of(Marks source, Marks redraw, By by) {
    List<Landmark> common = common(List.of(Landmark.values()), source, redraw);
    List<Landmark> fitted = common(by.landmarks, source, redraw);
    List<Point> from = fitted.stream().map(redraw::require).toList();
    if (from.stream().distinct().count() < 2) {
      return Optional.empty();
    }
    Similarity fit = Similarity.fit(from, fitted.stream().map(source::require).toList());
    double head = source.headFrame().map(HeadFrame::headPixels).orElse(Double.POSITIVE_INFINITY);
    List<Residual> residuals = new ArrayList<>();
    for (Landmark landmark : common) {
      Point laid = fit.apply(redraw.require(landmark));
      residuals.add(new Residual(landmark, laid.distanceTo(source.require(landmark)) / head));
    }
    residuals.sort((one, other) -> Double.compare(other.heads(), one.heads()));
    return Optional.of(new LandmarkAlignment(fit, residuals));
  }

  private static List<Landmark> common(Collection<Landmark> of, Marks source, Marks redraw) {
    return of.stream()
        .filter(landmark -> source.point(landmark).isPresent())
        .filter(landmark -> redraw.point(landmark).isPresent())
        .toList();
  }
}
