package penmirror.web.sending;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Objects;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import penmirror.core.format.Sha256;

/** Gives handlers the form as it was sent, and pages a token for the next. */
@Configuration
class SentResolver implements WebMvcConfigurer, HandlerMethodArgumentResolver {
  private static final String FIELD = "once";

  /** Changes from page to page and is no part of what was said. */
  private static final String GUARD = "_csrf";

  private static final int LONGEST_TOKEN = 40;

  /** The field's value on every page. */
  @ControllerAdvice
  static class Tokens {
    @ModelAttribute(FIELD)
    String once() {
      return UUID.randomUUID().toString();
    }
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Sent.class;
  }

  @Override
  public Object resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer container,
      NativeWebRequest request,
      @Nullable WebDataBinderFactory binders) {
    HttpServletRequest sent =
        Objects.requireNonNull(request.getNativeRequest(HttpServletRequest.class));
    String token = sent.getParameter(FIELD);
    return token == null || token.isBlank() || token.length() > LONGEST_TOKEN
        ? new Sent("")
        : new Sent(token + "/" + digest(sent));
  }

  private static String digest(HttpServletRequest sent) {
    StringBuilder all = new StringBuilder(sent.getRequestURI());
    new TreeMap<>(sent.getParameterMap())
        .forEach(
            (name, values) -> {
              if (!name.equals(GUARD)) {
                all.append('\n').append(name).append(List.of(values));
              }
            });
    return Sha256.of(all.toString());
  }
}
