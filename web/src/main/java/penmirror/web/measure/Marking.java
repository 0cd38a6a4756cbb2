package penmirror.web.measure;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FormatException;
import penmirror.core.format.MarksFile;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.Keeping;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.TickStore;
import penmirror.web.layout.NotFoundException;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.sight.FirstLooking;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Takes the marks of a work as a page sends them. */
@Service
class Marking {
  private static final int LONGEST_NAME = 100;

  private final WorkStore works;
  private final MarkingStore markings;
  private final Keeping keeping;
  private final EvidenceFinder evidence;
  private final Twins twins;
  private final TickStore ticks;
  private final FirstLooking firstLooking;
  private final MessageSource messages;

  Marking(
      WorkStore works,
      MarkingStore markings,
      Keeping keeping,
      EvidenceFinder evidence,
      Twins twins,
      TickStore ticks,
      FirstLooking firstLooking,
      MessageSource messages) {
    this.firstLooking = firstLooking;
    this.works = works;
    this.markings = markings;
    this.keeping = keeping;
    this.evidence = evidence;
    this.twins = twins;
    this.ticks = ticks;
    this.messages = messages;
  }

  /** The source to begin with: the first that nothing is marked on, or else the first of all. */
  Optional<Work> begin(Study study) {
    List<Work> sources = works.inRole(study.id(), Work.Role.SOURCE);
    return sources.stream()
        .filter(source -> evidence.of(source).marks().confirmed().isEmpty())
        .findFirst()
        .or(() -> sources.stream().findFirst());
  }

  MarkingStore.Marking newest(Work work) {
    return markings.newest(work.id(), work.view());
  }

  Marks version(Work work, int version) {
    return markings
        .at(work.id(), work.view(), version)
        .orElseThrow(() -> new NotFoundException("fault.marking.unknown", version));
  }

  /** What came of a save. */
  sealed interface Outcome permits Saved, Outdated {}

  record Saved(int version) implements Outcome {}

  /** Another window saved in between, and nothing was kept. */
  record Outdated(int newest) implements Outcome {}

  /**
   * @param madeFrom the version that the marks were moved from
   * @param by who marked; cut to 100 characters, empty where nobody said
   */
  @Transactional
  public Outcome save(Work work, int madeFrom, Marks marks, String by) {
    Optional<Integer> saved = keeping.marks(work, madeFrom, marks, Texts.cut(by, LONGEST_NAME));
    if (saved.isPresent() && marks.confirmed().headFrame().isPresent()) {
      firstLooking.learned(work);
    }
    return saved.<Outcome>map(Saved::new).orElseGet(() -> new Outdated(newest(work).version()));
  }

  /** Takes over the marks of the same picture at another size, or of which this is a part. */
  void copy(Work work, long from) throws UnusablePictureException {
    Twins.Twin twin =
        twins.of(work).stream()
            .filter(t -> t.work().id() == from)
            .findFirst()
            .orElseThrow(() -> new NotFoundException("fault.work.unknown", from));
    if (save(work, newest(work).version(), twins.marksFor(work, twin), "") instanceof Outdated) {
      throw new RefusedException("measure.copy.conflict");
    }
  }

  /** The marks with their ticks, as a file of their own. */
  String file(Work work) {
    return MarksFile.of(newest(work).marks())
        .about(
            new MarksFile.MarkedImage(
                work.title(), work.pictureSha256(), work.widthPixels(), work.heightPixels()))
        .ticked(ticks.answers(work.id()))
        .toJson();
  }

  /** Landmarks as the page sends them, on the work's picture or close beside it. */
  Marks read(Work work, String landmarks) throws FormatException {
    Marks marks = MarksFile.ofLandmarksJson(work.view(), landmarks);
    Optional<Landmark> strayed = marks.strayed(work.widthPixels(), work.heightPixels());
    if (strayed.isPresent()) {
      String name = text("landmark." + strayed.get().key());
      throw new FormatException(text("measure.strayed", name));
    }
    return marks;
  }

  private String text(String key, Object... about) {
    return messages.getMessage(key, about, Locale.ENGLISH);
  }
}
