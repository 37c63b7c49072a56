package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** Runs side by side: lined up, judged, read and exported. */
class SideBySideTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Page at(String query) {
    return BROWSER.open(APP.address() + "/side-by-side" + query);
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void theFourPurposesAreComparedAndAVerdictIsRead() {
    Page page = at("");
    button(page, "The newest of each purpose side by side").click();
    assertThat(page).hasURL(Pattern.compile("runs=1(,|%2C)3(,|%2C)4(,|%2C)5"));
    for (String run :
        new String[] {
          "First frames", "Through the season", "Left on the bench", "Membership turns over"
        }) {
      assertThat(page.getByRole(AriaRole.COLUMNHEADER).getByText(run)).isVisible();
    }
    assertThat(page.getByText("Different people in all of them")).isVisible();
    page.locator("[data-cell^='1/']").first().click();
    assertThat(page.locator("[data-told]"))
        .containsText(Pattern.compile("That is a difference|could be chance|Too few"));
    Accessibility.assertNothingFound(page);
  }

  @Test
  void versionsAreLinedUpByStepAndTheBaselineIsChosen() {
    Page page = at("?runs=2,1&by=STEPS");
    assertThat(page.getByText("so they are compared one by one").first()).isVisible();
    button(page, "compare with this").click();
    assertThat(page).hasURL(Pattern.compile("with=1"));
    JsonNode view = APP.get("/api/comparisons?runs=2,1&baseline=1&lineUp=STEPS").body();
    JsonNode whole = view.at("/comparison/wholes/0");
    button(page, "Whole runs").click();
    assertThat(page.getByText(whole.get("goalSentence").asString()).first()).isVisible();
    button(page, "unsubscribed").last().click();
    assertThat(page.getByText(whole.at("/unsubscribePace/sentence").asString()).last()).isVisible();
    page.reload();
    assertThat(button(page, "same step")).hasAttribute("aria-pressed", "true");
    assertThat(page.getByText("so they are compared one by one").first()).isVisible();
  }

  @Test
  void whatStandsOutLeadsToItsCell() {
    Page page = at("?runs=2,1");
    JsonNode found = APP.get("/api/comparisons?runs=2,1").body().at("/comparison/standsOut");
    int at = 0;
    while (!found.get(at).get("rule").asString().equals("second-try-lifts")) {
      at++;
    }
    JsonNode lift = found.get(at);
    assertThat(page.getByText(lift.get("text").asString())).isVisible();
    page.getByLabel("Show what " + (at + 1) + " speaks of").click();
    String cell = lift.get("run").asInt() + "/" + lift.get("step").asString();
    assertThat(page.locator("td:has([data-cell='" + cell + "'])"))
        .hasClass(Pattern.compile("bg-marigold-soft"));
  }

  @Test
  void aComparisonIsKeptAndComesBack() {
    Page page = at("?runs=2,1&show=CLICKED");
    assertThat(page.getByText("What stands out")).isVisible();
    button(page, "Kept").click();
    page.getByLabel("Name of the comparison").fill("One try or two");
    button(page, "Keep").click();
    assertThat(page.getByText("One try or two")).isVisible();
    Accessibility.assertNothingFound(page);
    Page later = at("");
    button(later, "Kept").click();
    later.getByText("One try or two").click();
    assertThat(button(later, "clicked")).hasAttribute("aria-pressed", "true");
    assertThat(later.getByText("What stands out")).isVisible();
  }

  @Test
  void theTableIsExportedAndReadAgain() throws IOException {
    Page page = at("?runs=2,1,3");
    JsonNode table = APP.get("/api/comparisons?runs=2,1,3").body().at("/comparison/table");
    Download file = page.waitForDownload(() -> page.getByText("CSV").click());
    try (CSVParser csv =
        CSVParser.parse(
            file.path(),
            StandardCharsets.UTF_8,
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get())) {
      var lines = csv.getRecords();
      CSVRecord first = lines.get(0);
      JsonNode cell = table.at("/rows/0/cells/0");
      assertThat(first.get("step")).isEqualTo(cell.get("step").asString());
      assertThat(Double.parseDouble(first.get("value")))
          .isEqualTo(cell.at("/share/value").asDouble());
      JsonNode against = table.at("/rows/0/cells/1/against");
      assertThat(lines.get(1).get("verdict")).isEqualTo(against.get("sentence").asString());
    }
    Download report = page.waitForDownload(() -> page.getByText("Report").click());
    assertThat(Files.readString(report.path()))
        .contains("What stands out")
        .contains("<svg")
        .doesNotContain("http://")
        .doesNotContain("<script");
  }
}
