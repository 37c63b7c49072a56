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
  @CsvSource({"NAME", "NEWEST"})
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
    assertThat(all)
        .isSortedAccordingTo(
            order.equals("NAME")
                ? java.util.Comparator.<Long>naturalOrder()
                : java.util.Comparator.<Long>reverseOrder());
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
}
