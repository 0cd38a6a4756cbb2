package penmirror.web.opening;

/** A picture's turn did not come in time; nothing was done with it. */
public final class BusyException extends RuntimeException {
  BusyException() {
    super("Other pictures are being opened, and this one's turn did not come in time.");
  }
}
