package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.scoring.RoleScore.Miss;
import penmirror.core.scoring.RoleScore.Step;
import penmirror.core.statistics.Sample;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.ShadeLaw;
import penmirror.core.style.StyleSheet;

/**
 * A colour of a redraw in the light, held against what the works paint the same with. Only for
 * redraws that take the palette over: else the colour is the character's and is not judged.
 *
 * <p>The works' colours of a role are several: fair skin and dark, red hair and black. The redraw
 * is held against the family nearest to it.
 *
 * @param tones as they are laid
 * @param theirs the middle of the nearest family
 * @param works that have a colour of that family, 1 or more
 * @param misses where it is too dark or light, grey or strong, warm or cool; empty where it is
 *     theirs
 */
public record BaseScore(RoleTones tones, OkLab theirs, int works, List<Miss> misses) {
  /** Fewer works that paint a role say little of a palette. */
  private static final int FEWEST_WORKS = 3;

  /** Bases nearer than this in OKLab are of one family; as clothes of one colour are told. */
  private static final double ONE_FAMILY = 0.06;

  /** Smaller differences are not seen across a room; about four just noticeable steps. */
  private static final double LEAST_LIGHTNESS = 0.04;

  private static final double LEAST_COLOUR = 0.03;

  public BaseScore {
    misses = List.copyOf(misses);
  }

  /** In the order given; a role that fewer than three works paint is left out. */
  public static List<BaseScore> of(StyleSheet sheet, List<RoleTones> roles) {
    List<BaseScore> scores = new ArrayList<>();
    for (RoleTones role : roles) {
      List<MeasuredWork> painting =
          sheet.works().stream().filter(work -> !bases(work, role).isEmpty()).toList();
      if (painting.size() >= FEWEST_WORKS) {
        scores.add(of(role, painting));
      }
    }
    return scores;
  }

  private static List<OkLab> bases(MeasuredWork work, RoleTones role) {
    return work.roles().stream()
        .filter(of -> RoleMeasures.of(of.role()) == RoleMeasures.of(role.role()))
        .map(of -> of.tones().base())
        .toList();
  }

  private static BaseScore of(RoleTones role, List<MeasuredWork> works) {
    OkLab base = role.tones().base();
    List<OkLab> all = works.stream().flatMap(work -> bases(work, role).stream()).toList();
    OkLab nearest = all.stream().min(Comparator.comparingDouble(base::distanceTo)).orElseThrow();
    List<OkLab> family =
        all.stream().filter(other -> other.distanceTo(nearest) < ONE_FAMILY).toList();
    OkLab middle =
        new OkLab(
            median(family, OkLab::lightness), median(family, OkLab::a), median(family, OkLab::b));
    double give = family.stream().mapToDouble(middle::distanceTo).max().orElse(0);
    int having =
        (int)
            works.stream()
                .filter(
                    work ->
                        bases(work, role).stream()
                            .anyMatch(other -> other.distanceTo(nearest) < ONE_FAMILY))
                .count();
    return new BaseScore(role, middle, having, misses(base, middle, give));
  }

  private static List<Miss> misses(OkLab base, OkLab theirs, double give) {
    List<Miss> misses = new ArrayList<>();
    double ofLight = Math.max(LEAST_LIGHTNESS, give);
    double ofColour = Math.max(LEAST_COLOUR, give);
    add(misses, Step.DEPTH, (base.lightness() - theirs.lightness()) / ofLight);
    add(misses, Step.STRENGTH, (base.chroma() - theirs.chroma()) / ofColour);
    if (ShadeLaw.hasHue(base) && ShadeLaw.hasHue(theirs) && ShadeLaw.canTurn(theirs)) {
      double turn = Math.toRadians(ShadeLaw.between(theirs, base).towardCoolDegrees());
      add(misses, Step.TURN, turn * Math.sqrt(base.chroma() * theirs.chroma()) / ofColour);
    }
    return misses;
  }

  private static void add(List<Miss> misses, Step step, double z) {
    if (Math.abs(z) > 1) {
      misses.add(new Miss(step, z));
    }
  }

  private static double median(List<OkLab> colours, ToDoubleFunction<OkLab> of) {
    return Sample.of(colours.stream().mapToDouble(of).toArray()).median();
  }
}
