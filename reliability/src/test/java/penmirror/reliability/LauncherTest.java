package penmirror.reliability;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The one launcher, in a data folder of its own, from two first starts to sudden ends. */
class LauncherTest {
  private static final Path LAUNCHER = Path.of("..", "pen-mirror").toAbsolutePath().normalize();

  private Path home;
  private int port;
  private int databasePort;

  @BeforeEach
  void takeAFolderAndPorts() throws IOException {
    // A space in the path, and longer than a socket's may be.
    home =
        Files.createTempDirectory("pen mirror launcher test, in a folder with quite a long name, ");
    port = freePort();
    databasePort = freePort();
  }

  @AfterEach
  void tidyUp() throws Exception {
    begin("stop").waitFor();
    Path cluster = home.resolve("postgres");
    try (Stream<Path> files = Files.walk(Files.exists(cluster) ? home : cluster.getParent())) {
      files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
    }
  }

  private Process begin(String command) throws IOException {
    ProcessBuilder builder = new ProcessBuilder(LAUNCHER.toString(), command);
    builder.environment().put("PEN_MIRROR_HOME", home.toString());
    builder.environment().put("PEN_MIRROR_PORT", Integer.toString(port));
    builder.environment().put("PEN_MIRROR_DB_PORT", Integer.toString(databasePort));
    builder.environment().put("PEN_MIRROR_FSYNC", "off");
    // From another working directory, as a file and not as a pipe that a server could hold open.
    return builder
        .directory(Path.of("/").toFile())
        .redirectErrorStream(true)
        .redirectOutput(Files.createTempFile(home, "told", ".txt").toFile())
        .start();
  }

  private String told() throws IOException {
    StringBuilder all = new StringBuilder();
    try (Stream<Path> files = Files.list(home)) {
      for (Path file : files.filter(f -> f.getFileName().toString().startsWith("told")).toList()) {
        all.append(Files.readString(file));
      }
    }
    return all.toString();
  }

  private static void await(String what, Callable<Boolean> holds) throws Exception {
    long until = System.nanoTime() + Duration.ofSeconds(90).toNanos();
    while (!holds.call()) {
      assertThat(System.nanoTime()).as("waiting for " + what).isLessThan(until);
      Thread.sleep(100);
    }
  }

  private boolean isReady() {
    try {
      URI place = URI.create("http://127.0.0.1:" + port + "/actuator/health/readiness");
      return HttpClient.newHttpClient()
              .send(
                  HttpRequest.newBuilder(place).timeout(Duration.ofSeconds(10)).build(),
                  HttpResponse.BodyHandlers.ofString())
              .statusCode()
          == 200;
    } catch (IOException e) {
      return false;
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    }
  }

  private static void kill(Path file) throws Exception {
    String process = Files.readAllLines(file).get(0).strip();
    assertThat(new ProcessBuilder("kill", "-9", process).start().waitFor()).isZero();
  }

  private Path cluster() throws Exception {
    Process status = begin("status");
    status.waitFor();
    Matcher data = Pattern.compile("Data: (.+)").matcher(told());
    assertThat(data.find()).isTrue();
    return Path.of(data.group(1));
  }

  @Test
  void aLifeFromTwoFirstStartsOverSuddenEndsToAStop() throws Exception {
    Process first = begin("start");
    Process second = begin("start");
    await("the application", this::isReady);
    Process quick = first.isAlive() ? second : first;
    Process staying = first.isAlive() ? first : second;
    assertThat(quick.waitFor(30, TimeUnit.SECONDS)).isTrue();
    assertThat(quick.exitValue()).isZero();
    assertThat(told()).containsOnlyOnce("Making the library's own").contains("runs already");

    Path cluster = cluster();
    nothingIsOpenToOthers(cluster);
    nobodyComesInWithoutThePassword();

    kill(cluster.resolve("postmaster.pid"));
    await("PostgreSQL to be back", () -> told().contains("PostgreSQL is back"));
    await("the application to have found it", this::isReady);

    kill(home.resolve("app.pid"));
    assertThat(staying.waitFor(30, TimeUnit.SECONDS)).isTrue();
    assertThat(staying.exitValue()).isEqualTo(1);
    assertThat(told()).contains("ended from outside, by signal 9. What was saved is kept");

    // What an earlier start said of a port is no news of this one.
    String stale = "Address already in use, port already in use\n";
    Files.writeString(home.resolve("app.log"), stale);
    Process third = begin("start");
    await("the application", this::isReady);
    String before = Files.readString(home.resolve("app.pid"));
    assertThat(begin("stop").waitFor()).isZero();

    // The launcher whose application was stopped leaves alone what is started right after; it looks
    // every two seconds whether its own still runs.
    Process fourth = begin("start");
    await("the application again", this::isReady);
    assertThat(third.waitFor(30, TimeUnit.SECONDS)).isTrue();
    assertThat(third.exitValue()).isZero();
    assertThat(Files.readString(home.resolve("app.pid"))).isNotEqualTo(before);
    assertThat(fourth.waitFor(3, TimeUnit.SECONDS)).isFalse();
    assertThat(isReady()).isTrue();
    assertThat(begin("stop").waitFor()).isZero();
    assertThat(fourth.waitFor(30, TimeUnit.SECONDS)).isTrue();
    assertThat(fourth.exitValue()).isZero();
    assertThat(told()).doesNotContain("is in use by another program");
  }

  private void nothingIsOpenToOthers(Path cluster) throws Exception {
    assertThat(Files.getPosixFilePermissions(home.resolve("db-password")))
        .containsExactlyInAnyOrder(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
    String sockets = Files.readAllLines(cluster.resolve("postmaster.pid")).get(4).strip();
    for (Path folder : List.of(cluster, Path.of(sockets))) {
      assertThat(Files.getPosixFilePermissions(folder))
          .as(folder.toString())
          .containsExactlyInAnyOrder(
              PosixFilePermission.OWNER_READ,
              PosixFilePermission.OWNER_WRITE,
              PosixFilePermission.OWNER_EXECUTE);
    }
    try (Stream<Path> files = Files.walk(home)) {
      assertThat(files.filter(file -> !Files.isSymbolicLink(file)))
          .allSatisfy(
              file ->
                  assertThat(Files.getPosixFilePermissions(file))
                      .doesNotContain(PosixFilePermission.OTHERS_WRITE));
    }
  }

  private void nobodyComesInWithoutThePassword() throws Exception {
    String password = Files.readString(home.resolve("db-password"));
    assertThat(asked("pen_mirror", "postgres", "")).contains("rejects connection");
    assertThat(asked("pen_mirror_app", "pen_mirror", "")).contains("no password supplied");
    assertThat(asked("pen_mirror_app", "postgres", password)).contains("permission denied");
    assertThat(asked("pen_mirror_app", "pen_mirror", password)).contains("f|f|f");
  }

  /** What the server says to somebody on this machine who wants to know what a role may do. */
  private String asked(String role, String database, String password) throws Exception {
    ProcessBuilder psql =
        new ProcessBuilder(
            "psql",
            "-h",
            "127.0.0.1",
            "-p",
            Integer.toString(databasePort),
            "-U",
            role,
            "-w",
            "-qtA",
            "-d",
            database,
            "-c",
            "select rolsuper, rolcreatedb, rolcreaterole from pg_roles where rolname = current_user");
    psql.environment().remove("PGPASSWORD");
    if (!password.isEmpty()) {
      psql.environment().put("PGPASSWORD", password);
    }
    Process process = psql.redirectErrorStream(true).start();
    return new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
  }

  @Test
  void aPortThatIsTakenIsToldInOneLine() throws Exception {
    try (ServerSocket taken = new ServerSocket(databasePort, 1, InetAddress.getLoopbackAddress())) {
      Process start = begin("start");
      assertThat(start.waitFor(60, TimeUnit.SECONDS)).isTrue();
      assertThat(start.exitValue()).isEqualTo(1);
      assertThat(told())
          .contains("Port " + taken.getLocalPort() + " is in use by another program")
          .doesNotContain("Exception");
    }
  }
}
