package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import penmirror.core.OpenArt;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/**
 * Whether rules made by machine alone tell the three manners of the open heads apart: eight heads
 * make the rules, the other four of each manner are asked, ten times with other draws.
 */
class RecognitionTest {
  private static final int REFERENCES = 8;
  private static final int ROUNDS = 10;
  private static final Map<String, List<MeasuredWork>> MANNERS = new TreeMap<>();

  @BeforeAll
  static void readTheHeads() {
    for (String head : OpenArt.heads()) {
      MeasuredWork work =
          MeasuredWork.of(
              head,
              head,
              "",
              new Evidence(Marks.none(View.FRONT), Optional.of(OpenArt.readings(head))));
      MANNERS.computeIfAbsent(head.replaceAll("-\\d+", ""), manner -> new ArrayList<>()).add(work);
    }
  }

  @Test
  void aHeadScoresHighestUnderItsOwnManner() {
    assertThat(MANNERS).hasSize(3);
    assertThat(shareRecognised(MANNERS)).isGreaterThanOrEqualTo(0.95);
  }

  /** Template heads sit in the same place: without placing it must nearly hold as well. */
  @Test
  void alsoWithoutWhereThingsSit() {
    Map<String, List<MeasuredWork>> unplaced = new TreeMap<>();
    MANNERS.forEach(
        (manner, works) ->
            unplaced.put(
                manner,
                works.stream()
                    .map(work -> work.without(m -> m.group() == MeasureGroup.LAYOUT))
                    .toList()));
    assertThat(shareRecognised(unplaced)).isGreaterThanOrEqualTo(0.9);
  }

  private static double shareRecognised(Map<String, List<MeasuredWork>> manners) {
    Random random = new Random(12);
    int asked = 0;
    int recognised = 0;
    for (int round = 0; round < ROUNDS; round++) {
      Map<String, StyleSheet> sheets = new TreeMap<>();
      Map<String, List<MeasuredWork>> others = new TreeMap<>();
      manners.forEach(
          (manner, works) -> {
            List<MeasuredWork> drawn = new ArrayList<>(works);
            Collections.shuffle(drawn, random);
            sheets.put(manner, StyleSheet.of(manner, View.FRONT, drawn.subList(0, REFERENCES)));
            others.put(manner, drawn.subList(REFERENCES, drawn.size()));
          });
      for (Map.Entry<String, List<MeasuredWork>> entry : others.entrySet()) {
        for (MeasuredWork work : entry.getValue()) {
          String first =
              sheets.entrySet().stream()
                  .max(
                      Comparator.comparingDouble(
                          sheet -> Scorer.ownPoints(sheet.getValue(), work).orElseThrow()))
                  .orElseThrow()
                  .getKey();
          asked++;
          recognised += first.equals(entry.getKey()) ? 1 : 0;
        }
      }
    }
    return recognised / (double) asked;
  }
}
