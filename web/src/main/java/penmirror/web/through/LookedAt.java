package penmirror.web.through;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.format.FormatException;
import penmirror.core.format.MarksFile;
import penmirror.web.evidence.Keeping;
import penmirror.web.layout.Choice;
import penmirror.web.sight.FirstLooking;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Takes somebody's word that what is known of a work is right, as they put it right. */
@Service
class LookedAt {
  private final WorkStore works;
  private final Keeping keeping;
  private final FirstLooking firstLooking;
  private final MessageSource messages;

  LookedAt(WorkStore works, Keeping keeping, FirstLooking firstLooking, MessageSource messages) {
    this.works = works;
    this.keeping = keeping;
    this.firstLooking = firstLooking;
    this.messages = messages;
  }

  /**
   * What the page says.
   *
   * @param landmarks as marks files have them
   */
  record Said(
      int version,
      String view,
      @Nullable String framing,
      @Nullable String mood,
      @Nullable Integer light,
      String landmarks) {}

  /**
   * All of it or nothing.
   *
   * @return false if somebody said something of the work in another window meanwhile: then nothing
   *     is changed
   * @throws FormatException when the points are none, or lie off the picture
   */
  @Transactional(rollbackFor = FormatException.class)
  public boolean take(Work asked, Said said) throws FormatException {
    Work work = works.hold(asked.studyId(), asked.id());
    if (work.lookedAt() || work.version() != said.version()) {
      return false;
    }
    View view = Choice.of(View.class, said.view());
    Marks marks = MarksFile.ofLandmarksJson(view, said.landmarks());
    Optional<Landmark> strayed = marks.strayed(work.widthPixels(), work.heightPixels());
    if (strayed.isPresent()) {
      throw new FormatException(text("measure.strayed", text("landmark." + strayed.get().key())));
    }
    works.describe(work.id(), work.title(), work.credit(), view);
    Work.Tags tags = work.tags();
    works.tag(
        work.id(),
        tags.seen(
            Choice.maybe(Framing.class, said.framing() == null ? "" : said.framing()),
            view == View.FRONT ? Optional.of(Turn.AHEAD) : tags.turn(),
            Choice.maybe(Mood.class, said.mood() == null ? "" : said.mood()),
            said.light() == null
                ? OptionalInt.empty()
                : OptionalInt.of(Math.floorMod(said.light(), 360))));
    if (!marks.isEmpty()) {
      keeping.marks(works.require(work.studyId(), work.id()), 0, marks, "");
    }
    works.lookAt(work.id());
    return true;
  }

  /** After it is kept: works that are like it may be seen better by it. */
  void learnFrom(Work work) {
    firstLooking.learned(works.require(work.studyId(), work.id()));
  }

  private String text(String key, Object... about) {
    return messages.getMessage(key, about, Locale.ENGLISH);
  }
}
