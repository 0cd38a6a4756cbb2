package penmirror.commandline;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import penmirror.core.drawing.OpenRasterWriter;
import penmirror.core.drawing.PdfWriter;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.SceneImage;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.file.PngWriter;
import penmirror.core.file.Resolution;
import penmirror.core.planning.GuideDrawing;
import penmirror.core.planning.GuideFigure;
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
  private static final List<String> ENDINGS = List.of("svg", "pdf", "png", "ora");
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
      names = "--per-inch",
      paramLabel = "PX",
      defaultValue = "300",
      description = "Pixels of the canvas to an inch of paper, for PDF and PNG. Default: 300.")
  private double perInch = 300;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "GUIDE.svg|.pdf|.png|.ora")
  private Path output;

  @Override
  public Integer call() throws UnusableInputException {
    String name = String.valueOf(output.getFileName());
    String ending = name.substring(name.lastIndexOf('.') + 1);
    if (!ENDINGS.contains(ending)) {
      throw new ParameterException(
          spec.commandLine(),
          "The guide is written as SVG, PDF, PNG or OpenRaster: end its name in .svg, .pdf, .png or"
              + " .ora.");
    }
    Canvas size = canvas();
    StyleSheet sheet = Inputs.style(style);
    GuidePlan plan = GuidePlan.of(sheet, size);
    Scene scene =
        GuideDrawing.of(plan, GuideFigure.standing(sheet, plan, Optional.empty()), List.of());
    Inputs.write(
        output,
        switch (ending) {
          case "pdf" -> PdfWriter.write(scene, pixelsPerInch());
          case "png" -> PngWriter.write(SceneImage.of(scene), Optional.of(resolution()));
          case "ora" -> OpenRasterWriter.write(scene);
          default -> SvgWriter.write(scene).getBytes(StandardCharsets.UTF_8);
        });
    return CommandLineTools.DONE;
  }

  private double pixelsPerInch() {
    return resolution().pixelsPerInch();
  }

  private Resolution resolution() {
    try {
      return new Resolution(perInch);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(
          spec.commandLine(), "--per-inch is 30 to 10000 px, got " + perInch + ".");
    }
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
