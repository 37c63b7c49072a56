package org.opentrellis.app.visitors;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.app.standins.MailServer;
import org.springframework.stereotype.Component;

/** The application's pages for the public, as somebody's browser asks for them. */
@Component
class PublicPages {
  private static final Duration PATIENCE = Duration.ofSeconds(20);

  private final MailServer here;

  PublicPages(MailServer here) {
    this.here = here;
  }

  HttpResponse<String> get(HttpClient who, String path) {
    return ask(who, to(path).GET());
  }

  /**
   * Sends a form.
   *
   * @param fields in order; a name may come several times
   */
  HttpResponse<String> post(HttpClient who, String path, Stream<Map.Entry<String, String>> fields) {
    String body =
        fields
            .map(one -> coded(one.getKey()) + "=" + coded(one.getValue()))
            .collect(Collectors.joining("&"));
    return ask(
        who,
        to(path)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(body)));
  }

  private HttpRequest.Builder to(String path) {
    return HttpRequest.newBuilder(URI.create(here.ownAddress() + path)).timeout(PATIENCE);
  }

  private static HttpResponse<String> ask(HttpClient who, HttpRequest.Builder request) {
    try {
      return who.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
      throw new UncheckedIOException(new IOException("stopped", stop));
    }
  }

  private static String coded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
