package penmirror.web.tray;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import org.junit.jupiter.api.Test;
import penmirror.core.scan.ScanCleaner.AsItLies;
import penmirror.core.scan.ScanCleaner.ByALevelLine;
import penmirror.core.scan.ScanCleaner.ByThePaper;

class CleaningTest {

  @Test
  void untilAFormIsSentEverythingIsSetRight() {
    Cleaning cleaning =
        new Cleaning.Fields(null, null, null, null, null, null, null, null).cleaning();
    assertThat(cleaning.wishes(1).straighten()).isEqualTo(new ByThePaper());
    assertThat(cleaning.flatten()).isTrue();
    assertThat(cleaning.white()).isTrue();
  }

  @Test
  void aBoxThatWasNotTickedInASentFormIsANo() {
    Cleaning cleaning =
        new Cleaning.Fields(Cleaning.Way.LIES, null, true, true, null, null, null, null).cleaning();
    assertThat(cleaning.flatten()).isFalse();
    assertThat(cleaning.white()).isTrue();
    assertThat(cleaning.wishes(1).straighten()).isEqualTo(new AsItLies());
  }

  @Test
  void aLevelLineKeepsItsDirectionOnAReducedCopy() {
    Cleaning cleaning =
        new Cleaning(Cleaning.Way.LINE, true, true, new Cleaning.Line(100, 100, 160, 103));
    assertThat(cleaning.waitsForLine()).isFalse();
    // Four times smaller the ends would lie 15 px apart, too close to be a line.
    ByALevelLine line = (ByALevelLine) cleaning.wishes(4).straighten();
    assertThat(line.from().x()).isCloseTo(25, offset(1e-9));
    assertThat((line.to().y() - line.from().y()) / (line.to().x() - line.from().x()))
        .isCloseTo(3.0 / 60, offset(1e-9));
  }

  @Test
  void aLineThatIsAClickIsWaitedFor() {
    Cleaning cleaning =
        new Cleaning(Cleaning.Way.LINE, true, true, new Cleaning.Line(100, 100, 104, 103));
    assertThat(cleaning.waitsForLine()).isTrue();
    assertThat(cleaning.wishes(1).straighten()).isEqualTo(new AsItLies());
  }
}
