package penmirror.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.telling.MatchWords;

class ColourMatchTest {
  private static ColourMatch match(String asked, String given) {
    return ColourMatch.of(EncodedSrgb.fromHex(asked), EncodedSrgb.fromHex(given));
  }

  @Test
  void theSameColourIsSpotOn() {
    ColourMatch same = match("#CDBB98", "#CDBB98");
    assertThat(same.off()).isCloseTo(0, offset(1e-9));
    assertThat(MatchWords.told(same)).isEqualTo("Nobody would see a difference.");
  }

  /** Which way each differs is plain from the digits. */
  @ParameterizedTest
  @CsvSource({
    "#808080, #A0A0A0, Too light",
    "#808080, #606060, Too dark",
    "#A08080, #A05050, too strong in colour",
    "#A05050, #A08080, too grey",
    "#C8A060, #C88060, too red",
    "#C88060, #C8A060, too little red"
  })
  void theWayItDiffersIsTold(String asked, String given, String words) {
    assertThat(MatchWords.told(match(asked, given))).containsIgnoringCase(words);
  }

  /** A grey has no hue that could be too red. */
  @Test
  void aGreyIsNotAskedAfterItsHue() {
    assertThat(match("#808080", "#817F80").redderDegrees()).isZero();
  }
}
