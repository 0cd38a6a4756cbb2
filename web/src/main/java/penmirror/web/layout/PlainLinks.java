package penmirror.web.layout;

import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;

/**
 * Links stand in pages as templates write them. Left to itself the framework asks for each link of
 * a page whether it is a file with a version, which took three quarters of the time of a page; the
 * libraries' files are found without their version as well.
 */
@Configuration(proxyBeanMethods = false)
class PlainLinks {
  @Bean
  FilterRegistrationBean<ResourceUrlEncodingFilter> noVersionsInLinks() {
    FilterRegistrationBean<ResourceUrlEncodingFilter> filter =
        new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
    filter.setEnabled(false);
    return filter;
  }
}
