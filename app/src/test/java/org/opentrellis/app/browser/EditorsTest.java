package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** Every control of the step panel does what it says, and the run sheet says so too. */
class EditorsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Page at(String path) {
    return BROWSER.open(APP.address() + "/journeys/" + path);
  }

  private static Locator row(Page page, String step) {
    return page.locator("[data-row=" + step + "]");
  }

  private static Locator labelled(Page page, String label) {
    return page.getByLabel(label, new GetByLabelOptions().setExact(true));
  }

  private static void press(Page page, String button) {
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(button).setExact(true))
        .last()
        .click();
  }

  private static void type(Locator field, String text) {
    field.fill(text);
    field.press("Tab");
  }

  @Test
  void aWaitIsAnAmountATimeOfDayOrBoth() {
    Page page = at("1?step=two-days");
    page.getByLabel("Wait: unit").selectOption("WEEKS");
    assertThat(row(page, "two-days")).containsText("Wait 2 weeks");
    page.getByLabel("then until a time").check();
    assertThat(row(page, "two-days")).containsText("Wait 2 weeks, then until 09:00 their time");
    press(page, "Sunday");
    press(page, "Saturday");
    assertThat(row(page, "two-days")).containsText("09:00 on Mon, Tue, Wed, Thu, Fri their time");
    page.getByLabel("for an amount").uncheck();
    assertThat(row(page, "two-days")).containsText("Wait until 09:00 on Mon");
    type(page.getByLabel("Local time"), "07:30");
    assertThat(row(page, "two-days")).containsText("Wait until 07:30");
  }

  @Test
  void aBranchAsksWhatItIsTold() {
    Page page = at("1?step=clicked-kits");
    labelled(page, "Link").selectOption("");
    assertThat(row(page, "clicked-kits"))
        .containsText("Branch on clicked \u201cWhat a season costs\u201d");
    labelled(page, "Question").selectOption("opened");
    page.getByLabel("by people only").check();
    assertThat(row(page, "clicked-kits"))
        .containsText("opened \u201cWhat a season costs\u201d themselves, waiting up to 2 days");
    press(page, "And another");
    labelled(page, "Question").last().selectOption("hasTag");
    type(labelled(page, "Tag"), "keeper");
    page.getByLabel("How the questions are joined").selectOption("any");
    assertThat(row(page, "clicked-kits")).containsText("themselves or have tag keeper");
    page.getByLabel("How the questions are joined").selectOption("none");
    assertThat(row(page, "clicked-kits")).containsText("neither opened");
    press(page, "Remove this question");
    assertThat(row(page, "clicked-kits")).containsText("have not opened");
    page.getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("Decide")).selectOption("now");
    assertThat(row(page, "clicked-kits")).not().containsText("waiting up to");
    press(page, "Add an arm");
    assertThat(row(page, "clicked-kits")).containsText("Branch into 3 arms");
    press(page, "Remove arm");
    assertThat(row(page, "clicked-kits")).containsText("Branch on");
  }

  @Test
  void aChangeChangesTagsAndLists() {
    Page page = at("3?step=mark-reader");
    Locator row = row(page, "mark-reader");
    labelled(page, "Change").selectOption("removeTag");
    assertThat(row).containsText("Remove tag season-reader");
    labelled(page, "Change").selectOption("joinList");
    type(labelled(page, "List"), "Readers");
    assertThat(row).containsText("Add to list Readers");
    labelled(page, "Change").selectOption("leaveList");
    assertThat(row).containsText("Take off list Readers");
    labelled(page, "Change").selectOption("copyToList");
    assertThat(row).containsText("Copy to list Readers, staying on others");
    labelled(page, "Change").selectOption("moveToList");
    type(labelled(page, "List to leave"), "Quiet, Late");
    assertThat(row).containsText("Move from list Quiet and Late to Readers");
    press(page, "And another change");
    type(labelled(page, "Tag"), "moved");
    assertThat(row).containsText("to Readers, tag moved");
  }

  @Test
  void theJourneySaysWhoComesInAndWhatFor() {
    Page page = at("2?step=journey");
    Locator opening = page.getByText("Starts when someone").first();
    labelled(page, "Trigger").selectOption("getsTag");
    type(labelled(page, "Tag"), "planner-asked");
    assertThat(opening).containsText("gets tag planner-asked");
    press(page, "Add a trigger");
    assertThat(opening).containsText("gets tag planner-asked or joins list Newcomers");
    press(page, "Let everyone in");
    assertThat(opening).not().containsText("are not on list Members");
    page.getByLabel("Again").selectOption("AFTER_HAVING_LEFT");
    assertThat(opening).containsText("again after having left");
    type(page.getByLabel("within"), "14");
    assertThat(opening).containsText("bought within 14 days");
    page.getByLabel("leave when met").uncheck();
    assertThat(opening).containsText("go on when met");
    type(labelled(page, "Name"), "First frames, short");
    assertThat(page.getByRole(AriaRole.HEADING, new GetByRoleOptions().setLevel(1)))
        .hasText("First frames, short");
  }

  @Test
  void anEmailsLinksCanBeAskedFor() {
    Page page = at("3?step=week-1");
    type(page.getByLabel("Links in this message"), "Read the lesson, Frame plan");
    press(page, "Branch");
    labelled(page, "Question").selectOption("clicked");
    labelled(page, "Link").selectOption("Frame plan");
    assertThat(row(page, "branch-1"))
        .containsText("clicked \u201cFrame plan\u201d in \u201cWaking the hive\u201d");
  }

  @Test
  void audienceGroupsAreAddedSharedOutAndRemoved() {
    Page page = at("1/dry-run");
    Locator groups = page.locator("details");
    press(page, "Add a group");
    assertThat(groups).hasCount(3);
    assertThat(groups.last()).containsText("20%");
    assertThat(groups.first()).containsText("28%");
    groups.last().locator("summary").click();
    type(groups.last().getByLabel("Share of people, %"), "50");
    assertThat(groups.first()).containsText("17.5%");
    press(page, "Remove group");
    assertThat(groups).hasCount(2);
    assertThat(groups.first()).containsText("35%");
    press(page, "Run again");
    assertThat(page.getByText("of the 20,000 who entered met the goal")).isVisible();
  }
}
