package penmirror.web.look;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.PartFrame;
import penmirror.core.coverage.PickFinder;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.web.gather.Wall;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** What to look at while drawing a part: what was picked, and else what lies closest. */
@Component
public class Showing {
  /** One large and two beside it. */
  private static final int MOST = 3;

  private final LookStore looks;
  private final LookPage page;
  private final SheetMaker sheets;

  Showing(LookStore looks, LookPage page, SheetMaker sheets) {
    this.looks = looks;
    this.page = page;
    this.sheets = sheets;
  }

  /**
   * A piece of a work.
   *
   * @param viewBox what of the picture is seen
   * @param picked whether the user picked it, rather than that it lies close
   * @param lightDegrees where its light comes from, clockwise from above
   * @param lightDiffers whether that is more than 30° off the first one's
   */
  public record Shown(
      Work work,
      String viewBox,
      boolean mirrored,
      boolean picked,
      OptionalInt lightDegrees,
      boolean lightDiffers) {}

  /** At most three, picks first. */
  public List<Shown> of(Study study, Part part) {
    List<Wall.Tile> tiles = page.shown(study.id());
    Map<Long, Work> byId =
        tiles.stream().collect(Collectors.toMap(tile -> tile.work().id(), Wall.Tile::work));
    Loaded loaded = sheets.load(study);
    List<Shown> shown = new ArrayList<>();
    for (LookPage.Picked picked : LookPage.picked(looks.picks(study.id()), byId, part)) {
      add(shown, loaded, picked.work(), picked.viewBox(), picked.pick().mirrored(), true);
    }
    for (LookPage.Suggested close : LookPage.suggested(tiles, part)) {
      Work work = close.work();
      boolean isThere = shown.stream().anyMatch(of -> of.work().id() == work.id());
      if (!isThere && work.role() == Work.Role.SOURCE) {
        add(shown, loaded, work, frame(loaded, work, part), close.mirrored(), false);
      }
    }
    return shown.stream().limit(MOST).toList();
  }

  private static void add(
      List<Shown> shown,
      Loaded loaded,
      Work work,
      String viewBox,
      boolean mirrored,
      boolean picked) {
    OptionalInt light = light(loaded, work, mirrored);
    boolean differs =
        !shown.isEmpty() && PickFinder.lightDiffers(shown.get(0).lightDegrees(), light);
    shown.add(new Shown(work, viewBox, mirrored, picked, light, differs));
  }

  /** Said, else read from the shadows; in a mirror it comes from the other side. */
  private static OptionalInt light(Loaded loaded, Work work, boolean mirrored) {
    OptionalInt said = work.tags().lightDegrees();
    Optional<Integer> known =
        said.isPresent()
            ? Optional.of(said.getAsInt())
            : loaded
                .evidence(work)
                .pixels()
                .flatMap(readings -> readings.estimate(ShadeMeasures.LIGHT_FROM))
                .map(from -> (int) Math.round(from.value()));
    return known
        .map(from -> OptionalInt.of(Math.floorMod(mirrored ? -from : from, 360)))
        .orElse(OptionalInt.empty());
  }

  private static String frame(Loaded loaded, Work work, Part part) {
    return PartFrame.of(
            part, loaded.evidence(work).marks(), work.widthPixels(), work.heightPixels())
        .map(PartFrame::viewBox)
        .orElse("0 0 " + work.widthPixels() + " " + work.heightPixels());
  }
}
