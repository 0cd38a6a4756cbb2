package penmirror.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Acts;
import penmirror.core.copying.SmallFigure;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.raster.Picture;
import penmirror.core.reading.CutOut;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class CardTest {
  private static final Map<Measure, Double> RULES =
      Map.of(
          ProportionMeasures.STATURE, 4.2,
          ProportionMeasures.LEGS, 0.42,
          FaceMeasures.EYE_LINE, 0.62,
          FaceMeasures.EYE_WIDTH, 0.25,
          FaceMeasures.EYE_HEIGHT, 0.13,
          LineMeasures.WIDTH, 20.0,
          LineMeasures.OUTLINE_INNER, 1.8);

  private static Optional<Card> card(Question question, Map<Measure, Double> rules) {
    return Card.of(question, RealAndDrawnTest.sheet(rules), Card.Beside.NOTHING);
  }

  @Test
  void cardsSayWhatTheRulesSayAndAreDrawn() {
    List<Card> cards = Card.of(RealAndDrawnTest.sheet(RULES), Card.Beside.NOTHING);
    assertThat(cards)
        .extracting(Card::asks)
        .contains(Question.EYE, Question.LINE, Question.BODY, Question.REAL);
    for (Card card : cards) {
      card.drawing().ifPresent(scene -> assertThat(SvgWriter.write(scene)).contains("<path"));
      assertThat(card.told()).as(card.asks().word()).isNotEmpty();
      assertThat(card.isThin()).isFalse();
    }
  }

  @Test
  void whatMakesOrBreaksComesFirst() {
    StyleSheet sheet = RealAndDrawnTest.sheet(RULES);
    StyleSheet legs = sheet.makingOrBreaking(List.of(Acts.byKey("legs").orElseThrow()));
    Card plain = Card.of(Question.BODY, sheet, Card.Beside.NOTHING).orElseThrow();
    Card making = Card.of(Question.BODY, legs, Card.Beside.NOTHING).orElseThrow();
    assertThat(plain.told().get(0).shownBy()).contains(ProportionMeasures.STATURE);
    assertThat(making.told().get(0).shownBy()).contains(ProportionMeasures.LEGS);
  }

  /** The outline of the head drawn is so many times as wide as what lies inside it. */
  @Test
  void linesAreDrawnAtTheirTrueRelation() {
    List<Double> widths =
        card(Question.LINE, RULES)
            .orElseThrow()
            .drawing()
            .orElseThrow()
            .layers()
            .get(0)
            .items()
            .stream()
            .filter(Item.Stroke.class::isInstance)
            .map(item -> ((Item.Stroke) item).widthPixels())
            .distinct()
            .toList();
    assertThat(widths).hasSize(2);
    assertThat(widths.get(0) / widths.get(1)).isCloseTo(1.8, within(1e-6));
  }

  @Test
  void fewWorksAreThinAndNoneIsNoCard() {
    MeasuredWork work = new MeasuredWork("1", "Work", "", View.FRONT, RULES, List.of());
    StyleSheet one = StyleSheet.of("A hand", View.FRONT, List.of(work));
    assertThat(Card.of(one, Card.Beside.NOTHING)).isNotEmpty();
    assertThat(Card.of(one, Card.Beside.NOTHING)).allMatch(Card::isThin);
    StyleSheet none = StyleSheet.of("A hand", View.FRONT, List.of());
    assertThat(Card.of(none, Card.Beside.NOTHING)).isEmpty();
  }

  /** A pale head over a dark coat. */
  @Test
  void valuesTellThatTheFaceIsLight() {
    BufferedImage image = new BufferedImage(300, 400, BufferedImage.TYPE_INT_ARGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(new Color(240, 230, 220));
    graphics.fillOval(100, 20, 100, 100);
    graphics.setColor(new Color(40, 40, 50));
    graphics.fillRect(80, 120, 140, 250);
    graphics.dispose();
    Marks marks =
        new Marks(
            View.FRONT,
            Map.of(Landmark.CROWN, Mark.placed(150, 20), Landmark.CHIN, Mark.placed(150, 120)));
    SmallFigure figure =
        SmallFigure.of(
            CutOut.of(Picture.from(image), List.of()).orElseThrow(),
            new SmallFigure.Extent(300, 400));
    Values values = Values.of(List.of(new Values.Seen(figure, marks))).orElseThrow();
    assertThat(values.cuts().levels()).hasSize(2);
    double pale = Math.PI * 50 * 50;
    assertThat(values.cuts().levels().get(1).share())
        .isCloseTo(pale / (pale + 140 * 250), within(0.02));
    Card card =
        Card.of(
                Question.VALUES,
                RealAndDrawnTest.sheet(RULES),
                new Card.Beside(
                    Optional.of(values), Optional.empty(), Optional.empty(), Optional.empty()))
            .orElseThrow();
    assertThat(card.told().get(1).sentence()).startsWith("Two values: dark ");
    assertThat(card.told().get(0).sentence()).startsWith("The face is lighter");
    assertThat(card.drawing()).isPresent();
  }

  /** Heads from the front and turned by 30°, whose far eye is three quarters of the near one. */
  @Test
  void aTurnedHeadHasItsCard() {
    Marks front = Canon.realistic();
    Marks turned =
        front
            .withView(View.THREE_QUARTER)
            .moved(List.of(Landmark.CHEEK_L), p -> new Point(150, p.y()))
            .moved(List.of(Landmark.EYE_R_OUTER), p -> new Point(337.5, p.y()));
    List<Marks> drawn = List.of(front, turned, turned, turned);
    List<MeasuredWork> works =
        drawn.stream()
            .map(marks -> MeasuredWork.of("1", "", "", new Evidence(marks, Optional.empty())))
            .toList();
    Turned seen = Turned.of(works, drawn).orElseThrow();
    Card.Beside beside =
        new Card.Beside(Optional.empty(), Optional.empty(), Optional.of(seen), Optional.empty());
    StyleSheet sheet = StyleSheet.of("A hand", View.FRONT, works);
    Card card = Card.of(Question.TURN, sheet, beside).orElseThrow();
    // The middle lies 300 of 150 to 375: 37.5 of 112.5 off, which is the sine of 19.5°.
    assertThat(card.told())
        .extracting(Card.Told::sentence)
        .containsExactly(
            "The middle of a turned face lies a third of the way out to the far cheek, as on a ball"
                + " turned by 19°.",
            "The far eye is three quarters as wide as the near one and as high.");
    assertThat(card.works()).isEqualTo(3);
    assertThat(SvgWriter.write(card.drawing().orElseThrow()))
        .contains(">front<", ">three-quarter<")
        .doesNotContain(">side<");
    assertThat(Card.of(Question.TURN, sheet, Card.Beside.NOTHING)).isEmpty();
    assertThat(Turned.of(works.subList(0, 1), drawn)).isEmpty();
  }
}
