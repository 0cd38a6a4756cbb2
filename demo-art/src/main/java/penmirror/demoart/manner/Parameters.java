package penmirror.demoart.manner;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;

/** A value for every {@link Parameter}, each inside its range. Immutable. */
public final class Parameters {
  private final EnumMap<Parameter, Double> values;

  private Parameters(EnumMap<Parameter, Double> values) {
    this.values = values;
  }

  /**
   * @throws ParameterOutOfRange if a value lies outside its range
   * @throws IllegalArgumentException if a parameter has no value
   */
  public static Parameters of(Map<Parameter, Double> values) {
    EnumMap<Parameter, Double> all = new EnumMap<>(Parameter.class);
    for (Parameter parameter : Parameter.values()) {
      Double value = values.get(parameter);
      if (value == null) {
        throw new IllegalArgumentException(
            "The parameter " + parameter.word() + " has no value. Every one needs a value.");
      }
      all.put(parameter, checked(parameter, value));
    }
    return new Parameters(all);
  }

  public double get(Parameter parameter) {
    return Objects.requireNonNull(values.get(parameter));
  }

  /**
   * @throws ParameterOutOfRange if the value lies outside the parameter's range
   */
  public Parameters with(Parameter parameter, double value) {
    EnumMap<Parameter, Double> changed = new EnumMap<>(values);
    changed.put(parameter, checked(parameter, value));
    return new Parameters(changed);
  }

  public Parameters times(Parameter parameter, double factor) {
    return with(parameter, get(parameter) * factor);
  }

  public Parameters plus(Parameter parameter, double step) {
    return with(parameter, get(parameter) + step);
  }

  private static double checked(Parameter parameter, double value) {
    if (!(value >= parameter.least() && value <= parameter.most())) {
      throw new ParameterOutOfRange(parameter, value);
    }
    return value;
  }
}
