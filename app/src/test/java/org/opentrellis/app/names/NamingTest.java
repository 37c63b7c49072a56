package org.opentrellis.app.names;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A name is called otherwise everywhere at once: with people, in journeys and all their versions.
 */
class NamingTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static List<JsonNode> names() {
    return APP.get("/api/names").body().valueStream().toList();
  }

  private static JsonNode named(String kind, String name) {
    return names().stream()
        .filter(
            one ->
                one.get("kind").asString().equals(kind) && one.get("name").asString().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private static String edit(String kind, String name, String more) {
    return """
    {"kind": "%s", "name": "%s", "about": null, "group": null, "fieldType": null, "choices": [],
     "category": null, "priceCents": null%s}
    """
        .formatted(kind, name, more);
  }

  private static JsonNode make(String kind, String name) {
    Answer made = APP.post("/api/names", edit(kind, name, ""));
    assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
    return made.body();
  }

  private static void person(String address, String lists, String tags, String fields) {
    JsonNode added =
        APP.post(
                "/api/people",
                "{\"address\": \"%s\", \"firstName\": null, \"lastName\": null, \"phone\": null, \"zone\": \"UTC\", \"agreed\": null}"
                    .formatted(address))
            .body();
    APP.put(
        "/api/people/" + added.get("id"),
        "{\"version\": 1, \"firstName\": null, \"lastName\": null, \"phone\": null, \"zone\": \"UTC\", \"lists\": [%s], \"tags\": [%s], \"fields\": [%s]}"
            .formatted(lists, tags, fields));
  }

  private static int found(String sentence) {
    Answer page =
        APP.post(
            "/api/people/pages",
            "{\"find\": \"%s\", \"search\": \"\", \"order\": \"NAME\", \"after\": null}"
                .formatted(sentence));
    assertThat(page.status()).as(page.body().toString()).isEqualTo(200);
    return page.body().get("total").asInt();
  }

  /** Everything that journeys are, as it is kept, in every version; without numbers and moments. */
  private static String journeys() {
    return APP.get("/api/journeys/names")
        .body()
        .valueStream()
        .map(one -> one.get("id").asLong())
        .map(
            id ->
                APP.get("/api/journeys/" + id).body().get("journey")
                    + " "
                    + APP.get("/api/journeys/%d/versions/1".formatted(id)).body().get("journey"))
        .collect(Collectors.joining("\n"));
  }

  /** Renamed, and renamed back, everything is as it was. */
  @Test
  void aListIsRenamedEverywhereAndBack() {
    JsonNode list = named("LIST", "Newcomers");
    assertThat(list.get("usedBy").size()).isGreaterThanOrEqualTo(3);
    long id = list.get("id").asLong();
    person("renamed@example.com", "\"Newcomers\"", "", "");
    String before = journeys();

    JsonNode renamed = APP.put("/api/names/" + id, edit("LIST", "New \\\"here\\\"", "")).body();
    assertThat(renamed.get("people").asInt()).isEqualTo(1);
    assertThat(renamed.get("usedBy")).isEqualTo(list.get("usedBy"));
    assertThat(journeys()).doesNotContain("Newcomers").contains("New \\\"here\\\"");
    assertThat(APP.get("/api/cohorts").body().toString()).doesNotContain("Newcomers");
    assertThat(found("are on list Newcomers")).isZero();

    assertThat(APP.put("/api/names/" + id, edit("LIST", "Newcomers", "")).status()).isEqualTo(200);
    assertThat(journeys()).isEqualTo(before);
    assertThat(found("are on list Newcomers")).isEqualTo(1);
  }

  private static String messages() {
    return APP.get("/api/messages")
        .body()
        .valueStream()
        .map(one -> "/api/messages/" + one.get("id").asString())
        .map(
            one -> APP.get(one).body().get("manuscript") + " " + APP.get(one + "/history/1").body())
        .collect(Collectors.joining("\n"));
  }

  /** A message uses what its passages and products name, and follows, with its versions. */
  @Test
  void aNameIsFollowedInMessages() {
    JsonNode list = named("LIST", "Members");
    long id = list.get("id").asLong();
    assertThat(
            list.get("usedBy")
                .valueStream()
                .filter(one -> one.get("what").asString().equals("MESSAGE"))
                .map(one -> one.get("name").asString()))
        .contains("Your hive planner is here");
    String before = messages();
    assertThat(before).contains("\"Members\"");

    assertThat(APP.put("/api/names/" + id, edit("LIST", "Keepers of hives", "")).status())
        .isEqualTo(200);
    assertThat(messages()).doesNotContain("\"Members\"").contains("\"Keepers of hives\"");
    assertThat(APP.put("/api/names/" + id, edit("LIST", "Members", "")).status()).isEqualTo(200);
    assertThat(messages()).isEqualTo(before);
  }

  /** What a message names and nobody has registered is offered to be made. */
  @Test
  void aMessageOffersToMakeWhatItNames() {
    JsonNode sheet = APP.get("/api/messages/turns-today").body();
    JsonNode part =
        APP.post(
                "/api/parts/readings",
                "{\"text\": \"passage if on list Night owls\", \"caret\": 0, \"id\": \"p99\"}")
            .body()
            .at("/made/part");
    ObjectNode manuscript = (ObjectNode) sheet.get("manuscript").deepCopy();
    manuscript.withArray("parts").add(part);
    Answer saved =
        APP.put(
            "/api/messages/turns-today/manuscript",
            "{\"name\": \"%s\", \"labels\": [], \"manuscript\": %s, \"version\": %s}"
                .formatted(sheet.get("name").asString(), manuscript, sheet.get("version")));
    assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
    JsonNode unknown = named("LIST", "Night owls");
    assertThat(unknown.get("id").isNull()).isTrue();
    assertThat(unknown.at("/usedBy/0/name")).isEqualTo(sheet.get("name"));
  }

  /** Whoever has the journey open is told: a save over it would bring the old name back. */
  @Test
  void whoHasAJourneyOpenIsToldOfIt() {
    long id = named("FIELD", "member until").get("id").asLong();
    JsonNode names = APP.get("/api/journeys/names").body();
    long journey =
        names
            .valueStream()
            .filter(one -> one.get("name").asString().equals("Membership turns over"))
            .findFirst()
            .orElseThrow()
            .get("id")
            .asLong();
    JsonNode open = APP.get("/api/journeys/" + journey).body();
    APP.put(
        "/api/names/" + id,
        edit("FIELD", "member till", ", \"fieldType\": \"DATE\"")
            .replace("\"fieldType\": null, ", ""));
    Answer lost =
        APP.put(
            "/api/journeys/" + journey,
            "{\"version\": %s, \"journey\": %s, \"by\": null}"
                .formatted(open.get("version"), open.get("journey")));
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().at("/current/journey").toString()).contains("member till");
  }

  /** A name that nobody has registered is said, and registered with one button. */
  @Test
  void aJourneyOffersToMakeWhatItNames() {
    JsonNode added =
        APP.post("/api/journeys", "{\"name\": \"New words\", \"purpose\": \"OTHER\"}").body();
    JsonNode read =
        APP.post(
                "/api/journeys/%s/readings".formatted(added.get("id")),
                """
                {"journey": %s, "row": "end", "replaces": false, "text": "add tag beginner", "caret": 0}
                """
                    .formatted(added.get("journey")))
            .body();
    APP.put(
        "/api/journeys/" + added.get("id"),
        "{\"version\": %s, \"journey\": %s, \"by\": null}"
            .formatted(added.get("version"), read.at("/understood/journey")));
    String names = "/api/journeys/%s/new-names".formatted(added.get("id"));
    assertThat(APP.get(names).body().at("/0/sentence").asString())
        .isEqualTo("The tag “beginner” is not registered yet, so nobody carries it.");
    assertThat(named("TAG", "beginner").get("id").isNull()).isTrue();
    assertThat(APP.post(names, "{}").body().size()).isEqualTo(1);
    assertThat(APP.get(names).body().size()).isZero();
    assertThat(named("TAG", "beginner").get("id").isNull()).isFalse();
  }

  /** Every registered name finds its people by the sentence that it says. */
  @Test
  void eachNameFindsItsPeople() {
    person(
        "found1@example.com",
        "\"Sea \\\"side\\\"\"",
        "\"and or\"",
        "{\"field\": \"is\", \"value\": \"7\"}");
    for (JsonNode name : names()) {
      if (!name.get("found").isNull()) {
        assertThat(found(name.get("found").asString().replace("\"", "\\\"")))
            .as(name.toString())
            .isEqualTo(name.get("people").asInt());
      }
    }
  }

  @Test
  void twoTagsBecomeOne() {
    person("one@example.com", "", "\"stall\"", "");
    person("two@example.com", "", "\"booth\"", "");
    person("both@example.com", "", "\"stall\", \"booth\"", "");
    long stall = named("TAG", "stall").get("id").asLong();
    long booth = named("TAG", "booth").get("id").asLong();
    JsonNode merged =
        APP.post("/api/names/%d/merges".formatted(stall), "{\"into\": %d}".formatted(booth)).body();
    assertThat(merged.get("people").asInt()).isEqualTo(3);
    assertThat(names().toString()).doesNotContain("stall");
    assertThat(found("have tag booth")).isEqualTo(3);
    assertThat(
            APP.post("/api/names/%d/merges".formatted(booth), "{\"into\": %d}".formatted(booth))
                .status())
        .isEqualTo(409);
  }

  @Test
  void whatIsDeletedIsSaidBeforeAndGoesFromAll() {
    person("gone1@example.com", "\"Short\"", "", "");
    person("gone2@example.com", "\"Short\"", "", "");
    JsonNode list = named("LIST", "Short");
    assertThat(list.at("/deleting/0").asString()).isEqualTo("2 people are on it and leave it.");
    assertThat(APP.delete("/api/names/" + list.get("id")).status()).isEqualTo(204);
    assertThat(found("are on list Short")).isZero();
    assertThat(names().toString()).doesNotContain("Short");
  }

  @Test
  void aFieldKeepsWhatPeopleHaveInIt() {
    person("field1@example.com", "", "", "{\"field\": \"breed\", \"value\": \"Carnica\"}");
    person("field2@example.com", "", "", "{\"field\": \"breed\", \"value\": \"Buckfast\"}");
    long id = named("FIELD", "breed").get("id").asLong();
    String oneOf =
        edit("FIELD", "breed", "")
            .replace(
                "\"fieldType\": null, \"choices\": []",
                "\"fieldType\": \"ONE_OF\", \"choices\": [%s]");
    Answer few = APP.put("/api/names/" + id, oneOf.formatted("\"Carnica\""));
    assertThat(few.body().at("/problems/0/sentence").asString())
        .startsWith("1 people have another value");
    assertThat(APP.put("/api/names/" + id, oneOf.formatted("\"Carnica\", \"Buckfast\"")).status())
        .isEqualTo(200);
    Answer number =
        APP.put(
            "/api/names/" + id,
            edit("FIELD", "breed", "").replace("\"fieldType\": null", "\"fieldType\": \"NUMBER\""));
    assertThat(number.body().at("/problems/0/place").asString()).isEqualTo("/fieldType");
  }

  @ParameterizedTest
  @CsvSource({"LIST, '', 400", "TAG, taken, 409", "TAG, 'with\u0007bell', 400"})
  void whatCannotBeANameIsRefused(String kind, String name, int status) {
    APP.post("/api/names", edit("TAG", "taken", ""));
    assertThat(APP.post("/api/names", edit(kind, name.replace("\u0007", "\\u0007"), "")).status())
        .isEqualTo(status);
  }
}
