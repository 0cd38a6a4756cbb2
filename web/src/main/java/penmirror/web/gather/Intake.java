package penmirror.web.gather;

import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.web.evidence.PixelReading;
import penmirror.web.studies.Work;
import penmirror.web.studies.Work.Role;
import penmirror.web.studies.WorkStore;
import penmirror.web.studies.WorkStore.NewPicture;

/** Takes files in: opens each, keeps the untouched bytes, and has its pixels read. */
@Component
public class Intake {
  private final WorkStore works;
  private final PixelReading pixelReading;
  private final PictureReader reader = new PictureReader();

  Intake(WorkStore works, PixelReading pixelReading) {
    this.works = works;
    this.pixelReading = pixelReading;
  }

  /** What came of a file. */
  public sealed interface Outcome permits Taken, AlreadyHere, Refused {}

  public record Taken(long workId) implements Outcome {}

  public record AlreadyHere(Work work) implements Outcome {}

  /**
   * @param reason plain words from the core
   */
  public record Refused(String reason) implements Outcome {}

  public Outcome take(
      long studyId, byte[] bytes, Role role, String title, String credit, View view) {
    PictureReader.Opened opened;
    try {
      opened = reader.open(bytes);
    } catch (UnusablePictureException e) {
      return new Refused(String.valueOf(e.getMessage()));
    }
    NewPicture picture = NewPicture.of(bytes, opened);
    Optional<Work> same = works.holding(studyId, role, picture.sha256());
    if (same.isPresent()) {
      return new AlreadyHere(same.get());
    }
    long id = works.take(studyId, picture, role, title, credit, view);
    pixelReading.ask(picture.sha256());
    return new Taken(id);
  }

  /** A title made from a file's name: without folders and ending, words apart. */
  public static String titleOf(String fileName) {
    String base =
        fileName.substring(Math.max(fileName.lastIndexOf('/'), fileName.lastIndexOf('\\')) + 1);
    int dot = base.lastIndexOf('.');
    String title =
        (dot > 0 ? base.substring(0, dot) : base).replace('-', ' ').replace('_', ' ').strip();
    return Work.cutTitle(title.isEmpty() ? base : title);
  }
}
