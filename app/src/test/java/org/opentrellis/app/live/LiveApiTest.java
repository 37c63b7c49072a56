package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.app.standins.MailServer;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.MergeField;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Source;
import tools.jackson.databind.JsonNode;

/** Journeys that really run: over HTTP, SMTP, the redirect and the clock. */
class LiveApiTest {
  private static final String FROM = "{\"from\": \"%s\"}";

  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(40);

  private static final long DAY = 24 * 3600;
  private final LiveWorkshop workshop = new LiveWorkshop(APP);

  private static String planner(String name) {
    return """
        welcome: %s
        Starts when someone joins list "Newcomers", once per person
        Send "Your hive planner is here"
        Wait 1 day
        Branch on clicked "Hive kits" in "Your hive planner is here"
          if so:
            Tag "market"
          otherwise:
            Send "Choosing a kit"
        Wait 2 days
        """
        .formatted(name);
  }

  @Test
  void somebodyPutInReadsClicksAndTakesTheBranch() {
    long journey = workshop.open(planner("Thinnest path"));
    long person = workshop.person("thin@example.com");
    assertThat(workshop.putIn(journey, person).status()).isEqualTo(200);
    workshop.turn(60);
    List<JsonNode> mails = workshop.mails("thin@example.com");
    assertThat(mails).hasSize(1);
    JsonNode mail = mails.getFirst();
    assertThat(mail.at("/line/subject").asString()).isEqualTo("Your hive planner, Ida");
    var redirect = workshop.follow(LiveWorkshop.link(mail, "Hive kits"));
    assertThat(redirect.statusCode()).isEqualTo(302);
    assertThat(redirect.headers().firstValue("Location").orElseThrow())
        .startsWith("https://ambercomb.example/shop/hives");
    workshop.turn(DAY);
    assertThat(workshop.story(person))
        .contains(
            "Came in.",
            "Got email \u201cYour hive planner is here\u201d.",
            "Clicked \u201cHive kits\u201d in email \u201cYour hive planner is here\u201d.",
            "Took the way of those who clicked \u201cHive kits\u201d in \u201cYour hive planner is here\u201d.",
            "Tag market.");
    JsonNode record = APP.get("/api/people/" + person).body();
    assertThat(record.toString()).contains("market");
    assertThat(workshop.live(person).at("/stands/0/why").asString()).isEqualTo("Wait 2 days");
    workshop.turn(3 * DAY);
    assertThat(workshop.live(person).get("stands")).isEmpty();
    assertThat(workshop.story(person)).endsWith("Is through.");
    workshop.auditIsClean();
  }

  @Test
  void oneClickUnsubscribesAndNobodyIsMailedAfterwards() {
    long journey = workshop.open(planner("One click"));
    long person = workshop.person("click@example.com");
    workshop.putIn(journey, person);
    workshop.turn(60);
    JsonNode mail = workshop.mails("click@example.com").getFirst();
    String unsubscribe =
        LiveWorkshop.header(mail, "List-Unsubscribe").replaceAll("[<>]", "").strip();
    assertThat(LiveWorkshop.header(mail, "List-Unsubscribe-Post"))
        .isEqualTo("List-Unsubscribe=One-Click");
    // Programs that look at links follow them all: nothing happens.
    assertThat(workshop.follow(unsubscribe).statusCode()).isEqualTo(302);
    assertThat(workshop.live(person).get("stands")).hasSize(1);
    assertThat(workshop.oneClick(unsubscribe).statusCode()).isEqualTo(200);
    assertThat(workshop.story(person)).endsWith("Unsubscribed.", "Left: they get no more mail.");
    assertThat(APP.get("/api/people/" + person).body().toString()).contains("UNSUBSCRIBED");
    workshop.turn(5 * DAY);
    assertThat(workshop.mails("click@example.com")).hasSize(1);
    Answer again = workshop.putIn(journey, person);
    assertThat(again.status()).isEqualTo(400);
    assertThat(again.body().get("detail").asString())
        .isEqualTo("They may not be mailed: unsubscribed. They would leave at once.");
    workshop.auditIsClean();
  }

  @Test
  void whoeverIsSentOnOrMovedIsSoAtOnce() {
    long journey = workshop.open(planner("Sent on"));
    long other = workshop.open(planner("Moved into"));
    long person = reader(journey, "on@example.com");
    String place = "/api/live/journeys/%d/people/%d".formatted(journey, person);
    String seen = FROM.formatted(workshop.live(person).at("/stands/0/step").asString());
    assertThat(APP.post(place + "/forward", seen).status()).isEqualTo(200);
    assertThat(workshop.story(person))
        .contains("Was sent on in \u201cSent on\u201d by hand.")
        .contains("Was sent email \u201cChoosing a kit\u201d.");
    assertThat(workshop.live(person).at("/stands/0/why").asString()).isEqualTo("Wait 2 days");
    // Pressed twice, the second time when another second has begun: they go on once.
    workshop.turn(1);
    assertThat(APP.post(place + "/forward", seen).body().get("detail").asString())
        .isEqualTo("They have gone on meanwhile: look where they stand now.");
    assertThat(workshop.live(person).at("/stands/0/why").asString()).isEqualTo("Wait 2 days");
    Answer moved = APP.post(place + "/move", "{\"into\": %d}".formatted(other));
    assertThat(moved.body().get("stands")).as("%s", moved.body()).hasSize(1);
    assertThat(moved.body().at("/stands/0/journey").asLong()).isEqualTo(other);
    assertThat(APP.post(place + "/forward", seen).body().get("detail").asString())
        .startsWith("They stay where they are");
    workshop.auditIsClean();
  }

  @Test
  void stoppingTakesEverybodyOutAtOnce() {
    long journey = workshop.open(planner("Stopped"));
    long person = reader(journey, "stop@example.com");
    JsonNode view = APP.get("/api/journeys/" + journey).body();
    assertThat(view.at("/state/sentence").asString()).isEqualTo("People enter. 1 is inside now.");
    assertThat(workshop.state(journey, "STOPPED", false).status()).isEqualTo(200);
    workshop.turn(1);
    assertThat(workshop.live(person).get("stands")).isEmpty();
    assertThat(workshop.story(person)).endsWith("Left: the journey was stopped.");
    assertThat(workshop.putIn(journey, person).body().get("detail").asString())
        .isEqualTo("Nobody can be put into this journey: it is not open.");
    workshop.auditIsClean();
  }

  /** Somebody who was put in and got the first mail. */
  private long reader(long journey, String address) {
    long person = workshop.person(address);
    assertThat(workshop.putIn(journey, person).status()).isEqualTo(200);
    workshop.turn(60);
    return person;
  }

  private void act(String address, String deed) {
    long mail = workshop.mails(address).getFirst().at("/line/id").asLong();
    Answer done =
        APP.post(
            "/api/inbox/" + mail + "/deeds", "{\"deed\": \"%s\", \"link\": null}".formatted(deed));
    assertThat(done.status()).as("%s", done.body()).isEqualTo(204);
  }

  @Test
  void bouncesAndComplaintsComeBackTheWayMailBringsThem() {
    long journey = workshop.open(planner("Returned"));
    long bounced = reader(journey, "bounced@example.com");
    long complained = reader(journey, "complained@example.com");
    act("bounced@example.com", "BOUNCE");
    act("complained@example.com", "COMPLAIN");
    assertThat(workshop.story(bounced))
        .contains("email \u201cYour hive planner is here\u201d came back: the address is dead.")
        .endsWith("Left: their address bounced.");
    assertThat(workshop.story(complained)).endsWith("Complained.", "Left: they complained.");
    assertThat(APP.get("/api/people/" + bounced).body().get("mailing").asString())
        .isEqualTo("BOUNCED");
    assertThat(APP.get("/api/people/" + complained).body().get("mailing").asString())
        .isEqualTo("COMPLAINED");
    workshop.turn(3 * DAY);
    assertThat(workshop.mails("bounced@example.com")).hasSize(1);
    assertThat(workshop.mails("complained@example.com")).hasSize(1);
    workshop.auditIsClean();
  }

  @Test
  void aReaderIsToldFromAProgramThatLoadsPicturesAhead() {
    long journey = workshop.open(planner("Opened"));
    long ahead = reader(journey, "ahead@example.com");
    long reader = reader(journey, "reader@example.com");
    act("ahead@example.com", "FETCH_AHEAD");
    act("reader@example.com", "OPEN");
    assertThat(workshop.story(ahead))
        .endsWith("The pictures of email \u201cYour hive planner is here\u201d were loaded.");
    assertThat(workshop.story(reader))
        .endsWith("Opened email \u201cYour hive planner is here\u201d.");
    workshop.auditIsClean();
  }

  /** The step where they stand is gone in the new plan; those who finish as they began stay. */
  @Test
  void anOpenJourneyIsEditedWithPeopleInsideBothWays() {
    for (boolean finishBegun : new boolean[] {false, true}) {
      String name = finishBegun ? "Edited, as begun" : "Edited, taken along";
      long journey = workshop.open(planner(name));
      String address = finishBegun ? "stays@example.com" : "moves@example.com";
      long person = workshop.person(address);
      workshop.putIn(journey, person);
      workshop.turn(60);
      JsonNode view = APP.get("/api/journeys/" + journey).body();
      tools.jackson.databind.node.ObjectNode shorter =
          (tools.jackson.databind.node.ObjectNode) view.get("journey").deepCopy();
      shorter.withArray("body").remove(1);
      assertThat(
              APP.put(
                      "/api/journeys/" + journey,
                      "{\"version\": %d, \"journey\": %s, \"by\": null}"
                          .formatted(view.get("version").asInt(), shorter))
                  .status())
          .isEqualTo(200);
      JsonNode changed = APP.get("/api/journeys/" + journey).body();
      assertThat(changed.at("/state/sentence").asString()).contains("not in effect");
      assertThat(changed.at("/stateChanges/0/goOn").asString())
          .contains("1 of them stands at a step that is gone");
      assertThat(workshop.state(journey, "OPEN", finishBegun).status()).isEqualTo(200);
      workshop.turn(1);
      JsonNode stands = workshop.live(person).get("stands");
      assertThat(stands.at("/0/why").asString())
          .isEqualTo(finishBegun ? "Wait 1 day" : "Wait 2 days");
      assertThat(stands.at("/0/earlierPlan").asBoolean()).isEqualTo(finishBegun);
      assertThat(APP.get("/api/journeys/" + journey).body().at("/state/sentence").asString())
          .isEqualTo("People enter. 1 is inside now.");
      workshop.turn(4 * DAY);
    }
    workshop.auditIsClean();
  }

  /** Edited into a fault while it is sent, it waits until somebody has mended it. */
  @Test
  void nobodySeesAHole() {
    long journey = workshop.open(planner("A hole"));
    MessageLibrary library = APP.bean(MessageLibrary.class);
    MessageId id = new MessageId("your-hive-planner-is-here");
    Written whole = library.written(id);
    MergeField hole = MergeField.of(new Source.FirstName(), "");
    Manuscript.Email faulty =
        ((Manuscript.Email) whole.manuscript())
            .withSubject(new OneLine(List.of(Inline.Field.plain(hole))));
    library.replace(id, whole.name(), faulty);
    try {
      long person = workshop.person("hole@example.com");
      workshop.putIn(journey, person);
      workshop.turn(30);
      assertThat(workshop.mails("hole@example.com")).isEmpty();
      JsonNode trouble = APP.get("/api/live").body().at("/mail/troubles/0");
      assertThat(trouble.get("said").asString()).startsWith("The message has a fault: ");
      assertThat(trouble.get("tryAt").isNull()).isFalse();
    } finally {
      library.replace(id, whole.name(), whole.manuscript());
    }
    workshop.turn(3600);
    assertThat(workshop.mails("hole@example.com")).hasSize(1);
    workshop.auditIsClean();
  }

  /** Late, shown with the reason, tried again, and there once when the server is. */
  @Test
  void aMailServerThatDoesNotAnswerLosesNothing() {
    long journey = workshop.open(planner("No server"));
    MailServer server = APP.bean(MailServer.class);
    long person = workshop.person("late@example.com");
    server.stop();
    try {
      workshop.putIn(journey, person);
      workshop.turn(2);
      JsonNode trouble = APP.get("/api/live").body().at("/mail/troubles/0");
      assertThat(trouble.get("said").asString()).isEqualTo("The mail server does not answer.");
      assertThat(trouble.get("tries").asInt()).isEqualTo(1);
      assertThat(trouble.get("tryAt").isNull()).isFalse();
    } finally {
      server.start();
    }
    workshop.turn(600);
    assertThat(workshop.mails("late@example.com")).hasSize(1);
    assertThat(workshop.story(person)).endsWith("Got email \u201cYour hive planner is here\u201d.");
    assertThat(APP.get("/api/live").body().at("/mail/waiting").asInt()).isZero();
    workshop.auditIsClean();
  }

  @Test
  void whatWaitsForSomebodyWhoHasLeftIsCalledOff() {
    long journey = workshop.open(planner("Called off"));
    MailServer server = APP.bean(MailServer.class);
    long person = workshop.person("off@example.com");
    server.stop();
    try {
      workshop.putIn(journey, person);
      workshop.turn(2);
      assertThat(workshop.state(journey, "STOPPED", false).status()).isEqualTo(200);
    } finally {
      server.start();
    }
    workshop.turn(DAY);
    assertThat(workshop.mails("off@example.com")).isEmpty();
    JsonNode message = workshop.live(person).at("/messages/0");
    assertThat(message.get("state").asString()).isEqualTo("CALLED_OFF");
    assertThat(message.get("said").asString())
        .isEqualTo("They had left the journey before it went out.");
    workshop.auditIsClean();
  }
}
