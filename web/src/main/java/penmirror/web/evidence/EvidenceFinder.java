package penmirror.web.evidence;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.region.NamedRoles;
import penmirror.core.reading.TechnicalError;
import penmirror.web.studies.Work;

/**
 * Brings together what is known of a work: its newest marks, what its pixels told, and before that
 * what somebody named of its colours.
 */
@Component
public class EvidenceFinder {
  private final MarkingStore markings;
  private final PixelReadingStore pixelReadings;
  private final RepeatStore repeats;
  private final SightStore sights;
  private final RoleStore roles;

  EvidenceFinder(
      MarkingStore markings,
      PixelReadingStore pixelReadings,
      RepeatStore repeats,
      SightStore sights,
      RoleStore roles) {
    this.markings = markings;
    this.sights = sights;
    this.pixelReadings = pixelReadings;
    this.repeats = repeats;
    this.roles = roles;
  }

  public Evidence of(Work work) {
    return of(work, repeats.technicalError(work.studyId()).markingError());
  }

  private Evidence of(Work work, MarkingError markingError) {
    return new Evidence(
        marks(work),
        pixelReadings
            .progress(work.id())
            .readings()
            .map(read -> NamedRoles.over(read, roles.judged(work.id()))),
        markingError);
  }

  /** What is marked, or what was seen at first sight while nothing is. */
  private Marks marks(Work work) {
    MarkingStore.Marking marking = markings.newest(work.id(), work.view());
    return marking.version() > 0
        ? marking.marks()
        : sights.of(work.id()).map(SightStore.Sight::marks).orElse(marking.marks());
  }

  /** Of all works of one study at once, however many: what is not marked or read yet is empty. */
  public Map<Long, Evidence> ofStudy(long studyId, List<Work> works) {
    MarkingError markingError = repeats.technicalError(studyId).markingError();
    Map<Long, Marks> marks = new HashMap<>();
    sights.ofStudy(studyId).forEach((work, sight) -> marks.put(work, sight.marks()));
    marks.putAll(markings.newestOf(studyId));
    Map<Long, PixelReadingStore.Progress> pixels = pixelReadings.progressOf(studyId);
    Map<Long, List<NamedRoles.Named>> named = roles.judgedOf(studyId);
    Map<Long, Evidence> evidence = new HashMap<>();
    for (Work work : works) {
      evidence.put(
          work.id(),
          new Evidence(
              marks.getOrDefault(work.id(), Marks.none(work.view())),
              pixels
                  .getOrDefault(work.id(), PixelReadingStore.NOT_BEGUN)
                  .readings()
                  .map(read -> NamedRoles.over(read, named.getOrDefault(work.id(), List.of()))),
              markingError));
    }
    return evidence;
  }

  /** What a look at the faces of a study says: the chance of each mood, by work. */
  public Map<Long, Map<Mood, Double>> moodsOf(long studyId) {
    return sights.moodsOf(studyId);
  }

  /** Length of the marked head in pixels of the picture; empty where no head is marked. */
  public Optional<Double> headPixels(Work work) {
    return marks(work).headFrame().map(HeadFrame::headPixels);
  }

  /** How exactly the works of a study are marked, as far as that was tried. */
  public TechnicalError technicalError(long studyId) {
    return repeats.technicalError(studyId);
  }
}
