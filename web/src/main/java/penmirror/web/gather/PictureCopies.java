package penmirror.web.gather;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.file.PictureFormat;
import penmirror.core.file.PictureReader;
import penmirror.core.file.PngWriter;
import penmirror.core.file.Renditions;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.raster.Picture;
import penmirror.web.layout.NotFoundException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.PictureStore.PictureFile;

/** Smaller copies for the wall, and pixels of files that browsers do not show. Made once. */
@Component
class PictureCopies {
  /** For a tile, for a tile seen closer, and for the desk. */
  static final List<Integer> SIDES = List.of(480, 960, 1920);

  /** Made while the picture is open anyway; the others when first asked for. */
  private static final int AT_ONCE = 480;

  private static final int FULL_SIZE = 0;

  private final PictureStore pictures;
  private final PictureOpener opener;

  PictureCopies(PictureStore pictures, PictureOpener opener) {
    this.pictures = pictures;
    this.opener = opener;
  }

  /** A copy that was made and is not kept yet. */
  record Copy(int longerSide, PictureFile file) {}

  /** The copies that will be wanted first. */
  static List<Copy> firstOf(PictureReader.Opened opened) {
    Copy tile = new Copy(AT_ONCE, small(opened.picture(), AT_ONCE));
    return opened.format().isShownByBrowsers()
        ? List.of(tile)
        : List.of(tile, new Copy(FULL_SIZE, png(opened.picture())));
  }

  void keep(String sha256, List<Copy> copies) {
    copies.forEach(copy -> pictures.keepRendition(sha256, copy.longerSide(), copy.file()));
  }

  /** The file as it was taken in. */
  PictureFile original(String sha256) {
    return pictures.file(sha256);
  }

  /**
   * At full size: the file itself where browsers show it.
   *
   * @throws NotFoundException when there is no such picture
   */
  PictureFile whole(String sha256) {
    boolean shown =
        PictureFormat.ofMediaType(pictures.mediaType(sha256))
            .map(PictureFormat::isShownByBrowsers)
            .orElse(false);
    return shown ? pictures.file(sha256) : copy(sha256, FULL_SIZE);
  }

  /**
   * @param longerSide one of {@link #SIDES}
   * @throws NotFoundException when there is no such picture
   */
  PictureFile copy(String sha256, int longerSide) {
    return pictures.rendition(sha256, longerSide).orElseGet(() -> made(sha256, longerSide));
  }

  private PictureFile made(String sha256, int longerSide) {
    try {
      return opener.open(
          pictures.file(sha256).bytes(),
          opened ->
              // Somebody may have made it while this one waited.
              pictures
                  .rendition(sha256, longerSide)
                  .orElseGet(() -> kept(sha256, longerSide, opened.picture())));
    } catch (UnusablePictureException e) {
      throw new IllegalStateException("A kept picture cannot be opened any more: " + sha256, e);
    }
  }

  private PictureFile kept(String sha256, int longerSide, Picture picture) {
    PictureFile copy = longerSide == FULL_SIZE ? png(picture) : small(picture, longerSide);
    pictures.keepRendition(sha256, longerSide, copy);
    return copy;
  }

  private static PictureFile small(Picture picture, int longerSide) {
    return new PictureFile(Renditions.jpeg(picture, longerSide), "image/jpeg");
  }

  private static PictureFile png(Picture picture) {
    return new PictureFile(PngWriter.write(picture.toImage(), Optional.empty()), "image/png");
  }
}
