package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.planning.Retoned;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelEvidence;
import penmirror.core.reading.PixelReader;
import penmirror.core.style.ShadeLaw;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;

/**
 * A drawing whose shadows are laid otherwise is read as laid so, and as drawn in all else. Lines in
 * the shadow keep a rim of the old one, under a pixel wide, and read some per cent thinner by it.
 */
class RetonedTruthTest {
  private static final DrawnWork DRAWN =
      DrawnWork.of(DemoStudio.odileMarrow().sources().get(0), 0.7);

  /** Deeper, duller and a little cooler than she lays them. */
  private static final ShadeLaw OTHER = new ShadeLaw(-0.18, 0.85, 5);

  private static PixelEvidence read(Picture picture) {
    return new PixelReader().look(picture, DRAWN.truth(), List.of(), step -> {});
  }

  private static Picture drawn() throws UnusablePictureException {
    return new PictureReader().open(DRAWN.png()).picture();
  }

  @Test
  void shadowsAreReadWhereTheyWereLaidAndNothingElseMoves() throws Exception {
    PixelEvidence before = read(drawn());
    List<Retoned.Shadow> shadows = new ArrayList<>();
    for (RoleTones role : before.readings().roles()) {
      OkLab base = role.tones().base();
      role.tones()
          .shadow()
          .ifPresent(
              dark -> shadows.add(new Retoned.Shadow(role.role(), base, dark, OTHER.laidOn(base))));
    }
    assertThat(shadows).hasSizeGreaterThanOrEqualTo(2);

    PixelReadings after = read(Retoned.of(before, shadows)).readings();

    int told = 0;
    for (RoleTones role : before.readings().roles()) {
      Tones was = role.tones();
      if (was.shadow().isEmpty()) {
        continue; // A coat's back that lies in its shadow throughout is read as a coat of its own.
      }
      Tones is =
          after.roles().stream()
              .filter(one -> one.role() == role.role())
              .findFirst()
              .orElseThrow()
              .tones();
      assertThat(is.base().distanceTo(was.base())).as(role.role() + " light").isLessThan(0.01);
      OkLab wanted = OTHER.laidOn(was.base()).shown();
      assertThat(is.shadow().orElseThrow().distanceTo(wanted))
          .as(role.role() + " shadow")
          .isLessThan(0.02);
      told++;
    }
    assertThat(told).isEqualTo(shadows.size());
    assertThat(after.estimate(LineMeasures.WIDTH).orElseThrow().value())
        .isCloseTo(
            before.readings().estimate(LineMeasures.WIDTH).orElseThrow().value(),
            withPercentage(5));
  }

  @Test
  void withoutShadowsToLayItStaysAsItIs() throws Exception {
    Picture picture = drawn();
    PixelEvidence seen = read(picture);
    Picture same = Retoned.of(seen, List.of());
    OkLab light = seen.readings().roles().get(0).tones().base();
    Retoned.Shadow flat = new Retoned.Shadow(Role.SKIN, light, light, new OkLab(0, 0, 0));
    Picture unlaid = Retoned.of(seen, List.of(flat));
    int changed = 0;
    for (int i = 0; i < picture.pixelCount(); i++) {
      changed += same.rgb(i) != picture.rgb(i) || unlaid.rgb(i) != picture.rgb(i) ? 1 : 0;
    }
    assertThat(changed).isZero();
  }

  /** Where paper shows through, it still does. */
  @Test
  void whatIsSeeThroughStaysSo() throws Exception {
    Picture picture = drawn();
    byte[] coverage = new byte[picture.pixelCount()];
    for (int i = 0; i < coverage.length; i++) {
      coverage[i] = (byte) (i < picture.widthPixels() ? 0 : i % 7 == 0 ? 100 : 255);
    }
    Picture through = picture.withCoverage(coverage);
    Picture retoned = Retoned.of(read(through), List.of());
    assertThat(retoned.hasTransparency()).isTrue();
    int changed = 0;
    for (int i = 0; i < coverage.length; i++) {
      changed += retoned.coverage(i) == through.coverage(i) ? 0 : 1;
    }
    assertThat(changed).isZero();
  }
}
