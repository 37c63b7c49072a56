package org.opentrellis.app.messages;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** The message library over HTTP. */
class MessageApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static String edit(String name, String links, String version) {
    return ("{\"name\": \"%s\", \"links\": %s, \"content\": {\"kind\": \"email\", \"subject\": \"Hello\"},"
            + " \"voucher\": false, \"version\": %s}")
        .formatted(name, links, version);
  }

  private static Answer add(String name) {
    return APP.post("/api/messages", edit(name, "[]", "null"));
  }

  @Test
  void theIdComesFromTheNameAndIsFree() {
    assertThat(add("Hive plan: the 1st!").body().get("id").asString())
        .isEqualTo("hive-plan-the-1st");
    assertThat(add("Hive plan, the 1st").body().get("id").asString())
        .isEqualTo("hive-plan-the-1st-2");
    assertThat(add("\u00fc").body().get("id").asString()).isEqualTo("message");
  }

  @Test
  void aNameThatIsTakenIsSaidSoWhateverItsCapitals() {
    String id = add("Swarm season").body().get("id").asString();
    Answer taken = add("swarm Season");
    assertThat(taken.status()).isEqualTo(409);
    assertThat(taken.body().get("code").asString()).isEqualTo("name-taken");
    assertThat(taken.body().at("/problems/0/place").asString()).isEqualTo("/name");
    add("Honey season");
    assertThat(APP.put("/api/messages/" + id, edit("Honey season", "[]", "1")).status())
        .isEqualTo(409);
    assertThat(APP.put("/api/messages/" + id, edit("Swarm Season", "[]", "1")).status())
        .isEqualTo(200);
  }

  @Test
  void aSaveNeedsTheVersionItWasReadAt() {
    String id = add("Jar").body().get("id").asString();
    Answer saved = APP.put("/api/messages/" + id, edit("Jar", "[\"Kits\"]", "1"));
    assertThat(saved.status()).isEqualTo(200);
    assertThat(saved.body().get("version").asInt()).isEqualTo(2);
    Answer lost = APP.put("/api/messages/" + id, edit("Jam", "[]", "1"));
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().at("/current/links/0").asString()).isEqualTo("Kits");
    assertThat(lost.body().at("/current/version").asInt()).isEqualTo(2);
    assertThat(lost.body().at("/yours/name").asString()).isEqualTo("Jam");
    JsonNode versions = APP.get("/api/messages/" + id + "/versions").body();
    assertThat(versions.size()).isEqualTo(2);
    assertThat(versions.at("/0/links/0").asString()).isEqualTo("Kits");
    assertThat(versions.at("/1/links").size()).isZero();
    assertThat(APP.get("/api/messages/nowhere/versions").status()).isEqualTo(404);
  }

  @Test
  void badMessagesAreRefusedInASentence() {
    Answer refused = APP.post("/api/messages", edit("Jar", "[\"Kits\", \"Kits\"]", "null"));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().get("detail").asString())
        .isEqualTo("A message must not name a link twice.");
    assertThat(add(" ").body().get("detail").asString())
        .isEqualTo("A message's name must not be empty.");
    assertThat(APP.put("/api/messages/nowhere", edit("Jar", "[]", "1")).status()).isEqualTo(404);
  }
}
