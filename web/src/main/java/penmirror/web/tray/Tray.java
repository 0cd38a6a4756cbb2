package penmirror.web.tray;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.file.PictureLimits;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.file.UnusablePictureException.Reason;
import penmirror.web.opening.BusyException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.tray.TrayPage.NotLookedAt;
import penmirror.web.tray.TrayPage.Ready;
import penmirror.web.tray.TrayPage.State;
import penmirror.web.tray.TrayPage.StillWriting;
import penmirror.web.tray.TrayPage.Unreadable;

/**
 * The folder into which scanners deliver. A file is judged by its content, once it has come to
 * rest; one that is still growing is never opened, one that cannot be read is left where it lies.
 */
@Component
public class Tray {
  /** Under this name a file is being written by us, as by many scanners. */
  private static final String UNFINISHED = ".part";

  /** A file that changed more recently than this may still grow. */
  private static final Duration REST = Duration.ofSeconds(2);

  /** A file cut short may go on growing for so long; scanners pause between strips. */
  private static final Duration PATIENCE = Duration.ofSeconds(30);

  /** No listing takes much longer than this; what is left is looked at in the next. */
  private static final Duration LOOKING = Duration.ofMillis(1200);

  private static final String TAKEN = "taken";

  private final Path folder;
  private final Clock clock;
  private final PictureOpener opener;
  private final MessageSource messages;
  private final Map<Fingerprint, State> known = new HashMap<>();

  Tray(
      @Value("${pen-mirror.tray}") Path folder,
      Clock clock,
      PictureOpener opener,
      MessageSource messages) {
    this.folder = folder;
    this.clock = clock;
    this.opener = opener;
    this.messages = messages;
  }

  /** Two files of one name, size and time are one file. */
  private record Fingerprint(String fileName, long bytes, Instant changedAt) {
    static Fingerprint of(TrayPage page) {
      return new Fingerprint(page.fileName(), page.bytes(), page.changedAt());
    }
  }

  /** Where the tray is, for the user to point a scanner at. */
  public Path folder() {
    return folder.toAbsolutePath().normalize();
  }

  /** Newest first. Hidden files and folders are no pages. */
  public synchronized List<TrayPage> pages() {
    List<TrayPage> found = new ArrayList<>();
    for (Path file : files()) {
      entry(file).ifPresent(found::add);
    }
    found.sort(
        Comparator.comparing(TrayPage::changedAt)
            .reversed()
            .thenComparing(TrayPage::fileName, Comparator.reverseOrder()));
    known.keySet().retainAll(found.stream().map(Fingerprint::of).toList());
    long until = System.nanoTime() + LOOKING.toNanos();
    return found.stream().map(page -> judged(page, System.nanoTime() < until)).toList();
  }

  /** Only what the listing shows can be asked for, so no name leads out of the folder. */
  public Optional<TrayPage> page(String fileName) {
    return pages().stream().filter(page -> page.fileName().equals(fileName)).findFirst();
  }

  /**
   * The bytes of a page that is ready.
   *
   * @return empty if it changed or went away since it was listed
   */
  public Optional<byte[]> read(TrayPage page) {
    Path file = folder.resolve(page.fileName());
    try {
      byte[] bytes = Files.readAllBytes(file);
      boolean same =
          entry(file).map(Fingerprint::of).filter(Fingerprint.of(page)::equals).isPresent();
      return same && bytes.length == page.bytes() ? Optional.of(bytes) : Optional.empty();
    } catch (NoSuchFileException e) {
      return Optional.empty();
    } catch (IOException e) {
      throw new UncheckedIOException("The tray's page " + file + " could not be read.", e);
    }
  }

  /** Puts a page that was taken in aside, into a folder beside the others. */
  public void putAside(TrayPage page) {
    try {
      Path aside = Files.createDirectories(folder.resolve(TAKEN));
      Files.move(
          folder.resolve(page.fileName()),
          free(aside, page.fileName()),
          StandardCopyOption.REPLACE_EXISTING);
    } catch (NoSuchFileException e) {
      // Somebody was quicker; it is out of the tray either way.
    } catch (IOException e) {
      throw new UncheckedIOException(
          "The page " + page.fileName() + " could not be moved out of the tray " + folder + ".", e);
    }
  }

  /** A page being delivered: under its unfinished name until it is complete. */
  public static final class Delivery {
    private final Path unfinished;
    private final Path finished;

    private Delivery(Path unfinished, Path finished) {
      this.unfinished = unfinished;
      this.finished = finished;
    }

    /** Writes the whole page; only then does it have its own name. */
    public void complete(byte[] bytes) {
      try {
        Files.write(unfinished, bytes);
        try {
          Files.move(unfinished, finished, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException e) {
          Files.move(unfinished, finished);
        }
      } catch (IOException e) {
        throw new UncheckedIOException("The page " + finished + " could not be written.", e);
      }
    }

    /** Takes back what was begun. */
    public void giveUp() {
      try {
        Files.deleteIfExists(unfinished);
      } catch (IOException e) {
        throw new UncheckedIOException(unfinished + " could not be removed.", e);
      }
    }
  }

  /**
   * Begins to deliver a page under the next free number.
   *
   * @param stem such as "page"; the file is then page-01.png, or the next number no file has
   */
  public synchronized Delivery deliver(String stem, String extension) {
    try {
      Path aside = Files.createDirectories(folder.resolve(TAKEN));
      int number = 1;
      while (isUsed(folder, stem, number) || isUsed(aside, stem, number)) {
        number++;
      }
      Path finished = folder.resolve(numbered(stem, number) + extension);
      return new Delivery(
          Files.createFile(folder.resolve(finished.getFileName() + UNFINISHED)), finished);
    } catch (IOException e) {
      throw new UncheckedIOException("Nothing can be written into the tray " + folder + ".", e);
    }
  }

  private static String numbered(String stem, int number) {
    return String.format(Locale.ROOT, "%s-%02d.", stem, number);
  }

  private static boolean isUsed(Path folder, String stem, int number) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.anyMatch(
          file -> String.valueOf(file.getFileName()).startsWith(numbered(stem, number)));
    }
  }

  private static Path free(Path aside, String name) {
    Path target = aside.resolve(name);
    for (int i = 2; Files.exists(target); i++) {
      target = aside.resolve(i + "-" + name);
    }
    return target;
  }

  private List<Path> files() {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files.toList();
    } catch (IOException e) {
      throw new UncheckedIOException("The tray " + folder + " cannot be listed.", e);
    }
  }

  private Optional<TrayPage> entry(Path file) {
    String name = String.valueOf(file.getFileName());
    if (name.startsWith(".")) {
      return Optional.empty();
    }
    try {
      BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
      return attributes.isRegularFile()
          ? Optional.of(
              new TrayPage(
                  name,
                  attributes.size(),
                  attributes.lastModifiedTime().toInstant(),
                  new NotLookedAt()))
          : Optional.empty();
    } catch (IOException e) {
      return Optional.empty(); // It went away between listing and looking.
    }
  }

  private TrayPage judged(TrayPage page, boolean timeLeft) {
    State state = state(page, timeLeft);
    return new TrayPage(page.fileName(), page.bytes(), page.changedAt(), state);
  }

  private State state(TrayPage page, boolean timeLeft) {
    Duration still = Duration.between(page.changedAt(), clock.instant());
    if (page.fileName().endsWith(UNFINISHED)) {
      return still.compareTo(PATIENCE) < 0
          ? new StillWriting()
          : new Unreadable(text("tray.never-finished"));
    }
    if (still.compareTo(REST) < 0) {
      return new StillWriting();
    }
    State before = known.get(Fingerprint.of(page));
    if (before != null) {
      return before;
    }
    if (!timeLeft) {
      return new NotLookedAt();
    }
    State now = look(page, still);
    if (!(now instanceof StillWriting || now instanceof NotLookedAt)) {
      known.put(Fingerprint.of(page), now);
    }
    return now;
  }

  private State look(TrayPage page, Duration still) {
    if (page.bytes() > PictureLimits.DEFAULTS.fileBytes()) {
      return new Unreadable(text("tray.too-large", PictureLimits.DEFAULTS.fileBytes() / 1048576));
    }
    try {
      return opener.open(
          Files.readAllBytes(folder.resolve(page.fileName())),
          opened ->
              new Ready(
                  opened.format(),
                  opened.picture().widthPixels(),
                  opened.picture().heightPixels(),
                  opened.resolution()));
    } catch (BusyException e) {
      return new NotLookedAt();
    } catch (UnusablePictureException e) {
      boolean mayGrow =
          e.reason() == Reason.EMPTY
              || e.reason() == Reason.TRUNCATED
              || e.reason() == Reason.UNREADABLE;
      return mayGrow && still.compareTo(PATIENCE) < 0
          ? new StillWriting()
          : new Unreadable(String.valueOf(e.getMessage()));
    } catch (IOException e) {
      return new Unreadable(text("tray.no-access", page.fileName()));
    }
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
