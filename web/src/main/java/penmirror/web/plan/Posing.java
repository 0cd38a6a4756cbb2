package penmirror.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import penmirror.core.figure.Facing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.planning.GuideFigure;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.SeenHead;
import penmirror.web.gather.Intake;
import penmirror.web.layout.RefusedException;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.sight.FirstLooking;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Turns the figure of a guide as the works turn it, or sets it in the pose of a picture. */
@Component
class Posing {
  private static final List<View> VIEWS = List.of(View.FRONT, View.THREE_QUARTER, View.SIDE);
  private static final List<Work.Role> POSES =
      List.of(Work.Role.HELPER, Work.Role.SOURCE, Work.Role.CHARACTER);

  private final SheetMaker sheets;
  private final WorkStore works;
  private final Intake intake;
  private final FirstLooking firstLooking;

  Posing(SheetMaker sheets, WorkStore works, Intake intake, FirstLooking firstLooking) {
    this.sheets = sheets;
    this.works = works;
    this.intake = intake;
    this.firstLooking = firstLooking;
  }

  /**
   * @param works how many heads are seen so
   */
  record Side(View of, int works) {
    public String view() {
      return of.word();
    }
  }

  /**
   * A picture that can lend its pose.
   *
   * @param role its role's word
   * @param isWhole whether head and trunk are marked on it
   * @param isLookedAt whether somebody looked at these points
   */
  record Pose(long id, String title, String role, boolean isWhole, boolean isLookedAt) {}

  /** From which sides the works show a head, the front always among them. */
  List<Side> sides(Study study) {
    Loaded loaded = sheets.load(study);
    List<Side> sides = new ArrayList<>();
    for (View view : VIEWS) {
      int seen = SeenHead.of(view, loaded.ruledMarks()).map(SeenHead::works).orElse(0);
      if (seen > 0 || view == View.FRONT) {
        sides.add(new Side(view, seen));
      }
    }
    return sides;
  }

  /** Helpers first, whatever is known of them; of other pictures those that are whole. */
  List<Pose> poses(Study study) {
    Loaded loaded = sheets.load(study);
    return lending(loaded)
        .map(
            work ->
                new Pose(
                    work.id(),
                    work.title(),
                    work.role().word(),
                    isWhole(loaded.evidence(work).marks()),
                    isWhole(loaded.evidence(work).marks().confirmed())))
        .filter(pose -> pose.isWhole() || pose.role().equals(Work.Role.HELPER.word()))
        .toList();
  }

  /** Whether it is among the pictures that can lend a pose once they are marked. */
  boolean lends(Study study, long work) {
    return poses(study).stream().anyMatch(pose -> pose.id() == work);
  }

  private static Stream<Work> lending(Loaded loaded) {
    return POSES.stream().flatMap(role -> loaded.inRole(role).stream());
  }

  private static boolean isWhole(Marks marks) {
    return marks.headFrame().isPresent() && marks.point(Landmark.CROTCH).isPresent();
  }

  /** The way most works of a view look, as it is drawn where nothing is said. */
  Turn facing(Study study, GuideAsked asked) {
    return asked.facing().orElseGet(() -> mostFacing(sheets.load(study), asked.view()));
  }

  /** The same head looking the other way. */
  GuideAsked otherWay(Study study, GuideAsked asked) {
    Turn other = facing(study, asked) == Turn.LEFT ? Turn.RIGHT : Turn.LEFT;
    return new GuideAsked(asked.view(), Optional.of(other), Optional.empty());
  }

  private static Turn mostFacing(Loaded loaded, View view) {
    long left =
        loaded.ruledMarks().stream()
            .filter(marks -> marks.view() == view)
            .flatMap(marks -> Facing.of(marks).stream())
            .mapToLong(turn -> turn == Turn.LEFT ? 1 : -1)
            .sum();
    return left > 0 ? Turn.LEFT : Turn.RIGHT;
  }

  /** As asked, or from the front and standing where the works do not show that. */
  GuideFigure figure(Study study, GuidePlan plan, GuideAsked asked) {
    Loaded loaded = sheets.load(study);
    Optional<GuideFigure> posed =
        asked
            .pose()
            .flatMap(id -> lending(loaded).filter(work -> work.id() == id).findFirst())
            .map(work -> loaded.evidence(work).marks())
            .flatMap(marks -> GuideFigure.posed(loaded.planned(), plan, marks));
    if (posed.isPresent()) {
      return posed.get();
    }
    Optional<SeenHead> seen = SeenHead.of(asked.view(), loaded.ruledMarks());
    if (asked.view() != View.FRONT && seen.isPresent()) {
      return GuideFigure.turned(loaded.planned(), plan, seen.get(), facing(study, asked));
    }
    return GuideFigure.standing(
        loaded.planned(), plan, SeenHead.of(View.FRONT, loaded.ruledMarks()));
  }

  /** A photo or drawing to take the pose of; it is looked at before all else. */
  long take(Study study, byte[] file, String title) {
    Intake.Outcome outcome =
        intake.take(study.id(), file, Work.Role.HELPER, Intake.titleOf(title), "", View.FRONT);
    if (outcome instanceof Intake.Taken taken) {
      firstLooking.now(works.require(study.id(), taken.workId()));
      return taken.workId();
    }
    if (outcome instanceof Intake.AlreadyHere here) {
      return here.work().id();
    }
    throw new RefusedException(
        "gather.refused", title, outcome instanceof Intake.Refused refused ? refused.reason() : "");
  }
}
