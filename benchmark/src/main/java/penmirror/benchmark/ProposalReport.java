package penmirror.benchmark;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.proposal.FacePatch;
import penmirror.core.proposal.MarkedFigure;
import penmirror.core.proposal.Proposal;
import penmirror.core.proposal.Proposer;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/**
 * How well landmarks are proposed on the demo studio, as tables for docs/proposals.md: by landmark,
 * view and number of marked works, and how well the stated confidence holds.
 */
public final class ProposalReport {
  private static final int[] MARKED = {0, 1, 3};
  private static final double RIGHT = 0.05;
  private static final double LEFT_ALONE = 0.04;

  private record Outcome(double error, double confidence) {}

  private final Map<String, List<Outcome>> byLandmark = new TreeMap<>();
  private final List<Outcome> all = new ArrayList<>();
  private final List<Integer> actions = new ArrayList<>();

  private ProposalReport() {}

  public static void main(String[] arguments) throws IOException {
    StringBuilder text = new StringBuilder();
    for (int marked : MARKED) {
      ProposalReport report = new ProposalReport();
      report.run(marked);
      report.write(text, marked);
    }
    if (arguments.length > 0) {
      Files.writeString(Path.of(arguments[0]), text.toString());
    } else {
      System.out.print(text);
    }
  }

  private void run(int marked) {
    Map<String, List<MarkedFigure>> known = new HashMap<>();
    for (Commission commission : sources()) {
      Illustration work = Illustration.of(commission);
      Marks truth = work.marks();
      if (truth.headFrame().isEmpty()) {
        continue;
      }
      Picture picture = Picture.from(work.image());
      String study = commission.manner().name() + truth.view();
      List<MarkedFigure> before = known.computeIfAbsent(study, key -> new ArrayList<>());
      if (before.size() >= marked) {
        Proposal proposal = new Proposer(before.subList(0, marked)).propose(picture, truth.view());
        collect(truth, proposal);
      }
      before.add(new MarkedFigure(truth, FacePatch.of(picture, truth, 1)));
    }
  }

  private static List<Commission> sources() {
    List<Commission> sources = new ArrayList<>();
    sources.addAll(DemoStudio.odileMarrow().sources());
    sources.addAll(DemoStudio.casimirThole().sources());
    sources.addAll(DemoStudio.inesVantour().sources());
    sources.addAll(DemoStudio.ownHand());
    return sources;
  }

  private void collect(Marks truth, Proposal proposal) {
    double head = truth.headFrame().orElseThrow().headPixels();
    int count = 2;
    for (Landmark landmark : truth.landmarks().keySet()) {
      Optional<Point> place = truth.point(landmark);
      if (place.isEmpty()) {
        continue;
      }
      Optional<Proposal.Proposed> proposed = proposal.point(landmark);
      boolean stays =
          proposed
              .filter(p -> pixelsOff(truth, landmark, place.get(), p.place()) <= LEFT_ALONE * head)
              .isPresent();
      count += stays ? 0 : 1;
      boolean seen = truth.landmarks().get(landmark).state() == Mark.State.PLACED;
      if (proposed.isPresent() && seen) {
        double pixels = pixelsOff(truth, landmark, place.get(), proposed.get().place());
        Outcome outcome = new Outcome(pixels / head, proposed.get().confidence());
        byLandmark
            .computeIfAbsent(name(landmark) + " | " + truth.view().word(), k -> new ArrayList<>())
            .add(outcome);
        all.add(outcome);
      }
    }
    if (truth.view() == View.FRONT || truth.view() == View.THREE_QUARTER) {
      actions.add(count);
    }
  }

  /** Of hair top and sole only the height tells; an iris' edge may stand anywhere on its rim. */
  private static double pixelsOff(Marks truth, Landmark landmark, Point place, Point found) {
    return switch (landmark) {
      case HAIR_TOP, SOLE -> Math.abs(found.y() - place.y());
      case IRIS_L_EDGE -> offRim(truth, Landmark.IRIS_L_CENTRE, place, found);
      case IRIS_R_EDGE -> offRim(truth, Landmark.IRIS_R_CENTRE, place, found);
      case PUPIL_L -> offRim(truth, Landmark.IRIS_L_CENTRE, place, found);
      case PUPIL_R -> offRim(truth, Landmark.IRIS_R_CENTRE, place, found);
      default -> found.distanceTo(place);
    };
  }

  private static double offRim(Marks truth, Landmark centre, Point place, Point found) {
    return truth
        .point(centre)
        .map(middle -> Math.abs(found.distanceTo(middle) - place.distanceTo(middle)))
        .orElse(found.distanceTo(place));
  }

  /** Left and right together. */
  private static String name(Landmark landmark) {
    return landmark.key().replaceFirst("_[lr](?=_|$)", "");
  }

  private void write(StringBuilder text, int marked) {
    text.append("\n### ")
        .append(marked == 0 ? "No work marked" : marked + " marked")
        .append(
            "\n\n| landmark | view | n | median | 90 % under | within 5 % | stated |\n"
                + "|---|---|---|---|---|---|---|\n");
    byLandmark.forEach(
        (name, outcomes) -> {
          double[] errors = outcomes.stream().mapToDouble(Outcome::error).sorted().toArray();
          text.append(
              String.format(
                  Locale.ROOT,
                  "| %s | %d | %.1f | %.1f | %.0f | %.2f |%n",
                  name,
                  errors.length,
                  100 * errors[errors.length / 2],
                  100 * errors[(int) Math.ceil(0.9 * (errors.length - 1))],
                  100.0 * Arrays.stream(errors).filter(e -> e <= RIGHT).count() / errors.length,
                  outcomes.stream().mapToDouble(Outcome::confidence).average().orElse(0)));
        });
    text.append("\nStated confidence against the share that was right, all points:\n\n");
    text.append("| stated | right | n |\n|---|---|---|\n");
    for (int decile = 0; decile < 10; decile++) {
      int at = decile;
      List<Outcome> in =
          all.stream().filter(o -> Math.min(9, (int) (10 * o.confidence())) == at).toList();
      if (!in.isEmpty()) {
        text.append(
            String.format(
                Locale.ROOT,
                "| %.2f | %.2f | %d |%n",
                in.stream().mapToDouble(Outcome::confidence).average().orElse(0),
                in.stream().filter(o -> o.error() <= RIGHT).count() / (double) in.size(),
                in.size()));
      }
    }
    actions.sort(null);
    if (!actions.isEmpty()) {
      text.append(
          String.format(
              Locale.ROOT,
              "%nActions for a full set: median %d, of %d figures from the front and"
                  + " three-quarter.%n",
              actions.get(actions.size() / 2),
              actions.size()));
    }
  }
}
