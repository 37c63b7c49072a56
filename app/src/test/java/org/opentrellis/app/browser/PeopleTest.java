package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** Who somebody is, found by a sentence. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PeopleTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator findLine(Page page) {
    return page.getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("All who"));
  }

  private static Locator found(Page page) {
    return page.getByLabel("Who is found");
  }

  private static void add(String address, String first, String agreed) {
    APP.post(
        "/api/people",
        "{\"address\": \"%s\", \"firstName\": \"%s\", \"lastName\": null, \"phone\": null, \"zone\": \"Europe/Oslo\", \"agreed\": %s}"
            .formatted(address, first, agreed));
  }

  /** In the order in which somebody comes to it first: from nobody to a person with a story. */
  @Test
  @Order(1)
  void somebodyIsAddedAndFound() {
    Page page = BROWSER.open(APP.address() + "/people");
    assertThat(page.getByText("Nobody is here yet.")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Add someone").first().click();
    Locator address = page.getByLabel("Address", new Page.GetByLabelOptions().setExact(true));
    assertThat(address).isFocused();
    page.keyboard().insertText("mira@example");
    page.getByLabel("Phone").fill("21 23");
    page.getByLabel("Last name").fill("Tolland");
    page.keyboard().press("Enter");
    assertThat(page.getByText("After the @ stands a domain with its ending")).isVisible();
    assertThat(page.getByText("A phone number begins with a plus")).isVisible();
    Accessibility.assertNothingFound(page);
    // Nothing that was typed is lost, and what was wrong is put right in its place.
    assertThat(page.getByLabel("Last name")).hasValue("Tolland");
    address.fill("mira@example.com");
    page.getByLabel("Phone").fill("+47 21 23 45 67");
    page.getByLabel("how you know").fill("signed at the market");
    page.keyboard().press("Enter");
    Locator person = page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("Tolland"));
    assertThat(person).containsText("mira@example.com · +4721234567");
    assertThat(person).containsText("Was added by hand; agreed to email: signed at the market.");
    assertThat(page.getByText("1 · 1 may be mailed")).isVisible();
    Accessibility.assertNothingFound(page);
    page.reload();
    assertThat(person).containsText("mira@example.com");

    button(page, "Edit").click();
    page.getByLabel("Lists, with commas between").fill("Newcomers");
    button(page, "Add a field").click();
    page.getByLabel("Name of field 1").fill("hives");
    page.getByLabel("Value of field 1").fill("3");
    page.getByLabel("Time zone").fill("Mars");
    page.keyboard().press("Enter");
    assertThat(page.getByText("A time zone is written like Europe/Berlin.")).isVisible();
    Accessibility.assertNothingFound(page);
    page.getByLabel("Time zone").fill("Europe/Oslo");
    page.keyboard().press("Enter");
    assertThat(person).containsText("Was put on list “Newcomers”, by hand.");
    assertThat(person).containsText("Field “hives” was set to 3, by hand.");
    findLine(page).fill("are on list Newcomers and have field hives at least 2");
    assertThat(found(page).locator("b")).hasText("1");
    assertThat(button(page, "Tolland")).isVisible();

    button(page, "Keep as a segment").click();
    page.getByLabel("Name of the segment").fill("Small keepers");
    Accessibility.assertNothingFound(page);
    page.keyboard().press("Enter");
    assertThat(page.getByText("know them as “in segment Small keepers”")).isVisible();
    findLine(page).fill("are in segment Small keepers");
    assertThat(found(page).locator("b")).hasText("1");
    button(page, "Keep as a segment").click();
    page.getByLabel("Name of the segment").fill("Small keepers");
    page.keyboard().press("Enter");
    assertThat(page.getByText("There is a segment “Small keepers” already.")).isVisible();
  }

  @Test
  void aSentenceFindsThemWhileItIsTyped() {
    add("oskar@example.com", "Oskar", "\"at the fair\"");
    add("ines@example.com", "Ines", "null");
    Page page = BROWSER.open(APP.address() + "/people");
    assertThat(button(page, "Oskar")).isVisible();
    findLine(page).focus();
    page.keyboard().insertText("is on li");
    Locator way = page.getByRole(AriaRole.OPTION, new GetByRoleOptions().setName("are on list"));
    assertThat(way).isVisible();
    page.keyboard().press("Tab");
    assertThat(findLine(page)).hasValue("are on list ");
    // What stops too early is not wrong yet, and leaves what was found.
    assertThat(findLine(page)).hasAttribute("aria-invalid", "false");
    assertThat(button(page, "Oskar")).isVisible();
    findLine(page).fill("bought anything");
    assertThat(page.getByText("Nobody is like that.")).isVisible();
    assertThat(found(page).locator("b")).hasText("0");

    // What is not understood says where, and leaves what was found.
    page.keyboard().insertText(" and flubbed it");
    assertThat(found(page)).containsText("“flubbed” is not understood here");
    assertThat(found(page).locator(".decoration-wavy")).hasText("flubbed");
    assertThat(page.getByText("Nobody is like that.")).isVisible();

    findLine(page).fill("did not buy anything");
    assertThat(button(page, "Ines")).isVisible();
    assertThat(page).hasURL(Pattern.compile("find=did\\+not|find=did%20not"));
    page.reload();
    assertThat(findLine(page)).hasValue("did not buy anything");
    assertThat(button(page, "Ines")).isVisible();
    Accessibility.assertNothingFound(page);
  }

  /** A search may be an address, so it never stands in the address of the page. */
  @Test
  void searchingKeepsAddressesOutOfTheAddress() {
    add("tove@example.org", "Tove", "null");
    add("bram@example.com", "Bram", "null");
    Page page = BROWSER.open(APP.address() + "/people");
    assertThat(button(page, "Bram")).isVisible();
    page.getByLabel("Search names and addresses").fill("tove@");
    assertThat(button(page, "Bram")).isHidden();
    button(page, "Tove").click();
    assertThat(page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("Tove")))
        .containsText("nothing may be sent before they agree");
    assertThat(page).not().hasURL(Pattern.compile("tove"));
  }
}
