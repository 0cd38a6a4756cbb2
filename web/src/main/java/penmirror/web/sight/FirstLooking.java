package penmirror.web.sight;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import penmirror.core.figure.View;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.proposal.FirstSight;
import penmirror.core.proposal.Proposer;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.PixelReading;
import penmirror.web.evidence.SightStore;
import penmirror.web.layout.NotFoundException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/**
 * Looks at each picture that comes in, before anybody does, in the background and what is on a
 * screen first; then has its pixels read. What waits is told by what was not seen yet, so a look
 * that a restart cut off is taken up again.
 */
@Component
public class FirstLooking {
  private static final Logger LOG = LoggerFactory.getLogger(FirstLooking.class);

  /** After a fault, such as the database being away, a look is tried again this much later. */
  private static final Duration RETRY_AFTER = Duration.ofSeconds(2);

  /** More marked works than this change little of what is seen in the others. */
  private static final int MOST_WORTH_A_NEW_LOOK = 6;

  /** Reading takes longer than a look: so many pictures are looked at before any is read. */
  private static final int LOOKS_IN_A_ROW = 12;

  /** So many works can be looked at at once. */
  private static final int LOCKS = 16;

  /** A side that is less likely is not taken for the work's own. */
  private static final double LIKELY = 0.5;

  private final SightStore sights;
  private final WorkStore works;
  private final MarkingStore markings;
  private final PictureStore pictures;
  private final PictureOpener opener;
  private final Proposing proposing;
  private final PixelReading pixelReading;
  private final TransactionTemplate transactions;

  /** Works that wait with their study, in the order in which they are looked at. */
  private final Map<Long, Long> waiting = new LinkedHashMap<>();

  private final Object[] locks = new Object[LOCKS];

  /** Works that were looked at and are read next. */
  private final Queue<Work> toRead = new ConcurrentLinkedQueue<>();

  private final ExecutorService looker =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "first-looking");
            thread.setDaemon(true);
            return thread;
          });

  FirstLooking(
      SightStore sights,
      WorkStore works,
      MarkingStore markings,
      PictureStore pictures,
      PictureOpener opener,
      Proposing proposing,
      PixelReading pixelReading,
      TransactionTemplate transactions) {
    this.sights = sights;
    this.works = works;
    this.markings = markings;
    this.pictures = pictures;
    this.opener = opener;
    this.proposing = proposing;
    this.pixelReading = pixelReading;
    this.transactions = transactions;
    Arrays.setAll(locks, i -> new Object());
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    sights
        .unseen(Proposer.ALGORITHM_VERSION)
        .forEach(entry -> enqueue(entry.getKey(), entry.getValue()));
  }

  @PreDestroy
  void end() {
    looker.shutdownNow();
  }

  /** Has a work looked at, once all that is kept of it is sure to be kept. */
  public void want(Work work) {
    if (!TransactionSynchronizationManager.isSynchronizationActive()) {
      enqueue(work.id(), work.studyId());
      return;
    }
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            enqueue(work.id(), work.studyId());
          }
        });
  }

  /** Works that are on somebody's screen are looked at first. */
  public void first(Collection<Long> shown) {
    synchronized (waiting) {
      Map<Long, Long> rest = new LinkedHashMap<>(waiting);
      waiting.clear();
      shown.forEach(
          id -> {
            Long study = rest.remove(id);
            if (study != null) {
              waiting.put(id, study);
            }
          });
      waiting.putAll(rest);
    }
  }

  /** Whether a work waits to be looked at. */
  public boolean isWaiting(long workId) {
    synchronized (waiting) {
      return waiting.containsKey(workId);
    }
  }

  /**
   * What is seen in a work, looked at now if that was not done yet; empty for a work that is marked
   * already, and where its picture cannot be looked at.
   */
  public Optional<SightStore.Sight> now(Work work) {
    if (work.lookedAt() || !isUnmarked(work)) {
      return Optional.empty();
    }
    if (isWaiting(work.id()) || sights.of(work.id()).isEmpty()) {
      look(work.studyId(), work.id());
      // Somebody waits: what the pixels tell is not left to the end of the row.
      read();
    }
    return sights.of(work.id());
  }

  /** Works nobody has looked at are seen anew by what was learned from one that was marked. */
  public void learned(Work from) {
    Map<Long, SightStore.Sight> seen = sights.ofStudy(from.studyId());
    for (Work work : works.inRole(from.studyId(), Work.Role.SOURCE)) {
      SightStore.Sight sight = seen.get(work.id());
      if (!work.lookedAt()
          && work.view() == from.view()
          && sight != null
          && sight.learnedFrom()
              < Math.min(MOST_WORTH_A_NEW_LOOK, proposing.learnsFrom(work, work.view()))) {
        want(work);
      }
    }
  }

  private void enqueue(long workId, long studyId) {
    synchronized (waiting) {
      waiting.putIfAbsent(workId, studyId);
    }
    looker.execute(this::next);
  }

  private void next() {
    Optional<Map.Entry<Long, Long>> next;
    synchronized (waiting) {
      next = waiting.entrySet().stream().findFirst().map(Map.Entry::copyOf);
    }
    try {
      if (next.isPresent()) {
        look(next.get().getValue(), next.get().getKey());
      } else {
        read();
      }
    } catch (DataAccessException | TransactionException e) {
      LOG.warn("The database is away; what waits is looked at again soon.", e);
      tryAgainSoon();
    }
  }

  private void tryAgainSoon() {
    try {
      Thread.sleep(RETRY_AFTER.toMillis());
      looker.execute(this::next);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt(); // The application ends; what waits is taken up again.
    }
  }

  /** A work that two would look at at once is looked at by the first of them. */
  private void look(long studyId, long workId) {
    synchronized (locks[(int) (workId % locks.length)]) {
      if (isWaiting(workId) || sights.of(workId).isEmpty()) {
        lookNow(studyId, workId);
      }
    }
  }

  private void lookNow(long studyId, long workId) {
    try {
      Work work = works.require(studyId, workId);
      if (isUnmarked(work)) {
        seen(work).ifPresent(seen -> transactions.executeWithoutResult(status -> keep(work, seen)));
      }
      toRead.add(work);
    } catch (NotFoundException e) {
      LOG.info("Work {} is there no more.", workId);
    }
    boolean isLast;
    synchronized (waiting) {
      waiting.remove(workId);
      isLast = waiting.isEmpty();
    }
    if (isLast || toRead.size() >= LOOKS_IN_A_ROW) {
      read();
    }
  }

  private synchronized void read() {
    for (Work work = toRead.peek(); work != null; work = toRead.peek()) {
      try {
        pixelReading.want(works.require(work.studyId(), work.id()));
      } catch (NotFoundException e) {
        LOG.info("Work {} is there no more.", work.id());
      }
      toRead.poll();
    }
  }

  private record Look(FirstSight seen, int learnedFrom) {}

  private boolean isUnmarked(Work work) {
    return markings.newest(work.id(), work.view()).version() == 0;
  }

  private Optional<Look> seen(Work work) {
    byte[] file = pictures.file(work.pictureSha256()).bytes();
    try {
      FirstSight seen = opener.open(file, opened -> proposing.look(work, opened.picture()));
      return Optional.of(new Look(seen, proposing.learnsFrom(work, seen.proposal().view())));
    } catch (UnusablePictureException e) {
      LOG.warn("Work {} cannot be looked at: {}", work.id(), e.getMessage());
    } catch (DataAccessException | TransactionException e) {
      throw e;
    } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
      // Tried again it would only fail again; it can still be marked by hand.
      LOG.error("Looking at work {} failed.", work.id(), e);
    }
    return Optional.empty();
  }

  private void keep(Work before, Look look) {
    Work work = works.hold(before.studyId(), before.id());
    if (!isUnmarked(work)) {
      return; // Somebody was quicker.
    }
    FirstSight seen = look.seen();
    sights.keep(work.id(), seen, look.learnedFrom(), Proposer.ALGORITHM_VERSION);
    Optional<View> view = seen.view().filter(v -> v.chance() >= LIKELY).map(FirstSight.Seen::what);
    works.think(
        work.id(),
        view.orElse(work.view()),
        seen.framing().map(FirstSight.Seen::what),
        view.isEmpty() || view.get() == View.FRONT
            ? Optional.empty()
            : seen.turn().map(FirstSight.Seen::what));
  }
}
