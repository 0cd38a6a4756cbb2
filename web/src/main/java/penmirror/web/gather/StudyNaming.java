package penmirror.web.gather;

import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.web.layout.Texts;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Takes what is said of a study after its pictures came: whose they are, and why. */
@Service
class StudyNaming {
  private static final int LONGEST_NAME = 200;
  private static final int LONGEST_CREDIT = 500;
  private static final int LONGEST_REASON = 2000;

  private final ScopeStore scopes;
  private final WorkStore works;

  StudyNaming(ScopeStore scopes, WorkStore works) {
    this.scopes = scopes;
    this.works = works;
  }

  /** What is left empty stays as it is; a credit goes to every work that has none. */
  @Transactional
  public void name(Study study, String illustrator, String credit, String reason) {
    scopes.describe(
        study.id(),
        study.name(),
        Texts.cut(or(illustrator, study.illustrator()), LONGEST_NAME),
        Texts.cut(or(reason, study.reason()), LONGEST_REASON),
        Texts.cut(or(credit, study.credit()), LONGEST_CREDIT));
    if (!credit.isBlank()) {
      works.inRole(study.id(), Work.Role.SOURCE).stream()
          .filter(work -> work.credit().isBlank())
          .forEach(work -> works.give(work.id(), Texts.cut(credit.strip(), LONGEST_CREDIT)));
    }
  }

  private static String or(String said, String before) {
    return said.isBlank() ? before : said.strip();
  }
}
