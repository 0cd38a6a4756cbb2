package penmirror.web.look;

import java.util.OptionalInt;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.web.studies.Work;

/** Keeps what is drawn over a work as a note. */
@Service
class NoteKeeping {
  private final LookStore looks;

  NoteKeeping(LookStore looks) {
    this.looks = looks;
  }

  /** What came of a save. */
  sealed interface Outcome permits Kept, Outdated, Unreadable {}

  record Kept(int version) implements Outcome {}

  /** Another window saved in between, and nothing was kept. */
  record Outdated(LookStore.Notes newest) implements Outcome {}

  record Unreadable(String reason) implements Outcome {}

  /**
   * @param madeFrom the version that the notes were drawn from
   * @param shapes as JSON
   */
  @Transactional
  public Outcome keep(Work work, int madeFrom, String shapes) {
    String checked;
    try {
      checked = DrawnNotes.checked(shapes);
    } catch (IllegalArgumentException e) {
      return new Unreadable(String.valueOf(e.getMessage()));
    }
    OptionalInt kept = looks.keepNotes(work.id(), madeFrom, checked);
    return kept.isPresent() ? new Kept(kept.getAsInt()) : new Outdated(looks.notes(work.id()));
  }
}
