package penmirror.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.commons.math3.linear.Array2DRowRealMatrix;
import org.apache.commons.math3.linear.RealMatrix;
import org.apache.commons.math3.linear.SingularValueDecomposition;
import org.junit.jupiter.api.Test;

class SimilarityTest {

  @Test
  void findsTheTransformThatWasApplied() {
    Similarity applied = new Similarity(1.2, 0.5, -30, 12);
    List<Point> from = List.of(new Point(0, 0), new Point(10, 3), new Point(-4, 22));
    List<Point> to = from.stream().map(applied::apply).toList();
    Similarity found = Similarity.fit(from, to);
    assertThat(found.a()).isCloseTo(1.2, offset(1e-12));
    assertThat(found.b()).isCloseTo(0.5, offset(1e-12));
    assertThat(found.scale()).isCloseTo(1.3, offset(1e-12));
    assertThat(found.apply(from.get(2)).distanceTo(to.get(2))).isLessThan(1e-9);
  }

  @Test
  void oneAfterAnotherAndBackAgain() {
    Similarity first = new Similarity(1.2, 0.5, -30, 12);
    Similarity second = new Similarity(-0.3, 2, 7, 1);
    Point p = new Point(13, -5);
    assertThat(first.then(second).apply(p).distanceTo(second.apply(first.apply(p))))
        .isLessThan(1e-9);
    assertThat(first.inverse().apply(first.apply(p)).distanceTo(p)).isLessThan(1e-9);
    assertThatThrownBy(() -> new Similarity(0, 0, 3, 4).inverse())
        .isInstanceOf(ArithmeticException.class);
  }

  /** Rotation and scale against Umeyama's solution by the SVD of Commons Math, on noisy points. */
  @Test
  void agreesWithSingularValueDecomposition() {
    Random random = new Random(3);
    List<Point> from = new ArrayList<>();
    List<Point> to = new ArrayList<>();
    Similarity near = new Similarity(0.7, -0.4, 5, 9);
    for (int i = 0; i < 14; i++) {
      Point p = new Point(100 * random.nextDouble(), 100 * random.nextDouble());
      from.add(p);
      to.add(near.apply(p).plus(new Point(5 * random.nextGaussian(), 5 * random.nextGaussian())));
    }
    RealMatrix x = centred(from);
    RealMatrix y = centred(to);
    SingularValueDecomposition svd =
        new SingularValueDecomposition(y.transpose().multiply(x).scalarMultiply(1.0 / from.size()));
    RealMatrix rotation = svd.getU().multiply(svd.getVT());
    double variance = Math.pow(x.getFrobeniusNorm(), 2) / from.size();
    double scale = (svd.getSingularValues()[0] + svd.getSingularValues()[1]) / variance;

    Similarity found = Similarity.fit(from, to);

    assertThat(found.scale()).isCloseTo(scale, offset(1e-9));
    assertThat(found.a()).isCloseTo(scale * rotation.getEntry(0, 0), offset(1e-9));
    assertThat(found.b()).isCloseTo(scale * rotation.getEntry(1, 0), offset(1e-9));
  }

  @Test
  void turnsClockwiseAsSeen() {
    assertThat(new Point(1, 0).turnedAbout(new Point(0, 0), 90).distanceTo(new Point(0, 1)))
        .isLessThan(1e-12);
  }

  @Test
  void refusesTooFewPointsAndOneSinglePlace() {
    Point p = new Point(1, 1);
    assertThatThrownBy(() -> Similarity.fit(List.of(p), List.of(p))).hasMessageContaining("two");
    assertThatThrownBy(() -> Similarity.fit(List.of(p, p), List.of(p, p)))
        .hasMessageContaining("more than one place");
    assertThatThrownBy(() -> new Point(Double.NaN, 0)).hasMessageContaining("finite");
  }

  private static RealMatrix centred(List<Point> points) {
    double mx = points.stream().mapToDouble(Point::x).average().orElseThrow();
    double my = points.stream().mapToDouble(Point::y).average().orElseThrow();
    double[][] rows =
        points.stream().map(p -> new double[] {p.x() - mx, p.y() - my}).toArray(double[][]::new);
    return new Array2DRowRealMatrix(rows);
  }
}
