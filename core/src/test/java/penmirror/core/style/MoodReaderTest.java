package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Mood;

/** What a look at the face alone adds to what the marks tell of its mood. */
class MoodReaderTest {
  private static final MoodReader NO_WORKS = MoodReader.of(List.of());

  private static Map<Mood, Double> face(Mood likeliest, double chance) {
    Map<Mood, Double> face = new EnumMap<>(Mood.class);
    for (Mood mood : Mood.values()) {
      face.put(mood, mood == likeliest ? chance : (1 - chance) / (Mood.values().length - 1));
    }
    return face;
  }

  @Test
  void withoutMarksAndWithoutALookNothingIsTold() {
    assertThat(NO_WORKS.read(Map.of())).isEmpty();
    assertThat(NO_WORKS.told(Map.of())).isEmpty();
  }

  /** Of a single picture, whose hand nobody knows yet. */
  @Test
  void aLookAloneIsBelievedAsFarAsItIsSure() {
    MoodReader.Guess guess = NO_WORKS.read(Map.of(), face(Mood.GLAD, 0.8)).orElseThrow();
    assertThat(guess.mood()).isEqualTo(Mood.GLAD);
    assertThat(guess.chance()).isCloseTo(0.8, within(1e-9));
    assertThat(NO_WORKS.told(Map.of(), face(Mood.GLAD, 0.8))).contains(Mood.GLAD);
    assertThat(NO_WORKS.told(Map.of(), face(Mood.SLY, 0.3))).isEmpty();
  }

  /** However sure a look is, the marks can outweigh it. */
  @Test
  void aLookIsNeverQuiteSure() {
    double chance = NO_WORKS.read(Map.of(), face(Mood.SAD, 1)).orElseThrow().chance();
    assertThat(chance).isBetween(0.9, 0.96);
  }
}
