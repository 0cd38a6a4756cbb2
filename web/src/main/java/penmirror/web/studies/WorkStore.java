package penmirror.web.studies;

import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.WORK;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.web.layout.NotFoundException;
import penmirror.web.studies.Work.Role;

/** Keeps works, and the untouched files of their pictures. */
@Repository
public class WorkStore {
  private final DSLContext database;
  private final Clock clock;

  WorkStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** A picture's file as it was taken in. */
  public record PictureFile(byte[] bytes, String mediaType) {}

  /** A picture about to be taken in, already opened and found usable. */
  public record NewPicture(
      String sha256, byte[] bytes, String mediaType, int widthPixels, int heightPixels) {

    public static NewPicture of(byte[] bytes, PictureReader.Opened opened) {
      return new NewPicture(
          sha256(bytes),
          bytes,
          opened.format().mediaType(),
          opened.picture().widthPixels(),
          opened.picture().heightPixels());
    }

    private static String sha256(byte[] bytes) {
      try {
        return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
      } catch (NoSuchAlgorithmException e) {
        throw new IllegalStateException("Every Java has SHA-256", e);
      }
    }
  }

  /** Takes a picture into a study as the next of its role; file and work, or neither. */
  @Transactional
  public long take(
      long studyId, NewPicture picture, Role role, String title, String credit, View view) {
    keep(picture);
    int number =
        database
            .select(coalesce(max(WORK.NUMBER), 0))
            .from(WORK)
            .where(WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(role.word()))
            .fetchSingle()
            .value1();
    return database
        .insertInto(WORK)
        .set(WORK.STUDY_ID, studyId)
        .set(WORK.PICTURE_SHA256, picture.sha256())
        .set(WORK.ROLE, role.word())
        .set(WORK.NUMBER, number + 1)
        .set(WORK.TITLE, title)
        .set(WORK.CREDIT, credit)
        .set(WORK.VIEW, view.word())
        .set(WORK.TAKEN_IN_AT, OffsetDateTime.now(clock))
        .returning(WORK.ID)
        .fetchSingle(WORK.ID);
  }

  /** Keeps a picture's file without making a work of it. */
  public void keep(NewPicture picture) {
    database
        .insertInto(PICTURE)
        .set(PICTURE.SHA256, picture.sha256())
        .set(PICTURE.MEDIA_TYPE, picture.mediaType())
        .set(PICTURE.WIDTH_PIXELS, picture.widthPixels())
        .set(PICTURE.HEIGHT_PIXELS, picture.heightPixels())
        .set(PICTURE.BYTES, picture.bytes())
        .set(PICTURE.TAKEN_IN_AT, OffsetDateTime.now(clock))
        .onConflictDoNothing()
        .execute();
  }

  /** The work of that role that already holds this picture. */
  public Optional<Work> holding(long studyId, Role role, String sha256) {
    return fetch(
            WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(role.word()), WORK.PICTURE_SHA256.eq(sha256))
        .stream()
        .findFirst();
  }

  /** In the order they were numbered. */
  public List<Work> inRole(long studyId, Role role) {
    return fetch(WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(role.word()));
  }

  /**
   * @throws NotFoundException when the study has no such work
   */
  public Work require(long studyId, long id) {
    return fetch(WORK.STUDY_ID.eq(studyId), WORK.ID.eq(id)).stream()
        .findFirst()
        .orElseThrow(() -> new NotFoundException("fault.work.unknown", id));
  }

  public void describe(long id, String title, String credit, View view) {
    database
        .update(WORK)
        .set(WORK.TITLE, title)
        .set(WORK.CREDIT, credit)
        .set(WORK.VIEW, view.word())
        .where(WORK.ID.eq(id))
        .execute();
  }

  /**
   * @throws NotFoundException when there is no such picture
   */
  public PictureFile file(String sha256) {
    return database
        .select(PICTURE.BYTES, PICTURE.MEDIA_TYPE)
        .from(PICTURE)
        .where(PICTURE.SHA256.eq(sha256))
        .fetchOptional(row -> new PictureFile(row.value1(), row.value2()))
        .orElseThrow(() -> new NotFoundException("fault.picture.unknown", sha256));
  }

  private List<Work> fetch(Condition... conditions) {
    return database
        .select(WORK.fields())
        .select(PICTURE.WIDTH_PIXELS, PICTURE.HEIGHT_PIXELS)
        .from(WORK)
        .join(PICTURE)
        .on(PICTURE.SHA256.eq(WORK.PICTURE_SHA256))
        .where(conditions)
        .orderBy(WORK.NUMBER)
        .fetch(WorkStore::work);
  }

  private static Work work(Record row) {
    return new Work(
        row.get(WORK.ID),
        row.get(WORK.STUDY_ID),
        row.get(WORK.PICTURE_SHA256),
        Role.valueOf(row.get(WORK.ROLE).toUpperCase(Locale.ROOT)),
        row.get(WORK.NUMBER),
        row.get(WORK.TITLE),
        row.get(WORK.CREDIT),
        View.ofWord(row.get(WORK.VIEW)),
        row.get(PICTURE.WIDTH_PIXELS),
        row.get(PICTURE.HEIGHT_PIXELS));
  }
}
