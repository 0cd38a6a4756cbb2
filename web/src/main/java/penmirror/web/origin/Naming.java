package penmirror.web.origin;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.geometry.Point;
import penmirror.core.reading.RoleColours;
import penmirror.web.evidence.RoleStore;

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
      found.tones().map(RoleStore::found).orElse(List.of()).stream()
          .filter(colour -> colour.tone() != RoleStore.Tone.BASE)
          .filter(colour -> !byHand.contains(colour.tone()))
          .forEach(colour -> roles.keep(workId, role, colour.tone(), colour.hex(), null, null));
    }
  }
}
