package org.opentrellis.app.health;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.newsletters.Letterbox;
import tools.jackson.databind.JsonNode;

/** Who opens nothing, and what becomes of each week's mail. */
class HealthApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final Letterbox BOX = new Letterbox(APP);

  private static JsonNode health(int days) {
    Answer answer = APP.get("/api/health?days=" + days);
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
    return answer.body();
  }

  private static void does(String deed, String address) {
    JsonNode mail = WORKSHOP.mails(address).getFirst();
    Answer done =
        APP.post(
            "/api/inbox/" + mail.at("/line/id").asLong() + "/deeds",
            "{\"deed\": \"%s\", \"link\": null}".formatted(deed));
    assertThat(done.status()).as("%s", done.body()).isLessThan(300);
  }

  @Test
  void whoOpensNothingIsSilentAndCanBeLeftAlone() {
    assertThat(health(90).get("weeks")).as("this week").hasSize(1);
    assertThat(health(90).at("/weeks/0/bounced").isNull()).as("none yet").isTrue();
    assertThat(health(90).at("/silent/says/0").asString())
        .startsWith("Nobody who has been here for 90 days");
    long silent = WORKSHOP.onList("silent@example.com", "Health");
    WORKSHOP.onList("reads@example.com", "Health");
    WORKSHOP.onList("goes@example.com", "Health");
    WORKSHOP.onList("back@example.com", "Health");
    WORKSHOP.turn(2 * Letterbox.DAY);
    BOX.planned(BOX.toList("To be read", "Health"));
    WORKSHOP.turn(2 * Letterbox.HOUR);
    does("OPEN", "reads@example.com");
    does("UNSUBSCRIBE", "goes@example.com");
    does("BOUNCE", "back@example.com");
    WORKSHOP.turn(Letterbox.HOUR);

    JsonNode now = health(1);
    assertThat(now.at("/silent/people").toString()).isEqualTo("[" + silent + "]");
    assertThat(now.at("/silent/groups/0/people").asInt()).isEqualTo(2);
    assertThat(now.at("/silent/says/0").asString())
        .isEqualTo(
            "Of 2 people who have been here for a day and got mail since, 1 opened none of it (50.0%).");
    JsonNode weeks = now.get("weeks");
    JsonNode week = weeks.get(weeks.size() - 1);
    assertThat(week.get("sent").asInt()).isEqualTo(4);
    assertThat(week.at("/bounced/count").asInt()).isOne();
    assertThat(week.at("/unsubscribed/count").asInt()).isOne();
    assertThat(week.at("/complained/count").asInt()).isZero();
    assertThat(week.at("/bounced/high").asDouble()).isGreaterThan(0.5);

    Answer stopped =
        APP.post(
            "/api/people-acts",
            "{\"people\": {\"find\": \"\", \"search\": \"\", \"chosen\": [%d]}, \"change\": \"STOP_MAILING\", \"name\": null, \"value\": null}"
                .formatted(silent));
    assertThat(stopped.status()).as("%s", stopped.body()).isEqualTo(200);
    APP.answers().until("/api/health?days=1", view -> view.at("/silent/people").isEmpty());
    assertThat(APP.get("/api/health?days=0").status()).isEqualTo(400);
  }
}
