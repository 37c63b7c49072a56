package org.opentrellis.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import net.fortuna.ical4j.data.CalendarBuilder;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.JsonNode;

/** The command line as scripts use it: what it prints, and its exit status. */
class TrellisCommandTest {
  private static final String EXAMPLES = "../docs/examples/";
  private static final String CART = EXAMPLES + "left-on-the-bench.json";

  @TempDir Path folder;

  private record Answer(int status, String out, String err) {
    JsonNode json() {
      return Json.tree(out);
    }
  }

  private static Answer run(String... arguments) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int status =
        TrellisCommand.run(arguments, new PrintWriter(out, true), new PrintWriter(err, true));
    return new Answer(status, out.toString(), err.toString());
  }

  private static Answer dryRun(String... more) {
    List<String> all =
        new ArrayList<>(List.of("dry-run", "--people", "2000", "--start", "2027-03-01"));
    all.addAll(List.of(more));
    return run(all.toArray(String[]::new));
  }

  @Test
  void printsWhatHappenedInDocumentedFields() {
    JsonNode result = dryRun(CART, "--horizon", "30d").json();
    assertThat(result.get("people").asInt()).isEqualTo(2000);
    assertThat(result.get("horizonDays").asInt()).isEqualTo(30);
    JsonNode journey = result;
    long entered = journey.get("entered").asLong();
    assertThat(entered)
        .isEqualTo(
            journey.get("finished").asLong()
                + journey.get("left").asLong()
                + journey.get("waiting").asLong());
    JsonNode first = journey.at("/steps/0");
    assertThat(first.get("kind").asString()).isEqualTo("sendEmail");
    assertThat(first.get("entered").asLong()).isEqualTo(entered);
    assertThat(first.get("opened").asLong()).isBetween(1L, first.get("delivered").asLong());
  }

  @Test
  void theFiguresAreTheSameForAnyNumberOfThreadsAndOtherwiseGoByTheSeed() {
    assertThat(dryRun(CART, "--threads", "3").out())
        .isEqualTo(dryRun(CART, "--threads", "1").out());
    assertThat(dryRun(CART, "--seed", "2").out()).isNotEqualTo(dryRun(CART).out());
  }

  @Test
  void pathsAddUp() {
    JsonNode journey = dryRun(EXAMPLES + "three-tries.json", "--paths").json();
    long sum = journey.get("otherPaths").asLong();
    for (JsonNode path : journey.get("paths")) {
      sum += path.get("count").asLong();
      assertThat(path.at("/steps/0").asString()).isEqualTo("hint");
    }
    assertThat(sum).isEqualTo(journey.get("entered").asLong());
  }

  @Test
  void severalFilesAreOnePopulation() {
    JsonNode journeys =
        dryRun(EXAMPLES + "wake-the-quiet-ones.json", EXAMPLES + "through-the-season.json")
            .json()
            .get("journeys");
    long handedOver = 0;
    for (JsonNode step : journeys.at("/0/steps")) {
      handedOver += step.get("id").asString().equals("on") ? step.get("entered").asLong() : 0;
    }
    assertThat(handedOver).isPositive();
    assertThat(journeys.at("/1/entered").asLong()).isEqualTo(handedOver);
  }

  @Test
  void csvIsATableThatOthersRead() throws IOException {
    Answer answer = dryRun(CART, "--format", "csv");
    try (CSVParser table =
        CSVParser.parse(
            new StringReader(answer.out()),
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get())) {
      var lines = table.getRecords();
      assertThat(lines).hasSize(5);
      assertThat(lines.get(0).get("journey")).isEqualTo("Left on the bench");
      assertThat(lines.get(1).get("sent")).isEmpty();
    }
  }

  @Test
  void aCohortFileSaysWhoEnters() throws IOException {
    Path cohort = folder.resolve("cohort.json");
    Files.writeString(
        cohort,
        """
        {"people": 700, "groups": [{"name": "All", "share": 1}],
         "arrivals": {"kind": "atOnce", "at": "09:00"}, "holdOut": 0.1}
        """);
    var report = dryRun(CART, "--report", "--cohort", cohort.toString()).json();
    assertThat(report.get("people").asInt()).isEqualTo(700);
    long entered = report.at("/journeys/0/measures/entered").asLong();
    assertThat(entered + report.at("/journeys/0/measures/heldOutGoal/of").asLong()).isEqualTo(700);
    Files.writeString(cohort, "{\"people\": 700, \"groups\": []}");
    assertThat(dryRun(CART, "--cohort", cohort.toString()).status()).isEqualTo(2);
  }

  @Test
  void theEventLogAndTheSendPlanAreWellFormed() throws Exception {
    Path xes = folder.resolve("log.xes");
    Path ics = folder.resolve("plan.ics");
    assertThat(dryRun(CART, "--xes", xes.toString(), "--ics", ics.toString()).status()).isZero();
    var log = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(xes.toFile());
    assertThat(log.getDocumentElement().getAttribute("xes.version")).isEqualTo("1849-2016");
    assertThat(log.getElementsByTagName("trace").getLength()).isEqualTo(2000);
    var calendar = new CalendarBuilder().build(Files.newBufferedReader(ics));
    assertThat(calendar.getComponents("VEVENT")).hasSize(3);
    assertThat(calendar.validate().hasErrors()).isFalse();
  }

  @Test
  void aHoldOutIsCountedApart() {
    JsonNode journey = dryRun(CART, "--hold-out", "0.25").json();
    assertThat(journey.get("heldOut").asLong()).isBetween(400L, 650L);
    assertThat(journey.get("summary").toString()).contains("The journey added");
  }

  @Test
  void aBadFileIsRefusedWithStatus2AndItsLine() throws IOException {
    Path bad = folder.resolve("bad.json");
    Files.writeString(
        bad, Files.readString(Path.of(CART)).replace("\"minutes\": 60", "\"minutes\": -1"));
    for (String command : List.of("dry-run", "check", "sheet")) {
      Answer answer = run(command, bad.toString());
      assertThat(answer.status()).isEqualTo(2);
      assertThat(answer.err())
          .contains("Line 7, column")
          .contains("/journey/triggers/0")
          .doesNotContain("\tat ");
      assertThat(answer.out()).isEmpty();
    }
    assertThat(run("check", "nowhere.json").err()).contains("There is no such file.");
    assertThat(dryRun(CART, CART).err()).contains("Another file has a journey");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "dry-run", "dry-run x.json --people many", "dry-run x.json --people 0",
        "dry-run x.json --horizon soon", "dry-run x.json --threads 0",
            "dry-run x.json --format xml",
        "dry-run x.json --paths --format csv", "sing", "check"
      })
  void badUseHasStatus3AndSaysWhy(String line) {
    Answer answer = run(line.split(" "));
    assertThat(answer.status()).isEqualTo(3);
    assertThat(answer.err()).startsWith("trellis: ").contains("--help").doesNotContain("\tat ");
  }

  @Test
  void checksAndSentencesOfEveryExample() throws IOException {
    try (var all = Files.list(Path.of(EXAMPLES))) {
      for (Path example : all.filter(p -> p.toString().endsWith(".json")).toList()) {
        Answer check = run("check", example.toString());
        assertThat(check.status()).isZero();
        assertThat(check.out()).doesNotContain(": error:").isNotBlank();
        assertThat(run("sheet", example.toString()).out())
            .startsWith("# ")
            .contains("## Run sheet");
      }
    }
  }

  @Test
  void aHistoryIsFitted() throws IOException {
    StringBuilder csv = new StringBuilder("person,message,sent,opened,clicked\n");
    for (int i = 0; i < 200; i++) {
      String opened = i % 3 == 0 ? "2027-03-01T%02d:10:00Z".formatted(10 + i % 8) : "";
      csv.append(
          "p%d,planner,2027-03-01T09:00:00Z,%s,%s%n"
              .formatted(i, opened, i % 9 == 0 ? opened : ""));
    }
    Path file = folder.resolve("history.csv");
    Files.writeString(file, csv);
    Answer answer = run("calibrate", file.toString(), "--until", "2027-04-01T00:00:00Z");
    assertThat(answer.status()).isZero();
    assertThat(answer.json().at("/messages/planner/clickGivenOpen/value").asDouble())
        .isBetween(0.3, 0.37);
    for (String bad :
        List.of(
            "person,message,sent\n",
            "person,message,sent\na,\"b\"c,d\n",
            "person,person\n",
            "x" + ",x".repeat(300))) {
      Files.writeString(file, bad);
      Answer refused = run("calibrate", file.toString());
      assertThat(refused.status()).isEqualTo(2);
      assertThat(refused.err()).startsWith(file + ": ").doesNotContain("\tat ");
    }
    assertThat(run("calibrate", folder.toString()).err()).isNotBlank().doesNotContain("\tat ");
  }

  private static Answer better(String... more) {
    List<String> all =
        new ArrayList<>(
            List.of("better", CART, "--people", "3000", "--tried-by", "2000", "--start"));
    all.add("2027-03-01");
    all.addAll(List.of(more));
    return run(all.toArray(String[]::new));
  }

  /** What is listed can be varied, with another range, and the best of it taken over. */
  @Test
  void betterWaysAreListedTriedAndTaken() throws IOException {
    Answer list = better("--list");
    assertThat(list.out()).contains("length:three-days  Wait 3 days", "tries:still  How often");
    Path out = folder.resolve("better.json");
    Answer found =
        better(
            "--vary",
            "length:three-days=1..5/2",
            "--vary",
            "tries:questions=0..1",
            "--take",
            out.toString());
    assertThat(found.status()).isZero();
    assertThat(found.out())
        .contains(
            "better than today, and not by chance",
            "a second try instead of no second try",
            "All of 6 combinations were tried",
            "other worlds");
    assertThat(run("sheet", out.toString()).out()).contains("Questions about the kit, new subject");
    JsonNode json = better("--vary", "order:still", "--format", "json").json();
    assertThat(json.at("/size/combinations").asInt()).isEqualTo(2);
    assertThat(json.at("/tried/0/fate").asString()).isNotBlank();
  }

  @Test
  void aSearchCanBeAFile() throws IOException {
    Path wish = folder.resolve("wish.json");
    Files.writeString(
        wish,
        """
        {"vary": [{"kind": "absence", "step": "voucher"}],
         "wanted": {"what": "FEWER_EMAILS", "emailPrice": 0, "mayLose": 0.2},
         "limits": {"emailsAWeek": 9}, "people": 1000}
        """);
    assertThat(better("--search", wish.toString()).out())
        .contains("Without \u201cA feeder with the kit\u201d.", "emails saved for each");
    Files.writeString(wish, "{\"vary\": [{\"kind\": \"absense\"}]}");
    Answer refused = better("--search", wish.toString());
    assertThat(refused.status()).isEqualTo(2);
    assertThat(refused.err()).contains("wish.json", "/vary/0/kind");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "--vary length:nowhere",
        "--vary order:still=1..2",
        "--vary length:three-days=5..1",
        "--vary tries:still=0..9",
        "--want love",
        "--tried-by 10",
        "--vary length:three-days=some"
      })
  void aSearchThatCannotBeIsBadUse(String bad) {
    Answer answer = better(bad.split(" "));
    assertThat(answer.status()).isEqualTo(3);
    assertThat(answer.err()).startsWith("trellis: ");
  }
}
