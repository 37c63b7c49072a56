package org.opentrellis.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.function.Predicate;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks one application over HTTP. */
public final class Answers {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** No question takes longer; what is begun by one is asked for again and again. */
  private static final Duration PATIENCE = Duration.ofMinutes(3);

  private static final int PAUSE_MILLIS = 20;

  private final HttpClient client = HttpClient.newHttpClient();
  private final String address;

  private Answers(String address) {
    this.address = address;
  }

  /** Of an application that runs in this process. */
  public static Answers of(ConfigurableApplicationContext application) {
    int port = ((WebServerApplicationContext) application).getWebServer().getPort();
    return new Answers("http://127.0.0.1:" + port);
  }

  public String address() {
    return address;
  }

  /** An answer: its status and its JSON. */
  public record Answer(int status, JsonNode body) {}

  public Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
  }

  /** Asks again and again until that is so, for three minutes at most. */
  public JsonNode until(String path, Predicate<JsonNode> so) {
    long giveUp = System.nanoTime() + PATIENCE.toNanos();
    JsonNode body = get(path).body();
    while (!so.test(body)) {
      if (System.nanoTime() > giveUp) {
        throw new AssertionError(path + " did not get there in time: " + body);
      }
      pause();
      body = get(path).body();
    }
    return body;
  }

  private static void pause() {
    try {
      Thread.sleep(PAUSE_MILLIS);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }

  public Answer post(String path, String body) {
    return send("POST", path, body);
  }

  public Answer put(String path, String body) {
    return send("PUT", path, body);
  }

  public Answer delete(String path) {
    return send("DELETE", path, "");
  }

  /** Hands a table in as it is written. */
  public Answer postCsv(String path, byte[] table) {
    return send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "text/csv")
            .POST(HttpRequest.BodyPublishers.ofByteArray(table)));
  }

  /** A file that is asked for with a body. */
  public String textOf(String path, String body) {
    return body(HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body)))
        .body();
  }

  /** An answer that is no JSON. */
  public String text(String path) {
    return body(HttpRequest.newBuilder(URI.create(address + path)).GET()).body();
  }

  private Answer send(String method, String path, String body) {
    return send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(body)));
  }

  private Answer send(HttpRequest.Builder request) {
    HttpResponse<String> response = body(request);
    String body = response.body().isEmpty() ? "null" : response.body();
    return new Answer(response.statusCode(), JSON.readTree(body));
  }

  private HttpResponse<String> body(HttpRequest.Builder request) {
    try {
      return client.send(request.timeout(PATIENCE).build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException failure) {
      throw new UncheckedIOException(failure);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }

  /** How many findings of a journey lists tell of: notes ask for nothing and are left out. */
  public static long told(JsonNode view) {
    return view.get("findings")
        .valueStream()
        .filter(one -> !one.get("severity").asString().equals("NOTE"))
        .count();
  }
}
