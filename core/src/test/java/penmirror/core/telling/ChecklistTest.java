package penmirror.core.telling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import penmirror.core.act.Acts;
import penmirror.core.coverage.Part;
import penmirror.core.figure.Canon;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.planning.BrushTable;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.telling.Checklist.Item;
import penmirror.core.telling.Checklist.Why;

/** The realistic adult, seven and a half heads tall, as the style that is drawn after. */
class ChecklistTest {
  private static final Canvas CANVAS = new Canvas(2400, 3200);
  private static final Item SCARF =
      new Item("keep:Scarf", DrawingStage.FLATS, "Scarf stays.", Why.KEEP, "");

  private final StyleSheet sheet = sheet();
  private final GuidePlan plan = GuidePlan.of(sheet, CANVAS);
  private final BrushTable brushes =
      BrushTable.of(
          new MeasuredWork(
              "1",
              "Work",
              "",
              View.FRONT,
              Map.<Measure, Double>of(LineMeasures.WIDTH, 20.0, LineMeasures.OUTLINE_INNER, 2.0),
              List.of()),
          plan.headPixels());

  private static StyleSheet sheet() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      works.add(
          MeasuredWork.of("" + i, "Work", "", new Evidence(Canon.realistic(), Optional.empty())));
    }
    return StyleSheet.of("The adult", View.FRONT, works)
        .makingOrBreaking(
            List.of(Acts.byKey("heads-tall").orElseThrow(), Acts.ofStatement("no-nails")))
        .stating(
            List.of(
                new Ticked("no-nails", "No fingernails.", DrawingStage.LINE, 4, 0),
                new Ticked("patch", "Ground is a patch.", DrawingStage.EFFECTS, 0, 4),
                new Ticked("freckles", "Freckles.", DrawingStage.FLATS, 2, 2)));
  }

  private List<Item> items() {
    return Checklist.of(sheet, plan, brushes, List.of(SCARF)).items();
  }

  private Item item(String key) {
    return items().stream().filter(of -> of.key().equals(key)).findFirst().orElseThrow();
  }

  @Test
  void theGuideStandsInPixelsOfTheCanvas() {
    double head = plan.headPixels();
    assertThat(item("guide:head").text())
        .isEqualTo(
            "Crown at "
                + BrushWords.pixels(plan.crownPixels())
                + " px, chin at "
                + BrushWords.pixels(plan.crownPixels() + head)
                + " px.");
    assertThat(item("guide:ground").text()).contains("2,976");
    assertThat(item("guide:eyes").stage()).isEqualTo(DrawingStage.SKETCH);
    assertThat(item("brush:lines").text()).startsWith("Outline ").contains(", inner lines ");
    assertThat(item("brush:lines").stage()).isEqualTo(DrawingStage.LINE);
  }

  @Test
  void whatMakesOrBreaksIsNamedSoWithItsTally() {
    Item tall = item("act:heads-tall");
    assertThat(tall.why()).isEqualTo(Why.SIGNATURE);
    assertThat(tall.tally()).isEqualTo("4 of 4");
    assertThat(tall.text()).contains("heads tall");
    Item nails = item("statement:no-nails");
    assertThat(nails.why()).isEqualTo(Why.SIGNATURE);
    assertThat(nails.stage()).isEqualTo(DrawingStage.LINE);
    Item patch = item("statement:patch");
    assertThat(patch.why()).isEqualTo(Why.STATEMENT);
    assertThat(patch.tally()).isEqualTo("4 of 4");
    assertThat(patch.text()).startsWith("Never");
  }

  /** What is as often so as not says nothing; what is the user's own stands in its stage. */
  @Test
  void onlyWhatSaysSomethingStandsThere() {
    assertThat(items()).extracting(Item::key).doesNotContain("statement:freckles");
    assertThat(items()).contains(SCARF);
  }

  @Test
  void stagesComeInOrderAndNoKeyTwice() {
    List<Item> items = items();
    assertThat(items).isSortedAccordingTo(Comparator.comparing(Item::stage));
    Set<String> keys = new HashSet<>();
    items.forEach(of -> assertThat(keys.add(of.key())).as(of.key()).isTrue());
    for (DrawingStage stage : DrawingStage.values()) {
      assertThat(items.stream().filter(of -> of.stage() == stage && of.why() == Why.FIRM))
          .hasSizeLessThanOrEqualTo(2);
    }
  }

  /** Nothing known: what anybody does with any drawing is all that is left. */
  @Test
  void withoutRulesOnlyPracticeIsLeft() {
    StyleSheet nobody = StyleSheet.of("Nobody", View.FRONT, List.of());
    GuidePlan empty = GuidePlan.of(nobody, CANVAS);
    Checklist list =
        Checklist.of(nobody, empty, BrushTable.of(nobody, empty.headPixels()), List.of());
    assertThat(list.items())
        .allMatch(of -> of.why() == Why.PRACTICE || of.key().equals("guide:head"));
  }

  /** Four at most, each with a value, and never one twice. */
  @ParameterizedTest
  @EnumSource
  void everyPartHasAFewFigures(Part part) {
    List<PartFigures.Figure> figures = PartFigures.of(sheet, plan, brushes, part);
    assertThat(figures).hasSizeLessThanOrEqualTo(4).doesNotHaveDuplicates();
    assertThat(figures)
        .allSatisfy(
            figure -> {
              assertThat(figure.value()).matches("[\\d.,−-]+( × [\\d.,]+)? ?(px|°)");
              assertThat(figure.name()).isNotBlank();
            });
  }

  /** Five eyes across a face three quarters as wide as the head is high. */
  @Test
  void theEyesAreTheGuides() {
    double eye = 0.2 * 0.75 * plan.headPixels();
    assertThat(PartFigures.of(sheet, plan, brushes, Part.EYES))
        .contains(new PartFigures.Figure(BrushWords.pixels(eye) + " px", "between the eyes"))
        .first()
        .extracting(PartFigures.Figure::name)
        .isEqualTo("Eye line, from the top");
  }
}
