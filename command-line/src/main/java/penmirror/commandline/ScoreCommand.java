package penmirror.commandline;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import penmirror.core.format.ScoreJson;
import penmirror.core.measure.Wording;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "score",
    mixinStandardHelpOptions = true,
    description = "Hold redraws against a style sheet.")
final class ScoreCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(
      arity = "1..*",
      paramLabel = "IMAGE",
      description = "PNG, JPEG, WebP, TIFF, GIF, BMP, SVG or OpenRaster.")
  private List<Path> images = List.of();

  @Option(
      names = "--style",
      required = true,
      paramLabel = "STYLE.json",
      description = "The sheet to score against.")
  private Path style;

  @Option(
      names = "--marks",
      paramLabel = "FILE_OR_DIR",
      description = "A marks file, or a folder of them with the images' base names.")
  private @Nullable Path marks;

  @Option(
      names = "--propose",
      description = "Place the points that no marks tell, from the pixels.")
  private boolean propose;

  @Option(names = "--json", description = "Print JSON, one object a line.")
  private boolean json;

  @Override
  public Integer call() throws UnusableInputException {
    Scorer scorer = new Scorer(Inputs.style(style));
    return Inputs.forEach(
        images,
        spec.commandLine().getErr(),
        image -> {
          Score score = scorer.score(Inputs.evidence(image, marks, propose));
          spec.commandLine()
              .getOut()
              .println(json ? ScoreJson.write(image.toString(), score) : words(image, score));
        });
  }

  private static String words(Path image, Score score) {
    StringBuilder text = new StringBuilder(image + ": ");
    text.append(
        score
            .overall()
            .map(points -> Wording.number(points, 1) + " of 100")
            .orElse("no score, nothing could be measured"));
    text.append(", ")
        .append(Wording.number(100 * score.coverage(), 0))
        .append(" % of the rules measured");
    for (Fix fix : score.fixes()) {
      text.append(
          String.format("%n  +%s  %s", Wording.number(fix.pointsGained(), 1), fix.instruction()));
    }
    return text.toString();
  }
}
