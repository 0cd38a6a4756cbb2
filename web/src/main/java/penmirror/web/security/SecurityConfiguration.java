package penmirror.web.security;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.HeaderWriterFilter;

/**
 * No sign-in yet: the application listens on loopback only. What guards it is the Host check, the
 * CSRF token and a content policy without inline scripts or styles.
 *
 * <p>The CSRF token lives in a cookie and not in a session, so that a page left open over a restart
 * can still save.
 */
@Configuration
class SecurityConfiguration {
  private static final String CONTENT_POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data: blob:;"
          + " font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none';"
          + " frame-ancestors 'none'";

  @Bean
  SecurityFilterChain security(HttpSecurity http) throws Exception {
    return http.authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .csrf(csrf -> csrf.csrfTokenRepository(new CookieCsrfTokenRepository()))
        .sessionManagement(
            sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .headers(
            headers ->
                headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY)))
        .addFilterBefore(new HostFilter(), HeaderWriterFilter.class)
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .logout(logout -> logout.disable())
        .requestCache(cache -> cache.disable())
        .build();
  }

  /** Nobody can sign in yet; without this a password would be made up and logged. */
  @Bean
  UserDetailsService nobody() {
    return new InMemoryUserDetailsManager();
  }
}
