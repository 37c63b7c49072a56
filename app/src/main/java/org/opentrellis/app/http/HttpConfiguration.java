package org.opentrellis.app.http;

import org.opentrellis.core.format.Json;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Wires the edge. */
@Configuration
class HttpConfiguration implements WebMvcConfigurer {

  @Bean
  JsonMapperBuilderCustomizer strictJson() {
    return Json::strict;
  }

  /** The front end routes by itself: each of its addresses is answered with its one page. */
  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    for (String page :
        new String[] {
          "/journeys",
          "/journeys/*",
          "/journeys/*/dry-run",
          "/journeys/*/walk",
          "/dry-runs/*",
          "/side-by-side"
        }) {
      registry.addViewController(page).setViewName("forward:/index.html");
    }
  }
}
