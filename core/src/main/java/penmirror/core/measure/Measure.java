package penmirror.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.reading.MeasureCatalogue;

/**
 * One thing that is measured: key, unit, formula, where it holds, how tightly it can be held, and
 * its source. Defined once, in the file of its group, and listed in {@link MeasureCatalogue}.
 *
 * <p>Keys are stored with studies: never rename or reuse one. Names and words stand in {@code
 * wording.properties} under the key.
 */
public final class Measure {

  /** Whether readings from different views may be held against each other. */
  public enum Comparison {
    /** Heights: turning the head does not change them. */
    ACROSS_VIEWS,
    /** Widths: foreshortened when the figure turns. */
    SAME_VIEW
  }

  /** Reads the value from marks that all have a place; empty when the points make no sense. */
  @FunctionalInterface
  public interface MarksFormula {
    OptionalDouble value(Marks marks);
  }

  /** Reads one side's value; {@code NaN} where its points make no sense. */
  @FunctionalInterface
  public interface SideFormula {
    double value(Marks marks, Side side);
  }

  /** Reads the value from pixels, with the marks for the length of the head. */
  @FunctionalInterface
  public interface PixelFormula {
    MeasureResult read(Measure measure, PixelReadings pixels, Marks marks);
  }

  private final String key;
  private final MeasureGroup group;
  private final Unit unit;
  private final String formula;
  private final Scale scale;
  private final Comparison comparison;

  /** Less of the other side's length is no difference that a hand makes by chance. */
  private static final double SHORTENED = 0.85;

  private final Set<View> views;
  private final List<Landmark> needs;
  private final List<Landmark> needsOfASide;

  /** By their names on the left. */
  private final List<Landmark> needsSeen;

  /** The landmarks of each side, of both with those of the middle, and where they have a place. */
  private final Map<Side, List<Landmark>> ofSide = new EnumMap<>(Side.class);

  private final List<Landmark> needsInAll;
  private final Set<Framing> shownBy = EnumSet.noneOf(Framing.class);

  private final Nature nature;
  private final boolean step;
  private final boolean scored;
  private final double floorTolerance;
  private final double spreadWithinStyle;
  private final double spreadAmongStyles;
  private final String source;
  private final @Nullable MarksFormula marksFormula;
  private final @Nullable PixelFormula pixelFormula;
  private final @Nullable Ruler ruler;
  private final @Nullable Measure standsInFor;

  private Measure(Builder builder) {
    key = builder.key;
    group = builder.group;
    unit = builder.unit;
    formula = builder.formula;
    scale = builder.scale;
    comparison = builder.comparison;
    views = Set.copyOf(builder.views);
    needs = List.copyOf(builder.needs);
    needsOfASide = List.copyOf(builder.needsOfASide);
    needsSeen = List.copyOf(builder.needsSeen);
    nature = builder.nature;
    step = builder.step;
    scored = builder.scored;
    floorTolerance = builder.floorTolerance;
    spreadWithinStyle = builder.spreadWithinStyle;
    spreadAmongStyles = builder.spreadAmongStyles;
    source = builder.source;
    marksFormula = builder.marksFormula;
    pixelFormula = builder.pixelFormula;
    ruler = builder.ruler;
    standsInFor = builder.standsInFor;
    List<Landmark> every = new ArrayList<>(needs);
    for (Side side : Side.values()) {
      List<Landmark> ofOne = needsOfASide.stream().map(side::of).toList();
      ofSide.put(side, ofOne);
      every.addAll(ofOne);
    }
    needsInAll = List.copyOf(every);
    for (Framing framing : Framing.values()) {
      if (needsInAll.stream().allMatch(framing::canShow)) {
        shownBy.add(framing);
      }
    }
  }

  /** A part of a whole, for formulas; empty when the whole has no extent. */
  public static OptionalDouble ratio(double part, double whole) {
    return whole > 0 ? OptionalDouble.of(part / whole) : OptionalDouble.empty();
  }

  /**
   * The mean over the sides whose landmarks are all there, given by their names on the left. Empty
   * when a side makes no sense or none is there.
   */
  public static MarksFormula meanOfSides(SideFormula formula, Landmark... left) {
    return marks -> ofSides(marks, formula, left).average();
  }

  /**
   * As {@link #meanOfSides} for lengths, but without a side that looks far shorter than the other:
   * what comes toward the viewer or bends looks shorter than it is, and never longer.
   */
  public static MarksFormula unshortenedOfSides(SideFormula length, Landmark... left) {
    return marks -> {
      double longer = ofSides(marks, length, left).max().orElse(0);
      return ofSides(marks, length, left).filter(one -> one >= SHORTENED * longer).average();
    };
  }

  private static DoubleStream ofSides(Marks marks, SideFormula formula, Landmark... left) {
    double[] values =
        Arrays.stream(Side.values())
            .filter(side -> Arrays.stream(left).allMatch(l -> marks.point(side.of(l)).isPresent()))
            .mapToDouble(side -> formula.value(marks, side))
            .toArray();
    return Arrays.stream(values).allMatch(Double::isFinite)
        ? Arrays.stream(values)
        : DoubleStream.empty();
  }

  /** A length in heads; empty without a marked head. */
  public static OptionalDouble inHeads(Marks marks, double pixels) {
    return marks
        .headFrame()
        .map(frame -> OptionalDouble.of(pixels / frame.headPixels()))
        .orElse(OptionalDouble.empty());
  }

  /** As {@link #meanOfSides}, for a formula that gives pixels, in heads. */
  public static MarksFormula meanOfSidesInHeads(SideFormula pixels, Landmark... left) {
    return inHeads(meanOfSides(pixels, left));
  }

  /** What gives pixels, in heads; empty without a marked head. */
  public static MarksFormula inHeads(MarksFormula pixels) {
    return marks -> {
      OptionalDouble length = pixels.value(marks);
      return length.isPresent() ? inHeads(marks, length.getAsDouble()) : length;
    };
  }

  public static Builder of(String key, MeasureGroup group, Unit unit) {
    return new Builder(key, group, unit);
  }

  /** Read from its own estimate and held against every view. */
  public static Builder ofPixels(
      String key, MeasureGroup group, Unit unit, Ruler ruler, Scale scale, String formula) {
    return of(key, group, unit)
        .fromPixels(formula, ruler)
        .comparedBy(scale, Comparison.ACROSS_VIEWS);
  }

  /** The reading, or why there is none. */
  public MeasureResult read(Evidence evidence) {
    Marks marks = heeded(evidence.marks());
    if (!views.contains(marks.view())) {
      return NoReading.because(Reason.NOT_IN_THIS_VIEW);
    }
    if (pixelFormula != null) {
      return evidence
          .pixels()
          .map(pixels -> pixelFormula.read(this, pixels, marks))
          .orElse(NoReading.because(Reason.PIXELS_NOT_READ));
    }
    List<Landmark> missing = missing(marks);
    if (!missing.isEmpty()) {
      boolean allHidden = missing.stream().allMatch(marks::isHidden);
      return new NoReading(allHidden ? Reason.LANDMARKS_HIDDEN : Reason.LANDMARKS_MISSING, missing);
    }
    OptionalDouble value = valueOf(marks);
    if (value.isEmpty()) {
      return NoReading.because(Reason.POINTS_IMPOSSIBLE);
    }
    OptionalDouble error = standardError(marks, evidence.markingError());
    return new Reading(this, value.getAsDouble(), error, Reading.Method.MARKED);
  }

  /**
   * Whether it was looked for in the pixels and is truly not there: no line, no shadow, no hue. Not
   * so where it could not be read, such as a part that was not found.
   */
  public boolean isTrulyAbsent(Evidence evidence) {
    return isFromPixels()
        && evidence.pixels().isPresent()
        && read(evidence).fold(reading -> false, none -> none.reason().isTrulyAbsent());
  }

  /**
   * Whether all that is missing for a reading is out of sight: said to be so, or covered where it
   * has to be seen. Such a picture says nothing of this, neither for nor against.
   */
  public boolean isOutOfSight(Evidence evidence) {
    return !isFromPixels()
        && read(evidence).fold(reading -> false, none -> none.reason() == Reason.LANDMARKS_HIDDEN);
  }

  /** The value alone, without its error; empty where {@link #read} gives no reading. */
  public OptionalDouble value(Evidence evidence) {
    if (!views.contains(evidence.marks().view())) {
      return OptionalDouble.empty();
    }
    if (pixelFormula == null) {
      return valueOf(evidence.marks());
    }
    return read(evidence)
        .reading()
        .map(r -> OptionalDouble.of(r.value()))
        .orElse(OptionalDouble.empty());
  }

  /**
   * The landmarks still to be placed before there is a value. A side that is hidden or, in a side
   * view, not marked is not asked for as long as the other side is there.
   */
  private List<Landmark> missing(Marks marks) {
    List<Landmark> missing = new ArrayList<>(without(marks, needs));
    if (needsOfASide.isEmpty()) {
      return missing;
    }
    List<List<Landmark>> incomplete = new ArrayList<>();
    for (Side side : Side.values()) {
      List<Landmark> absent = without(marks, ofSide(side));
      if (!absent.isEmpty()) {
        incomplete.add(absent);
      }
    }
    if (incomplete.size() == Side.values().length) {
      List<List<Landmark>> open = incomplete.stream().filter(side -> !hidden(marks, side)).toList();
      (open.isEmpty() ? incomplete : open).forEach(missing::addAll);
    } else if (marks.view() != View.SIDE) {
      incomplete.stream().filter(side -> !hidden(marks, side)).forEach(missing::addAll);
    }
    return missing;
  }

  private static List<Landmark> without(Marks marks, List<Landmark> landmarks) {
    return landmarks.stream().filter(landmark -> marks.point(landmark).isEmpty()).toList();
  }

  private static boolean hidden(Marks marks, List<Landmark> landmarks) {
    return landmarks.stream().anyMatch(marks::isHidden);
  }

  /** The marks with those out of sight that are covered and have to be seen. */
  private Marks heeded(Marks marks) {
    Marks heeded = marks;
    for (Side side : needsSeen.isEmpty() ? new Side[0] : Side.values()) {
      List<Landmark> of =
          needsSeen.stream().map(side::of).filter(one -> marks.point(one).isPresent()).toList();
      if (of.stream().allMatch(one -> marks.seen(one).isEmpty())) {
        for (Landmark landmark : of) {
          heeded = heeded.with(landmark, Mark.hidden());
        }
      }
    }
    return heeded;
  }

  private List<Landmark> ofSide(Side side) {
    return ofSide.getOrDefault(side, List.of());
  }

  /**
   * The value from marks alone; empty when points are missing or make no sense, or when this is
   * read from pixels.
   */
  public OptionalDouble valueOf(Marks all) {
    Marks marks = heeded(all);
    if (marksFormula == null || !missing(marks).isEmpty()) {
      return OptionalDouble.empty();
    }
    OptionalDouble value = marksFormula.value(marks);
    return value.isPresent() && scale.admits(value.getAsDouble()) ? value : OptionalDouble.empty();
  }

  /**
   * Error of the value that comes of the landmarks' own errors, taken as independent: the square
   * root of the sum of (slope · error)², slopes by half a pixel's step. Not known without a marked
   * head: then the error of a point is not known in pixels.
   */
  private OptionalDouble standardError(Marks marks, MarkingError markingError) {
    if (marks.headFrame().isEmpty()) {
      return OptionalDouble.empty();
    }
    double headPixels = marks.headFrame().get().headPixels();
    double sum = 0;
    List<Landmark> needed = needs();
    // Stepping a few marks costs less than stepping all of them.
    List<Landmark> used = new ArrayList<>(needed);
    used.add(Landmark.CROWN);
    used.add(Landmark.CHIN);
    for (Landmark seen : needsSeen) {
      used.add(seen);
      used.add(seen.mirrored());
    }
    Marks few = marks.only(used);
    for (Landmark landmark : needed) {
      Mark mark = few.landmarks().get(landmark);
      if (mark == null || mark.point().isEmpty()) {
        continue;
      }
      double error = markingError.of(landmark, mark.state()) * headPixels;
      for (Point step : List.of(new Point(0.5, 0), new Point(0, 0.5))) {
        Point place = mark.point().get();
        OptionalDouble ahead = valueOf(few.with(landmark, Mark.at(place.plus(step), mark.state())));
        OptionalDouble behind =
            valueOf(few.with(landmark, Mark.at(place.minus(step), mark.state())));
        if (ahead.isPresent() && behind.isPresent()) {
          double slope = ahead.getAsDouble() - behind.getAsDouble();
          sum += slope * slope * error * error;
        }
      }
    }
    return OptionalDouble.of(Math.sqrt(sum));
  }

  public String key() {
    return key;
  }

  public MeasureGroup group() {
    return group;
  }

  public Unit unit() {
    return unit;
  }

  /** The formula as text, for the docs and the glossary. */
  public String formula() {
    return formula;
  }

  public Scale scale() {
    return scale;
  }

  public Comparison comparison() {
    return comparison;
  }

  public Set<View> views() {
    return views;
  }

  /** Whether a drawing seen from there may be held against what works seen from here do. */
  public boolean compares(View works, View drawing) {
    return views.contains(drawing) && (comparison == Comparison.ACROSS_VIEWS || works == drawing);
  }

  /**
   * The landmarks it is read from, of both sides. Of measures from pixels only those have any that
   * are read between points, such as across a limb.
   */
  public List<Landmark> needs() {
    return needsInAll;
  }

  /** Whether pictures of this framing have a place for all that it needs. */
  public boolean isShownBy(Framing framing) {
    return shownBy.contains(framing);
  }

  /** Whether one side of the figure is enough where the other cannot be seen. */
  public boolean isReadOnEitherSide() {
    return !needsOfASide.isEmpty();
  }

  /** Of what it speaks; only what speaks of manner becomes a rule. */
  public Nature nature() {
    return nature;
  }

  /** False for what only says again what other measures say: it is shown and never scored. */
  public boolean isScored() {
    return scored;
  }

  /** The measure whose place this takes where heads are not marked. */
  public Optional<Measure> standsInFor() {
    return Optional.ofNullable(standsInFor);
  }

  /** Whether its estimate from pixels is a length, which a hand needs in pixels of the canvas. */
  public boolean isLength() {
    return isFromPixels()
        && (unit == Unit.HEAD_THOUSANDTHS || unit == Unit.FIGURE_THOUSANDTHS || unit == Unit.HEADS);
  }

  /**
   * How many pixels of this picture a value of it is, as a hand needs it: the width of a line in a
   * drawing with this head. Empty where it is no length or the head is not known.
   */
  public OptionalDouble pixels(double value, Evidence evidence) {
    if (ruler == null || !isLength() || evidence.pixels().isEmpty()) {
      return OptionalDouble.empty();
    }
    return ruler.pixels(value, evidence.pixels().get(), evidence.marks());
  }

  /** Whether a lightness is a difference between two and not the light of one place. */
  public boolean isStep() {
    return step;
  }

  public boolean isFromPixels() {
    return pixelFormula != null;
  }

  /** The tightest tolerance a rule may have, in the scale of the measure. */
  public double floorTolerance() {
    return floorTolerance;
  }

  /** Usual spread among the works of one illustrator, in the scale of the measure. */
  public double spreadWithinStyle() {
    return spreadWithinStyle;
  }

  /** Usual spread among illustrators, in the scale of the measure. */
  public double spreadAmongStyles() {
    return spreadAmongStyles;
  }

  public String source() {
    return source;
  }

  @Override
  public String toString() {
    return key;
  }

  /** Collects what a measure is; {@link #build} refuses a half-defined one. */
  public static final class Builder {
    private final String key;
    private final MeasureGroup group;
    private final Unit unit;
    private String formula = "";
    private Scale scale = Scale.LINEAR;
    private Comparison comparison = Comparison.ACROSS_VIEWS;
    private Set<View> views = EnumSet.allOf(View.class);
    private List<Landmark> needs = List.of();
    private List<Landmark> needsOfASide = List.of();
    private List<Landmark> needsSeen = List.of();
    private Nature nature = Nature.MANNER;
    private boolean step;
    private boolean scored = true;
    private double floorTolerance;
    private double spreadWithinStyle;
    private double spreadAmongStyles;
    private String source = "";
    private @Nullable MarksFormula marksFormula;
    private @Nullable PixelFormula pixelFormula;
    private @Nullable Ruler ruler;
    private @Nullable Measure standsInFor;

    private Builder(String key, MeasureGroup group, Unit unit) {
      this.key = key;
      this.group = group;
      this.unit = unit;
    }

    public Builder formula(String text, MarksFormula code) {
      formula = text;
      marksFormula = code;
      return this;
    }

    public Builder fromPixels(String text, PixelFormula code) {
      formula = text;
      pixelFormula = code;
      return this;
    }

    /** Read from its own estimate. */
    public Builder fromPixels(String text, Ruler by) {
      ruler = by;
      return fromPixels(text, (measure, pixels, marks) -> by.read(measure, measure, pixels, marks));
    }

    /** The estimate of another measure by another ruler; only one of the two enters a sheet. */
    public Builder insteadOf(Measure other, String text, Ruler by) {
      standsInFor = other;
      ruler = by;
      return fromPixels(text, (measure, pixels, marks) -> by.read(measure, other, pixels, marks));
    }

    public Builder needs(Landmark... landmarks) {
      needs = List.of(landmarks);
      return this;
    }

    /**
     * Landmarks that a side needs, by their names on the left. A side that cannot be seen is left
     * out.
     */
    public Builder needsOfASide(Landmark... left) {
      needsOfASide = List.of(left);
      return this;
    }

    /**
     * Of which one at least has to be seen on a side, by the names on the left: the tip of a finger
     * in a fist says where the form ends and not how long it is, nobody sees how thick a neck is in
     * its scarf, nor an ear under hair; one that shows its lobe is told.
     */
    public Builder needsSeen(Landmark... left) {
      needsSeen = List.of(left);
      return this;
    }

    /** A difference between two places, and not what one of them has. */
    public Builder ofAStep() {
      step = true;
      return this;
    }

    /** Speaks of what is drawn and not of how. */
    public Builder ofSubject() {
      nature = Nature.SUBJECT;
      return this;
    }

    /** Tells whose hand it is, and nothing that one could do. */
    public Builder asTell() {
      nature = Nature.TELL;
      return this;
    }

    /** Shown, but what it says is already scored by others. */
    public Builder notScored() {
      scored = false;
      return this;
    }

    public Builder comparedBy(Scale newScale, Comparison newComparison) {
      scale = newScale;
      comparison = newComparison;
      return this;
    }

    public Builder validIn(View first, View... more) {
      views = EnumSet.of(first, more);
      return this;
    }

    /** All three in the scale of the measure. */
    public Builder spreads(double floor, double withinStyle, double amongStyles) {
      floorTolerance = floor;
      spreadWithinStyle = withinStyle;
      spreadAmongStyles = amongStyles;
      return this;
    }

    public Builder source(String text) {
      source = text;
      return this;
    }

    public Measure build() {
      Function<String, IllegalStateException> refusal =
          what -> new IllegalStateException("Measure " + key + " has no " + what + ".");
      if ((marksFormula == null) == (pixelFormula == null)) {
        throw refusal.apply("single formula");
      }
      if (source.isBlank()) {
        throw refusal.apply("source");
      }
      if (!(floorTolerance > 0 && spreadWithinStyle > 0 && spreadAmongStyles > 0)) {
        throw refusal.apply("spreads");
      }
      return new Measure(this);
    }
  }
}
