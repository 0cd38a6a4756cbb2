package penmirror.web.sending;

import static penmirror.web.storage.generated.Tables.SUBMISSION;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.function.Supplier;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Keeps which forms have done their work, for as long as a page may lie open. */
@Repository
class SubmissionStore {
  private static final Duration KEPT = Duration.ofDays(2);

  private final DSLContext database;
  private final Clock clock;

  SubmissionStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /**
   * Does the work of a form, in one transaction with the note that it was done. Sent again, or a
   * second time at the same moment, the form gets the first answer and nothing is done.
   *
   * @param work tells where the form leads
   */
  @Transactional
  public String once(Sent sent, Supplier<String> work) {
    if (sent.token().isEmpty()) {
      return work.get();
    }
    OffsetDateTime now = OffsetDateTime.now(clock);
    database.deleteFrom(SUBMISSION).where(SUBMISSION.SENT_AT.lt(now.minus(KEPT))).execute();
    // A second one waits here until the first has kept its answer.
    boolean isFirst =
        database
                .insertInto(SUBMISSION)
                .set(SUBMISSION.TOKEN, sent.token())
                .set(SUBMISSION.ANSWER, "")
                .set(SUBMISSION.SENT_AT, now)
                .onConflictDoNothing()
                .execute()
            > 0;
    if (!isFirst) {
      return database
          .select(SUBMISSION.ANSWER)
          .from(SUBMISSION)
          .where(SUBMISSION.TOKEN.eq(sent.token()))
          .fetchSingle(SUBMISSION.ANSWER);
    }
    String answer = work.get();
    database
        .update(SUBMISSION)
        .set(SUBMISSION.ANSWER, answer)
        .where(SUBMISSION.TOKEN.eq(sent.token()))
        .execute();
    return answer;
  }
}
