package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import penmirror.core.coverage.PartFrame;
import penmirror.core.measure.Evidence;
import penmirror.core.scoring.Fix;
import penmirror.core.style.Rule;
import penmirror.web.studies.Work;

/**
 * The place of one change on the source and on the redraw, near to.
 *
 * @param number of the change
 * @param theirs what of the source is seen, as an SVG names it; yours of the redraw
 */
record Closeup(int number, String theirs, String yours) {

  /**
   * Of the first changes, as far as both pictures are marked there; none beside an own drawing,
   * which shows no rule.
   */
  static List<Closeup> of(
      Work source, Evidence sourceEvidence, Work redraw, Evidence redrawEvidence, List<Fix> fixes) {
    List<Closeup> near = new ArrayList<>();
    int shown = source.role() == Work.Role.SOURCE ? Mending.FIRST : 0;
    for (int i = 0; i < Math.min(shown, fixes.size()); i++) {
      Fix fix = fixes.get(i);
      Optional<String> theirs = frame(fix, sourceEvidence, source);
      Optional<String> yours = frame(fix, redrawEvidence, redraw);
      if (theirs.isPresent() && yours.isPresent()) {
        near.add(new Closeup(i + 1, theirs.get(), yours.get()));
      }
    }
    return near;
  }

  /** What shows the reading that is farthest off, or the first of the act that can be shown. */
  private static Optional<String> frame(Fix fix, Evidence evidence, Work work) {
    return Stream.concat(fix.rules().stream().map(Rule::measure), fix.act().readings().stream())
        .flatMap(
            measure ->
                PartFrame.of(measure, evidence, work.widthPixels(), work.heightPixels()).stream())
        .map(PartFrame::viewBox)
        .findFirst();
  }
}
