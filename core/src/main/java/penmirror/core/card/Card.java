package penmirror.core.card;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.drawing.Scene;
import penmirror.core.measure.Measure;
import penmirror.core.planning.EyeCard;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.LightCard;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;

/**
 * One question about a style, answered with a drawing made from its rules and a few sentences.
 *
 * @param works behind it
 * @param told what makes or breaks the style first
 * @param drawing empty where the rules are too few to draw it
 */
public record Card(Question asks, int works, List<Told> told, Optional<Scene> drawing) {
  /** With fewer works it says what it knows, and that it is thin. */
  private static final int ENOUGH_WORKS = 3;

  /** A canvas on which nothing is smaller than a pixel. */
  static final GuidePlan.Canvas CANVAS = new GuidePlan.Canvas(1200, 1600);

  public Card {
    told = List.copyOf(told);
  }

  /**
   * One sentence.
   *
   * @param shownBy the reading that works show it best by; empty where it is of all of them
   */
  public record Told(String sentence, Optional<Measure> shownBy) {}

  /**
   * What the pictures must be opened for, and the user's own character.
   *
   * @param values as the works are laid
   * @param lines as heavy as they are place by place
   * @param turned heads in three-quarter view
   * @param own for how far it stands from life
   */
  public record Beside(
      Optional<Values> values,
      Optional<LinesByPlace> lines,
      Optional<Turned> turned,
      Optional<CardWords.Own> own) {
    public static final Beside NOTHING =
        new Beside(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
  }

  /**
   * Every card with something to say, in the order of the questions.
   *
   * @param beside what no rule tells
   */
  public static List<Card> of(StyleSheet sheet, Beside beside) {
    List<Card> cards = new ArrayList<>();
    for (Question question : Question.values()) {
      of(question, sheet, beside).ifPresent(cards::add);
    }
    return cards;
  }

  /** Empty where nothing can be said. */
  public static Optional<Card> of(Question question, StyleSheet sheet, Beside beside) {
    List<Act> acts = acts(question, sheet);
    List<Told> told = new ArrayList<>();
    Optional<Scene> drawing = Optional.empty();
    int works = worksOf(sheet, acts);
    GuidePlan plan = GuidePlan.of(sheet, CANVAS);
    switch (question) {
      case EYE -> drawing = EyeCard.of(plan, sheet).map(eye -> eye.drawn(eye.steps().size()));
      case LINE -> {
        if (beside.lines().isPresent()) {
          told.addAll(told(CardWords.of(beside.lines().get())));
          works = Math.max(works, beside.lines().get().works());
        }
        drawing = CardDrawing.line(sheet, plan, beside.lines());
      }
      case SHADOW -> drawing = LightCard.of(sheet).map(LightCard::drawn);
      case FACE -> drawing = CardDrawing.face(sheet, plan);
      case BODY -> drawing = CardDrawing.body(sheet, plan);
      case VALUES -> {
        if (beside.values().isPresent()) {
          Values values = beside.values().get();
          told.addAll(told(CardWords.of(values)));
          drawing = Optional.of(CardDrawing.values(values));
          works = values.works();
        }
      }
      case TURN -> {
        if (beside.turned().isPresent()) {
          Turned turned = beside.turned().get();
          // What is a rule here is told as one.
          CardWords.of(turned).stream()
              .filter(of -> of.shownBy().flatMap(sheet::rule).filter(Rule::isScored).isEmpty())
              .forEach(told::add);
          drawing = CardDrawing.turned(turned);
          works = turned.works();
        }
      }
      case REAL -> {
        Optional<RealAndDrawn> real = RealAndDrawn.of(sheet);
        if (real.isPresent()) {
          told.addAll(told(CardWords.of(real.get(), beside.own())));
          drawing = Optional.of(CardDrawing.real(real.get()));
          works = sheet.works().size();
        }
      }
    }
    acts.forEach(
        act ->
            ActWords.sentence(sheet, act)
                .ifPresent(
                    sentence ->
                        told.add(
                            new Told(
                                sentence,
                                Optional.of(ActWords.lead(sheet.rules(act)).measure())))));
    return told.isEmpty()
        ? Optional.empty()
        : Optional.of(new Card(question, works, told, drawing));
  }

  private static List<Told> told(List<String> sentences) {
    return sentences.stream().map(line -> new Told(line, Optional.empty())).toList();
  }

  /** Whether so few works are behind it that more would tell otherwise. */
  public boolean isThin() {
    return works < ENOUGH_WORKS;
  }

  private static List<Act> acts(Question question, StyleSheet sheet) {
    return question.acts().stream()
        .flatMap(key -> Acts.byKey(key).stream())
        .filter(act -> sheet.rules(act).stream().anyMatch(Rule::isScored))
        .sorted(Comparator.comparing(act -> !sheet.makeOrBreak().contains(act)))
        .toList();
  }

  private static int worksOf(StyleSheet sheet, List<Act> acts) {
    return acts.stream()
        .flatMap(act -> sheet.rules(act).stream())
        .mapToInt(Rule::readingCount)
        .max()
        .orElse(0);
  }
}
