package penmirror.core.planning;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Swatch;
import penmirror.core.colour.Tones;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.statistics.Sample;
import penmirror.core.style.ColourLaw;
import penmirror.core.style.PaletteColour;
import penmirror.core.style.Rule;
import penmirror.core.style.ShadeLaw;
import penmirror.core.style.StyleSheet;

/**
 * The colours of a character carried into a style: each by what it paints, with the shadow, the
 * strip along its border, the highlight and the line that the works' steps give it.
 *
 * @param colours in the order given
 */
public record ColourPlan(List<Carried> colours) {

  /** A border whose chroma stands out by less than this carries no strip of its own. */
  private static final double STANDS_OUT = 1.1;

  /** From which share of coloured outlines on a line takes the hue of what it lies on. */
  private static final double MOSTLY_TINTED = 0.5;

  public ColourPlan {
    colours = List.copyOf(colours);
  }

  /**
   * A colour of the character as it is.
   *
   * @param name as the user or the machine calls it
   * @param role what it paints, where that is one of those looked for in works
   * @param share of the figure, over 0
   * @param kept whether it stays as it is, light and shadow
   */
  public record Own(String name, Optional<Role> role, Tones tones, double share, boolean kept) {}

  /** Where the steps of a colour come from. */
  public enum Source {
    /** Works that paint the same. */
    ROLE,
    /** The works' figures as a whole. */
    FIGURE,
    /** What works do to other colours. */
    LAW,
    /** The user keeps it. */
    KEPT,
    /** The works do not shade, or do not tell how. */
    FLAT
  }

  /**
   * A colour in the style.
   *
   * @param works that its steps come from; for those of a law, pairs of light and shadow
   * @param giveLightness how far the shadow may lie off, in OKLab lightness; 0 where unknown
   * @param movedToward the works' colour that its base was moved toward
   * @param light in the light
   * @param line empty where the works' lines are not read
   * @param muted whether a step led out of sRGB and the nearest duller colour stands there; of
   *     highlights, which end at white anyway, that is not asked
   */
  public record Carried(
      Own own,
      int works,
      Source source,
      double giveLightness,
      Optional<OkLab> movedToward,
      OkLab light,
      Optional<OkLab> strip,
      Optional<OkLab> shadow,
      Optional<OkLab> highlight,
      Optional<OkLab> line,
      boolean muted) {}

  /**
   * @param keepOwn how much of the bases is kept, 1 for all, 0 for the works' nearest
   */
  public static ColourPlan of(StyleSheet sheet, List<Own> own, double keepOwn) {
    if (!(keepOwn >= 0 && keepOwn <= 1)) {
      throw new IllegalArgumentException("What is kept lies in 0 to 1, got " + keepOwn);
    }
    Builder builder = new Builder(sheet, keepOwn);
    return new ColourPlan(own.stream().map(builder::carried).toList());
  }

  private static final class Builder {
    private final StyleSheet sheet;
    private final double keepOwn;
    private final Optional<ShadeLaw> ofFigure;
    private final Optional<ColourLaw> law;
    private final Optional<Double> strip;

    Builder(StyleSheet sheet, double keepOwn) {
      this.sheet = sheet;
      this.keepOwn = keepOwn;
      ofFigure = ShadeLaw.of(sheet);
      law = ColourLaw.of(sheet);
      strip = centre(ShadeMeasures.RIM).filter(ratio -> ratio >= STANDS_OUT);
    }

    private record Steps(Source source, ShadeLaw law, int works, double give) {
      static final Steps NONE = new Steps(Source.FLAT, new ShadeLaw(0, 1, 0), 0, 0);
    }

    Carried carried(Own own) {
      OkLab base = own.tones().base();
      if (own.kept()) {
        Tones tones = own.tones();
        return new Carried(
            own,
            0,
            Source.KEPT,
            0,
            Optional.empty(),
            base,
            tones.strip(),
            tones.shadow(),
            tones.highlight(),
            line(base).map(OkLab::shown),
            false);
      }
      Optional<OkLab> toward = keepOwn < 1 ? nearest(own) : Optional.empty();
      OkLab light = toward.map(target -> between(target, base, keepOwn)).orElse(base);
      Steps steps = steps(own, light);
      Optional<OkLab> shadow =
          steps.source() == Source.FLAT ? Optional.empty() : Optional.of(steps.law().laidOn(light));
      Optional<OkLab> border = shadow.flatMap(dark -> border(light, dark));
      Optional<OkLab> highlight = highlight(light);
      Optional<OkLab> line = line(light);
      boolean muted =
          Stream.of(Optional.of(light), border, shadow, line)
              .flatMap(Optional::stream)
              .anyMatch(colour -> !colour.isShown());
      return new Carried(
          own,
          steps.works(),
          steps.source(),
          steps.give(),
          toward,
          light.shown(),
          border.map(OkLab::shown),
          shadow.map(OkLab::shown),
          highlight.map(OkLab::shown),
          line.map(OkLab::shown),
          muted);
    }

    /** By works that paint the same, else by what they do to other colours, else to them all. */
    private Steps steps(Own own, OkLab light) {
      if (ofFigure.isEmpty()) {
        return Steps.NONE;
      }
      Optional<Role> seen = own.role().filter(role -> worksWith(role) > 0);
      if (seen.isPresent()) {
        RoleMeasures.Steps measures = RoleMeasures.of(seen.get());
        Optional<Rule> depth =
            ShadeLaw.rule(sheet, measures.lightness(), ShadeMeasures.LIGHTNESS_STEP);
        return new Steps(
            Source.ROLE,
            ShadeLaw.of(sheet, seen.get()).orElse(ofFigure.get()),
            worksWith(seen.get()),
            depth.map(Builder::give).orElse(0.0));
      }
      if (law.isPresent()) {
        ColourLaw of = law.get();
        return new Steps(Source.LAW, of.at(light), of.pairs(), of.giveLightness());
      }
      Rule depth = sheet.rule(ShadeMeasures.LIGHTNESS_STEP).orElseThrow();
      return new Steps(Source.FIGURE, ofFigure.get(), depth.readingCount(), give(depth));
    }

    private int worksWith(Role role) {
      return (int)
          sheet.works().stream()
              .filter(
                  work ->
                      work.roles().stream()
                          .anyMatch(
                              tones ->
                                  RoleMeasures.of(tones.role()) == RoleMeasures.of(role)
                                      && tones.tones().shadow().isPresent()))
              .count();
    }

    /** Of what the works paint alike; of all their colours where the part is none of those. */
    private Optional<OkLab> nearest(Own own) {
      Stream<OkLab> colours =
          own.role()
              .map(
                  role ->
                      sheet.works().stream()
                          .flatMap(work -> work.roles().stream())
                          .filter(of -> RoleMeasures.of(of.role()) == RoleMeasures.of(role))
                          .map(of -> of.tones().base()))
              .orElseGet(() -> sheet.palette().stream().map(PaletteColour::colour));
      OkLab base = own.tones().base();
      return colours.min(Comparator.comparingDouble(base::distanceTo));
    }

    /** A strip of its own only where the works' borders are stronger than both their sides. */
    private Optional<OkLab> border(OkLab light, OkLab shadow) {
      return strip
          .filter(ratio -> ShadeLaw.hasHue(light))
          .map(
              ratio -> {
                OkLab middle = between(light, shadow, 0.5);
                double mean = (light.chroma() + shadow.chroma()) / 2;
                return withChroma(middle, mean * ratio);
              });
    }

    private Optional<OkLab> highlight(OkLab light) {
      boolean lit =
          centre(ShadeMeasures.HIGHLIGHT)
              .filter(share -> share >= ShadeMeasures.LEAST_HIGHLIGHT)
              .isPresent();
      return centre(ShadeMeasures.HIGHLIGHT_STEP)
          .filter(step -> lit)
          .map(step -> new OkLab(Math.min(1, light.lightness() + step), light.a(), light.b()));
    }

    /** As dark as the works' lines are; of the hue it lies on where theirs mostly are so. */
    private Optional<OkLab> line(OkLab light) {
      return centre(LineMeasures.DARKNESS).map(lightness -> line(light, lightness));
    }

    private OkLab line(OkLab light, double lightness) {
      boolean tinted =
          centre(LineMeasures.TINT).filter(share -> share >= MOSTLY_TINTED).isPresent();
      if (tinted && ShadeLaw.hasHue(light)) {
        OkLab dark = new OkLab(lightness, light.a(), light.b());
        return withChroma(dark, centre(LineMeasures.CHROMA).orElse(0.0));
      }
      List<OkLab> lines =
          sheet.works().stream()
              .flatMap(work -> work.swatches().stream())
              .filter(swatch -> swatch.role() == Swatch.Role.LINE)
              .map(Swatch::colour)
              .toList();
      return new OkLab(lightness, median(lines, OkLab::a), median(lines, OkLab::b));
    }

    private Optional<Double> centre(Measure measure) {
      return sheet.rule(measure).map(Rule::centre);
    }

    private static double give(Rule rule) {
      return (rule.high() - rule.low()) / 2;
    }
  }

  private static OkLab between(OkLab from, OkLab to, double share) {
    return new OkLab(
        from.lightness() + share * (to.lightness() - from.lightness()),
        from.a() + share * (to.a() - from.a()),
        from.b() + share * (to.b() - from.b()));
  }

  private static OkLab withChroma(OkLab colour, double chroma) {
    double factor = colour.chroma() == 0 ? 0 : chroma / colour.chroma();
    return new OkLab(colour.lightness(), colour.a() * factor, colour.b() * factor);
  }

  private static double median(List<OkLab> colours, ToDoubleFunction<OkLab> of) {
    return colours.isEmpty() ? 0 : Sample.of(colours.stream().mapToDouble(of).toArray()).median();
  }
}
