package penmirror.core.style;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.function.Predicate;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.Framing;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.reading.MeasureCatalogue;

/**
 * One picture with what was read from it.
 *
 * @param id how the owner knows the work; its number on the wall or its file name
 * @param shows how much of whom it shows, and in what mood, as far as that is known
 * @param weight how much it counts in the middle of a rule against other works, above 0
 * @param values in the unit of each measure; measures without a reading are absent
 * @param notThere what was looked for in the pixels and is truly not there, such as the width of
 *     lines in a picture without lines
 * @param outOfSight of what the picture says nothing, as what has to be seen for it is covered or
 *     out of sight
 * @param flats colours told apart finely, by which works are compared
 * @param roles the colours of skin, hair and clothes, as far as they were found
 */
public record MeasuredWork(
    String id,
    String title,
    String credit,
    View view,
    Portrayal shows,
    Map<Measure, Double> values,
    Set<Measure> notThere,
    Set<Measure> outOfSight,
    List<Swatch> swatches,
    List<Swatch> flats,
    List<RoleTones> roles,
    double weight) {

  public MeasuredWork {
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    notThere = Collections.unmodifiableSet(new LinkedHashSet<>(notThere));
    outOfSight = Collections.unmodifiableSet(new LinkedHashSet<>(outOfSight));
    swatches = List.copyOf(swatches);
    flats = List.copyOf(flats);
    roles = List.copyOf(roles);
    if (!(weight > 0) || Double.isInfinite(weight)) {
      throw new IllegalArgumentException("A work's weight lies above 0, got " + weight);
    }
  }

  /**
   * What was read, in the measure's unit.
   *
   * @throws NoSuchElementException where nothing was read
   */
  public double value(Measure measure) {
    Double value = values.get(measure);
    if (value == null) {
      throw new NoSuchElementException(title + " has no reading of " + measure.key() + ".");
    }
    return value;
  }

  /** A work that counts once, of which nothing is known to be absent. */
  public MeasuredWork(
      String id,
      String title,
      String credit,
      View view,
      Map<Measure, Double> values,
      List<Swatch> swatches) {
    this(
        id,
        title,
        credit,
        view,
        Portrayal.ANY,
        values,
        Set.of(),
        Set.of(),
        swatches,
        List.of(),
        List.of(),
        1);
  }

  public MeasuredWork weighing(double newWeight) {
    return new MeasuredWork(
        id,
        title,
        credit,
        view,
        shows,
        values,
        notThere,
        outOfSight,
        swatches,
        flats,
        roles,
        newWeight);
  }

  /** The same work where more is known of what it shows. */
  public MeasuredWork showing(Portrayal known) {
    return new MeasuredWork(
        id,
        title,
        credit,
        view,
        known,
        values,
        notThere,
        outOfSight,
        swatches,
        flats,
        roles,
        weight);
  }

  /** The same work where somebody said how much it shows. */
  public MeasuredWork framed(Framing said) {
    return showing(shows.framed(said));
  }

  /** Counted in heads straight down from the crown. */
  public static MeasuredWork of(String id, String title, String credit, Evidence evidence) {
    return of(id, title, credit, evidence, StatureConvention.STRAIGHT_FROM_CROWN);
  }

  /** Of the four figure heights only that of the convention is kept. */
  public static MeasuredWork of(
      String id, String title, String credit, Evidence evidence, StatureConvention convention) {
    Map<Measure, Double> values = new LinkedHashMap<>();
    Set<Measure> notThere = new LinkedHashSet<>();
    Set<Measure> outOfSight = new LinkedHashSet<>();
    for (Measure measure : MeasureCatalogue.all()) {
      if (!convention.excludes(measure)) {
        measure.value(evidence).ifPresent(value -> values.put(measure, value));
      }
      if (measure.isTrulyAbsent(evidence)) {
        notThere.add(measure);
      }
      if (measure.isOutOfSight(evidence)) {
        outOfSight.add(measure);
      }
    }
    return new MeasuredWork(
        id,
        title,
        credit,
        evidence.marks().view(),
        Framing.shownBy(evidence.marks()).map(Portrayal.ANY::framed).orElse(Portrayal.ANY),
        values,
        notThere,
        outOfSight,
        evidence.pixels().map(PixelReadings::swatches).orElse(List.of()),
        evidence.pixels().map(PixelReadings::flats).orElse(List.of()),
        evidence.pixels().map(PixelReadings::roles).orElse(List.of()),
        1);
  }

  /** The same work with measures that the catalogue does not have, as far as they can be read. */
  public MeasuredWork reading(List<Measure> others, Evidence evidence) {
    Map<Measure, Double> more = new LinkedHashMap<>(values);
    others.forEach(measure -> measure.value(evidence).ifPresent(v -> more.put(measure, v)));
    return new MeasuredWork(
        id, title, credit, view, shows, more, notThere, outOfSight, swatches, flats, roles, weight);
  }

  /** The same work as if some measures had not been read on it. */
  public MeasuredWork without(Predicate<Measure> measures) {
    Map<Measure, Double> kept = new LinkedHashMap<>(values);
    kept.keySet().removeIf(measures);
    Set<Measure> absent = new LinkedHashSet<>(notThere);
    absent.removeIf(measures);
    return new MeasuredWork(
        id, title, credit, view, shows, kept, absent, outOfSight, swatches, flats, roles, weight);
  }
}
