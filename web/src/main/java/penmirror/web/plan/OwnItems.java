package penmirror.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.style.DrawingStage;
import penmirror.core.telling.Checklist;
import penmirror.core.telling.Checklist.Why;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.WallStore;

/** What a drawing has to remember that no work tells: what is kept, and what is improvised. */
@Component
public class OwnItems {
  private final PlanStore store;
  private final WallStore places;
  private final ScopeStore scopes;
  private final MessageSource messages;

  OwnItems(PlanStore store, WallStore places, ScopeStore scopes, MessageSource messages) {
    this.store = store;
    this.places = places;
    this.scopes = scopes;
    this.messages = messages;
  }

  /** Must-keeps first. */
  public List<Checklist.Item> of(Study study) {
    List<Checklist.Item> items = new ArrayList<>();
    for (String words : store.mustKeeps(study.id())) {
      items.add(item("must:" + words, DrawingStage.SKETCH, text("draw.keep", words), Why.KEEP));
    }
    store.colours(study.id()).stream()
        .filter(PlanStore.SaidColour::kept)
        .forEach(
            colour ->
                items.add(
                    item(
                        "keep:" + colour.name(),
                        DrawingStage.FLATS,
                        text("draw.keep.colour", colour.name()),
                        Why.KEEP)));
    for (ScopeStore.WayOut way : scopes.waysOut(study.id())) {
      items.add(
          item(
              "way:" + way.trait(),
              DrawingStage.SKETCH,
              text("draw.way", text("trait." + way.trait()), text("way." + way.way()), way.note()),
              Why.GAP));
    }
    for (WallStore.Improvised gap : places.improvised(study.id())) {
      String what =
          gap.part().isEmpty()
              ? text("plan.gap.view", text("view." + gap.view()))
              : text("part." + gap.part());
      items.add(
          item(
              "gap:" + gap.part() + ":" + gap.view(),
              DrawingStage.SKETCH,
              text("draw.gap", what, gap.note()),
              Why.GAP));
    }
    return items;
  }

  private static Checklist.Item item(String key, DrawingStage stage, String text, Why why) {
    return new Checklist.Item(key, stage, text.strip(), why, "");
  }

  private String text(String key, Object... about) {
    return messages.getMessage(key, about, Locale.ENGLISH);
  }
}
