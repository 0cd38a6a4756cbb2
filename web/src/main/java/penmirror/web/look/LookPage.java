package penmirror.web.look;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.PickFinder;
import penmirror.core.coverage.PickFinder.Candidate;
import penmirror.core.coverage.PickFinder.Case;
import penmirror.core.figure.Framing;
import penmirror.core.figure.View;
import penmirror.web.gather.Wall;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** What stands beside one work: the parts with their picks, what to look at next, its notes. */
@Component
class LookPage {
  private static final int MOST_SUGGESTED = 6;

  private final LookStore looks;
  private final Wall wall;
  private final Rail rail;

  LookPage(LookStore looks, Wall wall, Rail rail) {
    this.looks = looks;
    this.wall = wall;
    this.rail = rail;
  }

  /** A part in the list, with how many boxes were picked for it. */
  record PartLine(Part part, long picks, boolean chosen) {}

  /**
   * A pick with its work.
   *
   * @param viewBox what of the picture is seen
   * @param lightDiffers whether its light is more than 30° off that of the first pick of the part
   */
  record Picked(LookStore.Pick pick, Work work, String viewBox, boolean lightDiffers) {}

  /** A work to look at for the part. */
  record Suggested(Work work, boolean mirrored, boolean lightDiffers, boolean isAnchor) {}

  void addTo(Model model, Study study, Work work, Part part) {
    List<Wall.Tile> tiles = shown(study.id());
    Map<Long, Work> byId =
        tiles.stream().collect(Collectors.toMap(t -> t.work().id(), Wall.Tile::work));
    List<LookStore.Pick> picks = looks.picks(study.id());
    rail.addTo(model, study, Stage.GATHER);
    model.addAttribute("work", work);
    model.addAttribute("part", part);
    model.addAttribute(
        "partLines",
        Arrays.stream(Part.values())
            .map(
                p ->
                    new PartLine(
                        p,
                        picks.stream().filter(pick -> pick.part().equals(p.word())).count(),
                        p == part))
            .toList());
    model.addAttribute("picked", picked(picks, byId, part));
    List<Suggested> suggested = suggested(tiles, part);
    model.addAttribute("suggested", suggested);
    model.addAttribute(
        "mirrored", suggested.stream().anyMatch(s -> s.work().id() == work.id() && s.mirrored()));
    model.addAttribute("boxes", picks.stream().filter(p -> p.workId() == work.id()).toList());
    LookStore.Notes notes = looks.notes(work.id());
    model.addAttribute("notes", notes.shapes());
    model.addAttribute("notesVersion", notes.version());
  }

  List<Wall.Tile> shown(long studyId) {
    return wall.rows(studyId, Wall.Order.NUMBER).stream()
        .flatMap(row -> row.tiles().stream())
        .toList();
  }

  static List<Picked> picked(List<LookStore.Pick> picks, Map<Long, Work> byId, Part part) {
    List<Picked> chosen = new ArrayList<>();
    for (LookStore.Pick pick : picks) {
      Work work = byId.get(pick.workId());
      if (work == null || !pick.part().equals(part.word())) {
        continue;
      }
      boolean differs =
          !chosen.isEmpty()
              && PickFinder.lightDiffers(
                  chosen.get(0).work().tags().lightDegrees(), work.tags().lightDegrees());
      LookStore.Box box = pick.box();
      chosen.add(
          new Picked(
              pick,
              work,
              String.format(
                  Locale.ROOT, "%.1f %.1f %.1f %.1f", box.x(), box.y(), box.width(), box.height()),
              differs));
    }
    return chosen;
  }

  /** Closest to the character as it is tagged, or to a plain front figure before there is one. */
  static List<Suggested> suggested(List<Wall.Tile> tiles, Part part) {
    Case inHand =
        tiles.stream()
            .filter(tile -> tile.work().role() == Work.Role.CHARACTER)
            .map(tile -> caseOf(tile.work()))
            .findFirst()
            .orElse(
                new Case(
                    View.FRONT, Optional.empty(), OptionalInt.empty(), Optional.of(Framing.FULL)));
    Map<Long, Wall.Tile> candidates =
        tiles.stream()
            .filter(tile -> tile.work().role() != Work.Role.CHARACTER && !tile.work().leftOut())
            .collect(Collectors.toMap(tile -> tile.work().id(), tile -> tile));
    return PickFinder.nearest(
            inHand,
            candidates.values().stream()
                .map(t -> new Candidate(t.work().id(), caseOf(t.work()), t.isAnchor()))
                .toList(),
            candidate ->
                Optional.ofNullable(candidates.get(candidate.id()))
                    .filter(tile -> tile.parts().contains(part))
                    .isPresent())
        .stream()
        .limit(MOST_SUGGESTED)
        .flatMap(
            pick ->
                Optional.ofNullable(candidates.get(pick.id())).stream()
                    .map(
                        tile ->
                            new Suggested(
                                tile.work(),
                                pick.mirrored(),
                                pick.lightDiffers(),
                                tile.isAnchor())))
        .toList();
  }

  private static Case caseOf(Work work) {
    return new Case(
        work.view(), work.tags().turn(), work.tags().lightDegrees(), work.tags().framing());
  }
}
