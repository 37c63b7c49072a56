package org.opentrellis.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.testing.RandomJourneys;

class JourneyFormatTest {
  private static final Set<MessageId> MESSAGES =
      RandomJourneys.MESSAGES.stream().map(Message::id).collect(Collectors.toSet());

  private static final String VALID =
      """
      {"name": "A test", "purpose": "WELCOME", "state": "DRAFT",
       "triggers": [{"kind": "joinsList", "list": "Newcomers"}],
       "entryFilter": null, "reEntry": "NEVER", "goal": {"withinDays": 21, "leaveWhenMet": true},
       "body": [
         {"kind": "send", "id": "a", "message": "m1", "subject": null},
         {"kind": "wait", "id": "w", "amount": {"count": 1, "unit": "DAYS"}, "until": null},
         {"kind": "branch", "id": "b", "waitUpTo": null,
          "arms": [{"id": "b-1", "condition": {"kind": "opened", "email": "a", "peopleOnly": false}, "steps": []}],
          "otherwise": {"id": "b-2", "condition": null, "steps": []}}]}
      """;

  static LongStream seeds() {
    return LongStream.range(0, 200);
  }

  private static Journey read(String text) {
    return JourneyReader.read(Json.read(text, JourneyDocument.class), MESSAGES);
  }

  private static List<Problem> problemsOf(String text) {
    ProblemsFound found = catchThrowableOfType(ProblemsFound.class, () -> read(text));
    assertThat(found).as("refusal of %s", text).isNotNull();
    return found.problems();
  }

  @ParameterizedTest(name = "journey {0}")
  @MethodSource("seeds")
  void whatIsWrittenIsReadBack(long seed) {
    Journey journey = RandomJourneys.journey(seed, (int) (seed % 30));
    assertThat(read(Json.write(JourneyWriter.write(journey)))).isEqualTo(journey);
    Behaviour behaviour = RandomJourneys.behaviour(seed);
    String written = Json.write(BehaviourFormat.write(behaviour));
    assertThat(BehaviourFormat.read(Json.read(written, BehaviourDocument.class)))
        .isEqualTo(behaviour);
  }

  @ParameterizedTest(name = "{2} at {3}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "\"count\": 1|\"count\": -1|bad-value|/body/1/amount/count",
        "\"count\": 1|\"count\": 1.5|bad-value|/body/1/amount/count",
        "\"m1\"|\"gone\"|missing-message|/body/0/message",
        "\"id\": \"w\"|\"id\": \"a\"|id-used-twice|/body/1/id",
        "\"name\": \"A test\"|\"name\": \" \"|bad-value|/name",
        "\"withinDays\": 21|\"withinDays\": 0|bad-value|/goal",
        "\"list\": \"Newcomers\"|\"list\": \"\"|bad-value|/triggers/0/list",
        "\"amount\": {\"count\": 1, \"unit\": \"DAYS\"}|\"amount\": null|empty-wait|/body/1",
        "\"reEntry\": \"NEVER\"|\"reEntry\": null|missing-value|/reEntry",
        "\"email\": \"a\"|\"email\": null|missing-value|/body/2/arms/0/condition/email",
        "\"entryFilter\": null|\"entryFilter\": {\"kind\": \"opened\", \"email\": \"a\", \"peopleOnly\": true}|bad-value|/entryFilter",
        "\"subject\": null|\"subjct\": null|unknown-field|/body/0/subjct",
        "\"kind\": \"send\"|\"kind\": \"sing\"|bad-json|/body/0",
        "\"DAYS\"|\"FORTNIGHTS\"|bad-json|/body/1/amount/unit",
      })
  void refusesWithTheCodeAndThePlace(String valid, String broken, String code, String place) {
    assertThat(VALID).contains(valid);
    Problem problem = problemsOf(VALID.replace(valid, broken)).get(0);
    assertThat(problem.code()).isEqualTo(code);
    assertThat(problem.place()).isEqualTo(place);
    assertThat(problem.sentence()).endsWith(".").hasSizeGreaterThan(10);
  }

  @Test
  void aBranchWithoutArmsIsRefused() {
    String broken = VALID.replaceAll("(?s)\"arms\": \\[.*?\\]\\}\\]", "\"arms\": []");
    assertThat(problemsOf(broken))
        .first()
        .isEqualTo(
            new Problem(
                "branch-without-arms",
                "/body/2/arms",
                "A branch needs at least one arm with a condition. Add one, or remove the branch."));
  }

  @Test
  void allProblemsAreSaidAtOnce() {
    String broken = VALID.replace("\"m1\"", "\"gone\"").replace("\"count\": 1", "\"count\": -1");
    assertThat(problemsOf(broken))
        .extracting(Problem::code)
        .containsExactly("missing-message", "bad-value");
  }

  @Test
  void repeatedFieldsAndTrailingTextAreRefused() {
    assertThat(
            problemsOf(
                VALID.replace("\"state\": \"DRAFT\"", "\"state\": \"DRAFT\", \"state\": \"OPEN\"")))
        .hasSize(1);
    assertThat(problemsOf(VALID + "{}")).hasSize(1);
  }

  @ParameterizedTest(name = "{2}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "\"DAYS\"|\"FORTNIGHTS\"|\u201cFORTNIGHTS\u201d is none of MINUTES, HOURS, DAYS, WEEKS, MONTHS, YEARS.",
        "\"kind\": \"send\"|\"kind\": \"sing\"|There is no kind \u201csing\u201d here.",
        "\"kind\": \"send\", ||\u201ckind\u201d is missing.",
        "\"count\": 1|\"count\": \"one\"|\u201cone\u201d cannot be read here.",
        "\"count\": 1|\"count\": [1]|A value of another kind is needed here: line 6, column 52.",
        "\"reEntry\": |\"reEntry\": ,|This is not well-formed JSON, or says something twice: line 3, column 34.",
      })
  void saysWhatIsWrongInPlainWords(String valid, String broken, String sentence) {
    assertThat(problemsOf(VALID.replace(valid, broken == null ? "" : broken)).get(0).sentence())
        .isEqualTo(sentence);
  }

  @Test
  void tooDeepIsRefused() {
    String body = "[]";
    for (int i = 0; i < 20; i++) {
      body =
          """
          [{"kind": "branch", "id": "b%d", "waitUpTo": null,
            "arms": [{"id": "x%d", "condition": {"kind": "hasTag", "tag": "t"}, "steps": %s}],
            "otherwise": {"id": "y%d", "condition": null, "steps": []}}]
          """
              .formatted(i, i, body, i);
    }
    String deep = VALID.replaceAll("(?s)\"body\": .*", "\"body\": " + body + "}");
    assertThat(problemsOf(deep)).extracting(Problem::code).contains("too-deep");
  }

  @Test
  void sharesThatDoNotAddUpAreRefused() {
    String written =
        Json.write(BehaviourFormat.write(RandomJourneys.behaviour(1)))
            .replaceFirst("\"share\":[0-9.E-]+", "\"share\":0.999");
    ProblemsFound found =
        catchThrowableOfType(
            ProblemsFound.class,
            () -> BehaviourFormat.read(Json.read(written, BehaviourDocument.class)));
    assertThat(found.problems().get(0).place()).isEqualTo("/groups");
    assertThat(found.problems().get(0).sentence()).contains("must add up to 100%");
  }
}
