package penmirror.benchmark;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import penmirror.core.figure.View;
import penmirror.core.proposal.ViewReader;
import penmirror.core.raster.Picture;
import penmirror.demoart.figure.Mood;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Hands;
import penmirror.demoart.studio.Illustration;

/**
 * Fits the weights by which the side a figure is seen from is told: multinomial logistic regression
 * with a ridge, on figures drawn for it alone. Writes the table, and tells how often it is right on
 * a fifth of them that was left out, five times over.
 */
public final class ViewWeights {
  private static final int FIGURES = 700;
  private static final long SEED = 11;
  private static final List<View> VIEWS = List.of(View.FRONT, View.THREE_QUARTER, View.SIDE);
  private static final double RIDGE = 1;
  private static final int STEPS = 3000;
  private static final double STEP = 0.5;
  private static final int FOLDS = 5;

  /** How far parameters of the hands are moved, as a share of themselves. */
  private static final double BY = 0.2;

  /** What makes one hand's faces and figures unlike another's. */
  static final List<Parameter> MOVED =
      List.of(
          Parameter.EYE_LINE,
          Parameter.EYE_WIDTH,
          Parameter.EYE_ASPECT,
          Parameter.EYE_SPACING,
          Parameter.BROW_GAP,
          Parameter.NOSE_BASE,
          Parameter.MOUTH_WIDTH,
          Parameter.HEAD_ASPECT,
          Parameter.IRIS,
          Parameter.STATURE,
          Parameter.JAW,
          Parameter.HAIR_LIFT);

  private static final List<Pose> POSES =
      List.of(
          Pose.STANDING,
          Pose.WALKING,
          Pose.ARMS_UP,
          Pose.LEANING,
          Pose.SEATED,
          Pose.HOLDING_UP,
          Pose.HANDS_ON_HIPS,
          Pose.CARRYING,
          Pose.POINTING);

  private final List<double[]> signs = new ArrayList<>();
  private final List<Integer> views = new ArrayList<>();

  private ViewWeights() {}

  /**
   * @param arguments where the table is written to
   */
  public static void main(String[] arguments) throws IOException {
    ViewWeights fit = new ViewWeights();
    fit.draw();
    System.out.printf(
        Locale.ROOT,
        "left out: %.1f %% right, said as sure (0.85) %.1f %%, of these wrong %.1f %%%n",
        fit.crossed());
    double[][] weights = fit.weights(fit.all(-1));
    StringBuilder table = new StringBuilder();
    table.append("# Weights of what a head's silhouette, tones and eyes say for each view.\n");
    table
        .append("# Fitted ")
        .append(LocalDate.now(ZoneOffset.UTC))
        .append(" by ViewWeights (benchmark) on ");
    table.append(FIGURES).append(" made-up figures.\n# sign,front,three-quarter,side\n");
    for (int i = 0; i < ViewReader.signs().size(); i++) {
      table.append(
          String.format(
              Locale.ROOT,
              "%s,%.4f,%.4f,%.4f%n",
              ViewReader.signs().get(i),
              weights[0][i],
              weights[1][i],
              weights[2][i]));
    }
    Files.writeString(Path.of(arguments[0]), table.toString());
  }

  private void draw() {
    Random random = new Random(SEED);
    List<Manner> hands =
        List.of(Hands.ODILE, Hands.CASIMIR, Hands.INES, Hands.INES_INKED, Hands.OWN);
    List<List<Commission>> folders =
        List.of(
            DemoStudio.odileMarrow().sources(),
            DemoStudio.casimirThole().sources(),
            DemoStudio.inesVantour().sources(),
            DemoStudio.inesVantour().sources(),
            DemoStudio.ownHand());
    List<Commission> everybody = folders.stream().flatMap(List::stream).toList();
    List<Commission> all = new ArrayList<>();
    for (int i = 0; i < FIGURES; i++) {
      int hand = i % hands.size();
      List<Commission> home = random.nextBoolean() ? folders.get(hand) : everybody;
      Commission model = home.get(random.nextInt(home.size()));
      View view = VIEWS.get(Math.min(2, random.nextInt(5) / 2));
      Cut cut = Cut.values()[random.nextInt(Cut.values().length)];
      Commission made =
          new Commission(
              "made-" + i,
              "made",
              hands.get(hand).moved("made " + i, MOVED, BY, random),
              model.subject(),
              model.palette(),
              cut == Cut.FULL ? POSES.get(random.nextInt(POSES.size())) : Pose.STANDING,
              view,
              cut,
              Mood.USUAL.get(random.nextInt(Mood.USUAL.size())),
              random.nextBoolean(),
              random.nextInt(100_000),
              List.of());
      all.add(made);
      views.add(VIEWS.indexOf(view));
    }
    signs.addAll(all.parallelStream().map(ViewWeights::signsOf).toList());
  }

  private static double[] signsOf(Commission made) {
    // About the size at which pictures are looked at.
    double scale = made.cut() == Cut.FULL ? 0.5 : 0.62;
    return ViewReader.signsOf(Picture.from(Illustration.of(made, scale).image()));
  }

  /** Right, sure, and wrong among the sure, percent, of those left out. */
  private Object[] crossed() {
    int right = 0;
    int sure = 0;
    int wrong = 0;
    for (int fold = 0; fold < FOLDS; fold++) {
      double[][] weights = weights(all(fold));
      for (int i = fold; i < signs.size(); i += FOLDS) {
        double[] chances = chances(weights, signs.get(i));
        int best = best(chances);
        boolean isRight = best == views.get(i);
        boolean isSure = chances[best] >= 0.85;
        right += isRight ? 1 : 0;
        sure += isSure ? 1 : 0;
        wrong += isSure && !isRight ? 1 : 0;
      }
    }
    double n = signs.size();
    return new Object[] {100 * right / n, 100 * sure / n, 100.0 * wrong / Math.max(1, sure)};
  }

  private List<Integer> all(int exceptFold) {
    List<Integer> all = new ArrayList<>();
    for (int i = 0; i < signs.size(); i++) {
      if (exceptFold < 0 || i % FOLDS != exceptFold) {
        all.add(i);
      }
    }
    return all;
  }

  private double[][] weights(List<Integer> which) {
    int n = ViewReader.signs().size();
    double[] mean = new double[n];
    double[] spread = new double[n];
    for (int i : which) {
      for (int k = 0; k < n; k++) {
        mean[k] += signs.get(i)[k] / which.size();
      }
    }
    for (int i : which) {
      for (int k = 0; k < n; k++) {
        spread[k] += Math.pow(signs.get(i)[k] - mean[k], 2) / which.size();
      }
    }
    mean[0] = 0;
    for (int k = 0; k < n; k++) {
      spread[k] = k == 0 ? 1 : Math.sqrt(spread[k]) + 1e-6;
    }
    double[][] scaled = new double[VIEWS.size()][n];
    for (int step = 0; step < STEPS; step++) {
      double[][] slope = new double[VIEWS.size()][n];
      for (int i : which) {
        double[] z = new double[n];
        for (int k = 0; k < n; k++) {
          z[k] = (signs.get(i)[k] - mean[k]) / spread[k];
        }
        double[] chances = chances(scaled, z);
        for (int v = 0; v < VIEWS.size(); v++) {
          double off = chances[v] - (views.get(i) == v ? 1 : 0);
          for (int k = 0; k < n; k++) {
            slope[v][k] += off * z[k] / which.size();
          }
        }
      }
      for (int v = 0; v < VIEWS.size(); v++) {
        for (int k = 0; k < n; k++) {
          scaled[v][k] -= STEP * (slope[v][k] + RIDGE * scaled[v][k] / which.size());
        }
      }
    }
    for (double[] view : scaled) {
      for (int k = 1; k < n; k++) {
        view[0] -= view[k] * mean[k] / spread[k];
        view[k] /= spread[k];
      }
    }
    return scaled;
  }

  private static double[] chances(double[][] weights, double[] signs) {
    double[] scores = new double[weights.length];
    for (int v = 0; v < weights.length; v++) {
      for (int k = 0; k < signs.length; k++) {
        scores[v] += weights[v][k] * signs[k];
      }
    }
    double most = Arrays.stream(scores).max().orElse(0);
    double[] chances = Arrays.stream(scores).map(s -> Math.exp(s - most)).toArray();
    double sum = Arrays.stream(chances).sum();
    return Arrays.stream(chances).map(c -> c / sum).toArray();
  }

  private static int best(double[] chances) {
    int best = 0;
    for (int v = 1; v < chances.length; v++) {
      best = chances[v] > chances[best] ? v : best;
    }
    return best;
  }
}
