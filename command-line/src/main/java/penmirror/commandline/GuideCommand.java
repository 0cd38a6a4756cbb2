package penmirror.commandline;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import penmirror.core.format.GuideSvg;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.style.StyleSheet;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

@Command(
    name = "guide",
    mixinStandardHelpOptions = true,
    description = "Draw a construction guide for a canvas.")
final class GuideCommand implements Callable<Integer> {
  private static final Pattern SIZE = Pattern.compile("(\\d{1,6})[x\u00d7](\\d{1,6})");

  @Spec private CommandSpec spec;

  @Option(names = "--style", required = true, paramLabel = "STYLE.json")
  private Path style;

  @Option(
      names = "--canvas",
      required = true,
      paramLabel = "WxH",
      description = "Canvas in pixels, such as 2400x3200.")
  private String canvas;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "GUIDE.svg")
  private Path output;

  @Override
  public Integer call() throws UnusableInputException {
    if (!String.valueOf(output.getFileName()).endsWith(".svg")) {
      throw new ParameterException(
          spec.commandLine(), "The guide is written as SVG: end its name in .svg.");
    }
    Canvas size = canvas();
    StyleSheet sheet = Inputs.style(style);
    Inputs.write(output, GuideSvg.write(GuidePlan.of(sheet, size)));
    return CommandLineTools.DONE;
  }

  private Canvas canvas() {
    Matcher matcher = SIZE.matcher(canvas);
    if (!matcher.matches()) {
      throw new ParameterException(
          spec.commandLine(), "--canvas is written as 2400x3200, got " + canvas + ".");
    }
    try {
      return new Canvas(Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2)));
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), String.valueOf(e.getMessage()));
    }
  }
}
