package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import penmirror.core.OpenArt;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import tools.jackson.databind.JsonNode;

/**
 * Proposals on the openly licensed heads, whose vector source tells where eyes, nose, mouth and
 * brows are: found by drawing each head without the part.
 */
class ProposerTest {
  private static final int SIZE_PIXELS = 768;

  /** The size at which the truth was taken. */
  private static final double TRUTH_PIXELS = 768;

  /** Crown to chin of these heads, by eye off a grid; errors are counted against it. */
  private static final double HEAD_PIXELS = 300 * SIZE_PIXELS / TRUTH_PIXELS;

  @Test
  void featuresOfOpenHeadsAreFound() throws IOException {
    Map<String, List<Double>> errors = new TreeMap<>();
    JsonNode truth = OpenArt.truth();
    for (String head : OpenArt.heads()) {
      JsonNode parts = truth.path(head).path("parts");
      if (parts.path("eyes").isMissingNode()) {
        continue;
      }
      Proposal proposal =
          new Proposer(List.of()).propose(OpenArt.draw("heads", head, SIZE_PIXELS), View.FRONT);
      JsonNode eyes = parts.path("eyes").path("box");
      add(errors, "eyes", eyes, 0, at(proposal, Landmark.EYE_L_OUTER).x());
      add(errors, "eyes", eyes, 2, at(proposal, Landmark.EYE_R_OUTER).x());
      JsonNode mouth = parts.path("mouth").path("box");
      add(errors, "mouth", mouth, 0, at(proposal, Landmark.MOUTH_L).x());
      add(errors, "mouth", mouth, 2, at(proposal, Landmark.MOUTH_R).x());
      add(errors, "nose", parts.path("nose").path("box"), 3, at(proposal, Landmark.NOSE_BASE).y());
    }
    // Of 24 heads; docs/proposals.md has every figure.
    assertThat(shareWithin(errors.get("eyes"), 0.05)).isGreaterThanOrEqualTo(0.9);
    assertThat(shareWithin(errors.get("mouth"), 0.05)).isGreaterThanOrEqualTo(0.85);
    assertThat(shareWithin(errors.get("nose"), 0.05)).isGreaterThanOrEqualTo(0.85);
  }

  /** What is proposed follows the picture: larger, and in a mirror. */
  @Test
  void aLargerPictureGivesTheSamePlacesLarger() {
    Proposal small = propose(OpenArt.draw("heads", "notionists-04", 500));
    Proposal large = propose(OpenArt.draw("heads", "notionists-04", 1000));
    for (Landmark landmark :
        List.of(Landmark.EYE_L_OUTER, Landmark.EYE_R_OUTER, Landmark.MOUTH_L, Landmark.HAIR_TOP)) {
      assertThat(at(large, landmark).times(0.5).distanceTo(at(small, landmark)))
          .as(landmark.key())
          .isLessThan(5);
    }
  }

  @Test
  void aMirroredPictureGivesMirroredPlaces() {
    Picture picture = OpenArt.draw("heads", "notionists-06", SIZE_PIXELS);
    Proposal straight = propose(picture);
    Proposal turned = propose(mirrored(picture));
    for (Landmark landmark : List.of(Landmark.EYE_L_OUTER, Landmark.MOUTH_L, Landmark.CHIN)) {
      Point there = at(turned, landmark.mirrored());
      assertThat(new Point(SIZE_PIXELS - there.x(), there.y()).distanceTo(at(straight, landmark)))
          .as(landmark.key())
          .isLessThan(0.05 * HEAD_PIXELS);
    }
  }

  /** Heads of one illustrator: three of them marked say where the chin of a fourth is. */
  @Test
  void markedFiguresSayWhatPixelsCannot() {
    List<MarkedFigure> marked = new ArrayList<>();
    for (String head : List.of("notionists-00", "notionists-03", "notionists-05")) {
      Picture picture = OpenArt.draw("heads", head, SIZE_PIXELS);
      Marks marks = propose(picture).marks(0);
      Point eye = marks.require(Landmark.EYE_L_OUTER);
      marks =
          marks
              .with(Landmark.CROWN, Mark.placed(eye.x() + 45, eye.y() - 130))
              .with(Landmark.CHIN, Mark.placed(eye.x() + 45, eye.y() + 130))
              .with(Landmark.NECK_BASE, Mark.placed(eye.x() + 20, eye.y() + 180));
      marked.add(new MarkedFigure(marks, FacePatch.of(picture, marks, 1)));
    }
    Picture next = OpenArt.draw("heads", "notionists-06", SIZE_PIXELS);
    // Alone there is only where a realistic adult has it, and that is said to be a guess.
    double guess = propose(next).point(Landmark.NECK_BASE).orElseThrow().confidence();
    Proposal learned = new Proposer(marked).propose(next, View.FRONT);
    assertThat(learned.point(Landmark.NECK_BASE).orElseThrow().confidence()).isGreaterThan(guess);
    Point expected = at(learned, Landmark.EYE_L_OUTER).plus(new Point(20, 180));
    assertThat(at(learned, Landmark.NECK_BASE).distanceTo(expected)).isLessThan(0.1 * HEAD_PIXELS);
    assertThat(learned.point(Landmark.EYE_L_OUTER).orElseThrow().confidence()).isGreaterThan(0.8);
  }

  @Test
  void figuresOfAnotherViewTeachNothing() {
    Picture picture = OpenArt.draw("heads", "notionists-00", SIZE_PIXELS);
    Marks side = propose(picture).marks(0).withView(View.SIDE);
    Proposal alone = propose(picture);
    Proposal beside =
        new Proposer(List.of(new MarkedFigure(side, Optional.empty())))
            .propose(picture, View.FRONT);
    assertThat(beside).isEqualTo(alone);
  }

  /** Eyes that somebody marked decide, and are not offered again. */
  @Test
  void markedEyesDecideWhereTheFaceIs() {
    Picture picture = OpenArt.draw("heads", "notionists-02", SIZE_PIXELS);
    Proposal free = propose(picture);
    Marks eyes = Marks.none(View.FRONT);
    for (Landmark landmark :
        List.of(
            Landmark.EYE_L_OUTER,
            Landmark.EYE_L_INNER,
            Landmark.EYE_R_INNER,
            Landmark.EYE_R_OUTER)) {
      Point place = at(free, landmark);
      eyes = eyes.with(landmark, Mark.placed(place.x(), place.y()));
    }
    Proposal rest = new Proposer(List.of()).propose(picture, eyes);
    assertThat(rest.points()).doesNotContainKeys(Landmark.EYE_L_OUTER, Landmark.EYE_R_INNER);
    assertThat(at(rest, Landmark.MOUTH_L).distanceTo(at(free, Landmark.MOUTH_L)))
        .isLessThan(0.1 * HEAD_PIXELS);
  }

  @Test
  void fromBehindOnlyTheSilhouetteIsProposed() {
    Proposal behind =
        new Proposer(List.of())
            .propose(OpenArt.draw("heads", "notionists-00", SIZE_PIXELS), View.BACK);
    assertThat(behind.points()).containsOnlyKeys(Landmark.HAIR_TOP);
  }

  /** Nothing to see: no places are invented, and none lies outside the picture. */
  @Test
  void picturesWithoutAFigureGiveNothingSure() {
    int[][] sizes = {{1, 1}, {3, 400}, {400, 3}, {300, 300}};
    for (int[] size : sizes) {
      for (int colour : new int[] {0xFFFFFF, 0x000000}) {
        int[] rgb = new int[size[0] * size[1]];
        Arrays.fill(rgb, colour);
        Proposal proposal = propose(Picture.of(size[0], size[1], rgb));
        proposal
            .points()
            .forEach(
                (landmark, proposed) -> {
                  assertThat(proposed.place().x()).isBetween(0.0, (double) size[0]);
                  assertThat(proposed.place().y()).isBetween(0.0, (double) size[1]);
                });
        assertThat(proposal.point(Landmark.EYE_L_OUTER)).isEmpty();
      }
    }
  }

  @Test
  void noiseGivesNoConfidentFace() {
    Random random = new Random(3);
    int[] rgb = new int[300 * 300];
    Arrays.setAll(rgb, i -> random.nextInt(0x1000000));
    Proposal proposal = propose(Picture.of(300, 300, rgb));
    proposal
        .point(Landmark.EYE_L_OUTER)
        .ifPresent(eye -> assertThat(eye.confidence()).isLessThan(0.3));
  }

  @Test
  void whatIsNotSureEnoughBecomesNoMark() {
    Proposal proposal =
        new Proposal(
            View.FRONT,
            Map.of(
                Landmark.CHIN, new Proposal.Proposed(new Point(1, 2), 0.6),
                Landmark.CROWN, new Proposal.Proposed(new Point(1, 1), 0.3)),
            new Proposal.Box(0, 0, 9, 9));
    Marks marks = proposal.marks(0.5);
    assertThat(marks.landmarks()).containsOnlyKeys(Landmark.CHIN);
    assertThat(marks.landmarks().get(Landmark.CHIN).state()).isEqualTo(Mark.State.PROPOSED);
  }

  @Test
  void confidenceFallsAsTheSpreadGrows() {
    assertThat(Confidence.ofSpread(0.01)).isEqualTo(0.95);
    // A round cloud keeps within its spread in 39 cases of 100.
    assertThat(Confidence.ofSpread(0.05)).isCloseTo(0.393, offset(0.001));
    assertThat(Confidence.ofSpread(0.5)).isLessThan(0.01);
    assertThat(Confidence.ofLearnedSpread(0.05)).isGreaterThan(Confidence.ofLearnedSpread(0.1));
    assertThat(Confidence.ofPair(14, 0.5)).isGreaterThan(0.99);
    assertThat(Confidence.ofPair(-1, 0.5)).isLessThan(0.01);
  }

  private static Proposal propose(Picture picture) {
    return new Proposer(List.of()).propose(picture, View.FRONT);
  }

  private static Point at(Proposal proposal, Landmark landmark) {
    return proposal.point(landmark).orElseThrow().place();
  }

  private static void add(
      Map<String, List<Double>> errors, String part, JsonNode box, int side, double found) {
    if (!box.isMissingNode()) {
      errors
          .computeIfAbsent(part, key -> new ArrayList<>())
          .add(
              Math.abs(found - box.get(side).asDouble() * SIZE_PIXELS / TRUTH_PIXELS)
                  / HEAD_PIXELS);
    }
  }

  private static double shareWithin(List<Double> errors, double limit) {
    return errors.stream().filter(error -> error <= limit).count() / (double) errors.size();
  }

  private static Picture mirrored(Picture picture) {
    int width = picture.widthPixels();
    int[] rgb = new int[picture.pixelCount()];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = picture.rgb(i / width * width + width - 1 - i % width);
    }
    return Picture.of(width, picture.heightPixels(), rgb);
  }
}
