package penmirror.web.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.coverage.Part;
import penmirror.core.style.DrawingStage;
import penmirror.web.evidence.TickStore;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What is said of a picture by statements, and the user's own among them. */
@Component
public class Statements {
  static final List<String> STAGES =
      Arrays.stream(DrawingStage.values()).map(DrawingStage::word).toList();

  private static final List<String> ANSWERS = List.of("yes", "no", "unclear");
  private static final int LONGEST_TEXT = 200;

  private final WorkStore works;
  private final TickStore ticks;

  Statements(WorkStore works, TickStore ticks) {
    this.works = works;
    this.ticks = ticks;
  }

  /** Statements of one part, in the order of the parts. */
  record Group(Part part, List<TickStore.Statement> statements) {}

  /**
   * @param others works with answers that can be a start for this one
   */
  record Page(List<Group> groups, Map<String, String> answers, List<Work> others) {}

  Page of(Study study, Work work) {
    List<TickStore.Statement> all = ticks.statements();
    List<Group> groups = new ArrayList<>();
    for (Part part : Part.values()) {
      List<TickStore.Statement> of =
          all.stream().filter(s -> s.part().equals(part.word())).toList();
      if (!of.isEmpty()) {
        groups.add(new Group(part, of));
      }
    }
    return new Page(
        groups,
        ticks.answers(work.id()),
        works.inRole(study.id(), Work.Role.SOURCE).stream()
            .filter(other -> other.id() != work.id() && !ticks.answers(other.id()).isEmpty())
            .toList());
  }

  /** An empty answer takes the tick away. */
  @Transactional
  public void answer(Work work, String key, String answer) {
    if (!ticks.has(key) || !(answer.isEmpty() || ANSWERS.contains(answer))) {
      throw new RefusedException("fault.form.word", Texts.cut(answer, 40));
    }
    if (answer.isEmpty()) {
      ticks.withdraw(work.id(), key);
    } else {
      ticks.answer(work.id(), key, answer);
    }
  }

  /** Answers of another picture as a start; what is answered already stays. */
  @Transactional
  public void copy(Study study, long from, Work work) {
    ticks.copy(works.require(study.id(), from).id(), work.id());
  }

  /** The user's own statement; nothing is added where it has no words. */
  @Transactional
  public void add(String text, Part part, String stage) {
    String cut = Texts.cut(text, LONGEST_TEXT);
    if (!STAGES.contains(stage)) {
      throw new RefusedException("fault.form.word", Texts.cut(stage, 40));
    }
    if (!cut.isEmpty()) {
      ticks.add(TickStore.Statement.ofTheUsers(part, stage, cut));
    }
  }
}
