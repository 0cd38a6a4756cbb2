package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;

/** What marked figures teach, on figures whose every point is known. */
class LearnedTest {
  private static final MarkedFigure CANON = new MarkedFigure(Canon.realistic(), Optional.empty());

  @Test
  void theMeanShapeOfOneFigureIsThatFigure() {
    LearnedShape shape = LearnedShape.ofFaces(List.of(CANON));
    // Between the eye centres lie 60 px; the chin is 100 px below the eye line.
    Point chin = shape.place(Landmark.CHIN).orElseThrow().mean();
    assertThat(chin.x()).isCloseTo(0, offset(1e-9));
    assertThat(chin.y()).isCloseTo(100 / 60.0, offset(1e-9));
    assertThat(shape.place(Landmark.CHIN).orElseThrow().spread()).isCloseTo(0.1, offset(1e-9));
  }

  /** Size, place and tilt of a picture teach nothing. */
  @Test
  void figuresOfAnySizeAndTiltAreOneShape() {
    Similarity turned = new Similarity(2 * Math.cos(0.2), 2 * Math.sin(0.2), 40, -15);
    Marks moved = Canon.realistic().moved(Canon.realistic().landmarks().keySet(), turned::apply);
    LearnedShape shape =
        LearnedShape.ofFaces(List.of(CANON, new MarkedFigure(moved, Optional.empty())));
    LearnedShape single = LearnedShape.ofFaces(List.of(CANON));
    for (Landmark landmark : List.of(Landmark.CHIN, Landmark.MOUTH_L, Landmark.JAW_R)) {
      assertThat(
              shape
                  .place(landmark)
                  .orElseThrow()
                  .mean()
                  .distanceTo(single.place(landmark).orElseThrow().mean()))
          .isLessThan(1e-9);
    }
  }

  @Test
  void moreLikeFiguresMakeItSurer() {
    double before = 1;
    for (int count = 1; count < 6; count++) {
      List<MarkedFigure> figures = new ArrayList<>();
      for (int i = 0; i < count; i++) {
        figures.add(CANON);
      }
      double spread = LearnedShape.ofFaces(figures).place(Landmark.CHIN).orElseThrow().spread();
      assertThat(spread).isLessThan(before);
      before = spread;
    }
  }

  @Test
  void figuresThatDifferMakeItLessSure() {
    Marks longChin = Canon.realistic().moved(List.of(Landmark.CHIN), p -> p.plus(new Point(0, 40)));
    LearnedShape alike = LearnedShape.ofFaces(List.of(CANON, CANON));
    LearnedShape unlike =
        LearnedShape.ofFaces(List.of(CANON, new MarkedFigure(longChin, Optional.empty())));
    assertThat(unlike.place(Landmark.CHIN).orElseThrow().spread())
        .isGreaterThan(alike.place(Landmark.CHIN).orElseThrow().spread());
  }

  @Test
  void aMirroredFigureHasItsSidesExchanged() {
    Marks mirrored = CANON.mirrored().marks();
    assertThat(mirrored.require(Landmark.EYE_R_OUTER)).isEqualTo(new Point(-255, 200));
    assertThat(CANON.mirrored().mirrored().marks()).isEqualTo(Canon.realistic());
  }

  @Test
  void withoutEyesAFaceTeachesNothing() {
    Marks noEyes = Canon.realistic().only(List.of(Landmark.CROWN, Landmark.CHIN));
    assertThat(Learned.bothWays(List.of(new MarkedFigure(noEyes, Optional.empty())))).isEmpty();
    assertThat(Learned.bothWays(List.of())).isEmpty();
  }

  @Test
  void learnedPriorsStandWhereTheFiguresStand() {
    Learned learned = Learned.bothWays(List.of(CANON, CANON, CANON)).get(0);
    Outline.Prior prior = learned.prior();
    assertThat(prior.chin()).isCloseTo(100 / 60.0, offset(1e-9));
    assertThat(prior.half()).isCloseTo(75 / 60.0, offset(1e-9));
    assertThat(prior.shift()).isCloseTo(0, offset(1e-9));
    assertThat(prior.chinSpread()).isLessThan(Outline.Prior.ANY.chinSpread());
    assertThat(learned.expected().mouth()).isCloseTo(66 / 100.0, offset(1e-9));
  }

  /** A trunk is where it was, a hand is not: one figure says nothing of how an arm is held. */
  @Test
  void oneFigureTeachesItsTrunkAndNotItsPose() {
    Map<Landmark, Proposal.Proposed> working = headOnly();
    LearnedBody.of(List.of(CANON)).orElseThrow().addTo(working, true);
    assertThat(working).containsKey(Landmark.SHOULDER_L).doesNotContainKey(Landmark.WRIST_L);
    assertThat(working.get(Landmark.SHOULDER_L).place().distanceTo(new Point(100, 367)))
        .isLessThan(1e-6);
  }

  @Test
  void figuresHeldAlikeTeachTheirPoseToo() {
    Map<Landmark, Proposal.Proposed> working = headOnly();
    List<MarkedFigure> many = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      many.add(CANON);
    }
    LearnedBody.of(many).orElseThrow().addTo(working, true);
    assertThat(working.get(Landmark.WRIST_L).place().distanceTo(new Point(90, 860)))
        .isLessThan(1e-6);
  }

  @Test
  void theCanonFillsWhatNothingElseTells() {
    Map<Landmark, Proposal.Proposed> working = headOnly();
    CanonFigure.addTo(working, false, View.FRONT);
    assertThat(working.get(Landmark.EAR_L_TOP).place().distanceTo(new Point(222, 186)))
        .isLessThan(1e-6);
    assertThat(working).doesNotContainKey(Landmark.KNEE_L);
    working.put(Landmark.SOLE, new Proposal.Proposed(new Point(300, 1600), 0.9));
    CanonFigure.addTo(working, true, View.FRONT);
    assertThat(working.get(Landmark.KNEE_L).place().distanceTo(new Point(240, 1200)))
        .isLessThan(1e-6);
    assertThat(working.get(Landmark.KNEE_L).confidence()).isLessThan(0.1);
    assertThat(working.get(Landmark.CROWN).confidence()).isEqualTo(0.6);
  }

  /** Eyes, nose and mouth that were found draw the canon out; the cheeks set how wide it is. */
  @Test
  void theCanonIsStretchedToWhatWasFound() {
    Map<Landmark, Proposal.Proposed> plain = headOnly();
    CanonFigure.addTo(plain, false, View.FRONT);
    Map<Landmark, Proposal.Proposed> low = headOnly();
    for (Landmark corner :
        List.of(
            Landmark.EYE_L_OUTER,
            Landmark.EYE_L_INNER,
            Landmark.EYE_R_INNER,
            Landmark.EYE_R_OUTER)) {
      Point there = plain.get(corner).place();
      low.put(corner, new Proposal.Proposed(there.plus(new Point(0, 30)), 0.9));
    }
    Point left = plain.get(Landmark.CHEEK_L).place();
    Point right = plain.get(Landmark.CHEEK_R).place();
    Point middle = left.midpointTo(right);
    low.put(
        Landmark.CHEEK_L, new Proposal.Proposed(middle.plus(left.minus(middle).times(1.2)), 0.7));
    low.put(
        Landmark.CHEEK_R, new Proposal.Proposed(middle.plus(right.minus(middle).times(1.2)), 0.7));
    CanonFigure.addTo(low, false, View.FRONT);
    Point line = plain.get(Landmark.HAIRLINE).place();
    double eyeLine = plain.get(Landmark.EYE_L_OUTER).place().y() - 100;
    assertThat(low.get(Landmark.HAIRLINE).place().y() - 100)
        .isCloseTo((line.y() - 100) * (eyeLine + 30) / eyeLine, offset(1e-6));
    double earOut = middle.x() - plain.get(Landmark.EAR_L_BASE).place().x();
    assertThat(middle.x() - low.get(Landmark.EAR_L_BASE).place().x())
        .isCloseTo(1.2 * earOut, offset(1e-6));
    assertThat(low.get(Landmark.HAIRLINE).confidence())
        .isGreaterThan(low.get(Landmark.NECK_L).confidence());
  }

  @Test
  void aPupilStaysInItsIris() {
    Map<Landmark, Proposal.Proposed> working = headOnly();
    working.put(Landmark.IRIS_L_CENTRE, new Proposal.Proposed(new Point(260, 210), 0.8));
    working.put(Landmark.IRIS_L_EDGE, new Proposal.Proposed(new Point(272, 210), 0.7));
    CanonFigure.addTo(working, false, View.FRONT);
    Proposal.Proposed pupil = working.get(Landmark.PUPIL_L);
    assertThat(pupil.place().x()).isBetween(262.0, 270.0);
    assertThat(pupil.place().y()).isCloseTo(210, offset(1e-9));
    assertThat(pupil.confidence()).isEqualTo(0.8);
  }

  @Test
  void withoutAHeadTheCanonSaysNothing() {
    Map<Landmark, Proposal.Proposed> working = new EnumMap<>(Landmark.class);
    CanonFigure.addTo(working, true, View.FRONT);
    assertThat(working).isEmpty();
  }

  private static Map<Landmark, Proposal.Proposed> headOnly() {
    Map<Landmark, Proposal.Proposed> working = new EnumMap<>(Landmark.class);
    working.put(Landmark.CROWN, new Proposal.Proposed(new Point(300, 100), 0.6));
    working.put(Landmark.CHIN, new Proposal.Proposed(new Point(300, 300), 0.6));
    return working;
  }
}
