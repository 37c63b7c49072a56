package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** Many people in a table: gone through with the keys, seen by other columns, made a cohort of. */
class PeopleTableTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(300);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator person(Page page, int row) {
    return page.locator("[data-line] th button").nth(row);
  }

  @Test
  void theKeysGoThroughAll() {
    Page page = BROWSER.open(APP.address() + "/people");
    person(page, 0).focus();
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowDown");
    assertThat(person(page, 2)).isFocused();
    page.keyboard().press("Enter");
    assertThat(page.getByText("Story")).isVisible();
    assertThat(person(page, 2)).isFocused();
    // Pages come as one gets there, until everybody has been seen.
    for (String shown : new String[] {"200 of 300 shown", "300 of 300 shown"}) {
      pressEndUntil(page, page.getByText(shown));
    }
    Locator last = page.locator("[data-line] th button:focus");
    pressEndUntil(page, last.filter(new Locator.FilterOptions().setHasText("no name")));
    page.keyboard().press("Home");
    assertThat(person(page, 0)).isFocused();
    page.keyboard().press("ArrowUp");
    assertThat(person(page, 0)).isFocused();
  }

  /** As somebody does who sees that there is more: a page takes a moment to come. */
  private static void pressEndUntil(Page page, Locator there) {
    for (int presses = 0; presses < 20 && !there.isVisible(); presses++) {
      page.keyboard().press("End");
      page.waitForTimeout(500);
    }
    assertThat(there).isVisible();
  }

  /** Chosen once, they are there again after a reload; fields are among them. */
  @Test
  void columnsAreChosen() {
    Page page = BROWSER.open(APP.address() + "/people?find=are on list Members");
    button(page, "Columns").click();
    page.getByLabel("member until").check();
    page.getByLabel("came", new Page.GetByLabelOptions().setExact(true)).uncheck();
    page.keyboard().press("Escape");
    Locator head =
        page.getByRole(AriaRole.COLUMNHEADER, new GetByRoleOptions().setName("member until"));
    assertThat(head).isVisible();
    Accessibility.assertNothingFound(page);
    page.reload();
    assertThat(head).isVisible();
    assertThat(
            page.getByRole(
                AriaRole.COLUMNHEADER, new GetByRoleOptions().setName("came").setExact(true)))
        .hasCount(0);
    assertThat(page.locator("[data-line]").first()).containsText("202");
    page.getByLabel("Order").selectOption("ADDRESS");
    assertThat(page.locator("[data-line]").first()).containsText("anton.");
  }

  /** The sentence and what is chosen part by part are one. */
  @Test
  void whoIsMeantIsChosen() {
    Page page = BROWSER.open(APP.address() + "/people");
    Locator line = page.getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("All who"));
    Locator question = page.getByLabel("Question", new Page.GetByLabelOptions().setExact(true));
    button(page, "Choose").click();
    button(page, "Ask something").click();
    assertThat(line).hasValue("are on list “Challenge”");
    question.selectOption("have tag");
    page.getByLabel("Tag", new Page.GetByLabelOptions().setExact(true)).fill("market");
    page.keyboard().press("Tab");
    assertThat(line).hasValue("have tag “market”");
    button(page, "And another").click();
    page.getByLabel("How the questions are joined").selectOption("none");
    assertThat(line).hasValue("neither have tag “market” nor have tag “lapsed”");
    Accessibility.assertNothingFound(page);
    line.fill("bought Smoker");
    // What could be typed next lies over what can be chosen, until it is put away.
    page.keyboard().press("Escape");
    assertThat(question.first()).hasValue("bought");
    button(page, "Ask nothing").click();
    assertThat(line).hasValue("");
    assertThat(page.getByLabel("Who is found")).containsText("300");
  }

  @Test
  void aCohortLikeThemIsTakenByADryRun() {
    Page page = BROWSER.open(APP.address() + "/people?find=are on list Newcomers");
    button(page, "A cohort like them…").click();
    page.getByLabel("as a cohort for dry runs, called").fill("Newcomers of today");
    button(page, "Keep it").click();
    assertThat(page.getByText("Cohort “Newcomers of today” is kept")).isVisible();
    page.navigate(APP.address() + "/journeys/1/dry-run?run=new");
    page.locator("label:has-text('Cohort') select").selectOption("Newcomers of today");
    assertThat(page.getByText("Newcomers, new-keeper").first()).isVisible();
  }
}
