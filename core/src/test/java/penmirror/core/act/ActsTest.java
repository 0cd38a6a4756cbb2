package penmirror.core.act;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Nature;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.telling.ActWords;
import penmirror.core.words.Wording;

class ActsTest {

  /** What no act takes up would never be asked for; what is no manner must never be. */
  @Test
  void everyScoredMannerBelongsToAnActAndNothingElseDoes() {
    for (Measure measure : MeasureCatalogue.all()) {
      boolean isManner = measure.nature() == Nature.MANNER;
      if (measure.isScored()) {
        assertThat(Acts.of(measure).isPresent()).as(measure.key()).isEqualTo(isManner);
      } else if (!isManner) {
        assertThat(Acts.of(measure)).as(measure.key()).isEmpty();
      }
    }
  }

  @Test
  void keysAreUniqueAndFindTheirAct() {
    assertThat(Acts.all().stream().map(Act::key)).doesNotHaveDuplicates();
    for (Act act : Acts.all()) {
      assertThat(Acts.byKey(act.key())).contains(act);
      assertThat(act.key()).matches("[a-z-]+");
      assertThat(ActWords.name(act)).isNotBlank();
    }
    assertThat(Acts.byKey("no-such-act")).isEmpty();
  }

  /** Whichever reading leads there is a sentence for it. */
  @Test
  void everyReadingOfAnActHasItsSentence() {
    for (Act act : Acts.all()) {
      for (Measure measure : act.readings()) {
        assertThat(Wording.has("rule." + measure.key())).as(measure.key()).isTrue();
      }
      act.presence().ifPresent(presence -> assertThat(presence.least()).as(act.key()).isPositive());
    }
  }

  @Test
  void aStandInStandsRightBehindWhatItStandsInFor() {
    for (Act act : Acts.all()) {
      List<Measure> readings = act.readings();
      for (Measure measure : readings) {
        measure
            .standsInFor()
            .ifPresent(
                other ->
                    assertThat(readings.indexOf(measure))
                        .as(measure.key())
                        .isEqualTo(readings.indexOf(other) + 1));
      }
    }
  }
}
