package penmirror.core.proposal;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.raster.Picture;

/**
 * Tells from which side a figure is seen and which way it is turned, by linear weights on what the
 * head's silhouette, its tones and the best pair of eyes say. The weights were fitted on drawn
 * figures; their table says when, on what and by which program.
 */
public final class ViewReader {
  private static final String TABLE = "view-weights.csv";

  /** The views that are told apart; from behind is what is left where nothing of a face is seen. */
  private static final List<View> VIEWS = List.of(View.FRONT, View.THREE_QUARTER, View.SIDE);

  /** A pair of eyes that scores less is none. */
  private static final double NO_EYES = 1;

  /**
   * With a pair that scores more, a head is seen from no side: none of 79 drawn profiles had one.
   */
  private static final double CLEAR_EYES = 9.5;

  /** A head without eyes whose two sides are alike in form and tone is seen from behind. */
  private static final double ALIKE_FORM = 0.1;

  private static final double ALIKE_TONES = 0.05;
  private static final double BACK_CHANCE = 0.6;

  /** From here on one half of a head is dark, by light or by solid black. */
  private static final double HALF_DARK = 0.3;

  /** Of a half dark head the side is never sure: three in four are right, docs/proposals.md. */
  private static final double HALF_DARK_CHANCE = 0.75;

  /** Less of the picture than this is no figure. */
  private static final double LEAST_FIGURE = 0.02;

  private ViewReader() {}

  /** Read when first asked for: whoever fits them needs the rest without them. */
  private static final class Weights {
    static final double[][] ALL = weights();
  }

  /**
   * @param view empty where no figure stands out
   * @param turn empty from the front and from behind, and where nothing tells
   */
  record Told(
      Optional<FirstSight.Seen<View>> view,
      Optional<FirstSight.Seen<Turn>> turn,
      HeadView.Head head) {}

  static Told read(Proposer.Sought sought) {
    HeadView head = HeadView.of(sought);
    Ground whole = sought.whole();
    double share = whole.figure.count() / (double) (whole.width * whole.height);
    if (share < LEAST_FIGURE || share > 0.995) {
      return new Told(Optional.empty(), Optional.empty(), head.head());
    }
    if (head.score() < NO_EYES && head.formOff() < ALIKE_FORM && head.tonesOff() < ALIKE_TONES) {
      return new Told(
          Optional.of(new FirstSight.Seen<>(View.BACK, BACK_CHANCE)),
          Optional.empty(),
          head.head());
    }
    double[] chances = chances(head.features());
    if (head.score() > CLEAR_EYES) {
      chances = withoutTheSide(chances);
    }
    int best = 0;
    for (int i = 1; i < chances.length; i++) {
      best = chances[i] > chances[best] ? i : best;
    }
    View view = VIEWS.get(best);
    boolean isHalfDark = head.isHalfLit() || head.tonesOff() > HALF_DARK;
    double chance = isHalfDark ? Math.min(HALF_DARK_CHANCE, chances[best]) : chances[best];
    return new Told(
        Optional.of(new FirstSight.Seen<>(view, chance)),
        view == View.FRONT ? Optional.empty() : head.turn(),
        head.head());
  }

  private static double[] withoutTheSide(double[] chances) {
    double rest = 1 - chances[VIEWS.indexOf(View.SIDE)];
    double[] other = new double[chances.length];
    for (int v = 0; v < other.length; v++) {
      other[v] = VIEWS.get(v) == View.SIDE ? 0 : rest > 0 ? chances[v] / rest : 0.5;
    }
    return other;
  }

  /**
   * What the weights are put on, for fitting them.
   *
   * @return one number for each of {@link #signs()}
   */
  public static double[] signsOf(Picture picture) {
    return HeadView.of(Proposer.seek(new Ground(picture))).features();
  }

  /** Names of what the weights are put on. */
  public static List<String> signs() {
    return HeadView.NAMES;
  }

  /** Chances of each view; they add up to 1. */
  private static double[] chances(double[] features) {
    double[] scores = new double[Weights.ALL.length];
    for (int v = 0; v < Weights.ALL.length; v++) {
      for (int i = 0; i < features.length; i++) {
        scores[v] += Weights.ALL[v][i] * features[i];
      }
    }
    double most = Arrays.stream(scores).max().orElse(0);
    double[] chances = Arrays.stream(scores).map(score -> Math.exp(score - most)).toArray();
    double sum = Arrays.stream(chances).sum();
    return Arrays.stream(chances).map(chance -> chance / sum).toArray();
  }

  private static double[][] weights() {
    List<double[]> rows = new ArrayList<>();
    try (InputStream in = ViewReader.class.getResourceAsStream(TABLE);
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (!line.startsWith("#")) {
          rows.add(
              Arrays.stream(line.split(",")).skip(1).mapToDouble(Double::parseDouble).toArray());
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("The table of view weights cannot be read.", e);
    }
    if (rows.size() != HeadView.NAMES.size()) {
      throw new IllegalStateException(
          "The table of view weights has "
              + rows.size()
              + " rows, expected "
              + HeadView.NAMES.size());
    }
    double[][] weights = new double[VIEWS.size()][rows.size()];
    for (int i = 0; i < rows.size(); i++) {
      for (int v = 0; v < VIEWS.size(); v++) {
        weights[v][i] = rows.get(i)[v];
      }
    }
    return weights;
  }
}
