package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** One person is taken through the demo's welcome, with the keyboard alone. */
class WalkTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static void press(Page page, String name) {
    assertThat(button(page, name)).isEnabled(); // what was chosen is walked first
    button(page, name).focus();
    page.keyboard().press("Enter");
  }

  @Test
  void eachTurnIsExplainedAndCanBeTakenBack() {
    Page page = BROWSER.open(APP.address() + "/journeys/1/walk");
    Locator diary = page.getByRole(AriaRole.LIST, new GetByRoleOptions().setName("Diary"));
    assertThat(page.getByText("Ready, and still a draft: nobody enters.")).isVisible();
    assertThat(diary.getByRole(AriaRole.LISTITEM)).hasCount(1);
    press(page, "Next");
    assertThat(diary.getByRole(AriaRole.LISTITEM)).hasCount(2);
    press(page, "Skip to the next choice");
    Locator choices =
        page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("What do they do with it?"));
    assertThat(choices).containsText("“Your hive planner is here” has come.");
    assertThat(button(page, "Open now")).isFocused();
    Accessibility.assertNothingFound(page);
    press(page, "Open in 5 h");
    press(page, "Skip to the next choice");
    assertThat(diary).containsText("so arm A.");
    assertThat(page.locator("[data-way]")).hasCount(1);

    // Back to the first message: this time it is not opened.
    page.getByText("Choose otherwise").first().focus();
    page.keyboard().press("Enter");
    assertThat(choices).containsText("“Your hive planner is here” has come.");
    press(page, "Ignore");
    press(page, "Skip to the next choice");
    assertThat(diary).containsText("so arm B.");

    press(page, "Let the model choose the rest");
    assertThat(page.getByRole(AriaRole.STATUS)).isVisible();

    // Kept as a test: an edit that changes the way is told.
    page.getByLabel("Name of the walk").fill("Ignores the first");
    page.getByLabel("Name of the walk").press("Enter");
    Locator kept = page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("Kept as tests"));
    assertThat(kept).containsText("Comes out as it did");
    Page workbench = BROWSER.open(APP.address() + "/journeys/1?step=opened-planner");
    Sheet.row(workbench, "opened-planner").focus();
    workbench.keyboard().press("Control+Shift+Enter");
    workbench.keyboard().type("finish");
    workbench.keyboard().press("Enter");
    assertThat(Sheet.row(workbench, "finish-1")).isVisible();
    Sheet.saved(workbench);
    workbench.getByRole(AriaRole.TAB, new GetByRoleOptions().setName("Checks")).click();
    assertThat(workbench.getByText("“Ignores the first” comes out another way.")).isVisible();
    page.reload();
    assertThat(kept).containsText("It goes another way from");
    Accessibility.assertNothingFound(page);
  }
}
