package penmirror.web.layout;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A file that a page gives away under a name of its own; its body is still to be added. */
public final class GivenFile {
  public static final MediaType SVG = MediaType.valueOf("image/svg+xml");

  private GivenFile() {}

  /** Kept by the browser where files are kept. */
  public static ResponseEntity.BodyBuilder toKeep(String name, MediaType type) {
    return named(ContentDisposition.attachment(), name, type);
  }

  /** Opened by the browser, such as a page to print. */
  public static ResponseEntity.BodyBuilder toOpen(String name, MediaType type) {
    return named(ContentDisposition.inline(), name, type);
  }

  private static ResponseEntity.BodyBuilder named(
      ContentDisposition.Builder how, String name, MediaType type) {
    HttpHeaders headers = new HttpHeaders();
    headers.setContentDisposition(how.filename(name).build());
    return ResponseEntity.ok().contentType(type).headers(headers);
  }
}
