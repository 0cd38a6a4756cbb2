package penmirror.web.opening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Memory is counted in round numbers: a hundred is all there is. */
class TurnsTest {
  private final Turns turns = new Turns(100, Duration.ofSeconds(20));
  private final ExecutorService hands = Executors.newCachedThreadPool();
  private final List<String> order = new CopyOnWriteArrayList<>();

  @AfterEach
  void goHome() {
    hands.shutdownNow();
  }

  private Future<?> somebody(String name, long bytes) {
    return hands.submit(
        () -> {
          try (Turns.Turn turn = turns.forSomebody(bytes)) {
            order.add(name);
          }
        });
  }

  private void background(String name, long bytes) {
    hands.execute(
        () -> {
          try (Turns.Turn turn = turns.inBackground(bytes)) {
            order.add(name);
          }
        });
  }

  @Test
  void whereItIsQuietAReadingBeginsAtOnce() {
    background("read", 50);
    await().atMost(Duration.ofMillis(500)).until(() -> order.contains("read"));
  }

  @Test
  void whatComesInGoesBeforeAReadingThatWaited() {
    Turns.Turn first = turns.forSomebody(100);
    background("read", 50);
    somebody("second", 60);
    assertThat(order).isEmpty();
    first.close();
    await().atMost(Duration.ofSeconds(5)).until(() -> order.size() == 2);
    assertThat(order).containsExactly("second", "read");
  }

  /** Once a small upload waited eleven seconds behind one. */
  @Test
  void aSmallOneDoesNotWaitForAReadingInHandHoweverLarge() throws Exception {
    try (Turns.Turn reading = turns.inBackground(1000)) {
      somebody("small", 20).get();
      assertThat(order).containsExactly("small");
    }
  }

  @Test
  void togetherTheyNeverTakeMoreThanThereIs() throws Exception {
    long[] used = new long[2];
    List<Callable<Void>> all = new ArrayList<>();
    for (int i = 0; i < 24; i++) {
      boolean reads = i % 4 == 0;
      long bytes = 15 + 7 * (i % 5);
      all.add(
          () -> {
            try (Turns.Turn turn = reads ? turns.inBackground(bytes) : turns.forSomebody(bytes)) {
              synchronized (used) {
                used[0] += bytes;
                used[1] = Math.max(used[1], used[0]);
              }
              Thread.sleep(4);
              synchronized (used) {
                used[0] -= bytes;
              }
            }
            return null;
          });
    }
    for (Future<Void> done : hands.invokeAll(all)) {
      done.get();
    }
    assertThat(used[1]).isLessThanOrEqualTo(100).isGreaterThan(43);
  }

  @Test
  void oneThatNeedsMoreThanThereIsGoesAlone() throws Exception {
    Turns.Turn small = turns.forSomebody(10);
    Future<?> large = somebody("large", 4000);
    Thread.sleep(100);
    assertThat(order).isEmpty();
    small.close();
    large.get();
    assertThat(order).containsExactly("large");
  }

  @Test
  void asmallOneThatFitsPassesALargeOneThatWaits() throws Exception {
    Turns.Turn half = turns.forSomebody(50);
    Future<?> large = somebody("large", 90);
    await().pollDelay(Duration.ofMillis(50)).until(() -> true);
    somebody("small", 10).get();
    half.close();
    large.get();
    assertThat(order).containsExactly("small", "large");
  }

  @Test
  void whoWaitsTooLongIsToldSo() {
    Turns hasty = new Turns(100, Duration.ofMillis(50));
    try (Turns.Turn all = hasty.forSomebody(100)) {
      assertThatThrownBy(() -> hasty.forSomebody(10)).isInstanceOf(BusyException.class);
    }
    hasty.forSomebody(10).close();
  }
}
