package penmirror.benchmark;

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
import penmirror.core.measure.PixelReader;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** All pixel measures of one demo picture, drawn at four megapixels. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class PixelReaderBenchmark {
  private static final double PIXELS = 4_000_000;

  private Picture picture;

  @Setup
  public void drawThePicture() {
    Illustration first = Illustration.of(DemoStudio.odileMarrow().sources().get(0));
    double pixels = first.rendering().widthPx() * (double) first.rendering().heightPx();
    picture = Picture.from(Illustration.of(first.commission(), Math.sqrt(PIXELS / pixels)).image());
  }

  @Benchmark
  public PixelReadings fourMegapixels() {
    return new PixelReader().read(picture);
  }
}
