package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** Whoever must not be mailed is not, whichever way they come, or whatever waits for them. */
class NobodyIsMailedTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final long DAY = 24 * 3600;
  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static long first;
  private static long byTag;

  @BeforeAll
  static void openEveryDoor() {
    first =
        WORKSHOP.open(
            """
            other: Every way in
            Starts when someone joins list "Doors", again after having left
            Send "Your hive planner is here"
            Wait 2 days
            Send "Choosing a kit"
            """);
    byTag =
        WORKSHOP.open(
            """
            other: By tag, event and date
            Starts when someone gets tag "door" or has event "knocks" or is 1 day before "door-date", at 09:00, again after having left
            Send "Your hive planner is here"
            """);
  }

  private void save(long person, String lists, String tags, String fields) {
    JsonNode now = APP.get("/api/people/" + person).body();
    APP.put(
        "/api/people/" + person,
        "{\"firstName\": \"Ida\", \"lastName\": \"Test\", \"phone\": null, \"zone\": \"Europe/Berlin\", \"lists\": %s, \"tags\": %s, \"fields\": %s, \"texts\": null, \"version\": %d}"
            .formatted(lists, tags, fields, now.get("version").asInt()));
  }

  private void act(String address, String deed) {
    long mail = WORKSHOP.mails(address).getFirst().at("/line/id").asLong();
    APP.post("/api/inbox/" + mail + "/deeds", "{\"deed\": \"%s\", \"link\": null}".formatted(deed));
  }

  private static void bring(String address) {
    String table = "email\n" + address + "\n";
    JsonNode view =
        APP.postCsv("/api/people-tables?name=doors.csv", table.getBytes(StandardCharsets.UTF_8))
            .body();
    JsonNode begun =
        APP.post(
                "/api/people-tables/" + view.get("id").asLong() + "/acts",
                "{\"columns\": %s, \"country\": null, \"known\": \"BRING_UP_TO_DATE\", \"lists\": [\"Doors\"], \"tags\": [\"door\"], \"agreement\": \"THEY_AGREED\", \"agreed\": \"says somebody\", \"zone\": \"Europe/Berlin\", \"startsJourneys\": true}"
                    .formatted(
                        view.get("columns").valueStream().map(one -> one.get("plan")).toList()))
            .body();
    APP.answers()
        .until(
            "/api/people-acts/" + begun.get("id"),
            act -> !act.get("state").asString().equals("UNDER_WAY"));
  }

  private void tryEveryWayIn(long person, String address) {
    WORKSHOP.putIn(first, person);
    WORKSHOP.putIn(byTag, person);
    LocalDate tomorrow =
        LocalDate.ofInstant(
                Instant.ofEpochSecond(APP.get("/api/live").body().at("/clock/now").asLong()),
                ZoneId.of("Europe/Berlin"))
            .plusDays(2);
    save(
        person,
        "[\"Doors\"]",
        "[\"door\"]",
        "[{\"field\": \"door-date\", \"value\": \"%s\"}]".formatted(tomorrow));
    save(person, "[]", "[]", "[{\"field\": \"door-date\", \"value\": \"%s\"}]".formatted(tomorrow));
    bring(address);
    APP.post(
        "/api/events",
        "{\"specversion\": \"1.0\", \"id\": \"%s\", \"source\": \"/door\", \"type\": \"knocks\", \"data\": {\"email\": \"%s\"}}"
            .formatted(address, address));
  }

  @ParameterizedTest
  @ValueSource(strings = {"UNSUBSCRIBE", "COMPLAIN", "BOUNCE"})
  void whoeverHasGoneStaysGone(String deed) {
    String address = deed.toLowerCase() + "@example.com";
    long person = WORKSHOP.person(address);
    save(person, "[\"Doors\"]", "[]", "[]");
    WORKSHOP.turn(60);
    assertThat(WORKSHOP.mails(address)).hasSize(1);
    act(address, deed);
    tryEveryWayIn(person, address);
    WORKSHOP.turn(5 * DAY);
    assertThat(WORKSHOP.mails(address)).as("nothing more came").hasSize(1);
    WORKSHOP.auditIsClean();
  }

  @Test
  void whoeverHasNotConfirmedGetsNothing() {
    String address = "unconfirmed@example.com";
    long person =
        APP.post(
                "/api/people",
                "{\"address\": \"%s\", \"firstName\": null, \"lastName\": null, \"phone\": null, \"zone\": \"Europe/Berlin\", \"agreed\": null}"
                    .formatted(address))
            .body()
            .get("id")
            .asLong();
    WORKSHOP.putIn(first, person);
    save(person, "[\"Doors\"]", "[\"door\"]", "[]");
    APP.post(
        "/api/events",
        "{\"specversion\": \"1.0\", \"id\": \"u\", \"source\": \"/door\", \"type\": \"knocks\", \"data\": {\"email\": \"%s\"}}"
            .formatted(address));
    WORKSHOP.turn(5 * DAY);
    assertThat(WORKSHOP.mails(address)).isEmpty();
  }

  /** Their address is known by its fingerprint only; a table does not bring them back. */
  @Test
  void whoeverWasForgottenIsNotBroughtBack() {
    String address = "erased@example.com";
    long person = WORKSHOP.person(address);
    save(person, "[\"Doors\"]", "[]", "[]");
    APP.delete("/api/people/" + person);
    assertThat(WORKSHOP.mails(address)).as("what is kept of them here").isEmpty();
    bring(address);
    APP.post(
        "/api/events",
        "{\"specversion\": \"1.0\", \"id\": \"e\", \"source\": \"/door\", \"type\": \"knocks\", \"data\": {\"email\": \"%s\"}}"
            .formatted(address));
    WORKSHOP.turn(5 * DAY);
    assertThat(WORKSHOP.mails(address).size())
        .as("what went out before, if anything")
        .isLessThan(2);
    WORKSHOP.auditIsClean();
  }
}
