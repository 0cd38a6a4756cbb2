package penmirror.reliability;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Kills the application and its PostgreSQL in turns, without a warning, while marks are saved,
 * pictures come in and are read. After each: all that was acknowledged is there, nothing is there
 * in part, and what was under way goes on.
 */
public final class Killing {
  private static final Duration PATIENCE = Duration.ofSeconds(90);
  private static final Pattern TILE = Pattern.compile("data-id=\"(\\d+)\"");
  private static final Pattern CROWN =
      Pattern.compile("\"crown\"\\s*:\\s*\\{\\s*\"x\"\\s*:\\s*([\\d.]+)");

  private final Path launcher;
  private final String home;
  private final String site;
  private final Random random = new Random(5);
  private final AtomicInteger saves = new AtomicInteger();
  private final AtomicInteger uploads = new AtomicInteger();

  /** The newest x of each work's crown that was acknowledged, and the newest that was sent. */
  private final Map<Long, Double> acknowledged = new ConcurrentHashMap<>();

  private final Map<Long, Double> sent = new ConcurrentHashMap<>();
  private int tilesAcknowledged;
  private Process running;

  private Killing(Path launcher, String home, int port) {
    this.launcher = launcher;
    this.home = home;
    site = "http://127.0.0.1:" + port;
  }

  /**
   * @param arguments the launcher, a data folder for this alone, and how many times
   */
  public static void main(String[] arguments) throws Exception {
    int rounds = Integer.parseInt(arguments[2]);
    Killing killing = new Killing(Path.of(arguments[0]).toAbsolutePath(), arguments[1], 8341);
    long from = System.nanoTime();
    killing.start();
    String study = killing.beginAStudy();
    for (int round = 1; round <= rounds; round++) {
      killing.round(study, round % 2 == 0);
      if (round % 10 == 0) {
        System.out.println(round + " of " + rounds + ", nothing lost");
      }
    }
    killing.awaitReadings(study);
    killing.end();
    System.out.printf(
        "Killed %d times in %d s: %d saves and %d uploads acknowledged, none lost, none in part.%n",
        rounds,
        (System.nanoTime() - from) / 1_000_000_000,
        killing.saves.get(),
        killing.uploads.get());
  }

  private ProcessBuilder launcher(String command) {
    ProcessBuilder builder = new ProcessBuilder(launcher.toString(), command);
    builder.environment().put("PEN_MIRROR_HOME", home);
    builder.environment().put("PEN_MIRROR_PORT", site.substring(site.lastIndexOf(':') + 1));
    builder.environment().put("PEN_MIRROR_DB_PORT", "8342");
    return builder
        .redirectErrorStream(true)
        .redirectOutput(
            ProcessBuilder.Redirect.appendTo(Path.of(home).resolve("launcher.log").toFile()));
  }

  private void start() throws Exception {
    Files.createDirectories(Path.of(home));
    running = launcher("start").start();
    await("the application to answer", this::isReady);
  }

  private void end() throws Exception {
    launcher("stop").start().waitFor(60, TimeUnit.SECONDS);
    running.waitFor(60, TimeUnit.SECONDS);
  }

  private boolean isReady() {
    try {
      return new Window(site).get("/actuator/health/readiness").statusCode() == 200;
    } catch (Exception e) {
      return false;
    }
  }

  private interface Condition {
    boolean holds() throws Exception;
  }

  private static void await(String what, Condition condition) throws Exception {
    long until = System.nanoTime() + PATIENCE.toNanos();
    while (!condition.holds()) {
      if (System.nanoTime() > until) {
        throw new IllegalStateException("Waited in vain for " + what + ".");
      }
      Thread.sleep(100);
    }
  }

  private String beginAStudy() throws Exception {
    Window window = new Window(site);
    window.open("/studies/new");
    HttpResponse<String> answer = window.form("/studies", "illustrator=Somebody");
    String place = answer.headers().firstValue("Location").orElseThrow();
    String study = place.substring(place.indexOf("/studies/"), place.indexOf("/gather"));
    for (int i = 0; i < 3; i++) {
      window.upload(study + "/works", "first-" + i + ".png", Window.picture(i));
    }
    for (long id : tiles(study)) {
      acknowledged.put(id, 0.0);
    }
    tilesAcknowledged = acknowledged.size();
    return study;
  }

  private void round(String study, boolean database) throws Exception {
    AtomicBoolean goesOn = new AtomicBoolean(true);
    List<Thread> hands = new ArrayList<>();
    for (long work : List.copyOf(acknowledged.keySet()).subList(0, 3)) {
      hands.add(hand(goesOn, () -> save(study, work, goesOn)));
    }
    hands.add(hand(goesOn, () -> uploadOne(study)));
    Thread.sleep(600 + random.nextInt(1500));
    kill(database);
    goesOn.set(false);
    for (Thread hand : hands) {
      hand.join();
    }
    if (!database) {
      // The launcher says what happened, and its exit says so too.
      if (!running.waitFor(60, TimeUnit.SECONDS) || running.exitValue() == 0) {
        throw new IllegalStateException(
            "The launcher did not tell that its application was killed.");
      }
      start();
    }
    await("the application to be ready again", this::isReady);
    check(study);
  }

  private interface Work {
    void run() throws Exception;
  }

  private static Thread hand(AtomicBoolean goesOn, Work work) {
    Thread thread =
        new Thread(
            () -> {
              while (goesOn.get()) {
                try {
                  work.run();
                } catch (Exception e) {
                  // Cut off, as was meant.
                }
              }
            });
    thread.start();
    return thread;
  }

  private void save(String study, long work, AtomicBoolean goesOn) throws Exception {
    Window window = new Window(site);
    String page = window.open(study + "/works/" + work + "/measure");
    Matcher found = Pattern.compile("data-version=\"(\\d+)\"").matcher(page);
    if (!found.find()) {
      return;
    }
    int version = Integer.parseInt(found.group(1));
    double x = Math.max(sent.getOrDefault(work, 0.0), acknowledged.getOrDefault(work, 0.0));
    while (goesOn.get()) {
      x = Math.round(10 * x + 1) / 10.0;
      sent.put(work, x);
      HttpResponse<String> answer =
          window.json(
              study + "/works/" + work + "/marks",
              "{\"crown\":{\"x\":"
                  + x
                  + ",\"y\":20,\"state\":\"placed\"},"
                  + "\"chin\":{\"x\":"
                  + x
                  + ",\"y\":60,\"state\":\"placed\"}}",
              version);
      if (answer.statusCode() != 200) {
        return;
      }
      version++;
      acknowledged.put(work, x);
      saves.incrementAndGet();
    }
  }

  private void uploadOne(String study) throws Exception {
    Window window = new Window(site);
    window.open(study + "/gather");
    int number = 1000 + uploads.get();
    HttpResponse<String> answer =
        window.upload(study + "/works", "more-" + number + ".png", Window.picture(number));
    if (answer.statusCode() == 200) {
      uploads.incrementAndGet();
    }
    Thread.sleep(400);
  }

  private void kill(boolean database) throws Exception {
    Path place = Path.of(home);
    long process =
        Long.parseLong(
            database
                ? Files.readAllLines(cluster().resolve("postmaster.pid")).get(0).strip()
                : Files.readString(place.resolve("app.pid")).strip());
    new ProcessBuilder("kill", "-9", Long.toString(process)).start().waitFor();
  }

  private Path cluster() throws Exception {
    Process status = launcher("status").redirectOutput(ProcessBuilder.Redirect.PIPE).start();
    String told = new String(status.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    Matcher data = Pattern.compile("Data: (.+)").matcher(told);
    if (!data.find()) {
      throw new IllegalStateException("The launcher does not say where the data is: " + told);
    }
    return Path.of(data.group(1));
  }

  private void check(String study) throws Exception {
    Window window = new Window(site);
    for (Map.Entry<Long, Double> work : new TreeMap<>(acknowledged).entrySet()) {
      if (work.getValue() == 0) {
        continue;
      }
      String marks = window.get(study + "/works/" + work.getKey() + "/marks.json").body();
      Matcher crown = CROWN.matcher(marks);
      double newest = crown.find() ? Double.parseDouble(crown.group(1)) : 0;
      // What was sent and never answered may have been kept; nothing older may stand.
      if (newest < work.getValue() || newest > sent.getOrDefault(work.getKey(), 0.0)) {
        throw new IllegalStateException(
            "Work " + work.getKey() + " has " + newest + ", acknowledged was " + work.getValue());
      }
    }
    List<Long> tiles = tiles(study);
    if (tiles.size() < tilesAcknowledged + uploads.get()) {
      throw new IllegalStateException(
          tiles.size() + " works hang, acknowledged were " + (tilesAcknowledged + uploads.get()));
    }
    for (long tile : tiles) {
      if (window.get(study + "/works/" + tile + "/look").statusCode() != 200) {
        throw new IllegalStateException("Work " + tile + " is there in part.");
      }
    }
  }

  private List<Long> tiles(String study) throws Exception {
    Matcher found = TILE.matcher(new Window(site).open(study + "/gather"));
    List<Long> tiles = new ArrayList<>();
    while (found.find()) {
      tiles.add(Long.parseLong(found.group(1)));
    }
    return tiles.stream().distinct().toList();
  }

  private void awaitReadings(String study) throws Exception {
    await(
        "all readings to be done",
        () -> !new Window(site).open(study + "/gather").contains("data-busy=\"true\""));
  }
}
