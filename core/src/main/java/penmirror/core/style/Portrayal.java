package penmirror.core.style;

import java.util.Optional;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;

/**
 * What a picture shows apart from how it is drawn; also what a sheet is asked for, where each part
 * left empty asks for nothing.
 *
 * @param manner one of the ways this hand draws, in the user's word; empty for the usual one
 */
public record Portrayal(
    Optional<Framing> framing, Optional<Kind> kind, Optional<Mood> mood, String manner) {
  public static final Portrayal ANY =
      new Portrayal(Optional.empty(), Optional.empty(), Optional.empty(), "");

  public Portrayal framed(Framing said) {
    return new Portrayal(Optional.of(said), kind, mood, manner);
  }

  public Portrayal inMood(Optional<Mood> said) {
    return new Portrayal(framing, kind, said, manner);
  }

  /** The same where nobody asks how much of the figure is shown. */
  public Portrayal ofAnyFraming() {
    return new Portrayal(Optional.empty(), kind, mood, manner);
  }
}
