package penmirror.core.telling;

import java.util.OptionalDouble;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Unit;
import penmirror.core.scoring.Fix.Change;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/**
 * In what a figure is told beside a drawing: px on this canvas for lengths, hundredths for shares,
 * the picker's numbers for light and dark, the measure's own unit for the rest.
 */
public final class DeskUnit {
  private final Measure measure;
  private final OptionalDouble pixelsPerUnit;

  private DeskUnit(Measure measure, OptionalDouble pixelsPerUnit) {
    this.measure = measure;
    this.pixelsPerUnit = pixelsPerUnit;
  }

  static DeskUnit of(Measure measure, Change change) {
    return of(
        measure,
        change instanceof Change.Redrawn redrawn
            ? redrawn.pixelsPerUnit()
            : OptionalDouble.empty());
  }

  /**
   * @param pixelsPerUnit what one of the measure's unit is on the drawing at hand; empty where it
   *     is no length, or there is no drawing to count pixels on
   */
  public static DeskUnit of(Measure measure, OptionalDouble pixelsPerUnit) {
    return new DeskUnit(measure, pixelsPerUnit);
  }

  /** From the lower to the higher figure: a step down is told without its sign. */
  public String band(double low, double high) {
    boolean turned = measure.isStep() && Math.abs(low) > Math.abs(high);
    return number(turned ? high : low) + "\u2013" + number(turned ? low : high);
  }

  public String number(double value) {
    if (pixelsPerUnit.isPresent()) {
      double pixels = pixelsPerUnit.getAsDouble() * value;
      return Wording.number(pixels, pixels < 20 ? 1 : 0);
    }
    return switch (measure.unit()) {
      case SHARE -> Wording.number(100 * value, 0);
      case LOG_SHARE -> Wording.number(100 * Math.exp(value), 0);
      case LIGHTNESS ->
          Wording.number(measure.isStep() ? Spoken.pickerStep(value) : Spoken.brightness(value), 0);
      case CHROMA -> Wording.number(1000 * value, 0);
      case HEAD_THOUSANDTHS, FIGURE_THOUSANDTHS -> Wording.number(value / 10, 1);
      default -> Wording.number(measure.unit(), value);
    };
  }

  /** Whether both ends of a rule can be typed in this unit: a step has no one value. */
  public boolean isTyped() {
    return measure.unit() != Unit.LIGHTNESS || !measure.isStep();
  }

  /**
   * The value, in the measure's unit, that is told as this number; to what the number leaves open.
   *
   * @throws IllegalArgumentException where it cannot be typed, see {@link #isTyped}
   */
  public double value(double told) {
    if (pixelsPerUnit.isPresent()) {
      return told / pixelsPerUnit.getAsDouble();
    }
    return switch (measure.unit()) {
      case SHARE -> told / 100;
      case LOG_SHARE -> Math.log(told / 100);
      case CHROMA -> told / 1000;
      case HEAD_THOUSANDTHS, FIGURE_THOUSANDTHS -> told * 10;
      case LIGHTNESS -> {
        if (!isTyped()) {
          throw new IllegalArgumentException(measure.key() + " cannot be typed.");
        }
        double grey = Math.max(0, Math.min(1, told / 100));
        yield OkLab.from(new EncodedSrgb(grey, grey, grey)).lightness();
      }
      default -> told;
    };
  }

  public String word() {
    if (pixelsPerUnit.isPresent()) {
      return "px";
    }
    return switch (measure.unit()) {
      case SHARE, LOG_SHARE -> "%";
      case LIGHTNESS ->
          Wording.text(measure.isStep() ? "desk.picker.step" : "desk.picker.brightness");
      case CHROMA -> Wording.text("desk.strength");
      case HEAD_THOUSANDTHS -> Wording.text("desk.hundredths.head");
      case FIGURE_THOUSANDTHS -> Wording.text("desk.hundredths.figure");
      default -> Wording.unit(measure.unit());
    };
  }
}
