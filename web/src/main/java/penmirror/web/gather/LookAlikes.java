package penmirror.web.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import penmirror.core.raster.Fingerprint;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Finds works of a study that are likely one picture: resized, recompressed, or mirrored. */
@Component
class LookAlikes {
  /** More questions would hide the wall. */
  private static final int AT_ONCE = 2;

  private final WorkStore works;

  LookAlikes(WorkStore works) {
    this.works = works;
  }

  /**
   * Two works that look alike, the one that came first first.
   *
   * @param mirrored whether one is the other seen in a mirror
   */
  record Pair(Work first, Work second, boolean mirrored) {}

  /**
   * What is asked of works that look alike.
   *
   * @param pairs that nobody has decided on yet, the first few
   * @param more works that are asked about once these are decided
   */
  record Undecided(List<Pair> pairs, int more) {}

  /**
   * Each work is asked about once, beside the first that it looks like: a row of a hundred pictures
   * that hardly differ is a hundred questions and no square of them.
   */
  Undecided undecided(long studyId, List<Work> shown) {
    Map<Long, Fingerprint> prints = works.fingerprints(studyId);
    Set<Set<Long>> apart = works.toldApart(studyId);
    List<Work> counted =
        shown.stream().filter(work -> !work.leftOut() && prints.containsKey(work.id())).toList();
    List<Pair> pairs = new ArrayList<>();
    for (int j = 1; j < counted.size(); j++) {
      Work later = counted.get(j);
      counted.stream()
          .limit(j)
          .filter(work -> !apart.contains(Set.of(work.id(), later.id())))
          .flatMap(work -> alike(work, later, prints).stream())
          .findFirst()
          .ifPresent(pairs::add);
    }
    int asked = Math.min(AT_ONCE, pairs.size());
    return new Undecided(List.copyOf(pairs.subList(0, asked)), pairs.size() - asked);
  }

  private static Optional<Pair> alike(Work one, Work other, Map<Long, Fingerprint> prints) {
    Fingerprint first = Objects.requireNonNull(prints.get(one.id()));
    Fingerprint second = Objects.requireNonNull(prints.get(other.id()));
    boolean same = first.isNear(second);
    return same || first.mirrored().isNear(second)
        ? Optional.of(new Pair(one, other, !same))
        : Optional.empty();
  }
}
