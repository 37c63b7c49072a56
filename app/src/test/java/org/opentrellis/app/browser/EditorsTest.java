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
    return Sheet.row(page, step);
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
    page.getByLabel("Amount: unit").selectOption("WEEKS");
    assertThat(row(page, "two-days")).containsText("Wait 2 weeks");
    page.getByLabel("then until a time").click();
    assertThat(row(page, "two-days")).containsText("Wait 2 weeks, then until 09:00 their time");
    press(page, "Sunday");
    press(page, "Saturday");
    assertThat(row(page, "two-days")).containsText("09:00 on Mon to Fri their time");
    labelled(page, "How to wait").selectOption("until");
    type(page.getByLabel("Local time"), "07:30");
    assertThat(row(page, "two-days")).containsText("Wait until 07:30 their time");
  }

  @Test
  void aWaitGoesByDaysDatesAndWhatHappens() {
    Page page = at("1?step=two-days");
    labelled(page, "How to wait").selectOption("untilDay");
    type(labelled(page, "day"), "5");
    page.getByLabel("at a time").click();
    assertThat(row(page, "two-days")).containsText("Wait until day 5, 09:00 of the journey");
    labelled(page, "if that is past").selectOption("end");
    assertThat(row(page, "two-days")).containsText("or finish if that is past");
    labelled(page, "How to wait").selectOption("aroundDate");
    type(labelled(page, "date in field"), "member until");
    type(labelled(page, "days after the date (\u2212 is before)"), "-7");
    page.getByLabel("every year").click();
    assertThat(row(page, "two-days"))
        .containsText("Wait until 7 days before member until, 09:00, every year");
    labelled(page, "How to wait").selectOption("untilHappens");
    labelled(page, "Question").selectOption("bought");
    page.getByLabel("one category").click();
    assertThat(labelled(page, "one category")).hasCount(2);
    type(labelled(page, "one category").last(), "Hives");
    assertThat(row(page, "two-days"))
        .containsText("Wait until they bought something from Hives, at most 1 day");
  }

  @Test
  void everyKindOfStepIsAddedAndEdited() {
    Page page = at("3?step=week-6");
    Sheet.choose(page, "Split test");
    type(page.getByLabel("Share of arm A, percent"), "30");
    assertThat(row(page, "split-1")).containsText("Split by lot 30% / 70%");
    Sheet.choose(page, "Strand");
    assertThat(row(page, "strand-1")).containsText("Go through strand Spring work");
    assertThat(row(page, "strand-1/lesson")).containsText("Send Waking the hive");
    Sheet.choose(page, "Hand over");
    type(labelled(page, "To journey"), "First frames");
    assertThat(row(page, "hand-over-1")).containsText("Hand over to journey First frames");
    page.getByLabel("they finish this journey").click();
    assertThat(row(page, "hand-over-1")).containsText("and go on here");
    Sheet.choose(page, "Notify");
    type(labelled(page, "saying"), "Somebody is through");
    assertThat(row(page, "notify-1")).containsText("Somebody is through");
    labelled(page, "Tell").selectOption("webAddress");
    type(labelled(page, "Url"), "https://example.org/hook");
    assertThat(row(page, "notify-1")).containsText("Tell https://example.org/hook");
    Sheet.choose(page, "Text");
    type(page.getByLabel("New message\u2019s name"), "Frost tonight");
    type(page.getByLabel("Its words"), "Cover the hive tonight");
    press(page, "Add message");
    assertThat(row(page, "text-1")).containsText("Text Frost tonight");
    page.getByLabel("only if they").click();
    assertThat(row(page, "text-1")).containsText("Text Frost tonight, only if they");
    page.reload();
    assertThat(row(page, "text-1")).containsText("Text Frost tonight, only if they");
  }

  @Test
  void anEmailHasVersionsAndConditions() {
    Page page = at("3?step=week-2");
    page.getByLabel("only send if they").click();
    assertThat(row(page, "week-2")).containsText(", only if they");
    page.getByLabel("never the same email twice to one person").click();
    assertThat(row(page, "week-2")).containsText("once per person");
    press(page, "Test two versions against each other");
    type(page.getByLabel("Subject of version 2"), "No queen, no honey");
    type(page.getByLabel("Share of version 1, percent"), "40");
    type(page.getByLabel("Share of version 2, percent"), "60");
    assertThat(row(page, "week-2")).containsText("No queen, no honey\u201d to 60%");
    press(page, "End the test");
    assertThat(row(page, "week-2")).containsText("Send Is there a queen?");
  }

  @Test
  void rulesForTheWholeJourneyStandUnderItsOpening() {
    Page page = at("3?step=journey");
    page.getByLabel("only in a send window").click();
    assertThat(page.getByText("Send only 08:00 to 20:00")).isVisible();
    page.getByLabel("with a frequency guard").click();
    type(labelled(page, "in days"), "14");
    assertThat(page.getByText("At most 4 emails in 14 days")).isVisible();
    press(page, "Add a rule for leaving");
    assertThat(page.getByText("Leave as soon as they bought anything")).isVisible();
    labelled(page, "Trigger").selectOption("dateComes");
    assertThat(page.getByText("Starts when someone").first())
        .containsText("is 1 day after new field");
    page.getByLabel("Again").selectOption("afterDays");
    assertThat(page.getByText("Starts when someone").first()).containsText("again after 1 day");
  }

  @Test
  void aBranchAsksWhatItIsTold() {
    Page page = at("1?step=clicked-kits");
    page.getByLabel("one link").first().click();
    assertThat(row(page, "clicked-kits"))
        .containsText("Branch on clicked \u201cWhat a season costs\u201d");
    labelled(page, "Question").selectOption("opened");
    page.getByLabel("by people only").click();
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
    type(labelled(page, "leaving 1"), "Quiet");
    press(page, "And another");
    type(labelled(page, "leaving 2"), "Late");
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
    page.getByLabel("Again").selectOption("afterHavingLeft");
    assertThat(opening).containsText("again after having left");
    type(page.getByLabel("within"), "14");
    Locator goal = page.getByText("Goal:").first();
    assertThat(goal).containsText("bought anything within 14 days");
    page.getByLabel("leave when met").click();
    assertThat(goal).containsText("go on when met");
    type(labelled(page, "Name"), "First frames, short");
    assertThat(page.getByRole(AriaRole.HEADING, new GetByRoleOptions().setLevel(1)))
        .hasText("First frames, short");
  }

  @Test
  void anEmailsLinksCanBeAskedFor() {
    Page page = at("3?step=week-1");
    type(page.getByLabel("Links in this message"), "Read the lesson, Frame plan");
    Sheet.choose(page, "Branch");
    labelled(page, "Question").selectOption("clicked");
    page.getByLabel("one link").click();
    type(labelled(page, "one link").last(), "Frame plan");
    assertThat(row(page, "branch-1"))
        .containsText("clicked \u201cFrame plan\u201d in the 1st \u201cWaking the hive\u201d");
  }

  @Test
  void audienceGroupsAreAddedSharedOutAndRemoved() {
    Page page = at("1/dry-run");
    Locator groups = page.locator("details[data-group]");
    press(page, "Add a group");
    assertThat(groups).hasCount(3);
    assertThat(groups.last()).containsText("20%");
    assertThat(groups.first()).containsText("28%");
    groups.last().locator("summary").click();
    type(groups.last().getByLabel("Share", new Locator.GetByLabelOptions().setExact(true)), "50");
    assertThat(groups.first()).containsText("17.5%");
    press(page, "Remove group");
    assertThat(groups).hasCount(2);
    assertThat(groups.first()).containsText("35%");
    press(page, "Run again");
    assertThat(page.getByText("of the 20,000 who entered met the goal")).isVisible();
  }
}
