package penmirror.commandline;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import penmirror.core.figure.View;
import penmirror.core.format.StyleFile;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "style",
    mixinStandardHelpOptions = true,
    description = "Make a style sheet from an illustrator's works.")
final class StyleCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private Batch batch = new Batch();

  @Parameters(
      arity = "1..*",
      paramLabel = "IMAGE",
      description = "PNG, JPEG, WebP, TIFF, GIF, BMP, SVG or OpenRaster.")
  private List<Path> images = List.of();

  @Option(
      names = "--marks",
      paramLabel = "DIR",
      description = "Folder of marks files with the images' base names.")
  private @Nullable Path marks;

  @Option(
      names = "--propose",
      description = "Place the points that no marks tell, from the pixels.")
  private boolean propose;

  @Option(
      names = "--view",
      paramLabel = "VIEW",
      description = "front, three-quarter, side or back. Default: the view most works have.")
  private @Nullable String view;

  @Option(names = "--name", paramLabel = "N", description = "Name of the style.")
  private String name = "";

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "STYLE.json",
      description = "Where the sheet goes.")
  private Path output;

  @Override
  public Integer call() throws UnusableInputException {
    View chosen = view == null ? null : parsed(view);
    List<MeasuredWork> works = new ArrayList<>();
    int exit =
        batch.forEach(
            images,
            image -> {
              String title = String.valueOf(image.getFileName());
              return MeasuredWork.of(title, title, "", Inputs.evidence(image, marks, propose));
            },
            works::add);
    if (works.isEmpty()) {
      throw new UnusableInputException(
          output.toString(), "No work could be read, so no sheet was written.");
    }
    StyleSheet sheet =
        StyleSheet.of(name, chosen == null ? StyleSheet.mostFrequentView(works) : chosen, works);
    Inputs.write(output, StyleFile.of(sheet).toJson());
    spec.commandLine()
        .getErr()
        .println(sheet.rules().size() + " rules from " + works.size() + " works in " + output);
    return exit;
  }

  private View parsed(String word) {
    try {
      return View.ofWord(word);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), String.valueOf(e.getMessage()));
    }
  }
}
