package penmirror.web.library;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The first page: all studies in one line. */
@Controller
class LibraryController {
  private final LineUp lineUp;

  LibraryController(LineUp lineUp) {
    this.lineUp = lineUp;
  }

  @GetMapping("/")
  String library(Model model) {
    LineUp.Page page = lineUp.page();
    model.addAttribute("columns", page.columns());
    model.addAttribute("inkAt", page.inkAt());
    model.addAttribute("standWidth", page.standWidth());
    model.addAttribute("many", page.many());
    return "library/page";
  }
}
