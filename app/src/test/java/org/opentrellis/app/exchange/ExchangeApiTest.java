package org.opentrellis.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A journey goes out as a file and comes in again; what clashes is told and decided. */
class ExchangeApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static Answer bringIn(JsonNode file, boolean keep, String... overwrite) {
    ObjectNode order = JSON.createObjectNode();
    order.put("text", file.toString()).put("keep", keep);
    order.set("overwrite", JSON.valueToTree(overwrite));
    return APP.post("/api/imports", order.toString());
  }

  @Test
  void whatGoesOutComesInAgain() {
    JsonNode file = APP.get("/api/journeys/1/file").body();
    assertThat(file.at("/journey/name").asString()).isEqualTo("First frames");
    assertThat(file.get("messages").size()).isEqualTo(6);
    JsonNode told = bringIn(file, false).body();
    assertThat(told.get("id").isNull()).isTrue();
    assertThat(told.get("adds")).isEmpty();
    assertThat(told.get("clashes")).isEmpty();
    assertThat(told.get("name").asString()).isEqualTo("First frames 2");
    assertThat(told.get("note").asString()).contains("already");

    JsonNode kept = bringIn(file, true).body();
    JsonNode again = APP.get("/api/journeys/" + kept.get("id").asLong()).body();
    JsonNode original = APP.get("/api/journeys/1").body();
    assertThat(again.at("/journey/body")).isEqualTo(original.at("/journey/body"));
    assertThat(again.get("behaviour")).isEqualTo(original.get("behaviour"));
    assertThat(again.at("/journey/state").asString()).isEqualTo("DRAFT");
    assertThat(APP.text("/api/journeys/1/sheet")).startsWith("# First frames");
  }

  @Test
  void aMessageThatIsNotTheSameIsKeptUnlessTheFilesIsTaken() {
    ObjectNode file = (ObjectNode) APP.get("/api/journeys/3/file").body();
    ObjectNode message = (ObjectNode) file.at("/messages/0");
    String name = message.get("name").asString();
    String id = message.get("id").asString();
    ((ObjectNode) file.at("/manuscripts/" + id + "/subject/words/0"))
        .put("text", "Quite another subject");
    JsonNode told = bringIn(file, false).body();
    assertThat(told.get("clashes")).hasSize(1);
    String key = told.at("/clashes/0/key").asString();
    assertThat(told.at("/clashes/0/sentence").asString()).contains(name);
    bringIn(file, true);
    assertThat(messages()).doesNotContain("Quite another subject");
    bringIn(file, true, key);
    assertThat(messages()).contains("Quite another subject").contains("\"" + id + "\"");
  }

  @Test
  void aMessageThatIsCalledLikeAnotherGetsAnotherName() {
    String file = APP.text("/api/journeys/5/file");
    JsonNode parsed = JSON.readTree(file);
    String id = parsed.at("/messages/0/id").asString();
    String name = parsed.at("/messages/0/name").asString();
    ObjectNode changed = (ObjectNode) JSON.readTree(file.replace("\"" + id + "\"", "\"other-id\""));
    JsonNode told = bringIn(changed, true).body();
    assertThat(told.get("adds").toString())
        .contains("Another message is called \u201c" + name + "\u201d")
        .contains("\u201c" + name + " 2\u201d");
    assertThat(messages()).contains("\"name\":\"" + name + " 2\"");
  }

  private static String messages() {
    return APP.get("/api/messages").body().toString();
  }

  @Test
  void aFileThatIsNoJourneyIsRefusedWithItsPlace() {
    ObjectNode file = (ObjectNode) APP.get("/api/journeys/1/file").body();
    ((ObjectNode) file.at("/journey")).put("colour", "green");
    Answer refused = bringIn(file, true);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo("/journey/colour");
    int before = APP.get("/api/journeys").body().get("total").asInt();
    assertThat(
            APP.post("/api/imports", "{\"text\": \"hello\", \"keep\": true, \"overwrite\": []}")
                .status())
        .isEqualTo(400);
    assertThat(APP.get("/api/journeys").body().get("total").asInt()).isEqualTo(before);
  }
}
