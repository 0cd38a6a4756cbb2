package penmirror.web.gather;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import penmirror.core.coverage.Part;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.web.layout.Choice;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.studies.Work;
import penmirror.web.studies.Work.Tags;

/**
 * What the form says of one work, or of many at once. A field that was not sent, or in the form for
 * many was left empty, changes nothing.
 *
 * @param light degrees, or "none"
 * @param parts words of the parts that are ticked; null if parts were not asked
 * @param version of the work the form was filled from; null if it does not heed that
 */
record WorkForm(
    @Nullable String title,
    @Nullable String credit,
    @Nullable String view,
    @Nullable String role,
    @Nullable String framing,
    @Nullable String turn,
    @Nullable String kind,
    @Nullable String mood,
    @Nullable String period,
    @Nullable String manner,
    @Nullable String likeness,
    @Nullable String weight,
    @Nullable String light,
    @Nullable String notes,
    @Nullable Boolean askedParts,
    @Nullable List<String> parts,
    @Nullable Integer version) {
  private static final int LONGEST_CREDIT = 500;
  private static final int LONGEST_TAG = 100;
  private static final int LONGEST_NOTES = 4000;
  private static final String NONE = "none";

  String titleFor(Work work) {
    return title == null || title.isBlank() ? work.title() : Work.cutTitle(title.strip());
  }

  String creditFor(Work work, boolean many) {
    return credit == null || (many && credit.isBlank())
        ? work.credit()
        : Texts.cut(credit, LONGEST_CREDIT);
  }

  View viewFor(Work work) {
    return view == null || view.isEmpty() ? work.view() : Choice.of(View.class, view);
  }

  Work.Role roleFor(Work work) {
    return role == null || role.isEmpty() ? work.role() : Choice.of(Work.Role.class, role);
  }

  Tags tagsFor(Work work, boolean many) {
    Tags before = work.tags();
    return new Tags(
        choice(Framing.class, framing, before.framing()),
        choice(Turn.class, turn, before.turn()),
        choice(Kind.class, kind, before.kind()),
        choice(Mood.class, mood, before.mood()),
        before.stage(),
        text(period, before.period(), many, LONGEST_TAG),
        text(manner, before.manner(), many, LONGEST_TAG),
        text(likeness, before.likeness(), many, LONGEST_TAG),
        weight == null || weight.isEmpty() ? before.weight() : weightOf(weight),
        text(notes, before.notes(), many, LONGEST_NOTES),
        lightFor(before));
  }

  /**
   * What the user said of parts: ticks that were changed, and what was said before. A tick that was
   * left as it stood says nothing: it stood there by the old framing, and may not outlive it.
   *
   * @param shown parts that were ticked when the form was opened
   * @param saidBefore what had been said by then
   * @param told what framing and marks tell now
   */
  Map<String, Boolean> said(Set<Part> shown, Map<String, Boolean> saidBefore, Set<Part> told) {
    Map<String, Boolean> said = new HashMap<>();
    List<String> ticked = parts == null ? List.of() : parts;
    for (Part part : Part.values()) {
      boolean now = ticked.contains(part.word());
      Boolean word =
          now == shown.contains(part) ? saidBefore.get(part.word()) : Boolean.valueOf(now);
      if (word != null && word != told.contains(part)) {
        said.put(part.word(), word);
      }
    }
    return said;
  }

  boolean asksParts() {
    return Boolean.TRUE.equals(askedParts);
  }

  private OptionalInt lightFor(Tags before) {
    if (light == null || light.isEmpty()) {
      return before.lightDegrees();
    }
    if (light.equals(NONE)) {
      return OptionalInt.empty();
    }
    try {
      return OptionalInt.of(Math.floorMod(Integer.parseInt(light), 360));
    } catch (NumberFormatException e) {
      throw new RefusedException("fault.form.word", Texts.cut(light, 40));
    }
  }

  private static double weightOf(String text) {
    return switch (text) {
      case "0.5" -> 0.5;
      case "1", "1.0" -> 1;
      case "2", "2.0" -> 2;
      default -> throw new RefusedException("fault.form.word", Texts.cut(text, 40));
    };
  }

  private static <E extends Enum<E>> Optional<E> choice(
      Class<E> type, @Nullable String sent, Optional<E> before) {
    if (sent == null || sent.isEmpty()) {
      return before;
    }
    return sent.equals(NONE) ? Optional.empty() : Optional.of(Choice.of(type, sent));
  }

  private static String text(@Nullable String sent, String before, boolean many, int longest) {
    return sent == null || (many && sent.isBlank()) ? before : Texts.cut(sent, longest);
  }
}
