package penmirror.commandline;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.format.MeasureJson;
import penmirror.core.format.MeasureJson.HeadSource;
import penmirror.core.geometry.Reach;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.words.Wording;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "measure",
    mixinStandardHelpOptions = true,
    description = "Read the measures of pictures, one line a picture.")
final class MeasureCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private Batch batch = new Batch();

  @Parameters(
      arity = "1..*",
      paramLabel = "IMAGE",
      description = "PNG, JPEG, WebP, TIFF, GIF, BMP, SVG or OpenRaster.")
  private List<Path> images = List.of();

  @Option(
      names = "--marks",
      paramLabel = "FILE_OR_DIR",
      description = "A marks file, or a folder of them with the images' base names.")
  private @Nullable Path marks;

  @Option(
      names = "--head",
      paramLabel = "PX",
      description = "Crown to chin in pixels, where no marks tell it.")
  private @Nullable Double headPixels;

  @Option(
      names = "--propose",
      description = "Place the points that no marks tell, from the pixels.")
  private boolean propose;

  @Option(names = "--json", description = "Print JSON, one object a line.")
  private boolean json;

  @Override
  public Integer call() {
    if (headPixels != null && !(headPixels >= 1 && Reach.holds(headPixels))) {
      throw new ParameterException(
          spec.commandLine(),
          "--head must be 1 to " + (int) Reach.PIXELS + " px, got " + headPixels + ".");
    }
    return batch.forEach(
        images,
        image -> told(image, Inputs.evidence(image, marks, propose)),
        spec.commandLine().getOut()::println);
  }

  private String told(Path image, Evidence evidence) {
    HeadSource source = source(evidence.marks());
    return json
        ? MeasureJson.write(image.toString(), evidence, source, headPixels == null ? 0 : headPixels)
        : table(image, source == HeadSource.GIVEN ? withHead(evidence) : evidence);
  }

  private HeadSource source(Marks marks) {
    if (marks.headFrame().isEmpty()) {
      return headPixels == null ? HeadSource.NONE : HeadSource.GIVEN;
    }
    boolean proposed =
        Stream.of(Landmark.CROWN, Landmark.CHIN)
            .map(marks.landmarks()::get)
            .anyMatch(mark -> mark != null && mark.state() == Mark.State.PROPOSED);
    return proposed ? HeadSource.PROPOSED : HeadSource.MARKS;
  }

  /** A head of the given length, so that readings by the head can be printed. */
  private Evidence withHead(Evidence evidence) {
    Marks head =
        evidence
            .marks()
            .with(Landmark.CROWN, Mark.placed(0, 0))
            .with(Landmark.CHIN, Mark.placed(0, headPixels == null ? 1 : headPixels));
    return evidence.withMarks(head);
  }

  private static String table(Path image, Evidence evidence) {
    StringBuilder text = new StringBuilder(image.toString());
    evidence
        .pixels()
        .flatMap(pixels -> pixels.estimate(LineMeasures.WIDTH))
        .map(Estimate::value)
        .ifPresent(px -> row(text, "Line width", Wording.number(px, 1) + " px"));
    MeasureCatalogue.readAll(evidence)
        .forEach(
            (measure, result) ->
                result
                    .reading()
                    .ifPresent(
                        reading ->
                            row(
                                text,
                                Wording.name(measure),
                                Wording.number(measure.unit(), reading.value())
                                    + " "
                                    + Wording.unit(measure.unit()))));
    return text.toString();
  }

  private static void row(StringBuilder text, String name, String value) {
    text.append(String.format("%n  %-22s %s", name, value));
  }
}
