package penmirror.core.scoring;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import penmirror.core.act.Acts;
import penmirror.core.colour.Swatch;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Measure;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/**
 * How far an attempt has come. What it cannot show yet is not asked of it; that is no fault of the
 * drawing.
 */
public enum AttemptStage {
  ROUGH,
  LINE,
  FLATS,
  FINISHED;

  /** Less of the figure than this is filled in a picture of lines; set by eye on the demo's. */
  private static final double FILLED = 0.1;

  /** A fill is at least so far from the paper in OKLab, and no ink. */
  private static final double OFF_PAPER = 0.08;

  private static final double INK_LIGHTNESS = 0.3;

  /** With less than this of what the works shade, no shadow was laid yet. */
  private static final double LAID = 0.25;

  /** Works that shade fewer of their areas would look finished without. */
  private static final double SHADED_STYLE = 0.3;

  /** Empty for a word that is none of them. */
  public static Optional<AttemptStage> ofWord(String word) {
    return Arrays.stream(values()).filter(stage -> stage.word().equals(word)).findFirst();
  }

  /** The word used in addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Whether a drawing of this stage shows what is remembered at a stage of drawing. */
  public boolean canShow(DrawingStage stage) {
    AttemptStage first =
        switch (stage) {
          case SKETCH -> ROUGH;
          case LINE -> LINE;
          case FLATS -> FLATS;
          case SHADE, EFFECTS -> FINISHED;
        };
    return compareTo(first) >= 0;
  }

  /** Whether a drawing of this stage has it, if it is to have it at all. */
  public boolean canShow(Measure measure) {
    AttemptStage byAct =
        Acts.of(measure)
            .map(
                act ->
                    switch (act.group()) {
                      case PROPORTION, FACE, TICKS -> ROUGH;
                      case LINE, SHAPE -> LINE;
                      case COLOUR -> FLATS;
                      case SHADE -> FINISHED;
                    })
            .orElse(ROUGH);
    AttemptStage byReading =
        switch (measure.group()) {
          case PROPORTION, FACE, TICKS -> ROUGH;
          case LINE, SHAPE, LAYOUT -> LINE;
          case COLOUR, PART -> FLATS;
          case SHADE, EDGE, ROLE -> FINISHED;
        };
    return compareTo(byAct) >= 0 && compareTo(byReading) >= 0;
  }

  /**
   * What is there, held against what the works have: without colour where they are coloured it is
   * line, without shadow where they are shaded it is flats. A rough cannot be told from a line.
   */
  public static AttemptStage seenIn(PixelReadings attempt, StyleSheet sheet) {
    List<MeasuredWork> filled =
        sheet.works().stream().filter(work -> isFilled(work.flats())).toList();
    if (!isFilled(attempt.flats()) && 2 * filled.size() > sheet.works().size()) {
      return LINE;
    }
    Optional<Double> shaded = attempt.estimate(ShadeMeasures.SHADED).map(Estimate::value);
    boolean laid =
        sheet
            .rule(ShadeMeasures.SHADED)
            .filter(rule -> rule.centre() >= SHADED_STYLE)
            .flatMap(rule -> shaded.map(share -> share >= LAID * rule.centre()))
            .orElse(true);
    return laid ? FINISHED : FLATS;
  }

  /** Whether anything lies between paper and ink. */
  private static boolean isFilled(List<Swatch> flats) {
    Optional<Swatch> paper =
        flats.stream().max(Comparator.comparingDouble(swatch -> swatch.colour().lightness()));
    return flats.stream()
            .filter(swatch -> swatch.role() != Swatch.Role.LINE)
            .filter(swatch -> swatch.colour().lightness() > INK_LIGHTNESS)
            .filter(
                swatch ->
                    paper
                        .filter(p -> p.colour().distanceTo(swatch.colour()) >= OFF_PAPER)
                        .isPresent())
            .mapToDouble(Swatch::shareOfFigure)
            .sum()
        >= FILLED;
  }
}
