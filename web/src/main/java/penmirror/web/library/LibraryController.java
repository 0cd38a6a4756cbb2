package penmirror.web.library;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import penmirror.web.demo.Demo;

/** The first page: all studies in one line. */
@Controller
class LibraryController {
  private final LineUp lineUp;
  private final Demo demo;

  LibraryController(LineUp lineUp, Demo demo) {
    this.demo = demo;
    this.lineUp = lineUp;
  }

  @GetMapping("/")
  String library(Model model) {
    LineUp.Page page = lineUp.page();
    model.addAttribute("columns", page.columns());
    model.addAttribute("inkAt", page.inkAt());
    model.addAttribute("standWidth", page.standWidth());
    model.addAttribute("many", page.many());
    model.addAttribute("drawing", demo.progress().orElse(null));
    return "library/page";
  }

  /** Has the demo drawn in the background; its studies stand on the page at once. */
  @PostMapping("/demo")
  String openDemo() {
    demo.open();
    return "redirect:/";
  }
}
