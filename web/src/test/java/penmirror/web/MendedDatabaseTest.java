package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;

/** A redraw with its fixes carried out, over works marked by hand. */
class MendedDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired Intake intake;
  @Autowired MarkingStore markings;

  private long study;

  @BeforeEach
  void hangThreeMarkedWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    for (int i = 1; i <= 3; i++) {
      hang(Work.Role.SOURCE, source(i), source(1).truth());
    }
  }

  private long hang(Work.Role role, DrawnWork drawn, Marks marks) {
    Intake.Taken taken =
        (Intake.Taken) intake.take(study, drawn.png(), role, "A work", "", View.FRONT);
    markings.save(taken.workId(), 0, marks);
    return taken.workId();
  }

  private String address(long redraw, String what) {
    return "/studies/" + study + "/mirror/" + redraw + what;
  }

  private byte[] bytes(String address) throws Exception {
    return mvc.perform(get(address))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsByteArray();
  }

  private String text(String address) throws Exception {
    return new String(bytes(address), StandardCharsets.UTF_8);
  }

  /** Eyes a tenth of a head too high: mended they sit right, and the score says so. */
  @Test
  void theFixesAreCarriedOutAndScored() throws Exception {
    Marks right = source(1).truth();
    double head = right.headFrame().orElseThrow().headPixels();
    Marks high = right.moved(Feature.EYES.landmarks(), p -> p.minus(new Point(0, 0.1 * head)));
    long redraw = hang(Work.Role.REDRAW, redraw(1), high);
    assertThat(text(address(redraw, ""))).contains("data-mends=\"first\"", "mended-told");
    Matcher told =
        Pattern.compile("By the rules (\\d+), mended (\\d+)")
            .matcher(text(address(redraw, "/mended.json?reach=all")));
    assertThat(told.find()).isTrue();
    assertThat(Integer.parseInt(told.group(2))).isGreaterThan(Integer.parseInt(told.group(1)) + 3);
    Picture own = new PictureReader().open(redraw(1).png()).picture();
    Picture mended =
        new PictureReader().open(bytes(address(redraw, "/mended.png?reach=all"))).picture();
    assertThat(mended.widthPixels()).isEqualTo(own.widthPixels());
    assertThat(mended.heightPixels()).isEqualTo(own.heightPixels());
    assertThat(differing(own, mended)).isGreaterThan(500);
    Picture small =
        new PictureReader().open(bytes(address(redraw, "/mended.png?height=200"))).picture();
    assertThat(small.heightPixels()).isEqualTo(200);
    try (ZipInputStream layers =
        new ZipInputStream(new ByteArrayInputStream(bytes(address(redraw, "/mended.ora"))))) {
      StringBuilder names = new StringBuilder();
      for (ZipEntry e = layers.getNextEntry(); e != null; e = layers.getNextEntry()) {
        names.append(e.getName()).append(' ');
      }
      assertThat(names).contains("data/yours.png", "data/mended.png");
    }
    mvc.perform(get(address(redraw, "/mended.png?reach=some"))).andExpect(status().isBadRequest());
  }

  private static int differing(Picture one, Picture other) {
    int differing = 0;
    for (int i = 0; i < one.widthPixels() * one.heightPixels(); i++) {
      differing += one.rgb(i) != other.rgb(i) ? 1 : 0;
    }
    return differing;
  }

  /** What nobody has marked cannot be moved: the page offers nothing, the address says why. */
  @Test
  void withoutMarksNothingIsMended() throws Exception {
    long redraw = hang(Work.Role.REDRAW, redraw(1), Marks.none(View.FRONT));
    assertThat(text(address(redraw, ""))).doesNotContain("data-mends=");
    mvc.perform(get(address(redraw, "/mended.png"))).andExpect(status().isBadRequest());
  }
}
