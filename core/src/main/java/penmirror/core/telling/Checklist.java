package penmirror.core.telling;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.planning.BrushTable;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Kind;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.Rule;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.words.Wording;

/**
 * What a hand has to remember at each stage of one drawing: where the guide's lines are, what makes
 * or breaks the style, what its works always or never do, and what is the user's own.
 *
 * @param items by stage; within one, what is set out first and what is tried last
 */
public record Checklist(List<Item> items) {
  /** Beyond what makes or breaks, so many of the firmest acts a stage: more nobody keeps. */
  private static final int MOST_FIRM = 2;

  public Checklist {
    items = List.copyOf(items);
  }

  /** Why something stands on the list. In the order in which it stands there. */
  public enum Why {
    GUIDE,
    BRUSH,
    SIGNATURE,
    /** The user's own, which stays. */
    KEEP,
    /** Never seen in the works, and drawn all the same. */
    GAP,
    STATEMENT,
    FIRM,
    /** As many do with every drawing; common practice. */
    PRACTICE;

    /** The word used in message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * One thing to tick.
   *
   * @param key stays the same for as long as it is about the same
   * @param tally how many works hold to it, such as "11 of 12"; empty where that says nothing
   */
  public record Item(String key, DrawingStage stage, String text, Why why, String tally) {}

  /**
   * @param own what the user keeps, and what the works never show
   */
  public static Checklist of(StyleSheet sheet, GuidePlan plan, BrushTable brushes, List<Item> own) {
    List<Item> items = new ArrayList<>(guide(plan));
    brush(brushes).ifPresent(items::add);
    for (Act act : sheet.makeOrBreak()) {
      // A statement stands with how the works hold to it.
      if (act.statement().isEmpty()) {
        act(sheet, act, Why.SIGNATURE).ifPresent(items::add);
      }
    }
    items.addAll(own);
    sheet.statements().stream()
        .filter(ticked -> ticked.holds() != Ticked.Holds.FREE)
        .map(ticked -> statement(sheet, ticked))
        .forEach(items::add);
    items.addAll(firm(sheet));
    items.add(practice("flip", DrawingStage.SKETCH));
    items.add(practice("grey", DrawingStage.SHADE));
    items.add(practice("credit", DrawingStage.EFFECTS));
    items.sort(Comparator.comparing(Item::stage).thenComparing(Item::why));
    return new Checklist(items);
  }

  private static List<Item> guide(GuidePlan plan) {
    List<Item> items = new ArrayList<>();
    add(items, "head", List.of(plan.height(Kind.CROWN), plan.height(Kind.CHIN)));
    add(items, "eyes", List.of(plan.height(Kind.EYES)));
    plan.eyes()
        .ifPresent(
            eyes ->
                add(
                    items,
                    "opening",
                    List.of(
                        Optional.of(eyes.widthPixels()),
                        eyes.heightPixels(),
                        Optional.of(eyes.gapPixels()))));
    add(items, "ground", List.of(plan.height(Kind.GROUND)));
    return items;
  }

  /** Only where every figure of it is known. */
  private static void add(List<Item> items, String key, List<Optional<Double>> pixels) {
    if (pixels.stream().allMatch(Optional::isPresent)) {
      Object[] told = pixels.stream().map(p -> BrushWords.pixels(p.orElseThrow())).toArray();
      items.add(
          new Item(
              "guide:" + key,
              DrawingStage.SKETCH,
              Wording.text("check." + key, told),
              Why.GUIDE,
              ""));
    }
  }

  private static Optional<Item> brush(BrushTable brushes) {
    return brushes.lines().isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Item("brush:lines", DrawingStage.LINE, BrushWords.all(brushes), Why.BRUSH, ""));
  }

  private static Optional<Item> act(StyleSheet sheet, Act act, Why why) {
    return ActWords.sentence(sheet, act)
        .map(
            sentence ->
                new Item("act:" + act.key(), stage(act.group()), sentence, why, tally(sheet, act)));
  }

  private static String tally(StyleSheet sheet, Act act) {
    return sheet.rules(act).stream()
        .findFirst()
        .map(rule -> Wording.text("check.tally", sheet.kept(rule), rule.readingCount()))
        .orElse("");
  }

  private static Item statement(StyleSheet sheet, Ticked ticked) {
    boolean makesOrBreaks =
        sheet.makeOrBreak().stream()
            .anyMatch(act -> act.statement().filter(ticked.key()::equals).isPresent());
    return new Item(
        "statement:" + ticked.key(),
        ticked.stage(),
        ActWords.sentence(ticked),
        makesOrBreaks ? Why.SIGNATURE : Why.STATEMENT,
        Wording.text("check.tally", Math.max(ticked.yes(), ticked.no()), ticked.answered()));
  }

  /** The firmest acts of a stage that do not make or break, those that weigh most first. */
  private static List<Item> firm(StyleSheet sheet) {
    List<Item> items = new ArrayList<>();
    for (DrawingStage stage : DrawingStage.values()) {
      sheet.acts().stream()
          .filter(act -> act.statement().isEmpty() && stage(act.group()) == stage)
          .filter(act -> !sheet.makeOrBreak().contains(act))
          .filter(act -> lead(sheet, act).filter(r -> r.strength() == Strength.ALWAYS).isPresent())
          .sorted(Comparator.comparingDouble(act -> -lead(sheet, act).orElseThrow().weight()))
          .flatMap(act -> act(sheet, act, Why.FIRM).stream())
          .limit(MOST_FIRM)
          .forEach(items::add);
    }
    return items;
  }

  private static Optional<Rule> lead(StyleSheet sheet, Act act) {
    return sheet.rules(act).stream().findFirst();
  }

  private static Item practice(String key, DrawingStage stage) {
    return new Item("practice:" + key, stage, Wording.text("check." + key), Why.PRACTICE, "");
  }

  /** At which stage an act is done. */
  public static DrawingStage stage(ActGroup group) {
    return switch (group) {
      case PROPORTION, FACE, SHAPE, TICKS -> DrawingStage.SKETCH;
      case LINE -> DrawingStage.LINE;
      case COLOUR -> DrawingStage.FLATS;
      case SHADE -> DrawingStage.SHADE;
    };
  }
}
