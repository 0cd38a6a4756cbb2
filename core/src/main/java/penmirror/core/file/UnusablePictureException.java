package penmirror.core.file;

/** A file that cannot be used as a picture. The message says why and what to do, in plain words. */
public final class UnusablePictureException extends Exception {
  /** Why; screens in another language key their text by it. */
  public enum Reason {
    EMPTY,
    TOO_MANY_BYTES,
    NOT_A_PICTURE,
    TOO_MANY_PIXELS,
    TRUNCATED,
    UNREADABLE,
    /** It would take more time or memory than opening a picture may. */
    TOO_COSTLY
  }

  private final Reason reason;

  public UnusablePictureException(Reason reason, String message) {
    super(message);
    this.reason = reason;
  }

  public Reason reason() {
    return reason;
  }
}
