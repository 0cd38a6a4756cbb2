package penmirror.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.PdfWriter;
import penmirror.core.drawing.Placing;
import penmirror.core.drawing.Scene;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/** The booklet as a reader of PDF has it. */
class BookletTest {
  private static final Map<Measure, Double> RULES =
      Map.of(
          ProportionMeasures.STATURE, 4.2,
          FaceMeasures.EYE_LINE, 0.62,
          FaceMeasures.EYE_HEIGHT, 0.13,
          LineMeasures.WIDTH, 20.0);

  private static StyleSheet sheet() {
    MeasuredWork work =
        new MeasuredWork("1", "Pell", "Drawn by O. Marrow", View.FRONT, RULES, List.of());
    return StyleSheet.of("Odile Marrow", View.FRONT, List.of(work, work, work));
  }

  @Test
  void twoCardsAPageWithWhatTheySayAndTheCredit() throws IOException {
    List<Card> cards = Card.of(sheet(), Card.Beside.NOTHING);
    byte[] pdf = PdfWriter.write(Booklet.of(sheet(), cards), Booklet.PIXELS_PER_INCH);
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(document.getNumberOfPages()).isEqualTo((cards.size() + 1) / 2);
      // A4 in points.
      assertThat(document.getPage(0).getMediaBox().getWidth()).isCloseTo(595, within(1f));
      assertThat(document.getPage(0).getMediaBox().getHeight()).isCloseTo(842, within(1f));
      String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
      assertThat(text).contains("Odile Marrow", "Drawn by O. Marrow", "Credit the illustrator");
      for (Card card : cards) {
        assertThat(text).contains(card.told().get(0).sentence());
      }
    }
  }

  @Test
  void noCardsAreNoPagesAndNoFile() {
    assertThat(Booklet.of(sheet(), List.of())).isEmpty();
    assertThatThrownBy(() -> PdfWriter.write(List.of(), 150))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** A box of half the width and more height: half as large, in the middle of the height. */
  @Test
  void drawingIsPutIntoItsBox() {
    Scene scene =
        new Scene(
            200,
            100,
            "",
            "",
            List.of(
                new Scene.Layer(
                    "one",
                    List.of(
                        new Item.Stroke(Outline.line(0, 0, 200, 100), "#000000", 4, List.of(8.0)),
                        new Item.Words(100, 50, "a", 12, "#000000", Item.Anchor.START, 2)))));
    List<Item> items = Placing.within(scene, 10, 20, 100, 90).items(scene);
    Item.Stroke stroke = (Item.Stroke) items.get(0);
    assertThat(stroke.outline()).isEqualTo(Outline.line(10, 40, 110, 90));
    assertThat(stroke.widthPixels()).isEqualTo(2);
    assertThat(stroke.dashPixels()).containsExactly(4.0);
    Item.Words words = (Item.Words) items.get(1);
    assertThat(List.of(words.x(), words.y(), words.sizePixels())).containsExactly(60.0, 65.0, 6.0);
  }
}
