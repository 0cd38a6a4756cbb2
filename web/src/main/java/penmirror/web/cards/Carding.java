package penmirror.web.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.card.Booklet;
import penmirror.core.card.Card;
import penmirror.core.card.CardWords;
import penmirror.core.card.Question;
import penmirror.core.card.Turned;
import penmirror.core.drawing.Scene;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;
import penmirror.web.layout.RefusedException;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.Sample;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Makes a study's cards. */
@Component
class Carding {
  private static final int MOST_ON_A_CARD = 3;
  private static final int CROPS = 2;

  /** Steps of grey in a table of values. */
  private static final int GREYS = 128;

  private final SheetMaker sheets;
  private final Opened opened;

  Carding(SheetMaker sheets, Opened opened) {
    this.sheets = sheets;
    this.opened = opened;
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

  /**
   * A card opened.
   *
   * @param alone the work that it is of alone; empty where it is of all
   * @param before address of the card before, after that of all cards
   */
  record Large(
      String word,
      String name,
      int works,
      boolean thin,
      List<Line> lines,
      boolean drawn,
      Optional<Work> alone,
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
    return switch (question) {
      case VALUES -> opened.valuesWait(loaded);
      case LINE -> opened.placesWait(loaded);
      case EYE, SHADOW, FACE, BODY, TURN, REAL -> false;
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
                    Optional.empty(),
                    beside(loaded, question, -1),
                    beside(loaded, question, 1)));
  }

  /** The same card of one work alone; empty where nothing can be said of it. */
  Optional<Large> large(Study study, Question question, long workId) {
    Loaded loaded = sheets.load(study);
    List<Work> having =
        loaded.ruling().stream()
            .filter(work -> alone(loaded, question, work.id()).isPresent())
            .toList();
    int at = having.stream().map(Work::id).toList().indexOf(workId);
    if (at < 0) {
      return Optional.empty();
    }
    Work work = having.get(at);
    return alone(loaded, question, workId)
        .map(
            card ->
                new Large(
                    question.word(),
                    name(question),
                    card.works(),
                    false,
                    card.told().stream()
                        .map(told -> new Line(told.sentence(), piece(loaded, told, work)))
                        .toList(),
                    card.drawing().isPresent(),
                    Optional.of(work),
                    address(question, having, at - 1),
                    address(question, having, at + 1)));
  }

  private static List<Sample> piece(Loaded loaded, Card.Told told, Work work) {
    return told.shownBy().flatMap(measure -> Sample.of(loaded, measure, work)).stream().toList();
  }

  private static Optional<String> address(Question question, List<Work> works, int at) {
    return at < 0 || at >= works.size()
        ? Optional.empty()
        : Optional.of(question.word() + "?work=" + works.get(at).id());
  }

  Optional<Scene> drawing(Study study, Question question, long workId) {
    return alone(sheets.load(study), question, workId).flatMap(Card::drawing);
  }

  /** What the rules would say were there no other work. */
  private static Optional<Card> alone(Loaded loaded, Question question, long workId) {
    Optional<Work> work =
        loaded.ruling().stream().filter(ruling -> ruling.id() == workId).findFirst();
    Optional<MeasuredWork> measured =
        loaded.sheet().works().stream()
            .filter(of -> of.id().equals(Long.toString(workId)))
            .findFirst();
    if (work.isEmpty() || measured.isEmpty()) {
      return Optional.empty();
    }
    List<MeasuredWork> only = List.of(measured.get());
    Optional<Turned> turned =
        question == Question.TURN
            ? Turned.of(only, List.of(loaded.evidence(work.get()).marks().confirmed()))
            : Optional.empty();
    return Card.of(
        question,
        StyleSheet.of(loaded.sheet().name(), measured.get().view(), only),
        new Card.Beside(Optional.empty(), Optional.empty(), turned, Optional.empty()));
  }

  /**
   * @throws RefusedException where there is no card to print
   */
  List<Scene> booklet(Study study) {
    Loaded loaded = sheets.load(study);
    List<Scene> pages =
        Booklet.of(
            loaded.sheet(),
            Card.of(
                loaded.sheet(),
                new Card.Beside(
                    opened.values(loaded), opened.places(loaded), turned(loaded), own(loaded))));
    if (pages.isEmpty()) {
      throw new RefusedException("cards.none");
    }
    return pages;
  }

  Optional<Scene> drawing(Study study, Question question) {
    return card(sheets.load(study), question, true).flatMap(Card::drawing);
  }

  /**
   * @param open whether to open the works, should they not be yet
   */
  private Optional<Card> card(Loaded loaded, Question question, boolean open) {
    return Card.of(
        question,
        loaded.sheet(),
        new Card.Beside(
            open && question == Question.VALUES ? opened.values(loaded) : Optional.empty(),
            open && question == Question.LINE ? opened.places(loaded) : Optional.empty(),
            question == Question.TURN ? turned(loaded) : Optional.empty(),
            own(loaded)));
  }

  /** The word of the next card to a side that has something to say. */
  private static Optional<String> beside(Loaded loaded, Question question, int step) {
    Card.Beside beside =
        new Card.Beside(Optional.empty(), Optional.empty(), turned(loaded), Optional.empty());
    for (int at = question.ordinal() + step; at >= 0 && at < Question.values().length; at += step) {
      Question next = Question.values()[at];
      if (next == Question.VALUES || Card.of(next, loaded.sheet(), beside).isPresent()) {
        return Optional.of(next.word());
      }
    }
    return Optional.empty();
  }

  double[] valueTable(Study study) {
    return opened
        .values(sheets.load(study))
        .map(values -> values.cuts().table(GREYS))
        .orElse(new double[0]);
  }

  private static String name(Question question) {
    return Wording.text("card." + question.word() + ".name");
  }

  private static Optional<Turned> turned(Loaded loaded) {
    return Turned.of(loaded.sheet().works(), loaded.ruledMarks());
  }

  private static Optional<CardWords.Own> own(Loaded loaded) {
    return loaded
        .character(work -> loaded.headPixels(work).isPresent())
        .map(work -> new CardWords.Own(work.title(), loaded.evidence(work).marks()));
  }

  /** Works that lie nearest to the middle, which are what is said. */
  private static List<Sample> crops(Loaded loaded, Card.Told told) {
    return told.shownBy()
        .map(
            measure ->
                loaded
                    .sheet()
                    .rule(measure)
                    .map(rule -> Sample.of(loaded, rule))
                    .orElseGet(() -> Sample.ofMiddle(loaded, measure))
                    .limit(CROPS)
                    .toList())
        .orElse(List.of());
  }
}
