package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** A journey is opened, somebody is put in, reads, clicks, and takes the branch. */
class GlasshouseTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(30);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator region(Page page, String name) {
    return page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName(name));
  }

  private static void turn(Page page, String by) {
    button(page, by).click();
    assertThat(button(page, "1 hour")).isVisible();
  }

  @Test
  void fromOpeningToTheBranch() {
    Page page = BROWSER.open(APP.address() + "/glasshouse");
    assertThat(page.getByText("No journey is open yet.")).isVisible();
    Accessibility.assertNothingFound(page);

    page.navigate(APP.address() + "/journeys/1");
    button(page, "Open…").click();
    button(page, "Open now").click();
    Locator state = region(page, "State of the journey");
    assertThat(state).containsText("This journey is open.");

    page.navigate(APP.address() + "/people?person=3");
    Locator inJourneys = region(page, "In journeys");
    assertThat(inJourneys).containsText("They are in none now.");
    inJourneys.getByLabel("Put into").selectOption("First frames");
    button(page, "Put in").click();
    assertThat(inJourneys).containsText("First frames");
    assertThat(inJourneys).containsText("Wait 1 day");

    page.navigate(APP.address() + "/glasshouse");
    assertThat(page.getByText("1 person is inside 1 open journey.")).isVisible();
    turn(page, "1 hour");
    Locator mail = page.locator("[aria-label=Mail] > button").first();
    mail.click();
    button(page, "Open it").click();
    assertThat(page.getByText("It was opened.")).isVisible();
    button(page, "Click “Hive kits”").click();
    assertThat(page.getByText("The link was clicked.")).isVisible();
    assertThat(page.getByText("Opened email “Your hive planner is here”.").first()).isVisible();
    Accessibility.assertNothingFound(page);
    turn(page, "1 week");
    assertThat(page.getByText("Took the way of those who opened").first()).isVisible();

    page.navigate(APP.address() + "/journeys/1");
    assertThat(state).containsText("is inside");
    button(page, "Stop…").click();
    assertThat(state).containsText("inside leave");
    button(page, "Stop now").click();
    assertThat(state).containsText("This journey is stopped.");
    button(page, "Open again…").click();
    button(page, "Open again now").click();
    assertThat(state).containsText("Nobody is inside now.");
  }

  @Test
  void theClockNeverGoesBack() {
    Page page = BROWSER.open(APP.address() + "/glasshouse");
    button(page, "to a date…").click();
    page.getByLabel("Turn on to").fill("2020-01-01T09:00");
    button(page, "Turn it on").click();
    assertThat(page.getByText("The clock only goes on, never back.")).isVisible();
  }
}
