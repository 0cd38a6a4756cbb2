package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.STATEMENT;
import static penmirror.web.storage.generated.Tables.TICK;
import static penmirror.web.storage.generated.Tables.WORK;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.coverage.Part;
import penmirror.core.format.Sha256;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.Ticked;
import penmirror.core.words.Wording;
import penmirror.web.studies.Work;

/** Keeps the library of statements and what was answered to them on each picture. */
@Repository
public class TickStore {
  private final DSLContext database;

  TickStore(DSLContext database) {
    this.database = database;
  }

  /** A statement that can hold of a picture or not. */
  public record Statement(String key, String part, String stage, String text, boolean own) {
    private static final int KEY_DIGITS = 20;

    /** One the user adds; the same words on the same part are the same statement, in any script. */
    public static Statement ofTheUsers(Part part, String stage, String text) {
      String hash = Sha256.of(part.word() + "/" + text.toLowerCase(Locale.ROOT));
      return new Statement("own-" + hash.substring(0, KEY_DIGITS), part.word(), stage, text, true);
    }
  }

  /** By part and key. */
  public List<Statement> statements() {
    return database
        .selectFrom(STATEMENT)
        .orderBy(STATEMENT.PART, STATEMENT.OWN, STATEMENT.KEY)
        .fetch(
            row ->
                new Statement(
                    row.getKey(),
                    row.getPart(),
                    row.getStage(),
                    words(row.getKey(), row.getText()),
                    row.getOwn()));
  }

  /** Answers by the statement's key: yes, no, or unclear. What was not asked yet is absent. */
  public Map<String, String> answers(long workId) {
    Map<String, String> answers = new LinkedHashMap<>();
    database
        .selectFrom(TICK)
        .where(TICK.WORK_ID.eq(workId))
        .orderBy(TICK.STATEMENT_KEY)
        .forEach(row -> answers.put(row.getStatementKey(), row.getAnswer()));
    return answers;
  }

  /**
   * Every statement that was answered on a study's works, with how often it holds, by part and key.
   */
  public List<Ticked> ofStudy(long studyId) {
    Field<Integer> yes = DSL.count().filterWhere(TICK.ANSWER.eq("yes"));
    Field<Integer> no = DSL.count().filterWhere(TICK.ANSWER.eq("no"));
    return database
        .select(STATEMENT.KEY, STATEMENT.TEXT, STATEMENT.STAGE, yes, no)
        .from(TICK)
        .join(STATEMENT)
        .on(STATEMENT.KEY.eq(TICK.STATEMENT_KEY))
        .join(WORK)
        .on(WORK.ID.eq(TICK.WORK_ID))
        .where(
            WORK.STUDY_ID.eq(studyId),
            WORK.ROLE.eq(Work.Role.SOURCE.word()),
            WORK.LEFT_OUT.isFalse())
        .groupBy(STATEMENT.KEY, STATEMENT.TEXT, STATEMENT.STAGE, STATEMENT.PART)
        .having(yes.plus(no).gt(0))
        .orderBy(STATEMENT.PART, STATEMENT.KEY)
        .fetch(
            row ->
                new Ticked(
                    row.value1(),
                    words(row.value1(), row.value2()),
                    DrawingStage.ofWord(row.value3()).orElseThrow(),
                    row.value4(),
                    row.value5()));
  }

  /**
   * What is clearly answered of each work of a study in a role: whether a statement holds, by its
   * key.
   */
  public Map<Long, Map<String, Boolean>> clearAnswers(long studyId, Work.Role role) {
    Map<Long, Map<String, Boolean>> answers = new HashMap<>();
    database
        .select(TICK.WORK_ID, TICK.STATEMENT_KEY, TICK.ANSWER)
        .from(TICK)
        .join(WORK)
        .on(WORK.ID.eq(TICK.WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(role.word()), TICK.ANSWER.in("yes", "no"))
        .forEach(
            row ->
                answers
                    .computeIfAbsent(row.value1(), work -> new HashMap<>())
                    .put(row.value2(), row.value3().equals("yes")));
    return answers;
  }

  /** What each work of a study answers to one statement. */
  public Map<Long, String> answersTo(long studyId, String key) {
    return database
        .select(TICK.WORK_ID, TICK.ANSWER)
        .from(TICK)
        .join(WORK)
        .on(WORK.ID.eq(TICK.WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId), TICK.STATEMENT_KEY.eq(key))
        .fetchMap(TICK.WORK_ID, TICK.ANSWER);
  }

  public void answer(long workId, String key, String answer) {
    database
        .insertInto(TICK)
        .set(TICK.WORK_ID, workId)
        .set(TICK.STATEMENT_KEY, key)
        .set(TICK.ANSWER, answer)
        .onConflict(TICK.WORK_ID, TICK.STATEMENT_KEY)
        .doUpdate()
        .set(TICK.ANSWER, answer)
        .execute();
  }

  public void withdraw(long workId, String key) {
    database.deleteFrom(TICK).where(TICK.WORK_ID.eq(workId), TICK.STATEMENT_KEY.eq(key)).execute();
  }

  /** Answers of another picture as a start; what is answered here already stays. */
  @Transactional
  public void copy(long fromWorkId, long toWorkId) {
    Map<String, String> here = answers(toWorkId);
    answers(fromWorkId)
        .forEach(
            (key, answer) -> {
              if (!here.containsKey(key)) {
                answer(toWorkId, key, answer);
              }
            });
  }

  public boolean has(String key) {
    return database.fetchExists(STATEMENT, STATEMENT.KEY.eq(key));
  }

  public void add(Statement statement) {
    database
        .insertInto(STATEMENT)
        .set(STATEMENT.KEY, statement.key())
        .set(STATEMENT.PART, statement.part())
        .set(STATEMENT.STAGE, statement.stage())
        .set(STATEMENT.TEXT, statement.text())
        .set(STATEMENT.OWN, true)
        .onConflictDoNothing()
        .execute();
  }

  /** Those of a statement that ships stand where all words stand. */
  private static String words(String key, @Nullable String typed) {
    return typed == null ? Wording.text("statement." + key) : typed;
  }
}
