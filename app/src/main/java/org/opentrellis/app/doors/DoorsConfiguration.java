package org.opentrellis.app.doors;

import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.StartRefused;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.http.ProblemWriter;
import org.opentrellis.app.storage.DataFolder;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.CrossOriginEmbedderPolicyHeaderWriter.CrossOriginEmbedderPolicy;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Wires the doors. */
@Configuration
class DoorsConfiguration {
  /**
   * Scripts, pictures, fonts and requests from here only; nothing inline but the style attributes
   * that pictures of charts are drawn with.
   */
  private static final String CONTENT_POLICY =
      String.join(
          "; ",
          "default-src 'none'",
          "script-src 'self'",
          "style-src 'self'",
          "style-src-attr 'unsafe-inline'",
          "img-src 'self' data: blob:",
          "font-src 'self'",
          "connect-src 'self'",
          "frame-src 'self'",
          "form-action 'self'",
          "base-uri 'none'",
          "frame-ancestors 'none'");

  /**
   * No scripts at all; a form that leads back here, in whichever page it is shown. Parts are drawn
   * as in mail, by styles of their own.
   */
  private static final String ENTRANCE_POLICY =
      String.join(
          "; ",
          "default-src 'none'",
          "style-src 'self' 'unsafe-inline'",
          "img-src 'self' data:",
          "form-action 'self' https: http:",
          "base-uri 'none'",
          "frame-ancestors *");

  /** No scripts at all, and a form that leads back here. */
  private static final String READER_POLICY =
      String.join(
          "; ",
          "default-src 'none'",
          "style-src 'self'",
          "img-src data:",
          "form-action 'self'",
          "base-uri 'none'",
          "frame-ancestors 'none'");

  /** The same for the stand-in shop, which the workshop shows in a frame. */
  private static final String SHOP_POLICY =
      READER_POLICY.replace("frame-ancestors 'none'", "frame-ancestors 'self'");

  /** The same for the stand-in website, in which forms stand, one of them by a script of ours. */
  private static final String SITE_POLICY =
      SHOP_POLICY.replace("form-action 'self'", "script-src 'self'; frame-src 'self'");

  private static final Set<String> HERE = Set.of("localhost", "127.0.0.1", "[::1]");

  @Bean
  PasswordFile passwordFile(DataFolder folder) {
    return new PasswordFile(folder.path());
  }

  @Bean
  HostNames hostNames(
      TrellisSettings settings, PasswordFile password, @Value("${server.address}") String address) {
    InetAddress listening = listening(address);
    if (!listening.isLoopbackAddress() && !password.isSet()) {
      throw new StartRefused(
          "Listening on %s lets others reach your data, and no password is set. Set one first with ./trellis password, or leave out --listen."
              .formatted(address));
    }
    List<String> names = new ArrayList<>(settings.hosts());
    outside(settings.address())
        .ifPresent(
            name -> {
              if (!password.isSet() && !HERE.contains(name)) {
                throw new StartRefused(
                    "At %s others reach your data, and no password is set. Set one first with ./trellis password, or leave out --address."
                        .formatted(settings.address()));
              }
              names.add(name);
            });
    return new HostNames(names, listening);
  }

  /** The name in the address at which the public reaches the application, if one is given. */
  private static Optional<String> outside(String address) {
    if (address.isBlank()) {
      return Optional.empty();
    }
    try {
      URI uri = new URI(address.strip());
      if (uri.getHost() != null && List.of("http", "https").contains(uri.getScheme())) {
        return Optional.of(uri.getHost());
      }
    } catch (URISyntaxException unreadable) {
      // said below
    }
    throw new StartRefused(
        "--address takes a web address such as https://letters.example.com, not %s."
            .formatted(address));
  }

  private static InetAddress listening(String address) {
    try {
      return InetAddress.getByName(address);
    } catch (UnknownHostException unknown) {
      throw new StartRefused(
          "--listen takes an address of this machine, not %s.".formatted(address), unknown);
    }
  }

  @Bean
  FilterRegistrationBean<Doorkeeper> doorkeeper(HostNames names, ProblemWriter problems) {
    FilterRegistrationBean<Doorkeeper> filter =
        new FilterRegistrationBean<>(new Doorkeeper(names, problems));
    filter.setOrder(Ordered.HIGHEST_PRECEDENCE + 10);
    return filter;
  }

  /** Without what Spring would bring of its own: who is in is for {@link Keyholder} to say. */
  private static HttpSecurity ourOwn(HttpSecurity http) {
    return http
        // A foreign page is kept out by where it says it comes from; see Doorkeeper.
        .csrf(csrf -> csrf.disable())
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .logout(logout -> logout.disable())
        .requestCache(cache -> cache.disable())
        .sessionManagement(
            session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
  }

  /** Entrances, which other sites show in a frame of theirs. Nobody has a session there. */
  @Bean
  @Order(Ordered.HIGHEST_PRECEDENCE)
  SecurityFilterChain publicDoors(HttpSecurity http) {
    return ourOwn(http)
        .securityMatcher("/e/**")
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(policy -> policy.policyDirectives(ENTRANCE_POLICY))
                    .frameOptions(frame -> frame.disable())
                    .referrerPolicy(policy -> policy.policy(ReferrerPolicy.NO_REFERRER))
                    // Else no page may show it that keeps foreign ones out, as the workshop does.
                    .crossOriginEmbedderPolicy(
                        policy -> policy.policy(CrossOriginEmbedderPolicy.REQUIRE_CORP)))
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .build();
  }

  /** Pages of one reader of mail, which nobody shows in a frame. Nobody has a session there. */
  @Bean
  @Order(Ordered.HIGHEST_PRECEDENCE + 1)
  SecurityFilterChain readersDoors(HttpSecurity http) {
    return ourOwn(http)
        .securityMatcher("/c/**", "/u/**")
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(policy -> policy.policyDirectives(READER_POLICY))
                    .frameOptions(frame -> frame.deny())
                    .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)))
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .build();
  }

  /** The stand-in shop. Nobody has a session there. */
  @Bean
  @Order(Ordered.HIGHEST_PRECEDENCE + 2)
  SecurityFilterChain shopDoors(HttpSecurity http) {
    return standIn(http, "/shop", SHOP_POLICY);
  }

  /** The stand-in website. Nobody has a session there. */
  @Bean
  @Order(Ordered.HIGHEST_PRECEDENCE + 3)
  SecurityFilterChain siteDoors(HttpSecurity http) {
    return standIn(http, "/site", SITE_POLICY);
  }

  /** Its page of news, in which one posts. */
  @Bean
  @Order(Ordered.HIGHEST_PRECEDENCE + 4)
  SecurityFilterChain newsDoors(HttpSecurity http) {
    return standIn(http, "/site/*", SHOP_POLICY);
  }

  /** A page that the workshop shows in a frame. */
  private static SecurityFilterChain standIn(HttpSecurity http, String path, String content) {
    return ourOwn(http)
        .securityMatcher(path)
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(policy -> policy.policyDirectives(content))
                    .frameOptions(frame -> frame.sameOrigin())
                    .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
                    .crossOriginEmbedderPolicy(
                        policy -> policy.policy(CrossOriginEmbedderPolicy.REQUIRE_CORP))
                    .crossOriginResourcePolicy(
                        policy -> policy.policy(CrossOriginResourcePolicy.SAME_ORIGIN)))
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .build();
  }

  @Bean
  SecurityFilterChain doors(HttpSecurity http, Keyholder keyholder, ProblemWriter problems) {
    return ourOwn(http)
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                    .frameOptions(frame -> frame.deny())
                    .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
                    .crossOriginOpenerPolicy(
                        policy -> policy.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                    .crossOriginEmbedderPolicy(
                        policy -> policy.policy(CrossOriginEmbedderPolicy.REQUIRE_CORP))
                    .crossOriginResourcePolicy(
                        policy -> policy.policy(CrossOriginResourcePolicy.SAME_ORIGIN)))
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers("/api/session")
                    .permitAll()
                    .requestMatchers("/api/**")
                    .access(keyholder)
                    .anyRequest()
                    .permitAll())
        .exceptionHandling(
            handling ->
                handling.authenticationEntryPoint(
                    (request, response, refused) ->
                        problems.write(
                            response,
                            HttpStatus.UNAUTHORIZED,
                            "password-needed",
                            "Say the password first.")))
        .build();
  }
}
