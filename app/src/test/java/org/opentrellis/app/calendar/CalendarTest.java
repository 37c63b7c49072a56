package org.opentrellis.app.calendar;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.newsletters.Letterbox;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.newsletter.Newsletter;
import tools.jackson.databind.JsonNode;

/** What goes out when, who gets too much, and what would mend it. */
class CalendarTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(10);

  private static final Letterbox BOX = new Letterbox(APP);
  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final int DAYS = 28;

  private static LocalDate today() {
    return BOX.inHours(0, false).date();
  }

  private static JsonNode calendar(String who) {
    Answer answer = APP.get("/api/calendar?from=%s&days=%d&who=%s".formatted(today(), DAYS, who));
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
    return answer.body();
  }

  private static JsonNode lane(JsonNode calendar, String name) {
    return calendar
        .get("lanes")
        .valueStream()
        .filter(one -> one.get("name").asString().equals(name))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no lane " + name + " in " + calendar.get("lanes")));
  }

  private static double on(JsonNode lane, int day) {
    return lane.at("/emails/mean/" + day).asDouble();
  }

  private static Newsletter inDays(Newsletter of, int days, int hour) {
    return of.going(
        Optional.of(new Going(today().plusDays(days), java.time.LocalTime.of(hour, 0), false)));
  }

  @Test
  void newslettersStandOnTheirDayAndMeet() {
    for (int n = 0; n < 5; n++) {
      WORKSHOP.onList("meets%d@example.com".formatted(n), "Meet", n < 3 ? "Meet too" : "Alone");
    }
    long first = BOX.planned(inDays(BOX.toList("The first", "Meet"), 9, 9));
    BOX.draft(inDays(BOX.toList("The second", "Meet too"), 9, 17));
    JsonNode calendar = calendar("");
    assertThat(on(lane(calendar, "The first"), 9)).isEqualTo(5);
    assertThat(on(lane(calendar, "The second"), 9)).isEqualTo(3);
    assertThat(lane(calendar, "The first").get("sure").asBoolean()).isTrue();
    assertThat(lane(calendar, "The second").get("sure").asBoolean()).isFalse();
    JsonNode crowded = crowded(calendar, 9);
    assertThat(crowded.at("/people/mean").asDouble()).isEqualTo(3);
    assertThat(crowded.at("/meetings/0/people").asDouble()).isEqualTo(3);

    JsonNode day =
        APP.get(
                "/api/calendar/days/%s?from=%s&days=%d"
                    .formatted(today().plusDays(9), today(), DAYS))
            .body();
    assertThat(day.at("/lanes/0/hours/9").asDouble()).isEqualTo(5);
    assertThat(day.at("/says/0").asString()).startsWith("09:00 to 10:00 is the fullest hour");

    // What would mend it is tried on the same people, and holds once it is taken.
    JsonNode mend = crowded.get("mend");
    assertThat(mend.get("then").asDouble()).isZero();
    long moved = mend.get("newsletter").asLong();
    Answer done =
        APP.put(
            "/api/newsletters/" + moved + "/moment",
            "{\"version\": %d, \"date\": \"%s\", \"at\": null}"
                .formatted(BOX.view(moved).get("version").asInt(), mend.get("to").asString()));
    assertThat(done.status()).as("%s", done.body()).isEqualTo(200);
    assertThat(calendar("").get("crowded").toString()).doesNotContain("The first");

    // Only some people.
    JsonNode some = calendar("are%20on%20list%20Alone");
    assertThat(
            lane(some, "The first")
                .at("/emails/mean")
                .valueStream()
                .mapToDouble(JsonNode::asDouble))
        .contains(2.0);
    assertThat(
            APP.get("/api/calendar?from=%s&days=7&who=are%%20on%%20liszt".formatted(today()))
                .status())
        .isEqualTo(400);
    BOX.callBack(first);
  }

  /** Three are inside and get an email at 15:00 of the day on which a newsletter came at 9:00. */
  @Test
  void rulesAreTriedOnThoseWhoGetTooMuch() {
    long journey =
        WORKSHOP.open(
            "other: Meets a letter\nStarts when someone gets tag \"never-met\"\nWait 5 days\n"
                + "Wait until 15:00\nSend \"Before the frost\"");
    for (int n = 0; n < 3; n++) {
      long person = WORKSHOP.onList("ruled%d@example.com".formatted(n), "Ruled");
      assertThat(
              APP.post(
                      "/api/live/journeys/" + journey + "/people",
                      "{\"person\": %d}".formatted(person))
                  .status())
          .isEqualTo(200);
    }
    LocalDate gets = gets(lane(calendar("are%20on%20list%20Ruled"), "Meets a letter"));
    int day = (int) ChronoUnit.DAYS.between(today(), gets);
    long letter = BOX.planned(inDays(BOX.toList("Meets a journey", "Ruled"), day, 9));
    assertThat(crowded(calendar(""), day).at("/people/mean").asDouble()).isEqualTo(3);

    Answer tried =
        APP.get("/api/calendar/days/%s/rules?from=%s&days=%d".formatted(gets, today(), DAYS));
    assertThat(tried.status()).as("%s", tried.body()).isEqualTo(200);
    assertThat(tried.body()).hasSize(2);
    for (JsonNode one : tried.body()) {
      assertThat(one.get("now").asDouble()).as("%s", one).isEqualTo(3);
      assertThat(one.get("then").asDouble()).as("%s", one).isZero();
      assertThat(one.get("helps").asBoolean()).isTrue();
      assertThat(one.get("sentence").asString())
          .contains("0 people get more than one email", "and 3 without it");
    }
    assertThat(tried.body().toString())
        .contains(
            "sends nothing on %ss"
                .formatted(gets.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH)),
            "waits until somebody has got nothing for a day");

    // Taken, it stands in the journey as it is saved, and not yet in what runs.
    String rule = "{\"rule\": \"WINDOW\", \"day\": \"%s\"}".formatted(gets);
    assertThat(APP.put("/api/calendar/journeys/" + journey + "/rule", rule).status())
        .isEqualTo(204);
    assertThat(APP.get("/api/journeys/" + journey).body().at("/journey/sendWindow/days"))
        .hasSize(6);
    assertThat(crowded(calendar(""), day).at("/people/mean").asDouble()).isEqualTo(3);
    assertThat(APP.put("/api/calendar/journeys/" + journey + "/rule", rule).body().toString())
        .contains("only to be put into effect");
    BOX.callBack(letter);
    WORKSHOP.state(journey, "STOPPED", false);
  }

  private static LocalDate gets(JsonNode lane) {
    for (int day = 0; day < DAYS; day++) {
      if (on(lane, day) > 0) {
        return today().plusDays(day);
      }
    }
    throw new AssertionError("nothing goes out: " + lane);
  }

  private static JsonNode crowded(JsonNode calendar, int day) {
    return calendar
        .get("crowded")
        .valueStream()
        .filter(one -> one.get("day").asString().equals(today().plusDays(day).toString()))
        .findFirst()
        .orElseThrow(() -> new AssertionError("nobody meets: " + calendar.get("crowded")));
  }

  /** Whose first email goes at once, so that it is as many a day as come. */
  @Test
  void aDraftIsShownAsIfItWereOpenedOnADay() {
    long draft =
        WORKSHOP.draft(
            "other: Perhaps later\nStarts when someone gets tag \"later\"\nSend \"Choosing a kit\"");
    String asked =
        "/api/calendar?from=%s&days=14&draft=%d~%s~12"
            .formatted(today(), draft, today().plusDays(4));
    JsonNode lane = lane(APP.get(asked).body(), "Perhaps later");
    assertThat(lane.get("kind").asString()).isEqualTo("DRAFT");
    assertThat(lane.get("sure").asBoolean()).isFalse();
    assertThat(on(lane, 2)).isZero();
    double sum = 0;
    for (int day = 4; day < 14; day++) {
      sum += on(lane, day);
    }
    assertThat(sum).isCloseTo(12 * 10, Offset.offset(3.0));
    assertThat(APP.get(asked + "x").status()).isEqualTo(400);
    assertThat(APP.get("/api/calendar?days=7").body().get("from").asString())
        .as("without a first day the week begins on Monday")
        .isEqualTo(today().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).toString());
  }

  /**
   * Somebody half way through a journey gets what is still to come, and what has gone is a fact.
   */
  @Test
  void whoIsInsideGoesOnAsTheyStand() {
    long journey =
        WORKSHOP.open(
            """
            other: Two letters
            Starts when someone gets tag "two"
            Send "Your hive planner is here"
            Wait 2 days
            Send "Choosing a kit"
            """);
    for (int n = 0; n < 4; n++) {
      long person = WORKSHOP.person("two%d@example.com".formatted(n));
      APP.post("/api/live/journeys/" + journey + "/people", "{\"person\": " + person + "}");
    }
    WORKSHOP.turn(60);
    LocalDate then = today();
    JsonNode lane = lane(calendar(""), "Two letters");
    assertThat(lane.at("/emails/gone/0").asLong()).isEqualTo(4);
    // Those inside, and as many a day as have come lately.
    assertThat(on(lane, 2)).isGreaterThanOrEqualTo(4);
    assertThat(lane.at("/emails/low/2").asDouble()).isLessThanOrEqualTo(on(lane, 2));
    WORKSHOP.turn(2 * Letterbox.DAY + 60);
    JsonNode after = APP.get("/api/calendar?from=%s&days=5".formatted(then)).body();
    assertThat(lane(after, "Two letters").at("/emails/gone/2").asLong()).isEqualTo(4);
  }

  @Test
  void aDateBringsThoseWhomItIsKnownToBring() {
    LocalDate until = today().plusDays(20);
    for (int n = 0; n < 3; n++) {
      long person = WORKSHOP.person("dated%d@example.com".formatted(n));
      JsonNode now = APP.get("/api/people/" + person).body();
      Answer saved =
          APP.put(
              "/api/people/" + person,
              "{\"firstName\": \"Ida\", \"lastName\": \"Test\", \"phone\": null, \"zone\": \"Europe/Berlin\", \"lists\": [], \"tags\": [], \"fields\": [{\"field\": \"due\", \"value\": \"%s\"}], \"texts\": null, \"version\": %d}"
                  .formatted(until, now.get("version").asInt()));
      assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
    }
    WORKSHOP.open(
        """
        date-based: Due soon
        Starts when someone is 5 days before "due", at 09:00
        Send "Choosing a kit"
        """);
    JsonNode lane = lane(calendar(""), "Due soon");
    assertThat(on(lane, 15)).isEqualTo(3);
    assertThat(on(lane, 14)).isZero();
    assertThat(lane.get("note").asString()).isEqualTo("open \u00b7 by date");
  }

  /** RFC 5545: lines end with CR LF, at most 75 octets, and each event has a UID and a stamp. */
  @Test
  void calendarProgramsReadItByATokenThatNobodyGuesses() {
    BOX.draft(inDays(BOX.toList("Written; for \"programs\", too", "Feed"), 12, 9));
    String file = APP.text("/api/calendar/file.ics");
    assertThat(file).startsWith("BEGIN:VCALENDAR\r\n").endsWith("END:VCALENDAR\r\n");
    assertThat(file.replace("\r\n ", ""))
        .contains("SUMMARY:Written\\; for \"programs\"\\, too (draft)")
        .contains("DTSTART:" + today().plusDays(12).toString().replace("-", "") + "T");
    assertThat(file.lines()).allMatch(line -> line.getBytes(UTF_8).length <= 75);
    assertThat(count(file, "BEGIN:VEVENT")).isPositive().isEqualTo(count(file, "UID:"));

    assertThat(APP.get("/api/calendar/feed").body().get("on").asBoolean()).isFalse();
    String address = APP.post("/api/calendar/feed", "{}").body().get("address").asString();
    String path = address.substring(address.indexOf("/feed/"));
    assertThat(APP.text(path)).contains("Written");
    String other = APP.post("/api/calendar/feed", "{}").body().get("address").asString();
    assertThat(APP.get(path).status()).as("an earlier one leads nowhere").isEqualTo(404);
    String newer = other.substring(other.indexOf("/feed/"));
    assertThat(APP.text(newer)).contains("Written");
    assertThat(APP.get("/feed/AAAAAAAAAAAAAAAAAAAAAA.ics").status()).isEqualTo(404);
    APP.delete("/api/calendar/feed");
    assertThat(APP.get(newer).status()).isEqualTo(404);
  }

  private static long count(String text, String what) {
    return text.lines().filter(line -> line.startsWith(what)).count();
  }

  @Test
  void whatCannotBeShownIsSaid() {
    assertThat(APP.get("/api/calendar?from=2026-12-01&days=200").body().get("detail").asString())
        .isEqualTo("A calendar shows 1 to 100 days, not 200.");
    assertThat(APP.get("/api/calendar?from=yesterday").status()).isEqualTo(400);
    assertThat(APP.get("/api/calendar/days/2030-01-01?from=2026-12-01&days=7").status())
        .isEqualTo(400);
  }
}
