package penmirror.web.measure;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.file.Resolution;
import penmirror.core.format.MarksFile;
import penmirror.core.format.ProposalJson;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.RepeatStore;
import penmirror.web.evidence.SightStore;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sight.FirstLooking;
import penmirror.web.sight.Proposing;
import penmirror.web.studies.Scan;
import penmirror.web.studies.ScanStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What stands on the bench's page when it is opened. */
@Component
class BenchPage {
  private static final int VERSIONS_SHOWN = 20;

  private final WorkStore works;
  private final MarkingStore markings;
  private final Bench bench;
  private final Questions questions;
  private final Proposing proposing;
  private final Twins twins;
  private final RepeatStore repeats;
  private final ScanStore scans;
  private final Rail rail;
  private final FirstLooking firstLooking;

  BenchPage(
      WorkStore works,
      MarkingStore markings,
      Bench bench,
      Questions questions,
      Proposing proposing,
      Twins twins,
      RepeatStore repeats,
      ScanStore scans,
      Rail rail,
      FirstLooking firstLooking) {
    this.firstLooking = firstLooking;
    this.works = works;
    this.markings = markings;
    this.bench = bench;
    this.questions = questions;
    this.proposing = proposing;
    this.twins = twins;
    this.repeats = repeats;
    this.scans = scans;
    this.rail = rail;
  }

  void addTo(Model model, Study study, Work asked) {
    // Looked at first where nobody has: that may tell from which side it is seen.
    Optional<SightStore.Sight> sight = firstLooking.now(asked);
    Work work = works.require(asked.studyId(), asked.id());
    MarkingStore.Marking marking = markings.newest(work.id(), work.view());
    Stage stage = work.role() == Work.Role.SOURCE ? Stage.MEASURE : Stage.MIRROR;
    rail.addTo(model, study, stage);
    bench.addReadings(model, study, work, marking.marks());
    model.addAttribute("version", marking.version());
    model.addAttribute("leftOut", marking.leftOut());
    model.addAttribute("landmarks", MarksFile.landmarksJson(marking.marks()));
    model.addAttribute(
        "proposal", marking.version() == 0 ? proposal(work, sight).orElse(null) : null);
    model.addAttribute("neighbours", neighbours(work));
    questions.addTo(model, study, work);
    model.addAttribute("learnsFrom", proposing.learnsFrom(work));
    model.addAttribute("twins", twins.of(work));
    model.addAttribute("history", markings.history(work.id(), VERSIONS_SHOWN));
    model.addAttribute("repeats", repeats.technicalError(study.id()).figures());
    model.addAttribute(
        "pixelsPerInch",
        scans.of(work.id()).flatMap(Scan::resolution).map(Resolution::pixelsPerInch).orElse(null));
  }

  /** What was seen at first sight, of points that the picture has a place for. */
  private static Optional<String> proposal(Work work, Optional<SightStore.Sight> sight) {
    return sight.map(
        seen ->
            ProposalJson.write(
                seen.seen()
                    .proposal()
                    .only(
                        landmark ->
                            work.tags().framing().map(f -> f.canShow(landmark)).orElse(true))));
  }

  /** The works before and after this one in its role. */
  record Neighbours(Optional<Work> before, Optional<Work> after) {}

  private Neighbours neighbours(Work work) {
    List<Work> all = works.inRole(work.studyId(), work.role());
    int at = 0;
    while (all.get(at).id() != work.id()) {
      at++;
    }
    return new Neighbours(
        at > 0 ? Optional.of(all.get(at - 1)) : Optional.empty(),
        at < all.size() - 1 ? Optional.of(all.get(at + 1)) : Optional.empty());
  }
}
