package penmirror.web.gather;

import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;
import penmirror.core.coverage.Part;
import penmirror.web.layout.RefusedException;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Takes what the user says of works: all of a form, or nothing. */
@Service
class Describing {
  /** Keys are written with a point, wherever the machine stands. */
  private static final DecimalFormatSymbols POINT = DecimalFormatSymbols.getInstance(Locale.ROOT);

  private final WorkStore works;
  private final Wall wall;
  private final MessageSource messages;

  Describing(WorkStore works, Wall wall, MessageSource messages) {
    this.works = works;
    this.wall = wall;
    this.messages = messages;
  }

  /** What came of a form. */
  sealed interface Outcome permits Described, Outdated {}

  record Described() implements Outcome {}

  /**
   * The work was described in another window meanwhile, and nothing was changed.
   *
   * @param theirs what is kept now, value by label
   * @param mine what the form says
   */
  record Outdated(Work now, Map<String, String> theirs, Map<String, String> mine)
      implements Outcome {}

  @Transactional
  public Outcome describe(long studyId, long workId, WorkForm form) {
    Work work = works.hold(studyId, workId);
    boolean isOutdated = form.version() != null && form.version() != work.version();
    Map<String, String> theirs = isOutdated ? words(work) : Map.of();
    take(work, form, false);
    if (!isOutdated) {
      return new Described();
    }
    // Only to see what it would have become.
    Map<String, String> mine = words(works.require(studyId, workId));
    TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
    return theirs.equals(mine) ? new Described() : new Outdated(work, theirs, mine);
  }

  /** What the form leaves empty stays as it is in each. */
  @Transactional
  public void describeMany(long studyId, List<Long> chosen, WorkForm form) {
    for (long workId : chosen.stream().sorted().distinct().toList()) {
      take(works.hold(studyId, workId), form, true);
    }
  }

  private void take(Work work, WorkForm form, boolean many) {
    Set<Part> shown = wall.sight(work).parts();
    Map<String, Boolean> saidBefore = works.saidParts(work.id());
    works.describe(
        work.id(),
        many ? work.title() : form.titleFor(work),
        form.creditFor(work, many),
        form.viewFor(work));
    works.tag(work.id(), form.tagsFor(work, many));
    if (form.asksParts()) {
      Work now = works.require(work.studyId(), work.id());
      works.sayParts(work.id(), form.said(shown, saidBefore, wall.sightBeforeWords(now).parts()));
    }
    Work.Role role = form.roleFor(work);
    if (!works.giveRole(works.require(work.studyId(), work.id()), role)) {
      throw new RefusedException("gather.role.taken", text("role." + role.word()));
    }
  }

  private Map<String, String> words(Work work) {
    Work.Tags tags = work.tags();
    Map<String, String> words = new LinkedHashMap<>();
    words.put(text("gather.title.label"), work.title());
    words.put(text("gather.credit.label"), work.credit());
    words.put(text("gather.view.label"), text("view." + work.view().word()));
    words.put(text("gather.role"), text("role." + work.role().word()));
    words.put(text("gather.framing"), word("framing.", tags.framing()));
    words.put(text("gather.turn"), word("turn.", tags.turn()));
    words.put(text("gather.kind"), word("kind.", tags.kind()));
    words.put(text("gather.mood"), word("mood.", tags.mood()));
    words.put(
        text("gather.light"),
        tags.lightDegrees().isPresent() ? text("light." + tags.lightDegrees().getAsInt()) : "");
    words.put(text("gather.period"), tags.period());
    words.put(text("gather.manner"), tags.manner());
    words.put(text("gather.likeness"), tags.likeness());
    words.put(
        text("gather.weight"),
        text("weight." + new DecimalFormat("0.#", POINT).format(tags.weight())));
    words.put(text("gather.notes"), tags.notes());
    words.put(
        text("gather.parts"),
        wall.sight(work).parts().stream()
            .map(part -> text("part." + part.word()))
            .collect(Collectors.joining(", ")));
    return words;
  }

  private String word(String keys, Optional<? extends Enum<?>> value) {
    return value.map(v -> text(keys + v.name().toLowerCase(Locale.ROOT))).orElse("");
  }

  private String text(String key, Object... about) {
    return Objects.requireNonNull(messages.getMessage(key, about, key, Locale.ENGLISH));
  }
}
