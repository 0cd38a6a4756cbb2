package penmirror.web.evidence;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/**
 * Where large pictures are opened, one at a time: each takes up to several hundred megabytes. What
 * somebody waits for goes first; readings in the background begin when nothing has come in for a
 * moment.
 */
@Component
public class Desk {
  private static final long QUIET_NANOS = TimeUnit.MILLISECONDS.toNanos(600);
  private static final long LOOK_AGAIN_MILLIS = 50;

  private final Semaphore places = new Semaphore(1, true);
  private final AtomicInteger comingIn = new AtomicInteger();
  private volatile long quietSince = System.nanoTime() - QUIET_NANOS;

  /** Held while a picture is open. */
  @FunctionalInterface
  public interface Place extends AutoCloseable {
    @Override
    void close();
  }

  /** For what somebody waits for. */
  public Place forTakingIn() {
    comingIn.incrementAndGet();
    places.acquireUninterruptibly();
    return () -> {
      quietSince = System.nanoTime();
      places.release();
      comingIn.decrementAndGet();
    };
  }

  /** For work in the background. */
  Place forReading() {
    while (true) {
      if (isQuiet() && places.tryAcquire()) {
        if (comingIn.get() == 0) {
          return places::release;
        }
        places.release();
      }
      try {
        Thread.sleep(LOOK_AGAIN_MILLIS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new java.util.concurrent.CancellationException("The application is closing.");
      }
    }
  }

  private boolean isQuiet() {
    return comingIn.get() == 0 && System.nanoTime() - quietSince > QUIET_NANOS;
  }
}
