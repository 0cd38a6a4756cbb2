package penmirror.demoart;

import static penmirror.demoart.Palette.Role.*;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;

/**
 * Bastian Crumb, night baker: broad, moustache over the mouth, cap above the crown, a ring loaf.
 */
final class Bastian extends Figure {

  Bastian(Palette palette, Build build) {
    super(palette, build);
  }

  @Override
  protected void drawBody(Pen pen) {
    pen.ellipse(532, 428, 86, 86, c(HALO));
    pen.flat("140,792 230,782 330,784 450,788 484,796 400,806 270,808 170,804", c(GROUND));
    legs(pen);
    pen.part(
            "250,296 222,306 200,350 184,420 176,500 184,580 206,640c 260,660 314,664 370,660 424,640c 446,580 452,500 438,420 418,350 402,308 372,296 310,292",
            c(COAT))
        .shade(c(COAT_SHADE), 28, -10)
        .line(3.6, 5.2)
        .draw();
    apron(pen);
    arms(pen);
    loaf(pen);
    Pell.fist(pen, palette());
    neck(pen);
  }

  private void legs(Pen pen) {
    pen.part("226,640c 304,644c 300,700 298,744c 238,744c 232,700", c(LEG))
        .shade(c(LEG_SHADE), 18, -4)
        .line(3, 4)
        .draw();
    pen.part("322,644c 400,640c 394,700 390,744c 330,744c 326,700", c(LEG))
        .shade(c(LEG_SHADE), 18, -4)
        .line(3, 4)
        .draw();
    pen.flat("222,630 404,630 400,660 312,672 228,662", c(LEG_SHADE));

    pen.part(
            "236,738 266,744 300,740 306,766 302,789c 206,789c 190,776 186,762c 208,756 226,746",
            c(BOOT))
        .shade(c(BOOT_SHADE), 20, -8)
        .line(3.4, 4.6)
        .draw();
    pen.stroke("196,778 250,780 303,777", 2.8).ends(.5, .5).draw();
    pen.flat("212,762 228,755 240,757 224,764", c(BOOT_LIGHT));
    pen.part(
            "328,740 362,744 392,738 404,748 422,757 444,762c 440,778 424,789c 326,789c 324,764",
            c(BOOT))
        .shade(c(BOOT_SHADE), 18, -8)
        .line(3.4, 4.6)
        .draw();
    pen.stroke("325,777 380,780 434,778", 2.8).ends(.5, .5).draw();
    pen.flat("398,756 412,759 422,766 406,764", c(BOOT_LIGHT));
  }

  private void apron(Pen pen) {
    pen.part(
            "268,352c 316,360 366,352c 384,420 432,470c 446,540 436,612 418,660c 366,676 314,680 262,676 212,660c 194,610 186,540 198,470c 248,420",
            c(APRON))
        .shade(c(APRON_SHADE), 26, -8)
        .line(3.2, 4.8)
        .inside(
            () -> {
              pen.flat("370,470 404,540 420,680 380,680 392,600 376,530", c(APRON_SHADE));
              for (double[] spot :
                  new double[][] {
                    {300, 520, 3.5},
                    {312, 534, 2.4},
                    {346, 590, 3.2},
                    {290, 600, 2.6},
                    {330, 560, 2}
                  }) {
                pen.ellipse(spot[0], spot[1], spot[2], spot[2], 0xFFFFFF);
              }
            })
        .draw();
  }

  private void arms(Pen pen) {
    pen.stroke("196,476 250,492 316,496 380,490 434,474", 4).ends(.4, .4).draw();
    pen.part("292,484 318,480 342,486 340,506 316,510 294,504", c(APRON))
        .shade(c(APRON_SHADE), 6, -4)
        .line(2.6, 3)
        .draw();
    pen.stroke("306,508 296,522 286,530", 5).ends(.5, .5).draw();
    pen.stroke("330,508 340,520 352,528", 5).ends(.5, .5).draw();
    pen.stroke("270,354 256,330 252,312", 4.6).ends(.7, .6).draw();
    pen.stroke("364,354 380,330 386,314", 4.6).ends(.7, .6).draw();
    pen.part("286,540c 352,540c 348,592 318,604 290,592", c(APRON))
        .shade(c(APRON_SHADE), 9, -7)
        .line(2.4, 2.6)
        .draw();

    pen.part(
            "172,430 160,466 158,492 151,512 149,536 154,560 168,574 184,576 198,568 206,546 209,520 206,496 214,464 226,426",
            c(SKIN))
        .shade(c(SKIN_SHADE), 13, -3)
        .line(2.9, 4.6)
        .draw();
    pen.stroke("166,572 168,556 164,540", 2.8).ends(.6, .12).draw();
    pen.stroke("182,576 184,558 180,542", 2.8).ends(.6, .12).draw();
    pen.stroke("196,568 198,552 194,540", 2.4).ends(.6, .12).draw();
    pen.part("203,502 216,508 224,526 222,544 212,548 204,538 199,522", c(SKIN))
        .shade(c(SKIN_SHADE), 6, -2)
        .line(2.6, 3.6)
        .draw();
    pen.stroke("176,470 180,462 188,458", 2).draw();
    pen.ellipse(190, 480, 2.4, 2.4, 0xFFFFFF);
    pen.ellipse(180, 490, 1.6, 1.6, 0xFFFFFF);
    pen.part("250,300 218,308 196,336 176,390 164,436c 194,448 228,444c 240,400 254,350", c(COAT))
        .shade(c(COAT_SHADE), 17, -5)
        .line(3.2, 5)
        .draw();
    pen.part("166,420c 196,432 232,428c 230,450c 194,458 160,442c", c(COAT))
        .shade(c(COAT_SHADE), 14, -5)
        .line(2.8, 4)
        .draw();
    pen.stroke("246,386 232,382 218,370", 3).draw();
    pen.stroke("250,364 240,360 230,356", 2.4).draw();

    pen.part("462,366 484,330 498,318c 524,346c 508,384 484,420c 448,384", c(SKIN))
        .shade(c(SKIN_SHADE), 8, -9)
        .line(3, 4.4)
        .draw();
    pen.part(
            "374,302 406,304 434,330 450,362 462,356c 494,410c 474,434 446,450 412,432 390,396 376,356",
            c(COAT))
        .shade(c(COAT_SHADE), 10, -13)
        .line(3.2, 5)
        .draw();
    pen.part("450,366c 470,352c 504,404c 486,420c", c(COAT))
        .shade(c(COAT_SHADE), 6, -8)
        .line(2.8, 4)
        .draw();
    pen.stroke("440,376 440,390 430,402", 3.2).ends(.6, .12).draw();

    pen.stroke("530,344 522,362 516,378", 2.8).ends(.6, .6).draw();
    pen.stroke("534,344 544,362 548,378", 2.8).ends(.6, .6).draw();
  }

  private void loaf(Pen pen) {
    pen.part(
            "532,366 562,376 580,404 578,440 556,466 526,470 498,456 486,424 492,392 510,372",
            c(CRUST))
        .shade(c(CRUST_SHADE), 12, -8)
        .line(3.2, 4.6)
        .draw();
    pen.part("533,398 548,406 554,422 546,438 530,442 516,432 512,416 520,402", c(HALO))
        .line(2.6, 3.4)
        .draw();
    for (String cut :
        List.of(
            "508,384 514,394 512,404",
            "552,380 550,390 556,400",
            "572,410 562,414 560,424",
            "562,448 552,444 546,448",
            "520,458 520,450 514,444",
            "494,426 502,422 506,426")) {
      pen.stroke(cut, 7).ends(.3, .3).colour(c(CRUST_LIGHT)).draw();
    }
  }

  private void neck(Pen pen) {
    pen.flat("268,236 352,236 360,304 262,304", c(SKIN_SHADE));

    pen.part(
            "248,284 280,296 316,300 352,296 382,282 392,304 362,326 318,334 270,328 236,308",
            c(SCARF))
        .shade(c(SCARF_SHADE), 14, -9)
        .line(3, 4.6)
        .draw();
    pen.part("300,318c 326,318c 338,352 330,372c 314,350 300,368c 290,350", c(SCARF))
        .shade(c(SCARF_SHADE), 8, -5)
        .line(2.6, 3.6)
        .draw();

    pen.part("232,150 216,170 212,210 224,238c 248,236 256,170", c(HAIR))
        .shade(c(HAIR_SHADE), 10, -4)
        .line(3, 4)
        .draw();
  }

  @Override
  protected void drawHead(Pen pen) {
    pen.part(
            "306,100 356,110 390,142 398,188 394,222 372,250 326,260 284,256 248,240 232,210"
                + " 226,172 234,132 266,106",
            c(SKIN))
        .shade(c(SKIN_SHADE), 15, -6)
        .line(2.8, 4.4)
        .inside(
            () -> {
              pen.flat("220,130 260,160 320,166 376,158 402,140 402,80 220,80", c(SKIN_SHADE));
              pen.veil(266, 222, 17, 11, c(CHEEK), .55);
              pen.veil(378, 220, 13, 10, c(CHEEK), .5);
            })
        .draw();
    pen.part("240,178 228,170 214,176 210,194 220,214 236,218 244,208", c(SKIN))
        .shade(c(SKIN_SHADE), 8, -3)
        .line(2.6, 3.6)
        .draw();
    pen.stroke("232,184 222,186 224,200 232,206", 2.6).draw();
    leftEye().draw(pen, palette());
    rightEye().draw(pen, palette());
    lowered(
        pen,
        build().eyesDown(),
        () -> {
          pen.stroke("268,213 280,217 292,212", 2.4).draw();
          pen.stroke("342,212 352,216 362,211", 2.4).draw();
          pen.stroke("256,170 272,160 298,167", 10.5)
              .ends(.4, .2)
              .peak(.35)
              .colour(c(HAIR_SHADE))
              .draw();
          pen.stroke("334,166 354,157 376,168", 10.5)
              .ends(.4, .2)
              .peak(.4)
              .colour(c(HAIR_SHADE))
              .draw();
        });
    lowered(pen, build().noseDown(), () -> nose(pen));
    lowered(pen, build().mouthDown(), () -> moustache(pen));
    cap(pen);
  }

  private void nose(Pen pen) {
    pen.part("318,198 330,196 342,206 354,216 352,229 338,234 320,231 311,222 312,208", c(SKIN))
        .shade(c(SKIN_SHADE), 6, -7)
        .line(2.2, 3.4)
        .draw();
    pen.flat("308,196 322,190 334,196 330,206 312,210", c(SKIN));
  }

  private void moustache(Pen pen) {
    pen.part(
            "328,231 346,230 366,236 386,232 396,222c 394,242 376,253 352,252 334,246 318,251 294,254 268,248 254,230c 270,238 292,236 312,231",
            c(HAIR))
        .shade(c(HAIR_SHADE), 7, -7)
        .line(2.8, 3.8)
        .draw();
    pen.stroke("330,238 352,243 374,241", 2.2).draw();
    pen.stroke("318,239 296,245 276,243", 2.2).draw();
    pen.stroke("314,254 328,257 342,254", 3).draw();
  }

  private void cap(Pen pen) {
    pen.part(
            "232,132 206,112 212,76 246,58 282,60 310,42 350,50 374,66 404,74 414,104 394,134c 350,120 306,116 262,122",
            c(CAP))
        .shade(c(CAP_SHADE), 18, -12)
        .line(3.4, 5)
        .draw();
    pen.stroke("262,118 258,96 268,80", 3).draw();
    pen.stroke("306,112 306,92 316,76", 3).draw();
    pen.stroke("352,116 358,96 352,82", 2.8).draw();
    pen.part(
            "226,142 228,122c 262,112 308,106 354,110 398,124c 402,146c 354,132 308,128 262,134",
            c(CAP))
        .shade(c(CAP_SHADE), 10, -8)
        .line(3, 4.2)
        .draw();
  }

  @Override
  protected void drawOver(Pen pen) {}

  private Eye leftEye() {
    return new Eye(280, 193, 14, 17, 4, 3, .52, .36)
        .changed(-build().eyesApart(), build().eyesDown(), build().eyeSize());
  }

  private Eye rightEye() {
    return new Eye(350, 193, 12.5, 16, 4, 3, .52, .36)
        .changed(build().eyesApart(), build().eyesDown(), build().eyeSize());
  }

  @Override
  protected Map<Landmark, Point> headLandmarks() {
    Map<Landmark, Point> points = new EnumMap<>(Landmark.class);
    eyeCorners(points, leftEye(), rightEye());
    points.put(Landmark.CROWN, new Point(316, 92));
    points.put(Landmark.CHIN, new Point(324, 260));
    points.put(Landmark.HAIR_TOP, new Point(310, 42));
    points.put(Landmark.CHEEK_L, new Point(226, 174));
    points.put(Landmark.CHEEK_R, new Point(398, 190));
    points.put(Landmark.NOSE_BASE, new Point(336, 233 + build().noseDown()));
    return points;
  }

  /** The moustache lies over the mouth: its corners are not to be seen. */
  @Override
  protected List<Landmark> hidden() {
    return List.of(Landmark.MOUTH_L, Landmark.MOUTH_R);
  }

  @Override
  protected Map<Landmark, Point> bodyLandmarks() {
    Map<Landmark, Point> points = new EnumMap<>(Landmark.class);
    points.put(Landmark.SHOULDER_L, new Point(224, 308));
    points.put(Landmark.SHOULDER_R, new Point(402, 308));
    points.put(Landmark.CROTCH, new Point(312, CROTCH));
    points.put(Landmark.SOLE, new Point(312, GROUND_LINE));
    return points;
  }
}
