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

  /** Such as "3 of 4". */
  public static String times(Habit habit) {
    return Wording.text("check.tally", habit.times(), habit.of());
  }
}
