package penmirror.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class TextsTest {
  @Test
  void anEmojiIsOneCharacterAndNeverHalf() {
    assertThat(Texts.cut("ab\uD83D\uDE00c", 3)).isEqualTo("ab\uD83D\uDE00");
    assertThat(Texts.cut("ab\uD83D\uDE00c", 2)).isEqualTo("ab");
    assertThat(Texts.cut("  a b  ", 10)).isEqualTo("a b");
    assertThat(Texts.cut("a bc", 2)).isEqualTo("a");
  }
}
