package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.newsletters.Letterbox;
import org.opentrellis.core.newsletter.Going;

/** A newsletter is written, planned, moved on the calendar, called back and sent. */
class CalendarAndNewslettersTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final Letterbox BOX = new Letterbox(APP);
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMMM", Locale.UK);

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator field(Page page, String name) {
    return page.getByLabel(name, new Page.GetByLabelOptions().setExact(true));
  }

  @Test
  void oneIsWrittenPlannedMovedAndSent() {
    WORKSHOP.onList("reader@example.com", "Readers");
    WORKSHOP.onList("resting@example.com", "Readers", "Resting");
    Page page = BROWSER.open(APP.address() + "/calendar");
    button(page, "New newsletter").click();
    field(page, "Name").fill("News of the hive");
    field(page, "Message").selectOption("Choosing a kit");
    field(page, "To whom").selectOption("all who …");
    page.getByLabel("All who", new Page.GetByLabelOptions().setExact(true))
        .fill("are on list Readers");
    field(page, "But not").fill("are on list Resting");
    button(page, "Choose a time").click();
    Going going = BOX.inHours(24 * 3, false);
    field(page, "Day").fill(going.date().toString());
    field(page, "Time of day").fill("10:00");
    Locator review = page.getByLabel("What it does").first();
    assertThat(page.getByText("Sends \u201cChoosing a kit\u201d to those who are on list Readers."))
        .isVisible();
    assertThat(page.getByText("1 person gets it, as people are now.")).isVisible();
    assertThat(review).isVisible();
    button(page, "Save").click();
    Accessibility.assertNothingFound(page);
    button(page, "Plan it").click();
    assertThat(button(page, "Take it out of the plan")).isVisible();

    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Calendar")).first().click();
    Locator lane =
        page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("News of the hive"));
    Locator flag = lane.getByRole(AriaRole.BUTTON);
    assertThat(flag).hasCount(1);
    Accessibility.assertNothingFound(page);
    flag.focus();
    flag.press("ArrowRight");
    String moved = DAY.format(going.date().plusDays(1)).replace(".", "");
    assertThat(page.getByText("goes out on " + moved + " now")).isVisible();
    button(page, "Back to " + DAY.format(going.date())).click();
    assertThat(page.getByText("goes out on")).hasCount(0);

    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("News of the hive"))
        .first()
        .click();
    button(page, "Take it out of the plan").click();
    button(page, "Send it now").click();
    assertThat(page.getByText("At the next minute, to all of them?")).isVisible();
    button(page, "Send").click();
    assertThat(page.getByText("planned").first()).isVisible();
    WORKSHOP.turn(2 * Letterbox.HOUR);
    page.reload();
    assertThat(page.getByText("It has gone: 1 got it.")).isVisible();
    assertThat(page.getByRole(AriaRole.TABLE, new GetByRoleOptions().setName("What came of it")))
        .containsText("1");
    Accessibility.assertNothingFound(page);
    org.assertj.core.api.Assertions.assertThat(BOX.mailsTo("reader@example.com")).isOne();
    org.assertj.core.api.Assertions.assertThat(BOX.mailsTo("resting@example.com")).isZero();
  }

  @Test
  void whoGetsTooMuchIsSaidAndMended() {
    for (int n = 0; n < 4; n++) {
      WORKSHOP.onList("much%d@example.com".formatted(n), "Much");
    }
    Going going = BOX.inHours(24 * 6, false);
    BOX.planned(BOX.toList("Morning letter", "Much").going(Optional.of(going)));
    BOX.planned(BOX.toList("Evening letter", "Much").going(Optional.of(going)));
    Page page = BROWSER.open(APP.address() + "/calendar");
    Locator much =
        page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("Too much for somebody"));
    assertThat(much).containsText("4 people get more than one email");
    assertThat(much).containsText("Morning letter and Evening letter: 4");
    much.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Try rules on them"))
        .first()
        .click();
    assertThat(much).containsText("newsletters alone meet");
    much.getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(Pattern.compile("^Move .*nobody does")))
        .click();
    assertThat(much).not().containsText("Morning letter and Evening letter");

    // Only some people; the address of the page says it, so a reload comes back to it.
    button(page, "Only some").click();
    page.getByLabel("Only who").last().fill("are on list Nobody");
    assertThat(much).containsText("Of those who are meant, 0 people go on as they stand");
    page.reload();
    assertThat(page.getByLabel("Only who").last()).hasValue("are on list Nobody");
    button(page, "All people").click();
    button(page, "quarter").click();
    assertThat(page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("Evening letter")))
        .isVisible();
    Accessibility.assertNothingFound(page);
  }

  @Test
  void newsIsPostedLookedAtBeforehandSkippedAndSentEarly() {
    for (int n = 0; n < 6; n++) {
      WORKSHOP.onList("weekly%d@example.com".formatted(n), "Weekly");
    }
    BOX.withNews("the-week", "The week");
    Page page = BROWSER.open(APP.address() + "/calendar");
    button(page, "News on a rhythm").click();
    assertThat(page.getByText("Nothing yet: it has not been turned on.")).isVisible();
    field(page, "Name").fill("News of the week");
    field(page, "Message").selectOption("The week");
    field(page, "To whom").selectOption("all who …");
    page.getByLabel("All who", new Page.GetByLabelOptions().setExact(true))
        .fill("are on list Weekly");
    field(page, "Day of the week").selectOption("on Monday");
    field(page, "Time of day").fill("08:15");
    assertThat(page.getByText(Pattern.compile("Goes out every Monday at 08:15"))).isVisible();
    button(page, "Save").click();
    button(page, "Turn it on").click();
    assertThat(page.getByText("Turned on.")).isVisible();
    assertThat(page.getByText("Nothing is new so far")).isVisible();
    Accessibility.assertNothingFound(page);

    Page site = BROWSER.open(APP.address() + "/site/news");
    field(site, "Title").fill("Wax is melted");
    field(site, "Text").fill("Bring your <b>frames</b>.");
    button(site, "Post it").click();
    assertThat(site.getByText("Bring your <b>frames</b>.")).isVisible();
    Accessibility.assertNothingFound(site);

    page.reload();
    Locator next =
        page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("The next issue"));
    assertThat(next).containsText("Wax is melted");
    button(page, "Skip the next issue").click();
    assertThat(next).containsText("It is skipped: what is new waits for the one after it.");
    button(page, "Do not skip the next issue").click();
    assertThat(next).not().containsText("It is skipped");
    button(page, "Send an issue now").click();
    assertThat(page.getByText("What is new, at the next minute, to 6?")).isVisible();
    button(page, "Send").click();
    Locator issues =
        page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("Issue by issue"));
    assertThat(issues).containsText("One piece of news to 6 people.");
    assertThat(next).containsText("Nothing is new so far");
    WORKSHOP.turn(300);
    org.assertj.core.api.Assertions.assertThat(
            WORKSHOP.mails("weekly0@example.com").getFirst().toString())
        .contains("Wax is melted");
    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("What came of it")).click();
    assertThat(page.getByText("It has gone: 6 got it.")).isVisible();

    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Calendar")).first().click();
    assertThat(
            page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName("News of the week"))
                .first())
        .containsText("news, whenever there is any");
    page.getByLabel("News on a rhythm").getByText("News of the week").click();
    button(page, "Turn it off").click();
    button(page, "Put it away").click();
    assertThat(page.getByText("every Monday at 08:15")).hasCount(0);
  }
}
