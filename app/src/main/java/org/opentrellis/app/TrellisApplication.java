package org.opentrellis.app;

import java.time.Clock;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** The application: serves the API and the front end. */
@SpringBootApplication
@ConfigurationPropertiesScan
@MapperScan(annotationClass = Mapper.class)
public class TrellisApplication {
  public static void main(String[] arguments) {
    SpringApplication.run(TrellisApplication.class, arguments);
  }

  /** The only clock; the core reads none. */
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
