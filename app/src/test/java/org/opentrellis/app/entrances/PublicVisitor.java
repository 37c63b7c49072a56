package org.opentrellis.app.entrances;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** Somebody of the public, who takes their time between two visits, and follows no redirect. */
public final class PublicVisitor {
  private static final long PAUSE_MILLIS = 600;
  private final HttpClient browser =
      HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NEVER).build();
  private final Supplier<String> application;

  public PublicVisitor(Supplier<String> application) {
    this.application = application;
  }

  public HttpResponse<String> get(String path) {
    return send(to(path).GET());
  }

  public HttpResponse<String> post(String path, Map<String, String> typed) {
    return send(
        to(path)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(form(typed))));
  }

  public HttpRequest.Builder to(String path) {
    return HttpRequest.newBuilder(URI.create(application.get() + path));
  }

  private static String form(Map<String, String> typed) {
    return typed.entrySet().stream()
        .map(one -> encoded(one.getKey()) + "=" + encoded(one.getValue()))
        .collect(Collectors.joining("&"));
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  public HttpResponse<String> send(HttpRequest.Builder request) {
    try {
      pause(PAUSE_MILLIS);
      return browser.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  static void pause(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }
}
