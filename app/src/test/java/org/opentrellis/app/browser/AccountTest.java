package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** The account is written down as a person does it. */
class AccountTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Page account() {
    Page page = BROWSER.open(APP.address() + "/account");
    assertThat(page.getByLabel("Who writes")).isVisible();
    return page;
  }

  @Test
  void theAccountIsWrittenDown() {
    Page page = account();
    assertThat(page.getByLabel("Still missing")).containsText("Say who emails come from.");
    page.getByLabel("Who writes").fill("Ambercomb");
    page.getByLabel("Postal address").fill("Hive Lane 3\n01234 Combton");
    page.getByLabel("Dates and amounts as in").selectOption("de-DE");
    assertThat(page.getByText("Such as ").first()).containsText(". ");
    button(page, "Add a sender").click();
    page.getByLabel("Name in the inbox").fill("Mira");
    page.getByLabel("Address", new Page.GetByLabelOptions().setExact(true)).fill("mira");
    page.getByLabel("Quiet hours").click();
    Accessibility.assertNothingFound(page);
    button(page, "Save").click();
    assertThat(page.getByText("An address has an @ between name and domain.")).isVisible();
    page.getByLabel("Address", new Page.GetByLabelOptions().setExact(true))
        .fill("mira@example.com");
    button(page, "Save").click();
    assertThat(page.getByRole(AriaRole.STATUS)).containsText("Saved");
    assertThat(page.getByLabel("Still missing")).hasCount(0);

    page.reload();
    assertThat(page.getByLabel("Who writes")).hasValue("Ambercomb");
    assertThat(page.getByLabel("Quiet from")).hasValue("21:00");
    assertThat(page.getByLabel("Dates and amounts as in")).hasValue("de-DE");

    // Whoever types a sender in a journey is offered those of the account.
    long id =
        APP.post("/api/journeys", "{\"name\": \"Sent\", \"purpose\": \"OTHER\"}")
            .body()
            .get("id")
            .asLong();
    page.navigate(APP.address() + "/journeys/" + id + "?step=journey");
    assertThat(page.locator("datalist#senders option"))
        .hasAttribute("value", "Mira <mira@example.com>");
  }

  /** Two change it at once: the later one sees both sides, and nothing is lost. */
  @Test
  void aLostRaceShowsBothSides() {
    Page mine = account();
    Page theirs = account();
    theirs.getByLabel("Who writes").fill("Theirs");
    button(theirs, "Save").click();
    assertThat(theirs.getByRole(AriaRole.STATUS)).containsText("Saved");
    mine.getByLabel("Who writes").fill("Mine");
    button(mine, "Save").click();
    assertThat(mine.getByRole(AriaRole.ALERT)).containsText("Theirs");
    assertThat(mine.getByLabel("Who writes")).hasValue("Mine");
    button(mine, "Save").click();
    assertThat(mine.getByRole(AriaRole.STATUS)).containsText("Saved");
    assertThat(account().getByLabel("Who writes")).hasValue("Mine");
  }
}
