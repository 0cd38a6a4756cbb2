package penmirror.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

class GivenFileTest {

  @Test
  void aFileIsKeptOrOpenedUnderItsOwnName() {
    ResponseEntity<String> kept = GivenFile.toKeep("line-up-3.svg", GivenFile.SVG).body("<svg/>");
    assertThat(kept.getHeaders().getContentType()).hasToString("image/svg+xml");
    assertThat(kept.getHeaders().getContentDisposition())
        .hasToString("attachment; filename=\"line-up-3.svg\"");
    assertThat(kept.getBody()).isEqualTo("<svg/>");
    assertThat(
            GivenFile.toOpen("sheet-1.pdf", MediaType.APPLICATION_PDF)
                .build()
                .getHeaders()
                .getContentDisposition()
                .isInline())
        .isTrue();
  }

  /** A name cannot end the header and begin another. */
  @Test
  void aNameWithQuotesStaysAName() {
    String header =
        GivenFile.toKeep("a\"; x=\"b.png", MediaType.IMAGE_PNG)
            .build()
            .getHeaders()
            .getContentDisposition()
            .toString();
    assertThat(header).startsWith("attachment; filename=").contains("\\\"");
  }
}
