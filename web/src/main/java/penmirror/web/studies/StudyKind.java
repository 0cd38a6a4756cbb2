package penmirror.web.studies;

import java.util.Locale;

/** How a study is drawn, from the closest guidance to none. Each trains something else. */
public enum StudyKind {
  TRACE,
  COPY,
  MERGE,
  MEMORY,
  OWN_CHARACTER,
  OWN_HAND;

  /** The word used in addresses and message keys. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  public static StudyKind ofWord(String word) {
    for (StudyKind kind : values()) {
      if (kind.word().equals(word)) {
        return kind;
      }
    }
    return COPY;
  }
}
