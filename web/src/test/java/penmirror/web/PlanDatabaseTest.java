package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.PixelReading;
import penmirror.web.gather.Intake;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The sections of the plan over three works and a character whose pixels were read. */
class PlanDatabaseTest extends DatabaseTest {
  @Autowired MockMvc mvc;
  @Autowired Intake intake;
  @Autowired WorkStore works;
  @Autowired PixelReading pixelReading;

  private long study;
  private String base;

  @BeforeEach
  void hangThreeWorksAndACharacter() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "", "Used by kind leave");
    base = "/studies/" + study + "/plan";
    for (int i = 1; i <= 3; i++) {
      hang(Work.Role.SOURCE, "Work " + i, source(i));
    }
    hang(Work.Role.CHARACTER, "Bastian", redraw(1));
    awaitReadings();
  }

  private void hang(Work.Role role, String title, DrawnWork drawn) {
    long id = hang(study, role, drawn, title);
    pixelReading.want(works.require(study, id));
  }

  private String text(MockHttpServletRequestBuilder request) throws Exception {
    return mvc.perform(request)
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  private String colours() throws Exception {
    return text(get(base + "/colours"));
  }

  private ResultActions send(String to, String... parameters) throws Exception {
    MockHttpServletRequestBuilder request = post(base + "/colours" + to).with(csrf());
    for (int i = 0; i < parameters.length; i += 2) {
      request.param(parameters[i], parameters[i + 1]);
    }
    return mvc.perform(request);
  }

  @Test
  void theCharactersColoursComeBackInTheStyle() throws Exception {
    String page = colours();
    assertThat(page).contains("Bastian").contains(">Skin<").contains(">Hair<");
    assertThat(page).contains("3 works").contains("Multiply");
    // As .gpl every tone has a line of its own, as the format has it.
    List<String> lines = text(get(base + "/colours.gpl")).lines().toList();
    assertThat(lines.get(0)).isEqualTo("GIMP Palette");
    assertThat(lines).contains("Name: Bastian, after Odile Marrow", "# Used by kind leave");
    assertThat(lines)
        .filteredOn(line -> Character.isDigit(line.strip().charAt(0)))
        .hasSizeGreaterThan(6)
        .allMatch(
            line -> Pattern.matches("[ \\d]\\d?\\d [ \\d]{3} [ \\d]{3}\\t[A-Z][\\w ,-]+", line))
        .anyMatch(line -> line.endsWith("Skin, shadow"));
    // At a touch of opacity nothing reaches, and the least that does is told.
    send("", "keep", "100", "opacity", "5")
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("from ")));
    assertThat(colours()).contains("5%");
    // All the way to their nearest the light changes, and is kept over a reload.
    send("", "keep", "0", "opacity", "100").andExpect(status().isOk());
    String moved = colours();
    assertThat(hexes(moved)).isNotEqualTo(hexes(page));
    assertThat(hexes(colours())).isEqualTo(hexes(moved));
    send("", "keep", "9000", "opacity", "-3").andExpect(status().isOk());
    assertThat(hexes(colours())).isEqualTo(hexes(page));
  }

  private static List<String> hexes(String page) {
    return Pattern.compile("class=\"hexes\"><span>(\\w{6})")
        .matcher(page)
        .results()
        .map(found -> found.group(1))
        .toList();
  }

  @Test
  void aColourIsKeptTypedAndForgotten() throws Exception {
    send("/kept", "name", "Skin", "kept", "true").andExpect(redirectedUrl(base + "/colours"));
    assertThat(colours()).contains("kept as it is");
    send("/typed", "name", " Scarf ", "hex", "#5f7a6b").andExpect(redirectedUrl(base + "/colours"));
    assertThat(colours()).contains(">Scarf<").contains("5F7A6B");
    // The same name again is the same colour anew.
    send("/typed", "name", "Scarf", "hex", "102030").andExpect(status().is3xxRedirection());
    assertThat(colours()).contains("102030").doesNotContain("5F7A6B");
    send("/kept", "name", "Scarf", "kept", "true").andExpect(status().is3xxRedirection());
    send("/kept", "name", "Scarf", "kept", "false").andExpect(status().is3xxRedirection());
    assertThat(colours()).contains("102030");
    send("/forgotten", "name", "Scarf").andExpect(status().is3xxRedirection());
    send("/forgotten", "name", "Scarf").andExpect(status().is3xxRedirection());
    send("/kept", "name", "Skin", "kept", "false").andExpect(status().is3xxRedirection());
    assertThat(colours()).doesNotContain(">Scarf<").doesNotContain("kept as it is</small></th>");
  }

  @Test
  void whatIsNoColourIsRefusedInWords() throws Exception {
    send("/typed", "name", "Scarf", "hex", "teal")
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("six digits")));
    send("/typed", "name", "  ", "hex", "102030")
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("needs a name")));
    send("/typed", "name", "Skin", "hex", "102030")
        .andExpect(status().isBadRequest())
        .andExpect(content().string(containsString("found on your drawing")));
    assertThat(colours()).doesNotContain("102030");
  }

  @Test
  void theCharacterIsCarriedOverAndItsGhostIsAsLargeAsTheCanvas() throws Exception {
    String page = text(get(base + "/figure"));
    assertThat(page).contains("As it is").contains("As it will be").contains("heads");
    assertThat(page).contains("aria-pressed=\"true\"");
    byte[] before = ghost("?height=300");
    Picture seen = new PictureReader().open(before).picture();
    assertThat(seen.heightPixels()).isEqualTo(300);
    // As the character is, the ghost is the drawing itself; half way it is neither.
    mvc.perform(post(base + "/figure").param("keep", "100").with(csrf()))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Nothing moves.")));
    byte[] own = ghost("?height=300");
    assertThat(own).isNotEqualTo(before);
    mvc.perform(post(base + "/figure").param("keep", "900").with(csrf()));
    assertThat(ghost("?height=300")).isEqualTo(own);
    mvc.perform(post(base + "/figure").param("keep", "0").with(csrf()));
    assertThat(ghost("?height=300")).isEqualTo(before);
    // One move left out changes it, and is kept.
    String act =
        between(page, "name=\"act\" value=\"", "\"><input\n        type=\"hidden\" name=\"on\"");
    move(act, "false").andExpect(content().string(containsString("kept as you draw it")));
    assertThat(text(get(base + "/figure"))).contains("aria-pressed=\"false\"");
    assertThat(ghost("?height=300")).isNotEqualTo(before);
    move(act, "false").andExpect(status().isOk());
    move(act, "true").andExpect(status().isOk());
    assertThat(ghost("?height=300")).isEqualTo(before);
    move("no-such-act", "false").andExpect(status().isBadRequest());
    mvc.perform(post(base).param("width", "900").param("height", "1200").with(csrf()));
    Picture canvas = new PictureReader().open(ghost("")).picture();
    assertThat(canvas.widthPixels()).isEqualTo(900);
    assertThat(canvas.heightPixels()).isEqualTo(1200);
    assertThat(canvas.hasTransparency()).isTrue();
  }

  private ResultActions move(String act, String on) throws Exception {
    return mvc.perform(post(base + "/figure/moves").param("act", act).param("on", on).with(csrf()));
  }

  private byte[] ghost(String query) throws Exception {
    return mvc.perform(get(base + "/ghost.png" + query))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsByteArray();
  }

  @Test
  void everythingComesInOneZipThatOpensAgain() throws Exception {
    mvc.perform(post(base).param("width", "600").param("height", "800").with(csrf()));
    Map<String, byte[]> files = new HashMap<>();
    byte[] zip =
        mvc.perform(get(base + "/everything.zip"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        files.put(entry.getName(), in.readAllBytes());
      }
    }
    assertThat(files)
        .containsOnlyKeys(
            "guide.svg",
            "guide.png",
            "guide.ora",
            "guide.pdf",
            "ghost.png",
            "colours.gpl",
            "credit.txt");
    for (String picture : List.of("guide.png", "guide.ora", "ghost.png")) {
      Picture opened = new PictureReader().open(files.get(picture)).picture();
      assertThat(opened.widthPixels()).as(picture).isEqualTo(600);
      assertThat(opened.heightPixels()).as(picture).isEqualTo(800);
    }
    assertThat(new String(files.get("guide.svg"), StandardCharsets.UTF_8))
        .contains("width=\"600\" height=\"800\"");
    assertThat(new String(files.get("credit.txt"), StandardCharsets.UTF_8))
        .contains("Odile Marrow")
        .contains("Used by kind leave");
    try (ZipInputStream layers =
        new ZipInputStream(new ByteArrayInputStream(files.get("guide.ora")))) {
      String stack = "";
      for (ZipEntry entry = layers.getNextEntry(); entry != null; entry = layers.getNextEntry()) {
        if (entry.getName().equals("stack.xml")) {
          stack = new String(layers.readAllBytes(), StandardCharsets.UTF_8);
        }
      }
      assertThat(stack).contains("name=\"ghost\"").contains("name=\"features\"");
    }
    String list = text(get(base + "/checklist"));
    assertThat(list).contains("Eye line at ").contains("Outline ").contains("Skin");
  }

  /** Every colour once before any comes again, and which way each was off. */
  @Test
  void aColourIsMatchedByEye() throws Exception {
    String drill = "/studies/" + study + "/drill";
    Set<String> asked = new HashSet<>();
    for (int i = 0; i < 5; i++) {
      String page = text(get(drill));
      assertThat(page).contains((i + 1) + " of 12");
      asked.add(between(page, "name=\"asked\" value=\"", "\">\n    <label"));
      match("#CDBB98", "40", "20", "95").andExpect(redirectedUrl(drill + "?answered=1"));
    }
    assertThat(asked).hasSize(5);
    String answered = text(get(drill + "?answered=1"));
    assertThat(answered).contains("Too light").contains("Off by ").contains("Your last twelve");
    // What is typed beyond a picker's ends is held there.
    match("#FFFFFF", "9000", "-5", "1000").andExpect(status().is3xxRedirection());
    assertThat(text(get(drill + "?answered=1"))).contains("Nobody would see a difference.");
    match("paper", "1", "1", "1").andExpect(status().isBadRequest());
    match("#CDBB98", "red", "1", "1").andExpect(status().isBadRequest());
    long empty = studies.begin("Empty", "", "", "");
    mvc.perform(get("/studies/" + empty + "/drill"))
        .andExpect(content().string(containsString("No colours of works are known yet")));
  }

  private ResultActions match(String asked, String hue, String saturation, String brightness)
      throws Exception {
    return mvc.perform(
        post("/studies/" + study + "/drill")
            .param("asked", asked)
            .param("hue", hue)
            .param("saturation", saturation)
            .param("brightness", brightness)
            .with(csrf()));
  }

  /** Rules set by hand that contradict each other break nothing: what can be met is, and told. */
  @Test
  void rulesThatContradictEachOtherAreToldAndNothingBreaks() throws Exception {
    band("eye.line", "0.97", "0.99");
    band("mouth.line", "0.2", "0.22");
    band("nose.base", "0.4", "0.41");
    band("stature.heads", "1.2", "1.3");
    for (String section : List.of("", "/figure", "/brushes", "/colours", "/checklist")) {
      assertThat(text(get(base + section))).as(section).contains("</html>");
    }
    assertThat(new PictureReader().open(ghost("?height=200")).picture().heightPixels())
        .isEqualTo(200);
    assertThat(text(get("/studies/" + study + "/draw"))).contains("Eye line at ");
  }

  private void band(String measure, String low, String high) throws Exception {
    mvc.perform(
            post("/studies/" + study + "/rules/" + measure + "/band")
                .param("low", low)
                .param("high", high)
                .with(csrf()))
        .andExpect(status().is3xxRedirection());
  }

  @Test
  void withoutACharacterThePageSaysWhatToDo() throws Exception {
    long other = studies.begin("Empty", "", "", "");
    mvc.perform(get("/studies/" + other + "/plan/colours"))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Drop a drawing of your character")));
    mvc.perform(get("/studies/" + other + "/plan/colours.gpl")).andExpect(status().isOk());
    mvc.perform(get("/studies/" + other + "/plan/figure"))
        .andExpect(content().string(containsString("Drop a drawing of your character")));
    mvc.perform(get("/studies/" + other + "/plan/ghost.png")).andExpect(status().isBadRequest());
    intake.take(other, redraw(1).png(), Work.Role.CHARACTER, "Bastian", "", View.FRONT);
    mvc.perform(get("/studies/" + other + "/plan/figure"))
        .andExpect(content().string(containsString("not marked yet")));
  }

  @Test
  void brushesAreForTheCanvasAndThePaper() throws Exception {
    String page = text(get(base + "/brushes"));
    assertThat(page).contains("Outline").contains("mm printed").contains("2,400");
    String printed = between(page, "<small class=\"mut\">", " mm printed");
    mvc.perform(post(base + "/brushes").param("perInch", "150").with(csrf()))
        .andExpect(redirectedUrl(base + "/brushes"));
    String larger = between(text(get(base + "/brushes")), "<small class=\"mut\">", " mm printed");
    assertThat(Double.parseDouble(larger)).isCloseTo(2 * Double.parseDouble(printed), offset(0.02));
    for (String wrong : List.of("fine", "-4", "0", "99999999")) {
      mvc.perform(post(base + "/brushes").param("perInch", wrong).with(csrf()))
          .andExpect(status().isBadRequest())
          .andExpect(content().string(containsString("px per inch")));
    }
    // The guide on paper is as large as was set, unless another size is asked for.
    assertThat(text(get(base))).contains("value=\"150\"");
  }

  private static String between(String text, String from, String to) {
    int end = text.indexOf(to);
    return text.substring(text.lastIndexOf(from, end) + from.length(), end);
  }
}
