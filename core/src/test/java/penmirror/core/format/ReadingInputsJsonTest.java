package penmirror.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;
import penmirror.core.reading.ReadingInputs;

class ReadingInputsJsonTest {
  private static final Marks HEAD =
      Marks.none(View.SIDE)
          .with(Landmark.CROWN, Mark.placed(10, 20.5))
          .with(Landmark.CHIN, Mark.placed(10, 90));

  private static final List<FigureEdit> STROKES =
      List.of(new FigureEdit(FigureEdit.Kind.DROP, List.of(new Point(3, 4)), 5));

  @Test
  void inputsSurviveTheirFile() throws FormatException {
    ReadingInputs inputs = ReadingInputs.of("ab12", HEAD, STROKES);
    ReadingInputs again = ReadingInputsJson.read(ReadingInputsJson.write(inputs));
    assertThat(again).isEqualTo(inputs);
    assertThat(ReadingInputsJson.hash(again)).isEqualTo(ReadingInputsJson.hash(inputs));
  }

  @Test
  void onlyWhatReadingsHeedTellsInputsApart() {
    String hash = ReadingInputsJson.hash(ReadingInputs.of("ab12", HEAD, STROKES));
    Marks more =
        HEAD.with(Landmark.SOLE, Mark.placed(12, 400))
            .with(Landmark.EYE_L_INNER, Mark.at(new Point(8, 50), Mark.State.PROPOSED));
    assertThat(ReadingInputsJson.hash(ReadingInputs.of("ab12", more, STROKES))).isEqualTo(hash);
    assertThat(ReadingInputsJson.hash(ReadingInputs.of("ab12", HEAD.withView(View.BACK), STROKES)))
        .isEqualTo(hash);
    Marks lower = HEAD.with(Landmark.CHIN, Mark.placed(10, 91));
    assertThat(ReadingInputsJson.hash(ReadingInputs.of("ab12", lower, STROKES))).isNotEqualTo(hash);
    assertThat(ReadingInputsJson.hash(ReadingInputs.of("ab12", HEAD, List.of())))
        .isNotEqualTo(hash);
    assertThat(ReadingInputsJson.hash(ReadingInputs.of("cd34", HEAD, STROKES))).isNotEqualTo(hash);
  }
}
