package penmirror.benchmark;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import penmirror.core.proposal.net.ConvNet;
import penmirror.core.proposal.net.Layer;

/**
 * Teaches a net by examples: gradients by the chain rule, layer by layer backwards, and steps by
 * Adam (Kingma and Ba, 2015) under a rate that falls like half a cosine. Places are held to by the
 * Huber loss, whether it is the thing at all by the logistic one, which of several it is by that of
 * their log odds.
 */
final class NetTeacher {
  private static final int THREADS = 2;
  private static final int BATCH = 32;
  private static final double HIGHEST_RATE = 0.0015;
  private static final double LOWEST_RATE = 1e-5;
  private static final int WARMING = 200;
  private static final double MEAN_KEPT = 0.9;
  private static final double SQUARE_KEPT = 0.999;
  private static final double LEAST_SQUARE = 1e-8;
  private static final double DECAY = 0.005;
  private static final double ROUND_BELOW = 0.5;

  /** Where examples come from. */
  interface Lessons {
    Example next(Random random);
  }

  /**
   * One square and what is to be said of it.
   *
   * @param which 1 where it is the thing and 0 where it is none, for a net that says so first; for
   *     one that says which of several it is, the number of that; {@link Example#UNSAID} counts not
   * @param places two numbers for each landmark
   * @param isKnown by landmark
   */
  record Example(float[] square, int which, float[] places, boolean[] isKnown) {
    /** Nobody says which. */
    static final int UNSAID = -1;
  }

  private final ConvNet net;
  private final int first;
  private final Moments weights;
  private final Moments bias;
  private int steps;

  /** What is kept of each number from step to step: mean of its gradient and of its square. */
  private record Moments(float[][][] mean, float[][][] square) {
    static Moments of(float[][][] like) {
      return new Moments(zeros(like), zeros(like));
    }
  }

  private NetTeacher(ConvNet net, int first) {
    this.net = net;
    this.first = first;
    weights = Moments.of(weights(net));
    bias = Moments.of(bias(net));
  }

  /**
   * Teaches from nothing for a time.
   *
   * @param first how many numbers come before the places: one says whether it is the thing at all,
   *     several which of them it is
   */
  static void teach(ConvNet net, int first, Lessons lessons, double seconds) {
    begin(net);
    NetTeacher teacher = new NetTeacher(net, first);
    Random[] random = {new Random(11), new Random(12)};
    long began = System.nanoTime();
    for (double done = 0; done < 1; done = (System.nanoTime() - began) / 1e9 / seconds) {
      teacher.step(lessons, random, done);
    }
  }

  /** How the loss of one example changes with each weight, by layer, output and input. */
  static float[][][] slopesOf(ConvNet net, int first, Example example) {
    Gradient gradient =
        new NetTeacher(net, first).new Gradient(zeros(weights(net)), zeros(bias(net)));
    gradient.add(example);
    return gradient.weights;
  }

  /** By chance, as wide as keeps the spread from layer to layer (He and others, 2015). */
  private static void begin(ConvNet net) {
    Random random = new Random(1);
    for (int i = 0; i < net.layers().size(); i++) {
      Layer layer = net.layers().get(i);
      boolean isLast = i == net.layers().size() - 1;
      double spread = Math.sqrt(2.0 / layer.inputs()) * (isLast ? 0.1 : 1);
      for (float[] row : layer.weights()) {
        for (int k = 0; k < row.length; k++) {
          row[k] = (float) (spread * random.nextGaussian());
        }
      }
    }
  }

  private static float[][][] weights(ConvNet net) {
    return net.layers().stream().map(Layer::weights).toArray(float[][][]::new);
  }

  private static float[][][] bias(ConvNet net) {
    return net.layers().stream()
        .map(layer -> new float[][] {layer.bias()})
        .toArray(float[][][]::new);
  }

  private static float[][][] zeros(float[][][] like) {
    return Arrays.stream(like)
        .map(rows -> Arrays.stream(rows).map(row -> new float[row.length]).toArray(float[][]::new))
        .toArray(float[][][]::new);
  }

  private void step(Lessons lessons, Random[] random, double done) {
    List<Gradient> gradients =
        IntStream.range(0, THREADS)
            .parallel()
            .mapToObj(
                t -> {
                  Gradient gradient = new Gradient(zeros(weights(net)), zeros(bias(net)));
                  for (int i = 0; i < BATCH / THREADS; i++) {
                    gradient.add(lessons.next(random[t]));
                  }
                  return gradient;
                })
            .toList();
    steps++;
    double rate =
        HIGHEST_RATE * Math.min(1, steps / (double) WARMING) * (1 + Math.cos(Math.PI * done)) / 2
            + LOWEST_RATE;
    adam(weights(net), gradients.stream().map(g -> g.weights).toList(), weights, rate, DECAY);
    adam(bias(net), gradients.stream().map(g -> g.bias).toList(), bias, rate, 0);
  }

  private void adam(
      float[][][] values, List<float[][][]> gradients, Moments kept, double rate, double decay) {
    double means = 1 - Math.pow(MEAN_KEPT, steps);
    double squares = 1 - Math.pow(SQUARE_KEPT, steps);
    for (int i = 0; i < values.length; i++) {
      for (int o = 0; o < values[i].length; o++) {
        for (int k = 0; k < values[i][o].length; k++) {
          double slope = 0;
          for (float[][][] gradient : gradients) {
            slope += gradient[i][o][k] / BATCH;
          }
          float[] mean = kept.mean[i][o];
          float[] square = kept.square[i][o];
          mean[k] = (float) (MEAN_KEPT * mean[k] + (1 - MEAN_KEPT) * slope);
          square[k] = (float) (SQUARE_KEPT * square[k] + (1 - SQUARE_KEPT) * slope * slope);
          double by = mean[k] / means / (Math.sqrt(square[k] / squares) + LEAST_SQUARE);
          values[i][o][k] -= (float) (rate * (by + decay * values[i][o][k]));
        }
      }
    }
  }

  /** The slopes of all numbers, summed over examples. */
  private final class Gradient {
    private final float[][][] weights;
    private final float[][][] bias;

    Gradient(float[][][] weights, float[][][] bias) {
      this.weights = weights;
      this.bias = bias;
    }

    void add(Example example) {
      List<Layer> layers = net.layers();
      float[][] given = new float[layers.size()][];
      float[][] sums = new float[layers.size()][];
      float[] at = example.square();
      for (int i = 0; i < layers.size(); i++) {
        Layer layer = layers.get(i);
        given[i] = at;
        sums[i] = layer.sums(at);
        at = sums[i];
        if (i + 1 < layers.size()) {
          at = at.clone();
          ConvNet.rectify(at);
        }
        if (layer.isConvolution()) {
          at = ConvNet.pooled(at, layer.side(), layer.outputs());
        }
      }
      float[] slopes = slopes(example, at);
      for (int i = layers.size() - 1; i >= 0; i--) {
        Layer layer = layers.get(i);
        if (layer.isConvolution()) {
          slopes = unpooled(slopes, sums[i], layer);
        }
        if (i + 1 < layers.size()) {
          for (int j = 0; j < slopes.length; j++) {
            slopes[j] = sums[i][j] <= 0 ? 0 : slopes[j];
          }
        }
        slopes = back(i, given[i], slopes);
      }
    }

    /** Of the loss by each number that the net gives. */
    private float[] slopes(Example example, float[] said) {
      float[] slopes = new float[said.length];
      if (example.which() != Example.UNSAID) {
        if (first == 1) {
          slopes[0] = (float) (1 / (1 + Math.exp(-said[0])) - example.which());
        } else {
          choose(slopes, said, example.which());
        }
      }
      int landmarks = example.isKnown().length;
      for (int i = 0; i < 2 * landmarks; i++) {
        if (example.isKnown()[i / 2]) {
          double off = (said[first + i] - example.places()[i]) / ROUND_BELOW;
          slopes[first + i] = (float) (Math.max(-1, Math.min(1, off)) / landmarks);
        }
      }
      return slopes;
    }

    private void choose(float[] slopes, float[] said, int which) {
      double sum = 0;
      for (int i = 0; i < first; i++) {
        sum += Math.exp(said[i]);
      }
      for (int i = 0; i < first; i++) {
        slopes[i] = (float) (Math.exp(said[i]) / sum - (i == which ? 1 : 0));
      }
    }

    /** Adds what one layer learns and gives the slopes of what it was given. */
    private float[] back(int i, float[] given, float[] slopes) {
      Layer layer = net.layers().get(i);
      float[][] seen = layer.seen(given);
      float[][] back = new float[layer.places()][layer.inputs()];
      for (int o = 0; o < layer.outputs(); o++) {
        for (int p = 0; p < layer.places(); p++) {
          float slope = slopes[o * layer.places() + p];
          if (slope != 0) {
            bias[i][0][o] += slope;
            add(weights[i][o], seen[p], slope);
            add(back[p], layer.weights()[o], slope);
          }
        }
      }
      return layer.isConvolution() ? scattered(back, layer) : back[0];
    }

    private void add(float[] to, float[] what, float times) {
      for (int k = 0; k < to.length; k++) {
        to[k] += times * what[k];
      }
    }

    /** From what each place sees back to the places themselves. */
    private float[] scattered(float[][] back, Layer layer) {
      int side = layer.side();
      float[] slopes = new float[layer.inputs() / 9 * layer.places()];
      for (int p = 0; p < layer.places(); p++) {
        for (int k = 0; k < layer.inputs(); k++) {
          int x = p % side + k % 3 - 1;
          int y = p / side + k % 9 / 3 - 1;
          if (x >= 0 && y >= 0 && x < side && y < side) {
            slopes[k / 9 * layer.places() + y * side + x] += back[p][k];
          }
        }
      }
      return slopes;
    }

    /** To that of the four places that was the largest. */
    private float[] unpooled(float[] slopes, float[] sums, Layer layer) {
      int side = layer.side();
      float[] back = new float[sums.length];
      int i = 0;
      for (int c = 0; c < layer.outputs(); c++) {
        for (int y = 0; y + 1 < side; y += 2) {
          for (int x = 0; x + 1 < side; x += 2, i++) {
            int best = (c * side + y) * side + x;
            int corner = best;
            for (int at : new int[] {corner + 1, corner + side, corner + side + 1}) {
              best = sums[at] > sums[best] ? at : best;
            }
            back[best] = slopes[i];
          }
        }
      }
      return back;
    }
  }
}
