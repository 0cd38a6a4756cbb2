package penmirror.web.studies;

import org.springframework.stereotype.Component;

/** Begins studies. */
@Component
class Beginning {
  private final StudyStore studies;

  Beginning(StudyStore studies) {
    this.studies = studies;
  }

  /**
   * @param name as the illustrator is called where it is empty
   * @return the new study
   */
  long study(String name, String illustrator, String reason, String credit) {
    return studies.begin(name.isEmpty() ? illustrator : name, illustrator, reason, credit);
  }
}
