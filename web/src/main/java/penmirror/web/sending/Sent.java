package penmirror.web.sending;

/**
 * A form that was sent, told by the token its page gave it and by what it holds: the same page sent
 * again with other words is another form.
 *
 * @param token empty for a form without one, which always does its work
 */
public record Sent(String token) {}
