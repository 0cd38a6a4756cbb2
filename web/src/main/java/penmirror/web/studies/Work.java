package penmirror.web.studies;

import java.util.Locale;
import penmirror.core.figure.View;

/**
 * One picture in one study.
 *
 * @param number counts within its role, from 1
 */
public record Work(
    long id,
    long studyId,
    String pictureSha256,
    Role role,
    int number,
    String title,
    String credit,
    View view,
    int widthPixels,
    int heightPixels) {

  /** What the picture is to the study. Only sources make rules. */
  public enum Role {
    SOURCE,
    CHARACTER,
    REDRAW;

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
