package penmirror.web.evidence;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;
import penmirror.core.colour.OkLab;
import penmirror.core.copying.SmallFigure;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.reading.CutOut;
import penmirror.core.reading.ReadingInputs;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Work;

/** Figures cut out of their paper; those that were asked for last are kept. */
@Component
public class CutOuts {
  private static final long MOST_BYTES = 64_000_000;

  private final PictureStore pictures;
  private final PictureOpener opener;
  private final InputsFinder inputs;
  private final Cache<ReadingInputs, Optional<Cut>> kept =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((ReadingInputs of, Optional<Cut> cut) -> cut.map(Cut::bytes).orElse(1))
          .build();

  CutOuts(PictureStore pictures, PictureOpener opener, InputsFinder inputs) {
    this.pictures = pictures;
    this.opener = opener;
    this.inputs = inputs;
  }

  /**
   * A figure and where it lies on its picture.
   *
   * @param small the same in cells, to be held against another
   */
  public record Cut(byte[] png, CutOut.Place place, OkLab paper, SmallFigure small) {
    /** About half a megabyte of cells. */
    private static final int CELLS_BYTES = 500_000;

    /** The cut-out as it was made. */
    public CutOut opened() {
      try {
        return new CutOut(ImageIO.read(new ByteArrayInputStream(png)), place, paper);
      } catch (IOException e) {
        throw new UncheckedIOException("A cut-out that was just made cannot be opened.", e);
      }
    }

    /** The figure turned about, left for right. */
    public byte[] mirroredPng() {
      BufferedImage image = opened().image();
      int width = image.getWidth();
      BufferedImage turned =
          new BufferedImage(width, image.getHeight(), BufferedImage.TYPE_INT_ARGB);
      for (int x = 0; x < width; x++) {
        for (int y = 0; y < image.getHeight(); y++) {
          turned.setRGB(width - 1 - x, y, image.getRGB(x, y));
        }
      }
      return PngWriter.write(turned, Optional.empty());
    }

    private int bytes() {
      return png.length + CELLS_BYTES;
    }
  }

  /** Empty where nothing stands out from the paper, or where the picture opens no more. */
  public Optional<Cut> of(Work work) {
    ReadingInputs key = inputs.of(work);
    Optional<Cut> known = kept.getIfPresent(key);
    if (known != null) {
      return known;
    }
    Optional<Cut> cut = cut(work, key);
    kept.put(key, cut);
    return cut;
  }

  private Optional<Cut> cut(Work work, ReadingInputs by) {
    try {
      return opener.open(
          pictures.file(work.pictureSha256()).bytes(),
          opened ->
              CutOut.of(opened.picture(), by.strokes())
                  .map(
                      cut ->
                          new Cut(
                              PngWriter.write(cut.image(), Optional.empty()),
                              cut.place(),
                              cut.paper(),
                              SmallFigure.of(
                                  cut,
                                  new SmallFigure.Extent(
                                      opened.picture().widthPixels(),
                                      opened.picture().heightPixels())))));
    } catch (UnusablePictureException e) {
      return Optional.empty();
    }
  }
}
