package penmirror.benchmark;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
import penmirror.core.style.BaseLine;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Portrayal;
import penmirror.core.style.Signature;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** A sheet over forty works of the demo's four hands, read already; and the same in one mood. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgsAppend = "-Djava.util.concurrent.ForkJoinPool.common.parallelism=1")
public class SheetBenchmark {
  private static final int WORKS = 40;
  private static final double SMALL = 0.3;

  private final List<MeasuredWork> works = new ArrayList<>();
  private StyleSheet sheet;

  @Setup
  public void readTheWorks() {
    List<Commission> commissions = new ArrayList<>(DemoStudio.odileMarrow().sources());
    commissions.addAll(DemoStudio.casimirThole().sources());
    commissions.addAll(DemoStudio.inesVantour().sources());
    commissions.addAll(DemoStudio.ownHand());
    for (Commission commission : commissions.subList(0, WORKS)) {
      Illustration drawn = Illustration.of(commission, SMALL);
      PixelReadings pixels =
          new PixelReader().read(Picture.from(drawn.image()), drawn.marks(), step -> {});
      MeasuredWork work =
          MeasuredWork.of(
              commission.fileName(),
              commission.title(),
              "",
              new Evidence(drawn.marks(), Optional.of(pixels)));
      works.add(work.showing(work.shows().inMood(Mood.ofWord(commission.mood().word()))));
    }
    sheet = StyleSheet.of("Forty", View.FRONT, works);
  }

  @Benchmark
  public StyleSheet made() {
    return StyleSheet.of("Forty", View.FRONT, works);
  }

  @Benchmark
  public StyleSheet inOneMood() {
    return sheet.wantedFor(Portrayal.ANY.inMood(Optional.of(Mood.GLAD)));
  }

  @Benchmark
  public Signature whatMakesOrBreaksIt() {
    return Signature.of(sheet, BaseLine.realistic(), Signature.USUAL);
  }
}
