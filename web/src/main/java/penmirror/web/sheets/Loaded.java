package penmirror.web.sheets;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.reading.TechnicalError;
import penmirror.core.scoring.AttemptScorer;
import penmirror.core.scoring.AttemptScorer.Asked;
import penmirror.core.scoring.Habit;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.Likeness;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.MoodReader;
import penmirror.core.style.Portrayal;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/**
 * A study as it stands, with what is made of it: each sheet and each score once, when first asked
 * for. Nothing in it changes; when the study does, it is loaded anew.
 */
public final class Loaded {
  private final Study study;
  private final List<Work> works;
  private final Map<Long, Evidence> evidence;
  private final Map<Long, Map<Mood, Double>> faces;
  private final TechnicalError error;
  private final StatureConvention convention;
  private final Predicate<Measure> outsideTheScore;
  private final SignatureStore.Kept signature;
  private final Sayings sayings;
  private final Optional<StyleSheet> fromFile;
  private final List<Ticked> ticked;
  private final Map<Long, Map<String, Boolean>> answers;
  private final Map<String, Boolean> figureWords;
  private final SheetMemory memory;
  private final Map<String, Object> made = new ConcurrentHashMap<>();

  Loaded(
      Study study,
      List<Work> works,
      Map<Long, Evidence> evidence,
      Map<Long, Map<Mood, Double>> faces,
      TechnicalError error,
      StatureConvention convention,
      Predicate<Measure> outsideTheScore,
      SignatureStore.Kept signature,
      Sayings sayings,
      Optional<StyleSheet> fromFile,
      List<Ticked> ticked,
      Map<Long, Map<String, Boolean>> answers,
      Map<String, Boolean> figureWords,
      SheetMemory memory) {
    this.memory = memory;
    this.study = study;
    this.works = List.copyOf(works);
    this.evidence = Map.copyOf(evidence);
    this.faces = Map.copyOf(faces);
    this.error = error;
    this.convention = convention;
    this.outsideTheScore = outsideTheScore;
    this.signature = signature;
    this.sayings = sayings;
    this.fromFile = fromFile;
    this.ticked = List.copyOf(ticked);
    this.answers = Map.copyOf(answers);
    this.figureWords = Map.copyOf(figureWords);
  }

  /** In the order they were numbered. */
  public List<Work> inRole(Work.Role role) {
    return works.stream().filter(work -> work.role() == role).toList();
  }

  /**
   * The user's own character to be redrawn: of several drawings of it, such as in several views,
   * the first of which enough is known, else the first.
   */
  public Optional<Work> character(Predicate<Work> isKnown) {
    List<Work> all = inRole(Work.Role.CHARACTER);
    return all.stream().filter(isKnown).findFirst().or(() -> all.stream().findFirst());
  }

  /** Its newest marks, and what its pixels told. */
  public Evidence evidence(Work work) {
    Evidence known = evidence.get(work.id());
    return known == null ? new Evidence(Marks.none(work.view()), Optional.empty()) : known;
  }

  /** Length of the marked head in pixels of the picture; empty where no head is marked. */
  public Optional<Double> headPixels(Work work) {
    return evidence(work).marks().headFrame().map(HeadFrame::headPixels);
  }

  /** What makes or breaks it, as far as the user has accepted that. */
  public SignatureStore.Kept signature() {
    return fromFile
        .map(
            sheet ->
                new SignatureStore.Kept(
                    sheet.makeOrBreak().stream()
                        .map(act -> new SignatureStore.Trait(act, ""))
                        .toList(),
                    ""))
        .orElse(signature);
  }

  /** Whether the sheet came as a file: nothing is made of works, and nothing said over it. */
  public boolean isFromFile() {
    return fromFile.isPresent();
  }

  /** What the hand does otherwise on figures of one sort, as the user's words sort them. */
  public List<Likeness> likenesses() {
    return once(
        "likenesses",
        () -> {
          Map<String, Set<String>> words = words();
          return memory.of(sheet(), Map.of("likenesses", words), () -> Likeness.of(sheet(), words));
        });
  }

  private Map<String, Set<String>> words() {
    return inRole(Work.Role.SOURCE).stream()
        .collect(Collectors.toMap(work -> Long.toString(work.id()), work -> work.tags().words()));
  }

  /** Whether the user's own figure carries a word that parts the works; absent where not said. */
  public Map<String, Boolean> figureWords() {
    return figureWords;
  }

  /**
   * The sheet that the user's own figure is drawn by: where the hand does otherwise on such
   * figures, by the works that show them.
   */
  public StyleSheet planned() {
    return once("planned", () -> memory.same(forTheFigure(sheet())));
  }

  private StyleSheet forTheFigure(StyleSheet sheet) {
    return figureWords.isEmpty() || isFromFile()
        ? sheet
        : Likeness.narrowed(sheet, likenesses(), words(), figureWords);
  }

  /** What the user said over its rules. */
  public Sayings sayings() {
    return sayings;
  }

  /** The mood of a source that nobody said and that is seen in it; empty where it was said. */
  public Optional<Mood> guessedMood(Work source) {
    if (source.tags().mood().isPresent()) {
      return Optional.empty();
    }
    Map<Mood, Double> face = face(source);
    if (!counts(source) && !face.isEmpty()) {
      // It tells more than points that nobody has looked at.
      return moods().told(Map.of(), face);
    }
    MeasuredWork seen = counts(source) ? unguessed(source) : measured(source, evidence(source));
    return moods().told(seen.values(), face);
  }

  /** What a look at its face says of its mood; empty where it was not seen. */
  private Map<Mood, Double> face(Work work) {
    return faces.getOrDefault(work.id(), Map.of());
  }

  private MoodReader moods() {
    Map<String, Map<Mood, Double>> byId = new HashMap<>();
    faces.forEach((work, face) -> byId.put(Long.toString(work), face));
    return once(
        "moods", () -> MoodReader.of(ruling().stream().map(this::unguessed).toList(), byId));
  }

  /** The sheet of all works that count. */
  public StyleSheet sheet() {
    return once("sheet", () -> memory.same(sheet(work -> true, measure -> false)));
  }

  /**
   * The sheet of all works as they are seen, also of those that nobody has looked at: for telling
   * what is seen at first sight, and for no rule.
   */
  public StyleSheet glimpsed() {
    return once("glimpsed", () -> glimpsed(work -> true));
  }

  /** What one source shows, looked at or not. */
  public StyleSheet glimpsed(Work one) {
    return once("glimpsed " + one.id(), () -> glimpsed(work -> work.id() == one.id()));
  }

  private StyleSheet glimpsed(Predicate<Work> which) {
    List<MeasuredWork> seen =
        works.stream()
            .filter(work -> work.role() == Work.Role.SOURCE && !work.leftOut() && which.test(work))
            .map(work -> work.lookedAt() ? measured(work) : measured(work, evidence(work)))
            .toList();
    return StyleSheet.of(study.hand(), StyleSheet.mostFrequentView(seen), seen, Map.of());
  }

  /** Sources that make no rules until somebody looks at them. */
  public List<Work> notLookedAt() {
    return works.stream()
        .filter(work -> work.role() == Work.Role.SOURCE && !work.leftOut() && !work.lookedAt())
        .toList();
  }

  /** The sheet without one work, to hold that work against the others. */
  public StyleSheet sheetWithout(long workId) {
    boolean counts = works.stream().anyMatch(work -> work.id() == workId && counts(work));
    return counts
        ? once("without " + workId, () -> sheet(work -> work.id() != workId, measure -> false))
        : sheet();
  }

  /**
   * The sheet that redraws are scored by: without what will be improvised knowingly and without
   * groups that are traced, of which a score says nothing; in a study of one part, with that alone.
   */
  public StyleSheet scoredSheet() {
    return once("scored", () -> memory.same(forTheFigure(sheet(work -> true, outsideTheScore))));
  }

  /** What is asked of a redraw: by what was said of it, else by what is seen in it. */
  public Asked asked(Work redraw) {
    return once(
        "asked of " + redraw.id(),
        () ->
            attempts()
                .asked(
                    evidence(redraw),
                    unguessed(redraw).shows(),
                    redraw.tags().stage(),
                    // Once it is marked its score is that of its files, on the command line too.
                    redraw.lookedAt() ? Map.of() : face(redraw)));
  }

  /** The sheet as it is asked of a redraw. */
  public StyleSheet sheetAsked(Work redraw) {
    return attempts().sheet(asked(redraw));
  }

  /** A redraw held against what is asked of it. */
  public Score score(Work redraw) {
    return score(redraw, Set.of());
  }

  /**
   * The same where nothing is asked of some acts.
   *
   * @param onPurpose keys of acts that are off as the user wants them
   */
  public Score score(Work redraw, Set<String> onPurpose) {
    return once(
        "score " + redraw.id() + " but " + new TreeSet<>(onPurpose),
        () -> {
          Evidence drawn = evidence(redraw);
          return memory.of(
              scoredSheet(),
              new Held(drawn, asked(redraw), answers(redraw), onPurpose),
              () -> judged(redraw, drawn, onPurpose));
        });
  }

  /** All that a score hangs on beside the sheet. */
  private record Held(
      Evidence drawn, Asked asked, Map<String, Boolean> answers, Set<String> onPurpose) {}

  /** What it would score if something else were known of it. */
  public Score score(Work redraw, Evidence otherwise) {
    return judged(redraw, otherwise, Set.of());
  }

  private Score judged(Work redraw, Evidence by, Set<String> onPurpose) {
    return attempts()
        .judged(by, asked(redraw), answers(redraw), act -> onPurpose.contains(act.key()));
  }

  /** What the newest attempts miss to the same side again and again. */
  public List<Habit> habits() {
    return once(
        "habits",
        () -> {
          List<Work> attempts = inRole(Work.Role.REDRAW);
          int older = Math.max(0, attempts.size() - Habit.MOST_ATTEMPTS);
          return Habit.of(
              attempts.subList(older, attempts.size()).stream().map(this::score).toList());
        });
  }

  /** What was clearly answered of a redraw: whether a statement holds, by its key. */
  public Map<String, Boolean> answers(Work redraw) {
    return answers.getOrDefault(redraw.id(), Map.of());
  }

  /** What was read of a picture of the user's own, as marked. */
  public MeasuredWork drawn(Work own) {
    return unguessed(own);
  }

  private AttemptScorer attempts() {
    return once(
        "attempts",
        () -> {
          StyleSheet scored = scoredSheet();
          return memory.of(scored, "attempts", () -> new AttemptScorer(scored));
        });
  }

  /** The work nearest to the middle of all rules; empty where there are none. */
  public Optional<Work> typical() {
    return once(
        "typical",
        () ->
            memory.of(sheet(), "typical", () -> mostTypical().map(Work::id)).stream()
                .flatMap(id -> works.stream().filter(work -> work.id() == id))
                .findFirst());
  }

  private Optional<Work> mostTypical() {
    if (sheet().rules().isEmpty()) {
      return Optional.empty();
    }
    Scorer scorer = new Scorer(sheet());
    return ruling().stream()
        .flatMap(
            work ->
                scorer.coveredPoints(evidence(work)).stream()
                    .map(points -> Map.entry(work, points)))
        .max(Comparator.comparingDouble(Map.Entry::getValue))
        .map(Map.Entry::getKey);
  }

  /** The sources that its rules are made from. */
  public List<Work> ruling() {
    return works.stream().filter(Loaded::counts).toList();
  }

  /** How these are marked, each point taken for placed. */
  public List<Marks> ruledMarks() {
    return ruling().stream().map(work -> evidence(work).marks().confirmed()).toList();
  }

  private static boolean counts(Work work) {
    return work.role() == Work.Role.SOURCE && !work.leftOut() && work.lookedAt();
  }

  private StyleSheet sheet(Predicate<Work> which, Predicate<Measure> outside) {
    if (fromFile.isPresent()) {
      StyleSheet came = fromFile.get();
      // Made anew without what is not asked; else the rules stand as the file has them.
      boolean all =
          came.works().stream()
              .noneMatch(work -> work.values().keySet().stream().anyMatch(outside));
      return all ? came : came.without(outside);
    }
    List<MeasuredWork> measured =
        works.stream()
            .filter(work -> counts(work) && which.test(work))
            .map(work -> measured(work).without(outside))
            .toList();
    return StyleSheet.of(
            study.hand(),
            StyleSheet.mostFrequentView(measured),
            measured,
            error.isEnough() ? error.scaled() : Map.of())
        .saying(sayings.said())
        .makingOrBreaking(signature.acts())
        .stating(ticked);
  }

  private MeasuredWork measured(Work work) {
    return once(
        "measured " + work.id(),
        () -> {
          MeasuredWork said = unguessed(work);
          return guessedMood(work)
              .map(mood -> said.showing(said.shows().inMood(Optional.of(mood))))
              .orElse(said);
        });
  }

  /** With what was said of it alone. */
  private MeasuredWork unguessed(Work work) {
    return once(
        "unguessed " + work.id(),
        () -> {
          Evidence known = evidence(work);
          // A proposal that nobody looked at must not become a rule.
          return measured(work, known.withMarks(known.marks().confirmed()));
        });
  }

  private MeasuredWork measured(Work work, Evidence by) {
    MeasuredWork measured =
        MeasuredWork.of(Long.toString(work.id()), work.title(), work.credit(), by, convention)
            .reading(sayings.own(), by)
            .weighing(work.tags().weight());
    Work.Tags said = work.tags();
    return measured.showing(
        new Portrayal(
            said.framing().or(() -> measured.shows().framing()),
            said.kind(),
            said.mood(),
            said.manner()));
  }

  /** Made when first asked for; made twice at the same moment it is the same. */
  @SuppressWarnings("unchecked")
  private <T> T once(String name, Supplier<T> how) {
    Object known = made.get(name);
    if (known == null) {
      known = how.get();
      made.put(name, known);
    }
    return (T) known;
  }
}
