package penmirror.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/** The realistic adult as the character, carried into made-up rules. */
class CarriedFigureTest {
  private static final Marks ADULT = Canon.realistic();

  private static StyleSheet sheet(Map<Measure, Double> rules) {
    MeasuredWork work = new MeasuredWork("1", "Work", "", View.FRONT, rules, List.of());
    return StyleSheet.of("A hand", View.FRONT, List.of(work, work, work, work));
  }

  private static double value(Measure measure, Marks marks) {
    return measure.valueOf(marks).orElseThrow();
  }

  @Test
  void intoItsOwnRulesNothingMoves() {
    MeasuredWork own = MeasuredWork.of("1", "Work", "", new Evidence(ADULT, Optional.empty()));
    StyleSheet same = StyleSheet.of("Itself", View.FRONT, List.of(own, own, own));
    CarriedFigure figure = CarriedFigure.of(same, ADULT, measure -> 0);
    assertThat(figure.missed()).isEmpty();
    ADULT
        .landmarks()
        .keySet()
        .forEach(
            landmark ->
                ADULT
                    .point(landmark)
                    .ifPresent(
                        p ->
                            assertThat(figure.targets().require(landmark).distanceTo(p))
                                .isLessThan(0.01)));
  }

  /** Four heads, low and large eyes: all at once, and as tall in the picture as it was. */
  @Test
  void severalRulesAreMetTogether() {
    StyleSheet style =
        sheet(
            Map.of(
                ProportionMeasures.STATURE, 4.0,
                ProportionMeasures.LEGS, 0.4,
                ProportionMeasures.SHOULDERS, 1.2,
                FaceMeasures.EYE_LINE, 0.6,
                FaceMeasures.EYE_WIDTH, 0.25));
    CarriedFigure figure = CarriedFigure.of(style, ADULT, measure -> 0);
    assertThat(figure.missed()).isEmpty();
    Marks targets = figure.targets();
    assertThat(value(ProportionMeasures.STATURE, targets)).isCloseTo(4, offset(0.004));
    assertThat(value(ProportionMeasures.LEGS, targets)).isCloseTo(0.4, offset(0.0004));
    assertThat(value(ProportionMeasures.SHOULDERS, targets)).isCloseTo(1.2, offset(0.0012));
    assertThat(value(FaceMeasures.EYE_LINE, targets)).isCloseTo(0.6, offset(0.0006));
    assertThat(value(FaceMeasures.EYE_WIDTH, targets)).isCloseTo(0.25, offset(0.0003));
    // What nothing rules stays in its own proportion.
    assertThat(value(ProportionMeasures.HEAD_ASPECT, targets))
        .isCloseTo(value(ProportionMeasures.HEAD_ASPECT, ADULT), offset(0.001));
    assertThat(targets.require(Landmark.SOLE).distanceTo(ADULT.require(Landmark.SOLE)))
        .isLessThan(1e-6);
    assertThat(targets.require(Landmark.CROWN).y())
        .isCloseTo(ADULT.require(Landmark.CROWN).y(), offset(1e-6));
  }

  /** Half kept lies half way on the measure's own scale; more than none goes beyond. */
  @Test
  void whatIsKeptLiesBetween() {
    StyleSheet style = sheet(Map.of(FaceMeasures.EYE_LINE, 0.6));
    Marks half = CarriedFigure.of(style, ADULT, measure -> 0.5).targets();
    assertThat(value(FaceMeasures.EYE_LINE, half)).isCloseTo(0.55, offset(0.0006));
    Marks all = CarriedFigure.of(style, ADULT, measure -> 1).targets();
    assertThat(value(FaceMeasures.EYE_LINE, all)).isCloseTo(0.5, offset(0.0005));
    Marks beyond = CarriedFigure.of(style, ADULT, measure -> -0.4).targets();
    assertThat(value(FaceMeasures.EYE_LINE, beyond)).isCloseTo(0.64, offset(0.0006));
  }

  /** From the side widths say nothing: the same style rules heights alone. */
  @Test
  void widthsOfAnotherViewAreLeftAlone() {
    StyleSheet style =
        sheet(Map.of(FaceMeasures.EYE_LINE, 0.6, ProportionMeasures.HEAD_ASPECT, 1.0));
    CarriedFigure turned =
        CarriedFigure.of(style, ADULT.withView(View.THREE_QUARTER), measure -> 0);
    assertThat(turned.aims()).containsOnlyKeys(FaceMeasures.EYE_LINE);
  }

  @Test
  void withoutMarksThereIsNothingToCarry() {
    CarriedFigure none =
        CarriedFigure.of(
            sheet(Map.of(FaceMeasures.EYE_LINE, 0.6)), Marks.none(View.FRONT), measure -> 0);
    assertThat(none.aims()).isEmpty();
    assertThat(Ghost.of(none, 200, 300).fold()).isEmpty();
  }

  /** A dot on every landmark of a blank sheet lies on its target in the ghost. */
  @Test
  void whatIsDrawnOnALandmarkIsSeenOnItsTarget() {
    StyleSheet style = sheet(Map.of(ProportionMeasures.STATURE, 5.0, FaceMeasures.EYE_LINE, 0.6));
    CarriedFigure figure = CarriedFigure.of(style, ADULT, measure -> 0);
    int side = 1 + (int) Math.ceil(extent(figure));
    BufferedImage sheet = new BufferedImage(side, side, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = sheet.createGraphics();
    pen.setColor(Color.WHITE);
    pen.fillRect(0, 0, side, side);
    pen.setColor(Color.BLACK);
    Point crotch = ADULT.require(Landmark.CROTCH);
    pen.fillOval((int) crotch.x() - 4, (int) crotch.y() - 4, 8, 8);
    pen.dispose();
    Ghost ghost = Ghost.of(figure, side, side);
    BufferedImage seen = ghost.drawn(sheet, side, Ghost.Placed.AS_IT_IS, side, side);
    Point target = figure.targets().require(Landmark.CROTCH);
    assertThat(seen.getRGB((int) target.x(), (int) target.y()) & 255).isLessThan(60);
    assertThat(target.distanceTo(crotch)).isGreaterThan(20);
    assertThat(seen.getRGB((int) crotch.x(), (int) crotch.y()) & 255).isGreaterThan(200);
    // Half as large, from a copy of half the size, it is the same picture.
    BufferedImage copy = new BufferedImage(side / 2, side / 2, BufferedImage.TYPE_INT_RGB);
    Graphics2D small = copy.createGraphics();
    small.drawImage(sheet, 0, 0, side / 2, side / 2, null);
    small.dispose();
    BufferedImage half = ghost.drawn(copy, side, new Ghost.Placed(0.5, 0, 0), side / 2, side / 2);
    assertThat(half.getRGB((int) (target.x() / 2), (int) (target.y() / 2)) & 255).isLessThan(120);
  }

  private static double extent(CarriedFigure figure) {
    return figure.own().landmarks().keySet().stream()
        .flatMap(landmark -> figure.own().point(landmark).stream())
        .mapToDouble(p -> Math.max(p.x(), p.y()))
        .max()
        .orElseThrow();
  }
}
