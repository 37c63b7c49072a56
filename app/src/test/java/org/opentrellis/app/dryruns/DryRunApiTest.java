package org.opentrellis.app.dryruns;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Dry runs and comparisons over HTTP, on the demo. */
class DryRunApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static JsonNode report(long run) {
    return APP.get("/api/dry-runs/" + run).body().at("/journeys/0/report");
  }

  @Test
  void theSameSeedGivesTheSameFiguresAndTheyAreKept() {
    JsonNode one = report(APP.run("1", 5_000, 7));
    assertThat(one.at("/measures/entered").asInt()).isEqualTo(5_000);
    assertThat(report(APP.run("1", 5_000, 7))).isEqualTo(one);
    assertThat(report(APP.run("1", 5_000, 8))).isNotEqualTo(one);
  }

  @Test
  void aRunIsMadeAgainToTheSameFigures() {
    long run = APP.run("1", 5_000, 7);
    JsonNode before = report(run);
    Answer begun = APP.post("/api/dry-runs/" + run + "/repeats", "");
    assertThat(APP.ran(begun)).isEqualTo(run);
    String job = "/api/runs-on-their-way/" + begun.body().get("job").asLong();
    assertThat(APP.get(job).body().get("said").asString())
        .isEqualTo("Made again: every figure is the same.");
    assertThat(report(run)).isEqualTo(before);
  }

  @Test
  void runsAreNamedPinnedAndDeleted() {
    long run = APP.run("3", 1_000, 7);
    assertThat(
            APP.put(
                    "/api/dry-runs/" + run + "/label",
                    "{\"name\": \"Before the fair\", \"pinned\": true}")
                .status())
        .isEqualTo(204);
    APP.run("3", 1_000, 8);
    JsonNode first = APP.get("/api/dry-runs?journey=3").body().at("/runs/0");
    assertThat(first.get("name").asString()).isEqualTo("Before the fair");
    assertThat(first.get("id").asLong()).isEqualTo(run);
    assertThat(APP.delete("/api/dry-runs/" + run).status()).isEqualTo(204);
    assertThat(APP.get("/api/dry-runs/" + run).status()).isEqualTo(404);
  }

  @Test
  void severalJourneysTakeTheSamePeople() {
    long run = APP.run("1, 3", 2_000, 7);
    JsonNode journeys = APP.get("/api/dry-runs/" + run).body().get("journeys");
    assertThat(journeys).hasSize(2);
    assertThat(journeys.at("/1/run/journeyName").asString()).isEqualTo("Through the season");
    for (JsonNode journey : journeys) {
      assertThat(journey.at("/report/measures/entered").asInt()).isPositive();
    }
    assertThat(APP.get("/api/comparisons?runs=" + run + "," + run + ".1").status()).isEqualTo(200);
  }

  @Test
  void aLongRunIsToldOfAndStops() {
    JsonNode groups = APP.get("/api/journeys/1").body().at("/behaviour/groups");
    Answer begun =
        APP.begin(
            "1",
            "{\"people\": 1000000, \"groups\": %s, \"arrivals\": {\"kind\": \"evenly\", \"days\": 30}, \"holdOut\": 0.1}"
                .formatted(groups),
            1);
    assertThat(begun.status()).isEqualTo(202);
    String job = "/api/runs-on-their-way/" + begun.body().get("job").asLong();
    JsonNode progress = APP.until(begun, at -> at.get("done").asInt() > 0);
    assertThat(progress.get("people").asInt()).isEqualTo(1_000_000);
    assertThat(progress.get("peoplePerSecond").asLong()).isPositive();
    // Meanwhile the application answers.
    assertThat(APP.post("/api/journeys/1/estimates", "").status()).isEqualTo(200);
    APP.delete(job);
    progress = APP.until(begun, at -> at.get("state").asString().matches("CANCELLED|DONE"));
    assertThat(progress.get("state").asString()).isEqualTo("CANCELLED");
    assertThat(progress.get("run").isNull()).isTrue();
  }

  @Test
  void ordersOutOfRangeAreRefused() {
    JsonNode groups = APP.get("/api/journeys/1").body().at("/behaviour/groups");
    String cohort =
        "{\"people\": %d, \"groups\": %s, \"arrivals\": {\"kind\": \"evenly\", \"days\": %d}, \"holdOut\": %s}";
    assertThat(place(APP.begin("1", cohort.formatted(2_000_000_001, groups, 7, "0"), 1)))
        .isEqualTo("/cohort");
    assertThat(place(APP.begin("1", cohort.formatted(10_000_001, groups, 7, "0"), 1)))
        .isEqualTo("/cohort/people");
    assertThat(place(APP.begin("1", cohort.formatted(100, groups, 0, "0"), 1)))
        .startsWith("/cohort/arrivals");
    assertThat(place(APP.begin("1", cohort.formatted(100, groups, 7, "2"), 1)))
        .startsWith("/cohort");
    assertThat(place(APP.begin("1, 1", cohort.formatted(100, groups, 7, "0"), 1)))
        .isEqualTo("/journeys");
    assertThat(place(APP.begin("1", "null", 1))).isEqualTo("/cohort");
  }

  @Test
  void howLongManyPeopleTakeIsToldBeforehand() {
    assertThat(lookAhead(10_000).get("sentence").isNull()).isTrue();
    JsonNode many = lookAhead(10_000_000);
    assertThat(many.get("sentence").asString())
        .startsWith("It will take some")
        .endsWith("on this machine.");
    double ratio = many.get("seconds").asDouble() / lookAhead(5_000_000).get("seconds").asDouble();
    assertThat(ratio).isBetween(1.99, 2.01);
  }

  private static JsonNode lookAhead(int people) {
    JsonNode groups = APP.get("/api/journeys/1").body().at("/behaviour/groups");
    Answer told =
        APP.post(
            "/api/dry-runs/outlook",
            "{\"journeys\": [1], \"cohort\": {\"people\": %d, \"groups\": %s, \"arrivals\": {\"kind\": \"evenly\", \"days\": 7}, \"holdOut\": 0}, \"cohortId\": null, \"seed\": 3, \"horizonDays\": 60}"
                .formatted(people, groups));
    assertThat(told.status()).isEqualTo(200);
    return told.body();
  }

  /** As a later version does that tells more of a run: its people do not go through again. */
  @Test
  void aRunIsToldAgainFromWhatItCounted() {
    long run = APP.run("1, 3", 3_000, 11);
    JsonNode before = APP.get("/api/dry-runs/" + run).body();
    JdbcTemplate data = APP.bean(JdbcTemplate.class);
    data.update("update dry_run set results = null where id = ?", run);
    JsonNode told = APP.get("/api/dry-runs/" + run).body();
    assertThat(told).isEqualTo(before);
    // Counts of another engine say nothing of today's: the people go through again, and it is told.
    long other = APP.run("1, 3", 3_000, 11);
    data.update("update dry_run set results = null, counts = x'00' where id = ?", other);
    JsonNode anew = APP.get("/api/dry-runs/" + other).body();
    assertThat(anew.at("/journeys/0/report")).isEqualTo(before.at("/journeys/0/report"));
    assertThat(anew.get("again").asString()).startsWith("These figures were worked out anew on");
  }

  private static String place(Answer refused) {
    assertThat(refused.status()).isEqualTo(400);
    return refused.body().at("/problems/0/place").asString();
  }

  @Test
  void theQuotaIsTheAccountsAndToldWithTheRun() {
    String path = "/api/sending-limits";
    int version = APP.get(path).body().get("version").asInt();
    assertThat(APP.put(path, limits("1000", "3", version)).status()).isEqualTo(200);
    JsonNode lines = APP.get("/api/dry-runs/1").body().get("limits");
    assertThat(lines).anyMatch(line -> line.get("text").asString().contains("over the quota"));
    assertThat(APP.put(path, limits("-1", "3", version + 1)).status()).isEqualTo(400);
    Answer lost = APP.put(path, limits("5", "3", version));
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().at("/current/monthlyQuota").asLong()).isEqualTo(1000);
    APP.put(path, limits("null", "4", version + 1));
  }

  private static String limits(String quota, String perWeek, int version) {
    return "{\"monthlyQuota\": %s, \"segmentPrice\": 0.07, \"emailsPerWeek\": %s, \"version\": %d}"
        .formatted(quota, perWeek, version);
  }

  @Test
  void aCohortIsKeptAndItsRunsAreCalledByIt() {
    JsonNode groups = APP.get("/api/journeys/1").body().at("/behaviour/groups");
    String cohort =
        "{\"people\": %d, \"groups\": %s, \"arrivals\": {\"kind\": \"atOnce\", \"at\": \"09:00\"}, \"holdOut\": 0.05}";
    Answer kept =
        APP.post(
            "/api/cohorts",
            "{\"name\": \"Fair-goers\", \"cohort\": %s}".formatted(cohort.formatted(800, groups)));
    assertThat(kept.body().get("words").asString())
        .contains("800 people")
        .contains("all at once at 09:00")
        .contains("5% of them get nothing");
    long id = kept.body().get("id").asLong();
    assertThat(cohortName(id, cohort.formatted(800, groups))).isEqualTo("Fair-goers");
    assertThat(cohortName(id, cohort.formatted(900, groups))).isEqualTo("Fair-goers, changed");
    assertThat(APP.delete("/api/cohorts/" + id).status()).isEqualTo(204);
  }

  private static String cohortName(long id, String cohort) {
    Answer begun =
        APP.post(
            "/api/dry-runs",
            "{\"journeys\": [1], \"cohort\": %s, \"cohortId\": %d, \"seed\": 1, \"horizonDays\": 30}"
                .formatted(cohort, id));
    return APP.get("/api/dry-runs/" + APP.ran(begun))
        .body()
        .at("/journeys/0/run/cohortName")
        .asString();
  }

  @Test
  void theDemosVersionsAreComparedPersonByPerson() {
    Answer comparison = APP.get("/api/comparisons?runs=2,1");
    assertThat(comparison.status()).isEqualTo(200);
    JsonNode goal = comparison.body().at("/comparison/wholes/1/goal");
    assertThat(goal.get("paired").asBoolean()).isTrue();
    assertThat(goal.get("sentence").asString())
        .startsWith("\u201cFirst frames\u201d met the goal for")
        .contains("the same people compared one by one");
    double first = comparison.body().at("/columns/0/measures/goal/value").asDouble();
    double later = comparison.body().at("/columns/1/measures/goal/value").asDouble();
    assertThat(goal.get("points").asDouble())
        .isCloseTo(later - first, org.assertj.core.api.Assertions.within(1e-12));
    assertThat(comparison.body().at("/comparison/table/rows")).hasSize(7);
    assertThat(comparison.body().get("peopleSentence").asString()).contains("has the same people");
  }

  @Test
  void differentPeopleAreComparedByTheirTotals() {
    JsonNode whole = APP.get("/api/comparisons?runs=1,3").body().at("/comparison/wholes/1");
    assertThat(whole.at("/goal/paired").asBoolean()).isFalse();
    assertThat(whole.get("goalSentence").asString()).contains("their goals differ");
  }

  @Test
  void aComparisonIsKeptUnderAName() {
    String body =
        "{\"name\": \"Tries\", \"runs\": [\"2\", \"1\"], \"baseline\": 1, \"lineUp\": \"STEPS\", \"compared\": \"CLICKED\"}";
    Answer kept = APP.post("/api/kept-comparisons", body);
    assertThat(kept.status()).isEqualTo(200);
    assertThat(APP.get("/api/kept-comparisons").body()).hasSize(2);
    long id = kept.body().get("id").asLong();
    assertThat(APP.delete("/api/kept-comparisons/" + id).status()).isEqualTo(204);
  }

  @Test
  void aComparisonNeedsTwoDifferentRuns() {
    assertThat(APP.get("/api/comparisons?runs=1").status()).isEqualTo(400);
    assertThat(APP.get("/api/comparisons?runs=1,1").status()).isEqualTo(400);
    assertThat(APP.get("/api/comparisons?runs=1,frames").status()).isEqualTo(400);
    assertThat(APP.get("/api/comparisons?runs=1,2&baseline=2").status()).isEqualTo(400);
    assertThat(APP.get("/api/comparisons?runs=1,999").status()).isEqualTo(404);
  }

  @Test
  void theDemoHasJourneysOfEveryPurposeWithoutErrors() {
    var journeys = APP.get("/api/journeys").body().get("journeys");
    assertThat(journeys).hasSize(8);
    for (var journey : journeys) {
      assertThat(journey.at("/card/worst").asString("WARNING")).isEqualTo("WARNING");
      assertThat(journey.at("/run/people").asInt()).isPositive();
    }
  }
}
