package penmirror.web.sheets;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.format.FormatException;
import penmirror.core.format.StyleFile;
import penmirror.web.layout.Texts;
import penmirror.web.studies.StudyStore;

/** Begins studies of sheets that come as files, to plan and score by. */
@Component
public class SheetFiles {
  private static final int LONGEST_NAME = 200;

  private final StudyStore studies;
  private final SheetFileStore files;

  SheetFiles(StudyStore studies, SheetFileStore files) {
    this.studies = studies;
    this.files = files;
  }

  /** What came of a file. */
  public sealed interface Outcome permits Begun, Refused {}

  public record Begun(long studyId) implements Outcome {}

  /**
   * @param reason plain words; nothing was changed
   */
  public record Refused(String reason) implements Outcome {}

  /**
   * @param nameless what a sheet without a name is called
   */
  @Transactional
  public Outcome begin(byte[] bytes, String nameless) {
    StyleFile file;
    try {
      file =
          StyleFile.parse(
              StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString());
    } catch (CharacterCodingException e) {
      return new Refused("It is not text in UTF-8.");
    } catch (FormatException e) {
      return new Refused(String.valueOf(e.getMessage()));
    }
    String said = Texts.cut(file.sheet().name().replace("\u0000", "").strip(), LONGEST_NAME);
    String name = said.isEmpty() ? nameless : said;
    long study = studies.begin(name, name, "", "");
    files.keep(study, file);
    return new Begun(study);
  }
}
