package penmirror.core.proposal;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.SkinTone;
import penmirror.core.raster.JoinedSets;

/**
 * The tones of a face that belong together: lit, shaded and flushed skin meet without a line
 * between them, while hair, eyes and clothes lie behind one or are of another hue.
 *
 * <p>Evenly coloured pieces are found first, then the piece of skin takes in its neighbours, as
 * long as the border between them is no darker than both.
 */
final class SkinTones {
  /** OKLab step between neighbouring samples within one piece; a soft gradient stays below. */
  private static final float STEP = 0.016f;

  /** Samples between two pieces across which they still touch: the ramp of a drawn edge. */
  private static final int WIDEST_RAMP = 9;

  private static final int LEAST_AREA = 24;

  /** A border darker than both sides by this is a line. */
  private static final float LINE = 0.03f;

  /** Samples along which two pieces meet before that counts. */
  private static final int LEAST_CONTACT = 6;

  /** Share of the contact that has to be free of a line. */
  private static final double MOSTLY_FREE = 0.6;

  /** Share of the middle of the face from which on a piece of its colour is skin by itself. */
  private static final double LEAST_SHARE = 0.01;

  /** Share of the seed that has to lie in even pieces. */
  private static final double EVEN_SHARE = 0.6;

  private final int width;
  private final int height;
  private final float[] lightness;
  private final float[] a;
  private final float[] b;

  /** Piece of each sample; −1 where there is none. */
  private final int[] pieces;

  private final OkLab skinColour;
  private final double[][] colours;
  private final List<Map<Integer, int[]>> contacts = new ArrayList<>();

  /**
   * @param colour the skin's: lightness, a, b
   */
  SkinTones(int width, int height, float[] lightness, float[] a, float[] b, double[] colour) {
    skinColour = colour(colour);
    this.width = width;
    this.height = height;
    this.lightness = lightness;
    this.a = a;
    this.b = b;
    pieces = new int[width * height];
    colours = pieces();
    for (int piece = 0; piece < colours.length; piece++) {
      contacts.add(new HashMap<>());
    }
    contacts(true);
    contacts(false);
  }

  /**
   * The face's skin: what is of its colour in the middle of the face, and what hangs together with
   * that. A face without even pieces, of noise or hatching, stays the seed.
   *
   * @param seed samples that are of the skin's colour
   * @param middle samples of the middle of the face, above the mouth: the neck is not in it
   */
  boolean[] grownFrom(boolean[] seed, boolean[] middle) {
    int[] inMiddle = new int[colours.length];
    int[] coveredInMiddle = new int[colours.length];
    int seeds = 0;
    int window = 0;
    for (int i = 0; i < pieces.length; i++) {
      seeds += middle[i] && seed[i] ? 1 : 0;
      window += middle[i] ? 1 : 0;
      if (pieces[i] >= 0) {
        inMiddle[pieces[i]] += middle[i] ? 1 : 0;
        coveredInMiddle[pieces[i]] += middle[i] && seed[i] ? 1 : 0;
      }
    }
    boolean[] skin = new boolean[colours.length];
    Deque<Integer> open = new ArrayDeque<>();
    int told = 0;
    for (int piece = 0; piece < skin.length; piece++) {
      if (2 * coveredInMiddle[piece] >= inMiddle[piece] && inMiddle[piece] > LEAST_SHARE * window) {
        skin[piece] = true;
        open.add(piece);
        told += inMiddle[piece];
      }
    }
    if (told < EVEN_SHARE * seeds) {
      return seed;
    }
    while (!open.isEmpty()) {
      int from = open.poll();
      contacts
          .get(from)
          .forEach(
              (to, contact) -> {
                if (!skin[to]
                    && contact[0] >= LEAST_CONTACT
                    && contact[1] >= MOSTLY_FREE * contact[0]
                    && SkinTone.isToneOf(colour(colours[to]), skinColour)) {
                  skin[to] = true;
                  open.add(to);
                }
              });
    }
    boolean[] result = new boolean[seed.length];
    for (int i = 0; i < result.length; i++) {
      result[i] = pieces[i] >= 0 && skin[pieces[i]];
    }
    rimmed(result, seed);
    bridged(result, skin, true);
    bridged(result, skin, false);
    return result;
  }

  /** The soft rim of a piece of skin is skin; the same blend between teeth and lip is not. */
  private void rimmed(boolean[] result, boolean[] seed) {
    boolean[] before = result.clone();
    for (int y = 1; y + 1 < height; y++) {
      for (int x = 1; x + 1 < width; x++) {
        int i = y * width + x;
        if (seed[i] && !before[i] && pieces[i] < 0) {
          result[i] = before[i - 1] || before[i + 1] || before[i - width] || before[i + width];
        }
      }
    }
  }

  private static OkLab colour(double[] lab) {
    return new OkLab(lab[0], lab[1], lab[2]);
  }

  /** Joins neighbours of nearly one colour; mean colour of each piece large enough to count. */
  private double[][] pieces() {
    JoinedSets sets = new JoinedSets(width * height);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        if (x + 1 < width && isOneStep(i, i + 1)) {
          sets.join(i, i + 1);
        }
        if (y + 1 < height && isOneStep(i, i + width)) {
          sets.join(i, i + width);
        }
      }
    }
    int[] areas = new int[width * height];
    for (int i = 0; i < areas.length; i++) {
      areas[sets.root(i)]++;
    }
    boolean[] line = lines(sets, areas);
    int[] numbers = new int[width * height];
    Arrays.fill(numbers, -1);
    int count = 0;
    for (int i = 0; i < areas.length; i++) {
      if (areas[i] >= LEAST_AREA && !line[i]) {
        numbers[i] = count++;
      }
    }
    double[][] means = new double[count][3];
    for (int i = 0; i < pieces.length; i++) {
      int root = sets.root(i);
      pieces[i] = numbers[root];
      if (pieces[i] >= 0) {
        means[pieces[i]][0] += lightness[i] / (double) areas[root];
        means[pieces[i]][1] += a[i] / (double) areas[root];
        means[pieces[i]][2] += b[i] / (double) areas[root];
      }
    }
    return means;
  }

  /**
   * Dark sets, told by their roots, that are nowhere wider than a ramp: they part, they are no
   * piece.
   */
  private boolean[] lines(JoinedSets sets, int[] areas) {
    int half = WIDEST_RAMP / 2;
    boolean[] line = new boolean[areas.length];
    for (int i = 0; i < areas.length; i++) {
      line[i] = areas[i] > 0 && SkinTone.isDarker(lightness[i], skinColour);
    }
    for (int y = half; y < height - half; y++) {
      for (int x = half; x < width - half; x++) {
        int i = y * width + x;
        int root = sets.root(i);
        if (line[root]
            && sets.root(i - half) == root
            && sets.root(i + half) == root
            && sets.root(i - half * width) == root
            && sets.root(i + half * width) == root) {
          line[root] = false;
        }
      }
    }
    return line;
  }

  private boolean isOneStep(int one, int other) {
    float dl = lightness[one] - lightness[other];
    float da = a[one] - a[other];
    float db = b[one] - b[other];
    return dl * dl + da * da + db * db < STEP * STEP;
  }

  @FunctionalInterface
  private interface Ramp {
    /** From the last sample of one piece to the first of the next, along a row or a column. */
    void between(int from, int to, int stride);
  }

  private void ramps(boolean alongRows, Ramp ramp) {
    int lines = alongRows ? height : width;
    int length = alongRows ? width : height;
    int stride = alongRows ? 1 : width;
    for (int line = 0; line < lines; line++) {
      int start = alongRows ? line * width : line;
      int last = -1;
      for (int k = 0; k < length; k++) {
        int i = start + k * stride;
        if (pieces[i] >= 0) {
          if (last >= 0 && pieces[last] != pieces[i] && (i - last) / stride <= WIDEST_RAMP) {
            ramp.between(last, i, stride);
          }
          last = i;
        }
      }
    }
  }

  private void contacts(boolean alongRows) {
    ramps(
        alongRows,
        (from, to, stride) -> {
          boolean free = isFree(from, to, stride);
          touch(pieces[from], pieces[to], free);
          touch(pieces[to], pieces[from], free);
        });
  }

  private boolean isFree(int from, int to, int stride) {
    float darker = Math.min(lightness[from], lightness[to]) - LINE;
    for (int i = from + stride; i < to; i += stride) {
      if (lightness[i] < darker) {
        return false;
      }
    }
    return true;
  }

  private void touch(int piece, int other, boolean free) {
    int[] contact = contacts.get(piece).computeIfAbsent(other, key -> new int[2]);
    contact[0]++;
    contact[1] += free ? 1 : 0;
  }

  /** What lies on the ramp between two pieces of skin is skin too. */
  private void bridged(boolean[] result, boolean[] skin, boolean alongRows) {
    ramps(
        alongRows,
        (from, to, stride) -> {
          if (skin[pieces[from]] && skin[pieces[to]] && isFree(from, to, stride)) {
            for (int i = from + stride; i < to; i += stride) {
              result[i] = true;
            }
          }
        });
  }
}
