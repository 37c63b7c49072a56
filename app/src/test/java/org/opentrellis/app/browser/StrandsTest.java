package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** A run of three letters is made once and gone through in two journeys. */
class StrandsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static Page begin(String name) {
    Page page = BROWSER.open(APP.address() + "/journeys");
    button(page, "New journey").first().click();
    page.getByLabel("Name", new GetByLabelOptions().setExact(true)).fill(name);
    page.keyboard().press("Enter");
    return page;
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static void type(Page page, String... lines) {
    for (String line : lines) {
      Sheet.line(page).fill(line);
      assertThat(page.getByText("adds:")).isVisible();
      page.keyboard().press("Enter");
      assertThat(Sheet.line(page)).hasValue("");
    }
  }

  @Test
  void aRunOfThreeInTwoJourneys() {
    Page page = begin("Spring");
    type(
        page,
        "When someone joins the list Newcomers",
        "Send One, wait 1 day, send Two, wait 1 day, send Three",
        "Tag spring");
    Sheet.saved(page);
    List<String> rows = Sheet.order(page);
    Sheet.row(page, rows.get(0)).click();
    Sheet.row(page, rows.get(4))
        .click(
            new Locator.ClickOptions()
                .setModifiers(List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT)));
    button(page, "More").click();
    page.getByRole(AriaRole.MENUITEM, new GetByRoleOptions().setName("Make a strand of these rows"))
        .click();
    page.getByLabel("Name of the strand").fill("Three letters");
    page.keyboard().press("Enter");
    assertThat(Sheet.row(page, "strand-1")).containsText("Go through strand Three letters");
    assertThat(Sheet.row(page, "strand-1/" + rows.get(0))).containsText("Send One");
    Sheet.saved(page);

    Page second = begin("Autumn");
    type(second, "When someone gets tag autumn", "Go through strand Three letters");
    assertThat(Sheet.rows(second)).hasCount(6);
    Sheet.saved(second);
    Sheet.rows(second).nth(2).click();
    second.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Open the strand")).click();
    assertThat(second.getByText("2 journeys go through it:")).isVisible();
    assertThat(button(second, "Save for 2 journeys")).isDisabled();
    Sheet.rows(second).last().click();
    type(second, "Wait 1 day, then tag read-three");
    assertThat(second.getByText("Not saved yet")).isVisible();
    assertThat(second.getByText("+ added").first()).isVisible();
    assertThat(second.getByText("is set here, but no journey").first()).isVisible();
    Accessibility.assertNothingFound(second);

    // What is not saved outlives a reload, and can be taken back.
    second.reload();
    assertThat(Sheet.rows(second)).hasCount(7);
    button(second, "Undo").click();
    assertThat(Sheet.rows(second)).hasCount(5);
    button(second, "Redo").click();
    assertThat(strandVersion()).isEqualTo(1);
    button(second, "Save for 2 journeys").click();
    assertThat(second.getByText("Saved · v2")).isVisible();
    assertThat(strandVersion()).isEqualTo(2);

    page.reload();
    assertThat(page.getByText("Tag read-three").first()).isVisible();

    // The goal of one journey is nothing that a strand could have.
    Sheet.line(second).fill("goal: bought anything within 7 days");
    second.keyboard().press("Enter");
    assertThat(second.getByRole(AriaRole.ALERT)).containsText("A strand is a run of steps");
    button(second, "Undo").click();
    assertThat(second.getByRole(AriaRole.ALERT)).isHidden();
  }

  private static int strandVersion() {
    return APP.get("/api/strands").body().at("/0/version").asInt();
  }
}
