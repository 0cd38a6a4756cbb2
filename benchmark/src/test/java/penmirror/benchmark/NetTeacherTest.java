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
  private final ConvNet net = ConvNet.empty(8, 2, List.of(3, 4), 6, 5);

  private NetTeacher.Example example(boolean isIt) {
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
        square, isIt, new float[] {0.3f, -0.2f, 5, 1}, new boolean[] {true, isIt});
  }

  /** Logistic for whether, Huber for where, the mean over landmarks. */
  private double loss(NetTeacher.Example example) {
    float[] said = net.of(example.square());
    double chance = 1 / (1 + Math.exp(-said[0]));
    double loss = -Math.log(example.isIt() ? chance : 1 - chance);
    for (int i = 0; i < 4; i++) {
      if (example.isKnown()[i / 2]) {
        double off = Math.abs(said[1 + i] - example.places()[i]);
        loss += (off < 0.5 ? off * off : off - 0.25) / 2;
      }
    }
    return loss;
  }

  /** All but a few: where the largest of four changes within a step, a difference tells nothing. */
  @Test
  void slopesAreThoseOfTheLoss() {
    for (boolean isIt : new boolean[] {true, false}) {
      NetTeacher.Example example = example(isIt);
      float[][][] slopes = NetTeacher.slopesOf(net, true, example);
      for (int i = 0; i < net.layers().size(); i++) {
        float[][] weights = net.layers().get(i).weights();
        int alike = 0;
        int steep = 0;
        int count = 0;
        for (int o = 0; o < weights.length; o++) {
          for (int k = 0; k < weights[o].length; k++) {
            double slope = slope(weights[o], k, example);
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
  }

  private double slope(float[] weights, int k, NetTeacher.Example example) {
    float before = weights[k];
    weights[k] = before + STEP;
    double above = loss(example);
    weights[k] = before - STEP;
    double below = loss(example);
    weights[k] = before;
    return (above - below) / (2 * STEP);
  }
}
