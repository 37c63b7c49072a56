package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** Names and segments are looked after as a person does it. */
class NamesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(300);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator row(Page page, String name) {
    return page.getByRole(AriaRole.ROW, new GetByRoleOptions().setName(name));
  }

  private static Page names(String kind) {
    return BROWSER.open(APP.address() + "/people/names?kind=" + kind);
  }

  /** A new journey with one sentence in it. */
  private static Page write(String name, String sentence) {
    long id =
        APP.post("/api/journeys", "{\"name\": \"%s\", \"purpose\": \"OTHER\"}".formatted(name))
            .body()
            .get("id")
            .asLong();
    Page page = BROWSER.open(APP.address() + "/journeys/" + id);
    Sheet.line(page).fill(sentence);
    page.keyboard().press("Enter");
    assertThat(Sheet.line(page)).hasValue("");
    Sheet.saved(page);
    return page;
  }

  /** Three journeys use it: all of them say the other name, and mean the same people. */
  @Test
  void aListIsCalledOtherwiseEverywhere() {
    Page page = names("LIST");
    button(page, "Newcomers").click();
    Accessibility.assertNothingFound(page);
    page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("New keepers");
    assertThat(page.getByText("Will be called so everywhere")).isVisible();
    button(page, "Rename everywhere").click();
    assertThat(row(page, "New keepers")).containsText("Wake the quiet ones");
    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Show them")).click();
    assertThat(page.getByLabel("All who")).hasValue("are on list “New keepers”");
    assertThat(page.getByText("New keepers").first()).isVisible();

    page.navigate(APP.address() + "/people/names?kind=LIST");
    button(page, "New keepers").click();
    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("First frames").setExact(true))
        .click();
    assertThat(page.getByText("joins list New keepers").first()).isVisible();
  }

  @Test
  void twoTagsAreMadeOne() {
    Page page = names("TAG");
    String before = row(page, "market").textContent();
    button(page, "market").click();
    button(page, "Merge with another tag…").click();
    page.getByLabel("Whoever carries market").selectOption("lapsed");
    button(page, "Make one of them").click();
    assertThat(button(page, "market")).hasCount(0);
    org.assertj.core.api.Assertions.assertThat(row(page, "lapsed").textContent())
        .isNotEqualTo(before);
  }

  @Test
  void whatDeletingDoesIsSaidFirst() {
    Page page = names("LIST");
    button(page, "New list").click();
    page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Passing");
    page.getByLabel("What it is for").fill("Only for a while");
    button(page, "Make it").click();
    assertThat(row(page, "Passing")).containsText("Only for a while");
    button(page, "Delete…").click();
    assertThat(page.getByRole(AriaRole.ALERTDIALOG))
        .containsText("Nobody has to do with it, and nothing uses it.");
    button(page, "Delete Passing").click();
    assertThat(button(page, "Passing")).hasCount(0);
  }

  /** Found by a sentence, kept, changed, and used as an entry filter. */
  @Test
  void aSegmentIsKeptAndUsed() {
    Page page = BROWSER.open(APP.address() + "/people");
    page.getByLabel("All who").fill("are on list Members and bought product Smoker");
    assertThat(page.getByLabel("Who is found").locator("b")).not().hasText("300");
    button(page, "Keep as a segment").click();
    page.getByLabel("Name of the segment").fill("Members with smoke");
    button(page, "Keep").click();
    assertThat(page.getByText("Kept: journeys and sentences know them")).isVisible();

    page.navigate(APP.address() + "/people/names?kind=SEGMENT");
    button(page, "Members with smoke").click();
    page.getByLabel("All who").fill("are on list Memberz");
    assertThat(page.getByText("nothing uses the list")).hasCount(0);
    page.getByLabel("All who").fill("are on list Members");
    assertThat(page.getByText("people instead of")).isVisible();
    button(page, "Save").click();
    assertThat(row(page, "Members with smoke")).containsText("are on list “Members”");
    Accessibility.assertNothingFound(page);

    write(
        "Smoke at last", "when someone gets tag market, if they are in segment Members with smoke");
    page.navigate(APP.address() + "/people/names?kind=SEGMENT");
    assertThat(row(page, "Members with smoke")).containsText("Smoke at last");
    button(page, "Members with smoke").click();
    button(page, "Delete…").click();
    button(page, "Delete Members with smoke").click();
    assertThat(page.getByText("take the segment out there first")).isVisible();
  }

  /** A name that nobody has registered is said in the workbench, and made with one button. */
  @Test
  void aJourneyOffersToMakeItsNames() {
    Page page = write("New words", "when someone joins list Beginners");
    page.getByRole(AriaRole.TAB, new GetByRoleOptions().setName("Checks")).click();
    assertThat(page.getByText("The list “Beginners” is not registered yet")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Make Beginners").click();
    assertThat(page.getByText("The list “Beginners” is not registered yet")).hasCount(0);
    page.navigate(APP.address() + "/people/names?kind=LIST");
    assertThat(row(page, "Beginners")).containsText("New words");
  }
}
