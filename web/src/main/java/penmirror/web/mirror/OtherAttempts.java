package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;

/** The newest attempt of every other study. */
@Component
class OtherAttempts {
  private final StudyStore studies;
  private final SheetMaker sheets;
  private final MessageSource messages;

  OtherAttempts(StudyStore studies, SheetMaker sheets, MessageSource messages) {
    this.studies = studies;
    this.sheets = sheets;
    this.messages = messages;
  }

  record Attempt(Work work, Study study) {}

  Stream<Attempt> than(Study study) {
    List<Study> others = studies.all().stream().filter(other -> other.id() != study.id()).toList();
    List<Loaded> loaded = sheets.load(others);
    List<Attempt> attempts = new ArrayList<>();
    for (int i = 0; i < others.size(); i++) {
      Study of = others.get(i);
      loaded.get(i).inRole(Work.Role.REDRAW).stream()
          .reduce((first, last) -> last)
          .ifPresent(work -> attempts.add(new Attempt(work, of)));
    }
    return attempts.stream();
  }

  /** Such as "Bastian Crumb, attempt 4, The Salt Ledger". */
  String name(Attempt attempt) {
    return messages.getMessage(
        "lineup.beside.one",
        new Object[] {attempt.work().title(), attempt.study().name()},
        Locale.ENGLISH);
  }
}
