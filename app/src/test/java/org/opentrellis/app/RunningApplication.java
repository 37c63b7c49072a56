package org.opentrellis.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.opentrellis.app.http.ApiDocument;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The real application on a free port with a data folder of its own, for one test class. */
public final class RunningApplication implements BeforeAllCallback, AfterAllCallback {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** What springdoc needs to describe the API; else it stays out of the way. */
  private static final List<String> DESCRIBING =
      List.of(
          "springdoc.api-docs.enabled=true",
          "springdoc.api-docs.path=/api/as-it-is",
          "springdoc.api-docs.version=openapi_3_1",
          "springdoc.packages-to-scan=org.opentrellis.app",
          "springdoc.writer-with-order-by-keys=true");

  private final List<String> properties;
  private final @Nullable Class<?> more;
  private final HttpClient client = HttpClient.newHttpClient();
  private @Nullable ConfigurableApplicationContext context;
  private @Nullable Path data;

  private RunningApplication(List<String> properties, @Nullable Class<?> more) {
    this.properties = properties;
    this.more = more;
  }

  public static RunningApplication empty() {
    return new RunningApplication(List.of(), null);
  }

  public static RunningApplication withDemo() {
    return new RunningApplication(List.of("trellis.demo=true"), null);
  }

  /** One that reads the description of its API off its controllers. */
  public static RunningApplication describingItself() {
    return new RunningApplication(DESCRIBING, ApiDocument.class);
  }

  @Override
  public void beforeAll(ExtensionContext test) throws IOException {
    data = Files.createTempDirectory("trellis-test");
    context = start(data, more, properties.stream().map(one -> "--" + one).toArray(String[]::new));
  }

  /** The application on a folder, for a test that starts and stops it by itself. */
  public static ConfigurableApplicationContext start(Path data, String... arguments) {
    return start(data, null, arguments);
  }

  private static ConfigurableApplicationContext start(
      Path data, @Nullable Class<?> more, String... arguments) {
    SpringApplicationBuilder builder = new SpringApplicationBuilder(TrellisApplication.class);
    if (more != null) {
      builder.sources(more);
    }
    List<String> all = new ArrayList<>(List.of("--server.port=0", "--trellis.data=" + data));
    if (more == null) {
      all.add("--springdoc.api-docs.enabled=false");
    }
    all.addAll(List.of(arguments));
    return builder.run(all.toArray(String[]::new));
  }

  /** The folder that it keeps its data in. */
  public Path data() {
    return java.util.Objects.requireNonNull(data);
  }

  @Override
  public void afterAll(ExtensionContext test) {
    if (context != null) {
      context.close();
    }
  }

  public String address() {
    int port = ((WebServerApplicationContext) context).getWebServer().getPort();
    return "http://127.0.0.1:" + port;
  }

  /** An answer: its status and its JSON. */
  public record Answer(int status, JsonNode body) {}

  public Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(address() + path)).GET());
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

  /**
   * Makes a dry run and waits for it.
   *
   * @param journeys their ids, such as "1, 2"
   * @return the run's id
   */
  public long run(String journeys, int people, long seed) {
    long first = Long.parseLong(journeys.split(",")[0].strip());
    JsonNode groups = get("/api/journeys/" + first).body().at("/behaviour/groups");
    String cohort =
        "{\"people\": %d, \"groups\": %s, \"arrivals\": {\"kind\": \"evenly\", \"days\": 7}, \"holdOut\": 0}"
            .formatted(people, groups);
    return ran(begin(journeys, cohort, seed));
  }

  /** Begins a dry run with a cohort of one's own. */
  public Answer begin(String journeys, String cohort, long seed) {
    return post(
        "/api/dry-runs",
        "{\"journeys\": [%s], \"cohort\": %s, \"cohortId\": null, \"seed\": %d, \"horizonDays\": 60}"
            .formatted(journeys, cohort, seed));
  }

  /** Waits for a run that has begun. */
  public long ran(Answer begun) {
    JsonNode progress = begun.body();
    long giveUp = System.nanoTime() + 120_000_000_000L;
    while (!progress.path("state").asString().equals("DONE")) {
      if (progress.path("state").asString().matches("CANCELLED|FAILED")
          || begun.status() >= 400
          || System.nanoTime() > giveUp) {
        throw new IllegalStateException("the run did not come to its end: " + progress);
      }
      progress = get("/api/runs-on-their-way/" + begun.body().get("job").asLong()).body();
    }
    return progress.get("run").asLong();
  }

  /** An answer that is no JSON. */
  public String text(String path) {
    return body(HttpRequest.newBuilder(URI.create(address() + path)).GET()).body();
  }

  private Answer send(String method, String path, String body) {
    return send(
        HttpRequest.newBuilder(URI.create(address() + path))
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
      return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException failure) {
      throw new UncheckedIOException(failure);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }
}
