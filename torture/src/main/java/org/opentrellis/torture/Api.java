package org.opentrellis.torture;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;

/** Talks to one application. */
public final class Api {
  static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private final HttpClient client = HttpClient.newHttpClient();
  private final String address;

  /**
   * @param address such as {@code http://127.0.0.1:8350}
   */
  public Api(String address) {
    this.address = address;
  }

  record Answer(int status, String text, long millis) {
    boolean isDone() {
      return status >= 200 && status < 300;
    }

    JsonNode body() {
      try {
        return text.isEmpty() ? MissingNode.getInstance() : JSON.readTree(text);
      } catch (JacksonException noJson) {
        return MissingNode.getInstance();
      }
    }
  }

  Answer get(String path) {
    return send("GET", path, "application/json", "");
  }

  Answer post(String path, String body) {
    return send("POST", path, "application/json", body);
  }

  Answer put(String path, String body) {
    return send("PUT", path, "application/json", body);
  }

  /**
   * @throws UncheckedIOException if nobody answered
   */
  Answer send(String method, String path, String contentType, String body) {
    long begun = System.nanoTime();
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(address + path))
            .timeout(PATIENCE)
            .header("Content-Type", contentType)
            .method(method, HttpRequest.BodyPublishers.ofString(body))
            .build();
    try {
      HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
      long millis = (System.nanoTime() - begun) / 1_000_000;
      return new Answer(answer.statusCode(), answer.body(), millis);
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }
}
