package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** A form is made, people are let in, and somebody signs up at it. */
class EntrancesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator field(Page page, String name) {
    return page.getByLabel(name, new Page.GetByLabelOptions().setExact(true));
  }

  @Test
  void aFormIsMadeAndSomebodySignsUpAtIt() {
    Page page = BROWSER.open(APP.address() + "/entrances");
    assertThat(page.getByText("There is no entrance yet.")).isVisible();
    field(page, "Name of a new form").fill("Planner on the website");
    button(page, "New entrance").click();
    Locator sheet = page.getByLabel("What it does");
    assertThat(sheet).containsText("Asks for the address and first name (if they like).");
    assertThat(page.getByText("no list, gets no tag, and no journey starts")).isVisible();
    field(page, "They agree to").fill("Ambercomb sends me news.");
    field(page, "Puts them on lists").fill("Newcomers");
    field(page, "Puts them on lists").press("Tab");
    page.getByLabel("they confirm by email first").uncheck();
    assertThat(sheet).containsText("Puts them on list Newcomers.");
    assertThat(page.frameLocator("iframe").getByLabel("Email address")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Save").click();
    button(page, "Let people in").click();
    assertThat(button(page, "Turn it off")).isVisible();

    Page visitor = BROWSER.open(APP.address() + "/e/planner-on-the-website");
    visitor.setViewportSize(320, 640);
    Accessibility.assertNothingFound(visitor);
    button(visitor, "Sign up").click();
    assertThat(visitor.getByText("Please give your email address.")).isVisible();
    visitor.getByLabel("Email address").fill("ida.new@example.com");
    visitor.waitForTimeout(2_000);
    visitor.keyboard().press("Enter");
    assertThat(visitor.getByText("Thank you. You are on the list.")).isVisible();

    page.reload();
    assertThat(page.getByText("on · 1 in 30 days")).isVisible();
  }
}
