package penmirror.benchmark;

import java.awt.image.BufferedImage;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** A full demo figure, from its commission to its pixels, 2048 px tall. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class DrawingBenchmark {
  private static final double HEIGHT = 2048;

  @Param({"odile", "casimir", "ines"})
  String hand;

  @Benchmark
  public BufferedImage fullFigure() {
    Commission commission =
        switch (hand) {
          case "odile" -> DemoStudio.odileMarrow().sources().get(0);
          case "casimir" -> DemoStudio.casimirThole().sources().get(0);
          default -> DemoStudio.inesVantour().sources().get(0);
        };
    return Illustration.of(commission, HEIGHT / 1980).image();
  }
}
