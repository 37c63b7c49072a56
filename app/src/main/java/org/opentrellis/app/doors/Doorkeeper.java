package org.opentrellis.app.doors;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.ProblemWriter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The one filter that every request passes first. It answers only to the names that are allowed,
 * lets no foreign page call the API or change anything, and takes only bodies that a form of a
 * foreign page cannot send unasked.
 */
final class Doorkeeper extends OncePerRequestFilter {
  private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS", "TRACE");
  private static final Set<MediaType> BODIES =
      Set.of(
          MediaType.APPLICATION_JSON,
          MediaType.APPLICATION_OCTET_STREAM,
          MediaType.parseMediaType("text/csv"));

  private final HostNames names;
  private final ProblemWriter problems;

  Doorkeeper(HostNames names, ProblemWriter problems) {
    this.names = names;
    this.problems = problems;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String host = request.getHeader(HttpHeaders.HOST);
    boolean changes = !READING.contains(request.getMethod());
    // As it is understood: /%61pi is /api, too.
    String path = request.getServletPath();
    boolean api = path.startsWith("/api");
    if (!names.allow(host)) {
      problems.write(
          response,
          HttpStatus.MISDIRECTED_REQUEST,
          "wrong-host",
          "Open Trellis does not answer to this name. Whoever starts it can allow a name with --host.");
    } else if (path.equals("/error")) {
      problems.write(response, HttpStatus.NOT_FOUND, "not-found", "There is nothing here.");
    } else if (isOfThePublic(path)) {
      chain.doFilter(request, response);
    } else if ((changes || api) && isForeign(request, host)) {
      problems.write(
          response,
          HttpStatus.FORBIDDEN,
          "foreign-page",
          "This request comes from another page. Only Open Trellis\u2019s own pages may ask for this.");
    } else if (changes
        && !request.getMethod().equals("DELETE")
        && !isForAReader(path)
        && !isStated(request)) {
      problems.write(
          response,
          HttpStatus.UNSUPPORTED_MEDIA_TYPE,
          "wrong-content-type",
          "The body must be JSON (Content-Type: application/json), or CSV (text/csv) or a file (application/octet-stream) where the API says so.");
    } else {
      chain.doFilter(request, response);
    }
  }

  /**
   * Links of mail lead here from wherever it is read, and one click unsubscribes with a form (RFC
   * 8058); what they may do is in their tokens. Whoever signs up sends a form, from whichever page
   * it stands in.
   */
  private static boolean isOfThePublic(String path) {
    return path.startsWith("/r/") || path.startsWith("/e/");
  }

  /** Pages of a reader of mail, shop and site send forms, from nowhere but themselves. */
  private static boolean isForAReader(String path) {
    return path.startsWith("/c/")
        || path.startsWith("/u/")
        || path.equals("/shop")
        || path.equals("/site/news");
  }

  /**
   * Whether a browser says that another page asks. Every browser of these years sends at least one
   * of the two headers with whatever changes something; a program that is no browser sends none.
   */
  private static boolean isForeign(HttpServletRequest request, @Nullable String host) {
    String site = request.getHeader("Sec-Fetch-Site");
    String origin = request.getHeader(HttpHeaders.ORIGIN);
    if (site != null && !site.equals("same-origin") && !site.equals("none")) {
      return true;
    }
    return origin != null && !isOf(host, origin.toLowerCase(Locale.ROOT));
  }

  private static boolean isOf(@Nullable String host, String origin) {
    String own = String.valueOf(host).toLowerCase(Locale.ROOT);
    return origin.equals("http://" + own) || origin.equals("https://" + own);
  }

  private static boolean isStated(HttpServletRequest request) {
    String said = request.getContentType();
    if (said == null) {
      return false;
    }
    try {
      MediaType type = MediaType.parseMediaType(said);
      return BODIES.stream().anyMatch(one -> one.equalsTypeAndSubtype(type));
    } catch (InvalidMediaTypeException none) {
      return false;
    }
  }
}
