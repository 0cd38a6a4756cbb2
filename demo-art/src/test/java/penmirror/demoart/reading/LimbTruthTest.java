package penmirror.demoart.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.region.LimbMeasures;
import penmirror.core.measure.region.LimbReader;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.Part;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;
import penmirror.demoart.studio.Slip;

/** How thick limbs are read to be, against the shapes that were drawn. */
class LimbTruthTest {
  private static final double SCALE = 0.55;
  private static final double WITHIN = 0.08;
  private static final List<Measure> BARE =
      List.of(LimbMeasures.BARE_FOREARM, LimbMeasures.BARE_CALF);

  /** The part that lies on top at a place, in heads of the page. */
  private static Part top(Illustration drawn, Point place) {
    Part top = null;
    for (Part part : drawn.figure().page().parts()) {
      if (path(part).contains(place.x(), place.y())) {
        top = part;
      }
    }
    return top;
  }

  private static Path2D path(Part part) {
    Path2D path = new Path2D.Double();
    List<Point> points = part.outline().points();
    path.moveTo(points.get(0).x(), points.get(0).y());
    points.forEach(point -> path.lineTo(point.x(), point.y()));
    path.closePath();
    return path;
  }

  /** The limb that is seen there, if one is. */
  private static Optional<Part> limb(Illustration drawn, LimbReader.Across across) {
    Point middle = page(drawn, across.from()).midpointTo(page(drawn, across.to()));
    return Optional.ofNullable(top(drawn, middle))
        .filter(part -> List.of("sleeve", "leg", "boot").contains(part.name()));
  }

  /** From border to border of the drawn part, heads. */
  private static double drawn(Illustration drawn, Part part, LimbReader.Across across) {
    Point one = page(drawn, across.from());
    Point other = page(drawn, across.to());
    Point middle = one.midpointTo(other);
    Point out = other.minus(one).times(1 / other.distanceTo(one));
    return reach(part, middle, out) + reach(part, middle, out.times(-1));
  }

  private static double reach(Part part, Point from, Point out) {
    Path2D path = path(part);
    double t = 0;
    while (path.contains(from.x() + out.x() * t, from.y() + out.y() * t)) {
      t += 0.001;
    }
    return t;
  }

  private static Point page(Illustration drawn, Point pixel) {
    try {
      Point2D at =
          drawn
              .rendering()
              .toPixels()
              .inverseTransform(new Point2D.Double(pixel.x(), pixel.y()), null);
      return new Point(at.getX(), at.getY());
    } catch (NoninvertibleTransformException e) {
      throw new IllegalStateException(e);
    }
  }

  private static List<LimbReader.Across> read(Illustration drawn, Marks marks) {
    return new PixelReader()
        .look(Picture.from(drawn.image()), marks, List.of(), step -> {})
        .limbs();
  }

  /** What is read over what was drawn, limb by limb. */
  private record Read(int right, int all, int noLimb, int bare, int bareFound, int bareWrong) {}

  private static Read read(List<Illustration> drawings) {
    int right = 0;
    int all = 0;
    int noLimb = 0;
    int bare = 0;
    int bareFound = 0;
    int bareWrong = 0;
    for (Illustration drawn : drawings) {
      for (LimbReader.Across across : read(drawn, drawn.marks())) {
        Optional<Part> limb = limb(drawn, across);
        if (limb.isEmpty()) {
          noLimb++;
          continue;
        }
        boolean isBare = limb.get().role() == Role.SKIN;
        boolean isRead = BARE.contains(across.measure());
        bare += isBare ? 1 : 0;
        bareFound += isBare && isRead ? 1 : 0;
        bareWrong += !isBare && isRead ? 1 : 0;
        double heads = across.pixels() / drawn.rendering().headPx();
        double ratio = heads / drawn(drawn, limb.get(), across);
        all++;
        right += Math.abs(ratio - 1) <= WITHIN ? 1 : 0;
      }
    }
    System.out.printf(
        "limbs: %d of %d within 8 %%, %d where none is seen; %d of %d bare known, %d taken for it%n",
        right, all, noLimb, bareFound, bare, bareWrong);
    return new Read(right, all, noLimb, bare, bareFound, bareWrong);
  }

  /** Full figures by three hands and one's own, their limbs thinner and thicker. */
  @Test
  void limbsAreAsThickAsTheyWereDrawn() {
    List<Illustration> drawings = new ArrayList<>();
    List<List<Commission>> hands =
        List.of(
            DemoStudio.odileMarrow().sources(),
            DemoStudio.casimirThole().sources(),
            DemoStudio.inesVantour().sources(),
            DemoStudio.ownHand());
    for (List<Commission> works : hands) {
      for (Commission work : works) {
        if (work.cut() == Cut.FULL) {
          for (double factor : new double[] {0.75, 1.35}) {
            Slip slip = new Slip.Scaled("limbs", Parameter.LIMB, factor);
            drawings.add(
                Illustration.of(
                    work.slipping(work.fileName(), work.title(), List.of(slip)), SCALE));
          }
        }
      }
    }
    Read read = read(drawings);
    assertThat(read.all()).isGreaterThan(drawings.size());
    assertThat(read.right()).isGreaterThanOrEqualTo((int) (0.9 * read.all()));
    assertThat(read.bareFound()).isPositive().isGreaterThanOrEqualTo(read.bare() / 2);
    assertThat(read.bareWrong()).isLessThanOrEqualTo(read.all() / 20);
    assertThat(read.noLimb()).isLessThanOrEqualTo(read.all() / 20);
  }
}
