package penmirror.core.telling;

import penmirror.core.planning.Companion.Remark;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** How a figure set into a work's picture goes with it, in sentences. */
public final class CompanionWords {
  private CompanionWords() {}

  public static String of(Remark remark) {
    if (remark instanceof Remark.Size size) {
      return size(size);
    }
    if (remark instanceof Remark.Ground ground) {
      return ground(ground);
    }
    if (remark instanceof Remark.Line line) {
      return line.fits()
          ? Wording.text("companion.line.fits")
          : Wording.text(
              line.own() < line.wanted() ? "companion.line.thin" : "companion.line.thick",
              Wording.number(line.wanted(), 1),
              Wording.number(line.own(), 1));
    }
    if (remark instanceof Remark.Light light) {
      return light(light);
    }
    Remark.Tone tone = (Remark.Tone) remark;
    return tone.fits()
        ? Wording.text("companion.tone.fits", Wording.name(tone.measure()))
        : Wording.text(
            "companion.tone", Spoken.sentence(Wording.more(tone.measure(), tone.spreads() > 0)));
  }

  private static String size(Remark.Size size) {
    if (size.isAlike()) {
      return Wording.text("companion.size.alike");
    }
    boolean larger = size.heads() > 1;
    String by = Spoken.part(Math.abs(size.heads() - 1));
    if (!size.fits()) {
      return Wording.text(larger ? "companion.size.larger" : "companion.size.smaller", by);
    }
    return Wording.text(larger ? "companion.size.nearer" : "companion.size.farther", by);
  }

  private static String ground(Remark.Ground ground) {
    if (ground.isLevel()) {
      return Wording.text("companion.ground.level");
    }
    boolean nearer = ground.nearer() > 0;
    String by = Spoken.heads(Math.abs(ground.nearer()));
    if (ground.fits()) {
      return Wording.text(nearer ? "companion.ground.nearer" : "companion.ground.farther", by);
    }
    return Wording.text(
        nearer ? "companion.ground.nearer.small" : "companion.ground.farther.large", by);
  }

  private static String light(Remark.Light light) {
    if (light.fits()) {
      return Wording.text("companion.light.fits", from(light.theirs()));
    }
    return Wording.text(
        light.fitsFlipped() ? "companion.light.flip" : "companion.light",
        from(light.own()),
        from(light.theirs()));
  }

  private static String from(double degrees) {
    return Wording.text("companion.from", degrees);
  }
}
