package penmirror.web.drill;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.PartFrame;
import penmirror.core.figure.Marks;
import penmirror.core.scoring.Guess;
import penmirror.core.scoring.Guess.Shape;
import penmirror.core.scoring.Habit;
import penmirror.core.telling.HabitWords;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;
import penmirror.web.evidence.GuessStore;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Asks after proportions of the works by eye, before their reading is shown. */
@Component
public class Guessing {
  private static final int ROUND = 12;

  /** Older guesses say how one saw then. */
  private static final int NEWEST = 36;

  /** Within one tolerance an eye is as exact as the hand it looks at. */
  private static final double NEAR = 1;

  private final GuessStore store;
  private final SheetMaker sheets;

  Guessing(GuessStore store, SheetMaker sheets) {
    this.store = store;
    this.sheets = sheets;
  }

  /**
   * A proportion of a work.
   *
   * @param shape how it is drawn, a word
   * @param viewBox what of the picture is seen
   * @param is what it is read as; never shown before it is answered
   */
  record Question(
      Work work,
      String measure,
      String shape,
      String viewBox,
      double least,
      double most,
      double usual,
      double is) {}

  /**
   * @param told which way it is off, in words
   */
  record Answered(Question question, double said, double is, String told, String numbers) {}

  /**
   * @param question empty where no work is marked
   * @param habits what the newest guesses say together
   */
  record Page(
      Optional<Question> question,
      Optional<Answered> last,
      int number,
      int of,
      List<String> habits) {}

  Page page(Study study, boolean answered) {
    Loaded loaded = sheets.load(study);
    List<Question> all = questions(loaded);
    int count = store.count(study.id());
    Optional<Answered> last =
        answered
            ? store.newest(study.id(), 1).stream()
                .flatMap(kept -> answered(loaded, kept).stream())
                .findFirst()
            : Optional.empty();
    return new Page(
        all.isEmpty() ? Optional.empty() : Optional.of(next(all, count)),
        last,
        count % ROUND + 1,
        ROUND,
        habits(study).stream()
            .map(habit -> HabitWords.miss(habit) + ", " + HabitWords.times(habit))
            .toList());
  }

  /**
   * What the newest guesses, here and on the bench, take for too much or too little again and
   * again.
   */
  public List<Habit> habits(Study study) {
    List<Guess> guesses =
        new ArrayList<>(
            store.newest(study.id(), NEWEST).stream().map(GuessStore.Kept::guess).toList());
    Collections.reverse(guesses);
    return Habit.ofGuesses(sheets.sheetOf(study), guesses);
  }

  /**
   * Kept, held between the ends that were asked for.
   *
   * @throws RefusedException for what cannot be asked of this work
   */
  @Transactional
  public void answer(Study study, long work, String measure, double said) {
    Question asked =
        questions(sheets.load(study)).stream()
            .filter(of -> of.work().id() == work && of.measure().equals(measure))
            .findFirst()
            .orElseThrow(() -> new RefusedException("fault.form.word", Texts.cut(measure, 40)));
    double held = Double.isNaN(said) ? asked.usual() : said;
    store.keep(
        work,
        new Guess(
            Guess.asked(measure).orElseThrow().measure(),
            Math.max(asked.least(), Math.min(asked.most(), held)),
            asked.is()));
  }

  /** Every one once before any comes again, in no order one could learn. */
  private static Question next(List<Question> all, int count) {
    List<Question> mixed = new ArrayList<>(all);
    Collections.shuffle(mixed, new Random(count / all.size()));
    return mixed.get(count % all.size());
  }

  private static List<Question> questions(Loaded loaded) {
    List<Question> questions = new ArrayList<>();
    for (Work work : loaded.ruling()) {
      Marks marks = loaded.evidence(work).marks().confirmed();
      for (Guess.Asked asked : Guess.all()) {
        OptionalDouble is = asked.measure().valueOf(marks);
        boolean isWithin =
            is.isPresent() && is.getAsDouble() >= asked.least() && is.getAsDouble() <= asked.most();
        if (isWithin) {
          questions.add(question(work, marks, asked, is.getAsDouble()));
        }
      }
    }
    return questions;
  }

  private static Question question(Work work, Marks marks, Guess.Asked asked, double is) {
    boolean isWhole = asked.shape() == Shape.HEADS || asked.shape() == Shape.LEGS;
    String whole = "0 0 " + work.widthPixels() + " " + work.heightPixels();
    String box =
        isWhole
            ? whole
            : PartFrame.of(Part.FACE_SHAPE, marks, work.widthPixels(), work.heightPixels())
                .map(PartFrame::viewBox)
                .orElse(whole);
    return new Question(
        work,
        asked.measure().key(),
        asked.shape().name().toLowerCase(Locale.ROOT),
        box,
        asked.least(),
        asked.most(),
        asked.usual(),
        is);
  }

  /** Empty where the work is gone, or no longer marked so that it could be asked after. */
  private static Optional<Answered> answered(Loaded loaded, GuessStore.Kept kept) {
    Guess guess = kept.guess();
    return questions(loaded).stream()
        .filter(of -> of.work().id() == kept.workId() && of.measure().equals(guess.measure().key()))
        .findFirst()
        .map(question -> told(loaded, question, guess));
  }

  private static Answered told(Loaded loaded, Question question, Guess guess) {
    double z = guess.z(loaded.sheet().rule(guess.measure()));
    String told =
        Math.abs(z) <= NEAR
            ? Wording.text("guess.near")
            : Spoken.sentence(Wording.miss(guess.measure(), z)) + ".";
    return new Answered(
        question,
        guess.said(),
        guess.is(),
        told,
        Wording.text("guess.numbers", number(guess, guess.said()), number(guess, guess.is())));
  }

  private static String number(Guess guess, double value) {
    return Wording.number(guess.measure().unit(), value);
  }
}
