package penmirror.web.layout;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import penmirror.core.format.FormatException;

/** A line that tells what could not be done, in place of the part of a page that was asked for. */
public final class Fault {
  private Fault() {}

  /** The template to answer with. */
  public static String on(
      Model model, HttpServletResponse response, HttpStatus status, String text) {
    response.setStatus(status.value());
    model.addAttribute("fault", text);
    return "layout/fault :: fault";
  }

  /** Of what was sent and could not be read. */
  public static String on(Model model, HttpServletResponse response, FormatException e) {
    return on(model, response, HttpStatus.BAD_REQUEST, String.valueOf(e.getMessage()));
  }
}
