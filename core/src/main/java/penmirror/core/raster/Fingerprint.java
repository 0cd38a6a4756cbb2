package penmirror.core.raster;

import java.nio.ByteBuffer;
import java.util.Arrays;

/**
 * A short description by which a resized, recompressed or mirrored copy of a picture is told from
 * another picture: whether each of the 255 lowest frequencies of its brightness is above the middle
 * one (a perceptual hash by cosine transform, common practice), the colours of twelve by twelve
 * cells, and its shape. The frequencies forgive, the cells are strict: two heads with one outline
 * and different features agree in the first and not in the second.
 */
public final class Fingerprint {
  /** Of 255 bits so many may differ in a copy; unrelated pictures differ in about 127. */
  private static final int MOST_DIFFERENT_BITS = 60;

  /** No cell of a copy differs more, steps of 255 in any channel. */
  private static final int MOST_DIFFERENT_CELL = 40;

  /** Copies keep their shape but for rounding. */
  private static final double SHAPE_TOLERANCE = 0.03;

  private static final int WORDS = 4;
  private static final int SIDE = 48;
  private static final int LOW = 16;
  private static final int CELLS = 12;
  private static final int CELL_BYTES = CELLS * CELLS * 3;

  private final long[] bits;
  private final byte[] cells;
  private final double widthOverHeight;

  private Fingerprint(long[] bits, byte[] cells, double widthOverHeight) {
    this.bits = bits;
    this.cells = cells;
    this.widthOverHeight = widthOverHeight;
  }

  public static Fingerprint of(Picture picture) {
    // Whole blocks first: of a large picture the cells are the same, and sooner known.
    int factor = Math.min(picture.widthPixels(), picture.heightPixels()) / (8 * SIDE);
    return of(Grid.of(picture.shrunk(Math.max(1, factor)), SIDE), picture);
  }

  /** Of the same picture seen in a mirror: odd waves across change their sign. */
  public Fingerprint mirrored() {
    long[] turned = new long[WORDS];
    for (int i = 1; i < LOW * LOW; i++) {
      boolean isSet = (bits[i / 64] >> (i % 64) & 1) == 1;
      if (isSet != (i % LOW % 2 == 1)) {
        turned[i / 64] |= 1L << (i % 64);
      }
    }
    byte[] swapped = new byte[CELL_BYTES];
    for (int i = 0; i < CELLS * CELLS; i++) {
      int other = i / CELLS * CELLS + CELLS - 1 - i % CELLS;
      System.arraycopy(cells, 3 * i, swapped, 3 * other, 3);
    }
    return new Fingerprint(turned, swapped, widthOverHeight);
  }

  private static Fingerprint of(Grid grid, Picture picture) {
    return new Fingerprint(
        bits(low(grid.brightness())),
        grid.cells(),
        picture.widthPixels() / (double) picture.heightPixels());
  }

  /** Whether the two are likely one picture, apart from size and compression. */
  public boolean isNear(Fingerprint other) {
    return Math.abs(Math.log(widthOverHeight / other.widthOverHeight)) < SHAPE_TOLERANCE
        && differentBits(other) <= MOST_DIFFERENT_BITS
        && differentCell(other) <= MOST_DIFFERENT_CELL;
  }

  /** How many bits differ, 0 to 255. */
  int differentBits(Fingerprint other) {
    int different = 0;
    for (int i = 0; i < WORDS; i++) {
      different += Long.bitCount(bits[i] ^ other.bits[i]);
    }
    return different;
  }

  /** The largest difference of a cell, 0 to 255. */
  int differentCell(Fingerprint other) {
    int most = 0;
    for (int i = 0; i < CELL_BYTES; i++) {
      most = Math.max(most, Math.abs((cells[i] & 255) - (other.cells[i] & 255)));
    }
    return most;
  }

  /** For keeping; {@link #ofBytes} reads it back. */
  public byte[] toBytes() {
    ByteBuffer buffer = ByteBuffer.allocate(8 + 8 * WORDS + CELL_BYTES);
    buffer.putDouble(widthOverHeight);
    for (long word : bits) {
      buffer.putLong(word);
    }
    return buffer.put(cells).array();
  }

  /**
   * @throws IllegalArgumentException when the bytes are not those of a fingerprint
   */
  public static Fingerprint ofBytes(byte[] bytes) {
    if (bytes.length != 8 + 8 * WORDS + CELL_BYTES) {
      throw new IllegalArgumentException(
          "A fingerprint has " + (8 + 8 * WORDS + CELL_BYTES) + " bytes, got " + bytes.length);
    }
    ByteBuffer buffer = ByteBuffer.wrap(bytes);
    double shape = buffer.getDouble();
    long[] bits = new long[WORDS];
    for (int i = 0; i < WORDS; i++) {
      bits[i] = buffer.getLong();
    }
    byte[] cells = new byte[CELL_BYTES];
    buffer.get(cells);
    return new Fingerprint(bits, cells, shape);
  }

  private static long[] bits(double[] low) {
    double[] sorted = Arrays.copyOfRange(low, 1, low.length); // The first is the mean brightness.
    Arrays.sort(sorted);
    double middle = sorted[sorted.length / 2];
    long[] bits = new long[WORDS];
    for (int i = 1; i < low.length; i++) {
      if (low[i] > middle) {
        bits[i / 64] |= 1L << (i % 64);
      }
    }
    return bits;
  }

  /** The lowest 16 by 16 coefficients of the two-dimensional cosine transform. */
  private static double[] low(double[] brightness) {
    double[] across = new double[SIDE * LOW];
    for (int y = 0; y < SIDE; y++) {
      for (int u = 0; u < LOW; u++) {
        double sum = 0;
        for (int x = 0; x < SIDE; x++) {
          sum += brightness[y * SIDE + x] * wave(x, u);
        }
        across[y * LOW + u] = sum;
      }
    }
    double[] low = new double[LOW * LOW];
    for (int v = 0; v < LOW; v++) {
      for (int u = 0; u < LOW; u++) {
        double sum = 0;
        for (int y = 0; y < SIDE; y++) {
          sum += across[y * LOW + u] * wave(y, v);
        }
        low[v * LOW + u] = sum;
      }
    }
    return low;
  }

  private static double wave(int place, int frequency) {
    return Math.cos(Math.PI * (2 * place + 1) * frequency / (2 * SIDE));
  }

  /**
   * Mean encoded colours of equal cells that cover a picture, however many pixels it has.
   *
   * @param rgb three planes, row-major
   */
  private record Grid(int side, double[][] rgb) {

    static Grid of(Picture picture, int side) {
      int width = picture.widthPixels();
      int height = picture.heightPixels();
      double[][] rgb = new double[3][side * side];
      double[] row = new double[3 * side];
      double area = width / (double) side * (height / (double) side);
      for (int y = 0; y < height; y++) {
        Arrays.fill(row, 0);
        for (int x = 0; x < width; x++) {
          int colour = picture.rgb(y * width + x);
          double from = x * (double) side / width;
          double to = (x + 1) * (double) side / width;
          for (int cell = (int) from; cell < Math.min(side, Math.ceil(to)); cell++) {
            double share = (Math.min(to, cell + 1) - Math.max(from, cell)) * width / side;
            row[3 * cell] += share * (colour >> 16 & 255);
            row[3 * cell + 1] += share * (colour >> 8 & 255);
            row[3 * cell + 2] += share * (colour & 255);
          }
        }
        double from = y * (double) side / height;
        double to = (y + 1) * (double) side / height;
        for (int cell = (int) from; cell < Math.min(side, Math.ceil(to)); cell++) {
          double share = (Math.min(to, cell + 1) - Math.max(from, cell)) * height / side;
          for (int i = 0; i < 3 * side; i++) {
            rgb[i % 3][cell * side + i / 3] += share * row[i] / area;
          }
        }
      }
      return new Grid(side, rgb);
    }

    double[] brightness() {
      double[] brightness = new double[side * side];
      for (int i = 0; i < brightness.length; i++) {
        brightness[i] = 0.299 * rgb[0][i] + 0.587 * rgb[1][i] + 0.114 * rgb[2][i];
      }
      return brightness;
    }

    byte[] cells() {
      int step = side / CELLS;
      byte[] cells = new byte[CELL_BYTES];
      for (int i = 0; i < CELLS * CELLS; i++) {
        for (int c = 0; c < 3; c++) {
          double sum = 0;
          for (int y = 0; y < step; y++) {
            for (int x = 0; x < step; x++) {
              sum += rgb[c][(i / CELLS * step + y) * side + i % CELLS * step + x];
            }
          }
          cells[3 * i + c] = (byte) Math.round(sum / (step * step));
        }
      }
      return cells;
    }
  }
}
