package penmirror.web.sheets;

import static penmirror.web.storage.generated.Tables.FIGURE_WORD;

import java.util.Map;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Keeps which of the words that part a study's works the user's own figure carries. */
@Repository
public class FigureWordStore {
  private final DSLContext database;

  FigureWordStore(DSLContext database) {
    this.database = database;
  }

  /** Whether it carries a word; what was not said is absent. */
  public Map<String, Boolean> of(long studyId) {
    return database
        .select(FIGURE_WORD.WORD, FIGURE_WORD.CARRIED)
        .from(FIGURE_WORD)
        .where(FIGURE_WORD.STUDY_ID.eq(studyId))
        .fetchMap(FIGURE_WORD.WORD, FIGURE_WORD.CARRIED);
  }

  public void say(long studyId, String word, boolean carried) {
    database
        .insertInto(FIGURE_WORD)
        .set(FIGURE_WORD.STUDY_ID, studyId)
        .set(FIGURE_WORD.WORD, word)
        .set(FIGURE_WORD.CARRIED, carried)
        .onDuplicateKeyUpdate()
        .set(FIGURE_WORD.CARRIED, carried)
        .execute();
  }

  public void forget(long studyId, String word) {
    database
        .deleteFrom(FIGURE_WORD)
        .where(FIGURE_WORD.STUDY_ID.eq(studyId), FIGURE_WORD.WORD.eq(word))
        .execute();
  }
}
