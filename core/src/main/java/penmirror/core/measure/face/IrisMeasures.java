package penmirror.core.measure.face;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** How an iris is built, as {@link IrisReader} reads it. */
public final class IrisMeasures {
  private static final String ESTIMATE = "from memory; held against drawn eyes in docs/measures.md";

  public static final Measure LIGHTS =
      iris("iris.lights", Unit.LIGHTS, Scale.COUNT, "lights in one iris, mean of both")
          .spreads(0.15, 0.25, 0.5)
          .source("common practice: one or two; spreads from memory")
          .build();

  public static final Measure LIGHT_SIZE =
      iris(
              "iris.light.size",
              Unit.RATIO,
              Scale.LOG,
              "radius of a disc as large as the largest light / iris radius, mean of both")
          .spreads(0.1, 0.2, 0.35)
          .source(ESTIMATE)
          .build();

  public static final Measure LIGHT_PLACE =
      iris(
              "iris.light.place",
              Unit.DEGREES,
              Scale.CIRCULAR,
              "where the largest light lies, clockwise from straight above the iris's centre")
          .spreads(10, 25, 60)
          .source(ESTIMATE)
          .build();

  public static final Measure GLOW =
      iris(
              "iris.glow",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightness of the iris's lower third less its upper third, lights left out")
          .spreads(0.03, 0.06, 0.12)
          .source(ESTIMATE)
          .ofAStep()
          .build();

  public static final Measure RING =
      iris(
              "iris.ring",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightness of the iris at two thirds of its radius less that of its rim")
          .spreads(0.04, 0.07, 0.14)
          .source(ESTIMATE)
          .ofAStep()
          .build();

  public static final List<Measure> ALL = List.of(LIGHTS, LIGHT_SIZE, LIGHT_PLACE, GLOW, RING);

  private IrisMeasures() {}

  private static Measure.Builder iris(String key, Unit unit, Scale scale, String formula) {
    return Measure.ofPixels(key, MeasureGroup.PART, unit, Ruler.NONE, scale, formula);
  }
}
