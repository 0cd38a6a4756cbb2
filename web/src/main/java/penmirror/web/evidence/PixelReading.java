package penmirror.web.evidence;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient.ScheduleOptions;
import com.github.kagkarlsson.scheduler.exceptions.ExecutionException;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceCurrentlyExecutingException;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.MessageSource;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.PixelReadings;
import penmirror.core.reading.PixelReader;
import penmirror.core.reading.ReadingInputs;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/**
 * Reads pixels in the background. Jobs lie in PostgreSQL: one that was cut off by a restart is
 * taken up again, and readings by an older algorithm are made anew.
 */
@Component
public class PixelReading {
  private static final Logger LOG = LoggerFactory.getLogger(PixelReading.class);
  private static final TaskDescriptor<String> READ_PIXELS =
      TaskDescriptor.of("read-pixels", String.class);

  /** After a fault, such as the database being down, a job is tried again this much later. */
  private static final Duration RETRY_AFTER = Duration.ofSeconds(10);

  /** Marks that pixels are read by come in one by one: only when they rest is it worth it. */
  private static final Duration MARKS_REST = Duration.ofSeconds(6);

  private final PixelReadingStore store;
  private final InputsFinder inputs;
  private final WorkStore works;
  private final PictureOpener opener;
  private final Looking looking;
  private final MessageSource messages;
  private final Clock clock;
  private final Scheduler scheduler;

  PixelReading(
      PixelReadingStore store,
      InputsFinder inputs,
      WorkStore works,
      PictureOpener opener,
      Looking looking,
      MessageSource messages,
      DataSource dataSource,
      Clock clock) {
    this.store = store;
    this.inputs = inputs;
    this.works = works;
    this.opener = opener;
    this.looking = looking;
    this.messages = messages;
    this.clock = clock;
    OneTimeTask<String> task =
        Tasks.oneTime(READ_PIXELS)
            .onFailure(new FailureHandler.OnFailureRetryLater<>(RETRY_AFTER))
            .execute((instance, context) -> read(instance.getData()));
    scheduler =
        Scheduler.create(dataSource, task)
            .threads(readers())
            .pollingInterval(Duration.ofSeconds(2))
            .heartbeatInterval(Duration.ofSeconds(10))
            .missedHeartbeatsLimit(4)
            .enableImmediateExecution()
            .build();
  }

  /** Pages want a core as well; on a machine with one alone, reading shares it. */
  private static int readers() {
    return Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    store
        .outdated(PixelReader.ALGORITHM_VERSION)
        .forEach((work, study) -> want(works.require(study, work)));
    // Whatever ended the application, each that waits gets its job again.
    store.underWay().forEach(hash -> schedule(hash, clock.instant()));
    scheduler.start();
  }

  @PreDestroy
  void end() {
    scheduler.stop();
  }

  /**
   * Has a work read as it is now, unless that was read already. Within a transaction the wish is
   * part of it, and the reading begins once it is sure that all is kept.
   */
  public void want(Work work) {
    want(work, Duration.ZERO);
  }

  /** After the head or the eyes were marked otherwise: some readings heed where they are. */
  public void wantOnceMarksRest(Work work) {
    want(work, MARKS_REST);
  }

  /** Has a work read again, though it was read or stopped. */
  public void wantAgain(Work work) {
    store.readAgain(store.want(work.id(), inputs.of(work)));
    want(work);
  }

  /** Asks the work to end at its next step; what was read before is kept. */
  public void stop(Work work) {
    store.stop(work.id());
  }

  private void want(Work work, Duration rest) {
    String hash = store.want(work.id(), inputs.of(work));
    if (!TransactionSynchronizationManager.isSynchronizationActive()) {
      scheduleIfUnderWay(hash, rest);
      return;
    }
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            scheduleIfUnderWay(hash, rest);
          }
        });
  }

  private void scheduleIfUnderWay(String hash, Duration rest) {
    if (store.isUnderWay(hash)) {
      schedule(hash, clock.instant().plus(rest));
    }
  }

  /** A job that waits is brought to the given time; one that runs will do the work itself. */
  private void schedule(String hash, Instant when) {
    TaskInstance.Builder<String> job = READ_PIXELS.instance(hash).data(hash);
    try {
      scheduler.schedule(job.scheduledTo(when), ScheduleOptions.WHEN_EXISTS_RESCHEDULE);
    } catch (TaskInstanceCurrentlyExecutingException e) {
      LOG.info("Reading {} is under way already.", hash);
    } catch (ExecutionException e) {
      // It came to its end at this very moment: then this is a job of its own.
      scheduler.schedule(job.scheduledTo(when), ScheduleOptions.WHEN_EXISTS_DO_NOTHING);
    }
  }

  private void read(String hash) {
    Optional<ReadingInputs> wanted = store.toRead(hash);
    Optional<byte[]> file = wanted.flatMap(w -> store.file(w.pictureSha256()));
    if (wanted.isEmpty() || file.isEmpty()) {
      return; // Nobody waits for it any more.
    }
    try {
      PixelReadings readings =
          opener.openInBackground(
              file.get(),
              opened ->
                  looking.readings(wanted.get(), opened.picture(), step -> begin(hash, step)));
      store.finish(hash, readings);
    } catch (CancellationException e) {
      LOG.info("Reading {} was stopped.", hash);
    } catch (UnusablePictureException e) {
      store.fail(hash, String.valueOf(e.getMessage()));
    } catch (DataAccessException | TransactionException e) {
      throw e; // The database is away; the job is tried again.
    } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
      // Tried again it would only fail again.
      LOG.error("Reading {} failed.", hash, e);
      store.fail(hash, messages.getMessage("reading.fault", new Object[0], Locale.ENGLISH));
    }
  }

  private void begin(String hash, PixelReader.Step step) {
    if (!store.beginStep(hash, step)) {
      throw new CancellationException();
    }
  }
}
