package penmirror.web.mirror;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.web.studies.Work;

/** Attempts at the realistic adult whose eyes come down from attempt to attempt. */
class AttemptsTest {
  private static final Scorer SCORER =
      new Scorer(StyleSheet.of("The adult", View.FRONT, List.of(adult("1"), adult("2"))));

  private static MeasuredWork adult(String id) {
    return MeasuredWork.of(id, "The adult", "", new Evidence(Canon.realistic(), Optional.empty()));
  }

  private static final List<Landmark> EYES =
      List.of(
          Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER, Landmark.EYE_R_OUTER, Landmark.EYE_R_INNER);

  private static Score eyesUp(double heads) {
    double head = Canon.realistic().headFrame().orElseThrow().headPixels();
    Marks marks = Canon.realistic().moved(EYES, p -> p.plus(new Point(0, -heads * head)));
    return SCORER.judged(new Evidence(marks, Optional.empty()), Map.of(), act -> false);
  }

  private static Attempts attempts(Score... scores) {
    List<Work> works =
        IntStream.rangeClosed(1, scores.length)
            .mapToObj(
                number ->
                    new Work(
                        10 + number,
                        1,
                        "",
                        Work.Role.REDRAW,
                        number,
                        "Attempt",
                        "",
                        View.FRONT,
                        100,
                        200,
                        Work.Tags.NONE,
                        false,
                        Profile.NONE,
                        1,
                        true))
            .toList();
    return Attempts.of(works, List.of(scores));
  }

  private static Attempts.Row eyes(Attempts attempts) {
    return attempts.rows().stream()
        .filter(row -> row.act().equals("Eye height"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void eachActSaysWhatWasOffInEachAttempt() {
    Attempts attempts = attempts(eyesUp(0.1), eyesUp(0.06), eyesUp(0));
    List<Attempts.Cell> cells = eyes(attempts).cells();
    assertThat(cells).extracting(Attempts.Cell::state).containsExactly("off", "off", "near");
    assertThat(cells.get(0).miss()).contains("too high");
    assertThat(cells.get(2).miss()).isEmpty();
    assertThat(attempts.kept()).contains("heads tall").doesNotContain("eye height");
    assertThat(attempts.columns().get(2).points()).isEqualTo("100");
  }

  @Test
  void whatCannotBeReadIsNeitherOffNorNear() {
    Score nothing =
        SCORER.judged(
            new Evidence(Marks.none(View.FRONT), Optional.empty()), Map.of(), act -> false);
    Attempts attempts = attempts(nothing, eyesUp(0.1));
    assertThat(eyes(attempts).cells())
        .extracting(Attempts.Cell::state)
        .containsExactly("unread", "off");
    assertThat(attempts.columns().get(0).points()).isEmpty();
    assertThat(attempts.chart()).as("one point is no line").isEmpty();
  }

  /** Higher is nearer to the top, and the lowest still stands on the chart. */
  @Test
  void theLineRisesWithThePoints() {
    Attempts.Chart chart = attempts(eyesUp(0.1), eyesUp(0)).chart().orElseThrow();
    double first = Double.parseDouble(chart.dots().get(0).y());
    double last = Double.parseDouble(chart.dots().get(1).y());
    assertThat(last).isLessThan(first).isEqualTo(8.0);
    assertThat(first).isLessThan(76);
    assertThat(chart.line()).startsWith("M24.0 ").endsWith("L536.0 8.0");
    assertThat(chart.bandY()).isEqualTo("8.0");
  }
}
