package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.RunningApplication;

/** Whoever looks for something gets there: by Ctrl K, by an answer's link, on a small screen. */
class GoingTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Page at(String path) {
    return BROWSER.open(APP.address() + "/" + path);
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  /** Types into the command bar and takes the first that is found. */
  private static void goTo(Page page, String words, String found) {
    page.keyboard().press("Control+k");
    Locator field = page.getByLabel("Go to", new GetByLabelOptions().setExact(true));
    assertThat(field).isFocused();
    page.keyboard().insertText(words);
    Locator first = page.getByRole(AriaRole.OPTION).first();
    assertThat(first).containsText(found);
    page.keyboard().press("Enter");
    assertThat(field).isHidden();
  }

  @Test
  void oneKeyGoesAnywhereFromAnywhere() {
    Page page = at("journeys");
    goTo(page, "journey membership", "Membership turns over");
    assertThat(page).hasURL(Pattern.compile("/journeys/5$"));
    assertThat(Sheet.rows(page).first()).isVisible();
    goTo(page, "step today", "Send Today");
    assertThat(page).hasURL(Pattern.compile("/journeys/5\\?step="));
    goTo(page, "message jar on us", "A jar on us");
    assertThat(page).hasURL(Pattern.compile("/messages/of/a-jar-on-us"));
    assertThat(page.getByLabel("Manuscript")).isVisible();
    goTo(page, "run 5 membership", "Dry run 5");
    assertThat(page).hasURL(Pattern.compile("/journeys/5/dry-run\\?run="));
    goTo(page, "strand spring", "Spring work");
    assertThat(page.getByText("1 journey goes through it:")).isVisible();
    page.keyboard().press("Control+k");
    page.keyboard().insertText("no such thing at all");
    assertThat(page.getByText("Nothing is called so.")).isVisible();
    page.keyboard().press("Escape");
    assertThat(page.getByText("Nothing is called so.")).isHidden();
    goTo(page, "new journey", "New journey");
    assertThat(page.getByLabel("Name", new GetByLabelOptions().setExact(true))).isVisible();
    Accessibility.assertNothingFound(page);
  }

  @Test
  void anAnswerOfADryRunLeadsToItsRow() {
    Page page = at("journeys/1/dry-run");
    Locator summary = page.getByLabel("Summary", new GetByLabelOptions().setExact(true));
    assertThat(summary).containsText("The weakest email is");
    assertThat(summary).containsText("Most are lost at");
    summary.getByText("show").last().click();
    assertThat(page.locator("tr.bg-marigold-soft")).containsText("Send");
    button(page, "Fold").click();
    page.reload();
    assertThat(button(page, "Show")).isVisible();
    button(page, "Show").click();
    button(page, "How it went").click();
    assertThat(summary).containsText("went through to the end");
    Accessibility.assertNothingFound(page);
  }

  /** Both ways to begin a journey say what it is for. */
  @Test
  void aTriggerThatIsChosenSaysWhatTheJourneyIsFor() {
    Page page = at("journeys");
    button(page, "New journey").first().click();
    page.getByLabel("Name", new GetByLabelOptions().setExact(true)).fill("Carts by hand");
    page.keyboard().press("Enter");
    button(page, "Add a trigger").click();
    assertThat(page.getByLabel("Purpose")).hasValue("WELCOME");
    page.getByLabel("Purpose").selectOption("OTHER");
    Sheet.saved(page);
    assertThat(page.getByLabel("Purpose")).hasValue("OTHER");
  }

  @Test
  void aMessageIsFoundByItsWordsAndSaysWhereElseItIsSent() {
    Page page = at("journeys/2");
    Sheet.rows(page).filter(new Locator.FilterOptions().setHasText("Send")).first().click();
    assertThat(page.getByText("Sent in \u201cFirst frames\u201d, too")).isVisible();
    Locator field =
        page.getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("Message").setExact(true));
    field.fill("jar us");
    page.getByRole(AriaRole.OPTION).first().click();
    assertThat(field).hasValue("A jar on us");
    Sheet.saved(page);
    page.keyboard().press("Control+z");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "journeys",
        "journeys/1",
        "journeys/1/dry-run",
        "journeys/1/walk",
        "side-by-side?runs=1,2",
        "strands/spring-work"
      })
  void aSmallScreenHasRoomForAll(String path) {
    Page page = at(path);
    page.setViewportSize(1024, 768);
    assertThat(page.getByRole(AriaRole.MAIN).or(page.locator("main")).first()).isVisible();
    page.waitForTimeout(500);
    Object past =
        page.evaluate(
            "document.documentElement.scrollWidth - document.documentElement.clientWidth");
    assertThat(((Number) past).intValue()).isLessThanOrEqualTo(0);
    Object small =
        page.evaluate(
            """
            [...document.querySelectorAll('button, a.button')]
              .map((one) => [one.textContent.trim(), one.getBoundingClientRect()])
              .filter(([, box]) => box.height > 0 && (box.height < 23.5 || box.width < 23.5))
              .map(([words, box]) => words + ' ' + Math.round(box.width) + 'x' + Math.round(box.height))
              .slice(0, 8).join(', ')
            """);
    System.out.println(path + " small: " + small);
  }
}
