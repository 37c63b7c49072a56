package org.opentrellis.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

class AccountApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static JsonNode account() {
    return APP.get("/api/account").body();
  }

  private static String order(int version, String senders, String quiet) {
    return """
    {"name": "Ambercomb", "postalAddress": "Hive Lane 3\\n0123 Combton", "zone": "Europe/Oslo",
     "language": "nb-NO", "currency": "nok", "senders": [%s], "quietHours": %s,
     "monthlyQuota": 9000, "segmentPrice": null, "emailsPerWeek": 3,
     "textSender": "+4721234567", "textStop": "Answer STOP", "version": %d}
    """
        .formatted(senders, quiet, version);
  }

  private static final String MIRA =
      "{\"name\": \"Mira\", \"address\": \"mira@example.com\", \"answersTo\": null}";
  private static final String NIGHT = "{\"from\": \"21:00\", \"to\": \"08:00\"}";

  @Test
  void theAccountIsSetAsAWhole() {
    int version = account().at("/account/version").asInt();
    Answer set = APP.put("/api/account", order(version, MIRA, NIGHT));
    assertThat(set.status()).as(set.body().toString()).isEqualTo(200);
    assertThat(account()).isEqualTo(set.body());
    assertThat(account().get("senders").toString()).isEqualTo("[\"Mira <mira@example.com>\"]");
    assertThat(account().get("missing").size()).isZero();
    assertThat(account().at("/account/currency").asString()).isEqualTo("NOK");
    assertThat(account().at("/account/quietHours/from").asString()).isEqualTo("21:00");

    // The same limits are seen where dry runs are looked at, and the zone where people are new.
    assertThat(APP.get("/api/sending-limits").body().get("monthlyQuota").asInt()).isEqualTo(9000);
    JsonNode journey =
        APP.post("/api/journeys", "{\"name\": \"At home\", \"purpose\": \"OTHER\"}").body();
    assertThat(journey.get("behaviour").toString()).contains("Europe/Oslo");
  }

  @Test
  void aLostRaceShowsBothSides() {
    int version = account().at("/account/version").asInt();
    APP.put("/api/account", order(version, MIRA, NIGHT));
    Answer lost = APP.put("/api/account", order(version, "", "null"));
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().at("/current/senders/0").asString()).startsWith("Mira");
    assertThat(lost.body().at("/yours/senders").size()).isZero();
    // The limits alone race with the account as a whole.
    String limits =
        "{\"monthlyQuota\": 1, \"segmentPrice\": null, \"emailsPerWeek\": 4, \"version\": %d}";
    assertThat(APP.put("/api/sending-limits", limits.formatted(version)).status()).isEqualTo(409);
    assertThat(account().at("/account/monthlyQuota").asInt()).isEqualTo(9000);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "/name | \"name\": \"Ambercomb\" | \"name\": \"%s\"",
        "/zone | Europe/Oslo | Europe/Atlantis",
        "/language | nb-NO | xx-XX",
        "/currency | nok | coin",
        "/quietHours/from | 21:00 | nine",
        "/quietHours/to | 08:00 | 21:00",
        "/senders/0/address | mira@example.com | mira",
        "/senders/0/name | Mira | ' '",
        "/senders/0/answersTo | \"answersTo\": null | \"answersTo\": \"@\"",
        "'' | \"emailsPerWeek\": 3 | \"emailsPerWeek\": 0"
      })
  void whatIsWrongIsSaidAtItsPlace(String place, String right, String wrong) {
    int version = account().at("/account/version").asInt();
    String order = order(version, MIRA, NIGHT);
    assertThat(order).contains(right);
    Answer refused =
        APP.put("/api/account", order.replace(right, wrong.formatted("x".repeat(121))));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo(place);
    assertThat(refused.body().get("problems").size()).isEqualTo(1);
    assertThat(account().at("/account/version").asInt()).isEqualTo(version);
  }
}
