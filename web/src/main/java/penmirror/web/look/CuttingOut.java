package penmirror.web.look;

import java.awt.image.BufferedImage;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.raster.Picture;
import penmirror.web.gather.Intake;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Makes a work of its own of one figure of several. */
@Component
class CuttingOut {
  private final WorkStore works;
  private final PictureStore pictures;
  private final LookStore looks;
  private final PictureOpener opener;
  private final Intake intake;

  CuttingOut(
      WorkStore works,
      PictureStore pictures,
      LookStore looks,
      PictureOpener opener,
      Intake intake) {
    this.works = works;
    this.pictures = pictures;
    this.looks = looks;
    this.opener = opener;
    this.intake = intake;
  }

  /**
   * Cuts the box out of the picture at full size; the picture itself then stays out of the rules,
   * and the new work has its tags.
   *
   * @param title of the new work
   */
  Intake.Outcome cutOut(Study study, Work work, LookStore.Box box, String title)
      throws UnusablePictureException {
    byte[] png =
        opener.open(
            pictures.file(work.pictureSha256()).bytes(),
            opened -> PngWriter.write(cut(opened.picture(), box), Optional.empty()));
    return intake.take(
        new Intake.Into(study.id(), work.role(), work.credit(), work.view()),
        png,
        Work.cutTitle(title),
        placed -> {
          if (placed.isNew()) {
            works.tag(placed.work().id(), work.tags());
            looks.noteFraming(placed.work().id(), work.id());
            works.leaveOut(work.id(), true);
          }
        });
  }

  private static BufferedImage cut(Picture whole, LookStore.Box box) {
    return whole
        .cropped(
            (int) Math.round(box.x()),
            (int) Math.round(box.y()),
            (int) Math.round(box.width()),
            (int) Math.round(box.height()))
        .toImage();
  }
}
