package penmirror.demoart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;

class DemoStudioTest {
  private static final List<DrawnWork> WORKS = DemoStudio.works();
  private static final int EYE_WHITE = 0xFFFDF8;

  @Test
  void theSameCallDrawsTheSameBytes() {
    List<DrawnWork> again = DemoStudio.works();
    for (int i = 0; i < WORKS.size(); i++) {
      assertThat(again.get(i).png()).isEqualTo(WORKS.get(i).png());
      assertThat(again.get(i).truth()).isEqualTo(WORKS.get(i).truth());
    }
  }

  @Test
  void thereAreSourcesACharacterAndTwoRedraws() {
    assertThat(count(DrawnWork.Role.SOURCE)).isGreaterThanOrEqualTo(6);
    assertThat(count(DrawnWork.Role.CHARACTER)).isEqualTo(1);
    assertThat(count(DrawnWork.Role.REDRAW)).isEqualTo(2);
    assertThat(WORKS).allSatisfy(work -> assertThat(work.credit()).isNotBlank());
  }

  /**
   * Truth against what is drawn, by counting pixels: the white of each wide-open eye begins and
   * ends at its corners. The outline of 1.3 units covers up to 3 px of it on either side.
   */
  @Test
  void eyeCornersLieWhereTheWhiteOfTheEyeEnds() throws IOException {
    int checked = 0;
    for (DrawnWork work : WORKS) {
      boolean lids =
          work.truth().isHidden(Landmark.MOUTH_L)
              || work.title().contains("ferryman")
              || work.title().contains("last");
      if (lids) {
        continue;
      }
      BufferedImage image = image(work);
      assertWhite(image, work, Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER);
      assertWhite(image, work, Landmark.EYE_R_INNER, Landmark.EYE_R_OUTER);
      checked++;
    }
    assertThat(checked).isGreaterThanOrEqualTo(5);
  }

  /** The lowest row with boot colours is the ground line, to the width of the outline. */
  @Test
  void theSoleLiesUnderTheBoots() throws IOException {
    for (DrawnWork work : WORKS) {
      Optional<Point> sole = work.truth().point(Landmark.SOLE);
      if (sole.isEmpty()) {
        continue;
      }
      BufferedImage image = image(work);
      int ink = Palette.day().of(Palette.Role.INK);
      int lowest = 0;
      for (int y = 0; y < image.getHeight(); y++) {
        for (int x = 0; x < image.getWidth(); x++) {
          if ((image.getRGB(x, y) & 0xFFFFFF) == ink) {
            lowest = y;
          }
        }
      }
      assertThat((double) lowest).as(work.title()).isCloseTo(sole.get().y(), offset(9.0));
    }
  }

  /** About 4.2 heads and eyes about 0.61 down the head: that is how this illustrator draws. */
  @Test
  void sourcesDrawFromTheIllustratorsOwnSpread() {
    for (DrawnWork work : WORKS) {
      if (work.role() != DrawnWork.Role.SOURCE) {
        continue;
      }
      assertThat(value(FaceMeasures.EYE_LINE, work.truth()).orElseThrow()).isBetween(0.58, 0.64);
      value(ProportionMeasures.STATURE, work.truth())
          .ifPresent(heads -> assertThat(heads).isBetween(3.9, 4.5));
    }
  }

  @Test
  void theFirstAttemptHasItsEyesTooHighAndTooLarge() {
    Marks first = redraw(0).truth();
    Marks second = redraw(1).truth();
    double style = value(FaceMeasures.EYE_LINE, WORKS.get(0).truth()).orElseThrow();
    assertThat(value(FaceMeasures.EYE_LINE, first).orElseThrow())
        .isLessThan(value(FaceMeasures.EYE_LINE, second).orElseThrow())
        .isLessThan(style - 0.05);
    assertThat(value(FaceMeasures.EYE_WIDTH, first).orElseThrow())
        .isGreaterThan(1.15 * value(FaceMeasures.EYE_WIDTH, second).orElseThrow());
  }

  /** The mirrored picture names left and right as they are seen in it. */
  @Test
  void leftIsLeftAsSeen() {
    for (DrawnWork work : WORKS) {
      assertThat(work.truth().point(Landmark.EYE_L_OUTER).orElseThrow().x())
          .as(work.title())
          .isLessThan(work.truth().point(Landmark.EYE_R_OUTER).orElseThrow().x());
    }
  }

  private static DrawnWork redraw(int index) {
    return WORKS.stream().filter(w -> w.role() == DrawnWork.Role.REDRAW).toList().get(index);
  }

  private static long count(DrawnWork.Role role) {
    return WORKS.stream().filter(work -> work.role() == role).count();
  }

  private static Optional<Double> value(Measure measure, Marks marks) {
    return measure.read(new Evidence(marks, Optional.empty())).reading().map(r -> r.value());
  }

  private static BufferedImage image(DrawnWork work) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(work.png()));
  }

  private static void assertWhite(
      BufferedImage image, DrawnWork work, Landmark left, Landmark right) {
    Point from = work.truth().point(left).orElseThrow();
    Point to = work.truth().point(right).orElseThrow();
    double width = from.distanceTo(to);
    int first = Integer.MAX_VALUE;
    int last = -1;
    Point middle = from.midpointTo(to);
    for (int y = (int) (middle.y() - width / 2); y < middle.y() + width / 2; y++) {
      for (int x = (int) (from.x() - width * 0.3); x < to.x() + width * 0.3; x++) {
        if ((image.getRGB(x, y) & 0xFFFFFF) == EYE_WHITE) {
          first = Math.min(first, x);
          last = Math.max(last, x);
        }
      }
    }
    assertThat((double) first)
        .as("%s of %s", left.key(), work.title())
        .isCloseTo(from.x(), offset(5.0));
    assertThat((double) last)
        .as("%s of %s", right.key(), work.title())
        .isCloseTo(to.x(), offset(5.0));
  }
}
