package penmirror.demoart.reading;

import java.util.List;
import java.util.Optional;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.Evidence;
import penmirror.core.reading.PixelReader;
import penmirror.core.style.MeasuredWork;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;

/**
 * The demo's pictures read once for all tests that ask, at a third of their size, so that all are
 * read in seconds.
 */
public final class DemoRead {
  private static final double SCALE = 0.35;

  public static final Hand ODILE = Reading.hand("odile", DemoStudio.odileMarrow());
  public static final Hand CASIMIR = Reading.hand("casimir", DemoStudio.casimirThole());
  public static final Hand INES = Reading.hand("ines", DemoStudio.inesVantour());
  public static final Hand OWN = new Hand("own", Reading.all(DemoStudio.ownHand()), List.of());

  private DemoRead() {}

  /** One more picture, read as those of the demo. */
  public static Seen read(Commission commission) {
    return Reading.one(commission);
  }

  /**
   * @param redraws the chain of attempts, in the order in which they were mended
   */
  public record Hand(String name, List<Seen> sources, List<Seen> redraws) {}

  /** A picture with what its marks and its pixels tell. */
  public record Seen(Commission commission, Evidence evidence) {
    public String file() {
      return commission.fileName();
    }

    public MeasuredWork work() {
      return MeasuredWork.of(file(), commission.title(), "", evidence);
    }
  }

  /** In a class of its own: threads that read must not wait for the one that makes the hands. */
  private static final class Reading {
    static Hand hand(String name, DemoStudio.Folder folder) {
      return new Hand(name, all(folder.sources()), all(folder.redraws()));
    }

    static List<Seen> all(List<Commission> commissions) {
      return commissions.parallelStream().map(Reading::one).toList();
    }

    private static Seen one(Commission commission) {
      DrawnWork drawn = DrawnWork.of(commission, SCALE);
      try {
        var picture = new PictureReader().open(drawn.png()).picture();
        var readings = new PixelReader().read(picture, drawn.truth(), step -> {});
        return new Seen(commission, new Evidence(drawn.truth(), Optional.of(readings)));
      } catch (UnusablePictureException e) {
        throw new IllegalStateException(commission.fileName(), e);
      }
    }
  }
}
