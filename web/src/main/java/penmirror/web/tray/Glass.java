package penmirror.web.tray;

import java.util.List;
import org.springframework.stereotype.Component;
import penmirror.core.file.UnusablePictureException;
import penmirror.web.layout.NotFoundException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;

/** Lays pictures of the library on the glass of the stand-in scanner. */
@Component
class Glass {
  /** What can be set on the machine, px per inch. */
  static final List<Integer> RESOLUTIONS = List.of(150, 300, 600);

  private final StandInScanner scanner;
  private final PictureStore pictures;
  private final PictureOpener opener;

  Glass(StandInScanner scanner, PictureStore pictures, PictureOpener opener) {
    this.scanner = scanner;
    this.pictures = pictures;
    this.opener = opener;
  }

  /** Begins to scan a picture; a job at a resolution that the machine lacks is not known. */
  void lay(String pictureSha256, StandInScanner.Job job) throws UnusablePictureException {
    if (!RESOLUTIONS.contains(job.pixelsPerInch())) {
      throw new NotFoundException("fault.tray.resolution", job.pixelsPerInch());
    }
    byte[] bytes = pictures.file(pictureSha256).bytes();
    // A picture that came from a scan may be TIFF; all in the library have been opened before.
    scanner.scan(opener.open(bytes, opened -> opened.picture().toImage()), job);
  }
}
