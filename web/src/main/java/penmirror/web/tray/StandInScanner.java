package penmirror.web.tray;

import jakarta.annotation.PreDestroy;
import java.awt.image.BufferedImage;
import java.time.Clock;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import penmirror.demoart.scan.ScanFile;
import penmirror.demoart.scan.Scanner;
import penmirror.demoart.scan.Settings;

/**
 * Stands in for a scanner: lays a picture on its glass and delivers the page into the tray, one
 * after another, as slowly as such machines are.
 */
@Component
public class StandInScanner {
  private static final Logger LOG = LoggerFactory.getLogger(StandInScanner.class);
  private static final String STEM = "page";

  private final Tray tray;
  private final Clock clock;
  private final ExecutorService glass = Executors.newSingleThreadExecutor();

  StandInScanner(Tray tray, Clock clock) {
    this.tray = tray;
    this.clock = clock;
  }

  /** What is set on the machine. */
  public record Job(Settings.Medium medium, int pixelsPerInch, ScanFile.Format format) {}

  /** Begins to scan; the page shows in the tray at once, as one that is still being written. */
  void scan(BufferedImage drawing, Job job) {
    // Every sheet is laid down a little differently.
    Settings settings = Settings.usual(job.medium(), job.pixelsPerInch(), clock.millis());
    Tray.Delivery delivery = tray.deliver(STEM, job.format().extension());
    glass.execute(() -> deliver(drawing, settings, job.format(), delivery));
  }

  /** Scans on the spot. Same seed, same page. */
  public void scan(BufferedImage drawing, Settings settings, ScanFile.Format format, String stem) {
    deliver(drawing, settings, format, tray.deliver(stem, format.extension()));
  }

  @PreDestroy
  void switchOff() {
    glass.shutdown();
  }

  private static void deliver(
      BufferedImage drawing, Settings settings, ScanFile.Format format, Tray.Delivery delivery) {
    try {
      Scanner.Page page = Scanner.scan(drawing, settings);
      delivery.complete(ScanFile.write(page.image(), settings.pixelsPerInch(), format));
    } catch (RuntimeException e) {
      delivery.giveUp();
      LOG.warn("The stand-in scanner could not deliver a page.", e);
      throw e;
    }
  }
}
