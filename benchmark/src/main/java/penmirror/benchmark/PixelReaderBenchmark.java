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
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
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
  /** The demo studio draws up to about 12; beyond, every pixel of that is doubled each way. */
  @Param({"2.9", "6", "11.8", "47.2"})
  public double megapixels;

  private static final double MOST_DRAWN = 12;

  private Picture picture;

  @Setup
  public void drawThePicture() {
    Illustration first = Illustration.of(DemoStudio.odileMarrow().sources().get(0));
    double pixels = first.rendering().widthPx() * (double) first.rendering().heightPx();
    boolean doubled = megapixels > MOST_DRAWN;
    double drawn = doubled ? megapixels / 4 : megapixels;
    picture =
        Picture.from(Illustration.of(first.commission(), Math.sqrt(drawn * 1e6 / pixels)).image());
    if (doubled) {
      picture = twice(picture);
    }
  }

  private static Picture twice(Picture picture) {
    int width = 2 * picture.widthPixels();
    int[] rgb = new int[4 * picture.pixelCount()];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = picture.rgb(i / width / 2 * picture.widthPixels() + i % width / 2);
    }
    return Picture.of(width, 2 * picture.heightPixels(), rgb);
  }

  @Benchmark
  public PixelReadings everyMeasure() {
    return new PixelReader().read(picture);
  }
}
