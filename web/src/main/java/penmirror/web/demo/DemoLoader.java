package penmirror.web.demo;

import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.MessageSource;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import penmirror.demoart.DemoStudio;
import penmirror.demoart.DrawnWork;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;

/** Loads the demo studio into an empty library, once. */
@Component
@ConditionalOnProperty("pen-mirror.demo")
class DemoLoader {
  private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);

  private final StudyStore studies;
  private final Intake intake;
  private final MarkingStore markings;
  private final MessageSource messages;

  DemoLoader(StudyStore studies, Intake intake, MarkingStore markings, MessageSource messages) {
    this.studies = studies;
    this.intake = intake;
    this.markings = markings;
    this.messages = messages;
  }

  @EventListener(ApplicationStartedEvent.class)
  void load() {
    if (!studies.all().isEmpty()) {
      return;
    }
    LOG.info("Drawing the demo studio.");
    long study =
        studies.begin(
            DemoStudio.SERIAL,
            DemoStudio.ILLUSTRATOR,
            messages.getMessage("demo.reason", new Object[0], Locale.ENGLISH),
            DemoStudio.ILLUSTRATOR + ", " + DemoStudio.SERIAL + ". Studied for practice.");
    for (DrawnWork drawn : DemoStudio.works()) {
      Intake.Outcome outcome =
          intake.take(
              study,
              drawn.png(),
              Work.Role.valueOf(drawn.role().name()),
              drawn.title(),
              drawn.credit(),
              drawn.truth().view());
      if (outcome instanceof Intake.Taken taken) {
        markings.save(taken.workId(), 0, drawn.truth());
      } else {
        throw new IllegalStateException("Demo picture " + drawn.fileName() + ": " + outcome);
      }
    }
    LOG.info("The demo studio is ready.");
  }
}
