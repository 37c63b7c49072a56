package org.opentrellis.app.walks;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** One person walks through the demo's welcome, as choices are made. */
class WalkApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static ObjectNode walker(boolean model, String... choices) {
    return (ObjectNode)
        JSON.readTree(
            """
            {"group": 0, "number": 3, "start": "2027-03-01T09:00:00", "tags": [], "lists": [],
             "agreesToTexts": true, "choices": [%s], "lots": {}, "modelDecides": %s}
            """
                .formatted(String.join(",", choices), model));
  }

  private static String choice(String step, String does, double hours) {
    return "{\"step\": \"%s\", \"does\": \"%s\", \"hours\": %s, \"link\": 0}"
        .formatted(step, does, hours);
  }

  private static JsonNode walk(JsonNode walker) {
    Answer answer =
        APP.post("/api/journeys/1/walks", "{\"journey\": null, \"walker\": %s}".formatted(walker));
    assertThat(answer.status()).isEqualTo(200);
    return answer.body();
  }

  private static List<String> said(JsonNode walk) {
    return StreamSupport.stream(walk.get("lines").spliterator(), false)
        .map(line -> line.get("when").asString() + " " + line.get("sentence").asString())
        .toList();
  }

  @Test
  void itStopsAtTheFirstMessageThatNothingIsSaidOf() {
    JsonNode walk = walk(walker(false));
    assertThat(walk.at("/ask/step").asString()).isEqualTo("planner");
    assertThat(walk.at("/ask/when").asString()).isEqualTo("Mon 1 Mar 09:00");
    assertThat(walk.get("end").isNull()).isTrue();
    assertThat(said(walk))
        .last()
        .isEqualTo("Mon 1 Mar 09:00 Gets the email \u201cYour hive planner is here\u201d.");
    assertThat(walk.get("route").toString()).doesNotContain("one-day");
  }

  @Test
  void everyTurnSaysWhenAndWhy() {
    JsonNode walk = walk(walker(false, choice("planner", "OPEN", 5)));
    assertThat(said(walk))
        .contains("Mon 1 Mar 14:00 Opens \u201cYour hive planner is here\u201d.")
        .anyMatch(
            line ->
                line.startsWith("Tue 2 Mar 09:00 They opened \u201cYour hive planner is here\u201d")
                    && line.endsWith("on Mon 1 Mar 14:00, so arm A."));
    JsonNode ignored = walk(walker(false, choice("planner", "IGNORE", 0)));
    assertThat(said(ignored))
        .anyMatch(
            line ->
                line.contains("By Tue 2 Mar 09:00 it was not so that they opened")
                    && line.endsWith("so arm B."));
  }

  @Test
  void whoBuysOrUnsubscribesLeavesAndSaysSo() {
    JsonNode bought = walk(walker(true, choice("planner", "BUY", 1)));
    assertThat(bought.get("end").asString())
        .startsWith("Leaves the journey: the goal is met, they bought anything");
    JsonNode gone = walk(walker(true, choice("planner", "UNSUBSCRIBE", 1)));
    assertThat(gone.get("end").asString()).isEqualTo("Leaves the journey: they have unsubscribed.");
  }

  @Test
  void theModelGoesOnToTheEndAndTheSameEachTime() {
    JsonNode walk = walk(walker(true));
    assertThat(walk.get("ask").isNull()).isTrue();
    assertThat(walk.get("end").asString()).isNotEmpty();
    assertThat(walk(walker(true))).isEqualTo(walk);
  }

  @Test
  void aKeptWalkSaysWhenItComesOutAnotherWay() {
    long id = APP.post("/api/journeys/1/copies", "").body().get("id").asLong();
    String walks = "/api/journeys/" + id + "/kept-walks";
    ObjectNode walker = walker(true, choice("planner", "IGNORE", 0));
    JsonNode kept =
        APP.post(walks, "{\"name\": \"Reads nothing\", \"walker\": %s}".formatted(walker)).body();
    assertThat(kept.at("/0/same").asBoolean()).isTrue();
    assertThat(kept.at("/0/sentence").asString()).startsWith("Comes out as it did: ");

    JsonNode view = APP.get("/api/journeys/" + id).body();
    ObjectNode journey = (ObjectNode) view.get("journey").deepCopy();
    journey.withArray("body").insert(0, JSON.readTree("{\"kind\": \"finish\", \"id\": \"over\"}"));
    APP.put(
        "/api/journeys/" + id,
        "{\"version\": 1, \"journey\": %s, \"by\": null}".formatted(journey));
    JsonNode again = APP.get(walks).body();
    assertThat(again.at("/0/same").asBoolean()).isFalse();
    assertThat(again.at("/0/sentence").asString()).contains("goes another way from");
    assertThat(APP.delete(walks + "/" + again.at("/0/id").asLong()).body()).isEmpty();
  }

  @Test
  void whatCannotBeIsRefusedAtItsPlace() {
    ObjectNode walker = walker(false, choice("planner", "OPEN", -1)).put("group", 9);
    Answer refused =
        APP.post("/api/journeys/1/walks", "{\"journey\": null, \"walker\": %s}".formatted(walker));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo("/walker/group");
    assertThat(refused.body().at("/problems/1/place").asString())
        .isEqualTo("/walker/choices/0/hours");
  }
}
