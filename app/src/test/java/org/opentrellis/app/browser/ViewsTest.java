package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.RunningApplication;

/** Every main view on the demo: accessible, complete, and fitting its window. */
class ViewsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "/journeys, First frames",
    "/journeys/1?step=planner-again, Links in this message",
    "/journeys/1?step=opened-by-now, The first arm that holds wins",
    "/journeys/1?step=journey, Again",
    "/journeys/1?step=one-day, Days and weeks keep the time",
    "/journeys/3?step=mark-reader, And another change",
    "/journeys/1/dry-run, met the goal",
    "/side-by-side, Choose two runs or more",
    "'/side-by-side?runs=2,1,3', What stands out",
  })
  void axeFindsNothingAndTheWindowDoesNotScroll(String path, String text) {
    Page page = BROWSER.open(APP.address() + path);
    assertThat(page.getByText(text).first()).isVisible();
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    Accessibility.assertNothingFound(page);
    Object overflow =
        page.evaluate(
            "document.documentElement.scrollHeight > innerHeight || document.documentElement.scrollWidth > innerWidth");
    assertThat(overflow).isEqualTo(false);
  }

  @Test
  void thePickerOfRunsIsAccessibleToo() {
    Page page = BROWSER.open(APP.address() + "/side-by-side?runs=2,1");
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Choose runs")).click();
    assertThat(page.getByRole(AriaRole.CHECKBOX)).not().hasCount(0);
    Accessibility.assertNothingFound(page);
    page.getByRole(AriaRole.CHECKBOX, new GetByRoleOptions().setName("Through the season")).check();
    assertThat(page).hasURL(APP.address() + "/side-by-side?runs=2,1,3");
    assertThat(page.getByText("Mind that their goals differ")).isVisible();
  }

  /** The layout reckons with the widths of letters; here they are as the browser draws them. */
  @ParameterizedTest(name = "journey {0}")
  @ValueSource(longs = {1, 2, 3})
  void labelsOfTheDemosTrellisesDoNotOverlapAsDrawn(long journey) {
    Page page = BROWSER.open(APP.address() + "/journeys/" + journey);
    assertThat(page.locator("svg [data-label]").getByText("goal")).isVisible();
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    Object overlaps =
        page.evaluate(
            """
            () => {
              const labels = [...document.querySelectorAll('svg [data-label]')];
              const boxes = labels.map(one => [one.textContent.trim(), one.getBoundingClientRect()]);
              const found = [];
              boxes.forEach(([name, a], i) => boxes.slice(i + 1).forEach(([other, b]) => {
                const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
                const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
                if (across > 0.5 && down > 2) found.push(name + ' / ' + other);
              }));
              return found.length === 0 && boxes.length < 10 ? ['too few labels'] : found;
            }
            """);
    assertThat((List<?>) overlaps).isEmpty();
  }

  @Test
  void nothingComesFromOutside() {
    Page page = BROWSER.open(APP.address() + "/journeys/1");
    List<String> elsewhere = new java.util.ArrayList<>();
    page.onRequest(
        request -> {
          if (!request.url().startsWith(APP.address())) {
            elsewhere.add(request.url());
          }
        });
    page.reload();
    assertThat(page.getByText("Pick your first hive").first()).isVisible();
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    assertThat(elsewhere).isEmpty();
  }

  @Test
  void runSheetTrellisAndPanelShareOneSelection() {
    Page page = BROWSER.open(APP.address() + "/journeys/1");
    // The picture is drawn anew once there is an estimate.
    assertThat(page.getByText("3,000 people")).isVisible();
    page.locator("svg [data-step=season]").click();
    assertThat(page.locator("[data-row=season]")).hasAttribute("aria-current", "true");
    assertThat(page.locator("h2#step-panel")).containsText("What a season costs");
    page.locator("[data-row=jar]").click();
    assertThat(page.locator("svg [data-step=jar]")).hasAttribute("aria-pressed", "true");
    assertThat(page).hasURL(APP.address() + "/journeys/1?step=jar");
  }

  @Test
  void aFindingIsMendedWithOneButtonAndUndone() {
    Page page = BROWSER.open(APP.address() + "/journeys/3?step=journey");
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Leave when the goal is met"))
        .click();
    assertThat(page.getByText("60 days, leave when met")).isVisible();
    assertThat(page.getByText("still get every email")).isHidden();
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Undo")).click();
    assertThat(page.getByText("still get every email")).isVisible();
  }

  /** A changed assumption changes the result: the first email pulls more, so more open it. */
  @Test
  void assumptionsAreEditedAndChangeTheRun() {
    Page page = BROWSER.open(APP.address() + "/journeys/2/dry-run");
    page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Assumptions")).click();
    page.getByLabel("Opens of Your hive planner is here").fill("9");
    page.getByLabel("Opens of Your hive planner is here").press("Tab");
    page.getByLabel("People", new Page.GetByLabelOptions().setExact(true)).fill("3000");
    page.getByLabel("People", new Page.GetByLabelOptions().setExact(true)).press("Tab");
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Run again")).click();
    assertThat(page.getByText("of the 3,000 who entered met the goal")).isVisible();
    var run = APP.get("/api/dry-runs").body().at("/runs/0").get("id").asLong();
    double opened =
        APP.get("/api/dry-runs/" + run)
            .body()
            .at("/journeys/0/report/measures/steps/1/email/openedByPeople/value")
            .asDouble();
    assertThat(opened).isGreaterThan(0.7);
    page.getByRole(AriaRole.TAB, new GetByRoleOptions().setName("Steps")).click();
    assertThat(page.getByRole(AriaRole.TABLE).first()).containsText("%.1f".formatted(opened * 100));
  }
}
