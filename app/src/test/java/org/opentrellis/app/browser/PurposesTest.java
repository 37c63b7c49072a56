package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.entrances.ConfirmationPost;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.visitors.Forms;
import tools.jackson.databind.JsonNode;

/** What one person goes through, by the pages that they see, for each purpose of a journey. */
class PurposesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final long HOUR = 3600;
  private static final long DAY = 24 * HOUR;

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static String here(String link) {
    return link.replaceFirst("http://[^/]+", APP.address());
  }

  /** Puts something into the cart, and waits until the shop knows it. */
  private static void put(Page shop, String product) {
    shop.waitForResponse(
        response -> response.request().method().equals("POST"),
        () -> button(shop, "Put " + product + " into the cart").click());
  }

  /** The newest mail of somebody. */
  private static JsonNode mail(String address) {
    return WORKSHOP.mails(address).getFirst();
  }

  /** Somebody clicks a link of their newest mail. */
  private static void clicks(String address, String words) {
    WORKSHOP.follow(LiveWorkshop.link(mail(address), words));
  }

  /** What happened to somebody, on their page in the workshop. */
  private static Locator journeysOf(String address) {
    Page page = BROWSER.open(APP.address() + "/people?person=" + WORKSHOP.number(address));
    return page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("In journeys"));
  }

  /** Says by the link in the mail that it was they. */
  private static void confirms(String address) {
    APP.bean(ConfirmationPost.class).post();
    JsonNode asks = mail(address);
    String link =
        asks.get("links")
            .valueStream()
            .map(one -> one.get("address").asString())
            .filter(one -> one.contains("/confirm/"))
            .findFirst()
            .orElseThrow();
    Page page = BROWSER.open(here(link));
    button(page, "Yes, it was me").click();
    assertThat(page.getByText("Thank you. Now you are in.")).isVisible();
  }

  @Test
  void welcome() {
    WORKSHOP.openNamed("First frames");
    long planner = Forms.open(APP, "Planner", true, "Newcomers", null, null).id();
    Page site = BROWSER.open(APP.address() + "/site?form=" + planner);
    Accessibility.assertNothingFound(site);
    FrameLocator form = site.frameLocator("iframe[title=Planner]");
    form.getByLabel("Email address").fill("wel@example.com");
    form.getByLabel("First name").fill("Wel");
    site.waitForTimeout(1_700);
    form.getByRole(AriaRole.BUTTON).click();
    assertThat(form.getByText("Look into your mailbox")).isVisible();
    confirms("wel@example.com");
    WORKSHOP.turn(60);
    // The workshop shows the same page, in a frame.
    Page glasshouse = BROWSER.open(APP.address() + "/glasshouse");
    button(glasshouse, "site").click();
    assertThat(
            glasshouse
                .frameLocator("iframe[title='The site']")
                .frameLocator("iframe")
                .getByLabel("Email address"))
        .isVisible();

    clicks("wel@example.com", "Hive kits");
    Page shop = BROWSER.open(APP.address() + "/shop");
    put(shop, "Feeder");
    shop.getByLabel("Email address").fill("wel@example.com");
    button(shop, "Buy").click();
    assertThat(shop.getByText("Thank you. Your order")).isVisible();
    WORKSHOP.turn(60);
    assertThat(journeysOf("wel@example.com")).containsText("Left: the goal was met.");
  }

  @Test
  void cart() {
    WORKSHOP.openNamed("Left on the bench");
    WORKSHOP.person("cart@example.com");
    Page shop = BROWSER.open(APP.address() + "/shop");
    put(shop, "Feeder");
    shop.getByLabel("Email address").fill("cart@example.com");
    put(shop, "Feeder");
    // The journey sends from 07:00 to 21:00 only, and who knows what time it is.
    WORKSHOP.turn(12 * HOUR);
    assertThat(journeysOf("cart@example.com")).containsText("Left on the bench");
    String back =
        WORKSHOP
            .follow(LiveWorkshop.link(mail("cart@example.com"), "Back to the kit"))
            .headers()
            .firstValue("Location")
            .orElseThrow();
    Page again = BROWSER.open(APP.address() + back);
    assertThat(button(again, "Take out Feeder").first()).isVisible();
    button(again, "Buy").click();
    assertThat(again.getByText("Thank you. Your order")).isVisible();
    WORKSHOP.turn(60);
    assertThat(journeysOf("cart@example.com")).containsText("Left: the goal was met.");
  }

  @Test
  void dateBased() {
    WORKSHOP.openNamed("Membership turns over");
    Forms.open(APP, "Members", false, null, null, "member until");
    LocalDate today =
        Instant.ofEpochSecond(APP.get("/api/live").body().at("/clock/now").asLong())
            .atZone(ZoneOffset.UTC)
            .toLocalDate();
    Page form = BROWSER.open(APP.address() + "/e/members");
    form.getByLabel("Email address").fill("date@example.com");
    form.getByLabel("member until").fill(today.plusDays(40).toString());
    form.waitForTimeout(1_700);
    button(form, "Sign up").click();
    assertThat(form.getByText("Thank you.")).isVisible();
    WORKSHOP.turn(11 * DAY);
    clicks("date@example.com", "Renew");
    assertThat(journeysOf("date@example.com")).containsText("Clicked");

    // They have enough of it.
    Page choices = BROWSER.open(here(LiveWorkshop.link(mail("date@example.com"), "Your choices")));
    button(choices, "Unsubscribe").click();
    assertThat(choices.getByText("You get no more email from us.")).isVisible();
    int had = WORKSHOP.mails("date@example.com").size();
    WORKSHOP.turn(31 * DAY);
    org.assertj.core.api.Assertions.assertThat(WORKSHOP.mails("date@example.com")).hasSize(had);
    assertThat(journeysOf("date@example.com")).containsText("Left:");
  }

  @Test
  void nurture() {
    WORKSHOP.openNamed("Through the season");
    Forms.open(APP, "Course", false, null, "season-course", null);
    Page form = BROWSER.open(APP.address() + "/e/course");
    form.getByLabel("Email address").fill("nur@example.com");
    form.getByLabel("First name").fill("Nur");
    form.waitForTimeout(1_700);
    button(form, "Sign up").click();
    assertThat(form.getByText("Thank you.")).isVisible();
    WORKSHOP.turn(2 * DAY);

    // They read the first lesson and answer it.
    Page page = BROWSER.open(APP.address() + "/glasshouse");
    page.getByLabel("read as").fill("nur@example.com");
    page.locator("[aria-label=Mail] > button").first().click();
    button(page, "Open it").click();
    assertThat(page.getByText("It was opened.")).isVisible();
    button(page, "Answer…").click();
    page.getByLabel("What they answer").fill("Six bees with yellow trousers.");
    button(page, "Send the answer").click();
    assertThat(page.getByText("The answer went out")).isVisible();
    Accessibility.assertNothingFound(page);
    Page person =
        BROWSER.open(APP.address() + "/people?person=" + WORKSHOP.number("nur@example.com"));
    assertThat(person.getByText("Answered a mail: “Six bees with yellow trousers.”")).isVisible();

    WORKSHOP.turn(15 * DAY);
    assertThat(journeysOf("nur@example.com")).containsText("Took the way of those who opened");
  }
}
