package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** Rows are moved, copied, folded and removed by keys, by the menu and by dragging. */
class ArrangingTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Page at(String path) {
    return BROWSER.open(APP.address() + "/journeys/" + path);
  }

  private static Locator menuItem(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("More").setExact(true)).click();
    return page.getByRole(AriaRole.MENUITEM, new GetByRoleOptions().setName(name));
  }

  @Test
  void stepsMoveByKeysAndARefusalSaysWhy() {
    Page page = at("1?step=two-days");
    List<String> before = Sheet.order(page);
    Sheet.row(page, "two-days").focus();
    page.keyboard().press("Alt+ArrowUp");
    int at = before.indexOf("two-days");
    assertThat(Sheet.rows(page).nth(at - 1)).hasAttribute("data-row", "two-days");
    assertThat(Sheet.row(page, "two-days")).isFocused();
    page.keyboard().press("Alt+ArrowLeft");
    assertThat(Sheet.rows(page).nth(at - 1)).not().hasAttribute("data-row", "two-days");
    // A move is carried out by the server: an undo before its answer would be of the move before.
    page.waitForResponse(
        answer -> answer.url().endsWith("/api/arrangements"),
        () -> page.keyboard().press("Alt+ArrowRight"));
    assertThat(page.getByRole(AriaRole.ALERT)).isHidden();
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(Sheet.rows(page).nth(at)).hasAttribute("data-row", "two-days");
    assertThat(Sheet.order(page)).isEqualTo(before);

    // The branch asks whether the planner was opened: it stays below the planner.
    Sheet.row(page, "planner").click();
    page.keyboard().press("Alt+ArrowDown");
    assertThat(Sheet.rows(page).nth(2)).hasAttribute("data-row", "planner");
    page.keyboard().press("Alt+ArrowDown");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("would not have been sent above it");
    Accessibility.assertNothingFound(page);
    assertThat(Sheet.rows(page).nth(2)).hasAttribute("data-row", "planner");
    page.keyboard().press("Control+z");
    assertThat(Sheet.rows(page).nth(1)).hasAttribute("data-row", "planner");
  }

  @Test
  void rangesAreCopiedToAnotherJourneyAndRemovedTogether() {
    Page page = at("3");
    Sheet.rows(page).first().click();
    page.keyboard().press("Shift+ArrowDown");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(page.locator("ol [aria-pressed=true]")).hasCount(3);
    page.keyboard().press("Control+c");
    assertThat(page.getByText("3 steps are copied")).isVisible();
    Page other = page;
    other.navigate(APP.address() + "/journeys/4");
    Sheet.rows(other).last().click();
    int steps = Sheet.rows(other).count();
    page.keyboard().press("Control+v");
    assertThat(Sheet.rows(other)).hasCount(steps + 3);
    assertThat(other.locator("ol [aria-pressed=true]")).hasCount(3);
    page.keyboard().press("Delete");
    Locator question =
        other.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("Remove these steps?"));
    assertThat(question).containsText("3 steps");
    Accessibility.assertNothingFound(other);
    page.keyboard().press("Enter");
    assertThat(Sheet.rows(other)).hasCount(steps);
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(Sheet.rows(other)).hasCount(steps);
    Sheet.rows(other).first().click();
    menuItem(other, "Duplicate").click();
    assertThat(Sheet.rows(other)).hasCount(steps + 1);
    other.keyboard().press("Control+x");
    assertThat(Sheet.rows(other)).hasCount(steps);
    Sheet.saved(other);
  }

  @Test
  void branchesFoldAndStayFolded() {
    Page page = at("1");
    int all = Sheet.order(page).size();
    String branch =
        Sheet.rows(page)
            .filter(new Locator.FilterOptions().setHasText("Branch on"))
            .first()
            .getAttribute("data-row");
    Sheet.row(page, branch).click();
    page.keyboard().press("Space");
    assertThat(Sheet.row(page, branch)).containsText("folded");
    int fewer = Sheet.rows(page).count();
    assertThat(fewer).isLessThan(all);
    page.reload();
    assertThat(Sheet.row(page, branch)).containsText("folded");
    menuItem(page, "Unfold all branches").click();
    assertThat(Sheet.rows(page)).hasCount(all);
  }

  @Test
  void rowsAreDraggedToWhereTheMarkShows() {
    Page page = at("5");
    List<String> before = Sheet.order(page);
    Locator first = Sheet.row(page, before.get(0));
    BoundingBox from = first.boundingBox();
    BoundingBox to = Sheet.row(page, before.get(1)).boundingBox();
    page.mouse().move(from.x + 150, from.y + from.height / 2);
    page.mouse().down();
    Mouse.MoveOptions slowly = new Mouse.MoveOptions().setSteps(8);
    page.mouse().move(to.x + 150, to.y + to.height - 4, slowly);
    assertThat(page.locator("li.landing-bottom")).hasCount(1);
    page.mouse().up();
    assertThat(Sheet.rows(page).nth(1)).hasAttribute("data-row", before.get(0));
    assertThat(page.locator("li.landing-bottom")).hasCount(0);
    page.keyboard().press("Control+z");
    assertThat(Sheet.rows(page).first()).hasAttribute("data-row", before.get(0));
  }

  @Test
  void theKeysAreShownAndFindingsAreGoneThrough() {
    Page page = at("1");
    Sheet.row(page, "journey").focus();
    page.keyboard().press("?");
    assertThat(page.getByText("Move steps, or an arm, up or down")).isVisible();
    Accessibility.assertNothingFound(page);
    page.keyboard().press("Escape");
    assertThat(page.getByText("Move steps, or an arm, up or down")).isHidden();
    Sheet.row(page, "journey").focus();
    page.keyboard().press("F8");
    assertThat(page.locator("[data-row][aria-current=true] [role=img]")).isVisible();
  }
}
