package penmirror.demoart;

import penmirror.core.figure.Marks;

/**
 * One finished demo picture with the truth about it.
 *
 * @param png the picture's file
 * @param truth every landmark drawn, hidden ones marked as such
 */
public record DrawnWork(
    String fileName, Role role, String title, String credit, byte[] png, Marks truth) {

  /** What the picture is to the study. */
  public enum Role {
    SOURCE,
    CHARACTER,
    REDRAW
  }
}
