package penmirror.core.file;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import penmirror.core.file.PictureReader.Opened;
import penmirror.core.file.UnusablePictureException.Reason;

/**
 * Opens vector and layered files in a process beside this one, with a heap and a time of its own. A
 * few kilobytes of such a file can ask for any amount of work; here that ends by killing the
 * process, and the next file gets a new one.
 *
 * <p>The process is started once and kept; it ends by itself when this one does. One file is opened
 * at a time.
 */
public final class DrawingProcess {
  /** A 64-megapixel OpenRaster file of several layers needs about this much. */
  private static final int HEAP_MEGABYTES = 1024;

  private static final Duration START = Duration.ofSeconds(30);
  private static final Duration TURN = Duration.ofSeconds(30);
  private static final long LOOK_MILLIS = 50;

  /** While others keep the processors busy, a file gets its processor time more slowly. */
  private static final int WALL_TIMES = 3;

  /** How a program that holds its libraries packed inside itself starts another main class. */
  private static final String PACKED_LAUNCHER =
      "org.springframework.boot.loader.launch.PropertiesLauncher";

  private static final DrawingProcess SHARED = new DrawingProcess(HEAP_MEGABYTES);

  private final int heapMegabytes;
  private final ReentrantLock turn = new ReentrantLock(true);
  private @Nullable Running running;

  public DrawingProcess(int heapMegabytes) {
    this.heapMegabytes = heapMegabytes;
  }

  /** The one of this program. */
  public static DrawingProcess shared() {
    return SHARED;
  }

  /** Starts the process before it is needed, so that the first file does not wait for it. */
  public void warm() {
    turn.lock();
    try {
      process();
    } finally {
      turn.unlock();
    }
  }

  /**
   * @throws UnusablePictureException when the file cannot be used, or would cost too much
   * @throws UncheckedIOException when no process can be started
   */
  Opened open(byte[] bytes, PictureLimits limits) throws UnusablePictureException {
    takeTurn();
    try {
      Running process = process();
      boolean whole = false;
      try {
        process.awaitReady();
        Opened opened = process.open(bytes, limits);
        whole = true;
        return opened;
      } catch (UnusablePictureException e) {
        whole = !process.wasKilled();
        throw e;
      } finally {
        if (!whole) {
          process.kill();
          running = null;
          process();
        }
      }
    } finally {
      turn.unlock();
    }
  }

  private void takeTurn() throws UnusablePictureException {
    try {
      if (!turn.tryLock(TURN.toMillis(), TimeUnit.MILLISECONDS)) {
        throw new UnusablePictureException(
            Reason.TOO_COSTLY,
            "Other pictures are being drawn for longer than usual. Try this one again in a"
                + " minute.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException("Opening a picture was stopped.");
    }
  }

  private Running process() {
    if (running == null || !running.isAlive()) {
      running = Running.start(heapMegabytes);
    }
    return running;
  }

  /** A living process and the two ends of its pipe. */
  private static final class Running {
    private final Process process;
    private final DataOutputStream to;
    private final DataInputStream from;
    private boolean isReady;
    private boolean wasKilled;

    private Running(Process process) {
      this.process = process;
      to = new DataOutputStream(new BufferedOutputStream(process.getOutputStream(), 1 << 16));
      from = new DataInputStream(new BufferedInputStream(process.getInputStream(), 1 << 16));
    }

    static Running start(int heapMegabytes) {
      List<String> command = new ArrayList<>();
      command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
      command.addAll(
          List.of(
              "-Xmx" + heapMegabytes + "m",
              "-XX:+UseSerialGC",
              "-XX:MinHeapFreeRatio=10",
              "-XX:MaxHeapFreeRatio=30",
              "-Xshare:auto",
              "-Djava.awt.headless=true",
              "-cp",
              System.getProperty("java.class.path")));
      boolean isPacked =
          ClassLoader.getSystemResource(PACKED_LAUNCHER.replace('.', '/') + ".class") != null;
      if (isPacked) {
        command.add("-Dloader.main=" + DrawingMain.class.getName());
        command.add(PACKED_LAUNCHER);
      } else {
        command.add(DrawingMain.class.getName());
      }
      try {
        return new Running(
            new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start());
      } catch (IOException e) {
        throw new UncheckedIOException(
            "The process that draws vector and layered pictures could not be started with "
                + command.get(0)
                + ". Check that Java may be started there.",
            e);
      }
    }

    boolean isAlive() {
      return process.isAlive();
    }

    boolean wasKilled() {
      return wasKilled;
    }

    void kill() {
      wasKilled = true;
      process.destroyForcibly();
    }

    void awaitReady() throws UnusablePictureException {
      if (!isReady) {
        within(from::readByte, START, START);
        isReady = true;
      }
    }

    Opened open(byte[] bytes, PictureLimits limits) throws UnusablePictureException {
      return within(
              () -> {
                DrawingWire.ask(to, bytes, limits);
                return DrawingWire.answer(from, limits);
              },
              limits.drawing(),
              limits.drawing().multipliedBy(WALL_TIMES))
          .orRefuse();
    }

    /** Kills the process when the work takes more processor time, or more time, than allowed. */
    private <T> T within(Callable<T> work, Duration processor, Duration wall)
        throws UnusablePictureException {
      FutureTask<T> task = new FutureTask<>(work);
      Thread thread = new Thread(task, "drawing-process");
      thread.setDaemon(true);
      Duration busyBefore = busy();
      long from = System.nanoTime();
      thread.start();
      while (true) {
        try {
          return task.get(LOOK_MILLIS, TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
          boolean over =
              System.nanoTime() - from > wall.toNanos()
                  || busy().minus(busyBefore).compareTo(processor) > 0;
          if (over) {
            kill();
            throw tooCostly("takes more than " + processor.toSeconds() + " s to draw");
          }
        } catch (ExecutionException e) {
          kill();
          throw tooCostly("ended the process that drew it, most likely by its need of memory");
        } catch (InterruptedException e) {
          kill();
          Thread.currentThread().interrupt();
          throw new CancellationException("Opening a picture was stopped.");
        }
      }
    }

    private Duration busy() {
      return process.info().totalCpuDuration().orElse(Duration.ZERO);
    }
  }

  static UnusablePictureException tooCostly(String what) {
    return new UnusablePictureException(
        Reason.TOO_COSTLY,
        "The file "
            + what
            + ", more than a picture may. Open it in a drawing program and export it as PNG.");
  }
}
