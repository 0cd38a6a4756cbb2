package penmirror.web.tray;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.core.scan.ScanCleaner;
import penmirror.core.scan.ScanCleaner.Cleaned;
import penmirror.web.opening.PictureOpener;

/**
 * Shows what cleaning would make of a page, on a reduced copy. The copy of the page looked at last
 * is kept, so that trying another wish is quick.
 */
@Component
class CleaningTable {
  /** Longer side of the copy, at most twice this. */
  private static final int COPY_SIDE = 1300;

  private final Tray tray;
  private final PictureOpener opener;
  private Optional<Copy> copy = Optional.empty();
  private Optional<Tried> tried = Optional.empty();

  CleaningTable(Tray tray, PictureOpener opener) {
    this.tray = tray;
    this.opener = opener;
  }

  private record Copy(TrayPage page, Picture picture, int factor) {}

  private record Tried(TrayPage page, Cleaning cleaning, Cleaned cleaned) {}

  /**
   * What was found on a page.
   *
   * @param kept outline of what is left after cleaning, pixels of the scan, clockwise
   */
  record Found(
      double turnDegrees,
      boolean sheetFound,
      double unevenness,
      String paperHex,
      List<Point> kept) {}

  /** Empty if the page changed, went away, or could not be read after all. */
  synchronized Optional<Found> found(TrayPage page, Cleaning cleaning) {
    return tried(page, cleaning)
        .map(
            t -> {
              Cleaned cleaned = t.cleaned();
              double right = cleaned.picture().widthPixels();
              double bottom = cleaned.picture().heightPixels();
              int factor = copy.map(Copy::factor).orElse(1);
              return new Found(
                  cleaned.turnDegrees(),
                  cleaned.sheetFound(),
                  cleaned.unevenness(),
                  cleaned.paper().hex(),
                  List.of(
                          new Point(0, 0),
                          new Point(right, 0),
                          new Point(right, bottom),
                          new Point(0, bottom))
                      .stream()
                      .map(cleaned::placeOnScan)
                      .map(p -> new Point(p.x() * factor, p.y() * factor))
                      .toList());
            });
  }

  /** The reduced page as it was scanned, PNG. */
  synchronized Optional<byte[]> raw(TrayPage page) {
    return copy(page).map(c -> PngWriter.write(c.picture().toImage(), Optional.empty()));
  }

  /** The reduced page as it would be taken in, PNG. */
  synchronized Optional<byte[]> cleaned(TrayPage page, Cleaning cleaning) {
    return tried(page, cleaning)
        .map(t -> PngWriter.write(t.cleaned().picture().toImage(), Optional.empty()));
  }

  private Optional<Tried> tried(TrayPage page, Cleaning cleaning) {
    if (tried.filter(t -> t.page().equals(page) && t.cleaning().equals(cleaning)).isEmpty()) {
      tried =
          copy(page)
              .map(
                  c ->
                      new Tried(
                          page,
                          cleaning,
                          new ScanCleaner().clean(c.picture(), cleaning.wishes(c.factor()))));
    }
    return tried;
  }

  private Optional<Copy> copy(TrayPage page) {
    if (copy.filter(c -> c.page().equals(page)).isEmpty()) {
      copy = tray.read(page).flatMap(bytes -> reduced(page, bytes));
    }
    return copy;
  }

  private Optional<Copy> reduced(TrayPage page, byte[] bytes) {
    try {
      return opener.open(
          bytes,
          opened -> {
            Picture whole = opened.picture();
            int longer = Math.max(whole.widthPixels(), whole.heightPixels());
            int factor = Math.max(1, longer / COPY_SIDE);
            return Optional.of(new Copy(page, whole.shrunk(factor), factor));
          });
    } catch (UnusablePictureException e) {
      return Optional.empty(); // It was whole when the tray listed it, so it has changed since.
    }
  }
}
