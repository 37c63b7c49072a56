package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Entrances as the workshop keeps them. */
class EntrancesApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static Answer add(String name) {
    return APP.post("/api/entrances", "{\"name\": \"%s\"}".formatted(name));
  }

  private static Answer save(JsonNode of, JsonNode entrance) {
    return APP.put(
        "/api/entrances/" + of.get("id"),
        "{\"entrance\": %s, \"version\": %s}".formatted(entrance, of.get("version")));
  }

  private static ObjectNode entrance(JsonNode of) {
    return (ObjectNode) of.get("entrance").deepCopy();
  }

  private static Answer turnOn(JsonNode of) {
    return APP.put("/api/entrances/" + of.get("id") + "/on", "");
  }

  @Test
  void aNewOneIsOffAndSaysWhatIsMissing() {
    JsonNode made = add("Newly made").body();
    assertThat(made.get("on").asBoolean()).isFalse();
    assertThat(made.get("path").asString()).isEqualTo("/e/newly-made");
    assertThat(made.at("/findings/0/code").asString()).isEqualTo("no-agreement");
    assertThat(made.get("visits").asLong()).isZero();
    assertThat(made.get("days")).isEmpty();
  }

  @Test
  void twoAreNotCalledTheSame() {
    add("Called so");
    Answer second = add("called SO");
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.body().at("/problems/0/place").asString()).isEqualTo("/name");
    JsonNode other = add("Called otherwise").body();
    Answer renamed = save(other, entrance(other).put("name", "Called so"));
    assertThat(renamed.body().at("/problems/0/place").asString()).isEqualTo("/entrance/name");
    assertThat(add(" ").status()).isEqualTo(400);
  }

  @Test
  void whoeverSavesOverSomebodyElsesWorkIsTold() {
    JsonNode seen = add("Raced for").body();
    assertThat(save(seen, entrance(seen).put("title", "Mine")).status()).isEqualTo(200);
    Answer lost = save(seen, entrance(seen).put("title", "Theirs"));
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().get("code").asString()).isEqualTo("save-lost");
    assertThat(lost.body().at("/current/entrance/title").asString()).isEqualTo("Mine");
  }

  /**
   * Nobody comes into one that would leave them with nothing, nor is one made so while it is on.
   */
  @Test
  void peopleAreLetInOnlyIfNothingIsWrong() {
    JsonNode made = add("Let in").body();
    JsonNode wrong = save(made, entrance(made).put("button", " ")).body();
    Answer refused = turnOn(wrong);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.body().get("detail").asString())
        .isEqualTo("The form\u2019s button says nothing.");
    JsonNode right = save(wrong, entrance(made)).body();
    assertThat(turnOn(right).body().get("on").asBoolean()).isTrue();
    assertThat(save(right, entrance(right).put("title", "")).status()).isEqualTo(409);
  }

  @Test
  void aLookKeepsNothing() {
    JsonNode made = add("Looked at").body();
    Answer look =
        APP.post(
            "/api/entrances/looks",
            "{\"entrance\": %s}".formatted(entrance(made).put("title", "<b>Seen</b>")));
    assertThat(look.body().get("html").asString()).contains("&lt;b&gt;Seen&lt;/b&gt;");
    assertThat(APP.get("/api/entrances/" + made.get("id")).body()).isEqualTo(made);
  }

  @Test
  void aCopyIsOffAndHasAnAddressOfItsOwn() {
    JsonNode made = add("Copied").body();
    turnOn(made);
    JsonNode copy = APP.post("/api/entrances/" + made.get("id") + "/copies", "").body();
    assertThat(copy.at("/entrance/name").asString()).isEqualTo("Copied 2");
    assertThat(copy.get("path").asString()).isEqualTo("/e/copied-2");
    assertThat(copy.get("on").asBoolean()).isFalse();
  }

  @Test
  void oneThatIsDeletedIsGone() {
    String path = "/api/entrances/" + add("Deleted").body().get("id");
    assertThat(APP.delete(path).status()).isEqualTo(204);
    assertThat(APP.get(path).status()).isEqualTo(404);
    assertThat(APP.delete(path).status()).isEqualTo(404);
  }

  /** Form, list, tag and field, at the form and on the page of choices. */
  @Test
  void namesThatAreChangedChangeHereToo() {
    JsonNode made = add("Renamed form").body();
    ObjectNode with = entrance(made);
    with.putArray("lists").add("Old list");
    save(made, with);
    APP.put(
        "/api/choices-page",
        """
        {"page": {"title": "Yours", "lists": ["Old list"], "asks": [], "howOften": true}, "version": 0}
        """);
    JsonNode list = named("LIST", "Old list");
    assertThat(list.get("usedBy").toString()).contains("Renamed form").contains("Your choices");
    rename(list, "New list");
    rename(named("FORM", "Renamed form"), "Form with a new name");
    JsonNode after = APP.get("/api/entrances/" + made.get("id")).body();
    assertThat(after.at("/entrance/name").asString()).isEqualTo("Form with a new name");
    assertThat(after.at("/entrance/lists/0").asString()).isEqualTo("New list");
    assertThat(after.get("path")).as("links stay").isEqualTo(made.get("path"));
    assertThat(APP.get("/api/choices-page").body().at("/page/lists/0").asString())
        .isEqualTo("New list");
  }

  private static JsonNode named(String kind, String name) {
    return APP.get("/api/names")
        .body()
        .valueStream()
        .filter(one -> one.get("kind").asString().equals(kind))
        .filter(one -> one.get("name").asString().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private static void rename(JsonNode name, String to) {
    Answer renamed =
        APP.put(
            "/api/names/" + name.get("id"),
            """
            {"kind": %s, "name": "%s", "about": "", "group": null, "fieldType": null, "choices": [],
             "category": null, "priceCents": null}
            """
                .formatted(name.get("kind"), to));
    assertThat(renamed.status()).as("%s", renamed.body()).isEqualTo(200);
  }
}
