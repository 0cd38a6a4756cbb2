package penmirror.web.mirror;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.LandmarkAlignment.By;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;
import penmirror.web.studies.Work;

class OverlayTest {
  private static final Marks SOURCE = truth(DemoStudio.odileMarrow().sources().get(0));
  private static final Marks REDRAW = truth(DemoStudio.odileMarrow().redraws().get(0));

  @Test
  void aPictureOverItselfLiesWhereItIs() {
    Overlay overlay =
        Overlay.of(work(1400, 1980), SOURCE, work(1400, 1980), SOURCE, List.of(), By.ALL);
    double[] matrix = matrix(overlay);
    assertThat(matrix[0]).isCloseTo(1, offset(1e-6));
    assertThat(matrix[1]).isCloseTo(0, offset(1e-6));
    assertThat(matrix[4]).isCloseTo(0, offset(1e-3));
    assertThat(overlay.by()).contains(By.ALL);
    assertThat(overlay.turned()).isEqualTo("0.0");
    assertThat(overlay.off()).isEmpty();
  }

  /** The same drawing at half the size and pushed aside lands on the large one. */
  @Test
  void aSmallerCopyIsScaledAndMovedOntoTheSource() {
    Marks half =
        SOURCE.moved(SOURCE.landmarks().keySet(), p -> p.times(0.5).plus(new Point(40, -12)));
    double[] matrix =
        matrix(Overlay.of(work(1400, 1980), SOURCE, work(620, 880), half, List.of(), By.ALL));
    assertThat(matrix[0]).isCloseTo(2, offset(1e-6));
    assertThat(matrix[3]).isCloseTo(2, offset(1e-6));
    assertThat(matrix[4]).isCloseTo(-80, offset(1e-3));
    assertThat(matrix[5]).isCloseTo(24, offset(1e-3));
  }

  /** A chin a tenth of a head lower than on the work is what lies off, and by about so much. */
  @Test
  void whatLiesElsewhereIsNamedFarthestFirst() {
    double head = SOURCE.headFrame().orElseThrow().headPixels();
    Marks low = SOURCE.moved(List.of(Landmark.CHIN), p -> p.plus(new Point(0, 0.1 * head)));
    Overlay overlay =
        Overlay.of(work(1400, 1980), SOURCE, work(1400, 1980), low, List.of(), By.ALL);
    assertThat(overlay.off()).hasSize(1);
    assertThat(overlay.off().get(0).landmark()).isEqualTo("chin");
    assertThat(Integer.parseInt(overlay.off().get(0).percent())).isBetween(9, 10);
  }

  /**
   * A face whose mouth sits low and whose head is long: eyes on eyes, the chin is what lies off.
   */
  @Test
  void onTheEyesTheEyesLieOnEachOther() {
    Marks longFace =
        SOURCE.moved(
            List.of(Landmark.CHIN, Landmark.MOUTH_L, Landmark.MOUTH_R, Landmark.NOSE_BASE),
            p -> p.plus(new Point(0, 60)));
    Overlay overlay =
        Overlay.of(work(1400, 1980), SOURCE, work(1400, 1980), longFace, List.of(), By.EYES);
    assertThat(matrix(overlay)[0]).isCloseTo(1, offset(1e-6));
    assertThat(matrix(overlay)[5]).isCloseTo(0, offset(1e-3));
    assertThat(overlay.by()).contains(By.EYES);
    assertThat(overlay.off()).extracting(Overlay.Off::landmark).contains("chin", "mouth_l");
    Overlay head =
        Overlay.of(work(1400, 1980), SOURCE, work(1400, 1980), longFace, List.of(), By.HEAD);
    assertThat(head.off()).extracting(Overlay.Off::landmark).doesNotContain("chin", "crown");
  }

  /** Without eyes to go by, all points are. */
  @Test
  void whatIsNotMarkedIsNotGoneBy() {
    Marks noEyes = SOURCE.only(List.of(Landmark.CROWN, Landmark.CHIN, Landmark.SOLE));
    Overlay overlay =
        Overlay.of(work(1400, 1980), SOURCE, work(1400, 1980), noEyes, List.of(), By.EYES);
    assertThat(overlay.by()).contains(By.ALL);
  }

  @Test
  void withoutMarksTheTwoAreBroughtToOneHeight() {
    Overlay overlay =
        Overlay.of(
            work(1400, 1980), SOURCE, work(700, 990), Marks.none(View.FRONT), List.of(), By.ALL);
    assertThat(overlay.by()).isEmpty();
    assertThat(matrix(overlay)[0]).isCloseTo(2, offset(1e-6));
    assertThat(overlay.dots()).isEmpty();
  }

  @Test
  void theFoldBeginsAtTheHeadsAxis() {
    Point crown = SOURCE.point(Landmark.CROWN).orElseThrow();
    Point chin = SOURCE.point(Landmark.CHIN).orElseThrow();
    Overlay overlay =
        Overlay.of(work(1400, 1980), SOURCE, work(1400, 1980), REDRAW, List.of(), By.ALL);
    assertThat(Double.parseDouble(overlay.foldX()))
        .isCloseTo((crown.x() + chin.x()) / 2, offset(0.06));
  }

  @Test
  void fixesArePinnedBesideWhatTheyMendAndNoTwoOverlap() {
    List<Fix> fixes = fixes();
    Overlay overlay = Overlay.of(work(1400, 1980), SOURCE, work(1400, 1980), REDRAW, fixes, By.ALL);
    long withMoves = fixes.stream().filter(fix -> !fix.steps().isEmpty()).count();
    assertThat(overlay.pins()).hasSize((int) withMoves);
    double unit = Double.parseDouble(overlay.unit());
    double before = Double.NEGATIVE_INFINITY;
    for (Overlay.Pin pin : overlay.pins()) {
      double y = Double.parseDouble(pin.y());
      assertThat(y - before).isGreaterThanOrEqualTo(29.9 * unit);
      assertThat(Double.parseDouble(pin.x())).isBetween(0.0, 1400.0);
      before = y;
    }
    assertThat(overlay.misses()).hasSize(fixes.stream().mapToInt(fix -> fix.steps().size()).sum());
  }

  @Test
  void theHeadGridRunsFromTheCrownToTheGround() {
    Overlay overlay =
        Overlay.of(work(1400, 1980), SOURCE, work(1400, 1980), REDRAW, List.of(), By.ALL);
    assertThat(overlay.headLevels()).hasSize(5);
    assertThat(Double.parseDouble(overlay.headLevels().get(0)))
        .isCloseTo(SOURCE.point(Landmark.CROWN).orElseThrow().y(), offset(0.06));
  }

  private static List<Fix> fixes() {
    MeasuredWork work = MeasuredWork.of("1", "Pell", "", new Evidence(SOURCE, Optional.empty()));
    StyleSheet sheet = StyleSheet.of("Odile Marrow", View.FRONT, List.of(work, work, work));
    return new Scorer(sheet).score(new Evidence(REDRAW, Optional.empty())).fixes();
  }

  private static double[] matrix(Overlay overlay) {
    String[] numbers = overlay.matrix().replaceAll("[a-z()]", "").strip().split(" ");
    double[] matrix = new double[6];
    for (int i = 0; i < 6; i++) {
      matrix[i] = Double.parseDouble(numbers[i]);
    }
    return matrix;
  }

  private static Marks truth(Commission commission) {
    return Illustration.of(commission).marks();
  }

  static Work work(int width, int height) {
    return new Work(
        1,
        1,
        "ab",
        Work.Role.SOURCE,
        1,
        "Pell",
        "",
        View.FRONT,
        width,
        height,
        Work.Tags.NONE,
        false,
        Profile.NONE,
        1,
        true);
  }
}
