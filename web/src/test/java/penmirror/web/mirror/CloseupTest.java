package penmirror.web.mirror;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.scoring.Fix;
import penmirror.web.studies.Work;

class CloseupTest {
  private static final Work PICTURE = OverlayTest.work(600, 1700);

  private static List<Fix> fixes(String... acts) {
    return Arrays.stream(acts).map(key -> fix(Acts.byKey(key).orElseThrow())).toList();
  }

  private static Fix fix(Act act) {
    return new Fix(act, Fix.Direction.MORE, List.of(), List.of(), 1, List.of());
  }

  private static List<Closeup> near(Marks source, List<Fix> fixes) {
    return Closeup.of(PICTURE, known(source), PICTURE, known(Canon.realistic()), fixes);
  }

  private static Evidence known(Marks marks) {
    return new Evidence(marks, Optional.empty());
  }

  /** A line is seen at the cheek, much nearer to than the head. */
  @Test
  void aLineIsShownAtTheCheek() {
    List<Closeup> near = near(Canon.realistic(), fixes("line-weight", "eye-height"));
    double head = Canon.realistic().headFrame().orElseThrow().headPixels();
    assertThat(bottom(near.get(0)) - top(near.get(0))).isLessThan(0.4 * head);
    double cheek = Canon.realistic().require(Landmark.CHEEK_L).y();
    assertThat(cheek).isBetween(top(near.get(0)), bottom(near.get(0)));
  }

  @Test
  void onlyTheFirstThreeAreShownNearTo() {
    List<Closeup> near = near(Canon.realistic(), fixes("eye-height", "eye-size", "iris", "brows"));
    assertThat(near).extracting(Closeup::number).containsExactly(1, 2, 3);
    assertThat(near.get(0).theirs()).isEqualTo(near.get(0).yours());
  }

  /** The eyes are shown round the eyes, the legs farther down. */
  @Test
  void eachIsShownWhereItIs() {
    List<Closeup> near = near(Canon.realistic(), fixes("eye-size", "legs"));
    assertThat(top(near.get(0))).isBetween(100.0, 200.0);
    assertThat(bottom(near.get(0))).isLessThan(350);
    assertThat(bottom(near.get(1))).isGreaterThan(1500);
  }

  private static double top(Closeup of) {
    return Double.parseDouble(of.yours().split(" ")[1]);
  }

  private static double bottom(Closeup of) {
    return top(of) + Double.parseDouble(of.yours().split(" ")[3]);
  }

  @Test
  void whatIsNotMarkedOnBothIsLeftOut() {
    assertThat(near(Marks.none(View.FRONT), fixes("eye-size"))).isEmpty();
    assertThat(near(Canon.realistic(), List.of())).isEmpty();
  }
}
