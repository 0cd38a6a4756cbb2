package penmirror.core.telling;

import java.util.List;
import java.util.Locale;
import penmirror.core.copying.CopyLikeness;
import penmirror.core.copying.CopyLikeness.Part;
import penmirror.core.copying.CopyLikeness.Reached;
import penmirror.core.copying.Expression;
import penmirror.core.words.Wording;

/** A drawing beside the one work it was drawn after, in a few words. */
public final class CopyWords {
  private static final double HARDLY_TOLD_APART = 90;
  private static final double NEAR = 75;
  private static final double AFTER = 50;

  /** Of a part, [0, 1]. */
  private static final double ALIKE = 0.85;

  private static final double NEARLY = 0.6;

  /** Widths nobody tells apart side by side. */
  private static final double SAME_WIDTH = 0.08;

  private CopyWords() {}

  /** The whole of it, such as "A near copy of “The Lamp”." */
  public static String whole(CopyLikeness likeness, String work) {
    double points = likeness.points();
    String step =
        likeness.isTheWork()
            ? "itself"
            : points >= HARDLY_TOLD_APART
                ? "hardly"
                : points >= NEAR ? "near" : points >= AFTER ? "after" : "far";
    return Wording.text("copy.whole." + step, work);
  }

  /** One part, such as "Line a third thinner". */
  public static String part(Reached reached) {
    if (reached.part() == Part.LINE) {
      return line(Math.exp(reached.off()));
    }
    if (reached.part() == Part.OUTLINE) {
      return Wording.text("copy.outline", Wording.number(100 * (1 - reached.off()), 0));
    }
    if (reached.part() == Part.PLACE) {
      return Wording.text("copy.place", Wording.number(100 * reached.off(), 1));
    }
    double likeness = reached.likeness();
    String step = likeness >= ALIKE ? "alike" : likeness >= NEARLY ? "nearly" : "other";
    return Wording.text("copy." + reached.part().word() + "." + step);
  }

  private static String line(double factor) {
    if (Math.abs(factor - 1) <= SAME_WIDTH) {
      return Wording.text("copy.line.alike");
    }
    String percent = Wording.number(100 * Math.abs(factor - 1), 0);
    return Wording.text(factor > 1 ? "copy.line.heavier" : "copy.line.thinner", percent);
  }

  /** Such as "Corners of the mouth 5 px lower: reads sadder." */
  public static List<String> expression(List<Expression> all) {
    return all.stream().map(CopyWords::sentence).toList();
  }

  private static String sentence(Expression one) {
    String side = one.offPixels() > 0 ? "more" : "less";
    return Wording.text(
        String.format(Locale.ROOT, "copy.face.%s.%s", one.sort().word(), side),
        Wording.number(Math.max(1, Math.abs(one.offPixels())), 0));
  }
}
