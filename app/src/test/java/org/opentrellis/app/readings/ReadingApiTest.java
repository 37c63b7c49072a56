package org.opentrellis.app.readings;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** Sentences over HTTP: what they come to, why they are refused, and how to go on. */
class ReadingApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static final String JOURNEY =
      """
      {"name": "A test", "purpose": "WELCOME", "state": "DRAFT", "reEntry": {"kind": "never"},
       "body": [{"kind": "sendEmail", "id": "a", "message": "hello"}]}
      """;

  private static long id;

  @BeforeAll
  static void addAMessageAndAJourney() {
    APP.post(
        "/api/messages",
        "{\"name\": \"Hello\", \"content\": {\"kind\": \"email\", \"subject\": \"Hello there\"},"
            + " \"links\": [\"Kits\"], \"voucher\": false, \"version\": null}");
    Answer added = APP.post("/api/journeys", "{\"name\": \"A test\", \"purpose\": \"WELCOME\"}");
    id = added.body().get("id").asLong();
  }

  private static Answer read(String row, boolean replaces, String text, int caret) {
    return APP.post(
        "/api/journeys/" + id + "/readings",
        "{\"journey\": %s, \"row\": \"%s\", \"replaces\": %s, \"text\": \"%s\", \"caret\": %d}"
            .formatted(JOURNEY, row, replaces, text, caret));
  }

  private static JsonNode added(String text) {
    return read("a", false, text, text.length()).body();
  }

  @Test
  void aSentenceBecomesAStep() {
    JsonNode read = added("branch clicked kits within 2 days");
    assertThat(read.at("/refused").isNull()).isTrue();
    assertThat(read.at("/understood/selected").asString()).isEqualTo("branch-1");
    JsonNode step = read.at("/understood/journey/body/1");
    assertThat(step.at("/arms/0/condition/email/step").asString()).isEqualTo("a");
    assertThat(step.at("/arms/0/condition/link").asString()).isEqualTo("Kits");
    assertThat(step.at("/waitUpTo/count").asInt()).isEqualTo(2);
  }

  /**
   * Whoever accepts a sentence can show the sheet at once, with messages that are not there yet.
   */
  @Test
  void theWholeSheetAfterItIsTold() {
    JsonNode sheet = added("send Meet a keeper").at("/understood/sheet");
    assertThat(sheet.get("rows")).hasSize(2);
    assertThat(sheet.at("/rows/1/sentence").toString()).contains("Meet a keeper");
  }

  @Test
  void aMessageThatOtherJourneysSendIsSaidToBeTheirsToo() {
    Answer other = APP.post("/api/journeys", "{\"name\": \"Theirs\", \"purpose\": \"OTHER\"}");
    String path = "/api/journeys/" + other.body().get("id").asLong();
    String theirs = JOURNEY.replace("A test", "Theirs");
    assertThat(
            APP.put(path, "{\"version\": 1, \"journey\": %s, \"by\": null}".formatted(theirs))
                .status())
        .isEqualTo(200);
    JsonNode read =
        APP.post(
                "/api/journeys/" + id + "/readings",
                "{\"journey\": %s, \"row\": \"end\", \"replaces\": false, \"text\": \"send Hello\", \"caret\": 0}"
                    .formatted(JOURNEY.replaceFirst("\"body\": \\[.*]", "\"body\": []")))
            .body();
    assertThat(read.at("/understood/shared/0").asString())
        .isEqualTo("uses the email \u201cHello\u201d that \u201cTheirs\u201d sends, too");
    assertThat(APP.get("/api/messages/hello/uses").body().toString()).contains("\"Theirs\"");
    assertThat(added("send Hello").at("/understood/shared")).isEmpty();
    APP.put(path + "/archived", "");
    assertThat(APP.get("/api/messages/hello/uses").body()).isEmpty();
  }

  @Test
  void whatIsNotUnderstoodIsToldAtItsPlace() {
    JsonNode read = added("wait 2 dayz");
    assertThat(read.at("/understood").isNull()).isTrue();
    assertThat(read.at("/refused/from").asInt()).isEqualTo(7);
    assertThat(read.at("/refused/to").asInt()).isEqualTo(11);
    assertThat(read.at("/refused/why").asString()).contains("dayz", "days");
  }

  @Test
  void aMessageThatIsNotThereIsBroughtAlongAndNotWritten() {
    int before = APP.get("/api/messages").body().size();
    JsonNode read = added("send Meet a keeper, then tag met");
    assertThat(read.at("/understood/messages/0/name").asString()).isEqualTo("Meet a keeper");
    assertThat(read.at("/understood/messages/0/content/kind").asString()).isEqualTo("email");
    assertThat(read.at("/understood/news/0").asString()).isEqualTo("new tag \u201cmet\u201d");
    assertThat(APP.get("/api/messages").body()).hasSize(before);
  }

  @Test
  void whatIsDoubtfulIsAskedAboutWithAnswers() {
    JsonNode read = added("wait until they open it");
    assertThat(read.at("/refused/asks").asBoolean()).isTrue();
    String answer = read.at("/refused/offers/0/text").asString();
    assertThat(added(answer).at("/understood/selected").asString()).isEqualTo("wait-1");
  }

  @Test
  void completionsGoOnAtTheCaret() {
    JsonNode read = read("a", false, "send he", 7).body();
    assertThat(read.at("/completions/0/text").asString()).isEqualTo("\u201cHello\u201d");
    assertThat(read.at("/completions/0/from").asInt()).isEqualTo(5);
    assertThat(read.at("/completions/0/what").asString()).isEqualTo("email");
  }

  @Test
  void aCaretOutsideIsRefused() {
    Answer refused = read("a", false, "wait", 9);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().toString()).contains("caret");
  }
}
