package org.opentrellis.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.opentrellis.app.http.ApiDocument;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The real application on a free port with a data folder of its own, for one test class. */
public final class RunningApplication implements BeforeAllCallback, AfterAllCallback {
  /** What springdoc needs to describe the API; else it stays out of the way. */
  private static final List<String> DESCRIBING =
      List.of(
          "springdoc.api-docs.enabled=true",
          "springdoc.api-docs.path=/api/as-it-is",
          "springdoc.api-docs.version=openapi_3_1",
          "springdoc.packages-to-scan=org.opentrellis.app",
          "springdoc.writer-with-order-by-keys=true");

  private static final String DEMO = "trellis.demo=true";

  private static final Map<List<String>, Path> LAID = new HashMap<>();

  private final List<String> properties;
  private final @Nullable Class<?> more;
  private final boolean atNightToo;
  private @Nullable ConfigurableApplicationContext context;
  private @Nullable Path data;
  private @Nullable Answers answers;

  private RunningApplication(List<String> properties, @Nullable Class<?> more, boolean atNightToo) {
    this.properties = properties;
    this.more = more;
    this.atNightToo = atNightToo;
  }

  public static RunningApplication empty() {
    return new RunningApplication(List.of(), null, false);
  }

  public static RunningApplication withDemo() {
    return new RunningApplication(List.of(DEMO), null, false);
  }

  /** The demo with so many people, in which mail goes out at any hour. */
  public static RunningApplication withPeople(int people) {
    return new RunningApplication(List.of(DEMO, "trellis.demo-people=" + people), null, true);
  }

  /** The same whose journeys have been open for three weeks, as the demo is started by hand. */
  public static RunningApplication withLife(int people) {
    return new RunningApplication(
        List.of(DEMO, "trellis.demo-people=" + people, "trellis.demo-live=true"), null, false);
  }

  /** One that reads the description of its API off its controllers. */
  public static RunningApplication describingItself() {
    return new RunningApplication(DESCRIBING, ApiDocument.class, false);
  }

  @Override
  public void beforeAll(ExtensionContext test) throws IOException {
    data = Files.createTempDirectory("trellis-test");
    String[] arguments = properties.stream().map(one -> "--" + one).toArray(String[]::new);
    if (properties.contains(DEMO)) {
      FileSystemUtils.copyRecursively(laid(arguments), data);
    }
    context = start(data, more, arguments);
    answers = Answers.of(context);
    if (atNightToo) {
      mailGoesOutAtNightToo(answers);
    }
  }

  /** Whoever tests mail does so at any hour. */
  public static void mailGoesOutAtNightToo(Answers app) {
    ObjectNode account = (ObjectNode) app.get("/api/account").body().get("account");
    account.putNull("quietHours");
    Answers.Answer set = app.put("/api/account", account.toString());
    if (set.status() != 200) {
      throw new AssertionError(set.body());
    }
  }

  /** A folder with that demo, which is laid once for all classes. */
  private static Path laid(String... arguments) throws IOException {
    synchronized (LAID) {
      Path kept = LAID.get(List.of(arguments));
      if (kept == null) {
        kept = Files.createTempDirectory("trellis-demo");
        start(kept, null, arguments).close();
        LAID.put(List.of(arguments), kept);
      }
      return kept;
    }
  }

  /** The application on a folder, for a test that starts and stops it by itself. */
  public static ConfigurableApplicationContext start(Path data, String... arguments) {
    return start(data, null, arguments);
  }

  /** One at a time: two that start at once set up the same logging, and one of them may fail. */
  private static synchronized ConfigurableApplicationContext start(
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
    return Objects.requireNonNull(data);
  }

  @Override
  public void afterAll(ExtensionContext test) {
    if (context != null) {
      context.close();
    }
  }

  /** A part of it, for what has no way over HTTP. */
  public <T> T bean(Class<T> type) {
    return Objects.requireNonNull(context).getBean(type);
  }

  public String address() {
    return answers().address();
  }

  public Answers.Answer get(String path) {
    return answers().get(path);
  }

  public Answers.Answer post(String path, String body) {
    return answers().post(path, body);
  }

  public Answers.Answer put(String path, String body) {
    return answers().put(path, body);
  }

  public Answers.Answer delete(String path) {
    return answers().delete(path);
  }

  /** An answer that is no JSON. */
  public String text(String path) {
    return answers().text(path);
  }

  public Answers.Answer postCsv(String path, byte[] table) {
    return answers().postCsv(path, table);
  }

  public String textOf(String path, String body) {
    return answers().textOf(path, body);
  }

  /** For questions over HTTP. */
  public Answers answers() {
    return Objects.requireNonNull(answers);
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
  public Answers.Answer begin(String journeys, String cohort, long seed) {
    return post(
        "/api/dry-runs",
        "{\"journeys\": [%s], \"cohort\": %s, \"cohortId\": null, \"seed\": %d, \"horizonDays\": 60}"
            .formatted(journeys, cohort, seed));
  }

  /** Waits for a run that has begun. */
  public long ran(Answers.Answer begun) {
    JsonNode progress = begun.body();
    if (begun.status() < 400) {
      progress = until(begun, at -> at.get("state").asString().matches("DONE|CANCELLED|FAILED"));
    }
    if (!progress.path("state").asString().equals("DONE")) {
      throw new IllegalStateException("the run did not come to its end: " + progress);
    }
    return progress.get("run").asLong();
  }

  /** Asks how far a run is until that is so, for two minutes at most. */
  public JsonNode until(Answers.Answer begun, Predicate<JsonNode> so) {
    String job = "/api/runs-on-their-way/" + begun.body().get("job").asLong();
    long giveUp = System.nanoTime() + TimeUnit.MINUTES.toNanos(2);
    JsonNode progress = begun.body();
    while (!so.test(progress)) {
      if (System.nanoTime() > giveUp) {
        throw new IllegalStateException("the run did not get there in two minutes: " + progress);
      }
      progress = get(job).body();
    }
    return progress;
  }
}
