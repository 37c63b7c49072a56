package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.CommandLineRun;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** The dry run's screen: made ready, made, cancelled, and each view of what happened. */
class DryRunTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Page at(String path) {
    return BROWSER.open(APP.address() + "/journeys/" + path);
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static void type(Page page, String label, String value) {
    Locator field = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    field.fill(value);
    field.press("Tab");
  }

  @ParameterizedTest
  @CsvSource({
    "steps, only emails and texts",
    "drop-off, went through to the end",
    "paths, the way they went",
    "where, who entered:",
    "out, Most goes out on",
    "goal, per thousand",
    "matters, By how many points",
    "better, What would be better?",
    "assumptions, opens, times the usual",
  })
  void everyViewIsAccessible(String view, String text) {
    Page page = at("1/dry-run?show=" + view);
    assertThat(page.getByText(text).first()).isVisible();
    Accessibility.assertNothingFound(page);
  }

  @Test
  void aLongRunShowsHowFarItIsAndStops() {
    Page page = at("1/dry-run");
    type(page, "People", "1000000");
    type(page, "Kept out to compare, %", "10");
    button(page, "Run again").click();
    Locator progress =
        page.getByRole(AriaRole.STATUS, new GetByRoleOptions().setName("Run").setExact(true));
    assertThat(progress).containsText("of 1,000,000 people");
    assertThat(progress).containsText("a second");
    button(page, "Cancel the run").click();
    assertThat(progress).isHidden();
    assertThat(button(page, "Run again")).isEnabled();
    // What was shown stays, and so do the settings, over a reload too.
    assertThat(page.getByText("of the 20,000 who entered met the goal")).isVisible();
    page.reload();
    assertThat(page.getByLabel("People", new Page.GetByLabelOptions().setExact(true)))
        .hasValue("1000000");
  }

  @Test
  void aHoldOutShowsWhatTheJourneyAdded() {
    Page page = at("3/dry-run");
    type(page, "People", "4000");
    type(page, "Kept out to compare, %", "20");
    page.getByLabel("They come").selectOption("daily");
    type(page, "A day, on average", "400");
    button(page, "Run again").click();
    assertThat(page.getByText(Pattern.compile("The journey added .* points"))).isVisible();
  }

  @Test
  void aCohortIsKeptUnderAName() {
    Page page = at("4/dry-run");
    type(page, "People", "900");
    button(page, "Keep under a name").click();
    page.getByLabel("Name of the cohort").fill("Autumn carts");
    Accessibility.assertNothingFound(page);
    button(page, "Keep").click();
    assertThat(page.getByText("900 people")).isVisible();
    button(page, "Run again").click();
    assertThat(page.getByText("Autumn carts · lot")).isVisible();
    type(page, "People", "950");
    assertThat(page.getByText("Changed from what is kept.")).isVisible();
  }

  @Test
  void theDaysAreScrubbedAndThePeopleAreOnTheTrellis() {
    Page page = at("1/dry-run?show=where");
    JsonNode where = APP.get("/api/dry-runs/1").body().at("/journeys/0/report/whereabouts");
    Locator day = page.getByLabel("Day since entry");
    day.fill("3");
    for (JsonNode step : where.get("steps")) {
      long people = step.get("people").get(3).asLong();
      Locator crowd = page.locator("[data-crowd='" + step.get("step").asString() + "']");
      if (people == 0) {
        assertThat(crowd).hasCount(0);
      } else {
        assertThat(crowd.locator("title")).containsText("%,d people".formatted(people));
      }
    }
    day.press("ArrowRight");
    assertThat(page.getByText("Day 4", new Page.GetByTextOptions().setExact(true)).first())
        .isVisible();
    button(page, "Play").click();
    assertThat(button(page, "Pause")).isVisible();
    assertThat(page.getByText(Pattern.compile("^Day ([6-9]|[1-9][0-9])$")).first()).isVisible();
  }

  @Test
  void aWayIsLitOnTheTrellis() {
    Page page = at("1/dry-run?show=paths");
    Locator ways =
        page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("Paths")).locator("tbody");
    ways.getByRole(AriaRole.BUTTON).nth(1).click();
    assertThat(page.locator("[data-way]")).hasCount(1);
    ways.getByRole(AriaRole.BUTTON).nth(1).click();
    assertThat(page.locator("[data-way]")).hasCount(0);
  }

  /** What stands in the page's table, its CSV and the interface's answer is one and the same. */
  @Test
  void theStepTableIsSortedChosenFromAndExported() throws IOException {
    Page page = at("1/dry-run");
    JsonNode steps = APP.get("/api/dry-runs/1").body().at("/journeys/0/report/measures/steps");
    page.getByLabel("only emails and texts").check();
    Locator rows =
        page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("Steps")).locator("tbody tr");
    assertThat(rows).hasCount(7);
    button(page, "Columns").click();
    page.getByRole(AriaRole.CHECKBOX, new GetByRoleOptions().setName("delivered % "))
        .first()
        .check();
    page.keyboard().press("Escape");
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("opened %")).first().click();
    double most = 0;
    for (JsonNode step : steps) {
      most = Math.max(most, step.at("/email/opened/value").asDouble(0));
    }
    assertThat(rows.first()).containsText(String.format(Locale.ROOT, "%.1f", 100 * most));
    Download file = page.waitForDownload(() -> page.getByText("CSV").first().click());
    try (CSVParser table =
        CSVParser.parse(
            file.path(),
            StandardCharsets.UTF_8,
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get())) {
      int at = 0;
      for (CSVRecord line : table) {
        JsonNode step = steps.get(at++);
        assertThat(line.get("id")).isEqualTo(step.get("id").asString());
        assertThat(line.get("entered")).isEqualTo(step.at("/reach/count").asString());
        assertThat(line.get("opened")).isEqualTo(step.at("/email/opened/count").asString(""));
      }
      assertThat(at).isEqualTo(steps.size());
    }
  }

  /** The page, line by line, against what the command line prints for the same file and cohort. */
  @Test
  void thePageShowsWhatTheCommandLinePrints(@TempDir Path folder) throws IOException {
    JsonNode printed = CommandLineRun.of(APP, 1, folder);
    Page page = at("1/dry-run");
    button(page, "How it went").click();
    for (JsonNode sentence : printed.at("/journeys/0/summary")) {
      assertThat(page.getByLabel("Summary")).containsText(sentence.asString());
    }
    Locator rows =
        page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("Steps")).locator("tbody tr");
    int at = 0;
    for (JsonNode step : printed.at("/journeys/0/measures/steps")) {
      Locator row = rows.nth(at++);
      assertThat(row).containsText("%,d".formatted(step.at("/reach/count").asLong()));
      for (String measure : new String[] {"opened", "openedByPeople", "clicked", "unsubscribed"}) {
        JsonNode value = step.at("/email/" + measure + "/value");
        if (value.isNumber()) {
          assertThat(row).containsText("%.1f".formatted(100 * value.asDouble()));
        }
      }
    }
    assertThat(rows).hasCount(at);
  }

  @Test
  void theQuotaIsSetAndJudgedAtOnce() {
    Page page = at("1/dry-run?show=out");
    assertThat(
            page.getByText("is within the quota").or(page.getByText("is over the quota")).first())
        .isVisible();
    type(page, "Emails a month", "30000");
    assertThat(page.getByText("is over the quota")).isVisible();
    Accessibility.assertNothingFound(page);
    type(page, "Emails a month", "");
    assertThat(page.getByText("no quota is set")).isVisible();
  }

  @Test
  void whatMattersIsRankedAndOneNumberIsSwept() {
    Page page = at("1/dry-run?show=matters");
    Locator numbers =
        page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("What matters"));
    assertThat(numbers.getByRole(AriaRole.BUTTON).first()).isVisible();
    Locator wait = numbers.getByText(Pattern.compile("^Wait: Wait 3 days")).first();
    wait.click();
    assertThat(page.locator("p.font-semibold").getByText("Wait: Wait 3 days")).isVisible();
  }

  @Test
  void aChangedAssumptionSaysWhatItWouldDo() {
    Page page = at("6/dry-run?show=assumptions");
    Locator preview = page.locator("[data-preview]");
    assertThat(preview).containsText("the assumptions of the run itself");
    Locator pull = page.getByLabel(Pattern.compile("^Opens of ")).first();
    pull.fill("4");
    pull.press("Tab");
    assertThat(preview)
        .containsText(Pattern.compile("goal goes from .* points|no goal to compare"));
    page.reload();
    assertThat(page.getByLabel(Pattern.compile("^Opens of ")).first()).hasValue("4");
  }

  /** The history is what another run's people did; the message is one that the journey sends. */
  @Test
  void aHistoryIsReadAndShownBesideTheModel() {
    Page page = at("1/dry-run?show=assumptions");
    Locator input = page.locator("input[type=file]");
    input.setInputFiles(
        new FilePayload(
            "history.csv", "text/csv", "person,sent\n".getBytes(StandardCharsets.UTF_8)));
    assertThat(page.getByText("There is no column \u201cmessage\u201d")).isVisible();
    StringBuilder history = new StringBuilder("person,message,sent,opened,clicked\n");
    for (int person = 0; person < 400; person++) {
      history.append("p%d,your-hive-planner-is-here,2027-03-01T08:00:00Z,".formatted(person));
      history.append(person % 2 == 0 ? "2027-03-01T1%d:20:00Z".formatted(person % 10) : "");
      history.append(person % 6 == 0 ? ",2027-03-01T20:00:00Z\n" : ",\n");
    }
    input.setInputFiles(
        new FilePayload(
            "history.csv", "text/csv", history.toString().getBytes(StandardCharsets.UTF_8)));
    assertThat(page.getByText("400 messages to 400 people were read.")).isVisible();
    assertThat(page.getByText("50.0% (45.1% to 54.9%)")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Use what was measured").click();
    assertThat(
            page.getByRole(
                AriaRole.GROUP, new GetByRoleOptions().setName("Assumptions for each email")))
        .containsText("measured");
  }

  @Test
  void runsAreNamedOpenedAndRepeated() throws IOException {
    long run = APP.run("5", 800, 3);
    Page page = at("5/dry-run");
    assertThat(page.getByText("lot 3").first()).isVisible();
    button(page, "Runs").click();
    page.getByLabel("Name of run " + run).fill("A small one");
    page.getByLabel("Name of run " + run).press("Tab");
    assertThat(page.getByText("A small one of v1")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Delete run 5").click();
    button(page, "Delete run 5 for good").click();
    assertThat(page.getByLabel("Name of run 5")).hasCount(0);
    page.keyboard().press("Escape");
    button(page, "Repeat").click();
    assertThat(page.getByText("Made again: every figure is the same.")).isVisible();
    Download report = page.waitForDownload(() -> page.getByText("Report").click());
    String html = Files.readString(report.path());
    assertThat(html)
        .contains("Membership turns over, version 1")
        .contains("<figure><svg", "@font-face", "How the goal was met, day by day")
        .doesNotContain("http://")
        .doesNotContain("https://")
        .doesNotContain("<script");
  }

  @Test
  void severalJourneysAreRunTogether() {
    Page page = at("7/dry-run");
    type(page, "People", "600");
    page.getByText("Together with").click();
    page.getByLabel("Through the season").check();
    button(page, "Run again").click();
    Locator other =
        page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Through the season"));
    assertThat(other).isVisible();
    other.click();
    assertThat(
            page.getByRole(AriaRole.HEADING, new GetByRoleOptions().setName("Through the season")))
        .isVisible();
    assertThat(page.getByText("\u00b7 together with")).isVisible();
  }
}
