package penmirror.web.evidence;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.EvidenceJson;
import penmirror.core.reading.PixelEvidence;
import penmirror.core.reading.ReadingInputs;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.Work;

/**
 * Reads a picture anew with all that its readings come from. The last few are kept, told by
 * picture, marks and corrections, since a page asks several times for the same.
 */
@Component
public class OriginFinder {
  /** A picture with its evidence takes some ten bytes a pixel. */
  private static final int MOST_KEPT = 2;

  private final PixelReadingStore pictures;
  private final InputsFinder inputs;
  private final PictureOpener opener;
  private final Looking looking;
  private final Map<ReadingInputs, PixelEvidence> kept =
      new LinkedHashMap<>(4, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<ReadingInputs, PixelEvidence> eldest) {
          return size() > MOST_KEPT;
        }
      };

  OriginFinder(
      PixelReadingStore pictures, InputsFinder inputs, PictureOpener opener, Looking looking) {
    this.pictures = pictures;
    this.inputs = inputs;
    this.opener = opener;
    this.looking = looking;
  }

  /**
   * @return empty when there is no such picture any more
   * @throws UnusablePictureException when the file cannot be opened
   */
  public Optional<PixelEvidence> of(Work work) throws UnusablePictureException {
    ReadingInputs key = inputs.of(work);
    synchronized (kept) {
      PixelEvidence known = kept.get(key);
      if (known != null) {
        return Optional.of(known);
      }
    }
    Optional<byte[]> file = pictures.file(work.pictureSha256());
    if (file.isEmpty()) {
      return Optional.empty();
    }
    PixelEvidence found =
        opener.openToRead(
            file.get(), opened -> looking.evidence(key, opened.picture(), step -> {}));
    synchronized (kept) {
      kept.put(key, found);
    }
    return Optional.of(found);
  }

  /** The same as a page draws it. */
  public Optional<String> json(Work work) throws UnusablePictureException {
    return of(work).map(EvidenceJson::write);
  }
}
