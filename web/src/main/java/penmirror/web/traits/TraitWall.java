package penmirror.web.traits;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.act.Act;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.PartFrame;
import penmirror.core.figure.Marks;
import penmirror.core.style.Signature;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.telling.ActWords;
import penmirror.web.evidence.TickStore;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.measure.Statements;
import penmirror.web.sheets.BaseLines;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Asks one statement of every work, each shown by the part the statement is about. */
@Component
class TraitWall {
  private final TickStore ticks;
  private final Statements statements;
  private final SheetMaker sheets;
  private final BaseLines baseLines;

  TraitWall(TickStore ticks, Statements statements, SheetMaker sheets, BaseLines baseLines) {
    this.ticks = ticks;
    this.statements = statements;
    this.sheets = sheets;
    this.baseLines = baseLines;
  }

  /**
   * @param stock every statement, by part
   * @param suggested acts that stand out and are not yet said to make or break the style
   */
  record Page(
      TickStore.Statement asked,
      List<Tile> tiles,
      Tally tally,
      List<Group> stock,
      List<Suggestion> suggested) {}

  /**
   * @param view the piece of the picture to show, as an SVG has it
   * @param answer yes, no or unclear; empty where nobody said
   */
  record Tile(Work work, String view, String answer) {}

  /**
   * @param holds always, usually, seldom, never or free; empty before the first answer
   * @param low of the share in all their works, in hundredths, as far as so few can tell
   */
  record Tally(int yes, int no, int asked, String holds, int low, int high) {
    static final Tally NONE = new Tally(0, 0, 0, "", 0, 100);
  }

  record Group(Part part, List<Row> rows) {}

  record Row(TickStore.Statement statement, Optional<Tally> tally) {}

  record Suggestion(Act act, String sentence, int kept, int works) {}

  /** The statement asked for, else the first that not every work has an answer to. */
  Page page(Study study, Optional<String> key) {
    Loaded loaded = sheets.load(study);
    List<Work> works = counting(loaded);
    List<TickStore.Statement> all = ticks.statements();
    Map<String, Ticked> ticked = new HashMap<>();
    ticks.ofStudy(study.id()).forEach(t -> ticked.put(t.key(), t));
    TickStore.Statement asked =
        key.map(
                k ->
                    all.stream()
                        .filter(s -> s.key().equals(k))
                        .findFirst()
                        .orElseThrow(
                            () -> new RefusedException("fault.form.word", Texts.cut(k, 40))))
            .or(() -> firstOpen(all, ticked, works.size()))
            .orElse(all.get(0));
    Map<Long, String> answers = ticks.answersTo(study.id(), asked.key());
    List<Tile> tiles = new ArrayList<>();
    for (Work work : works) {
      tiles.add(new Tile(work, view(loaded, work, asked), answers.getOrDefault(work.id(), "")));
    }
    return new Page(
        asked,
        tiles,
        tally(Optional.ofNullable(ticked.get(asked.key())), works.size()),
        stock(all, ticked, works.size()),
        suggested(study, loaded));
  }

  private static Optional<TickStore.Statement> firstOpen(
      List<TickStore.Statement> all, Map<String, Ticked> ticked, int works) {
    return all.stream()
        .filter(s -> !ticked.containsKey(s.key()) || ticked.get(s.key()).answered() < works)
        .findFirst();
  }

  /** One answer; empty takes it away. */
  @Transactional
  public Tally answer(Study study, Work work, String key, String answer) {
    statements.answer(work, key, answer);
    int works = counting(sheets.load(study)).size();
    return tally(
        ticks.ofStudy(study.id()).stream().filter(t -> t.key().equals(key)).findFirst(), works);
  }

  private static List<Work> counting(Loaded loaded) {
    return loaded.inRole(Work.Role.SOURCE).stream().filter(work -> !work.leftOut()).toList();
  }

  private static Tally tally(Optional<Ticked> ticked, int works) {
    return ticked
        .map(
            t ->
                new Tally(
                    t.yes(),
                    t.no(),
                    works,
                    t.holds().word(),
                    (int) Math.round(100 * t.low()),
                    (int) Math.round(100 * t.high())))
        .orElse(new Tally(0, 0, works, "", 0, 100));
  }

  private static List<Group> stock(
      List<TickStore.Statement> all, Map<String, Ticked> ticked, int works) {
    return Arrays.stream(Part.values())
        .map(
            part ->
                new Group(
                    part,
                    all.stream()
                        .filter(s -> s.part().equals(part.word()))
                        .map(
                            s ->
                                new Row(
                                    s,
                                    Optional.ofNullable(ticked.get(s.key()))
                                        .map(t -> tally(Optional.of(t), works))))
                        .toList()))
        .filter(group -> !group.rows().isEmpty())
        .toList();
  }

  /** Where the part is marked, that piece; else the whole picture. */
  private static String view(Loaded loaded, Work work, TickStore.Statement asked) {
    Marks marks = loaded.evidence(work).marks();
    return Part.ofWord(asked.part())
        .flatMap(part -> PartFrame.of(part, marks, work.widthPixels(), work.heightPixels()))
        .map(PartFrame::viewBox)
        .orElse("0 0 " + work.widthPixels() + " " + work.heightPixels());
  }

  private List<Suggestion> suggested(Study study, Loaded loaded) {
    StyleSheet sheet = loaded.sheet();
    List<Act> said = loaded.signature().acts();
    return Signature.of(sheet, baseLines.of(study), Signature.MOST).traits().stream()
        .filter(trait -> !said.contains(trait.act()))
        .flatMap(
            trait ->
                ActWords.sentence(sheet, trait.act()).stream()
                    .map(
                        sentence ->
                            new Suggestion(
                                trait.act(),
                                sentence,
                                sheet.kept(trait.lead()),
                                trait.lead().readingCount())))
        .toList();
  }
}
