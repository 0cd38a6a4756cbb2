package penmirror.web.mirror;

import static penmirror.web.storage.generated.Tables.ODD_ONE;

import java.time.Clock;
import java.time.OffsetDateTime;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

/** Keeps which figure was taken for the one that is not theirs. */
@Repository
class OddOneStore {
  private final DSLContext database;
  private final Clock clock;

  OddOneStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /**
   * @param looks how often somebody looked for it
   * @param found how often it was found
   */
  record Tally(int looks, int found) {}

  void picked(long redrawId, long pickedId, int among) {
    database
        .insertInto(ODD_ONE)
        .set(ODD_ONE.WORK_ID, redrawId)
        .set(ODD_ONE.PICKED_ID, pickedId)
        .set(ODD_ONE.AMONG, among)
        .set(ODD_ONE.PICKED_AT, OffsetDateTime.now(clock))
        .execute();
  }

  Tally tally(long redrawId) {
    return database
        .select(DSL.count(), DSL.count().filterWhere(ODD_ONE.PICKED_ID.eq(ODD_ONE.WORK_ID)))
        .from(ODD_ONE)
        .where(ODD_ONE.WORK_ID.eq(redrawId))
        .fetchSingle(row -> new Tally(row.value1(), row.value2()));
  }
}
