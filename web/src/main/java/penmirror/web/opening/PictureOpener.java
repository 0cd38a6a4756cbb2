package penmirror.web.opening;

import java.time.Duration;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import penmirror.core.file.DrawingProcess;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.raster.Picture;

/** Opens pictures, as many at once as there is memory for; what somebody waits for goes first. */
@Component
public class PictureOpener {
  /** As decoded, as read, and turned or converted, with what a smaller copy takes. */
  private static final long BYTES_A_PIXEL = 14;

  /** What the readings add, which work on a copy of a million pixels. */
  private static final long READING_BYTES = 200L * 1024 * 1024;

  /** The rest is for pages and what they hold. */
  private static final double SHARE_OF_HEAP = 0.7;

  private static final Duration PATIENCE = Duration.ofSeconds(30);

  private final PictureReader reader = new PictureReader();
  private final Turns turns =
      new Turns((long) (SHARE_OF_HEAP * Runtime.getRuntime().maxMemory()), PATIENCE);

  /** What is done with an open picture; nothing of it is kept after that. */
  @FunctionalInterface
  public interface Use<T> {
    T with(PictureReader.Opened opened) throws UnusablePictureException;
  }

  /** What is done with two pictures that are open together. */
  @FunctionalInterface
  public interface UseOfTwo<T> {
    T with(Picture one, Picture other);
  }

  @EventListener(ApplicationReadyEvent.class)
  void warm() {
    DrawingProcess.shared().warm();
  }

  /**
   * For somebody who waits.
   *
   * @throws BusyException when the turn does not come within half a minute
   */
  public <T> T open(byte[] file, Use<T> use) throws UnusablePictureException {
    try (Turns.Turn turn = turns.forSomebody(BYTES_A_PIXEL * reader.statedPixels(file))) {
      return use.with(reader.open(file));
    }
  }

  /** For somebody who waits for something that takes the readings' memory too. */
  public <T> T openToRead(byte[] file, Use<T> use) throws UnusablePictureException {
    try (Turns.Turn turn =
        turns.forSomebody(READING_BYTES + BYTES_A_PIXEL * reader.statedPixels(file))) {
      return use.with(reader.open(file));
    }
  }

  /**
   * For somebody who waits for two at once: one turn for both, or two could wait for each other.
   */
  public <T> T openTwo(byte[] one, byte[] other, UseOfTwo<T> use) throws UnusablePictureException {
    long pixels = reader.statedPixels(one) + reader.statedPixels(other);
    try (Turns.Turn turn = turns.forSomebody(BYTES_A_PIXEL * pixels)) {
      return use.with(reader.open(one).picture(), reader.open(other).picture());
    }
  }

  /** For readings in the background, which wait until nobody else does. */
  public <T> T openInBackground(byte[] file, Use<T> use) throws UnusablePictureException {
    try (Turns.Turn turn =
        turns.inBackground(READING_BYTES + BYTES_A_PIXEL * reader.statedPixels(file))) {
      return use.with(reader.open(file));
    }
  }
}
