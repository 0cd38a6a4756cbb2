package penmirror.web.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.coverage.Coverage;
import penmirror.core.coverage.Coverage.NoView;
import penmirror.core.coverage.Coverage.SeenFewTimes;
import penmirror.core.coverage.Coverage.Unseen;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.Sight;
import penmirror.core.figure.View;
import penmirror.web.studies.WallStore;

/** The table of parts by view, and what its gaps cost. */
@Component
class CoverageTable {
  private final WallStore places;
  private final MessageSource messages;

  CoverageTable(WallStore places, MessageSource messages) {
    this.places = places;
    this.messages = messages;
  }

  /**
   * One part from one side.
   *
   * @param state enough, thin, gap, open, none, unasked or improvised: the cell's class; a gap is
   *     open, and not missed yet, while works wait to be looked at
   * @param glimpsed whether nobody has looked at any of the works it counts
   * @param label the cell in words, for those who do not see it
   */
  record Cell(int count, String state, boolean glimpsed, String label) {}

  record Line(Part part, List<Cell> cells) {}

  /**
   * Something missing, in words.
   *
   * @param part its word, or empty for a whole side
   * @param view its word, or empty for a part from any side
   * @param note set where it will be improvised
   */
  record Cost(String text, String part, String view, Optional<String> note, boolean heavy) {}

  record Table(List<Line> lines, List<Cost> costs, int covered, int needed) {}

  /**
   * @param only the one part a study looks at; empty for all
   */
  Table of(long studyId, List<Wall.Tile> sources, Optional<Part> only) {
    Coverage coverage = coverage(sources, tile -> true);
    Coverage lookedAt = coverage(sources, tile -> tile.work().lookedAt());
    boolean waits =
        sources.stream().anyMatch(tile -> !tile.work().leftOut() && !tile.work().lookedAt());
    List<WallStore.Improvised> improvised = places.improvised(studyId);
    List<Line> lines = new ArrayList<>();
    int covered = 0;
    int needed = 0;
    for (Part part : Part.values()) {
      if (only.filter(p -> p != part).isPresent()) {
        continue;
      }
      List<Cell> cells = new ArrayList<>();
      for (View view : View.values()) {
        Coverage.State state = coverage.state(part, view);
        if (state != Coverage.State.NOT_NEEDED && state != Coverage.State.NOT_ASKED) {
          needed++;
          covered += coverage.count(part, view) > 0 ? 1 : 0;
        }
        boolean glimpsed = coverage.count(part, view) > 0 && lookedAt.count(part, view) == 0;
        cells.add(
            cell(
                part,
                view,
                coverage,
                glimpsed,
                waits,
                note(improvised, part.word(), "").isPresent()));
      }
      lines.add(new Line(part, cells));
    }
    List<Cost> costs =
        sources.isEmpty()
            ? List.of()
            : costs(coverage, improvised).stream()
                .filter(
                    cost ->
                        cost.part().isEmpty()
                            || only.filter(p -> !p.word().equals(cost.part())).isEmpty())
                .toList();
    return new Table(lines, costs, covered, needed);
  }

  private static Coverage coverage(List<Wall.Tile> sources, Predicate<Wall.Tile> which) {
    return Coverage.of(
        sources.stream()
            .filter(tile -> !tile.work().leftOut() && which.test(tile))
            .map(tile -> new Sight(tile.work().view(), tile.parts()))
            .toList());
  }

  private Cell cell(
      Part part,
      View view,
      Coverage coverage,
      boolean glimpsed,
      boolean waits,
      boolean isImprovised) {
    Coverage.State state = coverage.state(part, view);
    String word =
        switch (state) {
          case NOT_NEEDED -> "none";
          case NOT_ASKED -> "unasked";
          case GAP -> isImprovised ? "improvised" : waits ? "open" : "gap";
          case ENOUGH, THIN -> state.name().toLowerCase(Locale.ROOT);
        };
    return new Cell(
        coverage.count(part, view),
        word,
        glimpsed,
        text(
            glimpsed ? "coverage.cell.glimpsed" : "coverage.cell",
            text("part." + part.word()),
            text("view." + view.word()),
            text("coverage.state." + word),
            coverage.count(part, view)));
  }

  private List<Cost> costs(Coverage coverage, List<WallStore.Improvised> improvised) {
    List<Cost> costs = new ArrayList<>();
    for (Coverage.Cost cost : coverage.costs()) {
      if (cost instanceof NoView none) {
        String view = none.view().word();
        costs.add(
            new Cost(
                text("coverage.cost.view", text("view." + view).toLowerCase(Locale.ENGLISH)),
                "",
                view,
                note(improvised, "", view),
                true));
      } else if (cost instanceof Unseen unseen) {
        String part = unseen.part().word();
        costs.add(
            new Cost(
                text("coverage.cost.unseen", text("part." + part)),
                part,
                "",
                note(improvised, part, ""),
                true));
      } else if (cost instanceof SeenFewTimes few) {
        String part = few.part().word();
        costs.add(
            new Cost(
                text("coverage.cost.few", text("part." + part), few.count(), few.missing()),
                part,
                "",
                note(improvised, part, ""),
                false));
      }
    }
    return costs;
  }

  private static Optional<String> note(
      List<WallStore.Improvised> improvised, String part, String view) {
    return improvised.stream()
        .filter(gap -> gap.part().equals(part) && gap.view().equals(view))
        .map(WallStore.Improvised::note)
        .findFirst();
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
