package penmirror.web.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import penmirror.core.raster.Fingerprint;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Finds works of a study that are likely one picture: resized, recompressed, or mirrored. */
@Component
class LookAlikes {
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

  /** Pairs that nobody has decided on yet. */
  List<Pair> undecided(long studyId, List<Work> shown) {
    Map<Long, Fingerprint> prints = works.fingerprints(studyId);
    List<Work> counted = shown.stream().filter(work -> !work.leftOut()).toList();
    List<Pair> pairs = new ArrayList<>();
    for (int i = 0; i < counted.size(); i++) {
      Fingerprint one = prints.get(counted.get(i).id());
      if (one == null) {
        continue;
      }
      for (int j = i + 1; j < counted.size(); j++) {
        Fingerprint other = prints.get(counted.get(j).id());
        if (other == null) {
          continue;
        }
        boolean same = one.isNear(other);
        if ((same || one.mirrored().isNear(other))
            && !works.areToldApart(counted.get(i).id(), counted.get(j).id())) {
          pairs.add(new Pair(counted.get(i), counted.get(j), !same));
        }
      }
    }
    return pairs;
  }
}
