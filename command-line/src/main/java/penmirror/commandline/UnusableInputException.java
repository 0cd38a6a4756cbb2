package penmirror.commandline;

/** An input that cannot be used. The message names the file, the reason and the next step. */
final class UnusableInputException extends Exception {
  UnusableInputException(String file, String reason) {
    super(file + ": " + reason);
  }
}
