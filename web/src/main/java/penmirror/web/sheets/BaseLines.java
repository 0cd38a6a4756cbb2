package penmirror.web.sheets;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import penmirror.core.style.BaseLine;
import penmirror.core.style.StyleSheet;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyKind;
import penmirror.web.studies.StudyStore;

/** What a style is held against to see what is its own. */
@Component
public class BaseLines {
  private final StudyStore studies;
  private final ScopeStore scopes;
  private final SheetMaker sheets;

  BaseLines(StudyStore studies, ScopeStore scopes, SheetMaker sheets) {
    this.studies = studies;
    this.scopes = scopes;
    this.sheets = sheets;
  }

  /**
   * The user's own hand, where one of their studies is of it; else the other studies; else a
   * realistic figure.
   */
  public BaseLine of(Study study) {
    Optional<StyleSheet> own = ownHand(study);
    if (own.isPresent()) {
      return BaseLine.ownHand(own.get());
    }
    List<StyleSheet> others = others(study);
    return others.isEmpty() ? BaseLine.realistic() : BaseLine.otherStyles(others);
  }

  /** The sheet of the user's own drawings; empty without any, or where the study is that one. */
  public Optional<StyleSheet> ownHand(Study study) {
    return sheets(study, true).stream().findFirst();
  }

  /** The sheets of all other studies but the user's own hand. */
  public List<StyleSheet> others(Study study) {
    return sheets(study, false);
  }

  /** Those of other studies that have rules. */
  private List<StyleSheet> sheets(Study study, boolean ofOwnHand) {
    Set<Long> ownHands = scopes.ofKind(StudyKind.OWN_HAND);
    List<Study> others =
        studies.all().stream()
            .filter(other -> other.id() != study.id())
            .filter(other -> ownHands.contains(other.id()) == ofOwnHand)
            .toList();
    return sheets.load(others).stream()
        .map(Loaded::sheet)
        .filter(sheet -> !sheet.rules().isEmpty())
        .toList();
  }
}
