package penmirror.core.coverage;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;

/**
 * What one picture shows.
 *
 * @param parts all of which are told to be seen in it
 */
public record Sight(View view, Set<Part> parts) {

  public Sight {
    parts = Set.copyOf(parts);
  }

  /** How much of a figure it shows at most; empty where nothing of one is seen. */
  private Optional<Framing> widest() {
    for (Framing framing : List.of(Framing.FULL, Framing.BUST, Framing.FACE)) {
      if (parts.stream().anyMatch(part -> part.isUsualFrom(framing))) {
        return Optional.of(framing);
      }
    }
    return Optional.empty();
  }

  /** Whether a picture that shows so much of a figure could show a part too. */
  boolean couldShow(Part part) {
    return parts.contains(part)
        || widest().filter(framing -> part.isUsualIn(framing) || part.isOfNoFraming()).isPresent();
  }

  /**
   * From what is known of a picture: what its framing usually shows, what is marked on it, and
   * above both what the user said.
   *
   * @param framing empty before anybody said; then only marks and the user's word count
   * @param lightIsKnown whether somebody said where the light comes from
   * @param said parts the user said are shown (true) or not (false)
   */
  public static Sight of(
      View view,
      Optional<Framing> framing,
      boolean lightIsKnown,
      Marks marks,
      Map<Part, Boolean> said) {
    Set<Part> parts = EnumSet.noneOf(Part.class);
    for (Part part : Part.values()) {
      boolean usual = framing.isPresent() && part.isUsualIn(framing.get());
      boolean marked =
          part.landmarks().stream()
              .anyMatch(
                  landmark ->
                      Optional.ofNullable(marks.landmarks().get(landmark))
                          .filter(mark -> mark.state() != Mark.State.HIDDEN)
                          .isPresent());
      boolean lit = part == Part.LIGHT && lightIsKnown;
      boolean shown = said.getOrDefault(part, usual || marked || lit);
      if (shown && part.canBeSeenFrom(view)) {
        parts.add(part);
      }
    }
    return new Sight(view, parts);
  }
}
