package penmirror.web.sheets;

import static penmirror.web.storage.generated.Tables.SHEET_FILE;

import java.util.Optional;
import org.jooq.DSLContext;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Repository;
import penmirror.core.format.FormatException;
import penmirror.core.format.StyleFile;

/** Keeps sheets that came as files. */
@Repository
public class SheetFileStore {
  private static final Logger LOG = LoggerFactory.getLogger(SheetFileStore.class);

  private final DSLContext database;

  SheetFileStore(DSLContext database) {
    this.database = database;
  }

  public void keep(long studyId, StyleFile file) {
    database
        .insertInto(SHEET_FILE)
        .set(SHEET_FILE.STUDY_ID, studyId)
        .set(SHEET_FILE.FILE, file.toJson())
        .execute();
  }

  /** Whether a study is of a file, and its rules are read-only. */
  public boolean has(long studyId) {
    return database.fetchExists(SHEET_FILE, SHEET_FILE.STUDY_ID.eq(studyId));
  }

  /** Empty for a study whose rules are made of its own works. */
  Optional<StyleFile> of(long studyId) {
    return database
        .select(SHEET_FILE.FILE)
        .from(SHEET_FILE)
        .where(SHEET_FILE.STUDY_ID.eq(studyId))
        .fetchOptional(SHEET_FILE.FILE)
        .flatMap(file -> read(studyId, file));
  }

  private static Optional<StyleFile> read(long studyId, String file) {
    try {
      return Optional.of(StyleFile.parse(file));
    } catch (FormatException e) {
      LOG.error("The sheet file of study {} can no longer be read.", studyId, e);
      return Optional.empty();
    }
  }
}
