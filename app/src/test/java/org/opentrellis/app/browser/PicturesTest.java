package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/**
 * Takes the pictures in docs/screenshots anew, from the demo: {@code mvn verify -Dtest=PicturesTest
 * -Dpictures=true -Dsurefire.failIfNoSpecifiedTests=false}.
 */
@EnabledIfSystemProperty(named = "pictures", matches = "true")
class PicturesTest {
  private static final Path FOLDER = Path.of("../docs/screenshots");

  @RegisterExtension static final RunningApplication APP = RunningApplication.withLife(3_000);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Page at(String path, String text) {
    Page page = BROWSER.open(APP.address() + path);
    assertThat(page.getByText(text).first()).isVisible();
    return page;
  }

  private static void take(Page page, String name) {
    page.waitForLoadState(LoadState.NETWORKIDLE);
    page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
  }

  @Test
  void mainViews() {
    take(at("/journeys", "Thirty days of bees"), "journeys");
    take(at("/journeys/1?step=planner-again", "Links in this message"), "workbench");
    take(at("/journeys/1/dry-run", "met the goal"), "dry-run");
    take(walked(), "walk");
    take(at("/side-by-side?runs=1,3,4,5", "What stands out"), "side-by-side");
    take(
        at("/journeys/1/dry-run?show=matters", "By how many points the goal moves"),
        "what-matters");
    take(better(), "better-ways");
    Page assumptions = at("/journeys/1/dry-run", "met the goal");
    assumptions.getByText("Keen newcomers").click();
    assumptions.getByRole(AriaRole.TAB, new GetByRoleOptions().setName("Assumptions")).click();
    assertThat(assumptions.locator("[data-preview]")).isVisible();
    take(assumptions, "assumptions");
  }

  private static Page better() {
    Page page = at("/journeys/4/dry-run?show=better", "What would be better?");
    page.getByText("how often it is tried again").first().click();
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Fold")).click();
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Look for better ways")).click();
    assertThat(page.getByText("better than today, and not by chance"))
        .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(120_000));
    return page;
  }

  private static Page walked() {
    Page page = at("/journeys/1/walk", "Comes in.");
    for (String choice : new String[] {"Open in 5 h", "Click", "Ignore", "Open now"}) {
      press(page, "Skip to the next choice");
      press(page, choice);
    }
    press(page, "Skip to the next choice");
    return page;
  }

  private static void press(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true)).click();
  }

  @Test
  void theGlasshouse() {
    Page page = at("/glasshouse", "open since");
    assertThat(page.getByText("to the next thing")).isVisible();
    assertThat(page.getByText("opened, forecast")).isVisible();
    take(page, "glasshouse");
  }

  @Test
  void triedOnOneself() {
    Page page = at("/journeys/1/try", "Who are you?");
    press(page, "Try it on yourself");
    press(page, "Open it");
    assertThat(page.getByText("Opened email").first()).isVisible();
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(Pattern.compile("^Go on to")))
        .click();
    assertThat(page.getByText("Took the way of those who opened")).isVisible();
    page.frameLocator("iframe[title='The mail']").getByText("Ambercomb").first().waitFor();
    take(page, "tryout");
  }

  @Test
  void messages() {
    Page composer = at("/messages/of/your-hive-planner-is-here?part=p3", "nothing to mend");
    assertThat(
            composer
                .frameLocator("iframe[title='The message as they see it']")
                .getByText("here is the planner"))
        .isVisible();
    take(composer, "composer");
    Page sending = at("/messages/of/choosing-a-kit", "nothing to mend");
    press(sending, "Send me a test");
    press(sending, "Send the test");
    sending.getByText("Read it in the inbox").click();
    assertThat(
            sending.frameLocator("iframe[title='The mail']").getByText("three questions settle it"))
        .isVisible();
    take(sending, "inbox");
  }

  @Test
  void people() {
    Page people = at("/people?find=are on list Newcomers and have field hives at least 2", "found");
    people.locator("[data-line] button").nth(2).click();
    press(people, "Edit");
    people.getByLabel("First name").fill("Maren");
    people.keyboard().press("Enter");
    assertThat(people.getByText("First name was set to Maren").first()).isVisible();
    take(people, "people");
    Page names = at("/people/names?kind=LIST", "Members");
    press(names, "Newcomers");
    take(names, "names");
    Page entrances = at("/entrances", "Puts them on list Newcomers");
    assertThat(entrances.frameLocator("iframe").getByText("Send me the planner")).isVisible();
    take(entrances, "entrances");
    take(at("/calendar", "people get"), "calendar");
    Page letter = at("/calendar", "News of the hive, the long nights");
    letter
        .getByRole(AriaRole.LINK, new GetByRoleOptions().setName("After the solstice"))
        .last()
        .click();
    assertThat(letter.getByText("Goes out on").first()).isVisible();
    assertThat(letter.frameLocator("iframe").getByText("hive").first()).isVisible();
    take(letter, "newsletter");
    Page news = at("/news/1", "New so far");
    assertThat(news.frameLocator("iframe").getByText("The extractor is back")).isVisible();
    take(news, "news");
    Page rules = at("/rules", "of 3 on");
    rules
        .getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("Rule"))
        .fill("when someone joins list Newcomers, if they have no tag lapsed, tag new-keeper");
    assertThat(rules.getByText("In the last 30 days").first()).isVisible();
    rules.getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("Rule")).press("Escape");
    take(rules, "rules");
  }
}
