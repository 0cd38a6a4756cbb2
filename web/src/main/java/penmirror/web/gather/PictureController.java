package penmirror.web.gather;

import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import penmirror.web.layout.NotFoundException;
import penmirror.web.studies.PictureStore.PictureFile;

/** Hands pictures out. Addressed by content, so a browser may keep them for good. */
@Controller
class PictureController {
  private final PictureCopies copies;

  PictureController(PictureCopies copies) {
    this.copies = copies;
  }

  @GetMapping("/pictures/{sha256}")
  ResponseEntity<byte[]> whole(@PathVariable String sha256) {
    return answer(sha256, copies.whole(sha256));
  }

  /** The file as it was taken in, to be saved and not to be shown. */
  @GetMapping("/pictures/{sha256}/original")
  ResponseEntity<byte[]> original(@PathVariable String sha256) {
    PictureFile file = copies.original(sha256);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(file.mediaType()))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment")
        .body(file.bytes());
  }

  @GetMapping("/pictures/{sha256}/{longerSide:\\d+}")
  ResponseEntity<byte[]> copy(@PathVariable String sha256, @PathVariable int longerSide) {
    if (!PictureCopies.SIDES.contains(longerSide)) {
      throw new NotFoundException("fault.picture.side", longerSide);
    }
    return answer(sha256 + "-" + longerSide, copies.copy(sha256, longerSide));
  }

  private static ResponseEntity<byte[]> answer(String tag, PictureFile file) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(file.mediaType()))
        .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
        .header(HttpHeaders.ETAG, "\"" + tag + "\"")
        .body(file.bytes());
  }
}
