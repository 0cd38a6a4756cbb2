package penmirror.demoart.studio;

import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import javax.imageio.ImageIO;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.demoart.figure.FigureModel;
import penmirror.demoart.manner.Palette;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.page.Drawing;
import penmirror.demoart.page.Part;
import penmirror.demoart.page.Rendering;

/**
 * A commission drawn: the picture and the truth about it.
 *
 * @param parameters what was drawn, slips included
 */
public record Illustration(
    Commission commission, Parameters parameters, FigureModel figure, Rendering rendering) {
  /** Sheets for a full figure, and for a bust or a face. */
  private static final int FULL_WIDTH = 1400;

  private static final int FULL_HEIGHT = 1980;
  private static final int CLOSE = 1300;

  /** Draws a commission at its own size. */
  public static Illustration of(Commission commission) {
    return of(commission, 1);
  }

  /**
   * @param scale on the picture's own size; no side may pass 4096 px
   */
  public static Illustration of(Commission commission, double scale) {
    Parameters parameters = commission.manner().draw(new Random(commission.seed()));
    Palette palette = commission.palette();
    for (Slip slip : commission.slips()) {
      parameters = slip.apply(parameters);
      palette = slip.apply(palette);
    }
    FigureModel figure =
        FigureModel.of(
            commission.subject(),
            parameters,
            commission.manner().habits(),
            commission.pose(),
            commission.view(),
            commission.mood());
    boolean full = commission.cut() == Cut.FULL;
    int width = (int) Math.round((full ? FULL_WIDTH : CLOSE) * scale);
    int height = (int) Math.round((full ? FULL_HEIGHT : CLOSE) * scale);
    Rendering rendering =
        new Rendering(
            new Drawing(figure.page(), commission.manner(), parameters, palette, commission.seed()),
            width,
            height,
            framing(commission, figure, width, height));
    return new Illustration(commission, parameters, figure, rendering);
  }

  /** Of a picture at full scale. */
  static int longerSidePixels(Cut cut) {
    return cut == Cut.FULL ? FULL_HEIGHT : CLOSE;
  }

  private static AffineTransform framing(
      Commission commission, FigureModel figure, int width, int height) {
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double top = Double.POSITIVE_INFINITY;
    double bottom = Double.NEGATIVE_INFINITY;
    double margin = 0.06;
    if (commission.cut() == Cut.FULL) {
      for (Part part : figure.page().parts()) {
        left = Math.min(left, part.outline().left());
        right = Math.max(right, part.outline().right());
        top = Math.min(top, part.outline().top());
        bottom = Math.max(bottom, part.outline().bottom());
      }
    } else {
      // A close picture is cut round the head, wherever it is.
      Point crown = Objects.requireNonNull(figure.landmarks().get(Landmark.CROWN));
      Point chin = Objects.requireNonNull(figure.landmarks().get(Landmark.CHIN));
      double height0 = commission.cut() == Cut.FACE ? 1.72 : 2.5;
      double x = (crown.x() + chin.x()) / 2;
      top = Math.min(crown.y(), chin.y()) - (commission.cut() == Cut.FACE ? 0.44 : 0.5);
      bottom = top + height0;
      left = x - height0 / 2;
      right = x + height0 / 2;
      margin = 0;
    }
    double scale =
        Math.min(
            width * (1 - 2 * margin) / (right - left), height * (1 - 2 * margin) / (bottom - top));
    AffineTransform frame = new AffineTransform();
    frame.translate(width / 2.0, height / 2.0);
    frame.scale(commission.mirrored() ? -scale : scale, scale);
    frame.translate(-(left + right) / 2, -(top + bottom) / 2);
    return frame;
  }

  public BufferedImage image() {
    return rendering.image();
  }

  public byte[] png() {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image(), "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /** Landmarks as someone who knows the figure would mark them: none where none can be seen. */
  public Marks marks() {
    Map<Landmark, Mark> marks = new EnumMap<>(Landmark.class);
    places()
        .forEach(
            (landmark, place) ->
                marks.put(
                    landmark,
                    switch (place.seen()) {
                      case OPEN -> Mark.placed(place.point().x(), place.point().y());
                      case COVERED -> Mark.at(place.point(), Mark.State.ESTIMATED);
                      case OUTSIDE, AWAY -> Mark.hidden();
                    }));
    return new Marks(commission.view(), marks);
  }

  /** Every landmark's true place in the picture, named left and right as seen. */
  public Map<Landmark, Place> places() {
    Map<Landmark, Place> places = new EnumMap<>(Landmark.class);
    for (Landmark landmark : Landmark.values()) {
      Landmark asSeen = rendering.isMirrored() ? otherSide(landmark) : landmark;
      Point place = figure.landmarks().get(landmark);
      if (figure.turnedAway().contains(landmark) || place == null) {
        places.put(asSeen, new Place(new Point(0, 0), Place.Seen.AWAY));
        continue;
      }
      Place.Seen seen =
          !rendering.shows(place)
              ? Place.Seen.OUTSIDE
              : figure.isCovered(landmark) ? Place.Seen.COVERED : Place.Seen.OPEN;
      places.put(asSeen, new Place(rendering.pixel(place), seen));
    }
    return places;
  }

  private static Landmark otherSide(Landmark landmark) {
    String key = landmark.key();
    String other =
        key.matches(".*_l(_.*)?")
            ? key.replaceFirst("_l(?=_|$)", "_r")
            : key.replaceFirst("_r(?=_|$)", "_l");
    return Landmark.ofKey(other).orElse(landmark);
  }

  /** The truth as a file. */
  public String truth() {
    return TruthFile.write(this);
  }
}
