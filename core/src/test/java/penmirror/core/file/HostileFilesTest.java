package penmirror.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.file.UnusablePictureException.Reason;

/** Whatever a file does, the answer is a picture or a sentence, and the next file is opened. */
class HostileFilesTest {
  private final PictureReader reader = new PictureReader();

  /** Why each is refused, and words of what is told. */
  private static final Map<String, Told> TOLD =
      Map.ofEntries(
          Map.entry("patterns.svg", new Told(Reason.UNREADABLE, "repeats its parts")),
          Map.entry("masks.svg", new Told(Reason.UNREADABLE, "repeats its parts")),
          Map.entry("markers.svg", new Told(Reason.UNREADABLE, "repeats its parts")),
          Map.entry("stylesheet.svg", new Told(Reason.UNREADABLE, "repeats its parts")),
          Map.entry("manyblur.svg", new Told(Reason.UNREADABLE, "repeats its parts")),
          Map.entry("deep.svg", new Told(Reason.UNREADABLE, "deep")),
          Map.entry("inline.svg", new Told(Reason.TOO_MANY_PIXELS, "px a side")),
          Map.entry("blur.svg", new Told(Reason.UNREADABLE, "export it as PNG")),
          Map.entry("hugetile.svg", new Told(Reason.TOO_COSTLY, "more memory")),
          // By the clock, or on a quick machine by its edges.
          Map.entry("dash2.svg", new Told(Reason.TOO_COSTLY, " to draw")),
          Map.entry("negx.ora", new Told(Reason.UNREADABLE, "places a layer at x")),
          Map.entry("badname.ora", new Told(Reason.UNREADABLE, "mergedimage.png")),
          Map.entry("no-end.png", new Told(Reason.TRUNCATED, "cut short")),
          Map.entry("forged-end.jpg", new Told(Reason.TRUNCATED, "cut short")));

  private record Told(Reason reason, String words) {}

  @Test
  void eachIsRefusedWithItsReasonAndTheNextIsOpened() throws Exception {
    assertThat(HostileFiles.all()).containsOnlyKeys(TOLD.keySet());
    for (Map.Entry<String, byte[]> file : HostileFiles.all().entrySet()) {
      UnusablePictureException refusal =
          catchThrowableOfType(UnusablePictureException.class, () -> reader.open(file.getValue()));
      Told told = TOLD.get(file.getKey());
      assertThat(refusal).as(file.getKey()).isNotNull().hasMessageContaining(told.words());
      assertThat(refusal.reason()).as(file.getKey()).isEqualTo(told.reason());
    }
    byte[] good = HostileFiles.svg("<rect width='1000' height='1000' fill='#336699'/>");
    assertThat(reader.open(good).picture().rgb(0)).isEqualTo(0x336699);
  }

  @Test
  void theSameFilesWithTheirEndComeIn() throws Exception {
    assertThat(reader.open(HostileFiles.png()).picture().widthPixels()).isEqualTo(300);
    assertThat(reader.open(HostileFiles.jpeg()).picture().widthPixels()).isEqualTo(300);
  }

  /** A minute's work is ended by the clock, and the process that did it is replaced. */
  @Test
  void drawingEndsWhenItsTimeIsOver() throws Exception {
    PictureLimits hasty = new PictureLimits(1 << 20, 64_000_000, 16_384, Duration.ofMillis(300));
    PictureReader impatient = new PictureReader(hasty, new DrawingProcess(256));
    UnusablePictureException refusal =
        catchThrowableOfType(
            UnusablePictureException.class,
            () -> impatient.open(HostileFiles.all().get("dash2.svg")));
    assertThat(refusal.reason()).isEqualTo(Reason.TOO_COSTLY);
  }

  @Test
  void manyUsesOfOnePartAreNoHarm() throws Exception {
    String fields =
        "<linearGradient id='g'><stop offset='0' stop-color='#204060'/></linearGradient>"
            + "<style>.a{fill:url(#g)}</style>"
            + "<rect class='a' width='1000' height='1000'/>"
            + "<rect class='a' width='10' height='10'/>".repeat(2500);
    assertThat(reader.open(HostileFiles.svg(fields)).picture().rgb(0)).isEqualTo(0x204060);
  }
}
