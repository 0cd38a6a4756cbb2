package penmirror.commandline;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import penmirror.core.figure.Mood;
import penmirror.core.format.ScoreJson;
import penmirror.core.format.ScoreTable;
import penmirror.core.measure.Evidence;
import penmirror.core.scoring.AttemptScorer;
import penmirror.core.scoring.AttemptStage;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Score;
import penmirror.core.style.Portrayal;
import penmirror.core.telling.FixWords;
import penmirror.core.words.Wording;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "score",
    mixinStandardHelpOptions = true,
    description = "Hold redraws against style sheets, one line a picture and sheet.")
final class ScoreCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private Batch batch = new Batch();

  @Parameters(
      arity = "1..*",
      paramLabel = "IMAGE",
      description = "PNG, JPEG, WebP, TIFF, GIF, BMP, SVG or OpenRaster.")
  private List<Path> images = List.of();

  @Option(
      names = "--style",
      required = true,
      paramLabel = "STYLE.json",
      description = "The sheet to score against; named several times, each picture is read once.")
  private List<Path> styles = List.of();

  @Option(
      names = "--marks",
      paramLabel = "FILE_OR_DIR",
      description = "A marks file, or a folder of them with the images' base names.")
  private @Nullable Path marks;

  @Option(
      names = "--propose",
      description = "Place the points that no marks tell, from the pixels.")
  private boolean propose;

  @Option(
      names = "--mood",
      paramLabel = "MOOD",
      description =
          "calm, glad, sad, cross, startled, sly or keen; seen in the picture if not said.")
  private @Nullable Mood mood;

  @Option(
      names = "--stage",
      paramLabel = "STAGE",
      description = "rough, line, flats or finished; seen in the picture if not said.")
  private @Nullable AttemptStage stage;

  @Option(names = "--json", description = "Print JSON, one object a line.")
  private boolean json;

  @Option(
      names = "--csv",
      description = "Print a table for a spreadsheet, one row a picture and sheet.")
  private boolean csv;

  @Override
  public Integer call() throws UnusableInputException {
    if (json && csv) {
      throw new ParameterException(spec.commandLine(), "--json and --csv exclude each other.");
    }
    Map<Path, AttemptScorer> scorers = new LinkedHashMap<>();
    for (Path style : styles) {
      scorers.put(style, new AttemptScorer(Inputs.style(style)));
    }
    if (csv) {
      print(ScoreTable.header());
    }
    return batch.forEach(
        images,
        image ->
            told(
                image,
                Inputs.evidence(image, marks, propose),
                Inputs.answers(image, marks),
                scorers),
        lines -> lines.forEach(this::print));
  }

  /** Whole lines; a table's end by themselves. */
  private void print(String line) {
    spec.commandLine().getOut().print(csv ? line : line + System.lineSeparator());
    spec.commandLine().getOut().flush();
  }

  /** A line per sheet. */
  private List<String> told(
      Path image,
      Evidence evidence,
      Map<String, Boolean> answers,
      Map<Path, AttemptScorer> scorers) {
    boolean several = scorers.size() > 1;
    List<String> lines = new ArrayList<>();
    scorers.forEach(
        (style, scorer) -> {
          String sheet = several ? style.toString() : "";
          Portrayal said = Portrayal.ANY.inMood(Optional.ofNullable(mood));
          if (csv) {
            lines.add(row(image, sheet, evidence, said, answers, scorer));
            return;
          }
          Score score =
              scorer.score(
                  evidence, scorer.asked(evidence, said, Optional.ofNullable(stage)), answers);
          lines.add(
              json
                  ? ScoreJson.write(image.toString(), sheet, score)
                  : words(several ? image + " by " + style : image.toString(), score));
        });
    return lines;
  }

  private String row(
      Path image,
      String sheet,
      Evidence evidence,
      Portrayal said,
      Map<String, Boolean> answers,
      AttemptScorer scorer) {
    AttemptScorer.Asked asked = scorer.asked(evidence, said, Optional.ofNullable(stage));
    return ScoreTable.row(
        image.toString(), sheet, scorer.judged(evidence, asked, answers, act -> false));
  }

  private static String words(String what, Score score) {
    StringBuilder text = new StringBuilder(what + ": ");
    text.append(
        score
            .overall()
            .map(points -> Wording.number(points, 1) + " of 100")
            .orElse("no score, nothing could be measured"));
    score
        .byRules()
        .ifPresent(points -> text.append(", by the rules ").append(Wording.number(points, 1)));
    score
        .glance()
        .ifPresent(points -> text.append(", at a glance ").append(Wording.number(points, 1)));
    text.append(", ")
        .append(Wording.number(100 * score.coverage(), 0))
        .append(" % of the rules measured");
    for (Fix fix : score.fixes()) {
      text.append(
          String.format(
              "%n  +%s  %s", Wording.number(fix.pointsGained(), 1), FixWords.instruction(fix)));
    }
    return text.toString();
  }
}
