package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.studies.Work;

/** A redraw set into the picture of a work: where it stands is kept, and it is sent on so. */
class CompanionDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;

  private long study;
  private long scene;
  private long redraw;
  private DrawnWork host;

  @BeforeEach
  void hangAWorkAndARedraw() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    host = source(1);
    scene = hang(study, Work.Role.SOURCE, host, "Pell", host.truth());
    redraw = hang(study, Work.Role.REDRAW, redraw(1), "Bastian", redraw(1).truth());
  }

  private String address(String what) {
    return "/studies/" + study + "/mirror/" + redraw + what;
  }

  private String page(String query) throws Exception {
    return mvc.perform(get(address("/companion" + query)))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  private static double number(String page, String what) {
    Matcher found = Pattern.compile(what + "=\"([-0-9.E]+)\"").matcher(page);
    assertThat(found.find()).as(what).isTrue();
    return Double.parseDouble(found.group(1));
  }

  private MockHttpServletRequestBuilder stand(double x, double ground, double scale) {
    return post(address("/companion/stand"))
        .param("scene", Long.toString(scene))
        .param("with", "0")
        .param("figure", Long.toString(redraw))
        .param("x", Double.toString(x))
        .param("ground", Double.toString(ground))
        .param("scale", Double.toString(scale))
        .param("mirrored", "true")
        .with(csrf());
  }

  @Test
  void itBeginsOnTheirGroundAndStaysWhereItWasPut() throws Exception {
    Marks theirs = host.truth();
    String page = page("");
    assertThat(page).contains("Its head is as high as theirs.", "It stands on their ground.");
    assertThat(number(page, "data-ground"))
        .isCloseTo(theirs.require(Landmark.SOLE).y(), within(0.5));

    String told =
        mvc.perform(stand(300, 900, 0.4).header("HX-Request", "true"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(told).startsWith("<ul").contains("its head is smaller").doesNotContain("<html");
    String moved = page("");
    assertThat(number(moved, "data-x")).isEqualTo(300);
    assertThat(number(moved, "data-scale")).isEqualTo(0.4);
    assertThat(moved).contains("matrix(-1 0 0 1 600.0 0)");

    mvc.perform(
            post(address("/companion/anew"))
                .param("scene", Long.toString(scene))
                .param("with", "0")
                .param("figure", Long.toString(redraw))
                .with(csrf()))
        .andExpect(redirectedUrl(address("/companion?scene=" + scene + "&with=0")));
    assertThat(page("")).contains("Its head is as high as theirs.");
  }

  @Test
  void aSecondFigureStandsThereAndIsRemembered() throws Exception {
    long second = hang(study, Work.Role.REDRAW, redraw(2), "Attempt 2", redraw(2).truth());
    assertThat(page("")).doesNotContain("data-figure=\"" + second + "\"");
    assertThat(page("?scene=" + scene + "&with=" + second))
        .contains("data-figure=\"" + second + "\"");
    mvc.perform(stand(200, 900, 0.5).param("behind", "true").header("HX-Request", "true"))
        .andExpect(status().isOk());
    mvc.perform(
            post(address("/companion/stand"))
                .param("scene", Long.toString(scene))
                .param("with", Long.toString(second))
                .param("figure", Long.toString(second))
                .param("x", "700")
                .param("ground", "900")
                .param("scale", "0.5")
                .with(csrf()))
        .andExpect(redirectedUrl(address("/companion?scene=" + scene + "&with=" + second)));
    assertThat(page("")).contains("data-figure=\"" + second + "\"");
    assertThat(page("?with=0")).doesNotContain("data-figure=\"" + second + "\"");
  }

  /** What is sent on shows the figure where the page has it, and says whom to credit. */
  @Test
  void theSceneIsSentOnAsItStands() throws Exception {
    String page = page("");
    double x = number(page, "data-x");
    double scale = number(page, "data-scale");
    double half = scale * number(page, "data-width") / 2;
    mvc.perform(stand(-1e5, 900, 1e-9).header("HX-Request", "true")).andExpect(status().isOk());
    BufferedImage without = ImageIO.read(new ByteArrayInputStream(png()));
    mvc.perform(stand(x, number(page, "data-ground"), scale).header("HX-Request", "true"))
        .andExpect(status().isOk());
    BufferedImage there = ImageIO.read(new ByteArrayInputStream(png()));
    assertThat(there.getWidth()).isEqualTo(without.getWidth());
    int inside = 0;
    int outside = 0;
    for (int row = 0; row < there.getHeight(); row += 3) {
      for (int column = there.getWidth() / 8; column < there.getWidth(); column += 3) {
        if (there.getRGB(column, row) != without.getRGB(column, row)) {
          inside += Math.abs(column - x) <= half + 1 ? 1 : 0;
          outside += Math.abs(column - x) <= half + 1 ? 0 : 1;
        }
      }
    }
    assertThat(inside).isGreaterThan(2000);
    assertThat(outside).isZero();
    String svg =
        mvc.perform(get(address("/companion.svg")))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(svg).contains("Odile Marrow").contains("<image");
  }

  private byte[] png() throws Exception {
    return mvc.perform(get(address("/companion.png")))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsByteArray();
  }

  @Test
  void whatCannotStandIsSaid() throws Exception {
    mvc.perform(stand(Double.NaN, 1, 1)).andExpect(status().isBadRequest());
    mvc.perform(stand(1, 1, -3)).andExpect(status().isBadRequest());
    mvc.perform(
            post(address("/companion/stand"))
                .param("scene", "999999")
                .param("with", "0")
                .param("figure", Long.toString(redraw))
                .param("x", "1")
                .param("ground", "1")
                .param("scale", "1")
                .with(csrf()))
        .andExpect(status().isBadRequest());
    long alone = studies.begin("Nobody", "Nobody", "", "");
    long unmarked = hang(alone, Work.Role.REDRAW, redraw(1), "Bastian", redraw(1).truth());
    String nobody =
        mvc.perform(get("/studies/" + alone + "/mirror/" + unmarked + "/companion"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(nobody).contains("Nobody can stand in a picture yet");
  }
}
