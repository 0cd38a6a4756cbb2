package penmirror.web.sheets;

import static penmirror.web.storage.generated.Tables.STUDY_CHANGE;

import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Repository;

/** Tells whether a study has changed, whoever wrote to it: the database itself notes it. */
@Repository
class ChangeStore {
  private final DSLContext database;

  ChangeStore(DSLContext database) {
    this.database = database;
  }

  /**
   * Equal for as long as nothing changes. Both the number of changes and the newest are told: one
   * that is committed late is older than the newest and still makes one more.
   */
  record Change(int count, long newest) {
    static final Change NONE = new Change(0, 0);
  }

  Change of(long studyId) {
    return database
        .select(DSL.count(), DSL.coalesce(DSL.max(STUDY_CHANGE.ID), 0L))
        .from(STUDY_CHANGE)
        .where(STUDY_CHANGE.STUDY_ID.eq(studyId))
        .fetchSingle(row -> new Change(row.value1(), row.value2()));
  }

  /** Of every study that has changed since this program began. */
  Map<Long, Change> all() {
    return database
        .select(STUDY_CHANGE.STUDY_ID, DSL.count(), DSL.max(STUDY_CHANGE.ID))
        .from(STUDY_CHANGE)
        .groupBy(STUDY_CHANGE.STUDY_ID)
        .fetchMap(row -> row.value1(), row -> new Change(row.value2(), row.value3()));
  }

  /** What an earlier run noted tells nobody anything. */
  @EventListener(ApplicationReadyEvent.class)
  void tidy() {
    database.deleteFrom(STUDY_CHANGE).execute();
  }
}
