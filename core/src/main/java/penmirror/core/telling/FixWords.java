package penmirror.core.telling;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.move.Move.Amount;
import penmirror.core.move.Moves;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Fix.Change;
import penmirror.core.scoring.RuleScore;
import penmirror.core.style.Rule;
import penmirror.core.style.Ticked;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** A fix as one would say it over a shoulder. */
public final class FixWords {
  /** What a hand can keep in mind at once. */
  private static final int MOST_CHANGES = 3;

  private FixWords() {}

  /** Verb, object, amount, such as "Lower both eyes 14 px". */
  public static String instruction(Fix fix) {
    List<String> phrases = new ArrayList<>();
    Set<Act> said = new HashSet<>();
    for (Change change : fix.changes()) {
      boolean isFirst = said.add(act(fix, change));
      // What is redrawn is said once: the act's other readings come with it.
      if (phrases.size() < MOST_CHANGES && (isFirst || !(change instanceof Change.Redrawn))) {
        phrases.add(phrase(change));
      }
    }
    return Spoken.sentence(String.join(", ", phrases));
  }

  private static Act act(Fix fix, Change change) {
    return change instanceof Change.Measured measured
        ? Acts.of(measured.score().rule().measure()).orElse(fix.act())
        : fix.act();
  }

  /** How it looks now, such as "eyes too high". */
  public static String miss(Fix fix) {
    if (fix.changes().get(0) instanceof Change.Stated stated) {
      return Wording.text(
          "miss.tick." + fix.direction().word(), Spoken.within(stated.score().rule().text()));
    }
    RuleScore worst = fix.measured().get(0).score();
    return Wording.miss(worst.rule().measure(), worst.z().orElse(-Double.MAX_VALUE));
  }

  /** What comes of it, such as "reads older"; empty where no word is known for it. */
  public static Optional<String> effect(Fix fix) {
    return fix.measured().stream()
        .findFirst()
        .flatMap(
            worst ->
                ActWords.effect(
                    worst.score().rule().measure(), worst.score().z().orElse(-1.0) > 0));
  }

  /** Where it is and where the works have it, in one line. */
  public static String why(Fix fix) {
    if (fix.changes().get(0) instanceof Change.Stated stated) {
      Ticked ticked = stated.score().rule();
      return Wording.text("fix.why.tick", ticked.yes(), ticked.answered());
    }
    return why(fix, fix.measured().get(0));
  }

  private static String why(Fix fix, Change.Measured first) {
    RuleScore worst = first.score();
    Rule rule = worst.rule();
    DeskUnit unit = DeskUnit.of(rule.measure(), first);
    String low = unit.number(rule.low());
    String high = unit.number(rule.high());
    String name = Wording.name(rule.measure());
    String band =
        low.equals(high)
            ? Wording.text("fix.band.narrow", name, low, unit.word())
            : Wording.text("fix.band", name, low, high, unit.word());
    String now =
        worst
            .reading()
            .map(reading -> Wording.text("fix.now", unit.number(reading.value())))
            .orElseGet(
                () -> Wording.text(worst.z().isPresent() ? "fix.now.limit" : "fix.now.nothing"));
    String edge =
        fix.changes().size() == 1 && first instanceof Change.Moved moved
            ? "; " + Wording.text("fix.edge", spoken(moved.move().amount(), moved.edgeAmount()))
            : "";
    return band.strip() + ", " + now + edge;
  }

  private static String phrase(Change change) {
    String way = change.direction().word();
    if (change instanceof Change.Stated stated) {
      return Wording.text("fix.tick." + way, Spoken.within(stated.score().rule().text()));
    }
    Change.Measured measured = (Change.Measured) change;
    String key = "fix." + measured.score().rule().measure().key();
    if (measured instanceof Change.Moved moved) {
      boolean carries = !Moves.all().contains(moved.move());
      return Wording.text(
          key + (carries ? ".carrying." : ".") + way, bare(moved.move().amount(), moved.amount()));
    }
    return Wording.text(key + "." + way, target((Change.Redrawn) measured));
  }

  /** The rule's middle as a hand needs it: px on this canvas, or as one says it. */
  private static String target(Change.Redrawn change) {
    Rule rule = change.score().rule();
    if (change.pixelsPerUnit().isPresent()) {
      double pixels = change.pixelsPerUnit().getAsDouble() * rule.centre();
      return Wording.number(pixels, pixels < 100 ? 1 : 0);
    }
    return Spoken.value(rule.measure(), rule.centre());
  }

  private static String spoken(Amount kind, double amount) {
    String unit =
        switch (kind) {
          case PIXELS -> " px";
          case DEGREES -> "°";
          case FACTOR -> " ×";
        };
    return bare(kind, amount) + unit;
  }

  private static String bare(Amount kind, double amount) {
    return switch (kind) {
      case PIXELS -> Wording.number(Math.abs(amount), Math.abs(amount) < 3 ? 1 : 0);
      case DEGREES -> Wording.number(Math.abs(amount), 1);
      case FACTOR -> Wording.number(Math.exp(amount), 2);
    };
  }
}
