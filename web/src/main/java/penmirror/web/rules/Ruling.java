package penmirror.web.rules;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.style.Rule;
import penmirror.core.style.Said;
import penmirror.core.telling.DeskUnit;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.sheets.SayingStore;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** The user's word over single rules: each kept with its day, the last taken back by one key. */
@Component
class Ruling {
  private static final int LONGEST_WORDS = 300;
  private static final int MOST_PAIRS = 20;

  /** One step wider, or by as much narrower. */
  private static final double STEP = 1.25;

  private final SayingStore sayings;
  private final SheetMaker sheets;

  Ruling(SayingStore sayings, SheetMaker sheets) {
    this.sayings = sayings;
    this.sheets = sheets;
  }

  /** What becomes of a band. */
  enum How {
    PIN,
    WIDER,
    NARROWER,
    AS_WORKS
  }

  @Transactional
  public void set(Study study, String measureKey, How how) {
    mayBeSet(study);
    Measure measure = measure(measureKey);
    Rule rule = rule(study, measure);
    switch (how) {
      case PIN -> say(study, () -> Said.Band.of(rule));
      case WIDER -> say(study, () -> Said.Band.opened(rule, STEP));
      case NARROWER -> say(study, () -> Said.Band.opened(rule, 1 / STEP));
      case AS_WORKS -> sayings.asWorks(study.id(), measure);
    }
  }

  /** Both ends as they are told at the desk. */
  @Transactional
  public void set(Study study, String measureKey, double low, double high) {
    mayBeSet(study);
    Measure measure = measure(measureKey);
    DeskUnit unit = DeskUnit.of(measure, OptionalDouble.empty());
    say(study, () -> new Said.Band(measure, unit.value(low), unit.value(high)));
  }

  /** A sheet that came as a file stays as it came. */
  private void mayBeSet(Study study) {
    if (sheets.load(study).isFromFile()) {
      throw new RefusedException("rules.file.fixed");
    }
  }

  private void say(Study study, Supplier<Said.Band> band) {
    Said.Band said;
    try {
      said = band.get();
    } catch (IllegalArgumentException e) {
      throw new RefusedException("rules.band.cannot");
    }
    sayings.band(study.id(), said);
  }

  @Transactional
  public void leaveOut(Study study, String measureKey, Work work, String reason) {
    mayBeSet(study);
    sayings.leaveOut(
        study.id(), measure(measureKey), work.id(), Texts.cut(reason.strip(), LONGEST_WORDS));
  }

  @Transactional
  public void takeBack(Study study, String measureKey, Work work) {
    sayings.takeBack(study.id(), measure(measureKey), work.id());
  }

  /**
   * Adds a ratio of the user's own, or takes it away.
   *
   * @return its act
   */
  @Transactional
  public Act pair(Study study, FreePair pair, boolean on) {
    mayBeSet(study);
    List<Measure> own = sheets.load(study).sayings().own();
    if (on && own.size() >= MOST_PAIRS) {
      throw new RefusedException("rules.own.many", MOST_PAIRS);
    }
    if (on != own.contains(pair.measure())) {
      sayings.pair(study.id(), pair, on);
    }
    return act(pair.key());
  }

  /** An act in the user's own sentence. */
  @Transactional
  public void word(Study study, String actKey, String words) {
    mayBeSet(study);
    sayings.words(study.id(), act(actKey), Texts.cut(words.strip(), LONGEST_WORDS));
  }

  /** Takes the last word back; tells the act it was about, empty where nothing was said. */
  @Transactional
  public Optional<Act> undo(Study study) {
    return sayings
        .undo(study.id())
        .flatMap(
            about -> Acts.byKey(about).or(() -> MeasureCatalogue.byKey(about).flatMap(Acts::of)));
  }

  static Act act(String key) {
    return Acts.byKey(key)
        .orElseThrow(() -> new RefusedException("fault.form.word", Texts.cut(key, 40)));
  }

  private static Measure measure(String key) {
    return MeasureCatalogue.byKey(key)
        .orElseThrow(() -> new RefusedException("fault.form.word", Texts.cut(key, 40)));
  }

  private Rule rule(Study study, Measure measure) {
    return sheets
        .sheetOf(study)
        .rule(measure)
        .orElseThrow(() -> new RefusedException("rules.band.none"));
  }
}
