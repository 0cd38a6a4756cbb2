package penmirror.core.format;

/**
 * A file that is not what it should be. The message names the field, what it held and what is
 * expected.
 */
public final class FormatException extends Exception {
  public FormatException(String message) {
    super(message);
  }
}
