package penmirror.web.through;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.MarksFile;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.proposal.FirstSight;
import penmirror.core.proposal.Proposal;
import penmirror.core.proposal.ToAsk;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.SightStore;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.sight.Proposing;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Makes the cards of works that nobody has looked at. */
@Component
class Cards {
  /** Of a turn, in degrees: as somebody says it who looks. */
  private static final int EIGHTH = 45;

  private final SheetMaker sheets;
  private final SightStore sights;
  private final MarkingStore markings;
  private final Proposing proposing;

  Cards(SheetMaker sheets, SightStore sights, MarkingStore markings, Proposing proposing) {
    this.markings = markings;
    this.sheets = sheets;
    this.sights = sights;
    this.proposing = proposing;
  }

  /** The most doubtful first; works that the machine has yet to look at are not among them. */
  List<Card> of(Study study) {
    Loaded loaded = sheets.load(study);
    Map<Long, SightStore.Sight> seen = sights.ofStudy(study.id());
    List<Card> cards = new ArrayList<>();
    for (Work work : loaded.notLookedAt()) {
      SightStore.Sight sight = seen.get(work.id());
      if (sight != null) {
        cards.add(card(work, guessed(loaded, work), sight.seen()));
      }
    }
    cards.sort(
        Comparator.comparingInt((Card card) -> -card.doubts().size() - card.asks().size())
            .thenComparingInt(Card::number));
    return cards;
  }

  /**
   * The card of a work as it would be, seen from another side or showing more or less.
   *
   * @throws UnusablePictureException when its picture cannot be opened any more
   */
  Card otherwise(Study study, Work work, View view, Optional<Framing> framing)
      throws UnusablePictureException {
    Optional<SightStore.Sight> seen = sights.of(work.id());
    Work other = work.seenAs(view, framing);
    Proposal proposal =
        seen.isPresent() && work.view() == view
            ? seen.get().seen().proposal()
            : proposing.propose(other, Marks.none(view));
    FirstSight sight =
        new FirstSight(
            seen.flatMap(s -> s.seen().view()),
            seen.flatMap(s -> s.seen().framing()),
            seen.flatMap(s -> s.seen().turn()),
            seen.map(s -> s.seen().moods()).orElse(Map.of()),
            proposal,
            seen.map(s -> s.seen().figures()).orElse(List.of()));
    return card(other, guessed(sheets.load(study), work), sight);
  }

  /**
   * What is still asked of a work of any role, with the points as they are marked by now.
   *
   * @return empty where the machine never saw it, or somebody answered all of it
   */
  Optional<Open> open(Study study, Work work) {
    Optional<SightStore.Sight> seen = sights.of(work.id());
    MarkingStore.Marking marking = markings.newest(work.id(), work.view());
    Marks confirmed = marking.marks().confirmed();
    if (seen.isEmpty()) {
      return Optional.empty();
    }
    Card card = card(work, Guessed.NOTHING, seen.get().seen());
    List<String> doubts =
        card.doubts().stream()
            .filter(key -> Landmark.ofKey(key).filter(confirmed.landmarks()::containsKey).isEmpty())
            .toList();
    if (doubts.isEmpty() && !confirmed.isEmpty()) {
      return Optional.empty();
    }
    Marks marks = marking.version() > 0 ? marking.marks() : seen.get().marks();
    return Optional.of(
        new Open(card.asking(doubts), MarksFile.landmarksJson(marks), marking.version()));
  }

  /**
   * @param landmarks as they stand, proposed ones too
   * @param marksVersion that they were made from
   */
  record Open(Card card, String landmarks, int marksVersion) {}

  private static Card card(Work work, Guessed guessed, FirstSight sight) {
    ToAsk ask = ToAsk.of(sight, work.view(), work.tags().framing());
    Map<String, Card.At> points = new LinkedHashMap<>();
    sight
        .proposal()
        .points()
        .forEach(
            (landmark, proposed) -> {
              if (ask.taken().contains(landmark) || ask.doubts().contains(landmark)) {
                points.put(
                    landmark.key(),
                    new Card.At(
                        tenth(proposed.place().x()),
                        tenth(proposed.place().y()),
                        proposed.confidence()));
              }
            });
    List<String> asks = new ArrayList<>();
    if (ask.isViewDoubtful()) {
      asks.add("view");
    }
    if (ask.isFramingDoubtful()) {
      asks.add("framing");
    }
    Proposal.Box box = sight.proposal().figure();
    return new Card(
        work.id(),
        work.number(),
        work.title(),
        work.pictureSha256(),
        work.widthPixels(),
        work.heightPixels(),
        work.version(),
        work.view().name(),
        word(work.tags().framing()),
        word(work.tags().mood().or(guessed::mood)),
        light(work, guessed),
        List.of(box.left(), box.top(), box.right(), box.bottom()),
        points,
        ask.taken().stream().sorted().map(Landmark::key).toList(),
        ask.doubts().stream().map(Landmark::key).toList(),
        asks,
        sight.figures().size());
  }

  /** What is told by marks and pixels, while nobody said it. */
  private record Guessed(Optional<Mood> mood, Optional<Integer> lightDegrees) {
    static final Guessed NOTHING = new Guessed(Optional.empty(), Optional.empty());
  }

  private static Guessed guessed(Loaded loaded, Work work) {
    return new Guessed(
        loaded.guessedMood(work),
        loaded
            .evidence(work)
            .pixels()
            .flatMap(readings -> readings.estimate(ShadeMeasures.LIGHT_FROM))
            .map(from -> (int) Math.floorMod(Math.round(from.value() / EIGHTH) * EIGHTH, 360L)));
  }

  private static @Nullable Integer light(Work work, Guessed guessed) {
    OptionalInt said = work.tags().lightDegrees();
    return said.isPresent()
        ? Integer.valueOf(said.getAsInt())
        : guessed.lightDegrees().orElse(null);
  }

  private static @Nullable String word(Optional<? extends Enum<?>> value) {
    return value.map(Enum::name).orElse(null);
  }

  private static double tenth(double pixels) {
    return Math.round(10 * pixels) / 10.0;
  }
}
