package penmirror.core.telling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.card.ActDrawing;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Lettering;
import penmirror.core.drawing.PdfWriter;
import penmirror.core.drawing.Scene;
import penmirror.core.figure.Canon;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class SheetDrawingTest {
  private static final Act EYES = Acts.byKey("eye-height").orElseThrow();
  private static final Act LEGS = Acts.byKey("legs").orElseThrow();

  private static StyleSheet sheet() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 1; i <= 3; i++) {
      works.add(
          MeasuredWork.of(
              "" + i,
              "Work " + i,
              "A. Drawn, The Plain Figures",
              new Evidence(Canon.realistic(), Optional.empty())));
    }
    return StyleSheet.of("A. Drawn", View.FRONT, works).makingOrBreaking(List.of(EYES, LEGS));
  }

  /** Read back, the page says every act that asks for something, in the words of the sheet. */
  @Test
  void thePageSaysEveryActAndTheCredit() throws IOException {
    byte[] pdf =
        PdfWriter.write(
            SheetDrawing.of(
                sheet(),
                "Plain",
                Map.of(LEGS, "Legs as life has them."),
                ActDrawing.ofTraits(sheet())),
            SheetDrawing.PIXELS_PER_INCH);
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      // A4 is 595 by 842 points.
      assertThat(document.getPage(0).getMediaBox().getWidth()).isCloseTo(595, offset(1f));
      assertThat(document.getPage(0).getMediaBox().getHeight()).isCloseTo(842, offset(1f));
      String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
      assertThat(text)
          .contains("A. Drawn", "Plain", "Legs as life has them.", "The Plain Figures")
          .contains(ActWords.sentence(sheet(), EYES).orElseThrow());
      for (Act act : Acts.all()) {
        if (!act.equals(LEGS)) {
          ActWords.sentence(sheet(), act)
              .ifPresent(
                  sentence -> assertThat(text).as(act.key()).contains(sentence.split(" ")[0]));
        }
      }
    }
  }

  @Test
  void everythingLiesOnThePage() {
    Scene scene = SheetDrawing.of(sheet(), "", Map.of(), ActDrawing.ofTraits(sheet()));
    for (Scene.Layer layer : scene.layers()) {
      for (Item item : layer.items()) {
        if (item instanceof Item.Words words) {
          double width = Lettering.width(words.text(), words.sizePixels());
          double left = words.anchor() == Item.Anchor.END ? words.x() - width : words.x();
          assertThat(left).as(words.text()).isGreaterThanOrEqualTo(0);
          assertThat(left + width).as(words.text()).isLessThanOrEqualTo(scene.widthPixels());
          assertThat(words.y()).as(words.text()).isBetween(0.0, (double) scene.heightPixels());
        }
      }
    }
  }

  /** Eyes and legs are drawn beside their sentences, in the order of these, none over another. */
  @Test
  void whatMakesOrBreaksItIsDrawn() {
    List<Item.Within> drawings = new ArrayList<>();
    for (Item item :
        SheetDrawing.of(sheet(), "", Map.of(), ActDrawing.ofTraits(sheet()))
            .layers()
            .get(0)
            .items()) {
      if (item instanceof Item.Within within) {
        drawings.add(within);
      }
    }
    assertThat(drawings).hasSize(2);
    double first = drawings.get(0).outlines().get(0).start().y();
    double second = drawings.get(1).outlines().get(0).start().y();
    assertThat(second - first).isGreaterThan(62);
    assertThat(drawings).allSatisfy(drawing -> assertThat(drawing.items()).hasSizeGreaterThan(5));
  }

  @Test
  void aSheetWithoutWorksIsAPageAllTheSame() {
    StyleSheet empty = StyleSheet.of("Nobody yet", View.FRONT, List.of());
    assertThat(PdfWriter.write(SheetDrawing.of(empty, "", Map.of(), Map.of()), 150)).isNotEmpty();
  }

  @Test
  void linesAreNoWiderThanTheyMayBe() {
    String text = "Outline twice and a half the inner lines, always closed, black beside colours";
    for (String line : Lettering.lines(text, 20, 260)) {
      assertThat(Lettering.width(line, 20)).isLessThanOrEqualTo(260);
    }
    assertThat(String.join(" ", Lettering.lines(text, 20, 260))).isEqualTo(text);
    assertThat(Lettering.lines("unbreakable", 20, 5)).containsExactly("unbreakable");
  }
}
