package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import penmirror.web.studies.Work;

/** Ticks and notes of a drawing, in whatever order and however often they come in. */
class DrawDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;

  private String base;

  @BeforeEach
  void hangTwoWorks() {
    long study = studies.begin("The Lantern Barge", "Odile Marrow", "", "");
    base = "/studies/" + study + "/draw";
    for (int i = 1; i <= 2; i++) {
      hang(study, Work.Role.SOURCE, source(i), "Work " + i);
    }
  }

  private ResultActions send(String json) throws Exception {
    return mvc.perform(
        post(base + "/done").with(csrf()).contentType(MediaType.APPLICATION_JSON).content(json));
  }

  private static String tick(String key, boolean ticked, long at) {
    return String.format(Locale.ROOT, "{\"key\":\"%s\",\"ticked\":%s,\"at\":%d}", key, ticked, at);
  }

  private String page(String query) throws Exception {
    return mvc.perform(get(base + query))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  @Test
  void theGuidesPixelsStandOnTheListAndBesideThePart() throws Exception {
    String page = page("");
    assertThat(page).contains("Eye line at ").contains("on the guide").contains("While you sketch");
    assertThat(page).contains("Eye line, from the top").contains("1 Work 1");
    assertThat(page("?part=mouth")).contains("from mouth to chin");
    // Where one was is where one comes back to.
    page("?stage=line");
    assertThat(page("")).contains("While you line").contains("from mouth to chin");
    assertThat(page("?stage=nonsense&part=nonsense")).contains("While you line");
  }

  @Test
  void whatAHandDidLaterStandsInWhateverOrderItComes() throws Exception {
    send("[" + tick("guide:eyes", true, 1000) + "]")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.ticked[0]").value("guide:eyes"));
    // Another window took it back later; what waited for the network comes in after that.
    send("[" + tick("guide:eyes", false, 3000) + "]").andExpect(status().isOk());
    send("[" + tick("guide:eyes", true, 2000) + "," + tick("guide:head", true, 2000) + "]")
        .andExpect(jsonPath("$.ticked.length()").value(1));
    mvc.perform(get(base + "/done")).andExpect(jsonPath("$.ticked[0]").value("guide:head"));
    assertThat(page("")).contains("data-tick=\"guide:head\" aria-pressed=\"true\"");
    // A clock that is years fast is no later than now: the next hand still wins.
    send("[" + tick("guide:eyes", true, Long.MAX_VALUE) + "]").andExpect(status().isOk());
    send("[" + tick("guide:eyes", false, System.currentTimeMillis() + 9) + "]")
        .andExpect(jsonPath("$.ticked.length()").value(1));
    // A new drawing begins with nothing ticked.
    mvc.perform(post(base + "/anew").with(csrf())).andExpect(redirectedUrl(base));
    mvc.perform(get(base + "/done")).andExpect(jsonPath("$.ticked.length()").value(0));
  }

  @Test
  void aThingForLaterComesBackInItsStage() throws Exception {
    String note =
        "{\"key\":\"a-1\",\"text\":\"Apron knot lower.\",\"stage\":\"line\",\"ticked\":false,\"at\":1}";
    send("[" + note + "," + note + "]").andExpect(jsonPath("$.notes.length()").value(1));
    send("[" + note + "]").andExpect(jsonPath("$.notes.length()").value(1));
    assertThat(page("?stage=sketch")).doesNotContain("<b>Apron knot lower.</b>");
    assertThat(page("?stage=line"))
        .contains("<b>Apron knot lower.</b>")
        .contains("put off to here");
    // A new drawing does not forget it; once done it is gone.
    mvc.perform(post(base + "/anew").with(csrf()));
    send("[" + tick("later:a-1", true, 5) + "]")
        .andExpect(jsonPath("$.notes.length()").value(0))
        .andExpect(jsonPath("$.ticked[0]").value("later:a-1"));
    // It stays in sight, ticked, for as long as the drawing goes on.
    assertThat(page("?stage=line")).contains("data-tick=\"later:a-1\" aria-pressed=\"true\"");
    mvc.perform(post(base + "/anew").with(csrf()));
    assertThat(page("?stage=line")).doesNotContain("Apron knot");
    send("[{\"key\":\"b\",\"text\":\"Left hand came easier.\",\"ticked\":false,\"at\":1}]");
    assertThat(page("")).contains("Left hand came easier.").contains("data-forget=\"b\"");
  }

  @Test
  void aFixIsPutOffFromItsVerdict() throws Exception {
    mvc.perform(
            post(base + "/later")
                .param("stage", "shade")
                .param("text", "Shadow edge harder.")
                .with(csrf()))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Shadow")));
    assertThat(page("?stage=shade")).contains("Shadow edge harder.");
    mvc.perform(post(base + "/later").param("stage", "someday").param("text", "x").with(csrf()))
        .andExpect(status().isBadRequest());
    mvc.perform(post(base + "/later").param("stage", "shade").param("text", " ").with(csrf()))
        .andExpect(status().isBadRequest());
  }

  @Test
  void whatCannotBeATickIsRefusedAndNothingElseIsTaken() throws Exception {
    send("[" + tick("guide:eyes", true, 1) + "," + tick("", true, 1) + "]")
        .andExpect(status().isBadRequest());
    mvc.perform(get(base + "/done")).andExpect(jsonPath("$.ticked.length()").value(0));
    send("[" + tick("k".repeat(200), true, 1) + "]").andExpect(status().isBadRequest());
    send("no list").andExpect(status().isBadRequest());
    send("[" + (tick("a", true, 1) + ",").repeat(500) + tick("a", true, 1) + "]")
        .andExpect(status().isBadRequest());
    assertThat(page("")).contains("Eye line at ");
  }

  private ResultActions form(String to, String... parameters) throws Exception {
    var request = post(base + to).with(csrf());
    for (int i = 0; i < parameters.length; i += 2) {
      request.param(parameters[i], parameters[i + 1]);
    }
    return mvc.perform(request);
  }

  /** In the order of the list on the page. */
  private List<String> stages() throws Exception {
    return Pattern.compile("href=\"[^\"]*draw\\?stage=(\\w+)\"")
        .matcher(page(""))
        .results()
        .map(found -> found.group(1))
        .distinct()
        .toList();
  }

  @Test
  void theOrderIsTheUsersAndWhatIsLeftOutIsGone() throws Exception {
    assertThat(stages()).containsExactly("sketch", "line", "flats", "shade", "effects");
    form("/order", "stage", "line", "how", "later").andExpect(redirectedUrl(base));
    form("/order", "stage", "effects", "how", "out").andExpect(redirectedUrl(base));
    assertThat(stages()).containsExactly("sketch", "flats", "line", "shade");
    // What is left out cannot be gone to; it is taken up where it was.
    assertThat(page("?stage=effects")).contains("While you sketch");
    form("/order", "stage", "effects", "how", "in");
    assertThat(stages()).containsExactly("sketch", "flats", "line", "shade", "effects");
    form("/order", "stage", "line", "how", "sideways").andExpect(status().isBadRequest());
    form("/order", "stage", "tea", "how", "out").andExpect(status().isBadRequest());
  }

  @Test
  void minutesAreTypedAndAddUpOverDrawings() throws Exception {
    form("/time", "stage", "line", "minutes", "95").andExpect(redirectedUrl(base));
    assertThat(page("?stage=line")).contains("1 h 35").contains("value=\"95\"");
    // Typed anew it is what was typed last.
    form("/time", "stage", "line", "minutes", "70");
    mvc.perform(post(base + "/anew").with(csrf()));
    form("/time", "stage", "line", "minutes", " 50 ");
    assertThat(page("")).contains("Over all drawings:").contains("Line 2 h 00");
    for (String wrong : List.of("an hour", "-1", "1e9", "")) {
      form("/time", "stage", "line", "minutes", wrong).andExpect(status().isBadRequest());
    }
    assertThat(page("")).contains("Line 2 h 00");
  }

  @Test
  void anEmptyStudyHasAPageThatSaysSo() throws Exception {
    long empty = studies.begin("Empty", "", "", "");
    mvc.perform(get("/studies/" + empty + "/draw"))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("No work shows this part yet")))
        .andExpect(content().string(not(containsString("Eye line at"))));
  }
}
