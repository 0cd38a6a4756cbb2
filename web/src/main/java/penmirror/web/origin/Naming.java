package penmirror.web.origin;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.colour.OkLab;
import penmirror.core.geometry.Point;
import penmirror.core.reading.RoleColours;

/** Keeps a colour that was picked for a role, with those that are found along with it. */
@Service
class Naming {
  private final RoleStore roles;

  Naming(RoleStore roles) {
    this.roles = roles;
  }

  /** With the base its shadow, strip and highlight; those that were picked by hand stay. */
  @Transactional
  public void name(long workId, String role, RoleStore.Tone tone, RoleColours found, Point at) {
    roles.keep(workId, role, tone, found.picked().toEncodedSrgb().hex(), at.x(), at.y());
    if (tone == RoleStore.Tone.BASE) {
      Set<RoleStore.Tone> byHand =
          roles.of(workId).getOrDefault(role, List.of()).stream()
              .filter(RoleStore.Colour::byHand)
              .map(RoleStore.Colour::tone)
              .collect(Collectors.toSet());
      keepFound(workId, role, RoleStore.Tone.SHADOW, found.shadow(), byHand);
      keepFound(workId, role, RoleStore.Tone.STRIP, found.strip(), byHand);
      keepFound(workId, role, RoleStore.Tone.HIGHLIGHT, found.highlight(), byHand);
    }
  }

  private void keepFound(
      long workId,
      String role,
      RoleStore.Tone tone,
      Optional<OkLab> colour,
      Set<RoleStore.Tone> byHand) {
    if (colour.isPresent() && !byHand.contains(tone)) {
      roles.keep(workId, role, tone, colour.get().toEncodedSrgb().hex(), null, null);
    }
  }
}
