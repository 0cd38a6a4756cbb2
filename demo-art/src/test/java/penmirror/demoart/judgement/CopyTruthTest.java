package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.copying.CopyLikeness;
import penmirror.core.copying.SmallFigure;
import penmirror.core.figure.Facing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.core.reading.CutOut;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;
import penmirror.demoart.studio.Slip;

/**
 * What is drawn nearer to a work is told to be nearer, and the work itself is known. All nine works
 * of docs/scoring.md with {@code -Dcopies=3}.
 */
class CopyTruthTest {
  private static final List<DemoStudio.Folder> HANDS =
      List.of(DemoStudio.odileMarrow(), DemoStudio.casimirThole(), DemoStudio.inesVantour());

  private static final int EACH = Integer.getInteger("copies", 1);
  private static final double SCALE = 0.35;
  private static final double MARKED_WITHIN_HEADS = 0.01;

  private static final List<Slip> TRACED =
      List.of(new Slip.Scaled("a little heavier", Parameter.LINE_WIDTH, 1.2));

  private static final List<Slip> COPIED =
      List.of(
          new Slip.Scaled("eyes large", Parameter.EYE_WIDTH, 1.12),
          new Slip.Stepped("eyes high", Parameter.EYE_LINE, -0.03),
          new Slip.Scaled("head broad", Parameter.HEAD_ASPECT, 1.08),
          new Slip.Scaled("line heavy", Parameter.LINE_WIDTH, 1.4));

  private static CopyLikeness.Side side(BufferedImage image, Marks marks) {
    CutOut cut = CutOut.of(Picture.from(image), List.of()).orElseThrow();
    return new CopyLikeness.Side(
        SmallFigure.of(cut, new SmallFigure.Extent(image.getWidth(), image.getHeight())),
        marks,
        Map.of());
  }

  private static CopyLikeness.Side drawn(Commission commission) {
    Illustration drawn = Illustration.of(commission, SCALE);
    return side(drawn.image(), drawn.marks());
  }

  private static Commission with(Commission of, List<Slip> slips) {
    return of.slipping(of.fileName(), of.title(), slips);
  }

  /** The same somebody else, without the work at hand: another pose, and the usual slips. */
  private static Commission fromMemory(Commission of, Commission other) {
    Pose pose = of.pose().equals(Pose.WALKING) ? Pose.HANDS_ON_HIPS : Pose.WALKING;
    return with(of.showing(other.subject(), other.palette()).posed(pose), COPIED);
  }

  /** The same pose and manner with somebody else in it. */
  private static Commission merged(Commission of, Commission other) {
    return with(of.showing(other.subject(), other.palette()), TRACED);
  }

  private static List<Commission> works(DemoStudio.Folder hand) {
    return hand.sources().stream().filter(one -> one.cut() == Cut.FULL).limit(EACH).toList();
  }

  /** By a hand that marks a point a hundredth of a head beside where it marked it before. */
  private static Marks markedAgain(Marks marks, double factor, double left) {
    Random random = new Random(7);
    double off = MARKED_WITHIN_HEADS * marks.headFrame().orElseThrow().headPixels() * factor;
    return marks.moved(
        List.of(Landmark.values()),
        p ->
            new Point(
                (p.x() - left) * factor + off * random.nextGaussian(),
                p.y() * factor + off * random.nextGaussian()));
  }

  @Test
  void likenessFallsFromTraceOverCopyAndMergeToMemory() {
    for (int hand = 0; hand < HANDS.size(); hand++) {
      Commission stranger = works(HANDS.get((hand + 1) % HANDS.size())).get(0);
      for (Commission work : works(HANDS.get(hand))) {
        CopyLikeness.Side source = drawn(work);
        List<CopyLikeness> chain =
            List.of(
                CopyLikeness.of(source, drawn(with(work, TRACED))).orElseThrow(),
                CopyLikeness.of(source, drawn(with(work, COPIED))).orElseThrow(),
                CopyLikeness.of(source, drawn(merged(work, stranger))).orElseThrow(),
                CopyLikeness.of(source, drawn(fromMemory(work, stranger))).orElseThrow());
        double[] points = chain.stream().mapToDouble(CopyLikeness::points).toArray();
        System.out.printf(
            "copies of %s: trace %.0f, copy %.0f, merge %.0f, memory %.0f%n",
            work.fileName(), points[0], points[1], points[2], points[3]);
        for (int i = 1; i < points.length; i++) {
          assertThat(points[i]).as(work.fileName() + ", " + i).isLessThan(points[i - 1] - 3);
        }
        assertThat(chain.get(0).isTheWork()).as("traced " + work.fileName()).isTrue();
        for (CopyLikeness drawn : chain.subList(1, 4)) {
          assertThat(drawn.isTheWork()).as("drawn after " + work.fileName()).isFalse();
        }
      }
    }
  }

  @Test
  void theWorkItselfIsKnownWhateverWasDoneToIt() {
    int known = 0;
    int asked = 0;
    for (DemoStudio.Folder hand : HANDS) {
      for (Commission work : works(hand)) {
        Illustration drawn = Illustration.of(work, SCALE);
        BufferedImage image = drawn.image();
        Marks marks = drawn.marks();
        CopyLikeness.Side source = side(image, marks);
        CopyLikeness same = CopyLikeness.of(source, source).orElseThrow();
        assertThat(same.points()).isEqualTo(100);
        assertThat(same.isTheWork()).isTrue();
        double left = image.getWidth() / 8.0;
        List<CopyLikeness.Side> changed =
            List.of(
                side(resized(image, 0.6), markedAgain(marks, 0.6, 0)),
                side(cropped(image), markedAgain(marks, 1, left)),
                side(recoloured(image), markedAgain(marks, 1, 0)));
        for (CopyLikeness.Side one : changed) {
          asked++;
          known += CopyLikeness.of(source, one).orElseThrow().isTheWork() ? 1 : 0;
        }
        CopyLikeness mirrored =
            CopyLikeness.of(
                    source, side(mirrored(image), Facing.mirrored(marks, image.getWidth() / 2.0)))
                .orElseThrow();
        assertThat(mirrored.isTheWork()).as("in a mirror " + work.fileName()).isFalse();
        assertThat(mirrored.points()).isLessThan(90);
      }
    }
    System.out.printf("the work itself, changed: known %d of %d%n", known, asked);
    // The smallest of one, 290 pixels wide, is not.
    assertThat(known).isGreaterThanOrEqualTo(asked - 1);
  }

  private static BufferedImage resized(BufferedImage image, double factor) {
    int width = (int) (image.getWidth() * factor);
    int height = (int) (image.getHeight() * factor);
    BufferedImage out = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = out.createGraphics();
    graphics.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    graphics.drawImage(image, 0, 0, width, height, null);
    graphics.dispose();
    return out;
  }

  private static BufferedImage cropped(BufferedImage image) {
    int left = image.getWidth() / 8;
    return resized(
        image.getSubimage(left, 0, image.getWidth() - 2 * left, image.getHeight() * 2 / 3), 1);
  }

  private static BufferedImage recoloured(BufferedImage image) {
    BufferedImage out = resized(image, 1);
    for (int y = 0; y < out.getHeight(); y++) {
      for (int x = 0; x < out.getWidth(); x++) {
        Color colour = new Color(out.getRGB(x, y));
        float[] hsb = Color.RGBtoHSB(colour.getRed(), colour.getGreen(), colour.getBlue(), null);
        out.setRGB(x, y, Color.HSBtoRGB(hsb[0] + 0.4f, hsb[1], hsb[2]));
      }
    }
    return out;
  }

  private static BufferedImage mirrored(BufferedImage image) {
    BufferedImage out = resized(image, 1);
    Graphics2D graphics = out.createGraphics();
    graphics.drawImage(image, image.getWidth(), 0, -image.getWidth(), image.getHeight(), null);
    graphics.dispose();
    return out;
  }
}
