package penmirror.web.rules;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.card.ActDrawing;
import penmirror.core.drawing.Scene;
import penmirror.core.style.Portrayal;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.SheetDrawing;
import penmirror.web.sheets.AimStore;
import penmirror.web.sheets.BaseLines;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.Sample;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** A study's sheet as it is shown: whole, opened at one act, on paper. */
@Component
class Sheets {
  private final SheetMaker sheets;
  private final BaseLines baseLines;
  private final AimStore aims;

  Sheets(SheetMaker sheets, BaseLines baseLines, AimStore aims) {
    this.aims = aims;
    this.sheets = sheets;
    this.baseLines = baseLines;
  }

  StyleSheet sheet(Study study) {
    return sheets.sheetOf(study);
  }

  /** The one redraws are scored by: whoever scores with the file gets the page's figures. */
  StyleSheet scored(Study study) {
    return sheets.scoredSheetOf(study);
  }

  /** Works that make no rule until somebody looks at them. */
  int waits(Study study) {
    Loaded loaded = sheets.load(study);
    return loaded.isFromFile() ? 0 : loaded.notLookedAt().size();
  }

  /** Whether it came as a file, and can be read only. */
  boolean isReadOnly(Study study) {
    return sheets.load(study).isFromFile();
  }

  /** Names of the acts that no redraw is held against. */
  String notAimedAt(Study study) {
    return aims.left(study.id()).stream()
        .flatMap(key -> Acts.byKey(key).stream())
        .map(act -> ActWords.name(act).toLowerCase(Locale.ENGLISH))
        .sorted()
        .collect(Collectors.joining(", "));
  }

  boolean isAccepted(Study study) {
    return !sheets.load(study).signature().traits().isEmpty();
  }

  /** The sheet in sentences, for what is asked for. */
  RulesPage page(Study study, Portrayal wanted) {
    Loaded loaded = sheets.load(study);
    return RulesPage.of(
        new RulesPage.Sources(
            loaded.sheet(),
            loaded.sheet().wantedFor(wanted),
            strips(study, loaded),
            loaded.signature(),
            loaded.sayings(),
            firmFirst(loaded.sheet().statements()),
            loaded.likenesses(),
            pictures(loaded),
            rule -> Sample.of(loaded, rule).findFirst()));
  }

  /** What is always and never so comes before what is as often as not. */
  private static List<Ticked> firmFirst(List<Ticked> statements) {
    return statements.stream()
        .sorted(Comparator.comparing((Ticked ticked) -> ticked.holds() == Ticked.Holds.FREE))
        .toList();
  }

  ActPage act(Study study, Act act, Portrayal wanted) {
    Loaded loaded = sheets.load(study);
    Map<Long, String> titles = new HashMap<>();
    loaded.inRole(Work.Role.SOURCE).forEach(work -> titles.put(work.id(), work.title()));
    return ActPage.of(
        act, loaded.sheet().wantedFor(wanted), strips(study, loaded), loaded.sayings(), titles);
  }

  /** To be printed and pinned beside the board. */
  Scene onPaper(Study study) {
    Loaded loaded = sheets.load(study);
    Map<Act, String> words = new LinkedHashMap<>();
    Acts.all().forEach(act -> loaded.sayings().words(act).ifPresent(own -> words.put(act, own)));
    loaded.signature().traits().stream()
        .filter(trait -> !trait.words().isEmpty())
        .forEach(trait -> words.put(trait.act(), trait.words()));
    return SheetDrawing.of(
        loaded.sheet(), loaded.signature().headline(), words, ActDrawing.ofTraits(loaded.sheet()));
  }

  /** Small pictures by the works' ids, for what rests on a dot. */
  private static Map<Long, String> pictures(Loaded loaded) {
    Map<Long, String> pictures = new LinkedHashMap<>();
    loaded
        .inRole(Work.Role.SOURCE)
        .forEach(work -> pictures.put(work.id(), "/pictures/" + work.pictureSha256() + "/480"));
    return pictures;
  }

  private Strips strips(Study study, Loaded loaded) {
    return Strips.of(study.id(), baseLines.of(study), !loaded.isFromFile());
  }
}
