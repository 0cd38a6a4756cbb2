package penmirror.demoart.listing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.Reading;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.scoring.ActScore;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.RuleScore;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.FixWords;
import penmirror.demoart.reading.DemoRead;
import penmirror.demoart.reading.DemoRead.Seen;

/**
 * Every reading, rule and score of the demo as it was when the listing was last written. A change
 * of the code that is not meant to change a number changes none here; one that is meant to says in
 * its commit which and why.
 *
 * <p>Written anew with {@code mvn -pl demo-art -am test -Dtest=DemoListingTest -Dlisting.write=true
 * -Dsurefire.failIfNoSpecifiedTests=false}.
 */
class DemoListingTest {
  private static final Path PLACE = Path.of("src/test/resources/listing/demo.txt");

  private static final int DIGITS = 5;
  private static final double TOO_SMALL_TO_TELL = 1e-9;

  @Test
  void everyNumberOfTheDemoIsWhatItWas() throws IOException {
    List<String> now = listing();
    if (Boolean.getBoolean("listing.write")) {
      Files.write(PLACE, now);
    }
    List<String> before;
    try (InputStream stream = getClass().getResourceAsStream("/listing/demo.txt")) {
      before = new String(stream.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
    List<String> different = new ArrayList<>(now);
    different.removeAll(new HashSet<>(before));
    assertThat(different).as("lines that differ, as they are now").isEmpty();
    assertThat(now).hasSameSizeAs(before);
  }

  private static List<String> listing() {
    List<String> lines = new ArrayList<>();
    for (DemoRead.Hand hand :
        List.of(DemoRead.ODILE, DemoRead.CASIMIR, DemoRead.INES, DemoRead.OWN)) {
      list(hand.name(), hand.sources(), hand.redraws(), lines);
    }
    return lines;
  }

  private static void list(
      String hand, List<Seen> sources, List<Seen> redraws, List<String> lines) {
    for (Seen seen : Stream.concat(sources.stream(), redraws.stream()).toList()) {
      MeasureCatalogue.readAll(seen.evidence())
          .forEach(
              (measure, result) ->
                  lines.add(
                      seen.commission().fileName()
                          + " "
                          + measure.key()
                          + " "
                          + result.fold(
                              reading -> number(reading.value()) + " ± " + error(reading),
                              none -> none.reason().name())));
    }
    StyleSheet sheet = StyleSheet.of(hand, View.FRONT, sources.stream().map(Seen::work).toList());
    for (Rule rule : sheet.rules()) {
      lines.add(
          String.join(
              " ",
              hand,
              "rule",
              rule.measure().key(),
              number(rule.centre()),
              number(rule.spread()),
              number(rule.tolerance()),
              String.valueOf(rule.readingCount()),
              rule.strength().name(),
              number(rule.weight())));
    }
    Scorer scorer = new Scorer(sheet);
    for (Seen redraw : redraws) {
      String name = redraw.commission().fileName();
      Score score = scorer.score(redraw.evidence());
      lines.add(name + " overall " + score.overall().map(DemoListingTest::number).orElse("none"));
      lines.add(name + " coverage " + number(score.coverage()));
      lines.add(
          name + " by the rules " + score.byRules().map(DemoListingTest::number).orElse("none"));
      lines.add(
          name + " at a glance " + score.glance().map(DemoListingTest::number).orElse("none"));
      new TreeMap<>(score.groups())
          .forEach(
              (g, share) ->
                  lines.add(name + " " + g + " " + number(100 * share.points() / share.of())));
      for (ActScore act : score.acts()) {
        lines.add(
            name
                + " act "
                + act.act().key()
                + " "
                + act.credit().map(DemoListingTest::number).orElse("none"));
      }
      for (RuleScore rule : score.rules()) {
        lines.add(
            name
                + " credit "
                + rule.rule().measure().key()
                + " "
                + rule.credit().map(DemoListingTest::number).orElse("none"));
      }
      for (Fix fix : score.fixes()) {
        lines.add(
            name
                + " fix "
                + number(fix.pointsGained())
                + " "
                + fix.key()
                + " "
                + FixWords.instruction(fix));
      }
    }
  }

  private static String error(Reading reading) {
    if (reading.standardError().isEmpty()) {
      return "unknown";
    }
    double error = reading.standardError().getAsDouble();
    return error < TOO_SMALL_TO_TELL ? "0" : number(error);
  }

  /** To five digits: what the last ones say is the machine's rounding. */
  private static String number(double value) {
    return value == 0 || !Double.isFinite(value)
        ? Double.toString(value)
        : new BigDecimal(value)
            .round(new MathContext(DIGITS))
            .toPlainString()
            .toLowerCase(Locale.ROOT);
  }
}
