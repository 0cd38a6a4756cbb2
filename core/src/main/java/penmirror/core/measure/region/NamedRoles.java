package penmirror.core.measure.region;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Swatch;
import penmirror.core.colour.Tones;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.region.RoleMeasures.Steps;
import penmirror.core.measure.shade.ShadowSteps;

/**
 * Puts the colours that somebody named for skin, hair or clothes in the place of those found by
 * themselves: what is said of a role then, and its steps from light to shadow, are of the named
 * ones alone.
 */
public final class NamedRoles {
  /** Flats nearer than this in OKLab to a named colour are of its role. */
  private static final double SAME_COLOUR = 0.04;

  /** A named colour that no flat is near to still shows a little. */
  private static final double LEAST_SHARE = 0.001;

  private NamedRoles() {}

  /**
   * What somebody named.
   *
   * @param place where it was picked, pixels of the picture
   */
  public record Named(Role role, Tones tones, Point place) {}

  /** The readings as they are with these roles; the same where none is named. */
  public static PixelReadings over(PixelReadings read, Collection<Named> named) {
    if (named.isEmpty()) {
      return read;
    }
    List<RoleTones> roles = new ArrayList<>();
    for (Role role : Role.values()) {
      named.stream()
          .filter(one -> one.role() == role)
          .findFirst()
          .map(one -> new RoleTones(role, one.tones(), share(one, read), one.place()))
          .or(() -> found(read, role))
          .ifPresent(roles::add);
    }
    Map<String, Estimate> estimates = new HashMap<>(read.estimates());
    Map<String, Reason> absences = new HashMap<>(read.absences());
    Set<Steps> changed = new HashSet<>();
    named.forEach(one -> changed.add(RoleMeasures.of(one.role())));
    for (Steps steps : changed) {
      Findings findings = steps(steps, named, read);
      steps.all().forEach(measure -> estimates.remove(measure.key()));
      steps.all().forEach(measure -> absences.remove(measure.key()));
      estimates.putAll(findings.estimates());
      absences.putAll(findings.absences());
    }
    return new PixelReadings(
        read.algorithmVersion(),
        read.widthPixels(),
        read.heightPixels(),
        read.figureAreaPixels(),
        estimates,
        absences,
        read.swatches(),
        read.flats(),
        roles);
  }

  private static Optional<RoleTones> found(PixelReadings read, Role role) {
    return read.roles().stream().filter(one -> one.role() == role).findFirst();
  }

  private static Findings steps(Steps steps, Collection<Named> named, PixelReadings read) {
    ShadowSteps of = ShadowSteps.ofRoles();
    named.stream()
        .filter(one -> RoleMeasures.of(one.role()).equals(steps))
        .forEach(
            one ->
                one.tones()
                    .shadow()
                    .ifPresent(dark -> of.add(one.tones().base(), dark, share(one, read))));
    Findings findings = new Findings();
    RoleFacts.put(of, steps, findings);
    return findings;
  }

  /** How much of the figure it paints: as found, or else by the flats that look like it. */
  private static double share(Named named, PixelReadings read) {
    return found(read, named.role())
        .map(RoleTones::shareOfFigure)
        .orElseGet(
            () ->
                Math.max(
                    LEAST_SHARE,
                    read.flats().stream()
                        .filter(flat -> isOf(named.tones(), flat))
                        .mapToDouble(Swatch::shareOfFigure)
                        .sum()));
  }

  private static boolean isOf(Tones tones, Swatch flat) {
    List<OkLab> colours = new ArrayList<>(List.of(tones.base()));
    tones.shadow().ifPresent(colours::add);
    return colours.stream()
        .map(flat.colour()::distanceTo)
        .min(Comparator.naturalOrder())
        .filter(distance -> distance < SAME_COLOUR)
        .isPresent();
  }
}
