package penmirror.web.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.planning.LightCard;
import penmirror.core.style.PaletteColour;
import penmirror.core.style.Rule;
import penmirror.core.style.ShadeLaw;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.RoleWords;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;
import penmirror.web.layout.SvgNumber;

/**
 * What is taken to the board from a sheet: the lines at their true relation, a ball in its light,
 * and each colour with its shadow.
 *
 * @param ball empty where no light is known, or nothing is shaded
 */
record Recipe(
    List<LineClass> lines,
    Optional<Ball> ball,
    List<String> steps,
    List<RoleLaw> roles,
    List<Shade> colours) {
  private static final int COLOURS = 8;
  private static final int PAIRS = 5;
  private static final double INNER = 5;
  private static final double THICKEST = 22;
  private static final double RADIUS = 44;

  /**
   * @param height of the bar, all to one scale
   * @param relation to the inner lines, in words; empty for those themselves
   */
  record LineClass(String key, String height, String relation) {}

  /**
   * @param shiftX how far the shadow's edge lies off the middle, away from the light
   * @param soft width of the edge, 0 for a hard one
   * @param lightX where the highlight sits
   */
  record Ball(
      String base,
      String shadow,
      String shiftX,
      String shiftY,
      String soft,
      boolean highlight,
      String lightX,
      String lightY) {}

  /**
   * @param shadow by the style's steps; empty where nothing is shaded
   * @param step how much darker, in the picker's brightness
   */
  record Shade(String base, String shadow, String step, int works) {}

  /**
   * How the works take one role from light to shadow.
   *
   * @param pairs light and shadow as some of the works have them
   * @param words the steps, such as "15 darker, a little cooler"
   * @param works that show it
   */
  record RoleLaw(String name, List<Pair> pairs, String words, int works) {}

  /**
   * @param shadow empty where that work lays none
   */
  record Pair(String base, String shadow) {}

  static Recipe of(StyleSheet sheet) {
    Optional<ShadeLaw> law = ShadeLaw.of(sheet);
    List<Shade> colours =
        sheet.palette().stream().limit(COLOURS).map(colour -> shade(colour, law)).toList();
    return new Recipe(
        lines(sheet),
        LightCard.of(sheet).map(Recipe::ball),
        ActWords.ofLight(sheet),
        roles(sheet),
        colours);
  }

  private static List<RoleLaw> roles(StyleSheet sheet) {
    List<RoleLaw> roles = new ArrayList<>();
    for (Role role : List.of(Role.SKIN, Role.HAIR, Role.CLOTH)) {
      List<Tones> laid =
          sheet.works().stream()
              .flatMap(work -> work.roles().stream())
              .filter(tones -> tones.role() == role)
              .map(RoleTones::tones)
              .toList();
      ShadeLaw.of(sheet, role)
          .filter(law -> !laid.isEmpty())
          .ifPresent(
              law ->
                  roles.add(
                      new RoleLaw(
                          RoleWords.name(role),
                          laid.stream().limit(PAIRS).map(Recipe::pair).toList(),
                          RoleWords.law(law, laid.get(0).base()),
                          laid.size())));
    }
    return roles;
  }

  private static Pair pair(Tones tones) {
    return new Pair(
        tones.base().toEncodedSrgb().hex(),
        tones.shadow().map(shadow -> shadow.toEncodedSrgb().hex()).orElse(""));
  }

  private static List<LineClass> lines(StyleSheet sheet) {
    List<LineClass> lines = new ArrayList<>();
    Optional<Double> outline = centre(sheet, LineMeasures.OUTLINE_INNER);
    outline.ifPresent(ratio -> lines.add(line("outline", ratio)));
    if (outline.isPresent() || centre(sheet, LineMeasures.FACE_BODY).isPresent()) {
      lines.add(new LineClass("inner", SvgNumber.of(INNER), ""));
    }
    centre(sheet, LineMeasures.FACE_BODY).ifPresent(ratio -> lines.add(line("face", ratio)));
    return lines;
  }

  private static LineClass line(String key, double ratio) {
    return new LineClass(key, SvgNumber.of(Math.min(THICKEST, INNER * ratio)), Spoken.times(ratio));
  }

  private static Ball ball(LightCard card) {
    Point light = card.toLight();
    return new Ball(
        card.base().toEncodedSrgb().hex(),
        card.shadow().toEncodedSrgb().hex(),
        SvgNumber.of(light.x() * RADIUS * card.litShift()),
        SvgNumber.of(light.y() * RADIUS * card.litShift()),
        SvgNumber.of(Math.min(10, card.edge() / 8)),
        card.glows(),
        SvgNumber.of(light.x() * RADIUS * 0.5),
        SvgNumber.of(light.y() * RADIUS * 0.5));
  }

  private static Shade shade(PaletteColour colour, Optional<ShadeLaw> law) {
    return new Shade(
        colour.hex(),
        law.map(l -> l.shadowOf(colour.colour()).toEncodedSrgb().hex()).orElse(""),
        law.map(
                l ->
                    Wording.number(
                        Math.abs(
                            Spoken.brightness(colour.colour().lightness())
                                - Spoken.brightness(l.shadowOf(colour.colour()).lightness())),
                        0))
            .orElse(""),
        colour.workCount());
  }

  private static Optional<Double> centre(StyleSheet sheet, Measure measure) {
    return sheet.rule(measure).filter(Rule::isScored).map(Rule::centre);
  }
}
