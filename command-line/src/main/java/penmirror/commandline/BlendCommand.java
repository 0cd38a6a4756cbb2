package penmirror.commandline;

import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.format.LayerJson;
import penmirror.core.mixing.BlendMode;
import penmirror.core.mixing.LayerAnswer;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

@Command(
    name = "blend",
    mixinStandardHelpOptions = true,
    description = "Tell which layer colour brings one colour to another, one line a blend mode.")
final class BlendCommand implements Callable<Integer> {
  private static final String ALL = "all";

  @Spec private CommandSpec spec;

  @Option(
      names = "--base",
      required = true,
      paramLabel = "HEX",
      description = "What lies under the layer, such as F0CBA6.")
  private String base;

  @Option(
      names = "--target",
      required = true,
      paramLabel = "HEX",
      description = "As it shall be seen.")
  private String target;

  @Option(
      names = "--mode",
      paramLabel = "MODE",
      defaultValue = ALL,
      description =
          "multiply, screen, overlay, soft-light, hard-light, darken, lighten, color-dodge,"
              + " color-burn, or all. Default: all.")
  private String mode = ALL;

  @Option(
      names = "--opacity",
      paramLabel = "PERCENT",
      defaultValue = "100",
      description = "Of the layer, 1 to 100. Default: 100.")
  private int opacityPercent = 100;

  @Option(names = "--json", description = "Print JSON, one object a line.")
  private boolean json;

  @Override
  public Integer call() {
    EncodedSrgb from = colour("--base", base);
    EncodedSrgb to = colour("--target", target);
    if (opacityPercent < 1 || opacityPercent > 100) {
      throw wrong("--opacity is 1 to 100 percent, got " + opacityPercent + ".");
    }
    Consumer<String> out = spec.commandLine().getOut()::println;
    for (BlendMode each : modes()) {
      LayerAnswer answer = LayerAnswer.of(each, from, to, opacityPercent / 100.0);
      out.accept(json ? LayerJson.write(answer) : words(answer));
    }
    return CommandLineTools.DONE;
  }

  private List<BlendMode> modes() {
    return mode.equals(ALL)
        ? List.of(BlendMode.values())
        : List.of(
            BlendMode.ofWord(mode)
                .orElseThrow(
                    () ->
                        wrong(
                            "--mode is "
                                + Stream.of(BlendMode.values())
                                    .map(BlendMode::word)
                                    .collect(Collectors.joining(", "))
                                + " or all, got "
                                + mode
                                + ".")));
  }

  private static String words(LayerAnswer answer) {
    String what =
        answer
            .colour()
            .map(EncodedSrgb::hex)
            .orElseGet(
                () ->
                    answer.leastOpacityPercent().isPresent()
                        ? "from " + answer.leastOpacityPercent().getAsInt() + " % on"
                        : "can't reach");
    return String.format(Locale.ROOT, "%-12s %s", answer.mode().word(), what);
  }

  private EncodedSrgb colour(String option, String hex) {
    try {
      return EncodedSrgb.fromHex(hex);
    } catch (IllegalArgumentException e) {
      throw wrong(option + ": " + e.getMessage() + ".");
    }
  }

  private ParameterException wrong(String words) {
    return new ParameterException(spec.commandLine(), words);
  }
}
