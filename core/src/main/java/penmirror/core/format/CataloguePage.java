package penmirror.core.format;

import java.util.Locale;
import java.util.stream.Collectors;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.figure.Landmark;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.words.Wording;

/** The catalogue of measures as a page of the docs, in Markdown. */
public final class CataloguePage {
  private CataloguePage() {}

  public static String write() {
    StringBuilder page = new StringBuilder();
    page.append(
        """
        # The catalogue of measures

        Made from the catalogue in the core by `CataloguePage`; a test fails when this page falls \
        behind. What the columns mean, and how well it is read, stands in [measures.md](measures.md).
        """);
    for (MeasureGroup group : MeasureGroup.values()) {
      String name = group.name().charAt(0) + group.name().substring(1).toLowerCase(Locale.ROOT);
      page.append("\n## ")
          .append(name)
          .append(
              """


              | key | name | speaks of | act | formula | read from | unit | compared | views | \
              floor, within, among | source |
              |---|---|---|---|---|---|---|---|---|---|---|
              """);
      MeasureCatalogue.all().stream()
          .filter(measure -> measure.group() == group)
          .forEach(measure -> page.append(row(measure)));
    }
    return page.toString();
  }

  private static String row(Measure measure) {
    String from =
        measure.isFromPixels()
            ? "pixels"
            : measure.needs().stream().map(Landmark::key).collect(Collectors.joining(" "));
    String compared =
        measure.scale().word()
            + (measure.comparison() == Measure.Comparison.ACROSS_VIEWS
                ? ", all views"
                : ", same view")
            + (measure.isScored() ? "" : ", not scored");
    String views =
        measure.views().size() == 4
            ? "all"
            : measure.views().stream()
                .sorted()
                .map(view -> view.word())
                .collect(Collectors.joining(", "));
    return "| `%s` | %s | %s | %s | %s | %s | %s | %s | %s | %s, %s, %s | %s |\n"
        .formatted(
            measure.key(),
            Wording.name(measure),
            measure.nature().word(),
            Acts.of(measure).map(Act::key).orElse(""),
            measure.formula(),
            from,
            measure.unit().word(),
            compared,
            views,
            measure.floorTolerance(),
            measure.spreadWithinStyle(),
            measure.spreadAmongStyles(),
            measure.source());
  }
}
