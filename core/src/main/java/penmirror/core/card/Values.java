package penmirror.core.card;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import penmirror.core.copying.SmallFigure;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.statistics.WeightedSample;

/**
 * The values of a style and where the face lies among them.
 *
 * @param cuts over all works
 * @param parts empty where no work shows a face beside something else
 * @param works counted
 */
public record Values(ValueCuts cuts, Optional<Parts> parts, int works) {
  /** A face is about three quarters as broad as a head is high; common practice. */
  private static final double HALF_FACE_WIDTH = 0.38;

  /** Hair begins above it; common practice. */
  private static final double FACE_TOP = 0.2;

  /**
   * Median lightness, OKLab, over the works that show both, each counting alike.
   *
   * @param face within an oval that a plain face fills
   * @param rest of the figure
   */
  public record Parts(double face, double rest) {}

  /**
   * One work.
   *
   * @param marks for where its face is
   */
  public record Seen(SmallFigure figure, Marks marks) {}

  /** Empty without works, or where all of them are of one lightness. */
  public static Optional<Values> of(List<Seen> works) {
    return ValueCuts.of(
            works.stream().map(seen -> seen.figure().lightness(ValueCuts.BINS, p -> true)).toList())
        .map(cuts -> new Values(cuts, parts(works), works.size()));
  }

  private static Optional<Parts> parts(List<Seen> works) {
    WeightedSample.Builder faces = WeightedSample.builder();
    WeightedSample.Builder rests = WeightedSample.builder();
    for (Seen seen : works) {
      Optional<HeadFrame> head = seen.marks().headFrame();
      if (head.isPresent()) {
        double[] face = seen.figure().lightness(ValueCuts.BINS, p -> isFace(head.get(), p));
        double[] rest = seen.figure().lightness(ValueCuts.BINS, p -> !isFace(head.get(), p));
        if (Arrays.stream(face).sum() > 0 && Arrays.stream(rest).sum() > 0) {
          add(faces, face);
          add(rests, rest);
        }
      }
    }
    WeightedSample face = faces.build();
    return face.size() == 0
        ? Optional.empty()
        : Optional.of(new Parts(face.median(), rests.build().median()));
  }

  private static void add(WeightedSample.Builder sample, double[] histogram) {
    double area = Arrays.stream(histogram).sum();
    for (int i = 0; i < histogram.length; i++) {
      if (histogram[i] > 0) {
        sample.add((i + 0.5) / histogram.length, histogram[i] / area);
      }
    }
  }

  private static boolean isFace(HeadFrame head, Point point) {
    double middle = (1 + FACE_TOP) / 2;
    return Math.hypot(
            head.sideways(point) / HALF_FACE_WIDTH, (head.height(point) - middle) / (1 - middle))
        <= 1;
  }
}
