package org.opentrellis.app.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.MissingNode;
import tools.jackson.databind.node.NullNode;
import tools.jackson.databind.node.ObjectNode;

/** Journeys over HTTP: what is saved, and what is refused and how. */
class JourneyApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static final String DOCUMENT =
      """
      {"name": "A test", "purpose": "WELCOME", "state": "OPEN",
       "triggers": [{"kind": "joinsList", "list": "Newcomers"}],
       "reEntry": {"kind": "never"},
       "goal": {"what": {"kind": "bought", "what": {}}, "withinDays": 21, "leaveWhenMet": true},
       "body": [
         {"kind": "sendEmail", "id": "a", "message": "hello"},
         {"kind": "wait", "id": "w", "rule": {"kind": "for", "amount": {"count": 1, "unit": "DAYS"}}},
         {"kind": "branch", "id": "b",
          "arms": [{"id": "b-1", "condition": {"kind": "opened", "email": {"kind": "ofStep", "step": "a"}}}],
          "otherwise": {"id": "b-2"}}]}
      """;

  private static final String WAITS =
      """
      "body": [
         {"kind": "wait", "id": "w", "rule": {"kind": "for", "amount": {"count": 1, "unit": "DAYS"}}}]}
      """;

  private static int tests;

  private long id;
  private String name;

  @BeforeAll
  static void writeAMessage() {
    Answer added =
        APP.post(
            "/api/messages",
            "{\"name\": \"Hello\", \"content\": {\"kind\": \"email\", \"subject\": \"Hello there\"},"
                + " \"links\": [\"Kits\"], \"voucher\": false, \"version\": null}");
    assertThat(added.status()).isEqualTo(201);
    assertThat(added.body().get("id").asString()).isEqualTo("hello");
  }

  @BeforeEach
  void addAJourney() {
    name = "A test " + ++tests;
    Answer added =
        APP.post("/api/journeys", "{\"name\": \"%s\", \"purpose\": \"WELCOME\"}".formatted(name));
    assertThat(added.status()).isEqualTo(201);
    id = added.body().get("id").asLong();
  }

  private Answer save(int version, String document) {
    String named = document.replace("\"A test\"", "\"" + name + "\"");
    return APP.put(
        "/api/journeys/" + id, "{\"version\": %d, \"journey\": %s}".formatted(version, named));
  }

  private Answer load() {
    return APP.get("/api/journeys/" + id);
  }

  @Test
  void whatIsSavedIsThereInWordsAndWithItsFindings() {
    Answer saved = save(1, DOCUMENT);
    assertThat(saved.status()).isEqualTo(200);
    assertThat(saved.body().get("version").asInt()).isEqualTo(2);
    Answer loaded = load();
    ObjectNode said = (ObjectNode) saved.body();
    JsonNode estimate = said.replace("estimate", NullNode.getInstance());
    assertThat(loaded.body()).isEqualTo(said);
    assertThat(loaded.body().at("/sheet/rows/0/sentence/spans/1/text").asString())
        .isEqualTo("Hello");
    assertThat(loaded.body().get("findings").valueStream().map(one -> one.get("code").asString()))
        .contains("still-a-draft", "message-link-leads-nowhere", "message-who-writes");
    // Saving does not open a journey: that is asked for as such.
    assertThat(loaded.body().at("/journey/state").asString()).isEqualTo("DRAFT");
    assertThat(APP.get("/api/journeys").body().toString()).contains("\"id\":" + id);
    // The estimate comes along, unless it takes longer than one would wait for the rest.
    JsonNode asked = APP.post("/api/journeys/" + id + "/estimates", "").body();
    assertThat(estimate).isIn(asked, NullNode.getInstance());
  }

  @Test
  void aFixSaysOnlyWhatItChangesAndDoneItMends() {
    StringBuilder steps = new StringBuilder();
    for (int i = 0; i < 7; i++) {
      steps.append(
          "{\"kind\": \"sendEmail\", \"id\": \"m%d\", \"message\": \"hello\"}, ".formatted(i));
      steps.append(
          "{\"kind\": \"wait\", \"id\": \"p%d\", \"rule\": {\"kind\": \"for\",".formatted(i)
              + " \"amount\": {\"count\": 12, \"unit\": \"HOURS\"}}}, ");
    }
    Answer saved = save(1, DOCUMENT.replace("\"body\": [", "\"body\": [" + steps));
    assertThat(saved.status()).isEqualTo(200);
    assertThat(saved.body().get("expanded").isNull()).isTrue();
    JsonNode changes = finding(saved, "too-many-in-a-week").at("/fix/changes");
    assertThat(changes.propertyNames()).containsExactly("frequencyGuard");
    ObjectNode mended = (ObjectNode) saved.body().get("journey").deepCopy();
    mended.setAll((ObjectNode) changes);
    Answer again = save(2, mended.toString());
    assertThat(again.status()).isEqualTo(200);
    assertThat(finding(again, "too-many-in-a-week").isMissingNode()).isTrue();
  }

  private static JsonNode finding(Answer saved, String code) {
    return saved
        .body()
        .get("findings")
        .valueStream()
        .filter(one -> one.get("code").asString().equals(code))
        .findFirst()
        .orElse(MissingNode.getInstance());
  }

  @Test
  void aSaveThatLostTheRaceGetsBothSides() {
    assertThat(save(1, DOCUMENT).status()).isEqualTo(200);
    Answer lost = save(1, DOCUMENT.replace("\"count\": 1", "\"count\": 3"));
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().get("code").asString()).isEqualTo("save-lost");
    assertThat(lost.body().at("/current/version").asInt()).isEqualTo(2);
    assertThat(lost.body().at("/current/sheet/rows/1/sentence/spans/1/text").asString())
        .isEqualTo("1 day");
    JsonNode changed =
        StreamSupport.stream(lost.body().at("/yours/difference").spliterator(), false)
            .filter(line -> line.get("row").asString().equals("w"))
            .findFirst()
            .orElseThrow();
    assertThat(changed.get("kind").asString()).isEqualTo("CHANGED");
    assertThat(changed.get("before").asString()).isEqualTo("Wait 1 day");
    assertThat(changed.get("after").asString()).isEqualTo("Wait 3 days");
    assertThat(lost.body().at("/yours/changedHere").toString()).contains("\"w\"");
    assertThat(load().body().get("version").asInt()).isEqualTo(2);
  }

  @ParameterizedTest(name = "{2} at {3}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "\"state\": \"OPEN\"|\"state\": \"OPEN\", \"colour\": 1|unknown-field|/journey/colour",
        "\"count\": 1|\"count\": -1|bad-value|/journey/body/1/rule/amount",
        "\"hello\"|\"gone\"|unknown-message|/journey/body/0/message",
        "\"purpose\": \"WELCOME\"|\"purpose\": \"HELLO\"|bad-value|/journey/purpose",
        "\"reEntry\": {\"kind\": \"never\"}|\"reEntry\": null|missing-value|/journey/reEntry",
      })
  void badInputIsRefusedWithItsPlaceAndNothingIsLostOrLogged(
      String valid, String broken, String code, String place) {
    assertThat(save(1, DOCUMENT).status()).isEqualTo(200);
    PrintStream before = System.out;
    ByteArrayOutputStream log = new ByteArrayOutputStream();
    Answer refused;
    try {
      System.setOut(new PrintStream(log, true, StandardCharsets.UTF_8));
      refused = save(2, DOCUMENT.replace(valid, broken));
    } finally {
      System.setOut(before);
    }
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().get("code").asString()).isEqualTo(code);
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo(place);
    assertThat(refused.body().get("detail").asString()).endsWith(".");
    assertThat(log.toString(StandardCharsets.UTF_8))
        .doesNotContain("\tat ")
        .doesNotContain("ERROR");
    assertThat(load().body().get("version").asInt()).isEqualTo(2);
  }

  @Test
  void aBranchWithoutArmsIsRefused() {
    Answer refused = save(1, DOCUMENT.replaceAll("(?s)\"arms\": \\[.*?\\}\\]", "\"arms\": []"));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().get("detail").asString())
        .isEqualTo("Branch b needs at least one arm.");
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo("/journey/body/2");
  }

  @Test
  void aBodyOfTenMegabytesIsRefused() {
    Answer refused = save(1, DOCUMENT.replace("A test", "x".repeat(10_000_000)));
    assertThat(refused.status()).isEqualTo(413);
    assertThat(refused.body().get("code").asString()).isEqualTo("body-too-large");
    assertThat(load().body().get("version").asInt()).isEqualTo(1);
  }

  @Test
  void whatIsNotThereIsSaidSo() {
    for (String id : new String[] {"0x1", "%231", "01x", "1.0"}) {
      assertThat(APP.get("/api/journeys/" + id).status()).as(id).isEqualTo(400);
    }
    Answer missing = APP.get("/api/journeys/999");
    assertThat(missing.status()).isEqualTo(404);
    assertThat(missing.body().get("detail").asString()).isEqualTo("There is no journey 999.");
    assertThat(APP.get("/api/dry-runs/999").status()).isEqualTo(404);
    assertThat(APP.get("/api/journeys/seven").status()).isEqualTo(400);
    assertThat(APP.post("/api/journeys", "{\"name\": \"\", \"purpose\": \"CART\"}").status())
        .isEqualTo(400);
    assertThat(APP.post("/api/journeys", "{\"name\": \"x\"").status()).isEqualTo(400);
  }

  @Test
  void assumptionsAreSavedApartAndCheckedToo() {
    var behaviour = load().body().get("behaviour").toString();
    Answer saved =
        APP.put(
            "/api/journeys/" + id + "/behaviour",
            "{\"version\": 1, \"behaviour\": %s}"
                .formatted(behaviour.replace("\"mean\":0.38", "\"mean\":0.5")));
    assertThat(saved.status()).isEqualTo(200);
    assertThat(saved.body().at("/behaviour/groups/0/keenness/mean").asDouble()).isEqualTo(0.5);
    assertThat(saved.body().get("version").asInt()).isEqualTo(1);
    Answer refused =
        APP.put(
            "/api/journeys/" + id + "/behaviour",
            "{\"version\": 2, \"behaviour\": %s}"
                .formatted(behaviour.replace("Europe/Berlin", "Europe/Nowhere")));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString())
        .isEqualTo("/behaviour/groups/0/zone");
  }

  @Test
  void aJourneyThatNamesItselfFollowsItsOwnNewName() {
    String itself = "{\"kind\": \"cameByJourney\", \"journey\": \"%s\"}".formatted(name);
    String asks =
        "{\"kind\": \"branch\", \"id\": \"r\", \"arms\": [{\"id\": \"r-1\", \"condition\": %s}],"
                .formatted(itself)
            + " \"otherwise\": {\"id\": \"r-2\"}}, ";
    String document = DOCUMENT.replace("\"body\": [", "\"body\": [" + asks);
    assertThat(save(1, document).status()).isEqualTo(200);
    String other = name + ", renamed";
    Answer renamed = save(2, document.replace("\"A test\"", "\"" + other + "\""));
    assertThat(renamed.status()).isEqualTo(200);
    assertThat(renamed.body().at("/journey/name").asString()).isEqualTo(other);
    assertThat(renamed.body().at("/journey/body/0/arms/0/condition/journey").asString())
        .isEqualTo(other);
    ObjectNode said = (ObjectNode) renamed.body();
    said.replace("estimate", NullNode.getInstance());
    assertThat(load().body()).isEqualTo(said);
  }

  @Test
  void whoOpensWhatSomebodyElseHasSavedIsToldSo() {
    String waits = DOCUMENT.substring(0, DOCUMENT.indexOf("\"body\"")) + WAITS;
    assertThat(save(1, waits).status()).isEqualTo(200);
    String path = "/api/journeys/" + id + "/state";
    Answer lost = APP.put(path, "{\"version\": 1, \"state\": \"OPEN\"}");
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().get("code").asString()).isEqualTo("save-lost");
    assertThat(load().body().at("/journey/state").asString()).isEqualTo("DRAFT");
    Answer opened = APP.put(path, "{\"version\": 2, \"state\": \"OPEN\"}");
    assertThat(opened.status()).isEqualTo(200);
    assertThat(opened.body().get("version").asInt()).isEqualTo(3);
    ObjectNode said = (ObjectNode) opened.body();
    assertThat(load().body()).isEqualTo(said);
    assertThat(APP.put(path, "{\"version\": 3, \"state\": \"STOPPED\"}").status()).isEqualTo(200);
  }

  @Test
  void whatIsNoJourneyIsNotSavedAsOne() {
    Answer missing =
        APP.put("/api/journeys/999999", "{\"version\": 1, \"journey\": %s}".formatted(DOCUMENT));
    assertThat(missing.status()).isEqualTo(404);
  }

  @Test
  void aStrandIsKeptAndStandsInEveryJourneyThatIncludesIt() {
    String strand =
        "{\"id\": \"spring\", \"name\": \"Spring work\", \"body\":"
            + " [{\"kind\": \"sendEmail\", \"id\": \"m\", \"message\": \"hello\"}]}";
    assertThat(APP.put("/api/strands/spring", shared("null", strand)).status()).isEqualTo(200);
    assertThat(APP.get("/api/strands").body().at("/0/document/name").asString())
        .isEqualTo("Spring work");
    String include = "{\"kind\": \"include\", \"id\": \"i\", \"strand\": \"spring\"}, ";
    Answer saved = save(1, DOCUMENT.replace("\"body\": [", "\"body\": [" + include));
    assertThat(saved.status()).isEqualTo(200);
    assertThat(saved.body().at("/expanded/body/1/id").asString()).isEqualTo("i/m");
    assertThat(saved.body().at("/sheet/rows/1/ofStrand").asBoolean()).isTrue();
    String circle =
        strand.replace("[{", "[{\"kind\": \"include\", \"id\": \"i\", \"strand\": \"spring\"}, {");
    assertThat(APP.put("/api/strands/spring", shared("1", circle)).status()).isEqualTo(400);
    assertThat(APP.put("/api/strands/summer", shared("null", strand)).status()).isEqualTo(400);
  }

  private static String shared(String version, String document) {
    return "{\"version\": %s, \"document\": %s}".formatted(version, document);
  }

  @Test
  void aSegmentIsKeptUnderItsNameAndNobodysSaveIsLost() {
    String segment = "{\"name\": \"Keen\", \"who\": {\"kind\": \"hasTag\", \"tag\": \"keeper\"}}";
    String path = "/api/segments/Keen";
    assertThat(APP.put(path, shared("null", segment)).status()).isEqualTo(200);
    assertThat(APP.get("/api/segments").body().at("/0/document/who/tag").asString())
        .isEqualTo("keeper");
    String asks =
        segment.replace(
            "\"hasTag\", \"tag\": \"keeper\"",
            "\"opened\", \"email\": {\"kind\": \"anyOfJourney\"}");
    assertThat(APP.put(path, shared("1", asks)).status()).isEqualTo(400);
    String other = segment.replace("keeper", "grower");
    assertThat(APP.put(path, shared("1", other)).body().get("version").asInt()).isEqualTo(2);
    for (String late : List.of("1", "null")) {
      Answer lost = APP.put(path, shared(late, segment));
      assertThat(lost.status()).isEqualTo(409);
      assertThat(lost.body().get("code").asString()).isEqualTo("save-lost");
      assertThat(lost.body().at("/current/document/who/tag").asString()).isEqualTo("grower");
      assertThat(lost.body().at("/yours/document/who/tag").asString()).isEqualTo("keeper");
    }
    JsonNode versions = APP.get(path + "/versions").body();
    assertThat(versions.size()).isEqualTo(2);
    assertThat(versions.at("/1/document/who/tag").asString()).isEqualTo("keeper");
    assertThat(APP.get("/api/segments/Nobody/versions").status()).isEqualTo(404);
  }
}
