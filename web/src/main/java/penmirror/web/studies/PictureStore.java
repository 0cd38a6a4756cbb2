package penmirror.web.studies;

import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.RENDITION;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Locale;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import penmirror.core.file.PictureReader;
import penmirror.core.format.Sha256;
import penmirror.core.raster.Fingerprint;
import penmirror.web.layout.NotFoundException;

/** Keeps the untouched files of pictures, by the hash of their content, and smaller copies. */
@Repository
public class PictureStore {
  private final DSLContext database;
  private final Clock clock;

  PictureStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** A file with the type under which it is sent. */
  public record PictureFile(byte[] bytes, String mediaType) {}

  /** A picture about to be kept, already opened and found usable. */
  public record NewPicture(
      String sha256,
      byte[] bytes,
      String mediaType,
      int widthPixels,
      int heightPixels,
      PictureReader.Profile profile,
      Fingerprint fingerprint) {

    public static NewPicture of(byte[] bytes, PictureReader.Opened opened) {
      return new NewPicture(
          Sha256.of(bytes),
          bytes,
          opened.format().mediaType(),
          opened.picture().widthPixels(),
          opened.picture().heightPixels(),
          opened.profile(),
          Fingerprint.of(opened.picture()));
    }
  }

  /** Keeps a picture's file; one that is kept already stays as it is. */
  public void keep(NewPicture picture) {
    database
        .insertInto(PICTURE)
        .set(PICTURE.SHA256, picture.sha256())
        .set(PICTURE.MEDIA_TYPE, picture.mediaType())
        .set(PICTURE.WIDTH_PIXELS, picture.widthPixels())
        .set(PICTURE.HEIGHT_PIXELS, picture.heightPixels())
        .set(PICTURE.BYTES, picture.bytes())
        .set(PICTURE.PROFILE, picture.profile().name().toLowerCase(Locale.ROOT))
        .set(PICTURE.FINGERPRINT, picture.fingerprint().toBytes())
        .set(PICTURE.TAKEN_IN_AT, OffsetDateTime.now(clock))
        .onConflictDoNothing()
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

  /**
   * @throws NotFoundException when there is no such picture
   */
  public String mediaType(String sha256) {
    return database
        .select(PICTURE.MEDIA_TYPE)
        .from(PICTURE)
        .where(PICTURE.SHA256.eq(sha256))
        .fetchOptional(PICTURE.MEDIA_TYPE)
        .orElseThrow(() -> new NotFoundException("fault.picture.unknown", sha256));
  }

  /** Empty until it is made. */
  public Optional<PictureFile> rendition(String sha256, int longerSide) {
    return database
        .select(RENDITION.BYTES, RENDITION.MEDIA_TYPE)
        .from(RENDITION)
        .where(RENDITION.PICTURE_SHA256.eq(sha256), RENDITION.LONGER_SIDE.eq(longerSide))
        .fetchOptional(row -> new PictureFile(row.value1(), row.value2()));
  }

  public void keepRendition(String sha256, int longerSide, PictureFile file) {
    database
        .insertInto(RENDITION)
        .set(RENDITION.PICTURE_SHA256, sha256)
        .set(RENDITION.LONGER_SIDE, longerSide)
        .set(RENDITION.MEDIA_TYPE, file.mediaType())
        .set(RENDITION.BYTES, file.bytes())
        .onConflictDoNothing()
        .execute();
  }
}
