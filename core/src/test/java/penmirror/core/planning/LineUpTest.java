package penmirror.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.planning.LineUp.Alike;
import penmirror.core.planning.LineUp.Place;
import penmirror.core.planning.LineUp.Standing;
import penmirror.core.reading.CutOut;

class LineUpTest {
  /** On a large scan, and a small picture of one twice as many heads tall. */
  private static final Standing CHILD =
      standing("Child", marks(200, 600, 1400), new CutOut.Place(100, 150, 500, 1270));

  private static final Standing TALL =
      standing("Tall one", marks(20, 60, 260), new CutOut.Place(10, 0, 90, 270));

  private static Marks marks(double crown, double chin, double sole) {
    return Marks.none(View.FRONT)
        .with(Landmark.CROWN, Mark.placed(50, crown))
        .with(Landmark.CHIN, Mark.placed(50, chin))
        .with(Landmark.SOLE, Mark.placed(50, sole));
  }

  private static Standing standing(String name, Marks marks, CutOut.Place cut) {
    return Standing.of(name, marks, cut).orElseThrow();
  }

  private static double scale(Standing figure, Place place) {
    return place.width() / figure.cut().width();
  }

  private static double sole(Standing figure, Place place) {
    return place.top() + (figure.soleY() - figure.cut().top()) * scale(figure, place);
  }

  @Test
  void allStandOnOneGroundLineSideBySide() {
    for (Alike alike : Alike.values()) {
      LineUp lineUp = LineUp.of(List.of(CHILD, TALL), alike);
      Place child = lineUp.places().get(0);
      Place tall = lineUp.places().get(1);
      double ground = lineUp.levels().get(0);
      assertThat(sole(CHILD, child)).isEqualTo(ground, offset(1e-9));
      assertThat(sole(TALL, tall)).isEqualTo(ground, offset(1e-9));
      assertThat(tall.left()).isGreaterThan(child.left() + child.width());
      assertThat(lineUp.widthPixels()).isGreaterThan(tall.left() + tall.width());
      assertThat(child.width() / child.height()).isEqualTo(500 / 1270.0, offset(1e-9));
    }
  }

  @Test
  void headsAreAlikeOrHeightsAre() {
    LineUp byHead = LineUp.of(List.of(CHILD, TALL), Alike.HEAD);
    double childHead = 400 * scale(CHILD, byHead.places().get(0));
    assertThat(childHead).isEqualTo(40 * scale(TALL, byHead.places().get(1)), offset(1e-9));
    // A line at every head: the tall one is six high.
    assertThat(byHead.levels()).hasSize(7);
    assertThat(byHead.levels().get(0) - byHead.levels().get(1)).isEqualTo(childHead, offset(1e-9));

    LineUp byHeight = LineUp.of(List.of(CHILD, TALL), Alike.HEIGHT);
    assertThat(1200 * scale(CHILD, byHeight.places().get(0)))
        .isEqualTo(240 * scale(TALL, byHeight.places().get(1)), offset(1e-9));
    assertThat(byHeight.levels()).hasSize(1);
  }

  @Test
  void whoHasNoSoleOrStandsOnTheHeadCannotStand() {
    CutOut.Place cut = new CutOut.Place(0, 0, 10, 10);
    Marks upsideDown = marks(200, 100, 20);
    assertThat(Standing.of("", upsideDown, cut)).isEmpty();
    assertThat(Standing.of("", Marks.none(View.FRONT), cut)).isEmpty();
    assertThat(CHILD.headsTall()).isEqualTo(3);
    assertThat(LineUp.of(List.of(), Alike.HEAD).places()).isEmpty();
  }

  /** Read back by the platform's own reader of XML. */
  @Test
  void whatIsSentOnNamesEveryFigureAndWhomToCredit() throws Exception {
    byte[] png = {(byte) 0x89, 'P', 'N', 'G'};
    String svg =
        SvgWriter.write(
            LineUp.of(List.of(CHILD, TALL), Alike.HEAD)
                .scene(
                    "Line-up",
                    List.of(png, png),
                    List.of("Child", "Tall one"),
                    List.of("Odile Marrow", "Odile Marrow.")));
    Document read =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
    assertThat(read.getElementsByTagName("image").getLength()).isEqualTo(2);
    Element root = read.getDocumentElement();
    assertThat(root.getTextContent()).contains("Child", "Tall one", "Works: Odile Marrow.");
    assertThat(root.getTextContent()).doesNotContain("Odile Marrow, Odile Marrow");
  }
}
