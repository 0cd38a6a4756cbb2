package penmirror.web.rules;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;
import penmirror.core.style.Portrayal;

/** The scope an address asks for, as words; each may be missing. */
record Asked(
    @Nullable String framing,
    @Nullable String kind,
    @Nullable String mood,
    @Nullable String manner) {

  Portrayal wanted() {
    return ScopeRow.wanted(said(framing), said(kind), said(mood), said(manner));
  }

  /** The same scope as the query of an address, with the act that is to stand open. */
  String query(Optional<String> open) {
    UriComponentsBuilder address = UriComponentsBuilder.newInstance();
    add(address, "framing", said(framing));
    add(address, "kind", said(kind));
    add(address, "mood", said(mood));
    add(address, "manner", said(manner));
    open.ifPresent(act -> address.queryParam("open", act));
    return address.encode().build().toUriString();
  }

  private static void add(UriComponentsBuilder address, String name, String value) {
    if (!value.isEmpty()) {
      address.queryParam(name, value);
    }
  }

  private static String said(@Nullable String word) {
    return word == null ? "" : word;
  }
}
