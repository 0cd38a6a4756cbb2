package penmirror.demoart.page;

import java.util.Locale;

/** What a line does. */
public enum LineClass {
  /** The figure against its ground. */
  SILHOUETTE,
  /** One part against another. */
  FORM,
  /** Folds, seams, features. */
  DETAIL,
  /** The upper lid with its lashes. */
  LASH,
  BROW,
  HATCH;

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
