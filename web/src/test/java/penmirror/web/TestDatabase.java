package penmirror.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.springframework.test.context.DynamicPropertyRegistry;

/**
 * A PostgreSQL of the tests' own: Debian's programs, a cluster in the temporary folder, on
 * loopback, made when the first test asks and gone when the last has run. So one test runs from an
 * editor with nothing started by hand. The application comes in as it does in earnest, by a role
 * that owns its database and nothing else.
 */
public final class TestDatabase {
  private static final String NAME = "pen_mirror_test";
  private static final String ROLE = "pen_mirror_test_app";
  private static final boolean IS_ROOT = "root".equals(System.getProperty("user.name"));

  private static final TestDatabase SHARED = new TestDatabase();

  private final Path programs = programs();
  private final Path folder;
  private final int port = freePort();
  private final String password = UUID.randomUUID().toString();

  private TestDatabase() {
    try {
      folder = Files.createTempDirectory("pen-mirror-test");
      Path secret = Files.writeString(folder.resolve("secret"), password);
      if (IS_ROOT) {
        run(List.of("chown", "-R", "postgres", folder.toString()));
      }
      server("initdb", "-D", cluster(), "-U", "keeper", "-A", "scram-sha-256", "--pwfile=" + secret)
          .command("--encoding=UTF8", "--locale=C.UTF-8", "--no-sync")
          .run();
      startServer();
      statement("postgres", "create role " + ROLE + " login password '" + password + "'");
      statement("postgres", "create database " + NAME + " owner " + ROLE);
      statement(NAME, "alter schema public owner to " + ROLE);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    Runtime.getRuntime().addShutdownHook(new Thread(this::end));
  }

  /** The one of this run. */
  public static TestDatabase shared() {
    return SHARED;
  }

  public static void register(DynamicPropertyRegistry properties) {
    properties.add(
        "spring.datasource.url", () -> "jdbc:postgresql://127.0.0.1:" + SHARED.port + "/" + NAME);
    properties.add("spring.datasource.username", () -> ROLE);
    properties.add("spring.datasource.password", () -> SHARED.password);
  }

  public void stopServer() {
    server("pg_ctl", "stop", "-w", "-m", "fast", "-D", cluster()).run();
  }

  public void startServer() {
    String options =
        "-p "
            + port
            + " -c listen_addresses=127.0.0.1 -c fsync=off -c max_connections=60"
            + " -c unix_socket_directories="
            + folder;
    server("pg_ctl", "start", "-w", "-D", cluster(), "-l", folder.resolve("log").toString())
        .command("-o", options)
        .run();
  }

  private void statement(String database, String sql) {
    server("psql", "-h", "127.0.0.1", "-p", Integer.toString(port), "-U", "keeper", "-qd", database)
        .command("-v", "ON_ERROR_STOP=1", "-c", sql)
        .run();
  }

  private void end() {
    server("pg_ctl", "stop", "-m", "immediate", "-D", cluster()).run();
    try (Stream<Path> files = Files.walk(folder)) {
      files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private String cluster() {
    return folder.resolve("cluster").toString();
  }

  private record Command(List<String> words, String password) {
    Command command(String... more) {
      List<String> all = new ArrayList<>(words);
      all.addAll(List.of(more));
      return new Command(all, password);
    }

    void run() {
      TestDatabase.run(words, password);
    }
  }

  private Command server(String program, String... arguments) {
    List<String> words = new ArrayList<>();
    if (IS_ROOT) {
      // PostgreSQL refuses to run as root.
      words.addAll(List.of("runuser", "-u", "postgres", "--"));
    }
    words.add(programs.resolve(program).toString());
    words.addAll(List.of(arguments));
    return new Command(words, password);
  }

  private static void run(List<String> words) {
    run(words, "");
  }

  private static void run(List<String> words, String password) {
    try {
      ProcessBuilder builder = new ProcessBuilder(words).directory(Path.of("/").toFile());
      builder.environment().put("PGPASSWORD", password);
      Path told = Files.createTempFile("pen-mirror-test", ".log");
      // Not a pipe: the server would keep its end open.
      builder.redirectErrorStream(true).redirectOutput(told.toFile());
      Process process = builder.start();
      if (!process.waitFor(60, TimeUnit.SECONDS) || process.exitValue() != 0) {
        throw new IllegalStateException(words + " failed: " + Files.readString(told));
      }
      Files.delete(told);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static Path programs() {
    try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
      return versions
          .map(version -> version.resolve("bin"))
          .filter(bin -> Files.isExecutable(bin.resolve("initdb")))
          .max(Comparator.naturalOrder())
          .orElseThrow();
    } catch (IOException | NoSuchElementException e) {
      throw new IllegalStateException(
          "These tests need PostgreSQL. Install it once: apt-get install postgresql", e);
    }
  }

  private static int freePort() {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
