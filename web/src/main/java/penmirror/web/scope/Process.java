package penmirror.web.scope;

import java.util.List;
import java.util.Optional;
import penmirror.web.studies.ScopeStore;

/**
 * How the illustrator was seen to work.
 *
 * @param stages in the order in which each was first seen; a plan's stages start from it
 * @param colourSchool how shadow colours came about: by a blend layer, or picked; empty if not seen
 */
public record Process(List<String> stages, Optional<String> colourSchool) {
  /** Shading is told apart by how its colours come about: practitioners disagree on it. */
  static final List<String> STAGES =
      List.of(
          "gesture", "rough", "sketch", "line", "flats", "shade-blend", "shade-picked", "effects");

  private static final String SHADE = "shade-";

  public Process {
    stages = List.copyOf(stages);
  }

  /**
   * @param notes in order of time
   */
  public static Process of(List<ScopeStore.ProcessNote> notes) {
    List<String> stages =
        notes.stream()
            .map(ScopeStore.ProcessNote::stage)
            .filter(stage -> !stage.isEmpty())
            .distinct()
            .toList();
    return new Process(
        stages, stages.stream().filter(stage -> stage.startsWith(SHADE)).findFirst());
  }
}
