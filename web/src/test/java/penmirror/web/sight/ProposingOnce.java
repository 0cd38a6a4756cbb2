package penmirror.web.sight;

import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.annotation.Primary;
import org.springframework.stereotype.Component;
import penmirror.core.figure.View;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.proposal.FirstSight;
import penmirror.core.raster.Picture;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/**
 * Looks at each of the browser tests' pictures really, and once, as long as there is nothing to
 * learn from. Tests of the server look anew: some are about what nobody has looked at yet.
 */
@Primary
@Component
public class ProposingOnce extends Proposing {
  private final Map<String, FirstSight> told = new ConcurrentHashMap<>();
  private volatile boolean isOnce;

  ProposingOnce(
      WorkStore works, MarkingStore markings, PictureStore pictures, PictureOpener opener) {
    super(works, markings, pictures, opener);
  }

  public void once(boolean once) {
    isOnce = once;
  }

  @Override
  FirstSight look(Work work, Picture picture) throws UnusablePictureException {
    boolean learns = Arrays.stream(View.values()).anyMatch(view -> learnsFrom(work, view) > 0);
    FirstSight before = told.get(work.pictureSha256());
    if (isOnce && !learns && before != null) {
      return before;
    }
    FirstSight now = super.look(work, picture);
    if (!learns) {
      told.put(work.pictureSha256(), now);
    }
    return now;
  }
}
