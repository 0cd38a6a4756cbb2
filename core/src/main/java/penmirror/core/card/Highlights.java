package penmirror.core.card;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.colour.Role;
import penmirror.core.measure.RoleTones;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/**
 * On what the works put a highlight: how many of those whose skin, hair or clothes were told lay a
 * value lighter than its base there.
 */
record Highlights(List<On> places) {
  /** Of fewer works nothing is said. */
  private static final int FEWEST_WORKS = 3;

  Highlights {
    places = List.copyOf(places);
  }

  /**
   * @param role with both cloths as one
   * @param lit works that have one there
   * @param works whose colours of that role were told, 3 or more
   */
  record On(Role role, int lit, int works) {}

  /** Empty where no work has any, and where too few works tell. */
  static Optional<Highlights> of(StyleSheet sheet) {
    Map<Role, int[]> counts = new EnumMap<>(Role.class);
    for (MeasuredWork work : sheet.works()) {
      Map<Role, Boolean> ofWork = new EnumMap<>(Role.class);
      for (RoleTones role : work.roles()) {
        ofWork.merge(
            role.role() == Role.CLOTH_TWO ? Role.CLOTH : role.role(),
            role.tones().highlight().isPresent(),
            Boolean::logicalOr);
      }
      ofWork.forEach(
          (role, isLit) -> {
            int[] of = counts.computeIfAbsent(role, key -> new int[2]);
            of[0] += isLit ? 1 : 0;
            of[1]++;
          });
    }
    List<On> places = new ArrayList<>();
    counts.forEach(
        (role, of) -> {
          if (of[1] >= FEWEST_WORKS) {
            places.add(new On(role, of[0], of[1]));
          }
        });
    return places.stream().anyMatch(on -> on.lit() > 0)
        ? Optional.of(new Highlights(places))
        : Optional.empty();
  }
}
