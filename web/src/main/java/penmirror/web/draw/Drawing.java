package penmirror.web.draw;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.card.Card;
import penmirror.core.card.Question;
import penmirror.core.coverage.Part;
import penmirror.core.planning.BrushTable;
import penmirror.core.planning.GuidePlan;
import penmirror.core.scoring.Habit;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.StageOrder;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.Checklist;
import penmirror.core.telling.HabitWords;
import penmirror.core.telling.PartFigures;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.look.Showing;
import penmirror.web.plan.OwnItems;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;

/** One drawing beside the page: its stages, its ticks, what to look at. */
@Component
class Drawing {
  private static final int LONGEST_NOTE = 300;
  private static final int LONGEST_KEY = 160;
  private static final int LONGEST_NAME = 40;
  private static final int MOST_SENT = 500;
  private static final int MOST_HABITS = 3;

  /** What a tick is of, for one put off: the note's own name. */
  private static final String LATER = "later:";

  private final SittingStore store;
  private final SheetMaker sheets;
  private final OwnItems ownItems;
  private final Showing showing;
  private final Clock clock;
  private final Hours hours;

  Drawing(
      SittingStore store,
      SheetMaker sheets,
      OwnItems ownItems,
      Showing showing,
      Hours hours,
      Clock clock) {
    this.hours = hours;
    this.clock = clock;
    this.store = store;
    this.sheets = sheets;
    this.ownItems = ownItems;
    this.showing = showing;
  }

  /**
   * Something a hand did.
   *
   * @param key of what was ticked; of a note, the name it was written under
   * @param text of a note; empty for a tick
   * @param stage in which a note comes back, or empty
   * @param ticked whether it is done
   * @param at milliseconds since 1970 by the hand's own clock
   */
  record Done(
      @Nullable String key,
      @Nullable String text,
      @Nullable String stage,
      boolean ticked,
      long at) {}

  /**
   * What stands ticked.
   *
   * @param notes that are not done
   */
  record Standing(Set<String> ticked, List<NoteLine> notes) {}

  /**
   * @param stage in which it comes back, or empty
   */
  record NoteLine(String key, String stage, String text) {}

  /**
   * A stage of the list with how much of it is ticked.
   *
   * @param took how long it took in this drawing, in words; empty where nobody said
   * @param minutes the same as a number
   */
  record StageLine(String stage, boolean here, int ticked, int of, String took, int minutes) {}

  /**
   * @param why the word in message keys
   */
  record TickLine(String key, String text, String why, String tally, boolean ticked) {}

  record PartLine(String part, boolean here) {}

  /**
   * @param card that says most of the part, if one is drawn
   * @param notes that ask for nothing
   */
  record Page(
      List<StageLine> stages,
      String stage,
      List<TickLine> ticks,
      List<PartLine> parts,
      String part,
      List<Showing.Shown> shown,
      List<PartFigures.Figure> figures,
      Optional<String> card,
      List<HabitLine> habits,
      List<NoteLine> notes,
      List<OrderLine> order,
      List<Hours.Took> overAll) {}

  /** A stage of the order, done or left out. */
  record OrderLine(String stage, boolean done) {}

  /** What the hand does again and again. */
  record HabitLine(String miss, String times) {}

  /**
   * @param stage to go to; where one is, if empty
   * @param part to draw now
   */
  @Transactional
  public Page page(Study study, Optional<DrawingStage> stage, Optional<Part> part) {
    SittingStore.Sitting before = store.newest(study.id());
    StageOrder order = hours.order(study);
    DrawingStage wanted = stage.orElse(before.stage());
    DrawingStage now = order.done().contains(wanted) ? wanted : order.done().get(0);
    Part drawn = part.orElse(before.part());
    if (now != before.stage() || drawn != before.part()) {
      store.atHand(before.id(), now, drawn);
    }
    StyleSheet sheet = sheets.plannedOf(study);
    GuidePlan plan = GuidePlan.of(sheet, study.canvas());
    BrushTable brushes = BrushTable.of(sheet, plan.headPixels());
    Set<String> ticked = store.ticked(before.id());
    List<SittingStore.Note> notes = store.notes(study.id(), before);
    List<Checklist.Item> items =
        new ArrayList<>(Checklist.of(sheet, plan, brushes, ownItems.of(study)).items());
    List<TickLine> all = new ArrayList<>();
    List<StageLine> stages = new ArrayList<>();
    Map<DrawingStage, Integer> minutes = hours.minutes(before.id());
    for (DrawingStage each : order.done()) {
      List<TickLine> lines = lines(each, items, notes, ticked);
      int done = (int) lines.stream().filter(TickLine::ticked).count();
      int took = minutes.getOrDefault(each, 0);
      stages.add(
          new StageLine(
              each.word(),
              each == now,
              done,
              lines.size(),
              took == 0 ? "" : Hours.told(took),
              took));
      if (each == now) {
        all.addAll(lines);
      }
    }
    return new Page(
        stages,
        now.word(),
        all,
        parts(drawn),
        drawn.word(),
        showing.of(study, drawn),
        PartFigures.of(sheet, plan, brushes, drawn),
        card(sheet, drawn),
        habits(study, drawn),
        notes.stream().filter(note -> note.stage().isEmpty()).map(Drawing::line).toList(),
        order.stages().stream()
            .map(each -> new OrderLine(each.word(), !order.leftOut().contains(each)))
            .toList(),
        hours.overAll());
  }

  private static Optional<String> card(StyleSheet sheet, Part part) {
    return Question.of(part)
        .filter(
            asks -> Card.of(asks, sheet, Card.Beside.NOTHING).flatMap(Card::drawing).isPresent())
        .map(Question::word);
  }

  /** Of the part at hand; where there is none, of the whole. */
  private List<HabitLine> habits(Study study, Part part) {
    Loaded loaded = sheets.load(study);
    List<Habit> all = loaded.habits();
    List<Habit> here = all.stream().filter(habit -> part.concerns(habit.measure())).toList();
    return (here.isEmpty() ? all : here)
        .stream()
            .limit(MOST_HABITS)
            .map(habit -> new HabitLine(HabitWords.miss(habit), HabitWords.times(habit)))
            .toList();
  }

  private static List<TickLine> lines(
      DrawingStage stage,
      List<Checklist.Item> items,
      List<SittingStore.Note> notes,
      Set<String> ticked) {
    List<TickLine> lines = new ArrayList<>();
    items.stream()
        .filter(item -> item.stage() == stage)
        .map(
            item ->
                new TickLine(
                    item.key(),
                    item.text(),
                    item.why().word(),
                    item.tally(),
                    ticked.contains(item.key())))
        .forEach(lines::add);
    notes.stream()
        .filter(note -> note.stage().filter(of -> of == stage).isPresent())
        .map(note -> new TickLine(LATER + note.sentAs(), note.text(), "later", "", note.done()))
        .forEach(lines::add);
    return lines;
  }

  private static List<PartLine> parts(Part here) {
    List<PartLine> parts = new ArrayList<>();
    for (Part part : Part.values()) {
      parts.add(new PartLine(part.word(), part == here));
    }
    return parts;
  }

  private static NoteLine line(SittingStore.Note note) {
    return new NoteLine(
        note.sentAs(), note.stage().map(DrawingStage::word).orElse(""), note.text());
  }

  /** Everything that a hand did since it was last heard of, in its order. */
  @Transactional
  public Standing take(Study study, List<Done> done) {
    if (done.size() > MOST_SENT) {
      throw new RefusedException("draw.many", MOST_SENT);
    }
    SittingStore.Sitting sitting = store.newest(study.id());
    for (Done one : done) {
      String key = one.key() == null ? "" : one.key();
      if (key.isBlank() || key.length() > LONGEST_KEY) {
        throw new RefusedException("draw.key.wrong", Texts.cut(key, LONGEST_NAME));
      }
      String text = one.text() == null ? "" : Texts.cut(one.text(), LONGEST_NOTE);
      if (!text.isEmpty()) {
        store.write(study.id(), Texts.cut(key, LONGEST_NAME), stage(one), text);
      } else if (key.startsWith(LATER)) {
        store.finish(study.id(), key.substring(LATER.length()), one.ticked());
      } else {
        store.tick(sitting.id(), key, one.ticked(), instant(one.at()));
      }
    }
    return standing(study, sitting);
  }

  /** What stands ticked now, whichever window did it. */
  @Transactional
  public Standing standing(Study study) {
    return standing(study, store.newest(study.id()));
  }

  private Standing standing(Study study, SittingStore.Sitting sitting) {
    Set<String> ticked = new TreeSet<>(store.ticked(sitting.id()));
    List<NoteLine> open = new ArrayList<>();
    for (SittingStore.Note note : store.notes(study.id(), sitting)) {
      if (note.done()) {
        ticked.add(LATER + note.sentAs());
      } else {
        open.add(line(note));
      }
    }
    return new Standing(ticked, open);
  }

  private static Optional<DrawingStage> stage(Done one) {
    return Optional.ofNullable(one.stage()).flatMap(DrawingStage::ofWord);
  }

  /** No later than now: a clock that is fast must not win over every tick to come. */
  private Instant instant(long millis) {
    Instant now = clock.instant();
    return millis < 0 || millis > now.toEpochMilli() ? now : Instant.ofEpochMilli(millis);
  }

  @Transactional
  public void beginAnew(Study study) {
    store.begin(study.id());
  }

  /** From another page's list: comes back in its stage. */
  @Transactional
  public void later(Study study, DrawingStage stage, String text) {
    String plain = Texts.cut(text, LONGEST_NOTE);
    if (plain.isEmpty()) {
      throw new RefusedException("draw.note.empty");
    }
    String name = stage.word() + ":" + Integer.toHexString(plain.hashCode());
    store.write(study.id(), name, Optional.of(stage), plain);
    store.finish(study.id(), name, false);
  }
}
