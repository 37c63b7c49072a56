package org.opentrellis.app.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.newsletters.Letterbox;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.JsonNode;

/** What the account finds enough holds live, at once, and for newsletters too. */
class PressureLiveTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final Letterbox BOX = new Letterbox(APP);

  private record Order(int emailsPerWeek, String then, List<String> order, int version) {}

  private static Answer set(int emails, String then, String... first) {
    int version = APP.get("/api/pressure").body().get("version").asInt();
    return APP.put("/api/pressure", Json.write(new Order(emails, then, List.of(first), version)));
  }

  @AfterEach
  void nothingIsTooMuch() {
    assertThat(set(50, "TELL").status()).isEqualTo(200);
  }

  private static long twoEmails(String name, String tag) {
    return WORKSHOP.open(
        """
        other: %s
        Starts when someone gets tag "%s"
        Send "Choosing a kit"
        Wait 1 hour
        Send "Before the frost"
        """
            .formatted(name, tag));
  }

  @Test
  void whatIsTooMuchWaitsAndGoesWhenThereIsMoreRoom() {
    assertThat(set(1, "WAIT").body().get("says").asString())
        .startsWith("Nobody gets more than 1 email within seven days.")
        .endsWith("the rest waits until there is room.");
    assertThat(APP.get("/api/calendar").body().get("says").toString())
        .contains("Nobody gets more than 1 email within seven days.");
    long journey = twoEmails("Waits", "waits");
    putIn(journey, WORKSHOP.person("waits@example.com"));
    WORKSHOP.turn(3 * Letterbox.HOUR);
    assertThat(WORKSHOP.mails("waits@example.com")).hasSize(1);
    WORKSHOP.turn(2 * Letterbox.DAY);
    assertThat(WORKSHOP.mails("waits@example.com")).hasSize(1);
    set(2, "WAIT");
    WORKSHOP.turn(60);
    assertThat(WORKSHOP.mails("waits@example.com")).as("there is room now").hasSize(2);
    WORKSHOP.auditIsClean();
  }

  private static void putIn(long journey, long person) {
    Answer in =
        APP.post("/api/live/journeys/" + journey + "/people", "{\"person\": " + person + "}");
    assertThat(in.status()).as("%s", in.body()).isEqualTo(200);
  }

  @Test
  void whatIsLeftOutIsToldInTheStory() {
    set(1, "LEAVE_OUT");
    long journey = twoEmails("Leaves out", "out");
    long person = WORKSHOP.person("out@example.com");
    putIn(journey, person);
    WORKSHOP.turn(3 * Letterbox.HOUR);
    assertThat(WORKSHOP.mails("out@example.com")).hasSize(1);
    assertThat(WORKSHOP.live(person).toString())
        .contains("it would have been more in a week than the account allows");
    WORKSHOP.turn(9 * Letterbox.DAY);
    assertThat(WORKSHOP.mails("out@example.com")).hasSize(1);
  }

  @Test
  void aNewsletterGivesWayToAJourneyOrTheOtherWayRound() {
    WORKSHOP.onList("both@example.com", "Both");
    long person = WORKSHOP.number("both@example.com");
    set(1, "LEAVE_OUT", "OTHER", "NEWSLETTER");
    BOX.planned(BOX.toList("Gives way", "Both"));
    long journey =
        WORKSHOP.open(
            """
            other: Goes first
            Starts when someone gets tag "never-ever"
            Wait 5 hours
            Send "Choosing a kit"
            """);
    putIn(journey, person);
    WORKSHOP.turn(9 * Letterbox.HOUR);
    assertThat(WORKSHOP.mails("both@example.com")).hasSize(1);
    assertThat(WORKSHOP.mails("both@example.com").getFirst().toString()).contains("kit");
    WORKSHOP.auditIsClean();
  }

  @Test
  void aTrialSaysWhatItCostsAndSaves() {
    twoEmails("Tried", "tried");
    JsonNode tried =
        APP.post("/api/pressure/trials", Json.write(new Order(1, "WAIT", List.of("NEWSLETTER"), 0)))
            .body();
    assertThat(tried.get("journeys").toString()).contains("Tried");
    assertThat(tried.get("says").toString())
        .contains(
            "with it nobody does.", "emails go out instead of", "Goals met: ", "Unsubscribed: ");
    assertThat(
            APP.post("/api/pressure/trials", Json.write(new Order(1, "TELL", List.of(), 0)))
                .status())
        .isEqualTo(400);
  }

  @Test
  void theAccountHasOneNumber() {
    set(3, "WAIT");
    JsonNode limits = APP.get("/api/sending-limits").body();
    assertThat(limits.get("emailsPerWeek").asInt()).isEqualTo(3);
    APP.put(
        "/api/sending-limits",
        "{\"monthlyQuota\": null, \"segmentPrice\": null, \"emailsPerWeek\": 4, \"version\": %d}"
            .formatted(limits.get("version").asInt()));
    assertThat(APP.get("/api/pressure").body().get("emailsPerWeek").asInt()).isEqualTo(4);
    assertThat(set(99, "WAIT").status()).isEqualTo(400);
    int version = APP.get("/api/pressure").body().get("version").asInt();
    assertThat(
            APP.put("/api/pressure", Json.write(new Order(2, "WAIT", List.of(), version - 1)))
                .status())
        .as("somebody else was faster")
        .isEqualTo(409);
  }
}
