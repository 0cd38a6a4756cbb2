package penmirror.web.mirror;

import static penmirror.web.storage.generated.Tables.FIX_DONE;
import static penmirror.web.storage.generated.Tables.FIX_ON_PURPOSE;

import java.util.Set;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Keeps what the user said of fixes. */
@Repository
class FixStore {
  private final DSLContext database;

  FixStore(DSLContext database) {
    this.database = database;
  }

  /** Keys of the fixes that are done on a redraw. */
  Set<String> done(long workId) {
    return database
        .select(FIX_DONE.FIX)
        .from(FIX_DONE)
        .where(FIX_DONE.WORK_ID.eq(workId))
        .fetchSet(FIX_DONE.FIX);
  }

  void done(long workId, String fix, boolean is) {
    if (is) {
      database
          .insertInto(FIX_DONE)
          .set(FIX_DONE.WORK_ID, workId)
          .set(FIX_DONE.FIX, fix)
          .onConflictDoNothing()
          .execute();
    } else {
      database
          .deleteFrom(FIX_DONE)
          .where(FIX_DONE.WORK_ID.eq(workId), FIX_DONE.FIX.eq(fix))
          .execute();
    }
  }

  /** Keys of the acts that are off on purpose in a study. */
  Set<String> onPurpose(long studyId) {
    return database
        .select(FIX_ON_PURPOSE.ACT)
        .from(FIX_ON_PURPOSE)
        .where(FIX_ON_PURPOSE.STUDY_ID.eq(studyId))
        .fetchSet(FIX_ON_PURPOSE.ACT);
  }

  void onPurpose(long studyId, String act, boolean is) {
    if (is) {
      database
          .insertInto(FIX_ON_PURPOSE)
          .set(FIX_ON_PURPOSE.STUDY_ID, studyId)
          .set(FIX_ON_PURPOSE.ACT, act)
          .onConflictDoNothing()
          .execute();
    } else {
      database
          .deleteFrom(FIX_ON_PURPOSE)
          .where(FIX_ON_PURPOSE.STUDY_ID.eq(studyId), FIX_ON_PURPOSE.ACT.eq(act))
          .execute();
    }
  }
}
