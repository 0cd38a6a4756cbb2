package penmirror.web.studies;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import penmirror.web.sending.Sent;
import penmirror.web.sending.Submissions;

/** Begins studies. The library page that lists them is the Library's. */
@Controller
class StudiesController {
  private final Beginning beginning;
  private final Submissions submissions;

  StudiesController(Beginning beginning, Submissions submissions) {
    this.beginning = beginning;
    this.submissions = submissions;
  }

  /** What is asked when a study begins. */
  record NewStudy(
      @NotBlank @Size(max = 200) String illustrator,
      @Size(max = 200) String name,
      @Size(max = 2000) String reason,
      @Size(max = 500) String credit) {
    private static String orEmpty(String text) {
      return text == null ? "" : text.strip();
    }
  }

  @GetMapping("/studies/new")
  String form(Model model) {
    model.addAttribute("newStudy", new NewStudy("", "", "", ""));
    return "studies/new";
  }

  @PostMapping("/studies")
  String begin(@Valid @ModelAttribute("newStudy") NewStudy asked, BindingResult faults, Sent sent) {
    if (faults.hasErrors()) {
      return "studies/new";
    }
    String illustrator = asked.illustrator().strip();
    String name = NewStudy.orEmpty(asked.name());
    return submissions.once(
        sent,
        () ->
            "redirect:/studies/"
                + beginning.study(
                    name,
                    illustrator,
                    NewStudy.orEmpty(asked.reason()),
                    NewStudy.orEmpty(asked.credit()))
                + "/gather");
  }
}
