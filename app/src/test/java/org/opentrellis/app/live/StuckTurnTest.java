package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.standins.MailServer;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Somebody whose turn fails stands in nobody's way, loses nothing, and is mailed once all the same.
 */
@Tag("thorough")
class StuckTurnTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final long DAY = 24 * 3600;
  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);

  /** How somebody stands can not be read any more, until it is mended. */
  private static Runnable spoil(long person) {
    JdbcTemplate data = APP.bean(JdbcTemplate.class);
    String was =
        data.queryForObject("select standing from life where person_id = ?", String.class, person);
    data.update("update life set standing = '{' where person_id = ?", person);
    return () -> data.update("update life set standing = ? where person_id = ?", was, person);
  }

  private static JsonNode stuck() {
    return APP.get("/api/live").body().get("putOff");
  }

  private static long opened(String name, String first) {
    return WORKSHOP.open(
        """
        other: %s
        Starts when someone joins list "Doors", again after having left
        %s
        Send "Your hive planner is here"
        Wait 1 day
        Send "Choosing a kit"
        """
            .formatted(name, first));
  }

  @Test
  void nobodyElseWaitsForThem() {
    long journey = opened("One of three", "Wait 1 day");
    long before = WORKSHOP.person("before@example.com");
    long stuck = WORKSHOP.person("stuck@example.com");
    long behind = WORKSHOP.person("behind@example.com");
    for (long person : new long[] {before, stuck, behind}) {
      WORKSHOP.putIn(journey, person);
    }
    Runnable mend = spoil(stuck);
    WORKSHOP.turn(DAY + 3600);

    assertThat(WORKSHOP.mails("before@example.com")).hasSize(1);
    assertThat(WORKSHOP.mails("behind@example.com")).hasSize(1);
    assertThat(WORKSHOP.mails("stuck@example.com")).isEmpty();
    assertThat(stuck()).hasSize(1);
    assertThat(stuck().get(0).get("person").asLong()).isEqualTo(stuck);
    assertThat(stuck().get(0).get("tries").asInt()).isGreaterThan(1);
    assertThat(stuck().get(0).get("said").asString()).contains("incident");

    mend.run();
    WORKSHOP.turn(DAY / 2);
    assertThat(WORKSHOP.mails("stuck@example.com")).hasSize(1);
    assertThat(stuck()).isEmpty();
    WORKSHOP.auditIsClean();
  }

  /** A message that cannot be written waits until it is mended; all others go out. */
  @Test
  void whatCannotBeWrittenHoldsUpNobodyElse() {
    JdbcTemplate data = APP.bean(JdbcTemplate.class);
    long spoiled =
        WORKSHOP.open(
            """
            other: Cannot be written
            Starts when someone joins list "Doors"
            Wait 10 minutes
            Send "Meet a keeper near you"
            """);
    long fine = opened("Can be written", "Wait 10 minutes");
    WORKSHOP.putIn(spoiled, WORKSHOP.person("unwritten@example.com"));
    WORKSHOP.putIn(fine, WORKSHOP.person("written@example.com"));
    String name = "Meet a keeper near you";
    String was =
        data.queryForObject("select manuscript from message where name = ?", String.class, name);
    data.update("update message set manuscript = '{' where name = ?", name);
    WORKSHOP.turn(1200);
    assertThat(WORKSHOP.mails("written@example.com")).hasSize(1);
    assertThat(WORKSHOP.mails("unwritten@example.com")).isEmpty();
    assertThat(APP.get("/api/live").body().at("/mail/troubles").toString())
        .contains("by a fault of ours (incident");

    data.update("update message set manuscript = ? where name = ?", was, name);
    WORKSHOP.turn(2 * 3600);
    assertThat(WORKSHOP.mails("unwritten@example.com")).hasSize(1);
    assertThat(WORKSHOP.mails("written@example.com")).hasSize(1);
  }

  /** What went out is noted as such, or it would go out again and again. */
  @Test
  void whatWentOutIsNotedAllTheSame() {
    long journey = opened("Noted", "Wait 10 minutes");
    long fine = WORKSHOP.person("fine@example.com");
    long stuck = WORKSHOP.person("stuck-behind@example.com");
    MailServer server = APP.bean(MailServer.class);
    server.stop();
    Runnable mend;
    try {
      WORKSHOP.putIn(journey, fine);
      WORKSHOP.putIn(journey, stuck);
      WORKSHOP.turn(1200);
      mend = spoil(stuck);
    } finally {
      server.start();
    }
    WORKSHOP.turn(6 * 3600);
    assertThat(WORKSHOP.mails("fine@example.com")).hasSize(1);
    assertThat(WORKSHOP.mails("stuck-behind@example.com")).hasSize(1);
    assertThat(stuck()).hasSize(1);

    mend.run();
    WORKSHOP.turn(2 * DAY);
    assertThat(WORKSHOP.mails("stuck-behind@example.com")).hasSize(2);
    assertThat(WORKSHOP.mails("fine@example.com")).hasSize(2);
    assertThat(stuck()).isEmpty();
    WORKSHOP.auditIsClean();
  }
}
