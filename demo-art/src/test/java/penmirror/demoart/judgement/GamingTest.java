package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.measure.Evidence;
import penmirror.core.reading.PixelReader;
import penmirror.core.scoring.AttemptScorer;
import penmirror.core.scoring.Score;
import penmirror.core.style.Portrayal;

/** Nothing that is no drawing in the style lies where the illustrator's own works lie. */
class GamingTest {
  private static final int WIDTH = 490;
  private static final int HEIGHT = 690;

  private static Evidence read(Marks marks, Consumer<BufferedImage> painter) throws Exception {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    painter.accept(image);
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(image, "png", png);
    var picture = new PictureReader().open(png.toByteArray()).picture();
    return new Evidence(marks, Optional.of(new PixelReader().read(picture, marks, step -> {})));
  }

  private static void flat(BufferedImage image, Color colour) {
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(colour);
    graphics.fillRect(0, 0, WIDTH, HEIGHT);
    graphics.dispose();
  }

  private static void noise(BufferedImage image) {
    Random random = new Random(3);
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      image.setRGB(i % WIDTH, i / WIDTH, random.nextInt(1 << 24));
    }
  }

  private static void text(BufferedImage image) {
    flat(image, Color.WHITE);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.BLACK);
    graphics.setFont(new Font(Font.SERIF, Font.PLAIN, 14));
    for (int y = 40; y < HEIGHT - 30; y += 20) {
      graphics.drawString("The barge lay under the bridge, and nobody had lit its lamp.", 30, y);
    }
    graphics.dispose();
  }

  @Test
  void noneOfThemLiesInsideTheOwnRange() throws Exception {
    for (DemoScores.Hand hand : DemoScores.HANDS) {
      Marks right = hand.works().get(0).evidence().marks();
      Marks none = Marks.none(View.FRONT);
      Map<String, Evidence> tricks = new LinkedHashMap<>();
      tricks.put("blank page", read(none, image -> flat(image, Color.WHITE)));
      tricks.put("flat tint", read(none, image -> flat(image, new Color(0x8A5A44))));
      tricks.put("noise", read(none, GamingTest::noise));
      tricks.put("page of text", read(none, GamingTest::text));
      tricks.put("points alone", new Evidence(right, Optional.empty()));
      tricks.put("points on a blank page", read(right, image -> flat(image, Color.WHITE)));
      tricks.put("points on a page of text", read(right, GamingTest::text));
      tricks.put("points on noise", read(right, GamingTest::noise));
      AttemptScorer scorer = new AttemptScorer(hand.inMoods());
      tricks.forEach(
          (name, evidence) -> {
            Score score =
                scorer.judged(
                    evidence,
                    scorer.asked(evidence, Portrayal.ANY, Optional.empty()),
                    Map.of(),
                    act -> false);
            String who = hand.name() + ", " + name;
            assertThat(score.belongs()).as(who).isNotEqualTo(Optional.of(true));
            // The page says why: it shows nothing, was not read, or lies below.
            assertThat(
                    !score.holdsFigure().orElse(false)
                        || score.overall().orElseThrow() < score.own().orElseThrow().belongsFrom())
                .as(who)
                .isTrue();
          });
    }
  }
}
