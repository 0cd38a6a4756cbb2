package penmirror.web.sight;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.annotation.Primary;
import org.springframework.stereotype.Component;
import penmirror.core.proposal.FirstSight;
import penmirror.core.proposal.MarkedFigure;
import penmirror.core.raster.Picture;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.WorkStore;

/**
 * Looks at each of the tests' pictures really, and once: what was seen in it without anything to
 * learn from is seen again.
 */
@Primary
@Component
class ProposingOnce extends Proposing {
  private final Map<String, FirstSight> seen = new ConcurrentHashMap<>();

  ProposingOnce(
      WorkStore works, MarkingStore markings, PictureStore pictures, PictureOpener opener) {
    super(works, markings, pictures, opener);
  }

  @Override
  FirstSight look(String pictureSha256, Picture picture, List<MarkedFigure> marked) {
    if (!marked.isEmpty()) {
      return super.look(pictureSha256, picture, marked);
    }
    FirstSight before = seen.get(pictureSha256);
    if (before != null) {
      return before;
    }
    FirstSight now = super.look(pictureSha256, picture, marked);
    seen.put(pictureSha256, now);
    return now;
  }
}
