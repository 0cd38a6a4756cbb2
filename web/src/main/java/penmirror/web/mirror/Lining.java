package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.drawing.Scene;
import penmirror.core.figure.Marks;
import penmirror.core.planning.LineUp;
import penmirror.core.words.Wording;
import penmirror.web.evidence.CutOuts;
import penmirror.web.layout.RefusedException;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Stands a redraw among the works on one ground line, and asks who is not theirs. */
@Component
class Lining {
  /** Of the works, so that each is still seen. */
  private static final int MOST_WORKS = 5;

  private static final int MOST_BESIDE = 3;

  private final SheetMaker sheets;
  private final OtherAttempts otherAttempts;
  private final CutOuts cutOuts;
  private final OddOneStore oddOnes;
  private final MessageSource messages;

  Lining(
      SheetMaker sheets,
      OtherAttempts otherAttempts,
      CutOuts cutOuts,
      OddOneStore oddOnes,
      MessageSource messages) {
    this.sheets = sheets;
    this.otherAttempts = otherAttempts;
    this.cutOuts = cutOuts;
    this.oddOnes = oddOnes;
    this.messages = messages;
  }

  /**
   * What is asked of a line-up.
   *
   * @param beside attempts of other studies that stand with them
   * @param shuffled in an order that this number draws, without names; as they come without one
   */
  record Asked(LineUp.Alike alike, Set<Long> beside, OptionalLong shuffled) {}

  /**
   * @param name empty while they are shuffled
   * @param heads such as "4.2 heads"
   * @param href of its cut-out
   */
  record Figure(
      long workId, String name, String heads, boolean isRedraw, String href, LineUp.Place place) {}

  /**
   * @param absent works that cannot stand, as head or sole are not marked
   * @param others attempts of other studies that could stand with them
   */
  record Page(
      List<Figure> figures,
      LineUp lineUp,
      int absent,
      List<Other> others,
      OddOneStore.Tally tally) {}

  record Other(long workId, String name, boolean stands) {}

  private record Stander(
      Work work, Study study, byte[] png, LineUp.Standing standing, boolean isWork) {}

  Page page(Study study, Work redraw, Asked asked) {
    List<Stander> standers = standers(study, redraw, asked);
    LineUp lineUp = LineUp.of(standers.stream().map(Stander::standing).toList(), asked.alike());
    List<Figure> figures = new ArrayList<>();
    for (int i = 0; i < standers.size(); i++) {
      Stander one = standers.get(i);
      figures.add(
          new Figure(
              one.work().id(),
              asked.shuffled().isPresent() ? "" : one.standing().name(),
              text("library.heads", Wording.number(one.standing().headsTall(), 1)),
              one.work().id() == redraw.id(),
              "/studies/" + one.study().id() + "/mirror/" + one.work().id() + "/cut-out.png",
              lineUp.places().get(i)));
    }
    return new Page(
        figures, lineUp, absent(study), others(study, asked), oddOnes.tally(redraw.id()));
  }

  private int absent(Study study) {
    Loaded loaded = sheets.load(study);
    return (int)
        loaded.inRole(Work.Role.SOURCE).stream()
            .filter(work -> !work.leftOut())
            .filter(work -> !LineUp.Standing.canStand(loaded.evidence(work).marks()))
            .count();
  }

  /** The same to be sent on, with whom to credit. */
  Scene scene(Study study, Work redraw, Asked asked) {
    List<Stander> standers = standers(study, redraw, asked);
    if (standers.isEmpty()) {
      throw new RefusedException("lineup.nobody");
    }
    return LineUp.of(standers.stream().map(Stander::standing).toList(), asked.alike())
        .scene(
            text("lineup.of", redraw.title(), study.hand()),
            standers.stream().map(Stander::png).toList(),
            standers.stream().map(one -> one.standing().name()).toList(),
            standers.stream()
                .filter(Stander::isWork)
                .map(one -> one.work().credit().isBlank() ? study.hand() : one.work().credit())
                .toList());
  }

  /**
   * Which one was taken for the redraw.
   *
   * @throws RefusedException for a figure that does not stand there
   */
  @Transactional
  public void pick(Study study, Work redraw, long picked, Asked asked) {
    List<Stander> standers = standers(study, redraw, asked);
    if (standers.size() < 2 || standers.stream().noneMatch(one -> one.work().id() == picked)) {
      throw new RefusedException("lineup.pick.nobody");
    }
    oddOnes.picked(redraw.id(), picked, standers.size());
  }

  /** Said of the last pick. */
  String answer(Study study, Work redraw, long picked) {
    if (picked == redraw.id()) {
      return text("lineup.found");
    }
    return sheets.load(study).inRole(Work.Role.SOURCE).stream()
        .filter(work -> work.id() == picked)
        .map(work -> text("lineup.theirs", work.title()))
        .findFirst()
        .orElseGet(() -> text("lineup.other"));
  }

  Optional<byte[]> cutOut(Work work) {
    return cutOuts.of(work).map(CutOuts.Cut::png);
  }

  private List<Stander> standers(Study study, Work redraw, Asked asked) {
    Loaded loaded = sheets.load(study);
    List<Stander> standers = new ArrayList<>();
    List<Work> works = sources(loaded, redraw);
    // Each takes its time when it is asked for first: as many at once as there are cores.
    works.stream().limit(MOST_WORKS).toList().parallelStream().forEach(cutOuts::of);
    works.stream()
        .flatMap(work -> stander(study, loaded, work, work.title(), true).stream())
        .limit(MOST_WORKS)
        .forEach(standers::add);
    Optional<Stander> own = stander(study, loaded, redraw, redraw.title(), false);
    own.ifPresent(one -> standers.add(standers.size() / 2, one));
    otherAttempts
        .than(study)
        .filter(one -> asked.beside().contains(one.work().id()))
        .limit(MOST_BESIDE)
        .flatMap(
            one ->
                stander(
                    one.study(), sheets.load(one.study()), one.work(), one.work().title(), false)
                    .stream())
        .forEach(standers::add);
    asked.shuffled().ifPresent(by -> Collections.shuffle(standers, new Random(by)));
    return standers;
  }

  private Optional<Stander> stander(
      Study study, Loaded loaded, Work work, String name, boolean isWork) {
    Marks marks = loaded.evidence(work).marks();
    return LineUp.Standing.canStand(marks)
        ? cutOuts
            .of(work)
            .flatMap(
                cut ->
                    LineUp.Standing.of(name, marks, cut.place())
                        .map(standing -> new Stander(work, study, cut.png(), standing, isWork)))
        : Optional.empty();
  }

  /** Those it is nearest to, then those seen from the same side, then the others. */
  private List<Work> sources(Loaded loaded, Work redraw) {
    Set<String> nearest =
        loaded.score(redraw).nearest().stream()
            .map(near -> near.work().id())
            .collect(Collectors.toSet());
    return loaded.inRole(Work.Role.SOURCE).stream()
        .filter(work -> !work.leftOut())
        .filter(work -> LineUp.Standing.canStand(loaded.evidence(work).marks()))
        .sorted(
            Comparator.comparing((Work work) -> !nearest.contains(Long.toString(work.id())))
                .thenComparing(work -> work.view() != redraw.view())
                .thenComparing(Work::number))
        .toList();
  }

  private List<Other> others(Study study, Asked asked) {
    return otherAttempts
        .than(study)
        .map(
            one ->
                new Other(
                    one.work().id(),
                    otherAttempts.name(one),
                    asked.beside().contains(one.work().id())))
        .toList();
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
