package penmirror.web.rail;

import static org.jooq.impl.DSL.countDistinct;
import static org.jooq.impl.DSL.max;
import static penmirror.web.storage.generated.Tables.MARKING;
import static penmirror.web.storage.generated.Tables.SITTING;
import static penmirror.web.storage.generated.Tables.SITTING_TICK;
import static penmirror.web.storage.generated.Tables.WORK;

import java.util.List;
import java.util.Locale;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Repository;
import org.springframework.ui.Model;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** The stage rail at the left of every page of a study: where one is, and how much is done. */
@Component
public class Rail {
  private final RailStore store;
  private final MessageSource messages;

  Rail(RailStore store, MessageSource messages) {
    this.store = store;
    this.messages = messages;
  }

  /**
   * One stage on the rail.
   *
   * @param donePercent 0 to 100
   */
  public record Stop(Stage stage, String href, String info, int donePercent, boolean here) {}

  /** Puts the study and its rail into a page's model. */
  public void addTo(Model model, Study study, Stage here) {
    model.addAttribute("study", study);
    model.addAttribute("rail", stops(study, here));
    model.addAttribute("stage", here.word());
  }

  private List<Stop> stops(Study study, Stage here) {
    RailStore.Counts counts = store.counts(study.id());
    int sources = counts.sources();
    int marked = counts.markedSources();
    int markedPercent = sources == 0 ? 0 : 100 * marked / sources;
    return List.of(
        stop(study, Stage.GATHER, here, text("rail.works", sources), sources > 0 ? 100 : 0),
        stop(study, Stage.MEASURE, here, text("rail.marked", marked, sources), markedPercent),
        stop(study, Stage.RULES, here, text("rail.ruled", marked), markedPercent),
        stop(study, Stage.PLAN, here, canvas(study), marked > 0 ? 100 : 0),
        stop(
            study,
            Stage.DRAW,
            here,
            text("rail.ticked", counts.ticked()),
            counts.ticked() > 0 ? 100 : 0),
        stop(
            study,
            Stage.MIRROR,
            here,
            text("rail.attempts", counts.redraws()),
            counts.redraws() > 0 ? 100 : 0));
  }

  private static Stop stop(Study study, Stage stage, Stage here, String info, int done) {
    return new Stop(
        stage, "/studies/" + study.id() + "/" + stage.word(), info, done, stage == here);
  }

  private static String canvas(Study study) {
    return String.format(
        Locale.ROOT, "%,d × %,d", study.canvas().widthPixels(), study.canvas().heightPixels());
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }

  /** Counts what the rail tells. */
  @Repository
  static class RailStore {
    private final DSLContext database;

    RailStore(DSLContext database) {
      this.database = database;
    }

    /** Proposals alone are no marking. */
    private static final Condition SOMEBODY_MARKED =
        DSL.condition(
            "exists (select 1 from jsonb_each({0}) point"
                + " where point.value ->> 'state' <> 'proposed')",
            MARKING.LANDMARKS);

    record Counts(int sources, int markedSources, int redraws, int ticked) {}

    Counts counts(long studyId) {
      return new Counts(
          worksIn(studyId, Work.Role.SOURCE),
          database
              .select(countDistinct(MARKING.WORK_ID))
              .from(MARKING)
              .join(WORK)
              .on(WORK.ID.eq(MARKING.WORK_ID))
              .where(WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(Work.Role.SOURCE.word()))
              .and(SOMEBODY_MARKED)
              .fetchSingle()
              .value1(),
          worksIn(studyId, Work.Role.REDRAW),
          ticked(studyId));
    }

    /** In the newest drawing. */
    private int ticked(long studyId) {
      return database.fetchCount(
          SITTING_TICK,
          SITTING_TICK
              .TICKED
              .isTrue()
              .and(
                  SITTING_TICK.SITTING_ID.eq(
                      database
                          .select(max(SITTING.ID))
                          .from(SITTING)
                          .where(SITTING.STUDY_ID.eq(studyId)))));
    }

    private int worksIn(long studyId, Work.Role role) {
      return database.fetchCount(WORK, WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(role.word()));
    }
  }
}
