package penmirror.demoart.studio;

import java.util.List;
import penmirror.core.colour.OkLab;
import penmirror.core.figure.View;
import penmirror.demoart.figure.Mood;
import penmirror.demoart.figure.Subject;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Palette;
import penmirror.demoart.manner.Role;
import penmirror.demoart.pose.Pose;

/**
 * Everything that decides a picture; the same commission always gives the same bytes.
 *
 * @param palette the colours used, the subject's own or others
 * @param slips where the drawing strays from its manner on purpose
 * @param mirrored whether the figure faces left
 */
public record Commission(
    String fileName,
    String title,
    Manner manner,
    Subject subject,
    Palette palette,
    Pose pose,
    View view,
    Cut cut,
    Mood mood,
    boolean mirrored,
    long seed,
    List<Slip> slips) {
  public Commission {
    slips = List.copyOf(slips);
  }

  /** The same drawn again, straying otherwise. */
  public Commission slipping(String newFile, String newTitle, List<Slip> newSlips) {
    return new Commission(
        newFile, newTitle, manner, subject, palette, pose, view, cut, mood, mirrored, seed,
        newSlips);
  }

  /** On another paper, such as the white of a sheet that will be scanned. */
  public Commission onPaper(OkLab paper) {
    return new Commission(
        fileName,
        title,
        manner,
        subject,
        palette.with(Role.PAPER, paper),
        pose,
        view,
        cut,
        mood,
        mirrored,
        seed,
        slips);
  }

  /** Somebody else in it. */
  public Commission showing(Subject other, Palette colours) {
    return new Commission(
        fileName, title, manner, other, colours, pose, view, cut, mood, mirrored, seed, slips);
  }

  /** In another pose, drawn on another day. */
  public Commission posed(Pose other) {
    return new Commission(
        fileName, title, manner, subject, palette, other, view, cut, mood, mirrored, seed + 1,
        slips);
  }

  /** In another manner, or one that differs in a little. */
  public Commission drawnBy(Manner other) {
    return new Commission(
        fileName, title, other, subject, palette, pose, view, cut, mood, mirrored, seed, slips);
  }
}
