package penmirror.core.measure;

import java.util.Locale;

/** Of what a measure speaks: asked by whether one could tell somebody to draw so. */
public enum Nature {
  /** How it is drawn; a hand can obey it. Only these become rules. */
  MANNER,
  /** What is drawn: this coat, this hair, this framing. It is shown and never asked for. */
  SUBJECT,
  /** Helps to recognise a hand and says nothing that one could do. */
  TELL;

  /** The word used in files. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
