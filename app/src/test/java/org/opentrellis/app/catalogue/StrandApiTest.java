package org.opentrellis.app.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** Strands over HTTP: made once, saved over the version that was read, looked at before. */
class StrandApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static String strand(String id, String tag, String version) {
    return """
        {"version": %s, "document": {"id": "%s", "name": "Short run", "body": [
          {"kind": "change", "id": "c", "changes": [{"kind": "addTag", "tag": "%s"}]}]}}
        """
        .formatted(version, id, tag);
  }

  @Test
  void aStrandIsMadeOnceAndSavedOverWhatWasRead() {
    assertThat(APP.post("/api/strands", strand("short", "one", "null")).status()).isEqualTo(201);
    Answers.Answer again = APP.post("/api/strands", strand("short", "two", "null"));
    assertThat(again.status()).isEqualTo(409);
    assertThat(again.body().get("current").at("/document/body/0/changes/0/tag").asString())
        .isEqualTo("one");
    assertThat(APP.put("/api/strands/short", strand("short", "two", "1")).status()).isEqualTo(200);
    assertThat(APP.put("/api/strands/short", strand("short", "three", "1")).status())
        .isEqualTo(409);
    assertThat(APP.get("/api/strands/short/versions").body()).hasSize(2);
  }

  @Test
  void aLookTellsWhatWouldChangeAndKeepsNothing() {
    JsonNode kept = APP.get("/api/strands").body().get(0);
    String id = kept.at("/document/id").asString();
    String changed = kept.get("document").toString().replace("\"season-reader\"", "\"newly-read\"");
    String path = "/api/strands/" + id + "/looks";
    JsonNode look = APP.post(path, "{\"document\": " + changed + "}").body();
    assertThat(look.at("/users/0/name").asString()).isEqualTo("Thirty days of bees");
    assertThat(look.at("/users/0/findings").toString()).contains("newly-read");
    assertThat(look.get("difference").toString()).contains("\"CHANGED\"", "Tag \u201cnewly-read");
    assertThat(APP.get("/api/strands").body().get(0)).isEqualTo(kept);
    assertThat(APP.post("/api/strands/other/looks", "{\"document\": " + changed + "}").status())
        .isEqualTo(400);
  }
}
