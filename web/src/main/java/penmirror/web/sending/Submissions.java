package penmirror.web.sending;

import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Has the work of a form done once, however often it is sent. */
@Component
public class Submissions {
  private final SubmissionStore store;

  Submissions(SubmissionStore store) {
    this.store = store;
  }

  /**
   * Work and the note that it was done are one transaction.
   *
   * @param work tells where the form leads
   */
  public String once(Sent sent, Supplier<String> work) {
    return store.once(sent, work);
  }
}
