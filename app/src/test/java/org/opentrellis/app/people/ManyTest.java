package org.opentrellis.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** What is done to many people is said first, done to just those, and can be taken back. */
@Tag("thorough")
class ManyTest {
  private static final int CROWD = 60;

  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static final List<Long> IDS = new java.util.ArrayList<>();

  @BeforeAll
  static void crowd() {
    IntStream.range(0, CROWD)
        .mapToObj(
            n ->
                "{\"address\": \"many%d@example.com\", \"firstName\": \"Many\", \"lastName\": null, \"phone\": null, \"zone\": \"Europe/Oslo\", \"agreed\": \"said so\"}"
                    .formatted(n))
        .forEach(body -> IDS.add(APP.post("/api/people", body).body().get("id").asLong()));
    // One who carries it already, one who did, one with another value.
    edit(IDS.get(0), "[]", "[\"market\"]", "[]");
    edit(IDS.get(1), "[\"Keepers\"]", "[\"market\"]", "[{\"field\": \"hives\", \"value\": \"3\"}]");
    edit(IDS.get(1), "[\"Keepers\"]", "[]", "[]");
  }

  private static JsonNode person(long id) {
    return APP.get("/api/people/" + id).body();
  }

  private static JsonNode edit(long id, String lists, String tags, String fields) {
    JsonNode now = person(id);
    Answer saved =
        APP.put(
            "/api/people/" + id,
            "{\"version\": %d, \"firstName\": \"Many\", \"lastName\": null, \"phone\": null, \"zone\": \"Europe/Oslo\", \"lists\": %s, \"tags\": %s, \"fields\": %s}"
                .formatted(now.get("version").asInt(), lists, tags, fields));
    assertThat(saved.status()).isEqualTo(200);
    return saved.body();
  }

  private static String order(String change, String name, String value) {
    return "{\"people\": {\"find\": \"\", \"search\": \"many\", \"chosen\": null}, \"change\": \"%s\", \"name\": %s, \"value\": %s}"
        .formatted(change, quoted(name), quoted(value));
  }

  private static String quoted(String text) {
    return text == null || text.isEmpty() ? "null" : "\"" + text + "\"";
  }

  /** Everything that is known of everybody, but what only grows: versions and stories. */
  private static List<String> everybody() {
    return IDS.stream()
        .map(id -> person(id))
        .map(
            one ->
                one.get("labels")
                    + " "
                    + one.get("fields")
                    + " "
                    + one.get("mailing")
                    + " "
                    + one.get("mailingSince")
                    + " "
                    + one.get("mailingHow"))
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "TAG, market, , 59, have tag market, 60",
    "TAG, brand new, , 60, have tag 'brand new', 60",
    "UNTAG, market, , 1, have tag market, 0",
    "PUT_ON_LIST, Keepers, , 59, are on list Keepers, 60",
    "TAKE_OFF_LIST, Keepers, , 1, are on list Keepers, 0",
    "SET_FIELD, hives, 4, 60, have field hives at least 4, 60",
    "SET_FIELD, hives, 3, 59, have field hives at least 3, 60",
    "CLEAR_FIELD, hives, , 1, have field hives at least 3, 0",
  })
  void isSaidThenDoneThenTakenBack(
      String change, String name, String value, int changing, String find, int after) {
    List<String> before = everybody();
    JsonNode preview = APP.post("/api/people-acts/previews", order(change, name, value)).body();
    assertThat(preview.get("found").asInt()).isEqualTo(CROWD);
    assertThat(preview.get("changing").asInt()).isEqualTo(changing);
    assertThat(everybody()).isEqualTo(before);

    JsonNode act = APP.post("/api/people-acts", order(change, name, value)).body();
    assertThat(act.get("state").asString()).isEqualTo("DONE");
    assertThat(act.get("sentence").asString())
        .isEqualTo(
            changing == 1 ? "Done: one person changed." : "Done: " + changing + " people changed.");
    assertThat(found(find)).isEqualTo(after);

    JsonNode back = APP.post("/api/people-acts/" + act.get("id") + "/back", "{}").body();
    assertThat(back.get("sentence").asString()).isEqualTo("Taken back.");
    assertThat(everybody()).isEqualTo(before);
    Answer again = APP.post("/api/people-acts/" + act.get("id") + "/back", "{}");
    assertThat(again.status()).isEqualTo(409);
  }

  private static int found(String sentence) {
    return APP.post(
            "/api/people/pages",
            "{\"find\": \"%s\", \"search\": \"many\", \"order\": \"NAME\", \"after\": null}"
                .formatted(sentence.replace("'", "\\\"")))
        .body()
        .get("total")
        .asInt();
  }

  /** Also more than the database takes at once, and numbers that nobody has. */
  @Test
  void whoeverIsChosenOfThemIsMeant() {
    String numbers =
        LongStream.rangeClosed(1, 70_000)
            .filter(number -> number != IDS.getLast())
            .mapToObj(String::valueOf)
            .collect(Collectors.joining(",", "[", ", 9999999999]"));
    String order =
        "{\"people\": {\"find\": \"\", \"search\": \"many\", \"chosen\": %s}, \"change\": \"TAG\", \"name\": \"chosen\", \"value\": null}"
            .formatted(numbers);
    Answer preview = APP.post("/api/people-acts/previews", order);
    assertThat(preview.status()).isEqualTo(200);
    assertThat(preview.body().get("found").asInt()).isEqualTo(CROWD - 1);
    JsonNode act = APP.post("/api/people-acts", order).body();
    assertThat(found("have tag chosen")).isEqualTo(CROWD - 1);
    assertThat(person(IDS.getLast()).get("labels").toString()).doesNotContain("chosen");
    APP.post("/api/people-acts/" + act.get("id") + "/back", "{}");
    assertThat(found("have tag chosen")).isZero();
  }

  /** Nobody who has gone comes back by it, nor do those who had gone before. */
  @Test
  void mailingStopsAndOnlyThoseWhoWereMailedComeBack() {
    List<String> before = everybody();
    JsonNode act = APP.post("/api/people-acts", order("STOP_MAILING", null, null)).body();
    assertThat(person(IDS.get(5)).get("mailing").asString()).isEqualTo("UNSUBSCRIBED");
    assertThat(person(IDS.get(5)).at("/story/0/sentence").asString())
        .isEqualTo("Is unsubscribed: nothing is sent to them any more, by hand with 59 others.");
    JsonNode second = APP.post("/api/people-acts", order("STOP_MAILING", null, null)).body();
    assertThat(second.get("sentence").asString()).isEqualTo("Done: 0 people changed.");
    APP.post("/api/people-acts/" + second.get("id") + "/back", "{}");
    assertThat(person(IDS.get(5)).get("mailing").asString()).isEqualTo("UNSUBSCRIBED");
    APP.post("/api/people-acts/" + act.get("id") + "/back", "{}");
    assertThat(everybody()).isEqualTo(before);
  }

  @Test
  void whatSomebodyHasChangedSinceStays() {
    JsonNode act = APP.post("/api/people-acts", order("SET_FIELD", "touched", "first")).body();
    long one = IDS.get(7);
    edit(one, "[]", "[]", "[{\"field\": \"touched\", \"value\": \"second\"}]");
    JsonNode back = APP.post("/api/people-acts/" + act.get("id") + "/back", "{}").body();
    assertThat(back.get("sentence").asString())
        .isEqualTo("Taken back; one thing stayed, since something has happened to them.");
    assertThat(person(one).get("fields").toString()).contains("second");
    assertThat(person(IDS.get(8)).get("fields").toString()).doesNotContain("touched");
    edit(one, "[]", "[]", "[{\"field\": \"touched\", \"value\": \"\"}]");
  }

  @Test
  void onlyTheChosenOnesAreMeant() {
    String order =
        "{\"people\": {\"find\": \"\", \"search\": \"\", \"chosen\": [%d, %d]}, \"change\": \"TAG\", \"name\": \"chosen\", \"value\": null}"
            .formatted(IDS.get(3), IDS.get(4));
    JsonNode act = APP.post("/api/people-acts", order).body();
    assertThat(found("have tag chosen")).isEqualTo(2);
    assertThat(person(IDS.get(3)).at("/story/0/sentence").asString())
        .isEqualTo("Was tagged “chosen”, by hand with one other.");
    APP.post("/api/people-acts/" + act.get("id") + "/back", "{}");
  }

  @ParameterizedTest
  @CsvSource({
    "TAG, '', , /name",
    "SET_FIELD, hives, '', /value",
    "SET_FIELD, hives, many, /value",
  })
  void whatCannotBeDoneIsSaidAtItsPlace(String change, String name, String value, String place) {
    Answer refused = APP.post("/api/people-acts", order(change, name, value));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo(place);
  }

  /** The last change of one person by hand goes back the same way. */
  @Test
  void theLastChangeOfAPersonIsTakenBack() {
    long one = IDS.get(9);
    JsonNode before = person(one);
    JsonNode after = edit(one, "[\"Keepers\"]", "[]", "[{\"field\": \"hives\", \"value\": \"9\"}]");
    APP.post("/api/people-acts/" + after.get("lastEdit") + "/back", "{}");
    JsonNode now = person(one);
    assertThat(now.get("labels")).isEqualTo(before.get("labels"));
    assertThat(now.get("fields")).isEqualTo(before.get("fields"));
    assertThat(now.get("lastEdit").isNull()).isTrue();
    assertThat(now.at("/story/0/sentence").asString()).endsWith(", taken back.");
  }
}
