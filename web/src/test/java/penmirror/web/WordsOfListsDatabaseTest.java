package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.dao.DataIntegrityViolationException;
import penmirror.core.coverage.CharacterGaps;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.Trait;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.reading.PixelReader;
import penmirror.core.scoring.AttemptStage;
import penmirror.core.words.Wording;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.studies.StudyKind;
import penmirror.web.studies.Work;

/** The database takes the words of each list and no others. */
class WordsOfListsDatabaseTest extends DatabaseTest {
  private static final Pattern WORD = Pattern.compile("'([^']*)'::");

  static Stream<Arguments> lists() {
    return Stream.of(
        list("study_kind", StudyKind.class),
        list("study_part", Part.class),
        list("study_counted", StatureConvention.class),
        list("group_kind_kind", StudyKind.class),
        list("group_kind_measure_group", MeasureGroup.class, Enum::name),
        list("work_role", Work.Role.class),
        list("work_view", View.class),
        list("work_framing", Framing.class),
        list("work_turn", Turn.class),
        list("work_kind", Kind.class),
        list("work_mood", Mood.class),
        list("work_stage", AttemptStage.class),
        list("work_part_part", Part.class),
        list("work_trait_trait", Trait.class),
        list("pick_part", Part.class),
        list("way_out_trait", Trait.class),
        list("way_out_way", CharacterGaps.Way.class),
        list("statement_part", Part.class),
        list("pixel_reading_state", PixelReadingStore.State.class),
        list("pixel_reading_step", PixelReader.Step.class, Enum::name),
        list("picture_profile", PictureReader.Profile.class));
  }

  private static <E extends Enum<E>> Arguments list(String constraint, Class<E> type) {
    return list(constraint, type, value -> value.name().toLowerCase(Locale.ROOT).replace('_', '-'));
  }

  private static <E extends Enum<E>> Arguments list(
      String constraint, Class<E> type, Function<E, String> word) {
    Set<String> words =
        Arrays.stream(type.getEnumConstants()).map(word).collect(Collectors.toSet());
    return Arguments.of(constraint, new TreeSet<>(words));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("lists")
  void takesTheWordsOfTheListAndNoOthers(String constraint, Set<String> words) {
    String check =
        database
            .fetchSingle(
                "select pg_get_constraintdef(oid) from pg_constraint where conname = ?", constraint)
            .get(0, String.class);

    Matcher found = WORD.matcher(check);
    assertThat(found.results().map(match -> match.group(1)))
        .containsExactlyInAnyOrderElementsOf(words);
  }

  @Test
  void aWordOutsideItsListIsRefusedByTheDatabaseItself() {
    assertThatThrownBy(
            () ->
                database.execute(
                    "insert into statement (key, part, stage, text, own) "
                        + "values ('own-1', 'elbow', 'line', 'Elbows are pointed', true)"))
        .isInstanceOf(DataIntegrityViolationException.class)
        .hasMessageContaining("statement_part");
  }

  @Test
  void everyColumnThatIsChosenOutOfAListIsChecked() {
    List<String> columns = List.of("role", "view", "framing", "turn", "kind", "mood", "stage");

    List<String> checked =
        database
            .fetch(
                "select column_name from information_schema.constraint_column_usage "
                    + "where table_name = 'work' and constraint_name like 'work\\_%'")
            .map(row -> row.get(0, String.class));

    assertThat(checked).containsAll(columns);
  }

  @Test
  void shippedStatementsHaveTheirWordsWhereAllWordsStandAndNoneInTheDatabase() {
    List<String> shipped =
        database
            .fetch("select key from statement where not own and text is null")
            .map(row -> row.get(0, String.class));

    assertThat(shipped).hasSize(35).allMatch(key -> Wording.has("statement." + key));
  }
}
