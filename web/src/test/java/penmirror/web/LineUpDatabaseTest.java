package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.studies.Work;

/** A redraw among two works on one ground line, shuffled, picked, and sent on. */
class LineUpDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;

  private long study;
  private long one;
  private long redraw;

  @BeforeEach
  void hangTwoWorksAndARedraw() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    one = hang(Work.Role.SOURCE, source(1), "Pell", source(1).truth());
    hang(Work.Role.SOURCE, source(2), "Tam", source(2).truth());
    redraw = hang(Work.Role.REDRAW, redraw(1), "Bastian", redraw(1).truth());
  }

  private long hang(Work.Role role, DrawnWork drawn, String title, Marks marks) {
    return hang(study, role, drawn, title, marks);
  }

  private String address(String what) {
    return "/studies/" + study + "/mirror/" + redraw + what;
  }

  private String page(String query) throws Exception {
    return mvc.perform(get(address("/line-up" + query)))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  private static List<String> order(String page) {
    return Pattern.compile("data-work=\"(\\d+)\"")
        .matcher(page)
        .results()
        .map((MatchResult found) -> found.group(1))
        .toList();
  }

  @Test
  void allStandThereByName() throws Exception {
    String page = page("");
    assertThat(order(page)).hasSize(3).contains(Long.toString(redraw));
    assertThat(page).contains("Pell", "Tam", "Bastian", "heads").doesNotContain("Which one");
    mvc.perform(get(address("/cut-out.png")))
        .andExpect(status().isOk())
        .andExpect(content().contentType("image/png"));
  }

  /** The order is the number's, the names are gone, and what is picked is kept. */
  @Test
  void shuffledTheyHaveNoNamesAndThePickIsKept() throws Exception {
    String page = page("?shuffled=5");
    assertThat(page).contains("Which one is not theirs?").doesNotContain("<title>Pell");
    assertThat(order(page)).isEqualTo(order(page("?shuffled=5")));
    assertThat(order(page)).containsExactlyInAnyOrderElementsOf(order(page("?shuffled=6")));

    pick(one);
    pick(redraw);
    String after = page("?picked=" + one);
    assertThat(after).contains("That one is theirs: Pell.", "Looked at 2 times", "found once");
    assertThat(page("?picked=" + redraw)).contains("that one is yours");
  }

  private void pick(long picked) throws Exception {
    mvc.perform(
            post(address("/line-up/pick"))
                .param("shuffled", "5")
                .param("picked", Long.toString(picked))
                .with(csrf()))
        .andExpect(redirectedUrl(address("/line-up?alike=head&picked=" + picked)));
  }

  @Test
  void whoDoesNotStandThereCannotBePicked() throws Exception {
    mvc.perform(post(address("/line-up/pick")).param("picked", "999999").with(csrf()))
        .andExpect(status().is4xxClientError());
    mvc.perform(get(address("/line-up?alike=nonsense"))).andExpect(status().is4xxClientError());
  }

  /** A redraw without points: the works stand alone, and the page says what is missing. */
  @Test
  void aRedrawWithoutPointsIsNotAmongThem() throws Exception {
    long bare = hang(Work.Role.REDRAW, redraw(2), "Bare", Marks.none(View.FRONT));
    String page =
        mvc.perform(get("/studies/" + study + "/mirror/" + bare + "/line-up"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(order(page)).hasSize(2).doesNotContain(Long.toString(bare));
  }

  @Test
  void itIsSentOnAsSvgAndAsPicture() throws Exception {
    mvc.perform(get(address("/line-up.svg?alike=height")))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Odile Marrow")))
        .andExpect(content().string(not(containsString("http:/" + "/127"))));
    byte[] png =
        mvc.perform(get(address("/line-up.png")))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
    assertThat(image.getWidth()).isGreaterThan(image.getHeight());
  }
}
