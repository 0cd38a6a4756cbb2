package penmirror.web.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class DeskTest {
  private final Desk desk = new Desk();
  private final ExecutorService hands = Executors.newCachedThreadPool();
  private final List<String> order = new CopyOnWriteArrayList<>();

  @AfterEach
  void goHome() {
    hands.shutdownNow();
  }

  @Test
  void aQuietDeskIsFreeForReadingAtOnce() {
    hands.execute(
        () -> {
          try (Desk.Place place = desk.forReading()) {
            order.add("read");
          }
        });
    await().atMost(Duration.ofMillis(500)).until(() -> order.contains("read"));
  }

  @Test
  void whatComesInGoesBeforeAReadingThatWaited() {
    Desk.Place first = desk.forTakingIn();
    hands.execute(
        () -> {
          try (Desk.Place place = desk.forReading()) {
            order.add("read");
          }
        });
    hands.execute(
        () -> {
          try (Desk.Place place = desk.forTakingIn()) {
            order.add("second");
          }
        });
    assertThat(order).isEmpty();
    first.close();
    await().atMost(Duration.ofSeconds(5)).until(() -> order.size() == 2);
    assertThat(order).containsExactly("second", "read");
  }

  @Test
  void twoAreNeverOpenAtOnce() throws Exception {
    int[] open = new int[2];
    List<java.util.concurrent.Callable<Void>> all = new java.util.ArrayList<>();
    for (int i = 0; i < 12; i++) {
      boolean reads = i % 3 == 0;
      all.add(
          () -> {
            try (Desk.Place place = reads ? desk.forReading() : desk.forTakingIn()) {
              synchronized (open) {
                open[0]++;
                open[1] = Math.max(open[1], open[0]);
              }
              Thread.sleep(5);
              synchronized (open) {
                open[0]--;
              }
            }
            return null;
          });
    }
    for (var done : hands.invokeAll(all)) {
      done.get();
    }
    assertThat(open[1]).isEqualTo(1);
  }
}
