package org.opentrellis.app.betterways;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** A search from the first screen to the journey that takes it over, over HTTP. */
class BetterWaysApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static final String CART = "Left on the bench";

  /** The first run of a journey. */
  private static long run(String journey) {
    return StreamSupport.stream(APP.get("/api/dry-runs").body().get("runs").spliterator(), false)
        .filter(run -> run.get("journeyName").asString().equals(journey))
        .mapToLong(run -> run.get("id").asLong())
        .min()
        .orElseThrow();
  }

  private static String wish(String vary, int people) {
    return """
    {"vary": [%s], "wanted": {"what": "GOAL", "emailPrice": 0, "mayLose": 0.005},
     "limits": {}, "people": %d}
    """
        .formatted(vary, people);
  }

  private static final String TRIES =
      """
      {"kind": "tries", "step": "questions", "from": 0, "to": 2},
      {"kind": "length", "step": "three-days", "from": 1, "to": 5, "by": 1}
      """;

  /** Asks until a search is over. */
  private static JsonNode over(JsonNode begun) {
    JsonNode stand = begun;
    for (int i = 0; i < 600 && List.of("QUEUED", "RUNNING").contains(state(stand)); i++) {
      try {
        Thread.sleep(100);
      } catch (InterruptedException stopped) {
        throw new IllegalStateException(stopped);
      }
      stand = APP.get("/api/searches-on-their-way/" + begun.get("job").asLong()).body();
    }
    return stand;
  }

  private static String state(JsonNode stand) {
    return stand.get("state").asString();
  }

  @Test
  void whatIsFoundIsKeptTakenOverAndKeptAsAVersion() {
    long run = run(CART);
    JsonNode none = APP.get("/api/dry-runs/%d/better-ways".formatted(run("First frames"))).body();
    assertThat(none.get("found").isNull()).isTrue();
    JsonNode size =
        APP.post("/api/dry-runs/%d/search-sizes".formatted(run), wish(TRIES, 4000)).body();
    assertThat(size.at("/size/combinations").asInt()).isEqualTo(15);
    assertThat(size.at("/vary/1/sentence").asString()).contains("1 day, 2 days, 3 days");
    assertThat(size.get("seconds").asDouble()).isPositive();

    double before = secondsEach(run, 4000);
    JsonNode stand =
        over(APP.post("/api/dry-runs/%d/searches".formatted(run), wish(TRIES, 4000)).body());
    assertThat(state(stand)).isEqualTo("DONE");
    assertThat(stand.at("/best/changes").size()).isPositive();
    JsonNode found = APP.get("/api/dry-runs/%d/better-ways".formatted(run)).body().get("found");
    assertThat(found.at("/better/0/verdict").asBoolean()).isTrue();
    assertThat(found.get("sentence").asString()).contains("not by chance");
    assertThat(found.get("tried").size()).isEqualTo(15);

    // Now it is known how long such a search takes for each who goes through, whatever the run
    // took.
    double each = secondsEach(run, 4000);
    assertThat(each).isNotEqualTo(before);
    assertThat(each).isPositive().isLessThan(1e-3);
    assertThat(secondsEach(run, 8000)).isCloseTo(each, withPercentage(1));

    // Taking it over saves nothing; the document is the journey's with that change.
    long journey = journey(run);
    JsonNode was = APP.get("/api/journeys/" + journey).body();
    Answer taken = APP.get("/api/dry-runs/%d/better-ways/0/journey".formatted(run));
    assertThat(taken.body().at("/journey/body").size())
        .isGreaterThan(was.at("/journey/body").size());
    assertThat(taken.body().at("/behaviour/emails/again-1").isObject()).isTrue();
    assertThat(APP.get("/api/journeys/" + journey).body().get("version"))
        .isEqualTo(was.get("version"));

    // As a version of its own it stands among the versions, and the journey is as it was.
    JsonNode kept = APP.post("/api/dry-runs/%d/better-ways/0/versions".formatted(run), "{}").body();
    JsonNode after = APP.get("/api/journeys/" + journey).body();
    assertThat(after.get("journey")).isEqualTo(was.get("journey"));
    JsonNode versions = APP.get("/api/journeys/%d/versions".formatted(journey)).body();
    assertThat(StreamSupport.stream(versions.spliterator(), false))
        .anySatisfy(
            one -> {
              assertThat(one.get("version")).isEqualTo(kept.get("version"));
              assertThat(one.get("name").asString()).startsWith("Better way: ");
            });
    JsonNode made = APP.get("/api/dry-runs/" + kept.get("run").asLong()).body();
    assertThat(made.at("/journeys/0/report/measures/entered"))
        .isEqualTo(
            APP.get("/api/dry-runs/" + run).body().at("/journeys/0/report/measures/entered"));
    assertThat(made.at("/journeys/0/journey")).isEqualTo(taken.body().get("journey"));

    assertThat(APP.get("/api/dry-runs/%d/better-ways/9/journey".formatted(run)).status())
        .isEqualTo(404);
  }

  private static double secondsEach(long run, int people) {
    String sizes = "/api/dry-runs/%d/search-sizes".formatted(run);
    JsonNode size = APP.post(sizes, wish(TRIES, people)).body();
    return size.get("seconds").asDouble() / size.at("/size/personRuns").asDouble();
  }

  private static long journey(long run) {
    return APP.get("/api/dry-runs/" + run).body().at("/journeys/0/run/journeyId").asLong();
  }

  /** One that is cut short keeps what it has found; one that is cancelled keeps nothing. */
  @Test
  void enoughAndCancel() {
    long run = run(CART);
    String many =
        wish(
            TRIES
                + ", {\"kind\": \"tries\", \"step\": \"still\", \"from\": 0, \"to\": 2}"
                + ", {\"kind\": \"tries\", \"step\": \"voucher\", \"from\": 0, \"to\": 2}"
                + ", {\"kind\": \"length\", \"step\": \"a-day\", \"from\": 1, \"to\": 9, \"by\": 1}",
            30_000);
    JsonNode begun = APP.post("/api/dry-runs/%d/searches".formatted(run), many).body();
    assertThat(APP.put(job(begun) + "/enough", "{}").body().get("enough").asBoolean()).isTrue();
    assertThat(state(over(begun))).isEqualTo("DONE");
    assertThat(
            APP.get("/api/dry-runs/%d/better-ways".formatted(run))
                .body()
                .at("/found/stopped")
                .asBoolean())
        .isTrue();
    JsonNode second = APP.post("/api/dry-runs/%d/searches".formatted(run), many).body();
    APP.delete(job(second));
    assertThat(state(over(second))).isEqualTo("CANCELLED");
  }

  private static String job(JsonNode begun) {
    return "/api/searches-on-their-way/" + begun.get("job").asLong();
  }

  @Test
  void whatCannotBeLookedForIsRefusedWithItsPlace() {
    long run = run(CART);
    Answer unknown =
        APP.post(
            "/api/dry-runs/%d/searches".formatted(run),
            wish("{\"kind\": \"tries\", \"step\": \"nowhere\", \"from\": 0, \"to\": 2}", 4000));
    assertThat(unknown.status()).isEqualTo(400);
    assertThat(unknown.body().get("detail").asString()).contains("no step nowhere");
    Answer few = APP.post("/api/dry-runs/%d/search-sizes".formatted(run), wish(TRIES, 5));
    assertThat(few.status()).isEqualTo(400);
    assertThat(few.body().get("detail").asString()).contains("500 to 200,000");
    assertThat(APP.get("/api/searches-on-their-way/999").status()).isEqualTo(404);
    JsonNode leeways = APP.get("/api/dry-runs/%d/leeways".formatted(run)).body();
    assertThat(leeways.size()).isGreaterThan(8);
  }
}
