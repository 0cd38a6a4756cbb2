package penmirror.web.sheets;

import static penmirror.web.storage.generated.Tables.NOT_MY_AIM;

import java.util.Set;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Keeps which acts of a style a user does not aim at. */
@Repository
public class AimStore {
  private final DSLContext database;

  AimStore(DSLContext database) {
    this.database = database;
  }

  /** Their keys. */
  public Set<String> left(long studyId) {
    return database
        .select(NOT_MY_AIM.ACT)
        .from(NOT_MY_AIM)
        .where(NOT_MY_AIM.STUDY_ID.eq(studyId))
        .fetchSet(NOT_MY_AIM.ACT);
  }

  public void leave(long studyId, String act) {
    database
        .insertInto(NOT_MY_AIM)
        .set(NOT_MY_AIM.STUDY_ID, studyId)
        .set(NOT_MY_AIM.ACT, act)
        .onConflictDoNothing()
        .execute();
  }

  public void aimAt(long studyId, String act) {
    database
        .deleteFrom(NOT_MY_AIM)
        .where(NOT_MY_AIM.STUDY_ID.eq(studyId), NOT_MY_AIM.ACT.eq(act))
        .execute();
  }
}
