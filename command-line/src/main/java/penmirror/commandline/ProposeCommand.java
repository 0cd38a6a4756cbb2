package penmirror.commandline;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import penmirror.core.figure.View;
import penmirror.core.format.ProposalJson;
import penmirror.core.proposal.Proposal;
import penmirror.core.proposal.Proposer;
import penmirror.core.words.Wording;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "propose",
    mixinStandardHelpOptions = true,
    description = "Tell where the landmarks of figures probably are, one line a picture.")
final class ProposeCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private Batch batch = new Batch();

  @Parameters(
      arity = "1..*",
      paramLabel = "IMAGE",
      description = "PNG, JPEG, WebP, TIFF, GIF, BMP, SVG or OpenRaster.")
  private List<Path> images = List.of();

  @Option(
      names = "--view",
      paramLabel = "VIEW",
      defaultValue = "front",
      description = "front, three-quarter, side or back; front if not said.")
  private String view = "front";

  @Option(names = "--json", description = "Print JSON, one object a line.")
  private boolean json;

  @Override
  public Integer call() {
    View from;
    try {
      from = View.ofWord(view);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), String.valueOf(e.getMessage()));
    }
    Proposer proposer = new Proposer(List.of());
    return batch.forEach(
        images,
        image -> {
          Proposal proposal = proposer.propose(Inputs.picture(image), from);
          return json ? ProposalJson.write(image.toString(), proposal) : table(image, proposal);
        },
        spec.commandLine().getOut()::println);
  }

  private static String table(Path image, Proposal proposal) {
    StringBuilder text = new StringBuilder(image.toString());
    proposal
        .points()
        .forEach(
            (landmark, proposed) ->
                text.append(
                    String.format(
                        "%n  %-16s %8s %8s   %3s %%",
                        landmark.key(),
                        Wording.number(proposed.place().x(), 1),
                        Wording.number(proposed.place().y(), 1),
                        Wording.number(100 * proposed.confidence(), 0))));
    return text.toString();
  }
}
