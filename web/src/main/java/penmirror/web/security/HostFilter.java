package penmirror.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only when asked by a loopback name. A page elsewhere could point its own name at this
 * machine and read the studio; its Host header gives it away.
 */
final class HostFilter extends OncePerRequestFilter {
  private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]", "::1");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (LOOPBACK.contains(request.getServerName().toLowerCase(Locale.ROOT))) {
      chain.doFilter(request, response);
      return;
    }
    response.setStatus(421);
    response.setContentType("text/plain;charset=UTF-8");
    response
        .getOutputStream()
        .write(
            "Pen Mirror answers on this machine only. Open http://127.0.0.1 with its port."
                .getBytes(StandardCharsets.UTF_8));
  }
}
