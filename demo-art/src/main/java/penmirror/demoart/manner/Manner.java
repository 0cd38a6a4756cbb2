package penmirror.demoart.manner;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/**
 * A way of drawing: where each parameter centres, how far it strays from picture to picture, and
 * what no number says.
 *
 * @param spread standard deviation per parameter, in the parameter's own unit; absent for none
 */
public record Manner(
    String name,
    Parameters centre,
    Map<Parameter, Double> spread,
    Shading shading,
    Hatching hatching,
    Habits habits) {

  public Manner {
    spread = Map.copyOf(spread);
  }

  /**
   * One picture's own parameters, drawn from the spread. Draws lie within two deviations, so that
   * no picture falls out of the manner.
   */
  public Parameters draw(Random random) {
    Parameters drawn = centre;
    for (Parameter parameter : Parameter.values()) {
      double sd = spread.getOrDefault(parameter, 0.0);
      double deviate = Math.max(-2, Math.min(2, random.nextGaussian()));
      double value = centre.get(parameter) + sd * deviate;
      drawn = drawn.with(parameter, Math.max(parameter.least(), Math.min(parameter.most(), value)));
    }
    return drawn;
  }

  /** A second manner of the same hand. */
  public Manner with(String newName, Map<Parameter, Double> changes) {
    Parameters changed = centre;
    for (Map.Entry<Parameter, Double> change : changes.entrySet()) {
      changed = changed.with(change.getKey(), change.getValue());
    }
    return new Manner(newName, changed, spread, shading, hatching, habits);
  }

  /**
   * A hand like this one.
   *
   * @param by how far a parameter is moved at the most, as a share of itself
   */
  public Manner moved(String newName, List<Parameter> which, double by, Random random) {
    Map<Parameter, Double> changes = new EnumMap<>(Parameter.class);
    for (Parameter parameter : which) {
      double value = centre.get(parameter) * (1 + by * (2 * random.nextDouble() - 1));
      changes.put(parameter, Math.max(parameter.least(), Math.min(parameter.most(), value)));
    }
    return with(newName, changes);
  }

  /**
   * Reads a table "stature 4.2 ~0.08 legs 0.38 …": a parameter's word, its centre, and after a
   * tilde its spread where it has one.
   */
  public static Manner of(
      String name, Shading shading, Hatching hatching, Habits habits, String table) {
    EnumMap<Parameter, Double> centre = new EnumMap<>(Parameter.class);
    EnumMap<Parameter, Double> spread = new EnumMap<>(Parameter.class);
    Parameter current = null;
    for (String word : table.trim().split("\\s+")) {
      if (word.startsWith("~") && current != null) {
        spread.put(current, Double.valueOf(word.substring(1)));
      } else if (Character.isLetter(word.charAt(0))) {
        current = Parameter.valueOf(word.toUpperCase(Locale.ROOT).replace('-', '_'));
      } else if (current != null) {
        centre.put(current, Double.valueOf(word));
      }
    }
    return new Manner(name, Parameters.of(centre), spread, shading, hatching, habits);
  }
}
