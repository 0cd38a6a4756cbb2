package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.scoring.ActScore;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Score;
import penmirror.core.telling.ActWords;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.sheets.AimStore;
import penmirror.web.sheets.Loaded;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Fixes with a memory: what is done, what is meant so, and what has changed since the last one. */
@Component
class Fixing {
  private final FixStore store;
  private final AimStore aims;

  Fixing(FixStore store, AimStore aims) {
    this.store = store;
    this.aims = aims;
  }

  /**
   * An act that is off on purpose, or not aimed at.
   *
   * @param act its key
   */
  record Meant(String act, String name) {}

  /**
   * What changed since the attempt before.
   *
   * @param before its number
   * @param mended names of acts that were off and are no more
   * @param back names of acts that were right and are off
   */
  record Since(int before, List<String> mended, List<String> back) {}

  /** The score where nothing is asked of what is off on purpose. */
  Score score(Study study, Loaded loaded, Work redraw) {
    return loaded.score(redraw, store.onPurpose(study.id()));
  }

  Set<String> done(Work redraw) {
    return store.done(redraw.id());
  }

  List<Meant> meant(Study study) {
    return named(store.onPurpose(study.id()));
  }

  /** Empty for the first attempt. */
  Optional<Since> since(Study study, Loaded loaded, Work redraw) {
    List<Work> attempts = loaded.inRole(Work.Role.REDRAW);
    int at = attempts.stream().map(Work::id).toList().indexOf(redraw.id());
    if (at < 1) {
      return Optional.empty();
    }
    Work before = attempts.get(at - 1);
    Score was = score(study, loaded, before);
    Score is = score(study, loaded, redraw);
    Set<Act> wasOff = acts(was);
    Set<Act> isOff = acts(is);
    return Optional.of(
        new Since(
            before.number(),
            names(is, act -> wasOff.contains(act.act()) && !act.misses()),
            names(was, act -> isOff.contains(act.act()) && !act.misses())));
  }

  private static Set<Act> acts(Score score) {
    return Verdict.told(score).stream().map(Fix::act).collect(Collectors.toSet());
  }

  private interface Which {
    boolean of(ActScore act);
  }

  private static List<String> names(Score score, Which which) {
    List<String> names = new ArrayList<>();
    for (ActScore act : score.measured()) {
      if (act.credit().isPresent() && which.of(act)) {
        names.add(ActWords.name(act.act()).toLowerCase(Locale.ENGLISH));
      }
    }
    return names;
  }

  /** What is not aimed at in this study, by name. */
  List<Meant> notAimedAt(Study study) {
    return named(aims.left(study.id()));
  }

  private static List<Meant> named(Set<String> keys) {
    return keys.stream()
        .flatMap(key -> Acts.byKey(key).stream())
        .map(act -> new Meant(act.key(), ActWords.name(act)))
        .sorted((one, other) -> one.name().compareTo(other.name()))
        .toList();
  }

  /**
   * Takes an act out of what redraws of the study are held against, or back in.
   *
   * @throws RefusedException for a word that is no act
   */
  @Transactional
  public void aim(Study study, String act, boolean is) {
    requireAct(act);
    if (is) {
      aims.aimAt(study.id(), act);
    } else {
      aims.leave(study.id(), act);
    }
  }

  private static void requireAct(String act) {
    if (Acts.byKey(act).isEmpty()) {
      throw new RefusedException("fault.form.word", Texts.cut(act, 40));
    }
  }

  @Transactional
  public void done(Work redraw, String fix, boolean is) {
    store.done(redraw.id(), Texts.cut(fix, 200), is);
  }

  /**
   * @throws RefusedException for a word that is no act
   */
  @Transactional
  public void onPurpose(Study study, String act, boolean is) {
    requireAct(act);
    store.onPurpose(study.id(), act, is);
  }
}
