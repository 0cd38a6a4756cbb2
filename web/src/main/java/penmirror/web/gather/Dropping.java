package penmirror.web.gather;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Service;
import org.springframework.web.multipart.MultipartFile;
import penmirror.web.studies.Beginning;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;

/** Begins studies by their pictures: all else can be said later. */
@Service
class Dropping {
  private final Beginning beginning;
  private final StudyStore studies;
  private final Uploads uploads;
  private final MessageSource messages;

  Dropping(Beginning beginning, StudyStore studies, Uploads uploads, MessageSource messages) {
    this.beginning = beginning;
    this.studies = studies;
    this.uploads = uploads;
    this.messages = messages;
  }

  /**
   * @param from the folder or file the pictures come from; empty where that is not known
   */
  Study begin(String from) {
    String name = from.isBlank() ? "" : Intake.titleOf(from);
    return studies.require(
        beginning.study(
            name.isBlank()
                ? messages.getMessage("library.dropped.nameless", new Object[0], Locale.ENGLISH)
                : name));
  }

  Uploads.Taken take(Study study, List<MultipartFile> files) throws IOException {
    return uploads.take(study, files, "");
  }
}
