package penmirror.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;

class FigureEditsJsonTest {
  @Test
  void everyKindOfStrokeComesBackAsItWas() throws FormatException {
    List<FigureEdit> edits = new ArrayList<>();
    for (FigureEdit.Kind kind : FigureEdit.Kind.values()) {
      edits.add(
          new FigureEdit(
              kind, List.of(new Point(1.5, 2), new Point(30, 4.25), new Point(7, 80)), 6.5));
    }
    assertThat(FigureEditsJson.read(FigureEditsJson.write(edits))).isEqualTo(edits);
    assertThat(FigureEditsJson.read(FigureEditsJson.write(List.of()))).isEmpty();
  }

  @Test
  void onlyTheLastFourSpeakOfParts() {
    assertThat(FigureEdit.Kind.values())
        .filteredOn(FigureEdit.Kind::isOfParts)
        .containsExactly(
            FigureEdit.Kind.FACE,
            FigureEdit.Kind.SKIN,
            FigureEdit.Kind.HAIR,
            FigureEdit.Kind.CLOTH);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"edits\":[{\"kind\":\"beard\",\"radius\":3,\"points\":[[1,2]]}]}",
        "{\"edits\":[{\"kind\":\"loop\",\"radius\":0,\"points\":[[1,2],[3,4]]}]}",
        "{\"edits\":[{\"kind\":\"hair\",\"radius\":-1,\"points\":[[1,2]]}]}",
        "{\"edits\":[{\"kind\":\"hair\",\"radius\":3,\"points\":[[1,\"x\"]]}]}",
        "{\"edits\":[{\"kind\":\"hair\",\"points\":[[1,2]]}]}",
        "[1, 2"
      })
  void whatIsNoStrokeIsRefusedInWords(String json) {
    assertThatThrownBy(() -> FigureEditsJson.read(json))
        .isInstanceOf(FormatException.class)
        .message()
        .isNotBlank();
  }

  @Test
  void aFloodOfStrokesIsRefused() {
    String one = "{\"kind\":\"keep\",\"radius\":3,\"points\":[[1,2]]}";
    String json = "{\"edits\":[" + String.join(",", java.util.Collections.nCopies(501, one)) + "]}";
    assertThatThrownBy(() -> FigureEditsJson.read(json)).hasMessageContaining("500");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{}",
        "{\"edits\":\"x\"}",
        "{\"edits\":{}}",
        "{\"edits\":[{\"kind\":\"keep\",\"radius\":1e9,\"points\":[[1,1]]}]}",
        "{\"edits\":[{\"kind\":\"keep\",\"radius\":3,\"points\":[[1e308,1]]}]}",
        "{\"edits\":[{\"kind\":\"keep\",\"radius\":3,\"points\":[[\"a\",1]]}]}",
        "{\"edits\":[{\"kind\":\"paint\",\"radius\":3,\"points\":[[1,1]]}]}"
      })
  void whatIsNoListOfStrokesIsRefusedAndNotTakenForNone(String body) {
    assertThatThrownBy(() -> FigureEditsJson.read(body)).isInstanceOf(FormatException.class);
  }

  @Test
  void ofWhatWasKeptOnlyWhatCannotBeUsedIsLeftOut() {
    FigureEditsJson.Kept kept =
        FigureEditsJson.kept(
            "{\"edits\":[{\"kind\":\"keep\",\"radius\":1e9,\"points\":[[1,1]]},"
                + "{\"kind\":\"drop\",\"radius\":4,\"points\":[[5,6]]}]}");
    assertThat(kept.leftOut()).isEqualTo(1);
    assertThat(kept.edits()).hasSize(1);
    assertThat(kept.edits().get(0).kind()).isEqualTo(FigureEdit.Kind.DROP);
  }
}
