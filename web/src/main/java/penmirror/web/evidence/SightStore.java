package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.FIRST_SIGHT;
import static penmirror.web.storage.generated.Tables.MARKING;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Repository;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.format.FormatException;
import penmirror.core.format.ProposalJson;
import penmirror.core.proposal.FirstSight;
import penmirror.core.proposal.FirstSight.Seen;
import penmirror.core.proposal.Proposal;

/** Keeps what the machine thinks a work shows before anybody has looked at it. */
@Repository
public class SightStore {
  private static final Logger LOG = LoggerFactory.getLogger(SightStore.class);

  private final DSLContext database;
  private final Clock clock;

  SightStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /**
   * What was seen.
   *
   * @param learnedFrom how many marked works of the study it learned from
   */
  public record Sight(FirstSight seen, int learnedFrom) {

    /** The points that nobody need be asked about, as nobody has confirmed them. */
    public Marks marks() {
      return seen.sure(Mark.State.PROPOSED);
    }

    /** The same as if somebody had placed them. */
    Marks placed() {
      return seen.sure(Mark.State.PLACED);
    }
  }

  public void keep(long workId, FirstSight seen, int learnedFrom, int algorithmVersion) {
    var row = database.newRecord(FIRST_SIGHT);
    row.set(FIRST_SIGHT.ALGORITHM_VERSION, algorithmVersion);
    row.set(FIRST_SIGHT.LEARNED_FROM, learnedFrom);
    row.set(FIRST_SIGHT.VIEW, seen.view().map(v -> v.what().word()).orElse(null));
    row.set(FIRST_SIGHT.VIEW_CHANCE, chance(seen.view()));
    row.set(FIRST_SIGHT.FRAMING, seen.framing().map(f -> f.what().word()).orElse(null));
    row.set(FIRST_SIGHT.FRAMING_CHANCE, chance(seen.framing()));
    row.set(FIRST_SIGHT.TURN, seen.turn().map(t -> t.what().word()).orElse(null));
    row.set(FIRST_SIGHT.TURN_CHANCE, chance(seen.turn()));
    row.set(FIRST_SIGHT.PROPOSAL, JSONB.valueOf(ProposalJson.write(seen.proposal())));
    row.set(FIRST_SIGHT.MOODS, writtenMoods(seen.moods()));
    row.set(FIRST_SIGHT.FIGURES, written(seen.figures()));
    row.set(FIRST_SIGHT.SEEN_AT, OffsetDateTime.now(clock));
    database
        .insertInto(FIRST_SIGHT)
        .set(row)
        .set(FIRST_SIGHT.WORK_ID, workId)
        .onConflict(FIRST_SIGHT.WORK_ID)
        .doUpdate()
        .set(row)
        .execute();
  }

  public Optional<Sight> of(long workId) {
    return Optional.ofNullable(fetch(FIRST_SIGHT.WORK_ID.eq(workId)).get(workId));
  }

  /** Of every work of a study that was seen, by work. */
  public Map<Long, Sight> ofStudy(long studyId) {
    return fetch(WORK.STUDY_ID.eq(studyId));
  }

  /** Works with their study that nobody has looked at and this code has not seen, oldest first. */
  public List<Map.Entry<Long, Long>> unseen(int algorithmVersion) {
    return database
        .select(WORK.ID, WORK.STUDY_ID)
        .from(WORK)
        .leftJoin(FIRST_SIGHT)
        .on(FIRST_SIGHT.WORK_ID.eq(WORK.ID))
        .where(
            WORK.LOOKED_AT.isNull(),
            FIRST_SIGHT
                .ALGORITHM_VERSION
                .isNull()
                .or(FIRST_SIGHT.ALGORITHM_VERSION.ne(algorithmVersion)))
        .andNotExists(DSL.selectOne().from(MARKING).where(MARKING.WORK_ID.eq(WORK.ID)))
        .orderBy(WORK.ID)
        .fetch(row -> Map.entry(row.value1(), row.value2()));
  }

  private Map<Long, Sight> fetch(Condition which) {
    Map<Long, Sight> found = new HashMap<>();
    database
        .select(FIRST_SIGHT.fields())
        .select(WORK.VIEW)
        .from(FIRST_SIGHT)
        .join(WORK)
        .on(WORK.ID.eq(FIRST_SIGHT.WORK_ID))
        .where(which)
        .forEach(row -> sight(row).ifPresent(s -> found.put(row.get(FIRST_SIGHT.WORK_ID), s)));
    return found;
  }

  private static Optional<Sight> sight(Record row) {
    try {
      View view = View.ofWord(row.get(WORK.VIEW));
      return Optional.of(
          new Sight(
              new FirstSight(
                  seen(View.class, row.get(FIRST_SIGHT.VIEW), row.get(FIRST_SIGHT.VIEW_CHANCE)),
                  seen(
                      Framing.class,
                      row.get(FIRST_SIGHT.FRAMING),
                      row.get(FIRST_SIGHT.FRAMING_CHANCE)),
                  seen(Turn.class, row.get(FIRST_SIGHT.TURN), row.get(FIRST_SIGHT.TURN_CHANCE)),
                  readMoods(row.get(FIRST_SIGHT.MOODS)),
                  ProposalJson.read(view, row.get(FIRST_SIGHT.PROPOSAL).data()),
                  read(row.get(FIRST_SIGHT.FIGURES))),
              row.get(FIRST_SIGHT.LEARNED_FROM)));
    } catch (FormatException e) {
      // As if it had not been seen yet.
      LOG.warn("A first sight cannot be used: {}", e.getMessage());
      return Optional.empty();
    }
  }

  /** What a look at the faces of a study says, by work; only of those whose face was seen. */
  public Map<Long, Map<Mood, Double>> moodsOf(long studyId) {
    return database
        .select(FIRST_SIGHT.WORK_ID, FIRST_SIGHT.MOODS)
        .from(FIRST_SIGHT)
        .join(WORK)
        .on(WORK.ID.eq(FIRST_SIGHT.WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId), FIRST_SIGHT.MOODS.ne(""))
        .fetchMap(FIRST_SIGHT.WORK_ID, row -> readMoods(row.get(FIRST_SIGHT.MOODS)));
  }

  private static String writtenMoods(Map<Mood, Double> moods) {
    return Arrays.stream(Mood.values())
        .filter(moods::containsKey)
        .map(mood -> String.format(Locale.ROOT, "%s=%.4f", mood.word(), moods.get(mood)))
        .collect(Collectors.joining(";"));
  }

  private static Map<Mood, Double> readMoods(String written) {
    Map<Mood, Double> moods = new EnumMap<>(Mood.class);
    for (String each : written.isEmpty() ? new String[0] : written.split(";")) {
      String[] parts = each.split("=");
      Mood.ofWord(parts[0]).ifPresent(mood -> moods.put(mood, Double.parseDouble(parts[1])));
    }
    return moods;
  }

  private static String written(List<Proposal.Box> figures) {
    return figures.stream()
        .map(
            box ->
                String.format(
                    Locale.ROOT,
                    "%.0f,%.0f,%.0f,%.0f",
                    box.left(),
                    box.top(),
                    box.right(),
                    box.bottom()))
        .collect(Collectors.joining(";"));
  }

  private static List<Proposal.Box> read(String figures) {
    List<Proposal.Box> boxes = new ArrayList<>();
    for (String figure : figures.isEmpty() ? new String[0] : figures.split(";")) {
      double[] ends = Arrays.stream(figure.split(",")).mapToDouble(Double::parseDouble).toArray();
      boxes.add(new Proposal.Box(ends[0], ends[1], ends[2], ends[3]));
    }
    return boxes;
  }

  private static <E extends Enum<E>> Optional<Seen<E>> seen(
      Class<E> type, @Nullable String word, @Nullable Double chance) {
    return word == null || chance == null
        ? Optional.empty()
        : Optional.of(
            new Seen<>(
                Enum.valueOf(type, word.toUpperCase(Locale.ROOT).replace('-', '_')), chance));
  }

  private static @Nullable Double chance(Optional<? extends Seen<?>> seen) {
    return seen.map(Seen::chance).orElse(null);
  }
}
