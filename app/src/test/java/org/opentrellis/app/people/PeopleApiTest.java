package org.opentrellis.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** People over HTTP: added, found by a sentence, paged. */
class PeopleApiTest {
  private static final int CROWD = 230;

  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  @BeforeAll
  static void crowd() {
    for (int n = 0; n < CROWD; n++) {
      Answer added = add("crowd%d@example.com".formatted(n), "Keeper", "Same");
      assertThat(added.status()).isEqualTo(200);
    }
  }

  private static Answer add(String address, String first, String last) {
    return APP.post(
        "/api/people",
        """
        {"address": "%s", "firstName": "%s", "lastName": "%s", "phone": null,
         "zone": "Europe/Oslo", "agreed": "signed at the market"}
        """
            .formatted(address, first, last));
  }

  private static JsonNode page(String search, String order, String after) {
    Answer page =
        APP.post(
            "/api/people/pages",
            "{\"find\": \"\", \"search\": \"%s\", \"order\": \"%s\", \"after\": %s}"
                .formatted(search, order, after));
    assertThat(page.status()).isEqualTo(200);
    return page.body();
  }

  @Test
  void somebodyIsAddedAndHasAStory() {
    JsonNode mira = add("Mira.T@Example.com", "Mira", "Tolland").body();
    assertThat(mira.get("mailing").asString()).isEqualTo("MAY_BE_MAILED");
    assertThat(mira.at("/story/0/sentence").asString())
        .isEqualTo("Was added by hand; agreed to email: signed at the market.");
    JsonNode again = APP.get("/api/people/" + mira.get("id").asLong()).body();
    assertThat(again).isEqualTo(mira);
    JsonNode found = page("mira.t", "NAME", "null");
    assertThat(found.get("total").asLong()).isEqualTo(1);
    assertThat(found.at("/items/0/name").asString()).isEqualTo("Mira Tolland");
  }

  /** Kept under a name, people are found by it, and the name is taken. */
  @Test
  void aSentenceIsKeptAsASegment() {
    String keep = "{\"name\": \"%s\", \"find\": \"%s\"}";
    String find = "are on list Kept or have tag kept";
    assertThat(APP.post("/api/people/segments", keep.formatted("Keepers", find)).status())
        .isEqualTo(204);
    JsonNode read =
        APP.post("/api/people/readings", "{\"text\": \"are in segment Keepers\", \"caret\": 0}")
            .body();
    assertThat(read.at("/meant/found").asInt()).isZero();
    assertThat(read.at("/meant/news").size()).isZero();
    assertThat(APP.get("/api/segments").body().toString()).contains("Keepers");

    Answer taken = APP.post("/api/people/segments", keep.formatted("Keepers", find));
    assertThat(taken.status()).isEqualTo(409);
    Answer nobody = APP.post("/api/people/segments", keep.formatted("Others", "are on lisst"));
    assertThat(nobody.body().at("/problems/0/place").asString()).isEqualTo("/find");
    Answer unnamed = APP.post("/api/people/segments", keep.formatted("", find));
    assertThat(unnamed.body().at("/problems/0/place").asString()).isEqualTo("/name");
    assertThat(APP.post("/api/people/segments", keep.formatted("All", "")).status()).isEqualTo(400);
  }

  private static JsonNode segment(String name) {
    return APP.get("/api/people/segments")
        .body()
        .valueStream()
        .filter(one -> one.get("name").asString().equals(name))
        .findFirst()
        .orElseThrow();
  }

  /** It means others from then on, also where it is used; a lost race shows both sides. */
  @Test
  void aSegmentMeansOthers() {
    add("segment1@example.com", "Sege", "Ment");
    String keep = "{\"name\": \"%s\", \"find\": \"%s\"}";
    APP.post("/api/people/segments", keep.formatted("Turning", "are on list Nowhere"));
    APP.post("/api/people/segments", keep.formatted("Around", "are in segment Turning"));
    assertThat(segment("Around").get("people").asInt()).isZero();
    assertThat(segment("Turning").at("/usedBy/0/name").asString()).isEqualTo("Around");
    String change = "{\"find\": \"are not on list Nowhere\", \"version\": 1}";
    assertThat(APP.put("/api/people/segments/Turning", change).status()).isEqualTo(204);
    assertThat(segment("Around").get("people").asInt()).isPositive();
    Answer lost = APP.put("/api/people/segments/Turning", change);
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().at("/current/version").asInt()).isEqualTo(2);

    Answer used = APP.delete("/api/people/segments/Turning");
    assertThat(used.status()).isEqualTo(409);
    assertThat(used.body().get("detail").asString())
        .isEqualTo("“Around” uses it: take the segment out there first.");
    assertThat(APP.delete("/api/people/segments/Around").status()).isEqualTo(204);
    assertThat(APP.delete("/api/people/segments/Turning").status()).isEqualTo(204);
    assertThat(APP.delete("/api/people/segments/Turning").status()).isEqualTo(404);
  }

  @Test
  void whoAgreedToNothingIsNotConfirmed() {
    JsonNode added =
        APP.post(
                "/api/people",
                "{\"address\": \"quiet@example.org\", \"firstName\": null, \"lastName\": null, \"phone\": null, \"zone\": \"UTC\", \"agreed\": null}")
            .body();
    assertThat(added.get("mailing").asString()).isEqualTo("NOT_CONFIRMED");
    assertThat(added.at("/story/0/sentence").asString()).contains("nothing may be sent");
  }

  /** Two addresses that differ in capitals only are one. */
  @Test
  void anAddressIsThereOnce() {
    assertThat(add("once@example.com", "A", "B").status()).isEqualTo(200);
    Answer second = add("ONCE@example.com", "A", "B");
    assertThat(second.status()).isEqualTo(400);
    assertThat(second.body().at("/problems/0/place").asString()).isEqualTo("/address");
  }

  @Test
  void allThatIsWrongIsToldAtOnceAndNobodyIsAdded() {
    Answer refused =
        APP.post(
            "/api/people",
            "{\"address\": \"mira\", \"firstName\": \"%s\", \"lastName\": null, \"phone\": \"12\", \"zone\": \"Mars\", \"agreed\": null}"
                .formatted("n".repeat(81)));
    assertThat(refused.status()).isEqualTo(400);
    List<String> places = new ArrayList<>();
    refused.body().get("problems").forEach(one -> places.add(one.get("place").asString()));
    assertThat(places).containsExactlyInAnyOrder("/address", "/firstName", "/phone", "/zone");
    assertThat(page("nnnnnnnn", "NAME", "null").get("total").asLong()).isZero();
  }

  /** All have the same name; each is on one page, in order, and on no other. */
  @ParameterizedTest
  @CsvSource({"NAME", "NEWEST", "ADDRESS"})
  void pagesHaveEachOnceInOrder(String order) {
    List<Long> all = new ArrayList<>();
    String after = "null";
    int pages = 0;
    while (after != null) {
      JsonNode page = page("crowd", order, after);
      assertThat(page.get("total").asLong()).isEqualTo(CROWD);
      page.get("items").forEach(one -> all.add(one.get("id").asLong()));
      after = page.get("next").isNull() ? null : page.get("next").toString();
      pages++;
    }
    assertThat(pages).isEqualTo(3);
    assertThat(all).hasSize(CROWD).doesNotHaveDuplicates();
    if (!order.equals("ADDRESS")) {
      assertThat(all)
          .isSortedAccordingTo(
              order.equals("NAME")
                  ? java.util.Comparator.<Long>naturalOrder()
                  : java.util.Comparator.<Long>reverseOrder());
    }
  }

  @Test
  void byAddress() {
    JsonNode items = page("crowd", "ADDRESS", "null").get("items");
    assertThat(items.valueStream().map(one -> one.get("address").asString())).isSorted();
  }

  /** A cohort for dry runs that is like them; its name is not taken from another. */
  @Test
  void aCohortLikeThem() {
    String order =
        "{\"people\": {\"find\": \"%s\", \"search\": \"crowd\", \"chosen\": null}, \"name\": \"%s\"}";
    JsonNode kept = APP.post("/api/people/cohorts", order.formatted("", "Crowd")).body();
    assertThat(kept.get("people").asInt()).isEqualTo(CROWD);
    assertThat(kept.get("groups").asInt()).isEqualTo(1);
    JsonNode cohort = APP.get("/api/cohorts").body().get(0);
    assertThat(cohort.get("name").asString()).isEqualTo("Crowd");
    assertThat(cohort.at("/cohort/groups/0/zone").asString()).isEqualTo("Europe/Oslo");
    assertThat(APP.post("/api/people/cohorts", order.formatted("", "Crowd")).status())
        .isEqualTo(409);
    Answer nobody = APP.post("/api/people/cohorts", order.formatted("have tag nobody", "None"));
    assertThat(nobody.body().at("/problems/0/place").asString()).isEqualTo("/people");
    assertThat(APP.post("/api/people/cohorts", order.formatted("", " ")).status()).isEqualTo(400);
  }

  @Test
  void aSentenceIsReadWhileItIsTyped() {
    JsonNode read =
        APP.post("/api/people/readings", "{\"text\": \"did not buy anything\", \"caret\": 20}")
            .body();
    assertThat(read.get("unclear").isNull()).isTrue();
    assertThat(read.at("/meant/found").asLong()).isGreaterThanOrEqualTo(CROWD);
    JsonNode wrong =
        APP.post("/api/people/readings", "{\"text\": \"did not flub anything\", \"caret\": 8}")
            .body();
    assertThat(wrong.at("/unclear/from").asInt()).isEqualTo(8);
    assertThat(wrong.get("completions")).isNotEmpty();
  }

  /** What was chosen part by part is said, and read back it is the same. */
  @Test
  void whatIsChosenIsSaid() {
    String chosen =
        "{\"kind\": \"none\", \"parts\": [{\"kind\": \"onList\", \"list\": \"Sea \\\"side\\\"\"}, {\"kind\": \"hasTag\", \"tag\": \"a or b\"}]}";
    JsonNode said =
        APP.post("/api/people/sentences", "{\"condition\": %s}".formatted(chosen)).body();
    JsonNode read =
        APP.post("/api/people/readings", "{\"text\": %s, \"caret\": 0}".formatted(said.get("says")))
            .body();
    assertThat(read.at("/meant/condition").toString())
        .isEqualTo(chosen.replace(": ", ":").replace(", ", ","));
    Answer wrong =
        APP.post(
            "/api/people/sentences", "{\"condition\": {\"kind\": \"onList\", \"list\": \"\"}}");
    assertThat(wrong.status()).isEqualTo(400);
    assertThat(wrong.body().at("/problems/0/place").asString()).isEqualTo("/condition/list");
  }

  @Test
  void whatIsNotUnderstoodFindsNobodyAndSaysWhy() {
    Answer refused = APP.get("/api/people?find=flub");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo("/find");
    assertThat(APP.get("/api/people?find=bought%20anything").body().get("total").asLong()).isZero();
  }

  @Test
  void nobodyOfANumberIsNotFound() {
    assertThat(APP.get("/api/people/999999").status()).isEqualTo(404);
    assertThat(APP.get("/api/people?after=999999").status()).isEqualTo(404);
  }

  /** What is looked for is text, whatever stands in it. */
  @ParameterizedTest
  @ValueSource(strings = {"%", "_", "' or 1 = 1 --", "#{id}"})
  void searchingFindsOnlyWhatIsThere(String strange) {
    assertThat(page(strange, "NAME", "null").get("total").asLong()).isZero();
  }

  private static long person(String address) {
    return add(address, "Bram", "Quist").body().get("id").asLong();
  }

  private static Answer change(long id, int version, String rest) {
    return APP.put(
        "/api/people/" + id,
        "{\"version\": %d, \"firstName\": \"Bram\", \"lastName\": \"Quist\", \"phone\": null, \"zone\": \"Europe/Oslo\", %s}"
            .formatted(version, rest));
  }

  private static List<String> story(JsonNode person) {
    List<String> story = new ArrayList<>();
    person.get("story").forEach(one -> story.add(one.get("sentence").asString()));
    return story;
  }

  private static long found(String sentence) {
    return APP.get(
            "/api/people?find="
                + java.net.URLEncoder.encode(sentence, java.nio.charset.StandardCharsets.UTF_8))
        .body()
        .get("total")
        .asLong();
  }

  /** What is changed is there, found by a sentence, and told in the story. */
  @Test
  void changesAreKeptFoundAndTold() {
    long id = person("changes@example.com");
    Answer changed =
        change(
            id,
            1,
            """
            "lists": ["Newcomers"], "tags": ["market", "new-keeper"],
            "fields": [{"field": "hives", "value": "3"}, {"field": "member until", "value": "2099-05-02"}]
            """);
    assertThat(changed.status()).as(changed.body().toString()).isEqualTo(200);
    assertThat(story(changed.body()))
        .contains(
            "Was put on list \u201cNewcomers\u201d, by hand.",
            "Was tagged \u201cmarket\u201d, by hand.",
            "Field \u201chives\u201d was set to 3, by hand.");
    assertThat(found("are on list Newcomers and have tag market")).isEqualTo(1);
    assertThat(found("have field hives at least 2 and have field hives less than 4")).isEqualTo(1);
    assertThat(found("have field member until more than today")).isEqualTo(1);
    Answer again =
        change(
            id,
            2,
            "\"lists\": [], \"tags\": [\"market\"], \"fields\": [{\"field\": \"hives\", \"value\": \"\"}]");
    assertThat(story(again.body()).subList(0, 3))
        .containsExactlyInAnyOrder(
            "Was taken off list \u201cNewcomers\u201d, by hand.",
            "Lost the tag \u201cnew-keeper\u201d, by hand.",
            "Field \u201chives\u201d was cleared (before: 3), by hand.");
    assertThat(found("are on list Newcomers")).isZero();
    assertThat(found("have ever had tag new-keeper and have no tag new-keeper")).isEqualTo(1);
    assertThat(found("have field hives empty and have tag market")).isEqualTo(1);
    // What stays as it is, is no happening.
    Answer same = change(id, 3, "\"lists\": [], \"tags\": [\"market\"], \"fields\": []");
    assertThat(story(same.body())).hasSameSizeAs(story(again.body()));
  }

  private static Answer agree(long id, JsonNode person, String phone, String texts) {
    return APP.put(
        "/api/people/" + id,
        "{\"version\": %s, \"firstName\": null, \"lastName\": null, \"phone\": %s, \"zone\": \"UTC\", \"texts\": %s, \"lists\": [], \"tags\": [], \"fields\": []}"
            .formatted(person.get("version"), phone, texts));
  }

  /** Agreeing to texts needs a number and how it is known; it is told, and taken back. */
  @Test
  void textsAreAgreedTo() {
    long id = person("texts@example.com");
    JsonNode before = APP.get("/api/people/" + id).body();
    String yes = "{\"agreed\": true, \"how\": \"told us at the stall\"}";
    String number = "\"+4721234567\"";
    for (Answer refused :
        List.of(
            agree(id, before, "null", yes),
            agree(id, before, number, "{\"agreed\": true, \"how\": \" \"}"))) {
      assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo("/texts");
    }
    JsonNode agreed = agree(id, before, number, yes).body();
    assertThat(agreed.get("texts").asBoolean()).isTrue();
    assertThat(agreed.get("textsHow").asString()).isEqualTo("told us at the stall");
    assertThat(story(agreed)).contains("Agreed to texts: told us at the stall, by hand.");
    // Nothing is said of it, so it stays.
    JsonNode same = agree(id, agreed, number, "null").body();
    assertThat(same.get("texts").asBoolean()).isTrue();
    APP.post("/api/people-acts/" + agreed.get("lastEdit") + "/back", "{}");
    JsonNode back = APP.get("/api/people/" + id).body();
    assertThat(back.get("texts").asBoolean()).isFalse();
    assertThat(back.get("textsSince").isNull()).isTrue();
    assertThat(back.get("phone").isNull()).isTrue();
  }

  @Test
  void aFieldHoldsWhatItHeldFirst() {
    long id = person("types@example.com");
    assertThat(
            change(
                    id,
                    1,
                    "\"lists\": [], \"tags\": [], \"fields\": [{\"field\": \"frames\", \"value\": \"12\"}]")
                .status())
        .isEqualTo(200);
    Answer refused =
        change(
            id,
            2,
            "\"lists\": [\"\"], \"tags\": [], \"fields\": [{\"field\": \"frames\", \"value\": \"a dozen\"}]");
    assertThat(refused.status()).isEqualTo(400);
    List<String> told = new ArrayList<>();
    refused
        .body()
        .get("problems")
        .forEach(
            one -> told.add(one.get("place").asString() + " " + one.get("sentence").asString()));
    assertThat(told)
        .anyMatch(one -> one.startsWith("/lists/0 "))
        .anyMatch(
            one ->
                one.startsWith(
                    "/fields/0 Field \u201cframes\u201d holds number: a number is written"));
    assertThat(APP.get("/api/people/" + id).body().get("version").asInt()).isEqualTo(2);
  }

  /** Whoever saves later sees both sides, and nothing of theirs is kept in silence. */
  @Test
  void aLostRaceShowsBothSides() {
    long id = person("race@example.com");
    String mine = "\"lists\": [], \"tags\": [\"mine\"], \"fields\": []";
    assertThat(change(id, 1, "\"lists\": [], \"tags\": [\"theirs\"], \"fields\": []").status())
        .isEqualTo(200);
    Answer lost = change(id, 1, mine);
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().at("/current/labels/0/name").asString()).isEqualTo("theirs");
    assertThat(lost.body().at("/yours/tags/0").asString()).isEqualTo("mine");
    assertThat(change(id, 2, mine).status()).isEqualTo(200);
  }
}
