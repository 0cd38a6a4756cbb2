package penmirror.core.file;

import java.util.Optional;
import penmirror.core.file.PictureReader.Opened;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.file.UnusablePictureException.Reason;
import penmirror.core.raster.Picture;

/** Opens vector and layered files, inside the {@link DrawingProcess}. */
final class ApartFile {
  private ApartFile() {}

  static Opened open(byte[] bytes, PictureLimits limits) throws UnusablePictureException {
    PictureFormat format =
        PictureFormat.sniff(bytes)
            .filter(PictureFormat::isOpenedApart)
            .orElseThrow(PictureReader::notAPicture);
    if (format == PictureFormat.SVG) {
      return new Opened(
          Picture.from(SvgDrawing.draw(bytes, limits)), format, Optional.empty(), Profile.NONE);
    }
    Opened flat =
        RasterFile.open(OpenRasterFile.flattened(bytes, limits), PictureFormat.PNG, limits);
    Picture picture = flat.picture();
    Picture drawnOn =
        OpenRasterLayers.drawnOn(bytes, picture.widthPixels(), picture.heightPixels())
            .map(picture::withCoverage)
            .orElse(picture);
    return new Opened(drawnOn, format, flat.resolution(), flat.profile());
  }

  static UnusablePictureException undrawable() {
    return new UnusablePictureException(
        Reason.UNREADABLE,
        "The file could not be drawn: something in it is damaged or unusual. Open it in a drawing"
            + " program and export it as PNG.");
  }
}
