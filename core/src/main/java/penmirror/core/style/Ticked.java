package penmirror.core.style;

import java.util.Locale;
import java.util.Optional;
import org.apache.commons.statistics.interval.BinomialConfidenceInterval;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;

/**
 * A statement no ruler gives, with what was answered to it on the works: a rule by its share of
 * yes. What is never so is a rule too.
 *
 * @param key as the statement is kept
 * @param text the statement in the words in which it was asked
 * @param stage at which a hand must remember it
 * @param yes works on which it holds
 * @param no works on which it does not; unclear answers count for neither
 */
public record Ticked(String key, String text, DrawingStage stage, int yes, int no)
    implements StyleRule {
  /** From so many answers on, all alike, a statement is taken to hold always or never. */
  private static final int ENOUGH = 3;

  private static final double USUAL_WEIGHT = 0.5;

  /** The middle nine tenths. */
  private static final double ALPHA = 0.1;

  /** How the works hold to it. */
  public enum Holds {
    ALWAYS,
    USUALLY,
    SELDOM,
    NEVER,
    /** As often as not, or asked of too few. */
    FREE;

    /** The word used in files and message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  public Ticked {
    if (yes < 0 || no < 0 || yes + no == 0) {
      throw new IllegalArgumentException(
          "A statement was answered on some works, " + key + " on " + yes + " and " + no + ".");
    }
  }

  @Override
  public Optional<Act> act() {
    return Optional.of(Acts.ofStatement(key));
  }

  /** As acts weigh: 1 for what is always or never so, half for what most of them do. */
  @Override
  public double weight() {
    return switch (holds()) {
      case ALWAYS, NEVER -> 1;
      case USUALLY, SELDOM -> USUAL_WEIGHT;
      case FREE -> 0;
    };
  }

  @Override
  public int readingCount() {
    return answered();
  }

  public int answered() {
    return yes + no;
  }

  /** Share of yes, [0, 1]. */
  public double share() {
    return yes / (double) answered();
  }

  /**
   * What the share may be in all their works, given so few: the Wilson score interval (Wilson
   * 1927), which keeps within 0 and 1.
   */
  public double low() {
    return BinomialConfidenceInterval.WILSON_SCORE
        .fromErrorRate(answered(), yes, ALPHA)
        .getLowerBound();
  }

  public double high() {
    return BinomialConfidenceInterval.WILSON_SCORE
        .fromErrorRate(answered(), yes, ALPHA)
        .getUpperBound();
  }

  public Holds holds() {
    if (answered() >= ENOUGH && no == 0) {
      return Holds.ALWAYS;
    }
    if (answered() >= ENOUGH && yes == 0) {
      return Holds.NEVER;
    }
    if (low() > 0.5) {
      return Holds.USUALLY;
    }
    return high() < 0.5 ? Holds.SELDOM : Holds.FREE;
  }
}
