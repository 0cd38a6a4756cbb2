package penmirror.web.evidence;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import org.springframework.stereotype.Component;
import penmirror.core.figure.Marks;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.line.LinePlaces;
import penmirror.core.reading.LinePlaceReader;
import penmirror.core.reading.ReadingInputs;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Work;

/** The lines of works place by place; those that were asked for last are kept. */
@Component
public class LinesSeen {
  private static final long MOST_KEPT = 1_000;

  private final PictureStore pictures;
  private final PictureOpener opener;
  private final InputsFinder inputs;
  private final Cache<By, List<LinePlaces.Seen>> kept =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

  LinesSeen(PictureStore pictures, PictureOpener opener, InputsFinder inputs) {
    this.pictures = pictures;
    this.opener = opener;
    this.inputs = inputs;
  }

  /** What they hang on: all landmarks, not only those that other readings heed. */
  private record By(ReadingInputs inputs, Marks marks) {}

  /** None where the picture opens no more, has no lines, or shows no marked head. */
  public List<LinePlaces.Seen> of(Work work, Marks marks) {
    return kept.get(new By(inputs.of(work), marks), by -> read(work, by));
  }

  private List<LinePlaces.Seen> read(Work work, By by) {
    try {
      return opener.open(
          pictures.file(work.pictureSha256()).bytes(),
          opened -> LinePlaceReader.read(opened.picture(), by.inputs().strokes(), by.marks()));
    } catch (UnusablePictureException e) {
      return List.of();
    }
  }
}
