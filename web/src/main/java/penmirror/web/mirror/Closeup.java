package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.coverage.PartFrame;
import penmirror.core.figure.Marks;
import penmirror.core.scoring.Fix;
import penmirror.web.studies.Work;

/**
 * The place of one change on the source and on the redraw, near to.
 *
 * @param number of the change
 * @param theirs what of the source is seen, as an SVG names it; yours of the redraw
 */
record Closeup(int number, String theirs, String yours) {

  /** Of the first changes, as far as both pictures are marked there. */
  static List<Closeup> of(
      Work source, Marks sourceMarks, Work redraw, Marks redrawMarks, List<Fix> fixes) {
    List<Closeup> near = new ArrayList<>();
    for (int i = 0; i < Math.min(Mending.FIRST, fixes.size()); i++) {
      Fix fix = fixes.get(i);
      Optional<String> theirs = frame(fix, sourceMarks, source);
      Optional<String> yours = frame(fix, redrawMarks, redraw);
      if (theirs.isPresent() && yours.isPresent()) {
        near.add(new Closeup(i + 1, theirs.get(), yours.get()));
      }
    }
    return near;
  }

  /** Round the points of the first reading of it that has some there. */
  private static Optional<String> frame(Fix fix, Marks marks, Work work) {
    return fix.act().readings().stream()
        .flatMap(
            measure ->
                PartFrame.of(measure, marks, work.widthPixels(), work.heightPixels()).stream())
        .map(PartFrame::viewBox)
        .findFirst();
  }
}
