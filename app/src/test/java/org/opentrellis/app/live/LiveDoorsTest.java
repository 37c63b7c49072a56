package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** Everything from outside that brings people into journeys that run, or out of them. */
class LiveDoorsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(40);

  private static final long DAY = 24 * 3600;
  private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
  private final LiveWorkshop workshop = new LiveWorkshop(APP);

  private static String journey(String name, String trigger, String more) {
    return """
        other: %s
        %s
        Wait 1 day
        Tag "went-on"
        Wait 30 days
        %s
        """
        .formatted(name, trigger, more);
  }

  private void save(long person, String lists, String tags, String fields) {
    JsonNode now = APP.get("/api/people/" + person).body();
    Answer saved =
        APP.put(
            "/api/people/" + person,
            "{\"firstName\": \"Ida\", \"lastName\": \"Test\", \"phone\": null, \"zone\": \"Europe/Berlin\", \"lists\": %s, \"tags\": %s, \"fields\": %s, \"texts\": null, \"version\": %d}"
                .formatted(lists, tags, fields, now.get("version").asInt()));
    assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
  }

  private List<JsonNode> stands(long person) {
    return workshop.live(person).get("stands").valueStream().toList();
  }

  private static Answer event(String id, String type, String data) {
    return APP.post(
        "/api/events",
        "{\"specversion\": \"1.0\", \"id\": \"%s\", \"source\": \"/shop\", \"type\": \"%s\", \"data\": %s}"
            .formatted(id, type, data));
  }

  @Test
  void whoeverIsPutOnAListByHandComesIn() {
    workshop.open(journey("By list", "Starts when someone joins list \"Visitors\"", ""));
    long person = workshop.person("list@example.com");
    assertThat(stands(person)).isEmpty();
    save(person, "[\"Visitors\"]", "[]", "[]");
    assertThat(stands(person)).hasSize(1);
    assertThat(workshop.story(person))
        .containsExactly("Joined list \u201cVisitors\u201d.", "Came in.");
    // Taken off and put on again while inside: nobody is in a journey twice at once.
    save(person, "[]", "[]", "[]");
    save(person, "[\"Visitors\"]", "[]", "[]");
    assertThat(stands(person)).hasSize(1);
    workshop.turn(DAY + 5);
    assertThat(APP.get("/api/people/" + person).body().toString()).contains("went-on");
    workshop.auditIsClean();
  }

  @Test
  void anOrderMeetsTheGoalAndComesOnlyOnce() {
    workshop.open(
        journey(
            "By tag",
            "Starts when someone gets tag \"wants-a-kit\"\nGoal: bought anything within 30 days, leave when met",
            ""));
    long person = workshop.person("order@example.com");
    save(person, "[]", "[\"wants-a-kit\"]", "[]");
    assertThat(stands(person)).hasSize(1);
    workshop.turn(60);
    String order =
        "{\"email\": \"ORDER@example.com\", \"order\": \"A 17\", \"lines\": [{\"product\": \"Hive kit\", \"quantity\": 1, \"price\": 249.00}]}";
    assertThat(event("1", "order.placed", order).body().at("/0/result").asString())
        .isEqualTo("TAKEN");
    assertThat(event("1", "order.placed", order).body().at("/0/result").asString())
        .isEqualTo("KNOWN");
    assertThat(workshop.story(person))
        .contains("Bought for 249.00.")
        .endsWith("Met the goal.", "Left: the goal was met.");
    JsonNode file = APP.get("/api/people/" + person + "/file").body();
    assertThat(file.get("purchases")).hasSize(1);
    assertThat(
            event("2", "order.placed", order.replace("ORDER@", "nobody@"))
                .body()
                .at("/0/result")
                .asString())
        .isEqualTo("NOBODY");
    workshop.auditIsClean();
  }

  @Test
  void whatIsWrongWithAnEventIsToldWithItsPlaceAndNothingIsTaken() {
    Answer refused =
        APP.post(
            "/api/events",
            """
            [{"specversion": "1.0", "id": "a", "source": "/shop", "type": "order.placed",
              "data": {"email": "some@example.com", "total": 3.00}},
             {"specversion": "0.3", "id": "", "source": "/shop", "type": "order.placed",
              "time": "yesterday", "data": {"email": "nobody", "lines": [{"price": -1}]}}]
            """);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().get("problems").valueStream().map(one -> one.get("place").asString()))
        .contains("/1/specversion", "/1/id", "/1/time", "/1/data/email");
    assertThat(
            event("a", "order.placed", "{\"email\": \"some@example.com\", \"total\": 3.00}")
                .body()
                .at("/0/result")
                .asString())
        .as("what came with something wrong was not taken")
        .isEqualTo("NOBODY");
  }

  @Test
  void whoeverLeavesACartComesAnHourLaterUnlessTheyBuy() {
    workshop.open(journey("By cart", "Starts when someone leaves a cart for 1 hour", ""));
    long stays = workshop.person("stays@example.com");
    long buys = workshop.person("buys@example.com");
    for (String who : List.of("stays", "buys")) {
      event(
          "cart-" + who,
          "cart.changed",
          "{\"email\": \"%s@example.com\", \"lines\": [{\"product\": \"Hive kit\", \"price\": 249}]}"
              .formatted(who));
    }
    workshop.turn(1800);
    event("bought", "order.placed", "{\"email\": \"buys@example.com\", \"total\": 249}");
    workshop.turn(1900);
    assertThat(stands(stays)).hasSize(1);
    assertThat(stands(buys)).isEmpty();
    workshop.auditIsClean();
  }

  @Test
  void aDateInTheRecordBringsThemOnItsDayAtItsHour() {
    workshop.open(
        journey("By date", "Starts when someone is 3 days before \"first-frost\", at 09:00", ""));
    long person = workshop.person("dated@example.com");
    LocalDate today =
        LocalDate.ofInstant(
            Instant.ofEpochSecond(APP.get("/api/live").body().at("/clock/now").asLong()), ZONE);
    LocalDate frost = today.plusDays(5);
    save(person, "[]", "[]", "[{\"field\": \"first-frost\", \"value\": \"%s\"}]".formatted(frost));
    long nine = frost.minusDays(3).atTime(9, 0).atZone(ZONE).toEpochSecond();
    long now = APP.get("/api/live").body().at("/clock/now").asLong();
    workshop.turn(nine - now - 60);
    assertThat(stands(person)).isEmpty();
    workshop.turn(120);
    assertThat(stands(person)).hasSize(1);
    assertThat(stands(person).getFirst().get("enteredAt").asLong()).isEqualTo(nine);
    workshop.auditIsClean();
  }

  @Test
  void anImportBringsPeopleInOnlyIfItIsSaid() {
    workshop.open(journey("By fair", "Starts when someone gets tag \"fair\"", ""));
    String table = "email\nfair.one@example.com\nfair.two@example.com\n";
    bring(table, false);
    bring(table.replace("fair.", "market."), true);
    assertThat(stands(workshop.number("fair.one@example.com"))).isEmpty();
    assertThat(stands(workshop.number("market.two@example.com"))).hasSize(1);
    workshop.auditIsClean();
  }

  private static void bring(String table, boolean starts) {
    bring(table, starts, 2);
  }

  private static void bring(String table, boolean starts, int people) {
    JsonNode view =
        APP.postCsv("/api/people-tables?name=fair.csv", table.getBytes(StandardCharsets.UTF_8))
            .body();
    long id = view.get("id").asLong();
    String order =
        "{\"columns\": %s, \"country\": null, \"known\": \"LEAVE\", \"lists\": [], \"tags\": [\"fair\"], \"agreement\": \"THEY_AGREED\", \"agreed\": \"at the stand\", \"zone\": \"Europe/Berlin\", \"startsJourneys\": %s}"
            .formatted(
                view.get("columns").valueStream().map(one -> one.get("plan")).toList(), starts);
    JsonNode check = APP.post("/api/people-tables/" + id + "/checks", order).body();
    assertThat(check.get("sentences").toString().contains(people + " people would enter"))
        .as("%s", check)
        .isEqualTo(starts);
    Answer begun = APP.post("/api/people-tables/" + id + "/acts", order);
    assertThat(begun.status()).as("%s", begun.body()).isLessThan(300);
    APP.answers()
        .until(
            "/api/people-acts/" + begun.body().get("id"),
            act -> !act.get("state").asString().equals("UNDER_WAY"));
  }

  @Test
  void aRenamedTagIsTheSameForThoseInside() {
    long journey =
        workshop.open(
            journey(
                "Renamed",
                "Starts when someone gets tag \"early\"\nLeave when they have tag \"late\"",
                "Tag \"late\""));
    APP.post("/api/journeys/" + journey + "/new-names", "");
    long person = workshop.person("renamed@example.com");
    save(person, "[]", "[\"early\"]", "[]");
    assertThat(stands(person)).hasSize(1);
    rename("early", "first-bird");
    rename("late", "last-bird");
    save(person, "[]", "[\"first-bird\", \"last-bird\"]", "[]");
    assertThat(workshop.story(person)).endsWith("Left: a leave rule held.");
    workshop.auditIsClean();
  }

  private static void rename(String before, String after) {
    long id =
        APP.get("/api/names")
            .body()
            .valueStream()
            .filter(one -> one.path("name").asString("").equals(before))
            .findFirst()
            .orElseThrow()
            .get("id")
            .asLong();
    JsonNode row =
        APP.get("/api/names")
            .body()
            .valueStream()
            .filter(one -> one.path("id").asLong() == id)
            .findFirst()
            .orElseThrow();
    Answer renamed =
        APP.put(
            "/api/names/" + id,
            "{\"kind\": \"TAG\", \"name\": \"%s\", \"about\": null, \"group\": null, \"fieldType\": null, \"choices\": [], \"category\": null, \"priceCents\": null}"
                .formatted(after));
    assertThat(renamed.status()).as("%s %s", row, renamed.body()).isEqualTo(200);
  }

  @Test
  void whoeverIsForgottenIsGoneAndStillCounts() {
    long journey = workshop.open(journey("Forgotten", "Starts when someone gets tag \"gone\"", ""));
    long person = workshop.person("forgotten@example.com");
    save(person, "[]", "[\"gone\"]", "[]");
    assertThat(APP.delete("/api/people/" + person).status()).isLessThan(300);
    JsonNode open =
        APP.get("/api/live")
            .body()
            .get("journeys")
            .valueStream()
            .filter(one -> one.get("id").asLong() == journey)
            .findFirst()
            .orElseThrow();
    assertThat(open.get("entered").asLong()).isEqualTo(1);
    assertThat(open.get("left").asLong()).isEqualTo(1);
    assertThat(open.get("inside").asLong()).isZero();
    assertThat(APP.get("/api/live").body().get("happenings").toString())
        .doesNotContain("forgotten@example.com")
        .contains("Left: they were forgotten.");
    workshop.turn(2 * DAY);
  }

  /** More of them than are handed over in one go, so that all but one wait at the same time. */
  @Test
  void whatIsOverTheMonthsQuotaWaitsAndThenGoesOut() {
    workshop.open(
        """
        other: Over the quota
        Starts when someone gets tag "fair"
        Send "Your hive planner is here"
        """);
    limit("1");
    try {
      StringBuilder table = new StringBuilder("email\n");
      for (int n = 0; n < 30; n++) {
        table.append("quota").append(n).append("@example.com\n");
      }
      bring(table.toString(), true, 30);
      workshop.turn(60);
      assertThat(APP.get("/api/live").body().at("/mail/waiting").asInt()).isEqualTo(29);
      assertThat(APP.get("/api/live").body().at("/mail/troubles/0/said").asString())
          .isEqualTo("The month\u2019s quota of emails is used up.");
      workshop.turn(32 * DAY);
      assertThat(APP.get("/api/live").body().at("/mail/waiting").asInt()).isLessThan(29);
    } finally {
      limit("null");
    }
    workshop.turn(32 * DAY);
    assertThat(APP.get("/api/live").body().at("/mail/waiting").asInt()).isZero();
    assertThat(workshop.mails("quota29@example.com")).hasSize(1);
  }

  private static void limit(String quota) {
    JsonNode now = APP.get("/api/sending-limits").body();
    Answer set =
        APP.put(
            "/api/sending-limits",
            "{\"monthlyQuota\": %s, \"segmentPrice\": %s, \"emailsPerWeek\": %s, \"version\": %s}"
                .formatted(
                    quota, now.get("segmentPrice"), now.get("emailsPerWeek"), now.get("version")));
    assertThat(set.status()).as("%s", set.body()).isEqualTo(200);
  }
}
