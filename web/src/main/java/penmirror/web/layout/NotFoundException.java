package penmirror.web.layout;

/** Something that was asked for by its id does not exist. Carries the message's key. */
public final class NotFoundException extends RuntimeException {
  private final String messageKey;
  private final Object asked;

  public NotFoundException(String messageKey, Object asked) {
    super(messageKey + ": " + asked);
    this.messageKey = messageKey;
    this.asked = asked;
  }

  String messageKey() {
    return messageKey;
  }

  Object asked() {
    return asked;
  }
}
