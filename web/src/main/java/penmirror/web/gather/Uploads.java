package penmirror.web.gather;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;
import penmirror.core.figure.View;
import penmirror.core.file.PictureFormat;
import penmirror.core.file.PictureLimits;
import penmirror.core.words.Wording;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Takes files as a browser sends them, and tells of each that cannot be used. */
@Component
public class Uploads {
  private final Intake intake;
  private final MessageSource messages;

  Uploads(Intake intake, MessageSource messages) {
    this.intake = intake;
    this.messages = messages;
  }

  /**
   * What came in.
   *
   * @param newest the work taken last; empty where none could be used
   * @param faults a sentence for each file that could not be used or only in part
   */
  public record Taken(Optional<Long> newest, List<String> faults) {}

  /**
   * Takes any number of files as sources, zip files unpacked; each is taken for itself.
   *
   * @param credit of all of them; the study's own where it is blank
   */
  Taken take(Study study, List<MultipartFile> files, String credit) throws IOException {
    return take(
        files,
        new Intake.Into(
            study.id(),
            Work.Role.SOURCE,
            credit.isBlank() ? study.credit() : credit.strip(),
            View.FRONT));
  }

  /** The same for whatever they are to the study. */
  public Taken take(List<MultipartFile> files, Intake.Into into) throws IOException {
    List<String> faults = new ArrayList<>();
    Optional<Long> newest = Optional.empty();
    for (MultipartFile file : files) {
      for (Intake.Named named : takeOne(file, into)) {
        if (named.outcome() instanceof Intake.Taken taken) {
          newest = Optional.of(taken.workId());
        }
        fault(named).ifPresent(faults::add);
      }
    }
    return new Taken(newest, faults);
  }

  private List<Intake.Named> takeOne(MultipartFile file, Intake.Into into) throws IOException {
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    if (name.isEmpty() && file.isEmpty()) {
      return List.of(new Intake.Named("", new Intake.Refused(text("gather.none"))));
    }
    if (isZip(file)) {
      try (InputStream zipped = file.getInputStream()) {
        return intake.takeZip(zipped, into).stream()
            .map(
                n ->
                    new Intake.Named(
                        n.name().isEmpty() ? name : name + ", " + n.name(), n.outcome()))
            .toList();
      }
    }
    long limit = PictureLimits.DEFAULTS.fileBytes();
    if (file.getSize() > limit) {
      // Not even read into memory.
      String megabytes = Wording.number(file.getSize() / 1048576.0, 1);
      return List.of(
          new Intake.Named(
              "", new Intake.Refused(text("gather.large", name, megabytes, limit / 1048576))));
    }
    return List.of(
        new Intake.Named(name, intake.take(into, file.getBytes(), Intake.titleOf(name))));
  }

  /** An OpenRaster picture is a zip too, and not meant. */
  private static boolean isZip(MultipartFile file) throws IOException {
    try (InputStream start = file.getInputStream()) {
      byte[] bytes = start.readNBytes(64);
      return PictureFormat.isZip(bytes)
          && !new String(bytes, StandardCharsets.ISO_8859_1).contains("mimetypeimage/openraster");
    }
  }

  private Optional<String> fault(Intake.Named named) {
    if (named.outcome() instanceof Intake.AlreadyHere here) {
      return Optional.of(
          text("gather.already", named.name(), here.work().number(), here.work().title()));
    }
    if (named.outcome() instanceof Intake.Refused refused) {
      return Optional.of(
          named.name().isEmpty()
              ? refused.reason()
              : text("gather.refused", named.name(), refused.reason()));
    }
    return named.outcome() instanceof Intake.Taken taken && taken.profileBroken()
        ? Optional.of(text("gather.profile.broken", named.name()))
        : Optional.empty();
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
