package org.opentrellis.app.tryouts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import tools.jackson.databind.JsonNode;

/** A journey is tried on oneself, and nothing of it is found anywhere else. */
class TryoutTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);

  private static final String PLAN =
      """
      welcome: Tried out
      Starts when someone joins list "Newcomers", once per person
      Send "Your hive planner is here"
      Wait 1 day
      Branch on clicked "Hive kits" in "Your hive planner is here"
        if so:
          Tag "market"
        otherwise:
          Send "Choosing a kit"
      Wait 2 days
      """;

  private final long journey;

  TryoutTest() {
    journey = WORKSHOP.draft(PLAN.replace("Tried out", "Tried out " + System.nanoTime()));
  }

  private String path() {
    return "/api/journeys/" + journey + "/tryout";
  }

  private Answer begin(String firstName, int trigger) {
    return APP.put(
        path(),
        """
        {"firstName": "%s", "lastName": "Test", "texts": false, "trigger": %d, "lists": [],
         "tags": ["early"]}
        """
            .formatted(firstName, trigger));
  }

  private Answer act(String deed, JsonNode before, String more) {
    return APP.post(
        path() + "/acts",
        "{\"deed\": \"%s\", \"done\": %d%s}".formatted(deed, before.at("/run/done").asInt(), more));
  }

  private static List<String> story(JsonNode view) {
    return view.at("/run/happened")
        .valueStream()
        .map(line -> line.get("sentence").asString())
        .toList()
        .reversed();
  }

  @Test
  void oneGoesThroughTheDraftAndNothingOfItCounts() {
    String people = APP.get("/api/people").body().toString();
    JsonNode live = APP.get("/api/live").body();
    assertThat(APP.get(path()).body().at("/run").isNull()).isTrue();
    assertThat(APP.get(path()).body().at("/triggers/0").asString()).contains("Newcomers");

    JsonNode begun = begin("Ida", 0).body();
    JsonNode mail = begun.at("/run/mails/0");
    assertThat(mail.get("subject").asString()).isEqualTo("Your hive planner, Ida");
    assertThat(mail.get("html").asString()).contains("Hive kits").doesNotContain("/r/", "/o/");
    assertThat(mail.get("opened").asBoolean()).isFalse();
    assertThat(begun.at("/run/why").asString()).isEqualTo("Wait 1 day");
    assertThat(begun.at("/run/carries").toString()).contains("Newcomers", "early");

    JsonNode clicked = act("CLICK", begun, ", \"mail\": 0, \"link\": \"Hive kits\"").body();
    assertThat(clicked.at("/run/mails/0/clicked/0").asString()).isEqualTo("Hive kits");
    JsonNode next = act("WAIT", clicked, "").body();
    assertThat(next.at("/run/now").asLong() - begun.at("/run/now").asLong()).isEqualTo(86_400);
    assertThat(story(next))
        .contains("Joined list \u201cNewcomers\u201d.", "Came in.", "Tag market.")
        .anyMatch(line -> line.startsWith("Took the way of those who clicked"));

    // Another way, after taking the last two things back.
    JsonNode back = act("UNDO", act("UNDO", next, "").body(), "").body();
    assertThat(back.get("run")).isEqualTo(begun.get("run"));
    JsonNode other = act("SKIP_WAIT", back, "").body();
    assertThat(other.at("/run/mails/0/name").asString()).isEqualTo("Choosing a kit");
    assertThat(other.at("/run/now")).isEqualTo(begun.at("/run/now"));
    JsonNode gone = act("UNSUBSCRIBE", other, ", \"mail\": 1").body();
    assertThat(gone.at("/run/over").asBoolean()).isTrue();
    assertThat(story(gone)).last().isEqualTo("Left: they get no more mail.");

    assertThat(APP.get("/api/people").body().toString()).isEqualTo(people);
    JsonNode after = APP.get("/api/live").body();
    assertThat(after.get("journeys")).isEqualTo(live.get("journeys"));
    assertThat(after.get("happenings")).isEqualTo(live.get("happenings"));
    assertThat(after.get("mail")).isEqualTo(live.get("mail"));

    assertThat(APP.delete(path()).body().at("/run").isNull()).isTrue();
  }

  @Test
  void nothingIsDoneTwiceAndNothingThatCannotBe() {
    assertThat(act("WAIT", begin("Ida", 0).body(), "").status()).isEqualTo(200);
    Answer twice = APP.post(path() + "/acts", "{\"deed\": \"WAIT\", \"done\": 1}");
    assertThat(twice.status()).isEqualTo(409);
    JsonNode now = APP.get(path()).body();
    assertThat(act("OPEN", now, ", \"mail\": 7").body().toString()).contains("no such message");
    assertThat(act("BUY", now, ", \"product\": \"Nothing\"").body().toString())
        .contains("The shop does not sell that");
    assertThat(begin("Ida", 9).status()).isEqualTo(400);
    assertThat(APP.get(path()).body()).as("all as it was").isEqualTo(now);
  }

  @Test
  void aDraftWithErrorsSaysWhatKeepsItFromBeingTried() {
    long broken =
        APP.post("/api/journeys", "{\"name\": \"Nothing in it\", \"purpose\": \"WELCOME\"}")
            .body()
            .get("id")
            .asLong();
    Answer refused =
        APP.put(
            "/api/journeys/" + broken + "/tryout",
            "{\"firstName\": \"\", \"lastName\": \"\", \"texts\": false, \"trigger\": -1, \"lists\": [], \"tags\": []}");
    assertThat(refused.status()).as("%s", refused.body()).isEqualTo(400);
    assertThat(refused.body().toString()).contains("It cannot be tried yet");
  }
}
