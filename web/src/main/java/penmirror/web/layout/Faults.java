package penmirror.web.layout;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.sql.SQLTransientConnectionException;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.MessageSource;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Tells what went wrong in plain words: what happened, what to do, what was kept. */
@ControllerAdvice
class Faults {
  private static final Logger LOG = LoggerFactory.getLogger(Faults.class);

  private final MessageSource messages;

  Faults(MessageSource messages) {
    this.messages = messages;
  }

  @ExceptionHandler(NotFoundException.class)
  ModelAndView notFound(
      NotFoundException fault, HttpServletRequest request, HttpServletResponse response) {
    String asked = String.valueOf(fault.asked());
    return page(
        request,
        response,
        HttpStatus.NOT_FOUND,
        messages.getMessage(fault.messageKey(), new Object[] {asked}, Locale.ENGLISH));
  }

  @ExceptionHandler({MethodArgumentTypeMismatchException.class, NoResourceFoundException.class})
  ModelAndView noSuchPage(
      Exception fault, HttpServletRequest request, HttpServletResponse response) {
    return page(request, response, HttpStatus.NOT_FOUND, text("fault.page.unknown"));
  }

  @ExceptionHandler(MaxUploadSizeExceededException.class)
  ModelAndView tooLarge(
      MaxUploadSizeExceededException fault,
      HttpServletRequest request,
      HttpServletResponse response) {
    return page(request, response, HttpStatus.valueOf(413), text("fault.upload.large"));
  }

  @ExceptionHandler({
    DataAccessException.class,
    CannotCreateTransactionException.class,
    org.jooq.exception.DataAccessException.class,
    SQLTransientConnectionException.class
  })
  ModelAndView storeDown(
      Exception fault, HttpServletRequest request, HttpServletResponse response) {
    LOG.warn("The database did not answer: {}", fault.getMessage());
    return page(request, response, HttpStatus.SERVICE_UNAVAILABLE, text("fault.store.down"));
  }

  /** A fragment for htmx and scripts, a page for the browser. */
  private static ModelAndView page(
      HttpServletRequest request, HttpServletResponse response, HttpStatus status, String text) {
    boolean partial =
        request.getHeader("HX-Request") != null || request.getHeader("X-Bench") != null;
    // The fault goes to its own place on the page, so that what was there stays.
    response.setHeader("HX-Retarget", "#faults");
    response.setHeader("HX-Reswap", "innerHTML");
    ModelAndView view =
        new ModelAndView(partial ? "layout/fault :: fault" : "layout/fault", status);
    view.addObject("fault", text);
    return view;
  }

  private String text(String key) {
    return messages.getMessage(key, new Object[0], Locale.ENGLISH);
  }
}
