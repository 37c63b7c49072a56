package org.opentrellis.app.newsletters;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.OnceMore;
import org.opentrellis.core.newsletter.SubjectTest;
import org.opentrellis.core.newsletter.TextAfter;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Newsletters are written, planned, moved, called back and gone, and nobody gets one by accident.
 */
class NewslettersTest {
  private static final String THOSE =
      "{\"kind\":\"those\",\"who\":{\"kind\":\"onList\",\"list\":\"Members\"}}";

  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final Letterbox BOX = new Letterbox(APP);
  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);

  @Test
  void itGoesToThoseWhoAreMeantAndToNobodyElse() {
    WORKSHOP.onList("in@example.com", "Readers");
    WORKSHOP.onList("also@example.com", "Readers");
    WORKSHOP.onList("other@example.com", "Elsewhere");
    long id = BOX.planned(BOX.toList("To readers", "Readers"));
    assertThat(BOX.view(id).get("people").asInt()).isEqualTo(2);
    assertThat(BOX.mailsTo("in@example.com")).as("not before its time").isZero();

    WORKSHOP.turn(Letterbox.HOUR);
    assertThat(BOX.mailsTo("in@example.com")).isOne();
    assertThat(BOX.mailsTo("also@example.com")).isOne();
    assertThat(BOX.mailsTo("other@example.com")).isZero();
    WORKSHOP.turn(Letterbox.HOUR);
    assertThat(BOX.phase(id)).isEqualTo("GONE");
    assertThat(BOX.view(id).at("/steps/0/sent").asInt()).isEqualTo(2);
    // It shows in their stories under its name, and in no list of journeys.
    assertThat(WORKSHOP.live(WORKSHOP.number("in@example.com")).toString()).contains("To readers");
    assertThat(APP.get("/api/journeys").body().toString()).doesNotContain("To readers");
    assertThat(APP.get("/api/journeys/names").body().toString()).doesNotContain("To readers");
    assertThat(APP.get("/api/newsletters").body().toString()).contains("To readers");
    WORKSHOP.auditIsClean();
  }

  @Test
  void moreLikeItArePlannedInOneSitting() {
    Going going = BOX.inHours(24 * 5, false);
    long id = BOX.draft(BOX.toList("Thursdays", "Readers").going(Optional.of(going)));
    Answer made =
        APP.post(
            "/api/newsletters/" + id + "/runs", "{\"count\":4,\"every\":2,\"unit\":\"WEEKS\"}");
    assertThat(made.status()).as("%s", made.body()).isEqualTo(201);
    assertThat(made.body()).hasSize(4);
    for (int n = 0; n < 4; n++) {
      JsonNode one = BOX.view(made.body().get(n).get("id").asLong());
      assertThat(one.at("/newsletter/name").asString()).isEqualTo("Thursdays " + (n + 2));
      assertThat(one.at("/newsletter/going/date").asString())
          .isEqualTo(going.date().plusWeeks(2 * (n + 1)).toString());
      assertThat(one.get("phase").asString()).isEqualTo("DRAFT");
    }
    assertThat(
            APP.post(
                    "/api/newsletters/" + id + "/runs",
                    "{\"count\":99,\"every\":1,\"unit\":\"DAYS\"}")
                .body()
                .toString())
        .contains("1 to 26 are made at once, not 99.");
  }

  @Test
  void whoeverIsInsideAJourneyIsLeftOut() {
    long inside = WORKSHOP.onList("inside@example.com", "Either");
    WORKSHOP.onList("outside@example.com", "Either");
    long journey =
        WORKSHOP.open("other: Long wait\nStarts when someone gets tag \"never\"\nWait 9 days");
    assertThat(
            APP.post("/api/live/journeys/" + journey + "/people", "{\"person\": " + inside + "}")
                .status())
        .isEqualTo(200);
    Newsletter all = BOX.toList("Not to those inside", "Either");
    Newsletter some =
        new Newsletter(
            all.name(),
            all.message(),
            all.who(),
            all.butNot(),
            List.of(new org.opentrellis.core.journey.JourneyName("Long wait")),
            all.going(),
            0,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    long id = BOX.planned(some);
    assertThat(BOX.view(id).get("people").asInt()).isOne();
    WORKSHOP.turn(2 * Letterbox.HOUR);
    assertThat(BOX.mailsTo("inside@example.com")).isZero();
    assertThat(BOX.mailsTo("outside@example.com")).isOne();
  }

  @Test
  void aPlannedOneIsMovedAndTakenBack() {
    WORKSHOP.onList("moved@example.com", "Moved");
    long id = BOX.planned(BOX.toList("To be moved", "Moved"));
    JsonNode view = BOX.view(id);
    String later = BOX.inHours(49, false).date().toString();
    Answer moved =
        APP.put(
            "/api/newsletters/" + id + "/moment",
            "{\"version\": %d, \"date\": \"%s\", \"at\": null}"
                .formatted(view.get("version").asInt(), later));
    assertThat(moved.status()).as("%s", moved.body()).isEqualTo(200);
    WORKSHOP.turn(Letterbox.DAY);
    assertThat(BOX.mailsTo("moved@example.com")).isZero();

    assertThat(BOX.save(id, BOX.toList("To be moved", "Other")).status())
        .as("what is planned stays as it is")
        .isEqualTo(409);
    assertThat(BOX.callBack(id).body().get("phase").asString()).isEqualTo("DRAFT");
    WORKSHOP.turn(3 * Letterbox.DAY);
    assertThat(BOX.mailsTo("moved@example.com")).isZero();
    assertThat(BOX.save(id, BOX.toList("To be moved", "Other")).status()).isEqualTo(200);
  }

  @Test
  void whatIsGoingOutCanBeCalledBack() {
    for (int n = 0; n < 6; n++) {
      WORKSHOP.onList("called%d@example.com".formatted(n), "Called");
    }
    Newsletter plain = BOX.toList("Called back", "Called");
    Newsletter slow =
        new Newsletter(
            plain.name(),
            plain.message(),
            plain.who(),
            plain.butNot(),
            List.of(),
            plain.going(),
            6,
            Optional.empty(),
            Optional.empty(),
            Optional.of(new OnceMore("Once more", 24)),
            Optional.empty());
    long id = BOX.planned(slow);
    WORKSHOP.turn(4 * Letterbox.HOUR);
    assertThat(BOX.phase(id)).isEqualTo("GOING_OUT");
    int got = BOX.view(id).at("/steps/0/sent").asInt(0);
    Answer back = BOX.callBack(id);
    assertThat(back.body().get("phase").asString()).isEqualTo("CALLED_BACK");
    WORKSHOP.turn(3 * Letterbox.DAY);
    int mails = 0;
    for (int n = 0; n < 6; n++) {
      int had = BOX.mailsTo("called%d@example.com".formatted(n));
      assertThat(had).as("each with or without, and nothing follows").isBetween(0, 1);
      mails += had;
    }
    assertThat(mails).isEqualTo(got);
    assertThat(BOX.callBack(id).status()).isEqualTo(409);
    WORKSHOP.auditIsClean();
  }

  /**
   * Whenever it is called back, while subjects are tried, while the rest get it hour by hour, or
   * before it goes once more: each has what they had then, whole, and gets nothing any more.
   */
  @ParameterizedTest
  @ValueSource(longs = {3_600, 3_601, 5_000, 7_201, 9_000, 12_345, 14_400, 90_000})
  void calledBackAtAnyMomentEachIsLeftWithOrWithout(long moment) {
    String list = "Moment " + moment;
    for (int n = 0; n < 8; n++) {
      WORKSHOP.onList("moment%d.%d@example.com".formatted(moment, n), list);
    }
    Newsletter plain = BOX.toList("At " + moment, list);
    Newsletter whole =
        new Newsletter(
            plain.name(),
            plain.message(),
            plain.who(),
            plain.butNot(),
            List.of(),
            plain.going(),
            2,
            Optional.of(new SubjectTest(List.of("Other words"), 50, SubjectTest.By.OPENED, 1)),
            Optional.empty(),
            Optional.of(new OnceMore("Once more", 24)),
            Optional.empty());
    long begun = BOX.now();
    long id = BOX.planned(whole);
    WORKSHOP.turnTo(begun + moment);
    List<Integer> had = mails(moment);
    assertThat(BOX.callBack(id).status()).isEqualTo(200);
    String phase = BOX.phase(id);
    assertThat(phase).isIn("DRAFT", "CALLED_BACK");
    assertThat(mails(moment)).as("what was called back does not go").isEqualTo(had);
    WORKSHOP.turn(3 * Letterbox.DAY);
    assertThat(mails(moment)).isEqualTo(had);
    assertThat(had).allMatch(one -> one <= (moment > 80_000 ? 2 : 1));
    int sent =
        BOX.view(id).get("steps").valueStream().mapToInt(one -> one.get("sent").asInt()).sum();
    assertThat(sent)
        .as("what is told to have gone is what came")
        .isEqualTo(had.stream().mapToInt(Integer::intValue).sum());
    WORKSHOP.auditIsClean();
  }

  private static List<Integer> mails(long moment) {
    return IntStream.range(0, 8)
        .map(n -> BOX.mailsTo("moment%d.%d@example.com".formatted(moment, n)))
        .boxed()
        .toList();
  }

  /** So that a form which is opened anew begins with the people whom the changes mean. */
  @Test
  void aDraftSaysItsPeopleAsTheyAreTyped() {
    JsonNode draft =
        APP.post("/api/newsletters", "{\"name\": \"Not kept yet\"}").body().get("newsletter");
    String changed =
        Json.write(draft)
            .replace("\"who\":null", "\"who\":%s".formatted(THOSE))
            .replace("\"butNot\":null", "\"butNot\":{\"kind\":\"hasTag\",\"tag\":\"resting\"}");
    Answer look = APP.post("/api/newsletters/looks", "{\"newsletter\": %s}".formatted(changed));
    assertThat(look.status()).as("%s", look.body()).isEqualTo(200);
    assertThat(look.body().get("whoSays").asString()).isEqualTo("are on list “Members”");
    assertThat(look.body().get("butNotSays").asString()).isEqualTo("have tag “resting”");
  }

  @Test
  void whatIsMissingStandsInTheWayAndIsSaid() {
    long id =
        APP.post("/api/newsletters", "{\"name\": \"Half written\"}").body().get("id").asLong();
    Answer planned = BOX.plan(id, order -> order);
    assertThat(planned.status()).isEqualTo(400);
    assertThat(planned.body().get("problems").valueStream().map(one -> one.get("code").asString()))
        .containsExactlyInAnyOrder("no-message", "no-people", "no-time");
    assertThat(APP.post("/api/newsletters", "{\"name\": \"Half written\"}").status())
        .isEqualTo(409);
    assertThat(APP.post("/api/newsletters", "{\"name\": \" \"}").status()).isEqualTo(400);
    // It is no journey, so it is not changed as one.
    JsonNode journey = APP.get("/api/journeys/" + id).body();
    assertThat(
            APP.put(
                    "/api/journeys/" + id + "/state",
                    "{\"version\": %d, \"state\": \"OPEN\", \"by\": null, \"finishBegun\": false}"
                        .formatted(journey.get("version").asInt()))
                .body()
                .get("detail")
                .asString())
        .contains("newsletter");
  }

  /** What is kept of one cannot be read any more, until it is mended. */
  @Test
  void oneThatFailsHoldsUpNeitherOthersNorTheClock() {
    for (int n = 0; n < 6; n++) {
      WORKSHOP.onList("spoilt%d@example.com".formatted(n), "Spoilt", "Sound");
    }
    long spoilt = BOX.planned(BOX.toList("Cannot be closed", "Spoilt"));
    long sound = BOX.planned(BOX.toList("Can be closed", "Sound"));
    WORKSHOP.turn(Letterbox.HOUR);
    JdbcTemplate data = APP.bean(JdbcTemplate.class);
    String was =
        data.queryForObject(
            "select document from newsletter where journey_id = ?", String.class, spoilt);
    data.update("update newsletter set document = '{' where journey_id = ?", spoilt);
    data.update("update newsletter set due_at = ? where journey_id = ?", BOX.now() + 60, spoilt);
    long before = BOX.now();
    try {
      WORKSHOP.turn(3 * Letterbox.HOUR);
    } finally {
      data.update("update newsletter set document = ? where journey_id = ?", was, spoilt);
    }
    assertThat(BOX.now())
        .as("the clock goes on")
        .isGreaterThanOrEqualTo(before + 3 * Letterbox.HOUR);
    assertThat(BOX.phase(sound)).isEqualTo("GONE");
    assertThat(BOX.phase(spoilt)).isEqualTo("GOING_OUT");
    WORKSHOP.turn(Letterbox.HOUR);
    assertThat(BOX.phase(spoilt)).as("once it can be read").isEqualTo("GONE");
  }

  /** At most one for each who agreed, with the longest values, at the account's price. */
  @Test
  void whatATextCostsIsSaidBefore() {
    WORKSHOP.onList("phone@example.com", "Phones");
    WORKSHOP.onList("nophone@example.com", "Phones");
    MessageId text = new MessageId("a-text");
    APP.bean(MessageLibrary.class)
        .keep(Message.text(text.value(), "A text", "There is news in your mail."));
    Newsletter plain = BOX.toList("With a text", "Phones");
    Newsletter texting =
        new Newsletter(
            plain.name(),
            plain.message(),
            plain.who(),
            plain.butNot(),
            List.of(),
            plain.going(),
            0,
            Optional.empty(),
            Optional.of(new TextAfter(Optional.of(text), 12, TextAfter.To.NOT_OPENED)),
            Optional.empty(),
            Optional.empty());
    long id = BOX.draft(texting);
    assertThat(BOX.view(id).get("says").toString())
        .contains("0 of them agreed to texts: at most 0 segments");
    long agreed = WORKSHOP.number("phone@example.com");
    APP.bean(JdbcTemplate.class).update("update person set texts = true where id = ?", agreed);
    assertThat(BOX.view(id).get("says").toString())
        .containsPattern("1 of them agreed to texts: at most [1-9] segments?, .*\\d");
  }
}
