package penmirror.web.sheets;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import penmirror.core.measure.face.FaceMeasures;

class SayingsTest {
  /** What was said last stands; what was taken back is as if it had never been said. */
  @Test
  void sayingsStandUntilTheyAreTakenBack() {
    SayingStore.Entry out = entry(1, SayingStore.Kind.LEAVE_OUT);
    SayingStore.Entry back = entry(2, SayingStore.Kind.TAKE_BACK);
    SayingStore.Entry band = entry(3, SayingStore.Kind.BAND);
    SayingStore.Entry works = entry(4, SayingStore.Kind.AS_WORKS);
    assertThat(Sayings.of(List.of(out)).leftOut(FaceMeasures.EYE_LINE)).hasSize(1);
    assertThat(Sayings.of(List.of(out, back)).said()).isEmpty();
    assertThat(Sayings.of(List.of(band)).setByHand(FaceMeasures.EYE_LINE)).isPresent();
    assertThat(Sayings.of(List.of(band)).said().get(0).band().orElseThrow().low()).isEqualTo(0.7);
    assertThat(Sayings.of(List.of(band, works)).said()).isEmpty();
  }

  private static SayingStore.Entry entry(long id, SayingStore.Kind kind) {
    return new SayingStore.Entry(
        id, kind, "eye.line", 0.7, 0.8, OptionalLong.of(2), "", Instant.EPOCH);
  }

  /** A key of another version, and a band that can no longer be, say nothing. */
  @Test
  void whatIsNotKnownIsLeftOut() {
    SayingStore.Entry gone =
        new SayingStore.Entry(
            1, SayingStore.Kind.BAND, "no.such", 1, 2, OptionalLong.empty(), "", Instant.EPOCH);
    SayingStore.Entry turned =
        new SayingStore.Entry(
            2, SayingStore.Kind.BAND, "eye.line", 2, 1, OptionalLong.empty(), "", Instant.EPOCH);
    assertThat(Sayings.of(List.of(gone, turned)).said()).isEmpty();
    assertThat(Sayings.none().isAnythingSaid()).isFalse();
  }
}
