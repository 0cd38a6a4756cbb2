package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Measure;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.BaseLine;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;
import penmirror.demoart.reading.DemoRead;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Slip;

/** What makes or breaks a style does so: shown on the illustrators' own pictures. */
class SignatureProofTest {
  private static final BaseLine OWN = BaseLine.ownHand(DemoScores.OWN);

  private static final Map<DemoScores.Hand, Double> FROM = new IdentityHashMap<>();

  /** The rules of the other works, made once a work. */
  private static final Map<MeasuredWork, StyleSheet> RESTS = new IdentityHashMap<>();

  static Stream<DemoScores.Hand> hands() {
    return DemoScores.HANDS.stream();
  }

  /** How often own works fall below their own range when acts are moved to the base line. */
  private record Falls(int fallen, int tried) {
    double share() {
      return tried == 0 ? 0 : fallen / (double) tried;
    }
  }

  /**
   * A trait broken costs what nothing else costs. That one alone takes a picture out of the own
   * range, as is asked, does not hold: half of the points over four traits are an eighth each, and
   * the range leaves two and a half deviations. Both figures are printed, and stand in the docs.
   */
  @Test
  void aBrokenTraitFellsMoreThanAnyOtherAct() {
    int few = 0;
    int fewTried = 0;
    int rest = 0;
    int restTried = 0;
    int two = 0;
    int twoTried = 0;
    for (DemoScores.Hand hand : DemoScores.HANDS) {
      List<Act> traits = hand.signature().acts();
      for (Act act : Acts.all()) {
        Falls falls = falls(hand, List.of(act));
        if (traits.contains(act)) {
          few += falls.fallen();
          fewTried += falls.tried();
          System.out.printf("%s %s: %d of %d%n", hand.name(), act, falls.fallen(), falls.tried());
        } else {
          rest += falls.fallen();
          restTried += falls.tried();
        }
      }
      Falls both = falls(hand, traits.subList(0, 2));
      two += both.fallen();
      twoTried += both.tried();
    }
    double share = few / (double) fewTried;
    double others = rest / (double) restTried;
    System.out.printf(
        "one trait broken: %d of %d fall out; one other act: %d of %d; two traits: %d of %d%n",
        few, fewTried, rest, restTried, two, twoTried);
    assertThat(others).isLessThan(1 / 3.0);
    assertThat(share).isGreaterThan(4 * others);
    assertThat(two / (double) twoTried).isGreaterThan(0.6);
  }

  private static Falls falls(DemoScores.Hand hand, List<Act> acts) {
    StyleSheet sheet = hand.sheet();
    double from = FROM.computeIfAbsent(hand, SignatureProofTest::belongsFrom);
    int fallen = 0;
    int tried = 0;
    for (MeasuredWork work : sheet.works()) {
      Map<Measure, Double> moved = new LinkedHashMap<>(work.values());
      boolean changed = false;
      for (Act act : acts) {
        for (Measure measure : act.readings()) {
          Double base = OWN.values().get(measure);
          if (base != null && moved.containsKey(measure)) {
            moved.put(measure, base);
            changed = true;
          }
        }
      }
      if (changed) {
        tried++;
        StyleSheet rest = RESTS.computeIfAbsent(work, w -> without(sheet, w));
        double points = Scorer.middleByRules(rest, List.of(with(work, moved))).orElseThrow();
        fallen += points < from ? 1 : 0;
      }
    }
    return new Falls(fallen, tried);
  }

  private static double belongsFrom(DemoScores.Hand hand) {
    return hand.scorer()
        .score(hand.works().get(0).evidence())
        .ownByRules()
        .orElseThrow()
        .belongsFrom();
  }

  private static StyleSheet without(StyleSheet sheet, MeasuredWork work) {
    return sheet.rulesOver(sheet.works().stream().filter(other -> other != work).toList());
  }

  private static MeasuredWork with(MeasuredWork work, Map<Measure, Double> values) {
    return new MeasuredWork(
        work.id(),
        work.title(),
        work.credit(),
        work.view(),
        work.shows(),
        values,
        work.notThere(),
        work.outOfSight(),
        work.swatches(),
        work.flats(),
        work.roles(),
        work.weight());
  }

  /**
   * The commonest fault of all: a line too thin is among what is said first, down to hairlines. Of
   * the heavy line alone: the others' are hairlines at the size in which the tests read.
   */
  @ParameterizedTest
  @ValueSource(doubles = {0.6, 0.4})
  void aLineThatIsTooThinIsNamedAmongTheFirstThree(double factor) {
    DemoScores.Hand hand = DemoScores.HANDS.get(0);
    Commission last = hand.attempts().get(3).commission();
    Score score = hand.scorer().score(DemoRead.read(with(last, factor)).evidence());
    assertThat(score.fixes().stream().limit(3))
        .anySatisfy(
            fix -> {
              assertThat(fix.act().key()).isEqualTo("line-weight");
              assertThat(fix.direction()).isEqualTo(Fix.Direction.MORE);
            });
  }

  private static Commission with(Commission of, double factor) {
    return of.slipping(
        "thin.png", "Thin", List.of(new Slip.Scaled("thin", Parameter.LINE_WIDTH, factor)));
  }

  /** What is said of the first attempt does not change when the coat is dyed. */
  @ParameterizedTest
  @MethodSource("hands")
  void dyeingTheCoatChangesNoProportion(DemoScores.Hand hand) {
    DemoRead.Seen first = hand.attempts().get(0);
    Commission dyed = first.commission();
    Score before = hand.scorer().score(first.evidence());
    Score after =
        hand.scorer()
            .score(
                DemoRead.read(
                        new Commission(
                            dyed.fileName(),
                            dyed.title(),
                            dyed.manner(),
                            dyed.subject(),
                            dyed.palette().with(Role.COAT, new OkLab(0.5, -0.09, 0.06)),
                            dyed.pose(),
                            dyed.view(),
                            dyed.cut(),
                            dyed.mood(),
                            dyed.mirrored(),
                            dyed.seed(),
                            dyed.slips()))
                    .evidence());
    before
        .acts()
        .forEach(
            act -> {
              if (act.act().grip().isPresent()) {
                after.acts().stream()
                    .filter(other -> other.act().equals(act.act()))
                    .forEach(
                        other ->
                            assertThat(other.credit().orElse(-1.0))
                                .as("%s %s", hand.name(), act.act())
                                .isEqualTo(act.credit().orElse(-1.0)));
              }
            });
  }
}
