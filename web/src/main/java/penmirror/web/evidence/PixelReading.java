package penmirror.web.evidence;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient.ScheduleOptions;
import com.github.kagkarlsson.scheduler.exceptions.ExecutionException;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceCurrentlyExecutingException;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
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
import penmirror.core.figure.Marks;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.PixelReader;
import penmirror.core.measure.PixelReadings;
import penmirror.web.opening.PictureOpener;

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
  private final MarkingStore markings;
  private final FigureEditStore edits;
  private final PictureOpener opener;
  private final MessageSource messages;
  private final Clock clock;
  private final Scheduler scheduler;

  PixelReading(
      PixelReadingStore store,
      MarkingStore markings,
      FigureEditStore edits,
      PictureOpener opener,
      MessageSource messages,
      DataSource dataSource,
      Clock clock) {
    this.store = store;
    this.markings = markings;
    this.edits = edits;
    this.opener = opener;
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
    store.outdated(PixelReader.ALGORITHM_VERSION).forEach(this::await);
    // Whatever ended the application, each that waits gets its job again.
    store.underWay().forEach(sha256 -> schedule(sha256, "", clock.instant()));
    scheduler.start();
  }

  @PreDestroy
  void end() {
    scheduler.stop();
  }

  /**
   * Notes that a picture is to be read, unless it has been read or is waiting already; part of the
   * transaction that takes it in. {@link #ask} then sees to it.
   */
  public void await(String pictureSha256) {
    store.await(pictureSha256, PixelReader.ALGORITHM_VERSION);
  }

  /** Has a picture read, unless it has been read. */
  public void ask(String pictureSha256) {
    await(pictureSha256);
    if (store.isUnderWay(pictureSha256)) {
      schedule(pictureSha256, "", clock.instant());
    }
  }

  /** After the head or the eyes were marked otherwise: some readings heed where they are. */
  public void askOnceMarksRest(String pictureSha256) {
    schedule(pictureSha256, ":marks", clock.instant().plus(MARKS_REST));
  }

  /**
   * A job that waits is brought to the given time; one that runs will do the work itself.
   *
   * @param why tells jobs of one picture apart, so that what changes while it is read is read again
   */
  private void schedule(String pictureSha256, String why, Instant when) {
    try {
      scheduler.schedule(
          READ_PIXELS.instance(pictureSha256 + why).data(pictureSha256).scheduledTo(when),
          ScheduleOptions.WHEN_EXISTS_RESCHEDULE);
    } catch (TaskInstanceCurrentlyExecutingException e) {
      LOG.info("Picture {} is being read already.", pictureSha256);
    } catch (ExecutionException e) {
      // It came to its end at this very moment: then this is a job of its own.
      scheduler.schedule(
          READ_PIXELS.instance(pictureSha256 + why).data(pictureSha256).scheduledTo(when),
          ScheduleOptions.WHEN_EXISTS_DO_NOTHING);
    }
  }

  /** After the figure was corrected: what was read before stays until it is read anew. */
  public void askAnew(String pictureSha256) {
    schedule(pictureSha256, ":figure", clock.instant());
  }

  public void askAgain(String pictureSha256) {
    store.forget(pictureSha256);
    ask(pictureSha256);
  }

  /** Asks the work to end at its next step; what was read before is kept. */
  public void stop(String pictureSha256) {
    store.stop(pictureSha256);
  }

  private void read(String sha256) {
    Optional<byte[]> file = store.file(sha256);
    if (file.isEmpty()) {
      return; // The picture was taken away before its turn came.
    }
    store.reopen(sha256);
    Marks heeded = markings.newestOnPicture(sha256).confirmed();
    try {
      PixelReadings readings =
          opener.openInBackground(
              file.get(),
              opened ->
                  new PixelReader()
                      .look(opened.picture(), heeded, edits.of(sha256), step -> begin(sha256, step))
                      .readings());
      store.finish(sha256, readings);
      if (PixelReader.heedsOtherwise(heeded, markings.newestOnPicture(sha256))) {
        askOnceMarksRest(sha256); // It was marked while it was read.
      }
    } catch (CancellationException e) {
      LOG.info("Reading of picture {} was stopped.", sha256);
    } catch (UnusablePictureException e) {
      store.fail(sha256, String.valueOf(e.getMessage()));
    } catch (DataAccessException | TransactionException e) {
      throw e; // The database is away; the job is tried again.
    } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
      // Tried again it would only fail again.
      LOG.error("Picture {} could not be read.", sha256, e);
      store.fail(sha256, messages.getMessage("reading.fault", new Object[0], Locale.ENGLISH));
    }
  }

  private void begin(String sha256, PixelReader.Step step) {
    if (!store.beginStep(sha256, step)) {
      throw new CancellationException();
    }
  }
}
