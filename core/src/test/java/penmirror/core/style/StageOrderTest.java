package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static penmirror.core.style.DrawingStage.EFFECTS;
import static penmirror.core.style.DrawingStage.FLATS;
import static penmirror.core.style.DrawingStage.LINE;
import static penmirror.core.style.DrawingStage.SHADE;
import static penmirror.core.style.DrawingStage.SKETCH;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class StageOrderTest {
  @Test
  void lineLastIsSeenAndTheOthersComeWhereTheyUsuallyDo() {
    assertThat(StageOrder.asSeen(List.of(SKETCH, FLATS, SHADE, LINE)).stages())
        .containsExactly(SKETCH, FLATS, SHADE, EFFECTS, LINE);
    assertThat(StageOrder.asSeen(List.of(FLATS, FLATS)).stages())
        .containsExactly(SKETCH, LINE, FLATS, SHADE, EFFECTS);
    assertThat(StageOrder.asSeen(List.of())).isEqualTo(StageOrder.usual());
  }

  @Test
  void aStageMovesByOnePlaceAndStopsAtTheEnds() {
    StageOrder order = StageOrder.usual().moved(LINE, false);
    assertThat(order.stages()).containsExactly(SKETCH, FLATS, LINE, SHADE, EFFECTS);
    assertThat(order.moved(LINE, true)).isEqualTo(StageOrder.usual());
    assertThat(StageOrder.usual().moved(SKETCH, true)).isEqualTo(StageOrder.usual());
    assertThat(StageOrder.usual().moved(EFFECTS, false)).isEqualTo(StageOrder.usual());
  }

  @Test
  void oneStageAtLeastIsDone() {
    StageOrder order = StageOrder.usual();
    for (DrawingStage stage : DrawingStage.values()) {
      order = order.with(stage, false);
    }
    assertThat(order.done()).containsExactly(EFFECTS);
    assertThat(order.with(LINE, true).done()).containsExactly(LINE, EFFECTS);
  }

  @Test
  void everyStageStandsOnce() {
    assertThatThrownBy(() -> new StageOrder(List.of(SKETCH, LINE), Set.of()))
        .hasMessageContaining("every stage once");
  }
}
