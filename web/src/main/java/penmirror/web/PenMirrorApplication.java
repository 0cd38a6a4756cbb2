package penmirror.web;

import java.time.Clock;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;

/** Starts the application on loopback. */
@SpringBootApplication
public class PenMirrorApplication {
  public static void main(String[] arguments) {
    SpringApplication.run(PenMirrorApplication.class, arguments);
  }

  /** The launcher waits for this line. */
  @Bean
  ApplicationListener<ApplicationReadyEvent> readiness() {
    return event ->
        LoggerFactory.getLogger(PenMirrorApplication.class)
            .info(
                "Pen Mirror is ready on http://127.0.0.1:{}",
                event.getApplicationContext().getEnvironment().getProperty("local.server.port"));
  }

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
