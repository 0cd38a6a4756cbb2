package penmirror.web.layout;

import java.io.IOException;
import java.sql.SQLException;
import java.util.Locale;

/**
 * What the database says when something cannot be kept, by the class of its code.
 *
 * <p>Source: PostgreSQL 15 documentation, appendix A, error codes.
 */
enum StoreFault {
  NULL_CHARACTER(400),
  TOO_LONG(400),
  COLLISION(409),
  GONE(409),
  BUSY(503),
  FULL(507),
  DOWN(503),
  OTHER(500);

  private final int status;

  StoreFault(int status) {
    this.status = status;
  }

  int status() {
    return status;
  }

  String messageKey() {
    return this == OTHER
        ? "fault.other"
        : "fault.store." + name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  static StoreFault of(SQLException fault) {
    String state = fault.getSQLState() == null ? "" : fault.getSQLState();
    return switch (state) {
      case "22021", "22P05" -> NULL_CHARACTER;
      case "22001" -> TOO_LONG;
      case "23505" -> COLLISION;
      case "23503" -> GONE;
      case "40001", "40P01", "55P03", "53300" -> BUSY;
      case "53100" -> FULL;
      // Without a code it is the pool that found no connection in time.
      default ->
          state.isEmpty() || state.startsWith("08") || state.startsWith("57P") ? DOWN : OTHER;
    };
  }

  /** Uploads lie on disk before they are kept. */
  static boolean isFullDisk(Throwable fault) {
    String message = String.valueOf(fault.getMessage());
    return fault instanceof IOException
        && (message.contains("No space left") || message.contains("Disk quota"));
  }
}
