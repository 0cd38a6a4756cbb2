package penmirror.web.plan;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.planning.GuidePlan.Line;
import penmirror.core.words.Wording;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.scope.Process;
import penmirror.web.studies.Study;

/** The rules set out on a canvas of the user's own size. */
@Controller
class PlanController {
  private final Planning planning;
  private final Figuring figuring;
  private final Posing posing;
  private final FigureWords figureWords;
  private final Rail rail;

  PlanController(
      Planning planning, Figuring figuring, Posing posing, FigureWords figureWords, Rail rail) {
    this.figureWords = figureWords;
    this.posing = posing;
    this.figuring = figuring;
    this.planning = planning;
    this.rail = rail;
  }

  /** A line of the guide in the table beside it. */
  record LineRow(String name, String pixels, String give, String heads) {
    static LineRow of(Line line) {
      double give = (line.abovePixels() + line.belowPixels()) / 2;
      return new LineRow(
          Wording.text("guide." + line.kind().word()),
          String.format(Locale.ROOT, "%,.0f", line.yPixels()),
          give > 0 ? "± " + Wording.number(give, 0) : "\u00b7",
          Wording.number(line.heads(), 2));
    }
  }

  /**
   * @param near head for a closer look at it
   * @param ghost whether the character's drawing lies under the guide
   */
  @GetMapping("/studies/{studyId}/plan")
  String page(
      Study study,
      @RequestParam(defaultValue = "") String near,
      @RequestParam Optional<String> ghost,
      @RequestParam(defaultValue = "") String view,
      @RequestParam(defaultValue = "") String facing,
      @RequestParam Optional<Long> pose,
      Model model) {
    GuideAsked asked = GuideAsked.of(view, facing, pose.filter(id -> posing.lends(study, id)));
    GuidePlan plan = fill(model, study, asked, Optional.empty());
    boolean isFront = asked.equals(GuideAsked.FRONT);
    model.addAttribute("ghost", isFront && ghost.isPresent() && figuring.hasGhost(study));
    if (near.equals("head") && asked.pose().isEmpty()) {
      model.addAttribute("nearer", nearer(plan));
    }
    return "plan/page";
  }

  @PostMapping("/studies/{studyId}/plan")
  String setCanvas(
      Study study,
      @RequestParam String width,
      @RequestParam String height,
      Model model,
      HttpServletResponse response) {
    try {
      planning.setCanvas(study, new Canvas(pixels(width), pixels(height)));
      return "redirect:/studies/" + study.id() + "/plan";
    } catch (IllegalArgumentException e) {
      response.setStatus(HttpStatus.BAD_REQUEST.value());
      fill(model, study, GuideAsked.FRONT, Optional.of(String.valueOf(e.getMessage())));
      return "plan/page";
    }
  }

  /** A photo or a drawing of which the guide shall take the pose. */
  @PostMapping("/studies/{studyId}/plan/pose")
  String takePose(Study study, @RequestParam("file") MultipartFile file) throws IOException {
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    long work = posing.take(study, file.getBytes(), name);
    return "redirect:/studies/" + study.id() + "/plan?pose=" + work;
  }

  /** What the user's figure is like, of the words by which the works differ. */
  @PostMapping("/studies/{studyId}/plan/figure-is")
  String sayWhatItIs(
      Study study, @RequestParam String word, @RequestParam FigureWords.Answer answer) {
    figureWords.say(study, word, answer);
    return "redirect:/studies/" + study.id() + "/plan#figure-is";
  }

  private GuidePlan fill(Model model, Study study, GuideAsked asked, Optional<String> fault) {
    GuidePlan plan = planning.plan(study);
    List<Posing.Pose> poses = posing.poses(study);
    model.addAttribute("asked", asked);
    model.addAttribute("other", posing.otherWay(study, asked));
    model.addAttribute("sides", posing.sides(study));
    model.addAttribute("poses", poses);
    model.addAttribute("figureIs", figureWords.of(study));
    model.addAttribute(
        "posed", poses.stream().filter(p -> asked.pose().equals(Optional.of(p.id()))).findFirst());
    rail.addTo(model, study, Stage.PLAN);
    model.addAttribute("plan", plan);
    model.addAttribute("nearer", "");
    model.addAttribute("ghost", false);
    model.addAttribute("hasGhost", figuring.hasGhost(study));
    Planning.Beside beside = planning.beside(study);
    model.addAttribute("improvised", beside.improvised());
    model.addAttribute("waysOut", beside.waysOut());
    model.addAttribute("helpers", beside.helpers());
    model.addAttribute("process", beside.process());
    model.addAttribute("seenProcess", Process.of(beside.process()));
    model.addAttribute("lines", plan.lines().stream().map(LineRow::of).toList());
    model.addAttribute("fault", fault.orElse(null));
    model.addAttribute("empty", plan.lines().size() <= 2);
    model.addAttribute("headPixels", Wording.number(plan.headPixels(), 0));
    plan.brush()
        .ifPresent(
            brush -> {
              model.addAttribute("brush", Wording.number(brush.pixels(), 1));
              model.addAttribute("brushThin", Wording.number(brush.thinnestPixels(), 1));
              model.addAttribute("brushThick", Wording.number(brush.thickestPixels(), 1));
            });
    model.addAttribute("sizes", Sizes.of(plan));
    model.addAttribute("perInch", Wording.number(planning.pixelsPerInch(study), 0));
    return plan;
  }

  /** The part of the guide round the head, as a picture's address says it. */
  private static String nearer(GuidePlan plan) {
    double head = plan.headPixels();
    return String.format(
        Locale.ROOT,
        "#svgView(viewBox(%.0f,%.0f,%.0f,%.0f))",
        plan.canvas().widthPixels() / 2.0 - 0.8 * head,
        plan.crownPixels() - 0.35 * head,
        1.6 * head,
        1.75 * head);
  }

  private static int pixels(String text) {
    try {
      return Integer.parseInt(text.strip().replace(",", ""));
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(
          "The canvas is given in whole pixels, such as 2400; got \"" + text + "\".");
    }
  }
}
