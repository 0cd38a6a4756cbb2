package penmirror.demoart.reading;

import java.util.List;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/**
 * A few of the demo's pictures read at full size, once for all tests that hold readings against
 * what was painted: flat shadows with a hard edge, and soft ones.
 */
final class FullRead {
  static final int EACH = 4;

  static final List<Read> FLAT = Reading.all(DemoStudio.odileMarrow().sources());
  static final List<Read> SOFT = Reading.all(DemoStudio.ownHand());

  private FullRead() {}

  record Read(Illustration drawn, PixelReadings readings) {
    String file() {
      return drawn.commission().fileName();
    }
  }

  /** In a class of its own: threads that read must not wait for the one that makes the lists. */
  private static final class Reading {
    static List<Read> all(List<Commission> commissions) {
      return commissions.subList(0, EACH).parallelStream().map(Reading::one).toList();
    }

    private static Read one(Commission commission) {
      Illustration drawn = Illustration.of(commission);
      Picture picture = Picture.from(drawn.image());
      return new Read(drawn, new PixelReader().read(picture, drawn.marks(), step -> {}));
    }
  }
}
