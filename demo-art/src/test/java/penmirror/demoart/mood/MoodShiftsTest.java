package penmirror.demoart.mood;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.statistics.Sample;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.MoodReader;
import penmirror.core.style.MoodShifts;
import penmirror.core.style.Portrayal;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/**
 * The table of moods is what this fits on faces of hands made up for it; whether it tells moods is
 * asked of the demo's three hands, which took no part.
 *
 * <p>Written anew with {@code mvn -o -pl demo-art test -Dtest=MoodShiftsTest -Dmoods.write=true}.
 */
class MoodShiftsTest {
  private static final Path TABLE =
      Path.of("../core/src/main/resources/penmirror/core/style/mood-shifts.csv");
  private static final int HANDS = 60;
  private static final long SEED = 31;

  /** What makes faces different; changed by up to a quarter of itself, slants by up to 6°. */
  private static final List<Parameter> OF_THE_FACE =
      List.of(
          Parameter.EYE_LINE,
          Parameter.EYE_WIDTH,
          Parameter.EYE_ASPECT,
          Parameter.EYE_SPACING,
          Parameter.BROW_GAP,
          Parameter.NOSE_BASE,
          Parameter.MOUTH_WIDTH,
          Parameter.HEAD_ASPECT,
          Parameter.IRIS);

  private static final List<Parameter> SLANTS = List.of(Parameter.EYE_TILT, Parameter.BROW_SLOPE);

  /** A mood moves a measure if it does so by this share of what works of one hand differ by. */
  private static final double MOVED = 0.35;

  @Test
  void theTableIsWhatTheDrawnFacesShow() throws IOException {
    String table = table();
    if (Boolean.getBoolean("moods.write")) {
      Files.writeString(TABLE, table);
    }
    assertThat(figures(Files.readString(TABLE))).isEqualTo(figures(table));
  }

  private static String figures(String table) {
    return table.lines().filter(line -> !line.startsWith("#")).reduce("", (a, b) -> a + "\n" + b);
  }

  private static String table() {
    Map<Measure, Map<Mood, List<Double>>> ways = new HashMap<>();
    Random random = new Random(SEED);
    for (int hand = 0; hand < HANDS; hand++) {
      Manner manner = madeUp(random, hand);
      View view = hand % 3 == 2 ? View.THREE_QUARTER : View.FRONT;
      Commission model = DemoStudio.ownHand().get(hand % DemoStudio.ownHand().size());
      Map<Measure, Double> calm = read(face(model, manner, view, Mood.CALM));
      for (Mood mood : Mood.values()) {
        read(face(model, manner, view, mood))
            .forEach(
                (measure, value) -> {
                  if (calm.containsKey(measure)) {
                    ways.computeIfAbsent(measure, m -> new EnumMap<>(Mood.class))
                        .computeIfAbsent(mood, m -> new ArrayList<>())
                        .add(
                            measure.scale().toScale(value)
                                - measure.scale().toScale(calm.get(measure)));
                  }
                });
      }
    }
    StringBuilder lines = new StringBuilder();
    lines.append(
        "# How far a mood carries a reading from the same face when calm, in its scale.\n");
    lines.append("# Fitted ").append(LocalDate.now()).append(" by MoodShiftsTest on ");
    lines.append(HANDS).append(" made-up hands, two thirds from the front.\n");
    lines.append("# measure,mood,middle,standard deviation from face to face\n");
    for (Measure measure : MeasureCatalogue.all()) {
      Map<Mood, List<Double>> moods = ways.getOrDefault(measure, Map.of());
      boolean moved =
          moods.values().stream()
              .anyMatch(w -> Math.abs(mean(w)) > MOVED * measure.spreadWithinStyle());
      if (moved) {
        moods.forEach(
            (mood, way) ->
                lines.append(
                    String.format(
                        Locale.ROOT,
                        "%s,%s,%.4f,%.4f%n",
                        measure.key(),
                        mood.word(),
                        mean(way) + 0.0,
                        deviation(way))));
      }
    }
    return lines.toString();
  }

  private static double mean(List<Double> values) {
    return values.stream().mapToDouble(v -> v).average().orElse(0);
  }

  private static double deviation(List<Double> values) {
    return values.size() < 2
        ? 0
        : Sample.of(values.stream().mapToDouble(v -> v).toArray()).standardDeviation();
  }

  private static Manner madeUp(Random random, int number) {
    Manner base = DemoStudio.ownHand().get(0).manner();
    Map<Parameter, Double> changes = new HashMap<>();
    for (Parameter parameter : OF_THE_FACE) {
      double factor = 1 + 0.25 * (2 * random.nextDouble() - 1);
      changes.put(parameter, within(parameter, base.centre().get(parameter) * factor));
    }
    for (Parameter parameter : SLANTS) {
      double step = 6 * (2 * random.nextDouble() - 1);
      changes.put(parameter, within(parameter, base.centre().get(parameter) + step));
    }
    return base.with("made up " + number, changes);
  }

  private static double within(Parameter parameter, double value) {
    return Math.max(parameter.least(), Math.min(parameter.most(), value));
  }

  private static Commission face(Commission model, Manner manner, View view, Mood mood) {
    return new Commission(
        model.fileName(),
        model.title(),
        manner,
        model.subject(),
        model.palette(),
        Pose.STANDING,
        view,
        Cut.FACE,
        drawn(mood),
        false,
        model.seed(),
        List.of());
  }

  private static penmirror.demoart.figure.Mood drawn(Mood mood) {
    return switch (mood) {
      case CALM -> penmirror.demoart.figure.Mood.CALM;
      case GLAD -> penmirror.demoart.figure.Mood.GLAD;
      case SAD -> penmirror.demoart.figure.Mood.SAD;
      case CROSS -> penmirror.demoart.figure.Mood.CROSS;
      case STARTLED -> penmirror.demoart.figure.Mood.STARTLED;
      case SLY -> penmirror.demoart.figure.Mood.SLY;
      case KEEN -> penmirror.demoart.figure.Mood.KEEN;
    };
  }

  private static Map<Measure, Double> read(Commission commission) {
    return work(commission).values();
  }

  private static MeasuredWork work(Commission commission) {
    return MeasuredWork.of(
        commission.fileName(),
        commission.title(),
        "",
        new Evidence(Illustration.of(commission, 0.3).marks(), Optional.empty()));
  }

  /** Told from the marks alone, for three hands that took no part in the table. */
  @Test
  void moodsAreToldFromMarks() {
    int asked = 0;
    int right = 0;
    int told = 0;
    int toldRight = 0;
    for (DemoStudio.Folder folder :
        List.of(DemoStudio.odileMarrow(), DemoStudio.casimirThole(), DemoStudio.inesVantour())) {
      List<MeasuredWork> works = folder.sources().stream().map(MoodShiftsTest::work).toList();
      MoodReader reader = MoodReader.of(works);
      for (int i = 0; i < works.size(); i++) {
        Commission commission = folder.sources().get(i);
        if (commission.view() == View.SIDE) {
          continue; // half a face hides most of what goes with a mood
        }
        Mood truth = Mood.ofWord(commission.mood().word()).orElseThrow();
        asked++;
        var guess = reader.read(works.get(i).values());
        if (guess.map(MoodReader.Guess::mood).filter(truth::equals).isPresent()) {
          right++;
        }
        var said = reader.told(works.get(i).values());
        told += said.isPresent() ? 1 : 0;
        toldRight += said.filter(truth::equals).isPresent() ? 1 : 0;
        System.out.printf("%s %s %s%n", commission.fileName(), truth, guess);
      }
    }
    System.out.printf("moods: %d of %d right; told %d, right %d%n", right, asked, told, toldRight);
    assertThat(right / (double) asked).isGreaterThan(0.5);
    assertThat(toldRight / (double) told).isGreaterThan(0.7);
  }

  /** What a hand draws like when calm is found though hardly a work is calm. */
  @Test
  void aSaidMoodIsBelieved() {
    List<MeasuredWork> works =
        DemoStudio.odileMarrow().sources().stream()
            .map(c -> work(c).showing(Portrayal.ANY.inMood(Mood.ofWord(c.mood().word()))))
            .toList();
    assertThat(MoodShifts.measures()).isNotEmpty();
    assertThat(MoodReader.of(works).read(works.get(0).values())).isPresent();
  }
}
