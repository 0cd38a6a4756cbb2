package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import penmirror.core.figure.Canon;
import penmirror.web.studies.Work;

/** Proportions judged by eye, over works marked by hand. */
class DrillDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;

  private long study;
  private String drill;
  private long work;

  @BeforeEach
  void hangTwoMarkedWorks() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    drill = "/studies/" + study + "/drill/proportion";
    work = hang("One", 1);
    hang("Two", 2);
  }

  private long hang(String title, int picture) {
    return hang(study, Work.Role.SOURCE, source(picture), title, Canon.realistic());
  }

  private String text(String address) throws Exception {
    return mvc.perform(get(address))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  private ResultActions guess(long of, String measure, String said) throws Exception {
    return mvc.perform(
        post(drill)
            .param("of", Long.toString(of))
            .param("measure", measure)
            .param("said", said)
            .with(csrf()));
  }

  /** Nothing of the reading is on the page before it is answered, and all of it after. */
  @Test
  void theReadingIsShownOnlyAfterTheGuess() throws Exception {
    String page = text(drill);
    assertThat(page).contains("1 of 12").doesNotContain("data-is");
    guess(work, "eye.line", "0.41").andExpect(redirectedUrl(drill + "?answered=1"));
    String answered = text(drill + "?answered=1");
    assertThat(answered)
        .contains("data-said=\"0.41\"", "data-is=\"0.5\"", "You said 0.41; it is 0.50.")
        .contains("Eyes", "too high");
    assertThat(text(drill)).contains("2 of 12").doesNotContain("data-is");
    guess(work, "eye.line", "0.5").andExpect(status().is3xxRedirection());
    assertThat(text(drill + "?answered=1")).contains("Right, as near as");
  }

  @Test
  void everyOneIsAskedBeforeAnyComesAgain() throws Exception {
    Set<String> asked = new HashSet<>();
    Pattern of =
        Pattern.compile("name=\"of\" value=\"(\\d+)\">.*?value=\"([\\w.]+)\"", Pattern.DOTALL);
    for (int i = 0; i < 14; i++) {
      Matcher found = of.matcher(text(drill));
      assertThat(found.find()).isTrue();
      asked.add(found.group(1) + " " + found.group(2));
      guess(Long.parseLong(found.group(1)), found.group(2), "0.5");
    }
    assertThat(asked).hasSize(14);
  }

  @Test
  void whatTheEyeTakesForTooHighAgainAndAgainIsTold() throws Exception {
    for (int i = 0; i < 3; i++) {
      guess(work, "eye.line", "0.3");
    }
    assertThat(text(drill)).contains("Again and again").contains("3 of 3");
  }

  @Test
  void whatCannotBeAskedIsRefused() throws Exception {
    guess(work, "eye.line", "9000").andExpect(status().is3xxRedirection());
    assertThat(text(drill + "?answered=1")).contains("You said 0.95");
    guess(work, "no.such", "0.5").andExpect(status().isBadRequest());
    guess(work + 1000, "eye.line", "0.5").andExpect(status().isBadRequest());
    guess(work, "eye.line", "half").andExpect(status().isBadRequest());
    long empty = studies.begin("Empty", "", "", "");
    assertThat(text("/studies/" + empty + "/drill/proportion")).contains("No work is marked yet");
  }
}
