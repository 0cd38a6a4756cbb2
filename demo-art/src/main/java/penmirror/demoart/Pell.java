package penmirror.demoart;

import static penmirror.demoart.Palette.Role.*;

import java.util.EnumMap;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;

/** Pell, keeper of the lantern: small, top-heavy, eyes low, in a coat with a huge scarf. */
final class Pell extends Figure {
  private final Mood mood;
  private final boolean lantern;

  Pell(Palette palette, Build build, Mood mood, boolean lantern) {
    super(palette, build);
    this.mood = mood;
    this.lantern = lantern;
  }

  @Override
  protected void drawBody(Pen pen) {
    if (lantern) {
      pen.ellipse(532, 428, 88, 88, c(HALO));
    }
    pen.flat("150,792 230,782 330,784 440,788 470,796 400,806 270,808 180,804", c(GROUND));
    boots(pen);
    coat(pen);
    hangingHand(pen);
    coatFront(pen);
    if (lantern) {
      lantern(pen);
    }
    fist(pen, palette());
    pen.part("482,322c 498,310c 518,328 530,352c 516,366c 504,342", c(COAT_LIGHT))
        .shade(c(COAT), 6, -8)
        .line(2.8, 4)
        .draw();
  }

  private void boots(Pen pen) {
    pen.part("236,628c 298,632c 292,700 290,730c 244,730c 240,700", c(LEG))
        .shade(c(LEG_SHADE), 18, -4)
        .line(3, 4)
        .draw();
    pen.part("330,632c 392,628c 388,700 384,730c 338,730c 334,700", c(LEG))
        .shade(c(LEG_SHADE), 18, -4)
        .line(3, 4)
        .draw();
    pen.flat("230,620 398,620 396,652 312,664 234,654", c(LEG_SHADE));

    pen.part(
            "240,706 266,702 294,708 296,744 298,772 296,788c 214,789c 204,778 208,760 226,748 238,738",
            c(BOOT))
        .shade(c(BOOT_SHADE), 20, -8)
        .line(3.4, 4.6)
        .draw();
    pen.stroke("206,777 250,780 297,776", 3).ends(.5, .5).draw();
    pen.stroke("240,716 266,722 294,717", 3).draw();
    pen.flat("222,758 236,750 246,752 232,760", c(BOOT_LIGHT));
    pen.part(
            "334,708 360,702 388,706 392,738 406,748 424,758 430,776 422,789c 332,788c 330,770 334,744",
            c(BOOT))
        .shade(c(BOOT_SHADE), 18, -8)
        .line(3.4, 4.6)
        .draw();
    pen.stroke("331,776 380,780 430,777", 3).ends(.5, .5).draw();
    pen.stroke("334,717 360,722 389,715", 3).draw();
    pen.flat("390,752 404,756 414,764 398,762", c(BOOT_LIGHT));
  }

  private void coat(Pen pen) {
    pen.part(
            "246,300 222,312 208,352 204,420 196,500 180,580 166,634c 206,650 262,660 314,662 372,658 424,648 460,628c 440,560 420,490 408,420 404,352 398,312 372,298 310,294",
            c(COAT))
        .shade(c(COAT_SHADE), 30, -10)
        .line(3.6, 5)
        .inside(
            () -> {
              pen.flat("330,340 322,420 318,520 312,664 352,664 340,520 338,420", c(COAT_SHADE));
              pen.flat("378,430 396,470 424,560 452,640 440,650 412,580 390,500", c(COAT_SHADE));
              pen.flat("404,330 396,360 382,380 366,372 384,352 396,320", c(COAT_SHADE));
            })
        .draw();
  }

  private void hangingHand(Pen pen) {
    pen.part(
            "166,486 154,508 149,534 154,560 168,574 184,576 198,568 206,546 210,520 206,490",
            c(SKIN))
        .shade(c(SKIN_SHADE), 12, -3)
        .line(2.8, 4.4)
        .draw();
    pen.stroke("166,572 168,556 164,540", 2.8).ends(.6, .12).draw();
    pen.stroke("182,576 184,558 180,542", 2.8).ends(.6, .12).draw();
    pen.stroke("196,568 198,552 194,540", 2.4).ends(.6, .12).draw();
    pen.part("202,500 216,508 224,526 222,544 212,548 204,538 198,522", c(SKIN))
        .shade(c(SKIN_SHADE), 6, -2)
        .line(2.6, 3.6)
        .draw();
  }

  private void coatFront(Pen pen) {
    pen.stroke("334,330 326,420 322,520 316,662", 4.4).ends(.4, .5).peak(.7).draw();
    pen.stroke("300,560 308,610 306,660", 3).ends(.12, .5).draw();
    for (double[] button : new double[][] {{350, 372}, {348, 426}, {346, 480}, {344, 534}}) {
      pen.ellipse(button[0], button[1], 8.4, 8.4, c(INK));
      pen.ellipse(button[0], button[1], 6.4, 6.4, c(BRASS));
    }
    pen.part("370,492c 414,486c 420,504c 374,512c", c(COAT))
        .shade(c(COAT_SHADE), 5, -7)
        .line(2.4, 3)
        .draw();

    pen.stroke("190,632 250,646 306,649", 2.2).colour(c(COAT_LIGHT)).draw();
    pen.stroke("326,649 390,644 444,628", 2.2).colour(c(COAT_LIGHT)).draw();

    pen.part(
            "250,302 222,308 202,336 184,388 166,440 156,478c 182,494 212,494c 222,450 240,400 252,350",
            c(COAT))
        .shade(c(COAT_SHADE), 17, -5)
        .line(3.2, 5)
        .draw();
    pen.part("160,462c 186,474 218,476c 212,500c 182,500 150,486c", c(COAT_LIGHT))
        .shade(c(COAT), 16, -3)
        .line(2.8, 4)
        .draw();
    pen.stroke("244,396 230,392 214,380", 3).draw();
    pen.stroke("248,376 238,370 226,366", 2.4).draw();

    pen.part(
            "372,304 404,304 430,332 448,366 464,352 490,318c 512,334 522,356c 502,392 476,430 448,448 416,430 392,394 376,356",
            c(COAT))
        .shade(c(COAT_SHADE), 10, -13)
        .line(3.2, 5)
        .draw();
    pen.stroke("448,366 446,382 436,396", 3.2).ends(.6, .12).draw();
    pen.stroke("450,370 462,384 464,398", 2.6).ends(.5, .12).draw();
  }

  private void lantern(Pen pen) {
    pen.stroke("532,340 514,356 506,386", 3.2).ends(.6, .6).draw();
    pen.stroke("532,340 552,356 560,386", 3.2).ends(.6, .6).draw();
    pen.part("506,398c 562,398c 568,456c 500,456c", c(GLOW))
        .line(2.6, 3)
        .inside(
            () -> {
              pen.flat("533,412 541,436 540,448 530,452 521,446 523,432", 0xF0A33B);
              pen.flat("533,428 538,440 536,449 529,449 528,438", 0xFFF6D8);
            })
        .draw();
    pen.stroke("520,398 517,456", 2.6).ends(.8, .8).draw();
    pen.stroke("549,398 552,456", 2.6).ends(.8, .8).draw();
    pen.part("516,374 533,368 550,374 558,386 572,398c 496,398c 508,386", c(BRASS))
        .shade(c(BRASS_SHADE), 13, -4)
        .line(2.8, 3.6)
        .draw();
    pen.part("494,456c 574,456c 570,476c 498,476c", c(BRASS))
        .shade(c(BRASS_SHADE), 16, -4)
        .line(2.8, 3.6)
        .draw();
  }

  static void fist(Pen pen, Palette palette) {
    pen.part(
            "494,330 492,308 504,292 524,286 544,290 558,304 558,324 550,342 532,350 512,348",
            palette.of(SKIN))
        .shade(palette.of(SKIN_SHADE), 9, -8)
        .line(2.8, 4)
        .draw();
    pen.stroke("558,312 544,314 532,312", 2.8).ends(.6, .12).draw();
    pen.stroke("556,327 542,328 532,325", 2.8).ends(.6, .12).draw();
    pen.stroke("546,300 538,302 530,300", 2.4).ends(.5, .12).draw();
    pen.part("498,312 508,300 524,304 534,314 530,324 516,324 506,330", palette.of(SKIN))
        .line(2.4, 3.4)
        .draw();
    pen.stroke("524,308 530,312 529,318", 1.8).draw();
  }

  @Override
  protected void drawHead(Pen pen) {
    pen.part(
            "300,94 344,96 384,120 404,160 404,206 412,240c 388,250 352,262 300,270 250,266 226,256 196,254c 206,226 198,178 212,134 248,104",
            c(HAIR))
        .shade(c(HAIR_SHADE), 26, -30)
        .line(3.4, 4.6)
        .draw();

    pen.flat("276,240 340,240 346,290 270,290", c(SKIN_SHADE));
    pen.part(FACE, c(SKIN))
        .shade(c(SKIN_SHADE), 13, -5)
        .line(2.6, 4)
        .inside(
            () -> {
              pen.flat(
                  "226,160 250,180 268,170 286,158 300,162 318,152 332,142 344,158 366,148 384,172"
                      + " 396,150 396,90 226,90",
                  c(SKIN_SHADE));
              pen.veil(272, 222, 15, 9, c(CHEEK), .55);
              pen.veil(366, 220, 12, 8, c(CHEEK), .5);
            })
        .draw();
    pen.part("242,178 230,170 217,176 214,194 222,212 236,218 244,210", c(SKIN))
        .shade(c(SKIN_SHADE), 8, -3)
        .line(2.6, 3.6)
        .draw();
    pen.stroke("234,184 224,186 226,198 234,204", 2.6).draw();
    pen.ellipse(226, 221, 5.4, 5.4, c(INK));
    pen.ellipse(226, 221, 3.8, 3.8, c(BRASS));
    leftEye().draw(pen, palette());
    rightEye().draw(pen, palette());
    if (mood != Mood.STARTLED) {
      lowered(
          pen,
          build().eyesDown(),
          () -> {
            pen.stroke("268,216 278,219 289,215", 2).draw();
            pen.stroke("343,215 352,217 361,212", 2).draw();
          });
    }
    lowered(pen, build().noseDown(), () -> nose(pen));
    lowered(pen, build().mouthDown(), () -> mouth(pen));
    for (double[] freckle :
        new double[][] {{262, 214}, {269, 219}, {260, 222}, {372, 212}, {366, 216}}) {
      pen.ellipse(freckle[0], freckle[1], 1.5, 1.5, 0xA8613F);
    }
    fringe(pen);
    lowered(pen, build().eyesDown(), () -> brows(pen));
    pen.part("292,98c 286,82 270,72c 296,70 312,82 316,74c 326,84 324,98c 308,104", c(HAIR))
        .shade(c(HAIR_SHADE), 9, -6)
        .line(2.8, 3.4)
        .draw();
  }

  private static final String FACE =
      "306,104 352,114 382,148 388,190 380,220 358,245 324,258 290,252 258,234 240,208 231,172"
          + " 238,132 268,110";

  private void nose(Pen pen) {
    pen.flat("314,196 324,196 338,207 348,215 350,222 342,227 324,227 314,222", c(SKIN));
    pen.flat("312,219 324,223 344,225 336,233 318,232 308,226", c(SKIN_SHADE));
    pen.stroke("321,194 326,203 338,209 349,217 347,225 336,227", 4.2)
        .ends(.1, .3)
        .peak(.72)
        .draw();
    pen.stroke("312,221 314,227 321,227", 2.8).draw();
  }

  private void mouth(Pen pen) {
    switch (mood) {
      case KEEN -> {
        pen.stroke("282,236 298,243 318,245 338,242 356,233", 4.6).ends(.15, .4).peak(.7).draw();
        pen.stroke("353,228 360,232 360,238", 2.4).draw();
        pen.stroke("310,251.5 320,253 330,251.5", 2).draw();
      }
      case GLAD ->
          pen.part("280,232c 304,240 330,241 358,231c 350,247 326,254 300,251 286,242", 0x6B2A2C)
              .line(3, 1.6)
              .inside(
                  () -> {
                    pen.flat("280,228 320,238 360,228 360,236 322,244 284,238", 0xFFFDF8);
                    pen.ellipse(322, 256, 16, 6, 0xD9735F);
                  })
              .draw();
      case CROSS -> {
        pen.stroke("290,246 306,238 326,237 346,244", 4.8).ends(.2, .3).peak(.6).draw();
        pen.stroke("302,253 316,250 330,252", 2.2).draw();
      }
      default ->
          pen.part("306,243 320,236 338,242 334,252 322,255 309,252", 0x6B2A2C)
              .line(3, 1.6)
              .inside(() -> pen.ellipse(322, 256, 10, 5, 0xD9735F))
              .draw();
    }
  }

  private void fringe(Pen pen) {
    pen.part(
            "226,206c 212,168 222,128 254,98 300,90 350,96 388,124 402,166 398,206c 386,178 374,152 366,142c 356,152 342,158c 336,142 330,132c 310,154 282,164c 286,150 284,142c 266,164 250,172 240,178",
            c(HAIR))
        .shade(c(HAIR_SHADE), 14, -12)
        .line(3, 4.4)
        .draw();
    pen.stroke("330,132 318,116 296,106", 3.2).draw();
    pen.stroke("284,142 278,126 262,114", 2.6).draw();
    pen.stroke("366,142 362,124 346,110", 2.8).draw();
    pen.stroke("236,170 232,148 240,128", 2.6).draw();
    pen.flat("298,100 322,98 346,104 332,106 312,105", c(HAIR_LIGHT));
  }

  private void brows(Pen pen) {
    String left;
    String right;
    switch (mood) {
      case KEEN -> {
        left = "252,168 268,157 298,163";
        right = "332,160 352,148 380,161";
      }
      case GLAD -> {
        left = "256,164 276,152 302,160";
        right = "330,158 350,149 376,162";
      }
      case CROSS -> {
        left = "254,160 276,166 306,180";
        right = "324,178 350,162 378,160";
      }
      default -> {
        left = "254,150 276,138 300,147";
        right = "330,146 352,136 376,148";
      }
    }
    pen.stroke(left, 9.5).ends(.35, .2).peak(.3).draw();
    pen.stroke(right, 9.5).ends(.4, .15).peak(.35).draw();
  }

  @Override
  protected void drawOver(Pen pen) {
    pen.part(
            "250,316 240,352 232,400 216,436c 226,440 236,434c 246,444 258,438c 268,446 276,440c 282,400 290,350 292,322",
            c(SCARF))
        .shade(c(SCARF_SHADE), 15, -3)
        .line(2.8, 4)
        .draw();
    pen.stroke("272,336 264,372 256,412", 2.6).draw();

    pen.stroke("229,412 279,422", 4).ends(1, 1).colour(c(SCARF_SHADE)).draw();
    pen.stroke("232,402 282,412", 4).ends(1, 1).colour(c(SCARF_SHADE)).draw();

    pen.part(
            "236,272 252,258 278,266 316,276 356,268 380,256 396,272 394,300 370,322 322,336 276,332 240,316 228,292",
            c(SCARF))
        .shade(c(SCARF_SHADE), 14, -12)
        .line(3.2, 5)
        .draw();
    pen.stroke("240,288 276,302 322,306 366,294 392,276", 3.2).draw();
    pen.stroke("262,322 284,318 306,322", 2.6).draw();
    pen.stroke("330,296 350,308 376,304", 2.2).draw();
  }

  private Eye leftEye() {
    Eye eye =
        switch (mood) {
          case KEEN -> new Eye(278, 193, 15, 19, 4, 0, .52, 0);
          case GLAD -> new Eye(278, 193, 15, 15, 3, -1, .52, 0);
          case CROSS -> new Eye(278, 193, 15, 14, 4, 2, .52, .28);
          case STARTLED -> new Eye(278, 193, 16, 22, 0, 0, .36, 0);
        };
    return eye.changed(-build().eyesApart(), build().eyesDown(), build().eyeSize());
  }

  private Eye rightEye() {
    Eye eye =
        switch (mood) {
          case KEEN -> new Eye(350, 193, 13, 18, 4, 0, .54, 0);
          case GLAD -> new Eye(350, 193, 13, 14, 3, -1, .54, 0);
          case CROSS -> new Eye(350, 193, 13, 13, 4, 2, .54, .28);
          case STARTLED -> new Eye(350, 193, 14, 21, 0, 0, .36, 0);
        };
    return eye.changed(build().eyesApart(), build().eyesDown(), build().eyeSize());
  }

  @Override
  protected Map<Landmark, Point> headLandmarks() {
    Map<Landmark, Point> points = new EnumMap<>(Landmark.class);
    eyeCorners(points, leftEye(), rightEye());
    points.put(Landmark.CROWN, new Point(316, 92));
    points.put(Landmark.CHIN, new Point(322, 258));
    points.put(Landmark.HAIR_TOP, new Point(290, 70));
    points.put(Landmark.CHEEK_L, new Point(231, 174));
    points.put(Landmark.CHEEK_R, new Point(388, 188));
    points.put(Landmark.NOSE_BASE, new Point(333, 228 + build().noseDown()));
    double down = build().mouthDown();
    switch (mood) {
      case KEEN -> corners(points, 282, 236 + down, 356, 233 + down);
      case GLAD -> corners(points, 280, 232 + down, 358, 231 + down);
      case CROSS -> corners(points, 290, 246 + down, 346, 244 + down);
      default -> corners(points, 306, 243 + down, 338, 242 + down);
    }
    return points;
  }

  @Override
  protected Map<Landmark, Point> bodyLandmarks() {
    Map<Landmark, Point> points = new EnumMap<>(Landmark.class);
    points.put(Landmark.SHOULDER_L, new Point(222, 314));
    points.put(Landmark.SHOULDER_R, new Point(402, 310));
    points.put(Landmark.CROTCH, new Point(312, CROTCH));
    points.put(Landmark.SOLE, new Point(312, GROUND_LINE));
    return points;
  }
}
