package penmirror.benchmark;

import java.util.Arrays;
import java.util.concurrent.TimeUnit;
import nu.pattern.OpenCV;
import org.opencv.core.Core;
import org.opencv.core.CvType;
import org.opencv.core.Mat;
import org.opencv.core.Size;
import org.opencv.core.TermCriteria;
import org.opencv.imgproc.Imgproc;
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
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.measure.colour.Palette;
import penmirror.core.measure.colour.PaletteReader;
import penmirror.core.raster.Distance;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Morphology;
import penmirror.core.raster.Picture;
import penmirror.core.raster.Plane;
import penmirror.core.raster.Regions;
import penmirror.core.raster.Thinning;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/**
 * Steps that line, shade and colour share, beside the same step of OpenCV in the same run, each on
 * one core. The picture is a demo picture of four megapixels. OpenCV's Java build has no thinning.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgsAppend = "-Djava.util.concurrent.ForkJoinPool.common.parallelism=1")
public class SharedStepsBenchmark {
  private static final double PIXELS = 4_000_000;
  private static final int RADIUS = 12;
  private static final int COLOURS = 12;

  private Plane luma;
  private Mask dark;
  private OkLabPlanes colours;
  private Mask all;
  private Mat theirLuma;
  private Mat theirDark;
  private Mat theirSamples;

  @Setup
  public void drawThePicture() {
    OpenCV.loadLocally();
    Core.setNumThreads(1);
    Illustration first = Illustration.of(DemoStudio.odileMarrow().sources().get(0));
    double pixels = first.rendering().widthPx() * (double) first.rendering().heightPx();
    Picture picture =
        Picture.from(Illustration.of(first.commission(), Math.sqrt(PIXELS / pixels)).image());
    int width = picture.widthPixels();
    int height = picture.heightPixels();
    float[] values = new float[picture.pixelCount()];
    byte[] bytes = new byte[values.length];
    boolean[] set = new boolean[values.length];
    byte[] theirSet = new byte[values.length];
    for (int i = 0; i < values.length; i++) {
      int rgb = picture.rgb(i);
      int grey =
          (int)
              Math.round(
                  0.299 * (rgb >> 16 & 255) + 0.587 * (rgb >> 8 & 255) + 0.114 * (rgb & 255));
      values[i] = grey / 255f;
      bytes[i] = (byte) grey;
      set[i] = grey < 128;
      theirSet[i] = (byte) (set[i] ? 255 : 0);
    }
    luma = new Plane(width, height, values);
    dark = new Mask(width, height, set);
    theirLuma = new Mat(height, width, CvType.CV_8UC1);
    theirLuma.put(0, 0, bytes);
    theirDark = new Mat(height, width, CvType.CV_8UC1);
    theirDark.put(0, 0, theirSet);
    colours = OkLabPlanes.of(picture.pixelCount(), picture::rgb);
    boolean[] everywhere = new boolean[values.length];
    Arrays.fill(everywhere, true);
    all = new Mask(width, height, everywhere);
    float[] samples = new float[3 * values.length];
    for (int i = 0; i < values.length; i++) {
      samples[3 * i] = colours.lightness(i);
      samples[3 * i + 1] = colours.a(i);
      samples[3 * i + 2] = colours.b(i);
    }
    theirSamples = new Mat(values.length, 3, CvType.CV_32F);
    theirSamples.put(0, 0, samples);
  }

  @Benchmark
  public boolean[] thresholdOurs() {
    float[] values = luma.values();
    boolean[] set = new boolean[values.length];
    for (int i = 0; i < set.length; i++) {
      set[i] = values[i] < 0.5f;
    }
    return set;
  }

  @Benchmark
  public Mat thresholdOpenCv() {
    Mat result = new Mat();
    Imgproc.threshold(theirLuma, result, 127, 255, Imgproc.THRESH_BINARY_INV);
    return result;
  }

  @Benchmark
  public Regions componentsOurs() {
    return Regions.of(dark.values(), dark.width(), dark.height());
  }

  @Benchmark
  public Mat componentsOpenCv() {
    Mat labels = new Mat();
    Imgproc.connectedComponents(theirDark, labels, 4, CvType.CV_32S);
    return labels;
  }

  @Benchmark
  public Plane distanceOurs() {
    return Distance.toOutside(dark);
  }

  @Benchmark
  public Mat distanceOpenCv() {
    Mat result = new Mat();
    Imgproc.distanceTransform(theirDark, result, Imgproc.DIST_L2, 5);
    return result;
  }

  @Benchmark
  public Plane closingOurs() {
    return Morphology.octagonClosing(luma, RADIUS);
  }

  @Benchmark
  public Mat closingOpenCv() {
    Mat result = new Mat();
    Mat disc =
        Imgproc.getStructuringElement(
            Imgproc.MORPH_ELLIPSE, new Size(2 * RADIUS + 1, 2 * RADIUS + 1));
    Imgproc.morphologyEx(theirLuma, result, Imgproc.MORPH_CLOSE, disc);
    return result;
  }

  @Benchmark
  public Mask thinningOurs() {
    return Thinning.thin(dark);
  }

  @Benchmark
  public Palette clusteringOurs() {
    return PaletteReader.seen().read(colours, all);
  }

  @Benchmark
  public double clusteringOpenCv() {
    Mat labels = new Mat();
    return Core.kmeans(
        theirSamples,
        COLOURS,
        labels,
        new TermCriteria(TermCriteria.COUNT, 4, 0),
        1,
        Core.KMEANS_PP_CENTERS);
  }
}
