package penmirror.demoart.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.demoart.page.Rendering;

/**
 * Truth against what is drawn, for every picture: single parts are drawn alone at twice the size
 * and their ends found by counting pixels.
 */
class DrawnTruthTest {
  private static final double SCALE = 2;
  private static final double TOLERANCE_PX = 0.5;
  private static final int CLOSE_UP = 1600;

  static List<Commission> everyPicture() {
    return DemoStudio.everything();
  }

  @ParameterizedTest
  @MethodSource("everyPicture")
  void statureAndEyeLineLieWhereTheyAreDrawn(Commission commission) {
    Illustration drawn = Illustration.of(commission, SCALE);
    Map<Landmark, Place> places = drawn.places();
    double tilt =
        Math.toRadians(drawn.figure().headTilt()) * (drawn.rendering().isMirrored() ? -1 : 1);
    Point axis = new Point(-Math.sin(tilt), Math.cos(tilt));
    Point level = new Point(Math.cos(tilt), Math.sin(tilt));

    Box head = Box.of(drawn.rendering().alone("head"), axis);
    assertNear(commission, "crown", head.least(), places.get(Landmark.CROWN).point().dot(axis));
    assertNear(commission, "chin", head.most(), places.get(Landmark.CHIN).point().dot(axis));

    if (commission.cut() == Cut.FULL) {
      String shoe = commission.subject().boots() ? "boot" : "shoe";
      Box feet = Box.of(drawn.rendering().alone(shoe), new Point(0, 1));
      assertNear(commission, "sole", feet.most(), places.get(Landmark.SOLE).point().y());
    }

    double off = 0;
    int corners = 0;
    for (Landmark[] eye :
        new Landmark[][] {
          {Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER}, {Landmark.EYE_R_OUTER, Landmark.EYE_R_INNER}
        }) {
      if (places.get(eye[0]).seen() != Place.Seen.AWAY) {
        off += cornersOff(drawn, places.get(eye[0]).point(), places.get(eye[1]).point(), level);
        corners++;
      }
    }
    assertThat(corners).isEqualTo(commission.view() == View.SIDE ? 1 : 2);
    assertThat(off / corners / SCALE)
        .as("eye line of %s", commission.fileName())
        .isCloseTo(0, offset(TOLERANCE_PX));
  }

  private static void assertNear(
      Commission commission, String what, double counted, double stated) {
    assertThat(counted / SCALE)
        .as("%s of %s", what, commission.fileName())
        .isCloseTo(stated / SCALE, offset(TOLERANCE_PX));
  }

  /**
   * How far the counted ends of an eye's opening lie from the stated corners, downward on average.
   * The eye is drawn again, large, since its tips are thinner than a pixel.
   */
  private static double cornersOff(Illustration drawn, Point a, Point b, Point level) {
    double zoom = CLOSE_UP * 0.6 / a.distanceTo(b);
    Point middle = a.midpointTo(b);
    AffineTransform closer = new AffineTransform();
    closer.translate(CLOSE_UP / 2.0, CLOSE_UP / 2.0);
    closer.scale(zoom, zoom);
    closer.translate(-middle.x(), -middle.y());
    AffineTransform whole = new AffineTransform(closer);
    whole.concatenate(drawn.rendering().toPixels());
    BufferedImage eye =
        new Rendering(drawn.rendering().drawing(), CLOSE_UP, CLOSE_UP, whole).alone("eye");
    Point first = null;
    Point last = null;
    for (int y = 0; y < CLOSE_UP; y++) {
      for (int x = 0; x < CLOSE_UP; x++) {
        Point p = new Point(x + 0.5, y + 0.5);
        // The other eye may reach into the corner of the close-up.
        if (eye.getRaster().getSample(x, y, 0) < 128
            && p.distanceTo(new Point(CLOSE_UP / 2.0, CLOSE_UP / 2.0)) < CLOSE_UP * 0.4) {
          first = first == null || p.dot(level) < first.dot(level) ? p : first;
          last = last == null || p.dot(level) > last.dot(level) ? p : last;
        }
      }
    }
    Point down = new Point(-level.y(), level.x());
    double counted =
        first.midpointTo(last).minus(new Point(CLOSE_UP / 2.0, CLOSE_UP / 2.0)).dot(down);
    return counted / zoom;
  }

  /** How far the dark pixels of a picture reach along a direction. */
  private record Box(double least, double most) {
    static Box of(BufferedImage image, Point direction) {
      byte[] samples = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
      int width = image.getWidth();
      double least = Double.POSITIVE_INFINITY;
      double most = Double.NEGATIVE_INFINITY;
      double half = (Math.abs(direction.x()) + Math.abs(direction.y())) / 2;
      for (int i = 0; i < samples.length; i++) {
        if ((samples[i] & 255) < 128) {
          double at = (i % width + 0.5) * direction.x() + (i / width + 0.5) * direction.y();
          least = Math.min(least, at - half);
          most = Math.max(most, at + half);
        }
      }
      return new Box(least, most);
    }
  }
}
