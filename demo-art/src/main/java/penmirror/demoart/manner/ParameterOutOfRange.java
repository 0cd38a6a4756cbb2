package penmirror.demoart.manner;

import java.util.Locale;

/** A parameter that the figure model cannot draw; the message names it, its value and its range. */
public final class ParameterOutOfRange extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  ParameterOutOfRange(Parameter parameter, double value) {
    super(
        String.format(
            Locale.ROOT,
            "The parameter %s is %s; the figure model draws %s to %s. Set it inside that range.",
            parameter.word(),
            value,
            parameter.least(),
            parameter.most()));
  }
}
