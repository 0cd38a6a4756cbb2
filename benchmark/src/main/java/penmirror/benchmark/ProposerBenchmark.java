package penmirror.benchmark;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import penmirror.core.figure.Marks;
import penmirror.core.proposal.FacePatch;
import penmirror.core.proposal.MarkedFigure;
import penmirror.core.proposal.Proposal;
import penmirror.core.proposal.Proposer;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** Proposing the landmarks of a front figure of 12 megapixels, opened already. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class ProposerBenchmark {
  /** Times the size at which the demo studio draws: 2,884 by 4,079 pixels. */
  private static final double TWELVE_MEGAPIXELS = 2.06;

  @Param({"0", "3"})
  public int markedWorks;

  private Picture picture;
  private Marks marks;
  private Proposer proposer;

  @Setup
  public void draw() {
    List<Commission> sources = DemoStudio.odileMarrow().sources();
    Illustration illustration = Illustration.of(sources.get(0), TWELVE_MEGAPIXELS);
    picture = Picture.from(illustration.image());
    marks = Marks.none(illustration.marks().view());
    proposer =
        new Proposer(
            sources.subList(1, 1 + markedWorks).stream()
                .map(Illustration::of)
                .map(
                    work ->
                        new MarkedFigure(
                            work.marks(),
                            FacePatch.of(Picture.from(work.image()), work.marks(), 1)))
                .toList());
  }

  @Benchmark
  public Proposal propose() {
    return proposer.propose(picture, marks);
  }
}
