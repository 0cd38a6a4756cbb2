package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import penmirror.core.figure.Facing;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.studies.Work;

/** A redraw held against one work: how alike, and told where it is that work. */
class CopyDatabaseTest extends DatabaseTest {
  private static final Pattern POINTS = Pattern.compile("id=\"likeness\">(\\d+)<");

  @Autowired MockMvc mvc;

  private long study;
  private long work;

  @BeforeEach
  void hangAWork() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    work = hang(study, Work.Role.SOURCE, source(1), "Pell", source(1).truth());
  }

  private long redraw(DrawnWork drawn, Marks marks) {
    return hang(study, Work.Role.REDRAW, drawn, "Bastian", marks);
  }

  private String page(long redraw, String query) throws Exception {
    return mvc.perform(get("/studies/" + study + "/mirror/" + redraw + "/copy" + query))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  private static int points(String page) {
    Matcher found = POINTS.matcher(page);
    assertThat(found.find()).isTrue();
    return Integer.parseInt(found.group(1));
  }

  private interface Painter {
    void paint(Graphics2D graphics, BufferedImage of);
  }

  private static DrawnWork painted(DrawnWork of, String name, Painter painter) throws IOException {
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(of.png()));
    BufferedImage out =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = out.createGraphics();
    painter.paint(graphics, image);
    graphics.dispose();
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(out, "png", png);
    return new DrawnWork(name, name, png.toByteArray(), of.truth(), of.lightDegrees());
  }

  @Test
  void likenessIsToldWithItsParts() throws Exception {
    long redraw = redraw(redraw(1), redraw(1).truth());
    String page = page(redraw, "");
    assertThat(points(page)).isBetween(20, 90);
    assertThat(page)
        .contains("held against “Pell” alone", "data-part=\"place\"", "data-part=\"outline\"")
        .contains("data-part=\"values\"", "Farthest off, on your canvas")
        .doesNotContain("line for line");
    byte[] png =
        mvc.perform(get("/studies/" + study + "/mirror/" + redraw + "/copy.png?of=" + work))
            .andExpect(status().isOk())
            .andExpect(content().contentType("image/png"))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertThat(ImageIO.read(new ByteArrayInputStream(png)).getWidth()).isGreaterThan(200);
  }

  /** In other colours no fingerprint knows it; line for line it is that work all the same. */
  @Test
  void workInOtherColoursIsToldOnTheMirrorToo() throws Exception {
    DrawnWork other =
        painted(
            source(1),
            "recoloured.png",
            (graphics, image) -> {
              graphics.drawImage(image, 0, 0, null);
              graphics.setXORMode(Color.BLACK);
              graphics.setColor(new Color(0x40, 0, 0x30));
              graphics.fillRect(0, 0, image.getWidth(), image.getHeight());
            });
    long redraw = redraw(other, source(1).truth());
    assertThat(page(redraw, "")).contains("It lies on “Pell” line for line");
    mvc.perform(get("/studies/" + study + "/mirror/" + redraw))
        .andExpect(content().string(containsString("It lies on “Pell” line")));
  }

  @Test
  void turnedRedrawIsOfferedToBeHeldTheOtherWay() throws Exception {
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(source(1).png()));
    DrawnWork mirrored =
        painted(
            source(1),
            "mirrored.png",
            (graphics, of) ->
                graphics.drawImage(of, of.getWidth(), 0, -of.getWidth(), of.getHeight(), null));
    Marks marks = Facing.mirrored(source(1).truth(), image.getWidth() / 2.0);
    long redraw = redraw(mirrored, marks);
    String plain = page(redraw, "?of=" + work);
    assertThat(plain).contains("id=\"other-way\"", "turned=true");
    String turned = page(redraw, "?of=" + work + "&turned=true");
    assertThat(turned).doesNotContain("id=\"other-way\"");
    assertThat(points(turned)).isGreaterThan(points(plain) + 5).isGreaterThanOrEqualTo(98);
  }

  @Test
  void withoutPointsItSaysWhatToMark() throws Exception {
    long redraw = redraw(redraw(1), Marks.none(View.FRONT));
    assertThat(page(redraw, "")).contains("mark at least crown, chin and two more points on both");
    mvc.perform(get("/studies/" + study + "/mirror/" + redraw + "/copy.png"))
        .andExpect(status().isNotFound());
  }

  @Test
  void studyWithoutWorksHasNothingToHoldItAgainst() throws Exception {
    long empty = studies.begin("Nothing yet", "Odile Marrow", "", "");
    long redraw = hang(empty, Work.Role.REDRAW, redraw(1), "Bastian", redraw(1).truth());
    mvc.perform(get("/studies/" + empty + "/mirror/" + redraw + "/copy"))
        .andExpect(status().isNotFound());
  }
}
