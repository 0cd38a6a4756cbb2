package penmirror.web.opening;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;

/**
 * Who may open a picture now. Each needs memory, and together they get no more than there is.
 *
 * <p>Those somebody waits for go first, in the order they came; one that fits may pass a larger one
 * that has to wait for room, but not for long. Work in the background begins when nothing has come
 * in for a moment, and always leaves room for a picture of usual size.
 */
final class Turns {
  private static final Duration QUIET = Duration.ofMillis(600);

  /** After this nobody passes a large one any more. */
  private static final Duration PASSED = Duration.ofSeconds(5);

  private static final long LOOK_AGAIN_MILLIS = 50;

  /** Share of the memory that work in the background leaves free. */
  private static final double KEPT_FREE = 0.25;

  private final long mostBytes;
  private final Duration patience;
  private final ReentrantLock lock = new ReentrantLock();
  private final Condition changed = lock.newCondition();
  private final List<Waiting> waiting = new ArrayList<>();
  private long usedBytes;
  private int openForSomebody;
  private long quietSince = System.nanoTime() - QUIET.toNanos();

  /**
   * @param mostBytes all together; one that needs more is let in alone
   * @param patience how long somebody waits at most
   */
  Turns(long mostBytes, Duration patience) {
    this.mostBytes = mostBytes;
    this.patience = patience;
  }

  /** Held while a picture is open. */
  interface Turn extends AutoCloseable {
    @Override
    void close();
  }

  private record Waiting(long bytes, long since) {}

  /**
   * For what somebody waits for.
   *
   * @throws BusyException when the turn does not come in time
   */
  Turn forSomebody(long neededBytes) {
    lock.lock();
    Waiting mine = new Waiting(Math.min(neededBytes, mostBytes), System.nanoTime());
    waiting.add(mine);
    try {
      long left = patience.toNanos();
      while (!mayBegin(mine)) {
        if (left <= 0) {
          throw new BusyException();
        }
        left = changed.awaitNanos(left);
      }
      usedBytes += mine.bytes();
      openForSomebody++;
      return () -> close(mine.bytes(), true);
    } catch (InterruptedException e) {
      throw closing();
    } finally {
      waiting.remove(mine);
      changed.signalAll();
      lock.unlock();
    }
  }

  /** For work in the background; waits as long as it takes. */
  Turn inBackground(long neededBytes) {
    long bytes = Math.min(neededBytes, mostBytes - (long) (KEPT_FREE * mostBytes));
    lock.lock();
    try {
      while (!isQuiet() || usedBytes + bytes > mostBytes - (long) (KEPT_FREE * mostBytes)) {
        changed.await(LOOK_AGAIN_MILLIS, TimeUnit.MILLISECONDS);
      }
      usedBytes += bytes;
      return () -> close(bytes, false);
    } catch (InterruptedException e) {
      throw closing();
    } finally {
      lock.unlock();
    }
  }

  private boolean mayBegin(Waiting mine) {
    if (usedBytes + mine.bytes() > mostBytes) {
      return false;
    }
    for (Waiting other : waiting) {
      if (other == mine) {
        return true;
      }
      boolean fits = usedBytes + other.bytes() <= mostBytes;
      if (fits || System.nanoTime() - other.since() > PASSED.toNanos()) {
        return false;
      }
    }
    return true;
  }

  private boolean isQuiet() {
    return waiting.isEmpty()
        && openForSomebody == 0
        && System.nanoTime() - quietSince > QUIET.toNanos();
  }

  private void close(long bytes, boolean forSomebody) {
    lock.lock();
    try {
      usedBytes -= bytes;
      if (forSomebody) {
        openForSomebody--;
        quietSince = System.nanoTime();
      }
      changed.signalAll();
    } finally {
      lock.unlock();
    }
  }

  private static CancellationException closing() {
    Thread.currentThread().interrupt();
    return new CancellationException("The application is closing.");
  }
}
