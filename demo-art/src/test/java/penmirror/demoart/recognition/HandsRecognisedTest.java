package penmirror.demoart.recognition;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** By pixels alone, a picture of each demo hand scores highest under the rules of that hand. */
class HandsRecognisedTest {
  /** Every so many works one is asked; the others make the rules. One hand works in two manners. */
  private static final int ASKED = 3;

  private static final double SCALE = 0.5;

  @Test
  void everyPictureGoesToItsHand() {
    Map<String, List<MeasuredWork>> hands = new LinkedHashMap<>();
    hands.put("Odile Marrow", works(DemoStudio.odileMarrow().sources()));
    hands.put("Casimir", works(DemoStudio.casimirThole().sources()));
    hands.put("Ines", works(DemoStudio.inesVantour().sources()));
    hands.put("own", works(DemoStudio.ownHand()));
    Map<String, StyleSheet> sheets = new LinkedHashMap<>();
    hands.forEach(
        (hand, works) -> sheets.put(hand, StyleSheet.of(hand, View.FRONT, every(works, false))));
    List<String> wrong = new ArrayList<>();
    hands.forEach(
        (hand, works) -> {
          for (MeasuredWork work : every(works, true)) {
            String first =
                sheets.entrySet().stream()
                    .max(
                        Comparator.comparingDouble(
                            sheet -> Scorer.ownPoints(sheet.getValue(), work).orElseThrow()))
                    .orElseThrow()
                    .getKey();
            if (!first.equals(hand)) {
              wrong.add(work.title() + " of " + hand + " went to " + first);
            }
          }
        });
    assertThat(wrong).isEmpty();
  }

  private static List<MeasuredWork> every(List<MeasuredWork> works, boolean asked) {
    return IntStream.range(0, works.size())
        .filter(i -> (i % ASKED == ASKED - 1) == asked)
        .mapToObj(works::get)
        .toList();
  }

  private static List<MeasuredWork> works(List<Commission> commissions) {
    return commissions.parallelStream()
        .map(
            commission -> {
              Picture picture = Picture.from(Illustration.of(commission, SCALE).image());
              return MeasuredWork.of(
                  commission.fileName(),
                  commission.title(),
                  "",
                  new Evidence(
                      Marks.none(View.FRONT), Optional.of(new PixelReader().read(picture))));
            })
        .toList();
  }
}
