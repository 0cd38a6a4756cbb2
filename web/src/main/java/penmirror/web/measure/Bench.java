package penmirror.web.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.act.Acts;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Doubt;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Reading;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.words.Wording;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.evidence.RepeatStore;
import penmirror.web.layout.ReadingStrip;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** What the bench shows beside the picture: the readings, each against the rule of the others. */
@Component
class Bench {
  private static final int MOST_NEXT = 3;

  private final SheetMaker sheets;
  private final PixelReadingStore pixelReadings;
  private final RepeatStore repeats;
  private final ScopeStore scopes;
  private final MessageSource messages;

  Bench(
      SheetMaker sheets,
      PixelReadingStore pixelReadings,
      RepeatStore repeats,
      ScopeStore scopes,
      MessageSource messages) {
    this.sheets = sheets;
    this.pixelReadings = pixelReadings;
    this.repeats = repeats;
    this.scopes = scopes;
    this.messages = messages;
  }

  /**
   * One reading, or what it waits for.
   *
   * @param anchorY where on the picture it was read, in pixels; empty without a place
   * @param canon what a realistic adult reads
   * @param error one standard error, empty without a reading
   * @param act what a hand does there; empty for what only helps to recognise it
   * @param leads whether it stands for its act: the reading that is farthest off, or else the first
   */
  record Row(
      String key,
      String name,
      String act,
      boolean leads,
      String value,
      String unit,
      String waitsFor,
      Optional<ReadingStrip> strip,
      String rule,
      Optional<Double> anchorY,
      String landmarks,
      MeasureGroup group,
      String canon,
      String error) {

    public boolean isRead() {
      return !value.isEmpty();
    }

    Row leading() {
      return new Row(
          key, name, act, true, value, unit, waitsFor, strip, rule, anchorY, landmarks, group,
          canon, error);
    }
  }

  /** A line, shade or colour reading from the pixels. */
  record PixelRow(
      String key,
      String name,
      String value,
      String unit,
      String rule,
      Optional<ReadingStrip> strip) {}

  /** Something about the marks that can hardly be meant. */
  record DoubtRow(String landmark, String text) {}

  /** Fills the two reading blocks. */
  void addReadings(Model model, Study study, Work work, Marks marks) {
    addReadings(model, study, work, marks, sheets.sheetOf(study, work.id()));
  }

  /**
   * A reading that follows a moving point: only what changes in a row that stands on the page.
   *
   * @param x place of the upright on the strip, empty without a rule
   * @param edgeX end of the band toward it
   */
  record Moving(
      String measure, String value, String x, String edgeX, boolean misses, double anchor) {}

  /** What {@link #moving} tells. */
  record MovingReadings(String head, List<Moving> rows) {}

  /** The marked readings alone, as little as a page needs while a point moves. */
  MovingReadings moving(Study study, Work work, Marks marks) {
    StyleSheet others = sheets.sheetOf(study, work.id());
    Evidence evidence = new Evidence(marks, Optional.empty());
    List<Moving> rows = new ArrayList<>();
    for (Measure measure : MeasureCatalogue.all()) {
      OptionalDouble value =
          measure.isFromPixels() ? OptionalDouble.empty() : measure.value(evidence);
      if (value.isPresent()) {
        Optional<ReadingStrip> strip =
            others
                .ruleFor(measure, work.view())
                .map(rule -> ReadingStrip.of(rule, value.getAsDouble()));
        rows.add(
            new Moving(
                measure.key(),
                Wording.number(measure.unit(), value.getAsDouble()),
                strip.map(ReadingStrip::x).orElse(""),
                strip.map(ReadingStrip::edgeX).orElse(""),
                strip.map(ReadingStrip::misses).orElse(false),
                anchor(measure, marks).orElse(0.0)));
      }
    }
    String head =
        marks
            .headFrame()
            .map(frame -> text("measure.head", Wording.number(frame.headPixels(), 0)))
            .orElse(text("measure.head.none"));
    return new MovingReadings(head, rows);
  }

  private void addReadings(Model model, Study study, Work work, Marks marks, StyleSheet others) {
    PixelReadingStore.Progress progress = pixelReadings.progress(work.id());
    Evidence evidence =
        new Evidence(marks, progress.readings(), repeats.technicalError(study.id()).markingError());
    StatureConvention convention = scopes.convention(study.id());
    List<Row> rows = new ArrayList<>();
    List<PixelRow> pixelRows = new ArrayList<>();
    MeasureCatalogue.readAll(evidence)
        .forEach(
            (measure, result) -> {
              Optional<Rule> rule = others.ruleFor(measure, work.view());
              if (convention.excludes(measure)) {
                return;
              }
              if (!measure.isFromPixels()) {
                result.fold(
                    reading -> rows.add(row(measure, marks, rule, Optional.of(reading), "")),
                    none -> {
                      if (none.reason() != NoReading.Reason.NOT_IN_THIS_VIEW
                          && hasPlace(work, measure)) {
                        rows.add(row(measure, marks, rule, Optional.empty(), waitsFor(none)));
                      }
                      return true;
                    });
              } else if (result.reading().isPresent() && isShown(measure, evidence)) {
                double value = result.reading().get().value();
                pixelRows.add(
                    new PixelRow(
                        measure.key(),
                        Wording.name(measure),
                        Wording.number(measure.unit(), value),
                        Wording.unit(measure.unit()),
                        rule.map(Bench::band).orElse(""),
                        rule.map(r -> ReadingStrip.of(r, value))));
              }
            });
    model.addAttribute("nextAnswers", nextAnswers(rows, marks));
    leadTheirActs(rows);
    rows.sort(
        Comparator.comparing((Row row) -> !row.isRead())
            .thenComparing(row -> row.anchorY().orElse(Double.MAX_VALUE)));
    model.addAttribute("rows", rows);
    model.addAttribute(
        "doubts",
        Doubt.about(marks, work.widthPixels(), work.heightPixels()).stream()
            .map(doubt -> new DoubtRow(doubt.at().key(), text("doubt." + doubt.kind().name())))
            .toList());
    model.addAttribute("pixelRows", pixelRows);
    model.addAttribute("pixels", progress);
    model.addAttribute("otherWorks", others.works().size());
    model.addAttribute("work", work);
    model.addAttribute("study", study);
    marks
        .headFrame()
        .ifPresent(frame -> model.addAttribute("head", Wording.number(frame.headPixels(), 0)));
    progress.readings().ifPresent(readings -> addLine(model, readings));
    progress.readings().ifPresent(readings -> model.addAttribute("swatches", readings.swatches()));
  }

  /** Whether the picture shows so much of a figure that a measure can be read. */
  private static boolean hasPlace(Work work, Measure measure) {
    return work.tags().framing().map(measure::isShownBy).orElse(true);
  }

  /**
   * What one more point answers.
   *
   * @param landmark its key
   * @param acts what is told once it stands, in words
   */
  record NextAnswer(String landmark, String acts) {}

  /** Points that alone are wanting, with what they answer, those that answer most first. */
  private static List<NextAnswer> nextAnswers(List<Row> rows, Marks marks) {
    Map<Landmark, Set<String>> answers = new EnumMap<>(Landmark.class);
    for (Row row : rows) {
      List<Landmark> wanting =
          Arrays.stream(row.landmarks().split(" "))
              .flatMap(key -> Landmark.ofKey(key).stream())
              .filter(landmark -> !marks.landmarks().containsKey(landmark))
              .toList();
      if (!row.isRead() && wanting.size() == 1 && !row.act().isEmpty()) {
        answers.computeIfAbsent(wanting.get(0), key -> new LinkedHashSet<>()).add(row.act());
      }
    }
    return answers.entrySet().stream()
        .sorted(Comparator.comparingInt(entry -> -entry.getValue().size()))
        .limit(MOST_NEXT)
        .map(
            entry ->
                new NextAnswer(
                    entry.getKey().key(),
                    entry.getValue().stream()
                        .limit(MOST_NEXT)
                        .map(act -> act.toLowerCase(Locale.ENGLISH))
                        .collect(Collectors.joining(", "))))
        .toList();
  }

  /** One reading stands for each act; of those that wait one for as long as none is read. */
  private static void leadTheirActs(List<Row> rows) {
    Map<String, Integer> leads = new LinkedHashMap<>();
    for (int i = 0; i < rows.size(); i++) {
      Row row = rows.get(i);
      if (row.act().isEmpty()) {
        continue;
      }
      Integer before = leads.get(row.act());
      if (before == null || tellsMore(row, rows.get(before))) {
        leads.put(row.act(), i);
      }
    }
    leads.values().forEach(i -> rows.set(i, rows.get(i).leading()));
  }

  private static boolean tellsMore(Row row, Row other) {
    if (row.isRead() != other.isRead()) {
      return row.isRead();
    }
    return misses(row) && !misses(other);
  }

  private static boolean misses(Row row) {
    return row.strip().map(ReadingStrip::misses).orElse(false);
  }

  private static void addLine(Model model, PixelReadings readings) {
    LineMeasures.widthPixels(readings)
        .ifPresent(
            median -> {
              model.addAttribute("lineMedian", Wording.number(median, 1));
              part(readings, LineMeasures.THIN, median, "lineThin", model);
              part(readings, LineMeasures.THICK, median, "lineThick", model);
            });
  }

  private static void part(
      PixelReadings readings, Measure ratio, double median, String name, Model model) {
    readings
        .estimate(ratio)
        .ifPresent(of -> model.addAttribute(name, Wording.number(of.value() * median, 1)));
  }

  private Row row(
      Measure measure,
      Marks marks,
      Optional<Rule> rule,
      Optional<Reading> reading,
      String waitsFor) {
    List<String> keys = measure.needs().stream().map(Landmark::key).toList();
    OptionalDouble canon = measure.valueOf(Canon.realistic());
    return new Row(
        measure.key(),
        Wording.name(measure),
        Acts.of(measure).map(ActWords::name).orElse(""),
        false,
        reading.map(r -> Wording.number(measure.unit(), r.value())).orElse(""),
        Wording.unit(measure.unit()),
        waitsFor,
        reading.flatMap(r -> rule.map(band -> ReadingStrip.of(band, r.value()))),
        rule.map(Bench::band).orElse(""),
        reading.flatMap(r -> anchor(measure, marks)),
        String.join(" ", keys),
        measure.group(),
        canon.isPresent() ? Wording.number(measure.unit(), canon.getAsDouble()) : "",
        reading.map(Wording::error).orElse(""));
  }

  /**
   * The middle of the landmarks it is read from; the head's own two count only if there are no
   * others.
   */
  private static Optional<Double> anchor(Measure measure, Marks marks) {
    List<Landmark> own =
        measure.needs().stream()
            .filter(landmark -> landmark != Landmark.CROWN && landmark != Landmark.CHIN)
            .toList();
    return Optional.of(
        own.stream()
            .flatMap(landmark -> marks.point(landmark).stream())
            .mapToDouble(Point::y)
            .average()
            .orElse(0));
  }

  private static String band(Rule rule) {
    Measure measure = rule.measure();
    return Wording.number(measure.unit(), rule.low())
        + "\u2013"
        + Wording.number(measure.unit(), rule.high());
  }

  /** Line weight by figure says nothing new once the head is known. */
  /** A few stand beside the marks; the page about where readings come from has all. */
  private static boolean isShown(Measure measure, Evidence evidence) {
    boolean headless = evidence.marks().headFrame().isEmpty();
    return MeasureCatalogue.toldFirst().contains(measure)
        || headless
            && measure.standsInFor().map(MeasureCatalogue.toldFirst()::contains).orElse(false);
  }

  private String waitsFor(NoReading none) {
    List<String> names =
        none.missing().stream()
            .map(landmark -> text("landmark." + landmark.key()).toLowerCase(Locale.ENGLISH))
            .toList();
    String shown =
        names.size() <= 2
            ? String.join(", ", names)
            : text("measure.waits.more", Integer.toString(names.size()));
    return text("reason." + none.reason().name(), shown);
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
