package org.opentrellis.app.visitors;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Who may be let come by which form, who of them is in, and what becomes of what they cannot do.
 */
@Tag("thorough")
class VisitorCrowdsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final long WEEK = 7 * 24 * 3600;
  private static long planner;

  @BeforeAll
  static void openOne() {
    WORKSHOP.openNamed("First frames");
    planner = Forms.open(APP, "Planner", true, "Newcomers", null, null).id();
  }

  private static Answer come(long entrance, int journey, int people, int confirm) {
    return APP.post(
        "/api/visitors/crowds",
        """
        {"entrance": %d, "journeys": [%d], "people": %d, "days": 1, "pace": "MOST_AT_FIRST",
         "confirm": %d, "seed": 4}
        """
            .formatted(entrance, journey, people, confirm));
  }

  private static JsonNode newest() {
    return APP.get("/api/visitors").body().at("/crowds/0");
  }

  private static void isRefused(Answer answer, String place, String because) {
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(400);
    assertThat(answer.body().at("/problems/0/place").asString()).isEqualTo(place);
    assertThat(answer.body().at("/problems/0/sentence").asString()).contains(because);
  }

  @Test
  void whoeverDoesNotConfirmIsNotIn() {
    long before = APP.get("/api/live").body().at("/journeys/0/entered").asLong();
    assertThat(come(planner, 1, 10, 50).status()).isEqualTo(201);
    WORKSHOP.turn(WEEK);
    JsonNode crowd = newest();
    assertThat(crowd.get("came").asInt()).isEqualTo(10);
    assertThat(crowd.get("failed").asInt()).as("%s", crowd).isZero();
    long entered = APP.get("/api/live").body().at("/journeys/0/entered").asLong() - before;
    assertThat(entered).isBetween(1L, 9L);
    JsonNode entrance = APP.get("/api/entrances/" + planner).body();
    assertThat(entrance.get("signUps").asLong()).isGreaterThanOrEqualTo(10);
    assertThat(entrance.get("visits").asLong()).isGreaterThanOrEqualTo(10);
  }

  @Test
  void onceItIsStoppedNobodyElseComes() {
    assertThat(come(planner, 1, 5, 100).status()).isEqualTo(201);
    long crowd = newest().get("id").asLong();
    Answer stopped = APP.delete("/api/visitors/crowds/" + crowd + "/coming");
    assertThat(stopped.status()).as("%s", stopped.body()).isEqualTo(200);
    assertThat(APP.get("/api/visitors").body().get("crowds").valueStream())
        .noneMatch(one -> one.get("id").asLong() == crowd);
  }

  @Test
  void nobodyComesWhoCouldNotComeIn() {
    isRefused(come(4711, 1, 5, 100), "/entrance", "Choose a form that is on.");
    isRefused(come(planner, 1, 0, 100), "/people", "1 to 1,000");
    isRefused(come(planner, 1, 5, 0), "/confirm", "1 to 100");
    isRefused(come(planner, 3, 5, 100), "/journeys", "that are open");
    long fed =
        WORKSHOP.open(
            """
            welcome: Fed
            Starts when someone joins list "Members"
            Send "Choosing a kit"
            """);
    isRefused(come(planner, (int) fed, 5, 100), "/journeys", "does not come into “Fed”");
  }

  @Test
  void aFormThatIsTurnedOffTakesNobodyAndTheCrowdSaysSo() {
    ObjectNode made = (ObjectNode) APP.post("/api/entrances", "{\"name\": \"Soon shut\"}").body();
    ObjectNode entrance = (ObjectNode) made.get("entrance");
    entrance.put("agreement", "Ambercomb sends me news.").put("confirms", false);
    entrance.putArray("lists").add("Newcomers");
    ObjectNode draft = (ObjectNode) Json.tree("{\"version\": 1}");
    draft.set("entrance", entrance);
    long id = made.get("id").asLong();
    assertThat(APP.put("/api/entrances/" + id, draft.toString()).status()).isEqualTo(200);
    assertThat(APP.put("/api/entrances/" + id + "/on", "").status()).isEqualTo(200);
    assertThat(come(id, 1, 3, 100).status()).isEqualTo(201);
    assertThat(APP.delete("/api/entrances/" + id + "/on").status()).isEqualTo(200);
    WORKSHOP.turn(WEEK);
    JsonNode crowd = newest();
    assertThat(crowd.get("came").asInt()).isZero();
    assertThat(crowd.get("failed").asInt()).isGreaterThanOrEqualTo(3);
    assertThat(crowd.get("errands").asInt()).isZero();
    assertThat(crowd.get("said").asString()).isNotBlank();
  }
}
