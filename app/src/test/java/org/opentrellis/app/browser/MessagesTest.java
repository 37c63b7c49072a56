package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** What surrounds the composer: bringing mail in, texts, the house style, the inbox. */
class MessagesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(40);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator labelled(Page page, String name) {
    return page.getByLabel(name, new GetByLabelOptions().setExact(true));
  }

  private static FrameLocator letter(Page page) {
    return page.frameLocator("iframe[title='The message as they see it']");
  }

  private static void saved(Page page) {
    assertThat(page.getByRole(AriaRole.STATUS).getByText(Pattern.compile("^Saved"))).isVisible();
  }

  @Test
  void anHtmlMailIsBroughtInAndWhatIsNotKeptIsTold() {
    Page page = BROWSER.open(APP.address() + "/messages");
    button(page, "Bring in an HTML mail").click();
    Locator html = page.getByLabel("Paste the HTML of a mail, drop a file here, or choose one");
    html.fill(" ");
    assertThat(button(page, "See what it comes to")).isDisabled();
    html.fill(
        "<html><head><title>Bees in June</title></head><body><h1>Swarms</h1>"
            + "<p>Look twice a week.</p><script>alert(1)</script>"
            + "<form><input name=q></form>"
            + "<a href='https://ambercomb.example/june' style='background:#264;padding:9px'>Read on</a>"
            + "</body></html>");
    button(page, "See what it comes to").click();
    assertThat(page.getByLabel("What it comes to")).containsText("# Swarms");
    assertThat(page.getByLabel("What it comes to")).containsText("Read on");
    assertThat(page.getByLabel("What is not kept")).containsText("form");
    Accessibility.assertNothingFound(page);
    labelled(page, "Name of the message").fill("Bees in June");
    button(page, "Keep it").click();
    assertThat(letter(page).getByText("Look twice a week.")).isVisible();
    assertThat(page.locator("[data-part]").first()).containsText("Swarms");
  }

  @Test
  void aTextSaysWhatItTakesAndHowToStop() {
    Page page = BROWSER.open(APP.address() + "/messages");
    button(page, "New message").click();
    labelled(page, "Name of the message").fill("Frost tonight");
    labelled(page, "text").check();
    button(page, "Begin").click();
    Locator words = labelled(page, "Words");
    words.click();
    page.keyboard().press("Control+a");
    page.keyboard().type("Frost ".repeat(30));
    assertThat(page.getByText("characters in 2 segments")).isVisible();
    assertThat(page.getByText("2 segments for €0.14 each")).isVisible();
    assertThat(page.getByLabel("The proof")).containsText("Answer STOP to get no more texts");
    Accessibility.assertNothingFound(page);
    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Change")).click();
    labelled(page, "Texts come from").fill("Ambercomb");
    button(page, "Save").click();
    assertThat(page.getByText("Nobody can answer “Ambercomb”, which is no number")).isVisible();
    labelled(page, "Texts come from").fill("Ambercomb co-op");
    button(page, "Save").click();
    assertThat(page.getByText("at most 11 letters and digits; “Ambercomb co-op” is neither"))
        .isVisible();
    labelled(page, "Texts come from").fill("+44 7700 900123");
    button(page, "Save").click();
    saved(page);
  }

  @Test
  void thePlainTextIsWrittenByHand() {
    Page page = BROWSER.open(APP.address() + "/messages/of/your-hive-planner-is-here");
    page.getByText("Labels, looks, plain text").click();
    button(page, "Write it by hand").click();
    Locator text = labelled(page, "Plain text");
    assertThat(text).containsText("first name");
    text.click();
    page.keyboard().press("Control+Home");
    page.keyboard().type("By hand: ");
    saved(page);
    button(page, "plain text").click();
    assertThat(page.locator("pre")).containsText("By hand: ");
    button(page, "Make it from the parts again").click();
    assertThat(page.locator("pre").filter(new Locator.FilterOptions().setHasText("By hand: ")))
        .hasCount(0);
  }

  @Test
  void theHouseStyleIsFollowedByEveryMessage() {
    Page page = BROWSER.open(APP.address() + "/messages/house-style");
    labelled(page, "Buttons: number").fill("#5A2D82");
    labelled(page, "Buttons: number").press("Tab");
    assertThat(page.getByText("Not saved yet")).isVisible();
    button(page, "Save").click();
    saved(page);
    page.navigate(APP.address() + "/messages/of/your-hive-planner-is-here");
    assertThat(letter(page).locator("[bgcolor='#5A2D82'], [style*='#5A2D82']").first()).isVisible();
    page.navigate(APP.address() + "/messages/house-style");
    labelled(page, "Buttons: number").fill("purple");
    labelled(page, "Buttons: number").press("Tab");
    button(page, "Save").click();
    assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("#");
  }

  @Test
  void theMessagesOfAJourneyComeToTheInboxWhichCanBeEmptied() {
    Page page = BROWSER.open(APP.address() + "/messages/inbox");
    button(page, "Test a journey").click();
    page.getByLabel("All messages of").selectOption("Membership turns over");
    button(page, "Send them here").click();
    assertThat(page.getByRole(AriaRole.STATUS).getByText(Pattern.compile("\\d mails to ")))
        .isVisible();
    Locator mails = page.getByLabel("Mails");
    assertThat(mails.getByRole(AriaRole.BUTTON).first()).isVisible();
    button(page, "Empty the inbox…").click();
    assertThat(page.getByText("This cannot be taken back.")).isVisible();
    button(page, "Keep them").click();
    button(page, "Empty the inbox…").click();
    button(page, "Empty it").click();
    assertThat(page.getByText("Nothing came yet.")).isVisible();
  }

  @Test
  void partsArePastedFromOneMessageIntoAnother() {
    Page page = BROWSER.open(APP.address() + "/messages/of/your-hive-planner-is-here");
    Locator parts = page.locator("[data-part]");
    Locator opening = parts.filter(new Locator.FilterOptions().setHasText("Open the planner"));
    opening.first().click();
    page.keyboard().press("Control+c");
    page.navigate(APP.address() + "/messages/of/turns-today");
    assertThat(letter(page).locator("body")).isVisible();
    int before = parts.count();
    parts.first().click();
    page.keyboard().press("Control+v");
    assertThat(parts).hasCount(before + 1);
    assertThat(parts.nth(1)).containsText("Open the planner");
    page.keyboard().press("Control+z");
    assertThat(parts).hasCount(before);
  }

  @Test
  void theLibraryShowsWhatStrandsSendAndWhatHasALabel() {
    Page page = BROWSER.open(APP.address() + "/messages");
    Locator rows = page.locator("tbody tr");
    assertThat(rows.first()).isVisible();
    page.getByLabel("Which").selectOption("sent by nothing");
    page.getByLabel("Which").selectOption("all");
    int all = rows.count();
    page.navigate(APP.address() + "/messages/of/turns-today");
    page.getByText("Labels, looks, plain text").click();
    page.getByLabel("Labels, with commas between").fill("renewal, short");
    page.getByLabel("Labels, with commas between").press("Tab");
    saved(page);
    page.navigate(APP.address() + "/messages");
    page.getByLabel("Label", new GetByLabelOptions().setExact(true)).selectOption("renewal");
    assertThat(rows).hasCount(1);
    page.getByLabel("Label", new GetByLabelOptions().setExact(true)).selectOption("any label");
    assertThat(rows).hasCount(all);
  }
}
