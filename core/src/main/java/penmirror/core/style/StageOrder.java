package penmirror.core.style;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * In which order a hand goes through the stages of a drawing, and which of them it does without.
 *
 * @param stages every stage once
 * @param leftOut those that are not done, such as the line where one paints over
 */
public record StageOrder(List<DrawingStage> stages, Set<DrawingStage> leftOut) {

  public StageOrder {
    stages = List.copyOf(stages);
    leftOut = Set.copyOf(leftOut);
    if (stages.size() != DrawingStage.values().length
        || !EnumSet.copyOf(stages).equals(EnumSet.allOf(DrawingStage.class))) {
      throw new IllegalArgumentException("An order names every stage once, got " + stages + ".");
    }
  }

  /**
   * As somebody was seen to work: stages in the order first seen, the others where they usually
   * come, after the one that usually comes before them.
   */
  public static StageOrder asSeen(List<DrawingStage> seen) {
    List<DrawingStage> stages = new ArrayList<>(seen.stream().distinct().toList());
    for (DrawingStage stage : DrawingStage.values()) {
      if (!stages.contains(stage)) {
        int before =
            stage.ordinal() == 0 ? -1 : stages.indexOf(DrawingStage.values()[stage.ordinal() - 1]);
        stages.add(before + 1, stage);
      }
    }
    return new StageOrder(stages, Set.of());
  }

  public static StageOrder usual() {
    return new StageOrder(Arrays.asList(DrawingStage.values()), Set.of());
  }

  /** One stage earlier by one place, or later; at the end of the list it stays. */
  public StageOrder moved(DrawingStage stage, boolean earlier) {
    List<DrawingStage> changed = new ArrayList<>(stages);
    int at = changed.indexOf(stage);
    int to = earlier ? at - 1 : at + 1;
    if (to >= 0 && to < changed.size()) {
      changed.remove(at);
      changed.add(to, stage);
    }
    return new StageOrder(changed, leftOut);
  }

  /** With one stage left out, or taken up again; one stage at least is always done. */
  public StageOrder with(DrawingStage stage, boolean done) {
    Set<DrawingStage> out = EnumSet.noneOf(DrawingStage.class);
    out.addAll(leftOut);
    if (done) {
      out.remove(stage);
    } else if (out.size() < stages.size() - 1) {
      out.add(stage);
    }
    return new StageOrder(stages, out);
  }

  /** Those that are done, in order. */
  public List<DrawingStage> done() {
    return stages.stream().filter(stage -> !leftOut.contains(stage)).toList();
  }
}
