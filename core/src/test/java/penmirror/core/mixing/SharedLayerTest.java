package penmirror.core.mixing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;
import penmirror.core.mixing.SharedLayer.Change;

class SharedLayerTest {
  private static final EncodedSrgb LAYER = EncodedSrgb.fromHex("#BDB5B3");
  private static final List<String> BASES = List.of("#F0CBA6", "#7F8092", "#8A5A35", "#F2E7D0");

  private static List<Change> by(BlendMode mode, double opacity) {
    return BASES.stream()
        .map(EncodedSrgb::fromHex)
        .map(base -> new Change(base, mode.over(base, LAYER, opacity), 1))
        .toList();
  }

  /** Where one layer made all the shadows, that layer is found, or one that looks the same. */
  @Test
  void findsTheLayerThatAllWereMadeWith() {
    for (BlendMode mode : List.of(BlendMode.MULTIPLY, BlendMode.HARD_LIGHT, BlendMode.SOFT_LIGHT)) {
      SharedLayer found = SharedLayer.of(mode, by(mode, 0.6), 0.6);
      assertThat(found.meanOff()).as(mode.word()).isLessThan(0.3);
      assertThat(SharedLayer.of(by(mode, 0.6), 0.6).orElseThrow().meanOff())
          .isLessThanOrEqualTo(found.meanOff());
    }
  }

  /** One that is shaded by its own rule stays off, and is told apart from the others. */
  @Test
  void tellsWhichIsLeftOff() {
    List<Change> changes =
        List.of(
            by(BlendMode.MULTIPLY, 1).get(0),
            by(BlendMode.MULTIPLY, 1).get(1),
            by(BlendMode.MULTIPLY, 1).get(3),
            new Change(EncodedSrgb.fromHex("#8A5A35"), EncodedSrgb.fromHex("#204060"), 0.1));
    SharedLayer found = SharedLayer.of(changes, 1).orElseThrow();
    assertThat(found.offs()).hasSize(4);
    assertThat(found.offs().get(3)).isGreaterThan(10);
    assertThat(found.offs().subList(0, 3)).allMatch(off -> off < found.offs().get(3) / 4);
    double sum = found.offs().get(0) + found.offs().get(1) + found.offs().get(2);
    assertThat(found.meanOff()).isCloseTo((sum + 0.1 * found.offs().get(3)) / 3.1, offset(1e-9));
  }

  /** No colour of a grid over the whole cube does better in the same mode by more than a hair. */
  @Test
  void nothingOnAGridIsMuchBetter() {
    List<Change> changes =
        List.of(
            new Change(EncodedSrgb.fromHex("#F0CBA6"), EncodedSrgb.fromHex("#DCA580"), 3),
            new Change(EncodedSrgb.fromHex("#7F8092"), EncodedSrgb.fromHex("#585A6C"), 2),
            new Change(EncodedSrgb.fromHex("#8A5A35"), EncodedSrgb.fromHex("#5B3820"), 1));
    for (BlendMode mode : List.of(BlendMode.MULTIPLY, BlendMode.HARD_LIGHT)) {
      double best = SharedLayer.of(mode, changes, 0.6).meanOff();
      for (int grid = 0; grid < 25 * 25 * 25; grid++) {
        EncodedSrgb tried =
            new EncodedSrgb(grid % 25 / 24.0, grid / 25 % 25 / 24.0, grid / 625 / 24.0);
        double off = 0;
        for (Change change : changes) {
          Lab seen = Lab.from(mode.over(change.base(), tried, 0.6));
          off += change.area() * seen.ciede2000(Lab.from(change.target())) / 6;
        }
        assertThat(off).isGreaterThan(best - 0.05);
      }
    }
  }

  @Test
  void withoutColoursThereIsNone() {
    assertThat(SharedLayer.of(List.of(), 1)).isEmpty();
  }
}
