package penmirror.benchmark;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.proposal.FacePatch;
import penmirror.core.proposal.FirstSight;
import penmirror.core.proposal.MarkedFigure;
import penmirror.core.proposal.Proposal;
import penmirror.core.proposal.Proposer;
import penmirror.core.proposal.ToAsk;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/**
 * What looking through the demo studio's pictures takes and leaves, as a table for
 * docs/first-sight.md. Somebody answers every question with the truth, a point that lies more than
 * a hundredth of the head off is brought there, and touches nothing that is not asked. Each work
 * that was looked at teaches those after it.
 */
public final class LookingThroughReport {
  private static final double NEAR = 0.01;
  private static final Set<String> EYES = Set.of("eye_l", "eye_r", "iris_l", "iris_r");

  private LookingThroughReport() {}

  public static void main(String[] arguments) throws IOException {
    System.out.println("| hand | works | actions a head | a figure | eyes off | all off | 90 % |");
    System.out.println("|---|---|---|---|---|---|---|");
    hand("Odile", DemoStudio.odileMarrow().sources());
    hand("Casimir", DemoStudio.casimirThole().sources());
    hand("Ines", DemoStudio.inesVantour().sources());
    hand("own", DemoStudio.ownHand());
  }

  private static void hand(String name, List<Commission> commissions) {
    List<MarkedFigure> marked = new ArrayList<>();
    List<Integer> heads = new ArrayList<>();
    List<Integer> figures = new ArrayList<>();
    List<Double> eyes = new ArrayList<>();
    List<Double> all = new ArrayList<>();
    for (Commission commission : commissions) {
      Illustration work = Illustration.of(commission);
      Picture picture = Picture.from(work.image());
      Marks truth = work.marks();
      FirstSight sight = new Proposer(marked).look(picture);
      Framing framing =
          switch (commission.cut()) {
            case FULL -> Framing.FULL;
            case BUST -> Framing.BUST;
            case FACE -> Framing.FACE;
          };
      int actions = 0;
      boolean isOther =
          sight.view().map(v -> v.what() != commission.view()).orElse(true)
              || sight.framing().map(f -> f.what() != framing).orElse(true);
      if (isOther) {
        actions += 2;
        Proposal again = new Proposer(marked).propose(picture, commission.view());
        sight =
            new FirstSight(
                Optional.of(new FirstSight.Seen<>(commission.view(), 1)),
                Optional.of(new FirstSight.Seen<>(framing, 1)),
                sight.turn(),
                again);
      }
      ToAsk ask = ToAsk.of(sight, commission.view(), Optional.of(framing));
      actions += Math.max(1, ask.count());
      Marks said = Marks.none(commission.view());
      Optional<Double> head = truth.headFrame().map(frame -> frame.headPixels());
      for (Landmark landmark : ask.taken()) {
        said =
            said.with(
                landmark,
                Mark.at(sight.proposal().point(landmark).orElseThrow().place(), Mark.State.PLACED));
      }
      for (Landmark landmark : ask.doubts()) {
        Optional<Point> place = truth.point(landmark);
        Point seen = sight.proposal().point(landmark).orElseThrow().place();
        boolean isOff =
            place.isPresent()
                && head.isPresent()
                && place.get().distanceTo(seen) > NEAR * head.get();
        actions += isOff ? 1 : 0;
        said =
            said.with(
                landmark, place.map(p -> Mark.at(p, Mark.State.PLACED)).orElse(Mark.hidden()));
      }
      (framing == Framing.FULL ? figures : heads).add(actions);
      if (head.isPresent()) {
        for (Landmark landmark : said.landmarks().keySet()) {
          Optional<Point> place = truth.point(landmark);
          Optional<Point> there = said.point(landmark);
          if (place.isPresent() && there.isPresent() && isSeen(truth, landmark)) {
            double off = off(landmark, place.get(), there.get()) / head.get();
            all.add(off);
            if (EYES.stream().anyMatch(landmark.key()::startsWith)
                && !landmark.key().contains("edge")) {
              eyes.add(off);
            }
          }
        }
      }
      marked.add(new MarkedFigure(said, FacePatch.of(picture, said, 1)));
    }
    System.out.printf(
        Locale.ROOT,
        "| %s | %d | %s | %s | %.1f | %.1f | %.1f |%n",
        name,
        commissions.size(),
        median(heads),
        median(figures),
        100 * at(eyes, 0.5),
        100 * at(all, 0.5),
        100 * at(all, 0.9));
  }

  private static boolean isSeen(Marks truth, Landmark landmark) {
    return Optional.ofNullable(truth.landmarks().get(landmark))
        .filter(mark -> mark.state() == Mark.State.PLACED)
        .isPresent();
  }

  /** Of hair top and sole only the height tells. */
  private static double off(Landmark landmark, Point place, Point there) {
    return landmark == Landmark.HAIR_TOP || landmark == Landmark.SOLE
        ? Math.abs(place.y() - there.y())
        : place.distanceTo(there);
  }

  private static String median(List<Integer> values) {
    values.sort(null);
    return values.isEmpty() ? "–" : Integer.toString(values.get(values.size() / 2));
  }

  private static double at(List<Double> values, double share) {
    values.sort(null);
    return values.isEmpty() ? 0 : values.get((int) (share * (values.size() - 1)));
  }
}
