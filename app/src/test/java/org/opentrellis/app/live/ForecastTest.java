package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A crowd that does as the journey assumes is as forecast; one that does otherwise is not. */
@Tag("thorough")
class ForecastTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final long DAY = 24 * 3600;
  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);

  private static String plan(String name) {
    return """
        nurture: %s
        Starts when someone joins list "Newcomers"
        Send "Your hive planner is here"
        Wait 1 day
        Branch on opened "Your hive planner is here"
          if so:
            Tag "market"
          otherwise:
            Send "Choosing a kit"
        Wait 2 days
        """
        .formatted(name);
  }

  private static JsonNode forecast(long journey) {
    return APP.answers()
        .until(
            "/api/live/journeys/" + journey + "/forecast",
            view -> !view.get("state").asString().equals("WORKING"));
  }

  private static void come(long journey, int people) {
    Answer come =
        APP.post(
            "/api/live/crowds",
            "{\"journeys\": [%d], \"people\": %d, \"days\": 2, \"seed\": 5}"
                .formatted(journey, people));
    assertThat(come.status()).as("%s", come.body()).isEqualTo(201);
    WORKSHOP.turn(8 * DAY);
  }

  private static JsonNode figure(JsonNode forecast, String about, String step) {
    return StreamSupport.stream(forecast.at("/told/figures").spliterator(), false)
        .filter(one -> one.get("about").asString().equals(about))
        .filter(one -> one.get("step").isNull() || one.get("step").asString().equals(step))
        .filter(one -> one.get("day").isNull())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void nobodyCameSoThereIsNothingToTell() {
    long journey = WORKSHOP.open(plan("Empty"));
    assertThat(forecast(journey).get("state").asString()).isEqualTo("NOBODY");
  }

  @Test
  void aCrowdThatDoesAsAssumedIsAsForecastAndAnotherIsFound() {
    long journey = WORKSHOP.open(plan("As assumed"));
    come(journey, 300);
    JsonNode view = APP.get("/api/journeys/" + journey).body();
    String first = view.at("/journey/body/0/id").asString();

    JsonNode so = forecast(journey);
    assertThat(so.get("state").asString()).as("%s", so).isEqualTo("READY");
    JsonNode told = so.get("told");
    assertThat(told.get("entered").asLong()).isBetween(280L, 300L);
    JsonNode opened = figure(so, "OPENED", first);
    assertThat(opened.get("verdict").asString()).as("%s", opened).isEqualTo("AS_FORECAST");
    assertThat(opened.at("/happened/of").asLong()).isGreaterThan(250);
    assertThat(opened.get("low").asDouble()).isLessThan(opened.at("/happened/value").asDouble());
    List<JsonNode> outside =
        StreamSupport.stream(told.get("figures").spliterator(), false)
            .filter(one -> List.of("LOWER", "HIGHER").contains(one.get("verdict").asString()))
            .toList();
    assertThat(outside).as("%s", outside).hasSizeLessThan(4);

    // The same happened, but something else was assumed of the first email.
    assumeKeener(journey, first);
    JsonNode otherwise = forecast(journey);
    JsonNode lower = figure(otherwise, "OPENED", first);
    assertThat(lower.get("verdict").asString()).as("%s", lower).isEqualTo("LOWER");
    assertThat(lower.get("said").asString())
        .matches("lower than forecast: \\d+\\.\\d% of \\d+, .* were expected");
    assertThat(otherwise.at("/told/sentences/0").asString())
        .startsWith("\u201cYour hive planner is here\u201d is opened less often than forecast");

    // What was learned is as it happened again, and can be taken back.
    Answer learned = APP.post("/api/live/journeys/%d/lessons".formatted(journey), "");
    assertThat(learned.status()).as("%s", learned.body()).isEqualTo(200);
    JsonNode lesson = lesson(learned.body(), "OPENS", first);
    assertThat(lesson.get("differs").asBoolean()).as("%s", lesson).isTrue();
    assertThat(lesson.get("now").asDouble()).isLessThan(lesson.get("before").asDouble());
    JsonNode assumed = APP.get("/api/journeys/" + journey).body().get("behaviour");
    save(journey, learned.body().get("behaviour"));
    JsonNode taken = APP.get("/api/journeys/" + journey).body();
    assertThat(taken.at("/behaviour/emails/" + first + "/pull/origin").asString())
        .isEqualTo("MEASURED");
    assertThat(figure(forecast(journey), "OPENED", first).get("verdict").asString())
        .isEqualTo("AS_FORECAST");
    save(journey, assumed);
    assertThat(APP.get("/api/journeys/" + journey).body().get("behaviour")).isEqualTo(assumed);
  }

  private static JsonNode lesson(JsonNode learned, String about, String step) {
    return learned
        .get("lessons")
        .valueStream()
        .filter(one -> one.get("about").asString().equals(about))
        .filter(one -> one.get("step").asString().equals(step))
        .findFirst()
        .orElseThrow();
  }

  private static void assumeKeener(long journey, String step) {
    JsonNode view = APP.get("/api/journeys/" + journey).body();
    ObjectNode behaviour = (ObjectNode) view.get("behaviour").deepCopy();
    ObjectNode keener = (ObjectNode) behaviour.get("usual").deepCopy();
    ((ObjectNode) keener.get("pull")).put("value", 4).put("origin", "BY_HAND");
    ((ObjectNode) behaviour.get("emails")).set(step, keener);
    save(journey, behaviour);
  }

  private static void save(long journey, JsonNode behaviour) {
    int version = APP.get("/api/journeys/" + journey).body().get("behaviourVersion").asInt();
    Answer saved =
        APP.put(
            "/api/journeys/%d/behaviour".formatted(journey),
            "{\"version\": %d, \"behaviour\": %s}".formatted(version, behaviour));
    assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
  }
}
