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
  private static final int LONGEST_TITLE = 200;

  /** A title as long as one may be. */
  public static String cutTitle(String title) {
    return title.length() <= LONGEST_TITLE ? title : title.substring(0, LONGEST_TITLE);
  }

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
