package penmirror.core.telling;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.coverage.Part;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.planning.BrushTable;
import penmirror.core.planning.GuideFeatures;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Kind;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;

/** The few figures that one wants beside the board while drawing one part. */
public final class PartFigures {
  /** More than four nobody reads in passing. */
  private static final int MOST = 4;

  private final StyleSheet sheet;
  private final GuidePlan plan;
  private final BrushTable brushes;
  private final List<Figure> figures = new ArrayList<>();

  private PartFigures(StyleSheet sheet, GuidePlan plan, BrushTable brushes) {
    this.sheet = sheet;
    this.plan = plan;
    this.brushes = brushes;
  }

  /**
   * @param value as large as it is written, such as "377 px"
   * @param name what it is
   */
  public record Figure(String value, String name) {}

  /** At most four, what is set out first; none where nothing of the part is ruled. */
  public static List<Figure> of(StyleSheet sheet, GuidePlan plan, BrushTable brushes, Part part) {
    PartFigures figures = new PartFigures(sheet, plan, brushes);
    figures.tell(part);
    return figures.figures.stream().limit(MOST).toList();
  }

  private void tell(Part part) {
    GuideFeatures features = plan.features();
    switch (part) {
      case EYES -> {
        line(Kind.EYES);
        plan.eyes()
            .ifPresent(
                eyes -> {
                  eyes.heightPixels()
                      .ifPresentOrElse(
                          tall -> box("opening", eyes.widthPixels(), tall),
                          () -> pixels("eye", Optional.of(eyes.widthPixels())));
                  pixels("gap", Optional.of(eyes.gapPixels()));
                });
        pixels("iris", features.iris().map(GuideFeatures.Iris::widthPixels));
        pixels("lash", features.lashPixels());
      }
      case BROWS -> {
        pixels("brow", features.brow().map(GuideFeatures.Brow::abovePixels));
        degrees("brow-slope", features.brow().map(GuideFeatures.Brow::slopeDegrees));
        pixels("brow-length", features.brow().map(GuideFeatures.Brow::lengthPixels));
      }
      case NOSE -> {
        line(Kind.NOSE);
        pixels("nose", features.noseLengthPixels());
      }
      case MOUTH -> {
        line(Kind.MOUTH);
        pixels("mouth", plan.mouth().map(GuidePlan.Width::pixels));
        pixels("mouth-chin", between(plan.height(Kind.MOUTH), plan.height(Kind.CHIN)));
      }
      case EARS ->
          features
              .ears()
              .ifPresent(
                  ears -> {
                    pixels("ear-top", Optional.of(plan.crownPixels() + ears.topPixels()));
                    pixels("ear", Optional.of(ears.basePixels() - ears.topPixels()));
                  });
      case FACE_SHAPE -> {
        line(Kind.CROWN);
        line(Kind.CHIN);
        pixels("face", plan.face().map(GuidePlan.Width::pixels));
        pixels("jaw", plan.jaw().map(GuidePlan.Jaw::widthPixels));
      }
      case HAIR -> {
        line(Kind.HAIR);
        pixels("hair", features.hairWidthPixels());
      }
      case NECK -> {
        pixels("neck", features.neck().map(GuideFeatures.Neck::widthPixels));
        line(Kind.SHOULDERS);
        pixels("shoulders", plan.shoulders().map(GuidePlan.Width::pixels));
      }
      case HANDS -> {
        pixels("hand", heads(ProportionMeasures.HAND));
        line(Kind.FINGERTIPS);
      }
      case FEET, SHOES -> {
        line(Kind.GROUND);
        pixels("foot", heads(ProportionMeasures.FOOT));
      }
      case BODY -> {
        line(Kind.SHOULDERS);
        pixels("shoulders", plan.shoulders().map(GuidePlan.Width::pixels));
        line(Kind.CROTCH);
        line(Kind.KNEES);
      }
      case FOLDS, PROP, BACKGROUND -> {}
      case LIGHT -> {
        degrees("light", centre(ShadeMeasures.LIGHT_FROM));
        pixels(
            "edge",
            centre(ShadeMeasures.EDGE).map(thousandths -> thousandths * plan.headPixels() / 1000));
      }
    }
    if (figures.size() < MOST && part != Part.LIGHT) {
      strokes();
    }
  }

  private void line(Kind kind) {
    plan.height(kind)
        .ifPresent(
            y ->
                figures.add(
                    new Figure(
                        Wording.text("figure.px", BrushWords.pixels(y)),
                        Wording.text("figure.from-top", Wording.text("guide." + kind.word())))));
  }

  private void pixels(String name, Optional<Double> pixels) {
    pixels.ifPresent(
        p ->
            figures.add(
                new Figure(
                    Wording.text("figure.px", BrushWords.pixels(p)),
                    Wording.text("figure." + name))));
  }

  private void box(String name, double wide, double tall) {
    figures.add(
        new Figure(
            Wording.text("figure.box", BrushWords.pixels(wide), BrushWords.pixels(tall)),
            Wording.text("figure." + name)));
  }

  private void degrees(String name, Optional<Double> degrees) {
    degrees.ifPresent(
        d ->
            figures.add(
                new Figure(
                    Wording.text("figure.degrees", Wording.number(d, 0)),
                    Wording.text("figure." + name))));
  }

  /** The brushes, one a figure. */
  private void strokes() {
    brushes
        .lines()
        .forEach(
            line ->
                figures.add(
                    new Figure(
                        Wording.text("figure.px", BrushWords.pixels(line.pixels())),
                        Wording.text("figure.brush." + line.sort().word()))));
  }

  private static Optional<Double> between(Optional<Double> top, Optional<Double> base) {
    return top.flatMap(t -> base.map(b -> b - t));
  }

  private Optional<Double> heads(Measure measure) {
    return centre(measure).map(heads -> heads * plan.headPixels());
  }

  private Optional<Double> centre(Measure measure) {
    return sheet.rule(measure).map(Rule::centre);
  }
}
