package penmirror.benchmark;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import penmirror.core.measure.PixelReader;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** All pixel measures of one demo picture, drawn at several sizes, on one core. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(
    value = 1,
    jvmArgsAppend = {
      "-Djava.util.concurrent.ForkJoinPool.common.parallelism=1",
      "-XX:ActiveProcessorCount=1",
      "-Xmx700m"
    })
public class PixelReaderBenchmark {
  /** 48 megapixels take more heap than the others are held to: see docs/benchmarks.md. */
  @Param({"3", "6", "12"})
  public double megapixels;

  private Picture picture;

  @Setup
  public void drawThePicture() {
    Illustration first = Illustration.of(DemoStudio.odileMarrow().sources().get(0));
    double pixels = first.rendering().widthPx() * (double) first.rendering().heightPx();
    picture =
        Picture.from(
            Illustration.of(first.commission(), Math.sqrt(megapixels * 1e6 / pixels)).image());
  }

  @Benchmark
  public PixelReadings everyMeasure() {
    return new PixelReader().read(picture);
  }
}
