package penmirror.web.evidence;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.figure.Marks;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.EvidenceJson;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.PixelEvidence;
import penmirror.core.measure.PixelReader;
import penmirror.web.opening.PictureOpener;

/**
 * Reads a picture anew with all that its readings come from. The last few are kept, told by
 * picture, marks and corrections, since a page asks several times for the same.
 */
@Component
public class OriginFinder {
  /** A picture with its evidence takes some ten bytes a pixel. */
  private static final int MOST_KEPT = 2;

  private final PixelReadingStore pictures;
  private final MarkingStore markings;
  private final FigureEditStore edits;
  private final PictureOpener opener;
  private final Map<Key, PixelEvidence> kept =
      new LinkedHashMap<>(4, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, PixelEvidence> eldest) {
          return size() > MOST_KEPT;
        }
      };

  OriginFinder(
      PixelReadingStore pictures,
      MarkingStore markings,
      FigureEditStore edits,
      PictureOpener opener) {
    this.pictures = pictures;
    this.markings = markings;
    this.edits = edits;
    this.opener = opener;
  }

  private record Key(String sha256, Marks marks, List<FigureEdit> edits) {}

  /**
   * @return empty when there is no such picture any more
   * @throws UnusablePictureException when the file cannot be opened
   */
  public Optional<PixelEvidence> of(String sha256) throws UnusablePictureException {
    Key key = new Key(sha256, markings.newestOnPicture(sha256).confirmed(), edits.of(sha256));
    synchronized (kept) {
      PixelEvidence known = kept.get(key);
      if (known != null) {
        return Optional.of(known);
      }
    }
    Optional<byte[]> file = pictures.file(sha256);
    if (file.isEmpty()) {
      return Optional.empty();
    }
    PixelEvidence found =
        opener.openToRead(
            file.get(),
            opened ->
                new PixelReader().look(opened.picture(), key.marks(), key.edits(), step -> {}));
    synchronized (kept) {
      kept.put(key, found);
    }
    return Optional.of(found);
  }

  /** The same as a page draws it. */
  public Optional<String> json(String sha256) throws UnusablePictureException {
    return of(sha256).map(EvidenceJson::write);
  }
}
