package org.opentrellis.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.ZoneId;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.testing.RandomJourneys;

class DocumentsTest {
  private static final String VALID =
      """
      {
        "version": 4,
        "journey": {
          "name": "A test",
          "purpose": "WELCOME",
          "state": "DRAFT",
          "triggers": [{"kind": "joinsList", "list": "Newcomers"}],
          "reEntry": {"kind": "never"},
          "goal": {"what": {"kind": "bought", "what": {}}, "withinDays": 21, "leaveWhenMet": true},
          "body": [
            {"kind": "sendEmail", "id": "a", "message": "m1"},
            {"kind": "wait", "id": "w", "rule": {"kind": "for", "amount": {"count": 1, "unit": "DAYS"}}},
            {"kind": "branch", "id": "b",
             "arms": [{"id": "b-1", "condition": {"kind": "opened", "email": {"kind": "ofStep", "step": "a"}}}],
             "otherwise": {"id": "b-2"}}
          ]
        },
        "messages": [{"id": "m1", "name": "Hello", "content": {"kind": "email", "subject": "Hello there"}}]
      }
      """;

  private static List<Problem> problemsOf(String text) {
    ProblemsFound found = catchThrowableOfType(ProblemsFound.class, () -> Documents.readFile(text));
    assertThat(found).as("refusal of %s", text).isNotNull();
    return found.problems();
  }

  private static String changed(String from, String to) {
    assertThat(VALID).contains(from);
    return VALID.replace(from, to);
  }

  /** In the second version a message had a channel, and a text's words stood in its subject. */
  @Test
  void aFileOfTheSecondVersionMeansTheSame() {
    String now =
        changed(
            "\"messages\": [",
            "\"messages\": [{\"id\": \"t\", \"name\": \"Come\", \"content\": {\"kind\": \"text\", \"words\": \"Come by\"}, \"links\": [\"A\"]}, ");
    String before =
        now.replace("\"version\": 4", "\"version\": 2")
            .replace(
                "\"content\": {\"kind\": \"text\", \"words\": \"Come by\"}",
                "\"channel\": \"TEXT\", \"subject\": \"Come by\"")
            .replace(
                "\"content\": {\"kind\": \"email\", \"subject\": \"Hello there\"}",
                "\"channel\": \"EMAIL\", \"subject\": \"Hello there\"");
    assertThat(Documents.readFile(before)).isEqualTo(Documents.readFile(now));
  }

  /** In the third version people left, and went nowhere else. */
  @Test
  void aFileOfTheThirdVersionMeansTheSame() {
    String rule = "{\"kind\": \"hasTag\", \"tag\": \"t\"}";
    String now = changed("\"body\"", "\"leaveWhen\": [{\"when\": " + rule + "}], \"body\"");
    String before =
        now.replace("\"version\": 4", "\"version\": 3").replace("{\"when\": " + rule + "}", rule);
    JourneyFile read = Documents.readFile(before);
    assertThat(read).isEqualTo(Documents.readFile(now));
    String kept = Json.write(Json.tree(before).get("journey"));
    assertThat(Documents.readKeptJourney(kept, read.catalogue())).isEqualTo(read.journey());
    assertThat(problemsOf(now.replace("\"when\"", "\"if\"")).get(0).place())
        .startsWith("/journey/leaveWhen/0");
  }

  @ParameterizedTest(name = "journey {0}")
  @MethodSource("seeds")
  void whatIsWrittenIsReadBack(long seed) {
    Journey journey = RandomJourneys.journey(seed, (int) (seed % 40));
    Catalogue all = RandomJourneys.CATALOGUE;
    JourneyFile file =
        new JourneyFile(
            JourneyFile.VERSION,
            journey,
            all.messages(),
            RandomJourneys.manuscripts(seed),
            all.strands(),
            all.segments(),
            seed % 3 == 0 ? Optional.empty() : Optional.of(RandomJourneys.behaviour(seed)));
    assertThat(Documents.readFile(Documents.writeFile(file))).isEqualTo(file);
    assertThat(Documents.readJourney(Json.tree(Json.write(Documents.write(journey))), all))
        .isEqualTo(journey);
  }

  static LongStream seeds() {
    return LongStream.range(0, 300);
  }

  @ParameterizedTest(name = "{2} at {3}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "\"count\": 1|\"count\": -1|bad-value|/journey/body/1/rule/amount|12|69",
        "\"count\": 1|\"count\": 1.5|bad-value|/journey/body/1/rule/amount|12|69",
        "\"count\": 1|\"count\": \"one\"|bad-value|/journey/body/1/rule/amount/count|12|79",
        "\"message\": \"m1\"|\"message\": \"gone\"|unknown-message|/journey/body/0/message|11|51",
        "\"id\": \"w\"|\"id\": \"a\"|bad-value|/journey|3|14",
        "\"name\": \"A test\"|\"name\": \" \"|bad-value|/journey|3|14",
        "\"withinDays\": 21|\"withinDays\": 0|bad-value|/journey/goal|9|13",
        "\"list\": \"Newcomers\"|\"list\": \"\"|bad-value|/journey/triggers/0/list|7|48",
        "\"reEntry\": {\"kind\": \"never\"},||missing-value|/journey/reEntry|3|14",
        "\"step\": \"a\"|\"step\": null|missing-value|/journey/body/2/arms/0/condition/email/step|14|99",
        "\"sendEmail\", \"id\"|\"sendEmail\", \"subjct\": \"x\", \"id\"|unknown-field|/journey/body/0/subjct|11|39",
        "\"kind\": \"sendEmail\"|\"kind\": \"sing\"|bad-kind|/journey/body/0/kind|11|16",
        "\"kind\": \"sendEmail\", ||missing-value|/journey/body/0/kind|11|7",
        "\"DAYS\"|\"FORTNIGHTS\"|bad-value|/journey/body/1/rule/amount/unit|12|90",
        "\"version\": 4|\"version\": 6|bad-value||1|1",
        "\"arms\": [{|\"arms\": [7, {|bad-value|/journey/body/2/arms/0|14|17",
      })
  void refusesWithCodePlaceLineAndColumn(
      String valid, String broken, String code, String place, int line, int column) {
    Problem problem = problemsOf(changed(valid, broken == null ? "" : broken)).get(0);
    assertThat(problem.code()).isEqualTo(code);
    assertThat(problem.place()).isEqualTo(place == null ? "" : place);
    assertThat(problem.sentence())
        .startsWith("Line %d, column %d: ".formatted(line, column))
        .endsWith(".");
  }

  @Test
  void allProblemsAreSaidAtOnce() {
    String broken = changed("\"count\": 1", "\"count\": \"x\"").replace("Newcomers", "");
    assertThat(problemsOf(broken)).hasSize(2);
  }

  @Test
  void whatIsNotSaidIsEmptyOrFalse() {
    JourneyFile file = Documents.readFile(VALID);
    assertThat(file.behaviour()).isEmpty();
    assertThat(file.journey().emails().get(0))
        .isEqualTo(Step.SendEmail.of(new StepId("a"), new MessageId("m1")));
    assertThat(file.journey().goal()).contains(Goal.bought(21, true));
  }

  @Test
  void assumptionsThatAreNotSaidAreTypical() {
    String with =
        changed(
            "\"messages\": [",
            """
            "behaviour": {"groups": [{"name": "All", "share": 1, "zone": "America/New_York"}],
              "emails": {"a": {"pull": {"value": 2, "origin": "BY_HAND"}}}},
            "messages": [""");
    var behaviour = Documents.readFile(with).behaviour().orElseThrow();
    var typical = org.opentrellis.core.behaviour.TypicalBehaviour.in(ZoneId.of("America/New_York"));
    assertThat(behaviour.openMedianHours()).isEqualTo(typical.openMedianHours());
    assertThat(behaviour.groups().get(0).zone()).isEqualTo(ZoneId.of("America/New_York"));
    assertThat(behaviour.reactionTo(new StepId("a")).pull().value()).isEqualTo(2);
    assertThat(behaviour.reactionTo(new StepId("a")).clickGivenOpen())
        .isEqualTo(typical.usual().clickGivenOpen());
  }

  @Test
  void repeatedFieldsTrailingTextAndControlCharactersAreRefused() {
    assertThat(
            problemsOf(
                changed("\"state\": \"DRAFT\"", "\"state\": \"DRAFT\", \"state\": \"OPEN\"")))
        .hasSize(1);
    assertThat(problemsOf(VALID + "{}")).hasSize(1);
    assertThat(problemsOf(changed("A test", "A\u0007test"))).hasSize(1);
    assertThat(problemsOf("")).hasSize(1);
    assertThat(problemsOf("null")).hasSize(1);
    assertThat(problemsOf("[]").get(0).sentence()).contains("Here must be an object");
  }

  @Test
  void sizesAreLimited() {
    assertThat(problemsOf("[".repeat(100_000)).get(0).sentence())
        .contains("nested too deep or too long");
    assertThat(problemsOf(changed("21", "9".repeat(500))).get(0).sentence()).contains("too long");
    assertThat(problemsOf(changed("21", "9".repeat(40))).get(0).sentence())
        .contains("whole number");
    assertThat(problemsOf(changed("21", "1e400")).get(0).sentence()).contains("whole number");
    assertThat(problemsOf(" ".repeat(5_000_001)).get(0).code()).isEqualTo("too-large");
    assertThat(problemsOf(changed("A test", "x".repeat(81))).get(0).sentence())
        .contains("at most 80 characters, not 81");
    String many = Collections.nCopies(1001, "{\"kind\": \"finish\", \"id\": \"f#\"}").toString();
    StringBuilder numbered = new StringBuilder();
    int number = 0;
    for (String part : many.substring(1, many.length() - 1).split("#", -1)) {
      numbered.append(part).append(number++);
    }
    String steps = numbered.substring(0, numbered.lastIndexOf("\"}") + 2);
    String body = VALID.replaceAll("(?s)\"body\": \\[.*\\]\n  \\},", "\"body\": [" + steps + "]},");
    assertThat(problemsOf(body).get(0).sentence()).contains("at most 1000 steps");
  }

  @Test
  void conditionsAndBranchesStandOnlySoDeep() {
    String condition = "{\"kind\": \"hasTag\", \"tag\": \"t\"}";
    for (int i = 0; i < 10; i++) {
      condition = "{\"kind\": \"all\", \"parts\": [" + condition + "]}";
    }
    String deep =
        changed(
            "{\"kind\": \"opened\", \"email\": {\"kind\": \"ofStep\", \"step\": \"a\"}}",
            condition);
    assertThat(problemsOf(deep).get(0).code()).isEqualTo("too-deep");
  }

  @Test
  void anEmptyConditionIsRefused() {
    String empty =
        changed(
            "{\"kind\": \"opened\", \"email\": {\"kind\": \"ofStep\", \"step\": \"a\"}}",
            "{\"kind\": \"any\"}");
    assertThat(problemsOf(empty).get(0).sentence()).endsWith("Name at least one condition here.");
  }

  @Test
  void strandsInACircleAndWrongChannelsAreRefused() {
    String circle =
        changed(
            "\"messages\": [",
            "\"strands\": [{\"id\": \"s\", \"name\": \"S\", \"body\": [{\"kind\": \"include\", \"id\": \"i\", \"strand\": \"s\"}]}], \"messages\": [");
    assertThat(problemsOf(circle).get(0).sentence()).contains("s includes s");
    assertThat(problemsOf(changed("\"email\", \"subject\"", "\"text\", \"words\"")).get(0).code())
        .isEqualTo("wrong-channel");
  }

  @Test
  void moneyHasTwoDecimals() {
    String priced = changed("\"what\": {}}", "\"what\": {\"atLeast\": 49.90}}");
    var what = (Condition.Bought) Documents.readFile(priced).journey().goal().orElseThrow().what();
    assertThat(what.what().atLeast()).contains(new Money(4990));
    assertThat(problemsOf(priced.replace("49.90", "49.905")).get(0).sentence())
        .contains("at most two decimals");
  }
}
