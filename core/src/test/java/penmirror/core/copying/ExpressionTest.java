package penmirror.core.copying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;

class ExpressionTest {
  /** A plain face of a hundred pixels. */
  private static Marks face() {
    Map<Landmark, Mark> marks = new EnumMap<>(Landmark.class);
    marks.put(Landmark.CROWN, Mark.placed(50, 0));
    marks.put(Landmark.CHIN, Mark.placed(50, 100));
    marks.put(Landmark.MOUTH_L, Mark.placed(40, 80));
    marks.put(Landmark.MOUTH_R, Mark.placed(60, 80));
    marks.put(Landmark.MOUTH_TOP, Mark.placed(50, 79));
    marks.put(Landmark.MOUTH_BOTTOM, Mark.placed(50, 81));
    marks.put(Landmark.EYE_L_OUTER, Mark.placed(20, 50));
    marks.put(Landmark.EYE_L_INNER, Mark.placed(40, 50));
    marks.put(Landmark.EYE_R_INNER, Mark.placed(60, 50));
    marks.put(Landmark.EYE_R_OUTER, Mark.placed(80, 50));
    marks.put(Landmark.IRIS_L_CENTRE, Mark.placed(30, 50));
    marks.put(Landmark.IRIS_R_CENTRE, Mark.placed(70, 50));
    return new Marks(View.FRONT, marks);
  }

  private static Marks cornersDown(Marks marks, double pixels) {
    return marks.moved(
        List.of(Landmark.MOUTH_L, Landmark.MOUTH_R), p -> new Point(p.x(), p.y() + pixels));
  }

  @Test
  void sameFaceSaysNothing() {
    assertThat(Expression.of(face(), face())).isEmpty();
  }

  @Test
  void cornersAreToldInPixelsOfTheCopy() {
    Similarity twice = new Similarity(2, 0, 30, -4);
    Marks copy = cornersDown(face(), 5).moved(List.of(Landmark.values()), twice::apply);
    List<Expression> told = Expression.of(face(), copy);
    assertThat(told).extracting(Expression::sort).containsExactly(Expression.Sort.CORNERS);
    assertThat(told.get(0).offPixels()).isCloseTo(10, within(1e-9));
  }

  @Test
  void tiltOfTheHeadIsNoExpression() {
    double turn = Math.toRadians(25);
    Similarity tilted = new Similarity(Math.cos(turn), Math.sin(turn), 10, 90);
    assertThat(Expression.of(face(), face().moved(List.of(Landmark.values()), tilted::apply)))
        .isEmpty();
  }

  @Test
  void gazeIsToldToItsSide() {
    Marks copy =
        face()
            .moved(
                List.of(Landmark.IRIS_L_CENTRE, Landmark.IRIS_R_CENTRE),
                p -> new Point(p.x() - 4, p.y()));
    List<Expression> told = Expression.of(face(), copy);
    assertThat(told).extracting(Expression::sort).containsExactly(Expression.Sort.GAZE);
    assertThat(told.get(0).offPixels()).isCloseTo(-4, within(1e-9));
  }

  @Test
  void lessThanAHandMarksTwiceIsNothing() {
    assertThat(Expression.of(face(), cornersDown(face(), 1.1))).isEmpty();
    assertThat(Expression.of(face(), cornersDown(face(), 1.3))).isNotEmpty();
  }

  @Test
  void headsThatAreNotMarkedSayNothing() {
    assertThat(Expression.of(Marks.none(View.FRONT), face())).isEmpty();
    assertThat(Expression.of(face(), face().only(List.of(Landmark.MOUTH_L)))).isEmpty();
  }
}
