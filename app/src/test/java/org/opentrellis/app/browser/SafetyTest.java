package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** Nothing goes wrong by accident: states, versions, two tabs, files, starters, the shelf. */
class SafetyTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Page at(String path) {
    return BROWSER.open(APP.address() + path);
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static long copyOf(long id) {
    return APP.post("/api/journeys/" + id + "/copies", "").body().get("id").asLong();
  }

  @Test
  void aDraftSaysSoAndIsOpenedOnlyAfterItWasSaidWhatHappens() {
    Page page = at("/journeys/" + copyOf(4));
    Locator state =
        page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("State of the journey"));
    assertThat(state).containsText("This journey is a draft.");
    assertThat(state).containsText("Nobody enters until it is opened.");
    button(page, "Open…").click();
    assertThat(state).containsText("From now on it starts when someone leaves a cart");
    assertThat(state).containsText("Nobody is inside");
    Accessibility.assertNothingFound(page);
    button(page, "Open now").click();
    assertThat(state).containsText("This journey is open.");
    assertThat(state).containsText("Nobody is inside now.");
    button(page, "Stop…").click();
    button(page, "Leave it").click();
    assertThat(state).containsText("This journey is open.");
  }

  @Test
  void whatStandsInTheWayOfOpeningIsToldAndShown() {
    long id =
        APP.post("/api/journeys", "{\"name\": \"Not ready\", \"purpose\": \"WELCOME\"}")
            .body()
            .get("id")
            .asLong();
    Page page = at("/journeys/" + id);
    button(page, "Open…").click();
    assertThat(page.getByText("It cannot be opened yet.")).isVisible();
    assertThat(button(page, "Open now")).hasCount(0);
  }

  @Test
  void versionsAreSignedNamedComparedAndGoneBackTo() {
    long id = copyOf(1);
    Page page = at("/journeys/" + id + "?step=one-day");
    page.getByRole(AriaRole.TAB, new GetByRoleOptions().setName("Versions")).click();
    page.getByLabel("Sign your versions as").fill("Ida");
    Sheet.row(page, "one-day").focus();
    page.keyboard().press("Alt+ArrowUp");
    Sheet.saved(page);
    Locator versions = page.getByRole(AriaRole.LIST, new GetByRoleOptions().setName("Versions"));
    page.getByRole(AriaRole.TAB, new GetByRoleOptions().setName("Versions")).click();
    assertThat(versions).containsText("Ida");
    versions.getByText("Version 1").click();
    assertThat(page.getByText("Since then")).isVisible();
    assertThat(page.getByText(Pattern.compile("moved"))).not().hasCount(0);
    Accessibility.assertNothingFound(page);
    page.getByLabel("Name of version 1").fill("On paper");
    page.getByLabel("Name of version 1").press("Tab");
    assertThat(versions).containsText("On paper");
    button(page, "Go back to it").click();
    assertThat(Sheet.rows(page).nth(2)).hasAttribute("data-row", "one-day");
    page.keyboard().press("Control+z");
    Sheet.saved(page);
  }

  /** Each changed another step: both changes are kept, and one may still choose otherwise. */
  @Test
  void twoTabsLoseNobodysWork() {
    long id = copyOf(1);
    Page theirs = at("/journeys/" + id + "?step=one-day");
    Page mine = at("/journeys/" + id + "?step=two-days");
    assertThat(Sheet.rows(mine).first()).isVisible();
    theirs.getByLabel("Amount: how many").fill("5");
    theirs.getByLabel("Amount: how many").press("Tab");
    assertThat(Sheet.row(theirs, "one-day")).containsText("Wait 5 days");
    Sheet.saved(theirs);
    mine.getByLabel("Amount: how many").fill("7");
    mine.getByLabel("Amount: how many").press("Tab");
    Locator conflict = mine.getByRole(AriaRole.ALERT);
    assertThat(conflict).containsText("Wait 5 days");
    assertThat(conflict).containsText("Wait 7 days");
    Accessibility.assertNothingFound(mine);
    button(mine, "Save as chosen").click();
    assertThat(conflict).isHidden();
    Sheet.saved(mine);
    assertThat(Sheet.row(mine, "one-day")).containsText("Wait 5 days");
    assertThat(Sheet.row(mine, "two-days")).containsText("Wait 7 days");
    button(mine, "Undo").click();
    assertThat(Sheet.row(mine, "one-day")).containsText("Wait 1 day");
  }

  @Test
  void aJourneyFileSaysWhatItBringsBeforeItComesIn() {
    String file =
        APP.text("/api/journeys/5/file").replace("Membership turns over", "Turns over elsewhere");
    Page page = at("/journeys");
    button(page, "Import").click();
    page.getByLabel("Journey file (.json)")
        .setInputFiles(
            new FilePayload(
                "journey.json", "application/json", file.getBytes(StandardCharsets.UTF_8)));
    assertThat(page.getByText("Only the journey: all else is here.")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Bring it in as a draft").click();
    assertThat(page.getByRole(AriaRole.HEADING, new GetByRoleOptions().setLevel(1)))
        .hasText("Turns over elsewhere");

    Page bad = at("/journeys");
    button(bad, "Import").click();
    bad.getByLabel("Journey file (.json)")
        .setInputFiles(
            new FilePayload(
                "bad.json",
                "application/json",
                "{\"version\": 2".getBytes(StandardCharsets.UTF_8)));
    assertThat(bad.getByRole(AriaRole.ALERT)).containsText("That did not work");
  }

  @Test
  void aStarterComesWithItsReasonsInTheMargin() {
    Page page = at("/journeys");
    button(page, "New journey").click();
    Locator card =
        page.getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHasText("Left in the cart"));
    card.getByText("Begin from it").click();
    assertThat(page.getByText("Help, not a price:")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "More").click();
    page.getByRole(AriaRole.MENUITEM, new GetByRoleOptions().setName("Hide the reasons")).click();
    assertThat(page.getByText("Help, not a price:")).isHidden();
  }

  @Test
  void journeysAreFoundCopiedPutAwayAndBroughtBack() {
    long id = copyOf(7);
    Page page = at("/journeys");
    page.getByLabel("Find journeys", new GetByLabelOptions().setExact(true)).fill("goes with 2");
    Locator rows =
        page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("All journeys"))
            .getByRole(AriaRole.LISTITEM);
    assertThat(rows).hasCount(1);
    button(page, "More about What goes with it 2").click();
    page.getByRole(AriaRole.MENUITEM, new GetByRoleOptions().setName("Archive")).click();
    assertThat(rows).hasCount(0);
    button(page, "Show 1 archived").click();
    Accessibility.assertNothingFound(page);
    button(page, "Bring back").click();
    assertThat(rows).hasCount(1);
    assertThat(APP.get("/api/journeys/" + id).body().get("archived").asBoolean()).isFalse();
  }
}
