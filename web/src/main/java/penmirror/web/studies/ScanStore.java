package penmirror.web.studies;

import static penmirror.web.storage.generated.Tables.SCAN;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import penmirror.core.file.Resolution;

/** Keeps which works came from a scan, and how it was cleaned. */
@Repository
public class ScanStore {
  private final DSLContext database;
  private final Clock clock;

  ScanStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** Notes the scan of a work; its raw picture must be kept already. The first note stays. */
  public void note(long workId, Scan scan) {
    database
        .insertInto(SCAN)
        .set(SCAN.WORK_ID, workId)
        .set(SCAN.RAW_SHA256, scan.rawSha256())
        .set(SCAN.FILE_NAME, scan.fileName())
        .set(SCAN.PIXELS_PER_INCH, scan.resolution().map(Resolution::pixelsPerInch).orElse(null))
        .set(SCAN.TURN_DEGREES, scan.turnDegrees())
        .set(SCAN.FLATTENED, scan.flattened())
        .set(SCAN.WHITENED, scan.whitened())
        .set(SCAN.TAKEN_IN_AT, OffsetDateTime.now(clock))
        .onConflictDoNothing()
        .execute();
  }

  /** Empty for a work that did not come from the scan tray. */
  public Optional<Scan> of(long workId) {
    return database
        .selectFrom(SCAN)
        .where(SCAN.WORK_ID.eq(workId))
        .fetchOptional(
            row ->
                new Scan(
                    row.getRawSha256(),
                    row.getFileName(),
                    Optional.ofNullable(row.getPixelsPerInch()).map(Resolution::new),
                    row.getTurnDegrees(),
                    row.getFlattened(),
                    row.getWhitened()));
  }
}
