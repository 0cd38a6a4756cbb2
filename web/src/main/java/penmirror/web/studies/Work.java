package penmirror.web.studies;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.scoring.AttemptStage;
import penmirror.web.layout.Texts;

/**
 * One picture in one study.
 *
 * @param number counts within its role, from 1
 * @param leftOut whether it stays out of rules, coverage and range
 * @param profile what became of its file's colour profile
 * @param version counts how often it was described
 * @param lookedAt whether somebody said that what is known of it is right; else it makes no rules
 */
public record Work(
    long id,
    long studyId,
    String pictureSha256,
    Role role,
    int number,
    String title,
    String credit,
    View view,
    int widthPixels,
    int heightPixels,
    Tags tags,
    boolean leftOut,
    Profile profile,
    int version,
    boolean lookedAt) {
  private static final int LONGEST_TITLE = 200;

  /** What the picture is to the study. Only sources make rules. */
  public enum Role {
    SOURCE,
    /** One's own character, to be redrawn. */
    CHARACTER,
    REDRAW,
    /** A pose photo, a material, a prop, an animal, a lesson: shown and never counted. */
    HELPER,
    /** Ordered notes from watching the illustrator work: shown and never counted. */
    PROCESS,
    /** A drawing of a cast, checked against the sheet; never counted, and no attempt. */
    CAST;

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * What the user said of it.
   *
   * @param mood what its face shows; empty where the machine's guess stands
   * @param stage how far it has come; empty where the machine's guess stands
   * @param likeness what the figure is like, in the user's words with commas between
   * @param weight how much it counts in rules, 0.5, 1 or 2
   * @param lightDegrees where the light comes from, clockwise from above, 0 to 359
   */
  public record Tags(
      Optional<Framing> framing,
      Optional<Turn> turn,
      Optional<Kind> kind,
      Optional<Mood> mood,
      Optional<AttemptStage> stage,
      String period,
      String manner,
      String likeness,
      double weight,
      String notes,
      OptionalInt lightDegrees) {
    public static final Tags NONE =
        new Tags(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            "",
            "",
            "",
            1,
            "",
            OptionalInt.empty());

    /** The same where something else is said of mood and stage. */
    public Tags drawn(Optional<Mood> newMood, Optional<AttemptStage> newStage) {
      return new Tags(
          framing,
          turn,
          kind,
          newMood,
          newStage,
          period,
          manner,
          likeness,
          weight,
          notes,
          lightDegrees);
    }

    /** The same where something else is seen in the picture. */
    public Tags seen(
        Optional<Framing> newFraming,
        Optional<Turn> newTurn,
        Optional<Mood> newMood,
        OptionalInt newLightDegrees) {
      return new Tags(
          newFraming,
          newTurn,
          kind,
          newMood,
          stage,
          period,
          manner,
          likeness,
          weight,
          notes,
          newLightDegrees);
    }

    /** What the figure is like, word by word, in small letters. */
    public Set<String> words() {
      return Arrays.stream(likeness.toLowerCase(Locale.ROOT).split(","))
          .map(String::strip)
          .filter(word -> !word.isEmpty())
          .collect(Collectors.toCollection(TreeSet::new));
    }
  }

  /** The same work seen from another side, or showing more or less. */
  public Work seenAs(View newView, Optional<Framing> newFraming) {
    return new Work(
        id,
        studyId,
        pictureSha256,
        role,
        number,
        title,
        credit,
        newView,
        widthPixels,
        heightPixels,
        tags.seen(newFraming, tags.turn(), tags.mood(), tags.lightDegrees()),
        leftOut,
        profile,
        version,
        lookedAt);
  }

  /** A title as long as one may be. */
  public static String cutTitle(String title) {
    return Texts.cut(title, LONGEST_TITLE);
  }
}
