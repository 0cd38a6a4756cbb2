package penmirror.core.copying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.copying.CopyLikeness.Part;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Similarity;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.raster.Picture;
import penmirror.core.reading.CutOut;

/** Figures whose areas and colours can be counted by hand. */
class CopyLikenessTest {
  private static final Color BLUE = new Color(0x3050A0);
  private static final Color GREEN = new Color(0x30A050);

  /** A block on white paper, with a head marked at its top. */
  private static CopyLikeness.Side block(int left, int width, int height, Color colour) {
    BufferedImage image = new BufferedImage(400, 400, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, 400, 400);
    graphics.setColor(colour);
    graphics.fillRect(left, 100, width, height);
    graphics.dispose();
    Marks marks =
        new Marks(
            View.FRONT,
            Map.of(Landmark.CROWN, Mark.placed(150, 100), Landmark.CHIN, Mark.placed(150, 150)));
    return new CopyLikeness.Side(
        SmallFigure.of(
            CutOut.of(Picture.from(image), List.of()).orElseThrow(),
            new SmallFigure.Extent(400, 400)),
        marks,
        Map.of());
  }

  private static CopyLikeness likeness(CopyLikeness.Side work, CopyLikeness.Side copy) {
    return CopyLikeness.of(work, copy).orElseThrow();
  }

  private static double off(CopyLikeness likeness, Part part) {
    return likeness.part(part).orElseThrow().off();
  }

  @Test
  void itselfIsAHundred() {
    CopyLikeness.Side side = block(100, 100, 200, BLUE);
    assertThat(likeness(side, side).points()).isEqualTo(100);
  }

  @Test
  void outlineIsTheAreaThatBothCover() {
    CopyLikeness broader = likeness(block(100, 100, 200, BLUE), block(100, 150, 200, BLUE));
    // 100 of 150 columns, a cell more or less at the edge.
    assertThat(off(broader, Part.OUTLINE)).isCloseTo(1 - 100.0 / 150, within(0.02));
    assertThat(off(broader, Part.PLACE)).isZero();
    assertThat(off(broader, Part.COLOURS)).isCloseTo(0, within(0.01));
  }

  @Test
  void tonesLieAsFarApartAsTheColoursDo() {
    CopyLikeness other = likeness(block(100, 100, 200, BLUE), block(100, 100, 200, GREEN));
    OkLab blue = OkLab.from(EncodedSrgb.fromHex("#3050a0"));
    OkLab green = OkLab.from(EncodedSrgb.fromHex("#30a050"));
    double level = 0.8 / 40;
    assertThat(off(other, Part.VALUES))
        .isCloseTo(Math.abs(blue.lightness() - green.lightness()), within(0.03));
    assertThat(off(other, Part.COLOURS))
        .isCloseTo(
            Math.abs(blue.a() - green.a()) + Math.abs(blue.b() - green.b()), within(2 * level));
    assertThat(off(other, Part.OUTLINE)).isCloseTo(0, within(0.01));
  }

  @Test
  void halfIsLeftAtTheStepOfAPart() {
    assertThat(new CopyLikeness.Reached(Part.PLACE, 0.05).likeness()).isCloseTo(0.5, within(1e-9));
    assertThat(new CopyLikeness.Reached(Part.LINE, -0.8).likeness()).isCloseTo(0.25, within(1e-9));
  }

  @Test
  void lineIsHeldByItsHead() {
    Map<Measure, Double> six = Map.of(LineMeasures.WIDTH, 6.0);
    Map<Measure, Double> three = Map.of(LineMeasures.WIDTH, 3.0);
    CopyLikeness.Side block = block(100, 100, 200, BLUE);
    CopyLikeness thinner =
        likeness(
            new CopyLikeness.Side(block.figure(), block.marks(), six),
            new CopyLikeness.Side(block.figure(), block.marks(), three));
    assertThat(off(thinner, Part.LINE)).isCloseTo(Math.log(0.5), within(1e-9));
    assertThat(likeness(block, block).part(Part.LINE)).isEmpty();
  }

  @Test
  void withoutCommonPointsNothingIsSaid() {
    CopyLikeness.Side block = block(100, 100, 200, BLUE);
    CopyLikeness.Side unmarked =
        new CopyLikeness.Side(block.figure(), Marks.none(View.FRONT), Map.of());
    assertThat(CopyLikeness.of(block, unmarked)).isEqualTo(Optional.empty());
  }

  @Test
  void differencePaintsWhatOnlyOneCovers() {
    CopyLikeness.Side work = block(100, 100, 200, BLUE);
    CopyLikeness.Side copy = block(150, 100, 200, BLUE);
    BufferedImage image =
        CopyLikeness.difference(work.figure(), copy.figure(), new Similarity(1, 0, 0, 0));
    double scale = image.getWidth() / 400.0;
    int middle = (int) (200 * scale);
    assertThat(new Color(image.getRGB((int) (125 * scale), middle)).getBlue()).isGreaterThan(150);
    assertThat(new Color(image.getRGB((int) (225 * scale), middle)).getRed()).isGreaterThan(150);
    assertThat(image.getRGB((int) (300 * scale), middle) >>> 24).as("paper").isZero();
  }
}
