package penmirror.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.drawing.Scene;
import penmirror.core.file.Resolution;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.planning.BrushTable;
import penmirror.core.planning.GuideDrawing;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.web.cards.Opened;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Sets a study's rules out on its canvas, with what stands beside them. */
@Component
class Planning {
  /** The tile's copy, made when a picture comes in. */
  private static final int SMALL_COPY_PIXELS = 480;

  private final StudyStore studies;
  private final SheetMaker sheets;
  private final WorkStore works;
  private final WallStore places;
  private final ScopeStore scopes;
  private final PictureStore pictures;
  private final PlanStore store;
  private final Posing posing;
  private final Opened opened;

  Planning(
      StudyStore studies,
      SheetMaker sheets,
      WorkStore works,
      WallStore places,
      ScopeStore scopes,
      PictureStore pictures,
      PlanStore store,
      Posing posing,
      Opened opened) {
    this.opened = opened;
    this.posing = posing;
    this.store = store;
    this.works = works;
    this.pictures = pictures;
    this.studies = studies;
    this.places = places;
    this.scopes = scopes;
    this.sheets = sheets;
  }

  /** What stands beside the guide. */
  record Beside(
      List<WallStore.Improvised> improvised,
      List<ScopeStore.WayOut> waysOut,
      List<Work> helpers,
      List<ScopeStore.ProcessNote> process) {}

  Beside beside(Study study) {
    return new Beside(
        places.improvised(study.id()),
        scopes.waysOut(study.id()),
        works.inRole(study.id(), Work.Role.HELPER),
        scopes.processNotes(study.id()));
  }

  @Transactional
  public void setCanvas(Study study, Canvas canvas) {
    studies.setCanvas(study.id(), canvas);
  }

  double pixelsPerInch(Study study) {
    return store.settings(study.id()).pixelsPerInch();
  }

  @Transactional
  public void printAt(Study study, Resolution resolution) {
    store.pixelsPerInch(study.id(), resolution.pixelsPerInch());
  }

  /** Beside those of the newest attempt whose lines were read. */
  BrushesPage brushes(Study study) {
    Loaded loaded = sheets.load(study);
    double head = plan(study).headPixels();
    Optional<BrushTable> own =
        loaded.inRole(Work.Role.REDRAW).stream()
            .map(loaded::drawn)
            .map(attempt -> BrushTable.of(attempt, head))
            .filter(table -> !table.lines().isEmpty())
            .reduce((earlier, later) -> later);
    return BrushesPage.of(loaded.planned(), study.canvas(), head, pixelsPerInch(study), own);
  }

  /** The line at each place of a figure, as wide as it is on the canvas. */
  PlacesPage places(Study study) {
    Loaded loaded = sheets.load(study);
    return PlacesPage.of(
        opened.usualLine(loaded),
        opened.places(loaded),
        loaded.inRole(Work.Role.REDRAW).stream()
            .filter(work -> loaded.drawn(work).values().containsKey(LineMeasures.WIDTH))
            .reduce((earlier, later) -> later)
            .flatMap(work -> opened.lines(loaded, work)),
        plan(study).headPixels());
  }

  /** The guide as it is drawn, with helpers and notes. */
  Scene guide(Study study, GuideAsked asked) {
    GuidePlan plan = plan(study);
    return GuideDrawing.of(plan, posing.figure(study, plan, asked), shownBeside(study));
  }

  /** Helpers and what was seen of the process, each with its own credit. */
  private List<GuideDrawing.Beside> shownBeside(Study study) {
    List<GuideDrawing.Beside> shown = new ArrayList<>();
    for (Work helper : works.inRole(study.id(), Work.Role.HELPER)) {
      pictures
          .rendition(helper.pictureSha256(), SMALL_COPY_PIXELS)
          .ifPresent(
              copy ->
                  shown.add(
                      GuideDrawing.Beside.helper(
                          helper.title(),
                          helper.credit(),
                          new GuideDrawing.SmallCopy(
                              copy.bytes(),
                              copy.mediaType(),
                              helper.widthPixels(),
                              helper.heightPixels()))));
    }
    scopes
        .processNotes(study.id())
        .forEach(note -> shown.add(GuideDrawing.Beside.note(note.text())));
    return shown;
  }

  GuidePlan plan(Study study) {
    return GuidePlan.of(sheets.plannedOf(study), study.canvas());
  }
}
