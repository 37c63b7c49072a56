package org.opentrellis.app.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Journeys are opened and stopped, versioned, copied, put away, begun from starters. */
class ShelfApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static long begin(String starter) {
    Answer begun = APP.post("/api/starters/" + starter + "/journeys", "");
    assertThat(begun.status()).isEqualTo(201);
    return begun.body().get("id").asLong();
  }

  private static JsonNode view(long id) {
    return APP.get("/api/journeys/" + id).body();
  }

  private static Answer change(long id, int version, String state) {
    return APP.put(
        "/api/journeys/" + id + "/state",
        "{\"version\": %d, \"state\": \"%s\", \"by\": \"Ida\"}".formatted(version, state));
  }

  private static Answer save(JsonNode view, JsonNode journey, String by) {
    return APP.put(
        "/api/journeys/" + view.get("id").asLong(),
        "{\"version\": %d, \"journey\": %s, \"by\": %s}"
            .formatted(view.get("version").asInt(), journey, by));
  }

  private static List<String> labels(JsonNode view) {
    return StreamSupport.stream(view.get("stateChanges").spliterator(), false)
        .map(change -> change.get("label").asString())
        .toList();
  }

  @Test
  void aJourneyIsOpenedClosedAndStoppedAndEachStepSaysWhatItMeans() {
    long id = begin("welcome");
    assertThat(labels(view(id))).containsExactly("Open");
    assertThat(view(id).at("/stateChanges/0/sentence").asString())
        .startsWith("From now on it starts when someone joins list Newcomers, once per person.")
        .contains("Nobody is inside; whoever did this before does not enter.");
    Answer opened = change(id, 1, "OPEN");
    assertThat(opened.status()).isEqualTo(200);
    assertThat(opened.body().at("/journey/state").asString()).isEqualTo("OPEN");
    assertThat(labels(opened.body())).containsExactly("Close", "Stop");
    assertThat(change(id, 1, "CLOSING").status()).isEqualTo(409);
    assertThat(labels(change(id, 2, "CLOSING").body())).containsExactly("Open again", "Stop");
    assertThat(labels(change(id, 3, "STOPPED").body()))
        .containsExactly("Open again", "Back to draft");
    Answer wrong = change(id, 4, "CLOSING");
    assertThat(wrong.status()).isEqualTo(400);
    assertThat(wrong.body().get("detail").asString())
        .isEqualTo("A journey that is stopped cannot become closing.");
  }

  @Test
  void aJourneyWithErrorsIsNotOpened() {
    long id =
        APP.post("/api/journeys", "{\"name\": \"Empty\", \"purpose\": \"WELCOME\"}")
            .body()
            .get("id")
            .asLong();
    Answer refused = change(id, 1, "OPEN");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/code").asString()).isEqualTo("cannot-open");
    assertThat(refused.body().get("detail").asString()).startsWith("It cannot be opened yet: ");
    assertThat(view(id).at("/journey/state").asString()).isEqualTo("DRAFT");
  }

  @Test
  void everySaveIsAVersionThatCanBeNamedAndComparedWithNow() {
    long id = begin("cart");
    JsonNode first = view(id);
    ObjectNode changed = (ObjectNode) first.get("journey").deepCopy();
    ((ObjectNode) changed.at("/body/1/rule/amount")).put("count", 2);
    assertThat(save(first, changed, "\"Ida\"").status()).isEqualTo(200);
    changed.withArray("body").remove(4);
    assertThat(save(view(id), changed, "\"Ida\"").status()).isEqualTo(200);
    JsonNode versions = APP.get("/api/journeys/" + id + "/versions").body();
    assertThat(versions).hasSize(2);
    assertThat(versions.at("/0/version").asInt()).isEqualTo(3);
    assertThat(versions.at("/0/saves").asInt()).isEqualTo(2);
    assertThat(versions.at("/0/savedBy").asString()).isEqualTo("Ida");

    JsonNode whole = APP.get("/api/journeys/" + id + "/versions/1").body();
    assertThat(whole.get("journey")).isEqualTo(first.get("journey"));
    List<String> kinds =
        StreamSupport.stream(whole.get("difference").spliterator(), false)
            .map(line -> line.get("kind").asString())
            .filter(kind -> !kind.equals("SAME"))
            .toList();
    assertThat(kinds).containsExactly("CHANGED", "REMOVED");

    JsonNode named =
        APP.put("/api/journeys/" + id + "/versions/2/name", "{\"name\": \" Two days \"}").body();
    assertThat(named).hasSize(3);
    assertThat(named.at("/1/name").asString()).isEqualTo("Two days");
    assertThat(APP.put("/api/journeys/" + id + "/versions/9/name", "{\"name\": \"x\"}").status())
        .isEqualTo(404);
  }

  @Test
  void copiesAreDraftsOfTheirOwnAndOpenJourneysAreNotPutAway() {
    long id = begin("nurture");
    change(id, 1, "OPEN");
    JsonNode copy = APP.post("/api/journeys/" + id + "/copies", "").body();
    assertThat(copy.at("/journey/state").asString()).isEqualTo("DRAFT");
    assertThat(copy.at("/journey/name").asString())
        .isEqualTo(view(id).at("/journey/name").asString() + " 2");
    assertThat(copy.get("starter").asString()).isEqualTo("nurture");
    Answer refused = APP.put("/api/journeys/" + id + "/archived", "");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().get("detail").asString()).contains("Stop it first");
    long spare = copy.get("id").asLong();
    assertThat(
            APP.put("/api/journeys/" + spare + "/archived", "").body().get("archived").asBoolean())
        .isTrue();
    assertThat(APP.get("/api/journeys/names").body().toString())
        .contains(view(id).at("/journey/name").toString())
        .doesNotContain(copy.at("/journey/name").toString());
    assertThat(
            APP.delete("/api/journeys/" + spare + "/archived").body().get("archived").asBoolean())
        .isFalse();
  }

  /** Every starter stands on its own: nothing in it forbids opening, and each has its reasons. */
  @Test
  void startersCanBeOpenedAsTheyAre() {
    JsonNode all = APP.get("/api/starters").body();
    assertThat(all).hasSize(8);
    for (JsonNode starter : all) {
      assertThat(starter.get("reasons").size()).isGreaterThanOrEqualTo(3);
      JsonNode view = view(begin(starter.get("id").asString()));
      assertThat(view.get("findings").toString())
          .as(starter.get("id").asString())
          .doesNotContain("ERROR");
      assertThat(view.at("/sheet/rows")).hasSize(starter.at("/sheet/rows").size());
    }
  }
}
