package penmirror.web.sight;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.proposal.FacePatch;
import penmirror.core.proposal.FirstSight;
import penmirror.core.proposal.MarkedFigure;
import penmirror.core.proposal.Proposal;
import penmirror.core.proposal.Proposer;
import penmirror.core.raster.Picture;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Proposes landmarks of a work from its pixels and from the works of the study that are marked. */
@Component
public class Proposing {
  /** More marked works teach nothing further and cost time. */
  private static final int MOST_LEARNED_FROM = 12;

  /** The copy at which proposals work anyway. */
  private static final int COPY_PIXELS = 960;

  private static final int FACES_KEPT = 400;

  private final WorkStore works;
  private final MarkingStore markings;
  private final PictureStore pictures;
  private final PictureOpener opener;

  /** Faces by picture and marking: opening the pictures again would cost more than all the rest. */
  private final Map<String, Optional<FacePatch>> faces =
      Collections.synchronizedMap(
          new LinkedHashMap<>(64, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<String, Optional<FacePatch>> eldest) {
              return size() > FACES_KEPT;
            }
          });

  Proposing(WorkStore works, MarkingStore markings, PictureStore pictures, PictureOpener opener) {
    this.works = works;
    this.markings = markings;
    this.pictures = pictures;
    this.opener = opener;
  }

  /**
   * What is proposed for the points that are not marked.
   *
   * @throws UnusablePictureException when the picture cannot be opened any more
   */
  public Proposal propose(Work work, Marks known) throws UnusablePictureException {
    List<MarkedFigure> marked = marked(work, Optional.of(work.view()));
    return opener.open(
        copy(work),
        opened -> {
          Picture picture = opened.picture();
          double scale = picture.widthPixels() / (double) work.widthPixels();
          Marks small = known.moved(known.landmarks().keySet(), p -> p.times(scale));
          return enlarged(new Proposer(marked).propose(picture, small), 1 / scale);
        });
  }

  /**
   * What a work shows before anybody has looked, its own picture opened already.
   *
   * @param picture of the work at its own size
   * @throws UnusablePictureException when a marked work's picture cannot be opened any more
   */
  FirstSight look(Work work, Picture picture) throws UnusablePictureException {
    return new Proposer(marked(work, Optional.empty())).look(picture);
  }

  /** How many works a proposal for this one can learn from. */
  public int learnsFrom(Work work) {
    return learnsFrom(work, work.view());
  }

  /** How many it could learn from if it were seen from that side. */
  int learnsFrom(Work work, View view) {
    return (int) candidates(work).stream().filter(other -> other.view() == view).count();
  }

  /** A redraw is likest to the attempts before it; everything else is like the sources. */
  private List<Work> candidates(Work work) {
    Map<Long, Marks> newest = markings.newestOf(work.studyId());
    if (work.role() == Work.Role.REDRAW) {
      List<Work> before = marked(work, Work.Role.REDRAW, newest);
      if (!before.isEmpty()) {
        return before;
      }
    }
    return marked(work, Work.Role.SOURCE, newest);
  }

  private List<Work> marked(Work work, Work.Role role, Map<Long, Marks> newest) {
    return works.inRole(work.studyId(), role).stream()
        .filter(
            other ->
                other.id() != work.id()
                    && !other.leftOut()
                    && newest.containsKey(other.id())
                    && newest.get(other.id()).confirmed().headFrame().isPresent())
        .toList();
  }

  private List<MarkedFigure> marked(Work work, Optional<View> view)
      throws UnusablePictureException {
    List<Work> from =
        candidates(work).stream()
            .filter(other -> view.isEmpty() || other.view() == view.get())
            .limit(MOST_LEARNED_FROM)
            .toList();
    List<MarkedFigure> figures = new ArrayList<>();
    for (Work other : from) {
      MarkingStore.Marking marking = markings.newest(other.id(), other.view());
      String key = other.pictureSha256() + "/" + other.id() + "/" + marking.version();
      Optional<FacePatch> face = faces.get(key);
      if (face == null) {
        face = face(other, marking.marks());
        faces.put(key, face);
      }
      figures.add(new MarkedFigure(marking.marks().confirmed(), face));
    }
    return figures;
  }

  private Optional<FacePatch> face(Work work, Marks marks) throws UnusablePictureException {
    return opener.open(
        copy(work),
        opened -> {
          Picture picture = opened.picture();
          return FacePatch.of(picture, marks, picture.widthPixels() / (double) work.widthPixels());
        });
  }

  /** A small copy where there is one: proposals are made on 800 pixels. */
  private byte[] copy(Work work) {
    return pictures
        .rendition(work.pictureSha256(), COPY_PIXELS)
        .map(PictureStore.PictureFile::bytes)
        .orElseGet(() -> pictures.file(work.pictureSha256()).bytes());
  }

  private static Proposal enlarged(Proposal proposal, double factor) {
    Map<Landmark, Proposal.Proposed> points = new LinkedHashMap<>();
    proposal
        .points()
        .forEach(
            (landmark, proposed) ->
                points.put(
                    landmark,
                    new Proposal.Proposed(proposed.place().times(factor), proposed.confidence())));
    Proposal.Box box = proposal.figure();
    return new Proposal(
        proposal.view(),
        points,
        new Proposal.Box(
            box.left() * factor, box.top() * factor, box.right() * factor, box.bottom() * factor));
  }
}
