package penmirror.demoart;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;

/**
 * The demo study: Odile Marrow's serial "The Lantern Barge", and Bastian Crumb redrawn after it.
 * All people are invented. The same call draws the same bytes every time.
 */
public final class DemoStudio {
  public static final String ILLUSTRATOR = "Odile Marrow";
  public static final String SERIAL = "The Lantern Barge";

  private static final int WIDTH = 620;
  private static final int HEIGHT = 880;
  private static final double SCALE = 2;

  /** A picture of the figure from the waist up is cut here, in the model's units. */
  private static final double BUST_LEFT = 130;

  private static final double BUST_TOP = 24;
  private static final double BUST_SIZE = 372;

  /** Places of the model drawing and where the cartoonist's own hand puts them. */
  private static final String MODEL_PLACES =
      "310,42 311,92 212,196 398,196 311,258 212,76 414,104 248,240 372,250 "
          + "311,170 250,150 370,150 236,308 392,304 311,326 222,314 404,312 "
          + "184,500 450,500 446,580 184,580 206,640 424,640 314,664 268,692 "
          + "362,692 268,742 360,742 206,789 302,789 326,789 424,789 186,764 "
          + "444,764 178,430 168,500 208,500 176,576 222,530 446,446 412,430 "
          + "490,334 526,288 494,310 558,320 532,366 526,470 486,424 580,410";

  private static final String OWN_PLACES =
      "310.3,57.6 311,92 242.8,163.7 370.9,163.7 311,206.4 242.8,81 382,100.3 "
          + "267.6,194 353,200.9 311,145.7 269,132 351.7,132 250,236 372,236 "
          + "311,240 240,246 384,246 246,420 376,416 374,500 250,500 244,566 "
          + "382,566 313,578 279,640 349,640 282,752 346,752 244,789 300,789 "
          + "330,789 386,789 230,770 402,770 224,362 220,420 243,420 222,478 "
          + "249,444 414,342 396,336 440,258 463,228 441,242 487,248 470,282 "
          + "466,354 437,322 501,314";

  private DemoStudio() {}

  /** Sources first, then the character, then the redraws in order. */
  public static List<DrawnWork> works() {
    List<DrawnWork> works = new ArrayList<>();
    Random hand = new Random(1871);
    works.add(
        source(1, "Pell, lantern raised", full(Palette.day(), Mood.KEEN, hand), 0, Warp.NONE));
    works.add(
        source(2, "Words with the ferryman", full(Palette.day(), Mood.CROSS, hand), 2, Warp.NONE));
    works.add(source(3, "The lamps are lit", full(Palette.day(), Mood.GLAD, hand), -2, Warp.NONE));
    works.add(
        source(
            4,
            "Something under the hull",
            full(Palette.night(), Mood.STARTLED, hand),
            0,
            Warp.NONE));
    works.add(
        source(
            5,
            "Tam of the night ferry",
            full(Palette.ferry(), Mood.GLAD, hand),
            0,
            Warp.mirror(WIDTH / 2.0)));
    works.add(
        source(6, "Tam keeps his word", full(Palette.ferry(), Mood.KEEN, hand), 1.5, Warp.NONE));
    works.add(bust(7, "Pell, morning", full(Palette.day(), Mood.GLAD, hand), -4));
    works.add(bust(8, "Pell, last light", full(Palette.night(), Mood.CROSS, hand), 3));
    works.add(character());
    works.add(redraw(1, new Build(-13, 1.3, 0, -4, -4, 1.16, 1.22, 1.1, .55), Palette.baker()));
    works.add(redraw(2, new Build(-5, 1.1, 0, -2, -1, 1.04, 1.06, 1.03, .85), Palette.baker()));
    return works;
  }

  /** Every source draws its build from the illustrator's own spread. */
  private static Pell full(Palette palette, Mood mood, Random hand) {
    Build build =
        Build.MODEL
            .face(1.2 * hand.nextGaussian(), 1 + .04 * hand.nextGaussian(), hand.nextGaussian())
            .features(1.2 * hand.nextGaussian(), 1.2 * hand.nextGaussian())
            .body(
                1 + .02 * hand.nextGaussian(),
                1 + .03 * hand.nextGaussian(),
                1 + .02 * hand.nextGaussian())
            .line(1 + .06 * hand.nextGaussian());
    return new Pell(palette, build, mood, true);
  }

  private static DrawnWork source(
      int number, String title, Figure figure, double headTurn, Warp bend) {
    Marks truth = figure.truth(SCALE, headTurn, bend);
    return new DrawnWork(
        "lantern-barge-" + number + ".png",
        DrawnWork.Role.SOURCE,
        title,
        credit(number),
        png(draw(figure, headTurn, bend, (int) (WIDTH * SCALE), (int) (HEIGHT * SCALE))),
        isMirrored(bend) ? sidesSwapped(truth) : truth);
  }

  private static DrawnWork bust(int number, String title, Figure figure, double headTurn) {
    double scale = 3;
    Warp cut = Warp.shift(-BUST_LEFT, -BUST_TOP);
    int size = (int) (BUST_SIZE * scale);
    BufferedImage image = sheet(figure, size, size);
    figure.draw(image, scale, headTurn, cut);
    Marks truth = figure.truth(scale, headTurn, cut);
    for (Map.Entry<Landmark, Mark> entry : truth.landmarks().entrySet()) {
      boolean outside = entry.getValue().point().map(p -> p.y() > size).orElse(false);
      if (outside) {
        truth = truth.with(entry.getKey(), Mark.hidden());
      }
    }
    return new DrawnWork(
        "lantern-barge-" + number + ".png",
        DrawnWork.Role.SOURCE,
        title,
        credit(number),
        png(image),
        truth);
  }

  /** The cartoonist's own drawing: about six heads tall, larger eyes, thinner line. */
  private static DrawnWork character() {
    Figure bastian = new Bastian(Palette.baker(), Build.MODEL.face(-10, 1.2, 0).line(.6));
    Warp ownHand = Warp.landing(points(MODEL_PLACES), points(OWN_PLACES));
    return new DrawnWork(
        "bastian-crumb.png",
        DrawnWork.Role.CHARACTER,
        "Bastian Crumb, night baker",
        "Own drawing",
        png(draw(bastian, 0, ownHand, (int) (WIDTH * SCALE), (int) (HEIGHT * SCALE))),
        bastian.truth(SCALE, 0, ownHand));
  }

  private static List<Point> points(String text) {
    List<Point> points = new ArrayList<>();
    for (String word : text.split(" ")) {
      String[] numbers = word.split(",");
      points.add(new Point(Double.parseDouble(numbers[0]), Double.parseDouble(numbers[1])));
    }
    return points;
  }

  private static DrawnWork redraw(int attempt, Build build, Palette palette) {
    return drawnByHand(
        "bastian-attempt-" + attempt + ".png",
        DrawnWork.Role.REDRAW,
        "Bastian Crumb, attempt " + attempt,
        new Bastian(palette, build));
  }

  private static DrawnWork drawnByHand(
      String file, DrawnWork.Role role, String title, Figure bastian) {
    // Taller builds are drawn smaller, so that they stand on the same page.
    double tall = bastian.truth(1, 0, Warp.NONE).point(Landmark.SOLE).orElseThrow().y();
    double shrink = Math.min(1, (Figure.GROUND_LINE + 10) / tall);
    Warp fit = p -> new Point(WIDTH / 2.0 + (p.x() - 320) * shrink, 25 + (p.y() - 25) * shrink);
    return new DrawnWork(
        file,
        role,
        title,
        "Own drawing",
        png(draw(bastian, 0, fit, (int) (WIDTH * SCALE), (int) (HEIGHT * SCALE))),
        bastian.truth(SCALE, 0, fit));
  }

  private static String credit(int number) {
    return ILLUSTRATOR + ", " + SERIAL + ", part " + (1 + number / 3) + ". Studied for practice.";
  }

  private static BufferedImage draw(
      Figure figure, double headTurn, Warp bend, int width, int height) {
    BufferedImage image = sheet(figure, width, height);
    figure.draw(image, SCALE, headTurn, bend);
    return image;
  }

  private static BufferedImage sheet(Figure figure, int width, int height) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(new Color(figure.palette().of(Palette.Role.PAPER)));
    graphics.fillRect(0, 0, width, height);
    graphics.dispose();
    return image;
  }

  private static boolean isMirrored(Warp bend) {
    return bend.apply(new Point(1, 0)).x() < bend.apply(new Point(0, 0)).x();
  }

  /** Left and right are as seen in the picture, so a mirrored figure swaps them. */
  private static Marks sidesSwapped(Marks marks) {
    Map<Landmark, Mark> swapped = new EnumMap<>(Landmark.class);
    marks
        .landmarks()
        .forEach(
            (landmark, mark) -> {
              String key = landmark.key();
              String other =
                  key.matches(".*_l(_.*)?")
                      ? key.replaceFirst("_l(?=_|$)", "_r")
                      : key.replaceFirst("_r(?=_|$)", "_l");
              swapped.put(Landmark.ofKey(other).orElse(landmark), mark);
            });
    return new Marks(marks.view(), swapped);
  }

  private static byte[] png(BufferedImage image) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
