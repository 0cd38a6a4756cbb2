package penmirror.web.tray;

import java.time.Instant;
import java.util.Optional;
import penmirror.core.file.PictureFormat;
import penmirror.core.file.Resolution;

/**
 * A file that lies in the tray.
 *
 * @param bytes size just now
 */
public record TrayPage(String fileName, long bytes, Instant changedAt, State state) {

  /** What can be said of it. */
  public sealed interface State permits Ready, StillWriting, NotLookedAt, Unreadable {}

  /**
   * A whole picture.
   *
   * @param resolution as the file states it
   */
  public record Ready(
      PictureFormat format, int widthPixels, int heightPixels, Optional<Resolution> resolution)
      implements State {}

  /** The scanner has not finished; not to be taken in. */
  public record StillWriting() implements State {}

  /** Its turn to be opened has not come. */
  public record NotLookedAt() implements State {}

  /**
   * Left alone.
   *
   * @param reason plain words, with the next step
   */
  public record Unreadable(String reason) implements State {}

  public boolean isReady() {
    return state instanceof Ready;
  }
}
