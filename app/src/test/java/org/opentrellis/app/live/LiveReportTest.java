package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** What people went through, told in the views of the dry run. */
class LiveReportTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final long DAY = 24 * 3600;
  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);

  private static String plan(String days) {
    return """
        welcome: Told of
        Starts when someone joins list "Newcomers"
        Send "Your hive planner is here"
        Wait %s
        Branch on clicked "Hive kits" in "Your hive planner is here"
          if so:
            Tag "market"
          otherwise:
            Send "Choosing a kit"
        """
        .formatted(days);
  }

  private static long report(long journey) {
    Answer begun = APP.post("/api/live/journeys/" + journey + "/reports", "");
    assertThat(begun.status()).as("%s", begun.body()).isEqualTo(202);
    return APP.ran(begun);
  }

  private static JsonNode part(long run) {
    return APP.get("/api/dry-runs/" + run).body().at("/journeys/0");
  }

  /** Outside everything comes in any order: what cannot be both counts as one. */
  @Test
  void mailThatWasReadAndComesBackIsCountedOnce() {
    long journey = WORKSHOP.open(plan("3 days").replace("Told of", "Comes back"));
    for (String name : new String[] {"read", "back"}) {
      WORKSHOP.putIn(journey, WORKSHOP.person(name + "@example.com"));
    }
    WORKSHOP.turn(60);
    act("read@example.com", "OPEN");
    act("read@example.com", "UNSUBSCRIBE");
    act("read@example.com", "BOUNCE");
    act("back@example.com", "BOUNCE");
    act("back@example.com", "OPEN");
    act("back@example.com", "UNSUBSCRIBE");
    WORKSHOP.turn(60);
    JsonNode email = part(report(journey)).at("/report/measures/steps/0/email");
    assertThat(email.at("/delivered/count").asLong()).as("%s", email).isEqualTo(1);
    assertThat(email.at("/opened/count").asLong()).isEqualTo(1);
  }

  private static void act(String address, String deed) {
    long mail = WORKSHOP.mails(address).getFirst().at("/line/id").asLong();
    assertThat(
            APP.post(
                    "/api/inbox/" + mail + "/deeds",
                    "{\"deed\": \"%s\", \"link\": null}".formatted(deed))
                .status())
        .isEqualTo(204);
  }

  @Test
  void itCountsWhatHappenedAndStandsBesideDryRuns() {
    long journey = WORKSHOP.open(plan("1 day"));
    assertThat(APP.post("/api/live/journeys/" + journey + "/reports", "").body().toString())
        .contains("Nobody has entered this journey yet");
    for (String name : new String[] {"a", "b", "c"}) {
      WORKSHOP.putIn(journey, WORKSHOP.person(name + "@example.com"));
    }
    WORKSHOP.turn(60);
    JsonNode mail = WORKSHOP.mails("b@example.com").getFirst();
    WORKSHOP.follow(LiveWorkshop.link(mail, "Hive kits"));
    WORKSHOP.turn(2 * DAY);

    long run = report(journey);
    JsonNode part = part(run);
    JsonNode measures = part.at("/report/measures");
    assertThat(measures.get("entered").asLong()).isEqualTo(3);
    assertThat(measures.at("/finished/count").asLong()).isEqualTo(3);
    JsonNode first = measures.at("/steps/0");
    assertThat(first.at("/reach/count").asLong()).isEqualTo(3);
    assertThat(first.at("/email/clicked/count").asLong()).as("%s", first).isEqualTo(1);
    // Whoever clicks has read it, though no picture was loaded.
    assertThat(first.at("/email/opened/count").asLong()).isEqualTo(1);
    assertThat(part.at("/report/paths/paths")).hasSize(2);
    assertThat(part.at("/run/lived").asString()).contains("3 entries");

    assertThat(APP.text("/api/dry-runs/%d/report.html".formatted(run)))
        .contains("Live report " + run, "What really happened from")
        .doesNotContain("Dry run", "simulated", "seed");
    assertThat(APP.post("/api/dry-runs/" + run + "/repeats", "").status()).isEqualTo(409);
    long dry = APP.run(Long.toString(journey), 500, 3);
    Answer beside = APP.get("/api/comparisons?runs=" + run + "," + dry);
    assertThat(beside.status()).as("%s", beside.body()).isEqualTo(200);

    // Of those who entered another plan nothing is mixed in.
    JsonNode view = APP.get("/api/journeys/" + journey).body();
    ((tools.jackson.databind.node.ObjectNode) view.at("/journey/body/1/rule/amount"))
        .put("count", 2);
    Answer saved =
        APP.put(
            "/api/journeys/" + journey,
            "{\"version\": %d, \"journey\": %s, \"by\": null}"
                .formatted(view.get("version").asInt(), view.get("journey")));
    assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
    assertThat(WORKSHOP.state(journey, "OPEN", false).status()).isEqualTo(200);
    WORKSHOP.putIn(journey, WORKSHOP.person("d@example.com"));
    WORKSHOP.turn(DAY);
    JsonNode later = part(report(journey));
    assertThat(later.at("/report/measures/entered").asLong()).isEqualTo(1);
    assertThat(later.at("/report/measures/waiting/count").asLong()).isEqualTo(1);
    assertThat(later.at("/run/lived").asString())
        .contains("1 entry", "3 on earlier versions of the journey are not counted");
  }
}
