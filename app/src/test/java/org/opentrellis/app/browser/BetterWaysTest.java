package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Locator.FilterOptions;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** Somebody asks what would be better, takes it over, and undoes it. */
class BetterWaysTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator group(Page page, String step) {
    return page.locator("fieldset")
        .filter(new FilterOptions().setHas(page.getByText(step, exactly())));
  }

  private static Page.GetByTextOptions exactly() {
    return new Page.GetByTextOptions().setExact(true);
  }

  private static long cart() {
    for (var one : APP.get("/api/journeys/names").body()) {
      if (one.get("name").asString().equals("Left on the bench")) {
        return one.get("id").asLong();
      }
    }
    throw new IllegalStateException("no journey of that name");
  }

  @Test
  void whatIsBetterIsFoundTakenOverAndUndone() {
    Page page = BROWSER.open(APP.address() + "/journeys/%d/dry-run?show=better".formatted(cart()));
    button(page, "Fold").click();
    Locator first = group(page, "Send Questions about the kit");
    first.getByText("how often it is tried again").click();
    assertThat(first).containsText("no second try · a second try · two more tries");
    // A range that is changed is told at once, and a reload comes back to it.
    Locator wait = group(page, "Wait 3 days");
    wait.getByLabel(Pattern.compile(": to$")).fill("3");
    wait.getByLabel(Pattern.compile(": to$")).press("Tab");
    assertThat(page.getByText("27 combinations")).isVisible();
    page.reload();
    assertThat(page.getByText("27 combinations")).isVisible();
    page.getByText("Limits, and how many people").click();
    Locator people = page.getByLabel("people for each variation");
    people.fill("2000");
    people.press("Tab");
    button(page, "Look for better ways").click();
    assertThat(page.getByText("better than today, and not by chance")).isVisible();
    Accessibility.assertNothingFound(page);

    button(page, "Goal and emails").click();
    assertThat(page.getByLabel("Goal against emails each")).isVisible();
    button(page, "Everything tried").click();
    assertThat(page.getByText("Today's journey.")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Ways found").click();

    button(page, "Keep as a version").first().click();
    assertThat(page.getByText("with a dry run of its own")).isVisible();
    Locator best =
        page.getByRole(AriaRole.LISTITEM)
            .filter(new FilterOptions().setHasText("points of the goal"))
            .first();
    assertThat(best).containsText("other people");
    button(page, "Take it over").first().click();

    // On the run sheet it is an edit like any other.
    Locator again = page.getByText("Questions about the kit, new subject");
    assertThat(again.first()).isVisible();
    assertThat(page).hasURL(Pattern.compile("/journeys/\\d+(\\?.*)?$"));
    assertThat(button(page, "Undo")).hasAttribute("title", Pattern.compile("Undo Better way: .*"));
    button(page, "Undo").click();
    assertThat(again).hasCount(0);
  }

  /** Whoever has seen enough gets the best so far, tried on others. */
  @Test
  void enoughIsEnough() {
    Page page = BROWSER.open(APP.address() + "/journeys/1/dry-run?show=better");
    page.getByText("Limits, and how many people").click();
    Locator people = page.getByLabel("people for each variation");
    people.fill("60000");
    people.press("Tab");
    button(page, "Look for better ways").click();
    Locator search = page.getByRole(AriaRole.STATUS, new GetByRoleOptions().setName("Search"));
    assertThat(search).containsText("tried");
    button(page, "That is enough").click();
    assertThat(page.getByText("It was cut short.")).isVisible();
    people.fill("5");
    people.press("Tab");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("500 to 200,000 people");
    assertThat(button(page, "Look for better ways")).isDisabled();
  }
}
