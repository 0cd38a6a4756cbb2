package penmirror.web.layout;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.sql.SQLException;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.MessageSource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.validation.BindException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FormatException;
import penmirror.web.opening.BusyException;

/**
 * Tells what went wrong in plain words: what happened, what to do, what was kept. Use cases are one
 * transaction each, so a fault on the way leaves everything as it was.
 */
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
    return page(request, response, HttpStatus.NOT_FOUND, text(fault.messageKey(), asked));
  }

  @ExceptionHandler(RefusedException.class)
  ModelAndView refused(
      RefusedException fault, HttpServletRequest request, HttpServletResponse response) {
    return page(request, response, HttpStatus.BAD_REQUEST, text(fault.messageKey(), fault.about()));
  }

  /** Both say what was expected and what to do next. */
  @ExceptionHandler({FormatException.class, UnusablePictureException.class})
  ModelAndView unfit(Exception fault, HttpServletRequest request, HttpServletResponse response) {
    return page(request, response, HttpStatus.BAD_REQUEST, String.valueOf(fault.getMessage()));
  }

  @ExceptionHandler(BusyException.class)
  ModelAndView busy(BusyException fault, HttpServletRequest request, HttpServletResponse response) {
    return page(request, response, HttpStatus.SERVICE_UNAVAILABLE, text("fault.busy"));
  }

  @ExceptionHandler(NoResourceFoundException.class)
  ModelAndView noSuchPage(
      Exception fault, HttpServletRequest request, HttpServletResponse response) {
    return page(request, response, HttpStatus.NOT_FOUND, text("fault.page.unknown"));
  }

  /** A number in an address that is none is no page; a word in a form that is none is refused. */
  @ExceptionHandler(MethodArgumentTypeMismatchException.class)
  ModelAndView mismatch(
      MethodArgumentTypeMismatchException fault,
      HttpServletRequest request,
      HttpServletResponse response) {
    if (fault.getParameter().hasParameterAnnotation(PathVariable.class)) {
      return noSuchPage(fault, request, response);
    }
    String word = Texts.cut(String.valueOf(fault.getValue()), 40);
    return page(request, response, HttpStatus.BAD_REQUEST, text("fault.form.word", word));
  }

  @ExceptionHandler({HttpMessageNotReadableException.class, BindException.class})
  ModelAndView unreadable(
      Exception fault, HttpServletRequest request, HttpServletResponse response) {
    return page(request, response, HttpStatus.BAD_REQUEST, text("fault.form.unreadable"));
  }

  @ExceptionHandler(MaxUploadSizeExceededException.class)
  ModelAndView tooLarge(
      MaxUploadSizeExceededException fault,
      HttpServletRequest request,
      HttpServletResponse response) {
    return page(request, response, HttpStatus.valueOf(413), text("fault.upload.large"));
  }

  /**
   * Somebody closed the page or stopped the upload: there is nobody to tell, and nothing to log.
   */
  @ExceptionHandler(MultipartException.class)
  ModelAndView cutOff(
      MultipartException fault, HttpServletRequest request, HttpServletResponse response) {
    if (isFullDisk(fault)) {
      return stored(StoreFault.FULL, fault, request, response);
    }
    return page(request, response, HttpStatus.BAD_REQUEST, text("fault.form.unreadable"));
  }

  private static boolean isFullDisk(Throwable fault) {
    for (Throwable cause = fault; cause != null; cause = cause.getCause()) {
      if (StoreFault.isFullDisk(cause)) {
        return true;
      }
    }
    return false;
  }

  /** Everything else: what the framework refuses, what the database says, and faults of ours. */
  @ExceptionHandler(Exception.class)
  @Nullable ModelAndView other(
      Exception fault, HttpServletRequest request, HttpServletResponse response) {
    if (response.isCommitted() || fault instanceof AsyncRequestNotUsableException) {
      return null; // Whoever asked has gone on; there is nobody to tell.
    }
    if (fault instanceof ErrorResponse told && told.getStatusCode().is4xxClientError()) {
      HttpStatusCode status = told.getStatusCode();
      return page(request, response, status, text("fault.form.unreadable"));
    }
    for (Throwable cause = fault; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLException sql) {
        return stored(StoreFault.of(sql), fault, request, response);
      }
    }
    if (isFullDisk(fault)) {
      return stored(StoreFault.FULL, fault, request, response);
    }
    if (fault instanceof DataAccessResourceFailureException
        || fault instanceof CannotCreateTransactionException) {
      return stored(StoreFault.DOWN, fault, request, response);
    }
    LOG.error("{} {} failed.", request.getMethod(), request.getRequestURI(), fault);
    return page(request, response, HttpStatus.INTERNAL_SERVER_ERROR, text("fault.other"));
  }

  private ModelAndView stored(
      StoreFault kind, Exception fault, HttpServletRequest request, HttpServletResponse response) {
    if (kind == StoreFault.OTHER) {
      LOG.error("{} {} failed.", request.getMethod(), request.getRequestURI(), fault);
    } else {
      LOG.warn("The database said {}: {}", kind, fault.getMessage());
    }
    return page(request, response, HttpStatus.valueOf(kind.status()), text(kind.messageKey()));
  }

  /** A fragment for htmx and scripts, a page for the browser. */
  private static ModelAndView page(
      HttpServletRequest request,
      HttpServletResponse response,
      HttpStatusCode status,
      String text) {
    boolean partial =
        request.getHeader("HX-Request") != null || request.getHeader("X-Bench") != null;
    // The fault goes to its own place on the page, so that what was there stays.
    response.setHeader("HX-Retarget", "#faults");
    response.setHeader("HX-Reswap", "innerHTML");
    ModelAndView view = new ModelAndView(partial ? "layout/fault :: fault" : "layout/fault");
    view.setStatus(status);
    view.addObject("fault", text);
    return view;
  }

  private String text(String key, Object... about) {
    return messages.getMessage(key, about, Locale.ENGLISH);
  }
}
