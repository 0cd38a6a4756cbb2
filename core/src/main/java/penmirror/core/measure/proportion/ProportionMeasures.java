package penmirror.core.measure.proportion;

import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHEEK_R;
import static penmirror.core.figure.Landmark.CHIN;
import static penmirror.core.figure.Landmark.CROTCH;
import static penmirror.core.figure.Landmark.CROWN;
import static penmirror.core.figure.Landmark.SHOULDER_L;
import static penmirror.core.figure.Landmark.SHOULDER_R;
import static penmirror.core.figure.Landmark.SOLE;

import java.util.List;
import java.util.OptionalDouble;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Measure.Comparison;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** The whole figure, counted in heads. The head is crown to chin along its own axis. */
public final class ProportionMeasures {

  /** Floors and spreads are estimates from memory; docs/measures.md says so beside each. */
  public static final Measure STATURE =
      Measure.of("stature.heads", MeasureGroup.PROPORTION, Unit.HEADS)
          .formula(
              "crown to sole, straight down / crown to chin",
              marks -> inHeads(marks, height(marks, CROWN, SOLE)))
          .needs(CROWN, CHIN, SOLE)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.012, 0.05, 0.30)
          .source("Vitruvius, De architectura III.1: the head is an eighth of the height")
          .build();

  public static final Measure LEGS =
      Measure.of("legs.share", MeasureGroup.PROPORTION, Unit.OF_THE_HEIGHT)
          .formula(
              "crotch to sole / crown to sole, both straight down",
              marks -> Measure.ratio(height(marks, CROTCH, SOLE), height(marks, CROWN, SOLE)))
          .needs(CROWN, CROTCH, SOLE)
          .comparedBy(Scale.LOG_RATIO, Comparison.ACROSS_VIEWS)
          .spreads(0.03, 0.06, 0.25)
          .source("common practice: about half in a realistic adult")
          .build();

  public static final Measure SHOULDERS =
      Measure.of("shoulders.heads", MeasureGroup.PROPORTION, Unit.HEADS)
          .formula(
              "shoulder to shoulder / crown to chin",
              marks -> inHeads(marks, marks.distance(SHOULDER_L, SHOULDER_R)))
          .needs(CROWN, CHIN, SHOULDER_L, SHOULDER_R)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.02, 0.06, 0.25)
          .source("common practice")
          .build();

  public static final Measure SHOULDER_DROP =
      Measure.of("shoulders.drop", MeasureGroup.PROPORTION, Unit.HEADS)
          .formula(
              "crown to the middle between the shoulders, straight down / crown to chin",
              marks ->
                  inHeads(
                      marks,
                      (height(marks, CROWN, SHOULDER_L) + height(marks, CROWN, SHOULDER_R)) / 2))
          .needs(CROWN, CHIN, SHOULDER_L, SHOULDER_R)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.02, 0.05, 0.12)
          .source("common practice: a third of a head below the chin in a realistic adult")
          .build();

  public static final Measure HEAD_ASPECT =
      Measure.of("head.aspect", MeasureGroup.PROPORTION, Unit.OF_THE_HEAD)
          .formula(
              "cheek width / crown to chin",
              marks -> inHeads(marks, marks.distance(CHEEK_L, CHEEK_R)))
          .needs(CROWN, CHIN, CHEEK_L, CHEEK_R)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.02, 0.06, 0.15)
          .source("common practice")
          .build();

  public static final List<Measure> ALL =
      List.of(STATURE, LEGS, SHOULDERS, SHOULDER_DROP, HEAD_ASPECT);

  private ProportionMeasures() {}

  private static OptionalDouble inHeads(Marks marks, double pixels) {
    return marks
        .headFrame()
        .map(HeadFrame::headPixels)
        .map(head -> OptionalDouble.of(pixels / head))
        .orElse(OptionalDouble.empty());
  }

  private static double height(Marks marks, Landmark top, Landmark bottom) {
    return marks.require(bottom).y() - marks.require(top).y();
  }
}
