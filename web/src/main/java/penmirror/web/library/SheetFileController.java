package penmirror.web.library;

import java.io.IOException;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import penmirror.web.layout.RefusedException;
import penmirror.web.sending.Sent;
import penmirror.web.sending.Submissions;
import penmirror.web.sheets.SheetFiles;

/** Opens a sheet that came as a file, as a study to plan and score by. */
@Controller
class SheetFileController {
  private final SheetFiles files;
  private final Submissions submissions;
  private final MessageSource messages;

  SheetFileController(SheetFiles files, Submissions submissions, MessageSource messages) {
    this.files = files;
    this.submissions = submissions;
    this.messages = messages;
  }

  @PostMapping("/studies/sheet-file")
  String begin(@RequestParam("file") MultipartFile file, Sent sent) throws IOException {
    byte[] bytes = file.getBytes();
    String nameless =
        messages.getMessage("new.sheet.nameless", new Object[0], java.util.Locale.ENGLISH);
    return submissions.once(
        sent,
        () -> {
          SheetFiles.Outcome outcome = files.begin(bytes, nameless);
          if (outcome instanceof SheetFiles.Begun begun) {
            return "redirect:/studies/" + begun.studyId() + "/rules";
          }
          String reason = outcome instanceof SheetFiles.Refused refused ? refused.reason() : "";
          throw new RefusedException("new.sheet.refused", reason);
        });
  }
}
