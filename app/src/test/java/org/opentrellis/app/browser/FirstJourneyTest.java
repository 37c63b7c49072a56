package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** A new user's way through the application: from the empty list to a difference side by side. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class FirstJourneyTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator rows(Page page) {
    return Sheet.rows(page);
  }

  private static void saved(Page page) {
    Sheet.saved(page);
  }

  @Test
  @Order(1)
  void fromTheEmptyListToADifferenceSideBySide() {
    Page page = BROWSER.open(APP.address());
    assertThat(page.getByText("No journeys yet")).isVisible();
    assertThat(page.locator("[aria-current=step]")).containsText("People, or an entrance");
    button(page, "Plan the first journey").click();
    page.getByLabel("Name").fill("Queen rearing");
    Accessibility.assertNothingFound(page);
    button(page, "Start planning").click();
    assertThat(page.getByText("An empty sheet.")).isVisible();

    // The first email, whose message is written on the way.
    button(page, "Add a trigger").click();
    assertThat(page.getByText("Starts when someone joins list Newcomers")).isVisible();
    page.getByLabel("Goal: they").check();
    assertThat(page.getByText("bought anything within 21 days").first()).isVisible();
    Sheet.choose(page, "Send");
    Accessibility.assertNothingFound(page);
    page.getByLabel("New message’s name").fill("Raising queens");
    page.getByLabel("Its subject").fill("How a colony raises a queen");
    button(page, "Add message").click();
    assertThat(rows(page)).hasCount(1);
    Sheet.choose(page, "Wait");
    Sheet.choose(page, "Branch");
    assertThat(rows(page)).hasCount(5);

    // Into the arm for everyone else: a second try, and a wait behind the branch.
    page.locator("[data-row$=-else]").click();
    Sheet.choose(page, "Send");
    assertThat(rows(page)).hasCount(6);
    page.getByLabel("Subject for this send").fill("Once more: how a colony raises a queen");
    page.getByLabel("Subject for this send").press("Tab");
    assertThat(rows(page).last()).containsText("Raising queens, new subject");
    saved(page);
    assertThat(page.locator("svg [data-step]")).hasCount(3);

    // A dry run, another wait, and a dry run again.
    button(page, "Dry run").click();
    assertThat(page.getByText("of the 20,000 who entered met the goal")).isVisible();
    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Back to the run sheet")).click();
    page.getByText("Wait 1 day").click();
    page.getByLabel("Amount: how many").fill("4");
    page.getByLabel("Amount: how many").press("Tab");
    assertThat(page.locator("[data-row=wait-1]")).containsText("Wait 4 days");
    saved(page);
    button(page, "Dry run").click();
    assertThat(page).hasURL(Pattern.compile("run=2"));
    assertThat(page.getByText("of the 20,000 who entered met the goal")).isVisible();

    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Put side by side")).click();
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(Pattern.compile("run 1$")))
        .click();
    assertThat(page.getByText("so they are compared one by one").first()).isVisible();
    assertThat(
            page.getByText(Pattern.compile("could be chance|That is a difference|Too few")).first())
        .isVisible();
    assertThat(page.getByText("Raising queens").first()).isVisible();

    // What is different in the journey stands beside what is different in the figures.
    button(page, "What is different").click();
    assertThat(page.getByText("Wait 4 days")).isVisible();
    Accessibility.assertNothingFound(page);
  }

  @Test
  @Order(2)
  void undoBringsBackARemovedBranchAndAReloadKeepsEverything() {
    Page page = BROWSER.open(APP.address() + "/journeys/1?step=branch-1");
    assertThat(rows(page)).hasCount(6);
    button(page, "Remove").click();
    Locator question =
        page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("Remove this step?"));
    assertThat(question).containsText("1 step of other arms go");
    Accessibility.assertNothingFound(page);
    assertThat(
            page.getByRole(AriaRole.LIST, new GetByRoleOptions().setName("Steps"))
                .evaluate("list => list.scrollWidth <= list.clientWidth"))
        .isEqualTo(true);
    question.getByText("This and all in its branch (2 steps)").click();
    assertThat(rows(page)).hasCount(2);
    page.keyboard().press("Control+z");
    assertThat(rows(page)).hasCount(6);
    page.keyboard().press("Control+Shift+z");
    assertThat(rows(page)).hasCount(2);
    button(page, "Undo").click();
    assertThat(rows(page)).hasCount(6);
    saved(page);
    page.reload();
    assertThat(rows(page)).hasCount(6);
    assertThat(page.locator("[data-row=wait-1]")).containsText("Wait 4 days");
  }

  @Test
  @Order(3)
  void theKeyboardDoesItAll() {
    Page page = BROWSER.open(APP.address() + "/journeys/1?step=send-1");
    page.locator("[data-row=send-1]").focus();
    page.keyboard().press("ArrowDown");
    assertThat(page.locator("[data-row=wait-1]")).isFocused();
    assertThat(page.locator("[data-row=wait-1]")).hasAttribute("aria-current", "true");
    page.keyboard().press("Alt+ArrowUp");
    assertThat(rows(page).first()).hasAttribute("data-row", "wait-1");
    page.keyboard().press("Alt+ArrowDown");
    assertThat(rows(page).first()).hasAttribute("data-row", "send-1");
    page.keyboard().press("Delete");
    assertThat(page.getByText("Only this (what follows closes up)")).isFocused();
    page.keyboard().press("Escape");
    assertThat(rows(page)).hasCount(6);
    saved(page);
  }

  @Test
  @Order(4)
  void aSaveThatLostTheRaceShowsBothSides() {
    Page mine = BROWSER.open(APP.address() + "/journeys/1?step=wait-1");
    Page theirs = BROWSER.open(APP.address() + "/journeys/1?step=wait-1");
    assertThat(rows(mine)).hasCount(6);
    theirs.getByLabel("Amount: how many").fill("6");
    theirs.getByLabel("Amount: how many").press("Tab");
    assertThat(theirs.locator("[data-row=wait-1]")).containsText("Wait 6 days");
    saved(theirs);
    mine.getByLabel("Amount: how many").fill("9");
    mine.getByLabel("Amount: how many").press("Tab");
    Locator conflict = mine.getByRole(AriaRole.ALERT);
    assertThat(conflict).containsText("Wait 6 days");
    assertThat(conflict).containsText("Wait 9 days");
    Accessibility.assertNothingFound(mine);
    button(mine, "Keep all of yours").click();
    assertThat(conflict).isHidden();
    saved(mine);
    mine.reload();
    assertThat(mine.locator("[data-row=wait-1]")).containsText("Wait 9 days");
  }

  @Test
  @Order(5)
  void aRefusedEditSaysWhyAndLosesNothing() {
    Page page = BROWSER.open(APP.address() + "/journeys/1?step=wait-1");
    page.getByLabel("Amount: how many").fill("-2");
    page.getByLabel("Amount: how many").press("Tab");
    assertThat(page.getByRole(AriaRole.ALERT))
        .containsText("An amount of time must be more than 0");
    button(page, "Undo").click();
    assertThat(page.getByRole(AriaRole.ALERT)).isHidden();
    saved(page);
    assertThat(page.getByLabel("Amount: how many")).hasValue("9");
    assertThat(APP.get("/api/journeys/1").body().at("/journey/body/1/rule/amount/count").asInt())
        .isEqualTo(9);
  }

  @Test
  @Order(20)
  void theFirstStepsLeadToTryingItOnOneself() {
    Page page = BROWSER.open(APP.address());
    Locator steps = page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("First steps"));
    Locator done =
        steps.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("done"));
    assertThat(done).hasCount(3);
    assertThat(steps.locator("[aria-current=step]")).containsText("People, or an entrance");
    Accessibility.assertNothingFound(page);
    steps.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Try it")).click();

    // Its message has nothing in it yet, but one can look at it.
    page.getByLabel("first name").fill("Ida");
    Accessibility.assertNothingFound(page);
    button(page, "Try it on yourself").click();
    Locator mailbox =
        page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("Your mailbox and phone"));
    assertThat(mailbox.getByText("How a colony raises a queen").first()).isVisible();
    button(page, "Open it").click();
    assertThat(page.getByText("Opened email \u201cRaising queens\u201d.")).isVisible();
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(Pattern.compile("^Go on to")))
        .click();
    assertThat(page.getByText("Took the way of those who opened")).isVisible();
    Accessibility.assertNothingFound(page);

    // Another way: back to before it was opened.
    button(page, "Undo").click();
    button(page, "Undo").click();
    assertThat(page.getByText("Opened email \u201cRaising queens\u201d.")).hasCount(0);
    page.reload();
    button(page, "Skip the wait").click();
    assertThat(page.getByText("You are at \u201cBranch on opened")).isVisible();
    button(page, "Skip the wait").click();
    assertThat(mailbox.getByText("Once more: how a colony raises a queen").first()).isVisible();
    button(page, "Unsubscribe").click();
    assertThat(page.getByText("Your journey is over.")).isVisible();
    button(page, "Throw it away").click();
    assertThat(page.getByText("Who are you?")).isVisible();

    page.navigate(APP.address());
    assertThat(done).hasCount(4);
    button(page, "Put them away").click();
    assertThat(steps).hasCount(0);
    page.reload();
    assertThat(page.getByText("Queen rearing").first()).isVisible();
    assertThat(steps).hasCount(0);
  }
}
