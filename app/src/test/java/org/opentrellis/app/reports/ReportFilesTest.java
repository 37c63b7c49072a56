package org.opentrellis.app.reports;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Component;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** Files of runs and comparisons hold what the application says, and stand for themselves. */
class ReportFilesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static List<CSVRecord> table(String path) throws IOException {
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();
    try (CSVParser parser = CSVParser.parse(new StringReader(APP.text(path)), format)) {
      return parser.getRecords();
    }
  }

  private static JsonNode report(long run) {
    return APP.get("/api/dry-runs/" + run).body().at("/journeys/0/report");
  }

  @Test
  void pathsAreALineEachAndAddUp() throws IOException {
    List<CSVRecord> lines = table("/api/dry-runs/1/paths.csv");
    JsonNode paths = report(1).get("paths");
    assertThat(lines.get(0).get("path")).isEqualTo(paths.at("/paths/0/words").asString());
    long people = lines.stream().mapToLong(line -> Long.parseLong(line.get("people"))).sum();
    assertThat(people).isEqualTo(report(1).at("/measures/entered").asLong());
  }

  @Test
  void daysHaveTheCurvesOfTheRun() throws IOException {
    List<CSVRecord> lines = table("/api/dry-runs/1/curves.csv");
    JsonNode goal = report(1).at("/curves/goal/points");
    assertThat(lines).hasSizeGreaterThanOrEqualTo(goal.size());
    for (int day = 0; day < goal.size(); day++) {
      assertThat(Double.parseDouble(lines.get(day).get("goal")))
          .isEqualTo(goal.get(day).get("value").asDouble());
    }
  }

  @Test
  void whatGoesOutIsTheSumOfItsDays() throws IOException {
    long emails =
        table("/api/dry-runs/4/outgoing.csv").stream()
            .mapToLong(line -> Long.parseLong(line.get("emails")))
            .sum();
    assertThat(emails).isEqualTo(report(4).at("/measures/emailsSent").asLong());
  }

  @Test
  void thePlanIsACalendarThatOthersRead() throws IOException, ParserException {
    var calendar =
        new CalendarBuilder().build(new StringReader(APP.text("/api/dry-runs/1/plan.ics")));
    assertThat(calendar.getComponents(Component.VEVENT)).hasSize(7);
  }

  /** What a user wrote is shown as written, and never taken for a part of the page. */
  @Test
  void theReportSaysWhatTheRunShowedAndTakesNoTextForMarkup() {
    JsonNode journey = APP.get("/api/journeys/2").body();
    String renamed =
        journey
            .get("journey")
            .toString()
            .replace("First frames, one try", "<script>alert(1)</script>");
    assertThat(
            APP.put(
                    "/api/journeys/2",
                    "{\"version\": %d, \"journey\": %s, \"by\": null}"
                        .formatted(journey.get("version").asInt(), renamed))
                .status())
        .isEqualTo(200);
    long run = APP.run("2", 900, 4);
    String html = APP.text("/api/dry-runs/" + run + "/report.html");
    assertThat(html).doesNotContain("<script").contains("&lt;script&gt;");
    String summary = report(run).at("/summary/0").asString();
    assertThat(html).contains(summary.replace("\u201c", "\u201c"));
    String beside = APP.text("/api/comparisons.html?runs=" + run + ",1");
    assertThat(beside).doesNotContain("<script").contains("&lt;script&gt;").contains("<svg");
  }

  @Test
  void aJourneyThatTheRunDoesNotHaveIsNotFound() {
    assertThat(APP.get("/api/dry-runs/1/what-matters?number=3").status()).isEqualTo(404);
    assertThat(APP.get("/api/comparisons?runs=1,2.4").status()).isEqualTo(404);
  }
}
