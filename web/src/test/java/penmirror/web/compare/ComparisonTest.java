package penmirror.web.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.support.StaticMessageSource;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.planning.GuidePlan;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.web.layout.RefusedException;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;

/** What the page says of two hands, next to sheets made up for it. */
class ComparisonTest {
  private static final Study LOW = study(1, "Low brows");
  private static final Study LOWER = study(2, "Lower brows");
  private static final Study HIGH = study(3, "High brows");

  private final StudyStore studies = mock(StudyStore.class);
  private final SheetMaker sheets = mock(SheetMaker.class);
  private final Comparison comparison = new Comparison(studies, sheets, new StaticMessageSource());

  private static Study study(long id, String name) {
    return new Study(id, name, "", "", "", new GuidePlan.Canvas(1200, 1600), Instant.EPOCH);
  }

  private static StyleSheet sheet(Measure measure, double value) {
    List<MeasuredWork> works =
        IntStream.range(0, 5)
            .mapToObj(
                i ->
                    new MeasuredWork(
                        "" + i,
                        "Work " + i,
                        "",
                        View.FRONT,
                        Map.of(measure, value + i / 1000.0),
                        List.of()))
            .toList();
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  @BeforeEach
  void drawThree() {
    when(studies.all()).thenReturn(List.of(LOW, LOWER, HIGH));
    add(LOW, 0.4);
    add(LOWER, 0.2);
    add(HIGH, 1.1);
  }

  private void add(Study study, double forehead) {
    when(sheets.sheetOf(study)).thenReturn(sheet(FaceMeasures.UPPER_THIRD, forehead));
    when(studies.require(study.id())).thenReturn(study);
  }

  private Comparison.Row row(Study other) {
    Comparison.Page page = comparison.page(LOW, "all", Optional.of("study:" + other.id()));
    assertThat(page.differ()).hasSize(1);
    return page.differ().get(0);
  }

  @Test
  void whatEachIsByItselfIsToldOfEach() {
    Comparison.Row row = row(HIGH);
    assertThat(row.alike()).isFalse();
    assertThat(row.one()).isEqualTo("Forehead low.");
    assertThat(row.other()).isEqualTo("Forehead high.");
  }

  /** Two low foreheads that differ: the strip shows by how much, the words are said once. */
  @Test
  void whatIsToldInTheSameWordsIsSaidOnce() {
    Comparison.Row row = row(LOWER);
    assertThat(row.alike()).isTrue();
    assertThat(row.one()).isEqualTo("Forehead low.");
    assertThat(row.difference()).isNotEqualTo(row.one()).doesNotContain("0.");
    assertThat(row.strip().one().middle()).isNotEqualTo(row.strip().other().middle());
  }

  @Test
  void theOtherIsTheFirstThatIsNotTheOne() {
    Comparison.Page page = comparison.page(LOW, "all", Optional.empty());
    assertThat(page.other().name()).isEqualTo("Lower brows");
    assertThat(page.choices())
        .extracting(Comparison.Chosen::key)
        .containsExactly("all", "study:2", "study:3");
    assertThatThrownBy(() -> comparison.page(LOW, "study:9", Optional.empty()))
        .isInstanceOf(RefusedException.class);
  }
}
