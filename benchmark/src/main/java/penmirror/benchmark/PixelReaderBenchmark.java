package penmirror.benchmark;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
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
import penmirror.demoart.DemoStudio;

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
  public void drawThePicture() throws IOException {
    BufferedImage drawn = ImageIO.read(new ByteArrayInputStream(DemoStudio.works().get(0).png()));
    double scale = Math.sqrt(PIXELS / (drawn.getWidth() * (double) drawn.getHeight()));
    int width = (int) Math.round(drawn.getWidth() * scale);
    int height = (int) Math.round(drawn.getHeight() * scale);
    BufferedImage large = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = large.createGraphics();
    graphics.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    graphics.drawImage(drawn, 0, 0, width, height, null);
    graphics.dispose();
    picture = Picture.from(large);
  }

  @Benchmark
  public PixelReadings fourMegapixels() {
    return new PixelReader().read(picture);
  }
}
