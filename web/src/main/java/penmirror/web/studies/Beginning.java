package penmirror.web.studies;

import org.springframework.stereotype.Component;

/** Begins studies. */
@Component
public class Beginning {
  private final StudyStore studies;

  Beginning(StudyStore studies) {
    this.studies = studies;
  }

  /**
   * A study that begins with pictures: who drew them, and why it is begun, can be said later.
   *
   * @param name of their folder or file
   */
  public long study(String name) {
    return studies.begin(name, "", "", "");
  }

  /**
   * @param name as the illustrator is called where it is empty
   * @return the new study
   */
  long study(String name, String illustrator, String reason, String credit) {
    return studies.begin(name.isEmpty() ? illustrator : name, illustrator, reason, credit);
  }
}
