package penmirror.core.measure.region;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.measure.FigurePixels;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.region.FigureParts.Part;
import penmirror.core.measure.region.RoleMeasures.Steps;
import penmirror.core.measure.shade.Materials;
import penmirror.core.measure.shade.ShadeFacts;
import penmirror.core.measure.shade.ShadowSteps;
import penmirror.core.raster.PixelGrid;

/**
 * Finds the colours of a figure by what they paint, and fills {@link RoleMeasures}: every local
 * colour that lies mostly in the skin, the hair or the clothes is of that role.
 */
public final class RoleFacts {
  /** So much of a local colour lies in the part that it paints; so much of a part is told. */
  private static final double MOSTLY = 0.6;

  /** Smaller roles are specks. */
  private static final double LEAST_OF_FIGURE = 0.006;

  /** Clothes nearer than this in OKLab are of one colour. */
  private static final double SAME_COLOUR = 0.06;

  private static final Map<Part, Role> ROLES =
      new EnumMap<>(
          Map.of(
              Part.FACE, Role.SKIN,
              Part.SKIN, Role.SKIN,
              Part.HAIR, Role.HAIR,
              Part.CLOTH, Role.CLOTH));

  private final ShadeFacts shade;
  private final FigurePixels figure;

  private RoleFacts(ShadeFacts shade, FigurePixels figure) {
    this.shade = shade;
    this.figure = figure;
  }

  /** What a part of the figure is painted as; empty for features and for what is no part. */
  public static Optional<Role> roleOf(Part part) {
    return Optional.ofNullable(ROLES.get(part));
  }

  /**
   * @param parts where skin, hair and clothes are; empty where no face was found
   * @return in the order of the roles; a role that cannot be told is absent
   */
  public static List<RoleTones> find(
      Optional<FigureParts> parts,
      FlatPicture flats,
      ShadeFacts shade,
      FigurePixels figure,
      Findings findings) {
    if (parts.isEmpty()) {
      findings.absent(RoleMeasures.ALL, Reason.PART_NOT_FOUND);
      return List.of();
    }
    RoleFacts facts = new RoleFacts(shade, figure);
    Map<Role, List<Integer>> byRole = facts.byRole(parts.get(), flats);
    List<RoleTones> roles = new ArrayList<>();
    for (Role role : List.of(Role.SKIN, Role.HAIR, Role.CLOTH)) {
      List<Integer> materials = byRole.getOrDefault(role, List.of());
      Steps steps = RoleMeasures.of(role);
      if (materials.isEmpty()) {
        findings.absent(steps.all(), Reason.TOO_LITTLE);
        continue;
      }
      List<Integer> alike = role == Role.CLOTH ? facts.likeTheFirst(materials) : materials;
      Optional<RoleTones> tones = facts.tones(role, alike);
      tones.ifPresent(roles::add);
      if (role == Role.CLOTH) {
        List<Integer> others = new ArrayList<>(materials);
        others.removeAll(alike);
        facts.tones(Role.CLOTH_TWO, facts.likeTheFirst(others)).ifPresent(roles::add);
      }
      ShadowSteps found = shade.steps(materials, ShadowSteps.LEAST);
      if (found.isEmpty()) {
        tones.ifPresent(
            one -> one.tones().shadow().ifPresent(dark -> found.add(one.tones().base(), dark, 1)));
      }
      put(found, steps, findings);
    }
    return roles;
  }

  /** Grey hair, or a coat in the light alone, is the character's and no miss. */
  static void put(ShadowSteps found, Steps steps, Findings findings) {
    found.put(
        findings,
        steps.lightness(),
        steps.chroma(),
        steps.hue(),
        Reason.TOO_LITTLE,
        Reason.TOO_LITTLE);
  }

  /** Local colours that are large enough to have values, by what they paint, largest first. */
  private Map<Role, List<Integer>> byRole(FigureParts parts, FlatPicture flats) {
    Materials materials = shade.materials();
    int[][] counts = new int[materials.count()][Role.values().length];
    int width = figure.figure().width();
    for (int i = 0; i < width * figure.figure().height(); i++) {
      if (materials.at(i) >= 0) {
        double x = PixelGrid.toLarge(i % width, figure.factor());
        double y = PixelGrid.toLarge(i / width, figure.factor());
        Role role = ROLES.get(parts.at(flats.index(x, y)));
        if (role != null) {
          counts[materials.at(i)][role.ordinal()]++;
        }
      }
    }
    Map<Role, List<Integer>> byRole = new EnumMap<>(Role.class);
    double[] laid = new double[Role.values().length];
    double[] whole = new double[Role.values().length];
    for (int material = 0; material < counts.length; material++) {
      for (Role role : Role.values()) {
        boolean mostly = counts[material][role.ordinal()] > MOSTLY * materials.area(material);
        if (mostly && shade.tones(material).isPresent()) {
          whole[role.ordinal()] += materials.area(material);
          if (shade.isLaidInValues(material)) {
            laid[role.ordinal()] += materials.area(material);
            byRole.computeIfAbsent(role, key -> new ArrayList<>()).add(material);
          }
        }
      }
    }
    // A buckle that is laid flat says nothing of a coat that is not.
    byRole.keySet().removeIf(r -> laid[r.ordinal()] < MOSTLY * whole[r.ordinal()]);
    byRole.values().forEach(list -> list.sort(Comparator.comparingInt(m -> -materials.area(m))));
    return byRole;
  }

  /** Of its colour, or of what can be its light or shadow where a line keeps the two apart. */
  private List<Integer> likeTheFirst(List<Integer> materials) {
    return materials.stream().filter(m -> isLike(base(materials.get(0)), base(m))).toList();
  }

  private static boolean isLike(OkLab one, OkLab other) {
    return one.distanceTo(other) < SAME_COLOUR || Materials.isOneColour(one, other);
  }

  private OkLab base(int material) {
    return shade.tones(material).orElseThrow().base();
  }

  /**
   * As the largest that has a shadow is laid. Where none has, of the two largest the darker is
   * taken for the shadow of the other, if it can be.
   */
  private Optional<RoleTones> tones(Role role, List<Integer> materials) {
    double area = materials.stream().mapToInt(shade.materials()::area).sum();
    if (area < LEAST_OF_FIGURE * figure.figureCount() || materials.isEmpty()) {
      return Optional.empty();
    }
    int told = materials.stream().filter(this::isShaded).findFirst().orElse(materials.get(0));
    Tones tones = shade.tones(told).orElseThrow();
    int shown = told;
    if (!isShaded(told)) {
      tones = new Tones(tones.base(), Optional.empty(), Optional.empty(), tones.highlight());
    }
    if (!isShaded(told) && materials.size() > 1) {
      List<Integer> byLight = new ArrayList<>(materials.subList(0, 2));
      byLight.sort(Comparator.comparingDouble(m -> -base(m).lightness()));
      OkLab light = base(byLight.get(0));
      int dark = byLight.get(1);
      if (light.lightness() - base(dark).lightness() > ShadowSteps.LEAST
          && Materials.isOneColour(light, base(dark))) {
        shown = dark;
        tones = new Tones(light, Optional.of(base(dark)), Optional.empty(), tones.highlight());
      }
    }
    int deepest = shade.deepest(shown);
    int width = figure.figure().width();
    return Optional.of(
        new RoleTones(
            role,
            tones,
            area / figure.figureCount(),
            PixelGrid.point(
                PixelGrid.toLarge(deepest % width, figure.factor()),
                PixelGrid.toLarge(deepest / width, figure.factor()))));
  }

  private boolean isShaded(int material) {
    Tones tones = shade.tones(material).orElseThrow();
    return tones
        .shadow()
        .filter(dark -> tones.base().lightness() - dark.lightness() >= ShadowSteps.LEAST)
        .isPresent();
  }
}
