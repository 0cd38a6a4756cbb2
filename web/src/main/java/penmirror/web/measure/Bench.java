package penmirror.web.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureCatalogue;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Wording;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.line.LineReadings;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.layout.ReadingStrip;
import penmirror.web.rules.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** What the bench shows beside the picture: the readings, each against the rule of the others. */
@Component
class Bench {
  private final SheetMaker sheets;
  private final PixelReadingStore pixelReadings;
  private final MessageSource messages;

  Bench(SheetMaker sheets, PixelReadingStore pixelReadings, MessageSource messages) {
    this.sheets = sheets;
    this.pixelReadings = pixelReadings;
    this.messages = messages;
  }

  /**
   * One reading, or what it waits for.
   *
   * @param anchorY where on the picture it was read, in pixels; empty without a place
   */
  record Row(
      String key,
      String name,
      String value,
      String unit,
      String waitsFor,
      Optional<ReadingStrip> strip,
      String rule,
      Optional<Double> anchorY,
      String landmarks) {

    public boolean isRead() {
      return !value.isEmpty();
    }
  }

  /** A line, shade or colour reading from the pixels. */
  record PixelRow(
      String name, String value, String unit, String rule, Optional<ReadingStrip> strip) {}

  /** Fills the two reading blocks. */
  void addReadings(Model model, Study study, Work work, Marks marks) {
    PixelReadingStore.Progress progress = pixelReadings.progress(work.pictureSha256());
    Evidence evidence = new Evidence(marks, progress.readings());
    StyleSheet others = sheets.sheetOf(study, work.id());
    List<Row> rows = new ArrayList<>();
    List<PixelRow> pixelRows = new ArrayList<>();
    MeasureCatalogue.readAll(evidence)
        .forEach(
            (measure, result) -> {
              Optional<Rule> rule = others.rule(measure);
              if (!measure.isFromPixels()) {
                result.fold(
                    reading ->
                        rows.add(row(measure, marks, rule, Optional.of(reading.value()), "")),
                    none -> rows.add(row(measure, marks, rule, Optional.empty(), waitsFor(none))));
              } else if (result.reading().isPresent() && !standsIn(measure, evidence)) {
                double value = result.reading().get().value();
                pixelRows.add(
                    new PixelRow(
                        Wording.name(measure),
                        Wording.number(measure.unit(), value),
                        Wording.unit(measure.unit()),
                        rule.map(Bench::band).orElse(""),
                        rule.map(r -> ReadingStrip.of(r, value))));
              }
            });
    rows.sort(
        java.util.Comparator.comparing((Row row) -> !row.isRead())
            .thenComparing(row -> row.anchorY().orElse(Double.MAX_VALUE)));
    model.addAttribute("rows", rows);
    model.addAttribute("pixelRows", pixelRows);
    model.addAttribute("pixels", progress);
    model.addAttribute("otherWorks", others.works().size());
    model.addAttribute("work", work);
    model.addAttribute("study", study);
    marks
        .headFrame()
        .ifPresent(frame -> model.addAttribute("head", Wording.number(frame.headPixels(), 0)));
    progress
        .readings()
        .flatMap(PixelReadings::line)
        .filter(line -> !line.isHairline())
        .ifPresent(line -> addLine(model, line));
    progress.readings().ifPresent(readings -> model.addAttribute("swatches", readings.swatches()));
  }

  private static void addLine(Model model, LineReadings line) {
    model.addAttribute("lineThin", Wording.number(line.thinWidthPixels(), 1));
    model.addAttribute("lineMedian", Wording.number(line.medianWidthPixels(), 1));
    model.addAttribute("lineThick", Wording.number(line.thickWidthPixels(), 1));
  }

  private Row row(
      Measure measure, Marks marks, Optional<Rule> rule, Optional<Double> value, String waitsFor) {
    List<String> keys = measure.needs().stream().map(Landmark::key).toList();
    return new Row(
        measure.key(),
        Wording.name(measure),
        value.map(v -> Wording.number(measure.unit(), v)).orElse(""),
        Wording.unit(measure.unit()),
        waitsFor,
        value.flatMap(v -> rule.map(r -> ReadingStrip.of(r, v))),
        rule.map(Bench::band).orElse(""),
        value.flatMap(v -> anchor(measure, marks)),
        String.join(" ", keys));
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
  private static boolean standsIn(Measure measure, Evidence evidence) {
    return measure == LineMeasures.WIDTH_BY_FIGURE && evidence.marks().headFrame().isPresent();
  }

  private String waitsFor(NoReading none) {
    List<String> names =
        none.missing().stream()
            .map(landmark -> text("landmark." + landmark.key()).toLowerCase(Locale.ENGLISH))
            .toList();
    String shown =
        names.size() <= 2 ? String.join(", ", names) : names.get(0) + " +" + (names.size() - 1);
    return text("reason." + none.reason().name(), shown);
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
