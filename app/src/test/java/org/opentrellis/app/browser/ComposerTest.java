package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** Messages are written, looked at, mended and tested as a person does it. */
class ComposerTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(40);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Page composer(String id) {
    Page page = BROWSER.open(APP.address() + "/messages/of/" + id);
    assertThat(page.getByLabel("Manuscript")).isVisible();
    return page;
  }

  private static FrameLocator letter(Page page) {
    return page.frameLocator("iframe[title='The message as they see it']");
  }

  private static String begin(String name) {
    return APP.post(
            "/api/messages",
            "{\"name\": \"%s\", \"content\": {\"kind\": \"email\", \"subject\": \"%s\"}, \"links\": [], \"voucher\": false, \"version\": null}"
                .formatted(name, name))
        .body()
        .get("id")
        .asString();
  }

  /** One line after another, with nothing but keys. */
  private static void type(Page page, String... lines) {
    for (String line : lines) {
      page.keyboard().type(line);
      page.keyboard().press("Enter");
      assertThat(page.getByLabel("Next part")).hasValue("");
    }
  }

  private static void saved(Page page, int version) {
    assertThat(page.getByRole(AriaRole.STATUS).getByText(Pattern.compile("Saved .* v" + version)))
        .isVisible();
  }

  @Test
  void thePlannerIsWrittenWithTheKeyboardAndSeenAsThreePeople() {
    Page page = composer(begin("Written by keys"));
    assertThat(page.getByLabel("Next part")).isFocused();
    type(
        page,
        "Hello {first name, or there}, here is the planner.",
        "button Open it to file hive-planner.pdf",
        "passage if on list Members",
        "Members get the frame plans.");
    Locator parts = page.locator("[data-part]");
    assertThat(parts).hasCount(4);
    assertThat(letter(page).getByText("here is the planner.")).isVisible();

    Locator reader =
        page.getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("As whom").setExact(true));
    reader.fill("a reader");
    page.getByRole(AriaRole.OPTION).getByText("a reader without anything").click();
    assertThat(letter(page).getByText("Hello there, here")).isVisible();
    assertThat(page.getByText("Is not there")).isVisible();
    assertThat(letter(page).getByText("Members get the frame plans.")).hasCount(0);

    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Choose as whom")).click();
    page.getByRole(AriaRole.OPTION).getByText("somebody made up").click();
    assertThat(letter(page).getByText("Hello Mira, here")).isVisible();
    page.getByLabel("they are on list Members").check();
    assertThat(letter(page).getByText("Members get the frame plans.")).isVisible();
    Accessibility.assertNothingFound(page);

    page.reload();
    assertThat(parts).hasCount(4);
  }

  @Test
  void whatIsBrokenInEightWaysIsMendedByItsButtons() {
    String id = begin("To be mended");
    Page page = composer(id);
    type(
        page,
        "Hello {first name}, [name].",
        "picture hives-in-clover.png",
        "voucher SPRING 15% until 2020-01-01",
        "html <p>Own</p><script>x()</script>",
        "picture gone.png words Gone",
        "button “ ” to their cart",
        "button Go to https://ambercomb.example");
    Locator checks = page.getByLabel("What the checks find");
    for (String mend :
        new String[] {
          "Write \u201cthere\u201d there",
          "Let it hold until the end of this month",
          "Put their first name there",
          "Say \u201cHives in clover\u201d",
          "Take it out now",
          "Take it out",
          "Write \u201cBack to the cart\u201d",
          "Take the first sentence"
        }) {
      checks.getByText(mend, new Locator.GetByTextOptions().setExact(true)).click();
      assertThat(checks.getByText(mend, new Locator.GetByTextOptions().setExact(true))).hasCount(0);
    }
    assertThat(page.getByText("nothing to mend")).isVisible();
    button(page, "Undo").click();
    assertThat(checks.getByText("Take the first sentence")).isVisible();
  }

  @Test
  void aTestIsReadInTheInbox() {
    Page page = composer("choosing-a-kit");
    button(page, "Send me a test").click();
    page.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("ida@example.com");
    button(page, "Send the test").click();
    page.getByText("Read it in the inbox").click();
    assertThat(page.getByRole(AriaRole.HEADING, new GetByRoleOptions().setName("Inbox")))
        .isVisible();
    FrameLocator mail = page.frameLocator("iframe[title='The mail']");
    assertThat(mail.getByText("three questions settle it")).isVisible();
    button(page, "headers, parts, links").click();
    assertThat(page.getByText("List-Unsubscribe-Post")).isVisible();
    assertThat(page.getByText("text/html")).isVisible();
    Accessibility.assertNothingFound(page);
  }

  @Test
  void partsAreMovedCopiedAndTakenBackByKeys() {
    Page page = composer("is-there-a-queen");
    Locator items = page.locator("[data-part]");
    assertThat(items).hasCount(4);
    items.nth(2).click();
    page.keyboard().press("Alt+ArrowUp");
    assertThat(items.nth(1)).containsText("Read the lesson");
    page.keyboard().press("Control+d");
    assertThat(items).hasCount(5);
    page.keyboard().press("Delete");
    assertThat(items).hasCount(4);
    page.keyboard().press("Control+z");
    assertThat(items).hasCount(5);
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(items).hasCount(4);
    assertThat(items.nth(2)).containsText("Read the lesson");
  }

  @Test
  void twoTabsSeeBothSidesOfALostRace() {
    String id = begin("Raced");
    Page one = composer(id);
    Page other = composer(id);
    type(one, "Written in the first tab.");
    saved(one, 2);
    other.getByLabel("Next part").click();
    other.keyboard().type("Written in the second tab.");
    other.keyboard().press("Enter");
    Locator race =
        other
            .getByRole(AriaRole.ALERT)
            .filter(new Locator.FilterOptions().setHasText("Two versions of this message"));
    assertThat(race).containsText("Theirs");
    assertThat(race).containsText("Written in the first tab.");
    assertThat(race).containsText("Written in the second tab.");
    other.getByText("Keep yours").click();
    saved(other, 3);
    assertThat(other.locator("[data-part]")).containsText("Written in the second tab.");
    button(other, "Undo").click();
    assertThat(other.locator("[data-part]")).containsText("Written in the first tab.");
  }

  @Test
  void theLibraryFindsAndTheHouseStyleTellsItsContrast() {
    Page page = BROWSER.open(APP.address() + "/messages");
    page.getByLabel("Find messages").fill("frost");
    assertThat(page.getByRole(AriaRole.LINK).getByText("Before the frost")).isVisible();
    assertThat(page.getByText("Choosing a kit")).hasCount(0);
    Accessibility.assertNothingFound(page);
    page.navigate(APP.address() + "/messages/house-style");
    page.getByLabel("Text: number").fill("#CCCCCC");
    page.getByLabel("Text: number").press("Tab");
    assertThat(page.getByLabel("Contrast")).containsText("1.6 to 1, which is too little");
    Accessibility.assertNothingFound(page);
  }
}
