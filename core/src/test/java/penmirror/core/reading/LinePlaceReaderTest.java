package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.line.LinePlaces.Seen;
import penmirror.core.measure.line.Station;
import penmirror.core.raster.Picture;

/** A round head whose outline is heavy under the chin, thin above, and open at its left cheek. */
class LinePlaceReaderTest {
  private static final int SIDE = 800;
  private static final double MIDDLE = 400;
  private static final double RADIUS = 280;

  private static final Marks MARKS =
      new Marks(
          View.FRONT,
          Map.of(
              Landmark.CROWN, Mark.placed(MIDDLE, MIDDLE - RADIUS),
              Landmark.CHIN, Mark.placed(MIDDLE, MIDDLE + RADIUS),
              Landmark.CHEEK_L, Mark.placed(MIDDLE - RADIUS, MIDDLE),
              Landmark.CHEEK_R, Mark.placed(MIDDLE + RADIUS, MIDDLE)));

  private static Picture head(boolean inBlack) {
    BufferedImage image = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, SIDE, SIDE);
    graphics.setColor(new Color(240, 200, 170));
    Ellipse2D face = new Ellipse2D.Double(MIDDLE - RADIUS, MIDDLE - RADIUS, 2 * RADIUS, 2 * RADIUS);
    graphics.fill(face);
    graphics.setColor(new Color(20, 20, 25));
    arc(graphics, 8, 0, 150); // Over the top, from the right.
    arc(graphics, 16, 210, 120); // Under the chin, and a little to both sides.
    arc(graphics, 8, 330, 30);
    if (inBlack) {
      graphics.fillRect(60, 300, 200, 200);
    }
    graphics.dispose();
    return Picture.from(image);
  }

  private static void arc(Graphics2D graphics, double width, double from, double degrees) {
    graphics.setStroke(
        new BasicStroke((float) width, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND));
    graphics.draw(
        new Arc2D.Double(
            MIDDLE - RADIUS, MIDDLE - RADIUS, 2 * RADIUS, 2 * RADIUS, from, degrees, Arc2D.OPEN));
  }

  private static Seen at(List<Seen> all, Station station, boolean onRight) {
    return all.stream()
        .filter(seen -> seen.station() == station && seen.onRight() == onRight)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void widthsAndTheGapAreRead() {
    List<Seen> all = LinePlaceReader.read(head(false), List.of(), MARKS);
    double chin = at(all, Station.CHIN, false).overUsual().orElseThrow();
    double cheek = at(all, Station.CHEEK, true).overUsual().orElseThrow();
    assertThat(chin / cheek).isCloseTo(2, within(0.16));
    assertThat(at(all, Station.CHEEK, false).overUsual()).isEqualTo(OptionalDouble.empty());
    assertThat(all).extracting(Seen::station).doesNotContain(Station.JAW);
  }

  @Test
  void inTheBlackNothingIsToldToBeOpen() {
    List<Seen> all = LinePlaceReader.read(head(true), List.of(), MARKS);
    assertThat(all).noneMatch(seen -> seen.station() == Station.CHEEK && !seen.onRight());
  }

  @Test
  void coveredAndUnmarkedPlacesAreNotLookedAt() {
    Marks covered =
        MARKS.with(
            Landmark.CHEEK_R, Mark.at(MARKS.require(Landmark.CHEEK_R), Mark.State.ESTIMATED));
    assertThat(LinePlaceReader.read(head(false), List.of(), covered))
        .noneMatch(seen -> seen.station() == Station.CHEEK && seen.onRight());
    assertThat(LinePlaceReader.read(head(false), List.of(), Marks.none(View.FRONT))).isEmpty();
  }
}
