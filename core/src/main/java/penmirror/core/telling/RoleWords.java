package penmirror.core.telling;

import java.util.List;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.PickerColour;
import penmirror.core.colour.Role;
import penmirror.core.scoring.BaseScore;
import penmirror.core.scoring.RoleScore;
import penmirror.core.style.ShadeLaw;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** A colour by what it paints, as one would say it over a shoulder. */
public final class RoleWords {
  private RoleWords() {}

  public static String name(Role role) {
    return Wording.text("role." + role.word());
  }

  /** How its shadow looks, such as "Shadow too grey, a little too warm". */
  public static String miss(RoleScore role) {
    if (role.tones().tones().shadow().isEmpty()) {
      return Wording.text("role.flat");
    }
    if (role.misses().isEmpty()) {
      return Wording.text(role.isColourAsked() ? "role.right" : "role.right.depth");
    }
    List<String> misses = role.misses().stream().map(RoleWords::miss).toList();
    return Wording.text("role.shadow", String.join(", ", misses));
  }

  private static String miss(RoleScore.Miss miss) {
    String key = "role.step." + miss.step().word() + (miss.z() > 0 ? ".high" : ".low");
    return Wording.text(key, Wording.howMuch(miss.z()));
  }

  /** How its colour in the light lies beside theirs, such as "Colour too grey, a little warm". */
  public static String base(BaseScore base) {
    if (base.misses().isEmpty()) {
      return Wording.text("role.base.right", base.works());
    }
    List<String> misses =
        base.misses().stream()
            .map(
                miss ->
                    Wording.text(
                        "role.base." + miss.step().word() + (miss.z() > 0 ? ".high" : ".low"),
                        Wording.howMuch(miss.z())))
            .toList();
    return Wording.text("role.base", String.join(", ", misses));
  }

  /** How the works go from its light to its shadow, such as "15 darker, a little cooler". */
  public static String law(ShadeLaw law, OkLab base) {
    double step =
        Spoken.brightness(base.lightness()) - Spoken.brightness(law.shadowOf(base).lightness());
    return Wording.text(
        "role.law", Wording.number(step, 0), law.chromaRatio(), law.towardCoolDegrees());
  }

  /** In the picker's numbers, such as "H 24 S 31 B 74". */
  public static String picker(OkLab colour) {
    PickerColour picked = PickerColour.of(colour.toEncodedSrgb());
    return Wording.text(
        "role.picker",
        Wording.number(picked.hueDegrees(), 0),
        Wording.number(picked.saturationPercent(), 0),
        Wording.number(picked.brightnessPercent(), 0));
  }
}
