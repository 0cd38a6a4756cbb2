package penmirror.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import penmirror.core.coverage.CharacterGaps.Described;
import penmirror.core.coverage.CharacterGaps.Elsewhere;
import penmirror.core.coverage.CharacterGaps.Gap;
import penmirror.core.coverage.CharacterGaps.Tally;
import penmirror.core.coverage.CharacterGaps.Way;

class CharacterGapsTest {
  private static final Map<Trait, String> BAKER =
      Map.of(Trait.HAIR_COLOUR, "Red", Trait.BEARD, "moustache", Trait.AGE, "old");

  @Test
  void countsHowOftenEachTraitIsSeen() {
    List<Gap> gaps =
        gaps(
            List.of(
                new Described(1, Map.of(Trait.HAIR_COLOUR, "red ", Trait.AGE, "young")),
                new Described(2, Map.of(Trait.HAIR_COLOUR, "RED", Trait.AGE, "old")),
                new Described(3, Map.of(Trait.HAIR_COLOUR, "black"))));
    assertThat(gaps)
        .extracting(Gap::trait, Gap::tally)
        .containsExactly(
            Tuple.tuple(Trait.HAIR_COLOUR, Tally.OFTEN),
            Tuple.tuple(Trait.AGE, Tally.ONCE),
            Tuple.tuple(Trait.BEARD, Tally.NEVER));
  }

  @Test
  void waysOutComeSurestFirst() {
    Gap beard =
        CharacterGaps.of(
                Map.of(Trait.BEARD, "moustache"),
                List.of(new Described(1, Map.of(Trait.BEARD, "full"))),
                List.of(new Described(9, Map.of(Trait.BEARD, "moustache"))),
                Map.of(
                    5L, List.of(new Described(7, Map.of(Trait.BEARD, "moustache"))),
                    6L,
                        List.of(
                            new Described(8, Map.of(Trait.BEARD, "moustache")),
                            new Described(10, Map.of(Trait.BEARD, "moustache")))))
            .get(0);
    assertThat(beard.ways())
        .containsExactly(Way.CLOSEST_WORK, Way.NEAR_STUDY, Way.HELPER, Way.INVENT);
    assertThat(beard.elsewhere()).containsExactly(new Elsewhere(6, 2), new Elsewhere(5, 1));
    assertThat(beard.helpers()).containsExactly(9L);
  }

  @Test
  void theClosestWorkAgreesInMost() {
    Gap beard =
        gaps(
                List.of(
                    new Described(1, Map.of(Trait.BEARD, "full", Trait.AGE, "young")),
                    new Described(2, Map.of(Trait.BEARD, "none", Trait.AGE, "old")),
                    new Described(3, Map.of(Trait.AGE, "old", Trait.HAIR_COLOUR, "red"))))
            .stream()
            .filter(gap -> gap.trait() == Trait.BEARD)
            .findFirst()
            .orElseThrow();
    assertThat(beard.closest()).contains(2L);
  }

  @Test
  void withoutAnythingElseOneInvents() {
    assertThat(gaps(List.of()))
        .allSatisfy(gap -> assertThat(gap.ways()).containsExactly(Way.INVENT));
    assertThat(CharacterGaps.of(Map.of(Trait.FUR, " "), List.of(), List.of(), Map.of())).isEmpty();
  }

  private static List<Gap> gaps(List<Described> sources) {
    return CharacterGaps.of(BAKER, sources, List.of(), Map.of());
  }
}
