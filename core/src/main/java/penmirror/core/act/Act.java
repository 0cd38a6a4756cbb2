package penmirror.core.act;

import java.util.List;
import java.util.Optional;
import penmirror.core.figure.Feature;
import penmirror.core.measure.Measure;

/**
 * One thing a hand does.
 *
 * @param key as files and words name it; never renamed or reused
 * @param grip the feature that is taken hold of; empty for what lies over the whole drawing
 * @param readings in the order in which they are asked: the first that a sheet has leads; none for
 *     a statement
 * @param presence what must be there before anything is asked of how it is; empty where it always
 *     is
 */
public record Act(
    String key,
    ActGroup group,
    Optional<Feature> grip,
    List<Measure> readings,
    Optional<Presence> presence) {

  /**
   * How a thing is done is asked only where works have it: no angle of hatching in a style without.
   *
   * @param measure of how much there is; itself always asked
   * @param least the middle of the works from which on there is some, in the measure's unit
   */
  public record Presence(Measure measure, double least) {}

  public Act {
    readings = List.copyOf(readings);
    if (readings.isEmpty() != (group == ActGroup.TICKS)) {
      throw new IllegalArgumentException("An act has readings, but for statements: " + key);
    }
  }

  /** Key of the statement it is to do, or never to do; empty where it is measured. */
  public Optional<String> statement() {
    return group == ActGroup.TICKS
        ? Optional.of(key.substring(Acts.STATEMENT.length()))
        : Optional.empty();
  }

  @Override
  public String toString() {
    return key;
  }
}
