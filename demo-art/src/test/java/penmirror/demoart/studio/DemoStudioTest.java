package penmirror.demoart.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Parameters;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class DemoStudioTest {
  private static final List<DemoStudio.Folder> FOLDERS =
      List.of(DemoStudio.odileMarrow(), DemoStudio.casimirThole(), DemoStudio.inesVantour());

  @Test
  void theStudioHoldsWhatTheDemoNeeds() {
    assertThat(DemoStudio.everything()).hasSize(66);
    for (DemoStudio.Folder folder : FOLDERS) {
      assertThat(folder.sources()).hasSize(12);
      assertThat(folder.redraws()).hasSize(4);
      Map<View, Long> views =
          folder.sources().stream()
              .collect(Collectors.groupingBy(Commission::view, Collectors.counting()));
      assertThat(views.keySet()).contains(View.FRONT, View.THREE_QUARTER, View.SIDE);
      assertThat(folder.sources().stream().map(Commission::cut).distinct()).hasSize(3);
    }
    assertThat(DemoStudio.ownHand()).hasSize(10);
    assertThat(DemoStudio.everything().stream().map(Commission::fileName).distinct()).hasSize(66);
    assertThat(
            DemoStudio.inesVantour().sources().stream()
                .filter(work -> work.manner() == Hands.INES_INKED))
        .hasSize(4);
  }

  @Test
  void theSameCommissionDrawsTheSameBytes() {
    for (Commission commission :
        List.of(
            FOLDERS.get(0).sources().get(0),
            FOLDERS.get(1).sources().get(1),
            FOLDERS.get(2).sources().get(6),
            DemoStudio.ownHand().get(8))) {
      Illustration once = Illustration.of(commission, 0.4);
      Illustration again = Illustration.of(commission, 0.4);
      assertThat(again.png()).isEqualTo(once.png());
      assertThat(again.truth()).isEqualTo(once.truth());
      assertThat(again.rendering().openRaster()).isEqualTo(once.rendering().openRaster());
    }
    Commission first = FOLDERS.get(0).sources().get(0);
    Commission other = FOLDERS.get(0).sources().get(1);
    assertThat(Illustration.of(first, 0.4).png()).isNotEqualTo(Illustration.of(other, 0.4).png());
  }

  /** Nearest centre over three raw parameters, each picture judged without itself. */
  @Test
  void rawParametersAloneSeparateTheFourHands() {
    Map<String, List<double[]>> hands = new HashMap<>();
    for (DemoStudio.Folder folder : FOLDERS) {
      hands.put(folder.illustrator(), folder.sources().stream().map(DemoStudioTest::raw).toList());
    }
    hands.put("own", DemoStudio.ownHand().stream().map(DemoStudioTest::raw).toList());
    List<String> wrong = new ArrayList<>();
    hands.forEach(
        (hand, pictures) -> {
          for (double[] picture : pictures) {
            String nearest =
                hands.keySet().stream()
                    .min(
                        Comparator.comparingDouble(
                            other -> distance(picture, centre(hands.get(other), picture))))
                    .orElseThrow();
            if (!nearest.equals(hand)) {
              wrong.add(hand + " taken for " + nearest);
            }
          }
        });
    assertThat(wrong).isEmpty();
  }

  private static double[] raw(Commission commission) {
    Parameters p = commission.manner().draw(new Random(commission.seed()));
    return new double[] {
      p.get(Parameter.STATURE) / 2, p.get(Parameter.EYE_LINE) * 10, p.get(Parameter.EYE_TILT) / 5
    };
  }

  private static double[] centre(List<double[]> pictures, double[] without) {
    double[] sum = new double[3];
    int n = 0;
    for (double[] picture : pictures) {
      if (picture != without) {
        n++;
        for (int i = 0; i < 3; i++) {
          sum[i] += picture[i];
        }
      }
    }
    return new double[] {sum[0] / n, sum[1] / n, sum[2] / n};
  }

  private static double distance(double[] a, double[] b) {
    return Math.hypot(Math.hypot(a[0] - b[0], a[1] - b[1]), a[2] - b[2]);
  }

  /**
   * Common practice: a realistic adult is about seven and a half heads tall, the eyes at half the
   * head, one eye's width between them, the legs about half the height. Vitruvius, De architectura
   * III.1: a foot is a sixth of the height.
   */
  @Test
  void aRealisticFigureKeepsTheFactsOfTheTrade() {
    Parameters realistic =
        Hands.OWN
            .centre()
            .with(Parameter.STATURE, 7.5)
            .with(Parameter.LEGS, 0.5)
            .with(Parameter.EYE_LINE, 0.5)
            .with(Parameter.EYE_SPACING, 1)
            .with(Parameter.EYE_WIDTH, 0.2)
            .with(Parameter.EYE_ASPECT, 0.4)
            .with(Parameter.FOOT, 7.5 / 6)
            .with(Parameter.HEAD_ASPECT, 0.68);
    Manner manner =
        new Manner(
            "realistic",
            realistic,
            Map.of(),
            Hands.OWN.shading(),
            Hands.OWN.hatching(),
            Hands.OWN.habits());
    Commission standing = FOLDERS.get(2).sources().get(1).drawnBy(manner);
    Illustration drawn = Illustration.of(standing, 0.5);
    Marks marks = drawn.marks();
    assertThat(value(ProportionMeasures.STATURE, marks)).isCloseTo(7.5, offset(0.03));
    assertThat(value(FaceMeasures.EYE_LINE, marks)).isCloseTo(0.5, offset(0.005));
    assertThat(value(FaceMeasures.EYE_SPACING, marks)).isCloseTo(1, offset(0.03));
    assertThat(value(ProportionMeasures.LEGS, marks)).isCloseTo(0.5, offset(0.02));
  }

  /** What the parameters ask for is what the marked picture reads, over all straight fronts. */
  @Test
  void frontFiguresReadTheirOwnParameters() {
    int checked = 0;
    for (Commission commission : DemoStudio.everything()) {
      if (commission.view() != View.FRONT) {
        continue;
      }
      Illustration drawn = Illustration.of(commission, 0.3);
      Marks marks = drawn.marks();
      Parameters p = drawn.parameters();
      assertThat(value(FaceMeasures.EYE_LINE, marks))
          .as(commission.fileName())
          .isCloseTo(p.get(Parameter.EYE_LINE), offset(0.003));
      assertThat(value(FaceMeasures.EYE_TILT, marks))
          .as(commission.fileName())
          .isCloseTo(p.get(Parameter.EYE_TILT), offset(0.5));
      assertThat(value(FaceMeasures.NOSE_BASE_HEIGHT, marks))
          .as(commission.fileName())
          .isCloseTo(p.get(Parameter.NOSE_BASE), offset(0.003));
      checked++;
    }
    assertThat(checked).isGreaterThan(35);
  }

  /** The named slips show in the marked pictures, and shrink from attempt to attempt. */
  @Test
  void everyAttemptComesCloser() {
    for (DemoStudio.Folder folder : FOLDERS) {
      List<Marks> marks =
          folder.redraws().stream().map(c -> Illustration.of(c, 0.3).marks()).toList();
      double style = value(FaceMeasures.EYE_LINE, marks.get(3));
      assertThat(value(FaceMeasures.EYE_LINE, marks.get(0))).isCloseTo(style - 0.06, offset(0.003));
      assertThat(value(FaceMeasures.EYE_LINE, marks.get(1)))
          .isCloseTo(style - 0.035, offset(0.003));
      double width = value(FaceMeasures.EYE_WIDTH, marks.get(3));
      assertThat(value(FaceMeasures.EYE_WIDTH, marks.get(0)) / width).isCloseTo(1.18, offset(0.03));
      for (int i = 1; i < 4; i++) {
        assertThat(folder.redraws().get(i).slips().size())
            .isLessThan(folder.redraws().get(i - 1).slips().size());
      }
      assertThat(Illustration.of(folder.redraws().get(0), 0.2).truth())
          .contains("eyes 18 % too large", "eyes 6 % of a head too high", "line at 60 %");
    }
  }

  @Test
  void leftIsLeftAsSeen() {
    for (Commission commission : DemoStudio.everything()) {
      Map<Landmark, Place> places = Illustration.of(commission, 0.2).places();
      if (commission.view() == View.SIDE) {
        assertThat(
                places.get(Landmark.EYE_L_OUTER).seen() == Place.Seen.AWAY
                    ^ places.get(Landmark.EYE_R_OUTER).seen() == Place.Seen.AWAY)
            .as(commission.fileName())
            .isTrue();
        continue;
      }
      assertThat(places.get(Landmark.EYE_L_OUTER).point().x())
          .as(commission.fileName())
          .isLessThan(places.get(Landmark.EYE_R_OUTER).point().x());
    }
  }

  @Test
  void theTruthFileTellsEverything() {
    Illustration drawn = Illustration.of(FOLDERS.get(2).sources().get(5), 0.4);
    JsonNode truth = JsonMapper.builder().build().readTree(drawn.truth());
    assertThat(truth.path("format").asString()).isEqualTo("pen-mirror/demo-truth");
    for (Landmark landmark : Landmark.values()) {
      assertThat(truth.path("landmarks").has(landmark.key())).as(landmark.key()).isTrue();
    }
    assertThat(truth.path("landmarks").path("sole").path("seen").asString()).isEqualTo("outside");
    assertThat(truth.path("landmarks").path("ear_l_top").path("seen").asString())
        .isNotEqualTo(truth.path("landmarks").path("ear_r_top").path("seen").asString());
    assertThat(truth.path("lines").path("silhouette").path("medianPx").asDouble()).isGreaterThan(1);
    assertThat(truth.path("shade").path("share").asDouble()).isBetween(0.2, 0.7);
    assertThat(truth.path("shade").path("lightDegrees").asDouble()).isNegative();
    assertThat(truth.path("parameters").path("stature").path("spread").asDouble()).isEqualTo(0.12);
    assertThat(truth.path("areas").toString()).contains("\"skin\"").contains("\"coat\"");
  }

  private static double value(Measure measure, Marks marks) {
    return measure.read(new Evidence(marks, Optional.empty())).reading().orElseThrow().value();
  }
}
