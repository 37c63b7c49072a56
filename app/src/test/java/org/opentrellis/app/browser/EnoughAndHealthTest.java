package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.newsletters.Letterbox;

/** What is enough for one person is said and tried; who opens nothing is left alone. */
class EnoughAndHealthTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final Letterbox BOX = new Letterbox(APP);

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void whatIsEnoughIsTriedAndThenHolds() {
    WORKSHOP.onList("enough@example.com", "Enough");
    BOX.planned(BOX.toList("To all of them", "Enough"));
    Page page = BROWSER.open(APP.address() + "/account");
    Locator enough =
        page.getByRole(AriaRole.FORM, new GetByRoleOptions().setName("Enough for one person"));
    assertThat(enough).containsText("told on the calendar, and gets it all the same");
    enough.getByLabel("At most").fill("1");
    enough
        .getByLabel("emails within seven days; of one too many")
        .selectOption("it waits until there is room");
    button(page, "Newsletters sooner").click();
    button(page, "Newsletters sooner").click();
    button(page, "What would it cost and save?").click();
    assertThat(enough).containsText("with it nobody does");
    assertThat(enough).containsText("Together: ");
    Accessibility.assertNothingFound(page);
    button(page, "Let it hold").click();
    assertThat(enough)
        .containsText("Nobody gets more than 1 email within seven days. When there is room");
    page.reload();
    assertThat(enough.getByLabel("At most")).hasValue("1");
    assertThat(enough.getByRole(AriaRole.LISTITEM).nth(2)).containsText("Newsletters");
    enough
        .getByLabel("emails within seven days; of one too many")
        .selectOption("it goes out all the same, and the calendar tells");
    button(page, "Let it hold").click();
    assertThat(enough).containsText("gets it all the same");
  }

  @Test
  void whoOpensNothingIsWonBackOrLeftAlone() {
    WORKSHOP.onList("silent@example.com", "Silent");
    WORKSHOP.turn(15 * Letterbox.DAY);
    BOX.planned(BOX.toList("Nobody reads it", "Silent"));
    WORKSHOP.turn(2 * Letterbox.HOUR);
    Page page = BROWSER.open(APP.address() + "/people");
    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Health")).click();
    assertThat(page.getByText("Nobody who has been here for 90 days")).isVisible();
    button(page, "14 days").click();
    assertThat(page.getByText("1 opened none of it (100.0%)")).isVisible();
    assertThat(page.getByRole(AriaRole.TABLE, new GetByRoleOptions().setName("Week by week")))
        .containsText("unsubscribed");
    Accessibility.assertNothingFound(page);
    button(page, "Tag this one \u201cquiet\u201d").click();
    assertThat(page.getByText("They are being tagged")).isVisible();
    button(page, "Stop mailing this one").click();
    button(page, "Stop it").click();
    assertThat(page.getByText("They are mailed no more")).isVisible();
    page.reload();
    assertThat(page.getByText("Nobody who has been here for 14 days")).isVisible();
  }
}
