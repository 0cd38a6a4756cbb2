package penmirror.web.tray;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.file.PngWriter;
import penmirror.core.file.Resolution;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.scan.ScanCleaner;
import penmirror.core.scan.ScanCleaner.Cleaned;
import penmirror.web.gather.Intake;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.PictureStore.NewPicture;
import penmirror.web.studies.Scan;
import penmirror.web.studies.ScanStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Cleans a page at full size and takes it into a study. The scan itself is kept beside it. */
@Component
class TakingIn {
  private final StudyStore studies;
  private final WorkStore works;
  private final Tray tray;
  private final PictureStore pictures;
  private final ScanStore scans;
  private final Intake intake;
  private final PictureOpener opener;
  private final MessageSource messages;

  TakingIn(
      StudyStore studies,
      WorkStore works,
      Tray tray,
      PictureStore pictures,
      ScanStore scans,
      Intake intake,
      PictureOpener opener,
      MessageSource messages) {
    this.studies = studies;
    this.works = works;
    this.tray = tray;
    this.pictures = pictures;
    this.scans = scans;
    this.intake = intake;
    this.opener = opener;
    this.messages = messages;
  }

  /**
   * What the page is to become, as it is typed.
   *
   * @param page the file in the tray
   * @param title made up from the role or the file where it is blank
   * @param resolution px per inch, where the file says nothing; may be blank
   */
  record Form(
      @NotBlank String page,
      long study,
      @NotNull Work.Role role,
      @Nullable String title,
      @NotNull View view,
      @Nullable String resolution) {}

  /** What came of it. */
  sealed interface Outcome permits Taken, Refused {}

  record Taken(long workId) implements Outcome {}

  /** Nothing was taken, and the page still lies in the tray. */
  record Refused(String reason) implements Outcome {}

  Outcome take(Form form, Cleaning cleaning) {
    Study into = studies.require(form.study());
    String said = Objects.requireNonNullElse(form.resolution(), "").strip();
    Optional<Resolution> stated;
    try {
      stated =
          said.isEmpty() ? Optional.empty() : Optional.of(new Resolution(Double.parseDouble(said)));
    } catch (IllegalArgumentException e) {
      return new Refused(text("tray.resolution.wrong", said));
    }
    if (cleaning.waitsForLine()) {
      return new Refused(text("tray.line.none"));
    }
    Order order =
        new Order(
            into.id(), form.role(), title(into, form), credit(into, form.role()), form.view());
    return take(form.page(), cleaning, stated, order)
        .<Outcome>map(Taken::new)
        .orElseGet(() -> new Refused(text("tray.gone", form.page())));
  }

  private String title(Study study, Form form) {
    String asked = Objects.requireNonNullElse(form.title(), "").strip();
    if (!asked.isEmpty()) {
      return Work.cutTitle(asked);
    }
    return form.role() == Work.Role.REDRAW
        ? text("mirror.attempt", works.inRole(study.id(), form.role()).size() + 1)
        : Intake.titleOf(form.page());
  }

  private String credit(Study study, Work.Role role) {
    return role == Work.Role.SOURCE ? study.credit() : text("mirror.own");
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }

  private record Order(long studyId, Work.Role role, String title, String credit, View view) {}

  /**
   * @param resolution what the user says where the file says nothing
   * @return the work's id; empty if the page is not in the tray any more, or not ready
   */
  private synchronized Optional<Long> take(
      String fileName, Cleaning cleaning, Optional<Resolution> resolution, Order order) {
    Optional<TrayPage> page = tray.page(fileName).filter(TrayPage::isReady);
    Optional<byte[]> bytes = page.flatMap(tray::read);
    if (bytes.isEmpty()) {
      return Optional.empty();
    }
    Prepared prepared;
    try {
      prepared = opener.open(bytes.get(), raw -> prepared(bytes.get(), raw, cleaning, resolution));
    } catch (UnusablePictureException e) {
      return Optional.empty(); // It has changed since it was listed.
    }
    Intake.Outcome outcome =
        intake.take(
            new Intake.Into(order.studyId(), order.role(), order.credit(), order.view()),
            prepared.file(),
            order.title(),
            placed -> {
              // Should anything fail, neither is kept and the page still lies in the tray.
              pictures.keep(prepared.raw());
              scans.note(placed.work().id(), prepared.scan(fileName, cleaning));
            });
    long workId;
    if (outcome instanceof Intake.Taken taken) {
      workId = taken.workId();
    } else if (outcome instanceof Intake.AlreadyHere here) {
      workId = here.work().id();
    } else {
      throw new IllegalStateException("A cleaned page was refused: " + outcome);
    }
    page.ifPresent(tray::putAside);
    return Optional.of(workId);
  }

  /** A cleaned page with the scan it was made from. */
  private record Prepared(
      NewPicture raw, byte[] file, Optional<Resolution> resolution, double turnDegrees) {
    Scan scan(String fileName, Cleaning cleaning) {
      return new Scan(
          raw.sha256(), fileName, resolution, turnDegrees, cleaning.flatten(), cleaning.white());
    }
  }

  private static Prepared prepared(
      byte[] bytes, PictureReader.Opened raw, Cleaning cleaning, Optional<Resolution> said) {
    Cleaned cleaned = new ScanCleaner().clean(raw.picture(), cleaning.wishes(1));
    Optional<Resolution> known = raw.resolution().or(() -> said);
    byte[] file = PngWriter.write(cleaned.picture().toImage(), known);
    return new Prepared(NewPicture.of(bytes, raw), file, known, cleaned.turnDegrees());
  }
}
