package penmirror.commandline;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/**
 * Does something with each of many pictures, several at once, and hands on what came of them in the
 * order they were named. No more pictures are open than there are jobs, so memory stays flat
 * however many are named.
 */
final class Batch {
  private static final int MOST_JOBS = 64;

  /** Set by the launcher, which knows whether messages go to a terminal. */
  private static final boolean TELLS_PROGRESS = Boolean.getBoolean("pen-mirror.terminal");

  @Spec(Spec.Target.MIXEE)
  private CommandSpec spec;

  @Option(
      names = "--jobs",
      paramLabel = "N",
      defaultValue = "1",
      description = "How many pictures are read at once; each needs its memory. Default: 1.")
  private int jobs = 1;

  @FunctionalInterface
  interface EachImage<T> {
    T of(Path image) throws UnusableInputException;
  }

  /** What came of one picture. */
  private sealed interface Outcome<T> permits Done, Unusable {}

  /** Something to hand on. */
  private record Done<T>(T result) implements Outcome<T> {}

  /** Why there is nothing. */
  private record Unusable<T>(String fault) implements Outcome<T> {}

  /**
   * One that cannot be used is told, the others go on.
   *
   * @param then is handed the results in the order of the images, on the calling thread
   * @return the exit code
   */
  <T> int forEach(List<Path> images, EachImage<T> action, Consumer<T> then) {
    if (jobs < 1 || jobs > MOST_JOBS) {
      throw new ParameterException(
          spec.commandLine(), "--jobs is 1 to " + MOST_JOBS + ", got " + jobs + ".");
    }
    PrintWriter messages = spec.commandLine().getErr();
    int exit = CommandLineTools.DONE;
    int done = 0;
    ExecutorService hands = Executors.newFixedThreadPool(jobs);
    try {
      Deque<Future<Outcome<T>>> underWay = new ArrayDeque<>();
      int next = 0;
      while (next < images.size() || !underWay.isEmpty()) {
        while (next < images.size() && underWay.size() < jobs + 1) {
          Path image = images.get(next++);
          underWay.add(hands.submit(() -> outcome(image, action)));
        }
        Outcome<T> one = underWay.remove().get();
        done++;
        if (one instanceof Done<T> usable) {
          then.accept(usable.result());
        } else if (one instanceof Unusable<T> unusable) {
          messages.println(unusable.fault());
          exit = CommandLineTools.INPUT_UNUSABLE;
        }
        tellProgress(messages, done, images.size());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("Stopped.", e);
    } catch (ExecutionException e) {
      throw new IllegalStateException(e.getCause());
    } finally {
      hands.shutdownNow();
    }
    return exit;
  }

  private static <T> Outcome<T> outcome(Path image, EachImage<T> action) {
    try {
      return new Done<>(action.of(image));
    } catch (UnusableInputException e) {
      return new Unusable<>(String.valueOf(e.getMessage()));
    } catch (OutOfMemoryError e) {
      return new Unusable<>(
          image
              + ": There is not enough memory for it. Ask for fewer --jobs, or give more with"
              + " PEN_MIRROR_MEMORY.");
    } catch (RuntimeException | StackOverflowError e) {
      // A fault of ours on one picture is no reason to leave the others unread.
      return new Unusable<>(image + ": It could not be read through a fault of Pen Mirror's: " + e);
    }
  }

  private static void tellProgress(PrintWriter messages, int done, int all) {
    if (TELLS_PROGRESS && all > 1) {
      messages.printf("\r%d of %d pictures%s", done, all, done == all ? "%n".formatted() : "");
      messages.flush();
    }
  }
}
