package penmirror.core.proposal.net;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;

/**
 * A small network that looks at a square of a picture: convolutions, each followed by leaving out
 * what is below nought and by the largest of every 2 × 2 places; then one plain layer of the same
 * kind and a last one as it is. Common practice; nothing here knows what it looks for.
 *
 * @param side places across of the square, a power of two times what is left after the convolutions
 * @param channels numbers of a place
 * @param layers the convolutions first, the last two plain
 */
public record ConvNet(int side, int channels, List<Layer> layers) {
  public ConvNet {
    layers = List.copyOf(layers);
  }

  /**
   * All weights nought.
   *
   * @param convolutions how many numbers each gives
   * @param hidden of the plain layer between
   */
  public static ConvNet empty(
      int side, int channels, List<Integer> convolutions, int hidden, int outputs) {
    List<Layer> layers = new ArrayList<>();
    int across = side;
    int given = channels;
    for (int convolution : convolutions) {
      layers.add(Layer.empty(across, Layer.NEIGHBOURS * given, convolution));
      given = convolution;
      across /= 2;
    }
    layers.add(Layer.empty(1, across * across * given, hidden));
    layers.add(Layer.empty(1, hidden, outputs));
    return new ConvNet(side, channels, layers);
  }

  /**
   * What it says of a square.
   *
   * @param values by channel, row and column: channels × side × side
   * @throws IllegalArgumentException where there are more or fewer
   */
  public float[] of(float[] values) {
    if (values.length != side * side * channels) {
      throw new IllegalArgumentException(
          values.length + " numbers for a square of " + side + " with " + channels + " each");
    }
    float[] at = values;
    for (int i = 0; i < layers.size(); i++) {
      Layer layer = layers.get(i);
      at = layer.sums(at);
      if (i + 1 < layers.size()) {
        rectify(at);
      }
      if (layer.isConvolution()) {
        at = pooled(at, layer.side(), layer.outputs());
      }
    }
    return at;
  }

  /** Below nought is left out. */
  public static void rectify(float[] values) {
    for (int i = 0; i < values.length; i++) {
      values[i] = Math.max(0, values[i]);
    }
  }

  /** The largest of every 2 × 2 places, channel by channel. */
  public static float[] pooled(float[] values, int side, int channels) {
    int half = side / 2;
    float[] pooled = new float[half * half * channels];
    int to = 0;
    for (int c = 0; c < channels; c++) {
      for (int y = 0; y < half; y++) {
        for (int x = 0; x < half; x++) {
          int from = (c * side + 2 * y) * side + 2 * x;
          float upper = Math.max(values[from], values[from + 1]);
          float lower = Math.max(values[from + side], values[from + side + 1]);
          pooled[to++] = Math.max(upper, lower);
        }
      }
    }
    return pooled;
  }

  /** Weights as 16-bit shares of the largest of each output, in the order of the layers. */
  public void write(OutputStream to) throws IOException {
    DataOutputStream out = new DataOutputStream(to);
    for (Layer layer : layers) {
      for (float[] row : layer.weights()) {
        write(out, row);
      }
      write(out, layer.bias());
    }
    out.flush();
  }

  /**
   * A net of the same build with the weights that were written.
   *
   * @throws IOException where they end too early
   */
  public ConvNet read(InputStream from) throws IOException {
    DataInputStream in = new DataInputStream(from);
    List<Layer> read = new ArrayList<>();
    for (Layer layer : layers) {
      float[][] weights = new float[layer.outputs()][];
      for (int o = 0; o < weights.length; o++) {
        weights[o] = read(in, layer.inputs());
      }
      read.add(new Layer(layer.side(), layer.inputs(), weights, read(in, layer.outputs())));
    }
    return new ConvNet(side, channels, read);
  }

  private static void write(DataOutputStream out, float[] values) throws IOException {
    float most = 0;
    for (float value : values) {
      most = Math.max(most, Math.abs(value));
    }
    out.writeFloat(most);
    for (float value : values) {
      out.writeShort(most == 0 ? 0 : Math.round(Short.MAX_VALUE * value / most));
    }
  }

  private static float[] read(DataInputStream in, int count) throws IOException {
    float most = in.readFloat();
    float[] values = new float[count];
    for (int i = 0; i < count; i++) {
      values[i] = most * in.readShort() / Short.MAX_VALUE;
    }
    return values;
  }
}
