package penmirror.core.card;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.measure.line.Station;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** What cards say that no act says. */
public final class CardWords {
  private static final int MOST_PIECES = 3;
  private static final int MOST_PLACES = 3;

  /** Widths that differ less look alike beside each other. */
  private static final double SEEN_WIDTH = 0.12;

  /** Lengths that differ by less look alike. */
  private static final double SEEN_RATIO = 0.05;

  /** A step in lightness that one sees at a glance. */
  private static final double SEEN_STEP = 0.06;

  private CardWords() {}

  /**
   * The user's own character.
   *
   * @param name as its picture is titled
   */
  public record Own(String name, Marks marks) {}

  /** Where one looks, and such as "Three values: dark 21 %, middle 33 %, light 46 %." */
  static List<String> of(Values values) {
    List<String> lines = new ArrayList<>();
    List<ValueCuts.Level> levels = values.cuts().levels();
    List<String> parts = new ArrayList<>();
    for (int i = 0; i < levels.size(); i++) {
      parts.add(
          Wording.text(
              "card.value.part",
              name(i, levels.size()),
              Wording.number(100 * levels.get(i).share(), 0)));
    }
    values
        .parts()
        .map(of -> faceOverRest(values.cuts(), of))
        .ifPresent(
            step ->
                lines.add(
                    Wording.text(
                        step > SEEN_STEP
                            ? "card.values.face.light"
                            : step < -SEEN_STEP
                                ? "card.values.face.dark"
                                : "card.values.face.same")));
    lines.add(
        Wording.text(
            "card.values",
            Spoken.sentence(Wording.text("card.values." + levels.size())),
            String.join(", ", parts)));
    return lines;
  }

  /** In lightness; 0 where both lie in one value. */
  private static double faceOverRest(ValueCuts cuts, Values.Parts parts) {
    return cuts.of(parts.face()).equals(cuts.of(parts.rest())) ? 0 : parts.face() - parts.rest();
  }

  /** Such as "Heaviest at chin and upper arm, 1.5 times the usual line." */
  public static List<String> of(LinesByPlace lines) {
    List<String> told = new ArrayList<>();
    List<LinesByPlace.Placed> drawn =
        lines.places().stream()
            .filter(placed -> !placed.isOpen() && placed.overUsual().isPresent())
            .sorted(Comparator.comparingDouble(placed -> -width(placed)))
            .toList();
    List<LinesByPlace.Placed> heavy =
        drawn.stream().filter(placed -> width(placed) > 1 + SEEN_WIDTH).limit(MOST_PLACES).toList();
    List<LinesByPlace.Placed> thin =
        reversed(drawn).stream()
            .filter(placed -> width(placed) < 1 - SEEN_WIDTH)
            .limit(MOST_PLACES)
            .toList();
    if (!heavy.isEmpty()) {
      told.add(
          Wording.text("card.line.heavy", names(heavy), Wording.number(width(heavy.get(0)), 1)));
    }
    if (!thin.isEmpty()) {
      told.add(Wording.text("card.line.thin", names(thin), Wording.number(width(thin.get(0)), 1)));
    }
    if (heavy.isEmpty() && thin.isEmpty() && !drawn.isEmpty()) {
      told.add(Wording.text("card.line.even"));
    }
    for (LinesByPlace.Placed placed : lines.places()) {
      if (placed.isOpen()) {
        told.add(
            Wording.text(
                "card.line.open", name(placed), Integer.toString(placed.open()), placed.works()));
      }
    }
    lines
        .awayFromLight()
        .ifPresent(
            ratio -> {
              if (ratio > 1 + SEEN_WIDTH) {
                told.add(Wording.text("card.line.away", Wording.number(100 * (ratio - 1), 0)));
              } else if (ratio < 1 - SEEN_WIDTH) {
                told.add(
                    Wording.text("card.line.toward", Wording.number(100 * (1 / ratio - 1), 0)));
              }
            });
    return told;
  }

  /** How far the face goes round, then the eye on its far side. */
  static List<Card.Told> of(Turned turned) {
    double degrees = turned.degrees();
    List<Card.Told> told = new ArrayList<>();
    told.add(
        new Card.Told(
            Wording.text(
                "card.turn.by",
                Spoken.part(Math.sin(Math.toRadians(degrees))),
                Wording.number(degrees, 0)),
            Optional.of(TurnMeasures.TURN)));
    if (turned.farWidth().isPresent() && turned.farHeight().isPresent()) {
      told.add(
          new Card.Told(
              Wording.text(
                  "card.turn.far",
                  asMuch(turned.farWidth().getAsDouble()),
                  asMuch(turned.farHeight().getAsDouble())),
              Optional.of(TurnMeasures.FAR_WIDTH)));
    }
    return told;
  }

  /** Such as "two thirds as"; alone "as" where nobody sees a difference. */
  private static String asMuch(double ratio) {
    return Math.abs(ratio - 1) < SEEN_RATIO
        ? Wording.text("card.turn.alike")
        : Wording.text("card.turn.unlike", Spoken.times(ratio));
  }

  /** Under a head drawn from one side. */
  static String seenFrom(View view) {
    return Wording.text("card.turn." + view.word());
  }

  private static List<LinesByPlace.Placed> reversed(List<LinesByPlace.Placed> places) {
    List<LinesByPlace.Placed> back = new ArrayList<>(places);
    Collections.reverse(back);
    return back;
  }

  private static double width(LinesByPlace.Placed placed) {
    return placed.overUsual().orElse(1);
  }

  private static String names(List<LinesByPlace.Placed> places) {
    List<String> names = places.stream().map(CardWords::name).toList();
    int last = names.size() - 1;
    return last == 0
        ? names.get(0)
        : Wording.text("card.line.and", String.join(", ", names.subList(0, last)), names.get(last));
  }

  private static String name(LinesByPlace.Placed placed) {
    return name(placed.station());
  }

  /** The place within a sentence. */
  public static String name(Station station) {
    return Wording.text("station." + station.word());
  }

  /** Such as "chin 1.4"; without a number where it is open. */
  static String label(LinesByPlace.Placed placed) {
    return placed.isOpen() || placed.overUsual().isEmpty()
        ? name(placed)
        : Wording.text("card.line.label", name(placed), Wording.number(width(placed), 1));
  }

  /** The name of a value, from dark to light. */
  static String name(int place, int count) {
    return Wording.text("card.value." + count + "." + (place + 1));
  }

  /** Such as "Against life: head 1.8 times, hands 1.3 times, legs 0.7 times." */
  static List<String> of(RealAndDrawn beside, Optional<Own> own) {
    List<String> lines = new ArrayList<>();
    pieces(beside, false).ifPresent(parts -> lines.add(Wording.text("card.real.body", parts)));
    pieces(beside, true).ifPresent(parts -> lines.add(Wording.text("card.real.face", parts)));
    String alike =
        beside.pieces().stream()
            .filter(piece -> !piece.isNotLife())
            .map(piece -> Wording.text("card.real." + piece.sort().word()))
            .collect(Collectors.joining(", "));
    if (!alike.isEmpty()) {
      lines.add(Wording.text("card.real.alike", alike));
    }
    own.ifPresent(
        character -> {
          OptionalDouble way = beside.way(character.marks());
          way.ifPresent(share -> lines.add(way(character.name(), share)));
        });
    return lines;
  }

  private static Optional<String> pieces(RealAndDrawn beside, boolean ofFace) {
    List<String> parts =
        beside.pieces().stream()
            .filter(piece -> piece.sort().isOfFace() == ofFace && piece.isNotLife())
            .limit(MOST_PIECES)
            .map(CardWords::piece)
            .toList();
    return parts.isEmpty() ? Optional.empty() : Optional.of(String.join(", ", parts));
  }

  private static String piece(RealAndDrawn.Piece piece) {
    return Wording.text(
        "card.real.piece",
        Wording.text("card.real." + piece.sort().word()),
        Wording.number(piece.factor(), 1));
  }

  private static String way(String name, double share) {
    if (share < 0.05) {
      return Wording.text("card.real.way.none", name);
    }
    return share > 0.95
        ? Wording.text("card.real.way.all", name)
        : Wording.text("card.real.way", name, Wording.number(100 * share, 0));
  }
}
