package penmirror.demoart;

import java.util.Locale;

/**
 * One eye: opening, iris, lid and lash, about its own centre.
 *
 * @param rx half the opening's width
 * @param ry half the opening's height
 * @param lookX where the iris sits off the centre
 * @param iris iris radius over the opening's
 * @param lid share of the opening that the lid covers
 */
record Eye(
    double x, double y, double rx, double ry, double lookX, double lookY, double iris, double lid) {

  Eye changed(double dx, double dy, double size) {
    return new Eye(x + dx, y + dy, rx * size, ry * size, lookX, lookY, iris, lid);
  }

  double leftCornerX() {
    return x - rx;
  }

  double rightCornerX() {
    return x + rx;
  }

  double leftCornerY() {
    return y + 2;
  }

  double rightCornerY() {
    return y + 1;
  }

  void draw(Pen pen, Palette palette) {
    int ink = palette.of(Palette.Role.INK);
    String opening =
        points(
            x - rx,
            y + 2,
            x - rx * .62,
            y - ry * .74,
            x,
            y - ry,
            x + rx * .66,
            y - ry * .72,
            x + rx,
            y + 1,
            x + rx * .6,
            y + ry * .78,
            x,
            y + ry,
            x - rx * .62,
            y + ry * .76);
    double lidY = y - ry + ry * 2 * lid;
    pen.part(opening, 0xFFFDF8)
        .line(1.3, .4)
        .inside(
            () -> {
              if (lid == 0) {
                pen.flat(
                    points(
                        x - rx - 2,
                        y - ry - 2,
                        x + rx + 2,
                        y - ry - 2,
                        x + rx + 2,
                        y - ry * .45,
                        x,
                        y - ry * .45 - 4,
                        x - rx - 2,
                        y - ry * .4),
                    0xE4DDD6);
              }
              pen.ellipse(x + lookX, y + lookY, rx * iris, ry * .58, ink);
              pen.ellipse(x + lookX + rx * .2, y + lookY - ry * .24, rx * .17, ry * .17, 0xFFFFFF);
              if (lid > 0) {
                pen.flat(
                    points(
                        x - 30, y - 40, x + 30, y - 40, x + 30, lidY, x, lidY + 3, x - 30,
                        lidY + 2),
                    palette.of(Palette.Role.SKIN_SHADE));
              }
            })
        .draw();
    if (lid > 0) {
      pen.stroke(
              points(
                  x - rx - 3,
                  lidY + 3,
                  x - rx * .4,
                  lidY + 3,
                  x + rx * .5,
                  lidY + 4,
                  x + rx + 4,
                  lidY + 2),
              5.2)
          .ends(.3, .2)
          .peak(.45)
          .draw();
    } else {
      pen.stroke(
              points(
                  x - rx - 4,
                  y + 1,
                  x - rx * .78,
                  y - ry * .66,
                  x,
                  y - ry * 1.04,
                  x + rx * .78,
                  y - ry * .66,
                  x + rx + 3,
                  y + 1),
              6.2)
          .ends(.2, .12)
          .peak(.42)
          .draw();
    }
  }

  private static String points(double... xy) {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < xy.length; i += 2) {
      text.append(
          String.format(Locale.ROOT, i == 0 ? "%.2f,%.2f" : " %.2f,%.2f", xy[i], xy[i + 1]));
    }
    return text.toString();
  }
}
