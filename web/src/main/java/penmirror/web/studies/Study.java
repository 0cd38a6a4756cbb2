package penmirror.web.studies;

import java.time.Instant;
import penmirror.core.planning.GuidePlan.Canvas;

/**
 * One illustrator's style being studied.
 *
 * @param illustrator empty until somebody says who
 */
public record Study(
    long id,
    String name,
    String illustrator,
    String reason,
    String credit,
    Canvas canvas,
    Instant begunAt) {

  /** Whose hand it is: the illustrator, or the study's own name until somebody says who. */
  public String hand() {
    return illustrator.isBlank() ? name : illustrator;
  }

  /** Hand and study as a heading names them, each once. */
  public String called() {
    return illustrator.isBlank() || illustrator.equals(name) ? name : illustrator + ", " + name;
  }
}
