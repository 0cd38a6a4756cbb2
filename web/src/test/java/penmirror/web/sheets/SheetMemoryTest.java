package penmirror.web.sheets;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class SheetMemoryTest {
  private final SheetMemory memory = new SheetMemory();
  private final AtomicInteger made = new AtomicInteger();

  private static StyleSheet sheet(double eyeLine) {
    return StyleSheet.of(
        "Invented",
        View.FRONT,
        List.of(
            new MeasuredWork(
                "1", "One", "", View.FRONT, Map.of(FaceMeasures.EYE_LINE, eyeLine), List.of()),
            new MeasuredWork(
                "2", "Two", "", View.FRONT, Map.of(FaceMeasures.EYE_LINE, 0.5), List.of())));
  }

  private int ask(StyleSheet sheet, Object what) {
    return memory.of(memory.same(sheet), what, made::incrementAndGet);
  }

  /** A study loaded anew makes an equal sheet: nothing is worked out again for it. */
  @Test
  void whatIsMadeOfASheetIsKeptForItsEqual() {
    StyleSheet kept = memory.same(sheet(0.52));
    assertThat(memory.same(sheet(0.52))).isSameAs(kept);
    assertThat(ask(sheet(0.52), "scorer")).isEqualTo(1);
    assertThat(ask(sheet(0.52), "scorer")).isEqualTo(1);
    assertThat(kept.works()).hasSize(2);
  }

  @Test
  void otherRulesAndOtherQuestionsAreWorkedOutForThemselves() {
    StyleSheet kept = memory.same(sheet(0.52));
    assertThat(ask(kept, "scorer")).isEqualTo(1);
    assertThat(ask(kept, Map.of("likeness", "calm"))).isEqualTo(2);
    assertThat(ask(kept, Map.of("likeness", "glad"))).isEqualTo(3);
    assertThat(ask(sheet(0.53), "scorer")).isEqualTo(4);
  }
}
