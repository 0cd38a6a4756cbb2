package penmirror.web.layout;

/**
 * What was sent cannot be used, and nothing was changed. Carries the key of the message that says
 * why, and what it speaks of.
 */
public final class RefusedException extends RuntimeException {
  private final String messageKey;
  private final transient Object[] about;

  public RefusedException(String messageKey, Object... about) {
    super(messageKey);
    this.messageKey = messageKey;
    this.about = about;
  }

  String messageKey() {
    return messageKey;
  }

  Object[] about() {
    return about;
  }
}
