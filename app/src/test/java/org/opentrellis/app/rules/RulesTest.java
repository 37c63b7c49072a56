package org.opentrellis.app.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.newsletters.Letterbox;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.JsonNode;

/** Rules are typed, act while they are on, and lead nobody round in a circle. */
class RulesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final int MINUTE = 60;

  private static Answer post(String path, Object body) {
    return APP.post(path, Json.write(body));
  }

  private record Typed(String text, int caret) {
    static Typed of(String text) {
      return new Typed(text, text.length());
    }
  }

  private record Given(String text, String name) {
    static Given of(String text) {
      return new Given(text, "");
    }
  }

  private static JsonNode added(String text) {
    Answer answer = post("/api/rules", Given.of(text));
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(201);
    return answer.body();
  }

  private static long on(String text) {
    long id = added(text).get("id").asLong();
    Answer on = APP.put("/api/rules/" + id + "/on", "{}");
    assertThat(on.status()).as("%s", on.body()).isEqualTo(200);
    return id;
  }

  private static JsonNode rule(long id) {
    for (JsonNode one : APP.get("/api/rules").body()) {
      if (one.get("id").asLong() == id) {
        return one;
      }
    }
    throw new AssertionError("no rule " + id);
  }

  private static String lately(String text) {
    return post("/api/rules/lately", Typed.of(text)).body().get("sentence").asString();
  }

  @Test
  void itActsWhileItIsOnAndStandsInTheStory() {
    long early = WORKSHOP.onList("early@example.com", "Elsewhere");
    JsonNode made = added("when someone joins list \"Market\", tag \"visitor\"");
    long id = made.get("id").asLong();
    assertThat(made.get("sentence").asString())
        .isEqualTo("When someone joins list Market: tag visitor");
    assertThat(made.get("on").asBoolean()).as("only once it is turned on").isFalse();
    long before = WORKSHOP.onList("before@example.com", "Market");
    WORKSHOP.turn(MINUTE);
    assertThat(rule(id).get("acted").asInt()).isZero();

    APP.put("/api/rules/" + id + "/on", "{}");
    long after = WORKSHOP.onList("after@example.com", "Market");
    WORKSHOP.turn(MINUTE);
    assertThat(rule(id).get("acted").asInt()).isOne();
    assertThat(rule(id).get("lastAt").isNumber()).isTrue();
    assertThat(APP.get("/api/people/" + after).body().toString()).contains("visitor");
    assertThat(APP.get("/api/people/" + before).body().toString()).doesNotContain("visitor");
    assertThat(APP.get("/api/people/" + early).body().toString()).doesNotContain("visitor");
    assertThat(WORKSHOP.live(after).toString())
        .contains("The rule acted.", "Tag visitor")
        .doesNotContain("Came in.");
    assertThat(APP.get("/api/journeys").body().toString()).doesNotContain("Tag visitor");
    assertThat(APP.get("/api/calendar").body().toString()).doesNotContain("Tag visitor");
    assertThat(APP.get("/api/live").body().get("journeys").toString())
        .doesNotContain("Tag visitor");

    APP.delete("/api/rules/" + id + "/on");
    WORKSHOP.onList("late@example.com", "Market");
    WORKSHOP.turn(MINUTE);
    assertThat(rule(id).get("acted").asInt()).isOne();
    WORKSHOP.auditIsClean();
  }

  @Test
  void itIsChangedWhileItIsOn() {
    long id = on("when someone joins list \"Fair\", tag \"fair\"");
    JsonNode rule = rule(id);
    Answer saved =
        APP.put(
            "/api/rules/" + id,
            Json.write(
                Map.of(
                    "version",
                    rule.get("version").asInt(),
                    "name",
                    "Those of the fair",
                    "text",
                    "when someone joins list \"Fair\", tag \"guest\"")));
    assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
    assertThat(saved.body().get("on").asBoolean()).isTrue();
    long person = WORKSHOP.onList("fair@example.com", "Fair");
    WORKSHOP.turn(MINUTE);
    assertThat(WORKSHOP.live(person).toString()).contains("Those of the fair");
    assertThat(APP.get("/api/people/" + person).body().toString())
        .contains("\"guest\"")
        .doesNotContain("\"fair\"");
    Answer late =
        APP.put(
            "/api/rules/" + id,
            Json.write(
                Map.of("version", rule.get("version").asInt(), "name", "Other", "text", "when")));
    assertThat(late.status()).as("somebody else was faster").isEqualTo(409);
    assertThat(APP.delete("/api/rules/" + id).status()).isEqualTo(204);
    assertThat(APP.get("/api/rules").body().toString()).doesNotContain("Those of the fair");
  }

  /** With each other, and by way of a journey. */
  @Test
  void rulesThatSetEachOtherOffInACircleAreRefused() {
    on("when someone gets tag \"tick\", tag \"tock\"");
    long back = added("when someone gets tag \"tock\", tag \"tick\"").get("id").asLong();
    Answer refused = APP.put("/api/rules/" + back + "/on", "{}");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().toString()).contains("round in a circle");
    assertThat(rule(back).get("on").asBoolean()).isFalse();

    WORKSHOP.open("other: Hand back\nStarts when someone gets tag \"to\"\nTag \"fro\"");
    long fro = added("when someone gets tag \"fro\", tag \"to\"").get("id").asLong();
    assertThat(APP.put("/api/rules/" + fro + "/on", "{}").body().toString())
        .contains("round in a circle");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          when someone joins list "A"                      | what is done then
          when someone joins list "A", wait 2 days, tag x  | belongs into a journey
          tag x                                            | what has to happen
          when someone flies, tag x                        | .
          """)
  void whatIsNoRuleIsRefusedWithItsReason(String text, String why) {
    Answer refused = post("/api/rules", Given.of(text));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().toString()).contains("/text").contains(why);
    JsonNode reading = post("/api/rules/readings", Typed.of(text)).body();
    assertThat(reading.at("/unclear/why").asString()).contains(why);
  }

  @Test
  void saysWhatIsNewAndWhatComesNext() {
    JsonNode reading =
        post(
                "/api/rules/readings",
                Typed.of("when someone joins list \"Nowhere yet\", tag \"brand-new\""))
            .body();
    assertThat(reading.at("/meant/news").toString()).contains("brand-new");
    assertThat(reading.at("/meant/name").asString()).isEqualTo("Tag brand-new");
    JsonNode begun = post("/api/rules/readings", Typed.of("when someone ")).body();
    assertThat(begun.get("completions").toString()).contains("joins list");
  }

  @Test
  void saysWhatItWouldHaveDoneLately() {
    WORKSHOP.onList("one@example.com", "Lately");
    WORKSHOP.onList("two@example.com", "Lately");
    WORKSHOP.turn(MINUTE);
    assertThat(lately("when someone joins list \"Lately\", tag \"x\""))
        .isEqualTo("In the last 30 days it would have acted 2 times, for 2 people.");
    assertThat(lately("when someone joins list \"Never\", tag \"x\""))
        .isEqualTo("In the last 30 days it would not have acted once.");
    WORKSHOP.turn(40 * 24 * 3600);
    assertThat(lately("when someone joins list \"Lately\", tag \"x\"")).contains("not have acted");
  }

  /** The same mail opened twice is opened once; whoever clicks has read it. */
  @Test
  void countsWhatTheLogTellsOfMail() {
    Letterbox box = new Letterbox(APP);
    WORKSHOP.onList("opens@example.com", "To open");
    WORKSHOP.onList("shut@example.com", "To open");
    box.planned(box.toList("To be opened", "To open"));
    WORKSHOP.turn(2 * Letterbox.HOUR);
    long mail = WORKSHOP.mails("opens@example.com").getFirst().at("/line/id").asLong();
    for (String deed : List.of("OPEN", "OPEN", "CLICK")) {
      assertThat(
              APP.post(
                      "/api/inbox/" + mail + "/deeds",
                      "{\"deed\": \"%s\", \"link\": null}".formatted(deed))
                  .status())
          .isEqualTo(204);
      WORKSHOP.turn(MINUTE);
    }
    assertThat(lately("when someone opens \"Choosing a kit\", tag \"x\""))
        .isEqualTo("In the last 30 days it would have acted 1 time, for 1 person.");
    assertThat(lately("when someone clicks in \"Choosing a kit\", tag \"x\""))
        .isEqualTo("In the last 30 days it would have acted 1 time, for 1 person.");
  }

  @Test
  void countsOrdersByWhatWasBoughtAndSaysWhatNobodyKnows() {
    WORKSHOP.onList("buys@example.com", "Buyers");
    String tools = lately("when someone buys something from Tools, tag \"x\"");
    for (String order : List.of("a-1", "a-2")) {
      Answer told =
          APP.post(
              "/api/events",
              """
              {"specversion": "1.0", "id": "%s", "source": "/test", "type": "order.placed",
               "data": {"email": "buys@example.com", "order": "%s",
                 "lines": [{"product": "Hive kit", "quantity": 1, "price": 189.0}]}}
              """
                  .formatted(order, order));
      assertThat(told.status()).as("%s", told.body()).isLessThan(300);
      WORKSHOP.turn(MINUTE);
    }
    assertThat(lately("when someone buys something from Hives, tag \"x\""))
        .startsWith("In the last 30 days it would have acted 2 times, for 1 person");
    assertThat(lately("when someone buys something from Hives, once per person, tag \"x\""))
        .contains("acted 1 time, for 1 person");
    assertThat(lately("when someone buys something from Tools, tag \"x\""))
        .as("what they bought is no tool")
        .isEqualTo(tools);
    assertThat(lately("when someone enters segment \"Anybody\", tag \"x\""))
        .contains("is not kept");
  }
}
