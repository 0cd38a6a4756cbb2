package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.microsoft.playwright.ElementHandle;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/**
 * Twelve pictures dropped, looked through and ruled by somebody who sees where each point belongs
 * and rests before every action. Of one hand at a time, as a study is; no demo study was looked
 * through before. It takes as long as a person does, so only where asked for: {@code
 * -Dlooking.pause=2} for seconds, {@code -Dlooking.hand=casimir}, {@code -Dlooking.cut=BUST}. Tells
 * the time, the actions and what they left; docs/figures.md has it.
 */
@EnabledIfSystemProperty(named = "looking.pause", matches = "[0-9.]+")
class TwelveByHandBrowserTest extends BrowserTest {
  private static final Duration PAUSE =
      Duration.ofMillis(
          (long) (1000 * Double.parseDouble(System.getProperty("looking.pause", "0"))));

  private static final int PICTURES = 12;
  private static final int MOST_ACTIONS = 300;

  /** A point that is asked about is brought to its place where it lies farther off, in heads. */
  private static final double NEAR = 0.01;

  /** One that is not asked about is dragged there where anybody would see it, in heads. */
  private static final double SEEN_OFF = 0.04;

  /** Pressed on a place of the picture, drawn to another and let go. */
  private static final String DRAG =
      """
      ([x, y, toX, toY]) => {
        const svg = document.getElementById('face');
        svg.setPointerCapture = () => {};
        const send = (type, at) => {
          const p = new DOMPoint(at[0], at[1]).matrixTransform(svg.getScreenCTM());
          svg.dispatchEvent(new PointerEvent(type,
            { bubbles: true, clientX: p.x, clientY: p.y, button: 0, pointerId: 1 }));
        };
        send('pointerdown', [x, y]);
        send('pointermove', [toX, toY]);
        send('pointerup', [toX, toY]);
      }""";

  @Autowired WorkStore works;
  @Autowired MarkingStore markings;

  private int actions;

  private static List<Commission> works(String hand) {
    return switch (hand) {
      case "casimir" -> DemoStudio.casimirThole().sources();
      case "ines" -> DemoStudio.inesVantour().sources();
      case "own" -> DemoStudio.ownHand();
      default -> DemoStudio.odileMarrow().sources();
    };
  }

  /** The hand's works, one after the other, each cut as asked; again in a mirror where too few. */
  private static List<DrawnWork> drawn(Cut cut) {
    List<Commission> all = works(System.getProperty("looking.hand", "odile"));
    return IntStream.range(0, PICTURES)
        .parallel()
        .mapToObj(
            i -> {
              Commission of = all.get(i % all.size());
              return DrawnWork.of(
                  new Commission(
                      "p" + (i + 1) + ".png",
                      "P " + (i + 1),
                      of.manner(),
                      of.subject(),
                      of.palette(),
                      of.pose(),
                      of.view(),
                      cut,
                      of.mood(),
                      i >= all.size() != of.mirrored(),
                      of.seed() + i,
                      of.slips()));
            })
        .toList();
  }

  @ParameterizedTest
  @EnumSource(names = {"BUST", "FULL"})
  void twelveAreLookedThroughAndRuled(Cut cut) {
    assumeTrue(cut.name().equals(System.getProperty("looking.cut", cut.name())));
    List<DrawnWork> drawn = drawn(cut);
    page.navigate(url("/"));
    page.waitForLoadState();
    long began = System.nanoTime();
    page.locator("#pictures")
        .setInputFiles(drawn.stream().map(BrowserTest::payload).toArray(FilePayload[]::new));
    page.waitForURL("**/gather");
    page.locator(".tile .glimpse").first().waitFor();
    page.waitForLoadState();
    rest();
    page.keyboard().press("l");
    page.waitForURL("**/through");
    Map<String, DrawnWork> byName =
        IntStream.range(0, drawn.size())
            .boxed()
            .collect(Collectors.toMap(i -> "p" + (i + 1), drawn::get));
    Locator none = page.locator("#none");
    List<Integer> each = new ArrayList<>();
    String before = "";
    int since = 0;
    while (none.isHidden() && actions < MOST_ACTIONS) {
      if (page.locator("#card").isHidden()) {
        page.waitForTimeout(100);
        continue;
      }
      String name = page.locator("#name").textContent().replaceFirst("^[0-9]+ ", "");
      if (!name.equals(before)) {
        if (!before.isEmpty()) {
          each.add(actions - since);
          since = actions;
        }
        before = name;
        dragWhatIsSeen(byName.get(name));
      }
      act(byName.get(name));
    }
    assertThat(none.isVisible()).as("all looked through after %d actions", actions).isTrue();
    each.add(actions - since);
    page.navigate(page.url().replace("/through", "/rules"));
    page.locator(".act").first().waitFor();
    double seconds = (System.nanoTime() - began) / 1e9;
    tell(cut, drawn, byName, each, seconds);
  }

  private void rest() {
    page.waitForTimeout(PAUSE.toMillis());
    actions++;
  }

  /** What somebody does who sees the card: mends the tag or the point, or goes on. */
  private void act(DrawnWork work) {
    rest();
    ElementHandle active = page.querySelector("#face .point.active");
    if (active == null) {
      page.keyboard().press("Enter");
    } else {
      point(active, work.truth());
    }
    page.waitForTimeout(120);
  }

  /** The side first, as its points are sought anew by it; then what lies off on the face. */
  private void dragWhatIsSeen(DrawnWork work) {
    turnTo("view", work.truth().view().word());
    Marks truth = work.truth();
    double head = truth.headFrame().orElseThrow().headPixels();
    for (ElementHandle mark : page.querySelectorAll("#face .point:not(.active):not(.doubt)")) {
      if (!mark.isVisible()) {
        continue;
      }
      Optional<Point> place = Landmark.ofKey(mark.getAttribute("data-key")).flatMap(truth::point);
      Point seen = placeOf(mark);
      if (place.isPresent() && place.get().distanceTo(seen) > SEEN_OFF * head) {
        rest();
        page.evaluate(DRAG, List.of(seen.x(), seen.y(), place.get().x(), place.get().y()));
      }
    }
  }

  private static Point placeOf(ElementHandle mark) {
    String[] at = mark.getAttribute("transform").replaceAll("[^0-9. -]", " ").trim().split(" +");
    return new Point(Double.parseDouble(at[0]), Double.parseDouble(at[1]));
  }

  /** Turns the tag until it says what the picture shows. */
  private void turnTo(String kind, String wanted) {
    Locator word = page.locator("[data-turn='" + kind + "'] em");
    for (int i = 0; i < 5 && !word.textContent().toLowerCase(Locale.ROOT).startsWith(wanted); i++) {
      String before = word.textContent();
      rest();
      // Its points are sought anew for the other side.
      page.waitForResponse(
          answer -> answer.url().contains("through.json"),
          () -> page.locator("[data-turn='" + kind + "']").click());
      PlaywrightAssertions.assertThat(word).not().hasText(before);
      page.waitForTimeout(120);
    }
  }

  private void point(ElementHandle active, Marks truth) {
    String key = active.getAttribute("data-key");
    Optional<Point> place = Landmark.ofKey(key).flatMap(truth::point);
    if (place.isEmpty()) {
      page.keyboard().press("n");
      return;
    }
    double head = truth.headFrame().orElseThrow().headPixels();
    Point seen = placeOf(active);
    if (place.get().distanceTo(seen) > NEAR * head) {
      nudge(place.get().x() - seen.x(), "ArrowRight", "ArrowLeft");
      nudge(place.get().y() - seen.y(), "ArrowDown", "ArrowUp");
      rest();
    }
    page.keyboard().press("Enter");
  }

  /** Held down, a key moves a point by ten pixels and then by one: one action of the hand. */
  private void nudge(double by, String forward, String back) {
    String key = by > 0 ? forward : back;
    long pixels = Math.round(Math.abs(by));
    for (long i = 0; i < pixels / 10; i++) {
      page.keyboard().press("Shift+" + key);
    }
    for (long i = 0; i < pixels % 10; i++) {
      page.keyboard().press(key);
    }
  }

  private void tell(
      Cut cut,
      List<DrawnWork> drawn,
      Map<String, DrawnWork> byName,
      List<Integer> each,
      double seconds) {
    Study study = studies.all().get(studies.all().size() - 1);
    List<Double> eyes = new ArrayList<>();
    List<Double> all = new ArrayList<>();
    for (Work work : works.inRole(study.id(), Work.Role.SOURCE)) {
      Marks truth = byName.get(work.title()).truth();
      Marks said = markings.newest(work.id(), work.view()).marks();
      double head = truth.headFrame().orElseThrow().headPixels();
      truth
          .landmarks()
          .forEach(
              (landmark, mark) -> {
                Optional<Point> there = said.confirmed().point(landmark);
                if (mark.state() == Mark.State.PLACED && there.isPresent()) {
                  double off = 100 * mark.point().orElseThrow().distanceTo(there.get()) / head;
                  all.add(off);
                  if (landmark.key().startsWith("eye_")) {
                    eyes.add(off);
                  }
                }
              });
    }
    Collections.sort(each);
    System.out.printf(
        "%s %s: %d pictures in %.0f s with %d actions, median %d a picture (%s); eyes %.1f %%, all"
            + " %.1f %% of a head off at the median%n",
        System.getProperty("looking.hand", "odile"),
        cut,
        drawn.size(),
        seconds,
        actions,
        each.get(each.size() / 2),
        each,
        median(eyes),
        median(all));
  }

  private static double median(List<Double> values) {
    Collections.sort(values);
    return values.get(values.size() / 2);
  }
}
