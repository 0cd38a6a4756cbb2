package penmirror.reliability;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.View;
import penmirror.core.file.HostileFiles;
import penmirror.core.file.OpenRasterFuzz;
import penmirror.core.file.PictureReader;
import penmirror.core.file.RasterFuzz;
import penmirror.core.file.SvgFuzz;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.MarksFile;
import penmirror.core.format.MarksFuzz;
import penmirror.core.format.PixelReadingsJson;
import penmirror.core.format.ReadingsFuzz;
import penmirror.core.format.StrokesFuzz;
import penmirror.core.format.StyleFile;
import penmirror.core.format.StyleFuzz;
import penmirror.core.measure.Evidence;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;

/**
 * Fuzzes one target after another, guided by what code each input reaches, in a process with a
 * small heap. A run over five seconds, a crash or a full heap ends it with the input that did it.
 */
public final class Fuzzing {
  static final List<Class<?>> TARGETS =
      List.of(
          RasterFuzz.class,
          OpenRasterFuzz.class,
          SvgFuzz.class,
          MarksFuzz.class,
          StyleFuzz.class,
          StrokesFuzz.class,
          ReadingsFuzz.class);

  private static final int HEAP_MEGABYTES = 400;
  private static final int LONGEST_RUN_SECONDS = 5;

  private Fuzzing() {}

  /**
   * @param arguments a folder for seeds and findings, and how many minutes in all
   */
  public static void main(String[] arguments) throws IOException, InterruptedException {
    Path folder = Path.of(arguments[0]).toAbsolutePath();
    int seconds = (int) (60 * Double.parseDouble(arguments[1]) / TARGETS.size());
    boolean failed = false;
    for (Class<?> target : TARGETS) {
      Path place = folder.resolve(target.getSimpleName());
      Path corpus = Files.createDirectories(place.resolve("corpus"));
      for (Map.Entry<String, byte[]> seed : seeds(target).entrySet()) {
        Files.write(corpus.resolve(seed.getKey()), seed.getValue());
      }
      System.out.println(target.getSimpleName() + ": " + seconds + " s");
      int exit = fuzz(target, place, seconds);
      System.out.println(
          target.getSimpleName() + (exit == 0 ? ": nothing found" : ": FOUND, see " + place));
      failed |= exit != 0;
    }
    System.exit(failed ? 1 : 0);
  }

  private static int fuzz(Class<?> target, Path place, int seconds)
      throws IOException, InterruptedException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(
        List.of(
            "-Xmx" + HEAP_MEGABYTES + "m",
            "-Djava.awt.headless=true",
            "-cp",
            System.getProperty("java.class.path"),
            "com.code_intelligence.jazzer.Jazzer",
            "--target_class=" + target.getName(),
            "--instrumentation_includes=penmirror.**:com.twelvemonkeys.**",
            "-max_total_time=" + seconds,
            "-timeout=" + LONGEST_RUN_SECONDS,
            "-max_len=200000",
            "-rss_limit_mb=0",
            "-artifact_prefix=" + place + "/",
            "-print_final_stats=1",
            place.resolve("corpus").toString()));
    return new ProcessBuilder(command)
        .directory(place.toFile())
        .redirectErrorStream(true)
        .redirectOutput(place.resolve("log").toFile())
        .start()
        .waitFor();
  }

  /** Sound inputs, and those that once did harm: from these on the fuzzer goes. */
  static Map<String, byte[]> seeds(Class<?> target) throws IOException {
    Map<String, byte[]> seeds = new LinkedHashMap<>();
    if (target == RasterFuzz.class) {
      for (String name :
          List.of(
              "srgb.jpg", "palette.png", "lossy.webp", "lossless.webp", "srgb.gif", "cmyk.jpg")) {
        seeds.put(name, format(name));
      }
      for (String name : List.of("srgb.tif", "wide.tif", "srgb.bmp", "wide.png", "wide.jpg")) {
        seeds.put(name, format(name));
      }
      seeds.putAll(hostile(".png", ".jpg"));
    } else if (target == OpenRasterFuzz.class) {
      seeds.put("layers.ora", format("layers.ora"));
      seeds.putAll(hostile(".ora"));
    } else if (target == SvgFuzz.class) {
      seeds.putAll(hostile("s.svg", "r.svg", "e.svg"));
      seeds.put(
          "plain.svg",
          "<g><path d='M1 1L9 9' stroke-dasharray='1 2'/></g>".getBytes(StandardCharsets.UTF_8));
    } else if (target == StrokesFuzz.class) {
      seeds.put(
          "strokes",
          bytes(
              "{\"edits\":[{\"kind\":\"loop\",\"radius\":0,\"points\":[[1,1],[90,4],[60,80]]},{\"kind\":\"drop\",\"radius\":5,\"points\":[[60,45],[70,45]]},{\"kind\":\"face\",\"radius\":5,\"points\":[[60,45]]}]}"));
    } else {
      seeds.putAll(ofADemoWork(target));
    }
    return seeds;
  }

  private static Map<String, byte[]> ofADemoWork(Class<?> target) {
    DrawnWork work = DrawnWork.of(DemoStudio.odileMarrow().sources().get(0), 0.4);
    Picture picture = opened(work.png());
    var readings = new PixelReader().read(picture);
    Evidence evidence = new Evidence(work.truth(), Optional.of(readings));
    MeasuredWork measured = MeasuredWork.of("a", "A", "by hand", evidence);
    String json =
        target == MarksFuzz.class
            ? MarksFile.of(work.truth()).toJson()
            : target == StyleFuzz.class
                ? StyleFile.of(StyleSheet.of("A", View.FRONT, List.of(measured, measured))).toJson()
                : PixelReadingsJson.write(readings);
    return Map.of("demo", bytes(json));
  }

  private static Picture opened(byte[] png) {
    try {
      return new PictureReader().open(png).picture();
    } catch (UnusablePictureException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Map<String, byte[]> hostile(String... endings) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    HostileFiles.all()
        .forEach(
            (name, bytes) -> {
              for (String ending : endings) {
                if (name.endsWith(ending) && bytes.length < 200_000) {
                  files.put(name, bytes);
                }
              }
            });
    return files;
  }

  private static byte[] format(String name) throws IOException {
    try (var stream = HostileFiles.class.getResourceAsStream("/formats/" + name)) {
      return stream.readAllBytes();
    }
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
