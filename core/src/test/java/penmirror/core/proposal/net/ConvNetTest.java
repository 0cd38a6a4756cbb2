package penmirror.core.proposal.net;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Sums worked out by hand, and what is written is read again. */
class ConvNetTest {
  private static final float[] NINE = {1, 2, 3, 4, 5, 6, 7, 8, 9};

  private static Layer convolution(int side, float... weights) {
    return new Layer(side, weights.length, new float[][] {weights}, new float[] {0});
  }

  @Test
  void aPlaceSeesWhatLiesRoundItAndNoughtBeyondTheEdge() {
    assertThat(convolution(3, 0, 0, 0, 0, 1, 0, 0, 0, 0).sums(NINE)).containsExactly(NINE);
    // The neighbour to the left comes one to the right.
    assertThat(convolution(3, 0, 0, 0, 1, 0, 0, 0, 0, 0).sums(NINE))
        .containsExactly(0, 1, 2, 0, 4, 5, 0, 7, 8);
    // The neighbour below comes one up.
    assertThat(convolution(3, 0, 0, 0, 0, 0, 0, 0, 1, 0).sums(NINE))
        .containsExactly(4, 5, 6, 7, 8, 9, 0, 0, 0);
    assertThat(convolution(3, 1, 1, 1, 1, 1, 1, 1, 1, 1).sums(NINE))
        .containsExactly(12, 21, 16, 27, 45, 33, 24, 39, 28);
  }

  @Test
  void channelsAreSummedAndTheBiasIsAdded() {
    float[] weights = new float[18];
    weights[4] = 1;
    weights[9 + 4] = 10;
    Layer layer = new Layer(2, 18, new float[][] {weights}, new float[] {0.5f});
    assertThat(layer.sums(new float[] {1, 2, 3, 4, 5, 6, 7, 8}))
        .containsExactly(51.5f, 62.5f, 73.5f, 84.5f);
  }

  /** What is seen, weighted, is the sum: teaching and looking go by the same places. */
  @Test
  void whatIsSeenGivesTheSums() {
    Random random = new Random(3);
    Layer layer = Layer.empty(4, 18, 2);
    float[] values = new float[32];
    for (int i = 0; i < values.length; i++) {
      values[i] = random.nextFloat();
    }
    for (float[] row : layer.weights()) {
      for (int k = 0; k < row.length; k++) {
        row[k] = random.nextFloat() - 0.5f;
      }
    }
    float[] sums = layer.sums(values);
    float[][] seen = layer.seen(values);
    for (int o = 0; o < 2; o++) {
      for (int p = 0; p < 16; p++) {
        double sum = 0;
        for (int k = 0; k < 18; k++) {
          sum += layer.weights()[o][k] * seen[p][k];
        }
        assertThat((double) sums[16 * o + p]).isCloseTo(sum, within(1e-5));
      }
    }
  }

  @Test
  void ofFourPlacesTheLargestStays() {
    float[] sixteen = {1, 5, 2, 0, 3, 4, 0, 9, -1, -2, 7, 7, -4, -3, 6, 8};
    assertThat(ConvNet.pooled(sixteen, 4, 1)).containsExactly(5, 9, -1, 8);
  }

  /** Picture 2 × 2, centre kernel, largest 4, hidden max(0, 3 · 4 − 2) = 10 and 0, said 10 + 1. */
  @Test
  void aNetSaysWhatIsWorkedOutByHand() {
    ConvNet net = ConvNet.empty(2, 1, List.of(1), 2, 1);
    net.layers().get(0).weights()[0][4] = 1;
    net.layers().get(1).weights()[0][0] = 3;
    net.layers().get(1).bias()[0] = -2;
    net.layers().get(1).weights()[1][0] = -1;
    net.layers().get(2).weights()[0][0] = 1;
    net.layers().get(2).weights()[0][1] = 100;
    net.layers().get(2).bias()[0] = 1;
    assertThat(net.of(new float[] {1, 4, 2, 3})).containsExactly(11);
  }

  @Test
  void whatIsWrittenIsReadAgain() throws IOException {
    ConvNet net = ConvNet.empty(4, 3, List.of(2, 3), 5, 4);
    Random random = new Random(7);
    for (Layer layer : net.layers()) {
      for (float[] row : layer.weights()) {
        for (int k = 0; k < row.length; k++) {
          row[k] = (float) random.nextGaussian();
        }
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    net.write(out);
    ConvNet read =
        ConvNet.empty(4, 3, List.of(2, 3), 5, 4).read(new ByteArrayInputStream(out.toByteArray()));
    float[] square = new float[48];
    for (int i = 0; i < square.length; i++) {
      square[i] = (float) random.nextGaussian();
    }
    assertThat(read.of(square)).containsExactly(net.of(square), within(0.01f));
  }

  @Test
  void whatDoesNotFitIsSaid() {
    ConvNet net = ConvNet.empty(4, 1, List.of(2), 3, 1);
    assertThatThrownBy(() -> net.of(new float[15]))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("15 numbers for a square of 4");
    assertThatThrownBy(() -> net.read(new ByteArrayInputStream(new byte[10])))
        .isInstanceOf(EOFException.class);
  }
}
