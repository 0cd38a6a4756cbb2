package penmirror.web.studies;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import penmirror.web.layout.NotFoundException;

/**
 * The one door to a study and its works: a handler that asks for a {@link Study} or a {@link Work}
 * receives the one its address names, or is not called at all. Here access will be checked.
 */
@Configuration
class StudyResolver implements HandlerMethodArgumentResolver, WebMvcConfigurer {
  private final StudyStore studies;
  private final WorkStore works;

  StudyResolver(StudyStore studies, WorkStore works) {
    this.studies = studies;
    this.works = works;
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Study.class
        || parameter.getParameterType() == Work.class;
  }

  /**
   * @throws NotFoundException when there is no such study, or no such work in it
   */
  @Override
  public Object resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer container,
      NativeWebRequest request,
      @Nullable WebDataBinderFactory binders) {
    long study = number(request, "studyId");
    return parameter.getParameterType() == Study.class
        ? studies.require(study)
        : works.require(study, number(request, "workId"));
  }

  private static long number(NativeWebRequest request, String name) {
    @SuppressWarnings("unchecked")
    Map<String, String> variables =
        (Map<String, String>)
            request.getAttribute(
                HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
    String text = variables == null ? null : variables.get(name);
    try {
      return Long.parseLong(String.valueOf(text));
    } catch (NumberFormatException e) {
      throw new NotFoundException("fault.study.unknown", String.valueOf(text));
    }
  }
}
