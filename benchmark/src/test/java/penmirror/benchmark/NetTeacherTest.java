package penmirror.benchmark;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.proposal.net.ConvNet;
import penmirror.core.proposal.net.Layer;

/** The slopes a net is taught by, against differences of the loss itself. */
class NetTeacherTest {
  private static final float STEP = 1e-3f;

  private final Random random = new Random(4);
  private ConvNet net = ConvNet.empty(8, 2, List.of(3, 4), 6, 5);

  private NetTeacher.Example example(int which) {
    float[] square = new float[128];
    for (int i = 0; i < square.length; i++) {
      square[i] = (float) random.nextGaussian();
    }
    for (Layer layer : net.layers()) {
      for (float[] row : layer.weights()) {
        for (int k = 0; k < row.length; k++) {
          row[k] = (float) (0.5 * random.nextGaussian());
        }
      }
    }
    return new NetTeacher.Example(
        square, which, new float[] {0.3f, -0.2f, 5, 1}, new boolean[] {true, which == 1});
  }

  /** Logistic for whether, Huber for where, the mean over landmarks. */
  private double loss(NetTeacher.Example example, int first) {
    float[] said = net.of(example.square());
    double loss = 0;
    if (first == 1) {
      double chance = 1 / (1 + Math.exp(-said[0]));
      loss = -Math.log(example.which() == 1 ? chance : 1 - chance);
    } else if (example.which() >= 0) {
      double sum = 0;
      for (int i = 0; i < first; i++) {
        sum += Math.exp(said[i]);
      }
      loss = Math.log(sum) - said[example.which()];
    }
    for (int i = 0; i < 4; i++) {
      if (example.isKnown()[i / 2]) {
        double off = Math.abs(said[first + i] - example.places()[i]);
        loss += (off < 0.5 ? off * off : off - 0.25) / 2;
      }
    }
    return loss;
  }

  @Test
  void slopesAreThoseOfTheLoss() {
    for (int which : new int[] {1, 0}) {
      assertSlopes(1, example(which));
    }
  }

  @Test
  void slopesAreThoseOfTheLossWhereOneOfSeveralIsSaid() {
    net = ConvNet.empty(8, 2, List.of(3, 4), 6, 7);
    for (int which : new int[] {0, 1, 2, NetTeacher.Example.UNSAID}) {
      assertSlopes(3, example(which));
    }
  }

  /** All but a few: where the largest of four changes within a step, a difference tells nothing. */
  private void assertSlopes(int first, NetTeacher.Example example) {
    float[][][] slopes = NetTeacher.slopesOf(net, first, example);
    for (int i = 0; i < net.layers().size(); i++) {
      float[][] weights = net.layers().get(i).weights();
      int alike = 0;
      int steep = 0;
      int count = 0;
      for (int o = 0; o < weights.length; o++) {
        for (int k = 0; k < weights[o].length; k++) {
          double slope = slope(weights[o], k, example, first);
          double off = Math.abs(slopes[i][o][k] - slope);
          alike += off <= 0.02 + 0.02 * Math.abs(slope) ? 1 : 0;
          steep += Math.abs(slope) > 0.1 ? 1 : 0;
          count++;
        }
      }
      assertThat(alike / (double) count).as("layer %d", i).isGreaterThan(0.9);
      assertThat(steep).as("layer %d", i).isPositive();
    }
  }

  private double slope(float[] weights, int k, NetTeacher.Example example, int first) {
    float before = weights[k];
    weights[k] = before + STEP;
    double above = loss(example, first);
    weights[k] = before - STEP;
    double below = loss(example, first);
    weights[k] = before;
    return (above - below) / (2 * STEP);
  }
}
