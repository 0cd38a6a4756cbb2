package penmirror.web.gather;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.coverage.Part;
import penmirror.core.figure.View;
import penmirror.core.geometry.Reach;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.studies.Study;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What the user does with works on the wall: where they lie, which count, which gaps stay. */
@Service
class Arranging {
  private static final int LONGEST_NOTE = 500;

  private final WorkStore works;
  private final WallStore places;

  Arranging(WorkStore works, WallStore places) {
    this.works = works;
    this.places = places;
  }

  @Transactional
  public void leaveOut(Work work, boolean leftOut) {
    works.leaveOut(work.id(), leftOut);
  }

  @Transactional
  public void anchor(Study study, long workId, boolean on) {
    Work chosen = works.require(study.id(), workId);
    places.setAnchor(study.id(), on ? Optional.of(chosen.id()) : Optional.empty());
  }

  /** What is to become of two works that look alike. */
  enum Alike {
    BOTH,
    FIRST,
    SECOND
  }

  @Transactional
  public void decide(Study study, long first, long second, Alike keep) {
    Work one = works.require(study.id(), first);
    Work other = works.require(study.id(), second);
    switch (keep) {
      case BOTH -> works.tellApart(one.id(), other.id());
      case FIRST -> works.leaveOut(other.id(), true);
      case SECOND -> works.leaveOut(one.id(), true);
    }
  }

  /** Whether works lie where they are moved to, or in rows. */
  @Transactional
  public void lay(Study study, boolean free) {
    places.arrange(study.id(), free);
  }

  /** Where a work was moved to, in pixels of the wall at full size. */
  record Moved(long work, double x, double y, double width, @Nullable Integer group) {}

  /** Places are kept on the wall; works of other studies are passed over. */
  @Transactional
  public void move(Study study, List<Moved> moved) {
    Map<Long, WallStore.Place> newPlaces = new LinkedHashMap<>();
    for (Moved one : moved) {
      if (!Reach.holds(one.x()) || !Reach.holds(one.y()) || !Reach.holds(one.width())) {
        throw new RefusedException("fault.form.unreadable");
      }
      newPlaces.put(
          one.work(),
          new WallStore.Place(
              Math.max(0, Math.min(20_000, one.x())),
              Math.max(0, Math.min(20_000, one.y())),
              Math.max(40, Math.min(4000, one.width())),
              one.group() == null ? OptionalInt.empty() : OptionalInt.of(one.group())));
    }
    places.place(study.id(), newPlaces);
  }

  /** Accepts a gap; an empty part or view stands for all of them. */
  @Transactional
  public void improvise(Study study, String part, String view, String note) {
    places.improvise(
        study.id(),
        new WallStore.Improvised(
            known(part, Part.ofWord(part).isPresent()),
            known(view, Arrays.stream(View.values()).anyMatch(v -> v.word().equals(view))),
            Texts.cut(note, LONGEST_NOTE)));
  }

  @Transactional
  public void reopen(Study study, String part, String view) {
    places.reopen(study.id(), part, view);
  }

  /** A word that is one of those that are known, or empty for all of them. */
  private static String known(String word, boolean isKnown) {
    if (!isKnown && !word.isEmpty()) {
      throw new RefusedException("fault.form.word", Texts.cut(word, 40));
    }
    return word;
  }
}
