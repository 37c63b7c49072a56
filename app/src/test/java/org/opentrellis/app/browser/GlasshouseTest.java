package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.visitors.Forms;

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

  private static Locator.FilterOptions hasText(String text) {
    return new Locator.FilterOptions().setHasText(text);
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
    button(page, "what happened").click();
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

    // What was forecast of the one who came, beside what happened.
    button(page, "forecast and fact").click();
    Locator first =
        page.getByRole(AriaRole.ROW).filter(hasText("Your hive planner is here")).first();
    assertThat(first).containsText("too few yet");
    assertThat(first).containsText("100.0");
    assertThat(page.locator("figure svg")).isVisible();
    button(page, "clicked").click();
    assertThat(first).containsText("100.0");
    button(page, "all who came").click();
    assertThat(page.getByText("Ribbons are the shares of all who came")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Learn the assumptions from this").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("needs at least 20 opens");
    button(page, "Back").click();
    assertThat(first).isVisible();

    // They buy in the shop, by its own pages.
    button(page, "shop").click();
    FrameLocator shop = page.frameLocator("iframe[title='The shop']");
    shop.getByLabel("Email address")
        .fill(APP.get("/api/people/3").body().get("address").asString());
    shop.getByRole(
            AriaRole.BUTTON,
            new FrameLocator.GetByRoleOptions().setName("Put Feeder into the cart"))
        .click();
    assertThat(shop.getByText("Take out").first()).isVisible();
    shop.getByRole(
            AriaRole.BUTTON, new FrameLocator.GetByRoleOptions().setName("Buy").setExact(true))
        .click();
    assertThat(shop.getByText("Thank you. Your order")).isVisible();
    button(page, "what happened").click();
    assertThat(page.getByText("Bought for").first()).isVisible();
    assertThat(page.getByText("Left: the goal was met.").first()).isVisible();

    page.navigate(APP.address() + "/journeys/1");
    assertThat(state).containsText("Nobody is inside now.");
    button(page, "Stop…").click();
    assertThat(state).containsText("so nobody has to leave");
    button(page, "Stop now").click();
    assertThat(state).containsText("This journey is stopped.");
    button(page, "Open again…").click();
    button(page, "Open again now").click();
    assertThat(state).containsText("Nobody is inside now.");

    // Others come by themselves, through the form, and confirm.
    Forms.open(APP, "Planner", true, "Newcomers", null, null);
    page.navigate(APP.address() + "/glasshouse");
    Locator come = region(page, "Let people come");
    assertThat(come.getByLabel("First frames")).isChecked();
    come.getByLabel("how many").fill("3");
    come.getByLabel("over days").fill("1");
    come.getByLabel("in 100 confirm").fill("100");
    button(page, "Let them come").click();
    assertThat(come).containsText("0 of 3 have signed up at “Planner”.");
    Accessibility.assertNothingFound(page);
    turn(page, "1 week");
    assertThat(come).containsText("3 of 3 have signed up");
    assertThat(page.getByText("4 came")).isVisible();
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
