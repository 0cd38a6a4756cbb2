package penmirror.core.telling;

import penmirror.core.scoring.Habit;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** What a hand does again and again, as one would say it over a shoulder. */
public final class HabitWords {
  private HabitWords() {}

  /** Such as "Eyes too high". */
  public static String miss(Habit habit) {
    return Spoken.sentence(Wording.miss(habit.measure(), habit.z()));
  }

  /** Such as "You draw: eyes too high, 3 of 4 attempts". */
  public static String drawn(Habit habit) {
    return Wording.text(
        "habit.drawn", Wording.miss(habit.measure(), habit.z()), habit.times(), habit.of());
  }

  /** Such as "Your eye: eyes too high, 4 of 5 guesses". */
  public static String guessed(Habit habit) {
    return Wording.text(
        "habit.guessed", Wording.miss(habit.measure(), habit.z()), habit.times(), habit.of());
  }

  /** Such as "3 of 4". */
  public static String times(Habit habit) {
    return Wording.text("check.tally", habit.times(), habit.of());
  }
}
