package penmirror.web.look;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.proposal.Proposal;
import penmirror.core.raster.Picture;
import penmirror.web.evidence.SightStore;
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
  private final SightStore sights;
  private final MessageSource messages;

  CuttingOut(
      WorkStore works,
      PictureStore pictures,
      LookStore looks,
      PictureOpener opener,
      Intake intake,
      SightStore sights,
      MessageSource messages) {
    this.sights = sights;
    this.messages = messages;
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

  /** Air round a figure, of its longer side: its line must not be cut. */
  private static final double AIR = 0.05;

  /**
   * Each figure that stands free becomes a work. Nothing happens where the machine sees one, or has
   * not looked yet.
   */
  void cutOutEach(Study study, Work work) throws UnusablePictureException {
    List<Proposal.Box> figures =
        sights.of(work.id()).map(sight -> sight.seen().figures()).orElse(List.of());
    for (int i = 0; i < figures.size(); i++) {
      String title = text("look.figure.each", work.title(), i + 1, figures.size());
      cutOut(study, work, framed(figures.get(i), work), title);
    }
  }

  private static LookStore.Box framed(Proposal.Box figure, Work work) {
    double air = AIR * Math.max(figure.right() - figure.left(), figure.bottom() - figure.top());
    double left = Math.max(0, figure.left() - air);
    double top = Math.max(0, figure.top() - air);
    double right = Math.min(work.widthPixels(), figure.right() + air);
    double bottom = Math.min(work.heightPixels(), figure.bottom() + air);
    return new LookStore.Box(left, top, right - left, bottom - top);
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
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
