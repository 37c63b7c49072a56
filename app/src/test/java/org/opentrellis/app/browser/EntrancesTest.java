package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.UTF_8;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import tools.jackson.databind.JsonNode;

/** A form is made, people are let in, and somebody signs up at it. */
class EntrancesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator field(Page page, String name) {
    return page.getByLabel(name, new Page.GetByLabelOptions().setExact(true));
  }

  @Test
  void aFormIsMadeAndSomebodySignsUpAtIt() {
    Page page = BROWSER.open(APP.address() + "/entrances");
    field(page, "Name of a new form").fill("Planner on the website");
    button(page, "New entrance").click();
    assertThat(
            page.getByRole(
                AriaRole.HEADING, new GetByRoleOptions().setName("Planner on the website")))
        .isVisible();
    Locator sheet = page.getByLabel("What it does");
    assertThat(sheet).containsText("Asks for the address and first name (if they like).");
    assertThat(page.getByText("no list, gets no tag, and no journey starts")).isVisible();
    field(page, "They agree to").fill("Ambercomb sends me news.");
    field(page, "Puts them on lists").fill("Newcomers");
    field(page, "Puts them on lists").press("Tab");
    page.getByLabel("they confirm by email first").uncheck();
    assertThat(sheet).containsText("Puts them on list Newcomers.");
    assertThat(page.frameLocator("iframe").getByLabel("Email address")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Save").click();
    button(page, "Let people in").click();
    assertThat(button(page, "Turn it off")).isVisible();

    Page visitor = BROWSER.open(APP.address() + "/e/planner-on-the-website");
    visitor.setViewportSize(320, 640);
    Accessibility.assertNothingFound(visitor);
    button(visitor, "Sign up").click();
    assertThat(visitor.getByText("Please give your email address.")).isVisible();
    visitor.getByLabel("Email address").fill("ida.new@example.com");
    visitor.waitForTimeout(2_000);
    visitor.keyboard().press("Enter");
    assertThat(visitor.getByText("Thank you. You are on the list.")).isVisible();

    page.reload();
    assertThat(page.getByText("on · 1 in 30 days")).isVisible();
  }

  /** On another site: after a while, once, and not again for whoever closed it. */
  @Test
  void theFormSlidesInOnAnotherSite() throws IOException {
    JsonNode made = APP.post("/api/entrances", "{\"name\": \"Card\"}").body();
    APP.put("/api/entrances/" + made.get("id") + "/on", "");
    String card =
        made.at("/ways/card")
            .asString()
            .replaceFirst("http://[^/]+", APP.address())
            .replace("data-after=\"8\"", "data-after=\"0\"");
    HttpServer shop = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
    byte[] home = ("<!doctype html><title>Shop</title><h1>Shop</h1>" + card).getBytes(UTF_8);
    shop.createContext(
        "/",
        visit -> {
          visit.getResponseHeaders().add("Content-Type", "text/html");
          visit.sendResponseHeaders(200, home.length);
          visit.getResponseBody().write(home);
          visit.close();
        });
    shop.start();
    try {
      slidesIn("http://127.0.0.1:" + shop.getAddress().getPort());
    } finally {
      shop.stop(0);
    }
  }

  private static void slidesIn(String shop) {
    Page site = BROWSER.open(shop);
    Locator slidIn = site.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("Card"));
    assertThat(slidIn).isVisible();
    assertThat(site.frameLocator("iframe").getByLabel("Email address")).isVisible();
    button(site, "Close").click();
    assertThat(slidIn).isHidden();
    site.navigate(shop);
    site.waitForTimeout(500);
    assertThat(slidIn).isHidden();
  }

  @Test
  void readersOfMailChooseWhatTheyGet() {
    Page page = BROWSER.open(APP.address() + "/entrances/choices");
    field(page, "Lists that they may be on or not").fill("Newcomers, Season letters");
    field(page, "Lists that they may be on or not").press("Tab");
    assertThat(page.frameLocator("iframe").getByLabel("Season letters")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Save").click();
    assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true))).isVisible();

    LiveWorkshop workshop = new LiveWorkshop(APP);
    workshop.open(
        """
        other: Mails whoever is put in
        Starts when someone joins list "Mailed"
        Send "Your hive planner is here"
        """);
    long person = workshop.onList("chooses@example.com", "Mailed");
    workshop.turn(60);
    String link =
        LiveWorkshop.link(workshop.mails("chooses@example.com").getFirst(), "Your choices");
    Page reader = BROWSER.open(link.replaceFirst("http://[^/]+", APP.address()));
    reader.setViewportSize(320, 640);
    assertThat(reader.getByText("This is what we know of c\u2026@example.com.")).isVisible();
    Accessibility.assertNothingFound(reader);
    reader.getByLabel("Season letters").check();
    reader.getByLabel("At most one email a week").check();
    button(reader, "Keep this").click();
    assertThat(reader.getByText("Kept. Thank you.")).isVisible();
    Page workshopPage = BROWSER.open(APP.address() + "/people?person=" + person);
    assertThat(workshopPage.getByText("Wants at most one email a week; what comes sooner waits."))
        .isVisible();
    button(reader, "Unsubscribe").click();
    assertThat(reader.getByText("You get no more email from us.")).isVisible();
  }
}
