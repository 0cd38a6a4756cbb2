package penmirror.web.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Fingerprint;
import penmirror.core.raster.SubPicture;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/**
 * The same picture at another size, in a mirror, or with more or less around the figure: its marks
 * fit here once they are brought over.
 */
@Component
class Twins {
  private final WorkStore works;
  private final MarkingStore markings;
  private final PictureStore pictures;
  private final PictureOpener opener;

  Twins(WorkStore works, MarkingStore markings, PictureStore pictures, PictureOpener opener) {
    this.works = works;
    this.markings = markings;
    this.pictures = pictures;
    this.opener = opener;
  }

  /**
   * A marked picture that is this one again.
   *
   * @param framed whether one was cut out of the other
   */
  record Twin(Work work, boolean mirrored, boolean framed, int points) {}

  List<Twin> of(Work work) {
    Map<Long, Fingerprint> prints = works.fingerprints(work.studyId());
    Map<Long, Marks> newest = markings.newestOf(work.studyId());
    List<Twin> twins = new ArrayList<>();
    for (long id : works.framedTogether(work.id())) {
      Marks there = newest.get(id);
      if (there != null && !there.isEmpty()) {
        Work other = works.require(work.studyId(), id);
        twins.add(new Twin(other, false, true, there.landmarks().size()));
      }
    }
    Fingerprint own = prints.get(work.id());
    if (own == null) {
      return twins;
    }
    prints.forEach(
        (id, print) -> {
          boolean same = own.isNear(print);
          Marks there = newest.getOrDefault(id, Marks.none(work.view()));
          if (id != work.id() && !there.isEmpty() && (same || own.mirrored().isNear(print))) {
            int points = there.landmarks().size();
            twins.add(new Twin(works.require(work.studyId(), id), !same, false, points));
          }
        });
    return twins;
  }

  /**
   * The twin's marks in pixels of this work; those that lie outside it are left out.
   *
   * @throws UnusablePictureException when one of the two cannot be opened any more
   */
  Marks marksFor(Work work, Twin twin) throws UnusablePictureException {
    Marks there = markings.newest(twin.work().id(), twin.work().view()).marks();
    return twin.framed() ? shifted(work, twin.work(), there) : scaled(work, twin, there);
  }

  /** Nothing where no exact cut-out is found: then the marks would lie wrong. */
  private Marks shifted(Work work, Work other, Marks there) throws UnusablePictureException {
    boolean inside =
        work.widthPixels() * (long) work.heightPixels()
            < other.widthPixels() * (long) other.heightPixels();
    Optional<Point> offset =
        opener.openTwo(
            file(work),
            file(other),
            (own, its) -> inside ? SubPicture.offset(its, own) : SubPicture.offset(own, its));
    Marks here = Marks.none(work.view());
    if (offset.isEmpty()) {
      return here;
    }
    Point step = inside ? offset.get().times(-1) : offset.get();
    for (Landmark landmark : there.landmarks().keySet()) {
      Mark mark = there.landmarks().get(landmark);
      Optional<Point> place = mark.point().map(p -> p.plus(step));
      boolean outside =
          place
              .filter(
                  p ->
                      p.x() < 0
                          || p.y() < 0
                          || p.x() > work.widthPixels()
                          || p.y() > work.heightPixels())
              .isPresent();
      if (!outside) {
        here = here.with(landmark, place.map(p -> Mark.at(p, mark.state())).orElse(mark));
      }
    }
    return here;
  }

  private byte[] file(Work work) {
    return pictures.file(work.pictureSha256()).bytes();
  }

  private static Marks scaled(Work work, Twin twin, Marks there) {
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
