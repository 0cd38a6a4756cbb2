package penmirror.web.mirror;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.copying.CopyLikeness;
import penmirror.core.copying.Expression;
import penmirror.core.copying.SmallFigure;
import penmirror.core.figure.Facing;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.file.PngWriter;
import penmirror.core.scoring.LandmarkAlignment;
import penmirror.core.telling.CopyWords;
import penmirror.core.words.Wording;
import penmirror.web.evidence.CutOuts;
import penmirror.web.layout.NotFoundException;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Holds a redraw against the one picture it was drawn after. */
@Component
class Copying {
  private static final int MOST_OFF = 5;
  private static final long MOST_KEPT = 200;

  /** So much nearer must it lie when turned, before turning it is offered. */
  private static final double NEARER_TURNED = 0.6;

  private final SheetMaker sheets;
  private final CutOuts cutOuts;
  private final MessageSource messages;
  private final Cache<Pair, Optional<CopyLikeness>> known =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

  Copying(SheetMaker sheets, CutOuts cutOuts, MessageSource messages) {
    this.sheets = sheets;
    this.cutOuts = cutOuts;
    this.messages = messages;
  }

  private record Pair(long workId, Marks work, long copyId, Marks copy, boolean turned) {}

  /**
   * What a page about one pair shows.
   *
   * @param works it can be held against
   * @param turned whether the redraw is held against it as in a mirror
   * @param otherWay whether it would lie much nearer the other way round
   * @param told empty where the two have too few points in common
   */
  record Page(Work of, List<Work> works, boolean turned, boolean otherWay, Optional<Told> told) {}

  /**
   * @param points of 100
   * @param off the points farthest off
   * @param face what the face does otherwise
   * @param moods such as "It reads sad, the work calm."; empty where both are one, or unknown
   */
  record Told(
      String points,
      String whole,
      List<Row> rows,
      List<Off> off,
      List<String> face,
      Optional<String> moods) {}

  /**
   * @param percent of likeness
   */
  record Row(String part, String name, String words, long percent) {}

  /** A point that lies elsewhere, in pixels of the redraw's canvas. */
  record Off(String landmark, String pixels) {}

  /**
   * @param asked the work it is held against; without one, that on which its points lie nearest
   * @throws NotFoundException where the study has no such work, or none at all
   */
  Page page(Study study, Work redraw, Optional<Long> asked, boolean turned) {
    Loaded loaded = sheets.load(study);
    Work of = chosen(loaded, redraw, asked);
    return new Page(
        of,
        Overlay.beside(loaded, redraw),
        turned,
        liesNearerOtherwise(loaded, of, redraw, turned),
        likeness(loaded, of, redraw, turned)
            .map(likeness -> told(loaded, of, redraw, turned, likeness)));
  }

  private static Work chosen(Loaded loaded, Work redraw, Optional<Long> asked) {
    List<Work> works = Overlay.beside(loaded, redraw);
    return works.stream()
        .filter(work -> asked.isPresent() && work.id() == asked.get())
        .findFirst()
        .or(
            () ->
                loaded.inRole(Work.Role.SOURCE).stream()
                    .min(
                        Comparator.comparingDouble(
                            work ->
                                meanOff(marks(loaded, work), marks(loaded, redraw))
                                    .orElse(Double.POSITIVE_INFINITY))))
        .orElseThrow(
            () ->
                new NotFoundException(
                    "fault.work.unknown", asked.map(String::valueOf).orElse("–")));
  }

  private Told told(Loaded loaded, Work of, Work redraw, boolean turned, CopyLikeness likeness) {
    List<Row> rows = new ArrayList<>();
    for (CopyLikeness.Reached reached : likeness.parts()) {
      String word = reached.part().word();
      rows.add(
          new Row(
              word,
              text("copy.part." + word),
              CopyWords.part(reached),
              Math.round(100 * reached.likeness())));
    }
    Marks copy = marks(loaded, redraw, turned);
    double heads = copy.headFrame().map(HeadFrame::headPixels).orElse(0.0);
    List<Off> off =
        likeness.alignment().residuals().stream()
            .filter(one -> one.heads() > CopyLikeness.MARKED_TWICE_HEADS)
            .limit(MOST_OFF)
            .map(one -> new Off(one.landmark().key(), Wording.number(one.heads() * heads, 0)))
            .toList();
    return new Told(
        Wording.number(likeness.points(), 0),
        CopyWords.whole(likeness, of.title()),
        rows,
        off,
        CopyWords.expression(Expression.of(marks(loaded, of), copy)),
        moods(loaded, of, redraw));
  }

  private Optional<String> moods(Loaded loaded, Work of, Work redraw) {
    Optional<Mood> work = of.tags().mood().or(() -> loaded.guessedMood(of));
    Optional<Mood> copy = loaded.asked(redraw).shows().mood();
    return work.isPresent() && copy.isPresent() && !work.equals(copy)
        ? Optional.of(
            text(
                "copy.moods", text("mood." + copy.get().word()), text("mood." + work.get().word())))
        : Optional.empty();
  }

  /** Both over each other; empty where they have too few points in common. */
  Optional<byte[]> difference(Study study, Work redraw, Optional<Long> asked, boolean turned) {
    Loaded loaded = sheets.load(study);
    Work of = chosen(loaded, redraw, asked);
    return LandmarkAlignment.of(marks(loaded, of), marks(loaded, redraw, turned))
        .flatMap(
            laid ->
                small(of, false)
                    .flatMap(
                        work ->
                            small(redraw, turned)
                                .map(
                                    copy ->
                                        PngWriter.write(
                                            CopyLikeness.difference(
                                                work, copy, laid.redrawToSource()),
                                            Optional.empty()))));
  }

  /**
   * Said where a redraw lies line for line on a work. Only works whose points lie as near as marks
   * of one drawing do are looked at, so that a page does not wait.
   */
  Optional<String> itself(Study study, Work redraw) {
    Loaded loaded = sheets.load(study);
    return loaded.inRole(Work.Role.SOURCE).stream()
        .filter(
            work ->
                meanOff(marks(loaded, work), marks(loaded, redraw))
                    .filter(off -> off <= CopyLikeness.MARKED_TWICE_HEADS)
                    .isPresent())
        .flatMap(
            work ->
                likeness(loaded, work, redraw, false)
                    .filter(CopyLikeness::isTheWork)
                    .map(likeness -> CopyWords.whole(likeness, work.title()))
                    .stream())
        .findFirst();
  }

  private Optional<CopyLikeness> likeness(Loaded loaded, Work of, Work redraw, boolean turned) {
    Marks work = marks(loaded, of);
    Marks copy = marks(loaded, redraw, turned);
    return known.get(
        new Pair(of.id(), work, redraw.id(), copy, turned),
        pair ->
            small(of, false)
                .flatMap(
                    one ->
                        small(redraw, turned)
                            .flatMap(
                                other ->
                                    CopyLikeness.of(
                                        new CopyLikeness.Side(one, work, loaded.drawn(of).values()),
                                        new CopyLikeness.Side(
                                            other, copy, loaded.drawn(redraw).values())))));
  }

  private Optional<SmallFigure> small(Work work, boolean turned) {
    return cutOuts.of(work).map(cut -> turned ? cut.small().mirrored() : cut.small());
  }

  private static boolean liesNearerOtherwise(Loaded loaded, Work of, Work redraw, boolean turned) {
    Marks work = marks(loaded, of);
    Optional<Double> so = meanOff(work, marks(loaded, redraw, turned));
    Optional<Double> other = meanOff(work, marks(loaded, redraw, !turned));
    return so.isPresent() && other.isPresent() && other.get() < NEARER_TURNED * so.get();
  }

  /** In heads of the work; empty where its head is not marked or too little is common. */
  private static Optional<Double> meanOff(Marks work, Marks copy) {
    return work.headFrame()
        .flatMap(head -> LandmarkAlignment.of(work, copy))
        .map(LandmarkAlignment::meanHeads);
  }

  private static Marks marks(Loaded loaded, Work work) {
    return loaded.evidence(work).marks();
  }

  private static Marks marks(Loaded loaded, Work redraw, boolean turned) {
    Marks marks = marks(loaded, redraw);
    return turned ? Facing.mirrored(marks, redraw.widthPixels() / 2.0) : marks;
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
