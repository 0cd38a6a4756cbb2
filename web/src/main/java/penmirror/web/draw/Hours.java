package penmirror.web.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.StageOrder;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;

/** The stages in the user's order, and how long each took. */
@Component
class Hours {
  private static final int MOST_MINUTES = 6000;

  private final HoursStore store;
  private final SittingStore sittings;
  private final ScopeStore scopes;

  Hours(HoursStore store, SittingStore sittings, ScopeStore scopes) {
    this.store = store;
    this.sittings = sittings;
    this.scopes = scopes;
  }

  /** As the user ordered them, else as the illustrator was seen to work, else as usual. */
  StageOrder order(Study study) {
    return store
        .order(study.id())
        .orElseGet(
            () ->
                StageOrder.asSeen(
                    scopes.processNotes(study.id()).stream()
                        .flatMap(note -> seen(note.stage()).stream())
                        .toList()));
  }

  private static Optional<DrawingStage> seen(String word) {
    return switch (word) {
      case "gesture", "rough", "sketch" -> Optional.of(DrawingStage.SKETCH);
      case "line" -> Optional.of(DrawingStage.LINE);
      case "flats" -> Optional.of(DrawingStage.FLATS);
      case "shade-blend", "shade-picked" -> Optional.of(DrawingStage.SHADE);
      case "effects" -> Optional.of(DrawingStage.EFFECTS);
      default -> Optional.empty();
    };
  }

  /**
   * @param how earlier, later, out or in
   */
  @Transactional
  public void change(Study study, DrawingStage stage, String how) {
    StageOrder before = order(study);
    StageOrder after =
        switch (how) {
          case "earlier" -> before.moved(stage, true);
          case "later" -> before.moved(stage, false);
          case "out" -> before.with(stage, false);
          case "in" -> before.with(stage, true);
          default -> throw new RefusedException("fault.form.word", Texts.cut(how, 40));
        };
    store.order(study.id(), after);
  }

  /** In the newest drawing; what was said of the stage before is replaced. */
  @Transactional
  public void took(Study study, DrawingStage stage, String minutes) {
    int typed;
    try {
      typed = Integer.parseInt(minutes.strip());
    } catch (NumberFormatException e) {
      throw new RefusedException("draw.minutes.wrong", Texts.cut(minutes, 20));
    }
    if (typed < 0 || typed > MOST_MINUTES) {
      throw new RefusedException("draw.minutes.wrong", Texts.cut(minutes, 20));
    }
    store.took(sittings.newest(study.id()).id(), stage, typed);
  }

  Map<DrawingStage, Integer> minutes(long sittingId) {
    return store.minutes(sittingId);
  }

  /** Over every drawing of every study, such as "sketch 2 h 10, line 45 min"; empty for none. */
  List<Took> overAll() {
    List<Took> all = new ArrayList<>();
    store.minutesOfAll().forEach((stage, took) -> all.add(new Took(stage.word(), told(took))));
    return all;
  }

  /** How long a stage took. */
  record Took(String stage, String took) {}

  /** Such as "45 min" and "2 h 10". */
  static String told(int minutes) {
    return minutes < 60
        ? String.format(Locale.ROOT, "%d min", minutes)
        : String.format(Locale.ROOT, "%d h %02d", minutes / 60, minutes % 60);
  }
}
