package org.opentrellis.app.http;

import java.time.Duration;
import org.opentrellis.core.format.Json;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.http.converter.ByteArrayHttpMessageConverter;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.http.converter.ResourceHttpMessageConverter;
import org.springframework.http.converter.StringHttpMessageConverter;
import org.springframework.http.converter.json.JacksonJsonHttpMessageConverter;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Wires the edge. */
@Configuration
class HttpConfiguration implements WebMvcConfigurer {

  @Bean
  JsonMapperBuilderCustomizer strictJson() {
    return Json::strict;
  }

  /** Bodies are JSON or text, and nothing that a library on the path could read besides. */
  @Override
  public void configureMessageConverters(HttpMessageConverters.ServerBuilder builder) {
    builder.configureMessageConvertersList(
        all ->
            all.removeIf(
                one ->
                    !(one instanceof JacksonJsonHttpMessageConverter
                        || one instanceof StringHttpMessageConverter
                        || one instanceof ByteArrayHttpMessageConverter
                        || one instanceof ResourceHttpMessageConverter)));
  }

  /** What the build has named by its contents never changes; all else is asked for each time. */
  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
    registry
        .addResourceHandler("/**")
        .addResourceLocations("classpath:/static/")
        .setCacheControl(CacheControl.noCache());
  }

  /** The front end routes by itself: each of its addresses is answered with its one page. */
  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    for (String page :
        new String[] {
          "/journeys/**",
          "/strands/**",
          "/dry-runs/**",
          "/messages/**",
          "/people/**",
          "/entrances/**",
          "/account",
          "/side-by-side",
          "/calendar",
          "/rules",
          "/news/**",
          "/newsletters/**",
          "/glasshouse"
        }) {
      registry.addViewController(page).setViewName("forward:/index.html");
    }
  }
}
