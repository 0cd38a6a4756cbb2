package penmirror.web.cards;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.card.Card;
import penmirror.core.card.CardWords;
import penmirror.core.card.LinesByPlace;
import penmirror.core.card.Question;
import penmirror.core.card.Values;
import penmirror.core.drawing.Scene;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;
import penmirror.web.evidence.CutOuts;
import penmirror.web.evidence.LinesSeen;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.Sample;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Makes a study's cards. */
@Component
class Carding {
  /** More works say no more, and each must be opened. */
  private static final int MOST_OPENED = 24;

  private static final int MOST_ON_A_CARD = 3;
  private static final int CROPS = 2;

  private final SheetMaker sheets;
  private final CutOuts cutOuts;
  private final LinesSeen lines;

  /** Kept for as long as the sheet is. */
  private final Cache<StyleSheet, Optional<Values>> values =
      Caffeine.newBuilder().weakKeys().build();

  private final Cache<StyleSheet, Optional<LinesByPlace>> places =
      Caffeine.newBuilder().weakKeys().build();

  Carding(SheetMaker sheets, CutOuts cutOuts, LinesSeen lines) {
    this.lines = lines;
    this.sheets = sheets;
    this.cutOuts = cutOuts;
  }

  /**
   * A card in the grid.
   *
   * @param lines the few that matter most
   * @param waits whether the works are still to be opened for it
   */
  record Small(
      String word,
      String name,
      int works,
      boolean thin,
      List<String> lines,
      boolean drawn,
      boolean waits) {}

  /** A card opened. */
  record Large(
      String word,
      String name,
      int works,
      boolean thin,
      List<Line> lines,
      boolean drawn,
      Optional<String> before,
      Optional<String> after) {}

  /**
   * @param crops pieces of works that show it best
   */
  record Line(String sentence, List<Sample> crops) {}

  /**
   * @param whole whether to wait for what the pictures must be opened for
   */
  List<Small> grid(Study study, boolean whole) {
    Loaded loaded = sheets.load(study);
    List<Small> cards = new ArrayList<>();
    for (Question question : Question.values()) {
      boolean waits = !whole && waits(loaded, question);
      Optional<Card> card = card(loaded, question, !waits);
      if (card.isPresent() || waits) {
        cards.add(
            new Small(
                question.word(),
                name(question),
                card.map(Card::works).orElse(0),
                card.filter(Card::isThin).isPresent() && !waits,
                card.map(Card::told).orElse(List.of()).stream()
                    .map(Card.Told::sentence)
                    .limit(MOST_ON_A_CARD)
                    .toList(),
                card.flatMap(Card::drawing).isPresent(),
                waits));
      }
    }
    return cards;
  }

  /** Whether the works have still to be opened for a card. */
  private boolean waits(Loaded loaded, Question question) {
    return canBeOpened(loaded)
        && switch (question) {
          case VALUES -> values.getIfPresent(loaded.sheet()) == null;
          case LINE -> places.getIfPresent(loaded.sheet()) == null;
          case EYE, SHADOW, FACE, BODY, REAL -> false;
        };
  }

  Optional<Large> large(Study study, Question question) {
    Loaded loaded = sheets.load(study);
    return card(loaded, question, true)
        .map(
            card ->
                new Large(
                    question.word(),
                    name(question),
                    card.works(),
                    card.isThin(),
                    card.told().stream()
                        .map(told -> new Line(told.sentence(), crops(loaded, told)))
                        .toList(),
                    card.drawing().isPresent(),
                    beside(loaded, question, -1),
                    beside(loaded, question, 1)));
  }

  Optional<Scene> drawing(Study study, Question question) {
    return card(sheets.load(study), question, true).flatMap(Card::drawing);
  }

  /**
   * @param opened whether to open the works, should they not be yet
   */
  private Optional<Card> card(Loaded loaded, Question question, boolean opened) {
    return Card.of(
        question,
        loaded.sheet(),
        new Card.Beside(
            opened && question == Question.VALUES ? values(loaded) : Optional.empty(),
            opened && question == Question.LINE ? places(loaded) : Optional.empty(),
            own(loaded)));
  }

  /** The word of the next card to a side that has something to say. */
  private static Optional<String> beside(Loaded loaded, Question question, int step) {
    for (int at = question.ordinal() + step; at >= 0 && at < Question.values().length; at += step) {
      Question next = Question.values()[at];
      if (next == Question.VALUES
          || Card.of(next, loaded.sheet(), Card.Beside.NOTHING).isPresent()) {
        return Optional.of(next.word());
      }
    }
    return Optional.empty();
  }

  private static String name(Question question) {
    return Wording.text("card." + question.word() + ".name");
  }

  private static Optional<CardWords.Own> own(Loaded loaded) {
    return loaded
        .character(work -> loaded.headPixels(work).isPresent())
        .map(work -> new CardWords.Own(work.title(), loaded.evidence(work).marks()));
  }

  private static boolean canBeOpened(Loaded loaded) {
    return !loaded.isFromFile() && !loaded.sheet().works().isEmpty();
  }

  private Optional<Values> values(Loaded loaded) {
    return canBeOpened(loaded)
        ? values.get(
            loaded.sheet(),
            sheet ->
                Values.of(
                    works(loaded).parallelStream()
                        .flatMap(
                            work ->
                                cutOuts
                                    .of(work)
                                    .map(
                                        cut ->
                                            new Values.Seen(
                                                cut.small(), loaded.evidence(work).marks()))
                                    .stream())
                        .toList()))
        : Optional.empty();
  }

  private Optional<LinesByPlace> places(Loaded loaded) {
    return canBeOpened(loaded)
        ? places.get(
            loaded.sheet(),
            sheet ->
                LinesByPlace.of(
                    works(loaded).parallelStream()
                        .map(
                            work ->
                                new LinesByPlace.Work(
                                    lines.of(work, loaded.evidence(work).marks()),
                                    ShadeMeasures.LIGHT_FROM.value(loaded.evidence(work))))
                        .toList()))
        : Optional.empty();
  }

  /** Those that the sheet is made of. */
  private static List<Work> works(Loaded loaded) {
    List<String> ruling = loaded.sheet().works().stream().map(MeasuredWork::id).toList();
    return loaded.inRole(Work.Role.SOURCE).stream()
        .filter(work -> ruling.contains(Long.toString(work.id())))
        .limit(MOST_OPENED)
        .toList();
  }

  /** Works that lie nearest to the middle of the rule, which are what it says. */
  private static List<Sample> crops(Loaded loaded, Card.Told told) {
    return told.shownBy()
        .flatMap(loaded.sheet()::rule)
        .map(rule -> Sample.of(loaded, rule).limit(CROPS).toList())
        .orElse(List.of());
  }
}
