package penmirror.reliability;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Thirty people in the demo studio at once: each opens one page after the other with a moment to
 * look at it, now and then saves marks and now and then adds a work. Tells how long they waited.
 */
public final class Crowd {
  private static final int PEOPLE = 30;
  private static final long LOOK_MILLIS = 1000;
  private static final List<String> PAGES =
      List.of("gather", "rules", "plan", "mirror", "scope", "measure");

  private final String site;
  private final Map<String, List<Long>> waits = new ConcurrentHashMap<>();
  private final List<String> faults = new CopyOnWriteArrayList<>();
  private final AtomicInteger uploads = new AtomicInteger();

  private Crowd(String site) {
    this.site = site;
  }

  /**
   * @param arguments where the demo studio runs, its process's number, and how many seconds
   */
  public static void main(String[] arguments) throws Exception {
    Crowd crowd = new Crowd(arguments[0]);
    long before = memoryMegabytes(arguments[1]);
    long until = System.nanoTime() + Duration.ofSeconds(Long.parseLong(arguments[2])).toNanos();
    List<Thread> people = new ArrayList<>();
    for (int i = 0; i < PEOPLE; i++) {
      Random random = new Random(i);
      Thread person = new Thread(() -> crowd.visit(random, until));
      person.start();
      people.add(person);
    }
    for (Thread person : people) {
      person.join();
    }
    crowd.tell(before, memoryMegabytes(arguments[1]));
    System.exit(crowd.faults.isEmpty() ? 0 : 1);
  }

  private static long memoryMegabytes(String process) throws Exception {
    return Files.readAllLines(Path.of("/proc", process, "status")).stream()
        .filter(line -> line.startsWith("VmRSS"))
        .mapToLong(line -> Long.parseLong(line.replaceAll("\\D+", "")) / 1024)
        .findFirst()
        .orElseThrow();
  }

  private void visit(Random random, long until) {
    Window window = new Window(site);
    try {
      Thread.sleep(random.nextInt((int) LOOK_MILLIS));
      while (System.nanoTime() < until) {
        String study = "/studies/" + (1 + random.nextInt(4));
        String page = random.nextInt(8) == 0 ? "" : PAGES.get(random.nextInt(PAGES.size()));
        String path = page.isEmpty() ? "/" : study + "/" + page;
        long from = System.nanoTime();
        int status = window.follow(path);
        note(page.isEmpty() ? "library" : page, from, status, path);
        if (random.nextInt(40) == 0) {
          window.open(study + "/gather");
          int number = 5000 + uploads.incrementAndGet();
          long sent = System.nanoTime();
          int taken =
              window
                  .upload(study + "/works", "c" + number + ".png", Window.picture(number))
                  .statusCode();
          note("upload", sent, taken, study);
        }
        Thread.sleep(LOOK_MILLIS / 2 + random.nextInt((int) LOOK_MILLIS));
      }
    } catch (Exception e) {
      faults.add(e.toString());
    }
  }

  private void note(String what, long from, int status, String path) {
    waits
        .computeIfAbsent(what, w -> Collections.synchronizedList(new ArrayList<>()))
        .add((System.nanoTime() - from) / 1_000_000);
    if (status != 200) {
      faults.add(status + " " + path);
    }
  }

  private void tell(long before, long after) {
    List<Long> all = new ArrayList<>();
    new TreeMap<>(waits)
        .forEach(
            (what, times) -> {
              all.addAll(times);
              tell(what, times);
            });
    tell("all", all);
    System.out.println("memory " + before + " MB, then " + after + " MB");
    System.out.println(faults.size() + " faults " + faults.stream().limit(5).toList());
  }

  private static void tell(String what, List<Long> times) {
    long[] sorted = times.stream().mapToLong(t -> t).toArray();
    Arrays.sort(sorted);
    System.out.printf(
        "%-8s %6d, median %5d ms, 99 of 100 under %5d ms%n",
        what, sorted.length, sorted[sorted.length / 2], sorted[sorted.length * 99 / 100]);
  }
}
