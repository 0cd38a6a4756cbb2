package penmirror.commandline;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** Front door: {@code ./pen-mirror measure …} and its sisters. */
@Command(
    name = "pen-mirror",
    description =
        "Measure pictures, make a style sheet, score a redraw, draw a guide, mix a layer.",
    subcommands = {
      MeasureCommand.class,
      ProposeCommand.class,
      StyleCommand.class,
      ScoreCommand.class,
      GuideCommand.class,
      BlendCommand.class,
      CommandLine.HelpCommand.class
    })
public final class CommandLineTools {
  static final int DONE = 0;
  static final int INPUT_UNUSABLE = 1;

  private CommandLineTools() {}

  public static void main(String[] arguments) {
    System.setProperty("java.awt.headless", "true");
    System.exit(commandLine().execute(arguments));
  }

  static CommandLine commandLine() {
    return new CommandLine(new CommandLineTools())
        .setCaseInsensitiveEnumValuesAllowed(true)
        .setExecutionExceptionHandler(
            (error, commandLine, parsed) -> {
              if (error instanceof UnusableInputException) {
                commandLine.getErr().println(error.getMessage());
                return INPUT_UNUSABLE;
              }
              throw error;
            });
  }
}
