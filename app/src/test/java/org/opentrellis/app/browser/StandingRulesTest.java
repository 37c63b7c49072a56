package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;

/** A rule is typed, acts, is changed, turned off and put away. */
class StandingRulesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator row(Page page, String name) {
    return page.getByRole(AriaRole.LISTITEM, new GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void oneIsTypedActsAndIsTurnedOff() {
    WORKSHOP.onList("lately@example.com", "Fair");
    Page page = BROWSER.open(APP.address() + "/rules");
    Locator line = page.getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("Rule"));
    line.fill("when someone joins list Fair");
    assertThat(button(page, "Keep it and turn it on")).isDisabled();
    line.fill("when someone joins list Fair, tag \"visitor\"");
    assertThat(page.getByText("Brings new tag \u201cvisitor\u201d.")).isVisible();
    assertThat(page.getByText("it would have acted 1 time, for 1 person.")).isVisible();
    Accessibility.assertNothingFound(page);
    button(page, "Keep it and turn it on").click();
    Locator rule = row(page, "Tag visitor");
    assertThat(rule).containsText("When someone joins list Fair: tag visitor.");
    assertThat(rule.getByRole(AriaRole.SWITCH)).isChecked();
    assertThat(rule).containsText("Has not acted yet");
    assertThat(line).hasValue("");

    long person = WORKSHOP.onList("guest@example.com", "Fair");
    page.reload();
    assertThat(rule).containsText("Acted 1 time");
    page.navigate(APP.address() + "/people?person=" + person);
    assertThat(page.getByText("Was tagged \u201cvisitor\u201d, by \u201cTag visitor\u201d."))
        .isVisible();
    page.getByText("What happened there").click();
    assertThat(page.getByText("The rule acted.")).isVisible();

    page.navigate(APP.address() + "/rules");
    rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Change")).click();
    rule.getByLabel("Name, as stories tell it").fill("Guests of the fair");
    rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save")).click();
    Locator renamed = row(page, "Guests of the fair");
    Locator on = renamed.getByRole(AriaRole.SWITCH);
    assertThat(on).isChecked();
    on.click();
    assertThat(on).not().isChecked();
    Accessibility.assertNothingFound(page);
    renamed.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put away")).click();
    assertThat(renamed).hasCount(0);
  }

  @Test
  void aCircleIsRefusedWhereItIsTyped() {
    Page page = BROWSER.open(APP.address() + "/rules");
    Locator line = page.getByRole(AriaRole.COMBOBOX, new GetByRoleOptions().setName("Rule"));
    line.fill("when someone gets tag \"here\", tag \"there\"");
    button(page, "Keep it and turn it on").click();
    assertThat(row(page, "Tag there")).isVisible();
    line.fill("when someone gets tag \"there\", tag \"here\"");
    button(page, "Keep it and turn it on").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("round in a circle");
    assertThat(row(page, "Tag here").getByRole(AriaRole.SWITCH)).not().isChecked();
  }
}
