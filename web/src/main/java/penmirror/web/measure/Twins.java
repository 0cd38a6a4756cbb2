package penmirror.web.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Fingerprint;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The same picture at another size or in a mirror: its marks fit here once they are scaled. */
@Component
class Twins {
  private final WorkStore works;
  private final MarkingStore markings;

  Twins(WorkStore works, MarkingStore markings) {
    this.works = works;
    this.markings = markings;
  }

  /** A marked picture that is this one again. */
  record Twin(Work work, boolean mirrored, int points) {}

  List<Twin> of(Work work) {
    Map<Long, Fingerprint> prints = works.fingerprints(work.studyId());
    Fingerprint own = prints.get(work.id());
    if (own == null) {
      return List.of();
    }
    Map<Long, Marks> newest = markings.newestOf(work.studyId());
    List<Twin> twins = new ArrayList<>();
    prints.forEach(
        (id, print) -> {
          boolean same = own.isNear(print);
          boolean marked = newest.containsKey(id) && !newest.get(id).isEmpty();
          if (id != work.id() && marked && (same || own.mirrored().isNear(print))) {
            int points = newest.get(id).landmarks().size();
            twins.add(new Twin(works.require(work.studyId(), id), !same, points));
          }
        });
    return twins;
  }

  /** The twin's marks in pixels of this work. */
  Marks marksFor(Work work, Twin twin) {
    Marks there = markings.newest(twin.work().id(), twin.work().view()).marks();
    double scaleX = work.widthPixels() / (double) twin.work().widthPixels();
    double scaleY = work.heightPixels() / (double) twin.work().heightPixels();
    Marks here = Marks.none(work.view());
    for (var entry : there.landmarks().entrySet()) {
      var landmark = twin.mirrored() ? entry.getKey().mirrored() : entry.getKey();
      Mark mark =
          entry
              .getValue()
              .point()
              .map(
                  p -> {
                    double x = twin.mirrored() ? twin.work().widthPixels() - p.x() : p.x();
                    return Mark.at(new Point(x * scaleX, p.y() * scaleY), entry.getValue().state());
                  })
              .orElse(Mark.hidden());
      here = here.with(landmark, mark);
    }
    return here;
  }
}
