package org.opentrellis.app;

import java.time.Clock;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.opentrellis.app.upkeep.UpkeepCommand;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.resilience.annotation.EnableResilientMethods;

/** The application: serves the API and the front end. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableResilientMethods
@MapperScan(annotationClass = Mapper.class)
public class TrellisApplication {
  public static void main(String[] arguments) {
    if (UpkeepCommand.isMeant(arguments)) {
      System.exit(UpkeepCommand.run(arguments));
    }
    if (AuditCommand.isMeant(arguments)) {
      System.exit(AuditCommand.run(arguments));
    }
    try {
      SpringApplication.run(TrellisApplication.class, arguments);
    } catch (RuntimeException reported) {
      // Spring has said it, or StartReporter has; Java would print it all once more.
      System.exit(1);
    }
  }

  /** The machine's own, for files and backups; what happens goes by the account's clock. */
  @Bean
  Clock wallClock() {
    return Clock.systemUTC();
  }
}
