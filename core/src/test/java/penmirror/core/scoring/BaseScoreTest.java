package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.RoleTones;
import penmirror.core.scoring.RoleScore.Step;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Portrayal;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.RoleWords;

class BaseScoreTest {
  private static final OkLab FAIR = colour(0xF0CBA6);
  private static final OkLab DARK = colour(0x8A5A3C);
  private static final OkLab RED_HAIR = colour(0xA04A28);

  private static OkLab colour(int rgb) {
    return OkLab.from(EncodedSrgb.fromRgb(rgb));
  }

  private static RoleTones role(Role role, OkLab base) {
    Tones tones = new Tones(base, Optional.empty(), Optional.empty(), Optional.empty());
    return new RoleTones(role, tones, 0.2, new Point(10.5, 20.5));
  }

  private static MeasuredWork work(int number, RoleTones... roles) {
    return new MeasuredWork(
        "" + number,
        "Work " + number,
        "",
        View.FRONT,
        Portrayal.ANY,
        Map.of(),
        Set.of(),
        Set.of(),
        List.of(),
        List.of(),
        List.of(roles),
        1);
  }

  /** Fair skin in three works, dark in two; red hair in two alone. */
  private static StyleSheet sheet() {
    List<MeasuredWork> works = new ArrayList<>();
    works.add(work(0, role(Role.SKIN, FAIR), role(Role.HAIR, RED_HAIR)));
    works.add(work(1, role(Role.SKIN, FAIR), role(Role.HAIR, RED_HAIR)));
    works.add(work(2, role(Role.SKIN, FAIR)));
    works.add(work(3, role(Role.SKIN, DARK)));
    works.add(work(4, role(Role.SKIN, DARK)));
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  private static BaseScore score(OkLab base) {
    return BaseScore.of(sheet(), List.of(role(Role.SKIN, base))).get(0);
  }

  private static OkLab moved(OkLab from, double light, double strength, double degrees) {
    double hue = Math.toRadians(from.hueDegrees() + degrees);
    double chroma = from.chroma() * strength;
    return new OkLab(from.lightness() + light, chroma * Math.cos(hue), chroma * Math.sin(hue));
  }

  @Test
  void anyColourOfTheirsIsRight() {
    assertThat(score(FAIR).misses()).isEmpty();
    assertThat(score(FAIR).works()).isEqualTo(3);
    assertThat(score(DARK).misses()).isEmpty();
    assertThat(score(DARK).works()).isEqualTo(2);
    assertThat(RoleWords.base(score(DARK))).isEqualTo("A colour of theirs, in 2 works");
  }

  /** Held against the family that is nearest, not against the middle of all. */
  @Test
  void whatIsOffIsNamedWithItsSide() {
    BaseScore dim = score(moved(FAIR, -0.1, 1, 0));
    assertThat(dim.theirs()).isEqualTo(FAIR);
    assertThat(dim.misses()).extracting(RoleScore.Miss::step).containsExactly(Step.DEPTH);
    assertThat(RoleWords.base(dim)).startsWith("Colour ").endsWith("dark");
    BaseScore strong = score(moved(DARK, 0, 1.6, 0));
    assertThat(strong.misses()).extracting(RoleScore.Miss::step).containsExactly(Step.STRENGTH);
    assertThat(RoleWords.base(strong)).endsWith("strong");
    BaseScore grey = score(moved(FAIR, 0, 0.4, 0));
    assertThat(RoleWords.base(grey)).endsWith("grey");
    // From orange-brown the shorter way to blue and violet leads over red.
    BaseScore red = score(moved(DARK, 0, 1, -50));
    assertThat(red.misses()).extracting(RoleScore.Miss::step).containsExactly(Step.TURN);
    assertThat(RoleWords.base(red)).endsWith("cool");
    assertThat(RoleWords.base(score(moved(DARK, 0, 1, 50)))).endsWith("warm");
  }

  @Test
  void whatTooFewWorksPaintIsNotJudged() {
    assertThat(BaseScore.of(sheet(), List.of(role(Role.HAIR, FAIR), role(Role.CLOTH, FAIR))))
        .isEmpty();
  }

  /** Both clothes are held against all their clothes. */
  @Test
  void clothesAreOnePalette() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      works.add(work(i, role(Role.CLOTH, DARK), role(Role.CLOTH_TWO, FAIR)));
    }
    StyleSheet sheet = StyleSheet.of("A hand", View.FRONT, works);
    List<BaseScore> scores =
        BaseScore.of(sheet, List.of(role(Role.CLOTH, FAIR), role(Role.CLOTH_TWO, DARK)));
    assertThat(scores).allSatisfy(score -> assertThat(score.misses()).isEmpty());
  }

  /** Where their colours differ more among each other, more is let pass. */
  @Test
  void aWideFamilyForgivesMore() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = -1; i <= 1; i++) {
      works.add(work(i + 1, role(Role.SKIN, moved(FAIR, 0.05 * i, 1, 0))));
    }
    StyleSheet wide = StyleSheet.of("A hand", View.FRONT, works);
    List<RoleTones> off = List.of(role(Role.SKIN, moved(FAIR, -0.045, 1, 0)));
    assertThat(BaseScore.of(wide, off).get(0).misses()).isEmpty();
    assertThat(BaseScore.of(sheet(), off).get(0).misses()).hasSize(1);
  }
}
