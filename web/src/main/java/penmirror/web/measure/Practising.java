package penmirror.web.measure;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.measure.Reading;
import penmirror.core.measure.Unit;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.reading.TechnicalError;
import penmirror.core.scoring.Guess;
import penmirror.core.words.Wording;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.GuessStore;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.RepeatStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** How sure the user's hand and eye are: figures marked twice, and values guessed beforehand. */
@Service
class Practising {
  private final MarkingStore markings;
  private final RepeatStore repeats;
  private final GuessStore guesses;
  private final EvidenceFinder evidence;

  Practising(
      MarkingStore markings, RepeatStore repeats, GuessStore guesses, EvidenceFinder evidence) {
    this.markings = markings;
    this.repeats = repeats;
    this.guesses = guesses;
    this.evidence = evidence;
  }

  /**
   * A figure marked twice.
   *
   * @param rows by point, those that lie farthest apart first
   * @param figures how many have been marked twice in this study
   */
  record Twice(List<RepeatRow> rows, int figures) {}

  /** Keeps a second marking made without sight of the first. */
  @Transactional
  public Twice repeat(Study study, Work work, Marks second) {
    Marks first = markings.newest(work.id(), work.view()).marks();
    TechnicalError.Pair pair = new TechnicalError.Pair(first, second);
    repeats.keep(work.id(), pair);
    return new Twice(
        RepeatRow.of(TechnicalError.of(List.of(pair)), first),
        repeats.technicalError(study.id()).figures());
  }

  /** How far apart two markings of one point lie. */
  record RepeatRow(String key, String pixels) {
    static List<RepeatRow> of(TechnicalError error, Marks first) {
      double head = first.headFrame().map(HeadFrame::headPixels).orElse(0.0);
      // Of one pair the error is the distance by the root of two.
      return error.heads().entrySet().stream()
          .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
          .map(
              entry ->
                  new RepeatRow(
                      entry.getKey().key(),
                      Wording.number(entry.getValue() * Math.sqrt(2) * head, 1)))
          .toList();
    }
  }

  /** A guess beside what was read. */
  record Guessed(Guess guess, Unit unit) {}

  /**
   * Keeps a guess.
   *
   * @param key of the measure
   * @param guessed as it was typed, with a comma or a point
   * @return empty where it is no number, or where the work has no such reading
   */
  @Transactional
  public Optional<Guessed> guess(Work work, String key, String guessed) {
    Optional<Reading> reading =
        MeasureCatalogue.byKey(key).flatMap(measure -> measure.read(evidence.of(work)).reading());
    OptionalDouble value = number(guessed);
    if (reading.isEmpty() || value.isEmpty()) {
      return Optional.empty();
    }
    Guess guess = new Guess(reading.get().measure(), value.getAsDouble(), reading.get().value());
    guesses.keep(work.id(), guess);
    return Optional.of(new Guessed(guess, reading.get().measure().unit()));
  }

  private static OptionalDouble number(String text) {
    try {
      double value = Double.parseDouble(text.strip().replace(',', '.').replace('\u2212', '-'));
      return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
    } catch (NumberFormatException e) {
      return OptionalDouble.empty();
    }
  }
}
